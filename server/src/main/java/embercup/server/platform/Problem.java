package embercup.server.platform;

import embercup.core.workings.InvalidInput.Violation;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/**
 * RFC 9457 problem details with the violations that the interface shows beside their fields.
 *
 * @param current what the server holds now, for a stale edit; absent otherwise
 */
public record Problem(
        String type,
        String title,
        int status,
        String detail,
        List<Violation> violations,
        @Nullable Object current) {

    /** @param code last part of the type URI, for example {@code invalid-input} */
    public static Problem of(HttpStatus status, String code, String title, String detail, List<Violation> violations) {
        return new Problem("urn:ember-cup:problem:" + code, title, status.value(), detail, violations, null);
    }

    public Problem withCurrent(Object now) {
        return new Problem(type, title, status, detail, violations, now);
    }
}
