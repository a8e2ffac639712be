package embercup.server.courses;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CourseRepository extends JpaRepository<CourseEntity, UUID> {

    /** Courses of late and to come, the newest first. */
    @Query(
            "select c from CourseEntity c where c.firstDay >= :since order by c.firstDay desc, c.createdAt desc, c.id desc")
    List<CourseEntity> since(LocalDate since);
}
