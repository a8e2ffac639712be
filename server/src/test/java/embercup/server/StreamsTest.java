package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Pages that listen: one that does not read holds back nobody, and many are let in at once. */
@ExtendWith(RunningServer.class)
class StreamsTest {

    private String brew;

    @BeforeEach
    void start() {
        String recipe =
                RunningServer.get("/api/recipes").body().get(0).get("id").asString();
        brew = RunningServer.post(
                        "/api/brews",
                        "{\"recipeId\":\"%s\",\"start\":true,\"confirmed\":[\"elderflower\",\"linden\"]}"
                                .formatted(recipe))
                .body()
                .get("id")
                .asString();
    }

    private Socket listen() throws IOException {
        URI server = URI.create(RunningServer.address());
        Socket socket = new Socket();
        socket.setReceiveBufferSize(4096);
        socket.setSoTimeout(20_000);
        socket.connect(new InetSocketAddress(server.getHost(), server.getPort()));
        socket.getOutputStream()
                .write(("GET /api/brews/" + brew + "/stream HTTP/1.1\r\nHost: " + server.getAuthority()
                                + "\r\nAccept: text/event-stream\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static BufferedReader reader(Socket socket) throws IOException {
        return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
    }

    /** The next message of a stream that holds a word. */
    private static void hears(BufferedReader in, String word) throws IOException {
        String line = in.readLine();
        while (line != null && !line.contains(word)) {
            line = in.readLine();
        }
        assertThat(line).as("the stream ended before it said " + word).isNotNull();
    }

    /** When a stream said a word, by the clock of this machine, ns. */
    private static long heardAt(BufferedReader in, String word) {
        try {
            hears(in, word);
            return System.nanoTime();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void aPageThatDoesNotReadHoldsBackNobody() throws IOException {
        try (Socket stalled = listen();
                Socket healthy = listen()) {
            assertThat(stalled.isConnected()).isTrue();
            BufferedReader in = reader(healthy);
            hears(in, "event:brew");
            String last = UUID.randomUUID().toString();
            // A healthy page reads all the while, however long the confirmations take.
            CompletableFuture<Long> heard = CompletableFuture.supplyAsync(() -> heardAt(in, last));
            for (int i = 0; i < 150; i++) {
                var told = RunningServer.post(
                        "/api/brews/" + brew + "/events",
                        "{\"id\":\"%s\",\"kind\":\"turned\",\"turn\":\"%s\"}"
                                .formatted(
                                        i == 149 ? last : UUID.randomUUID().toString(),
                                        i % 2 == 0 ? "lid-on" : "lid-off"));
                assertThat(told.code()).isEqualTo(200);
            }
            long before = System.nanoTime();
            assertThat((heard.join() - before) / 1e9)
                    .as("seconds until the last confirmation is heard beside a page that reads nothing")
                    .isLessThan(5);
        }
    }

    @Test
    void manyPagesListenAtOnceAndEachHears() throws IOException {
        List<Socket> pages = new ArrayList<>();
        try {
            for (int i = 0; i < 300; i++) {
                pages.add(listen());
            }
            for (Socket page : pages) {
                hears(reader(page), "event:brew");
            }
        } finally {
            for (Socket page : pages) {
                page.close();
            }
        }
    }

    @Test
    void aBeatSaysHowMuchHasHappenedSoThatAPageThatMissedSomethingAsks() throws IOException {
        try (Socket page = listen()) {
            BufferedReader in = reader(page);
            hears(in, "event:brew");
            RunningServer.post(
                    "/api/brews/" + brew + "/events",
                    "{\"id\":\"%s\",\"kind\":\"turned\",\"turn\":\"lid-on\"}".formatted(UUID.randomUUID()));
            long happened =
                    RunningServer.get("/api/brews/" + brew).body().get("state").asLong();
            hears(in, "event:beat");
            assertThat(in.readLine()).isEqualTo("data:{\"state\":" + happened + "}");
        }
    }
}
