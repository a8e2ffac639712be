package embercup.core.care;

import embercup.core.materia.Constituent;
import java.util.Map;

/**
 * What is known of a drinker's cups before this one. Immutable.
 *
 * @param earlierMg what she has already planned or drunk that day, mg by constituent
 * @param daysInRow days in a row, up to the day before, on which she drank a herb; by slug
 */
public record History(Map<Constituent, Double> earlierMg, Map<String, Integer> daysInRow) {

    public static final History NONE = new History(Map.of(), Map.of());

    public History {
        earlierMg = Map.copyOf(earlierMg);
        daysInRow = Map.copyOf(daysInRow);
    }

    public static History ofDay(Map<Constituent, Double> earlierMg) {
        return new History(earlierMg, Map.of());
    }

    public static History ofRun(Map<String, Integer> daysInRow) {
        return new History(Map.of(), daysInRow);
    }
}
