package embercup.server.platform;

import embercup.core.words.Words;
import embercup.core.workings.InvalidInputException.Violation;
import java.net.URI;
import java.util.List;
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
            return new Wrong(v.field(), v.value(), Words.english().wanted(v));
        }
    }

    private Problem() {}

    /** @param code last part of the type URI, for example {@code invalid-input} */
    static ProblemDetail of(HttpStatus status, String code, String title, String detail) {
        return of(status, code, title, detail, List.of());
    }

    static ProblemDetail of(HttpStatus status, String code, String title, String detail, List<Violation> violations) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:ember-cup:problem:" + code));
        problem.setTitle(title);
        problem.setProperty("violations", violations.stream().map(Wrong::of).toList());
        return problem;
    }
}
