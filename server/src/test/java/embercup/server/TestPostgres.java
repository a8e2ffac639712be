package embercup.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.concurrent.TimeUnit;

/** A PostgreSQL of the tests' own on loopback, made by the same script that {@code ./start} uses; ends with the JVM. */
public final class TestPostgres {

    private static final TestPostgres ONE = new TestPostgres();

    private final Path home;
    private final String url;
    private final String password;

    private TestPostgres() {
        try {
            home = Files.createTempDirectory(
                    "ember-test-", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx--x--x")));
            String[] answer = script("start", home.toString(), "--fast").split(" ");
            url = "jdbc:postgresql://127.0.0.1:" + answer[0] + "/ember";
            password = answer[1];
        } catch (IOException e) {
            throw new IllegalStateException("no PostgreSQL for the tests", e);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(this::end));
    }

    public static TestPostgres get() {
        return ONE;
    }

    public String url() {
        return url;
    }

    public String password() {
        return password;
    }

    private void end() {
        try {
            script("stop", home.toString());
            new ProcessBuilder("rm", "-rf", home.toString()).start().waitFor(20, TimeUnit.SECONDS);
        } catch (IOException e) {
            System.err.println("The test database was not cleaned up: " + e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static String script(String... args) throws IOException {
        Path tools = Path.of("").toAbsolutePath();
        while (tools != null && !Files.isExecutable(tools.resolve("tools/postgres"))) {
            tools = tools.getParent();
        }
        if (tools == null) {
            throw new IOException("tools/postgres is not above " + Path.of("").toAbsolutePath());
        }
        java.util.List<String> command = new java.util.ArrayList<>();
        command.add(tools.resolve("tools/postgres").toString());
        command.addAll(java.util.List.of(args));
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String out =
                new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8).strip();
        try {
            if (process.waitFor() != 0) {
                throw new IOException(String.join(" ", command) + " failed");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
        return out;
    }
}
