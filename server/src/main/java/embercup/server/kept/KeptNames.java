package embercup.server.kept;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import embercup.core.materia.LowerHyphenNames;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.lang.reflect.Modifier;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.PropertyNamingStrategy;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.AnnotatedField;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.AnnotatedMethod;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.jsontype.NamedType;

/**
 * What each type, component and constant is called in what is kept, whatever it is called in the code. The table stands in
 * {@code kept-names.properties}: a line for each type; who renames a component writes {@code itsNewName=kept} there, and what was
 * kept stays readable. Immutable.
 */
public final class KeptNames {

    private static final String RESOURCE = "kept-names.properties";
    private static final String OURS = "embercup.";
    /** What stands flat in its owner has no name of its own in a document; Jackson calls it so. */
    private static final String UNWRAPPED = "@";

    /**
     * The line of one type.
     *
     * @param member how a member of a closed family is told from the others; empty for a type of its own
     * @param names what is kept, by what it is called in the code
     */
    record Line(Optional<String> member, Map<String, String> names) {

        static Line of(String written) {
            Optional<String> member = Optional.empty();
            Map<String, String> names = new LinkedHashMap<>();
            for (String word :
                    written.isBlank() ? new String[0] : written.trim().split("\\s+")) {
                if (word.startsWith("(")) {
                    member = Optional.of(word.substring(1, word.length() - 1));
                } else {
                    int is = word.indexOf('=');
                    names.put(is < 0 ? word : word.substring(0, is), word.substring(is + 1));
                }
            }
            return new Line(member, names);
        }
    }

    private final Map<String, Line> lines = new TreeMap<>();

    private KeptNames(Properties written) {
        written.stringPropertyNames().forEach(type -> lines.put(type, Line.of(written.getProperty(type))));
    }

    /** The table that ships. */
    static KeptNames shipped() {
        Properties written = new Properties();
        try (InputStream in = KeptNames.class.getResourceAsStream(RESOURCE)) {
            written.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new KeptNames(written);
    }

    Map<String, Line> lines() {
        return lines;
    }

    /** How a type is called in the table: {@code core.plan.PlannedAddition.Measured}. */
    static String key(Class<?> type) {
        return type.getName().substring(OURS.length()).replace('$', '.');
    }

    static boolean ours(Class<?> type) {
        return type.getName().startsWith(OURS);
    }

    /** @throws IllegalStateException when it has no line */
    private Line line(Class<?> type) {
        Line line = lines.get(key(type));
        if (line == null) {
            throw new IllegalStateException(key(type) + " is kept and has no line in " + RESOURCE);
        }
        return line;
    }

    private String name(Class<?> type, String called) {
        if (!ours(type)) {
            return called;
        }
        String kept = line(type).names.get(called);
        if (kept == null) {
            throw new IllegalStateException(key(type) + "." + called + " is kept and has no name in " + RESOURCE);
        }
        return kept;
    }

    /** Names of components. */
    PropertyNamingStrategy ofComponents() {
        return new Components();
    }

    /** Names of constants and of the members of closed families, which stand under {@code is}. */
    LowerHyphenNames ofFamilies() {
        return new Families();
    }

    private final class Components extends PropertyNamingStrategy {

        private static final long serialVersionUID = 1L;

        @Override
        public String nameForField(MapperConfig<?> config, AnnotatedField field, String called) {
            return Modifier.isStatic(field.getModifiers()) ? called : of(field, called);
        }

        @Override
        public String nameForGetterMethod(MapperConfig<?> config, AnnotatedMethod method, String called) {
            return of(method, called);
        }

        @Override
        public String nameForConstructorParameter(MapperConfig<?> config, AnnotatedParameter parameter, String called) {
            return of(parameter, called);
        }

        private String of(AnnotatedMember member, String called) {
            Class<?> type = member.getDeclaringClass();
            return type.isRecord() && !called.startsWith(UNWRAPPED) ? name(type, called) : called;
        }
    }

    private final class Families extends LowerHyphenNames {

        private static final long serialVersionUID = 1L;

        @Override
        public String[] findEnumValues(MapperConfig<?> config, AnnotatedClass type, Enum<?>[] values, String[] names) {
            super.findEnumValues(config, type, values, names);
            if (ours(type.getRawType())) {
                for (int i = 0; i < values.length; i++) {
                    names[i] = name(values[i].getDeclaringClass(), values[i].name());
                }
            }
            return names;
        }

        @Override
        public JsonTypeInfo.@Nullable Value findPolymorphicTypeInfo(MapperConfig<?> config, Annotated annotated) {
            Class<?> type = annotated.getRawType();
            return type.isSealed() || isMember(type)
                    ? JsonTypeInfo.Value.construct(
                            JsonTypeInfo.Id.NAME, JsonTypeInfo.As.PROPERTY, "is", null, false, true)
                    : super.findPolymorphicTypeInfo(config, annotated);
        }

        private boolean isMember(Class<?> type) {
            return type.isRecord() && Arrays.stream(type.getInterfaces()).anyMatch(Class::isSealed);
        }

        @Override
        public @Nullable List<NamedType> findSubtypes(MapperConfig<?> config, Annotated annotated) {
            Class<?> type = annotated.getRawType();
            if (!type.isSealed()) {
                return super.findSubtypes(config, annotated);
            }
            List<NamedType> all = new ArrayList<>();
            members(type, all);
            return all;
        }

        private void members(Class<?> type, List<NamedType> all) {
            for (Class<?> one : type.getPermittedSubclasses()) {
                if (one.isSealed()) {
                    members(one, all);
                } else {
                    all.add(new NamedType(one, member(one)));
                }
            }
        }

        @Override
        public @Nullable String findTypeName(MapperConfig<?> config, AnnotatedClass annotated) {
            Class<?> type = annotated.getRawType();
            return isMember(type) ? member(type) : super.findTypeName(config, annotated);
        }

        private String member(Class<?> type) {
            return line(type)
                    .member
                    .orElseThrow(() ->
                            new IllegalStateException(key(type) + " is of a family and has no (name) in " + RESOURCE));
        }
    }
}
