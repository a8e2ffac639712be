package embercup.server.platform;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.core.words.Words;
import embercup.core.workings.Workings;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One step of the workings on the wire; what a step has not is left out, which halves the answer of a plan.
 *
 * @param unit of the core, in which it is computed
 * @param beside the value as the house reads it, where that is another unit
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record WorkingsLine(
        String label,
        @Nullable String formula,
        double value,
        @Nullable String unit,
        @Nullable String beside,
        @Nullable String source,
        @Nullable List<WorkingsLine> inputs) {

    public static WorkingsLine of(Workings w) {
        return of(w, HouseWords.words());
    }

    private static WorkingsLine of(Workings w, Words words) {
        return new WorkingsLine(
                words.label(w),
                orNull(words.formula(w)),
                w.value(),
                orNull(w.unit()),
                words.beside(w.value(), w.unit()).orElse(null),
                orNull(w.source()),
                w.inputs().isEmpty()
                        ? null
                        : w.inputs().stream().map(input -> of(input, words)).toList());
    }

    public static Map<String, WorkingsLine> of(Map<String, Workings> all) {
        Map<String, WorkingsLine> lines = new LinkedHashMap<>();
        Words words = HouseWords.words();
        all.forEach((name, w) -> lines.put(name, of(w, words)));
        return lines;
    }

    private static @Nullable String orNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
