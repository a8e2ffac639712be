package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.brew.StageRun;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Cups that wait for nothing: poured, blended, drunk, whole or strained. */
class NoWaitTest {

    private static final Addition GINGER = fresh("ginger", Cut.SLICED, 10, Unit.GRAM, 0);

    private static Stage blend(double addMl) {
        return new Stage.Work(StageKind.BLEND, addMl == 0 ? OptionalDouble.empty() : OptionalDouble.of(addMl));
    }

    private static Recipe cup(Stage... stages) {
        return recipe(Tradition.FOLK, 1, 250, List.of(GINGER), stages);
    }

    private static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe));
    }

    private static List<String> said(BrewPlan plan) {
        return plan.steps().stream().map(s -> WORDS.label(plan, s)).toList();
    }

    private static void balances(BrewPlan plan) {
        WaterPlan water = plan.water();
        assertThat(water.pourMl()).isCloseTo(water.yieldMl() + water.retainedMl() + water.evaporatedMl(), within(0.01));
        assertThat(plan.explained().get("water.pourMl").value()).isCloseTo(water.pourMl(), within(0.01));
    }

    /** The water of the blender is all the water there is, and it is counted once. */
    @Test
    void theBlendersOwnWaterIsCountedOnce() {
        BrewPlan whole = plan(cup(blend(250)));
        assertThat(whole.water().pourMl()).isCloseTo(250, within(1e-6));
        assertThat(whole.water().startMl()).isCloseTo(250, within(1e-6));
        assertThat(whole.water().yieldMl()).as("nothing stays behind").isCloseTo(250, within(0.5));
        assertThat(whole.stages().get(0).endC()).as("it is never heated").isLessThan(21);
        assertThat(whole.totalS()).isLessThan(5 * 60);
        assertThat(said(whole)).anyMatch(s -> s.contains("Blend it with 250 mL of water"));
        balances(whole);
        BrewPlan strained = plan(cup(blend(250), strain()));
        assertThat(strained.water().retainedMl()).isPositive();
        assertThat(strained.water().yieldMl()).isLessThan(250);
        balances(strained);
        BrewPlan four = PLANNER.plan(PlanRequest.asWritten(cup(blend(250))).withCups(4));
        assertThat(four.water().pourMl()).isCloseTo(1000, within(1e-6));
    }

    /** A hot pot thinned by the water of the blender: as warm as two waters that are mixed (conservation of energy). */
    @Test
    void coldWaterInTheBlenderCoolsWhatIsHot() {
        Recipe recipe = withPour(cup(heat(), simmer(5, true), blend(200)), 200);
        BrewPlan plan = plan(recipe);
        StageRun simmered = plan.stages().get(1);
        StageRun blended = plan.stages().get(2);
        double mixed = (simmered.endMl() * simmered.endC() + 200 * 15) / (simmered.endMl() + 200);
        assertThat(blended.endC()).isCloseTo(mixed, within(3.0));
        balances(plan);
    }

    /** Steam lifts the lid of a blender: it is told, with how long it must cool, and what has cooled is quiet. */
    @Test
    void whatIsBlendedHotSaysHowFarItMustCool() {
        Recipe hot = withPour(cup(heat(), simmer(10, true), blend(0)), 400);
        Caution.BlendsHot told = plan(hot).notes().stream()
                .filter(n -> n instanceof Caution.BlendsHot)
                .map(n -> (Caution.BlendsHot) n)
                .findFirst()
                .orElseThrow();
        assertThat(told.now().celsius()).isGreaterThan(90);
        assertThat(told.minutes().orElseThrow()).isBetween(5.0, 60.0);
        Recipe cooled = withPour(cup(heat(), simmer(10, true), new Stage.Cool(60, false), blend(0)), 400);
        BrewPlan waits = plan(cooled);
        assertThat(waits.notes()).noneMatch(n -> n instanceof Caution.BlendsHot);
        assertThat(waits.stages().get(2).durationS() / 60)
                .as("the minutes that were told are those of the wait")
                .isCloseTo(told.minutes().orElseThrow(), within(1.0));
    }

    @Test
    void aPourThatIsDrunkWholeNeedsNoWaitAndOneThatIsStrainedDoes() {
        Recipe powder = recipe(Tradition.FOLK, 1, 240, List.of(dried("cacao", Cut.GROUND, 5, Unit.GRAM, 0)), pour());
        assertThat(plan(powder).totalS()).isLessThan(10 * 60);
        assertThatThrownBy(() -> plan(cup(pour(), strain()))).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> plan(cup(simmer(5, true), new Stage.Work(StageKind.STIR, OptionalDouble.of(100)))))
                .isInstanceOfSatisfying(InvalidInputException.class, e -> assertThat(e.violations())
                        .anyMatch(v -> v.field().equals("recipe.stages[1].addMl")));
    }
}
