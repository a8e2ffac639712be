package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.sql.DriverManager;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The kitchen opened to the house's network: nobody gets in unpaired, and whoever is sent away is out at once. */
@ExtendWith(RunningServer.class)
class PairingTest {

    @TempDir
    static Path home;

    private static RunningServer.Kitchen kitchen;
    private static String here;
    private static String house;
    private static SSLContext trusting;

    @BeforeAll
    static void open() throws Exception {
        kitchen = RunningServer.kitchen(home);
        here = kitchen.here();
        house = kitchen.house();
        X509Certificate authority;
        try (InputStream in = Files.newInputStream(home.resolve("kitchen/authority.crt"))) {
            authority =
                    (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
        }
        KeyStore known = KeyStore.getInstance("PKCS12");
        known.load(null, null);
        known.setCertificateEntry("kitchen", authority);
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(known);
        trusting = SSLContext.getInstance("TLS");
        trusting.init(null, trust.getTrustManagers(), null);
    }

    @AfterAll
    static void close() {
        kitchen.close();
    }

    /** Wrong codes of one test keep no other out. */
    @AfterEach
    void forgetWrongCodes() throws Exception {
        TestPostgres postgres = TestPostgres.get();
        try (var connection = DriverManager.getConnection(postgres.url(), "ember", postgres.password());
                var statement = connection.createStatement()) {
            statement.executeUpdate("delete from door_audit where what = 'code-wrong'");
        }
    }

    /** A browser of the house: it trusts the kitchen's authority, and keeps its cookies. */
    private static final class Phone {

        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .sslContext(trusting)
                .cookieHandler(cookies)
                .build();
        private String server = house;

        private HttpResponse<String> send(String method, String path, String body, String... headers) throws Exception {
            HttpRequest.Builder ask = HttpRequest.newBuilder(URI.create(server + path))
                    .timeout(Duration.ofSeconds(15))
                    .method(method, HttpRequest.BodyPublishers.ofString(body))
                    .header("Content-Type", "application/json");
            for (int i = 0; i < headers.length; i += 2) {
                ask.header(headers[i], headers[i + 1]);
            }
            return http.send(ask.build(), HttpResponse.BodyHandlers.ofString());
        }

        private int get(String path) throws Exception {
            return send("GET", path, "").statusCode();
        }

        /** As the page does: with the token that its script read from the cookie. */
        private HttpResponse<String> change(String method, String path, String body) throws Exception {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(c -> c.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("none");
            return send(method, path, body, "X-XSRF-TOKEN", token);
        }

        private JsonNode pair(String code, String name) throws Exception {
            HttpResponse<String> told =
                    send("POST", "/api/door/pair", "{\"code\":\"%s\",\"name\":\"%s\"}".formatted(code, name));
            assertThat(told.statusCode()).as(told.body()).isEqualTo(200);
            assertThat(get("/api/door/me")).isEqualTo(200);
            return RunningServer.JSON.readTree(told.body());
        }
    }

    private static String code(String role) {
        return call("POST", "/api/door/codes", "{\"role\":\"" + role + "\"}")
                .get("code")
                .asString();
    }

    /** Asked on the machine itself. */
    private static JsonNode call(String method, String path, String body) {
        try {
            HttpResponse<String> told = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(here + path))
                                    .header("Content-Type", "application/json")
                                    .method(method, HttpRequest.BodyPublishers.ofString(body))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            assertThat(told.statusCode()).as(path + told.body()).isLessThan(300);
            return told.body().isEmpty() ? RunningServer.JSON.nullNode() : RunningServer.JSON.readTree(told.body());
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> audited() {
        return call("GET", "/api/door/audit", "")
                .valueStream()
                .map(l -> l.get("what").asString())
                .toList();
    }

    @Test
    void everyOperationOfTheDocumentIsClosedToWhoIsNotPaired() throws Exception {
        Phone stranger = new Phone();
        List<String> open = new ArrayList<>();
        JsonNode paths = RunningServer.get("/v3/api-docs").body().get("paths");
        assertThat(paths.size()).isGreaterThan(30);
        for (var path : paths.propertyStream().toList()) {
            String address = path.getKey()
                    .replaceAll("\\{(id|brewId|recipeId)}", UUID.randomUUID().toString())
                    .replaceAll("\\{[^}]+}", "ginger");
            for (String method : path.getValue().propertyNames()) {
                int code = stranger.send(method.toUpperCase(), address, "{}").statusCode();
                boolean refused = code == 401 || code == 403 || address.equals("/api/door/pair") && code == 422;
                if (!refused) {
                    open.add(method + " " + address + " " + code);
                }
            }
        }
        assertThat(open).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/%61pi/herbs",
                "/api;x=1/herbs",
                "//api/herbs",
                "/API/herbs",
                "/x/../api/herbs",
                "/api/herbs/",
                "/v3/api-docs",
                "/v3/api-docs/",
                "/actuator",
                "/actuator/env"
            })
    void noOtherWordForAnAddressOpensIt(String address) throws Exception {
        HttpResponse<String> told = new Phone().send("GET", address, "");
        assertThat(told.body()).as(address).doesNotContain("Zingiber").doesNotContain("openapi");
        assertThat(told.statusCode() != 200 || told.body().contains("<!doctype html>"))
                .as(address + " is refused or is the page")
                .isTrue();
    }

    @Test
    void thePageItsCertificateAndItsHealthAreOpen() throws Exception {
        Phone stranger = new Phone();
        assertThat(stranger.get("/actuator/health")).isEqualTo(200);
        assertThat(stranger.get("/ember-cup.crt")).isEqualTo(200);
        assertThat(stranger.get("/mark.svg")).isEqualTo(200);
    }

    @Test
    void aCookIsLetInOnceByACodeAndChangesThingsWithTheTokenOfThePageAlone() throws Exception {
        String code = code("cook");
        Phone phone = new Phone();
        JsonNode device = phone.pair(code.substring(0, 3) + " " + code.substring(3), "Kitchen phone");
        assertThat(device.get("role").asString()).isEqualTo("cook");
        assertThat(phone.get("/api/recipes")).isEqualTo(200);
        String guest = "{\"name\":\"Neighbour\",\"ageYears\":50}";
        assertThat(phone.send("POST", "/api/people", guest).statusCode())
                .as("without the token")
                .isEqualTo(403);
        HttpResponse<String> kept = phone.change("POST", "/api/people", guest);
        assertThat(kept.statusCode()).as(kept.body()).isEqualTo(201);
        String id = RunningServer.JSON.readTree(kept.body()).get("id").asString();
        assertThat(phone.change("DELETE", "/api/people/" + id, "").statusCode()).isEqualTo(204);
        HttpResponse<String> again =
                new Phone().send("POST", "/api/door/pair", "{\"code\":\"%s\",\"name\":\"Second\"}".formatted(code));
        assertThat(again.statusCode()).as("used already").isEqualTo(401);
        assertThat(again.body()).contains("wrong, was used already, or its two minutes are over");
        assertThat(audited()).contains("code-made", "paired", "code-wrong", "not-allowed");
    }

    @Test
    void aLateCodeAndTooManyWrongOnesLetNobodyIn() throws Exception {
        String code = code("cook");
        TestPostgres postgres = TestPostgres.get();
        try (var connection = DriverManager.getConnection(postgres.url(), "ember", postgres.password());
                var statement = connection.createStatement()) {
            statement.executeUpdate(
                    "update pairing_code set expires_at = now() - interval '1 second' where used_at is null");
        }
        Phone phone = new Phone();
        String ask = "{\"code\":\"%s\",\"name\":\"Phone\"}";
        assertThat(phone.send("POST", "/api/door/pair", ask.formatted(code)).statusCode())
                .as("late")
                .isEqualTo(401);
        List<Integer> told = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            told.add(phone.send("POST", "/api/door/pair", ask.formatted("00000" + i))
                    .statusCode());
        }
        assertThat(told).contains(401, 429);
        assertThat(told.get(5)).isEqualTo(429);
        String right = code("cook");
        assertThat(phone.send("POST", "/api/door/pair", ask.formatted(right)).statusCode())
                .as("a right one after too many wrong ones")
                .isEqualTo(429);
        assertThat(audited()).contains("too-many-codes");
    }

    @Test
    void aHelperTakesPartInBrewsAndNothingElse() throws Exception {
        Phone phone = new Phone();
        phone.pair(code("helper"), "Helper’s tablet");
        String recipe =
                RunningServer.get("/api/recipes").body().get(0).get("id").asString();
        String brew = call("POST", "/api/brews", "{\"recipeId\":\"" + recipe + "\"}")
                .get("id")
                .asString();
        assertThat(phone.get("/api/brews/" + brew)).isEqualTo(200);
        assertThat(phone.change("POST", "/api/plans", "{\"recipeId\":\"" + recipe + "\"}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(phone.change("POST", "/api/people", "{\"name\":\"X\",\"ageYears\":3}")
                        .statusCode())
                .isEqualTo(403);
        assertThat(phone.change("DELETE", "/api/recipes/" + recipe, "").statusCode())
                .isEqualTo(403);
        assertThat(phone.change("POST", "/api/door/codes", "{\"role\":\"cook\"}")
                        .statusCode())
                .isEqualTo(403);
        assertThat(phone.get("/api/door/devices")).isEqualTo(403);
        assertThat(phone.change(
                                "POST",
                                "/api/brews/" + brew + "/events",
                                "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()))
                        .statusCode())
                .isEqualTo(200);
    }

    /** A helper adds and takes nothing away: notes and photos that are there, and what stands in jars, are the cook's. */
    @Test
    void aHelperOverwritesNoNoteAndEmptiesNoJar() throws Exception {
        Phone phone = new Phone();
        phone.pair(code("helper"), "Helper’s phone");
        String recipe =
                RunningServer.get("/api/recipes").body().get(0).get("id").asString();
        String brew = call("POST", "/api/brews", "{\"start\":true,\"recipeId\":\"" + recipe + "\"}")
                .get("id")
                .asString();
        String events = "/api/brews/" + brew + "/events";
        call("POST", events, "{\"id\":\"%s\",\"kind\":\"finished\"}".formatted(UUID.randomUUID()));
        call("POST", events, "{\"id\":\"%s\",\"kind\":\"kept\"}".formatted(UUID.randomUUID()));
        String note = "{\"id\":\"%s\",\"kind\":\"noted\",\"liking\":%d,\"taste\":\"%s\"}";
        UUID first = UUID.randomUUID();
        assertThat(phone.change("POST", events, note.formatted(first, 4, "round"))
                        .statusCode())
                .as("the first note is anybody's")
                .isEqualTo(200);
        for (String kind : new String[] {
            note.formatted(UUID.randomUUID(), 1, "spoilt"),
            "{\"id\":\"%s\",\"kind\":\"emptied\"}".formatted(UUID.randomUUID()),
            "{\"id\":\"%s\",\"kind\":\"marc-gone\"}".formatted(UUID.randomUUID()),
            "{\"id\":\"%s\",\"kind\":\"jar-noted\",\"text\":\"x\"}".formatted(UUID.randomUUID()),
            "{\"id\":\"%s\",\"kind\":\"undone\",\"event\":\"%s\"}".formatted(UUID.randomUUID(), first)
        }) {
            assertThat(phone.change("POST", events, kind).statusCode()).as(kind).isEqualTo(403);
        }
    }

    /** A line that a wrong clock stamped years ahead locks nobody out until then. */
    @Test
    void wrongCodesOfTheFutureLockNobodyOut() throws Exception {
        for (int i = 0; i < 60; i++) {
            RunningServer.sql("insert into door_audit (id, at, what, address) values ('" + UUID.randomUUID()
                    + "', '2039-01-01T00:00:00Z', 'code-wrong', '127.0.0.1')");
        }
        try {
            assertThat(new Phone().pair(code("helper"), "Late phone").has("id")).isTrue();
        } finally {
            RunningServer.sql("delete from door_audit where at > now() + interval '1 year'");
        }
    }

    @Test
    void whatHappenedAtTheDoorIsKeptForHalfAYear() {
        UUID old = UUID.randomUUID();
        RunningServer.sql("insert into door_audit (id, at, what, address) values ('" + old
                + "', now() - interval '200 days', 'paired', '127.0.0.1')");
        code("helper");
        assertThat(RunningServer.rows("select id::text from door_audit where id = '" + old + "'"))
                .isEmpty();
    }

    /** What the authority may sign for ends at the house (RFC 5280, 4.2.1.10), and no cipher chains blocks (RFC 9325, 4.2). */
    @Test
    void theAuthoritySignsForTheHouseAlone() throws Exception {
        var authority = (java.security.cert.X509Certificate) java.security.cert.CertificateFactory.getInstance("X.509")
                .generateCertificate(Files.newInputStream(home.resolve("kitchen/authority.crt")));
        assertThat(authority.getCriticalExtensionOIDs()).contains("2.5.29.30");
        var house = java.net.URI.create(kitchen.house());
        var context = javax.net.ssl.SSLContext.getInstance("TLS");
        var trust = java.security.KeyStore.getInstance("PKCS12");
        trust.load(null, null);
        trust.setCertificateEntry("house", authority);
        var managers =
                javax.net.ssl.TrustManagerFactory.getInstance(javax.net.ssl.TrustManagerFactory.getDefaultAlgorithm());
        managers.init(trust);
        context.init(null, managers.getTrustManagers(), null);
        try (var socket =
                (javax.net.ssl.SSLSocket) context.getSocketFactory().createSocket("127.0.0.1", house.getPort())) {
            socket.setEnabledProtocols(new String[] {"TLSv1.2"});
            socket.startHandshake();
            assertThat(socket.getSession().getCipherSuite()).contains("GCM").doesNotContain("CBC");
        }
        try (var old =
                (javax.net.ssl.SSLSocket) context.getSocketFactory().createSocket("127.0.0.1", house.getPort())) {
            old.setEnabledProtocols(new String[] {"TLSv1.2"});
            old.setEnabledCipherSuites(new String[] {"TLS_ECDHE_ECDSA_WITH_AES_128_CBC_SHA256"});
            org.assertj.core.api.Assertions.assertThatThrownBy(old::startHandshake)
                    .isInstanceOf(java.io.IOException.class);
        }
    }

    @Test
    void whoIsSentAwayWhileBrewingIsOutAtOnceOnEveryServerOfTheHouse() throws Exception {
        Phone phone = new Phone();
        String id = phone.pair(code("cook"), "Borrowed phone").get("id").asString();
        String recipe =
                RunningServer.get("/api/recipes").body().get(0).get("id").asString();
        String brew = call("POST", "/api/brews", "{\"recipeId\":\"" + recipe + "\"}")
                .get("id")
                .asString();
        byte[] authority = Files.readAllBytes(home.resolve("kitchen/authority.crt"));
        try (RunningServer.Kitchen other = RunningServer.kitchen(home)) {
            assertThat(Files.readAllBytes(home.resolve("kitchen/authority.crt")))
                    .as("made once for the kitchen")
                    .isEqualTo(authority);
            phone.server = other.house();
            assertThat(phone.get("/api/recipes"))
                    .as("known to the other server too")
                    .isEqualTo(200);
            HttpResponse<InputStream> stream = phone.http.send(
                    HttpRequest.newBuilder(URI.create(phone.server + "/api/brews/" + brew + "/stream"))
                            .build(),
                    HttpResponse.BodyHandlers.ofInputStream());
            BufferedReader lines = new BufferedReader(new InputStreamReader(stream.body(), StandardCharsets.UTF_8));
            assertThat(lines.readLine()).isEqualTo("event:brew");
            call("DELETE", "/api/door/devices/" + id, "");
            String line = lines.readLine();
            while (line != null) {
                line = lines.readLine();
            }
            assertThat(phone.get("/api/recipes")).as("on the other server").isEqualTo(401);
        }
        phone.server = house;
        HttpResponse<String> out = phone.send("GET", "/api/recipes", "");
        assertThat(out.statusCode()).isEqualTo(401);
        assertThat(out.body()).contains("not paired").doesNotContain("linden");
        assertThat(audited()).contains("revoked", "session-unknown");
    }

    @Test
    void aForgedSessionAndAForeignPageAreKeptOut() throws Exception {
        Phone phone = new Phone();
        assertThat(phone.send("GET", "/api/recipes", "", "Cookie", "ember=" + UUID.randomUUID())
                        .statusCode())
                .isEqualTo(401);
        phone.pair(code("cook"), "Honest phone");
        assertThat(phone.send("GET", "/api/recipes", "", "Origin", "https://evil.example")
                        .statusCode())
                .isEqualTo(403);
        assertThat(audited()).contains("foreign");
    }

    @Test
    void aDeviceIsRenamed() throws Exception {
        Phone phone = new Phone();
        JsonNode device = phone.pair(code("helper"), "phone");
        String id = device.get("id").asString();
        JsonNode kept = call("GET", "/api/door/devices", "")
                .valueStream()
                .filter(d -> d.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
        call(
                "PUT",
                "/api/door/devices/" + id,
                "{\"version\":%d,\"name\":\"Old phone by the stove\"}"
                        .formatted(kept.get("version").asLong()));
        assertThat(call("GET", "/api/door/devices", "").toString()).contains("Old phone by the stove");
    }

    /** Outside check: the JDK's own path validation, with the address that was asked for, accepts what the authority signed. */
    @Test
    void theAuthorityIsItsOwnersAloneAndVouchesForTheAddress() throws Exception {
        assertThat(new Phone().get("/actuator/health")).isEqualTo(200);
        assertThat(Files.getPosixFilePermissions(home.resolve("kitchen/authority.key")))
                .hasSize(2);
    }
}
