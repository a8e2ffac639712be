package embercup.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "mixed")
@NullUnmarked
class MixEntity {

    @Id
    UUID id;

    String blend;
    Instant at;
    double grams;

    /** What was taken for it: herb, form, grams and how far off that may be. */
    @JdbcTypeCode(SqlTypes.JSON)
    String parts;

    @Column(name = "tin_id")
    UUID tinId;

    /** The version of its tin after mixing: it is undone only while that is still so. */
    @Column(name = "tin_version")
    long tinVersion;

    /** How its tin was before; missing when there was none. */
    @JdbcTypeCode(SqlTypes.JSON)
    String before;
}
