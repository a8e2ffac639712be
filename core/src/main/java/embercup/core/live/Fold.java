package embercup.core.live;

import embercup.core.brew.Measurements;
import embercup.core.live.BrewEvent.Noted;
import embercup.core.live.LiveBrew.Advice;
import embercup.core.live.LiveBrew.Clock;
import embercup.core.live.LiveBrew.Cup;
import embercup.core.live.LiveBrew.Happened;
import embercup.core.live.LiveBrew.LiveStep;
import embercup.core.live.LiveBrew.Marc;
import embercup.core.live.LiveBrew.Open;
import embercup.core.live.LiveBrew.Outlook;
import embercup.core.live.LiveBrew.Phase;
import embercup.core.live.LiveBrew.Place;
import embercup.core.live.LiveBrew.Quality;
import embercup.core.live.LiveBrew.Rest;
import embercup.core.live.LiveBrew.Served;
import embercup.core.materia.HerbName;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Fire;
import embercup.core.plan.Prediction;
import embercup.core.plan.Step;
import embercup.core.recipe.StageKind;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** One fold; mutable inside, not shared. */
final class Fold implements BrewEvent.Visitor<Boolean> {

    private final BrewPlan plan;
    private final List<BrewEvent.Measured> readings = new ArrayList<>();
    private final List<BrewEvent.Turned> turns = new ArrayList<>();
    private final Map<String, Instant> done = new LinkedHashMap<>();
    private final Map<String, BrewEvent.Sign> signs = new HashMap<>();
    private double pouredMl;
    private Optional<Instant> kept = Optional.empty();
    private boolean emptied;
    private String jarNote = "";
    private Optional<BrewEvent.CupBegun> cup = Optional.empty();
    private final List<Instant> acts = new ArrayList<>();
    private Marc marc = Marc.NOT_KEPT;
    private final List<Instant> shaken = new ArrayList<>();
    private Optional<Instant> started = Optional.empty();
    private Optional<Instant> ended = Optional.empty();
    private Optional<Noted> note = Optional.empty();
    private Phase phase = Phase.PLANNED;

    Fold(BrewPlan plan, List<BrewEvent> events) {
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
        cup = Optional.empty();
        return true;
    }

    @Override
    public Boolean kept(BrewEvent.Kept event) {
        kept = kept.or(() -> Optional.of(event.at()));
        return true;
    }

    @Override
    public Boolean emptied(BrewEvent.Emptied event) {
        emptied = true;
        cup = Optional.empty();
        return true;
    }

    @Override
    public Boolean jarNoted(BrewEvent.JarNoted event) {
        jarNote = event.text();
        return true;
    }

    @Override
    public Boolean cupBegun(BrewEvent.CupBegun event) {
        cup = Optional.of(event);
        acts.clear();
        return true;
    }

    /** They are done in their order; what comes out of it changes nothing. */
    @Override
    public Boolean cupActed(BrewEvent.CupActed event) {
        return event.act() == acts.size() && acts.add(event.at());
    }

    @Override
    public Boolean marcKept(BrewEvent.MarcKept event) {
        marc = new Marc(marc.keptAt().or(() -> Optional.of(event.at())), false);
        return true;
    }

    @Override
    public Boolean marcGone(BrewEvent.MarcGone event) {
        marc = new Marc(marc.keptAt(), true);
        return true;
    }

    @Override
    public Boolean shaken(BrewEvent.Shaken event) {
        return shaken.add(event.at());
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
        Measurements measured = measured();
        Prediction predicted = plan.predict(measured);
        // A step that is needless by now, a wait for a cup that is cool already, takes no time.
        Map<String, Double> lengths = new HashMap<>();
        predicted.steps().forEach(s -> lengths.put(s.id(), s.durationS()));
        Instant clock = started.orElse(Instant.EPOCH);
        Optional<LiveStep> now = Optional.empty();
        Map<String, LiveStep> main = new HashMap<>();
        int waits = plan.cupWaitsFrom().orElse(Integer.MAX_VALUE);
        Optional<Instant> drinkable = Optional.empty();
        for (Step step : mainLine()) {
            Optional<Instant> doneAt = Optional.ofNullable(done.get(step.id()));
            boolean current = doneAt.isEmpty() && now.isEmpty();
            Instant begins = doneAt.isEmpty() && !current
                    ? rested(step).filter(clock::isBefore).orElse(clock)
                    : clock;
            Instant due = doneAt.orElse(
                    step instanceof Step.Stand wait
                            ? waited(wait, begins)
                            : begins.plus(seconds(lengths.getOrDefault(step.id(), 0.0))));
            if (step.stage() >= waits && drinkable.isEmpty()) {
                drinkable = Optional.of(begins);
            }
            Optional<Instant> began = doneAt.isPresent() || current ? Optional.of(begins) : Optional.empty();
            LiveStep live = new LiveStep(step, began, doneAt, due, sign(step));
            now = current ? Optional.of(live) : now;
            main.put(step.id(), live);
            clock = due;
        }
        List<LiveStep> steps = plan.steps().stream()
                .map(s -> main.getOrDefault(s.id(), beside(s)))
                .toList();
        boolean running = phase == Phase.RUNNING;
        return new LiveBrew(
                phase,
                steps,
                running ? place(now, steps) : new Place(Optional.empty(), List.of(), List.of(), Optional.empty()),
                clock(clock, drinkable),
                new Happened(
                        measured,
                        List.copyOf(turns),
                        new Served(
                                pouredMl,
                                new Rest(kept, emptied, jarNote),
                                cup.map(c -> new Cup(c, List.copyOf(acts)))),
                        marc,
                        List.copyOf(shaken)),
                predicted,
                outlook(predicted),
                note);
    }

    /** When what goes in with a step has rested; empty when nothing rests for it. */
    private Optional<Instant> rested(Step step) {
        return plan.steps().stream()
                .filter(s -> s instanceof Step.Stand && s.aside())
                .map(Step.Stand.class::cast)
                .filter(s -> goesIn(s.addition()).equals(Optional.of(step)))
                .flatMap(s -> prepared(s.addition())
                        .flatMap(p -> Optional.ofNullable(done.get(p.id())))
                        .map(at -> at.plus(seconds(s.durationS())))
                        .stream())
                .max(Comparator.naturalOrder());
    }

    /** When a wait for a herb ends: so long after it was got ready as in the plan, or at once. */
    private Instant waited(Step.Stand wait, Instant clock) {
        return prepared(wait.addition())
                .flatMap(p -> Optional.ofNullable(done.get(p.id())).map(at -> at.plus(seconds(wait.endS() - p.endS()))))
                .filter(clock::isBefore)
                .orElse(clock);
    }

    private Optional<Step.Prepare> prepared(int addition) {
        return plan.steps().stream()
                .flatMap(s -> s instanceof Step.Prepare p && p.addition() == addition ? Stream.of(p) : Stream.empty())
                .findFirst();
    }

    /** Prep beside the stages: it begins when the cook likes; what rests begins when it is ready. */
    private LiveStep beside(Step step) {
        if (step instanceof Step.Stand stand) {
            Optional<Instant> began = prepared(stand.addition()).map(p -> done.get(p.id()));
            Instant until = began.orElse(started.orElse(Instant.EPOCH).plus(seconds(stand.startS())))
                    .plus(seconds(stand.durationS()));
            return new LiveStep(step, began, Optional.empty(), until, BrewEvent.Sign.PLAN);
        }
        Instant due = started.orElse(Instant.EPOCH).plus(seconds(step.endS()));
        return new LiveStep(step, Optional.empty(), Optional.ofNullable(done.get(step.id())), due, sign(step));
    }

    private Place place(Optional<LiveStep> now, List<LiveStep> steps) {
        List<LiveStep> meanwhile = steps.stream()
                .filter(s -> s.step().aside() && s.doneAt().isEmpty() && !isIn(s.step(), now))
                .filter(s -> s.step() instanceof Step.Prepare || s.beganAt().isPresent())
                .toList();
        return new Place(now, meanwhile, open(now, steps), now.map(this::fire));
    }

    /** What of the herbs that go in with the step after this one is not got ready, or rests until then; what this step gets ready is not open. */
    private List<Open> open(Optional<LiveStep> now, List<LiveStep> steps) {
        List<Step> main = mainLine();
        int next = now.map(n -> main.indexOf(n.step()) + 1).orElse(main.size());
        if (next >= main.size()) {
            return List.of();
        }
        Set<Integer> goIn = IntStream.range(0, plan.additions().size())
                .filter(i -> !plan.additions().get(i).perCup() && goesIn(i).equals(Optional.of(main.get(next))))
                .boxed()
                .collect(Collectors.toSet());
        List<Open> open = new ArrayList<>();
        for (LiveStep live : steps) {
            if (live.step() instanceof Step.Prepare p
                    && goIn.contains(p.addition())
                    && live.doneAt().isEmpty()
                    && now.filter(n -> n.step().equals(p)).isEmpty()) {
                open.add(new Open(p, inHand(p.addition()), Optional.empty()));
            } else if (live.step() instanceof Step.Stand s
                    && s.aside()
                    && goIn.contains(s.addition())
                    && live.beganAt().isPresent()) {
                open.add(new Open(s, inHand(s.addition()), Optional.of(live.dueAt())));
            }
        }
        return open;
    }

    private HerbName inHand(int addition) {
        return plan.additions().get(addition).inHand();
    }

    /** The step with which a herb goes in: the first of its stage, or the pouring itself. */
    private Optional<Step> goesIn(int addition) {
        int stage = plan.additions().get(addition).stage();
        return mainLine().stream()
                .filter(s -> s.stage() == stage && !heatsFirst(s))
                .findFirst();
    }

    /** A kettle is heated before what is poured on goes into the vessel. */
    private boolean heatsFirst(Step step) {
        return step instanceof Step.HeatUp
                && plan.stages().get(step.stage()).stage().kind() == StageKind.POUR;
    }

    /** Whether what a step gets ready has gone in by now: then it is ready, whoever ticked it or not. */
    private boolean isIn(Step step, Optional<LiveStep> now) {
        int addition = step instanceof Step.Prepare prepare
                ? prepare.addition()
                : step instanceof Step.Stand stand ? stand.addition() : -1;
        if (addition < 0) {
            return false;
        }
        int goesIn = plan.additions().get(addition).stage();
        return now.map(LiveStep::step)
                .filter(s -> s.stage() > goesIn || s.stage() == goesIn && !heatsFirst(s))
                .isPresent();
    }

    /** @param drinkable when the cup began to wait for what goes into a cooler one; empty when it waits for nothing */
    private Clock clock(Instant ends, Optional<Instant> drinkable) {
        Optional<Instant> readyAt = started.map(s -> drinkable
                .filter(d -> ended.isEmpty() || d.isBefore(ended.get()))
                .or(() -> ended)
                .orElse(ends));
        double late = started.isEmpty() || phase != Phase.RUNNING
                ? 0
                : Duration.between(started.get(), ends).toMillis() / 1000.0 - plan.totalS();
        return new Clock(started, readyAt, late, Math.abs(late) >= LiveBrew.LATE_S);
    }

    private Outlook outlook(Prediction predicted) {
        double change = predicted.strength() - plan.strength();
        Set<Quality> told = EnumSet.noneOf(Quality.class);
        told(told, Quality.STRENGTH, change);
        told(told, Quality.AROMA, predicted.aroma() - plan.aroma());
        told(told, Quality.BITE, predicted.bite() - plan.bite());
        return new Outlook(change, told, phase == Phase.RUNNING ? advice(predicted) : Optional.empty());
    }

    private BrewEvent.Sign sign(Step step) {
        return signs.getOrDefault(step.id(), BrewEvent.Sign.PLAN);
    }

    private Fire fire(LiveStep now) {
        Fire fire = now.step().fire();
        Instant began = now.beganAt().orElse(Instant.MAX);
        for (BrewEvent.Turned turned : turns) {
            if (!turned.at().isBefore(began)) {
                fire = fire.then(turned.turn(), plan.request().kitchen().burner());
            }
        }
        return fire;
    }

    private static void told(Set<Quality> told, Quality quality, double change) {
        if (Math.abs(change) >= LiveBrew.TOLD) {
            told.add(quality);
        }
    }

    private Optional<Advice> advice(Prediction predicted) {
        if (predicted.brew().ranDry()) {
            return Optional.of(new Advice.LookForDry());
        }
        double change = predicted.strength() / Math.max(1e-9, plan.strength()) - 1;
        double yieldMl = predicted.water().yieldMl();
        double missing = plan.water().yieldMl() - yieldMl;
        if (change > LiveBrew.NOTICED) {
            return Optional.of(new Advice.Thin(tens(yieldMl * change)));
        }
        if (change < -LiveBrew.NOTICED && herbsAreIn()) {
            return Optional.of(new Advice.LeaveLonger());
        }
        return missing > plan.water().yieldMl() * LiveBrew.NOTICED
                ? Optional.of(new Advice.TopUp(tens(missing)))
                : Optional.empty();
    }

    /** Whether a strain is still to come: then the herbs can be left in longer. */
    private boolean herbsAreIn() {
        return mainLine().stream()
                .anyMatch(
                        s -> s instanceof Step.OfStage o && o.kind() == StageKind.STRAIN && !done.containsKey(s.id()));
    }

    private static Volume tens(double ml) {
        return Volume.millilitres(Math.round(ml / 10) * 10);
    }

    private static Duration seconds(double s) {
        return Duration.ofMillis(Math.round(s * 1000));
    }

    /** Steps that follow one another: the stages, and the prep that must be done before the first of them. */
    private List<Step> mainLine() {
        return plan.steps().stream().filter(s -> !s.aside()).toList();
    }

    /**
     * Seconds that stages really took. A finished stage counts whole; one whose heating is done counts its real heating
     * and its planned rest; what ends when something is reached is solved anew.
     */
    private Measurements measured() {
        Map<Integer, Double> measured = new HashMap<>();
        Map<Integer, Double> heated = new HashMap<>();
        Instant clock = started.orElse(Instant.EPOCH);
        for (Step step : mainLine()) {
            Instant doneAt = done.get(step.id());
            if (doneAt == null) {
                break;
            }
            double took = LiveStep.seconds(clock, doneAt);
            if (step.stage() >= 0) {
                if (step instanceof Step.HeatUp) {
                    heated.put(step.stage(), took);
                    if (plan.pot().stages().get(step.stage()).lastsMin().isPresent()) {
                        measured.put(
                                step.stage(),
                                took + plan.stages().get(step.stage()).properS());
                    }
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
            Instant doneAt = done.get(step.id());
            if (doneAt == null) {
                break;
            }
            clock = doneAt;
        }
        return going;
    }
}
