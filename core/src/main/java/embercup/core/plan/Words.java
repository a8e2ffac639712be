package embercup.core.plan;

import java.util.Locale;

/** Small wording shared by the plan's labels. */
final class Words {

    private Words() {}

    /** "0.25 g", "8.0 g", "28 g": as a kitchen scale reads. */
    static String grams(double grams) {
        if (grams < 1) {
            return String.format(Locale.ROOT, "%.2f g", grams);
        }
        return grams < 20 ? String.format(Locale.ROOT, "%.1f g", grams) : Math.round(grams) + " g";
    }

    static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
