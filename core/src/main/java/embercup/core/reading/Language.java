package embercup.core.reading;

import embercup.core.materia.MateriaDocuments;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import org.apache.lucene.analysis.en.EnglishMinimalStemmer;
import org.apache.lucene.analysis.es.SpanishPluralStemmer;
import org.tartarus.snowball.SnowballStemmer;
import org.tartarus.snowball.ext.EnglishStemmer;
import org.tartarus.snowball.ext.SpanishStemmer;

/**
 * The words of a language: which phrases have which sense. Read from {@code reading/<code>.yaml}; a third language is a third
 * file, and its stemmers here. Immutable.
 *
 * @param plurals singular of plurals that follow no rule
 * @param senses phrases by the key of their sense, "kind" or "kind.value"
 */
public record Language(String language, Map<String, String> plurals, Map<String, List<String>> senses) {

    /** How the words of a language lose their endings. @param plural of a noun @param verb of any word */
    private record Endings(UnaryOperator<String> plural, UnaryOperator<String> verb) {}

    private static final Map<String, Endings> ENDINGS = Map.of(
            "en", new Endings(Language::englishPlural, w -> snowball(new EnglishStemmer(), w)),
            "es", new Endings(Language::spanishPlural, w -> snowball(new SpanishStemmer(), w)));

    /** Every language that ships, by its code. */
    static Map<String, Language> shipped() {
        Map<String, Language> all = new TreeMap<>();
        ENDINGS.keySet()
                .forEach(code -> all.put(code, MateriaDocuments.shipped("reading/" + code + ".yaml", Language.class)));
        return all;
    }

    /** A folded word without the ending of the plural. */
    String noun(String folded) {
        String singular = plurals.get(folded);
        return singular == null ? ENDINGS.get(language).plural.apply(folded) : singular;
    }

    /** A folded word without any ending. */
    String stem(String folded) {
        return ENDINGS.get(language).verb.apply(plurals.getOrDefault(folded, folded));
    }

    private static String englishPlural(String word) {
        char[] letters = word.toCharArray();
        return new String(letters, 0, new EnglishMinimalStemmer().stem(letters, letters.length));
    }

    private static String spanishPlural(String word) {
        char[] letters = java.util.Arrays.copyOf(word.toCharArray(), word.length() + 2);
        return new String(letters, 0, new SpanishPluralStemmer().stem(letters, word.length()));
    }

    private static String snowball(SnowballStemmer stemmer, String word) {
        stemmer.setCurrent(word);
        stemmer.stem();
        return stemmer.getCurrent();
    }
}
