package embercup.server.platform;

import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInput;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Reads the wire's words into the core's types; a wrong one is a violation that names the right ones. */
public final class Fields {

    private Fields() {}

    /** An enum constant by its lower-case name. @throws InvalidInput when it is missing or unknown */
    public static <E extends Enum<E>> E oneOf(Class<E> type, @Nullable String text, String field) {
        String codes = Arrays.stream(type.getEnumConstants()).map(Fields::code).collect(Collectors.joining(" "));
        if (text == null) {
            throw InvalidInput.of(field, "", "one of: " + codes);
        }
        return Arrays.stream(type.getEnumConstants())
                .filter(c -> code(c).equals(text))
                .findFirst()
                .orElseThrow(() -> InvalidInput.of(field, text, "one of: " + codes));
    }

    public static <E extends Enum<E>> E oneOf(Class<E> type, @Nullable String text, String field, E fallback) {
        return text == null ? fallback : oneOf(type, text, field);
    }

    /** A unit by its code. @throws InvalidInput listing all codes */
    public static Unit unit(@Nullable String code, String field) {
        String given = code == null ? "" : code;
        return Unit.ofCode(given).orElseThrow(() -> InvalidInput.of(field, given, "one of: " + Unit.codes()));
    }

    /** The wire's name of a constant. */
    public static String code(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** @throws InvalidInput when nothing was given */
    public static <T> T need(@Nullable T value, String field, String wanted) {
        if (value == null) {
            throw InvalidInput.of(field, "", wanted);
        }
        return value;
    }

    /** Text of 1 to {@code most} characters, stripped. @throws InvalidInput otherwise */
    public static String text(@Nullable String value, String field, int most) {
        String text = value == null ? "" : value.strip();
        if (text.isEmpty() || text.length() > most) {
            throw InvalidInput.of(
                    field, text.length() > most ? text.length() + " characters" : text, "1 to " + most + " characters");
        }
        return text;
    }

    /** Text of at most {@code most} characters; empty when nothing was given. */
    public static String textOrEmpty(@Nullable String value, String field, int most) {
        return value == null || value.isBlank() ? "" : text(value, field, most);
    }
}
