package embercup.core.brew;

import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData;
import embercup.core.materia.ExtractionData.ClassConstants;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * The herbs in the water and what they have given. Mutable; belongs to one {@link BrewRun}.
 *
 * <p>Each herb approaches its equilibrium: dx/dt = k·(x_eq − x), x_eq = 1/(1 + K·m/V). Over one sub-step V is taken at the
 * middle and k is integrated over the temperature, so that the step is x += (x_eq − x)·(1 − exp(−∫k dt)). Source: see
 * {@code extraction.yaml}.
 */
final class Liquor {

    private static final int CLASSES = Charge.CLASSES.length;
    private static final double GAS_CONSTANT_J_PER_MOL_K = 8.314462618;
    private static final double ZERO_CELSIUS_K = 273.15;
    private static final double LOSS_REFERENCE_K = 373.15;

    private final List<Charge> charges;
    private final double[][] given;
    private final boolean[] in;
    private final double[] inLiquor = new double[CLASSES];
    private final double[] aside = new double[CLASSES];
    private final double[] held = new double[CLASSES];
    private final ClassConstants[] constants = new ClassConstants[CLASSES];
    private final double referenceK;
    /** Classes that are followed: all for a plan, the body alone where only the strength is wanted. */
    private final int followed;

    private final double[] rates = new double[CLASSES];
    private final double[] losses = new double[CLASSES];
    private double ratesAtC = Double.NaN;
    private double crowdG;

    Liquor(List<Charge> charges, ExtractionData data, boolean bodyOnly) {
        this.followed = bodyOnly ? 1 : CLASSES;
        this.charges = charges;
        this.given = new double[charges.size()][CLASSES];
        this.in = new boolean[charges.size()];
        this.referenceK = data.referenceC() + ZERO_CELSIUS_K;
        for (int c = 0; c < CLASSES; c++) {
            constants[c] = data.of(Charge.CLASSES[c]);
            for (Charge charge : charges) {
                held[c] += charge.grams() * charge.holdsPerG()[c];
            }
        }
    }

    /** Puts in what the recipe adds at the start of a stage. */
    void add(int stage) {
        for (int i = 0; i < charges.size(); i++) {
            if (charges.get(i).stage() == stage && !in[i]) {
                in[i] = true;
                crowdG += charges.get(i).dryG();
            }
        }
    }

    boolean empty() {
        return crowdG == 0;
    }

    double keptMl(boolean pressed) {
        double sum = 0;
        for (int i = 0; i < charges.size(); i++) {
            sum += in[i] ? charges.get(i).keptMl(pressed) : 0;
        }
        return sum;
    }

    double crowdG() {
        return crowdG;
    }

    /** One sub-step; temperatures at its start, middle and end. */
    void give(double seconds, double startC, double midC, double endC, double waterMl, double agitation, boolean lid) {
        double crowd = waterMl <= 0 ? 0 : crowdG / waterMl;
        meanFactors(startC, midC, endC);
        for (int c = 0; c < followed; c++) {
            ClassConstants k = constants[c];
            double loss = losses[c] * seconds * (lid ? k.lossUnderLid() : 1);
            double keepNew = 1;
            if (loss > 0) {
                inLiquor[c] *= Math.exp(-loss);
                keepNew = Math.exp(-loss / 2);
            }
            if (crowdG > 0) {
                double equilibrium = 1 / (1 + k.partitionMlPerG() * crowd);
                inLiquor[c] += step(c, rates[c] * seconds * agitation, equilibrium) * keepNew;
            }
        }
    }

    /** What all herbs give of a class in one sub-step; {@code factorS} is the rate's factor integrated over it, s. */
    private double step(int c, double factorS, double equilibrium) {
        double sum = 0;
        for (int i = 0; i < given.length; i++) {
            double[] x = given[i];
            if (in[i] && x[c] < equilibrium) {
                Charge charge = charges.get(i);
                double more = (equilibrium - x[c]) * -Math.expm1(-charge.ratePerS()[c] * factorS);
                x[c] += more;
                sum += more * charge.grams() * charge.holdsPerG()[c];
            }
        }
        return sum;
    }

    /** Mean factors on rates and losses over a sub-step, by Simpson's rule; at a steady temperature they are kept. */
    private void meanFactors(double startC, double midC, double endC) {
        boolean steady = startC == endC;
        if (steady && midC == ratesAtC) {
            return;
        }
        ratesAtC = steady ? midC : Double.NaN;
        for (int c = 0; c < followed; c++) {
            ClassConstants k = constants[c];
            rates[c] = mean(k.activationKj(), referenceK, startC, midC, endC);
            losses[c] = k.lossPerMin() == 0
                    ? 0
                    : k.lossPerMin() / 60 * mean(k.lossActivationKj(), LOSS_REFERENCE_K, startC, midC, endC);
        }
    }

    private static double mean(double kj, double referenceK, double startC, double midC, double endC) {
        double mid = arrhenius(kj, midC, referenceK);
        return startC == endC
                ? mid
                : (arrhenius(kj, startC, referenceK) + 4 * mid + arrhenius(kj, endC, referenceK)) / 6;
    }

    /** Factor on a rate at {@code celsius} against the reference temperature. */
    static double arrhenius(double kj, double celsius, double referenceK) {
        return Math.exp(kj * 1000 / GAS_CONSTANT_J_PER_MOL_K * (1 / referenceK - 1 / (celsius + ZERO_CELSIUS_K)));
    }

    /** Takes the liquor off: of {@code waterMl} in the pot, {@code keptMl} stays in the herbs with its share of extract. */
    void strain(double waterMl, double keptMl) {
        double goes = waterMl <= 0 ? 0 : Math.max(0, 1 - keptMl / waterMl);
        for (int c = 0; c < CLASSES; c++) {
            aside[c] += inLiquor[c] * goes;
            inLiquor[c] *= 1 - goes;
        }
    }

    /** What the drinker gets of a class so far: strained liquor and what is in the pot. */
    double drawn(int extractClass, boolean strained) {
        return strained ? aside[extractClass] : aside[extractClass] + inLiquor[extractClass];
    }

    /** Loses volatile and heat-tender classes from the strained liquor. */
    void standStrained(double seconds, double startC, double midC, double endC, boolean lid) {
        meanFactors(startC, midC, endC);
        for (int c = 0; c < followed; c++) {
            if (losses[c] > 0) {
                aside[c] *= Math.exp(-losses[c] * seconds * (lid ? constants[c].lossUnderLid() : 1));
            }
        }
    }

    double held(int extractClass) {
        return held[extractClass];
    }

    /** Share of each class that a herb has not given, 0–1. */
    Map<ExtractClass, Double> leftInHerb(int charge) {
        Map<ExtractClass, Double> left = new EnumMap<>(ExtractClass.class);
        for (int c = 0; c < CLASSES; c++) {
            left.put(Charge.CLASSES[c], 1 - given[charge][c]);
        }
        return left;
    }
}
