package embercup.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.json.ProblemDetailJacksonMixin;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem document where no controller has begun: at the door and on the way in. */
public final class Refusals {

    private static final JsonMapper JSON = JsonMapper.builder()
            .addMixIn(ProblemDetail.class, ProblemDetailJacksonMixin.class)
            .build();

    private Refusals() {}

    /** @param code names the problem, {@code problem.<code>} in the catalogue */
    public static void write(HttpServletResponse response, HttpStatus status, String code) throws IOException {
        write(response, status, code, Map.of());
    }

    /** @param arguments what its sentences name */
    public static void write(HttpServletResponse response, HttpStatus status, String code, Map<String, ?> arguments)
            throws IOException {
        write(response, Problem.of(status, code, arguments));
    }

    static void write(HttpServletResponse response, ProblemDetail problem) throws IOException {
        byte[] body = JSON.writeValueAsBytes(problem);
        response.setStatus(problem.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setContentLength(body.length);
        response.getOutputStream().write(body);
    }
}
