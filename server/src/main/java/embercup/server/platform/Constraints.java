package embercup.server.platform;

import embercup.core.workings.InvalidInputException.Violation;
import embercup.core.workings.Wanted;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Path;
import jakarta.validation.constraints.Size;
import java.lang.annotation.Annotation;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Collection;
import org.jspecify.annotations.Nullable;

/** What a broken constraint says: the field as the wire names it, and what would be right. */
final class Constraints {

    private Constraints() {}

    static Violation violation(ConstraintViolation<?> broken) {
        Annotation rule = broken.getConstraintDescriptor().getAnnotation();
        String field = field(broken.getRootBeanClass(), broken.getPropertyPath());
        Object given = broken.getInvalidValue();
        if (rule instanceof Within within) {
            double number = given instanceof Collection<?> all ? all.size() : ((Number) given).doubleValue();
            return Violation.outside(field, number, within.value());
        } else if (rule instanceof CodeOf of) {
            return new Violation(field, String.valueOf(given), new Wanted.OneOf(CodeOf.Known.codes(of)));
        } else if (rule instanceof Size size) {
            return new Violation(field, String.valueOf(given), new Wanted.TextOf(size.max()));
        }
        throw new IllegalStateException("no words for the constraint " + rule);
    }

    /** The path without the groups that do not show on the wire. */
    private static String field(Class<?> root, Path path) {
        StringBuilder field = new StringBuilder();
        Class<?> in = root;
        for (Path.Node node : path) {
            if (node.getIndex() != null) {
                field.append('[').append(node.getIndex()).append(']');
            }
            RecordComponent component = component(in, node.getName());
            if (component != null) {
                in = type(component.getGenericType());
            }
            if (component != null && WireRecord.isGroup(component)) {
                continue;
            }
            if (node.getName() != null && !node.getName().startsWith("<")) {
                field.append(field.isEmpty() ? "" : ".").append(node.getName());
            }
        }
        return field.toString();
    }

    private static @Nullable RecordComponent component(Class<?> in, @Nullable String name) {
        return !in.isRecord()
                ? null
                : Arrays.stream(in.getRecordComponents())
                        .filter(c -> c.getName().equals(name))
                        .findFirst()
                        .orElse(null);
    }

    /** Of a list, that of its elements. */
    private static Class<?> type(Type type) {
        Type one = type instanceof ParameterizedType several ? several.getActualTypeArguments()[0] : type;
        return one instanceof Class<?> raw ? raw : Object.class;
    }
}
