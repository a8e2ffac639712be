package embercup.core.dose;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.Herb.Sourced;
import embercup.core.materia.Tradition;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.List;
import java.util.Optional;

/** Turns the amount a recipe says into the amount this drinker gets in this cup. */
public final class DoseRule {

    private DoseRule() {}

    /**
     * What the cup is made for.
     *
     * @param cups cups that one person drinks of it in a day at most
     * @param taste the drinker's own factor, learned from notes; 1 when nothing is known
     * @param room the most that strength and purpose may lift a herb of a blend; see {@link #room}
     */
    public record Wish(
            Strength strength,
            Purpose purpose,
            Drinker drinker,
            Tradition tradition,
            double cups,
            double room,
            double taste) {}

    /**
     * Blends share the room: together the herbs of a blend hold no more than one herb's highest single dose, so that a
     * strong blend is lifted only until the shares of their highest doses add up to one (common practice, no source).
     *
     * @param shares each herb's own dose ÷ its highest usual single dose, for herbs that have one
     * @return the largest factor on all of them, at least 1; infinite for less than two herbs
     */
    public static double room(List<Double> shares) {
        double sum = shares.stream().mapToDouble(Double::doubleValue).sum();
        return shares.size() < 2 || sum == 0 ? Double.POSITIVE_INFINITY : Math.max(1, 1 / sum);
    }

    /**
     * A dose.
     *
     * @param perCup grams in each cup
     * @param clipped whether the day's maximum cut it
     * @param mostPerDay the day's maximum for this drinker, g; empty when none is published
     */
    public record Dose(Workings perCup, boolean clipped, Optional<Workings> mostPerDay) {

        public double perCupG() {
            return perCup.value();
        }

        /** Whether so much in a day is more than the day's maximum. */
        public boolean passes(double gramsADay) {
            return mostPerDay.filter(m -> gramsADay > m.value() * (1 + 1e-9)).isPresent();
        }
    }

    /** @param own what the recipe itself puts into one cup, g */
    public static Dose perCup(Herb herb, Form form, Workings own, Wish wish) {
        Workings moved = insideRange(herb.dose(wish.tradition(), form), own, factor(wish));
        Workings share = ChildDose.share(wish.drinker());
        boolean child = share.value() < 1;
        Workings perCup = child ? Workings.product(Term.CHILDS_GRAMS_PER_CUP, "g", moved, share) : moved;
        Optional<Workings> most = herb.mostPerDayG(wish.tradition(), form).map(m -> mostPerDay(m, share, child));
        double cupsInDay = Math.min(wish.cups(), cupsADay(herb, form, wish));
        Dose dose = new Dose(perCup.as(Term.GRAMS_PER_CUP), false, most);
        if (!dose.passes(perCup.value() * cupsInDay)) {
            return dose;
        }
        Workings fits = Workings.quotient(
                Term.MOST_IN_A_CUP, "g", most.orElseThrow(), Workings.given(Term.CUPS_IN_A_DAY, cupsInDay, "cups"));
        return new Dose(Workings.least(Term.GRAMS_PER_CUP, "g", perCup, fits), true, most);
    }

    private static Workings mostPerDay(Sourced most, Workings share, boolean child) {
        Workings published = Workings.sourced(Term.MOST_IN_A_DAY, most.value(), "g", most.source());
        return child ? Workings.product(Term.CHILDS_MOST_IN_A_DAY, "g", published, share) : published;
    }

    /** What strength, purpose and taste make of a dose; no more than the room of a blend. */
    private static Workings factor(Wish wish) {
        Workings wished = Workings.product(
                Term.STRENGTH_AND_PURPOSE,
                "",
                Workings.sourced(Term.STRENGTH_FACTOR, wish.strength().factor(), "", "practice"),
                Workings.sourced(Term.PURPOSE_FACTOR, wish.purpose().factor(), "", "practice"),
                Workings.sourced(Term.TASTE_FACTOR, wish.taste(), "", "own"));
        return wished.value() <= wish.room()
                ? wished
                : Workings.least(
                        Term.STRENGTH_AND_PURPOSE,
                        "",
                        wished,
                        Workings.sourced(Term.ROOM_OF_BLEND, wish.room(), "", "practice"));
    }

    /** Moves inside [low, high]; a recipe that is outside already is moved no further out. */
    private static Workings insideRange(Optional<DoseRange> range, Workings own, Workings factor) {
        Workings moved = Workings.product(Term.MOVED_GRAMS_PER_CUP, "g", own, factor);
        if (range.isEmpty() || moved.value() == own.value()) {
            return moved;
        }
        DoseRange dose = range.get();
        Workings low = Workings.sourced(Term.USUAL_LOWEST, dose.perCupG().low(), "g", dose.source());
        Workings high = Workings.sourced(Term.USUAL_HIGHEST, dose.perCupG().high(), "g", dose.source());
        return Workings.most(
                Term.GRAMS_IN_RANGE,
                "g",
                Workings.least(Term.NOT_BELOW, "g", own, low),
                Workings.least(Term.NOT_ABOVE, "g", Workings.most(Term.HIGHEST, "g", own, high), moved));
    }

    /** How many cups of it one person drinks in a day at most: the herb's own number, else the purpose's. */
    public static double cupsADay(Herb herb, Form form, Wish wish) {
        return herb.dose(wish.tradition(), form).map(d -> d.timesADay().high()).orElse((double)
                wish.purpose().cupsADay());
    }
}
