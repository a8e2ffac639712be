package embercup.core.measure;

import java.util.Arrays;
import java.util.Optional;

/** Every unit that a recipe may use. The code is the name in JSON. */
public enum Unit {
    GRAM("g", Dimension.MASS, "g"),
    KILOGRAM("kg", Dimension.MASS, "kg"),
    OUNCE("oz", Dimension.MASS, "oz"),
    POUND("lb", Dimension.MASS, "lb"),
    LIANG("liang", Dimension.MASS, "liang"),
    QIAN("qian", Dimension.MASS, "qian"),
    MILLILITRE("mL", Dimension.VOLUME, "mL"),
    LITRE("L", Dimension.VOLUME, "L"),
    TEASPOON("tsp", Dimension.VOLUME, "tsp"),
    TABLESPOON("tbsp", Dimension.VOLUME, "tbsp"),
    CUP("cup", Dimension.VOLUME, "cup"),
    FLUID_OUNCE("fl_oz", Dimension.VOLUME, "fl oz"),
    PINT("pint", Dimension.VOLUME, "pint"),
    QUART("quart", Dimension.VOLUME, "quart"),
    GLASS("glass", Dimension.VOLUME, "glass"),
    PINCH("pinch", Dimension.VOLUME, "pinch"),
    DASH("dash", Dimension.VOLUME, "dash"),
    HANDFUL("handful", Dimension.VOLUME, "handful"),
    INCH("in", Dimension.LENGTH, "inch"),
    CENTIMETRE("cm", Dimension.LENGTH, "cm"),
    PIECE("piece", Dimension.COUNT, "piece"),
    SLICE("slice", Dimension.COUNT, "slice"),
    CLOVE("clove", Dimension.COUNT, "clove"),
    LEAF("leaf", Dimension.COUNT, "leaf"),
    POD("pod", Dimension.COUNT, "pod"),
    STICK("stick", Dimension.COUNT, "stick"),
    FLOWER("flower", Dimension.COUNT, "flower"),
    BAG("bag", Dimension.COUNT, "bag"),
    PART("part", Dimension.PART, "part");

    /** What a unit counts. */
    public enum Dimension {
        MASS,
        VOLUME,
        LENGTH,
        COUNT,
        /** A share of the parts of one recipe. */
        PART
    }

    /** Kitchen custom, not exact: a pinch is 1/16 tsp, a dash 1/8 tsp. */
    private static final double PINCH_TSP = 1.0 / 16;

    private static final double DASH_TSP = 1.0 / 8;
    /** Kitchen custom: a drinking glass as a measure. */
    private static final double GLASS_ML = 200;
    /** Common practice, no source: a loosely held handful; its spread is {@link #spreadOfHandful}. */
    private static final double HANDFUL_ML = 90;

    private static final double INCH_CM = 2.54;
    /** Grams of herb in a shop's tea bag (source key {@code kitchen-custom}). */
    public static final double BAG_G = 2;

    private final String code;
    private final Dimension dimension;
    private final String word;

    Unit(String code, Dimension dimension, String word) {
        this.code = code;
        this.dimension = dimension;
        this.word = word;
    }

    public String code() {
        return code;
    }

    public Dimension dimension() {
        return dimension;
    }

    /** The word as printed after an amount, plural where English needs it: "2 slices", "1 leaf", "3 tsp". */
    public String wordFor(double amount) {
        boolean countable = dimension == Dimension.COUNT
                || dimension == Dimension.PART
                || this == CUP
                || this == GLASS
                || this == HANDFUL
                || this == INCH;
        if (!countable || amount <= 1) {
            return word;
        }
        return switch (this) {
            case LEAF -> "leaves";
            case INCH -> "inches";
            case GLASS -> "glasses";
            default -> word + "s";
        };
    }

    public static Optional<Unit> ofCode(String code) {
        return Arrays.stream(values()).filter(u -> u.code.equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static String codes() {
        return String.join(" ", Arrays.stream(values()).map(Unit::code).toList());
    }

    /** Relative spread of measuring by this unit itself, beside the spread of what it holds (design: handful ±50 %). */
    public double spreadOfHandful() {
        return this == HANDFUL ? 0.5 : 0;
    }

    /** Grams in one. @throws IllegalStateException unless a mass unit */
    public double gramsEach(MeasureCustom custom) {
        return switch (this) {
            case GRAM -> 1;
            case KILOGRAM -> 1000;
            case OUNCE -> Mass.OUNCE_G;
            case POUND -> Mass.POUND_G;
            case LIANG -> custom.liangG();
            case QIAN -> custom.liangG() / 10;
            default -> throw new IllegalStateException(code + " is not a unit of mass");
        };
    }

    /** Millilitres in one. @throws IllegalStateException unless a volume unit */
    public double millilitresEach(MeasureCustom custom) {
        KitchenSystem k = custom.system();
        return switch (this) {
            case MILLILITRE -> 1;
            case LITRE -> 1000;
            case TEASPOON -> k.teaspoonMl();
            case TABLESPOON -> k.tablespoonMl();
            case CUP -> k.cupMl();
            case FLUID_OUNCE -> k.fluidOunceMl();
            case PINT -> k.pintMl();
            case QUART -> k.quartMl();
            case GLASS -> GLASS_ML;
            case PINCH -> k.teaspoonMl() * PINCH_TSP;
            case DASH -> k.teaspoonMl() * DASH_TSP;
            case HANDFUL -> HANDFUL_ML;
            default -> throw new IllegalStateException(code + " is not a unit of volume");
        };
    }

    /** Centimetres in one. @throws IllegalStateException unless a unit of length */
    public double centimetresEach() {
        return switch (this) {
            case CENTIMETRE -> 1;
            case INCH -> INCH_CM;
            default -> throw new IllegalStateException(code + " is not a unit of length");
        };
    }
}
