package embercup.bench;

import java.net.Socket;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicIntegerArray;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Fifty live brews and many streams over them: readings are recorded on each brew, and each stream must end up knowing all of
 * them, beside one reader of the first brew that takes nothing from its line. Bounded; it gives the brews up again.
 */
public final class Streams {

    private static final int BREWS = 50;
    private static final int EVENTS = 10;
    private static final long PATIENCE_MS = 60_000;
    private static final Pattern MEASURED = Pattern.compile("\"kind\":\"measured\"");

    private Streams() {}

    /** @param args the address, and how many streams (50 when it is not said) */
    public static void main(String[] args) throws Exception {
        Server server = Server.of(args[0]);
        int wanted = args.length > 1 ? Integer.parseInt(args[1]) : BREWS;
        List<String> brews = new ArrayList<>();
        for (int i = 0; i < BREWS; i++) {
            brews.add(server.brew());
        }
        AtomicIntegerArray known = new AtomicIntegerArray(wanted);
        ExecutorService readers = Executors.newCachedThreadPool();
        try (Socket stalled = new Socket()) {
            stalled.setReceiveBufferSize(2048);
            stalled.connect(new java.net.InetSocketAddress(
                    server.at().getHost(), server.at().getPort()));
            stalled.getOutputStream()
                    .write("GET /api/brews/%s/stream HTTP/1.1\r\nHost: %s\r\n\r\n"
                            .formatted(brews.get(0), server.at().getAuthority())
                            .getBytes(StandardCharsets.US_ASCII));
            int refused = 0;
            for (int i = 0; i < wanted; i++) {
                HttpRequest stream = server.request("/api/brews/" + brews.get(i % BREWS) + "/stream")
                        .build();
                HttpResponse<Stream<String>> open = server.http().send(stream, HttpResponse.BodyHandlers.ofLines());
                int at = i;
                if (open.statusCode() == 200) {
                    readers.execute(() -> follow(open.body(), known, at));
                } else {
                    refused++;
                }
            }
            long begin = System.nanoTime();
            for (int e = 0; e < EVENTS; e++) {
                for (String brew : brews) {
                    server.record(brew, UUID.randomUUID(), 20 + e);
                }
            }
            double recordedS = (System.nanoTime() - begin) / 1e9;
            long until = System.currentTimeMillis() + PATIENCE_MS;
            while (behind(known) > refused && System.currentTimeMillis() < until) {
                Thread.sleep(20);
            }
            double lagMs = (System.nanoTime() - begin) / 1e6 - recordedS * 1000;
            int missed = behind(known) - refused;
            System.out.printf(
                    "%d brews, %d streams (%d refused) and one that reads nothing, %d events recorded in %.1f s; the last stream knew all %.0f ms after the last event; streams that missed one: %d%n",
                    BREWS, wanted, refused, BREWS * EVENTS, recordedS, lagMs, missed);
            for (String brew : brews) {
                server.giveUp(brew);
            }
            System.exit(missed + refused == 0 ? 0 : 1);
        }
    }

    private static int behind(AtomicIntegerArray known) {
        int behind = 0;
        for (int i = 0; i < known.length(); i++) {
            behind += known.get(i) < EVENTS ? 1 : 0;
        }
        return behind;
    }

    private static void follow(Stream<String> lines, AtomicIntegerArray known, int at) {
        lines.filter(l -> l.startsWith("data:")).forEach(l -> {
            int count = (int) MEASURED.matcher(l).results().count();
            known.accumulateAndGet(at, count, Math::max);
        });
    }
}
