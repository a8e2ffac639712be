package embercup.server.courses;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "course")
@NullUnmarked
class CourseEntity {

    @Id
    UUID id;

    @Column(name = "recipe_id")
    UUID recipeId;

    String name;

    /** The recipe as it was when the course was laid. */
    @JdbcTypeCode(SqlTypes.JSON)
    String recipe;

    /** Ids of who drinks it, with the part of a cup that each has at a time. */
    @JdbcTypeCode(SqlTypes.JSON)
    String drinkers;

    @Column(name = "first_day")
    LocalDate firstDay;

    /** Of drinking; missing until it is better. */
    Integer days;

    @Column(name = "row_days")
    int rowDays;

    @Column(name = "rest_days")
    int restDays;

    /** "08:00" and so on. */
    @JdbcTypeCode(SqlTypes.JSON)
    String times;

    @Column(name = "ended_on")
    LocalDate endedOn;

    @Column(name = "ended_why")
    String endedWhy;

    @Column(name = "created_at")
    Instant createdAt;

    @Version
    Long version;
}
