package embercup.server.brews;

import embercup.server.platform.HouseWords;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every open page of a brew that it changed, whichever server recorded the change: the word goes round through
 * PostgreSQL's LISTEN and NOTIFY. A lost word is caught up by the page, which asks again when it reconnects.
 */
@Component
class BrewStreams implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(BrewStreams.class);
    private static final String CHANNEL = "brew_changed";
    private static final long NEVER_MS = 0;
    private static final int WAIT_MS = 10_000;
    private static final int PAUSE_MS = 1_000;

    private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();
    private final DataSource dataSource;
    private final JdbcClient jdbc;
    private final Brews brews;
    private final HouseWords words;
    private volatile boolean open = true;
    private volatile @Nullable Thread ear;

    BrewStreams(DataSource dataSource, JdbcClient jdbc, Brews brews, HouseWords words) {
        this.dataSource = dataSource;
        this.jdbc = jdbc;
        this.brews = brews;
        this.words = words;
    }

    /** Opens a stream; the state now is its first message. */
    SseEmitter open(UUID brewId) {
        listen();
        SseEmitter emitter = new SseEmitter(NEVER_MS);
        List<SseEmitter> all = listeners.computeIfAbsent(brewId, id -> new CopyOnWriteArrayList<>());
        all.add(emitter);
        Runnable leave = () -> all.remove(emitter);
        emitter.onCompletion(leave);
        emitter.onTimeout(leave);
        emitter.onError(e -> leave.run());
        // Read only now: what is confirmed before is in it, what is confirmed after is told to a listener that is
        // there.
        try {
            send(emitter, brews.get(brewId));
        } catch (RuntimeException e) {
            leave.run();
            throw e;
        }
        return emitter;
    }

    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void changed(Brews.Changed changed) {
        jdbc.sql("select pg_notify(:channel, :id)")
                .param("channel", CHANNEL)
                .param("id", changed.brewId().toString())
                .query()
                .listOfRows();
    }

    private synchronized void listen() {
        if (ear == null && open) {
            Thread thread = new Thread(this::hear, "brew-changes");
            thread.setDaemon(true);
            thread.start();
            ear = thread;
        }
    }

    private void hear() {
        while (open) {
            try (var connection = dataSource.getConnection();
                    var statement = connection.createStatement()) {
                statement.execute("listen " + CHANNEL);
                PGConnection postgres = connection.unwrap(PGConnection.class);
                tellAll();
                while (open) {
                    var words = postgres.getNotifications(WAIT_MS);
                    if (words == null || words.length == 0) {
                        beat();
                        continue;
                    }
                    for (var word : words) {
                        tell(UUID.fromString(word.getParameter()));
                    }
                }
            } catch (Exception e) {
                LOG.debug("Lost the ear on the database, trying again", e);
                pause();
            }
        }
    }

    private void pause() {
        try {
            Thread.sleep(PAUSE_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            open = false;
        }
    }

    private void tellAll() {
        listeners.keySet().forEach(this::tell);
    }

    private void tell(UUID brewId) {
        List<SseEmitter> all = listeners.getOrDefault(brewId, List.of());
        if (!all.isEmpty()) {
            words.saying(() -> {
                BrewResponse now = brews.get(brewId);
                all.forEach(e -> send(e, now));
            });
        }
    }

    /** A comment now and then, so that a page that went away is noticed. */
    private void beat() {
        listeners.values().forEach(all -> all.forEach(e -> send(e, null)));
    }

    private static void send(SseEmitter emitter, @Nullable BrewResponse sheet) {
        try {
            emitter.send(
                    sheet == null
                            ? SseEmitter.event().comment("still here")
                            : SseEmitter.event().name("brew").data(sheet));
        } catch (IOException | IllegalStateException e) {
            LOG.debug("A listener went away");
            emitter.complete();
        }
    }

    @Override
    public void destroy() {
        open = false;
        listeners.values().forEach(all -> all.forEach(SseEmitter::complete));
        Thread thread = ear;
        if (thread != null) {
            thread.interrupt();
        }
    }
}
