package embercup.core.reading;

import embercup.core.recipe.Flame;
import embercup.core.recipe.Place;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** A stage while its recipe is read: what later words still say of it. Mutable. */
final class StageDraft {

    StageKind kind;
    double minutes = Double.NaN;
    double minutesTo = Double.NaN;
    String sign = "";
    OptionalDouble toC = OptionalDouble.empty();
    double toMl = Double.NaN;
    /** What is left of the starting water, where a share is said. */
    double share = Double.NaN;

    @Nullable
    Boolean lid;

    @Nullable
    Flame flame;

    boolean pressed;
    Place place = Place.ROOM;
    /** Whether hot water was waited for and nothing else: a pour heats its own. */
    boolean onlyWater;

    final LineDraft line;

    StageDraft(StageKind kind, LineDraft line) {
        this.kind = kind;
        this.line = line;
    }

    boolean timed() {
        return kind.timed();
    }

    boolean fire() {
        return kind.onFlame();
    }

    Stage stage() {
        OptionalDouble to = minutesTo > minutes * 1.001 ? OptionalDouble.of(minutesTo) : OptionalDouble.empty();
        Stage.Until until = to.isEmpty() && sign.isEmpty() ? Stage.Until.NOTHING : new Stage.Until(to, sign);
        return switch (kind) {
            case HEAT -> new Stage.Heat(toC, flame(), lid());
            case POUR -> new Stage.Pour(toC);
            case BOIL -> new Stage.Boil(minutes, flame(), lid(), until);
            case SIMMER -> new Stage.Simmer(minutes, flame(), lid(), until);
            case HOLD -> new Stage.Hold(heldC(), minutes, flame(), lid(), until);
            case REDUCE -> new Stage.Reduce(Math.round(toMl * 10) / 10.0, flame(), lid());
            case STEEP -> new Stage.Steep(minutes, lid(), until);
            case MACERATE -> new Stage.Macerate(minutes, toC, lid(), place, until);
            case REST -> new Stage.Rest(minutes, lid(), until);
            case COOL -> new Stage.Cool(coolsToC(), lid());
            case STRAIN -> new Stage.Strain(pressed);
            case REFILL -> new Stage.Refill(toMl);
            case COMBINE -> new Stage.Combine();
            case FINISH -> new Stage.Finish();
            case STIR, SHAKE, BLEND -> new Stage.Work(kind);
        };
    }

    private boolean lid() {
        return lid == null ? kind.usuallyCovered() : lid;
    }

    private Flame flame() {
        return flame == null ? kind.usualFlame() : flame;
    }

    private double heldC() {
        return toC.orElseGet(() -> StageKind.HOLD.usual().toC().orElseThrow());
    }

    /** The temperature it cools to, °C. */
    double coolsToC() {
        return toC.orElseGet(() -> StageKind.COOL.usual().toC().orElseThrow());
    }
}
