package embercup.core.live;

import embercup.core.brew.Charge;
import embercup.core.brew.Holding;
import embercup.core.brew.SimulatedPot;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.live.LiveBrew.LiveStep;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Fire;
import embercup.core.plan.Step;
import embercup.core.plan.WaterPlan;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;

/**
 * A kitchen that is not the plan's: the stove has a power of its own that the plan does not know, and every instrument
 * trembles. What it reads is computed from the brew and its confirmations alone, so that it survives a restart and reads the
 * same on every server.
 *
 * @param powerFactor the stove's real power ÷ the one the plan counts with
 */
public record SimulatedKitchen(double powerFactor, long seed) {

    private static final double WEAKEST = 0.78;
    private static final double STRONGEST = 1.22;
    private static final double THERMOMETER_C = 0.3;
    private static final double SCALE_G = 1.5;
    /** A pot of usual make, for the weight on the scale under it, g. */
    private static final double POT_G_PER_ML = 0.35;

    /** The kitchen of a brew: always the same for the same brew. */
    public static SimulatedKitchen of(UUID brewId) {
        long seed = brewId.getMostSignificantBits() ^ brewId.getLeastSignificantBits();
        return new SimulatedKitchen(WEAKEST + (STRONGEST - WEAKEST) * new Random(seed).nextDouble(), seed);
    }

    /**
     * What the instruments read.
     *
     * @param tempC thermometer in the pot, or in the kettle while that is heated
     * @param waterMl water in the pot
     * @param weightG pot, water and herbs on the scale
     * @param boils whether bubbles rise
     * @param step id of the step the cook is at; empty when all are done
     * @param fulfilled whether that step has reached its end
     */
    public record Readings(
            double tempC, double waterMl, double weightG, boolean boils, String step, boolean fulfilled) {}

    /** @param now the brew's own clock */
    public Readings at(BrewPlan plan, LiveBrew live, Instant now) {
        Replay replay = new Replay(plan, now, live.turns());
        List<LiveStep> main =
                live.steps().stream().filter(s -> !s.step().aside()).toList();
        for (LiveStep step : main) {
            if (step.beganAt().isEmpty() || step.beganAt().get().isAfter(now)) {
                break;
            }
            replay.step(step);
        }
        Random tremble = new Random(seed ^ now.getEpochSecond());
        double pot = plan.vessel().brimMl() * POT_G_PER_ML;
        return new Readings(
                replay.tempC() + tremble.nextGaussian() * THERMOMETER_C,
                replay.waterMl(),
                pot + replay.herbsG() + replay.waterMl() + tremble.nextGaussian() * SCALE_G,
                replay.boils(),
                live.now().map(n -> n.step().id()).orElse(""),
                replay.fulfilled);
    }

    /** One replay of a brew; mutable, used once. */
    private final class Replay {

        private final BrewPlan plan;
        private final Batch batch;
        private final Instant now;
        private final List<BrewEvent.Turned> turns;
        private final Kitchen kitchen;
        private SimulatedPot pot;
        /** How many alike hold the liquor: one pot, or the mugs. */
        private double alike = 1;

        private double asideMl;
        private double asideC;
        /** What strained herbs keep, which is in the pot again with the fresh water that draws them once more. */
        private double inHerbsMl;

        private SimulatedPot kettle;
        private boolean poured;
        private boolean atKettle;
        private boolean strained;
        /** Stages whose milk and juice are in. */
        private final Set<Integer> liquids = new HashSet<>();

        private boolean fulfilled;
        /** The step whose herbs are in the vessel; empty before the first stage and once they are strained out. */
        private Optional<Step> at = Optional.empty();

        Replay(BrewPlan plan, Instant now, List<BrewEvent.Turned> turns) {
            this.plan = plan;
            this.turns = turns;
            this.batch = plan.batch();
            this.now = now;
            this.kitchen = plan.request().kitchen();
            this.pot = new SimulatedPot(plan.vessel(), kitchen.roomC(), plan.boilingC());
            this.kettle = kettle();
        }

        private SimulatedPot kettle() {
            return new SimulatedPot(Vessel.of("kettle", Vessel.Kind.TEAPOT, 14, 16), kitchen.roomC(), plan.boilingC());
        }

        double waterMl() {
            return pot.waterMl() * alike;
        }

        /** Herbs in the vessel, g; milk and juice are in its water. */
        double herbsG() {
            return at.filter(plan::herbsIn)
                    .map(step -> plan.pot().herbsIn(step.stage()).stream()
                            .filter(c -> c.broughtMl() == 0)
                            .mapToDouble(Charge::grams)
                            .sum())
                    .orElse(0.0);
        }

        double tempC() {
            return atKettle ? kettle.tempC() : pot.tempC();
        }

        boolean boils() {
            return atKettle ? kettle.boils() : pot.boils();
        }

        void step(LiveStep live) {
            Step step = live.step();
            boolean done = live.doneAt().filter(d -> !d.isAfter(now)).isPresent();
            Instant until = done ? live.doneAt().orElseThrow() : now;
            if (step.stage() < 0) {
                fulfilled = LiveStep.seconds(live.beganAt().orElseThrow(), until) >= step.durationS();
                return;
            }
            StageRun run = plan.stages().get(step.stage());
            at = done && run.stage().kind() == StageKind.STRAIN ? Optional.empty() : Optional.of(step);
            stage(live, run, until);
            if (done && step instanceof Step.OfStage && plan.intoMugs().orElse(-1) == step.stage()) {
                intoMugs();
            }
        }

        private void stage(LiveStep live, StageRun run, Instant until) {
            Step step = live.step();
            Stage stage = run.stage();
            Instant began = live.beganAt().orElseThrow();
            double seconds = LiveStep.seconds(began, until);
            Fire fire = step.fire();
            atKettle = fire.kettle();
            if (atKettle) {
                if (kettle.waterMl() == 0) {
                    kettle.pourIn(plan.pot().pourMl(), kitchen.tapC());
                }
                kettle.advance(seconds, fire.watts(), true);
                fulfilled = kettle.tempC() >= target(run) - 0.3;
                return;
            }
            begin(stage, run);
            Instant from = began;
            Fire planned = fire;
            for (BrewEvent.Turned turned : turns) {
                if (!turned.at().isBefore(began) && turned.at().isBefore(until)) {
                    pot.advance(LiveStep.seconds(from, turned.at()), fire.watts() * powerFactor, fire.lid());
                    Fire after = fire.then(turned.turn(), kitchen.burner());
                    pot.takeOut(keptMl(planned, after) - keptMl(planned, fire));
                    fire = after;
                    from = turned.at();
                }
            }
            pot.advance(LiveStep.seconds(from, until), fire.watts() * powerFactor, fire.lid());
            fulfilled = reached(step, run, seconds);
        }

        /** What the hands do when a stage begins. */
        private void begin(Stage stage, StageRun run) {
            if (stage.kind() == StageKind.POUR && !poured) {
                poured = true;
                double hot = kettle.waterMl() > 0 ? kettle.tempC() : run.startC();
                pot.pourIn(plan.pot().pourMl(), hot);
                kettle = kettle();
            } else if (!poured) {
                poured = true;
                pot.pourIn(
                        plan.pot().pourMl(),
                        stage instanceof Stage.Macerate m ? m.toC().orElse(kitchen.tapC()) : kitchen.tapC());
            }
            boolean whole = batch.begins(run.index()) || batch.ends(run.index());
            if (stage.kind() == StageKind.STRAIN && whole) {
                strained = true;
                pot.takeOut(Math.max(0, run.startMl() - run.endMl()));
            } else if (stage.kind() == StageKind.STRAIN && !strained) {
                strained = true;
                inHerbsMl = plan.brew().keptMl(true);
                pot.takeOut(inHerbsMl);
            } else if (stage.kind() == StageKind.COMBINE && whole) {
                pot.pourIn(asideMl, asideC);
                asideMl = 0;
            }
            double milk = plan.pot().charges().stream()
                    .filter(c -> c.stage() == run.index())
                    .mapToDouble(Charge::broughtMl)
                    .sum();
            if (milk > 0 && liquids.add(run.index())) {
                pot.pourIn(milk, kitchen.roomC());
            }
            if (stage instanceof Stage.Work && stage.bringsMl() > 0) {
                pot.pourIn(stage.bringsMl() * plan.pot().volumeScale(), kitchen.tapC());
            }
            if (stage instanceof Stage.Refill refill) {
                strained = false;
                asideC = (asideMl * asideC + pot.waterMl() * pot.tempC()) / Math.max(1e-9, asideMl + pot.waterMl());
                asideMl += pot.waterMl();
                pot.takeOut(pot.waterMl());
                pot.pourIn(inHerbsMl, asideC);
                pot.pourIn(refill.toMl() * plan.pot().volumeScale(), kitchen.tapC());
            }
        }

        /** The liquor warms the mugs it is poured into, and cools in them. */
        private void intoMugs() {
            if (asideMl > 0) {
                pot.pourIn(asideMl, asideC);
            }
            double cups = plan.request().cups();
            SimulatedPot mug = new SimulatedPot(Vessel.mug(plan.request().cupMl()), kitchen.roomC(), plan.boilingC());
            mug.pourIn(pot.waterMl() / cups, pot.tempC());
            pot = mug;
            alike = cups;
        }

        /** What the herbs keep; what is pressed out of them comes to the rest. */
        private double keptMl(Fire planned, Fire now) {
            return plan.brew().keptMl(now.pressed() == planned.pressed());
        }

        private double target(StageRun run) {
            if (run.stage() instanceof Stage.Heat heat) {
                return heat.toC().orElse(plan.boilingC());
            }
            if (run.stage() instanceof Stage.Hold hold) {
                return Holding.belowTheBoilC(hold, plan.boilingC());
            }
            return run.stage() instanceof Stage.Pour p ? p.toC().orElse(plan.boilingC()) : plan.boilingC();
        }

        private boolean reached(Step step, StageRun run, double seconds) {
            Stage stage = run.stage();
            if (step.heats()) {
                return pot.tempC() >= Math.min(target(run), plan.boilingC()) - 0.2;
            }
            if (stage instanceof Stage.Reduce) {
                return pot.waterMl() <= plan.water().dipMl() - WaterPlan.displacedAtMarkMl(plan.pot());
            }
            if (stage instanceof Stage.Cool cool) {
                return pot.tempC() <= cool.toC();
            }
            return seconds >= step.durationS();
        }
    }
}
