package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the pot itself has to say. */
class PotNotesTest {

    private static final List<embercup.core.recipe.Addition> GINGER =
            List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0));

    private static BrewPlan in(Vessel vessel, Recipe recipe, double cups) {
        return PLANNER.plan(PlanRequest.asWritten(recipe)
                .withKitchen(Kitchen.STANDARD.withVessel(vessel))
                .withCups(cups));
    }

    private static Optional<Caution> note(BrewPlan plan, String code) {
        return plan.notes().stream().filter(n -> n.code().equals(code)).findFirst();
    }

    @Test
    void aPotThatIsTooSmallIsSaidAndOneThatWouldRunOverIsAStop() {
        Vessel small = Vessel.of("milk pot", Vessel.Kind.POT, 12, 8);
        assertThat(note(in(small, rootPot(), 2), "vessel-too-small")).isEmpty();
        assertThat(note(in(small, rootPot(), 3), "vessel-too-small"))
                .hasValueSatisfying(n -> assertThat(n.severity()).isEqualTo(Severity.CARE));
        assertThat(note(in(small, rootPot(), 8), "vessel-too-small")).hasValueSatisfying(n -> {
            assertThat(n.severity()).isEqualTo(Severity.STOP);
            assertThat(WORDS.say(n)).contains("milk pot").contains("larger one or make fewer cups");
        });
    }

    @Test
    void aBlueCupThatTurnsPinkWithLemonIsNotSpoilt() {
        var flower = dried("butterfly-pea", Cut.WHOLE, 1, Unit.GRAM, 0);
        var lemon = new embercup.core.recipe.Addition(
                "lemon-juice",
                embercup.core.materia.Form.FRESH,
                Cut.WHOLE,
                embercup.core.measure.Quantity.of(1, Unit.TEASPOON),
                4);
        Stage pour = new Stage.Pour(OptionalDouble.empty());
        Stage steep = new Stage.Steep(8, true);
        BrewPlan plain = plan(recipe(Tradition.FOLK, 1, 240, List.of(flower), heat(), pour, steep, strain()));
        BrewPlan sour = plan(recipe(
                Tradition.FOLK, 1, 240, List.of(flower, lemon), heat(), pour, steep, strain(), new Stage.Finish()));
        assertThat(note(plain, "acid-turn")).as("nothing sour comes to it").isEmpty();
        assertThat(note(sour, "acid-turn")).hasValueSatisfying(n -> assertThat(WORDS.say(n))
                .contains("from blue to pink", "as the lemon juice comes to it"));
        assertThat(note(plan(rootPot()), "acid-turn")).isEmpty();
    }

    @Test
    void withoutAVesselThePlanChoosesOneThatHoldsThePot() {
        for (double cups : new double[] {1, 2, 4, 8, 16, 40}) {
            BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(rootPot()).withCups(cups));
            assertThat(note(plan, "vessel-too-small")).as(cups + " cups").isEmpty();
        }
    }

    @Test
    void herbsInAWidePotAreHardlyCovered() {
        Vessel wide = Vessel.of("preserving pan", Vessel.Kind.POT, 38, 14);
        assertThat(note(in(wide, rootPot(), 1), "herbs-not-covered")).isPresent();
        assertThat(note(plan(rootPot()), "herbs-not-covered")).isEmpty();
    }

    @Test
    void aPotLeftOnAHighFlameBoilsDryAndIsStopped() {
        Recipe forgotten =
                withPour(recipe(Tradition.FOLK, 1, 240, GINGER, new Stage.Boil(60, Flame.HIGH, false), strain()), 400);
        assertThat(note(plan(forgotten), "boils-dry"))
                .hasValueSatisfying(n -> assertThat(n.severity()).isEqualTo(Severity.STOP));
        assertThat(note(plan(withPour(forgotten, 4000)), "boils-dry")).isEmpty();
    }

    @Test
    void aSpiritLampNeverBringsAnOpenPotToTheBoil() {
        Kitchen lamp = new Kitchen(
                0,
                20,
                15,
                Optional.of(Vessel.of("pot", Vessel.Kind.POT, 24, 14)),
                new Burner("lamp", 60, 120, 180),
                2000);
        Recipe open = recipe(
                Tradition.FOLK,
                4,
                240,
                GINGER,
                new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, false),
                simmer(10, false),
                strain());
        assertThat(note(PLANNER.plan(PlanRequest.asWritten(open).withKitchen(lamp)), "never-boils"))
                .isPresent();
        assertThat(note(plan(open), "never-boils")).isEmpty();
    }

    private static BrewPlan openOn(double highW, double litres, boolean lid) {
        Kitchen kitchen = Kitchen.STANDARD
                .withVessel(Vessel.of("pot", Vessel.Kind.POT, 24, 16))
                .withBurner(new Burner("small burner", highW / 4, highW / 2, highW));
        Recipe pot = recipe(
                Tradition.FOLK,
                Math.rint(litres * 4),
                240,
                GINGER,
                new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, lid),
                simmer(10, true),
                strain());
        return PLANNER.plan(PlanRequest.asWritten(pot).withKitchen(kitchen));
    }

    /** Three litres on a small open flame lose by their surface what the flame gives: the lid is told, and gone once it is on. */
    @ParameterizedTest
    @CsvSource({"500, 3, true", "700, 3, true", "1200, 3, true", "400, 2, true", "2000, 1, false", "1200, 0.25, false"})
    void anOpenPotThatIsSlowToTheBoilAsksForItsLid(double highW, double litres, boolean told) {
        assertThat(note(openOn(highW, litres, false), "lid-to-heat").isPresent())
                .isEqualTo(told);
        assertThat(note(openOn(highW, litres, true), "lid-to-heat")).isEmpty();
    }

    /** The same recipe for other cups: where its strength is another, the sheet says why. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 2, 4, 8, 12})
    void otherCupsOfOneRecipeSayWhyTheyAreWeaker(double cups) {
        Recipe own = recipe(Tradition.FOLK, 3, 240, GINGER, heat(), reduce(720), strain());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(own)
                .withCups(cups)
                .withKitchen(Kitchen.STANDARD.withVessel(Vessel.of("wide pot", Vessel.Kind.POT, 30, 24))));
        boolean off = Math.abs(plan.strength() - 1) >= 0.15;
        boolean says = plan.notes().stream().anyMatch(n -> Set.of("other-cups-other-time", "cannot-hold", "never-boils")
                .contains(n.code()));
        assertThat(says || !off).as("%.2f", plan.strength()).isTrue();
    }

    @Test
    void twoYieldsThatDifferByMoreThanASixthAreBothShown() {
        Recipe twoReadings = recipe(Tradition.AYURVEDIC, 2, 240, GINGER, heat(), reduce(300), strain());
        assertThat(note(plan(twoReadings), "recipe-contradicts-itself"))
                .hasValueSatisfying(
                        n -> assertThat(WORDS.say(n)).contains("480 mL").contains("300 mL"));
        Recipe nearly = recipe(Tradition.AYURVEDIC, 2, 240, GINGER, heat(), reduce(440), strain());
        assertThat(note(plan(nearly), "recipe-contradicts-itself")).isEmpty();
    }

    @Test
    void waterThatCannotLeaveTheCupsItPromisesIsSaid() {
        Recipe little = withPour(recipe(Tradition.FOLK, 3, 240, GINGER, boil(10, false), strain()), 500);
        assertThat(note(plan(little), "recipe-contradicts-itself"))
                .hasValueSatisfying(
                        n -> assertThat(WORDS.say(n)).contains("3 cups").contains("720 mL"));
        Recipe enough = withPour(recipe(Tradition.FOLK, 3, 240, GINGER, boil(10, false), strain()), 920);
        assertThat(note(plan(enough), "recipe-contradicts-itself")).isEmpty();
    }

    @Test
    void aRecipesOwnWaterGrowsWithTheCupsButNotItsSteam() {
        Recipe own = withPour(recipe(Tradition.FOLK, 2, 240, GINGER, boil(10, false), strain()), 680);
        PlanRequest two = PlanRequest.asWritten(own)
                .withKitchen(Kitchen.STANDARD.withVessel(Vessel.of("pot", Vessel.Kind.POT, 20, 14)));
        var small = PLANNER.plan(two).water();
        var large = PLANNER.plan(two.withCups(4)).water();
        assertThat(small.startMl()).isEqualTo(680);
        assertThat(large.yieldMl()).isCloseTo(2 * small.yieldMl(), org.assertj.core.api.Assertions.within(0.1));
        assertThat(large.startMl()).isLessThan(2 * small.startMl());
    }
}
