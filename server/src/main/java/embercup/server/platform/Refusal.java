package embercup.server.platform;

import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** A request that is understood and refused; becomes a {@link Problem}. */
public final class Refusal extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient Problem problem;

    private Refusal(HttpStatus status, Problem problem) {
        super(problem.detail());
        this.status = status;
        this.problem = problem;
    }

    /** Nothing there under this id. */
    public static Refusal notFound(String what, Object id) {
        return of(
                HttpStatus.NOT_FOUND,
                "not-found",
                "There is no such " + what,
                "No " + what + " has the id " + id + ".");
    }

    /**
     * Refuses a change that is based on an older version than is kept.
     *
     * @param based the version the change is based on
     * @param current what stands now; asked for only when it is refused
     * @throws embercup.core.workings.InvalidInput when no version is given
     * @throws Refusal 409 when somebody else saved first
     */
    public static void unlessNewest(@Nullable Long based, @Nullable Long kept, String what, Supplier<?> current) {
        if (!Fields.need(based, "version", "the version the change is based on").equals(kept)) {
            throw stale(what, current.get());
        }
    }

    /** Somebody else saved first; {@code current} is what stands now. */
    public static Refusal stale(String what, Object current) {
        Problem problem = Problem.of(
                        HttpStatus.CONFLICT,
                        "stale-edit",
                        "Somebody saved this " + what + " before you",
                        "Nothing was overwritten. Compare with what stands now and save again.",
                        List.of())
                .withCurrent(current);
        return new Refusal(HttpStatus.CONFLICT, problem);
    }

    public static Refusal of(HttpStatus status, String code, String title, String detail) {
        return new Refusal(status, Problem.of(status, code, title, detail, List.of()));
    }

    HttpStatus status() {
        return status;
    }

    Problem problem() {
        return problem;
    }
}
