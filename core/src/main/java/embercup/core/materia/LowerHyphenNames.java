package embercup.core.materia;

import embercup.core.workings.Code;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;

/** Constants in documents are written as their {@link Code}. */
public class LowerHyphenNames extends JacksonAnnotationIntrospector {

    private static final long serialVersionUID = 1L;

    @Override
    public String[] findEnumValues(MapperConfig<?> config, AnnotatedClass type, Enum<?>[] values, String[] names) {
        for (int i = 0; i < values.length; i++) {
            names[i] = Code.of(values[i]);
        }
        return names;
    }
}
