package embercup.core.live;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.US_CUP_ML;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.dose.Taste;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Recipe;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A stove with a power of its own, brewed on and learned from. */
class LearningTest {

    private static final Instant START = Instant.parse("2026-11-25T18:00:00Z");
    private static final Vessel POT = Vessel.of("small steel pot", Vessel.Kind.POT, 18, 10);

    /** Three cups boiled down to two. */
    private static final Recipe REDUCED = recipe(
            Tradition.AYURVEDIC,
            2,
            US_CUP_ML,
            List.of(dried("ginger", Cut.CHOPPED, 4, Unit.GRAM, 0)),
            heat(),
            reduce(2 * US_CUP_ML),
            strain());

    private static BrewPlan plan(Burner burner) {
        return PLANNER.plan(
                PlanRequest.asWritten(REDUCED).withKitchen(new Kitchen(0, 20, 15, Optional.of(POT), burner, 2000)));
    }

    private static UUID id(long n) {
        return new UUID(7, n);
    }

    /** Brews through in the simulated kitchen, confirming each step when its instruments say so; measures once on the way. */
    private static List<BrewEvent> brewed(BrewPlan plan, SimulatedKitchen kitchen, Random noise) {
        List<BrewEvent> events = new ArrayList<>();
        events.add(new BrewEvent.Started(id(0), START));
        Instant now = START;
        boolean measured = false;
        for (int guard = 0; guard < 40_000; guard++) {
            LiveBrew live = LiveBrew.fold(plan, events);
            if (live.now().isEmpty()) {
                break;
            }
            now = now.plusSeconds(5);
            var reading = kitchen.at(plan, live, now);
            LiveBrew.LiveStep step = live.now().get();
            boolean reducing = kind(step.step()).equals("reduce");
            if (reducing && !measured && now.isAfter(step.beganAt().orElse(now).plusSeconds(300))) {
                measured = true;
                double jug = reading.waterMl() * (1 + noise.nextGaussian() * 0.01);
                events.add(new BrewEvent.Measured(id(events.size()), now, BrewEvent.Reading.VOLUME_ML, jug));
            }
            if (reading.fulfilled()) {
                Instant told = now.plusSeconds(noise.nextInt(12));
                events.add(new BrewEvent.StepDone(
                        id(events.size()), told, step.step().id()));
                now = told;
            }
        }
        return events;
    }

    /** The check of the learning itself: eight noisy brews on a stove whose power the plan does not know. */
    @ParameterizedTest
    @ValueSource(doubles = {0.78, 0.9, 1.15, 1.22})
    void eightNoisyBrewsTellTheHiddenBoilOffWithinATenth(double hidden) {
        BrewPlan plan = plan(Burner.SMALL);
        SimulatedKitchen kitchen = new SimulatedKitchen(hidden, 42);
        Random noise = new Random(11);
        List<StoveFit.Observation> all = new ArrayList<>();
        for (int brew = 0; brew < 8; brew++) {
            LiveBrew live = LiveBrew.fold(plan, brewed(plan, kitchen, noise));
            all.addAll(StoveFit.observed(plan, live));
        }
        StoveFit fit = StoveFit.of(all);
        assertThat(fit.boilOffs()).isEqualTo(8);
        assertThat(fit.boilOffFactor()).isCloseTo(hidden, within(hidden * 0.1));
        assertThat(fit.heatFactor()).isCloseTo(hidden, within(hidden * 0.1));
    }

    @Test
    void nothingMeasuredChangesNothingAndOneMeasurementChangesLittle() {
        assertThat(StoveFit.of(List.of()).applied(Burner.SMALL)).isEqualTo(Burner.SMALL);
        double one = StoveFit.of(List.of(new StoveFit.Observation(StoveFit.Kind.BOIL_OFF, 0.7)))
                .boilOffFactor();
        assertThat(one).isBetween(0.7, 0.85);
        assertThat(StoveFit.of(List.of(new StoveFit.Observation(StoveFit.Kind.BOIL_OFF, 12))))
                .isEqualTo(StoveFit.NOTHING);
    }

    @Test
    void whatIsLearnedMovesTheNextPlan() {
        StoveFit weak = StoveFit.of(IntStream.range(0, 6)
                .mapToObj(i -> new StoveFit.Observation(StoveFit.Kind.BOIL_OFF, 0.8))
                .toList());
        double before = plan(Burner.SMALL).totalS();
        double after = plan(weak.applied(Burner.SMALL)).totalS();
        assertThat(after).isGreaterThan(before * 1.1);
    }

    // ---- readings on the way

    private static LiveBrew reducing(BrewEvent... more) {
        BrewPlan plan = plan(Burner.SMALL);
        List<BrewEvent> events = new ArrayList<>();
        events.add(new BrewEvent.Started(id(0), START));
        Instant clock = START;
        for (var step : plan.steps()) {
            if (kind(step).equals("reduce")) {
                break;
            }
            if (!step.aside()) {
                clock = clock.plusMillis(Math.round(step.durationS() * 1000));
                events.add(new BrewEvent.StepDone(id(events.size()), clock, step.id()));
            }
        }
        Instant began = clock;
        for (BrewEvent.Measured m :
                List.of(more).stream().map(e -> (BrewEvent.Measured) e).toList()) {
            events.add(new BrewEvent.Measured(
                    m.id(), began.plus(Duration.between(START, m.at())), m.reading(), m.value()));
        }
        return LiveBrew.fold(plan, events);
    }

    @Test
    void aLevelThatFallsSlowlyMakesTheReductionLonger() {
        LiveBrew asPlanned = reducing();
        double start = asPlanned.predicted().stages().get(1).startMl();
        LiveBrew slow = reducing(
                new BrewEvent.Measured(id(90), START.plusSeconds(240), BrewEvent.Reading.VOLUME_ML, start - 30));
        assertThat(slow.now().orElseThrow().dueAt())
                .isAfter(asPlanned.now().orElseThrow().dueAt().plusSeconds(60));
    }

    @Test
    void aSpoonInThePotIsAsGoodAsAJug() {
        LiveBrew asPlanned = reducing();
        BrewPlan plan = plan(Burner.SMALL);
        double ml = asPlanned.predicted().stages().get(1).startMl() - 30;
        double fromRim = POT.fromRimCm(ml + plan.displacedMl());
        LiveBrew jug =
                reducing(new BrewEvent.Measured(id(90), START.plusSeconds(240), BrewEvent.Reading.VOLUME_ML, ml));
        LiveBrew spoon =
                reducing(new BrewEvent.Measured(id(90), START.plusSeconds(240), BrewEvent.Reading.LEVEL_CM, fromRim));
        assertThat(Duration.between(
                                jug.now().orElseThrow().dueAt(),
                                spoon.now().orElseThrow().dueAt())
                        .abs())
                .isLessThan(Duration.ofSeconds(3));
    }

    @Test
    void aPotThatBoiledFasterGivesAStrongerCupAndSaysWhatCanBeDone() {
        LiveBrew live = reducing();
        double start = live.predicted().stages().get(1).startMl();
        LiveBrew late = reducing(
                new BrewEvent.Measured(id(90), START.plusSeconds(900), BrewEvent.Reading.VOLUME_ML, start * 0.45));
        assertThat(late.predicted().water().yieldMl())
                .isLessThan(plan(Burner.SMALL).water().yieldMl());
        assertThat(late.advice()).isPresent();
    }

    // ---- the simulated kitchen itself

    @Test
    void theSameBrewReadsTheSameOnEveryServer() {
        BrewPlan plan = plan(Burner.SMALL);
        List<BrewEvent> events = List.of(new BrewEvent.Started(id(0), START));
        LiveBrew live = LiveBrew.fold(plan, events);
        SimulatedKitchen kitchen = SimulatedKitchen.of(id(3));
        assertThat(kitchen.at(plan, live, START.plusSeconds(400)))
                .isEqualTo(SimulatedKitchen.of(id(3)).at(plan, live, START.plusSeconds(400)));
        assertThat(kitchen.powerFactor()).isBetween(0.78, 1.22).isNotEqualTo(1);
    }

    @Test
    void withThePlansOwnPowerTheSimulatedPotDoesWhatThePlanSays() {
        BrewPlan plan = plan(Burner.SMALL);
        SimulatedKitchen same = new SimulatedKitchen(1, 5);
        List<BrewEvent> events = brewed(plan, same, new Random(1));
        LiveBrew live = LiveBrew.fold(plan, events);
        double took = Duration.between(START, live.readyAt().orElseThrow()).toSeconds();
        assertThat(took).isCloseTo(plan.totalS(), within(plan.totalS() * 0.06));
    }

    // ---- taste

    @Test
    void cupsThatWereFeltTooWeakAreMadeStronger() {
        Taste weak = Taste.of(List.of(new Taste.Note(1, -1), new Taste.Note(1, -1), new Taste.Note(1, -2)));
        assertThat(weak.factor()).isBetween(1.08, 1.35);
        assertThat(weak.notes()).isEqualTo(3);
        assertThat(Taste.of(List.of()).factor()).isEqualTo(1);
    }

    @Test
    void aTasteIsFoundFromNoisyNotes() {
        Random noise = new Random(3);
        double ideal = 0.8;
        List<Taste.Note> notes = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            double strength = 0.7 + 0.6 * noise.nextDouble();
            int felt = (int) Math.round((Math.log(strength / ideal) / 0.15) + noise.nextGaussian() * 0.6);
            notes.add(new Taste.Note(strength, Math.max(-2, Math.min(2, felt))));
        }
        assertThat(Taste.of(notes).factor()).isCloseTo(ideal, within(0.1));
    }
}
