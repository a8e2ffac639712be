package embercup.server.herbs;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity(name = "OwnHerb")
@Table(name = "own_herb")
@NullUnmarked
class OwnHerbEntity {

    @Id
    String slug;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    /** When it was put away; missing while it is on offer. */
    @Column(name = "retired_at")
    Instant retiredAt;

    @Version
    Long version;
}
