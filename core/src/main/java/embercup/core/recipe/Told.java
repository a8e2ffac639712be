package embercup.core.recipe;

import embercup.core.materia.Condition;
import embercup.core.measure.Quantity;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What a recipe says beside its herbs and stages. Immutable.
 *
 * @param fill how full the vessel is filled, where no volume is said
 * @param ofBlend how much of the blend that its parts make goes into its own cups; empty when its parts are no blend
 * @param notFor whom it is not for, in its own words: its own cautions, beside those of its herbs
 * @param keeping how long what is left is good, as it says; empty when it does not
 * @param with what it is made with beside its vessel: "in a tea ball"
 * @param cautions its own cautions, each with its place
 * @param notes what it says that nothing is reckoned from
 * @param written the text it was read from; empty for one that was made by hand
 */
public record Told(
        Optional<Fill> fill,
        Optional<Quantity> ofBlend,
        List<NotFor> notFor,
        Optional<Keeps> keeping,
        Set<Companion> with,
        List<OwnCaution> cautions,
        List<String> notes,
        String written) {

    public static final Told NOTHING = new Told(
            Optional.empty(), Optional.empty(), List.of(), Optional.empty(), Set.of(), List.of(), List.of(), "");

    public Told {
        notFor = List.copyOf(notFor);
        with = Set.copyOf(with);
        cautions = List.copyOf(cautions);
        notes = List.copyOf(notes);
    }

    /**
     * How full the vessel is filled.
     *
     * @param cm down from the rim, or above the herbs
     */
    public record Fill(From from, double cm) {

        /** What is measured from. */
        public enum From {
            RIM,
            HERBS
        }
    }

    /**
     * Somebody the recipe is not for: by a condition, or by age.
     *
     * @param underYears younger drinkers; empty when it is a condition
     */
    public record NotFor(Optional<Condition> when, OptionalDouble underYears) {

        /** "Not for children": under twelve, as the monographs divide ages (source key {@code hmpc}). */
        public static final NotFor CHILDREN = new NotFor(Optional.empty(), OptionalDouble.of(12));

        public static NotFor of(Condition when) {
            return new NotFor(Optional.of(when), OptionalDouble.empty());
        }
    }

    /** How long it keeps, as the recipe says. */
    public record Keeps(double days, Place place) {}

    public Told noting(List<String> others) {
        return new Told(fill, ofBlend, notFor, keeping, with, cautions, others, written);
    }

    public Told warning(List<OwnCaution> others) {
        return new Told(fill, ofBlend, notFor, keeping, with, others, notes, written);
    }
}
