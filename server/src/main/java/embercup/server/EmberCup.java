package embercup.server;

import java.net.ConnectException;
import java.net.UnknownHostException;
import java.util.Map;
import org.postgresql.util.PSQLException;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.web.server.PortInUseException;

/** The server: one package per place of the application. */
@SpringBootApplication
public class EmberCup {

    public static void main(String[] args) {
        try {
            run(Map.of(), args);
        } catch (RuntimeException e) {
            System.err.println("Ember Cup: " + sentence(e));
            System.exit(1);
        }
    }

    /** Why it did not start, in one sentence. */
    static String sentence(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof PortInUseException p) {
                return "port " + p.getPort() + " is taken by another program; choose one with EMBER_PORT";
            }
            if (t instanceof ConnectException || t instanceof UnknownHostException) {
                return "the database does not answer (" + t.getMessage() + "); check EMBER_DB_URL or start it";
            }
            if (t instanceof PSQLException p) {
                return "the database refused: " + String.valueOf(p.getMessage()).replace('\n', ' ');
            }
        }
        Throwable root = failure;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return "could not start: " + root.getMessage();
    }

    /** Starts the application; properties given here win over the shipped ones. */
    public static org.springframework.context.ConfigurableApplicationContext run(
            Map<String, Object> properties, String... args) {
        SpringApplication application = new SpringApplication(EmberCup.class);
        application.addInitializers(context -> context.getEnvironment()
                .getPropertySources()
                .addFirst(new org.springframework.core.env.MapPropertySource("given", properties)));
        return application.run(args);
    }
}
