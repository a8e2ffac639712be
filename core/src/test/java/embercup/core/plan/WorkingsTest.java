package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Every number answers "why?". That each tree computes its number is tested by {@code FiguresComputedAgainTest}. */
class WorkingsTest {

    private static List<Workings> all(Workings top) {
        List<Workings> flat = new ArrayList<>(List.of(top));
        top.inputs().forEach(i -> flat.addAll(all(i)));
        return flat;
    }

    private static Workings why(BrewPlan plan, String number) {
        return Objects.requireNonNull(plan.explained().get(number), number);
    }

    /** Water that has to go over what 700 W boil away (latent heat, IAPWS-IF97) is the time of a reduction. */
    @Test
    void aReductionAnswersWhyItTakesSoLong() {
        Recipe pot = recipe(
                Tradition.AYURVEDIC,
                2,
                240,
                List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                heat(),
                reduce(480),
                strain());
        BrewPlan plan = plan(pot);
        Workings why = why(plan, "stages.1.properS");
        double lost = plan.stages().get(1).startMl() - plan.stages().get(1).endMl();
        assertThat(why.value()).isCloseTo(lost * 2256.5 / 700 / 60, within(0.05));
        assertThat(all(why))
                .extracting(WORDS::label)
                .contains("heat that reaches the water", "heat to turn a gram into steam");
    }

    @Test
    void thePourIsSaidAsTheSumOfItsParts() {
        Workings pour = why(plan(rootPot()), "water.pourMl");
        assertThat(WORDS.formula(pour)).isEqualTo("strained liquor + kept by the herbs + steam");
        assertThat(WORDS.formula(pour.inputs().get(0))).isEqualTo("cups × cup size");
    }

    @Test
    void whatTheHerbsKeepNamesEveryHerb() {
        assertThat(why(plan(twoBoils()), "water.retainedMl").inputs()).hasSize(3);
    }

    /** Dispensary practice (mem): a gram of dried root keeps 1.5 mL drained, 0.9 pressed; a flower 4.5. */
    @Test
    void rootsKeepAMillilitreAndAHalfAndFlowersThreeTimesThat() {
        BrewPlan roots = plan(rootPot());
        assertThat(roots.water().retainedMl()).isCloseTo(13 * 1.5, within(1e-6));
        BrewPlan flowers = plan(lindenCup());
        assertThat(flowers.water().retainedMl()).isCloseTo(3 * 4.5, within(1e-6));
        BrewPlan pressed = plan(rootPot().withStages(List.of(heat(), simmer(25, true), new Stage.Strain(true))));
        assertThat(pressed.water().retainedMl()).isCloseTo(13 * 0.9, within(1e-6));
    }

    /** Dispensary rule for decoctions (mem): water = 1.6 mL/g × herbs + boil-off × minutes + wanted yield. */
    @Test
    void theWaterOfADecoctionIsNearTheDispensaryRule() {
        BrewPlan plan = plan(rootPot());
        var simmer = plan.stages().get(1);
        double boilOffPerMin = (simmer.startMl() - simmer.endMl()) / 25;
        double rule = 1.6 * 13 + boilOffPerMin * 25 + 480;
        assertThat(plan.water().pourMl()).isCloseTo(rule, within(rule * 0.02));
    }

    @Test
    void everySourceThatIsNamedIsInTheSourceList() {
        for (Recipe pot : List.of(lindenCup(), rootPot(), twoBoils())) {
            plan(pot).explained().values().forEach(w -> assertThat(all(w)).allSatisfy(s -> {
                if (!s.source().isEmpty()) {
                    assertThat(MATERIA.sources()).containsKey(s.source());
                }
            }));
        }
    }

    @Test
    void aChildsDoseNamesBothRules() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(lindenCup()).withDrinker(child(8, 26)));
        assertThat(all(why(plan, "additions.0.grams")))
                .extracting(WORDS::label)
                .contains("Clark's rule", "Young's rule", "share of an adult dose");
    }

    @Test
    void aGivenNumberHasNoFormulaAndAComputedOneHas() {
        plan(rootPot()).explained().values().forEach(w -> assertThat(all(w)).allSatisfy(s -> {
            if (s.op() != Workings.Op.GIVEN && !s.inputs().isEmpty()) {
                assertThat(WORDS.formula(s)).as(WORDS.label(s)).isNotBlank();
            }
        }));
    }
}
