package embercup.server.door;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "device")
@NullUnmarked
class DeviceEntity {

    @Id
    UUID id;

    String name;
    String role;

    @Column(name = "paired_at")
    Instant pairedAt;

    @Column(name = "seen_at")
    Instant seenAt;

    @Version
    Long version;
}
