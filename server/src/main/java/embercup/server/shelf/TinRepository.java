package embercup.server.shelf;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface TinRepository extends JpaRepository<TinEntity, UUID> {
    List<TinEntity> findAllByOrderByHerbAscFormAscIdAsc();

    @Query("select distinct t.herb from TinEntity t")
    Set<String> herbs();

    List<TinEntity> findAllByHerbInAndGramsNotNullOrderByHerbAscFormAscIdAsc(Set<String> herbs);

    boolean existsByHerb(String herb);

    Optional<TinEntity> findByHerbAndForm(String herb, String form);
}
