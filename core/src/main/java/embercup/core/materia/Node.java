package embercup.core.materia;

import embercup.core.measure.Spread;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Consumer;

/**
 * One mapping of a YAML document, read strictly: a missing field, a wrong type or a field that nobody asked for is an
 * error that names file and path.
 */
final class Node {

    private final String path;
    private final Map<String, Object> fields;
    private final Set<String> asked = new HashSet<>();

    Node(String path, Object document) {
        this.path = path;
        this.fields = new LinkedHashMap<>();
        if (!(document instanceof Map<?, ?> map)) {
            throw new IllegalStateException(path + ": a mapping is wanted");
        }
        map.forEach((k, v) -> fields.put(String.valueOf(k), v));
    }

    String path() {
        return path;
    }

    Set<String> keys() {
        return fields.keySet();
    }

    boolean has(String name) {
        asked.add(name);
        return fields.get(name) != null;
    }

    private Object need(String name) {
        asked.add(name);
        Object value = fields.get(name);
        if (value == null) {
            throw new IllegalStateException(path + "." + name + " is missing");
        }
        return value;
    }

    String text(String name) {
        return String.valueOf(need(name)).strip();
    }

    String textOr(String name, String fallback) {
        return has(name) ? text(name) : fallback;
    }

    boolean flag(String name) {
        return has(name) && Boolean.parseBoolean(text(name));
    }

    double number(String name) {
        if (need(name) instanceof Number n) {
            return n.doubleValue();
        }
        throw new IllegalStateException(path + "." + name + " is not a number");
    }

    OptionalDouble numberIfAny(String name) {
        return has(name) ? OptionalDouble.of(number(name)) : OptionalDouble.empty();
    }

    double numberOr(String name, double fallback) {
        return has(name) ? number(name) : fallback;
    }

    <E extends Enum<E>> E oneOf(String name, Class<E> type) {
        return constant(text(name), type, path + "." + name);
    }

    static <E extends Enum<E>> E constant(String text, Class<E> type, String where) {
        try {
            return Enum.valueOf(type, text.toUpperCase(Locale.ROOT).replace('-', '_'));
        } catch (IllegalArgumentException e) {
            throw new IllegalStateException(where + ": '" + text + "' is not a " + type.getSimpleName(), e);
        }
    }

    List<String> texts(String name) {
        List<String> all = new ArrayList<>();
        for (Object item : list(name)) {
            all.add(String.valueOf(item).strip());
        }
        return all;
    }

    List<Node> nodes(String name) {
        List<Node> all = new ArrayList<>();
        int i = 0;
        for (Object item : list(name)) {
            all.add(new Node(path + "." + name + "[" + i++ + "]", item));
        }
        return all;
    }

    private List<?> list(String name) {
        if (!has(name)) {
            return List.of();
        }
        if (need(name) instanceof List<?> items) {
            return items;
        }
        throw new IllegalStateException(path + "." + name + " is not a list");
    }

    Node node(String name) {
        return new Node(path + "." + name, need(name));
    }

    Optional<Node> optional(String name) {
        return has(name) ? Optional.of(node(name)) : Optional.empty();
    }

    /** {@code [low, high]}, or one number for both. */
    Herb.Range range(String name) {
        Object value = need(name);
        if (value instanceof Number n) {
            return new Herb.Range(n.doubleValue(), n.doubleValue());
        }
        if (value instanceof List<?> ends
                && ends.size() == 2
                && ends.get(0) instanceof Number low
                && ends.get(1) instanceof Number high) {
            return new Herb.Range(low.doubleValue(), high.doubleValue());
        }
        throw new IllegalStateException(path + "." + name + " is neither a number nor [low, high]");
    }

    /** {@code best} with {@code spread} (relative) or with {@code low} and {@code high}. */
    Spread spread(String best) {
        double value = number(best);
        return has("low")
                ? Spread.of(number("low"), value, number("high"))
                : Spread.around(value, numberOr("spread", 0));
    }

    Herb.Sourced sourced(String best) {
        return new Herb.Sourced(number(best), text("source"));
    }

    /** @throws IllegalStateException when the document holds a field that was not read */
    void nothingElse() {
        Set<String> rest = new HashSet<>(fields.keySet());
        rest.removeAll(asked);
        if (!rest.isEmpty()) {
            throw new IllegalStateException(path + ": unknown field " + rest);
        }
    }

    /** Reads a child fully: after the reader, nothing may be left over. */
    static <T> T whole(Node node, java.util.function.Function<Node, T> reader) {
        T result = reader.apply(node);
        node.nothingElse();
        return result;
    }

    void each(String name, Consumer<Node> reader) {
        nodes(name).forEach(n -> {
            reader.accept(n);
            n.nothingElse();
        });
    }
}
