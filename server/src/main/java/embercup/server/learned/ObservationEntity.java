package embercup.server.learned;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "stove_observation")
@NullUnmarked
class ObservationEntity {

    @Id
    UUID id;

    @Column(name = "brew_id")
    UUID brewId;

    @Column(name = "burner_id")
    UUID burnerId;

    @Column(name = "vessel_id")
    UUID vesselId;

    String kind;
    double ratio;
    Instant at;
}
