package embercup.core.reading;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.asked;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.reading.WrittenRecipe.Kind;
import embercup.core.reading.WrittenRecipe.Line;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Reading what somebody wrote; all texts are made up. */
class WrittenRecipeTest {

    private static final double US_CUP_ML = 236.5882365;

    private static final String ROOTS = """
            Roots for a grey day

            Ingredients:
            - 4 tbsp dried dandelion root, sliced
            - 1-inch piece of fresh ginger, grated
            - 2 liquorice sticks
            - 3½ cups water

            Method:
            Bring to a boil, then simmer covered for 20 minutes. Strain.
            Makes 3 cups
            """;

    private static WrittenRecipe read(String text) {
        return WrittenRecipe.read(MATERIA, text, MeasureCustom.DEFAULT);
    }

    private static List<StageKind> kinds(WrittenRecipe w) {
        return w.recipe().stages().stream().map(Stage::kind).toList();
    }

    @Test
    void anIngredientListAndAMethodBecomeAPotThatCanBePlanned() {
        WrittenRecipe w = read(ROOTS);
        Recipe r = w.recipe();
        assertThat(r.name()).isEqualTo("Roots for a grey day");
        assertThat(r.cups()).isEqualTo(3);
        assertThat(r.pourMl().orElseThrow()).isCloseTo(3.5 * US_CUP_ML, within(0.06));
        assertThat(r.additions().get(0).herb()).isEqualTo("dandelion");
        assertThat(r.additions().get(0).quantity().unit()).isEqualTo(Unit.TABLESPOON);
        assertThat(r.additions().get(1).form()).isEqualTo(Form.FRESH);
        assertThat(r.additions().get(1).cut()).isEqualTo(Cut.GRATED);
        assertThat(r.additions().get(1).quantity().unit()).isEqualTo(Unit.INCH);
        assertThat(kinds(w)).containsExactly(StageKind.HEAT, StageKind.SIMMER, StageKind.STRAIN);
        assertThat(w.recipe().stages().get(1)).isEqualTo(new Stage.Simmer(20, Flame.LOW, true));
    }

    @Test
    void whatIsReadIsPlanned() {
        String text = ROOTS.replace("- 2 liquorice sticks\n", "");
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(read(text).recipe()));
        assertThat(plan.water().yieldMl()).isGreaterThan(500);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 tsp dried thyme | thyme | 2 | tsp",
                "1½ tbsp linden flowers, dried | linden | 1.5 | tbsp",
                "1 1/2 tbsp dried linden | linden | 1.5 | tbsp",
                "half a cup of dried nettle leaf | nettle | 0.5 | cup",
                "30g dried oat straw | oat-straw | 30 | g",
                "3 cardamom pods, dried, crushed | cardamom | 3 | pod",
                "a handful of fresh peppermint | peppermint | 1 | handful",
                "2-3 slices fresh ginger | ginger | 2.5 | slice",
                "1 cinnamon stick (cassia), dried | cinnamon-cassia | 1 | stick",
                "4 oz. fresh ginger root, sliced | ginger | 4 | oz",
                "2 parts dried nettle | nettle | 2 | part",
                "Matricaria chamomilla, 3 g | |  | ",
            })
    void amountsAreReadAsPeopleWriteThem(String line, String herb, Double amount, String unit) {
        WrittenRecipe w = read("A pot\n" + line + "\n2 cups water");
        if (herb == null) {
            assertThat(w.lines().get(1).kind()).isEqualTo(Kind.UNKNOWN);
            return;
        }
        Addition a = w.recipe().additions().get(0);
        assertThat(a.herb()).isEqualTo(herb);
        assertThat(a.quantity().amount()).isCloseTo(amount, within(1e-9));
        assertThat(a.quantity().unit().code()).isEqualTo(unit);
    }

    @Test
    void whatIsNotSaidIsAskedAndNotGuessedSilently() {
        Line line = read("A pot\n1 tbsp nettle\n2 cups water").lines().get(1);
        assertThat(asked(line)).singleElement().satisfies(a -> assertThat(a).startsWith("Fresh or dried?"));
        Line range = read("A pot\n2-3 tsp dried sage\n").lines().get(1);
        assertThat(asked(range)).anyMatch(a -> a.contains("range"));
        Line bare = read("A pot\n3 dried cardamom\n").lines().get(1);
        assertThat(asked(bare)).anyMatch(a -> a.contains("of what?"));
    }

    @Test
    void whatIsNotUnderstoodIsMarkedAndKeptOut() {
        WrittenRecipe w = read("A pot\n2 tsp moonwort\n1 tsp dried ragweed\nSing to it.");
        assertThat(w.recipe().additions()).isEmpty();
        assertThat(w.lines().get(1).kind()).isEqualTo(Kind.UNKNOWN);
        assertThat(w.lines().get(2).asks()).containsExactly(new Asked.NoHerb());
        assertThat(w.lines().get(3).kind()).isEqualTo(Kind.UNKNOWN);
    }

    @Test
    void anInfusionIsPouredSteepedAndFinishedInTheCup() {
        WrittenRecipe w = read("""
                Linden and honey
                2 tsp dried linden
                1 tsp honey
                Pour boiling water over the linden, cover and steep for 10 minutes.
                Strain. Sweeten with honey.
                """);
        assertThat(kinds(w)).containsExactly(StageKind.POUR, StageKind.STEEP, StageKind.STRAIN, StageKind.FINISH);
        assertThat(w.recipe().additions().get(1).stage()).isEqualTo(3);
    }

    @Test
    void leavesThatAreAddedLaterGoInLater() {
        WrittenRecipe w = read("""
                Root and leaf
                2 tbsp dried burdock root, sliced
                1 tbsp dried peppermint
                Bring burdock to the boil and simmer for 20 minutes.
                Add the peppermint, cover, and let stand for 5 minutes.
                Strain.
                """);
        assertThat(w.recipe().additions().get(0).stage()).isZero();
        assertThat(w.recipe()
                        .stages()
                        .get(w.recipe().additions().get(1).stage())
                        .kind())
                .isEqualTo(StageKind.REST);
    }

    /** 3 cups → 2, 1½ → 1, "until one cup is left" (common practice, no source). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Simmer until reduced to 2 cups. | 473.2",
                "Boil until one cup is left. | 236.6",
                "Reduce by half. | 354.9",
                "Boil down to 400 ml. | 400",
            })
    void aReductionIsReadWithItsEnd(String method, double toMl) {
        WrittenRecipe w = read("A pot\n2 tsp dried ginger, ground\n3 cups water\n" + method);
        assertThat(w.recipe().stages())
                .anySatisfy(s -> assertThat(s).isInstanceOfSatisfying(Stage.Reduce.class, r -> assertThat(r.toMl())
                        .isCloseTo(toMl, within(0.1))));
    }

    @Test
    void overnightIsEightHoursAndSaysSo() {
        WrittenRecipe w = read("Cold jar\n2 tbsp dried marshmallow root\n2 cups water\nSoak overnight. Strain.");
        assertThat(((Stage.Macerate) w.recipe().stages().get(0)).minutes()).isEqualTo(480);
        assertThat(asked(w.lines().get(3))).anyMatch(a -> a.contains("eight hours"));
    }

    @Test
    void aListWithoutAMethodLeavesTheStagesToBeProposed() {
        Recipe r = read("A pot\n2 tbsp dried burdock root\n2 cups water").recipe();
        assertThat(r.stages()).isEmpty();
        assertThat(PLANNER.plan(PlanRequest.asWritten(r)).reasons()).isNotEmpty();
    }

    @Test
    void listAndStagesThatContradictEachOtherAreBothShown() {
        WrittenRecipe w = read("""
                Too little
                2 tbsp dried burdock root, sliced
                2 cups water
                Bring to a boil, simmer for 15 minutes. Strain.
                Makes 3 cups
                """);
        assertThat(PLANNER.plan(PlanRequest.asWritten(w.recipe())).notes())
                .anyMatch(n -> n.code().equals("recipe-contradicts-itself"));
    }

    @Test
    void partsAreSharesOfTheRoom() {
        Recipe r = read("Jar\n2 parts dried nettle\n1 part dried oat straw\nMakes 3 cups")
                .recipe();
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(r));
        for (int i = 0; i < 2; i++) {
            var usual = MATERIA.herb(r.additions().get(i).herb(), "herb")
                    .dose(r.tradition(), Form.DRIED)
                    .orElseThrow()
                    .perCupG();
            double share = i == 0 ? 2 / 3.0 : 1 / 3.0;
            assertThat(plan.additions().get(i).perCupG())
                    .isCloseTo((usual.low() + usual.high()) / 2 * share, within(0.01));
        }
    }
}
