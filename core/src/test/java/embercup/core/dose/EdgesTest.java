package embercup.core.dose;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.DailyLimit;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.Recipe;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The ends of the rules: ages on the day, maxima of a child, a heavy spoon, and which way a factor goes. */
class EdgesTest {

    private static Drinker aged(double years) {
        return new Drinker(years, OptionalDouble.of(34), Set.of(), Set.of());
    }

    /** Young: age ÷ (age + 12), until twelve; Clark: 34 ÷ 68 (handbook rules, mem); nothing under two, all from eighteen. */
    @ParameterizedTest
    @CsvSource({
        "1.99, 0",
        "2, 0.142857",
        "8, 0.4",
        "11.99, 0.49979",
        "12, 0.5",
        "12.01, 0.5",
        "17.99, 0.5",
        "18, 1",
        "60, 1"
    })
    void theShareOfAnAdultDoseOnTheBirthdays(double years, double share) {
        assertThat(ChildDose.share(aged(years)).value()).isCloseTo(share, within(1e-5));
    }

    /** Until twelve both rules count, after it only the weight. */
    @Test
    void aHeavyChildOfTwelveIsStillAChildOfTwelve() {
        Drinker heavy = new Drinker(12, OptionalDouble.of(60), Set.of(), Set.of());
        Drinker older = new Drinker(12.5, OptionalDouble.of(60), Set.of(), Set.of());
        assertThat(ChildDose.share(heavy).value()).isCloseTo(0.5, within(1e-9));
        assertThat(ChildDose.share(older).value()).isCloseTo(60 / 68.0, within(1e-9));
        Drinker giant = new Drinker(17, OptionalDouble.of(110), Set.of(), Set.of());
        assertThat(ChildDose.share(giant).value()).as("no more than an adult").isEqualTo(1);
    }

    private static DoseRule.Dose dose(String slug, double ownPerCup, Drinker drinker, double cups) {
        Herb herb = MATERIA.herb(slug, "herb");
        return DoseRule.perCup(
                MATERIA,
                herb,
                new DoseRule.Line(Form.DRIED, Workings.given(Term.OWN_GRAMS_PER_CUP, ownPerCup, "g")),
                new DoseRule.Wish(
                        Strength.STANDARD,
                        Purpose.EVERYDAY,
                        drinker,
                        Tradition.MONOGRAPH,
                        cups,
                        Double.POSITIVE_INFINITY,
                        1,
                        false,
                        OptionalDouble.empty()));
    }

    /** Sage: at most 6 g a day for an adult (EMA/HMPC, mem); a child of 8 and 26 kg gets 26 ÷ 68 of it. */
    @Test
    void aChildsDayHoldsTheChildsShareOfTheMost() {
        DoseRule.Dose adult = dose("sage", 20, Drinker.ADULT, 3);
        assertThat(adult.mostPerDay().orElseThrow().value()).isEqualTo(6);
        assertThat(adult.clipped()).isTrue();
        DoseRule.Dose eight = dose("sage", 20, child(8, 26), 3);
        assertThat(eight.mostPerDay().orElseThrow().value()).isCloseTo(6 * 26 / 68.0, within(1e-9));
        assertThat(eight.perCupG()).isCloseTo(6 * 26 / 68.0 / 3, within(1e-9));
        assertThat(eight.passes(6 * 26 / 68.0))
                .as("the most itself is no more than the most")
                .isFalse();
        assertThat(eight.passes(6 * 26 / 68.0 + 0.01)).isTrue();
    }

    /** Tonic a little less, acute a little more than everyday (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"TONIC, 1.8", "EVERYDAY, 2.0", "ACUTE, 2.4"})
    void thePurposeMovesTheDoseItsOwnWay(Purpose purpose, double grams) {
        Recipe balm = recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried("lemon-balm", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        PlanRequest written = PlanRequest.asWritten(balm);
        PlanRequest.Serving s = written.serving();
        BrewPlan plan = PLANNER.plan(
                written.withServing(new PlanRequest.Serving(s.cups(), s.cupMl(), s.strength(), purpose, s.taste())));
        assertThat(plan.additions().get(0).grams()).isCloseTo(grams, within(1e-9));
    }

    /** EU SCF: 100 mg of glycyrrhizin a day; EMA: 6 mg of thujone (mem). A child gets her share of 60 kg. */
    @ParameterizedTest
    @CsvSource({"GLYCYRRHIZIN, 43.3333", "THUJONE, 2.6", "CAFFEINE, 78", "COUMARIN, 2.6"})
    void aChildsLimitOfTheDay(Constituent constituent, double mg) {
        assertThat(DayLimits.forDrinker(MATERIA.limits().get(constituent), child(8, 26))
                        .value())
                .isCloseTo(mg, within(1e-3));
    }

    @ParameterizedTest
    @EnumSource(Constituent.class)
    void nobodyMayHaveMoreThanAnAdultWhoIsNotPregnant(Constituent constituent) {
        DailyLimit limit = MATERIA.limits().get(constituent);
        double adult = DayLimits.forDrinker(limit, adultWith(60)).value();
        for (Drinker other : List.of(
                adultWith(60, Condition.PREGNANT),
                adultWith(60, Condition.BREASTFEEDING),
                child(17.9, 60),
                child(3, 14))) {
            assertThat(DayLimits.forDrinker(limit, other).value()).isLessThanOrEqualTo(adult);
        }
        assertThat(DayLimits.forDrinker(limit, child(18, 60)).value()).isEqualTo(adult);
    }

    /**
     * "Weigh this one" where a heavy hand with the spoon passes the drinker's own limit of the day and the best amount keeps
     * it: 200 mg of caffeine in pregnancy, 400 mg else (EFSA 2015, mem).
     */
    @Test
    void aHeavySpoonIsWeighedWhereTheDrinkersOwnLimitIsNear() {
        Drinker pregnant = adultWith(60, Condition.PREGNANT);
        int onlyPregnant = 0;
        for (double grams = 1; grams < 30; grams += 0.5) {
            PlannedAddition hers = tea(grams, pregnant);
            PlannedAddition his = tea(grams, adultWith(60));
            assertThat(hers.weigh()).as(grams + " g, pregnant").isEqualTo(near(hers, 200));
            assertThat(his.weigh()).as(grams + " g").isEqualTo(near(his, 400));
            onlyPregnant += hers.weigh() && !his.weigh() ? 1 : 0;
        }
        assertThat(onlyPregnant).isPositive();
    }

    private static boolean near(PlannedAddition tea, double limitMg) {
        Herb.Content caffeine = MATERIA.herb("black-tea", "herb").constituents().stream()
                .filter(c -> c.constituent() == Constituent.CAFFEINE)
                .findFirst()
                .orElseThrow();
        // Four cups without a posology: three of them in a day.
        double drunk = 3 / 4.0;
        boolean heavyPasses = tea.highG() * drunk * caffeine.mgPerG().best() > limitMg;
        return heavyPasses && tea.grams() * drunk * caffeine.mgPerG().best() <= limitMg
                || passesTheDay(tea)
                || muchMore(tea);
    }

    /** Or where it makes a usual cup one of more than half as much again as the highest usual one (design value). */
    private static boolean muchMore(PlannedAddition tea) {
        double much = 1.5
                * MATERIA.herb("black-tea", "herb")
                        .dose(Tradition.FOLK, Form.DRIED)
                        .orElseThrow()
                        .perCupG()
                        .high();
        return tea.grams() / 4 <= much && tea.highG() / 4 > much;
    }

    /** Or where it passes the usual most of a day. */
    private static boolean passesTheDay(PlannedAddition tea) {
        Herb herb = MATERIA.herb("black-tea", "herb");
        double times =
                herb.dose(Tradition.FOLK, Form.DRIED).orElseThrow().timesADay().high();
        double day = tea.highG() / 4 * Math.min(3, times);
        double best = tea.grams() / 4 * Math.min(3, times);
        return herb.mostPerDayG(Tradition.FOLK, Form.DRIED)
                .filter(most -> best <= most.value() * (1 + 1e-9) && day > most.value() * (1 + 1e-9))
                .isPresent();
    }

    private static PlannedAddition tea(double grams, Drinker drinker) {
        Recipe tea = recipe(
                Tradition.FOLK,
                4,
                250,
                List.of(dried("black-tea", Cut.CHOPPED, grams, Unit.GRAM, 0)),
                pour(),
                steep(4),
                strain());
        return PLANNER.plan(PlanRequest.asWritten(tea).withDrinker(drinker))
                .additions()
                .get(0);
    }

    /** c·m·ΔT ÷ (2 000 W × 0.9): the kettle's heat (specific heat from IAPWS-IF97). */
    @Test
    void theKettleTakesAsLongAsItsPowerSays() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(lindenCup()));
        double seconds = plan.water().startMl() * 4.19 * (100 - 15) / (2000 * 0.9);
        assertThat(plan.stages().get(0).heatS()).isCloseTo(seconds, within(seconds * 0.01));
    }

    /**
     * The band is what the strength moves by when every rate is so much faster or slower (finite difference), and what the spoons
     * of the herbs move it by; neither knows of the other.
     */
    @Test
    void theBandOfTheStrengthIsThatOfItsRatesAndItsSpoons() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(rootPot()));
        double drawn = plan.brew().share(embercup.core.materia.ExtractClass.BODY);
        double kt = -Math.log(1 - drawn);
        double by = 1e-5;
        double moved = (-Math.expm1(-kt * (1 + by)) / drawn - 1) / by;
        double rates = MATERIA.extraction().bandRelative() * moved;
        double all = plan.pot().charges().stream()
                .mapToDouble(c -> c.grams() * c.holdsPerG(embercup.core.materia.ExtractClass.BODY))
                .sum();
        double spoons = 0;
        for (int i = 0; i < plan.additions().size(); i++) {
            var charge = plan.pot().charges().get(i);
            double share = charge.grams() * charge.holdsPerG(embercup.core.materia.ExtractClass.BODY) / all;
            double relative =
                    plan.additions().get(i).highG() / plan.additions().get(i).grams() - 1;
            spoons += Math.pow(share * relative, 2);
        }
        assertThat(spoons).isPositive();
        double band = Math.hypot(rates, Math.sqrt(spoons));
        assertThat(band).isPositive();
        assertThat(plan.strengthHigh() / plan.strength() - 1).isCloseTo(band, within(band * 1e-3));
        assertThat(1 - plan.strengthLow() / plan.strength()).isCloseTo(band, within(band * 1e-3));
    }
}
