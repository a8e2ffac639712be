package embercup.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem document where no controller has begun: at the door and on the way in. */
public final class Refusals {

    private Refusals() {}

    static void write(JsonMapper json, HttpServletResponse response, ProblemDetail problem) throws IOException {
        byte[] body = json.writeValueAsBytes(problem);
        response.setStatus(problem.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setContentLength(body.length);
        response.getOutputStream().write(body);
    }
}
