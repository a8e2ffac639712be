package embercup.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The command of the README, as a person at a terminal types it. */
class StartCommandTest {

    private static Path home;

    @BeforeAll
    static void aDirectoryOfItsOwn() throws IOException {
        home = Files.createTempDirectory(
                "ember-start-", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx--x--x")));
    }

    @AfterAll
    static void cleanUp() throws Exception {
        new ProcessBuilder("rm", "-rf", home.toString()).start().waitFor();
    }

    private static String get(int port, String path) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .build();
        return HttpClient.newHttpClient()
                .send(request, HttpResponse.BodyHandlers.ofString())
                .body();
    }

    @Test
    void itSetsUpServesKeepsAndEndsCleanly() throws Exception {
        int port = StartCommand.freePort();
        StartCommand first = StartCommand.type(home, port, Map.of());
        assertThat(first.says("Ember Cup is ready: http://127.0.0.1:" + port, StartCommand.READY_S))
                .as(first.said())
                .isTrue();
        assertThat(first.said().lines().filter(line -> !line.startsWith("Building")))
                .as("only what a user needs")
                .hasSize(1);
        assertThat(get(port, "/api/recipes")).contains("Linden and elderflower");
        assertThat(get(port, "/")).contains("<div id=\"root\">");

        StartCommand second = StartCommand.type(home, StartCommand.freePort(), Map.of());
        assertThat(second.process().waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(second.process().exitValue()).isEqualTo(1);
        assertThat(second.said()).contains("already running");

        Path password = home.resolve("demo/password");
        assertThat(Files.getPosixFilePermissions(password))
                .containsExactlyInAnyOrder(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
        assertThat(first.interrupt()).isZero();
        assertThat(first.said()).contains("Stopped. Everything is kept");
        assertThat(Files.exists(home.resolve("demo/cluster/postmaster.pid"))).isFalse();

        StartCommand own = StartCommand.type(home, port, Map.of(), "--own");
        assertThat(own.says("Ember Cup is ready", StartCommand.READY_S))
                .as(own.said())
                .isTrue();
        assertThat(get(port, "/api/recipes")).isEqualTo("[]");
        assertThat(own.interrupt()).isZero();
    }

    @Test
    void aTakenPortIsSaidInOneSentence() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, java.net.InetAddress.getLoopbackAddress())) {
            StartCommand start = StartCommand.type(
                    home,
                    taken.getLocalPort(),
                    Map.of("EMBER_DATA", home.resolve("other").toString()));
            assertThat(start.process().waitFor(60, TimeUnit.SECONDS)).isTrue();
            assertThat(start.process().exitValue()).isEqualTo(1);
            assertThat(start.said().strip().lines())
                    .hasSize(1)
                    .first()
                    .asString()
                    .contains("is taken by another program");
        }
    }

    /** @param host as a JDBC address has it; the last is a name that there is not (RFC 2606) */
    @ParameterizedTest
    @CsvSource({"127.0.0.1, true", "localhost, true", "[::1], true", "database.invalid, false"})
    void aDatabaseThatDoesNotAnswerIsSaidInOneSentence(String host, boolean withPort) throws Exception {
        String url = "jdbc:postgresql://" + host + (withPort ? ":" + StartCommand.freePort() : "") + "/ember";
        StartCommand start = StartCommand.type(
                home,
                StartCommand.freePort(),
                Map.of(
                        "EMBER_DATA",
                        home.resolve("away").toString(),
                        "EMBER_DB_URL",
                        url + "?password=not-to-be-printed"));
        assertThat(start.process().waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(start.process().exitValue()).isEqualTo(1);
        assertThat(start.said())
                .isEqualTo("Ember Cup: the database does not answer at " + url + "; check EMBER_DB_URL or start it\n");
    }

    @Test
    void aWrongWordOrPortIsRefused() throws Exception {
        StartCommand word = StartCommand.type(home, StartCommand.freePort(), Map.of(), "--theirs");
        assertThat(word.process().waitFor()).isEqualTo(1);
        assertThat(word.said()).contains("./start knows --own");
        StartCommand port = StartCommand.type(home, 1, Map.of("EMBER_PORT", "tea"));
        assertThat(port.process().waitFor()).isEqualTo(1);
        assertThat(port.said()).contains("a number from 1 to 65535");
    }

    /** Both at once: no room, and a database that ended. Starting it in vain is no fall, and it goes on when there is room. */
    @Test
    void aFullDiskUnderAKilledDatabaseIsWaitedForAndThenItGoesOn() throws Exception {
        Path disk = Files.createTempDirectory(
                "ember-small-", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx--x--x")));
        assumeTrue(
                run("mount", "-t", "tmpfs", "-o", "size=400m,mode=711", "tmpfs", disk.toString()),
                "this machine lets nobody mount a small disk");
        try {
            int port = StartCommand.freePort();
            StartCommand start = StartCommand.type(disk, port, Map.of()).ready();
            assertThat(get(port, "/api/recipes")).contains("Linden and elderflower");
            Path filler = disk.resolve("filler");
            Files.write(filler, new byte[(int) (Files.getFileStore(disk).getUsableSpace() - 5_000_000)]);
            StartCommand.killDatabase(disk);
            assertThat(start.says("as soon as there is room", StartCommand.READY_S))
                    .as(start.said())
                    .isTrue();
            assertThat(start.process().isAlive()).isTrue();
            Files.delete(filler);
            assertThat(start.says("The database ended by itself; it is started again", StartCommand.READY_S))
                    .as(start.said())
                    .isTrue();
            long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(StartCommand.READY_S);
            while (!get(port, "/api/recipes").contains("Linden and elderflower")) {
                assertThat(System.nanoTime()).as("asked again and again").isLessThan(until);
            }
            start.interrupt();
        } finally {
            run("umount", disk.toString());
        }
    }

    private static boolean run(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        process.getInputStream().readAllBytes();
        return process.waitFor() == 0;
    }
}
