package embercup.core.workings;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Input that the trade cannot work with. Carries every {@link Violation} found, not just the first, so that a cook or a
 * client can mend them in one go.
 */
public final class InvalidInput extends RuntimeException {

    /**
     * One wrong value.
     *
     * @param field path of the field, for example {@code recipe.additions[2].unit}
     * @param value what was given, as text; empty when nothing was
     * @param wanted what would be right, in words
     */
    public record Violation(String field, String value, String wanted) {}

    private static final long serialVersionUID = 1L;

    private final transient List<Violation> violations;

    public InvalidInput(List<Violation> violations) {
        super(violations.stream().map(v -> v.field() + ": " + v.wanted()).collect(Collectors.joining("; ")));
        this.violations = List.copyOf(violations);
    }

    public static InvalidInput of(String field, Object value, String wanted) {
        return new InvalidInput(List.of(new Violation(field, String.valueOf(value), wanted)));
    }

    public List<Violation> violations() {
        return violations;
    }

    /** Collects violations; {@link #throwIfAny} ends the check. Not thread-safe: one per check. */
    public static final class Check {
        private final List<Violation> found = new ArrayList<>();

        /** Notes a violation unless {@code ok}. Answers {@code ok}, so that dependent checks can be skipped. */
        public boolean require(boolean ok, String field, Object value, String wanted) {
            if (!ok) {
                found.add(new Violation(field, String.valueOf(value), wanted));
            }
            return ok;
        }

        /** Notes a violation unless {@code low <= value <= high}; a NaN is a violation. */
        public boolean range(String field, double value, double low, double high, String unit) {
            boolean inside = value >= low && value <= high;
            if (!inside) {
                String wanted = "between %s and %s %s"
                        .formatted(plain(low), plain(high), unit)
                        .strip();
                found.add(new Violation(field, plain(value), wanted));
            }
            return inside;
        }

        public void addAll(List<Violation> violations) {
            found.addAll(violations);
        }

        /** @throws InvalidInput when anything was noted */
        public void throwIfAny() {
            if (!found.isEmpty()) {
                throw new InvalidInput(found);
            }
        }

        private static String plain(double value) {
            return value == Math.rint(value) && Math.abs(value) < 1e15
                    ? Long.toString((long) value)
                    : Double.toString(value);
        }
    }
}
