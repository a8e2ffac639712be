package embercup.core.dose;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.Herb.Sourced;
import embercup.core.materia.Tradition;
import embercup.core.workings.Workings;
import java.util.ArrayList;
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
     * @param perCupG grams in each cup
     * @param clipped whether the day's maximum cut it
     * @param mostPerDayG the day's maximum for this drinker, g; infinite when none is published
     */
    public record Dose(double perCupG, boolean clipped, double mostPerDayG, Workings workings) {}

    /**
     * @param ownPerCupG what the recipe itself puts into one cup, g
     * @param measured workings of that amount
     */
    public static Dose perCup(Herb herb, Form form, double ownPerCupG, Workings measured, Wish wish) {
        List<Workings> inputs = new ArrayList<>();
        inputs.add(measured);
        double factor =
                Math.min(wish.room(), wish.strength().factor() * wish.purpose().factor() * wish.taste());
        inputs.add(Workings.computed(
                "strength and purpose",
                "factor of the strength × factor of the purpose" + (wish.taste() == 1 ? "" : " × the drinker's taste")
                        + (factor == wish.room() ? ", no more than the blend's room" : ""),
                factor,
                "",
                Workings.sourced("strength", wish.strength().factor(), "", "practice"),
                Workings.sourced("purpose", wish.purpose().factor(), "", "practice"),
                Workings.sourced("taste, from her notes", wish.taste(), "", "own")));
        double moved = insideRange(herb.dose(wish.tradition(), form), ownPerCupG, ownPerCupG * factor, inputs);
        Workings share = ChildDose.share(wish.drinker());
        if (share.value() < 1) {
            inputs.add(share);
        }
        double perCup = moved * share.value();
        Optional<Sourced> most = herb.mostPerDayG(wish.tradition(), form);
        double mostPerDay = most.map(m -> m.value() * share.value()).orElse(Double.POSITIVE_INFINITY);
        double cupsInDay = Math.min(wish.cups(), cupsADay(herb, form, wish));
        boolean clipped = perCup * cupsInDay > mostPerDay * (1 + 1e-9);
        if (clipped) {
            perCup = mostPerDay / cupsInDay;
            inputs.add(Workings.sourced(
                    "most in a day",
                    most.map(Sourced::value).orElse(0.0),
                    "g",
                    most.map(Sourced::source).orElse("")));
            inputs.add(Workings.given("cups of it in a day", cupsInDay, "cups"));
        }
        String formula = "recipe's amount per cup × strength and purpose, kept inside the usual range"
                + (share.value() < 1 ? ", × share of an adult dose" : "")
                + (clipped ? ", cut to the most in a day" : "");
        return new Dose(perCup, clipped, mostPerDay, Workings.computed("grams per cup", formula, perCup, "g", inputs));
    }

    /** How many cups of it one person drinks in a day at most: the herb's own number, else the purpose's. */
    public static double cupsADay(Herb herb, Form form, Wish wish) {
        return herb.dose(wish.tradition(), form).map(d -> d.timesADay().high()).orElse((double)
                wish.purpose().cupsADay());
    }

    /** Moves inside [low, high]; a recipe that is outside already is moved no further out. */
    private static double insideRange(Optional<DoseRange> range, double own, double moved, List<Workings> inputs) {
        if (range.isEmpty() || moved == own) {
            return moved;
        }
        DoseRange dose = range.get();
        double low = Math.min(own, dose.perCupG().low());
        double high = Math.max(own, dose.perCupG().high());
        inputs.add(Workings.sourced("usual, lowest per cup", dose.perCupG().low(), "g", dose.source()));
        inputs.add(Workings.sourced("usual, highest per cup", dose.perCupG().high(), "g", dose.source()));
        return Math.max(low, Math.min(high, moved));
    }
}
