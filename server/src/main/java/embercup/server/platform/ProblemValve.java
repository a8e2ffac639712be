package embercup.server.platform;

import java.io.IOException;
import java.util.Map;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** What the container itself refuses, an address that is none for example, is a problem document like any other refusal. */
public final class ProblemValve extends ErrorReportValve {

    @Override
    protected void report(Request request, Response response, @Nullable Throwable failure) {
        int status = response.getStatus();
        if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        try {
            Refusals.write(
                    response.getResponse(),
                    status == 400
                            ? Problem.of(HttpStatus.BAD_REQUEST, "no-address", Map.of())
                            : Problem.framework(HttpStatus.valueOf(status), "Nothing was saved."));
            response.finishResponse();
        } catch (IOException | IllegalStateException e) {
            container.getLogger().debug("Nobody is there to be told", e);
        }
    }
}
