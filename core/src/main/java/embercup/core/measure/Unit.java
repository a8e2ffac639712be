package embercup.core.measure;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Every unit that a recipe may use. The code is the name in JSON. */
public enum Unit {
    GRAM("g", Dimension.MASS),
    KILOGRAM("kg", Dimension.MASS),
    OUNCE("oz", Dimension.MASS),
    POUND("lb", Dimension.MASS),
    LIANG("liang", Dimension.MASS),
    QIAN("qian", Dimension.MASS),
    MILLILITRE("mL", Dimension.VOLUME),
    LITRE("L", Dimension.VOLUME),
    TEASPOON("tsp", Dimension.VOLUME),
    TABLESPOON("tbsp", Dimension.VOLUME),
    CUP("cup", Dimension.VOLUME),
    FLUID_OUNCE("fl_oz", Dimension.VOLUME),
    PINT("pint", Dimension.VOLUME),
    QUART("quart", Dimension.VOLUME),
    GLASS("glass", Dimension.VOLUME),
    PINCH("pinch", Dimension.VOLUME),
    DASH("dash", Dimension.VOLUME),
    DROP("drop", Dimension.VOLUME),
    MUG("mug", Dimension.VOLUME),
    BOTTLE("bottle", Dimension.VOLUME),
    HANDFUL("handful", Dimension.VOLUME),
    INCH("in", Dimension.LENGTH),
    CENTIMETRE("cm", Dimension.LENGTH),
    PIECE("piece", Dimension.COUNT),
    SLICE("slice", Dimension.COUNT),
    CLOVE("clove", Dimension.COUNT),
    LEAF("leaf", Dimension.COUNT),
    POD("pod", Dimension.COUNT),
    STICK("stick", Dimension.COUNT),
    FLOWER("flower", Dimension.COUNT),
    PETAL("petal", Dimension.COUNT),
    SPRIG("sprig", Dimension.COUNT),
    WEDGE("wedge", Dimension.COUNT),
    /** A thumb or a knob of a root. */
    THUMB("thumb", Dimension.COUNT),
    BAG("bag", Dimension.COUNT),
    PART("part", Dimension.PART);

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

    /** Common practice, no source: twenty drops to the millilitre, a mug of 300 mL, a bottle of wine or spirit of 750 mL. */
    private static final double DROP_ML = 0.05;

    private static final double MUG_ML = 300;
    private static final double BOTTLE_ML = 750;

    private static final double INCH_CM = 2.54;
    /** Grams of herb in a shop's tea bag (source key {@code kitchen-custom}). */
    public static final double BAG_G = 2;

    private static final Set<Unit> EVERYDAY =
            EnumSet.of(GRAM, TEASPOON, TABLESPOON, CUP, PINCH, HANDFUL, PIECE, SLICE, INCH);

    private final String code;
    private final Dimension dimension;

    Unit(String code, Dimension dimension) {
        this.code = code;
        this.dimension = dimension;
    }

    public String code() {
        return code;
    }

    public Dimension dimension() {
        return dimension;
    }

    /** By what most recipes are measured, so that it is offered before the others (common practice, no source). */
    public boolean everyday() {
        return EVERYDAY.contains(this);
    }

    public static Optional<Unit> ofCode(String code) {
        return Arrays.stream(values()).filter(u -> u.code.equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static List<String> codes() {
        return Arrays.stream(values()).map(Unit::code).toList();
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
            case DROP -> DROP_ML;
            case MUG -> MUG_ML;
            case BOTTLE -> BOTTLE_ML;
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
