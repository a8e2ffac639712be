package embercup.core.materia;

import org.apache.commons.text.similarity.DamerauLevenshteinDistance;

/** How far two words are from each other as they are typed. */
final class Edits {

    private static final DamerauLevenshteinDistance DISTANCE = new DamerauLevenshteinDistance();

    private Edits() {}

    /** Insert, delete, change, or two neighbours swapped. */
    static int between(String a, String b) {
        return DISTANCE.apply(a, b);
    }
}
