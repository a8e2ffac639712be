package embercup.core.reading;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads lengths of time as people write them: "10-15 min", "1½ hours", "half an hour", "an hour and a half". Stateless. */
final class TimeWords {

    private TimeWords() {}

    /**
     * A length of time.
     *
     * @param minutes the length, min; the middle of a range
     * @param range whether two ends were written
     */
    record Read(double minutes, boolean range) {}

    private static final String NUMBER = "(" + NumberWords.ANY + ")";
    private static final String UNIT = "(seconds?|secs?|minutes?|mins?|hours?|hrs?|h|days?|weeks?)\\b";
    private static final String TO = "\\s*(?:-|–|—|to|or)\\s*";
    private static final Pattern QUARTERS = Pattern.compile("\\b(?:(three)|an?|one)[ -]quarters?(?: of)? an hour\\b");
    private static final Pattern TIME = Pattern.compile("(?<![\\p{L}\\p{N}½¼¾⅓⅔/.,])" + NUMBER + "(?:" + TO + NUMBER
            + ")?[\\s-]*" + UNIT + "(?:,?\\s+(?:and\\s+)?(?:a (half|quarter)\\b|" + NUMBER + "\\s*" + UNIT + "))?");
    private static final Pattern UP_TO = Pattern.compile("^" + TO + "(.*)$");

    /** The first length of time in a text in lower case; empty when there is none. */
    static Optional<Read> read(String text) {
        String plain = QUARTERS.matcher(text).replaceAll(m -> m.group(1) == null ? "15 minutes" : "45 minutes");
        Matcher m = TIME.matcher(plain);
        if (!m.find()) {
            return Optional.empty();
        }
        double each = minutesEach(m.group(3));
        double low = NumberWords.of(m.group(1)) * each;
        double more = m.group(4) != null
                ? (m.group(4).equals("half") ? 0.5 : 0.25) * each
                : m.group(5) != null ? NumberWords.of(m.group(5)) * minutesEach(m.group(6)) : 0;
        double high = m.group(2) == null ? low : NumberWords.of(m.group(2)) * each;
        Matcher upTo = UP_TO.matcher(plain.substring(m.end()));
        if (m.group(2) == null && upTo.matches()) {
            Matcher end = TIME.matcher(upTo.group(1));
            high = end.lookingAt() ? NumberWords.of(end.group(1)) * minutesEach(end.group(3)) : high;
        }
        return Optional.of(new Read((low + high) / 2 + more, high != low));
    }

    private static double minutesEach(String unit) {
        return switch (unit.charAt(0)) {
            case 's' -> 1 / 60.0;
            case 'h' -> 60;
            case 'd' -> 24 * 60;
            case 'w' -> 7 * 24 * 60;
            default -> 1;
        };
    }
}
