package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.SocketException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Whatever is sent to whatever operation of the OpenAPI document: it is answered, and never by a failure of the server. */
@ExtendWith(RunningServer.class)
class EveryOperationTest {

    private static final HttpClient HTTP =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();

    /** What no field wants: each is sent in every place that it fits. */
    private static final List<String> NASTY = List.of(
            "null",
            "[null]",
            "[]",
            "{}",
            "\"\"",
            "\"\\u0000\"",
            "\"\\ud800\"",
            "\"ginger\\u0007\"",
            "-1",
            "1e308",
            "1e999",
            "0.1e-400",
            "99999999999999999999",
            "true",
            "\"+999999999-12-31T23:59:59Z\"",
            "\"-999999999-01-01\"",
            "\"0000-00-00\"",
            "\"" + "x".repeat(30_000) + "\"",
            "\"‮אבג\uD83C\uDF75\"",
            "\"'; drop table brew; --\"",
            "\"../../etc/passwd\"",
            "[[[[[[[[[[]]]]]]]]]]");

    /** What is thrown at random stays in a household of its own. */
    private static RunningServer.Elsewhere odd;

    private static JsonNode document;
    private static String brew;
    private static String recipe;

    @BeforeAll
    static void read() {
        odd = RunningServer.elsewhere("odd_household", true);
        document = RunningServer.get(odd.address(), "/v3/api-docs").body();
    }

    /** What is thrown at random may take these away: each test has its own. */
    @BeforeEach
    void aRecipeAndItsBrew() {
        String written = """
                {"about":"","purposes":[],"recipe":{"name":"Odd pot","tradition":"folk","cups":2,"cupMl":240,
                 "additions":[{"herb":"ginger","form":"dried","cut":"sliced","amount":2,"unit":"tsp","stage":0}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10},{"kind":"strain"}]}}""";
        recipe = RunningServer.post(odd.address(), "/api/recipes", written)
                .body()
                .get("id")
                .asString();
        brew = RunningServer.post(odd.address(), "/api/brews", "{\"recipeId\":\"" + recipe + "\"}")
                .body()
                .get("id")
                .asString();
    }

    @AfterAll
    static void end() {
        odd.close();
    }

    private record Operation(String method, String path, JsonNode says) {}

    private static List<Operation> operations() {
        List<Operation> all = new ArrayList<>();
        document.get("paths").propertyStream().forEach(path -> path.getValue()
                .propertyStream()
                .forEach(m -> all.add(new Operation(m.getKey().toUpperCase(), path.getKey(), m.getValue()))));
        return all;
    }

    /** A body after its schema, a field of which is not what it should be. */
    private static String body(JsonNode schema, Random random, int deep) {
        if (deep > 6 || random.nextInt(9) == 0) {
            return NASTY.get(random.nextInt(NASTY.size()));
        }
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asString();
            return body(
                    document.get("components").get("schemas").get(name.substring(name.lastIndexOf('/') + 1)),
                    random,
                    deep + 1);
        }
        if (schema.has("oneOf")) {
            JsonNode all = schema.get("oneOf");
            return body(all.get(random.nextInt(all.size())), random, deep + 1);
        }
        if (schema.has("properties")) {
            List<String> fields = new ArrayList<>();
            schema.get("properties").propertyStream().forEach(p -> {
                if (random.nextInt(3) > 0) {
                    fields.add("\"" + p.getKey() + "\":" + body(p.getValue(), random, deep + 1));
                }
            });
            return "{" + String.join(",", fields) + "}";
        }
        if (schema.has("items")) {
            String one = body(schema.get("items"), random, deep + 1);
            return "[" + one + "," + one + "]";
        }
        if (schema.has("enum")) {
            return schema.get("enum")
                    .get(random.nextInt(schema.get("enum").size()))
                    .toString();
        }
        String type = schema.has("type") ? schema.get("type").toString() : "";
        if (type.contains("number") || type.contains("integer")) {
            double low = schema.has("minimum") ? schema.get("minimum").asDouble() : 0;
            double high = schema.has("maximum") ? schema.get("maximum").asDouble() : 100;
            return String.valueOf(random.nextBoolean() ? (int) low + 1 : low + (high - low) * random.nextDouble());
        }
        if (type.contains("boolean")) {
            return String.valueOf(random.nextBoolean());
        }
        String format = schema.has("format") ? schema.get("format").asString() : "";
        return switch (format) {
            case "uuid" -> "\"" + (random.nextBoolean() ? brew : recipe) + "\"";
            case "date-time" -> "\"2026-11-27T08:00:00Z\"";
            case "date" -> "\"2026-11-20\"";
            default -> random.nextBoolean() ? "\"ginger\"" : "\"g\"";
        };
    }

    private static String value(Random random) {
        return switch (random.nextInt(9)) {
            case 0 -> "%zz";
            case 1 -> "%00";
            case 2 -> "80000000";
            case 3 -> "-1";
            case 4 -> "%F0%9F%8D%B5";
            case 5 -> brew;
            case 6 -> "ginger";
            case 7 -> "2026-11-27T08:00:00Z";
            default -> "%2B999999999-12-31T23:59:59Z";
        };
    }

    private static String address(Operation of, Random random) {
        String path = of.path();
        for (int at = path.indexOf('{'); at >= 0; at = path.indexOf('{')) {
            String name = path.substring(at, path.indexOf('}') + 1);
            String id = random.nextInt(3) == 0
                    ? value(random).replace("%zz", "%41")
                    : path.contains("/brews") || path.contains("/devices")
                            ? brew
                            : random.nextBoolean() ? recipe : "ginger";
            path = path.replace(name, id);
        }
        List<String> query = new ArrayList<>();
        if (of.says().has("parameters")) {
            for (JsonNode p : of.says().get("parameters")) {
                if (p.get("in").asString().equals("query") && random.nextInt(4) > 0) {
                    query.add(p.get("name").asString() + "=" + value(random));
                }
            }
        }
        return query.isEmpty() ? path : path + "?" + String.join("&", query);
    }

    private static final String CUT = "cut";

    /** Status and type of a raw request: an HTTP client would not send most of these addresses. */
    private static String[] raw(String method, String address, String type, String body) throws IOException {
        URI server = URI.create(odd.address());
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        try (Socket socket = new Socket(server.getHost(), server.getPort())) {
            socket.setSoTimeout(20_000);
            byte[] head =
                    "%s %s HTTP/1.1\r\nHost: %s\r\nContent-Type: %s\r\nContent-Length: %d\r\nConnection: close\r\n\r\n"
                            .formatted(method, address, server.getAuthority(), type, bytes.length)
                            .getBytes(StandardCharsets.UTF_8);
            // In one piece: a server that refuses the head has closed before a second one comes.
            byte[] whole = Arrays.copyOf(head, head.length + bytes.length);
            System.arraycopy(bytes, 0, whole, head.length, bytes.length);
            StringBuilder answer = new StringBuilder();
            try {
                socket.getOutputStream().write(whole);
                InputStream in = socket.getInputStream();
                for (int c = in.read(); c >= 0 && !answer.toString().endsWith("\r\n\r\n"); c = in.read()) {
                    answer.append((char) c);
                }
            } catch (SocketException refused) {
                // Refused by its head, and closed while the rest was still being written.
                return new String[] {CUT, "application/problem+json"};
            }
            String type2 = answer.toString().toLowerCase().replaceAll("(?s).*content-type: ([^\r]*).*", "$1");
            return new String[] {answer.substring(9, 12), type2};
        }
    }

    @Test
    void nothingThatIsSentMakesTheServerFail() throws IOException {
        Random random = new Random(14);
        List<Operation> all = operations();
        List<String> failed = new ArrayList<>();
        List<String> unworded = new ArrayList<>();
        TreeMap<String, Integer> answers = new TreeMap<>();
        List<String> types = List.of(
                "application/json",
                "application/json",
                "application/json",
                "*/*",
                "multipart/form-data",
                "text/html",
                "?");
        for (int round = 0; round < Integer.getInteger("ember.rounds", 12); round++) {
            for (Operation of : all) {
                JsonNode content = of.says().path("requestBody").path("content");
                String type = types.get(random.nextInt(types.size()));
                String body = content.isMissingNode() || content.isEmpty()
                        ? ""
                        : body(
                                content.propertyStream()
                                        .findFirst()
                                        .orElseThrow()
                                        .getValue()
                                        .get("schema"),
                                random,
                                0);
                String address = address(of, random);
                if (address.contains("/stream")) {
                    continue;
                }
                String[] told = raw(of.method(), address, type, body);
                answers.merge(told[0], 1, Integer::sum);
                String what = of.method() + " " + address + " " + type + " "
                        + body.substring(0, Math.min(400, body.length())) + " → " + told[0];
                if (told[0].startsWith("5")) {
                    failed.add(what);
                } else if (told[0].startsWith("4") && !told[1].startsWith("application/problem+json")) {
                    unworded.add(what + " " + told[1]);
                }
            }
        }
        System.out.println(answers.values().stream().mapToInt(Integer::intValue).sum() + " odd requests over "
                + all.size() + " operations, answered " + answers);
        assertThat(failed).as("answered by a failure").isEmpty();
        assertThat(answers.getOrDefault(CUT, 0))
                .as("closed while they were written")
                .isLessThan(10);
        assertThat(unworded).as("refused without a word").isEmpty();
        assertThat(answers.keySet())
                .as("what was sent reaches all kinds of answers")
                .contains("200", "400", "404", "415", "422");
    }

    @Test
    void everyOperationNamesWithWhatItIsRefused() {
        for (Operation of : operations()) {
            assertThat(of.says().get("responses").propertyNames())
                    .as(of.method() + " " + of.path())
                    .contains("400", "401", "403", "503");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/herbs?words=%zz",
                "/api/herbs?words=%",
                "/api/herbs?words=a%00b",
                "/api/%00",
                "/api/herbs/%2e%2e%2f"
            })
    void anAddressThatIsNoneIsRefusedInWords(String address) throws IOException {
        String[] told = raw("GET", address, "application/json", "");
        assertThat(told[0]).startsWith("4");
        assertThat(told[1]).startsWith("application/problem+json");
    }

    @Test
    void moreThanABodyMayHaveIsRefusedBeforeItIsRead() throws Exception {
        String much = "{\"name\":\"" + "x".repeat(70_000) + "\"}";
        assertThat(RunningServer.post(odd.address(), "/api/people", much).code())
                .isEqualTo(413);
        // 400 MB that are only announced: the answer comes before they could be there.
        URI server = URI.create(odd.address());
        try (Socket socket = new Socket(server.getHost(), server.getPort())) {
            socket.setSoTimeout(5_000);
            socket.getOutputStream()
                    .write(("PUT /api/brews/" + brew + "/photo HTTP/1.1\r\nHost: " + server.getAuthority()
                                    + "\r\nContent-Type: image/jpeg\r\nContent-Length: 400000000\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            assertThat(new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII))
                    .isEqualTo("HTTP/1.1 413");
        }
        // Sent piece by piece without saying how much: it is counted.
        HttpRequest piecewise = HttpRequest.newBuilder(URI.create(odd.address() + "/api/people"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofInputStream(
                        () -> new java.io.ByteArrayInputStream(much.getBytes(StandardCharsets.UTF_8))))
                .build();
        assertThat(HTTP.send(piecewise, HttpResponse.BodyHandlers.discarding()).statusCode())
                .isEqualTo(413);
    }

    @Test
    void manySlowBodiesStopNobodyElse() throws Exception {
        URI server = URI.create(odd.address());
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 260; i++) {
                Socket socket = new Socket(server.getHost(), server.getPort());
                socket.getOutputStream()
                        .write(("POST /api/people HTTP/1.1\r\nHost: " + server.getAuthority()
                                        + "\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{")
                                .getBytes(StandardCharsets.US_ASCII));
                slow.add(socket);
            }
            HttpRequest herbs = HttpRequest.newBuilder(URI.create(odd.address() + "/api/herbs/ginger"))
                    .timeout(Duration.ofSeconds(4))
                    .build();
            assertThat(HTTP.send(herbs, HttpResponse.BodyHandlers.discarding()).statusCode())
                    .isEqualTo(200);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
        // Their places are free again as soon as they are gone.
        long until = System.nanoTime() + Duration.ofSeconds(15).toNanos();
        int code = 503;
        while (code == 503 && System.nanoTime() < until) {
            code = RunningServer.post(odd.address(), "/api/people", "{}").code();
        }
        assertThat(code).isEqualTo(422);
    }

    @Test
    void sixStartsUnderOneIdAreOneBrewAndSomethingElseUnderItIsRefused() {
        UUID id = UUID.randomUUID();
        String ask = "{\"id\":\"%s\",\"recipeId\":\"%s\"}".formatted(id, recipe);
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            all.add(CompletableFuture.supplyAsync(
                    () -> RunningServer.post(odd.address(), "/api/brews", ask).code()));
        }
        assertThat(all.stream().map(CompletableFuture::join)).containsOnly(201);
        assertThat(RunningServer.post(
                                odd.address(),
                                "/api/brews",
                                "{\"id\":\"%s\",\"recipeId\":\"%s\",\"cups\":3}".formatted(id, recipe))
                        .code())
                .isEqualTo(409);
        String event = UUID.randomUUID().toString();
        String started = "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(event);
        assertThat(RunningServer.post(odd.address(), "/api/brews/" + id + "/events", started)
                        .code())
                .isEqualTo(200);
        assertThat(RunningServer.post(odd.address(), "/api/brews/" + id + "/events", started)
                        .code())
                .as("the same again")
                .isEqualTo(200);
        assertThat(RunningServer.post(odd.address(), "/api/brews/" + brew + "/events", started)
                        .code())
                .as("another brew's")
                .isEqualTo(409);
    }

    @Test
    void aTinIsNotChangedOntoAnotherOne() {
        String dried = "{\"herb\":\"elecampane\",\"form\":\"dried\"}";
        RunningServer.post("/api/shelf", dried);
        var fresh = RunningServer.post("/api/shelf", "{\"herb\":\"elecampane\",\"form\":\"fresh\"}")
                .body();
        var told = RunningServer.put(
                "/api/shelf/" + fresh.get("id").asString(),
                "{\"version\":%d,\"herb\":\"elecampane\",\"form\":\"dried\"}"
                        .formatted(fresh.get("version").asLong()));
        assertThat(told.code()).isEqualTo(409);
        assertThat(told.body().get("detail").asString()).contains("Fill that one again");
    }
}
