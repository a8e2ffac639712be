package embercup.server.brews;

import embercup.core.live.LiveBrew;
import embercup.server.platform.Fields;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "brew")
@NullUnmarked
class BrewEntity {

    @Id
    UUID id;

    @Column(name = "recipe_id")
    UUID recipeId;

    /** Digest of what a client asked for under an id of its own; missing when the id is the server's. */
    @Column(name = "asked_digest")
    String askedDigest;

    @Column(name = "ancestor_id")
    UUID ancestorId;

    String name;

    @Column(name = "drinker_id")
    UUID drinkerId;

    @Column(name = "burner_id")
    UUID burnerId;

    @Column(name = "vessel_id")
    UUID vesselId;

    @Column(name = "drinker_name")
    String drinkerName;

    double cups;
    String phase;

    @Column(name = "created_at")
    Instant createdAt;

    @Column(name = "started_at")
    Instant startedAt;

    @Column(name = "ended_at")
    Instant endedAt;

    @JdbcTypeCode(SqlTypes.JSON)
    String request;

    @JdbcTypeCode(SqlTypes.JSON)
    String plan;

    /** The plan as the trade made it; missing until a brew of an earlier version is given its own. */
    String kept;

    @JdbcTypeCode(SqlTypes.JSON)
    String loads;

    /** For how many days it is. */
    int days = 1;

    /** What was poured and when, as shares of a day's cups. */
    @JdbcTypeCode(SqlTypes.JSON)
    String pours = "[]";

    /** When the rest was put into a jar; missing when it was not. */
    @Column(name = "kept_at")
    Instant keptAt;

    /** What was put into it, mL. */
    @Column(name = "kept_ml")
    Double keptMl;

    /** What is left of what was made, mL; missing until something was. */
    @Column(name = "left_ml")
    Double leftMl;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "good_until")
    Instant goodUntil;

    @Column(name = "drink_by")
    Instant drinkBy;

    /** Since when a cup out of the jar is being made; missing when none is. */
    @Column(name = "cup_since")
    Instant cupSince;

    /** When its spent herbs were put into the fridge; missing when they are not there. */
    @Column(name = "marc_at")
    Instant marcAt;

    /** What stands on the jar beside its contents. */
    @Column(name = "jar_note")
    String jarNote = "";

    /** Who of the household drinks of it beside its drinker, with her loads of a day. */
    @JdbcTypeCode(SqlTypes.JSON)
    String sharers = "[]";

    /** Slugs of the herbs in it. */
    @JdbcTypeCode(SqlTypes.JSON)
    String herbs;

    @Column(name = "clock_speed")
    double clockSpeed = 1;

    @Column(name = "clock_real")
    Instant clockReal;

    @Column(name = "clock_brew")
    Instant clockBrew;

    @Version
    Long version;

    /** Whether it waits or burns: it is not over. */
    boolean open() {
        return phase.equals(Fields.code(LiveBrew.Phase.PLANNED)) || phase.equals(Fields.code(LiveBrew.Phase.RUNNING));
    }
}
