package embercup.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * Several pots and one cook: starts are moved until no two hands-on steps meet and no burner and no kettle is asked to do
 * two things. Stateless.
 *
 * <p>Pots are placed one after the other, those that are to be ready first before the rest; a pot moves by the smallest
 * step that helps, earlier rather than later. Only moves that bring two steps end to end can be the smallest, so that the
 * search is exact for each pot.
 */
public final class SeveralPots {

    private static final double TOUCH_S = 1e-6;

    private SeveralPots() {}

    /**
     * A pot to be placed.
     *
     * @param name as the cook says it
     * @param wishS when it is to start, s from any common zero
     * @param earliestS it must not start before
     * @param latestS it must not start after; its wish when it has to be ready on the minute
     */
    public record Pot(String name, BrewPlan plan, double wishS, double earliestS, double latestS) {}

    /** A pot in its place; {@code movedS} is negative when it starts earlier than wished. */
    public record Placed(Pot pot, double startS, double movedS, Optional<HerbCombinations> why) {}

    /**
     * Two pots that cannot both be had.
     *
     * @param onTheMinute whether the pot has to be ready on the minute, so that it could only start earlier
     */
    public record Clash(Pot pot, String with, double atS, HerbCombinations why, boolean onTheMinute) {}

    /** What a step takes hold of while it lasts. A closed family; immutable. */
    public sealed interface Hold {
        /** The cook's hands. */
        record Hands() implements Hold {}

        record Kettle() implements Hold {}

        /** A burner, by its name. */
        record OnBurner(String name) implements Hold {}
    }

    /**
     * Why two pots cannot start as they were wished.
     *
     * @param what what both would hold
     * @param own the step of the pot that is moved
     * @param with name of the other pot
     * @param other its step
     */
    public record HerbCombinations(Hold what, Doing own, String with, Doing other) {}

    /** A step of a plan. */
    public record Doing(BrewPlan plan, Step step) {}

    /** @param placed in the order of their starts */
    public record Outcome(List<Placed> placed, List<Clash> clashes) {}

    /** One hold of one pot. */
    private record Held(Hold what, String pot, Doing doing, double fromS, double toS) {
        Held at(double startS) {
            return new Held(what, pot, doing, fromS + startS, toS + startS);
        }

        boolean meets(Held other) {
            return what.equals(other.what) && fromS < other.toS - TOUCH_S && other.fromS < toS - TOUCH_S;
        }
    }

    /** @param fixed pots that are on the fire already and cannot be moved: their wish is their start */
    public static Outcome of(List<Pot> fixed, List<Pot> movable) {
        List<Held> taken = new ArrayList<>();
        List<Placed> placed = new ArrayList<>();
        for (Pot pot : fixed) {
            holds(pot).forEach(h -> taken.add(h.at(pot.wishS)));
        }
        List<Clash> clashes = new ArrayList<>();
        List<Pot> byReady = movable.stream()
                .sorted(Comparator.comparingDouble(p -> p.wishS + p.plan.totalS()))
                .toList();
        for (Pot pot : byReady) {
            List<Held> holds = holds(pot);
            Optional<Both> wished = meeting(holds, pot.wishS, taken);
            Optional<Double> start = nearestFree(pot, holds, taken);
            if (start.isPresent()) {
                double at = start.get();
                placed.add(new Placed(
                        pot,
                        at,
                        at - pot.wishS,
                        wished.filter(m -> at != pot.wishS).map(Both::meeting)));
                holds.forEach(h -> taken.add(h.at(at)));
            } else {
                Both m = wished.orElseThrow();
                clashes.add(new Clash(pot, m.with.pot, m.own.fromS, m.meeting(), pot.latestS <= pot.wishS));
            }
        }
        placed.sort(Comparator.comparingDouble(Placed::startS));
        return new Outcome(List.copyOf(placed), List.copyOf(clashes));
    }

    /** Two holds that meet. */
    private record Both(Held own, Held with) {
        double lastsS() {
            return Math.min(own.toS, with.toS) - Math.max(own.fromS, with.fromS);
        }

        HerbCombinations meeting() {
            return new HerbCombinations(own.what, own.doing, with.pot, with.doing);
        }
    }

    /** The longest meeting of two holds when a pot starts then; empty when its start is free. */
    private static Optional<Both> meeting(List<Held> holds, double startS, List<Held> taken) {
        Optional<Both> longest = Optional.empty();
        for (Held hold : holds) {
            Held at = hold.at(startS);
            for (Held other : taken) {
                Both meeting = new Both(at, other);
                if (at.meets(other)
                        && longest.filter(m -> m.lastsS() >= meeting.lastsS()).isEmpty()) {
                    longest = Optional.of(meeting);
                }
            }
        }
        return longest;
    }

    private static Optional<Double> nearestFree(Pot pot, List<Held> holds, List<Held> taken) {
        TreeSet<Double> starts = new TreeSet<>(
                Comparator.<Double>comparingDouble(s -> Math.abs(s - pot.wishS)).thenComparingDouble(s -> s));
        starts.add(pot.wishS);
        for (Held hold : holds) {
            for (Held other : taken) {
                if (hold.what.equals(other.what)) {
                    starts.add(other.fromS - hold.toS);
                    starts.add(other.toS - hold.fromS);
                }
            }
        }
        return starts.stream()
                .filter(s -> s >= pot.earliestS - TOUCH_S && s <= pot.latestS + TOUCH_S)
                .filter(s -> meeting(holds, s, taken).isEmpty())
                .findFirst();
    }

    private static List<Held> holds(Pot pot) {
        List<Held> holds = new ArrayList<>();
        Optional<Step> firstFlame = Optional.empty();
        double flameTo = 0;
        for (Step step : pot.plan.steps()) {
            Doing doing = new Doing(pot.plan, step);
            if (step.handsOn()) {
                holds.add(new Held(new Hold.Hands(), pot.name, doing, step.startS(), step.endS()));
            }
            if (step.fire().kettle()) {
                holds.add(new Held(new Hold.Kettle(), pot.name, doing, step.startS(), step.endS()));
            } else if (step.fire().flame().isPresent()) {
                firstFlame = firstFlame.isPresent() ? firstFlame : Optional.of(step);
                flameTo = Math.max(flameTo, step.endS());
            }
        }
        if (firstFlame.isPresent()) {
            Step first = firstFlame.get();
            Hold burner =
                    new Hold.OnBurner(pot.plan.request().kitchen().burner().name());
            holds.add(new Held(burner, pot.name, new Doing(pot.plan, first), first.startS(), flameTo));
        }
        return holds;
    }
}
