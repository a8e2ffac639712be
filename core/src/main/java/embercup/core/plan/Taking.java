package embercup.core.plan;

import embercup.core.dose.ChildDose;
import embercup.core.dose.Drinker;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * How a pot is taken: how many cups a day, by whom beside its drinker, and whether a practitioner prescribed it. Immutable.
 *
 * @param cupsADay cups that the drinker takes of it in a day; empty as the recipe says
 * @param prescribedDays days for which a practitioner prescribed it; empty when nobody did
 * @param prescribedBy who did; empty when it is not said
 * @param others who else drinks of the pot
 */
public record Taking(
        OptionalDouble cupsADay, OptionalInt prescribedDays, Optional<String> prescribedBy, List<Sharer> others) {

    /** As the recipe says, by one drinker. */
    public static final Taking AS_RECIPE_SAYS = new Taking(OptionalDouble.empty(), OptionalInt.empty(), List.of());

    public Taking {
        others = List.copyOf(others);
    }

    public Taking(OptionalDouble cupsADay, OptionalInt prescribedDays, List<Sharer> others) {
        this(cupsADay, prescribedDays, Optional.empty(), others);
    }

    /** The same with so many cups a day. */
    public Taking withCupsADay(double cups) {
        return new Taking(OptionalDouble.of(cups), prescribedDays, prescribedBy, others);
    }

    /**
     * Part of a cup that somebody usually gets: all of it, and for a child its share, to whole hundredths below it.
     */
    public static double usualServing(Drinker drinker) {
        return usualServing(drinker, OptionalDouble.empty());
    }

    /** The same of a recipe that says a child's share itself. */
    public static double usualServing(Drinker drinker, OptionalDouble childShare) {
        double share = ChildDose.share(drinker, childShare).value();
        return share <= 0 ? 1 : Math.max(0.01, Math.floor(share * 100) / 100);
    }

    /**
     * How somebody drinks an amount: never more than a cup at a time.
     *
     * @param aDay servings a day
     * @param ofCup part of a cup in one serving, above 0, at most 1
     */
    public record Serving(double aDay, double ofCup) {

        /** So many cups, above 0, at each of so many times of a day. */
        public static Serving of(double cups, int times) {
            double ofCup = Math.min(1, cups);
            return new Serving(times * cups / ofCup, ofCup);
        }
    }

    /**
     * Somebody else who drinks of a pot.
     *
     * @param cupsADay servings a day
     * @param serving part of a cup in one serving, above 0, at most 1
     */
    public record Sharer(String name, Drinker drinker, double cupsADay, double serving) {}
}
