package embercup.core.live;

import embercup.core.brew.Measurements;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Burner;
import embercup.core.live.LiveBrew.LiveStep;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What measured brews say of a burner under a vessel: least squares on the logarithm of measured ÷ planned, with the starting
 * values as prior. Immutable.
 *
 * @param heatFactor real heating power ÷ the power counted with
 * @param boilOffFactor real boil-off ÷ the one counted with
 * @param heatings how many measured heatings stand behind it
 * @param boilOffs how many measured volumes stand behind it
 */
public record StoveFit(double heatFactor, double boilOffFactor, int heatings, int boilOffs) {

    public static final StoveFit NOTHING = new StoveFit(1, 1, 0, 0);

    /** How far a kitchen's power is from the starting values before anything is measured (design value), relative. */
    private static final double PRIOR = 0.25;
    /** How well a cook's clock tells the boil (common practice, no source), relative. */
    private static final double HEATING = 0.08;
    /** How well a jug tells what boiled away (common practice, no source), relative. */
    private static final double BOIL_OFF = 0.12;
    /** Ratios outside this are slips of the finger, not stoves. */
    private static final double LEAST_RATIO = 0.3;

    private static final double MOST_RATIO = 3;

    /** What an observation is of. */
    public enum Kind {
        HEATING,
        BOIL_OFF
    }

    /** One measurement: real ÷ planned power or boil-off. */
    public record Observation(Kind kind, double ratio) {}

    /** Fits observations of one burner and vessel. */
    public static StoveFit of(List<Observation> observations) {
        List<Double> heat = ratios(observations, Kind.HEATING);
        List<Double> boil = ratios(observations, Kind.BOIL_OFF);
        return new StoveFit(fit(heat, HEATING), fit(boil, BOIL_OFF), heat.size(), boil.size());
    }

    private static List<Double> ratios(List<Observation> all, Kind kind) {
        return all.stream()
                .filter(o -> o.kind == kind && o.ratio > LEAST_RATIO && o.ratio < MOST_RATIO)
                .map(Observation::ratio)
                .toList();
    }

    /** Posterior mean of a normal with a normal prior at the starting value, on the logarithm. */
    private static double fit(List<Double> ratios, double noise) {
        double weight = 1 / (noise * noise);
        double sum = ratios.stream().mapToDouble(Math::log).sum() * weight;
        return Math.exp(sum / (ratios.size() * weight + 1 / (PRIOR * PRIOR)));
    }

    /** The burner as it is under this vessel: heating tells the high setting, boil-off the ones below. */
    public Burner applied(Burner burner) {
        double below = boilOffs > 0 ? boilOffFactor : heatFactor;
        double high = heatings > 0 ? heatFactor : boilOffFactor;
        return new Burner(burner.name(), burner.lowW() * below, burner.mediumW() * below, burner.highW() * high);
    }

    public int measurements() {
        return heatings + boilOffs;
    }

    /**
     * What one brew that came to its end says, beside what was planned with the burner's own figures. A stage whose lid or
     * flame was turned by hand says nothing: it is not what was planned.
     */
    public static List<Observation> observed(BrewPlan plan, LiveBrew live) {
        Measurements measured = live.happened().measured();
        Set<Integer> turned =
                measured.turns().stream().map(Measurements.Turned::stage).collect(Collectors.toSet());
        List<Observation> all = new ArrayList<>();
        for (LiveStep step : live.steps()) {
            heating(step).filter(o -> !turned.contains(step.step().stage())).ifPresent(all::add);
        }
        for (StageRun run : plan.stages()) {
            boilOff(plan, live, run, measured.readings())
                    .filter(o -> !turned.contains(run.index()))
                    .ifPresent(all::add);
        }
        return all;
    }

    private static Optional<Observation> heating(LiveStep live) {
        Step step = live.step();
        if (step.stage() < 0 || live.beganAt().isEmpty() || live.doneAt().isEmpty()) {
            return Optional.empty();
        }
        boolean inPot = step.heats() && !step.fire().kettle();
        double took =
                Duration.between(live.beganAt().get(), live.doneAt().get()).toMillis() / 1000.0;
        return inPot && took > 20 && step.durationS() > 20 && !Measurements.unattended(took, step.durationS())
                ? Optional.of(new Observation(Kind.HEATING, step.durationS() / took))
                : Optional.empty();
    }

    /** Boiled away in a stage until a volume was read, against what the plan's flame would have taken in that time. */
    private static Optional<Observation> boilOff(
            BrewPlan plan, LiveBrew live, StageRun run, List<Measurements.Reading> readings) {
        double planned = run.startMl() - run.endMl();
        boolean flame = run.stage().kind().boils();
        if (!flame || planned < 10 || run.properS() < 60) {
            return Optional.empty();
        }
        return readings.stream()
                .filter(r -> r.stage() == run.index() && r.kind() == Measurements.Kind.VOLUME_ML)
                .reduce((a, b) -> b)
                .filter(r -> r.atS() - heatedS(live, run) > 60)
                .map(r -> {
                    double rate = planned / run.properS();
                    double real = (run.startMl() - r.value()) / (r.atS() - heatedS(live, run));
                    return new Observation(Kind.BOIL_OFF, real / rate);
                });
    }

    /** Seconds of real heating at the beginning of a stage. */
    private static double heatedS(LiveBrew live, StageRun run) {
        return live.steps().stream()
                .filter(s -> s.step() instanceof Step.HeatUp && s.step().stage() == run.index())
                .filter(s -> s.beganAt().isPresent() && s.doneAt().isPresent())
                .mapToDouble(s ->
                        Duration.between(s.beganAt().get(), s.doneAt().get()).toMillis() / 1000.0)
                .findFirst()
                .orElse(0);
    }
}
