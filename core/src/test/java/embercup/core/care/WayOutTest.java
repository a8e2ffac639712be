package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Drinker;
import embercup.core.dose.Substitution;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A stop is not the end: the plan offers what can be done, and what it offers really helps. */
class WayOutTest {

    private final Care care = new Care(MATERIA);

    private static Recipe pot(double cups, Addition... herbs) {
        return recipe(Tradition.FOLK, cups, 200, List.of(herbs), pour(), steep(10), strain());
    }

    private static final Addition LIQUORICE = dried("liquorice", Cut.CHOPPED, 2, Unit.GRAM, 0);
    private static final Addition PEEL = dried("orange-peel", Cut.CHOPPED, 2, Unit.GRAM, 0);

    private BrewPlan plan(Recipe recipe, Drinker drinker) {
        return PLANNER.plan(PlanRequest.asWritten(recipe).withDrinker(drinker));
    }

    private List<WayOut> ways(Recipe recipe, Drinker drinker, Map<Constituent, Double> earlier) {
        BrewPlan plan = plan(recipe, drinker);
        return WayOut.of(MATERIA, plan, care.judge(plan, History.ofDay(earlier)), History.ofDay(earlier));
    }

    @Test
    void insteadOfLiquoriceFennelForBloodPressureTablets() {
        List<WayOut> ways = ways(pot(2, LIQUORICE, PEEL), adultWith(61, Condition.HIGH_BLOOD_PRESSURE), Map.of());
        assertThat(ways).anySatisfy(w -> {
            assertThat(Ways.herb(w)).contains("liquorice");
            assertThat(Ways.with(w)).contains("fennel");
            assertThat(WORDS.say(w)).contains("no glycyrrhizin");
        });
        assertThat(ways).anyMatch(w -> Ways.with(w).isEmpty() && WORDS.say(w).equals("Leave the liquorice root out"));
    }

    @Test
    void everyWayOutReallyLiftsItsStop() {
        Drinker siv = adultWith(61, Condition.HIGH_BLOOD_PRESSURE);
        Recipe stopped = pot(2, LIQUORICE, PEEL);
        Substitution substitution = new Substitution(MATERIA, MeasureCustom.DEFAULT);
        List<WayOut> ways = ways(stopped, siv, Map.of());
        assertThat(ways).isNotEmpty();
        for (WayOut way : ways) {
            String herb = Ways.herb(way).orElseThrow();
            Recipe changed = Ways.with(way)
                    .map(w -> substitution.replace(stopped, herb, w, "with"))
                    .orElseGet(() -> substitution.leaveOut(stopped, herb, "herb"));
            assertThat(care.judge(plan(changed, siv), History.NONE).stops())
                    .as(WORDS.say(way))
                    .isFalse();
        }
    }

    @Test
    void aSubstituteThatIsStoppedTooIsNotOffered() {
        // Chicory and dandelion both belong to the daisy family; burdock as well.
        List<WayOut> ways = ways(
                pot(1, dried("dandelion", Cut.SLICED, 3, Unit.GRAM, 0), PEEL),
                adultWith(70, Condition.DAISY_ALLERGY),
                Map.of());
        assertThat(ways).extracting(Ways::with).containsOnly(Optional.empty());
    }

    @Test
    void aPotOfOneHerbThatMustNotBeOffersNothingButAnotherPot() {
        assertThat(ways(
                        pot(1, dried("willow-bark", Cut.CHOPPED, 1, Unit.GRAM, 0)),
                        adultWith(70, Condition.KIDNEY),
                        Map.of()))
                .isEmpty();
    }

    @Test
    void fewerCupsAreOfferedWhenTheDayIsNearlyFull() {
        Recipe sage = pot(3, dried("sage", Cut.CHOPPED, 3, Unit.GRAM, 0));
        List<WayOut> ways = ways(sage, adultWith(66), Map.of(Constituent.THUJONE, 2.0));
        assertThat(ways).anySatisfy(w -> {
            assertThat(Ways.cups(w)).isEqualTo(2);
            assertThat(WORDS.say(w)).isEqualTo("Make 2 cups only");
        });
        BrewPlan two = PLANNER.plan(
                PlanRequest.asWritten(sage).withDrinker(adultWith(66)).withCups(2));
        assertThat(care.judge(two, History.ofDay(Map.of(Constituent.THUJONE, 2.0)))
                        .stops())
                .isFalse();
        assertThat(ways(sage, adultWith(66), Map.of(Constituent.THUJONE, 6.0))).noneMatch(w -> Ways.cups(w) > 0);
    }

    /** Nine grams are clipped to the day's most before the limit of thujone is looked at. */
    @Test
    void aClippedDoseIsLessenedUntilItReallyFitsTheDay() {
        Recipe sage = pot(2, dried("sage", Cut.CHOPPED, 9, Unit.GRAM, 0));
        PlanRequest four =
                PlanRequest.asWritten(sage).withDrinker(adultWith(66)).withCups(4);
        BrewPlan plan = PLANNER.plan(four);
        List<WayOut> ways = WayOut.of(MATERIA, plan, care.judge(plan, History.NONE), History.NONE);
        assertThat(ways).isNotEmpty().filteredOn(w -> Ways.share(w) > 0).allSatisfy(w -> {
            PlanRequest taken = four.withRecipe(
                    new Substitution(MATERIA, MeasureCustom.DEFAULT).times(sage, "sage", Ways.share(w), "share"));
            assertThat(care.judge(PLANNER.plan(taken), History.NONE).stops())
                    .as(WORDS.say(w))
                    .isFalse();
        });
        assertThat(ways).anyMatch(w -> Ways.share(w) > 0);
    }

    @Test
    void aHerbForGrownUpsIsReplacedByOneForTheChild() {
        List<WayOut> ways = ways(pot(1, dried("sage", Cut.CHOPPED, 1, Unit.GRAM, 0), PEEL), child(8, 26), Map.of());
        assertThat(ways).anyMatch(w -> Ways.with(w).filter("thyme"::equals).isPresent());
    }

    @Test
    void nothingIsOfferedWhereNothingIsStopped() {
        assertThat(ways(pot(2, PEEL), adultWith(70), Map.of())).isEmpty();
    }

    static Stream<Arguments> herbsThatMustNotBe() {
        return MATERIA.herbs().stream().filter(h -> h.stop().isEmpty()).flatMap(h -> h.cautions().stream()
                .filter(c -> c.severity() == Severity.STOP && c.when().isPresent())
                .map(c -> Arguments.of(h.slug(), c.when().get())));
    }

    /** Every herb for every condition that stops it: what is offered instead brings neither stop nor care of its own. */
    @ParameterizedTest
    @MethodSource("herbsThatMustNotBe")
    void whatIsOfferedInsteadIsFreeOfCare(String slug, Condition condition) {
        Drinker drinker = adultWith(60, condition);
        Recipe stopped = pot(1, dried(slug, Cut.CHOPPED, 1, Unit.GRAM, 0), PEEL);
        List<WayOut> ways = ways(stopped, drinker, Map.of());
        assertThat(ways).as("without it, at least").isNotEmpty();
        Substitution substitution = new Substitution(MATERIA, MeasureCustom.DEFAULT);
        for (WayOut way : ways) {
            Ways.with(way).ifPresent(with -> {
                Recipe changed = substitution.replace(stopped, slug, with, "with");
                assertThat(care.judge(plan(changed, drinker), History.NONE).cautions())
                        .as(WORDS.say(way))
                        .noneMatch(
                                c -> c.severity() != Severity.NOTE && c.herb().equals(Optional.of(with)));
            });
        }
    }

    /** Cassia holds a hundred times the coumarin (BfR, mem): it is no way out of true cinnamon in pregnancy. */
    @Test
    void cassiaIsNoWayOutOfTrueCinnamonInPregnancy() {
        assertThat(ways(
                        pot(1, dried("cinnamon-true", Cut.CHOPPED, 1, Unit.GRAM, 0), PEEL),
                        adultWith(62, Condition.PREGNANT),
                        Map.of()))
                .noneMatch(w -> Ways.with(w).equals(Optional.of("cinnamon-cassia")));
    }

    /** Two herbs that bring one constituent: neither can be lessened alone, and each can be left out. */
    @Test
    void aDayThatTwoHerbsFillHasAWayOutToo() {
        List<WayOut> ways = ways(
                pot(
                        1,
                        dried("sage", Cut.CHOPPED, 2, Unit.GRAM, 0),
                        dried("cinnamon-cassia", Cut.CHOPPED, 2, Unit.GRAM, 0),
                        PEEL),
                adultWith(50),
                Map.of(Constituent.THUJONE, 5.0));
        assertThat(ways).isNotEmpty();
    }
}
