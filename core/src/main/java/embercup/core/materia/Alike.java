package embercup.core.materia;

import java.util.List;
import java.util.Optional;

/**
 * A name that means several plants, or several parts of one. Read from {@code alike.yaml}. Immutable.
 *
 * @param name in English
 * @param names the name as it is written, in any language
 * @param herbs slugs of what it may be
 * @param take what is taken until the cook decides: the safe one; empty when none is
 * @param why what depends on it
 */
public record Alike(
        String name, List<String> names, List<String> herbs, Optional<String> take, String why, String source) {

    public Alike {
        names = List.copyOf(names);
        herbs = List.copyOf(herbs);
    }
}
