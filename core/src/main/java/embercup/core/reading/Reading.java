package embercup.core.reading;

import embercup.core.recipe.Recipe;
import java.util.List;

/**
 * A recipe read from what somebody wrote, and what was made of every line and every word. Immutable.
 *
 * @param recipe what was understood; without stages when the method was not, so that they can be proposed
 * @param language code of the language it was read in
 * @param lines every line as it was written
 */
public record Reading(Recipe recipe, String language, List<Line> lines) {

    public Reading {
        lines = List.copyOf(lines);
    }

    /** What a line was taken for. */
    public enum LineKind {
        TITLE,
        WATER,
        HERB,
        METHOD,
        SERVES,
        TAKING,
        UNKNOWN
    }

    /** What became of a word. */
    public enum Mark {
        READ,
        ASKED,
        KEPT
    }

    /** A run of characters with one mark. @param to exclusive */
    public record Span(int from, int to, Mark mark) {}

    /**
     * @param reads what was understood; empty for nothing
     * @param asks what is to be decided; empty when nothing is
     * @param kept words that nothing was made of; they stand in the recipe's notes
     * @param additions indices of the additions it became
     */
    public record Line(
            String text,
            LineKind kind,
            List<Span> spans,
            List<Understood> reads,
            List<Asked> asks,
            List<String> kept,
            List<Integer> additions) {
        public Line {
            spans = List.copyOf(spans);
            reads = List.copyOf(reads);
            asks = List.copyOf(asks);
            kept = List.copyOf(kept);
            additions = List.copyOf(additions);
        }
    }
}
