package embercup.core.brew;

import java.util.List;

/** The herbs that are in the water, as the water feels them: how they crowd it and how much of it they keep. Mutable. */
final class Bed {

    private final List<Charge> charges;
    private final boolean[] in;
    private final boolean[] out;
    private double dryG;
    private double broughtMl;

    Bed(List<Charge> charges) {
        this.charges = charges;
        this.in = new boolean[charges.size()];
        this.out = new boolean[charges.size()];
    }

    /** Puts in what the recipe adds at the start of a stage. @return whether there was anything */
    boolean add(int stage) {
        boolean any = false;
        for (int i = 0; i < in.length; i++) {
            if (charges.get(i).stage() == stage && !in[i] && !out[i]) {
                in[i] = true;
                any = true;
                dryG += charges.get(i).dryG();
                broughtMl += charges.get(i).broughtMl();
            }
        }
        return any;
    }

    /** The spent herbs are taken away. */
    void clear() {
        for (int i = 0; i < in.length; i++) {
            out[i] |= in[i];
            in[i] = false;
        }
        dryG = 0;
    }

    boolean empty() {
        return dryG == 0 && broughtMl == 0;
    }

    /** What milk and juice have added to the water so far, mL. */
    double broughtMl() {
        return broughtMl;
    }

    /** Dry matter in the water, g. */
    double dryG() {
        return dryG;
    }

    /** Water that the herbs in it keep, mL. */
    double keptMl(boolean pressed) {
        double sum = 0;
        for (int i = 0; i < in.length; i++) {
            sum += in[i] ? charges.get(i).keptMl(pressed) : 0;
        }
        return sum;
    }
}
