package embercup.core.measure;

import embercup.core.measure.HouseScale.Grain;
import java.util.List;
import java.util.Optional;

/**
 * In which units a house reads its numbers, once for every screen and sheet of paper. The core computes in grams,
 * millilitres, centimetres and degrees Celsius whatever the house says; what the cook wrote stays in the unit she wrote.
 *
 * @param system whose fluid ounce it is
 */
public record HouseUnits(
        Temperatures temperatures,
        Weights weights,
        Volumes volumes,
        Lengths lengths,
        Hours hours,
        Dates dates,
        KitchenSystem system) {

    /** Five degrees Celsius are nine of Fahrenheit, which shows 32 at zero; exact (NIST SP 811, appendix B.9). */
    private static final double CELSIUS = 5;

    private static final int FAHRENHEIT = 9;
    private static final double FAHRENHEIT_AT_ZERO = 32;
    /** The international foot (NIST SP 811), exact, m. */
    private static final double FOOT_M = 0.3048;

    /** The avoirdupois pound (NIST SP 811), exact, kg. */
    private static final double POUND_KG = 0.45359237;
    /** People are weighed to the half kilogram (common practice, no source). */
    private static final double WHOLE_HALVES = 0.5;

    private static final double WHOLE_FROM_G = 20;
    private static final double TO_FIVE_FROM_ML = 100;
    private static final double TENTHS_FROM_OZ = 10;
    private static final double HALVES_FROM_FL_OZ = 20;

    /** Of a house that said nothing: the units of the core, a day of twenty-four hours, the day before the month. */
    public static final HouseUnits DEFAULT = ofCore(KitchenSystem.US);

    /** The same where spoons and ounces are those of another kitchen. */
    public static HouseUnits ofCore(KitchenSystem system) {
        return new HouseUnits(
                Temperatures.CELSIUS,
                Weights.GRAMS,
                Volumes.MILLILITRES,
                Lengths.CENTIMETRES,
                Hours.TWENTY_FOUR,
                Dates.DAY_MONTH,
                system);
    }

    public enum Temperatures {
        CELSIUS,
        FAHRENHEIT
    }

    public enum Weights {
        GRAMS,
        OUNCES
    }

    public enum Volumes {
        MILLILITRES,
        FLUID_OUNCES
    }

    /** Of a vessel and its marks, and of the height above the sea. */
    public enum Lengths {
        CENTIMETRES,
        INCHES
    }

    /** Hours of the day. */
    public enum Hours {
        TWENTY_FOUR,
        TWELVE
    }

    /** Which comes first in a date. */
    public enum Dates {
        DAY_MONTH,
        MONTH_DAY,
        YEAR_MONTH_DAY
    }

    /** Degrees; the core has °C. */
    public HouseScale temperature() {
        return temperatures == Temperatures.CELSIUS
                ? HouseScale.own("°C", new Grain(0, 1))
                : new HouseScale("°F", CELSIUS, FAHRENHEIT, FAHRENHEIT_AT_ZERO, List.of(new Grain(0, 1)), false);
    }

    /** Weight of herbs; the core has g. */
    public HouseScale mass() {
        return weights == Weights.GRAMS
                ? HouseScale.own("g", new Grain(0, 0.01), new Grain(1, 0.1), new Grain(WHOLE_FROM_G, 1))
                : HouseScale.of("oz", Mass.OUNCE_G, new Grain(0, 0.01), new Grain(TENTHS_FROM_OZ, 0.1));
    }

    /** Weight of a person; the core has kg. */
    public HouseScale bodyWeight() {
        return weights == Weights.GRAMS
                ? HouseScale.own("kg", new Grain(0, WHOLE_HALVES))
                : HouseScale.of("lb", POUND_KG, new Grain(0, 1));
    }

    /** Water and liquor; the core has mL. */
    public HouseScale volume() {
        return volumes == Volumes.MILLILITRES
                ? HouseScale.own("mL", new Grain(0, 1), new Grain(TO_FIVE_FROM_ML, 5))
                : HouseScale.of(
                        "fl oz",
                        system.fluidOunceMl(),
                        new Grain(0, 0.01),
                        new Grain(1, 0.1),
                        new Grain(HALVES_FROM_FL_OZ, 0.5));
    }

    /** Marks, levels, vessels; the core has cm. */
    public HouseScale length() {
        return lengths == Lengths.CENTIMETRES
                ? HouseScale.own("cm", new Grain(0, 0.1))
                : HouseScale.inEighths("in", Unit.INCH.centimetresEach());
    }

    /** Height above the sea; the core has m. */
    public HouseScale height() {
        return lengths == Lengths.CENTIMETRES
                ? HouseScale.own("m", new Grain(0, 1))
                : HouseScale.of("ft", FOOT_M, new Grain(0, 1));
    }

    /** The scale that shows quantities of that unit of the core; empty for a unit that every house says alike. */
    public Optional<HouseScale> ofUnit(String coreUnit) {
        return Optional.ofNullable(
                switch (coreUnit) {
                    case "°C" -> temperature();
                    case "g" -> mass();
                    case "mL" -> volume();
                    case "kg" -> bodyWeight();
                    case "cm" -> length();
                    case "m" -> height();
                    default -> null;
                });
    }
}
