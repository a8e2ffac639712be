package embercup.server.door;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** A code that lets one device in once; only its digest is kept. */
@Entity
@Table(name = "pairing_code")
@NullUnmarked
class CodeEntity {

    @Id
    UUID id;

    String digest;
    String role;

    @Column(name = "expires_at")
    Instant expiresAt;

    @Column(name = "used_at")
    Instant usedAt;
}
