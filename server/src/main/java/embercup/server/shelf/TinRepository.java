package embercup.server.shelf;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TinRepository extends JpaRepository<TinEntity, UUID> {
    List<TinEntity> findAllByOrderByHerb();

    boolean existsByHerb(String herb);

    Optional<TinEntity> findByHerbAndForm(String herb, String form);
}
