package embercup.core.brew;

import java.util.Map;

/**
 * How long stages really took, by index, s; what is not measured is predicted. Immutable.
 *
 * @param heatS heating before the stage proper
 * @param stageS the whole stage, its heating included
 */
public record MeasuredTimes(Map<Integer, Double> heatS, Map<Integer, Double> stageS) {

    public static final MeasuredTimes NONE = new MeasuredTimes(Map.of(), Map.of());

    public MeasuredTimes {
        heatS = Map.copyOf(heatS);
        stageS = Map.copyOf(stageS);
    }

    public boolean none() {
        return heatS.isEmpty() && stageS.isEmpty();
    }
}
