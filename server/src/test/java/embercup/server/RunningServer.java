package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application on the real database, started once for the whole test run; called over HTTP. */
public final class RunningServer implements BeforeAllCallback {

    public static final JsonMapper JSON = JsonMapper.builder().build();

    private static ConfigurableApplicationContext context;
    private static String address;
    private static final Set<String> demo = new HashSet<>();

    @Override
    public void beforeAll(ExtensionContext extension) {
        address();
    }

    /** Address of the one server, for example {@code http://127.0.0.1:40311}; starts it when needed. */
    public static synchronized String address() {
        if (context == null) {
            context = start(Map.of("ember.demo", "true"));
            address = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
            onTheFire().forEach(brew -> demo.add(brew.get("id").asString()));
        }
        return address;
    }

    /** Of the one server. */
    public static <T> T bean(Class<T> type) {
        address();
        return context.getBean(type);
    }

    /** Gives up every brew that is waiting or burning and is not the demo household's own. */
    public static void offTheFire() {
        if (context == null) {
            return;
        }
        for (JsonNode line : onTheFire()) {
            String brew = line.get("id").asString();
            if (!demo.contains(brew)) {
                post(
                        "/api/brews/" + brew + "/events",
                        "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()));
            }
        }
    }

    /** Brews that are waiting or burning, as the day strip has them. */
    public static List<JsonNode> onTheFire() {
        Instant now = Instant.now();
        String days = "?from=%s&to=%s".formatted(now.minus(1, ChronoUnit.DAYS), now.plus(1, ChronoUnit.DAYS));
        return get("/api/day" + days).body().get("open").valueStream().toList();
    }

    /** Another server on the same database. */
    public static ConfigurableApplicationContext start(Map<String, Object> more, String... args) {
        TestPostgres postgres = TestPostgres.get();
        Map<String, Object> properties = new HashMap<>();
        properties.put("server.port", "0");
        properties.put("ember.nightly", "false");
        properties.put("spring.datasource.url", postgres.url());
        properties.put("spring.datasource.username", "ember");
        properties.put("spring.datasource.password", postgres.password());
        properties.putAll(more);
        return EmberCup.run(properties, args);
    }

    /** An empty household of its own, beside the one of the tests; gone when it is closed. */
    public record Elsewhere(ConfigurableApplicationContext context, String address, String schema)
            implements AutoCloseable {

        @Override
        public void close() {
            context.close();
            sql("drop schema " + schema + " cascade");
        }
    }

    public static Elsewhere elsewhere(String schema) {
        return elsewhere(schema, false);
    }

    /** @param demo whether the demo household lives in it */
    public static Elsewhere elsewhere(String schema, boolean demo) {
        ConfigurableApplicationContext context = start(Map.of(
                "spring.datasource.url",
                TestPostgres.get().url() + "?currentSchema=" + schema,
                "spring.flyway.schemas",
                schema,
                "ember.demo",
                String.valueOf(demo)));
        return new Elsewhere(
                context, "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port"), schema);
    }

    /** Straight into the database of the tests. */
    public static void sql(String sql) {
        try (Connection c = database()) {
            c.createStatement().execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The first column of what the database answers. */
    public static List<String> rows(String sql) {
        try (Connection c = database();
                ResultSet all = c.createStatement().executeQuery(sql)) {
            List<String> rows = new ArrayList<>();
            while (all.next()) {
                rows.add(all.getString(1));
            }
            return rows;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Connection database() throws SQLException {
        return DriverManager.getConnection(
                TestPostgres.get().url(), "ember", TestPostgres.get().password());
    }

    /**
     * Another server on the same database, open to the house's network.
     *
     * @param here its address for this machine, @param house for the house's devices, over HTTPS
     */
    public record Kitchen(ConfigurableApplicationContext context, String here, String house) implements AutoCloseable {

        @Override
        public void close() {
            context.close();
        }
    }

    /** @param home where its certificates are kept */
    public static Kitchen kitchen(Path home) {
        ConfigurableApplicationContext context = start(Map.of(
                "ember.demo",
                "false",
                "ember.kitchen",
                "true",
                "ember.kitchen-port",
                "0",
                "ember.home",
                home.toString()));
        String here = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
        String told =
                get(here, "/api/door/me").body().get("network").get("address").asString();
        return new Kitchen(
                context, here, "https://127.0.0.1:" + URI.create(told).getPort());
    }

    /** An answer: its status and its body as JSON. */
    public record Answer(HttpStatusCode status, JsonNode body) {
        public int code() {
            return status.value();
        }
    }

    /** With what a path is answered that is no JSON. */
    public static int status(String path) {
        return RestClient.create(address()).get().uri(path).exchange((request, response) -> response.getStatusCode()
                .value());
    }

    public static Answer get(String path) {
        return get(address(), path);
    }

    public static Answer get(String server, String path) {
        return RestClient.create(server).get().uri(path).exchange((request, response) -> read(response));
    }

    /** What happens to a brew. @param kind of the event, @param more its other fields, each after a comma; may be empty */
    public static Answer event(String brew, String kind, String more) {
        return post(
                "/api/brews/" + brew + "/events",
                "{\"id\":\"%s\",\"kind\":\"%s\"%s}".formatted(UUID.randomUUID(), kind, more));
    }

    /** The same, taken by the server. */
    public static void event(String brew, String kind) {
        Answer answer = event(brew, kind, "");
        assertThat(answer.code()).as("%s: %s", kind, answer.body()).isEqualTo(200);
    }

    public static Answer post(String path, String json) {
        return send("POST", path, json);
    }

    /** To another server than the one of the tests. */
    public static Answer post(String server, String path, String json) {
        return RestClient.create(server)
                .post()
                .uri(path)
                .contentType(MediaType.APPLICATION_JSON)
                .body(json)
                .exchange((request, response) -> read(response));
    }

    /** A body of another type, in UTF-8. */
    public static Answer postAs(String path, String type, String body) {
        return RestClient.create(address())
                .post()
                .uri(path)
                .header("Content-Type", type)
                .body(body.getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .exchange((request, response) -> read(response));
    }

    public static Answer put(String path, String json) {
        return send("PUT", path, json);
    }

    public static Answer delete(String path) {
        return RestClient.create(address()).delete().uri(path).exchange((request, response) -> read(response));
    }

    private static Answer send(String method, String path, String json) {
        return RestClient.create(address())
                .method(org.springframework.http.HttpMethod.valueOf(method))
                .uri(path)
                .contentType(MediaType.APPLICATION_JSON)
                .body(json)
                .exchange((request, response) -> read(response));
    }

    private static Answer read(org.springframework.http.client.ClientHttpResponse response) throws java.io.IOException {
        byte[] bytes = response.getBody().readAllBytes();
        return new Answer(response.getStatusCode(), bytes.length == 0 ? JSON.nullNode() : JSON.readTree(bytes));
    }
}
