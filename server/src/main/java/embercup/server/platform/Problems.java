package embercup.server.platform;

import embercup.core.workings.InvalidInput;
import embercup.core.workings.InvalidInput.Violation;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Every failure as a problem document: what happened, what is kept, what would be right. */
@RestControllerAdvice
class Problems {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ResponseEntity<Problem> invalid(InvalidInput e) {
        return invalid(e.violations());
    }

    @ExceptionHandler
    ResponseEntity<Problem> refused(Refusal e) {
        return answer(e.status(), e.problem());
    }

    @ExceptionHandler
    ResponseEntity<Problem> unreadable(HttpMessageNotReadableException e) {
        if (e.getCause() instanceof UnrecognizedPropertyException u) {
            String known = u.getKnownPropertyIds() == null
                    ? ""
                    : u.getKnownPropertyIds().stream()
                            .map(String::valueOf)
                            .sorted()
                            .collect(Collectors.joining(", "));
            return invalid(List.of(new Violation(path(u), "", "no such field here; known are " + known)));
        }
        if (e.getCause() instanceof InvalidFormatException f) {
            return invalid(List.of(new Violation(path(f), String.valueOf(f.getValue()), wanted(f))));
        }
        if (e.getCause() instanceof MismatchedInputException m) {
            return invalid(List.of(new Violation(path(m), "", wanted(m))));
        }
        if (e.getCause() instanceof JacksonException j) {
            var at = j.getLocation();
            String where = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
            return answer(
                    HttpStatus.BAD_REQUEST,
                    Problem.of(
                            HttpStatus.BAD_REQUEST,
                            "malformed-json",
                            "This is not JSON",
                            "The body could not be read" + where + ". Nothing was saved.",
                            List.of()));
        }
        return answer(
                HttpStatus.BAD_REQUEST,
                Problem.of(
                        HttpStatus.BAD_REQUEST, "no-body", "A JSON body is wanted", "Nothing was saved.", List.of()));
    }

    private static String wanted(MismatchedInputException e) {
        Class<?> type = e.getTargetType();
        if (type == null) {
            return "another kind of value";
        }
        String name = type.getSimpleName();
        return switch (name) {
            case "double", "Double" -> "a number";
            case "int", "Integer", "long", "Long" -> "a whole number";
            case "boolean", "Boolean" -> "true or false";
            case "String" -> "a text";
            case "UUID" -> "a UUID";
            case "Instant", "OffsetDateTime" -> "a moment such as 2026-11-25T21:05:00Z";
            case "List", "ArrayList" -> "a list";
            default -> "an object";
        };
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
    ResponseEntity<Problem> wrongType(MethodArgumentTypeMismatchException e) {
        return invalid(List.of(new Violation(e.getName(), String.valueOf(e.getValue()), "a value of the right kind")));
    }

    @ExceptionHandler
    ResponseEntity<Problem> stale(OptimisticLockingFailureException e) {
        return answer(
                HttpStatus.CONFLICT,
                Problem.of(
                        HttpStatus.CONFLICT,
                        "stale-edit",
                        "Somebody saved this before you",
                        "Nothing was overwritten. Load it again and save again.",
                        List.of()));
    }

    @ExceptionHandler({DataAccessResourceFailureException.class, CannotCreateTransactionException.class})
    ResponseEntity<Problem> databaseAway(Exception e) {
        LOG.warn("The database does not answer: {}", e.getMessage());
        return answer(
                HttpStatus.SERVICE_UNAVAILABLE,
                Problem.of(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "database-away",
                        "The notebook's database does not answer",
                        "What was confirmed before is safe. Try again in a moment.",
                        List.of()));
    }

    @ExceptionHandler
    @Nullable
    ResponseEntity<Problem> anythingElse(Exception e) {
        if (gone(e)) {
            LOG.debug("A browser went away while it was answered");
            return null;
        }
        if (e instanceof ErrorResponse response) {
            HttpStatus status = HttpStatus.valueOf(response.getStatusCode().value());
            return answer(
                    status,
                    Problem.of(
                            status,
                            "http-" + status.value(),
                            status.getReasonPhrase(),
                            String.valueOf(response.getBody().getDetail()),
                            List.of()));
        }
        LOG.error("Unexpected failure", e);
        return answer(
                HttpStatus.INTERNAL_SERVER_ERROR,
                Problem.of(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        "unexpected",
                        "Something went wrong here",
                        "It is written in the server's log. Nothing was half saved.",
                        List.of()));
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

    private static ResponseEntity<Problem> invalid(List<Violation> violations) {
        String detail =
                violations.stream().map(v -> v.field() + ": " + v.wanted()).collect(Collectors.joining("; "));
        return answer(
                HttpStatus.UNPROCESSABLE_CONTENT,
                Problem.of(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "invalid-input",
                        "This cannot be brewed as written",
                        detail + ". Nothing was saved.",
                        violations));
    }

    private static ResponseEntity<Problem> answer(HttpStatus status, Problem problem) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
