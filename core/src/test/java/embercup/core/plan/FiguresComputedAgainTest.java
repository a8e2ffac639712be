package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.AnyPot;
import embercup.core.brew.BrewEquation;
import embercup.core.brew.StageRun;
import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.kitchen.KitchenEquation;
import embercup.core.materia.Constituent;
import embercup.core.workings.Workings;
import embercup.core.workings.Workings.Equation;
import embercup.core.workings.Workings.Op;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A figure is its tree: whoever computes every tree again from its leaves gets the number that is shown, for any pot. */
class FiguresComputedAgainTest {

    private static final Map<String, Equation> EQUATIONS = Stream.of(
                    Arrays.<Equation>stream(KitchenEquation.values()),
                    Arrays.<Equation>stream(BrewEquation.values()),
                    Arrays.<Equation>stream(StrengthEquation.values()))
            .flatMap(Function.identity())
            .collect(Collectors.toMap(Equation::code, Function.identity()));

    /** From the leaves up, in this test's own words for every operation. */
    private static double again(Workings w) {
        List<Workings> in = w.inputs().stream()
                .map(i -> new Workings(
                        i.term(), i.of(), i.op(), i.equation(), again(i), i.unit(), i.source(), i.inputs()))
                .toList();
        double[] v = in.stream().mapToDouble(Workings::value).toArray();
        return switch (w.op()) {
            case GIVEN -> w.value();
            case SUM -> Arrays.stream(v).sum();
            case DIFFERENCE -> 2 * v[0] - Arrays.stream(v).sum();
            case PRODUCT -> Arrays.stream(v).reduce(1, (a, b) -> a * b);
            case QUOTIENT -> v[0] / Arrays.stream(v).skip(1).reduce(1, (a, b) -> a * b);
            case LEAST -> Arrays.stream(v).min().orElseThrow();
            case MOST -> Arrays.stream(v).max().orElseThrow();
            case CHOSEN -> v[0];
            case SOLVED -> EQUATIONS.get(w.equation()).solve(in);
        };
    }

    private static void shows(Map<String, Workings> all, String number, double shown) {
        assertThat(all).as("has no why").containsKey(number);
        double computed = again(all.get(number));
        double close = Math.max(1e-9, Math.abs(shown) * 2e-4);
        assertThat(computed).as(number).isCloseTo(shown, within(close));
        assertThat(all.get(number).value()).as(number).isCloseTo(computed, within(close));
    }

    @ParameterizedTest
    @ValueSource(
            longs = {
                1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27, 28,
                29, 30, 31, 32, 33, 34, 35, 36, 37, 38, 39, 40
            })
    void everyTreeGivesTheNumberThatIsShown(long seed) {
        Random random = new Random(seed);
        PlanRequest request = AnyPot.request(random);
        BrewPlan plan = PLANNER.plan(request);
        Map<String, Workings> all = plan.explained();
        for (int i = 0; i < plan.additions().size(); i++) {
            shows(all, "additions." + i + ".grams", plan.additions().get(i).grams());
        }
        shows(all, "boilingC", plan.boilingC());
        shows(all, "water.pourMl", plan.water().pourMl());
        shows(all, "water.retainedMl", plan.water().retainedMl());
        shows(all, "water.evaporatedMl", plan.water().evaporatedMl());
        shows(all, "water.yieldMl", plan.water().yieldMl());
        if (plan.water().dipMl() > 0) {
            shows(all, "water.dipMl", plan.water().dipMl());
        }
        shows(all, "totalS", plan.totalS() / 60);
        shows(all, "strength", plan.strength());
        shows(all, "strengthLow", plan.strengthLow());
        shows(all, "strengthHigh", plan.strengthHigh());
        shows(all, "aroma", plan.aroma());
        shows(all, "bite", plan.bite());
        for (StageRun run : plan.stages()) {
            if (run.heatS() > 0) {
                shows(all, "stages." + run.index() + ".heatS", run.heatS() / 60);
            }
            if (all.containsKey("stages." + run.index() + ".properS")) {
                shows(all, "stages." + run.index() + ".properS", run.properS() / 60);
            }
        }
        plan.brew().cup().honeyAfterS().ifPresent(s -> shows(all, "honeyAfterS", s / 60));
        double left = plan.brew().leftInHerbs().stream()
                .mapToDouble(m -> m.getOrDefault(embercup.core.materia.ExtractClass.BODY, 0.0))
                .max()
                .orElse(0);
        shows(all, "leftInHerbs", left);
        Care.Verdict verdict =
                new Care(MATERIA).judge(plan, History.ofDay(Map.of(Constituent.CAFFEINE, random.nextDouble() * 90)));
        verdict.loads()
                .forEach(l -> shows(
                        verdict.workings(),
                        "dailyLoads." + l.constituent().name().toLowerCase(),
                        l.mg()));
        verdict.loads().forEach(l -> assertThat(again(l.limit())).isCloseTo(l.limitMg(), within(1e-9)));
    }

    @Test
    void aGivenFigureComesFromNothingAndEverythingElseFromSomething() {
        for (Op op : Op.values()) {
            if (op == Op.GIVEN || op == Op.SOLVED) {
                org.assertj.core.api.Assertions.assertThatThrownBy(() -> Workings.compute(
                                op,
                                List.of(
                                        Workings.given(embercup.core.workings.Term.GRAMS, 1, "g"),
                                        Workings.given(embercup.core.workings.Term.GRAMS, 1, "g"))))
                        .isInstanceOf(IllegalArgumentException.class);
            }
        }
    }
}
