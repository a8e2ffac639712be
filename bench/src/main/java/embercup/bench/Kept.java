package embercup.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is kept, asked of a server that {@code bench/keeping} has filled: the calendar, the shelf, a sheet of labels; and the whole
 * household in one file, with the server's memory while it is made.
 */
public final class Kept {

    /** Asked before anything is measured, as for plans: what runs the first time is compiled first. */
    private static final int WARM = 20;

    private static final int ASKED = 30;
    private static final double CALENDAR_MS = 100;
    private static final double CALENDAR_EVENTS = 500;
    private static final double ARCHIVE_S = 60;
    private static final double ARCHIVE_MB = 512;
    private static final Pattern TIN = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

    private Kept() {}

    /** @param args the address; {@code things}, or {@code archive}, where to, and the file with the server's process */
    public static void main(String[] args) throws Exception {
        Server server = Server.of(args[0]);
        boolean good = args[1].equals("things") ? things(server) : archive(server, Path.of(args[2]), Path.of(args[3]));
        System.exit(good ? 0 : 1);
    }

    private static boolean things(Server server) throws IOException, InterruptedException {
        Matcher tin = TIN.matcher(server.get("/api/shelf"));
        if (!tin.find()) {
            throw new IOException("no tin");
        }
        int events = server.get("/api/calendar.ics").split("BEGIN:VEVENT").length - 1;
        System.out.printf("%d events in the calendar%n", events);
        boolean labels = measure(server, "24 labels", "/api/labels.pdf?copies=24&tin=" + tin.group(1), 1000);
        boolean calendar = measure(server, "calendar", "/api/calendar.ics", CALENDAR_MS * events / CALENDAR_EVENTS);
        boolean shelf = measure(server, "shelf", "/api/shelf", 100);
        boolean jars = measure(server, "jars", "/api/keeping", 100);
        return labels && calendar && shelf && jars;
    }

    private static boolean measure(Server server, String what, String path, double budgetMs)
            throws IOException, InterruptedException {
        for (int i = 0; i < WARM; i++) {
            server.get(path);
        }
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < ASKED; i++) {
            long begin = System.nanoTime();
            server.get(path);
            times.add((System.nanoTime() - begin) / 1e6);
        }
        Collections.sort(times);
        double p95 = times.get((int) (ASKED * 0.95));
        System.out.printf("%-10s p50 %.0f ms, p95 %.0f ms (wanted %.0f)%n", what, times.get(ASKED / 2), p95, budgetMs);
        return p95 < budgetMs;
    }

    private static boolean archive(Server server, Path file, Path pid) throws Exception {
        Path status = Path.of("/proc", Files.readString(pid).strip(), "status");
        long begin = System.nanoTime();
        HttpResponse<Path> answer = server.http()
                .send(server.request("/api/household/archive").build(), HttpResponse.BodyHandlers.ofFile(file));
        double s = (System.nanoTime() - begin) / 1e9;
        double mb = peakMb(status);
        System.out.printf(
                "archive    %d, %.1f s (wanted %.0f), %.0f MB; the server has never had more than %.0f MB (heap wanted below %.0f)%n",
                answer.statusCode(), s, ARCHIVE_S, Files.size(file) / 1e6, mb, ARCHIVE_MB);
        return answer.statusCode() == 200 && s < ARCHIVE_S && mb < ARCHIVE_MB;
    }

    /** The most that the process has had resident, heap and all. */
    private static double peakMb(Path status) throws IOException {
        return Files.readAllLines(status).stream()
                .filter(l -> l.startsWith("VmHWM:"))
                .mapToDouble(l -> Double.parseDouble(l.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElseThrow();
    }
}
