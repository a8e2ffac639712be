package embercup.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A running server on loopback, as the loads of this package ask it. */
record Server(URI at, HttpClient http) {

    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

    /** A pot that simmers for long enough to be written to. */
    private static final String POT = """
            {"start":true,"recipe":{"name":"Measured pot","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":7,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"}]}}
            """;

    /** @param address for example {@code http://127.0.0.1:8080}; any other machine's is refused */
    static Server of(String address) {
        URI at = URI.create(address);
        if (!"127.0.0.1".equals(at.getHost()) && !"localhost".equals(at.getHost())) {
            throw new IllegalArgumentException("loopback only, not " + address);
        }
        return new Server(
                at, HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build());
    }

    HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(at.resolve(path));
    }

    HttpRequest posted(String path, String json) {
        return request(path)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build();
    }

    /** @return the body, @throws IOException when it is not answered with 2xx */
    String get(String path) throws IOException, InterruptedException {
        return send(request(path).build());
    }

    /** @return the body, @throws IOException when it is not answered with 2xx */
    String post(String path, String json) throws IOException, InterruptedException {
        return send(posted(path, json));
    }

    private String send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IOException(request.uri() + " answered " + answer.statusCode() + ": " + answer.body());
        }
        return answer.body();
    }

    /** Puts a pot on the fire. @return its id */
    String brew() throws IOException, InterruptedException {
        Matcher id = ID.matcher(post("/api/brews", POT));
        if (!id.find()) {
            throw new IOException("no brew was made");
        }
        return id.group(1);
    }

    /** A reading of the thermometer that somebody has typed. */
    HttpRequest measured(String brew, UUID id, int celsius) {
        return posted(
                "/api/brews/" + brew + "/events",
                "{\"id\":\"%s\",\"kind\":\"measured\",\"reading\":\"temperature-c\",\"value\":%d}"
                        .formatted(id, celsius));
    }

    /** Writes it down. @throws IOException when it is not confirmed */
    void record(String brew, UUID id, int celsius) throws IOException, InterruptedException {
        send(measured(brew, id, celsius));
    }

    void giveUp(String brew) throws IOException, InterruptedException {
        post("/api/brews/" + brew + "/events", "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()));
    }
}
