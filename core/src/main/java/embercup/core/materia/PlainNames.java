package embercup.core.materia;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a herb is called, written so that names can be compared: without capitals, accents and marks. Immutable; the materia
 * keeps it with the herb, as it is asked for at every letter of a search and at every plan with a herb of the cook's own.
 *
 * @param plain every name and the Latin one, in any language, hyphens as blanks
 * @param bare every name without the words that say which part or state of a plant it is; none is empty
 * @param genus the first word of the Latin name; empty when it has none
 * @param use the words that say what it is used for
 * @param poisons the poisonous plants that are mistaken for it
 */
public record PlainNames(List<String> plain, List<String> bare, String genus, List<String> use, List<Poison> poisons) {

    private static final Pattern ACCENTS = Pattern.compile("\\p{M}");
    private static final Pattern MARKS = Pattern.compile("[^a-z0-9 ]");
    private static final Pattern POSSESSIVE = Pattern.compile("[’']s\\b");
    private static final Pattern NO_LETTERS = Pattern.compile("[^a-z]+");

    /** Say which part or state of a plant it is, not which plant. */
    private static final Set<String> NO_NAMES = Set.of(
            "leaf",
            "leaves",
            "root",
            "herb",
            "flower",
            "flowers",
            "seed",
            "seeds",
            "bark",
            "fruit",
            "berry",
            "berries",
            "bulb",
            "rhizome",
            "peel",
            "tea",
            "dried",
            "fresh",
            "wild",
            "the",
            "of",
            "and",
            "hoja",
            "hojas",
            "raiz",
            "hierba",
            "flor",
            "flores",
            "semilla",
            "semillas",
            "corteza",
            "fruto",
            "baya",
            "bayas",
            "de",
            "del",
            "la",
            "el",
            "te",
            "silvestre");

    /**
     * A plant that poisons and is mistaken for a herb.
     *
     * @param name as it is told
     * @param bare the same to be compared
     */
    public record Poison(String name, String bare) {}

    static PlainNames of(Herb herb) {
        return new PlainNames(
                Stream.concat(herb.everyName(), Stream.of(herb.latin()))
                        .map(PlainNames::plain)
                        .toList(),
                herb.everyName().map(PlainNames::bare).filter(n -> !n.isEmpty()).toList(),
                bare(herb.latin()).split(" ")[0],
                List.of(plain(herb.use()).split(" ")),
                herb.lookAlikes().stream()
                        .filter(Herb.LookAlike::poisonous)
                        .map(l -> new Poison(l.name(), bare(l.name())))
                        .toList());
    }

    /** Lower case, without accents and marks; hyphens as blanks. */
    static String plain(String text) {
        return MARKS.matcher(letters(text).replace('-', ' ')).replaceAll("").strip();
    }

    /** Lower case, without accents, marks, figures and the words for parts. */
    private static String bare(String name) {
        String possessive = POSSESSIVE.matcher(letters(name)).replaceAll("s");
        String words = NO_LETTERS.matcher(possessive).replaceAll(" ").strip();
        return Stream.of(words.split(" ")).filter(w -> !NO_NAMES.contains(w)).collect(Collectors.joining(" "));
    }

    private static String letters(String text) {
        return ACCENTS.matcher(Normalizer.normalize(text, Normalizer.Form.NFD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
    }
}
