package embercup.core.reading;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Numbers as people write them, in figures and in words: "2", "1/2", "1 1/2", "1½", "0,5", "three", "half an". Stateless. */
final class NumberWords {

    private NumberWords() {}

    private static final Map<String, Double> FRACTIONS = Map.of(
            "½", 0.5, "¼", 0.25, "¾", 0.75, "⅓", 1 / 3.0, "⅔", 2 / 3.0, "⅛", 0.125, "⅜", 0.375, "⅝", 0.625, "⅞", 0.875);

    private static final Map<String, Double> WORDS = Map.ofEntries(
            Map.entry("a", 1.0),
            Map.entry("an", 1.0),
            Map.entry("half", 0.5),
            Map.entry("half a", 0.5),
            Map.entry("half an", 0.5),
            Map.entry("quarter", 0.25),
            Map.entry("one", 1.0),
            Map.entry("two", 2.0),
            Map.entry("three", 3.0),
            Map.entry("four", 4.0),
            Map.entry("five", 5.0),
            Map.entry("six", 6.0),
            Map.entry("seven", 7.0),
            Map.entry("eight", 8.0),
            Map.entry("nine", 9.0),
            Map.entry("ten", 10.0),
            Map.entry("twelve", 12.0),
            Map.entry("fifteen", 15.0),
            Map.entry("twenty", 20.0),
            Map.entry("thirty", 30.0),
            Map.entry("forty", 40.0),
            Map.entry("sixty", 60.0));

    /** A pattern of a number in figures. */
    static final String FIGURES = "(?:\\d+\\s+\\d+/\\d+|\\d+/\\d+|\\d+(?:[.,]\\d+)?\\s*[½¼¾⅓⅔⅛⅜⅝⅞]?|[½¼¾⅓⅔⅛⅜⅝⅞])";

    /** A pattern of a number in words or in figures; the longest words stand first. */
    static final String ANY = WORDS.keySet().stream()
            .sorted((a, b) -> b.length() - a.length())
            .collect(Collectors.joining("|", "(?:(?:", ")\\b|" + FIGURES + ")"));

    /** A number in words; empty for another word. Lower case is expected. */
    static Optional<Double> word(String text) {
        return Optional.ofNullable(WORDS.get(text));
    }

    /** A number that matched {@link #ANY}. */
    static double of(String text) {
        return word(text).orElseGet(() -> figures(text));
    }

    private static double figures(String text) {
        String t = text.strip().replace(',', '.');
        for (Map.Entry<String, Double> f : FRACTIONS.entrySet()) {
            if (t.endsWith(f.getKey())) {
                String whole = t.substring(0, t.length() - 1).strip();
                return f.getValue() + (whole.isEmpty() ? 0 : Double.parseDouble(whole));
            }
        }
        String[] parts = t.split("\\s+");
        if (parts.length == 2) {
            return Double.parseDouble(parts[0]) + fraction(parts[1]);
        }
        return t.contains("/") ? fraction(t) : Double.parseDouble(t.toLowerCase(Locale.ROOT));
    }

    private static double fraction(String text) {
        String[] ends = text.split("/");
        double below = Double.parseDouble(ends[1]);
        return below == 0 ? 0 : Double.parseDouble(ends[0]) / below;
    }
}
