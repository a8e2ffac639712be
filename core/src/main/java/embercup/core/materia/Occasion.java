package embercup.core.materia;

import java.util.List;
import java.util.Locale;

/**
 * What people reach for a cup for. Immutable.
 *
 * @param words as a cook says it, and as recipes carry it
 * @param keywords words of a herb's traditional use that belong to it
 */
public record Occasion(String words, List<String> keywords) {

    public Occasion {
        keywords = List.copyOf(keywords);
    }

    /** How well a herb's traditional use fits: how many of the keywords it names; 0 for none. */
    public int fits(Herb herb) {
        String use = herb.use().toLowerCase(Locale.ROOT);
        return (int) keywords.stream().filter(use::contains).count();
    }
}
