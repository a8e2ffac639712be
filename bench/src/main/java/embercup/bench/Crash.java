package embercup.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Crashes for real. {@code ./start} runs on a directory of its own; four writers record readings, each on a pot of its own; then
 * start, server and database are killed with signal 9, in changing order, at a moment nobody chose; they are started again, and
 * every event that was confirmed must be there, once. What was under way is sent again with its id, as a page does, and must be
 * there once too.
 */
public final class Crash {

    private static final int ROUNDS = 15;
    private static final int WRITERS = 4;
    private static final Pattern EVENT =
            Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"at\":\"[^\"]*\",\"kind\":\"measured\"");

    private final Path home;
    private final int port;
    private final Server server;
    private Process start;

    private Crash(Path home, int port) {
        this.home = home;
        this.port = port;
        this.server = Server.of("http://127.0.0.1:" + port);
    }

    /** @param args an empty directory, a free port, and how many rounds (15 when it is not said) */
    public static void main(String[] args) throws Exception {
        int rounds = args.length > 2 ? Integer.parseInt(args[2]) : ROUNDS;
        Crash crash = new Crash(Path.of(args[0]), Integer.parseInt(args[1]));
        Random random = new Random();
        int confirmed = 0;
        int lost = 0;
        int twice = 0;
        long slowestS = 0;
        crash.up();
        try {
            for (int round = 0; round < rounds; round++) {
                List<Writer> writers = new ArrayList<>();
                for (int w = 0; w < WRITERS; w++) {
                    writers.add(new Writer(crash.server, crash.server.brew()));
                }
                writers.forEach(Thread::start);
                TimeUnit.MILLISECONDS.sleep(1000 + random.nextInt(3000));
                crash.kill(round);
                for (Writer w : writers) {
                    w.end.set(true);
                    w.join();
                }
                long begin = System.nanoTime();
                crash.up();
                slowestS = Math.max(slowestS, (System.nanoTime() - begin) / 1_000_000_000);
                int here = 0;
                for (Writer w : writers) {
                    w.again();
                    List<String> kept = crash.kept(w.brew);
                    Set<String> once = new HashSet<>(kept);
                    twice += kept.size() - once.size();
                    lost += (int) w.confirmed.stream()
                            .filter(id -> !once.contains(id))
                            .count();
                    here += w.confirmed.size();
                    crash.server.giveUp(w.brew);
                }
                confirmed += here;
                System.out.printf("round %d: %d confirmed, %d lost so far%n", round + 1, here, lost);
            }
        } finally {
            crash.down();
        }
        System.out.printf(
                Locale.ROOT,
                "%d crashes under %d writers: %d events confirmed, %d lost, %d there twice; ready again after at most %d s%n",
                rounds,
                WRITERS,
                confirmed,
                lost,
                twice,
                slowestS);
        System.exit(lost + twice == 0 && confirmed > 0 ? 0 : 1);
    }

    private List<String> kept(String brew) throws IOException, InterruptedException {
        Matcher event = EVENT.matcher(server.get("/api/brews/" + brew));
        List<String> ids = new ArrayList<>();
        while (event.find()) {
            ids.add(event.group(1));
        }
        return ids;
    }

    private void up() throws IOException, InterruptedException {
        File log = home.resolve("start.log").toFile();
        ProcessBuilder builder = new ProcessBuilder("./start")
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log));
        builder.environment().put("EMBER_DATA", home.toString());
        builder.environment().put("EMBER_PORT", String.valueOf(port));
        start = builder.start();
        for (int i = 0; i < 1200; i++) {
            if (!start.isAlive()) {
                throw new IOException("./start ended: " + Files.readString(log.toPath()));
            }
            try {
                server.get("/actuator/health");
                return;
            } catch (IOException notYet) {
                TimeUnit.MILLISECONDS.sleep(200);
            }
        }
        throw new IOException("./start is not ready after four minutes");
    }

    /** Start first, as it would start the others again; then server and database in changing order. */
    private void kill(int round) throws IOException, InterruptedException {
        List<Long> both = new ArrayList<>(List.of(
                Long.parseLong(Files.readString(home.resolve("demo/server.pid")).strip()),
                Long.parseLong(Files.readAllLines(home.resolve("demo/cluster/postmaster.pid"))
                        .get(0)
                        .strip())));
        if (round % 2 == 1) {
            Collections.reverse(both);
        }
        kill9(start.pid());
        start.waitFor();
        for (long process : both) {
            List<Long> all = new ArrayList<>(List.of(process));
            ProcessHandle.of(process).stream()
                    .flatMap(ProcessHandle::descendants)
                    .forEach(p -> all.add(p.pid()));
            for (long one : all) {
                kill9(one);
            }
        }
        // A killed process has let go of its port a moment later.
        for (long process : both) {
            while (ProcessHandle.of(process).map(ProcessHandle::isAlive).orElse(false)) {
                TimeUnit.MILLISECONDS.sleep(50);
            }
        }
    }

    private static void kill9(long process) throws IOException, InterruptedException {
        new ProcessBuilder("kill", "-KILL", String.valueOf(process)).start().waitFor();
    }

    private void down() throws InterruptedException, IOException {
        if (start != null && start.isAlive()) {
            new ProcessBuilder("kill", "-TERM", String.valueOf(start.pid()))
                    .start()
                    .waitFor();
            start.waitFor(60, TimeUnit.SECONDS);
        }
    }

    /** Writes readings down one after the other, until the server is gone. */
    private static final class Writer extends Thread {

        private final Server server;
        private final String brew;
        private final AtomicBoolean end = new AtomicBoolean();
        private final List<String> confirmed = new ArrayList<>();
        private UUID underWay;

        Writer(Server server, String brew) {
            this.server = server;
            this.brew = brew;
        }

        @Override
        public void run() {
            try {
                while (!end.get()) {
                    underWay = UUID.randomUUID();
                    record();
                }
            } catch (IOException gone) {
                // The crash. What was under way is not known to be kept; again() sends it once more.
            } catch (InterruptedException e) {
                interrupt();
            }
        }

        void again() throws IOException, InterruptedException {
            if (underWay != null) {
                record();
            }
        }

        private void record() throws IOException, InterruptedException {
            server.record(brew, underWay, 60);
            confirmed.add(underWay.toString());
            underWay = null;
        }
    }
}
