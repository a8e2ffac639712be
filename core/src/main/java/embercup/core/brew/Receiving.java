package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.recipe.Receiver;

/** The vessel that a batch goes on in. Stateless. */
final class Receiving {

    private Receiving() {}

    /** The pot it was brewed in, rinsed, where that is one; else the smallest usual vessel that holds it. Not for cups. */
    static Vessel vessel(Receiver into, BrewSetup setup, double millilitres) {
        boolean again = into == Receiver.POT && setup.vessel().kind() == Vessel.Kind.POT;
        return again
                ? setup.vessel()
                : setup.kitchen().fitting(into == Receiver.POT ? Kitchen.USUAL_POTS : Kitchen.USUAL_JARS, millilitres);
    }
}
