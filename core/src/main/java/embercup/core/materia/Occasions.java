package embercup.core.materia;

import java.util.List;

/**
 * What people reach for a cup for, and when to stop and ask a clinician. Immutable.
 *
 * @param askAlways signs that are never waited with
 * @param askForChild signs of a small child
 */
record Occasions(List<Occasion> all, AskWhen askAlways, AskWhen askForChild) {
    Occasions {
        all = List.copyOf(all);
    }
}
