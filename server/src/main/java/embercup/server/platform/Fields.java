package embercup.server.platform;

import embercup.core.measure.Unit;
import embercup.core.workings.Code;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Reads the wire's words into the core's types; a wrong one is a violation that names the right ones. */
public final class Fields {

    private Fields() {}

    /** An enum constant by its lower-case name. @throws InvalidInputException when it is missing or unknown */
    public static <E extends Enum<E>> E oneOf(Class<E> type, @Nullable String text, String field) {
        return Arrays.stream(type.getEnumConstants())
                .filter(c -> code(c).equals(text))
                .findFirst()
                .orElseThrow(() -> InvalidInputException.of(field, text == null ? "" : text, codes(type)));
    }

    private static <E extends Enum<E>> Wanted codes(Class<E> type) {
        return new Wanted.OneOf(
                Arrays.stream(type.getEnumConstants()).map(Fields::code).toList());
    }

    public static <E extends Enum<E>> E oneOf(Class<E> type, @Nullable String text, String field, E fallback) {
        return text == null ? fallback : oneOf(type, text, field);
    }

    /** Constants by their codes; none for a missing list. @throws InvalidInputException for the first that is unknown */
    public static <E extends Enum<E>> Set<E> someOf(Class<E> type, @Nullable List<String> codes, String field) {
        Set<E> all = EnumSet.noneOf(type);
        for (String code : codes == null ? List.<String>of() : codes) {
            all.add(oneOf(type, code, field));
        }
        return all;
    }

    /** The wire's names of constants, in the order of their family. */
    public static List<String> codes(Set<? extends Enum<?>> constants) {
        return constants.stream()
                .sorted(Comparator.comparing(Enum::ordinal))
                .map(Fields::code)
                .toList();
    }

    /** Refuses a form of a file that there is not. @throws InvalidInputException listing those there are */
    public static void onlyAs(String as, String... forms) {
        if (!Arrays.asList(forms).contains(as)) {
            throw InvalidInputException.of("as", as, new Wanted.OneOf(Arrays.asList(forms)));
        }
    }

    /** A unit by its code. @throws InvalidInputException listing all codes */
    public static Unit unit(@Nullable String code, String field) {
        String given = code == null ? "" : code;
        return Unit.ofCode(given)
                .orElseThrow(() -> InvalidInputException.of(field, given, new Wanted.OneOf(Unit.codes())));
    }

    /** The wire's name of a constant. */
    public static String code(Enum<?> constant) {
        return Code.of(constant);
    }

    /** @throws InvalidInputException when nothing was given */
    public static <T> T need(@Nullable T value, String field, Need what) {
        if (value == null) {
            throw InvalidInputException.of(field, "", new Wanted.Needed(what));
        }
        return value;
    }

    /** Text of 1 to {@code most} characters, stripped. @throws InvalidInputException otherwise */
    public static String text(@Nullable String value, String field, int most) {
        String text = value == null ? "" : value.strip();
        if (text.isEmpty() || text.length() > most) {
            throw InvalidInputException.of(
                    field, text.length() > most ? text.length() + " characters" : text, new Wanted.TextOf(most));
        }
        return text;
    }

    /** Text of at most {@code most} characters; empty when nothing was given. */
    public static String textOrEmpty(@Nullable String value, String field, int most) {
        return value == null || value.isBlank() ? "" : text(value, field, most);
    }

    /** @throws InvalidInputException when the number is outside its limit */
    public static double within(double value, String field, Limit limit) {
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range(field, value, limit);
        check.throwIfAny();
        return value;
    }
}
