package embercup.server.devices;

import embercup.server.platform.StreamSubscribers;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Reads instruments for open pages, four times a second; nothing runs while nobody looks. An instrument that cannot be read at one
 * tick is read again at the next: its pages hear nothing meanwhile and say so.
 */
@Component
class Ticker implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Ticker.class);
    private static final long EVERY_MS = 250;

    private final StreamSubscribers subscribers;
    private final Map<StreamSubscribers.Listener, Watched> watched = new ConcurrentHashMap<>();
    private final ScheduledExecutorService clockwork = Executors.newSingleThreadScheduledExecutor(Ticker::thread);
    private @Nullable ScheduledFuture<?> ticking;

    private record Watched(String event, Supplier<Object> reading) {}

    Ticker(StreamSubscribers subscribers) {
        this.subscribers = subscribers;
    }

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "instruments");
        thread.setDaemon(true);
        return thread;
    }

    /** @throws embercup.server.platform.RefusedException 503 when too many listen */
    SseEmitter open(String event, Supplier<Object> reading) {
        StreamSubscribers.Listener listener = subscribers.admit(true, this::leave);
        watched.put(listener, new Watched(event, reading));
        start();
        return listener.emitter();
    }

    private synchronized void start() {
        if (ticking == null) {
            ticking = clockwork.scheduleWithFixedDelay(this::tick, 0, EVERY_MS, TimeUnit.MILLISECONDS);
        }
    }

    private synchronized void leave(StreamSubscribers.Listener listener) {
        watched.remove(listener);
        if (watched.isEmpty() && ticking != null) {
            ticking.cancel(false);
            ticking = null;
        }
    }

    private void tick() {
        watched.forEach((listener, of) -> {
            try {
                subscribers.tell(listener, of.event, of.reading.get());
            } catch (RuntimeException e) {
                LOG.debug("An instrument has nothing to read", e);
            }
        });
    }

    @Override
    public void destroy() {
        clockwork.shutdownNow();
    }
}
