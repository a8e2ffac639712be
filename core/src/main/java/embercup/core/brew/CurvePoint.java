package embercup.core.brew;

/**
 * One sample of the brew.
 *
 * @param tS seconds from the first stage
 * @param tempC liquor temperature, °C
 * @param waterMl water in the pot, herbs' share included, or strained liquor, mL
 * @param body extract drawn so far, in grams of herb given up, all cups together
 * @param aroma share of the aroma held by the herbs that is in the liquor, 0–1
 * @param bite share of the bitter and tannic matter that is in the liquor, 0–1
 */
public record CurvePoint(double tS, double tempC, double waterMl, double body, double aroma, double bite) {}
