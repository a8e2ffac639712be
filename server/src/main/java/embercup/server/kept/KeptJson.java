package embercup.server.kept;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import java.lang.reflect.Type;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Makes the kinds of documents that are kept, each in the names of {@link KeptNames}. Safe for many threads. */
@Component
public final class KeptJson {

    private final JsonMapper wire;
    private final JsonMapper core;
    private final List<KeptKind<?>> kinds = new CopyOnWriteArrayList<>();

    public KeptJson(JsonMapper json) {
        KeptNames names = KeptNames.shipped();
        this.wire = json.rebuild().propertyNamingStrategy(names.ofComponents()).build();
        this.core = JsonMapper.builder()
                .annotationIntrospector(names.ofFamilies())
                .propertyNamingStrategy(names.ofComponents())
                .changeDefaultVisibility(v -> v.withFieldVisibility(Visibility.ANY)
                        .withGetterVisibility(Visibility.NONE)
                        .withIsGetterVisibility(Visibility.NONE))
                .build();
    }

    /**
     * Of what the wire's types say.
     *
     * @param upcasters from the first form on
     */
    public <T> KeptKind<T> ofWire(String name, Class<T> type, List<Upcaster> upcasters) {
        return made(new KeptKind<>(name, type, wire, upcasters));
    }

    /** Of what core's types say: a member of a closed family with its name under {@code is}. */
    public <T> KeptKind<T> ofCore(String name, Type type, List<Upcaster> upcasters) {
        return made(new KeptKind<>(name, type, core, upcasters));
    }

    private <T> KeptKind<T> made(KeptKind<T> kind) {
        kinds.add(kind);
        return kind;
    }

    /** Everything that is kept, as the places asked for it. */
    List<KeptKind<?>> kinds() {
        return kinds;
    }
}
