package embercup.core.workings;

import java.util.List;

/**
 * A figure together with why it is what it is: a small tree of named steps, made by the same operation that makes its value,
 * so that anybody can compute it again from its leaves. Immutable.
 *
 * @param term what the number is
 * @param of what it is of: a herb as it is called, the code of a unit; empty when the term says all
 * @param op how the value comes from the inputs
 * @param equation code of the {@link Equation} of a solved figure; empty for every other
 * @param value the number, in {@code unit}
 * @param unit unit symbol ("g", "mL", "min"), or empty for a bare ratio
 * @param source key into the source list ({@code sources.yaml}), or empty when the value is computed or given
 * @param inputs the steps it was made from, in order
 */
public record Workings(
        Term term, String of, Op op, String equation, double value, String unit, String source, List<Workings> inputs) {

    /** How a value comes from its inputs. */
    public enum Op {
        /** Somebody said it: the cook, the recipe, the kitchen, a book. */
        GIVEN,
        SUM,
        /** The first less all others. */
        DIFFERENCE,
        PRODUCT,
        /** The first divided by all others. */
        QUOTIENT,
        LEAST,
        MOST,
        /** The first of the inputs; the others are what it was chosen among. */
        CHOSEN,
        /** The solution of a named equation, whose inputs these are. */
        SOLVED
    }

    /**
     * An equation with a name. Its inputs are all that it needs: the same inputs give the same value.
     */
    public interface Equation {

        /** Lower-case words joined by hyphens; unique among all equations. */
        String code();

        /** The solution, in the figure's unit. */
        double solve(List<Workings> inputs);
    }

    public Workings {
        inputs = List.copyOf(inputs);
    }

    /** A value that somebody gave: the cook, the recipe, the kitchen. */
    public static Workings given(Term term, double value, String unit) {
        return sourced(term, "", value, unit, "");
    }

    /** A value read from the shipped data, with the key of its source. */
    public static Workings sourced(Term term, double value, String unit, String source) {
        return sourced(term, "", value, unit, source);
    }

    /** The same, of something: a herb, a unit. */
    public static Workings sourced(Term term, String of, double value, String unit, String source) {
        return new Workings(term, of, Op.GIVEN, "", value, unit, source, List.of());
    }

    public static Workings sum(Term term, String unit, List<Workings> inputs) {
        return made(term, Op.SUM, unit, inputs);
    }

    public static Workings sum(Term term, String unit, Workings... inputs) {
        return sum(term, unit, List.of(inputs));
    }

    /** The first less all others. */
    public static Workings difference(Term term, String unit, Workings... inputs) {
        return made(term, Op.DIFFERENCE, unit, List.of(inputs));
    }

    public static Workings product(Term term, String unit, List<Workings> inputs) {
        return made(term, Op.PRODUCT, unit, inputs);
    }

    public static Workings product(Term term, String unit, Workings... inputs) {
        return product(term, unit, List.of(inputs));
    }

    /** The first divided by all others. */
    public static Workings quotient(Term term, String unit, Workings... inputs) {
        return made(term, Op.QUOTIENT, unit, List.of(inputs));
    }

    public static Workings least(Term term, String unit, List<Workings> inputs) {
        return made(term, Op.LEAST, unit, inputs);
    }

    public static Workings least(Term term, String unit, Workings... inputs) {
        return least(term, unit, List.of(inputs));
    }

    public static Workings most(Term term, String unit, List<Workings> inputs) {
        return made(term, Op.MOST, unit, inputs);
    }

    public static Workings most(Term term, String unit, Workings... inputs) {
        return most(term, unit, List.of(inputs));
    }

    /** One of several: it stands first, what it was chosen among after it. */
    public static Workings chosen(Term term, String unit, Workings... inputs) {
        return made(term, Op.CHOSEN, unit, List.of(inputs));
    }

    /** The solution of an equation. */
    public static Workings solved(Term term, String unit, Equation equation, List<Workings> inputs) {
        return new Workings(term, "", Op.SOLVED, equation.code(), equation.solve(inputs), unit, "", inputs);
    }

    public static Workings solved(Term term, String unit, Equation equation, Workings... inputs) {
        return solved(term, unit, equation, List.of(inputs));
    }

    private static Workings made(Term term, Op op, String unit, List<Workings> inputs) {
        return new Workings(term, "", op, "", compute(op, inputs), unit, "", inputs);
    }

    /**
     * What an operation makes of its inputs' values.
     *
     * @throws IllegalArgumentException for an operation that has no arithmetic: given or solved
     */
    public static double compute(Op op, List<Workings> inputs) {
        double first = inputs.isEmpty() ? 0 : inputs.get(0).value;
        double value = first;
        for (int i = 1; i < inputs.size(); i++) {
            double next = inputs.get(i).value;
            value = switch (op) {
                case SUM -> value + next;
                case DIFFERENCE -> value - next;
                case PRODUCT -> value * next;
                case QUOTIENT -> value / next;
                case LEAST -> Math.min(value, next);
                case MOST -> Math.max(value, next);
                case CHOSEN -> first;
                case GIVEN, SOLVED -> throw new IllegalArgumentException(op + " has no arithmetic");
            };
        }
        return value;
    }

    /** The same figure with the key of the source that gives its formula. */
    public Workings from(String key) {
        return new Workings(term, of, op, equation, value, unit, key, inputs);
    }

    /** The same figure, of something: a herb, a unit. */
    public Workings of(String what) {
        return new Workings(term, what, op, equation, value, unit, source, inputs);
    }

    /** The same figure under another name. */
    public Workings as(Term other) {
        return new Workings(other, of, op, equation, value, unit, source, inputs);
    }
}
