package embercup.core.brew;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a brew really did, by stage index; what is not measured is predicted. Immutable.
 *
 * @param heatS heating before the stage proper, s
 * @param stageS the whole stage, its heating included, s
 * @param readings volumes and temperatures that were read during a stage, or after a strain
 * @param turns what hands did to lid, flame and marc; each holds until the next, or until the next step of the plan
 */
public record Measurements(
        Map<Integer, Double> heatS, Map<Integer, Double> stageS, List<Reading> readings, List<Turned> turns) {

    /** What was read. */
    public enum Kind {
        VOLUME_ML,
        TEMPERATURE_C
    }

    /**
     * One reading.
     *
     * @param atS seconds from the stage's beginning
     */
    public record Reading(int stage, double atS, Kind kind, double value) {}

    /**
     * Lid or flame turned, or the marc pressed.
     *
     * @param atS seconds from the stage's beginning
     */
    public record Turned(int stage, double atS, Turn turn) {}

    public static final Measurements NONE = new Measurements(Map.of(), Map.of(), List.of(), List.of());

    public Measurements {
        heatS = Map.copyOf(heatS);
        stageS = Map.copyOf(stageS);
        readings = List.copyOf(readings);
        turns = List.copyOf(turns);
    }

    /** A stove of half the power that was thought is none (design values). */
    private static final double LATE_TIMES = 2;

    private static final double LATE_S = 180;

    /**
     * Whether "it boils" was confirmed so late that it must have boiled long before: nobody looked. It then tells nothing of
     * the stove, and the pot boiled on.
     */
    public static boolean unattended(double tookS, double expectedS) {
        return tookS > LATE_TIMES * expectedS + LATE_S;
    }

    public boolean none() {
        return heatS.isEmpty() && stageS.isEmpty() && readings.isEmpty() && turns.isEmpty();
    }

    /** The last reading of a kind in a stage. */
    Optional<Reading> last(int stage, Kind kind) {
        return readings.isEmpty()
                ? Optional.empty()
                : readings.stream()
                        .filter(r -> r.stage == stage && r.kind == kind)
                        .max(Comparator.comparingDouble(Reading::atS));
    }

    /** Whether the marc of a strain was pressed; as the plan has it when no hand did otherwise. */
    boolean pressed(int stage, boolean planned) {
        boolean pressed = planned;
        for (Turned turned : turns(stage, 0)) {
            pressed = turned.turn().pressed(pressed);
        }
        return pressed;
    }

    /** Turns of a stage from a moment on, in order. */
    List<Turned> turns(int stage, double fromS) {
        return turns.isEmpty()
                ? turns
                : turns.stream()
                        .filter(t -> t.stage == stage && t.atS >= fromS)
                        .sorted(Comparator.comparingDouble(Turned::atS))
                        .toList();
    }
}
