package embercup.server.archive;

import embercup.server.kitchen.Kitchens;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Makes the archive of every night. An empty household makes none, so that it pushes out no full ones. */
@Service
class Backups implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final int FIRST_MIN = 2;
    private static final int EVERY_MIN = 10;

    private final Archives archives;
    private final Copies copies;
    private final NightlyArchives nights;
    private final Clock clock;
    private final boolean nightly;
    private final ScheduledExecutorService clockwork = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "backups");
        thread.setDaemon(true);
        return thread;
    });
    private volatile @Nullable Failure failure;

    /** Why the last try made none. */
    record Failure(Instant at, String why) {}

    Backups(
            Archives archives,
            Copies copies,
            Kitchens kitchens,
            Clock clock,
            @Value("${ember.backups}") Path folder,
            @Value("${ember.nightly}") boolean nightly) {
        this.archives = archives;
        this.copies = copies;
        this.nights = new NightlyArchives(folder, clock, kitchens::zone);
        this.clock = clock;
        this.nightly = nightly;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        archives.dropLeftOver();
        try {
            nights.dropLeftOver();
            copies.dropLeftOver();
        } catch (IOException e) {
            LOG.warn("What an earlier run left could not be taken away: {}", e.getMessage());
        }
        if (nightly) {
            clockwork.scheduleWithFixedDelay(this::ifDue, FIRST_MIN, EVERY_MIN, TimeUnit.MINUTES);
        }
    }

    /** Makes the archive of this night when there is none yet; a failure is told until one is made. */
    void ifDue() {
        try {
            if (nights.due() && !Archives.empty(archives.holds())) {
                nights.keep(archives::save);
            }
            failure = null;
        } catch (IOException | RuntimeException e) {
            Throwable root = e;
            while (root.getCause() != null) {
                root = root.getCause();
            }
            String why = root.getClass().getSimpleName() + ": " + root.getMessage();
            failure = new Failure(clock.instant(), why);
            LOG.warn("The archive of this night was not made: {}", why);
        }
    }

    NightlyArchives nights() {
        return nights;
    }

    Optional<Failure> failure() {
        return Optional.ofNullable(failure);
    }

    @Override
    public void destroy() {
        clockwork.shutdownNow();
    }
}
