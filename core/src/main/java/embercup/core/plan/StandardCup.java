package embercup.core.plan;

import embercup.core.brew.BrewSetup;

/**
 * What strength is measured against: the recipe's own cup as it is written, in a standard kitchen. Immutable.
 *
 * @param own the pot of that cup
 * @param bodyPerMl extract of the body in a millilitre of it, in grams of herb given up
 * @param bandRelative how uncertain the rates of giving are, relative
 */
public record StandardCup(BrewSetup own, double bodyPerMl, double bandRelative) {

    /**
     * Relative half-width of the strength when the rates are uncertain by the data's band: for x = 1 − exp(−kt) the share
     * moves by kt·exp(−kt)/(1 − exp(−kt)) for each part of k.
     *
     * @param share share of the body that is drawn, 0–1
     */
    double band(double share) {
        return bandRelative * StrengthEquation.slope(share);
    }
}
