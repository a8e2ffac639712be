package embercup.core.recipe;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.rootPot;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.course.Doses;
import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Posology.More;
import embercup.core.recipe.Posology.When;
import embercup.core.recipe.TakingRow.Often;
import embercup.core.recipe.TakingRow.Whom;
import embercup.core.workings.InvalidInputException;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** How a recipe is taken by whom: a child's teaspoon, an adult's tablespoon, fewer for somebody with an acid stomach. */
class TakingRowTest {

    private static final OptionalDouble NONE = OptionalDouble.empty();
    private static final double CUP_ML = 240;

    private static Whom years(double from, double to) {
        return new Whom(
                from > 0 ? OptionalDouble.of(from) : NONE, to > 0 ? OptionalDouble.of(to) : NONE, Optional.empty(), "");
    }

    private static Whom with(Condition condition) {
        return new Whom(NONE, NONE, Optional.of(condition), "");
    }

    private static Often everyHours(double amount, Unit unit, double hours) {
        return new Often(NONE, Optional.of(Quantity.of(amount, unit)), NONE, OptionalDouble.of(hours));
    }

    private static Often times(double amount, Unit unit, double times) {
        return new Often(NONE, Optional.of(Quantity.of(amount, unit)), OptionalDouble.of(times), NONE);
    }

    private static Often cups(double cups) {
        return new Often(OptionalDouble.of(cups), Optional.empty(), NONE, NONE);
    }

    private static TakingRow row(Whom whom, Often amount) {
        return new TakingRow(whom, amount, OptionalInt.empty());
    }

    private static Posology taken(TakingRow... rows) {
        return new Posology(
                3,
                When.ANY_TIME,
                OptionalInt.of(14),
                0,
                new More(
                        NONE,
                        Optional.empty(),
                        Set.of(),
                        OptionalInt.of(21),
                        NONE,
                        Posology.Often.NOTHING,
                        List.of(rows)));
    }

    private static final TakingRow SMALL = row(years(0, 6), everyHours(1, Unit.TEASPOON, 2));
    private static final TakingRow CHILD = row(years(6, 12), times(1, Unit.TABLESPOON, 3));
    private static final TakingRow OLD = new TakingRow(years(75, 0), cups(1.5), OptionalInt.of(7));
    private static final TakingRow ACID = row(with(Condition.REFLUX), cups(1));
    private static final Posology ALL = taken(SMALL, CHILD, OLD, ACID);

    /** A US teaspoon is 4.93 mL, a tablespoon 14.79 mL (NIST Handbook 44); a day awake has eight doses, two hours apart. */
    @ParameterizedTest
    @CsvSource({
        "3,, 0.1643, 8 × 4.93 mL",
        "6,, 0.1848, 3 × 14.79 mL",
        "11.9,, 0.1848, as well",
        "12,, 3, as anybody",
        "40,, 3, as anybody",
        "40, reflux, 1, the row of the acid stomach",
        "75,, 1.5, the row of the old",
        "80, reflux, 1.5, the first row that is for her",
        "40, asthma, 3, no row of it"
    })
    void eachDrinkerHasTheFirstRowThatIsForHer(double age, String condition, double cupsADay, String why) {
        Posology hers = ALL.of(age, conditions(condition), CUP_ML, MeasureCustom.DEFAULT);
        assertThat(hers.cupsADay()).as(why).isCloseTo(cupsADay, within(0.001));
    }

    private static Set<Condition> conditions(String code) {
        return code == null ? Set.of() : Set.of(Condition.ofCode(code).orElseThrow());
    }

    /** A plan counts her day by her row, and another's by hers. */
    @Test
    void aPlanCountsTheDayOfWhoeverDrinks() {
        PlanRequest request = PlanRequest.asWritten(rootPot().taken(ALL));
        assertThat(request.cupsADay()).isEqualTo(3);
        PlanRequest old = request.withDrinker(new Drinker(78, NONE, Set.of(), Set.of()));
        assertThat(old.cupsADay()).isEqualTo(1.5);
        assertThat(old.daysOn()).as("never longer than her row says").hasValue(7);
        PlanRequest small = request.withDrinker(new Drinker(4, NONE, Set.of(), Set.of()));
        assertThat(PLANNER.plan(small).request().cupsADay()).isLessThan(0.5);
    }

    /** Hours between doses make the times of a day awake, from eight to ten in the evening (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"1, 15, 22:00", "2, 8, 22:00", "3, 5, 20:00", "4, 4, 20:00", "6, 3, 20:00", "14, 2, 22:00"})
    void everySoManyHoursIsADayAwake(double hours, int times, String last) {
        Posology every = taken(row(years(0, 99), everyHours(1, Unit.TABLESPOON, hours)))
                .of(40, Set.of(), CUP_ML, MeasureCustom.DEFAULT);
        List<LocalTime> doses = Doses.times(Optional.of(every));
        assertThat(doses)
                .hasSize(times)
                .isSorted()
                .startsWith(LocalTime.of(8, 0))
                .endsWith(LocalTime.parse(last));
    }

    @Test
    void itIsSaidWholeAndEachRowAloneToWhomItIsFor() {
        assertThat(WORDS.say(ALL))
                .contains("3 cups a day")
                .contains("under 6 years: 1 tsp every 2 hours while awake")
                .contains("6 to under 12 years: 1 tbsp 3 times a day")
                .contains("from 75 years on: 1.5 cups a day, at most 7 days")
                .contains("reflux: 1 cup a day");
        assertThat(WORDS.say(ALL.of(4, Set.of(), CUP_ML, MeasureCustom.DEFAULT)))
                .contains("1 tsp at a time", "every 2 hours while awake")
                .doesNotContain("years", "cups");
    }

    /** People in words whom nothing here tells apart are shown, and never chosen. */
    @Test
    void aRowInWordsIsShownAndNeverChosen() {
        TakingRow frail = row(new Whom(NONE, NONE, Optional.empty(), "the frail"), cups(0.5));
        assertThat(taken(frail).rowOf(90, Set.of(Condition.values()))).isEmpty();
        assertThat(WORDS.say(taken(frail))).contains("the frail: half a cup a day");
    }

    static Stream<Arguments> contradicting() {
        Whom nobody = new Whom(NONE, NONE, Optional.empty(), " ");
        Often both =
                new Often(OptionalDouble.of(1), Optional.of(Quantity.of(1, Unit.TEASPOON)), OptionalDouble.of(2), NONE);
        Often twice =
                new Often(NONE, Optional.of(Quantity.of(1, Unit.TEASPOON)), OptionalDouble.of(2), OptionalDouble.of(3));
        Often never = new Often(NONE, Optional.of(Quantity.of(1, Unit.TEASPOON)), NONE, NONE);
        return Stream.of(
                Arguments.of(List.of(row(nobody, cups(1))), "rows[0].when"),
                Arguments.of(List.of(row(years(9, 6), cups(1))), "rows[0].toYears"),
                Arguments.of(List.of(row(years(0, 500), cups(1))), "rows[0].toYears"),
                Arguments.of(List.of(row(years(0, 6), both)), "rows[0].doseAmount"),
                Arguments.of(List.of(row(years(0, 6), twice)), "rows[0].everyHours"),
                Arguments.of(List.of(row(years(0, 6), never)), "rows[0].cupsADay"),
                Arguments.of(List.of(row(years(0, 6), cups(50))), "rows[0].cupsADay"),
                Arguments.of(List.of(row(years(0, 6), everyHours(1, Unit.TEASPOON, 0.1))), "rows[0].everyHours"),
                Arguments.of(List.of(row(years(0, 6), times(1, Unit.GRAM, 2))), "rows[0].doseUnit"),
                Arguments.of(List.of(SMALL, row(years(4, 9), cups(1))), "rows[1].fromYears"),
                Arguments.of(List.of(ACID, row(with(Condition.REFLUX), cups(2))), "rows[1].fromYears"));
    }

    /** A row for nobody, without an amount, with two amounts, or for people of whom another speaks: one sentence, in its field. */
    @ParameterizedTest
    @MethodSource("contradicting")
    void whatContradictsItselfIsRefusedInItsField(List<TakingRow> rows, String field) {
        Recipe recipe = rootPot().taken(taken(rows.toArray(TakingRow[]::new)));
        assertThatThrownBy(() -> new RecipeRules(MATERIA, MeasureCustom.DEFAULT).check(recipe, "recipe"))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        e -> assertThat(e.violations()).singleElement().satisfies(v -> {
                            assertThat(v.field()).endsWith("posology." + field);
                            assertThat(WORDS.say(v.wanted())).isNotBlank();
                        }));
        new RecipeRules(MATERIA, MeasureCustom.DEFAULT).check(rootPot().taken(ALL), "recipe");
    }
}
