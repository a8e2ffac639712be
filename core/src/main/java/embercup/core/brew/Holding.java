package embercup.core.brew;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Vessel;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A flame that cannot hold what it should. Immutable.
 *
 * @param endC temperature at which the water stands in the end, °C
 * @param would the smallest flame that would hold it, lid as it is; empty when none would
 * @param lidWould whether the same flame would under a lid
 */
public record Holding(double endC, Optional<Flame> would, boolean lidWould) {

    /** A simmer is this near to the boil, K. */
    private static final double SIMMERS_K = 4;
    /** Nearer to the boil bubbles rise (common practice, no source), K. */
    private static final double QUIET_K = 2;

    /** Empty when it holds. @param waterMl water over the flame, mL */
    public static Optional<Holding> failing(BrewSetup setup, double waterMl, Flame flame, boolean lid) {
        if (holds(setup, waterMl, flame, lid)) {
            return Optional.empty();
        }
        return Optional.of(new Holding(
                endC(setup, waterMl, flame, lid),
                Stream.of(Flame.LOW, Flame.MEDIUM, Flame.HIGH)
                        .filter(f -> holds(setup, waterMl, f, lid))
                        .findFirst(),
                !lid && holds(setup, waterMl, flame, true)));
    }

    /** How warm a stage is kept where water boils at {@code boilingC}: never nearer to the boil than where it still stands quiet, °C. */
    public static double belowTheBoilC(Stage.Hold stage, double boilingC) {
        return Math.min(stage.toC(), boilingC - QUIET_K);
    }

    /** Power that keeps a liquor at a temperature below the boil, W. @param waterMl water over the flame, mL */
    public static double watts(BrewSetup setup, double waterMl, Stage.Hold stage) {
        return Losses.watts(
                new Losses.State(setup.vessel(), waterMl, stage.lid(), true),
                Air.of(setup.kitchen()),
                belowTheBoilC(stage, setup.kitchen().boilingC()));
    }

    private static boolean holds(BrewSetup setup, double waterMl, Flame flame, boolean lid) {
        return endC(setup, waterMl, flame, lid) >= setup.kitchen().boilingC() - SIMMERS_K;
    }

    private static double endC(BrewSetup setup, double waterMl, Flame flame, boolean lid) {
        Vessel vessel = setup.vessel();
        Burner burner = setup.kitchen().burner();
        return Losses.evenC(new Losses.State(vessel, waterMl, lid, true), Air.of(setup.kitchen()), burner.watts(flame));
    }
}
