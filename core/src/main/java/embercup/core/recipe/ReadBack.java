package embercup.core.recipe;

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
}
