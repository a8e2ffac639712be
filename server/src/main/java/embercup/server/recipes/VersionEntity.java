package embercup.server.recipes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

/** A recipe as it was until it was changed. */
@Entity
@Table(name = "recipe_version")
@NullUnmarked
class VersionEntity {

    @Id
    UUID id;

    @Column(name = "recipe_id")
    UUID recipeId;

    long version;
    String name;
    String about;

    @JdbcTypeCode(SqlTypes.JSON)
    String purposes;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    Instant until;
}
