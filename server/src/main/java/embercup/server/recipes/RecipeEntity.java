package embercup.server.recipes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.OptimisticLock;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "recipe")
@NullUnmarked
class RecipeEntity {

    @Id
    UUID id;

    String name;
    String tradition;
    String about;

    @JdbcTypeCode(SqlTypes.JSON)
    String purposes;

    @JdbcTypeCode(SqlTypes.JSON)
    String document;

    /** Its fire line, thumb-sized; missing until it is planned. */
    @JdbcTypeCode(SqlTypes.JSON)
    String thumb;

    @Column(name = "created_at")
    Instant createdAt;

    @Column(name = "updated_at")
    Instant updatedAt;

    /** What the household says of it for itself is no version of the recipe. */
    @OptimisticLock(excluded = true)
    boolean favourite;

    @OptimisticLock(excluded = true)
    @JdbcTypeCode(SqlTypes.JSON)
    String words = "[]";

    @Version
    Long version;
}
