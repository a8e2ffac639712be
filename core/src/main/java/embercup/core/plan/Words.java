package embercup.core.plan;

import java.util.Locale;

/** Small wording shared by the plan's labels. */
final class Words {

    private Words() {}

    /** "0.25 g", "8.0 g", "28 g": as a kitchen scale reads. */
    static String grams(double grams) {
        if (grams < 1) {
            return decimals(grams, 2) + " g";
        }
        return grams < 20 ? decimals(grams, 1) + " g" : Math.round(grams) + " g";
    }

    /** A non-negative number with exactly so many decimals; a plan says dozens of them, and a Formatter is slow. */
    private static String decimals(double value, int places) {
        long parts = places == 2 ? 100 : 10;
        long all = Math.round(value * parts);
        String rest = Long.toString(parts + all % parts).substring(1);
        return all / parts + "." + rest;
    }

    static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
