package embercup.core.dose;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Turns the amount a recipe says into the amount this drinker gets in this cup. */
public final class DoseRule {

    private DoseRule() {}

    /**
     * What the cup is made for.
     *
     * @param cups cups that one person drinks of it in a day at most
     * @param taste the drinker's own factor, learned from notes; 1 when nothing is known
     * @param room the most that strength and purpose may lift a herb of a blend; see {@link #room}
     * @param prescribed whether a practitioner prescribed it, so that a day's maximum does not cut it
     * @param childShare a child's share of an adult's cup as the recipe says, 0–1; empty when it does not
     */
    public record Wish(
            Strength strength,
            Purpose purpose,
            Drinker drinker,
            Tradition tradition,
            double cups,
            double room,
            double taste,
            boolean prescribed,
            OptionalDouble childShare) {}

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
     * One line of a recipe with a herb in it.
     *
     * @param own what the recipe itself puts into one cup, g
     */
    public record Line(Form form, Workings own) {}

    /**
     * A dose.
     *
     * @param perCup grams in each cup
     * @param clipped whether the day's maximum cut it
     * @param mostPerDay the day's maximum for this drinker, g of this form; empty when none is published
     * @param restOfDay share of the day's maximum that the other lines of the same herb take
     * @param asked what a cup would have had without a limit, g
     * @param cupsInDay cups that are counted in a day
     */
    public record Dose(
            Workings perCup,
            boolean clipped,
            Optional<Workings> mostPerDay,
            double restOfDay,
            double asked,
            double cupsInDay) {

        public double perCupG() {
            return perCup.value();
        }

        /** The same with other grams in each cup. */
        public Dose of(Workings other) {
            return new Dose(other, clipped, mostPerDay, restOfDay, asked, cupsInDay);
        }

        /** Whether so much of this line in a day, with the other lines of the herb, is more than the day's maximum. */
        public boolean passes(double gramsADay) {
            return mostPerDay
                    .filter(m -> gramsADay / m.value() + restOfDay > 1 + 1e-9)
                    .isPresent();
        }
    }

    /** A line as it is wished, and what is usual of its form. */
    private record Wished(
            Workings perCup, double cupsInDay, Optional<Workings> mostPerDay, Optional<Workings> highest) {
        double shareOfDay() {
            return mostPerDay
                    .filter(m -> m.value() > 0)
                    .map(m -> perCup.value() * cupsInDay / m.value())
                    .orElse(0.0);
        }
    }

    /** The dose of a herb that stands in one line only. */
    public static Dose perCup(Materia materia, Herb herb, Line line, Wish wish) {
        return perCup(materia, herb, List.of(line), wish).get(0);
    }

    /**
     * The dose of every line of one herb. Together the lines hold no more than a day's maximum, fresh forms by their dry
     * matter; a line that is cut holds no more than a usual single dose either, so that no cup is left with a day in it.
     */
    public static List<Dose> perCup(Materia materia, Herb herb, List<Line> lines, Wish wish) {
        List<Wished> wished =
                lines.stream().map(line -> wished(materia, herb, line, wish)).toList();
        double day = wished.stream().mapToDouble(Wished::shareOfDay).sum();
        return wished.stream().map(w -> dose(w, day, wish.prescribed())).toList();
    }

    private static Wished wished(Materia materia, Herb herb, Line line, Wish wish) {
        UsualDose usual = new UsualDose(materia, herb, line.form, wish.tradition());
        Workings moved = insideRange(herb.dose(wish.tradition(), line.form), line.own, factor(wish));
        Workings share = ChildDose.share(wish.drinker(), wish.childShare());
        boolean child = share.value() < 1;
        return new Wished(
                child ? Workings.product(Term.CHILDS_GRAMS_PER_CUP, "g", moved, share) : moved,
                Math.min(wish.cups(), cupsADay(usual, wish)),
                usual.limitOfDay().map(m -> childs(m, Term.CHILDS_MOST_IN_A_DAY, share, child)),
                usual.highestInCup().map(h -> childs(h, Term.CHILDS_GRAMS_PER_CUP, share, child)));
    }

    private static Workings childs(Workings adults, Term term, Workings share, boolean child) {
        return child ? Workings.product(term, "g", adults, share) : adults;
    }

    private static Dose dose(Wished wished, double day, boolean whole) {
        double rest = day - wished.shareOfDay();
        if (whole || wished.mostPerDay.isEmpty() || day <= 1 + 1e-9) {
            return new Dose(
                    wished.perCup.as(Term.GRAMS_PER_CUP),
                    false,
                    wished.mostPerDay,
                    rest,
                    wished.perCup.value(),
                    wished.cupsInDay);
        }
        Workings cups = Workings.given(Term.CUPS_IN_A_DAY, wished.cupsInDay, "cups");
        Workings lines = Workings.given(Term.LINES_SHARE, wished.shareOfDay() / day, "");
        boolean only = rest <= 0;
        List<Workings> fits = new ArrayList<>();
        fits.add(wished.perCup);
        Workings most = Workings.quotient(Term.MOST_IN_A_CUP, "g", wished.mostPerDay.get(), cups);
        fits.add(only ? most : Workings.product(Term.MOST_IN_A_CUP, "g", most, lines));
        wished.highest.ifPresent(h -> fits.add(only ? h : Workings.product(Term.USUAL_HIGHEST, "g", h, lines)));
        return new Dose(
                Workings.least(Term.GRAMS_PER_CUP, "g", fits),
                true,
                wished.mostPerDay,
                rest / day,
                wished.perCup.value(),
                wished.cupsInDay);
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
    public static double cupsADay(UsualDose usual, Wish wish) {
        return usual.mostCupsInDay().orElse((double) wish.purpose().cupsADay());
    }
}
