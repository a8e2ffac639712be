package embercup.core.reading;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A word, a number or a mark of a text. Immutable.
 *
 * @param from where it begins in the text
 * @param to where it ends, exclusive
 * @param folded in lower case, without accents
 * @param noun the same without the ending of the plural
 * @param stem the same without any ending
 */
record Word(int from, int to, String folded, String noun, String stem) {

    private static final Pattern TOKEN = Pattern.compile(
            "\\d+(?:[.,]\\d+)?|[½¼¾⅓⅔⅛⅜⅝⅞]|\\p{L}[\\p{L}\\p{M}]*(?:['’´`]\\p{L}+)?|[^\\s\\p{L}\\d]",
            Pattern.UNICODE_CHARACTER_CLASS);
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");

    /** The words of a text in their order. A hyphen inside a word holds nothing apart and is left out. */
    static List<Word> of(String text, Language language) {
        List<Word> words = new ArrayList<>();
        Matcher m = TOKEN.matcher(text);
        while (m.find()) {
            if (!hyphen(text, m.start(), m.end())) {
                String bare = fold(m.group());
                String folded = bare.isEmpty() ? m.group() : bare;
                words.add(new Word(m.start(), m.end(), folded, language.noun(folded), language.stem(folded)));
            }
        }
        return words;
    }

    private static boolean hyphen(String text, int from, int to) {
        char c = text.charAt(from);
        boolean dash = to - from == 1 && (c == '-' || c == '‑');
        return dash
                && from > 0
                && to < text.length()
                && !Character.isWhitespace(text.charAt(from - 1))
                && Character.isLetter(text.charAt(to));
    }

    /** In lower case, without accents, one kind of apostrophe, one kind of dash. */
    static String fold(String text) {
        String plain =
                ACCENTS.matcher(Normalizer.normalize(text, Normalizer.Form.NFD)).replaceAll("");
        return plain.toLowerCase(Locale.ROOT).replaceAll("[’´`]", "'").replaceAll("[–—−]", "-");
    }

    boolean mark() {
        return folded.length() == 1 && !Character.isLetterOrDigit(folded.charAt(0)) && Numerals.fraction(folded) == 0;
    }
}
