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
 */
public record Measurements(Map<Integer, Double> heatS, Map<Integer, Double> stageS, List<Reading> readings) {

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

    public static final Measurements NONE = new Measurements(Map.of(), Map.of(), List.of());

    public Measurements {
        heatS = Map.copyOf(heatS);
        stageS = Map.copyOf(stageS);
        readings = List.copyOf(readings);
    }

    public boolean none() {
        return heatS.isEmpty() && stageS.isEmpty() && readings.isEmpty();
    }

    /** The last reading of a kind in a stage. */
    Optional<Reading> last(int stage, Kind kind) {
        return readings.isEmpty()
                ? Optional.empty()
                : readings.stream()
                        .filter(r -> r.stage == stage && r.kind == kind)
                        .max(Comparator.comparingDouble(Reading::atS));
    }
}
