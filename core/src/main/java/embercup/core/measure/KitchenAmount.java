package embercup.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * An amount the way a kitchen can measure it: "2 tsp", "1 tbsp + ½ tsp", "about 3 slices". A closed family of facts; immutable.
 * Rounds; for display only.
 */
public sealed interface KitchenAmount {

    /** Below half of the smallest spoon there is nothing to measure with. */
    double SMALLEST_TSP = 1.0 / 16;

    /**
     * Spoons and cups, the larger first.
     *
     * @param parts one or two, each rounded to what its spoon can show
     */
    record Spoons(List<Quantity> parts) implements KitchenAmount {
        public Spoons {
            parts = List.copyOf(parts);
        }
    }

    /** A count. @param about whether it had to be rounded by more than a tenth */
    record Pieces(double count, Unit unit, boolean about) implements KitchenAmount {}

    /** Nothing of it: a child under two years gets none. */
    record None() implements KitchenAmount {}

    /**
     * An amount in the unit that the recipe says it in, to a quarter; whole units from five on.
     *
     * @param amount 0 or more
     */
    static KitchenAmount asWritten(double amount, Unit unit) {
        if (amount <= 0) {
            return new None();
        }
        double parts = amount < 5 ? 4 : 1;
        double rounded = Math.max(LEAST_SHOWN, Math.rint(amount * parts) / parts);
        double shown = amount < 0.5 ? Math.max(LEAST_SHOWN, Math.rint(amount * 8) / 8) : rounded;
        return new Pieces(shown, unit, Math.abs(shown - amount) > 0.1 * amount);
    }

    /** The smallest part of a unit that a cook can measure by eye. */
    double LEAST_SHOWN = 1 / 8.0;

    /** What two fingers hold. */
    record Pinch() implements KitchenAmount {}

    /** Less than that. */
    record LessThanAPinch() implements KitchenAmount {}

    /** Herbs that were brewed and strained once, all of them. */
    record AsStrained() implements KitchenAmount {}

    /** A volume in spoons and cups. */
    static KitchenAmount spoons(Volume volume, KitchenSystem system) {
        double teaspoons = volume.millilitres() / system.teaspoonMl();
        if (teaspoons <= 0) {
            return new None();
        }
        if (teaspoons < SMALLEST_TSP) {
            return new LessThanAPinch();
        }
        if (teaspoons < 0.11) {
            return new Pinch();
        }
        if (volume.millilitres() >= system.cupMl() * 0.47) {
            return cups(volume, system);
        }
        double inTablespoon = system.tablespoonMl() / system.teaspoonMl();
        if (teaspoons < inTablespoon * 0.96) {
            return one(teaspoons, teaspoons < 0.45 ? 8 : teaspoons < 2 ? 4 : 2, Unit.TEASPOON);
        }
        return tablespoonsAndRest(teaspoons, inTablespoon);
    }

    /** A volume in cups, to a quarter: what stands beside a vessel. */
    static KitchenAmount cups(Volume volume, KitchenSystem system) {
        return one(volume.millilitres() / system.cupMl(), 4, Unit.CUP);
    }

    private static KitchenAmount one(double value, int parts, Unit unit) {
        return new Spoons(List.of(rounded(value, parts, unit)));
    }

    private static KitchenAmount tablespoonsAndRest(double teaspoons, double inTablespoon) {
        int tablespoons = (int) Math.floor(teaspoons / inTablespoon + 0.04);
        double rest = Math.max(0, teaspoons - tablespoons * inTablespoon);
        double restHalves = Math.rint(rest * 2) / 2;
        if (restHalves >= inTablespoon - 0.3) {
            tablespoons++;
            restHalves = 0;
        }
        List<Quantity> parts = new ArrayList<>();
        parts.add(Quantity.of(tablespoons, Unit.TABLESPOON));
        if (restHalves > 0) {
            parts.add(rounded(restHalves, 2, Unit.TEASPOON));
        }
        return new Spoons(parts);
    }

    /** An amount to the nearest 1/{@code parts}, at least one of them. */
    private static Quantity rounded(double value, int parts, Unit unit) {
        return Quantity.of(Math.max(1.0 / parts, Math.rint(value * parts) / parts), unit);
    }

    /** So many pieces, rounded to what can be counted. */
    static KitchenAmount pieces(double count, Unit unit) {
        double rounded = count < 2 ? Math.max(0.5, Math.rint(count * 2) / 2) : Math.rint(count);
        return new Pieces(rounded, unit, Math.abs(rounded - count) > 0.1 * count);
    }
}
