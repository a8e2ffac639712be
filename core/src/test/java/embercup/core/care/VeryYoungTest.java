package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Drinker;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Taking;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.workings.InvalidInputException;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Children from birth on: whatever a herb is measured in, the pot is planned, and nothing is dosed under two years (handbook
 * rule, mem; honey not under twelve months: infant botulism, CDC, mem).
 */
class VeryYoungTest {

    private static final List<Double> YEARS = List.of(0.0, 0.01, 0.25, 0.5, 0.99, 1.0, 1.5, 1.99, 2.0, 3.0, 5.0, 17.9);

    private final Care care = new Care(MATERIA);

    private static Drinker aged(double years) {
        return new Drinker(years, OptionalDouble.empty(), Set.of(), Set.of());
    }

    static Stream<Arguments> measured() {
        return Arrays.stream(Unit.values()).flatMap(unit -> Arrays.stream(Form.values())
                .flatMap(form ->
                        Stream.of("chamomile", "ginger", "rosehip").map(herb -> Arguments.of(herb, form, unit))));
    }

    private static Recipe pot(String herb, Form form, Unit unit) {
        Cut cut = unit == Unit.BAG ? Cut.CHOPPED : Cut.WHOLE;
        return recipe(
                Tradition.FOLK,
                2,
                200,
                List.of(new Addition(herb, form, cut, Quantity.of(1, unit), 0)),
                heat(),
                boil(5, true),
                strain());
    }

    @ParameterizedTest(name = "{0} {1} by the {2}")
    @MethodSource("measured")
    void everyAgeIsAnsweredInEveryUnit(String herb, Form form, Unit unit) {
        Recipe pot = pot(herb, form, unit);
        BrewPlan adults;
        try {
            adults = PLANNER.plan(PlanRequest.asWritten(pot));
        } catch (InvalidInputException e) {
            assertThat(e.violations()).isNotEmpty();
            return;
        }
        for (double years : YEARS) {
            BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(pot).withDrinker(aged(years)));
            Care.Verdict main = care.judge(plan, History.NONE);
            Care.Verdict shares = care.judge(
                    adults, new Taking.Sharer("Ada", aged(years), 1, Taking.usualServing(aged(years))), History.NONE);
            for (Care.Verdict verdict : List.of(main, shares)) {
                verdict.cautions().forEach(c -> assertThat(WORDS.say(c)).isNotBlank());
                assertThat(verdict.cautions().stream().anyMatch(Caution.UnderTwo.class::isInstance))
                        .as("%s years", years)
                        .isEqualTo(years < 2);
                assertThat(years >= 2 || verdict.stops()).isTrue();
            }
            plan.steps().forEach(s -> assertThat(WORDS.label(plan, s)).isNotBlank());
            assertThat(plan.strength()).isFinite();
            if (years < 2) {
                assertThat(plan.additions()).allMatch(a -> a.grams() == 0);
            }
        }
    }

    /** By the spoon, the cup and the millilitre, whoever it is made for or shared with. */
    @ParameterizedTest
    @ValueSource(strings = {"tsp", "tbsp", "mL", "cup", "g", "pinch"})
    void honeyIsStoppedUnderTwelveMonths(String code) {
        Unit unit = Unit.ofCode(code).orElseThrow();
        Recipe sweet = recipe(
                Tradition.FOLK,
                1,
                200,
                List.of(
                        new Addition("linden", Form.DRIED, Cut.CHOPPED, Quantity.of(1, Unit.TEASPOON), 0),
                        new Addition("honey", Form.FRESH, Cut.WHOLE, Quantity.of(0.5, unit), 2)),
                new Stage.Pour(OptionalDouble.empty()),
                new Stage.Steep(10, true),
                strain(),
                new Stage.Finish());
        for (double years : List.of(0.0, 0.5, 0.9)) {
            Care.Verdict main =
                    care.judge(PLANNER.plan(PlanRequest.asWritten(sweet).withDrinker(aged(years))), History.NONE);
            Care.Verdict shares = care.judge(
                    PLANNER.plan(PlanRequest.asWritten(sweet)),
                    new Taking.Sharer("Ada", aged(years), 1, 1),
                    History.NONE);
            for (Care.Verdict verdict : List.of(main, shares)) {
                assertThat(verdict.cautions())
                        .anyMatch(c ->
                                c instanceof Caution.AgeFloor f && f.slugs().contains("honey"));
            }
        }
    }

    @Test
    void twoYearsAndOlderGetTheirShare() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(pot("chamomile", Form.DRIED, Unit.TEASPOON))
                .withDrinker(aged(2)));
        assertThat(plan.additions().get(0).grams()).isPositive();
    }
}
