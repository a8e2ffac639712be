package embercup.core.workings;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Input that the trade cannot work with. Carries every {@link Violation} found, not just the first, so that a cook or a
 * client can mend them in one go. Its message is for logs; what a cook reads is made of the violations by {@code words}.
 */
public final class InvalidInputException extends RuntimeException {

    /**
     * One wrong value.
     *
     * @param field path of the field, for example {@code recipe.additions[2].unit}
     * @param value what was given, as text; empty when nothing was
     * @param wanted what would be right
     */
    public record Violation(String field, String value, Wanted wanted) {
        /** A number outside a limit. */
        public static Violation outside(String field, double value, Limit limit) {
            return new Violation(field, plain(value), new Wanted.Between(limit.low(), limit.high(), limit.unit()));
        }

        private static String plain(double value) {
            return value == Math.rint(value) && Math.abs(value) < 1e15
                    ? Long.toString((long) value)
                    : Double.toString(value);
        }
    }

    private static final long serialVersionUID = 1L;

    private final transient List<Violation> violations;

    public InvalidInputException(List<Violation> violations) {
        super(violations.stream().map(v -> v.field() + ": " + v.wanted()).collect(Collectors.joining("; ")));
        this.violations = List.copyOf(violations);
    }

    public static InvalidInputException of(String field, Object value, Wanted wanted) {
        return new InvalidInputException(List.of(new Violation(field, String.valueOf(value), wanted)));
    }

    public List<Violation> violations() {
        return violations;
    }

    /** Collects violations; {@link #throwIfAny} ends the check. Not thread-safe: one per check. */
    public static final class Check {
        private final List<Violation> found = new ArrayList<>();

        /** Notes a violation unless {@code ok}. Answers {@code ok}, so that dependent checks can be skipped. */
        public boolean require(boolean ok, String field, Object value, Wanted wanted) {
            if (!ok) {
                found.add(new Violation(field, String.valueOf(value), wanted));
            }
            return ok;
        }

        /** Notes a violation unless the value is inside its limit; a NaN is a violation. */
        public boolean range(String field, double value, Limit limit) {
            return range(field, value, limit.low(), limit.high(), limit.unit());
        }

        /** Notes a violation unless {@code low <= value <= high}, for ends that are known only now. */
        public boolean range(String field, double value, double low, double high, String unit) {
            return value >= low && value <= high
                    || require(false, field, Violation.plain(value), new Wanted.Between(low, high, unit));
        }

        public void addAll(List<Violation> violations) {
            found.addAll(violations);
        }

        /** @throws InvalidInputException when anything was noted */
        public void throwIfAny() {
            if (!found.isEmpty()) {
                throw new InvalidInputException(found);
            }
        }
    }
}
