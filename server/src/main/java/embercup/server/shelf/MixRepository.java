package embercup.server.shelf;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MixRepository extends JpaRepository<MixEntity, UUID> {}
