package embercup.server.brews;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FiguresRepository extends JpaRepository<FiguresEntity, UUID> {}
