package embercup.core.workings;

import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Names as documents, the wire and the catalogue of words write them: lower case with hyphens. Stateless. */
public final class Code {

    private static final Map<Enum<?>, String> CONSTANTS = new ConcurrentHashMap<>();
    private static final Map<Class<?>, String> TYPES = new ConcurrentHashMap<>();

    private Code() {}

    /** Of a constant: {@code VITAMIN_C} is {@code vitamin-c}. */
    public static String of(Enum<?> constant) {
        String known = CONSTANTS.get(constant);
        return known != null
                ? known
                : CONSTANTS.computeIfAbsent(
                        constant, c -> c.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    /**
     * The constant that a code names: {@code vitamin-c} is {@code VITAMIN_C}.
     *
     * @throws IllegalArgumentException when none is named so
     */
    public static <E extends Enum<E>> E constant(Class<E> type, String code) {
        return Enum.valueOf(type, code.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    /** Of a type: {@code LeaveOut} is {@code leave-out}. */
    public static String of(Class<?> type) {
        String known = TYPES.get(type);
        return known != null ? known : TYPES.computeIfAbsent(type, Code::hyphened);
    }

    private static String hyphened(Class<?> type) {
        return type.getSimpleName()
                .replaceAll("(?<=[a-z0-9])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])", "-")
                .toLowerCase(Locale.ROOT);
    }
}
