package embercup.server.devices;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Streams readings of instruments to open pages, four times a second; nothing runs while nobody looks. */
@Component
class Ticker implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Ticker.class);
    private static final long EVERY_MS = 250;
    private static final long NEVER_MS = 0;

    private final List<Stream> streams = new CopyOnWriteArrayList<>();
    private ScheduledExecutorService clockwork = Executors.newSingleThreadScheduledExecutor(Ticker::thread);
    private boolean running;

    private record Stream(SseEmitter emitter, String event, Supplier<Object> reading) {}

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "instruments");
        thread.setDaemon(true);
        return thread;
    }

    SseEmitter open(String event, Supplier<Object> reading) {
        SseEmitter emitter = new SseEmitter(NEVER_MS);
        Stream stream = new Stream(emitter, event, reading);
        streams.add(stream);
        Runnable leave = () -> streams.remove(stream);
        emitter.onCompletion(leave);
        emitter.onTimeout(leave);
        emitter.onError(e -> leave.run());
        send(stream);
        start();
        return emitter;
    }

    private synchronized void start() {
        if (!running) {
            running = true;
            clockwork.scheduleWithFixedDelay(this::tick, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
        }
    }

    private void tick() {
        streams.forEach(this::send);
        synchronized (this) {
            if (streams.isEmpty()) {
                clockwork.shutdown();
                clockwork = Executors.newSingleThreadScheduledExecutor(Ticker::thread);
                running = false;
            }
        }
    }

    private void send(Stream stream) {
        try {
            stream.emitter.send(SseEmitter.event().name(stream.event).data(stream.reading.get()));
        } catch (IOException | RuntimeException e) {
            LOG.debug("A page that watched an instrument went away, or the instrument has nothing to read");
            streams.remove(stream);
            stream.emitter.complete();
        }
    }

    @Override
    public void destroy() {
        streams.forEach(s -> s.emitter.complete());
        clockwork.shutdownNow();
    }
}
