package embercup.core.reading;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.asked;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.measure.MeasureCustom;
import embercup.core.plan.PlanRequest;
import embercup.core.reading.WrittenRecipe.Kind;
import embercup.core.reading.WrittenRecipe.Line;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Methods as people write them; all texts are made up. */
class WrittenMethodTest {

    private static final String LIST =
            "A pot\n2 tbsp dried burdock root, sliced\n1 tbsp dried peppermint\n1 tsp honey\n" + "3 cups water\n";

    private static WrittenRecipe read(String method) {
        return WrittenRecipe.read(MATERIA, LIST + method, MeasureCustom.DEFAULT);
    }

    private static String kinds(WrittenRecipe w) {
        return w.recipe().stages().stream().map(s -> s.kind().code()).collect(Collectors.joining(" "));
    }

    private static Line last(WrittenRecipe w) {
        return w.lines().get(w.lines().size() - 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Bring to a boil, simmer 20 minutes, strain. | heat simmer strain finish",
                "Bring it to the boil and boil for 5 minutes. Let stand 10 minutes. | heat boil rest strain finish",
                "Pour boiling water over the herbs. Steep ten minutes. | pour steep strain finish",
                "Steep for 10 minutes and then strain. | steep strain finish",
                "Soak the burdock for 4 hours, strain. | macerate strain finish",
                "Bring to a boil, reduce to 2 cups, strain, let it cool. | heat reduce strain cool finish",
                "Bring to a boil, boil 3 minutes, rest 5 minutes, strain. | heat boil rest strain finish",
                "Bring to a boil, reduce the heat and simmer for 20 minutes. | heat simmer strain finish",
                "Bring to a boil, then reduce to a simmer for 20 minutes. | heat simmer strain finish",
                "Pour hot water on, cover, let it sit overnight. | pour steep strain finish",
            })
    void sentencesBecomeStagesInTheirOrder(String method, String expected) {
        assertThat(kinds(read(method))).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "Simmer covered for 25 minutes, true",
        "Simmer uncovered for 25 minutes, false",
        "Simmer for 25 minutes with the lid off, false",
        "Simmer for 25 minutes, true",
    })
    void aLidIsReadOrTakenAsUsual(String method, boolean lid) {
        Stage simmer =
                read("Bring to a boil. " + method + ".").recipe().stages().get(1);
        assertThat(simmer).isEqualTo(new Stage.Simmer(25, Flame.LOW, lid));
    }

    @ParameterizedTest
    @CsvSource({
        "Steep 1½ hours., 90",
        "Steep an hour and a half., 90",
        "Steep 10 to 20 minutes., 15",
        "Steep for 90 seconds., 1.5",
    })
    void theTimeOfAStageIsTheOneWritten(String method, double minutes) {
        Stage steep =
                read("Pour boiling water over it. " + method).recipe().stages().get(1);
        assertThat(((Stage.Steep) steep).minutes()).isCloseTo(minutes, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Simmer 10-15 minutes. | range of time",
                "Let it stand. | ten minutes are taken",
                "Soak overnight. | eight hours",
                "Reduce. | To how much",
                "Boil down. | To how much",
            })
    void whatTheMethodLeavesOpenIsAsked(String method, String asked) {
        assertThat(asked(last(read(method)))).anyMatch(a -> a.contains(asked));
    }

    /** "By a third" leaves two thirds; 3 US cups are 709.8 mL. */
    @ParameterizedTest
    @CsvSource({"Reduce by a third., 473.2", "Reduce by half., 354.9", "Boil until 1½ cups are left., 354.9"})
    void aReductionEndsWhereItIsWritten(String method, double ml) {
        WrittenRecipe w = read(method);
        assertThat(w.recipe().stages().get(1)).isInstanceOfSatisfying(Stage.Reduce.class, r -> assertThat(r.toMl())
                .isCloseTo(ml, within(0.1)));
        assertThat(w.recipe().cups() * w.recipe().cupMl())
                .as("what is left is what it makes")
                .isCloseTo(ml, within(0.5));
    }

    /** 194 °F are 90 °C. */
    @ParameterizedTest
    @CsvSource({"Pour hot water of 90 °C over it., 90", "Pour hot water of 194 F on the herbs., 90"})
    void aTemperatureIsReadInItsOwnDegrees(String method, double celsius) {
        Stage pour = read(method + " Steep 5 minutes.").recipe().stages().get(0);
        assertThat(((Stage.Pour) pour).toC().orElseThrow()).isCloseTo(celsius, within(0.01));
    }

    @Test
    void herbsGoInWhereTheyAreNamedAndHoneyIntoTheCup() {
        Recipe r = read("""
                        Bring the burdock to the boil. Simmer for 20 minutes.
                        Add the peppermint and let stand for 5 minutes.
                        Strain, pressing well. Sweeten with honey.
                        """).recipe();
        List<StageKind> at = r.additions().stream()
                .map(a -> r.stages().get(a.stage()).kind())
                .toList();
        assertThat(at).containsExactly(StageKind.HEAT, StageKind.REST, StageKind.FINISH);
        assertThat(r.stages()).contains(new Stage.Strain(true));
    }

    @ParameterizedTest
    @ValueSource(strings = {"Sing to it.", "Serve with love and a biscuit", "My aunt swore by it."})
    void aSentenceThatIsNoStepIsMarked(String text) {
        assertThat(last(read("Steep 5 minutes.\n" + text)).kind()).isEqualTo(Kind.UNKNOWN);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Bring to a boil. Simmer 20 minutes. Strain. Sweeten with honey.",
                "Pour boiling water over the herbs. Steep covered for 10 minutes. Strain.",
                "Soak overnight. Strain.",
                "Bring to a boil. Boil until 2 cups are left. Strain. Cool to 50 C.",
            })
    void whatIsReadCanBePlanned(String method) {
        var plan = PLANNER.plan(PlanRequest.asWritten(read(method).recipe()));
        assertThat(plan.water().yieldMl()).isPositive();
        assertThat(plan.strength()).isCloseTo(1, within(0.35));
    }
}
