package embercup.server.learned;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "learned_switch")
@NullUnmarked
class SwitchEntity {

    @Id
    String what;

    boolean used;
    Instant since;
}
