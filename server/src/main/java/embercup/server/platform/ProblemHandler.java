package embercup.server.platform;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.InvalidInputException.Violation;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Kind;
import embercup.server.kept.UnknownFormException;
import jakarta.validation.ConstraintViolation;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Every failure as a problem document: what happened, what is kept, what would be right. */
@RestControllerAdvice
class ProblemHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

    private final DiskHealth disk;

    ProblemHandler(DiskHealth disk) {
        this.disk = disk;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> invalid(InvalidInputException e) {
        return invalid(e.violations());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(RefusedException e) {
        return answer(e.status(), e.problem());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(HttpMessageNotReadableException e) {
        if (e.getCause() instanceof UnrecognizedPropertyException u) {
            List<String> known = u.getReferringClass() == null
                    ? List.of()
                    : WireRecord.components(u.getReferringClass())
                            .map(RecordComponent::getName)
                            .sorted()
                            .toList();
            return invalid(List.of(new Violation(path(u), "", new Wanted.NoSuchField(known))));
        }
        if (e.getCause() instanceof InvalidTypeIdException t) {
            String at = path(t);
            String given = t.getTypeId() == null ? "" : t.getTypeId();
            return invalid(List.of(new Violation(at.isEmpty() ? "kind" : at + ".kind", given, kinds(t))));
        }
        if (e.getCause() instanceof InvalidFormatException f) {
            return invalid(List.of(new Violation(path(f), String.valueOf(f.getValue()), wanted(f.getTargetType()))));
        }
        if (e.getCause() instanceof MismatchedInputException m) {
            return invalid(List.of(new Violation(path(m), "", wanted(m.getTargetType()))));
        }
        if (e.getCause() instanceof JacksonException j) {
            var at = j.getLocation();
            return answer(
                    HttpStatus.BAD_REQUEST,
                    at == null
                            ? Problem.of(HttpStatus.BAD_REQUEST, "malformed-json", Map.of("placed", "false"))
                            : Problem.of(
                                    HttpStatus.BAD_REQUEST,
                                    "malformed-json",
                                    Map.of("placed", "true", "line", at.getLineNr(), "column", at.getColumnNr())));
        }
        return answer(HttpStatus.BAD_REQUEST, Problem.of(HttpStatus.BAD_REQUEST, "no-body", Map.of()));
    }

    /** The names of the members of a family on the wire. */
    private static Wanted kinds(InvalidTypeIdException e) {
        JsonSubTypes all =
                e.getBaseType() == null ? null : e.getBaseType().getRawClass().getAnnotation(JsonSubTypes.class);
        return all == null
                ? new Wanted.OfKind(Kind.RIGHT_KIND)
                : new Wanted.OneOf(
                        Arrays.stream(all.value()).map(JsonSubTypes.Type::name).toList());
    }

    private static Wanted wanted(@Nullable Class<?> type) {
        String name = type == null ? "" : type.getSimpleName();
        return new Wanted.OfKind(
                switch (name) {
                    case "double", "Double" -> Kind.NUMBER;
                    case "int", "Integer", "long", "Long" -> Kind.WHOLE_NUMBER;
                    case "boolean", "Boolean" -> Kind.TRUE_OR_FALSE;
                    case "String" -> Kind.TEXT;
                    case "UUID" -> Kind.UUID;
                    case "Instant", "OffsetDateTime" -> Kind.MOMENT;
                    case "LocalDate" -> Kind.DAY;
                    case "List", "ArrayList" -> Kind.LIST;
                    case "" -> Kind.RIGHT_KIND;
                    default -> Kind.OBJECT;
                });
    }

    private static String path(JacksonException e) {
        StringBuilder path = new StringBuilder();
        for (var part : e.getPath()) {
            if (part.getPropertyName() != null) {
                path.append(path.isEmpty() ? "" : ".").append(part.getPropertyName());
            } else {
                path.append('[').append(part.getIndex()).append(']');
            }
        }
        return path.toString();
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> broken(MethodArgumentNotValidException e) {
        return invalid(e.getBindingResult().getAllErrors().stream()
                .map(b -> Constraints.violation(b.unwrap(ConstraintViolation.class)))
                .sorted(Comparator.comparing(Violation::field))
                .toList());
    }

    /** What ends an address and is no id leads nowhere; what stands behind its question mark is a wrong value. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongType(MethodArgumentTypeMismatchException e) {
        if (e.getParameter().hasParameterAnnotation(PathVariable.class)) {
            return answer(HttpStatus.NOT_FOUND, Problem.of(HttpStatus.NOT_FOUND, "nowhere", Map.of()));
        }
        return invalid(List.of(new Violation(e.getName(), String.valueOf(e.getValue()), wanted(e.getRequiredType()))));
    }

    /** A later version kept what is asked for: it is named, and left as it is. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> laterForm(UnknownFormException e) {
        return answer(
                HttpStatus.CONFLICT,
                Problem.of(
                        HttpStatus.CONFLICT,
                        "later-form",
                        Map.of("kind", e.kind(), "form", e.form(), "newest", e.newest())));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> stale(OptimisticLockingFailureException e) {
        return answer(HttpStatus.CONFLICT, Problem.of(HttpStatus.CONFLICT, "stale-save", Map.of()));
    }

    /** Two changes that do not go together were made at once, and this was the later. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> thereAlready(DataIntegrityViolationException e) {
        LOG.debug("Refused by the database", e);
        return answer(HttpStatus.CONFLICT, Problem.of(HttpStatus.CONFLICT, "there-already", Map.of()));
    }

    @ExceptionHandler({DataAccessResourceFailureException.class, CannotCreateTransactionException.class})
    ResponseEntity<ProblemDetail> databaseAway(Exception e) {
        if (DiskFull.isBehind(e)) {
            return diskFull();
        }
        LOG.warn("The database does not answer: {}", e.getMessage());
        return answer(
                HttpStatus.SERVICE_UNAVAILABLE, Problem.of(HttpStatus.SERVICE_UNAVAILABLE, "database-away", Map.of()));
    }

    @ExceptionHandler
    @Nullable
    ResponseEntity<ProblemDetail> anythingElse(Exception e) {
        if (gone(e)) {
            LOG.debug("A browser went away while it was answered");
            return null;
        }
        if (DiskFull.isBehind(e)) {
            return diskFull();
        }
        if (e instanceof ErrorResponse response) {
            HttpStatus status = HttpStatus.valueOf(response.getStatusCode().value());
            return answer(
                    status,
                    Problem.framework(status, String.valueOf(response.getBody().getDetail())));
        }
        LOG.error("Unexpected failure", e);
        return answer(
                HttpStatus.INTERNAL_SERVER_ERROR, Problem.of(HttpStatus.INTERNAL_SERVER_ERROR, "unexpected", Map.of()));
    }

    private ResponseEntity<ProblemDetail> diskFull() {
        disk.seenFull();
        return answer(
                HttpStatus.INSUFFICIENT_STORAGE, Problem.of(HttpStatus.INSUFFICIENT_STORAGE, "disk-full", Map.of()));
    }

    /** Whether the browser went away: a closed stream, a reload in the middle of an answer; there is nobody to tell. */
    private static boolean gone(Exception e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof AsyncRequestNotUsableException || t instanceof AsyncRequestTimeoutException) {
                return true;
            }
        }
        return false;
    }

    private static ResponseEntity<ProblemDetail> invalid(List<Violation> violations) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, Problem.invalid(HttpStatus.UNPROCESSABLE_CONTENT, violations));
    }

    private static ResponseEntity<ProblemDetail> answer(HttpStatus status, ProblemDetail problem) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
