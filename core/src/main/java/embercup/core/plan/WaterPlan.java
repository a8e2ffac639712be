package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.Charge;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The water of a brew, mL; pour + brought = yield + retained + evaporated.
 *
 * @param pourMl all water that goes in, refills included
 * @param startMl water at the start, without refills; what a blender brings that is filled first is in it
 * @param dipMl level at which a reduction stops: strained liquor, what the herbs that are in by then hold and displace; 0
 *     without a reduction
 * @param broughtMl milk and juice that go in beside the water
 */
public record WaterPlan(
        double pourMl,
        double startMl,
        double retainedMl,
        double evaporatedMl,
        double yieldMl,
        double dipMl,
        double broughtMl) {

    static WaterPlan of(BrewSetup setup, BrewResult brew) {
        double reducedMl = reducedMl(setup);
        double dipMl = reducedMl == 0
                ? 0
                : reducedMl
                        + atMark(setup).stream()
                                .mapToDouble(c -> c.keptMl(pressedAfterMark(setup)) + c.displacedMl())
                                .sum();
        return new WaterPlan(
                brew.pouredMl(),
                startMl(setup),
                brew.retainedMl(),
                brew.evaporatedMl(),
                brew.yieldMl(),
                dipMl,
                brew.broughtMl());
    }

    /** What is there when it begins: a blender that is filled first brings all of it. */
    private static double startMl(BrewSetup setup) {
        return setup.pourMl() + setup.stages().get(0).bringsMl() * setup.volumeScale();
    }

    /** Strained liquor at which the last reduction stops, mL; 0 without one. */
    static double reducedMl(BrewSetup setup) {
        return lastReduction(setup.stages())
                .map(r -> r.toMl() * setup.volumeScale())
                .orElse(0.0);
    }

    /** Herbs that are in the pot when the last reduction stops: what goes in later neither soaks nor lifts the water yet. */
    static List<Charge> atMark(BrewSetup setup) {
        return setup.herbsIn(markStage(setup.stages()));
    }

    /** Room that these take under water, mL. */
    public static double displacedAtMarkMl(BrewSetup setup) {
        return atMark(setup).stream().mapToDouble(Charge::displacedMl).sum();
    }

    /** Whether the herbs are pressed after it. */
    static boolean pressedAfterMark(BrewSetup setup) {
        return setup.stages().stream()
                .skip(markStage(setup.stages()))
                .filter(Stage.Strain.class::isInstance)
                .map(s -> ((Stage.Strain) s).pressed())
                .findFirst()
                .orElse(false);
    }

    private static int markStage(List<Stage> stages) {
        return IntStream.range(0, stages.size())
                .filter(i -> stages.get(i) instanceof Stage.Reduce)
                .max()
                .orElse(0);
    }

    /** The reduction that decides what is left; empty when nothing is reduced. */
    static Optional<Stage.Reduce> lastReduction(List<Stage> stages) {
        return stages.stream()
                .filter(s -> s instanceof Stage.Reduce)
                .map(s -> (Stage.Reduce) s)
                .reduce((a, b) -> b);
    }
}
