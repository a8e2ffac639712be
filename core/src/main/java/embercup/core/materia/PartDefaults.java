package embercup.core.materia;

import embercup.core.materia.Herb.Piece;
import embercup.core.materia.Herb.Sourced;
import embercup.core.measure.Spread;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
        List<Piece> pieces,
        Usual usual) {

    /**
     * What is taken of every herb of the part where nothing is known of it.
     *
     * @param keepsMonths in a closed tin; empty where it is each thing's own
     * @param ageFloorYears youngest drinker
     * @param perCupG of the dried herb
     */
    public record Usual(Optional<Sourced> keepsMonths, Sourced ageFloorYears, Herb.Range perCupG) {}

    /** Water the spent dried herb keeps when drained and when pressed, mL/g. */
    public record WaterKept(double drainedMlPerG, double pressedMlPerG, String source) {}

    /** Level teaspoon of the cut part, dried and fresh, g. */
    public record Spoon(Spread driedG, Spread freshG, double driedSpread, double freshSpread, String source) {}

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

    /** How far a spoon of a form may be from the figure, relative to it. */
    public double spread(Form form) {
        return form == Form.DRIED ? spoon.driedSpread : spoon.freshSpread;
    }

    public String bulkSource() {
        return spoon.source;
    }
}
