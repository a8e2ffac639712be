package embercup.core.care;

import embercup.core.materia.Herb;
import embercup.core.materia.Severity;
import embercup.core.plan.Caution;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;

/** How many days in a row a cup is drunk: the shortest limit of any of its herbs, and where a drinker stands against it. */
final class RunLength {

    private RunLength() {}

    static List<Caution> of(List<Herb> herbs, Schools schools, History history, Optional<Posology> posology) {
        List<Caution> all = new ArrayList<>();
        posology.map(Posology::daysOn).filter(OptionalInt::isPresent).ifPresent(on -> herbs.stream()
                .filter(h -> on.getAsInt() > days(h))
                .forEach(h -> all.add(tooLong(h, on.getAsInt()))));
        herbs.stream()
                .filter(h -> h.longestRunDays().isPresent())
                .min(Comparator.comparingDouble(RunLength::days))
                .ifPresent(h -> all.add(shortest(h, schools)));
        herbs.stream()
                .filter(h -> h.longestRunDays().isPresent())
                .filter(h -> history.daysInRow().getOrDefault(h.slug(), 0) >= days(h))
                .forEach(h -> all.add(Caution.of(
                        "run-over",
                        Severity.CARE,
                        h.slug(),
                        "%s has been drunk %d days in a row; at most %d are usual. Take a break of as many days, or leave it out."
                                .formatted(
                                        h.common(), history.daysInRow().getOrDefault(h.slug(), 0), Math.round(days(h))),
                        source(h))));
        return all;
    }

    private static Caution tooLong(Herb herb, int days) {
        return Caution.of(
                "posology-run",
                Severity.CARE,
                herb.slug(),
                "The recipe is taken %d days in a row; %s no longer than %d. Shorten it, or leave the herb out."
                        .formatted(days, herb.common().toLowerCase(Locale.ROOT), Math.round(days(herb))),
                source(herb));
    }

    private static Caution shortest(Herb herb, Schools schools) {
        String limit = "%s: no longer than %d days in a row".formatted(herb.common(), Math.round(days(herb)));
        String text = schools.hold(Choice.MONTHS)
                ? limit + ". A school that drinks its pot for months has to leave this herb out after that."
                : limit + ", then a break as long; it is the shortest limit of this cup.";
        return Caution.of("longest-run", Severity.NOTE, herb.slug(), text, source(herb));
    }

    private static double days(Herb herb) {
        return herb.longestRunDays().map(Herb.Sourced::value).orElse(Double.POSITIVE_INFINITY);
    }

    private static String source(Herb herb) {
        return herb.longestRunDays().map(Herb.Sourced::source).orElse("practice");
    }
}
