package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.label;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.rootPot;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Posology.When;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a pot is taken, in words and against what is usual. */
class PosologyTest {

    private static Posology cups(double cupsADay, When when, int on, int off) {
        return new Posology(cupsADay, when, on == 0 ? OptionalInt.empty() : OptionalInt.of(on), off);
    }

    private static List<Caution> cautions(Recipe recipe) {
        return new Care(MATERIA)
                .judge(PLANNER.plan(PlanRequest.asWritten(recipe)), History.NONE)
                .cautions();
    }

    private static Optional<Caution> caution(Recipe recipe, String code) {
        return cautions(recipe).stream().filter(c -> c.code().equals(code)).findFirst();
    }

    /** The figures of trade use: one week on, one off; two or three days at the first sign (common practice, no source). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1    | ANY_TIME      | 0  | 0 | 1 cup a day",
                "0.5  | ANY_TIME      | 0  | 0 | half a cup a day",
                "2    | WITH_FOOD     | 7  | 7 | 2 cups a day, with food; 7 days, then 7 days off",
                "3    | EMPTY_STOMACH | 3  | 0 | 3 cups a day, on an empty stomach; 3 days",
                "1.5  | BEFORE_BED    | 14 | 1 | 1.5 cups a day, before bed; 14 days, then 1 day off",
            })
    void itIsSaidAsACookSaysIt(double cupsADay, When when, int on, int off, String words) {
        assertThat(WORDS.say(cups(cupsADay, when, on, off))).isEqualTo(words);
    }

    private static Recipe fennelCup() {
        return embercup.core.Pots.recipe(
                embercup.core.materia.Tradition.FOLK,
                1,
                240,
                List.of(embercup.core.Pots.dried(
                        "fennel", embercup.core.materia.Cut.CRUSHED, 2, embercup.core.measure.Unit.GRAM, 0)),
                embercup.core.Pots.pour(),
                embercup.core.Pots.steep(10),
                embercup.core.Pots.strain());
    }

    @Test
    void aRunLongerThanAHerbAllowsIsSaid() {
        int most = (int)
                MATERIA.herb("fennel", "herb").longestRunDays().orElseThrow().value();
        assertThat(caution(fennelCup().taken(cups(1, When.ANY_TIME, most, 7)), "posology-run"))
                .isEmpty();
        assertThat(caution(fennelCup().taken(cups(1, When.ANY_TIME, most + 30, 7)), "posology-run"))
                .hasValueSatisfying(c -> {
                    assertThat(c.severity()).isEqualTo(Severity.CARE);
                    assertThat(WORDS.say(c))
                            .contains((most + 30) + " days in a row")
                            .contains("no longer than");
                });
    }

    @Test
    void moreCupsADayThanAHerbsUsualMostAreSaid() {
        assertThat(caution(lindenCup().taken(cups(2, When.ANY_TIME, 0, 0)), "posology-day"))
                .isEmpty();
        assertThat(caution(lindenCup().taken(cups(12, When.ANY_TIME, 0, 0)), "posology-day"))
                .hasValueSatisfying(c -> assertThat(WORDS.say(c)).contains("Drink fewer cups"));
    }

    @Test
    void onAnEmptyStomachIsWeighedAgainstWhatIrritatesOne() {
        String herb = MATERIA.herbs().stream()
                .filter(h -> h.stop().isEmpty()
                        && h.cautions().stream()
                                .anyMatch(c -> c.severity() == embercup.core.materia.Severity.CARE
                                        && c.when()
                                                .filter(w -> w == embercup.core.materia.Condition.STOMACH_IRRITATION)
                                                .isPresent()))
                .findFirst()
                .orElseThrow()
                .slug();
        Recipe irritating = embercup.core.Pots.recipe(
                embercup.core.materia.Tradition.FOLK,
                1,
                240,
                List.of(embercup.core.Pots.dried(
                        herb, embercup.core.materia.Cut.CHOPPED, 1, embercup.core.measure.Unit.GRAM, 0)),
                embercup.core.Pots.pour(),
                embercup.core.Pots.steep(10),
                embercup.core.Pots.strain());
        assertThat(WORDS.say(caution(irritating.taken(cups(1, When.EMPTY_STOMACH, 0, 0)), "stomach")
                        .orElseThrow()))
                .contains("empty stomach here");
        assertThat(WORDS.say(caution(irritating.taken(cups(1, When.WITH_FOOD, 0, 0)), "stomach")
                        .orElseThrow()))
                .startsWith("Drink it with food");
    }

    @Test
    void aBreakWithoutDaysBeforeItAndTwentyCupsADayAreRefused() {
        Recipe wrong = lindenCup().taken(cups(20, When.ANY_TIME, 0, 7));
        assertThatThrownBy(() -> PLANNER.plan(PlanRequest.asWritten(wrong)))
                .isInstanceOfSatisfying(InvalidInputException.class, e -> assertThat(e.violations())
                        .extracting(InvalidInputException.Violation::field)
                        .containsExactlyInAnyOrder("recipe.posology.cupsADay", "recipe.posology.daysOn"));
    }

    @Test
    void theRecipesOwnPrepWordsStandInsteadOfTheBooks() {
        Recipe own = rootPot()
                .withAdditions(rootPot().additions().stream()
                        .map(a -> a.prepared("scrubbed, skin on"))
                        .toList());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(own));
        assertThat(plan.additions()).allSatisfy(a -> assertThat(WORDS.prep(a)).isEqualTo("scrubbed, skin on"));
        assertThat(plan.steps()).filteredOn(s -> kind(s).equals("prep")).allSatisfy(s -> assertThat(label(plan, s))
                .endsWith("scrubbed, skin on"));
    }
}
