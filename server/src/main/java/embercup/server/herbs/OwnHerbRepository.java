package embercup.server.herbs;

import org.springframework.data.jpa.repository.JpaRepository;

interface OwnHerbRepository extends JpaRepository<OwnHerbEntity, String> {}
