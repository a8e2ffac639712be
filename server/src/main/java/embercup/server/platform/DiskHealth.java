package embercup.server.platform;

import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Down since the database had no room for something, until it has room again: then something is written for trial whenever health is
 * asked for, so that it is up by itself as soon as there is.
 */
@Component
class DiskHealth implements HealthIndicator {

    private final AtomicBoolean full = new AtomicBoolean();
    private final JdbcClient jdbc;

    DiskHealth(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void seenFull() {
        full.set(true);
    }

    @Override
    public Health health() {
        if (full.get()) {
            try {
                jdbc.sql("insert into disk_trial (id, filler) values (1, repeat(md5(random()::text), 3000))"
                                + " on conflict (id) do update set filler = excluded.filler")
                        .update();
                full.set(false);
            } catch (DataAccessException | TransactionException e) {
                return Health.down().withDetail("disk", "full").build();
            }
        }
        return Health.up().build();
    }
}
