package embercup.core.reading;

import embercup.core.materia.Herb;
import java.util.List;

/**
 * What a run of words may mean. Immutable.
 *
 * @param value of the kind: a code, or a number in figures; empty for kinds without
 * @param herbs of a name; empty for any other kind
 */
record Meaning(Kind kind, String value, List<Herb> herbs) {

    Meaning {
        herbs = List.copyOf(herbs);
    }

    static Meaning of(Kind kind, String value) {
        return new Meaning(kind, value, List.of());
    }

    double number() {
        return Double.parseDouble(value);
    }
}
