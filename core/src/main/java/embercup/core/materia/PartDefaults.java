package embercup.core.materia;

import embercup.core.materia.Herb.Piece;
import embercup.core.materia.Herb.Sourced;
import embercup.core.measure.Spread;
import java.util.List;
import java.util.Map;

/**
 * The figures of a plant part, used where the herb has none of its own. Read from {@code parts.yaml}. Immutable.
 *
 * @param freshMoisture water fraction of the fresh part, 0–1
 * @param speedPerMin first-order rate at 80 °C of the chopped dried part, 1/min
 * @param pieces rough weight of one by form and unit, for herbs whose own is not known
 * @param holds how much of each class a gram holds, relative to the body of a gram
 */
public record PartDefaults(
        PlantPart part,
        WaterKept waterKept,
        Spoon spoon,
        Sourced freshMoisture,
        Sourced speedPerMin,
        Map<ExtractClass, Double> holds,
        String holdsSource,
        List<Piece> pieces) {

    /** Water the spent dried herb keeps when drained and when pressed, mL/g. */
    public record WaterKept(double drainedMlPerG, double pressedMlPerG, String source) {}

    /** Level teaspoon of the cut part, dried and fresh, g. */
    public record Spoon(Spread driedG, Spread freshG, String source) {}

    public PartDefaults {
        holds = Map.copyOf(holds);
        pieces = List.copyOf(pieces);
    }

    public double holds(ExtractClass extractClass) {
        return holds.getOrDefault(extractClass, 0.0);
    }

    public Sourced keptDrainedMlPerG() {
        return new Sourced(waterKept.drainedMlPerG, waterKept.source);
    }

    public Sourced keptPressedMlPerG() {
        return new Sourced(waterKept.pressedMlPerG, waterKept.source);
    }

    /** Level teaspoon of a form, g. */
    public Spread gPerTsp(Form form) {
        return form == Form.DRIED ? spoon.driedG : spoon.freshG;
    }

    public String bulkSource() {
        return spoon.source;
    }
}
