package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.dose.DayLimits;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Taking;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a day holds, and how many of them are in a row. */
class DayAndRunTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    private final Care care = new Care(MATERIA);

    private static Recipe cup(String herb, Cut cut, double grams, double minutes) {
        return recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried(herb, cut, grams, Unit.GRAM, 0)),
                pour(),
                steep(minutes),
                strain());
    }

    private double mg(Recipe recipe, Constituent constituent) {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(recipe).withDrinker(adultWith(70)));
        return care.contents(plan).get(constituent).value();
    }

    private Caution load(PlanRequest request, Constituent constituent, History history) {
        return care.judge(PLANNER.plan(request), history).cautions().stream()
                .filter(c -> c instanceof Caution.DayHolds d && d.constituent() == constituent)
                .findFirst()
                .orElseThrow();
    }

    // ---- caffeine with time

    /**
     * A bag of black tea of 2 g gives about 45 mg in five minutes and green tea 30 mg (EFSA 2015, mem); about half of it is out
     * after one minute and nearly all after ten (published steeping curves of black tea, mem).
     */
    @Test
    void caffeineGrowsWithItsTimeInThePot() {
        double one = mg(cup("black-tea", Cut.CHOPPED, 2, 1), Constituent.CAFFEINE);
        double five = mg(cup("black-tea", Cut.CHOPPED, 2, 5), Constituent.CAFFEINE);
        double ten = mg(cup("black-tea", Cut.CHOPPED, 2, 10), Constituent.CAFFEINE);
        assertThat(five).isBetween(38.0, 52.0);
        assertThat(one / five).isBetween(0.35, 0.65);
        assertThat(ten / five).isBetween(1.0, 1.2);
        assertThat(mg(cup("green-tea", Cut.CHOPPED, 2, 5), Constituent.CAFFEINE))
                .isBetween(24.0, 36.0);
        assertThat(mg(cup("mate", Cut.CHOPPED, 3, 10), Constituent.CAFFEINE)).isBetween(28.0, 42.0);
    }

    @Test
    void whatIsDrunkWholeCountsWhole() {
        Recipe whisked =
                recipe(Tradition.FOLK, 1, 200, List.of(dried("matcha", Cut.GROUND, 2, Unit.GRAM, 0)), pour(), steep(1));
        double perG =
                MATERIA.herb("matcha", "herb").constituents().get(0).mgPerG().best();
        assertThat(mg(whisked, Constituent.CAFFEINE)).isCloseTo(2 * perG, within(1e-9));
        assertThat(mg(cup("matcha", Cut.GROUND, 2, 1), Constituent.CAFFEINE)).isLessThan(2 * perG);
    }

    /** EFSA 2015 (mem): 200 mg at once for an adult; a child's by its weight. */
    @Test
    void oneCupOfCoffeeThatIsTwoIsTold() {
        Recipe strong = recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(
                        dried("coffee", Cut.GROUND, 10, Unit.GRAM, 0),
                        dried("guayusa", Cut.CHOPPED, 3, Unit.GRAM, 0),
                        dried("guarana", Cut.GROUND, 1, Unit.GRAM, 0),
                        dried("mate", Cut.CHOPPED, 4, Unit.GRAM, 0),
                        dried("black-tea", Cut.CHOPPED, 3, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        List<Caution> cautions = care.judge(PLANNER.plan(PlanRequest.asWritten(strong)), History.NONE)
                .cautions();
        assertThat(cautions).anyMatch(c -> c instanceof Caution.AtOnce && c.severity() == Severity.CARE);
        assertThat(care.judge(PLANNER.plan(PlanRequest.asWritten(cup("coffee", Cut.GROUND, 8, 4))), History.NONE)
                        .cautions())
                .noneMatch(Caution.AtOnce.class::isInstance);
        var limit = MATERIA.limits().get(Constituent.CAFFEINE);
        assertThat(DayLimits.atOnce(limit, child(8, 30)).orElseThrow().value()).isCloseTo(100, within(1e-9));
    }

    // ---- a day, or long use

    private static Recipe forDays(Recipe recipe, int days) {
        return recipe.taken(new Posology(1, Posology.When.ANY_TIME, OptionalInt.of(days), 0));
    }

    private static Recipe forAtMost(Recipe recipe, int days) {
        var more = new Posology.More(
                OptionalDouble.empty(), Optional.empty(), Set.of(), OptionalInt.of(days), OptionalDouble.empty());
        return recipe.taken(new Posology(1, Posology.When.ANY_TIME, OptionalInt.empty(), 0, more));
    }

    /**
     * EMA (mem): 0.05 mg of estragole a day is a guidance value for the general population; a fennel tea passes it and is for two
     * weeks at most. EFSA 2008 (mem): three times the tolerable coumarin for one or two weeks is no concern.
     */
    @ParameterizedTest
    @CsvSource({
        "fennel, CRUSHED, 2, ESTRAGOLE, 0, EVERYDAY, NOTE",
        "fennel, CRUSHED, 2, ESTRAGOLE, 7, EVERYDAY, NOTE",
        "fennel, CRUSHED, 2, ESTRAGOLE, 0, TONIC, CARE",
        "fennel, CRUSHED, 2, ESTRAGOLE, 30, EVERYDAY, CARE",
        "cinnamon-cassia, CHOPPED, 3, COUMARIN, 0, EVERYDAY, CARE",
        "cinnamon-cassia, CHOPPED, 3, COUMARIN, 7, EVERYDAY, CARE",
        "cinnamon-cassia, CHOPPED, 3, COUMARIN, 30, EVERYDAY, STOP",
        "cinnamon-cassia, CHOPPED, 3, COUMARIN, 7, TONIC, STOP",
        "liquorice, SLICED, 3, GLYCYRRHIZIN, 0, EVERYDAY, CARE",
        "liquorice, SLICED, 3, GLYCYRRHIZIN, 14, EVERYDAY, CARE",
        "liquorice, SLICED, 3, GLYCYRRHIZIN, 60, EVERYDAY, STOP"
    })
    void aShortUseIsJudgedAsShortWhenItIsSaidToBe(
            String herb, Cut cut, double grams, Constituent constituent, int days, Purpose purpose, Severity severity) {
        Recipe bare = recipe(
                Tradition.FOLK, 1, 240, List.of(dried(herb, cut, grams, Unit.GRAM, 0)), simmer(20, true), strain());
        for (Recipe recipe : days == 0 ? List.of(bare) : List.of(forDays(bare, days), forAtMost(bare, days))) {
            PlanRequest plain = prescribedDose(recipe);
            PlanRequest request = plain.withServing(
                    new PlanRequest.Serving(plain.cups(), plain.cupMl(), plain.strength(), purpose, plain.taste()));
            assertThat(load(request, constituent, History.NONE).severity())
                    .as(recipe.posology().toString())
                    .isEqualTo(severity);
        }
    }

    private static PlanRequest prescribedDose(Recipe recipe) {
        return PlanRequest.asWritten(recipe).withDrinker(adultWith(60));
    }

    @Test
    void theDaysBehindACupMakeItLongToo() {
        Recipe week = forDays(cup("fennel", Cut.CRUSHED, 2, 15), 7);
        assertThat(load(prescribedDose(week), Constituent.ESTRAGOLE, drunk("fennel", 9))
                        .severity())
                .isEqualTo(Severity.CARE);
        assertThat(load(prescribedDose(week), Constituent.ESTRAGOLE, drunk("fennel", 2))
                        .severity())
                .isEqualTo(Severity.NOTE);
    }

    @Test
    void theBrewsOfTheDayAreNamed() {
        History morning = new History(
                List.of(new History.Earlier(
                        "Sage and thyme", Optional.of(LocalTime.of(8, 10)), Map.of(Constituent.THUJONE, 3.9))),
                Map.of(),
                TODAY);
        Caution day = load(prescribedDose(cup("sage", Cut.CHOPPED, 1, 10)), Constituent.THUJONE, morning);
        assertThat(WORDS.say(day)).contains("Sage and thyme", "08:10", "3.9 mg");
    }

    // ---- the drinker's own cups

    @Test
    void cupsADayOfTheOrderCount() {
        Recipe six = recipe(
                Tradition.FOLK,
                6,
                200,
                List.of(dried("sage", Cut.CHOPPED, 6, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        double one = mgOf(six, 1);
        assertThat(mgOf(six, 2)).isCloseTo(2 * one, within(1e-9));
        assertThat(mgOf(six, 6)).isCloseTo(6 * one, within(1e-9));
        assertThat(PlanRequest.asWritten(six).withTaking(cups(2)).days()).isEqualTo(3);
        assertThat(PlanRequest.asWritten(six).withTaking(cups(4)).days()).isEqualTo(2);
    }

    private static Taking cups(double aDay) {
        return new Taking(OptionalDouble.of(aDay), OptionalInt.empty(), List.of());
    }

    private double mgOf(Recipe recipe, double cupsADay) {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(recipe).withTaking(cups(cupsADay)));
        return care.contents(plan).get(Constituent.THUJONE).value();
    }

    // ---- runs on a calendar (common practice, no source)

    private static History drunk(String herb, int days) {
        return new History(List.of(), Map.of(herb, before(1, days)), TODAY);
    }

    /** Days so far back, both ends included. */
    private static Set<LocalDate> before(int from, int to) {
        return IntStream.rangeClosed(from, to).mapToObj(TODAY::minusDays).collect(Collectors.toSet());
    }

    private static Set<LocalDate> both(Collection<LocalDate> a, Collection<LocalDate> b) {
        Set<LocalDate> all = new java.util.HashSet<>(a);
        all.addAll(b);
        return all;
    }

    @Test
    void daysInARowCountAndABreakAsLongEndsThem() {
        assertThat(Run.of(before(1, 13), TODAY, 14)).isEqualTo(new Run(13, false));
        assertThat(Run.of(before(1, 14), TODAY, 14)).isEqualTo(new Run(14, true));
        assertThat(Run.of(before(8, 21), TODAY, 14)).as("a week off of two").isEqualTo(new Run(7, true));
        assertThat(Run.of(before(15, 28), TODAY, 14)).as("the whole break").isEqualTo(new Run(0, false));
        assertThat(Run.of(Set.of(), TODAY, 14)).isEqualTo(new Run(0, false));
        assertThat(Run.of(Set.of(TODAY, TODAY.plusDays(3)), TODAY, 14))
                .as("what is to come")
                .isEqualTo(new Run(0, false));
    }

    @Test
    void aMissedDayDoesNotBeginAgain() {
        Set<LocalDate> withAGap = both(before(1, 7), before(9, 15));
        assertThat(Run.of(withAGap, TODAY, 14).days()).isEqualTo(13);
        Set<LocalDate> everyOther = IntStream.rangeClosed(1, 30)
                .filter(i -> i % 2 == 0)
                .mapToObj(TODAY::minusDays)
                .collect(Collectors.toSet());
        assertThat(Run.of(everyOther, TODAY, 14))
                .as("every other day rests as long as it drinks")
                .isEqualTo(new Run(0, false));
    }

    @Test
    void aLongRunLongAgoIsOwedItsBreakStill() {
        // A hundred days of ginseng, at most ninety: however far back the look has to go.
        assertThat(Run.of(before(11, 110), TODAY, 90)).isEqualTo(new Run(90, true));
        assertThat(Run.of(before(101, 200), TODAY, 90)).isEqualTo(new Run(0, false));
    }

    @Test
    void aCourseThatWouldPassItIsTold() {
        Recipe ten = forDays(cup("fennel", Cut.CRUSHED, 2, 15), 10);
        List<Caution> cautions = care.judge(PLANNER.plan(PlanRequest.asWritten(ten)), drunk("fennel", 6))
                .cautions();
        assertThat(cautions).anyMatch(Caution.RunWouldPass.class::isInstance);
        assertThat(care.judge(PLANNER.plan(PlanRequest.asWritten(ten)), drunk("fennel", 3))
                        .cautions())
                .noneMatch(Caution.RunWouldPass.class::isInstance);
    }

    /** EMA/HMPC (mem): two to four weeks for what flushes the urinary tract; the rest of the handbooks (mem). */
    @ParameterizedTest
    @CsvSource({
        "horsetail, 28", "birch-leaf, 28", "nettle, 28", "rhodiola, 42", "goldenrod, 28", "java-tea, 28",
                "bearberry, 7",
        "sage, 14", "fennel, 14", "anise, 14", "juniper-berry, 14", "liquorice, 28", "willow-bark, 28", "eleuthero, 60",
        "ginseng, 90", "oak-bark, 4", "tormentil, 4", "cinnamon-true, 14", "wormwood, 14", "echinacea, 10"
    })
    void longestRunsAreKnown(String slug, double days) {
        assertThat(MATERIA.herb(slug, "herb").longestRunDays().orElseThrow().value())
                .isEqualTo(days);
    }

    // ---- what else a sheet says

    @ParameterizedTest
    @CsvSource({
        "elderflower, identity, Hemlock",
        "bilberry, identity, Deadly nightshade",
        "mugwort, identity, Monkshood"
    })
    void poisonousConfusionsReachTheSheetForGatheredHerbs(String slug, String code, String poison) {
        assertThat(care.judge(PLANNER.plan(PlanRequest.asWritten(cup(slug, Cut.CHOPPED, 0.05, 5))), History.NONE)
                        .cautions())
                .filteredOn(c -> c.code().equals(code))
                .singleElement()
                .satisfies(c -> assertThat(WORDS.say(c)).contains(poison));
    }

    /** What dyes hands and cloth (common practice, no source), and what makes the skin sensitive to light (HMPC on lovage, mem). */
    @ParameterizedTest
    @CsvSource({
        "turmeric, true, false",
        "walnut-leaf, true, false",
        "elderberry, true, false",
        "lovage, false, true",
        "st-johns-wort, false, true",
        "angelica-root, false, true",
        "peppermint, false, false"
    })
    void whatStainsAndWhatMakesTheSkinSensitiveIsOnTheSheet(String slug, boolean stains, boolean light) {
        List<String> said = care
                .judge(PLANNER.plan(PlanRequest.asWritten(cup(slug, Cut.CHOPPED, 0.3, 5))), History.NONE)
                .cautions()
                .stream()
                .map(WORDS::say)
                .toList();
        assertThat(said.stream().anyMatch(text -> text.contains("hands, counters and cloth")))
                .isEqualTo(stains);
        assertThat(said.stream().anyMatch(text -> text.contains("sensitive to light")))
                .isEqualTo(light);
    }

    @Test
    void freshNettlesAreHandledWithGlovesAndDriedOnesAreNot() {
        assertThat(prepared(fresh("nettle", Cut.CHOPPED, 10, Unit.GRAM, 0))).contains("gloves");
        assertThat(prepared(dried("nettle", Cut.CHOPPED, 3, Unit.GRAM, 0))).doesNotContain("gloves");
    }

    private static String prepared(Addition line) {
        BrewPlan plan = PLANNER.plan(
                PlanRequest.asWritten(recipe(Tradition.MONOGRAPH, 1, 200, List.of(line), pour(), steep(10), strain())));
        return String.join(", ", plan.additions().get(0).prepared().steps());
    }

    @ParameterizedTest
    @CsvSource({
        "thyme, trouble swallowing",
        "valerian, four weeks",
        "peppermint, belly",
        "hawthorn, chest",
        "birch-leaf, urine",
        "ladys-mantle, bleeding",
        "bilberry, watery",
        "psyllium, stool",
        "rooibos, breathing trouble"
    })
    void whenToAskAClinicianIsOnEverySheetByItsPurpose(String slug, String sign) {
        Care.Verdict verdict =
                care.judge(PLANNER.plan(PlanRequest.asWritten(cup(slug, Cut.CHOPPED, 0.3, 5))), History.NONE);
        assertThat(verdict.ask()).anyMatch(a -> a.signs().contains(sign));
        assertThat(verdict.ask()).last().isEqualTo(MATERIA.askAlways());
        Drinker small = child(4, 16);
        assertThat(care.judge(
                                PLANNER.plan(PlanRequest.asWritten(cup(slug, Cut.CHOPPED, 0.3, 5))
                                        .withDrinker(small)),
                                History.NONE)
                        .ask())
                .contains(MATERIA.askForChild());
    }

    @Test
    void elderberriesAreBoiled() {
        Recipe poured = cup("elderberry", Cut.WHOLE, 3, 10);
        Recipe boiled = recipe(
                Tradition.FOLK,
                1,
                200,
                List.of(dried("elderberry", Cut.WHOLE, 3, Unit.GRAM, 0)),
                simmer(15, true),
                strain());
        assertThat(care.judge(PLANNER.plan(PlanRequest.asWritten(poured)), History.NONE)
                        .cautions())
                .anyMatch(Caution.NotBoiled.class::isInstance);
        assertThat(care.judge(PLANNER.plan(PlanRequest.asWritten(boiled)), History.NONE)
                        .cautions())
                .noneMatch(Caution.NotBoiled.class::isInstance);
    }

    @Test
    void anUnknownTrimesterIsAskedForAndTheStrictestCounts() {
        PlanRequest leaf = PlanRequest.asWritten(cup("raspberry-leaf", Cut.CHOPPED, 2, 10));
        Drinker pregnant = adultWith(60, Condition.PREGNANT);
        Care.Verdict unknown = care.judge(PLANNER.plan(leaf.withDrinker(pregnant)), History.NONE);
        assertThat(unknown.stops()).isTrue();
        assertThat(unknown.cautions()).anyMatch(Caution.WhichTrimester.class::isInstance);
        Care.Verdict late = care.judge(PLANNER.plan(leaf.withDrinker(pregnant.inTrimester(3))), History.NONE);
        assertThat(late.stops()).isFalse();
        assertThat(late.cautions())
                .noneMatch(Caution.WhichTrimester.class::isInstance)
                .anyMatch(c -> c.code().equals("pregnant") && c.severity() == Severity.CARE);
        assertThat(care.judge(PLANNER.plan(leaf.withDrinker(pregnant.inTrimester(1))), History.NONE)
                        .stops())
                .isTrue();
    }
}
