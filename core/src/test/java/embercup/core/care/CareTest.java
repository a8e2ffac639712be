package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.dose.DayLimits;
import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.workings.Workings;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CareTest {

    private final Care care = new Care(MATERIA);

    private Care.Verdict judge(Recipe recipe, Drinker drinker, Map<Constituent, Double> earlier) {
        return care.judge(PLANNER.plan(PlanRequest.asWritten(recipe).withDrinker(drinker)), History.ofDay(earlier));
    }

    private static Recipe decoction(String herb, Cut cut, double grams) {
        return recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried(herb, cut, grams, Unit.GRAM, 0)),
                heat(),
                simmer(10, true),
                strain());
    }

    /** EFSA 2008 with BfR's content (mem): a 60 kg adult reaches 6 mg of coumarin with 2.0 g of cassia. */
    @Test
    void twoGramsOfCassiaAreTheDayOfASixtyKiloAdult() {
        DayLoad at = judge(decoction("cinnamon-cassia", Cut.CHOPPED, 2), adultWith(60), Map.of())
                .loads()
                .get(0);
        assertThat(at.mg()).isCloseTo(6, within(1e-9));
        assertThat(at.limitMg()).isCloseTo(6, within(1e-9));
        assertThat(at.stops()).isFalse();
        Care.Verdict over = judge(decoction("cinnamon-cassia", Cut.CHOPPED, 2.2), adultWith(60), Map.of());
        assertThat(over.loads().get(0).against())
                .as("a pot without a schedule is one day's: a day above a lifetime's limit asks for care")
                .isEqualTo(Caution.Against.SHORT_USE);
        assertThat(judge(decoction("cinnamon-cassia", Cut.CHOPPED, 6.1), adultWith(60), Map.of())
                        .stops())
                .as("more than three times as much is stopped on any day")
                .isTrue();
    }

    /**
     * EU SCF 2003 (mem): 100 mg of glycyrrhizin a day. The root holds 2-6 %; at the high end 1.67 g are the day, at the usual 4 %
     * it were 2.5 g: the high value is judged.
     */
    @Test
    void aHundredMilligramsOfGlycyrrhizinAreReachedByTheRichestRoot() {
        DayLoad load = judge(decoction("liquorice", Cut.CHOPPED, 100 / 60.0), adultWith(80), Map.of())
                .loads()
                .get(0);
        assertThat(load.mg()).isCloseTo(100, within(1e-9));
        assertThat(load.limitMg()).isEqualTo(100);
    }

    /** EMA (mem): 6 mg of thujone; 2 mg from a gram of sage at most, so three grams fill a day. */
    @Test
    void whatWasDrunkInTheMorningCountsInTheEvening() {
        Recipe sage = recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried("sage", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        assertThat(judge(sage, adultWith(66), Map.of()).stops()).isFalse();
        Care.Verdict evening = judge(sage, adultWith(66), Map.of(Constituent.THUJONE, 4.0));
        assertThat(evening.loads().get(0).mg()).isCloseTo(8, within(1e-9));
        assertThat(evening.cautions().get(0)).matches(c -> c.code().equals("thujone") && c.severity() == Severity.STOP);
    }

    /** EFSA 2015 (mem): 200 mg of caffeine a day in pregnancy, 3 mg/kg for a child. */
    @Test
    void caffeineHasItsOwnLimitInPregnancyAndForChildren() {
        var limit = MATERIA.limits().get(Constituent.CAFFEINE);
        assertThat(DayLimits.forDrinker(limit, adultWith(60)).value()).isEqualTo(400);
        assertThat(DayLimits.forDrinker(limit, adultWith(60, Condition.PREGNANT))
                        .value())
                .isEqualTo(200);
        assertThat(DayLimits.forDrinker(limit, child(8, 26)).value()).isCloseTo(78, within(1e-9));
    }

    @Test
    void liquoriceIsStoppedForBloodPressureTablets() {
        Care.Verdict verdict =
                judge(decoction("liquorice", Cut.CHOPPED, 1), adultWith(72, Condition.HIGH_BLOOD_PRESSURE), Map.of());
        assertThat(verdict.stops()).isTrue();
        assertThat(verdict.cautions().get(0).herb()).contains("liquorice");
        assertThat(judge(decoction("liquorice", Cut.CHOPPED, 1), adultWith(72), Map.of())
                        .stops())
                .isFalse();
    }

    @Test
    void plantsNotForTeaAreRefusedWhoeverDrinks() {
        for (String plant : List.of("comfrey", "foxglove", "yew", "hemlock", "ephedra")) {
            assertThat(judge(decoction(plant, Cut.CHOPPED, 1), adultWith(70), Map.of())
                            .cautions())
                    .as(plant)
                    .anyMatch(c -> c.code().equals("not-for-tea") && c.severity() == Severity.STOP);
        }
    }

    @Test
    void everyConditionTouchesAtLeastOneHerb() {
        for (Condition condition : Condition.values()) {
            assertThat(MATERIA.herbs()).as(condition.code()).anyMatch(h -> h.cautions().stream()
                    .anyMatch(c -> c.when().filter(condition::equals).isPresent()));
        }
    }

    @Test
    void aHerbNamedAsAllergyIsAStop() {
        Drinker allergic = new Drinker(30, OptionalDouble.of(60), Set.of(), Set.of("linden"));
        assertThat(judge(lindenCup(), allergic, Map.of()).cautions())
                .anyMatch(c -> c.code().equals("allergy"));
    }

    @Test
    void whatADrinkerDoesNotCareForIsANoteAndNoStop() {
        Drinker picky =
                new Drinker(30, OptionalDouble.of(60), Set.of(), OptionalInt.empty(), Set.of(), Set.of("linden"));
        assertThat(judge(lindenCup(), picky, Map.of()).stops()).isFalse();
        assertThat(judge(lindenCup(), picky, Map.of()).cautions())
                .anyMatch(c -> c.code().equals("dislike") && WORDS.say(c).contains("linden"));
    }

    @Test
    void aChildUnderTheHerbsFloorIsStopped() {
        assertThat(judge(decoction("willow-bark", Cut.CHOPPED, 1), child(15, 50), Map.of())
                        .cautions())
                .anyMatch(c -> c.code().equals("age-floor") && WORDS.say(c).contains("18"));
        assertThat(judge(lindenCup(), child(8, 26), Map.of()).stops()).isFalse();
        assertThat(judge(lindenCup(), child(1, 10), Map.of()).cautions())
                .anyMatch(c -> c.code().equals("under-two"));
    }

    @Test
    void theMethodBringsItsOwnHazards() {
        Recipe reduction = recipe(
                Tradition.AYURVEDIC,
                2,
                200,
                List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                heat(),
                reduce(400),
                strain());
        assertThat(judge(reduction, Drinker.ADULT, Map.of()).cautions())
                .anyMatch(c -> c.code().equals("reducing-pot"));
        assertThat(judge(lindenCup(), Drinker.ADULT, Map.of()).cautions())
                .noneMatch(c -> c.code().equals("reducing-pot"));
    }

    /** 2 g of cassia at 3 000 mg/kg are 6 mg: the day of a 60 kg adult (EFSA 2008, BfR, mem). */
    @Test
    void aLoadOfTheDayAnswersWhy() {
        Care.Verdict verdict =
                judge(decoction("cinnamon-cassia", Cut.CHOPPED, 1), adultWith(60), Map.of(Constituent.COUMARIN, 2.0));
        var why = Objects.requireNonNull(verdict.workings().get("dailyLoads.coumarin"));
        assertThat(why.value()).isCloseTo(5, within(1e-6));
        assertThat(why.inputs()).extracting(Workings::value).containsExactly(3.0, 2.0);
        assertThat(verdict.loads().get(0).limitMg()).isCloseTo(6, within(1e-6));
    }

    @Test
    void whatThePosologyLeavesOpenIsSaid() {
        assertThat(judge(pot("sage", 6, 0.5, 0), Drinker.ADULT, Map.of()).cautions())
                .contains(new Caution.CupsNotSaid(3));
        assertThat(judge(pot("sage", 6, 0.5, 2), Drinker.ADULT, Map.of()).cautions())
                .noneMatch(Caution.CupsNotSaid.class::isInstance);
        assertThat(judge(pot("linden", 6, 1.5, 0), Drinker.ADULT, Map.of()).cautions())
                .as("nothing of linden is counted")
                .noneMatch(Caution.CupsNotSaid.class::isInstance);
    }

    private static Recipe pot(String herb, double cups, double gramsACup, double cupsADay) {
        Recipe r = recipe(
                Tradition.MONOGRAPH,
                cups,
                200,
                List.of(dried(herb, Cut.CHOPPED, gramsACup * cups, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        return cupsADay == 0 ? r : r.taken(new Posology(cupsADay, Posology.When.ANY_TIME, OptionalInt.empty(), 0));
    }

    /**
     * A day holds the cups that are drunk of a pot that day, as its posology has them, not the pot; without a posology the pot,
     * up to three cups (common practice, no source).
     */
    @ParameterizedTest
    @CsvSource({
        "1, 0, 1",
        "3, 0, 3",
        "6, 0, 3",
        "6, 1, 1",
        "6, 2, 2",
        "1, 3, 3",
        "2, 0.5, 0.5",
    })
    void aDayHoldsTheCupsThatAreDrunkAndNotThePot(double cups, double cupsADay, double counted) {
        double oneCup = judge(pot("sage", 1, 0.5, 1), Drinker.ADULT, Map.of())
                .loads()
                .get(0)
                .mg();
        assertThat(judge(pot("sage", cups, 0.5, cupsADay), Drinker.ADULT, Map.of())
                        .loads()
                        .get(0)
                        .mg())
                .isCloseTo(oneCup * counted, within(1e-9));
    }
}
