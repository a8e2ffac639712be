package embercup.server.kept;

import java.lang.reflect.Type;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A kind of document that is kept. Each says its form under {@code form}; one without it is of the first. An earlier form is brought
 * forward while it is read, and stays as it is in its row. Immutable.
 *
 * @param <T> what it says, in the types of today
 */
public final class KeptKind<T> {

    /** Where a document says its form. */
    static final String FORM = "form";

    private final String name;
    private final JsonMapper mapper;
    private final JavaType type;
    private final List<Upcaster> upcasters;
    private final String begins;

    KeptKind(String name, Type type, JsonMapper mapper, List<Upcaster> upcasters) {
        this.name = name;
        this.mapper = mapper;
        this.type = mapper.constructType(type);
        this.upcasters = List.copyOf(upcasters);
        this.begins = "{\"" + FORM + "\":" + newest() + ",";
    }

    /** As documents and refusals name it. */
    public String name() {
        return name;
    }

    JavaType type() {
        return type;
    }

    /** The form that is written. */
    public int newest() {
        return upcasters.size() + 1;
    }

    /** In the newest form. */
    public String write(T value) {
        String said = mapper.writeValueAsString(value).substring(1);
        return said.equals("}") ? "{\"" + FORM + "\":" + newest() + said : begins + said;
    }

    /**
     * Of any form up to the newest.
     *
     * @throws UnknownFormException when a later version wrote it
     * @throws JacksonException when it is no such document
     */
    public T read(String document) {
        if (document.startsWith(begins)) {
            return mapper.readValue("{" + document.substring(begins.length()), type);
        }
        JsonNode tree = mapper.readTree(document);
        return tree instanceof ObjectNode object
                ? mapper.treeToValue(lifted(object), type)
                : mapper.treeToValue(tree, type);
    }

    /** The same document in the newest form. */
    ObjectNode lifted(ObjectNode document) {
        JsonNode said = document.remove(FORM);
        int form = said == null ? 1 : said.asInt(0);
        if (form < 1 || form > newest()) {
            throw new UnknownFormException(name, form, newest());
        }
        upcasters.subList(form - 1, upcasters.size()).forEach(u -> u.lift(document));
        return document;
    }
}
