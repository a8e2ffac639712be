package embercup.core.measure;

/** The shared text form of measures: a number, one space, a unit symbol. */
final class TextForm {

    private TextForm() {}

    static double number(String text, String symbol) {
        String tail = " " + symbol;
        if (!text.endsWith(tail)) {
            throw new IllegalArgumentException("'" + text + "' is not a number followed by '" + tail + "'");
        }
        return Double.parseDouble(text.substring(0, text.length() - tail.length()));
    }
}
