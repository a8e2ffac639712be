package embercup.server.shelf;

import embercup.core.materia.Form;
import java.time.Instant;
import java.util.List;

/** Whoever takes herbs out of tins: brews. Nothing is written down for it, so that what is undone there is back here. */
public interface TakenFromTins {

    /** A herb in a form, since a moment. */
    record Since(String herb, Form form, Instant at) {}

    /**
     * What was taken since then.
     *
     * @param grams as it was measured out
     * @param spreadG how far off that may be: spoons are no scales
     * @param brews how many took of it
     */
    record Taken(double grams, double spreadG, int brews) {

        public static final Taken NOTHING = new Taken(0, 0, 0);
    }

    /** In the order of what is asked. */
    List<Taken> taken(List<Since> of);
}
