package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.AskWhen;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** When to stop and ask a clinician: for anybody, for a small child, and for what the herbs of a pot are reached for. Stateless. */
final class ClinicianAdvice {

    /** For a pot of many uses the signs of so many occasions are named (design value). */
    private static final int MOST_OCCASIONS = 2;
    /** A child is brought sooner (common practice, no source), years. */
    private static final double SMALL_CHILD_YEARS = 6;

    private ClinicianAdvice() {}

    static List<AskWhen> of(Materia materia, List<Herb> herbs, Drinker drinker) {
        List<AskWhen> all = new ArrayList<>();
        List<String> uses =
                herbs.stream().map(h -> h.use().toLowerCase(Locale.ROOT)).toList();
        materia.occasions().stream()
                .filter(o -> o.ask().isPresent())
                .map(o ->
                        new Fit(o.ask().get(), uses.stream().mapToInt(o::named).sum()))
                .filter(f -> f.words > 0)
                .sorted(Comparator.comparingInt(Fit::words).reversed())
                .limit(MOST_OCCASIONS)
                .forEach(f -> all.add(f.ask));
        if (drinker.ageYears() < SMALL_CHILD_YEARS) {
            all.add(materia.askForChild());
        }
        all.add(materia.askAlways());
        return all;
    }

    /** @param words of an occasion that the herbs' uses name */
    private record Fit(AskWhen ask, int words) {}
}
