package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.DoseRule;
import embercup.core.dose.Drinker;
import embercup.core.dose.Strength;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Cups over days, the alcohol of tinctures, the stomach, and the second brew's share of a day. */
class CourseOfCupsTest {

    private final Care care = new Care(MATERIA);

    private static final Recipe SEEDS = recipe(
            Tradition.MONOGRAPH,
            2,
            200,
            List.of(dried("fennel", Cut.CRUSHED, 1.5, Unit.GRAM, 0), dried("sage", Cut.CHOPPED, 1, Unit.GRAM, 0)),
            pour(),
            steep(12),
            strain());

    private List<Caution> cautions(PlanRequest request, History history) {
        return care.judge(PLANNER.plan(request), history).cautions();
    }

    /** So many days in a row up to the day before. */
    private static History drunk(String herb, int days) {
        LocalDate today = LocalDate.of(2026, 11, 26);
        return new History(
                List.of(),
                Map.of(
                        herb,
                        IntStream.rangeClosed(1, days)
                                .mapToObj(today::minusDays)
                                .collect(Collectors.toSet())),
                today);
    }

    private static List<Caution> coded(List<Caution> cautions, String code) {
        return cautions.stream().filter(c -> c.code().equals(code)).toList();
    }

    // ---- run length: fennel and sage at most two weeks (EMA/HMPC, mem)

    @Test
    void theShortestLimitOfAnyHerbInTheCupCounts() {
        assertThat(coded(cautions(PlanRequest.asWritten(SEEDS), drunk("fennel", 8)), "longest-run"))
                .singleElement()
                .satisfies(c -> assertThat(WORDS.say(c)).contains("14 days"));
    }

    @Test
    void theFifteenthDayInARowIsOneTooMany() {
        PlanRequest cup = PlanRequest.asWritten(SEEDS);
        assertThat(coded(cautions(cup, drunk("fennel", 13)), "run-over")).isEmpty();
        assertThat(coded(cautions(cup, drunk("fennel", 14)), "run-over"))
                .singleElement()
                .satisfies(c -> assertThat(c.severity()).isEqualTo(Severity.CARE));
    }

    @Test
    void aSchoolOfMonthsStillHearsOfTheLimit() {
        PlanRequest cup = PlanRequest.asWritten(SEEDS)
                .withSchools(Schools.of(Tradition.MONOGRAPH).with(Choice.MONTHS));
        assertThat(coded(cautions(cup, History.NONE), "longest-run"))
                .singleElement()
                .satisfies(c -> assertThat(WORDS.say(c)).contains("leave this herb out"));
    }

    // ---- tinctures

    private static PlanRequest tincture(Drinker drinker) {
        return PlanRequest.asWritten(recipe(
                                Tradition.FOLK,
                                1,
                                100,
                                List.of(dried("liquorice", Cut.CHOPPED, 20, Unit.GRAM, 0)),
                                macerate(30 * 1440),
                                strain())
                        .in(Menstruum.spirit(40)))
                .withDrinker(drinker);
    }

    @Test
    void noSpiritForChildrenNorInPregnancy() {
        for (Drinker drinker : List.of(child(12, 40), adultWith(60, Condition.PREGNANT))) {
            assertThat(coded(cautions(tincture(drinker), History.NONE), "alcohol"))
                    .singleElement()
                    .satisfies(c -> assertThat(c.severity()).isEqualTo(Severity.STOP));
        }
        BrewPlan plan = PLANNER.plan(tincture(child(12, 40)));
        assertThat(WayOut.of(MATERIA, plan, care.judge(plan, History.NONE), History.NONE))
                .contains(new WayOut.DrawWith(Menstruum.Kind.GLYCERIN));
    }

    @Test
    void aDayOfDropsNamesItsAlcohol() {
        // 6 mL × 40 % × 0.789 g/mL = 1.9 g
        assertThat(coded(cautions(tincture(adultWith(70)), History.NONE), "alcohol"))
                .singleElement()
                .satisfies(c -> assertThat(WORDS.say(c)).contains("1.9 g"));
    }

    @Test
    void aBottleOfDropsIsNotOneDay() {
        BrewPlan plan = PLANNER.plan(tincture(adultWith(70)));
        double mg = care.contents(plan).get(Constituent.GLYCYRRHIZIN).value();
        // liquorice up to 60 mg/g (EU SCF, mem); 6 of 100 mL a day
        assertThat(mg / plan.additions().get(0).grams())
                .isCloseTo(60 * 0.06, org.assertj.core.api.Assertions.within(0.01));
    }

    // ---- stomach

    @Test
    void anIrritatingHerbIsDrunkWithFoodWhateverTheSchool() {
        PlanRequest ginger = PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                1,
                200,
                List.of(dried("ginger", Cut.CHOPPED, 0.5, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain()));
        assertThat(WORDS.say(coded(cautions(ginger, History.NONE), "stomach").get(0)))
                .startsWith("Drink it with food");
        PlanRequest empty = ginger.withSchools(ginger.schools().with(Choice.EMPTY));
        assertThat(WORDS.say(coded(cautions(empty, History.NONE), "stomach").get(0)))
                .contains("With food if it does");
    }

    // ---- spent herbs and the day

    @Test
    void spentHerbsCountWithWhatTheyStillHold() {
        Recipe pot = rootPot().withAdditions(List.of(dried("liquorice", Cut.SLICED, 2, Unit.GRAM, 0)));
        BrewPlan first = PLANNER.plan(PlanRequest.asWritten(pot));
        BrewPlan second = PLANNER.plan(PlanRequest.asWritten(pot).spent(true));
        double firstMg = care.contents(first).get(Constituent.GLYCYRRHIZIN).value();
        assertThat(care.contents(second).get(Constituent.GLYCYRRHIZIN).value())
                .isLessThan(firstMg)
                .isPositive();
    }

    // ---- smaller doses

    @Test
    void aSmallerDoseThatFitsTheDayIsOffered() {
        Recipe sweet = rootPot()
                .withAdditions(List.of(dried("liquorice", Cut.SLICED, 4, Unit.GRAM, 0)))
                .taken(new Posology(2, Posology.When.ANY_TIME, OptionalInt.of(60), 0));
        PlanRequest request = PlanRequest.asWritten(sweet).withDrinker(adultWith(70));
        BrewPlan plan = PLANNER.plan(request);
        WayOut smaller = WayOut.of(MATERIA, plan, care.judge(plan, History.NONE), History.NONE).stream()
                .filter(w -> Ways.share(w) > 0)
                .findFirst()
                .orElseThrow();
        // 100 mg a day = 1.67 g of the richest liquorice, 6 % (EU SCF, mem)
        double grams = plan.additions().get(0).grams() * Ways.share(smaller);
        assertThat(grams).isBetween(1.6, 1.67);
    }

    // ---- blends

    @Test
    void aStrongBlendIsLiftedOnlyIntoTheRoomItsHerbsShare() {
        PlanRequest standard = PlanRequest.asWritten(SEEDS);
        double before = shares(PLANNER.plan(standard).additions());
        double after =
                shares(PLANNER.plan(standard.withStrength(Strength.STRONG)).additions());
        assertThat(before).isLessThan(1);
        assertThat(after).isGreaterThan(before).isLessThanOrEqualTo(1.0001);
        assertThat(DoseRule.room(List.of(0.4))).isInfinite();
    }

    private static double shares(List<PlannedAddition> additions) {
        return additions.stream()
                .mapToDouble(a -> a.perCupG()
                        / MATERIA.herb(a.herb(), "herb")
                                .dose(Tradition.MONOGRAPH, a.form())
                                .orElseThrow()
                                .perCupG()
                                .high())
                .sum();
    }
}
