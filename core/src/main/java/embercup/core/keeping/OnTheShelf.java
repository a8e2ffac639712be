package embercup.core.keeping;

import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.measure.Mass;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How much of its herbs a house holds. Immutable.
 *
 * @param grams what is left at the most, by herb and form, of what was weighed
 * @param herbs slugs of everything that stands there, weighed or not; empty in a house that keeps no tins
 */
public record OnTheShelf(Map<Thing, Double> grams, Set<String> herbs) {

    /** A herb in a form. */
    public record Thing(String herb, Form form) {}

    /** Nothing is known of any tin. */
    public static final OnTheShelf UNKNOWN = new OnTheShelf(Map.of(), Set.of());

    /** So much of one herb is a batch: a house that keeps tins and has none of it did not mean it, or shops first (design value), g. */
    private static final double BATCH_G = 30;

    public OnTheShelf {
        grams = Map.copyOf(grams);
        herbs = Set.copyOf(herbs);
    }

    /** Each herb of a pot of which more is wanted than there is, in the order of the pot. */
    public List<Caution.NotEnough> notEnough(List<PlannedAddition> additions) {
        Map<Thing, Double> wanted = new LinkedHashMap<>();
        Map<Thing, HerbName> names = new LinkedHashMap<>();
        for (PlannedAddition a : additions) {
            HerbName outOf = outOf(a, herbs);
            Thing thing = new Thing(outOf.slug(), outOf.equals(a.of().herb()) ? a.form() : Form.DRIED);
            wanted.merge(thing, a.grams(), Double::sum);
            names.putIfAbsent(thing, outOf);
        }
        List<Caution.NotEnough> all = new ArrayList<>();
        wanted.forEach((thing, g) -> {
            Double left = grams.get(thing);
            boolean none = left == null && !herbs.isEmpty() && !herbs.contains(thing.herb) && g >= BATCH_G;
            if (none || left != null && g > left) {
                all.add(new Caution.NotEnough(
                        names.get(thing),
                        Mass.grams(g),
                        Optional.ofNullable(left).filter(l -> l >= 1).map(Mass::grams)));
            }
        });
        return all;
    }

    /** Slugs of what a pot is measured out of, among what stands there. */
    public static Set<String> takenFrom(List<PlannedAddition> additions, Set<String> herbs) {
        return additions.stream()
                .map(a -> outOf(a, herbs).slug())
                .filter(herbs::contains)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** A blend that stands mixed is spooned out of its own tin, any other out of the tins of its herbs. */
    private static HerbName outOf(PlannedAddition a, Set<String> herbs) {
        return herbs.contains(a.inHand().slug()) ? a.inHand() : a.of().herb();
    }
}
