package embercup.core.live;

import embercup.core.brew.Measurements;
import embercup.core.live.BrewEvent.Noted;
import embercup.core.materia.HerbName;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Fire;
import embercup.core.plan.Prediction;
import embercup.core.plan.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A running brew: the plan folded over what really happened. Immutable; the same events give the same state, whoever
 * folds them.
 *
 * @param phase where the brew stands
 * @param steps every step with what is known of it
 * @param at where the cook is
 * @param clock when it began, when it will be ready, how late it is
 * @param happened what was read and done
 * @param predicted the plan again, from what really took how long
 * @param outlook how the cup will differ from the planned one
 * @param note how the cup was; empty until it is said
 */
public record LiveBrew(
        Phase phase,
        List<LiveStep> steps,
        Place at,
        Clock clock,
        Happened happened,
        Prediction predicted,
        Outlook outlook,
        Optional<Noted> note) {

    /**
     * Where the cook is.
     *
     * @param now the step to do; empty once all are done
     * @param meanwhile prep that can be done, and what rests, while the current step waits
     * @param open what of the herbs that go in with the next step is not ready yet
     * @param fire flame, lid and marc as they stand at the step to do
     */
    public record Place(Optional<LiveStep> now, List<LiveStep> meanwhile, List<Open> open, Optional<Fire> fire) {}

    /**
     * A herb that goes in with the next step and is not ready.
     *
     * @param step what is still to be done with it: it is got ready, or it rests
     * @param herb what is in the cook's hand: a herb, or the blend that it is in
     * @param restsUntil when it has rested; empty when it is not got ready
     */
    public record Open(Step step, HerbName herb, Optional<Instant> restsUntil) {}

    /**
     * @param lateS seconds the brew is behind its plan; negative when ahead
     * @param late whether it is so much behind or ahead that it is told
     */
    public record Clock(Optional<Instant> startedAt, Optional<Instant> readyAt, double lateS, boolean late) {}

    /**
     * What really happened.
     *
     * @param measured what stages took, and what was read in them
     * @param turns what hands did to lid, flame and marc, in order
     * @param served what became of the liquor
     * @param marc what became of the spent herbs
     * @param shaken when a long maceration was shaken
     */
    public record Happened(
            Measurements measured, List<BrewEvent.Turned> turns, Served served, Marc marc, List<Instant> shaken) {}

    /**
     * What became of the liquor.
     *
     * @param pouredMl poured for somebody to drink so far, mL
     * @param cup that is being made out of the jar; empty when none is
     */
    public record Served(double pouredMl, Rest rest, Optional<Cup> cup) {}

    /**
     * The rest of a pot.
     *
     * @param keptAt when it was put into a jar; empty when it was not
     * @param emptied whether what was left is gone
     * @param note in the cook's words; may be empty
     */
    public record Rest(Optional<Instant> keptAt, boolean emptied, String note) {}

    /** A cup out of the jar while it is made. @param acts when each of its acts was done, in order */
    public record Cup(BrewEvent.CupBegun begun, List<Instant> acts) {}

    /** The spent herbs. @param keptAt when they were put into the fridge; empty when they were not */
    public record Marc(Optional<Instant> keptAt, boolean gone) {
        static final Marc NOT_KEPT = new Marc(Optional.empty(), false);

        /** Whether they stand in the fridge. */
        public boolean stands() {
            return keptAt.isPresent() && !gone;
        }
    }

    /**
     * How the cup will differ from the planned one.
     *
     * @param strengthChange predicted strength now minus planned strength
     * @param told what has changed so much that it is told
     * @param advice what can be done about it; empty when there is nothing to do
     */
    public record Outlook(double strengthChange, Set<Quality> told, Optional<Advice> advice) {}

    /** What of a cup can change. */
    public enum Quality {
        STRENGTH,
        AROMA,
        BITE
    }

    /** What can be done about a cup that will not be as planned. A closed family; immutable. */
    public sealed interface Advice {
        record LookForDry() implements Advice {}

        /** @param water hot water in all */
        record Thin(Volume water) implements Advice {}

        record LeaveLonger() implements Advice {}

        /** @param missing less than planned */
        record TopUp(Volume missing) implements Advice {}
    }

    /** From this change of strength on a cook would notice (common practice, no source), relative. */
    public static final double NOTICED = 0.12;
    /** From this change on strength, aroma and bite are told beside the planned ones (design value). */
    public static final double TOLD = 0.04;
    /** From this on a brew is told to be late or early, s (design value). */
    static final double LATE_S = 60;

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

    /** What is in the mugs, the jug or the jar and not poured yet, mL. */
    public double leftMl() {
        return happened.served.rest.emptied ? 0 : Math.max(0, predicted.water().yieldMl() - happened.served.pouredMl);
    }

    public Optional<Instant> startedAt() {
        return clock.startedAt;
    }

    public Optional<Instant> readyAt() {
        return clock.readyAt;
    }

    public double lateS() {
        return clock.lateS;
    }

    public Optional<LiveStep> now() {
        return at.now;
    }

    public List<LiveStep> meanwhile() {
        return at.meanwhile;
    }

    public List<Open> open() {
        return at.open;
    }

    public Optional<Fire> fire() {
        return at.fire;
    }

    public List<BrewEvent.Turned> turns() {
        return happened.turns;
    }

    public double pouredMl() {
        return happened.served.pouredMl;
    }

    /** When the rest was put into a jar. */
    public Optional<Instant> keptAt() {
        return happened.served.rest.keptAt;
    }

    /** The cup that is being made out of the jar. */
    public Optional<Cup> cup() {
        return happened.served.cup;
    }

    public Marc marc() {
        return happened.marc;
    }

    public double strengthChange() {
        return outlook.strengthChange;
    }

    public Optional<Advice> advice() {
        return outlook.advice;
    }

    /** @param plan the plan as it was started, which is all that its prediction needs */
    public static LiveBrew fold(BrewPlan plan, List<BrewEvent> events) {
        return new Fold(plan, BrewEvent.standing(events)).state();
    }
}
