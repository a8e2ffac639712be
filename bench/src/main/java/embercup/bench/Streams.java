package embercup.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Fifty live brews and fifty streams: readings are recorded on each, and each stream must end up knowing all of them.
 * Bounded; it gives the brews up again.
 */
public final class Streams {

    private static final int BREWS = 50;
    private static final int EVENTS = 10;
    private static final long PATIENCE_MS = 20_000;
    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
    private static final Pattern MEASURED = Pattern.compile("\"kind\":\"measured\"");
    private static final String POT = """
            {"start":true,"recipe":{"name":"Streamed","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":7,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"}]}}
            """;

    private Streams() {}

    /** @param args the address */
    public static void main(String[] args) throws Exception {
        URI server = URI.create(args[0]);
        HttpClient http =
                HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
        List<String> brews = new ArrayList<>();
        for (int i = 0; i < BREWS; i++) {
            Matcher id = ID.matcher(post(http, server.resolve("/api/brews"), POT));
            if (!id.find()) {
                throw new IOException("no brew was made");
            }
            brews.add(id.group(1));
        }
        AtomicReferenceArray<Integer> known = new AtomicReferenceArray<>(BREWS);
        List<CompletableFuture<Void>> streams = new ArrayList<>();
        for (int i = 0; i < BREWS; i++) {
            int at = i;
            known.set(at, 0);
            HttpRequest stream = HttpRequest.newBuilder(server.resolve("/api/brews/" + brews.get(i) + "/stream"))
                    .build();
            streams.add(http.sendAsync(stream, HttpResponse.BodyHandlers.ofLines())
                    .thenAcceptAsync(r -> follow(r.body(), known, at)));
        }
        Thread.sleep(1000);
        long begin = System.nanoTime();
        for (int e = 0; e < EVENTS; e++) {
            for (String brew : brews) {
                post(
                        http,
                        server.resolve("/api/brews/" + brew + "/events"),
                        "{\"id\":\"%s\",\"kind\":\"measured\",\"reading\":\"temperature-c\",\"value\":%d}"
                                .formatted(UUID.randomUUID(), 20 + e));
            }
        }
        double recordedS = (System.nanoTime() - begin) / 1e9;
        long until = System.currentTimeMillis() + PATIENCE_MS;
        while (behind(known) > 0 && System.currentTimeMillis() < until) {
            Thread.sleep(20);
        }
        double lagMs = (System.nanoTime() - begin) / 1e6 - recordedS * 1000;
        System.out.printf(
                "%d brews, %d streams, %d events recorded in %.1f s; the last stream knew all %.0f ms after the last event; streams that missed one: %d%n",
                BREWS, BREWS, BREWS * EVENTS, recordedS, lagMs, behind(known));
        for (String brew : brews) {
            post(
                    http,
                    server.resolve("/api/brews/" + brew + "/events"),
                    "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()));
        }
        System.exit(behind(known) == 0 ? 0 : 1);
    }

    private static int behind(AtomicReferenceArray<Integer> known) {
        int behind = 0;
        for (int i = 0; i < known.length(); i++) {
            behind += known.get(i) < EVENTS ? 1 : 0;
        }
        return behind;
    }

    private static void follow(Stream<String> lines, AtomicReferenceArray<Integer> known, int at) {
        lines.filter(l -> l.startsWith("data:")).forEach(l -> {
            int count = (int) MEASURED.matcher(l).results().count();
            known.accumulateAndGet(at, count, Math::max);
        });
    }

    private static String post(HttpClient http, URI to, String json) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(to)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IOException(to + " answered " + answer.statusCode() + ": " + answer.body());
        }
        return answer.body();
    }
}
