package embercup.server.platform;

import embercup.core.workings.InvalidInputException.Violation;
import java.net.URI;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/**
 * RFC 9457 problem details: what happened, what is kept, what would be right. Beside the standard members stand
 * {@code violations}, which the interface shows beside their fields, and for a stale edit {@code current}, what the server
 * holds now.
 */
final class Problem {

    /** One wrong value, with what would be right in words. */
    record Wrong(String field, String value, String wanted) {
        static Wrong of(Violation v) {
            return new Wrong(v.field(), v.value(), HouseWords.words().wanted(v));
        }
    }

    private Problem() {}

    /**
     * @param code last part of the type URI, for example {@code invalid-input}; its sentences stand in the catalogue as
     *     {@code problem.<code>} and {@code problem.<code>-detail}
     * @param arguments what the sentences name
     */
    static ProblemDetail of(HttpStatus status, String code, Map<String, ?> arguments) {
        String detail = HouseWords.plain().sentence("problem." + code + "-detail", arguments);
        return of(status, code, HouseWords.plain().sentence("problem." + code, arguments), detail, List.of());
    }

    /** What was sent is wrong: every violation, and all of them in one sentence. */
    static ProblemDetail invalid(HttpStatus status, List<Violation> violations) {
        Map<String, ?> all = Map.of("what", HouseWords.words().message(violations));
        String detail = HouseWords.words().sentence("problem.invalid-input-detail", all);
        return of(
                status, "invalid-input", HouseWords.words().sentence("problem.invalid-input", all), detail, violations);
    }

    /** As the framework words it. */
    static ProblemDetail framework(HttpStatus status, String detail) {
        return of(status, "http-" + status.value(), status.getReasonPhrase(), detail, List.of());
    }

    private static ProblemDetail of(
            HttpStatus status, String code, String title, String detail, List<Violation> violations) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:ember-cup:problem:" + code));
        problem.setTitle(title);
        problem.setProperty("violations", violations.stream().map(Wrong::of).toList());
        return problem;
    }
}
