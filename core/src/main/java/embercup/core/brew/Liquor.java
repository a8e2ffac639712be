package embercup.core.brew;

import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData;
import embercup.core.materia.ExtractionData.ClassConstants;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * What the herbs give to the water along the phases of a brew. Mutable, used once.
 *
 * <p>Each herb approaches its equilibrium with the water that is there now: dx/dt = k·(x_eq − x),
 * x_eq = (1 + K·m/V·r)/(1 + K·m/V), where r is the share of what was given that is in the water no more: strained off, or lost
 * to the air. Fresh water on spent herbs draws again. Over one sub-step V and r are taken at its middle and its start and k is
 * integrated over the temperature, so that the step is x += (x_eq − x)·(1 − exp(−∫k dt)). Source: see {@code extraction.yaml}.
 */
final class Liquor {

    private static final double GAS_CONSTANT_J_PER_MOL_K = 8.314462618;
    static final double ZERO_CELSIUS_K = 273.15;
    private static final double LOSS_REFERENCE_K = 373.15;

    private final List<Herb> herbs;
    private final double[][] given;
    private final boolean[] in;
    private final boolean[] out;
    /** Share of what a herb gave that went away with it, by class, once it is out. */
    private final double[][] keptByHerb;

    private final double[] inLiquor;
    private final double[] aside;
    private final double[] held;
    private final ClassConstants[] constants;
    private final double referenceK;
    /** How many classes are followed. */
    private final int classes;

    private final double[] rates;
    private final double[] losses;
    private double ratesAtC = Double.NaN;
    private double crowdG;
    private boolean off;
    /** Whether what was strained off is in the vessel again, as a batch that goes on. */
    private boolean batch;
    /** What the herbs that are in hold, and have given, by class. */
    private final double[] holdsIn;

    private final double[] gave;

    /** @param referenceC temperature of the herbs' rates, °C */
    Liquor(List<Herb> herbs, List<ClassConstants> constants, double referenceC) {
        this.herbs = herbs;
        this.classes = constants.size();
        this.constants = constants.toArray(new ClassConstants[0]);
        this.given = new double[herbs.size()][classes];
        this.in = new boolean[herbs.size()];
        this.out = new boolean[herbs.size()];
        this.keptByHerb = new double[herbs.size()][classes];
        this.referenceK = referenceC + ZERO_CELSIUS_K;
        this.inLiquor = new double[classes];
        this.aside = new double[classes];
        this.held = new double[classes];
        this.rates = new double[classes];
        this.losses = new double[classes];
        this.holdsIn = new double[classes];
        this.gave = new double[classes];
        for (Herb herb : herbs) {
            for (int c = 0; c < classes; c++) {
                held[c] += herb.holds[c];
            }
        }
    }

    /** @param classes how many classes are followed, in their order: 1 where only the strength is wanted */
    static Liquor of(List<Charge> charges, ExtractionData data, int classes) {
        return new Liquor(
                charges.stream().map(c -> Herb.of(c, classes)).toList(),
                Arrays.stream(Charge.CLASSES).limit(classes).map(data::of).toList(),
                data.referenceC());
    }

    /** A herb as arrays: first-order rates, 1/s, and all it holds, by class. */
    record Herb(int stage, double dryG, double[] ratePerS, double[] holds) {
        static Herb of(Charge charge, int classes) {
            double[] rates = new double[classes];
            double[] holds = new double[classes];
            for (int c = 0; c < classes; c++) {
                rates[c] = charge.ratePerS(Charge.CLASSES[c]);
                holds[c] = charge.grams() * charge.holdsPerG(Charge.CLASSES[c]);
            }
            return new Herb(charge.stage(), charge.dryG(), rates, holds);
        }
    }

    /** Goes through one phase; {@code each} hears of every step of it once it is done. */
    void through(Phase phase, Consumer<Slice> each) {
        if (phase instanceof Phase.HerbsIn herbsIn) {
            add(herbsIn.stage());
        } else if (phase instanceof Phase.Strained strained) {
            strain(strained.goes());
        } else if (phase instanceof Phase.HerbsOut) {
            herbsOut();
        } else if (phase instanceof Phase.InVessel lasting) {
            Slice.of(lasting, slice -> {
                step(slice, lasting.over());
                each.accept(slice);
            });
        }
    }

    private void step(Slice s, Phase.Over over) {
        if (over.strained() || batch) {
            standStrained(s.seconds(), s.fromC(), s.midC(), s.toC(), over.lid());
        }
        if (!over.strained()) {
            give(s.seconds(), s.fromC(), s.midC(), s.toC(), s.midMl(), over.agitation(), over.lid());
        }
    }

    private void add(int stage) {
        for (int i = 0; i < herbs.size(); i++) {
            if (herbs.get(i).stage == stage && !in[i] && !out[i]) {
                in[i] = true;
                crowdG += herbs.get(i).dryG;
                for (int c = 0; c < classes; c++) {
                    holdsIn[c] += herbs.get(i).holds[c];
                }
            }
        }
    }

    /** One sub-step; temperatures at its start, middle and end. */
    private void give(
            double seconds, double startC, double midC, double endC, double waterMl, double agitation, boolean lid) {
        double crowd = waterMl <= 0 ? 0 : crowdG / waterMl;
        meanFactors(startC, midC, endC);
        for (int c = 0; c < classes; c++) {
            ClassConstants k = constants[c];
            double loss = losses[c] * seconds * (lid ? k.lossUnderLid() : 1);
            double keepNew = 1;
            if (loss > 0) {
                inLiquor[c] *= Math.exp(-loss);
                keepNew = Math.exp(-loss / 2);
            }
            if (crowdG > 0) {
                double factorS = rates[c] * seconds * agitation;
                double more = step(c, factorS, equilibrium(c, crowd, factorS, keepNew), true);
                gave[c] += more;
                inLiquor[c] += more * keepNew;
            }
        }
    }

    /** Where the herbs tend in one sub-step; what goes into the air on the way counts half. */
    private double equilibrium(int c, double crowd, double factorS, double keepNew) {
        double partition = constants[c].partitionMlPerG() * crowd;
        double equilibrium = (1 + partition * gone(c, 0)) / (1 + partition);
        if (keepNew == 1 || holdsIn[c] <= 0) {
            return equilibrium;
        }
        double lost =
                inLiquor[c] * (1 / (keepNew * keepNew) - 1) + step(c, factorS, equilibrium, false) * (1 - keepNew);
        return (1 + partition * gone(c, -lost / 2)) / (1 + partition);
    }

    /** Share of what the herbs hold that they gave and that is not in the water, or that will not be. */
    private double gone(int c, double stillThere) {
        return holdsIn[c] <= 0 ? 0 : Math.max(0, gave[c] - inLiquor[c] + stillThere) / holdsIn[c];
    }

    /** What all herbs give of a class in one sub-step; {@code factorS} is the rate's factor integrated over it, s. */
    private double step(int c, double factorS, double equilibrium, boolean really) {
        double sum = 0;
        for (int i = 0; i < given.length; i++) {
            double[] x = given[i];
            if (in[i] && x[c] < equilibrium) {
                Herb herb = herbs.get(i);
                double more = (equilibrium - x[c]) * -Math.expm1(-herb.ratePerS[c] * factorS);
                x[c] += really ? more : 0;
                sum += more * herb.holds[c];
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
        for (int c = 0; c < classes; c++) {
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

    /** Takes the liquor off: {@code goes} of it comes, the rest stays in the herbs with its share of extract. */
    private void strain(double goes) {
        off = true;
        for (int c = 0; c < classes; c++) {
            aside[c] = aside[c] * (batch ? goes : 1) + inLiquor[c] * goes;
            inLiquor[c] *= 1 - goes;
        }
    }

    /** The spent herbs are gone with what they keep; what comes to the batch gives to it alone. */
    private void herbsOut() {
        batch = true;
        for (int i = 0; i < given.length; i++) {
            if (in[i]) {
                in[i] = false;
                out[i] = true;
                for (int c = 0; c < classes; c++) {
                    keptByHerb[i][c] = keptShare(c);
                }
            }
        }
        crowdG = 0;
        Arrays.fill(holdsIn, 0);
        Arrays.fill(gave, 0);
        Arrays.fill(inLiquor, 0);
    }

    private double keptShare(int c) {
        return gave[c] > 0 ? Math.min(1, inLiquor[c] / gave[c]) : 0;
    }

    /** What the drinker gets of a class so far: strained liquor and what is in the pot. */
    double drawn(int extractClass, boolean strained) {
        return strained ? aside[extractClass] : aside[extractClass] + inLiquor[extractClass];
    }

    /** Loses volatile and heat-tender classes from the strained liquor. */
    private void standStrained(double seconds, double startC, double midC, double endC, boolean lid) {
        meanFactors(startC, midC, endC);
        for (int c = 0; c < classes; c++) {
            if (losses[c] > 0) {
                aside[c] *= Math.exp(-losses[c] * seconds * (lid ? constants[c].lossUnderLid() : 1));
            }
        }
    }

    double held(int extractClass) {
        return held[extractClass];
    }

    /** Share of each class that is still in a herb: not given, or given to the water that it keeps once it is strained, 0–1. */
    Map<ExtractClass, Double> leftInHerb(int charge) {
        Map<ExtractClass, Double> left = new EnumMap<>(ExtractClass.class);
        for (int c = 0; c < classes; c++) {
            double kept = out[charge] ? keptByHerb[charge][c] : off ? keptShare(c) : 0;
            left.put(Charge.CLASSES[c], 1 - given[charge][c] * (1 - kept));
        }
        return left;
    }
}
