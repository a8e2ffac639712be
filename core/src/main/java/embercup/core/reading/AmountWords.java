package embercup.core.reading;

import embercup.core.measure.Unit;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads amounts as people write them: "1½ tbsp", "2-3 slices", "half a cup", "1-inch piece". Stateless. */
final class AmountWords {

    private AmountWords() {}

    /**
     * What a line begins with.
     *
     * @param amount the number; the middle of a range
     * @param high the upper end of a range, else the number itself
     * @param unit empty when the number is followed by no unit
     * @param loose a word that leaves the amount open: "a few", "heaped"; empty when none was said
     * @param rest what follows
     */
    record Read(double amount, double high, Optional<Unit> unit, String loose, String rest) {
        boolean range() {
            return high > amount * 1.001;
        }

        private Read left(String word) {
            return new Read(amount, high, unit, word, rest);
        }
    }

    private static final Map<String, Unit> UNITS = units();

    private static final Pattern BEGINS = Pattern.compile(
            "^(" + NumberWords.FIGURES + ")(?:\\s*(?:-|–|—|to|or)\\s*(" + NumberWords.FIGURES + "))?[\\s-]*(.*)$");
    private static final Pattern WORD_BEGINS = Pattern.compile("^([a-z]+)\\s+(.*)$");
    private static final Pattern ABOUT =
            Pattern.compile("^(?:about|around|roughly|approximately|approx\\.?|ca\\.?|the juice of|juice of)\\s+");
    private static final Pattern LOOSE = Pattern.compile("^(?:a )?(few|couple)(?: of)?\\s+(.*)$");
    /** How full a spoon is. */
    private static final Pattern FULL =
            Pattern.compile("^(heaped|heaping|rounded|generous|scant|level|good|big|small|large)\\s+");

    private static Map<String, Unit> units() {
        Map<String, Unit> all = new LinkedHashMap<>();
        Object[][] names = {
            {Unit.TABLESPOON, "tablespoons", "tablespoon", "tbsps", "tbsp", "tbs"},
            {Unit.TEASPOON, "teaspoons", "teaspoon", "tsps", "tsp"},
            {Unit.FLUID_OUNCE, "fluid ounces", "fluid ounce", "fl oz", "fl. oz"},
            {Unit.CUP, "cups", "cup"},
            {Unit.PINT, "pints", "pint"},
            {Unit.QUART, "quarts", "quart", "qt"},
            {Unit.GLASS, "glasses", "glass"},
            {Unit.KILOGRAM, "kilograms", "kilogram", "kg"},
            {Unit.GRAM, "grams", "gram", "gr", "g"},
            {Unit.OUNCE, "ounces", "ounce", "oz"},
            {Unit.POUND, "pounds", "pound", "lbs", "lb"},
            {Unit.MILLILITRE, "millilitres", "milliliters", "millilitre", "milliliter", "ml"},
            {Unit.LITRE, "litres", "liters", "litre", "liter", "l"},
            {Unit.PINCH, "pinches", "pinch"},
            {Unit.DASH, "dashes", "dash"},
            {Unit.HANDFUL, "handfuls", "handful"},
            {Unit.INCH, "inches", "inch", "in", "\""},
            {Unit.CENTIMETRE, "centimetres", "centimeters", "centimetre", "centimeter", "cm"},
            {Unit.SLICE, "slices", "slice"},
            {Unit.PIECE, "pieces", "piece"},
            {Unit.STICK, "sticks", "stick"},
            {Unit.POD, "pods", "pod"},
            {Unit.BAG, "tea bags", "tea bag", "teabags", "teabag", "bags", "bag"},
            {Unit.PART, "parts", "part"},
            {Unit.LIANG, "liang"},
            {Unit.QIAN, "qian"},
            {Unit.LEAF, "leaves"},
            {Unit.FLOWER, "flowers", "blossoms"},
            {Unit.CLOVE, "cloves of", "clove of"},
        };
        for (Object[] row : names) {
            for (int i = 1; i < row.length; i++) {
                all.put((String) row[i], (Unit) row[0]);
            }
        }
        return all;
    }

    /** Empty when the text begins with no number. Lower case is expected. */
    static Optional<Read> read(String text) {
        return plain(ABOUT.matcher(text).replaceFirst(""));
    }

    private static Optional<Read> plain(String text) {
        Matcher loose = LOOSE.matcher(text);
        if (loose.matches()) {
            double amount = loose.group(1).equals("few") ? 3 : 2;
            Read read = withUnit(amount, amount, loose.group(2));
            return Optional.of(loose.group(1).equals("few") ? read.left("a few") : read);
        }
        Matcher m = BEGINS.matcher(text);
        if (m.matches()) {
            double low = NumberWords.of(m.group(1));
            double high = m.group(2) == null ? low : NumberWords.of(m.group(2));
            return Optional.of(withUnit((low + high) / 2, Math.max(low, high), m.group(3)));
        }
        Matcher word = WORD_BEGINS.matcher(text);
        if (word.matches() && NumberWords.word(word.group(1)).isPresent()) {
            double value = NumberWords.of(word.group(1));
            String rest = word.group(2).replaceFirst("^(?:a|an)\\s+", "");
            Matcher half = WORD_BEGINS.matcher(rest);
            if (value == 1 && half.matches() && half.group(1).equals("half")) {
                return Optional.of(withUnit(0.5, 0.5, half.group(2)));
            }
            return Optional.of(withUnit(value, value, rest));
        }
        return Optional.empty();
    }

    private static Read withUnit(double amount, double high, String text) {
        Matcher full = FULL.matcher(text);
        String rest = full.lookingAt() ? text.substring(full.end()) : text;
        String loose = full.lookingAt() && !full.group(1).equals("level") ? full.group(1) : "";
        for (Map.Entry<String, Unit> e : UNITS.entrySet()) {
            String name = e.getKey();
            if (rest.startsWith(name)
                    && (rest.length() == name.length() || !Character.isLetter(rest.charAt(name.length())))) {
                String after = rest.substring(name.length()).replaceFirst("^[.\\s-]+", "");
                if (e.getValue() == Unit.INCH || e.getValue() == Unit.CENTIMETRE) {
                    after = after.replaceFirst("^(?:pieces?|knobs?|chunks?)\\s+", "");
                }
                return new Read(amount, high, Optional.of(e.getValue()), loose, after.replaceFirst("^of\\s+", ""));
            }
        }
        return new Read(amount, high, Optional.empty(), loose, rest.replaceFirst("^of\\s+", ""));
    }
}
