package embercup.bench;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;

/**
 * Two hundred clients for a minute, round a dozen pots: they plan, read the day, the recipes and their brew, and write readings
 * down, without a pause between. No answer may be an error. Then eight clients for five minutes more, while the server's memory is looked at:
 * it may not grow. Bounded; it gives the brews up again.
 */
public final class Crowd {

    private static final int CLIENTS = 200;
    /** No house has more on its fires. */
    private static final int POTS = 12;

    private static final int SECONDS = 60;
    private static final int FEW = 8;
    private static final int MINUTES = 5;

    /** What memory may grow by between the second and the last minute, as a share. */
    private static final double FLAT = 0.05;

    private static final String PLAN = """
            {"recipe":{"name":"Root pot","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":7,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"}]}}
            """;

    private Crowd() {}

    /** @param args the address, and the file in which the server's process stands */
    public static void main(String[] args) throws Exception {
        Server server = Server.of(args[0]);
        long process = Long.parseLong(Files.readString(Path.of(args[1])).strip());
        List<String> brews = new ArrayList<>();
        for (int i = 0; i < POTS; i++) {
            brews.add(server.brew());
        }
        run(server, brews, FEW, 10);
        Told told = run(server, brews, CLIENTS, SECONDS);
        System.out.printf(
                Locale.ROOT,
                "%d clients for %d s: %d answers, %d errors, p50 %.0f ms, p99 %.0f ms, worst %.0f ms%n",
                CLIENTS,
                SECONDS,
                told.ns().length,
                told.errors().size(),
                told.ms(0.5),
                told.ms(0.99),
                told.ms(1));
        told.errors().stream().distinct().limit(5).forEach(e -> System.out.println("  " + e));
        List<Long> resident = new ArrayList<>();
        int errors = told.errors().size();
        for (int minute = 0; minute < MINUTES; minute++) {
            errors += run(server, brews, FEW, 60).errors().size();
            resident.add(residentKb(process));
        }
        double grown = (double) resident.get(MINUTES - 1) / resident.get(1) - 1;
        System.out.printf(
                Locale.ROOT,
                "%d clients for %d minutes more: resident after each %s MB, %+.1f %% from the second to the last; errors in all: %d%n",
                FEW,
                MINUTES,
                resident.stream().map(kb -> kb / 1024).toList(),
                grown * 100,
                errors);
        for (String brew : brews) {
            server.giveUp(brew);
        }
        System.exit(errors == 0 && grown < FLAT ? 0 : 1);
    }

    /** @param ns what each answer took, sorted, ns */
    private record Told(long[] ns, Queue<String> errors) {
        double ms(double share) {
            return ns[Math.min(ns.length - 1, (int) (ns.length * share))] / 1e6;
        }
    }

    private static Told run(Server server, List<String> brews, int clientsAtOnce, int seconds)
            throws InterruptedException {
        ExecutorService clients = Executors.newFixedThreadPool(clientsAtOnce);
        Queue<Long> times = new ConcurrentLinkedQueue<>();
        Queue<String> errors = new ConcurrentLinkedQueue<>();
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        for (int i = 0; i < clientsAtOnce; i++) {
            String brew = brews.get(i % brews.size());
            Random random = new Random(i);
            clients.execute(() -> {
                while (System.nanoTime() < until) {
                    HttpRequest request = any(server, brew, random);
                    long begin = System.nanoTime();
                    try {
                        HttpResponse<Void> answer = server.http().send(request, HttpResponse.BodyHandlers.discarding());
                        times.add(System.nanoTime() - begin);
                        if (answer.statusCode() >= 300) {
                            errors.add(request.method() + " " + request.uri().getPath() + " → " + answer.statusCode());
                        }
                    } catch (IOException e) {
                        errors.add(request.method() + " " + request.uri().getPath() + " → " + e);
                    } catch (InterruptedException e) {
                        return;
                    }
                }
            });
        }
        clients.shutdown();
        if (!clients.awaitTermination(seconds + 120L, TimeUnit.SECONDS)) {
            errors.add("clients that were never answered");
            clients.shutdownNow();
        }
        return new Told(times.stream().flatMapToLong(LongStream::of).sorted().toArray(), errors);
    }

    /** A cook looks more often than she writes. */
    private static HttpRequest any(Server server, String brew, Random random) {
        return switch (random.nextInt(8)) {
            case 0, 1, 2 -> server.posted("/api/plans", PLAN);
            case 3 -> server.request("/api/recipes").build();
            case 4 ->
                server.request("/api/day?from=" + Instant.now().minusSeconds(43_200) + "&to="
                                + Instant.now().plusSeconds(43_200))
                        .build();
            case 5 -> server.request("/api/brews/" + brew).build();
            case 6 -> server.request("/api/notebook?page=0").build();
            default -> server.measured(brew, UUID.randomUUID(), 20 + random.nextInt(79));
        };
    }

    private static long residentKb(long process) throws IOException {
        return Files.readAllLines(Path.of("/proc/" + process + "/status")).stream()
                .filter(l -> l.startsWith("VmRSS:"))
                .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")))
                .findFirst()
                .orElseThrow();
    }
}
