package embercup.server.courses;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "course_cup")
@NullUnmarked
class CupEntity {

    @Id
    UUID id;

    @Column(name = "course_id")
    UUID courseId;

    Instant at;
}
