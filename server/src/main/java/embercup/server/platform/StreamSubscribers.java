package embercup.server.platform;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Pages that listen. Each has a place for one message: a newer one takes the place of one that was not read yet, as every message
 * says the whole state. So a page that reads slowly costs its own newest message and holds back nobody; one that reads nothing for as
 * long as a connection may be silent is gone. There are so many places and no more, and what is on the fire comes first.
 */
@Component
public class StreamSubscribers implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(StreamSubscribers.class);

    /** Pages that listen at once to one server (design value: a household has ten devices with some tabs each). */
    public static final int MOST = 600;

    /** Channel of the database on which every server hears that a device was sent away. */
    public static final String DEVICE_GONE = "device_gone";

    private static final int SENDERS = 24;
    private static final long IDLE_S = 20;
    private static final long NEVER_MS = 0;

    private final Set<Listener> all = ConcurrentHashMap.newKeySet();
    private final ThreadPoolExecutor senders = new ThreadPoolExecutor(
            SENDERS, SENDERS, IDLE_S, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), StreamSubscribers::thread);

    StreamSubscribers() {
        senders.allowCoreThreadTimeOut(true);
    }

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "audience");
        thread.setDaemon(true);
        return thread;
    }

    /** One page that listens to one thing. */
    public static final class Listener {

        private final SseEmitter emitter = new SseEmitter(NEVER_MS);
        private final AtomicReference<Map.@Nullable Entry<String, Object>> next = new AtomicReference<>();
        private final AtomicBoolean sending = new AtomicBoolean();
        private final String owner;
        private final boolean first;
        private final Consumer<Listener> leave;
        private volatile boolean gone;

        private Listener(String owner, boolean first, Consumer<Listener> leave) {
            this.owner = owner;
            this.first = first;
            this.leave = leave;
        }

        /** What the framework answers with. */
        public SseEmitter emitter() {
            return emitter;
        }
    }

    /**
     * Lets a page in.
     *
     * @param first whether it listens to something on the fire: it takes the place of one that does not, when all are taken
     * @param leave told once, when it is gone
     * @throws RefusedException 503 when every place is taken
     */
    public Listener admit(boolean first, Consumer<Listener> leave) {
        if (all.size() >= MOST) {
            Listener other =
                    first ? all.stream().filter(l -> !l.first).findAny().orElse(null) : null;
            if (other == null) {
                throw RefusedException.of(HttpStatus.SERVICE_UNAVAILABLE, "too-many-listen", Map.of("most", MOST));
            }
            dismiss(other);
        }
        Listener listener = new Listener(owner(), first, leave);
        all.add(listener);
        listener.emitter.onCompletion(() -> gone(listener));
        listener.emitter.onTimeout(() -> gone(listener));
        listener.emitter.onError(e -> gone(listener));
        return listener;
    }

    /** Gives a page the newest; what it has not read yet is forgotten. */
    public void tell(Listener listener, String event, Object state) {
        if (listener.gone) {
            return;
        }
        listener.next.set(Map.entry(event, state));
        if (listener.sending.compareAndSet(false, true)) {
            senders.execute(() -> send(listener));
        }
    }

    /** Lets a page know that it still hears, and how far what it listens to has come, unless something else is on its way. */
    public void beat(Listener listener, Object state) {
        if (!listener.gone
                && listener.next.compareAndSet(null, Map.entry("beat", state))
                && listener.sending.compareAndSet(false, true)) {
            senders.execute(() -> send(listener));
        }
    }

    private void send(Listener listener) {
        do {
            for (var message = listener.next.getAndSet(null);
                    message != null;
                    message = listener.next.getAndSet(null)) {
                try {
                    listener.emitter.send(
                            SseEmitter.event().name(message.getKey()).data(message.getValue()));
                } catch (IOException | RuntimeException e) {
                    LOG.debug("A page that listened went away");
                    dismiss(listener);
                    return;
                }
            }
            listener.sending.set(false);
        } while (listener.next.get() != null && listener.sending.compareAndSet(false, true));
    }

    /** Lets a page go; it may come back by itself. */
    public void dismiss(Listener listener) {
        gone(listener);
        try {
            listener.emitter.complete();
        } catch (RuntimeException e) {
            LOG.debug("It was gone already");
        }
    }

    /** Lets every page of a device go. @param owner the name under which its requests come in */
    public void dismissOwned(String owner) {
        all.stream().filter(l -> l.owner.equals(owner)).toList().forEach(this::dismiss);
    }

    private static String owner() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null ? "" : who.getName();
    }

    private void gone(Listener listener) {
        listener.gone = true;
        if (all.remove(listener)) {
            listener.leave.accept(listener);
        }
    }

    @Override
    public void destroy() {
        List.copyOf(all).forEach(this::dismiss);
        senders.shutdownNow();
    }
}
