package embercup.server.door;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** A line of what happened at the door. A row is only ever inserted. */
@Entity
@Table(name = "door_audit")
@NullUnmarked
class AuditEntity {

    @Id
    UUID id;

    Instant at;
    String what;
    String address;

    @Column(name = "device_id")
    UUID deviceId;

    @Column(name = "device_name")
    String deviceName;
}
