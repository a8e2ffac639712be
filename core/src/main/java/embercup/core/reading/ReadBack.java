package embercup.core.reading;

import embercup.core.measure.Unit;
import java.util.Locale;

/** Numbers as a reader of a written recipe says them back. Stateless. */
final class ReadBack {

    private ReadBack() {}

    static String number(double value) {
        return value == Math.rint(value)
                ? Long.toString((long) value)
                : String.format(Locale.ROOT, "%.2f", value).replaceFirst("0$", "");
    }

    static String minutes(double minutes) {
        return minutes >= 2880
                ? number(minutes / 1440) + " days"
                : minutes >= 60 ? number(minutes / 60) + " h" : number(minutes) + " min";
    }

    /** The word after an amount, plural where English needs it: "2 slices", "3 tsp". */
    static String unit(Unit unit, double amount) {
        String word = unit.code().replace('_', ' ').replaceFirst("^in$", "inch");
        boolean countable = unit.dimension() == Unit.Dimension.COUNT
                || unit.dimension() == Unit.Dimension.PART
                || unit == Unit.CUP
                || unit == Unit.GLASS
                || unit == Unit.HANDFUL
                || unit == Unit.INCH;
        if (!countable || amount <= 1) {
            return word;
        }
        return switch (unit) {
            case LEAF -> "leaves";
            case INCH, GLASS -> word + "es";
            default -> word + "s";
        };
    }
}
