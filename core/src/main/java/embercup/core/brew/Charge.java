package embercup.core.brew;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.PartDefaults;
import embercup.core.measure.KitchenSystem;
import embercup.core.recipe.Menstruum;
import java.util.EnumMap;
import java.util.Map;

/**
 * One herb as it goes into the water, with every fact of it that the brew needs. Immutable.
 *
 * @param herb slug
 * @param common name as the cook says it
 * @param grams as weighed
 * @param dryG grams of the same dry matter in a dried herb; what crowds the water
 * @param stage index of the stage at whose start it goes in
 */
public record Charge(String herb, String common, double grams, double dryG, int stage, Releases releases, Soaks soaks) {

    /**
     * How fast and how much it gives.
     *
     * @param ratePerS first-order rate at the reference temperature in still water by class, 1/s
     * @param holdsPerG what a gram holds by class, relative to the body of a dried gram
     */
    public record Releases(Map<ExtractClass, Double> ratePerS, Map<ExtractClass, Double> holdsPerG) {
        public Releases {
            ratePerS = Map.copyOf(ratePerS);
            holdsPerG = Map.copyOf(holdsPerG);
        }
    }

    /**
     * What it does to the water.
     *
     * @param drainedMlPerG water kept by a gram when drained, mL/g
     * @param pressedMlPerG water kept by a gram when pressed, mL/g
     * @param soakedMl water it holds already when it goes in, mL; spent herbs do
     * @param broughtMl what it adds to the water, mL: milk and juice are as thin as it
     */
    public record Soaks(double drainedMlPerG, double pressedMlPerG, double soakedMl, double broughtMl) {}

    /** Classes in the order of the arrays that the simulation runs on. */
    static final ExtractClass[] CLASSES = ExtractClass.values();

    /** Water kept by fresh herbs (source key {@code dispensary-water}), mL/g. */
    private static final double FRESH_DRAINED = 0.4;

    private static final double FRESH_PRESSED = 0.2;
    /** Water kept by powders, drained or pressed (source key {@code dispensary-water}), mL/g. */
    private static final double POWDER_KEPT = 2.5;
    /** What slime lets go when it is pressed is little (estimate): the part of its water that it keeps. */
    private static final double SLIME_PRESSED = 0.8;
    /** Room that a gram of herb takes under water: plant matter of about 1.4 g/mL (estimate), mL/g. */
    public static final double DISPLACED_ML_PER_DRY_G = 0.7;

    public static Charge of(
            Materia materia, Herb herb, Form form, Cut cut, double grams, int stage, Menstruum menstruum) {
        if (herb.liquid()) {
            Soaks brings = new Soaks(0, 0, 0, broughtMl(herb, grams));
            return new Charge(herb.slug(), herb.common(), grams, 0, stage, new Releases(Map.of(), Map.of()), brings);
        }
        double dryG = form == Form.FRESH ? grams * HerbMeasure.driedShare(materia, herb) : grams;
        return new Charge(
                herb.slug(),
                herb.common(),
                grams,
                dryG,
                stage,
                releases(materia, herb, form, cut, grams == 0 ? 0 : dryG / grams, menstruum),
                soaks(materia.part(herb.part()), herb, form, cut));
    }

    /** What so much of a herb adds to the water, mL, by the weight of its level teaspoon; 0 of what is no liquid. */
    public static double broughtMl(Herb herb, double grams) {
        return herb.liquid() ? grams / herb.bulk().get(0).gPerTsp().best() * KitchenSystem.US.teaspoonMl() : 0;
    }

    private static Releases releases(
            Materia materia, Herb herb, Form form, Cut cut, double dryShare, Menstruum menstruum) {
        PartDefaults part = materia.part(herb.part());
        ExtractionData data = materia.extraction();
        double speed = part.speedPerMin().value()
                / 60
                * herb.gives().speed()
                * data.cutSpeed().getOrDefault(cut, 1.0)
                * (form == Form.FRESH ? data.speeds().fresh() : 1);
        Map<ExtractClass, Double> rates = new EnumMap<>(ExtractClass.class);
        Map<ExtractClass, Double> holds = new EnumMap<>(ExtractClass.class);
        for (ExtractClass c : CLASSES) {
            double drawn = 1 + (data.of(c).inSpirit() - 1) * menstruum.alcoholPercent() / 100;
            rates.put(c, speed * data.of(c).speed());
            holds.put(c, part.holds(c) * herb.gives().amount(c) * dryShare * drawn);
        }
        return new Releases(rates, holds);
    }

    private static Soaks soaks(PartDefaults part, Herb herb, Form form, Cut cut) {
        if (herb.brewing().swelling().isPresent() && form == Form.DRIED) {
            double swollen = herb.brewing().swelling().get().value() - DISPLACED_ML_PER_DRY_G;
            return new Soaks(swollen, swollen * SLIME_PRESSED, 0, 0);
        }
        double drained = part.keptDrainedMlPerG().value();
        double pressed = part.keptPressedMlPerG().value();
        if (form == Form.FRESH && drained > 0) {
            return new Soaks(FRESH_DRAINED, FRESH_PRESSED, 0, 0);
        }
        return cut.fine() && form == Form.DRIED
                ? new Soaks(POWDER_KEPT, POWDER_KEPT, 0, 0)
                : new Soaks(drained, pressed, 0, 0);
    }

    /** First-order rate of a class at the reference temperature, 1/s. */
    public double ratePerS(ExtractClass extractClass) {
        return releases.ratePerS.getOrDefault(extractClass, 0.0);
    }

    /** What a gram holds of a class, relative to the body of a dried gram. */
    public double holdsPerG(ExtractClass extractClass) {
        return releases.holdsPerG.getOrDefault(extractClass, 0.0);
    }

    /**
     * Share of a class that a steady infusion draws, 0–1.
     *
     * @param crowd dry grams in a millilitre
     * @param seconds of still water; more when it moves
     */
    public double drawnAt(
            ExtractionData data, ExtractClass extractClass, double crowd, double celsius, double seconds) {
        ExtractionData.ClassConstants k = data.of(extractClass);
        double rate = ratePerS(extractClass)
                * Liquor.arrhenius(k.activationKj(), celsius, data.referenceC() + Liquor.ZERO_CELSIUS_K);
        return -Math.expm1(-rate * seconds) / (1 + k.partitionMlPerG() * crowd);
    }

    /** The same, going in at another stage. */
    public Charge at(int otherStage) {
        return new Charge(herb, common, grams, dryG, otherStage, releases, soaks);
    }

    /** The same herb in another amount. */
    public Charge times(double factor) {
        return new Charge(
                herb,
                common,
                grams * factor,
                dryG * factor,
                stage,
                releases,
                new Soaks(soaks.drainedMlPerG, soaks.pressedMlPerG, soaks.soakedMl * factor, soaks.broughtMl * factor));
    }

    /**
     * The same herb, strained once and wet: it keeps no more water and gives only what is left.
     *
     * @param left share of each class that is still in it, 0–1
     */
    public Charge spent(Map<ExtractClass, Double> left) {
        Map<ExtractClass, Double> holds = new EnumMap<>(ExtractClass.class);
        releases.holdsPerG.forEach((c, h) -> holds.put(c, h * left.getOrDefault(c, 1.0)));
        return new Charge(
                herb,
                common,
                grams,
                dryG,
                stage,
                new Releases(releases.ratePerS, holds),
                new Soaks(0, 0, keptMl(false), 0));
    }

    /** Water kept by a gram, mL/g. */
    public double keptMlPerG(boolean pressed) {
        return pressed ? soaks.pressedMlPerG : soaks.drainedMlPerG;
    }

    /** What it adds to the water when it goes in, mL. */
    public double broughtMl() {
        return soaks.broughtMl;
    }

    /** Water this herb keeps, mL. */
    public double keptMl(boolean pressed) {
        return grams * keptMlPerG(pressed);
    }

    /** Room the herb takes under water beside what it soaks up there, mL. */
    public double displacedMl() {
        return dryG * DISPLACED_ML_PER_DRY_G + soaks.soakedMl;
    }
}
