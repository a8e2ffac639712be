package embercup.server.people;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PersonRepository extends JpaRepository<PersonEntity, UUID> {

    List<PersonEntity> findAllByOrderByBrewerDescNameAscIdAsc();
}
