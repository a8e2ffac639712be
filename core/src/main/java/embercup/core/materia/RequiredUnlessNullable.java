package embercup.core.materia;

import java.lang.reflect.Constructor;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.AnnotatedParameter;

/** Every field of a file must be there, but for those whose type says {@link Nullable}. */
final class RequiredUnlessNullable extends LowerHyphenNames {

    private static final long serialVersionUID = 1L;

    @Override
    public @Nullable Boolean hasRequiredMarker(MapperConfig<?> config, AnnotatedMember member) {
        if (member instanceof AnnotatedParameter parameter
                && parameter.getOwner().getAnnotated() instanceof Constructor<?> constructor) {
            return !constructor.getAnnotatedParameterTypes()[parameter.getIndex()].isAnnotationPresent(Nullable.class);
        }
        return super.hasRequiredMarker(config, member);
    }
}
