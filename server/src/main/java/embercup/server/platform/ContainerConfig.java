package embercup.server.platform;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The container around the application. */
@Configuration
class ContainerConfig {

    /** Attribute of a request: what leaves the rest of its body unread, so that no thread waits for it after the answer. */
    static final String LEAVE_UNREAD = "ember.leave-unread";

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> problems() {
        return factory -> {
            factory.addContextCustomizers(context -> {
                if (context.getParent() instanceof StandardHost host) {
                    host.setErrorReportValveClass(ProblemValve.class.getName());
                }
            });
            factory.addEngineValves(new Unread());
        };
    }

    /** Gives each request the means to leave its body where it is. */
    private static final class Unread extends ValveBase {

        Unread() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            request.setAttribute(LEAVE_UNREAD, (Runnable)
                    () -> request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null));
            getNext().invoke(request, response);
        }
    }
}
