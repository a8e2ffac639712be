package embercup.server.brews;

import embercup.server.platform.HouseWords;
import embercup.server.platform.StreamSubscribers;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
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
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells every open page of a brew that it changed, whichever server recorded the change: the word goes round through
 * PostgreSQL's LISTEN and NOTIFY. A lost word is caught up by the page, which asks again when it reconnects, and when a beat tells it
 * that it knows less than has happened.
 */
@Component
class BrewStreams implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(BrewStreams.class);
    private static final String CHANNEL = "brew_changed";
    private static final int READERS = 4;
    private static final int WAIT_MS = 4_000;
    private static final long BEAT_NS = 8_000_000_000L;
    private static final int PAUSE_MS = 1_000;

    private final Map<UUID, Set<StreamSubscribers.Listener>> listeners = new ConcurrentHashMap<>();
    private final DataSource dataSource;
    private final JdbcClient jdbc;
    private final Brews brews;
    private final HouseWords words;
    private final StreamSubscribers subscribers;
    private final JsonMapper json;
    private final ExecutorService readers = Executors.newFixedThreadPool(READERS, BrewStreams::thread);
    /** Who waits for a brew that is about to be read. */
    private final Map<UUID, Set<StreamSubscribers.Listener>> waiting = new ConcurrentHashMap<>();

    private volatile boolean open = true;
    private volatile @Nullable Thread ear;

    BrewStreams(
            DataSource dataSource,
            JdbcClient jdbc,
            Brews brews,
            HouseWords words,
            StreamSubscribers subscribers,
            JsonMapper json) {
        this.dataSource = dataSource;
        this.jdbc = jdbc;
        this.brews = brews;
        this.words = words;
        this.subscribers = subscribers;
        this.json = json;
    }

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "brew-readers");
        thread.setDaemon(true);
        return thread;
    }

    /**
     * Opens a stream; the state as soon as it is read is its first message.
     *
     * @throws embercup.server.platform.RefusedException 404 when there is no such brew, 503 when too many listen
     */
    SseEmitter open(UUID brewId) {
        boolean running = brews.running(brewId);
        listen();
        StreamSubscribers.Listener listener = subscribers.admit(running, gone -> leave(brewId, gone));
        join(brewId, listener);
        // Read only now: what is confirmed before is in it, what is confirmed after is told to a listener that is
        // there.
        tell(brewId, Set.of(listener));
        return listener.emitter();
    }

    /** In one step, as {@link #leave} takes away what nobody is left in. */
    private void join(UUID brewId, StreamSubscribers.Listener listener) {
        listeners.compute(brewId, (id, before) -> {
            Set<StreamSubscribers.Listener> all = before == null ? ConcurrentHashMap.newKeySet() : before;
            all.add(listener);
            return all;
        });
    }

    private void leave(UUID brewId, StreamSubscribers.Listener listener) {
        listeners.computeIfPresent(brewId, (id, all) -> {
            all.remove(listener);
            return all.isEmpty() ? null : all;
        });
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
                statement.execute("listen " + StreamSubscribers.DEVICE_GONE);
                PGConnection postgres = connection.unwrap(PGConnection.class);
                tellAll();
                long beaten = System.nanoTime();
                while (open) {
                    var words = postgres.getNotifications(WAIT_MS);
                    // Also while there is much to tell of other brews.
                    if (System.nanoTime() - beaten >= BEAT_NS) {
                        beat();
                        beaten = System.nanoTime();
                    }
                    if (words == null) {
                        continue;
                    }
                    for (var word : words) {
                        if (word.getName().equals(StreamSubscribers.DEVICE_GONE)) {
                            subscribers.dismissOwned(word.getParameter());
                        } else {
                            tell(UUID.fromString(word.getParameter()));
                        }
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

    /** Tells everybody who listens to a brew that changed. */
    private void tell(UUID brewId) {
        tell(brewId, listeners.getOrDefault(brewId, Set.of()));
    }

    /** Has a brew read once for all who wait for it, however often that is asked for before it is done. */
    private void tell(UUID brewId, Set<StreamSubscribers.Listener> to) {
        if (to.isEmpty()) {
            return;
        }
        waiting.compute(brewId, (id, before) -> {
            Set<StreamSubscribers.Listener> all = before == null ? new HashSet<>() : before;
            all.addAll(to);
            if (before == null) {
                readers.execute(() -> read(id));
            }
            return all;
        });
    }

    private void read(UUID brewId) {
        Set<StreamSubscribers.Listener> to = waiting.remove(brewId);
        if (to == null) {
            return;
        }
        AtomicBoolean told = new AtomicBoolean();
        try {
            words.saying(() -> {
                // Written once: a state is as long as its curve.
                String now = json.writeValueAsString(brews.get(brewId));
                to.forEach(l -> subscribers.tell(l, "brew", now));
                told.set(true);
            });
        } catch (RuntimeException e) {
            LOG.debug("A brew could not be read for those who listen", e);
        } finally {
            // Whatever went wrong: they ask again by themselves, and hear then what it is.
            if (!told.get()) {
                to.forEach(subscribers::dismiss);
            }
        }
    }

    /**
     * A word now and then, so that a page knows that it still hears, and one that went away is noticed. It says how much has happened
     * to the brew: a page that knows less has missed something and asks.
     */
    private void beat() {
        Map<UUID, Long> happened = brews.happened(listeners.keySet());
        listeners.forEach((brewId, all) -> {
            Map<String, Long> state = Map.of("state", happened.getOrDefault(brewId, 0L));
            all.forEach(l -> subscribers.beat(l, state));
        });
    }

    @Override
    public void destroy() {
        open = false;
        readers.shutdownNow();
        Thread thread = ear;
        if (thread != null) {
            thread.interrupt();
        }
    }
}
