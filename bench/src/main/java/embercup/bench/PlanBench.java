package embercup.bench;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What a full plan costs in core, on one thread. Budget: a six-herb two-boil decoction in a median under 1 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class PlanBench {

    private final Planner planner = new Planner(Materia.shipped());
    private final PlanRequest twoBoils = PlanRequest.asWritten(twoBoilRecipe());
    private final PlanRequest overnight = PlanRequest.asWritten(overnightRecipe());

    private final Care care = new Care(Materia.shipped());
    private final Materia withOwn = Materia.shipped()
            .with(List.of(Herb.own("yard-leaf", "Leaf of the yard", "", PlantPart.LEAF, "", List.of())));
    private final Planner ownPlanner = new Planner(withOwn);
    private final Care ownCare = new Care(withOwn);
    private final PlanRequest own = PlanRequest.asWritten(new Recipe(
            "A leaf of the yard",
            Tradition.FOLK,
            1,
            240,
            OptionalDouble.empty(),
            List.of(dried("yard-leaf", 3)),
            List.of(new Stage.Simmer(10, Flame.LOW, true), new Stage.Strain(false))));

    private static Addition dried(String herb, double grams) {
        return new Addition(herb, Form.DRIED, Cut.SLICED, Quantity.of(grams, Unit.GRAM), 0);
    }

    private static Recipe twoBoilRecipe() {
        return new Recipe(
                "Six herbs, two boils",
                Tradition.CHINESE,
                3,
                200,
                OptionalDouble.empty(),
                List.of(
                        dried("astragalus", 20),
                        dried("codonopsis", 15),
                        dried("poria", 12),
                        dried("white-peony", 10),
                        dried("jujube", 12),
                        dried("liquorice", 2)),
                List.of(
                        new Stage.Simmer(40, Flame.LOW, true),
                        new Stage.Strain(false),
                        new Stage.Refill(500),
                        new Stage.Simmer(40, Flame.LOW, true),
                        new Stage.Strain(false),
                        new Stage.Combine()));
    }

    private static Recipe overnightRecipe() {
        return new Recipe(
                "Overnight",
                Tradition.MONOGRAPH,
                3,
                200,
                OptionalDouble.empty(),
                List.of(dried("marshmallow", 9)),
                List.of(new Stage.Macerate(480, OptionalDouble.empty(), true), new Stage.Strain(false)));
    }

    @Benchmark
    public BrewPlan sixHerbsTwoBoils() {
        return planner.plan(twoBoils);
    }

    /** What a drinker is told of it, beside the plan: a part of every answer over HTTP. */
    @Benchmark
    public Care.Verdict sixHerbsPlannedAndJudged() {
        return care.judge(planner.plan(twoBoils), History.NONE);
    }

    /** A herb that the materia does not know is compared with the names of every plant that it refuses. */
    @Benchmark
    public Care.Verdict aHerbOfTheCooksOwnPlannedAndJudged() {
        return ownCare.judge(ownPlanner.plan(own), History.NONE);
    }

    @Benchmark
    public BrewPlan overnightMaceration() {
        return planner.plan(overnight);
    }

    @Benchmark
    public double aDayOfFivePlans() {
        double strength = 0;
        for (int i = 0; i < 5; i++) {
            strength += planner.plan(i % 2 == 0 ? twoBoils : overnight).strength();
        }
        return strength;
    }
}
