package embercup.core.materia;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What people reach for a cup for. Immutable.
 *
 * @param words as a cook says it, and as recipes carry it
 * @param also what people look for who mean it, in any language; only to find, never to say
 * @param keywords words of a herb's traditional use that belong to it
 * @param ask signs that belong in a clinician's hands; empty where none are its own
 */
public record Occasion(String words, List<String> also, List<String> keywords, Optional<AskWhen> ask) {

    public Occasion {
        also = List.copyOf(also);
        keywords = List.copyOf(keywords);
    }

    /** How well a herb's traditional use fits: how many of the keywords it names; 0 for none. */
    public int fits(Herb herb) {
        return named(herb.use().toLowerCase(Locale.ROOT));
    }

    /** How many of the keywords a use names. @param use in lower case */
    public int named(String use) {
        int named = 0;
        for (String keyword : keywords) {
            named += use.contains(keyword) ? 1 : 0;
        }
        return named;
    }
}
