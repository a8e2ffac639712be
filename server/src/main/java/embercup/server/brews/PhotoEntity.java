package embercup.server.brews;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "brew_photo")
@NullUnmarked
class PhotoEntity {

    @Id
    @Column(name = "brew_id")
    UUID brewId;

    String type;
    byte[] bytes;

    @Column(name = "taken_at")
    Instant takenAt;
}
