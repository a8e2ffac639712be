package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.child;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.recipe.Recipe;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Every number answers "why?". */
class WorkingsTest {

    private static List<Workings> all(Workings top) {
        List<Workings> flat = new ArrayList<>(List.of(top));
        top.inputs().forEach(i -> flat.addAll(all(i)));
        return flat;
    }

    private static Workings why(BrewPlan plan, String number) {
        return java.util.Objects.requireNonNull(plan.workings().get(number), number);
    }

    @Test
    void everyShownNumberHasItsTreeAndTheTreeEndsInTheNumber() {
        for (Recipe pot : List.of(lindenCup(), rootPot(), twoBoils())) {
            BrewPlan plan = plan(pot);
            for (int i = 0; i < plan.additions().size(); i++) {
                assertThat(why(plan, "additions." + i + ".grams").value())
                        .isCloseTo(plan.additions().get(i).grams(), within(1e-9));
            }
            assertThat(why(plan, "water.pourMl").value()).isEqualTo(plan.water().pourMl());
            assertThat(why(plan, "water.retainedMl").value())
                    .isEqualTo(plan.water().retainedMl());
            assertThat(why(plan, "water.evaporatedMl").value())
                    .isEqualTo(plan.water().evaporatedMl());
            assertThat(why(plan, "water.yieldMl").value())
                    .isEqualTo(plan.water().yieldMl());
            assertThat(why(plan, "strength").value()).isEqualTo(plan.strength());
            assertThat(why(plan, "boilingC").value()).isEqualTo(plan.boilingC());
            assertThat(why(plan, "aroma").value()).isEqualTo(plan.aroma());
            assertThat(why(plan, "bite").value()).isEqualTo(plan.bite());
            assertThat(why(plan, "strengthLow").value()).isCloseTo(plan.strengthLow(), within(1e-9));
            assertThat(why(plan, "strengthHigh").value()).isCloseTo(plan.strengthHigh(), within(1e-9));
            assertThat(why(plan, "totalS").value()).isCloseTo(plan.totalS() / 60, within(1e-9));
            assertThat(why(plan, "leftInHerbs").inputs())
                    .hasSize(plan.brew().leftInHerbs().size());
        }
    }

    /** Water that has to go over what 700 W boil away (latent heat, IAPWS-IF97) is the time of a reduction. */
    @Test
    void aReductionAnswersWhyItTakesSoLong() {
        Recipe pot = embercup.core.Pots.recipe(
                embercup.core.materia.Tradition.AYURVEDIC,
                2,
                240,
                List.of(embercup.core.Pots.dried(
                        "ginger", embercup.core.materia.Cut.CHOPPED, 2, embercup.core.measure.Unit.GRAM, 0)),
                embercup.core.Pots.heat(),
                embercup.core.Pots.reduce(480),
                embercup.core.Pots.strain());
        Workings why = why(plan(pot), "stages.1.properS");
        double lost = why.inputs().get(0).value();
        double watts = why.inputs().get(1).value();
        double perGram = why.inputs().get(2).value();
        assertThat(why.value()).isCloseTo(lost * perGram / watts / 60, within(0.05));
    }

    @Test
    void thePourIsTheSumOfWhatItNames() {
        Workings pour = why(plan(rootPot()), "water.pourMl");
        assertThat(pour.inputs().stream().mapToDouble(Workings::value).sum()).isCloseTo(pour.value(), within(0.05));
        assertThat(pour.formula()).isEqualTo("strained liquor + kept by the herbs + steam");
    }

    @Test
    void whatTheHerbsKeepIsTheSumOverTheHerbs() {
        Workings kept = why(plan(twoBoils()), "water.retainedMl");
        assertThat(kept.inputs()).hasSize(3);
        assertThat(kept.inputs().stream().mapToDouble(Workings::value).sum()).isCloseTo(kept.value(), within(1e-6));
    }

    /** Dispensary practice (mem): a gram of dried root keeps 1.5 mL drained, 0.9 pressed; a flower 4.5. */
    @Test
    void rootsKeepAMillilitreAndAHalfAndFlowersThreeTimesThat() {
        BrewPlan roots = plan(rootPot());
        assertThat(roots.water().retainedMl()).isCloseTo(13 * 1.5, within(1e-6));
        BrewPlan flowers = plan(lindenCup());
        assertThat(flowers.water().retainedMl()).isCloseTo(3 * 4.5, within(1e-6));
        BrewPlan pressed = plan(rootPot()
                .withStages(List.of(
                        embercup.core.Pots.heat(),
                        embercup.core.Pots.simmer(25, true),
                        new embercup.core.recipe.Stage.Strain(true))));
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
            plan(pot).workings().values().forEach(w -> assertThat(all(w)).allSatisfy(s -> {
                if (!s.source().isEmpty()) {
                    assertThat(MATERIA.sources()).containsKey(s.source());
                }
            }));
        }
    }

    @Test
    void aChildsDoseNamesBothRules() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(lindenCup()).withDrinker(child(8, 26)));
        List<String> labels = all(why(plan, "additions.0.grams")).stream()
                .map(Workings::label)
                .toList();
        assertThat(labels).contains("Clark's rule", "Young's rule", "share of an adult dose");
    }

    @Test
    void aGivenNumberHasNoFormulaAndAComputedOneHas() {
        plan(rootPot()).workings().values().forEach(w -> assertThat(all(w)).allSatisfy(s -> {
            if (!s.inputs().isEmpty()) {
                assertThat(s.formula()).as(s.label()).isNotBlank();
            }
        }));
    }
}
