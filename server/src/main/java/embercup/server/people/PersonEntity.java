package embercup.server.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "person")
@NullUnmarked
class PersonEntity {

    @Id
    UUID id;

    String name;

    @Column(name = "age_years")
    double ageYears;

    @Column(name = "weight_kg")
    Double weightKg;

    @JdbcTypeCode(SqlTypes.JSON)
    String conditions;

    Integer trimester;

    @JdbcTypeCode(SqlTypes.JSON)
    String allergies;

    @Column(name = "usual_strength")
    String usualStrength;

    @JdbcTypeCode(SqlTypes.JSON)
    String dislikes;

    boolean brewer;

    @Version
    Long version;
}
