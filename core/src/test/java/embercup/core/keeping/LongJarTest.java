package embercup.core.keeping;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.keeping.Shaking.Day;
import embercup.core.keeping.Shaking.Kind;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.Step;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.TakingRow;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Tinctures: four to six weeks in the jar, shaken once a day, strained and bottled with a dropper; three times 2 mL a day, about
 * forty drops each (handbooks, mem; the rest common practice, no source). And spent herbs that are kept for a second brew.
 */
class LongJarTest {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
    private static final Instant SET_UP = Instant.parse("2026-10-20T18:00:00Z");
    private static final Instant LATER = SET_UP.plusSeconds(3700);
    private static final LocalDate FIRST = LocalDate.of(2026, 10, 20);

    private static Recipe tincture(Menstruum menstruum, int days, Addition... herbs) {
        return recipe(Tradition.FOLK, 5, 100, List.of(herbs), macerate(days * 1440.0), new Stage.Strain(true))
                .in(menstruum);
    }

    private static BrewPlan yarrow(int days) {
        return plan(tincture(Menstruum.spirit(40), days, dried("yarrow", Cut.CHOPPED, 100, Unit.GRAM, 0)));
    }

    /** Confirms what comes before the jar stands, all at the time it was set up. */
    private static List<BrewEvent> standing(BrewPlan plan, Instant setUp) {
        List<BrewEvent> events = new ArrayList<>(List.of(new BrewEvent.Started(UUID.randomUUID(), setUp)));
        for (Step step : plan.steps()) {
            if (step.stage() >= 0 && plan.pot().stages().get(step.stage()) instanceof Stage.Macerate) {
                break;
            }
            events.add(new BrewEvent.StepDone(UUID.randomUUID(), setUp, step.id()));
        }
        return events;
    }

    private static void shaken(List<BrewEvent> events, int... days) {
        for (int day : days) {
            events.add(new BrewEvent.Shaken(UUID.randomUUID(), SET_UP.plus(Duration.ofDays(day))));
        }
    }

    @Test
    void itIsShakenOnEveryDayUntilItIsPressed() {
        BrewPlan plan = yarrow(30);
        List<BrewEvent> events = standing(plan, SET_UP);
        shaken(events, 1, 2, 4);
        Shaking jar = Shaking.of(plan, LiveBrew.fold(plan, events), BERLIN).orElseThrow();
        assertThat(jar.press()).isEqualTo(FIRST.plusDays(30));
        List<Kind> kinds = jar.days(FIRST.plusDays(5)).stream().map(Day::kind).toList();
        assertThat(kinds).hasSize(31);
        assertThat(kinds.subList(0, 7))
                .containsExactly(Kind.SHAKEN, Kind.SHAKEN, Kind.SHAKEN, Kind.MISSED, Kind.SHAKEN, Kind.DUE, Kind.AHEAD);
        assertThat(kinds.get(30)).isEqualTo(Kind.PRESS);
        assertThat(jar.due(FIRST.plusDays(5))).isTrue();
        assertThat(jar.due(FIRST.plusDays(4))).isFalse();
        assertThat(jar.due(FIRST.plusDays(30))).as("it is pressed instead").isFalse();
    }

    /** Twice on one day is once; across the change of clocks on 25 October every day is one day. */
    @Test
    void aDayIsADayOfTheHouse() {
        BrewPlan plan = yarrow(30);
        List<BrewEvent> events = standing(plan, SET_UP);
        events.add(new BrewEvent.Shaken(UUID.randomUUID(), Instant.parse("2026-10-24T22:30:00Z")));
        events.add(new BrewEvent.Shaken(UUID.randomUUID(), Instant.parse("2026-10-25T22:30:00Z")));
        Shaking jar = Shaking.of(plan, LiveBrew.fold(plan, events), BERLIN).orElseThrow();
        assertThat(jar.shaken()).containsExactly(LocalDate.of(2026, 10, 25));
        assertThat(jar.days(FIRST).stream().map(Day::date))
                .doesNotHaveDuplicates()
                .hasSize(31);
    }

    @Test
    void aJarThatStandsTooLongIsDrawnToToday() {
        BrewPlan plan = yarrow(30);
        Shaking jar = Shaking.of(plan, LiveBrew.fold(plan, standing(plan, SET_UP)), BERLIN)
                .orElseThrow();
        LocalDate late = FIRST.plusDays(33);
        assertThat(jar.days(late)).hasSize(34).last().isEqualTo(new Day(late, Kind.DUE));
    }

    @Test
    void whatIsUndoneWasNotShaken() {
        BrewPlan plan = yarrow(30);
        List<BrewEvent> events = standing(plan, SET_UP);
        shaken(events, 1);
        events.add(new BrewEvent.Undone(
                UUID.randomUUID(), SET_UP, events.get(events.size() - 1).id()));
        assertThat(Shaking.of(plan, LiveBrew.fold(plan, events), BERLIN)
                        .orElseThrow()
                        .shaken())
                .isEmpty();
    }

    /** A jar that stands overnight is no jar to be shaken daily; a pressed tincture stands no more. */
    @Test
    void onlyALongJarIsShaken() {
        BrewPlan overnight = plan(recipe(
                Tradition.FOLK,
                4,
                240,
                List.of(dried("nettle", Cut.CHOPPED, 20, Unit.GRAM, 0)),
                macerate(8 * 60),
                strain()));
        assertThat(Shaking.of(overnight, LiveBrew.fold(overnight, standing(overnight, SET_UP)), BERLIN))
                .isEmpty();
        BrewPlan plan = yarrow(30);
        List<BrewEvent> pressed = standing(plan, SET_UP);
        pressed.add(new BrewEvent.Finished(UUID.randomUUID(), SET_UP.plus(Duration.ofDays(30))));
        assertThat(Shaking.of(plan, LiveBrew.fold(plan, pressed), BERLIN)).isEmpty();
    }

    // ---- in its bottle

    /** 100 g of dried herb to 700 mL (what makes 500 mL when a gram keeps 2 mL pressed) is 1 : 7; a dose of 2 mL is forty drops. */
    @Test
    void aDoseIsMeasuredInDropsAndBySpoon() {
        Drops drops = Drops.of(MATERIA, yarrow(30)).orElseThrow();
        assertThat(drops.strength().value()).isCloseTo(7, within(0.1));
        assertThat(drops.alcohol().orElseThrow().value()).isEqualTo(40);
        assertThat(drops.dose().value()).isCloseTo(2, within(1e-9));
        assertThat(drops.drops().value()).isCloseTo(40, within(1e-9));
        assertThat(drops.teaspoons().value()).isCloseTo(2 / 4.93, within(0.01));
    }

    /** Fresh herbs bring their own water: 200 g of lemon balm with 83 % of it thin 40 % spirit by 166 mL. */
    @Test
    void freshHerbsThinTheSpirit() {
        BrewPlan plan = plan(tincture(Menstruum.spirit(60), 30, fresh("lemon-balm", Cut.CHOPPED, 200, Unit.GRAM, 0)));
        double poured = plan.water().pourMl();
        assertThat(Drops.of(MATERIA, plan).orElseThrow().alcohol().orElseThrow().value())
                .isCloseTo(60 * poured / (poured + 200 * 0.83), within(1e-6))
                .isLessThan(60);
    }

    @ParameterizedTest
    @ValueSource(strings = {"GLYCERIN", "VINEGAR"})
    void whatIsNoSpiritHasNoAlcohol(String kind) {
        Menstruum menstruum = new Menstruum(Menstruum.Kind.valueOf(kind), 0);
        BrewPlan plan = plan(tincture(menstruum, 30, dried("yarrow", Cut.CHOPPED, 100, Unit.GRAM, 0)));
        assertThat(Drops.of(MATERIA, plan).orElseThrow().alcohol()).isEmpty();
    }

    @Test
    void aTeaIsDrunkByTheCup() {
        assertThat(Drops.of(MATERIA, plan(lindenCup()))).isEmpty();
    }

    // ---- spent herbs

    private static LiveBrew finished(BrewPlan plan) {
        return LiveBrew.fold(
                plan,
                List.of(
                        new BrewEvent.Started(UUID.randomUUID(), SET_UP),
                        new BrewEvent.Finished(UUID.randomUUID(), SET_UP.plusSeconds(3600))));
    }

    @Test
    void spentHerbsAreKeptOnceTheyAreStrained() {
        BrewPlan pot = plan(rootPot());
        assertThat(SpentHerbs.against(
                        pot, LiveBrew.fold(pot, standing(pot, SET_UP).subList(0, 1)), SET_UP))
                .hasValue(SpentHerbs.No.NOT_STRAINED);
        assertThat(SpentHerbs.against(pot, finished(pot), LATER)).isEmpty();
        assertThat(SpentHerbs.against(pot, finished(pot), LATER.plus(Duration.ofHours(25))))
                .hasValue(SpentHerbs.No.TOO_LATE);
        assertThat(SpentHerbs.until(SET_UP)).isEqualTo(SET_UP.plus(Duration.ofHours(24)));
    }

    @Test
    void theyAreNotKeptASecondTimeNorOutOfSpirit() {
        BrewPlan second =
                embercup.core.Pots.PLANNER.plan(plan(rootPot()).request().spent(true));
        assertThat(SpentHerbs.against(second, finished(second), LATER)).hasValue(SpentHerbs.No.SPENT_TWICE);
        BrewPlan spirit = yarrow(30);
        assertThat(SpentHerbs.against(spirit, finished(spirit), LATER)).hasValue(SpentHerbs.No.DRAWN_OUT);
        BrewPlan lukewarm = plan(recipe(
                Tradition.FOLK,
                4,
                240,
                List.of(dried("nettle", Cut.CHOPPED, 20, Unit.GRAM, 0)),
                simmer(5, true),
                new Stage.Rest(8 * 60, true, Stage.Until.NOTHING),
                strain()));
        assertThat(SpentHerbs.against(lukewarm, finished(lukewarm), LATER)).hasValue(SpentHerbs.No.STOOD_LUKEWARM);
    }

    @Test
    void theyStandInTheFridgeUntilTheyAreGone() {
        BrewPlan pot = plan(rootPot());
        List<BrewEvent> events = new ArrayList<>(List.of(
                new BrewEvent.Started(UUID.randomUUID(), SET_UP),
                new BrewEvent.Finished(UUID.randomUUID(), SET_UP.plusSeconds(3600)),
                new BrewEvent.MarcKept(UUID.randomUUID(), SET_UP.plusSeconds(4000))));
        assertThat(LiveBrew.fold(pot, events).marc().stands()).isTrue();
        events.add(new BrewEvent.MarcGone(UUID.randomUUID(), SET_UP.plusSeconds(9000)));
        assertThat(LiveBrew.fold(pot, events).marc().stands()).isFalse();
    }

    private static BrewPlan spoons(Menstruum menstruum, double amount, Unit unit, double hours) {
        Posology.Often often =
                new Posology.Often(OptionalDouble.of(hours), OptionalDouble.empty(), true, OptionalDouble.empty());
        Posology.More more = new Posology.More(
                OptionalDouble.empty(),
                Optional.of(Quantity.of(amount, unit)),
                Set.of(),
                OptionalInt.empty(),
                OptionalDouble.empty(),
                often,
                List.of());
        double cups = new TakingRow.Often(
                        OptionalDouble.empty(), more.dose(), OptionalDouble.empty(), OptionalDouble.of(hours))
                .cups(100, MeasureCustom.DEFAULT);
        return plan(tincture(menstruum, 42, dried("yarrow", Cut.CHOPPED, 100, Unit.GRAM, 0))
                .taken(new Posology(cups, Posology.When.ANY_TIME, OptionalInt.empty(), 0, more)));
    }

    /** The recipe's own dose stands before the handbooks' drops, by the spoon and as often as it says. */
    @Test
    void aDoseThatTheRecipeSaysIsTheDose() {
        Drops drops = Drops.of(MATERIA, spoons(Menstruum.spirit(40), 1, Unit.TABLESPOON, 2))
                .orElseThrow();
        assertThat(drops.dose().value()).isCloseTo(14.8, within(0.3));
        assertThat(drops.teaspoons().value()).isCloseTo(3, within(0.01));
        assertThat(drops.timesADay())
                .as("fourteen hours awake, every second one")
                .isEqualTo(8);
    }

    /**
     * Alcohol of a day: 0.789 g in a millilitre of it (CRC Handbook, mem), a standard drink is 10 g (WHO, AUDIT, mem). A spoon now and
     * then is told, a drink asks for care, more than 24 g stops; drawn with vinegar it is nothing.
     */
    @ParameterizedTest
    @CsvSource({
        "0.5, TEASPOON, 4, NOTE",
        "1, TEASPOON, 2, CARE",
        "1, TABLESPOON, 7, CARE",
        "1, TABLESPOON, 1, STOP",
        "3, TABLESPOON, 2, STOP"
    })
    void theAlcoholOfADayIsThatOfItsSpoons(double amount, Unit unit, double hours, Severity severity) {
        BrewPlan plan = spoons(Menstruum.spirit(40), amount, unit, hours);
        Caution.Alcohol told = alcohol(plan).orElseThrow();
        double ml = unit.millilitresEach(MeasureCustom.DEFAULT) * amount * (Math.floor(14 / hours) + 1);
        assertThat(told.holds().grams()).isCloseTo(ml * 0.40 * 0.789, within(0.01 * ml));
        assertThat(told.severity()).isEqualTo(severity);
        assertThat(alcohol(spoons(new Menstruum(Menstruum.Kind.VINEGAR, 0), amount, unit, hours)))
                .isEmpty();
    }

    private static Optional<Caution.Alcohol> alcohol(BrewPlan plan) {
        return new Care(MATERIA)
                .judge(plan, History.NONE).cautions().stream()
                        .filter(c -> c instanceof Caution.Alcohol)
                        .map(c -> (Caution.Alcohol) c)
                        .findFirst();
    }
}
