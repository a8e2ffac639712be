package embercup.core.live;

import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LiveBrewTest {

    private static final Instant EIGHT = Instant.parse("2026-11-25T20:00:00Z");

    private static UUID id(int n) {
        return new UUID(0, n);
    }

    private static List<BrewEvent> startedAt(Instant at) {
        return new ArrayList<>(List.of(new BrewEvent.Started(id(0), at)));
    }

    /** Confirms the steps before {@code key} at their planned times. */
    private static List<BrewEvent> until(BrewPlan plan, String key) {
        List<BrewEvent> events = startedAt(EIGHT);
        int n = 1;
        for (Step s : plan.steps()) {
            if (s.id().equals(key)) {
                break;
            }
            events.add(new BrewEvent.StepDone(id(n++), EIGHT.plusMillis(Math.round(s.endS() * 1000)), s.id()));
        }
        return events;
    }

    @Test
    void aStartedBrewShowsItsFirstStepAndWhenItIsReady() {
        BrewPlan plan = plan(rootPot());
        LiveBrew live = LiveBrew.fold(plan, startedAt(EIGHT));
        assertThat(live.phase()).isEqualTo(LiveBrew.Phase.RUNNING);
        assertThat(live.now().orElseThrow().step().id()).isEqualTo("prep.0");
        assertThat(live.readyAt().orElseThrow())
                .isBetween(EIGHT.plusSeconds((long) plan.totalS() - 2), EIGHT.plusSeconds((long) plan.totalS() + 2));
    }

    @Test
    void theClockGoesOnWhileNobodyLooks() {
        BrewPlan plan = plan(rootPot());
        List<BrewEvent> events = until(plan, "s1");
        LiveBrew before = LiveBrew.fold(plan, events);
        LiveBrew after = LiveBrew.fold(plan, List.copyOf(events));
        assertThat(after.now()).isEqualTo(before.now());
        assertThat(after.now().orElseThrow().dueAt())
                .isEqualTo(before.now().orElseThrow().dueAt());
        assertThat(after.now().orElseThrow().step()).matches(s -> kind(s).equals("simmer"));
    }

    /** What is got ready beside the kettle is closed by the pouring, whether somebody ticked it or not. */
    @Test
    void gettingReadyEndsWhenItHasGoneIn() {
        BrewPlan plan = plan(lindenCup());
        List<Step> main = plan.steps().stream().filter(s -> !s.aside()).toList();
        List<BrewEvent> events = startedAt(EIGHT);
        assertThat(LiveBrew.fold(plan, events).meanwhile())
                .as("the herbs are measured while the kettle heats")
                .isNotEmpty();
        int n = 1;
        for (Step step : main) {
            if (kind(step).equals("steep")) {
                break;
            }
            events.add(new BrewEvent.StepDone(id(n++), EIGHT.plusMillis(Math.round(step.endS() * 1000)), step.id()));
        }
        LiveBrew steeping = LiveBrew.fold(plan, events);
        assertThat(kind(steeping.now().orElseThrow().step())).isEqualTo("steep");
        assertThat(steeping.meanwhile()).allSatisfy(s -> assertThat(plan.additions()
                        .get(((Step.Prepare) s.step()).addition())
                        .stage())
                .as("only what goes in later is still to be got ready")
                .isGreaterThan(steeping.now().orElseThrow().step().stage()));
    }

    private static BrewPlan garlicPoured() {
        return plan(recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(fresh("garlic", Cut.CRUSHED, 1, Unit.CLOVE, 0), dried("linden", Cut.CHOPPED, 1, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain()));
    }

    private static BrewEvent done(String key, Instant at) {
        return new BrewEvent.StepDone(new UUID(7, key.hashCode()), at, key);
    }

    private static Instant after(Instant from, double s) {
        return from.plusMillis(Math.round(s * 1000));
    }

    /** Crushed garlic rests ten minutes (common practice, no source): a wait of its own, and the kettle goes on before it ends. */
    @Test
    void aRestBeforeTheHeatIsAWaitAndNotTimeThatIsGained() {
        BrewPlan plan = garlicPoured();
        List<BrewEvent> events = startedAt(EIGHT);
        double crushed = 0;
        for (Step s : plan.steps()) {
            if (s instanceof Step.Prepare && !s.aside()) {
                crushed = Math.max(crushed, s.endS());
                events.add(done(s.id(), after(EIGHT, s.endS())));
            }
        }
        LiveBrew waiting = LiveBrew.fold(plan, events);
        assertThat(waiting.now().orElseThrow().step()).isInstanceOf(Step.Stand.class);
        assertThat(waiting.clock().late()).as("the rest is in the plan").isFalse();
        assertThat(Math.abs(waiting.lateS())).isLessThan(1);
        Step kettle = plan.steps().stream().filter(Step::heats).findFirst().orElseThrow();
        assertThat(waiting.now().orElseThrow().dueAt()).isEqualTo(after(EIGHT, kettle.startS()));
        events.add(done("wait", after(EIGHT, kettle.startS())));
        LiveBrew heating = LiveBrew.fold(plan, events);
        assertThat(heating.now().orElseThrow().step()).isEqualTo(kettle);
        assertThat(heating.meanwhile().stream().map(s -> s.step().id())).contains("rest.0");
    }

    /** Whoever crushes it two minutes later waits two minutes longer, and its own clock says until when. */
    @Test
    void aRestCountsFromWhenItsHerbWasReady() {
        BrewPlan plan = garlicPoured();
        Step crush = plan.steps().get(0);
        List<BrewEvent> events = startedAt(EIGHT);
        Instant crushedAt = after(EIGHT, crush.endS() + 120);
        events.add(done(crush.id(), crushedAt));
        plan.steps().stream()
                .filter(s -> s instanceof Step.Prepare && !s.aside() && s != crush)
                .forEach(s -> events.add(done(s.id(), after(crushedAt, 30))));
        LiveBrew waiting = LiveBrew.fold(plan, events);
        Step kettle = plan.steps().stream().filter(Step::heats).findFirst().orElseThrow();
        assertThat(waiting.now().orElseThrow().dueAt()).isEqualTo(after(crushedAt, kettle.startS() - crush.endS()));
        LiveBrew.LiveStep rest = waiting.steps().stream()
                .filter(s -> s.step().id().equals("rest.0"))
                .findFirst()
                .orElseThrow();
        assertThat(rest.dueAt()).isEqualTo(crushedAt.plusSeconds(600));
    }

    /** A kettle that is put on at once does not make the cup ready sooner: the bulb still rests. */
    @Test
    void aKettlePutOnEarlyGainsNothing() {
        BrewPlan plan = garlicPoured();
        List<BrewEvent> events = startedAt(EIGHT);
        plan.steps().stream()
                .filter(s -> s instanceof Step.Prepare && !s.aside())
                .forEach(s -> events.add(done(s.id(), after(EIGHT, s.endS()))));
        events.add(done("wait", EIGHT.plusSeconds(130)));
        assertThat(Math.abs(LiveBrew.fold(plan, events).lateS())).isLessThan(1);
    }

    /** "Measured" says that this herb is measured: it is not asked again whether it is. */
    @ParameterizedTest
    @MethodSource("pots")
    void whatTheButtonSaysIsNotAskedAgain(Recipe pot) {
        BrewPlan plan = plan(pot);
        List<BrewEvent> events = startedAt(EIGHT);
        for (int i = 0; i < plan.steps().size(); i++) {
            LiveBrew live = LiveBrew.fold(plan, events);
            if (live.now().isEmpty()) {
                break;
            }
            Step now = live.now().get().step();
            assertThat(live.open()).as(now.id()).noneMatch(o -> o.step().equals(now));
            events.add(done(now.id(), after(EIGHT, 60.0 * i)));
        }
    }

    static Stream<Recipe> pots() {
        return Stream.of(rootPot(), lindenCup(), twoBoils());
    }

    /** Before hot water is poured, whatever goes under it and is not ready is said: not measured, or still resting. */
    @Test
    void whatIsNotReadyForTheNextStepIsSaid() {
        BrewPlan plan = garlicPoured();
        Step crush = plan.steps().get(0);
        Step kettle = plan.steps().stream().filter(Step::heats).findFirst().orElseThrow();
        List<BrewEvent> events = startedAt(EIGHT);
        Instant crushedAt = after(EIGHT, crush.endS());
        events.add(done(crush.id(), crushedAt));
        plan.steps().stream()
                .filter(s -> s instanceof Step.Prepare && !s.aside() && s != crush)
                .forEach(s -> events.add(done(s.id(), crushedAt)));
        events.add(done("wait", after(EIGHT, kettle.startS())));
        LiveBrew heating = LiveBrew.fold(plan, events);
        assertThat(heating.open()).anySatisfy(o -> {
            assertThat(o.herb().slug()).isEqualTo("garlic");
            assertThat(o.restsUntil()).contains(crushedAt.plusSeconds(600));
        });
        BrewPlan linden = plan(lindenCup());
        assertThat(LiveBrew.fold(linden, startedAt(EIGHT)).open())
                .as("measured beside the kettle, and not ticked")
                .singleElement()
                .satisfies(o -> assertThat(o.restsUntil()).isEmpty());
        List<BrewEvent> ticked = startedAt(EIGHT);
        linden.steps().stream()
                .filter(Step.Prepare.class::isInstance)
                .forEach(s -> ticked.add(done(s.id(), EIGHT.plusSeconds(20))));
        assertThat(LiveBrew.fold(linden, ticked).open()).isEmpty();
    }

    @Test
    void aRepeatedEventCountsOnce() {
        BrewPlan plan = plan(rootPot());
        List<BrewEvent> events = until(plan, "s1");
        List<BrewEvent> twice = new ArrayList<>(events);
        twice.addAll(events);
        assertThat(LiveBrew.fold(plan, twice)).isEqualTo(LiveBrew.fold(plan, events));
    }

    @Test
    void anUndoneConfirmationBringsTheStepBack() {
        BrewPlan plan = plan(rootPot());
        List<BrewEvent> events = until(plan, "s1");
        BrewEvent last = events.get(events.size() - 1);
        events.add(new BrewEvent.Undone(id(99), EIGHT.plusSeconds(900), last.id()));
        assertThat(LiveBrew.fold(plan, events).now().orElseThrow().step().id()).isEqualTo("s0");
    }

    /** A cup forgotten for six hours needs no wait for a cooler cup; the line and the clock say the same. */
    @Test
    void aWaitThatIsNeedlessByNowTakesNoTime() {
        BrewPlan plan = plan(recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried("linden", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain(),
                new Stage.Cool(62, false)));
        Step steep = plan.steps().stream()
                .filter(s -> kind(s).equals("steep"))
                .findFirst()
                .orElseThrow();
        List<BrewEvent> events = until(plan, steep.id());
        events.add(new BrewEvent.StepDone(id(90), EIGHT.plusSeconds(6 * 3600), steep.id()));
        LiveBrew live = LiveBrew.fold(plan, events);
        assertThat(live.predicted().steps()).noneMatch(s -> kind(s).equals("cool"));
        assertThat(live.readyAt().orElseThrow())
                .isBetween(
                        EIGHT.plusSeconds((long) live.predicted().totalS() - 2),
                        EIGHT.plusSeconds((long) live.predicted().totalS() + 2));
    }

    @Test
    void aPotThatBoilsTwoMinutesLateIsReadyTwoMinutesLate() {
        BrewPlan plan = plan(rootPot());
        List<BrewEvent> events = until(plan, "s0");
        Step heat = plan.steps().stream()
                .filter(s -> s.id().equals("s0"))
                .findFirst()
                .orElseThrow();
        events.add(new BrewEvent.StepDone(id(50), EIGHT.plusMillis(Math.round((heat.endS() + 120) * 1000)), "s0"));
        LiveBrew live = LiveBrew.fold(plan, events);
        assertThat(live.lateS()).isCloseTo(120, within(3.0));
    }

    @Test
    void aSteepCutShortMakesAWeakerCup() {
        BrewPlan plan = plan(lindenCup());
        List<BrewEvent> onTime = until(plan, "s2");
        List<BrewEvent> early = new ArrayList<>(onTime.subList(0, onTime.size() - 1));
        Instant poured = onTime.get(onTime.size() - 2).at();
        early.add(new BrewEvent.StepDone(id(77), poured.plusSeconds(120), "s1"));
        assertThat(LiveBrew.fold(plan, onTime).strengthChange()).isCloseTo(0, within(0.02));
        assertThat(LiveBrew.fold(plan, early).strengthChange()).isLessThan(-0.2);
    }

    @Test
    void aFinishedBrewKeepsItsNote() {
        BrewPlan plan = plan(lindenCup());
        List<BrewEvent> events = until(plan, "");
        events.add(new BrewEvent.Finished(id(80), EIGHT.plusSeconds(1000)));
        events.add(new BrewEvent.Noted(
                id(81),
                EIGHT.plusSeconds(2000),
                OptionalInt.of(1),
                4,
                "honeyed",
                "a little less",
                BrewEvent.Look.NOTHING));
        LiveBrew live = LiveBrew.fold(plan, events);
        assertThat(live.phase()).isEqualTo(LiveBrew.Phase.FINISHED);
        assertThat(live.note().orElseThrow().change()).isEqualTo("a little less");
        assertThat(live.now()).isEmpty();
    }

    @Test
    void aKettleThatTakesTenMinutesDoesNotMakeTheTeaStronger() {
        BrewPlan plan = plan(lindenCup());
        List<BrewEvent> events = until(plan, "s0.heat");
        events.add(new BrewEvent.StepDone(id(60), EIGHT.plusSeconds(600), "s0.heat"));
        LiveBrew live = LiveBrew.fold(plan, events);
        assertThat(live.lateS()).isGreaterThan(400);
        assertThat(live.strengthChange()).isCloseTo(0, within(0.001));
    }
}
