package embercup.bench;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/**
 * Asks the notebook of a running server, which {@code bench/notebook} has filled with 100 000 generated entries: searches,
 * filters and histories, one after the other. Budget: p95 under 50 ms each.
 */
public final class NotebookLoad {

    private static final int ASKED = 200;
    private static final List<String> WORDS = List.of(
            "bitter",
            "honey",
            "gale",
            "round smoke",
            "linden",
            "pale",
            "\"a little less\"",
            "harbour",
            "roots",
            "thin");

    private NotebookLoad() {}

    /** @param args the address and the id of a generated recipe */
    public static void main(String[] args) throws Exception {
        URI server = URI.create(args[0]);
        String recipe = args[1];
        HttpClient http =
                HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
        Random random = new Random(5);
        measure(http, server, "warm-up", i -> "/api/notebook?page=" + i % 5);
        measure(
                http,
                server,
                "search",
                i -> "/api/notebook?words="
                        + URLEncoder.encode(WORDS.get(random.nextInt(WORDS.size())), StandardCharsets.UTF_8));
        measure(
                http,
                server,
                "filter",
                i -> "/api/notebook?drinker=Generated%20" + random.nextInt(4) + "&liking=" + (1 + random.nextInt(5))
                        + "&page=" + random.nextInt(4));
        measure(http, server, "history", i -> "/api/notebook/history/" + recipe);
    }

    private interface Path {
        String of(int i);
    }

    private static void measure(HttpClient http, URI server, String what, Path path)
            throws IOException, InterruptedException {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < ASKED; i++) {
            HttpRequest request =
                    HttpRequest.newBuilder(server.resolve(path.of(i))).build();
            long begin = System.nanoTime();
            HttpResponse<Void> answer = http.send(request, HttpResponse.BodyHandlers.discarding());
            times.add((System.nanoTime() - begin) / 1e6);
            if (answer.statusCode() != 200) {
                throw new IOException(what + " answered " + answer.statusCode());
            }
        }
        Collections.sort(times);
        System.out.printf(
                "%-8s p50 %.1f ms, p95 %.1f ms (budget 50)%n",
                what, times.get(ASKED / 2), times.get((int) (ASKED * 0.95)));
    }
}
