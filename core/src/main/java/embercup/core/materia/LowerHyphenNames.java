package embercup.core.materia;

import java.util.Locale;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;

/** Constants in documents are written in lower case with hyphens: {@code vitamin-c}. */
public class LowerHyphenNames extends JacksonAnnotationIntrospector {

    private static final long serialVersionUID = 1L;

    /** The name of a constant in a document. */
    public static String of(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The name of a type in a document: {@code LeaveOut} is {@code leave-out}. */
    public static String of(Class<?> type) {
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
