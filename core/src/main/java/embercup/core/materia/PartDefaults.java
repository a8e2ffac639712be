package embercup.core.materia;

import embercup.core.materia.Herb.Sourced;
import embercup.core.measure.Spread;
import java.util.Map;

/**
 * The figures of a plant part, used where the herb has none of its own. Read from {@code parts.yaml}.
 *
 * @param keptDrainedMlPerG water the spent dried herb keeps when drained, mL/g
 * @param keptPressedMlPerG the same when pressed, mL/g
 * @param driedGPerTsp level teaspoon of the dried, cut part, g
 * @param freshGPerTsp level teaspoon of the fresh, cut part, g
 * @param freshMoisture water fraction of the fresh part, 0–1
 * @param speedPerMin first-order rate at 80 °C of the chopped dried part, 1/min
 * @param holds how much of each class a gram holds, relative to the body of a gram
 */
public record PartDefaults(
        PlantPart part,
        Sourced keptDrainedMlPerG,
        Sourced keptPressedMlPerG,
        Spread driedGPerTsp,
        Spread freshGPerTsp,
        String bulkSource,
        Sourced freshMoisture,
        Sourced speedPerMin,
        Map<ExtractClass, Double> holds,
        String holdsSource) {

    public PartDefaults {
        holds = Map.copyOf(holds);
    }

    public double holds(ExtractClass extractClass) {
        return holds.getOrDefault(extractClass, 0.0);
    }
}
