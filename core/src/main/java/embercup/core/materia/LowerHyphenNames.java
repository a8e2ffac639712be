package embercup.core.materia;

import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;

/** Constants in documents are written in lower case with hyphens: {@code vitamin-c}. */
public class LowerHyphenNames extends JacksonAnnotationIntrospector {

    private static final long serialVersionUID = 1L;

    private static final Map<Enum<?>, String> CONSTANTS = new ConcurrentHashMap<>();
    private static final Map<Class<?>, String> TYPES = new ConcurrentHashMap<>();

    /** The name of a constant in a document. */
    public static String of(Enum<?> constant) {
        String known = CONSTANTS.get(constant);
        return known != null
                ? known
                : CONSTANTS.computeIfAbsent(
                        constant, c -> c.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    /** The name of a type in a document: {@code LeaveOut} is {@code leave-out}. */
    public static String of(Class<?> type) {
        String known = TYPES.get(type);
        return known != null ? known : TYPES.computeIfAbsent(type, LowerHyphenNames::hyphened);
    }

    private static String hyphened(Class<?> type) {
        return type.getSimpleName()
                .replaceAll("(?<=[a-z0-9])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])", "-")
                .toLowerCase(Locale.ROOT);
    }

    @Override
    public String[] findEnumValues(MapperConfig<?> config, AnnotatedClass type, Enum<?>[] values, String[] names) {
        for (int i = 0; i < values.length; i++) {
            names[i] = of(values[i]);
        }
        return names;
    }
}
