package embercup.core.materia;

import org.apache.commons.text.similarity.DamerauLevenshteinDistance;

/** How far two words are from each other as they are typed. */
final class Edits {

    private static final DamerauLevenshteinDistance DISTANCE = new DamerauLevenshteinDistance();

    private Edits() {}

    /** Words whose lengths differ by more are not near, however they are spelled. */
    private static final int MOST_LONGER = 8;

    /** Insert, delete, change, or two neighbours swapped; of words of very different length at least their difference. */
    static int between(String a, String b) {
        int longer = Math.abs(a.length() - b.length());
        return longer > MOST_LONGER ? longer : DISTANCE.apply(a, b);
    }
}
