package embercup.server.platform;

import embercup.core.workings.Wanted.Need;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** A request that is understood and refused; becomes a problem document. */
public final class RefusedException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient ProblemDetail problem;

    private RefusedException(HttpStatus status, ProblemDetail problem) {
        super(problem.getDetail());
        this.status = status;
        this.problem = problem;
    }

    /** Nothing there under this id. */
    public static RefusedException notFound(String what, Object id) {
        return of(HttpStatus.NOT_FOUND, "not-found", Map.of("what", thing(what), "id", String.valueOf(id)));
    }

    /**
     * Refuses a change that is based on an older version than is kept.
     *
     * @param based the version the change is based on
     * @param current what stands now; asked for only when it is refused
     * @throws embercup.core.workings.InvalidInputException when no version is given
     * @throws RefusedException 409 when somebody else saved first
     */
    public static void unlessNewest(@Nullable Long based, @Nullable Long kept, String what, Supplier<?> current) {
        if (!Fields.need(based, "version", Need.VERSION).equals(kept)) {
            throw stale(what, current.get());
        }
    }

    /** Somebody else saved first; {@code current} is what stands now. */
    public static RefusedException stale(String what, Object current) {
        ProblemDetail problem = Problem.of(HttpStatus.CONFLICT, "stale-edit", Map.of("what", thing(what)));
        problem.setProperty("current", current);
        return new RefusedException(HttpStatus.CONFLICT, problem);
    }

    /** @param code names the problem, {@code problem.<code>} in the catalogue, @param arguments what its sentences name */
    public static RefusedException of(HttpStatus status, String code, Map<String, ?> arguments) {
        return new RefusedException(status, Problem.of(status, code, arguments));
    }

    /** A kind of thing that is kept, as the cook calls it. */
    private static String thing(String code) {
        return HouseWords.plain().sentence("thing." + code, Map.of());
    }

    HttpStatus status() {
        return status;
    }

    ProblemDetail problem() {
        return problem;
    }
}
