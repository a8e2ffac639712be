package embercup.core.plan;

import embercup.core.brew.BrewSetup;
import embercup.core.brew.BrewSimulation;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;

/**
 * How several boils of the same herbs share the water. Where the recipe's own fresh water would leave the first boil hardly any, as
 * with few cups in a pot that loses little, each gets as much.
 */
final class BoilsShare {

    /** The first boil has at least this share of the fresh water that follows it (design value). */
    private static final double LEAST = 0.5;

    private static final int PASSES = 20;
    private static final double TO_ML = 5;

    private BoilsShare() {}

    /** The stages with as much fresh water as the first boil has; empty where the recipe's own is fine. */
    static Optional<List<Stage>> of(BrewSetup solved, double liquorMl) {
        double fresh = freshMl(solved.stages(), solved.volumeScale());
        if (fresh <= 0 || first(solved) >= LEAST * fresh) {
            return Optional.empty();
        }
        double each = fresh;
        for (int pass = 0; pass < PASSES; pass++) {
            BrewSetup now = solved.withStages(with(solved, each));
            double first = first(now.withPour(BrewSimulation.solvePour(now, liquorMl)));
            each = (Math.max(0, first) + each) / 2;
        }
        double rounded = Math.max(TO_ML, Math.round(each / TO_ML) * TO_ML);
        return Optional.of(with(solved, rounded));
    }

    /** Water of the first boil that the herbs do not keep, mL. */
    static double first(BrewSetup setup) {
        return setup.pourMl() - setup.keptMl(false);
    }

    /** The most fresh water that a later boil gets, mL; 0 where there is none. */
    static double freshMl(List<Stage> stages, double scale) {
        return stages.stream()
                .filter(Stage.Refill.class::isInstance)
                .mapToDouble(s -> ((Stage.Refill) s).toMl() * scale)
                .max()
                .orElse(0);
    }

    private static List<Stage> with(BrewSetup setup, double freshMl) {
        return setup.stages().stream()
                .map(s -> s instanceof Stage.Refill ? new Stage.Refill(freshMl / setup.volumeScale()) : s)
                .toList();
    }
}
