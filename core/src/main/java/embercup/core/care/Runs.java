package embercup.core.care;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Whether herbs may be drunk on all of some days to come, by their longest runs and the days before. Stateless. */
public final class Runs {

    private Runs() {}

    /**
     * A day on which a herb would pass its longest run, or its break would not be over.
     *
     * @param most days of its longest run
     */
    public record Passed(HerbName of, LocalDate day, int most, String source) {}

    /** Days that a herb may be drunk in a row; empty when nobody limits it. */
    public static Optional<Integer> most(Herb herb) {
        return herb.longestRunDays().map(d -> RunLength.most(herb));
    }

    /**
     * The first of the days that may not be; empty when all may.
     *
     * @param days that are to come, in any order
     * @param drunkOn days on which each herb was drunk before, by slug
     */
    public static Optional<Passed> first(
            Collection<Herb> herbs, Map<String, Set<LocalDate>> drunkOn, Collection<LocalDate> days) {
        List<LocalDate> ordered = days.stream().distinct().sorted().toList();
        for (int i = 0; i < ordered.size(); i++) {
            LocalDate day = ordered.get(i);
            for (Herb herb : herbs) {
                Optional<Integer> most = most(herb);
                if (most.isEmpty()) {
                    continue;
                }
                Set<LocalDate> before = new HashSet<>(drunkOn.getOrDefault(herb.slug(), Set.of()));
                before.addAll(ordered.subList(0, i));
                Run run = Run.of(before, day, most.get());
                boolean already = drunkOn.getOrDefault(herb.slug(), Set.of()).contains(day);
                if (!already && (run.owed() || run.days() + 1 > most.get())) {
                    return Optional.of(new Passed(HerbName.of(herb), day, most.get(), RunLength.source(herb)));
                }
            }
        }
        return Optional.empty();
    }
}
