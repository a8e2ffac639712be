package embercup.server.platform;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.stream.Stream;

/** A record as the wire shows it: the components of an unwrapped group in the group's place. */
final class WireRecord {

    private WireRecord() {}

    /** Of what is no record, none. */
    static Stream<RecordComponent> components(Class<?> type) {
        return !type.isRecord()
                ? Stream.empty()
                : Arrays.stream(type.getRecordComponents())
                        .flatMap(c -> isGroup(c) ? components(c.getType()) : Stream.of(c));
    }

    static boolean isGroup(RecordComponent component) {
        return component.getAccessor().isAnnotationPresent(JsonUnwrapped.class);
    }
}
