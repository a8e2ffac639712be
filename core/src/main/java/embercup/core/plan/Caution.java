package embercup.core.plan;

import embercup.core.materia.Severity;
import java.util.Optional;

/**
 * Something the cook must know before the first measure.
 *
 * @param code stable name, for example {@code pregnant}, {@code coumarin}, {@code vessel-too-small}
 * @param herb slug of the herb it is about; empty when it is about the pot or the day
 * @param text plain words: what, why, and what can be done
 * @param source key of its source
 */
public record Caution(String code, Severity severity, Optional<String> herb, String text, String source) {

    public static Caution of(String code, Severity severity, String text, String source) {
        return new Caution(code, severity, Optional.empty(), text, source);
    }

    public static Caution of(String code, Severity severity, String herb, String text, String source) {
        return new Caution(code, severity, Optional.of(herb), text, source);
    }
}
