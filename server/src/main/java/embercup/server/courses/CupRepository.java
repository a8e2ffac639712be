package embercup.server.courses;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CupRepository extends JpaRepository<CupEntity, UUID> {

    List<CupEntity> findAllByCourseIdOrderByAtAscIdAsc(UUID courseId);
}
