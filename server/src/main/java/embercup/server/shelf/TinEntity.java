package embercup.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "shelf_tin")
@NullUnmarked
class TinEntity {

    @Id
    UUID id;

    String herb;
    String form;

    @Column(name = "filled_on")
    LocalDate filledOn;

    /** When somebody said last how much is in it. */
    @Column(name = "weighed_at")
    Instant weighedAt;

    Double grams;

    /** Where it stands; missing where such a thing usually does. */
    String place;

    /** It is good no longer than this, whatever its own time: an older herb was mixed into it. */
    @Column(name = "best_by")
    LocalDate bestBy;

    String note;

    @Version
    Long version;
}
