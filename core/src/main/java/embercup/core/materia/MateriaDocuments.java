package embercup.core.materia;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLFactory;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * The shipped YAML as records, strictly: a missing field, a wrong type or a field that nobody asked for is an error that names
 * the document. Stateless.
 */
public final class MateriaDocuments {

    private static final String HOME = "/embercup/";
    static final String ROOT = HOME + "materia/";

    private static final YAMLMapper YAML = YAMLMapper.builder(YAMLFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .annotationIntrospector(new RequiredUnlessNullable())
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private MateriaDocuments() {}

    /**
     * A shipped document that is not the materia's own: the words of a language.
     *
     * @param path in the jar, from {@code /embercup/}
     * @throws IllegalStateException naming the document when it is missing or not as it should be
     */
    public static <T> T shipped(String path, Class<T> type) {
        return read(path, resource(HOME + path), type);
    }

    /** A shipped document. */
    static <T> T read(String name, Class<T> type) {
        return read(name, text(name), type);
    }

    /** @throws IllegalStateException naming the document, and the line where that is known */
    static <T> T read(String name, String text, Class<T> type) {
        try {
            T read = YAML.readValue(text, type);
            needAll(name, read);
            return read;
        } catch (JacksonException e) {
            throw new IllegalStateException(name + ": " + e.getOriginalMessage() + " at " + e.getLocation(), e);
        }
    }

    /** A component that may not be null is not null, all the way down. */
    private static void needAll(String path, Object value) {
        if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                needAll(path + "[" + i + "]", list.get(i));
            }
        }
        if (!value.getClass().isRecord()) {
            return;
        }
        for (var component : value.getClass().getRecordComponents()) {
            try {
                Object part = component.getAccessor().invoke(value);
                if (part != null) {
                    needAll(path + "." + component.getName(), part);
                } else if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    throw new IllegalStateException(path + "." + component.getName() + " is missing");
                }
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(path, e);
            }
        }
    }

    static String text(String name) {
        return resource(ROOT + name);
    }

    private static String resource(String path) {
        try (InputStream in = MateriaDocuments.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException("the jar lacks " + path);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
