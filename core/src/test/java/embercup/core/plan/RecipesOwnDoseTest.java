package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.Pots;
import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.dose.Drinker;
import embercup.core.dose.Substitution;
import embercup.core.dose.UsualDose;
import embercup.core.materia.Condition;
import embercup.core.measure.MeasureCustom;
import embercup.core.reading.Answers;
import embercup.core.reading.Reader;
import embercup.core.recipe.Recipe;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a recipe says is what goes into the pot; only a true limit cuts it. */
class RecipesOwnDoseTest {

    private static final Reader READER = new Reader(MATERIA);

    private static Recipe read(String text) {
        return READER.read(text, MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE)
                .recipe();
    }

    private static BrewPlan plan(String text) {
        return new Planner(MATERIA).plan(PlanRequest.asWritten(read(text)));
    }

    private static PlannedAddition first(String text) {
        return plan(text).additions().get(0);
    }

    /** Young's and Clark's rules (mem): a child has a share of what is usual for an adult, and is measured against that share. */
    @Test
    void whatIsUsualForAChildIsAChildsShareOfIt() {
        PlanRequest adults = PlanRequest.asWritten(
                read("Mint\n2 g dried peppermint\n1 cup water\nPour boiling water, steep 5 minutes, strain."));
        PlannedAddition adult = new Planner(MATERIA).plan(adults).additions().get(0);
        PlannedAddition child = new Planner(MATERIA)
                .plan(adults.withDrinker(Pots.child(9, 28)))
                .additions()
                .get(0);
        assertThat(child.grams()).isLessThan(1);
        assertThat(child.againstUsual()).isEmpty();
        assertThat(child.beside().usualPerCup().orElseThrow().highG())
                .isLessThan(adult.beside().usualPerCup().orElseThrow().highG() / 2);
        assertThat(child.beside().usualAsWrittenG().orElseThrow())
                .as("the recipe's amount that makes it is an adult's")
                .isCloseTo(adult.beside().usualPerCup().orElseThrow().middleG(), within(1e-9));
    }

    /** Two spoons of crushed seeds to two cups are common practice, no source; handbooks' usual days are no limits. */
    @Test
    void twelveGramsWrittenAreTwelveGramsPlanned() {
        PlannedAddition seeds =
                first("Seeds\n12 g coriander seeds, crushed\n2 cups water\nBoil 3 minutes, rest 5 minutes, strain.");
        assertThat(seeds.grams()).isCloseTo(12, within(1e-9));
        assertThat(seeds.beside().usualPerCup()).hasValueSatisfying(u -> assertThat(u.highG())
                .as("the usual range stands beside")
                .isLessThan(6));
        assertThat(seeds.againstUsual()).hasValue(UsualDose.Side.MORE);
    }

    /** HMPC monograph of peppermint leaf: 1.5–3 g a cup (mem); a pinch of leaves is no first cup. */
    @ParameterizedTest
    @CsvSource({"0.3 g, LESS", "1.4 g, LESS", "1.5 g,", "2 g,", "3 g,", "3.04 g,", "3.2 g, MORE"})
    void anAmountOutsideTheUsualIsToldSo(String amount, UsualDose.Side side) {
        PlannedAddition mint = first(
                "Mint\n" + amount + " dried peppermint\n1 cup water\nPour boiling water, steep 5 minutes, strain.");
        assertThat(mint.againstUsual()).isEqualTo(Optional.ofNullable(side));
    }

    /** HMPC monograph of fennel: at most 7.5 g a day (mem). */
    @Test
    void aMonographsDayIsALimitAndCuts() {
        BrewPlan fennel = plan("Seeds\n12 g fennel seeds, crushed\n2 cups water\nBoil 3 minutes, strain.");
        assertThat(fennel.additions().get(0).grams()).isLessThan(12);
        assertThat(fennel.notes()).anyMatch(Caution.DoseClipped.class::isInstance);
    }

    /** A tablespoon of fresh rhizome, about an inch, goes into a cup (common practice, no source). */
    @Test
    void aTablespoonOfFreshRhizomeInACupRaisesNoAlarm() {
        BrewPlan ginger = plan("Cup\n1 tbsp fresh ginger, sliced\n1 cup water\nSimmer 10 minutes, strain.");
        assertThat(ginger.notes()).noneMatch(c -> c instanceof Caution.SingleDose || c instanceof Caution.DoseClipped);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 cloves of garlic | 2 cloves",
                "1 inch of fresh ginger | 1 inch",
                "20 juniper berries | 20 pieces",
                "2 tbsp dried burdock root | 2 tbsp",
                "1 handful of fresh peppermint | 1 handful",
                "4 cardamom pods | 4 pods",
                "3 sprigs of thyme | 3 sprigs",
            })
    void theCooksOwnUnitStandsFirst(String line, String measure) {
        PlannedAddition a = first("Pot\n" + line + "\n2 cups water\nSimmer 10 minutes, strain.");
        assertThat(Pots.WORDS.measure(a)).isEqualTo(measure);
    }

    /** Twice the cups are twice the cloves. */
    @Test
    void moreCupsAreMoreOfTheCooksOwnUnit() {
        Recipe r = read("Pot\n2 cloves of garlic\n2 cups water\nSimmer 10 minutes, strain.");
        BrewPlan four = new Planner(MATERIA).plan(PlanRequest.asWritten(r).withCups(4));
        assertThat(Pots.WORDS.measure(four.additions().get(0))).isEqualTo("4 cloves");
    }

    /** A count that nothing is known of is planned from its part's usual piece, and weighed. */
    @Test
    void aCountWithoutAWeightIsARoughGuessAndIsWeighed() {
        PlannedAddition sprigs = first("Pot\n3 sprigs of fresh rosemary\n2 cups boiling water\nPour, steep 5 minutes.");
        assertThat(sprigs.grams()).isPositive();
        assertThat(sprigs.weigh()).isTrue();
    }

    @Test
    void aRecipeThatSaysForWhomItIsNotStopsForHer() {
        BrewPlan cup = plan(
                "Cup\n1 tsp dried linden\n1 cup boiling water\nPour, steep 5 minutes. Not in pregnancy. Not for children under 6.");
        assertThat(judged(cup, Drinker.ADULT).stops()).isFalse();
        assertThat(judged(cup, drinker(40, Condition.PREGNANT)).stopping())
                .anyMatch(Caution.RecipeNotFor.class::isInstance);
        assertThat(judged(cup, drinker(5)).stopping()).anyMatch(Caution.RecipeNotFor.class::isInstance);
    }

    private static Drinker drinker(double years, Condition... conditions) {
        return new Drinker(years, OptionalDouble.empty(), Set.of(conditions), Set.of());
    }

    private static Care.Verdict judged(BrewPlan plan, Drinker drinker) {
        return new Care(MATERIA).judge(plan.forRequest(plan.request().withDrinker(drinker)), History.NONE);
    }

    @Test
    void whatTheRecipeHasInsteadGoesInInItsOwnAmount() {
        Recipe r = read("Pot\n2 tbsp dried elderberries or hawthorn berries\n3 cups water\nSimmer 20 minutes.");
        Recipe other =
                Substitution.alternative(r, "elderberry", "hawthorn-berry").orElseThrow();
        assertThat(other.additions()).singleElement().satisfies(a -> {
            assertThat(a.herb()).isEqualTo("hawthorn-berry");
            assertThat(a.quantity().amount()).isEqualTo(2);
        });
        assertThat(Substitution.alternative(r, "elderberry", "linden")).isEmpty();
    }

    @Test
    void theUsualAmountIsTakenPerCup() {
        Recipe r = read("Pot\n12 g coriander seeds\n2 cups water\nBoil 3 minutes.");
        Recipe usual = new Substitution(MATERIA, MeasureCustom.DEFAULT).perCup(r, "coriander", 2, "perCupG");
        assertThat(new Planner(MATERIA)
                        .plan(PlanRequest.asWritten(usual))
                        .additions()
                        .get(0)
                        .grams())
                .isCloseTo(4, within(1e-9));
    }
}
