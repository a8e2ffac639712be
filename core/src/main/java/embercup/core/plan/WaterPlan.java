package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;

/**
 * The water of a brew, mL; pour = yield + retained + evaporated.
 *
 * @param pourMl all water that goes in, refills included
 * @param startMl water at the start, without refills
 * @param dipMl level at which a reduction stops: strained liquor, what the herbs hold and what they displace; 0 without
 *     a reduction
 */
public record WaterPlan(
        double pourMl, double startMl, double retainedMl, double evaporatedMl, double yieldMl, double dipMl) {

    static WaterPlan of(BrewSetup setup, BrewResult brew) {
        double reducedMl = reducedMl(setup);
        double dipMl = reducedMl == 0 ? 0 : reducedMl + brew.retainedMl() + setup.displacedMl();
        return new WaterPlan(
                brew.pouredMl(), setup.pourMl(), brew.retainedMl(), brew.evaporatedMl(), brew.yieldMl(), dipMl);
    }

    /** Strained liquor at which the last reduction stops, mL; 0 without one. */
    static double reducedMl(BrewSetup setup) {
        return lastReduction(setup.stages())
                .map(r -> r.toMl() * setup.volumeScale())
                .orElse(0.0);
    }

    /** The reduction that decides what is left; empty when nothing is reduced. */
    static Optional<Stage.Reduce> lastReduction(List<Stage> stages) {
        return stages.stream()
                .filter(s -> s instanceof Stage.Reduce)
                .map(s -> (Stage.Reduce) s)
                .reduce((a, b) -> b);
    }
}
