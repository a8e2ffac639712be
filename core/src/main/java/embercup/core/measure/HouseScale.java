package embercup.core.measure;

import java.util.List;

/**
 * How a house shows one kind of quantity that is kept in the unit of the core. Immutable.
 *
 * @param unit the symbol printed after the number
 * @param each this much of the core's unit
 * @param units is so many units of the scale: two whole numbers where the ratio is one, so that nothing is lost on the wire
 * @param atZero what the scale shows at the core's zero
 * @param grains how finely a number is said, from its smallest size on; ascending
 * @param eighths whether it is said in eighths, as a ruler of inches has them
 */
public record HouseScale(String unit, double each, int units, double atZero, List<Grain> grains, boolean eighths) {

    private static final double EIGHTH = 1.0 / 8;

    /** Numbers from {@code from} on are said to the next {@code step}. */
    public record Grain(double from, double step) {}

    public HouseScale {
        grains = List.copyOf(grains);
    }

    /** The scale of the core itself. */
    static HouseScale own(String unit, Grain... grains) {
        return new HouseScale(unit, 1, 1, 0, List.of(grains), false);
    }

    /** Units of {@code each} with the same zero. */
    static HouseScale of(String unit, double each, Grain... grains) {
        return new HouseScale(unit, each, 1, 0, List.of(grains), false);
    }

    /** Units of {@code each}, said in eighths. */
    static HouseScale inEighths(String unit, double each) {
        return new HouseScale(unit, each, 1, 0, List.of(new Grain(0, EIGHTH)), true);
    }

    /** What the scale shows of so much, not rounded. */
    public double shown(double inCore) {
        return inCore * units / each + atZero;
    }

    /** How much it is in the unit of the core that the scale shows so. */
    public double inCore(double shown) {
        return (shown - atZero) * each / units;
    }

    /** To the next step of its size, as it is said. */
    public double rounded(double inCore) {
        double shown = shown(inCore);
        double step = stepOf(shown);
        return Math.round(shown / step) * step;
    }

    /** The step to which a number of that size is said. */
    public double stepOf(double shown) {
        double size = Math.abs(shown);
        double step = grains.get(0).step();
        for (Grain grain : grains) {
            step = size >= grain.from() ? grain.step() : step;
        }
        return step;
    }

    /** Whether the core's own unit is shown; a second reading beside it would say the same. */
    public boolean ofCore() {
        return atZero == 0 && each == units;
    }
}
