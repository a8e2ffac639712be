package embercup.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** A running {@code ./start} of the README with what it has said so far. */
record StartCommand(Process process, Path log) {

    static final int READY_S = 240;

    /** Types it at a terminal of its own. */
    static StartCommand type(Path home, int port, Map<String, String> more, String... arguments) throws IOException {
        Path log = Files.createTempFile(home, "start-", ".log");
        List<String> command = new ArrayList<>(List.of(root().resolve("start").toString()));
        command.addAll(List.of(arguments));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile());
        Map<String, String> environment =
                new HashMap<>(Map.of("EMBER_DATA", home.toString(), "EMBER_PORT", String.valueOf(port)));
        environment.putAll(more);
        builder.environment().putAll(environment);
        return new StartCommand(builder.start(), log);
    }

    private static Path root() {
        Path at = Path.of("").toAbsolutePath();
        while (!Files.isExecutable(at.resolve("start"))) {
            at = at.getParent();
        }
        return at;
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    String said() throws IOException {
        return Files.readString(log);
    }

    boolean says(String words, int seconds) throws Exception {
        for (int i = 0; i < seconds * 5; i++) {
            if (said().contains(words)) {
                return true;
            }
            if (!process.isAlive()) {
                return said().contains(words);
            }
            Thread.sleep(200);
        }
        return false;
    }

    StartCommand ready() throws Exception {
        assertThat(says("Ember Cup is ready", READY_S)).as(said()).isTrue();
        return this;
    }

    /** Ctrl-C. @return its exit code */
    int interrupt() throws Exception {
        new ProcessBuilder("kill", "-TERM", String.valueOf(process.pid()))
                .start()
                .waitFor();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).as("ends after TERM").isTrue();
        return process.exitValue();
    }

    /** kill -9 of the server under it; the command starts it again. */
    void killServer() {
        process.descendants()
                .filter(p -> p.info().command().orElse("").endsWith("java"))
                .findFirst()
                .orElseThrow()
                .destroyForcibly();
    }

    /** kill -9 of the database under it, whole. */
    static void killDatabase(Path home) throws Exception {
        String pid =
                Files.readAllLines(home.resolve("demo/cluster/postmaster.pid")).get(0);
        ProcessHandle postmaster = ProcessHandle.of(Long.parseLong(pid)).orElseThrow();
        List<ProcessHandle> all = new ArrayList<>(postmaster.descendants().toList());
        all.add(0, postmaster);
        for (ProcessHandle p : all) {
            new ProcessBuilder("kill", "-KILL", String.valueOf(p.pid())).start().waitFor();
        }
    }
}
