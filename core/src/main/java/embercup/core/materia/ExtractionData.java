package embercup.core.materia;

import java.util.Map;

/**
 * Constants of the extraction model that do not depend on the herb. Read from {@code extraction.yaml}, which names the
 * source of each.
 *
 * @param referenceC temperature of the parts' rates, °C
 * @param classes the constants of each class
 * @param cutSpeed factor on the rate by cut; chopped is 1
 * @param bandRelative half-width of the estimate's band, relative
 */
public record ExtractionData(
        double referenceC,
        Map<ExtractClass, ClassConstants> classes,
        Map<Cut, Double> cutSpeed,
        Speeds speeds,
        double bandRelative,
        String source) {

    public ExtractionData {
        classes = Map.copyOf(classes);
        cutSpeed = Map.copyOf(cutSpeed);
    }

    /**
     * Factors on the rate.
     *
     * @param fresh for fresh material
     * @param boil in a rolling boil
     * @param simmer at a simmer
     * @param shaken when shaken or stirred now and then
     */
    public record Speeds(double fresh, double boil, double simmer, double shaken) {}

    /**
     * @param speed factor on the part's rate
     * @param activationKj activation energy of the rate, kJ/mol
     * @param partitionMlPerG K of the partition x_eq = 1 / (1 + K·m/V)
     * @param lossPerMin first-order loss from the liquor at 100 °C, lid off, 1/min
     * @param lossActivationKj activation energy of the loss, kJ/mol
     * @param lossUnderLid factor on the loss with the lid on
     * @param inSpirit factor on what pure alcohol draws at most instead of water
     */
    public record ClassConstants(
            double speed,
            double activationKj,
            double partitionMlPerG,
            double lossPerMin,
            double lossActivationKj,
            double lossUnderLid,
            double inSpirit) {}

    public ClassConstants of(ExtractClass extractClass) {
        return java.util.Objects.requireNonNull(classes.get(extractClass));
    }
}
