package embercup.server;

import java.net.ConnectException;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
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
        List<Throwable> causes =
                Stream.iterate(failure, Objects::nonNull, Throwable::getCause).toList();
        for (Throwable t : causes) {
            if (t instanceof PortInUseException p) {
                return "port " + p.getPort() + " is taken by another program; choose one with EMBER_PORT";
            }
            // The driver says "refused" of both: of a server that is not there, and of one that does not let in.
            if (t instanceof ConnectException || t instanceof UnknownHostException) {
                return "the database does not answer (" + t.getMessage() + "); check EMBER_DB_URL or start it";
            }
        }
        for (Throwable t : causes) {
            if (t instanceof PSQLException p) {
                return "the database refused: " + String.valueOf(p.getMessage()).replace('\n', ' ');
            }
        }
        return "could not start: " + causes.get(causes.size() - 1).getMessage();
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
