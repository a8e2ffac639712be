package embercup.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Eight clients against a running server on loopback: {@code POST /api/plans} beside {@code GET /actuator/health} in the
 * same run, in turns, so that a slow machine is slow for both. Budget: at least 0.6 of the requests a second of health, p99
 * under 25 ms. Bounded in count and time; it stops by itself.
 */
public final class Load {

    private static final int CLIENTS = 8;
    private static final int ROUNDS = 3;
    private static final long ROUND_MS = 5_000;
    private static final String PLAN = """
            {"recipe":{"name":"Root pot","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":7,"unit":"g","stage":0},
                          {"herb":"burdock","form":"dried","cut":"sliced","amount":6,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"}]},
             "measures":"us","liangG":3}
            """;

    private Load() {}

    /** @param args the address, for example {@code http://127.0.0.1:8080} */
    public static void main(String[] args) throws Exception {
        URI server = URI.create(args.length > 0 ? args[0] : "http://127.0.0.1:8080");
        if (!List.of("127.0.0.1", "localhost", "[::1]").contains(server.getHost())) {
            throw new IllegalArgumentException("loopback only, not " + server.getHost());
        }
        HttpRequest health =
                HttpRequest.newBuilder(server.resolve("/actuator/health")).build();
        HttpRequest plan = HttpRequest.newBuilder(server.resolve("/api/plans"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(PLAN))
                .build();
        round(health);
        round(plan);
        double healthRate = 0;
        double planRate = 0;
        double worstP99 = 0;
        for (int i = 0; i < ROUNDS; i++) {
            long[] h = round(health);
            long[] p = round(plan);
            healthRate += h.length / (ROUND_MS / 1000.0) / ROUNDS;
            planRate += p.length / (ROUND_MS / 1000.0) / ROUNDS;
            worstP99 = Math.max(worstP99, p[(int) (p.length * 0.99)] / 1e6);
            System.out.printf(
                    "round %d: health %d/s p50 %.1f ms; plans %d/s p50 %.1f ms p99 %.1f ms%n",
                    i + 1,
                    h.length * 1000 / ROUND_MS,
                    h[h.length / 2] / 1e6,
                    p.length * 1000 / ROUND_MS,
                    p[p.length / 2] / 1e6,
                    p[(int) (p.length * 0.99)] / 1e6);
        }
        System.out.printf(
                "plans / health = %.2f (budget 0.60); worst p99 %.1f ms (budget 25)%n",
                planRate / healthRate, worstP99);
    }

    /** Latencies of one round in nanoseconds, sorted. */
    private static long[] round(HttpRequest request) throws InterruptedException, ExecutionException {
        ExecutorService pool = Executors.newFixedThreadPool(CLIENTS);
        long until = System.nanoTime() + ROUND_MS * 1_000_000;
        Callable<long[]> client = () -> {
            HttpClient http =
                    HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
            long[] times = new long[200_000];
            int n = 0;
            while (System.nanoTime() < until && n < times.length) {
                times[n++] = once(http, request);
            }
            return Arrays.copyOf(times, n);
        };
        long[] merged = new long[0];
        try {
            for (Future<long[]> f : pool.invokeAll(Collections.nCopies(CLIENTS, client))) {
                long[] times = f.get();
                int before = merged.length;
                merged = Arrays.copyOf(merged, before + times.length);
                System.arraycopy(times, 0, merged, before, times.length);
            }
        } finally {
            pool.shutdownNow();
        }
        Arrays.sort(merged);
        return merged;
    }

    private static long once(HttpClient http, HttpRequest request) throws IOException, InterruptedException {
        long begin = System.nanoTime();
        HttpResponse<Void> response = http.send(request, HttpResponse.BodyHandlers.discarding());
        if (response.statusCode() != 200) {
            throw new IOException("answered " + response.statusCode());
        }
        return System.nanoTime() - begin;
    }
}
