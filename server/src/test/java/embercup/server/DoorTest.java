package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who may come in, and what is promised at the door. */
@ExtendWith(RunningServer.class)
class DoorTest {

    /** Status line of a raw request: HTTP clients do not let a test forge the Host. */
    private static String raw(String host, String more) throws IOException {
        URI address = URI.create(RunningServer.address());
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            String request = "GET /api/herbs HTTP/1.1\r\nHost: " + host + "\r\n" + more + "Connection: close\r\n\r\n";
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))
                    .readLine();
        }
    }

    @Test
    void aNameThatWasBentToThisAddressIsRefused() throws IOException {
        int port = URI.create(RunningServer.address()).getPort();
        assertThat(raw("127.0.0.1:" + port, "")).contains("200");
        assertThat(raw("localhost:" + port, "")).contains("200");
        assertThat(raw("evil.example:" + port, "")).contains("403");
    }

    @Test
    void anotherPagesScriptIsRefused() throws IOException {
        int port = URI.create(RunningServer.address()).getPort();
        String host = "127.0.0.1:" + port;
        assertThat(raw(host, "Origin: http://" + host + "\r\n")).contains("200");
        assertThat(raw(host, "Origin: http://evil.example\r\n")).contains("403");
        assertThat(raw(host, "Origin: null\r\n")).contains("403");
    }

    @Test
    void theServerIsHealthyAndShowsNothingElse() {
        assertThat(RunningServer.get("/actuator/health").body().get("status").asString())
                .isEqualTo("UP");
        assertThat(RunningServer.get("/actuator/env").code()).isEqualTo(404);
    }

    /** Run {@code tools/api-types} when this fails: it takes what is written here, and writes the copy and the TypeScript types anew. */
    @Test
    void theCommittedOpenApiCopyIsWhatTheServerSays() throws IOException {
        JsonNode served = RunningServer.get("/v3/api-docs").body();
        Files.writeString(Path.of("target/openapi.json"), RunningServer.JSON.writeValueAsString(served));
        Path copy = Path.of("../web/api/openapi.json").toAbsolutePath();
        assertThat(RunningServer.JSON.readTree(Files.readString(copy))).isEqualTo(served);
    }

    @Test
    void limitsStandInTheOpenApiDocument() {
        JsonNode ask = RunningServer.get("/v3/api-docs")
                .body()
                .get("components")
                .get("schemas")
                .get("OrderRequest");
        assertThat(ask.get("properties").get("cups").get("maximum").asInt()).isEqualTo(40);
        assertThat(ask.get("properties").get("cupMl").get("minimum").asInt()).isEqualTo(30);
    }

    /** Every number somebody may send says its range, every text its length or its words. */
    @Test
    void everyFieldThatIsSentSaysItsLimits() {
        JsonNode schemas =
                RunningServer.get("/v3/api-docs").body().get("components").get("schemas");
        List<String> silent = new ArrayList<>();
        schemas.propertyNames().stream()
                .filter(n -> n.matches(".*(Request|Document|Part)"))
                .forEach(n -> {
                    JsonNode whole = schemas.get(n);
                    JsonNode own = whole.has("allOf") ? whole.get("allOf").get(1) : whole;
                    JsonNode properties = own.path("properties");
                    properties.propertyNames().forEach(p -> {
                        if (!limited(properties.get(p))
                                && !List.of("version", "kind").contains(p)) {
                            silent.add(n + "." + p);
                        }
                    });
                });
        assertThat(silent).isEmpty();
    }

    private static boolean limited(JsonNode schema) {
        return switch (schema.path("type").asString("")) {
            case "number", "integer" ->
                schema.has("maximum") && (schema.has("minimum") || schema.has("exclusiveMinimum"));
            case "string" -> schema.has("maxLength") || schema.has("enum") || schema.has("format");
            default -> true;
        };
    }
}
