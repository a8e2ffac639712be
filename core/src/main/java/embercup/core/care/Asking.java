package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.AskWhen;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.Occasion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** When to stop and ask a clinician: for anybody, for a small child, and for what the herbs of a pot are reached for. Stateless. */
final class Asking {

    /** For a pot of many uses the signs of so many occasions are named (design value). */
    private static final int MOST_OCCASIONS = 2;
    /** A child is brought sooner (common practice, no source), years. */
    private static final double SMALL_CHILD_YEARS = 6;

    private Asking() {}

    static List<AskWhen> of(Materia materia, List<Herb> herbs, Drinker drinker) {
        List<AskWhen> all = new ArrayList<>();
        materia.occasions().stream()
                .filter(o -> o.ask().isPresent() && fit(o, herbs) > 0)
                .sorted(Comparator.comparingInt(o -> -fit(o, herbs)))
                .limit(MOST_OCCASIONS)
                .forEach(o -> o.ask().ifPresent(all::add));
        if (drinker.ageYears() < SMALL_CHILD_YEARS) {
            all.add(materia.askForChild());
        }
        all.add(materia.askAlways());
        return all;
    }

    private static int fit(Occasion occasion, List<Herb> herbs) {
        return herbs.stream().mapToInt(occasion::fits).sum();
    }
}
