package embercup.core.brew;

import embercup.core.brew.Phase.Warmth;
import java.util.ArrayList;
import java.util.List;

/**
 * The way of a liquor below the boil: one piece of Newton's law after another, each along a straight line of the loss. A covered one
 * is one piece. Immutable.
 */
record Way(List<Piece> pieces) {

    private static final int MOST_PIECES = 16;
    private static final double EVEN_W = 1e-9;

    /** One piece. */
    record Piece(double seconds, Warmth warmth, Heating heating) {
        double endC() {
            return heating.celsiusAt(seconds);
        }
    }

    Way {
        pieces = List.copyOf(pieces);
    }

    /**
     * @param watts power into the water
     * @param capacityJPerK heat capacity of all that warms with it
     * @param toC where it ends at the latest; infinitely warm or cold for nowhere
     * @param mostS how long it lasts at the most, s; infinite for no end
     */
    static Way of(
            Losses.State state, Air air, double watts, double capacityJPerK, double fromC, double toC, double mostS) {
        List<Piece> pieces = new ArrayList<>();
        double celsius = fromC;
        double left = mostS;
        boolean rising = watts - Losses.watts(state, air, celsius) > EVEN_W;
        if (Double.isFinite(toC) && (rising ? toC <= celsius : toC >= celsius)) {
            return new Way(pieces);
        }
        while (left > 0 && pieces.size() < MOST_PIECES) {
            Losses.Line line = Losses.line(state, air, celsius, rising);
            Heating heating = Heating.of(celsius, line.towardsC(), watts, capacityJPerK, line.wattsPerKelvin());
            double goal = rising ? Math.min(line.highC(), upTo(toC)) : Math.max(line.lowC(), downTo(toC));
            double needs = Double.isInfinite(goal) ? Double.POSITIVE_INFINITY : heating.secondsTo(goal);
            double takes = Math.min(left, needs);
            if (takes <= 0) {
                break;
            }
            pieces.add(new Piece(takes, Warmth.of(watts, capacityJPerK, line), heating));
            left -= takes;
            if (takes < needs || goal == toC) {
                break;
            }
            celsius = goal;
        }
        return new Way(pieces);
    }

    /** Nowhere is above for what warms, and below for what cools. */
    private static double upTo(double toC) {
        return Double.isFinite(toC) ? toC : Double.POSITIVE_INFINITY;
    }

    private static double downTo(double toC) {
        return Double.isFinite(toC) ? toC : Double.NEGATIVE_INFINITY;
    }

    /** Seconds on a flame to a temperature; infinite when power and loss are even before. */
    static double heatingS(Losses.State state, Air air, double watts, double capacityJPerK, double fromC, double toC) {
        return Losses.evenC(state, air, watts) <= toC
                ? Double.POSITIVE_INFINITY
                : of(state, air, watts, capacityJPerK, fromC, toC, Double.POSITIVE_INFINITY)
                        .seconds();
    }

    /** How long it lasts, s; infinite when it goes on for ever. */
    double seconds() {
        return pieces.stream().mapToDouble(Piece::seconds).sum();
    }

    /** The same way, gone in other times: what a thermometer or a clock made of it. */
    Way times(double factor) {
        return new Way(pieces.stream()
                .map(p -> new Piece(
                        p.seconds * factor,
                        p.warmth,
                        new Heating(p.heating.startC(), p.heating.endC(), p.heating.tauS() * factor)))
                .toList());
    }
}
