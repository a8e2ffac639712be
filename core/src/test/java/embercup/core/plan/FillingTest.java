package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.measure.MeasureCustom;
import embercup.core.reading.Answers;
import embercup.core.reading.Reader;
import embercup.core.recipe.Recipe;
import embercup.core.words.Words;
import embercup.core.workings.Workings;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Water by the rim and by the herbs: what a ruler in the vessel says, by hand. */
class FillingTest {

    private static final Reader READER = new Reader(MATERIA);
    /** 9 cm wide and 18 cm high: 1145.1 mL to the brim, 63.617 mL to the centimetre. */
    private static final Vessel JAR = Vessel.of("jar", Vessel.Kind.JAR, 9, 18);

    private static final double ML_PER_CM = Math.PI * 81 / 4;

    private static Recipe read(String text) {
        return READER.read(text, MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE)
                .recipe();
    }

    private static BrewPlan inJar(String text) {
        return inJar(read(text));
    }

    private static BrewPlan inJar(Recipe recipe) {
        return new Planner(MATERIA).plan(PlanRequest.asWritten(recipe).withKitchen(Kitchen.STANDARD.withVessel(JAR)));
    }

    @ParameterizedTest
    @CsvSource({
        "to an inch below the rim, 2.54",
        "to within 3 cm of the rim, 3",
        "leaving two inches of headspace, 5.08",
    })
    void aJarFilledToBelowItsRimStandsThere(String how, double cm) {
        BrewPlan plan = inJar("Jar\n2 tbsp dried marshmallow root\nFill with cold water " + how + ". 8 hours. Strain.");
        assertThat(plan.water().startMl() + plan.displacedMl()).isCloseTo((18 - cm) * ML_PER_CM, within(0.5));
        assertThat(JAR.fromRimCm(plan.water().startMl() + plan.displacedMl())).isCloseTo(cm, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({"two inches over the herb, 5.08", "3 cm above the roots, 3"})
    void waterOverTheHerbsStandsOverWhatTheySwellTo(String how, double cm) {
        BrewPlan plan = inJar("Jar\n20 g dried marshmallow root\nCover with cold water " + how + ". 8 hours. Strain.");
        double bed = plan.displacedMl() + plan.pot().keptMl(false);
        double full = plan.water().startMl() + plan.displacedMl();
        assertThat(JAR.levelCm(full) - JAR.levelCm(bed)).isCloseTo(cm, within(0.01));
    }

    /** The recipe's own cup is the one in the vessel that it is filled in: no other vessel makes it weaker. */
    @Test
    void filledAsTheRecipeSaysItIsAsStrongAsWritten() {
        BrewPlan plan =
                inJar("Jar\n2 tbsp dried nettle\nFill with boiling water to an inch below the rim. 5 hours. Strain.");
        assertThat(plan.strength()).isCloseTo(1, within(1e-6));
    }

    /** A jar that makes four cups where one is ordered is told, and either may be meant. */
    @Test
    void cupsThatAreNotWhatTheJarLeavesAreAsked() {
        BrewPlan plan = inJar(
                "Jar\n2 tbsp dried nettle\nFill with boiling water to an inch below the rim. 5 hours. Strain. Makes 1 cup.");
        Caution.RecipeContradictsItself told = plan.notes().stream()
                .filter(Caution.RecipeContradictsItself.class::isInstance)
                .map(Caution.RecipeContradictsItself.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(told.otherCups()).isEqualTo(4);
        assertThat(told.otherCups() * told.otherCup().millilitres())
                .isCloseTo(plan.water().yieldMl(), within(0.5));
    }

    @Test
    void theFigureSaysTheMarkAndTheRoomOfTheHerbs() {
        Workings pour = inJar(
                        "Jar\n2 tbsp dried nettle\nFill with boiling water to an inch below the rim. 5 hours. Strain.")
                .workings()
                .get("water.pourMl");
        assertThat(pour.toString()).contains("HEADSPACE", "FULL_TO_BRIM", "ROOM_UNDER_WATER");
        assertThat(Words.ofLanguage("en").label(pour)).isEqualTo("water to pour");
    }

    /** Twice the cups do not go into one vessel that is filled to its mark: they are solved like any others. */
    @Test
    void moreCupsThanTheRecipesOwnAreSolvedForTheirLiquor() {
        Recipe recipe =
                read("Jar\n2 tbsp dried nettle\nFill with boiling water to an inch below the rim. 5 hours. Strain.");
        BrewPlan twice = new Planner(MATERIA)
                .plan(PlanRequest.asWritten(recipe).withCups(recipe.cups() * 2).withKitchen(Kitchen.STANDARD));
        assertThat(twice.water().yieldMl()).isCloseTo(recipe.statedYieldMl() * 2, within(1.0));
    }
}
