package embercup.core.workings;

import java.util.List;

/**
 * Why a number is what it is: one named step and the steps it was made from. Immutable.
 *
 * @param label what the number is, in the cook's words
 * @param formula how it was made, in words; empty for a given value
 * @param value the number, in {@code unit}
 * @param unit unit symbol ("g", "mL", "min"), or empty for a bare ratio
 * @param source key into the source list ({@code sources.yaml}), or empty when the value is computed or given
 * @param inputs the steps it was made from, in the order the formula names them
 */
public record Workings(String label, String formula, double value, String unit, String source, List<Workings> inputs) {

    public Workings {
        inputs = List.copyOf(inputs);
    }

    /** A value that somebody gave: the cook, the recipe, the kitchen. */
    public static Workings given(String label, double value, String unit) {
        return new Workings(label, "", value, unit, "", List.of());
    }

    /** A value read from the shipped data, with the key of its source. */
    public static Workings sourced(String label, double value, String unit, String source) {
        return new Workings(label, "", value, unit, source, List.of());
    }

    /** A value computed from others; {@code formula} says how in words. */
    public static Workings computed(String label, String formula, double value, String unit, Workings... inputs) {
        return new Workings(label, formula, value, unit, "", List.of(inputs));
    }

    /** A value computed from others; {@code formula} says how in words. */
    public static Workings computed(String label, String formula, double value, String unit, List<Workings> inputs) {
        return new Workings(label, formula, value, unit, "", inputs);
    }

    /** The same step with the key of the source that gives the formula. */
    public Workings from(String source) {
        return new Workings(label, formula, value, unit, source, inputs);
    }
}
