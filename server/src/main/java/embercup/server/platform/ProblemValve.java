package embercup.server.platform;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;

/** What the container itself refuses, an address that is none for example, is a problem document like any other refusal. */
public final class ProblemValve extends ErrorReportValve {

    @Override
    protected void report(Request request, Response response, @Nullable Throwable failure) {
        int status = response.getStatus();
        if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        String title = status == 400 ? "This address cannot be read" : "Refused";
        String body =
                "{\"type\":\"urn:ember-cup:problem:http-%d\",\"title\":\"%s\",\"status\":%d,\"detail\":\"Nothing was saved.\",\"violations\":[]}"
                        .formatted(status, title, status);
        response.setContentType("application/problem+json");
        try {
            response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
            response.finishResponse();
        } catch (IOException | IllegalStateException e) {
            container.getLogger().debug("Nobody is there to be told", e);
        }
    }
}
