package embercup.core.dose;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Recipe;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DoseTest {

    /** Clark's and Young's rules (handbook rules, mem), worked example: 8 years, 26 kg: 0.382 and 0.400, so 0.382. */
    @Test
    void aChildOfEightGetsTheSmallerOfClarkAndYoung() {
        assertThat(ChildDose.share(child(8, 60)).value()).as("Young alone").isCloseTo(0.400, within(1e-9));
        assertThat(ChildDose.share(child(8, 26)).value()).isCloseTo(0.382, within(0.0005));
        assertThat(ChildDose.share(child(3, 40)).value()).isCloseTo(3 / 15.0, within(1e-9));
    }

    @Test
    void nothingIsDosedUnderTwoAndAnAdultGetsAllOfIt() {
        assertThat(ChildDose.share(child(1.5, 11)).value()).isZero();
        assertThat(ChildDose.share(Drinker.ADULT).value()).isEqualTo(1);
    }

    @Test
    void aChildsCupOfLindenHoldsItsShare() {
        BrewPlan adult = PLANNER.plan(PlanRequest.asWritten(lindenCup()));
        BrewPlan eight = PLANNER.plan(PlanRequest.asWritten(lindenCup()).withDrinker(child(8, 26)));
        assertThat(eight.additions().get(0).grams() / adult.additions().get(0).grams())
                .isCloseTo(26 / 68.0, within(1e-9));
    }

    /** EMA/HMPC monographs (mem): single doses in g a cup and cups a day, as in the reference values. */
    @ParameterizedTest
    @CsvSource({
        "chamomile, 1.5, 4, 4", "lemon-balm, 1.5, 4.5, 3", "linden, 1.5, 1.5, 4", "sage, 1, 2, 3",
                "fennel, 1.5, 2.5, 3",
        "valerian, 0.3, 3, 4", "marshmallow, 0.5, 3, 3", "liquorice, 1.5, 2, 2", "turmeric, 0.5, 1, 3",
                "hop, 0.5, 0.5, 4"
    })
    void monographDosesAreTheUsualOnes(String slug, double low, double high, double times) {
        Herb.DoseRange dose =
                MATERIA.herb(slug, "herb").dose(Tradition.MONOGRAPH, Form.DRIED).orElseThrow();
        assertThat(dose.perCupG()).isEqualTo(new Herb.Range(low, high));
        assertThat(dose.timesADay().high()).isEqualTo(times);
    }

    @Test
    void strengthMovesTheDoseInsideTheUsualRange() {
        Recipe balm = recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried("lemon-balm", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        PlanRequest written = PlanRequest.asWritten(balm);
        double gentle = PLANNER.plan(written.withStrength(Strength.GENTLE))
                .additions()
                .get(0)
                .grams();
        double strong = PLANNER.plan(written.withStrength(Strength.STRONG))
                .additions()
                .get(0)
                .grams();
        assertThat(gentle).isEqualTo(1.5);
        assertThat(strong).isCloseTo(2.7, within(1e-9));
    }

    @Test
    void linden_whoseRangeIsOneFigure_isNotMadeStronger() {
        double strong = PLANNER.plan(PlanRequest.asWritten(lindenCup()).withStrength(Strength.STRONG))
                .additions()
                .get(0)
                .perCupG();
        assertThat(strong).isEqualTo(1.5);
    }

    /** Sage: at most 2 g three times a day (EMA/HMPC, mem). */
    @Test
    void sageIsCutToTheMostInADayAndSaysSo() {
        Recipe sage = recipe(
                Tradition.FOLK,
                3,
                200,
                List.of(dried("sage", Cut.CHOPPED, 20, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(sage));
        assertThat(plan.additions().get(0).grams()).isCloseTo(6, within(1e-9));
        assertThat(plan.notes())
                .anyMatch(n -> n.code().equals("dose-clipped") && WORDS.say(n).contains("6.0 g a day"));
    }

    @Test
    void herbsScaleWithTheCupsAndWithTheSizeOfTheCup() {
        PlanRequest two = PlanRequest.asWritten(lindenCup());
        double grams = PLANNER.plan(two).additions().get(0).grams();
        assertThat(PLANNER.plan(two.withCups(7)).additions().get(0).grams()).isCloseTo(3.5 * grams, within(1e-9));
    }

    @Test
    void anUnknownWeightIsEstimatedOnTheSafeSide() {
        Drinker eight = new Drinker(8, OptionalDouble.empty(), Set.of(), Set.of());
        assertThat(eight.weightOrAssumedKg()).isEqualTo(24);
        assertThat(Drinker.ADULT.weightOrAssumedKg()).isEqualTo(60);
    }
}
