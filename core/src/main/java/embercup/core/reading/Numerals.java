package embercup.core.reading;

import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/** Numbers as people write them, in figures and in words. Stateless. */
final class Numerals {

    /** Numbers that somebody writes out in a recipe end here. */
    private static final int SPELLED_TO = 120;

    private static final String FRACTIONS = "½¼¾⅓⅔⅛⅜⅝⅞";
    private static final double[] VALUES = {0.5, 0.25, 0.75, 1 / 3.0, 2 / 3.0, 0.125, 0.375, 0.625, 0.875};
    private static final Pattern FIGURES = Pattern.compile("\\d+(?:[.,]\\d+)?");

    private Numerals() {}

    /** A number in figures that some words begin with. @param words how many of them it takes */
    record Read(double value, int words) {}

    /** The value of a fraction that is one character; 0 for anything else. */
    static double fraction(String text) {
        int at = text.length() == 1 ? FRACTIONS.indexOf(text) : -1;
        return at < 0 ? 0 : VALUES[at];
    }

    /** "2", "0,5", "½", "1½", "1/2", "1 1/2"; words 0 when there is none. */
    static Read at(List<Word> words, int from) {
        String first = words.get(from).folded();
        if (fraction(first) > 0) {
            return new Read(fraction(first), 1);
        }
        OptionalDouble whole = figures(first);
        if (whole.isEmpty()) {
            return new Read(0, 0);
        }
        Read over = over(words, from);
        if (over.words > 0) {
            return over;
        }
        if (from + 1 < words.size()) {
            double part = fraction(words.get(from + 1).folded());
            Read mixed = part > 0 ? new Read(part, 1) : over(words, from + 1);
            boolean apart = words.get(from + 1).from() > words.get(from).to() || part > 0;
            if (mixed.words > 0 && mixed.value < 1 && apart) {
                return new Read(whole.getAsDouble() + mixed.value, 1 + mixed.words);
            }
        }
        return new Read(whole.getAsDouble(), 1);
    }

    /** "1/2". */
    private static Read over(List<Word> words, int from) {
        if (from + 2 >= words.size() || !words.get(from + 1).folded().matches("[/⁄]")) {
            return new Read(0, 0);
        }
        OptionalDouble above = figures(words.get(from).folded());
        OptionalDouble below = figures(words.get(from + 2).folded());
        boolean any = above.isPresent() && below.isPresent() && below.getAsDouble() > 0;
        return any ? new Read(above.getAsDouble() / below.getAsDouble(), 3) : new Read(0, 0);
    }

    private static OptionalDouble figures(String text) {
        return FIGURES.matcher(text).matches()
                ? OptionalDouble.of(Double.parseDouble(text.replace(',', '.')))
                : OptionalDouble.empty();
    }

    /** The numbers of a language in words, masculine and feminine where it tells them apart. */
    static Map<String, Double> spelled(String language) {
        RuleBasedNumberFormat format = new RuleBasedNumberFormat(new ULocale(language), RuleBasedNumberFormat.SPELLOUT);
        Map<String, Double> all = new LinkedHashMap<>();
        for (String rules : format.getRuleSetNames()) {
            if (!rules.startsWith("%spellout-cardinal")) {
                continue;
            }
            for (int n = 1; n <= SPELLED_TO; n++) {
                all.put(format.format(n, rules), (double) n);
            }
        }
        return all;
    }
}
