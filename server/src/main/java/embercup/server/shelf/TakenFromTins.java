package embercup.server.shelf;

import embercup.core.materia.Form;
import java.time.Instant;
import java.util.List;
import java.util.Set;

/** Whoever takes herbs out of tins: brews, and mixing a blend. Nothing is written down for it, so that what is undone there is back here. */
public interface TakenFromTins {

    /** A herb in a form, since a moment. */
    record Since(String herb, Form form, Instant at) {}

    /**
     * What was taken since then.
     *
     * @param grams as it was measured out
     * @param spreadG how far off that may be: spoons are no scales
     * @param brews how many pots and mixings took of it
     */
    record Taken(double grams, double spreadG, int brews) {

        public static final Taken NOTHING = new Taken(0, 0, 0);

        Taken and(Taken other) {
            return new Taken(grams + other.grams, Math.hypot(spreadG, other.spreadG), brews + other.brews);
        }
    }

    /**
     * In the order of what is asked.
     *
     * @param blendsInJars slugs of the blends of the house that stand mixed in a jar of their own: what is spooned of them comes out of
     *     that, and of any other out of the tins of its herbs
     */
    List<Taken> taken(List<Since> of, Set<String> blendsInJars);
}
