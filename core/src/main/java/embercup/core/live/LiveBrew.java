package embercup.core.live;

import embercup.core.brew.Measurements;
import embercup.core.live.BrewEvent.Noted;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Fire;
import embercup.core.plan.Planner;
import embercup.core.plan.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A running brew: the plan folded over what really happened. Immutable; the same events give the same state, whoever
 * folds them.
 *
 * @param phase where the brew stands
 * @param steps every step with what is known of it
 * @param now the step to do; empty once all are done
 * @param meanwhile prep that can be done while the current step waits
 * @param predicted the plan again, from what really took how long
 * @param strengthChange predicted strength now minus planned strength
 * @param advice what can be done now about a cup that will not be as planned; empty when it will
 * @param lateS seconds the brew is behind its plan; negative when ahead
 * @param fire flame, lid and marc as they stand at the step to do
 * @param turns what hands did to lid, flame and marc, in order
 * @param pouredMl poured for somebody to drink so far, mL
 */
public record LiveBrew(
        Phase phase,
        Optional<Instant> startedAt,
        List<LiveStep> steps,
        Optional<LiveStep> now,
        List<LiveStep> meanwhile,
        BrewPlan predicted,
        double strengthChange,
        String advice,
        double lateS,
        Optional<Instant> readyAt,
        Optional<Fire> fire,
        List<BrewEvent.Turned> turns,
        double pouredMl,
        Optional<Noted> note) {

    /** Where a brew stands. */
    public enum Phase {
        PLANNED,
        RUNNING,
        FINISHED,
        ABANDONED
    }

    /**
     * @param beganAt when it began; empty while it lies ahead
     * @param doneAt when it was confirmed; empty until then
     * @param dueAt when it is predicted to end, or did end
     * @param sign what told the cook that it was done
     */
    public record LiveStep(
            Step step, Optional<Instant> beganAt, Optional<Instant> doneAt, Instant dueAt, BrewEvent.Sign sign) {

        /** Seconds of a brew's clock between two moments; 0 when they come in the other order. */
        static double seconds(Instant from, Instant to) {
            return Math.max(0, Duration.between(from, to).toMillis() / 1000.0);
        }
    }

    /** What is in the mugs or the jug and not poured yet, mL. */
    public double leftMl() {
        return Math.max(0, predicted.water().yieldMl() - pouredMl);
    }

    /** @param plan the plan as it was started; its request is planned again with what was measured */
    public static LiveBrew fold(Planner planner, BrewPlan plan, List<BrewEvent> events) {
        return new Fold(planner, plan, BrewEvent.standing(events)).state();
    }

    /** One fold; mutable inside, not shared. */
    private static final class Fold implements BrewEvent.Visitor<Boolean> {

        private final Planner planner;
        private final BrewPlan plan;
        private final List<BrewEvent.Measured> readings = new ArrayList<>();
        private final List<BrewEvent.Turned> turns = new ArrayList<>();
        private final Map<String, Instant> done = new LinkedHashMap<>();
        private final Map<String, BrewEvent.Sign> signs = new HashMap<>();
        private double pouredMl;
        private Optional<Instant> started = Optional.empty();
        private Optional<Instant> ended = Optional.empty();
        private Optional<Noted> note = Optional.empty();
        private Phase phase = Phase.PLANNED;

        Fold(Planner planner, BrewPlan plan, List<BrewEvent> events) {
            this.planner = planner;
            this.plan = plan;
            events.forEach(e -> e.accept(this));
        }

        @Override
        public Boolean started(BrewEvent.Started event) {
            started = Optional.of(event.at());
            phase = Phase.RUNNING;
            return true;
        }

        @Override
        public Boolean stepDone(BrewEvent.StepDone event) {
            signs.putIfAbsent(event.step(), event.sign());
            return done.putIfAbsent(event.step(), event.at()) == null;
        }

        @Override
        public Boolean turned(BrewEvent.Turned event) {
            return turns.add(event);
        }

        @Override
        public Boolean poured(BrewEvent.Poured event) {
            pouredMl += event.ml();
            return true;
        }

        @Override
        public Boolean measured(BrewEvent.Measured event) {
            return readings.add(event);
        }

        @Override
        public Boolean noted(BrewEvent.Noted event) {
            note = Optional.of(event);
            return true;
        }

        @Override
        public Boolean undone(BrewEvent.Undone event) {
            return true;
        }

        @Override
        public Boolean finished(BrewEvent.Finished event) {
            phase = Phase.FINISHED;
            ended = Optional.of(event.at());
            return true;
        }

        @Override
        public Boolean abandoned(BrewEvent.Abandoned event) {
            phase = Phase.ABANDONED;
            ended = Optional.of(event.at());
            return true;
        }

        LiveBrew state() {
            BrewPlan predicted = done.isEmpty() && readings.isEmpty() && turns.isEmpty()
                    ? plan
                    : planner.plan(plan.request().withMeasured(measured()));
            Map<String, Step> again = new HashMap<>();
            predicted.steps().forEach(s -> again.put(s.key(), s));
            Instant clock = started.orElse(Instant.EPOCH);
            List<LiveStep> steps = new ArrayList<>();
            Optional<LiveStep> now = Optional.empty();
            List<LiveStep> meanwhile = new ArrayList<>();
            Map<String, LiveStep> main = new LinkedHashMap<>();
            for (Step step : mainLine()) {
                Optional<Instant> doneAt = Optional.ofNullable(done.get(step.key()));
                Step timed = again.getOrDefault(step.key(), step);
                Instant due = doneAt.orElse(clock.plus(seconds(timed.durationS())));
                boolean current = doneAt.isEmpty() && now.isEmpty();
                Optional<Instant> began = doneAt.isPresent() || current ? Optional.of(clock) : Optional.empty();
                LiveStep live = new LiveStep(step, began, doneAt, due, sign(step));
                if (current) {
                    now = Optional.of(live);
                }
                main.put(step.key(), live);
                clock = due;
            }
            for (Step step : plan.steps()) {
                LiveStep live = main.get(step.key());
                if (live == null) {
                    Instant due = started.orElse(Instant.EPOCH).plus(seconds(step.endS()));
                    live = new LiveStep(
                            step, Optional.empty(), Optional.ofNullable(done.get(step.key())), due, sign(step));
                    if (live.doneAt().isEmpty()) {
                        meanwhile.add(live);
                    }
                }
                steps.add(live);
            }
            boolean running = phase == Phase.RUNNING;
            Optional<Instant> readyAt = started.isEmpty() ? Optional.empty() : Optional.of(ended.orElse(clock));
            double late = readyAt.isEmpty() || !running
                    ? 0
                    : Duration.between(started.orElse(clock), clock).toMillis() / 1000.0 - plan.totalS();
            return new LiveBrew(
                    phase,
                    started,
                    List.copyOf(steps),
                    running ? now : Optional.empty(),
                    running ? List.copyOf(meanwhile) : List.of(),
                    predicted,
                    predicted.strength() - plan.strength(),
                    running ? advice(predicted) : "",
                    late,
                    readyAt,
                    running ? now.map(this::fire) : Optional.empty(),
                    List.copyOf(turns),
                    pouredMl,
                    note);
        }

        private BrewEvent.Sign sign(Step step) {
            return signs.getOrDefault(step.key(), BrewEvent.Sign.PLAN);
        }

        private Fire fire(LiveStep now) {
            Fire fire = plan.fire(now.step());
            Instant began = now.beganAt().orElse(Instant.MAX);
            for (BrewEvent.Turned turned : turns) {
                if (!turned.at().isBefore(began)) {
                    fire = fire.then(turned.turn(), plan.request().kitchen().burner());
                }
            }
            return fire;
        }

        /** From this change of strength on a cook would notice (common practice, no source). */
        private static final double NOTICED = 0.12;

        private String advice(BrewPlan predicted) {
            if (predicted.brew().ranDry()) {
                return "The pot may have boiled dry: take it off the heat, let it cool, and look before anybody drinks.";
            }
            double change = predicted.strength() / Math.max(1e-9, plan.strength()) - 1;
            double missing = plan.water().yieldMl() - predicted.water().yieldMl();
            if (change > NOTICED) {
                return "Thin the cups with %d mL of hot water in all."
                        .formatted(Math.round(predicted.water().yieldMl() * change / 10) * 10);
            }
            if (change < -NOTICED) {
                return "Leave the herbs in a little longer, or pour smaller cups.";
            }
            return missing > plan.water().yieldMl() * NOTICED
                    ? "There will be %d mL less than planned: top it up, or pour smaller cups."
                            .formatted(Math.round(missing / 10) * 10)
                    : "";
        }

        private static Duration seconds(double s) {
            return Duration.ofMillis(Math.round(s * 1000));
        }

        /** Steps that follow one another: the stages, and the prep that must be done before the first of them. */
        private List<Step> mainLine() {
            return plan.steps().stream().filter(s -> !plan.aside(s)).toList();
        }

        /**
         * Seconds that stages really took. A finished stage counts whole; one whose heating is done counts its real heating
         * and its planned rest.
         */
        private Measurements measured() {
            Map<Integer, Double> measured = new HashMap<>();
            Map<Integer, Double> heated = new HashMap<>();
            Instant clock = started.orElse(Instant.EPOCH);
            for (Step step : mainLine()) {
                Instant doneAt = done.get(step.key());
                if (doneAt == null) {
                    break;
                }
                double took = LiveStep.seconds(clock, doneAt);
                if (step.stage() >= 0) {
                    if (step.kind().equals("heat") && step.key().endsWith(".heat")) {
                        heated.put(step.stage(), took);
                        measured.put(
                                step.stage(),
                                took + plan.stages().get(step.stage()).properS());
                    } else {
                        measured.put(step.stage(), took + heated.getOrDefault(step.stage(), 0.0));
                    }
                }
                clock = doneAt;
            }
            return new Measurements(heated, measured, read(), turned());
        }

        private List<Measurements.Turned> turned() {
            List<Measurements.Turned> all = new ArrayList<>();
            for (BrewEvent.Turned turned : turns) {
                stageAt(turned.at())
                        .ifPresent(s -> all.add(new Measurements.Turned(
                                s.stage(), LiveStep.seconds(s.from(), turned.at()), turned.turn())));
            }
            return all;
        }

        /** Readings by the stage that was going on; a level is a volume, a weight is kept for the record only. */
        private List<Measurements.Reading> read() {
            List<Measurements.Reading> all = new ArrayList<>();
            for (BrewEvent.Measured reading : readings) {
                stageAt(reading.at()).ifPresent(s -> value(reading)
                        .ifPresent(v -> all.add(new Measurements.Reading(
                                s.stage(),
                                LiveStep.seconds(s.from(), reading.at()),
                                reading.reading() == BrewEvent.Reading.TEMPERATURE_C
                                        ? Measurements.Kind.TEMPERATURE_C
                                        : Measurements.Kind.VOLUME_ML,
                                v))));
            }
            return all;
        }

        private Optional<Double> value(BrewEvent.Measured reading) {
            return switch (reading.reading()) {
                case TEMPERATURE_C, VOLUME_ML -> Optional.of(reading.value());
                case LEVEL_CM -> {
                    double all = plan.vessel().brimMl()
                            * (1 - reading.value() / plan.vessel().heightCm());
                    yield Optional.of(Math.max(0, all - plan.displacedMl()));
                }
                case WEIGHT_G -> Optional.empty();
            };
        }

        /** A stage and when it began. */
        private record Going(int stage, Instant from) {}

        private Optional<Going> stageAt(Instant at) {
            Instant clock = started.orElse(Instant.EPOCH);
            Optional<Going> going = Optional.empty();
            for (Step step : mainLine()) {
                if (clock.isAfter(at)) {
                    break;
                }
                Instant from = clock;
                boolean second = going.filter(g -> g.stage() == step.stage()).isPresent();
                if (step.stage() >= 0 && !second) {
                    going = Optional.of(new Going(step.stage(), from));
                }
                Instant doneAt = done.get(step.key());
                if (doneAt == null) {
                    break;
                }
                clock = doneAt;
            }
            return going;
        }
    }
}
