package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;

/** A disk that has no room left, for real: a small file system of its own, where this machine allows one. */
class DiskFullTest {

    private static final String RECIPE = """
            {"name":"Filler %d","cups":1,"cupMl":240,"written":"%s",
             "additions":[{"herb":"ginger","form":"dried","cut":"chopped","amount":1,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":5},{"kind":"strain"}]}""";

    private static String run(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes()).strip();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        return process.exitValue() == 0 ? said : "failed: " + said;
    }

    private static String root() {
        Path at = Path.of("").toAbsolutePath();
        while (!Files.isExecutable(at.resolve("tools/postgres"))) {
            at = at.getParent();
        }
        return at.resolve("tools/postgres").toString();
    }

    @Test
    void aFullDiskIsToldAsSuchLosesNothingAndRecoversByItself() throws Exception {
        Path disk = Files.createTempDirectory(
                "ember-disk-", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx--x--x")));
        assumeTrue(
                !run("mount", "-t", "tmpfs", "-o", "size=110m,mode=711", "tmpfs", disk.toString())
                        .startsWith("failed"),
                "this machine lets nobody mount a small disk");
        try {
            String[] told = run(root(), "start", disk.toString()).split(" ");
            try (ConfigurableApplicationContext server = EmberCup.run(Map.of(
                    "server.port",
                    "0",
                    "spring.datasource.url",
                    "jdbc:postgresql://127.0.0.1:" + told[0] + "/ember",
                    "spring.datasource.username",
                    "ember",
                    "spring.datasource.password",
                    told[1]))) {
                RestClient http = RestClient.create(
                        "http://127.0.0.1:" + server.getEnvironment().getProperty("local.server.port"));
                assertThat(keep(http, 0)).isEqualTo(201);
                fill(disk);
                int code = 201;
                int kept = 1;
                for (int i = 1; i < 600 && code == 201; i++) {
                    code = keep(http, i);
                    kept += code == 201 ? 1 : 0;
                }
                assertThat(code).as("what a full disk answers").isEqualTo(507);
                assertThat(health(http)).isEqualTo(503);
                assertThat(recipes(http)).as("what was confirmed is there").isEqualTo(kept);
                Files.delete(disk.resolve("filler"));
                assertThat(health(http)).as("room again").isEqualTo(200);
                assertThat(keep(http, 1000)).isEqualTo(201);
                assertThat(recipes(http)).isEqualTo(kept + 1);
            }
        } finally {
            run(root(), "stop", disk.toString());
            run("umount", disk.toString());
        }
    }

    /** All but a few hundred kilobytes. */
    private static void fill(Path disk) throws IOException {
        long free = Files.getFileStore(disk).getUsableSpace();
        Files.write(disk.resolve("filler"), new byte[(int) (free - 300_000)]);
    }

    private static int keep(RestClient http, int n) {
        // A text that does not become smaller when it is packed.
        StringBuilder written = new StringBuilder();
        java.util.Random random = new java.util.Random(n);
        while (written.length() < 19_000) {
            written.append(Long.toString(random.nextLong(), 36));
        }
        return http.post()
                .uri("/api/recipes")
                .contentType(MediaType.APPLICATION_JSON)
                .body("{\"recipe\":" + RECIPE.formatted(n, written) + "}")
                .exchange((q, r) -> r.getStatusCode().value());
    }

    private static int health(RestClient http) {
        return http.get().uri("/actuator/health").exchange((q, r) -> r.getStatusCode()
                .value());
    }

    private static int recipes(RestClient http) {
        return http.get()
                .uri("/api/recipes")
                .exchange((q, r) -> RunningServer.JSON.readTree(r.getBody()).size());
    }
}
