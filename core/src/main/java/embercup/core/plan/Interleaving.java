package embercup.core.plan;

import embercup.core.recipe.Stage;
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
public final class Interleaving {

    private static final double TOUCH_S = 1e-6;

    private Interleaving() {}

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
    public record Placed(Pot pot, double startS, double movedS, String why) {}

    /** Two pots that cannot both be had, and why. */
    public record Clash(Pot pot, String with, double atS, String why) {}

    /** @param placed in the order of their starts */
    public record Outcome(List<Placed> placed, List<Clash> clashes) {}

    /** What a step takes hold of while it lasts: the cook's hands, a burner, the kettle. */
    private record Hold(String what, String pot, String label, double fromS, double toS) {
        Hold at(double startS) {
            return new Hold(what, pot, label, fromS + startS, toS + startS);
        }

        boolean meets(Hold other) {
            return what.equals(other.what) && fromS < other.toS - TOUCH_S && other.fromS < toS - TOUCH_S;
        }
    }

    /** @param fixed pots that are on the fire already and cannot be moved: their wish is their start */
    public static Outcome of(List<Pot> fixed, List<Pot> movable) {
        List<Hold> taken = new ArrayList<>();
        List<Placed> placed = new ArrayList<>();
        for (Pot pot : fixed) {
            holds(pot).forEach(h -> taken.add(h.at(pot.wishS)));
        }
        List<Clash> clashes = new ArrayList<>();
        List<Pot> byReady = movable.stream()
                .sorted(Comparator.comparingDouble(p -> p.wishS + p.plan.totalS()))
                .toList();
        for (Pot pot : byReady) {
            List<Hold> holds = holds(pot);
            Optional<Meeting> wished = meeting(holds, pot.wishS, taken);
            Optional<Double> start = nearestFree(pot, holds, taken);
            if (start.isPresent()) {
                double at = start.get();
                placed.add(new Placed(
                        pot,
                        at,
                        at - pot.wishS,
                        wished.filter(m -> at != pot.wishS).map(Meeting::words).orElse("")));
                holds.forEach(h -> taken.add(h.at(at)));
            } else {
                Meeting m = wished.orElseThrow();
                clashes.add(new Clash(pot, m.with.pot, m.own.fromS, m.words() + noRoom(pot)));
            }
        }
        placed.sort(Comparator.comparingDouble(Placed::startS));
        return new Outcome(List.copyOf(placed), List.copyOf(clashes));
    }

    private static String noRoom(Pot pot) {
        return pot.latestS <= pot.wishS
                ? " There is no earlier start that is free, and it must be ready on the minute: give it more time, or make one of the two later."
                : " No start that is free lies near enough: make one of the two on another day, or ask for a second pair of hands.";
    }

    /** Two holds that meet. */
    private record Meeting(Hold own, Hold with) {
        double lastsS() {
            return Math.min(own.toS, with.toS) - Math.max(own.fromS, with.fromS);
        }

        String words() {
            return switch (own.what) {
                case "hands" ->
                    "“%s” and “%s” of %s would both want your hands.".formatted(own.label, with.label, with.pot);
                case "kettle" -> "The kettle would be wanted for %s at the same time.".formatted(with.pot);
                default -> "The %s would be under %s at the same time.".formatted(own.what, with.pot);
            };
        }
    }

    /** The longest meeting of two holds when a pot starts then; empty when its start is free. */
    private static Optional<Meeting> meeting(List<Hold> holds, double startS, List<Hold> taken) {
        Optional<Meeting> longest = Optional.empty();
        for (Hold hold : holds) {
            Hold at = hold.at(startS);
            for (Hold other : taken) {
                Meeting meeting = new Meeting(at, other);
                if (at.meets(other)
                        && longest.filter(m -> m.lastsS() >= meeting.lastsS()).isEmpty()) {
                    longest = Optional.of(meeting);
                }
            }
        }
        return longest;
    }

    private static Optional<Double> nearestFree(Pot pot, List<Hold> holds, List<Hold> taken) {
        TreeSet<Double> starts = new TreeSet<>(
                Comparator.<Double>comparingDouble(s -> Math.abs(s - pot.wishS)).thenComparingDouble(s -> s));
        starts.add(pot.wishS);
        for (Hold hold : holds) {
            for (Hold other : taken) {
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

    private static List<Hold> holds(Pot pot) {
        List<Hold> holds = new ArrayList<>();
        double flameFrom = Double.POSITIVE_INFINITY;
        double flameTo = 0;
        for (Step step : pot.plan.steps()) {
            if (step.handsOn()) {
                holds.add(new Hold("hands", pot.name, step.label(), step.startS(), step.endS()));
            }
            if (step.stage() < 0) {
                continue;
            }
            boolean heating = step.key().endsWith(".heat");
            boolean kettle = pot.plan.stages().get(step.stage()).kettle()
                    && (heating || step.kind().equals("heat"));
            Stage stage = pot.plan.stages().get(step.stage()).stage();
            if (kettle) {
                holds.add(new Hold("kettle", pot.name, step.label(), step.startS(), step.endS()));
            } else if (heating || stage.onFlame().isPresent()) {
                flameFrom = Math.min(flameFrom, step.startS());
                flameTo = Math.max(flameTo, step.endS());
            }
        }
        if (flameTo > flameFrom) {
            String burner = pot.plan.request().kitchen().burner().name();
            holds.add(new Hold(burner, pot.name, "the flame", flameFrom, flameTo));
        }
        return holds;
    }
}
