package embercup.core.brew;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.PartDefaults;
import embercup.core.recipe.Menstruum;
import java.util.Map;

/**
 * One herb as it goes into the water. Immutable.
 *
 * @param grams as weighed
 * @param dryG grams of the same dry matter in a dried herb; what crowds the water
 * @param stage index of the stage at whose start it goes in
 * @param ratePerS first-order rate at the reference temperature in still water by class, 1/s
 * @param holdsPerG what a gram holds by class, relative to the body of a dried gram
 * @param drainedMlPerG water kept by a gram when drained, mL/g
 * @param pressedMlPerG water kept by a gram when pressed, mL/g
 * @param soakedMl water it holds already when it goes in, mL; spent herbs do
 */
public record Charge(
        Herb herb,
        double grams,
        double dryG,
        int stage,
        double[] ratePerS,
        double[] holdsPerG,
        double drainedMlPerG,
        double pressedMlPerG,
        double soakedMl) {

    /** Classes in the order of the arrays. */
    static final ExtractClass[] CLASSES = ExtractClass.values();

    /** Water kept by fresh herbs (source key {@code dispensary-water}), mL/g. */
    private static final double FRESH_DRAINED = 0.4;

    private static final double FRESH_PRESSED = 0.2;
    /** Water kept by powders, drained or pressed (source key {@code dispensary-water}), mL/g. */
    private static final double POWDER_KEPT = 2.5;
    /** Room that a gram of herb takes under water: plant matter of about 1.4 g/mL (estimate), mL/g. */
    private static final double DISPLACED_ML_PER_DRY_G = 0.7;

    public static Charge of(
            Materia materia, Herb herb, Form form, Cut cut, double grams, int stage, Menstruum menstruum) {
        PartDefaults part = materia.part(herb.part());
        ExtractionData data = materia.extraction();
        double dryG = form == Form.FRESH ? grams * HerbMeasure.driedShare(materia, herb) : grams;
        double[] rates = new double[CLASSES.length];
        double[] holds = new double[CLASSES.length];
        double speed = part.speedPerMin().value()
                / 60
                * herb.gives().speed()
                * data.cutSpeed().getOrDefault(cut, 1.0)
                * (form == Form.FRESH ? data.freshSpeed() : 1);
        for (int c = 0; c < CLASSES.length; c++) {
            rates[c] = speed * data.of(CLASSES[c]).speed();
            double drawn = 1 + (data.of(CLASSES[c]).inSpirit() - 1) * menstruum.alcoholPercent() / 100;
            holds[c] =
                    part.holds(CLASSES[c]) * herb.gives().amount(CLASSES[c]) * (grams == 0 ? 0 : dryG / grams) * drawn;
        }
        boolean powder = cut.fine() && form == Form.DRIED;
        boolean fresh = form == Form.FRESH && part.keptDrainedMlPerG().value() > 0;
        return new Charge(
                herb,
                grams,
                dryG,
                stage,
                rates,
                holds,
                fresh
                        ? FRESH_DRAINED
                        : powder ? POWDER_KEPT : part.keptDrainedMlPerG().value(),
                fresh
                        ? FRESH_PRESSED
                        : powder ? POWDER_KEPT : part.keptPressedMlPerG().value(),
                0);
    }

    /** The same herb in another amount. */
    public Charge times(double factor) {
        return new Charge(
                herb,
                grams * factor,
                dryG * factor,
                stage,
                ratePerS,
                holdsPerG,
                drainedMlPerG,
                pressedMlPerG,
                soakedMl * factor);
    }

    /**
     * The same herb, strained once and wet: it keeps no more water and gives only what is left.
     *
     * @param left share of each class that is still in it, 0–1
     */
    public Charge spent(Map<ExtractClass, Double> left) {
        double[] holds = holdsPerG.clone();
        for (int c = 0; c < CLASSES.length; c++) {
            holds[c] *= left.getOrDefault(CLASSES[c], 1.0);
        }
        return new Charge(herb, grams, dryG, stage, ratePerS, holds, 0, 0, keptMl(false));
    }

    /** Water this herb keeps, mL. */
    public double keptMl(boolean pressed) {
        return grams * (pressed ? pressedMlPerG : drainedMlPerG);
    }

    /** Room the herb takes under water beside what it soaks up there, mL. */
    public double displacedMl() {
        return dryG * DISPLACED_ML_PER_DRY_G + soakedMl;
    }
}
