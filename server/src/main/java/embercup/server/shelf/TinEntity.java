package embercup.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
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

    Double grams;
    String note;

    @Version
    Long version;
}
