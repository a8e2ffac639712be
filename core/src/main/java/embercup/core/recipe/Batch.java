package embercup.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Where the liquor of a pot stands from stage to stage: on its herbs, aside while fresh water draws them again, as a batch in a vessel of
 * its own, or parted into cups. Immutable.
 */
public final class Batch {

    private final List<Stage> stages;
    private final List<Optional<Receiver>> after = new ArrayList<>();

    private Batch(List<Stage> stages) {
        this.stages = stages;
        Optional<Receiver> now = Optional.empty();
        Optional<Receiver> told = Optional.empty();
        for (int i = 0; i < stages.size(); i++) {
            if (stages.get(i) instanceof Stage.Strain strain) {
                told = strain.into();
                now = Optional.of(told.orElse(aside(i) ? Receiver.JUG : usual(i)));
            } else if (is(i, StageKind.COMBINE)) {
                now = Optional.of(told.filter(r -> r != Receiver.JUG).orElse(usual(i)));
            } else if (is(i, StageKind.REFILL)) {
                now = Optional.empty();
                told = Optional.empty();
            }
            after.add(now);
        }
    }

    public static Batch of(List<Stage> stages) {
        return new Batch(stages);
    }

    private boolean is(int stage, StageKind kind) {
        return stages.get(stage).kind() == kind;
    }

    /** A pot for what is heated again before it is strained again, a jug for what stands until then, and cups for what is drunk. */
    private Receiver usual(int from) {
        Receiver usual = Receiver.CUPS;
        for (int i = from + 1; i < stages.size() && !is(i, StageKind.STRAIN); i++) {
            StageKind kind = stages.get(i).kind();
            if (kind.onFlame()) {
                return Receiver.POT;
            } else if (kind == StageKind.STEEP || kind == StageKind.MACERATE) {
                usual = Receiver.JUG;
            }
        }
        return usual;
    }

    /** Whether what is strained off waits: fresh water draws its herbs again, or it comes to what waits already. */
    public boolean aside(int strain) {
        boolean later = IntStream.range(strain + 1, stages.size()).anyMatch(i -> is(i, StageKind.REFILL));
        int before = strain - 1;
        while (before >= 0 && !is(before, StageKind.REFILL) && !is(before, StageKind.COMBINE)) {
            before--;
        }
        return later || before >= 0 && is(before, StageKind.REFILL);
    }

    /** What holds the liquor when a stage ends; empty on the herbs. */
    public Optional<Receiver> after(int stage) {
        return after.get(stage);
    }

    /** What holds the liquor when a stage begins; empty on the herbs. */
    public Optional<Receiver> before(int stage) {
        return stage == 0 ? Optional.empty() : after.get(stage - 1);
    }

    /** Whether the liquor stands in one vessel, off the herbs it was drawn from, when a stage begins. */
    public boolean begins(int stage) {
        return stage > 0 && ends(stage - 1);
    }

    /** Whether a stage ends with the liquor in one vessel, off the herbs it was drawn from. */
    public boolean ends(int stage) {
        int from = from(stage);
        return from >= 0
                && after.get(stage).filter(Receiver::holdsBatch).isPresent()
                && (is(from, StageKind.COMBINE) || !aside(from));
    }

    /** The strain or the uniting that the liquor of a stage came out of; −1 on its first herbs. */
    private int from(int stage) {
        int from = stage;
        while (from >= 0 && !is(from, StageKind.STRAIN) && !is(from, StageKind.COMBINE)) {
            from--;
        }
        return from;
    }

    /** The first stage whose herbs can be in the vessel with a stage: those before it went away with an earlier strain. */
    public int herbsFrom(int stage) {
        int batch = from(stage - 1);
        while (batch >= 0 && !ends(batch)) {
            batch = from(batch - 1);
        }
        return Math.max(0, batch);
    }

    /** What holds the liquor at the end; empty when it stays on the herbs. */
    public Optional<Receiver> atTheEnd() {
        return after.isEmpty() ? Optional.empty() : after.get(after.size() - 1);
    }

    /** Whether it stands in one vessel at the end, from which it is poured when it is drunk. */
    public boolean endsWhole() {
        return !stages.isEmpty() && ends(stages.size() - 1);
    }
}
