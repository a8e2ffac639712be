package embercup.core.measure;

import java.util.ArrayList;
import java.util.List;

/** Says an amount the way a kitchen can measure it: "2 tsp", "1 tbsp + ½ tsp", "about 3 slices". Rounds; for display only. */
public final class KitchenWords {

    private static final String[] EIGHTHS = {"", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"};
    /** Below half of the smallest spoon there is nothing to measure with. */
    private static final double SMALLEST_TSP = 1.0 / 16;

    private KitchenWords() {}

    /**
     * A volume in spoons and cups.
     *
     * @return for example "2 tsp", "1 tbsp + ½ tsp", "1¼ cups"; "a pinch" below an eighth of a teaspoon
     */
    public static String spoons(Volume volume, KitchenSystem system) {
        double teaspoons = volume.millilitres() / system.teaspoonMl();
        if (teaspoons < SMALLEST_TSP) {
            return "less than a pinch";
        }
        if (teaspoons < 0.11) {
            return "a pinch";
        }
        if (volume.millilitres() >= system.cupMl() * 0.47) {
            return amount(volume.millilitres() / system.cupMl(), 4, Unit.CUP);
        }
        double inTablespoon = system.tablespoonMl() / system.teaspoonMl();
        if (teaspoons < inTablespoon * 0.96) {
            return amount(teaspoons, teaspoons < 0.45 ? 8 : teaspoons < 2 ? 4 : 2, Unit.TEASPOON);
        }
        return tablespoonsAndRest(teaspoons, inTablespoon);
    }

    private static String tablespoonsAndRest(double teaspoons, double inTablespoon) {
        int tablespoons = (int) Math.floor(teaspoons / inTablespoon + 0.04);
        double rest = Math.max(0, teaspoons - tablespoons * inTablespoon);
        double restHalves = Math.rint(rest * 2) / 2;
        if (restHalves >= inTablespoon - 0.3) {
            tablespoons++;
            restHalves = 0;
        }
        List<String> parts = new ArrayList<>();
        parts.add(tablespoons + " tbsp");
        if (restHalves > 0) {
            parts.add(amount(restHalves, 2, Unit.TEASPOON));
        }
        return String.join(" + ", parts);
    }

    /** A count: "1 stick", "about 3 slices" when it had to be rounded by more than a tenth. */
    public static String pieces(double count, Unit unit) {
        double rounded = count < 2 ? Math.max(0.5, Math.rint(count * 2) / 2) : Math.rint(count);
        String about = Math.abs(rounded - count) > 0.1 * count ? "about " : "";
        return about + fraction(rounded, 2) + " " + unit.wordFor(rounded);
    }

    /** An amount to the nearest 1/{@code parts}, with its unit: "1½ tsp". */
    static String amount(double value, int parts, Unit unit) {
        double rounded = Math.max(1.0 / parts, Math.rint(value * parts) / parts);
        return fraction(rounded, parts) + " " + unit.wordFor(rounded);
    }

    /** A number to the nearest 1/{@code parts} (2, 4 or 8) with a fraction sign: 1.5 is "1½". */
    public static String fraction(double value, int parts) {
        long eighths = Math.round(Math.rint(value * parts) * 8 / parts);
        String whole = eighths >= 8 ? Long.toString(eighths / 8) : "";
        String text = whole + EIGHTHS[(int) (eighths % 8)];
        return text.isEmpty() ? "0" : text;
    }
}
