package embercup.core.materia;

import embercup.core.materia.Herb.HerbCaution;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The cells of one herb: for each condition what its file says of it, what one of its traits says, or that nothing is known.
 * A herb's own word stands before that of its traits; of several traits the gravest speaks. Stateless.
 */
final class CareCells {

    private CareCells() {}

    /** Its own cautions and those of its traits that it does not speak for itself. */
    static List<HerbCaution> of(List<HerbCaution> own, List<Trait> traits) {
        List<HerbCaution> all = new ArrayList<>(own);
        Set<Condition> spoken = conditions(own);
        Map<Condition, Severity> gravest = new EnumMap<>(Condition.class);
        traits.forEach(t ->
                t.cautions().forEach(c -> c.when().ifPresent(w -> gravest.merge(w, c.severity(), CareCells::graver))));
        Set<Condition> told = EnumSet.noneOf(Condition.class);
        Set<String> texts = own.stream().map(HerbCaution::text).collect(Collectors.toCollection(HashSet::new));
        for (Trait trait : traits) {
            for (HerbCaution c : trait.cautions()) {
                Optional<Condition> when = c.when();
                boolean speaks = when.isEmpty()
                        ? texts.add(c.text())
                        : !spoken.contains(when.get())
                                && gravest.get(when.get()) == c.severity()
                                && told.add(when.get());
                if (speaks) {
                    all.add(c);
                }
            }
        }
        return all;
    }

    private static Severity graver(Severity a, Severity b) {
        return a.compareTo(b) >= 0 ? a : b;
    }

    static Set<Condition> conditions(List<HerbCaution> cautions) {
        return cautions.stream()
                .flatMap(c -> c.when().stream())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Condition.class)));
    }

    /** What a file leaves open: conditions it is silent about, and conditions it both cautions and calls unknown. */
    static Optional<String> fault(List<HerbCaution> cautions, Set<Condition> noneKnown) {
        Set<Condition> said = conditions(cautions);
        Set<Condition> open = EnumSet.allOf(Condition.class);
        open.removeAll(said);
        open.removeAll(noneKnown);
        if (!open.isEmpty()) {
            return Optional.of("says nothing of " + codes(open) + ": caution it or list it under noneKnown");
        }
        Set<Condition> twice = EnumSet.copyOf(said);
        twice.retainAll(noneKnown);
        return twice.isEmpty()
                ? Optional.empty()
                : Optional.of("cautions " + codes(twice) + " and lists it under noneKnown");
    }

    private static String codes(Set<Condition> conditions) {
        return conditions.stream().map(Condition::code).collect(Collectors.joining(", "));
    }
}
