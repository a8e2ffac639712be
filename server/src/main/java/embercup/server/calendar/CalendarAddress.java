package embercup.server.calendar;

import embercup.server.platform.Digest;
import embercup.server.platform.RefusedException;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The address at which a calendar asks by itself: whoever knows its secret reads, and nothing else. One at a time. */
@Component
class CalendarAddress {

    /** A phone that is given away still knows it: it ends by itself after a year (design value). */
    static final Duration LIVES = Duration.ofDays(365);

    private static final int SECRET_BYTES = 24;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    CalendarAddress(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * How it stands with the address.
     *
     * @param path with its secret, said once when it is made; missing else
     * @param askedAt when a calendar asked last
     */
    record AddressResponse(
            @Nullable String path,
            @Nullable Instant madeAt,
            @Nullable Instant until,
            @Nullable Instant askedAt) {}

    @Transactional(readOnly = true)
    public AddressResponse stands() {
        return jdbc.sql("select made_at, until, asked_at from calendar_address")
                .query((row, n) -> new AddressResponse(
                        null,
                        row.getTimestamp(1).toInstant(),
                        row.getTimestamp(2).toInstant(),
                        Optional.ofNullable(row.getTimestamp(3))
                                .map(Timestamp::toInstant)
                                .orElse(null)))
                .optional()
                .orElse(new AddressResponse(null, null, null, null));
    }

    /** Makes a new one; the one before is over at once. */
    @Transactional
    public AddressResponse renew() {
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        Instant now = clock.instant();
        jdbc.sql("delete from calendar_address").update();
        jdbc.sql("insert into calendar_address (digest, made_at, until) values (:digest, :now, :until)")
                .param("digest", Digest.of(secret))
                .param("now", Timestamp.from(now))
                .param("until", Timestamp.from(now.plus(LIVES)))
                .update();
        return new AddressResponse("/calendar/" + secret + ".ics", now, now.plus(LIVES), null);
    }

    @Transactional
    public void close() {
        jdbc.sql("delete from calendar_address").update();
    }

    /** @throws RefusedException 404 for a secret that is not, or no longer, the house's */
    @Transactional
    public void opened(String secret) {
        int asked = jdbc.sql("update calendar_address set asked_at = :now where digest = :digest and until > :now")
                .param("now", Timestamp.from(clock.instant()))
                .param("digest", Digest.of(secret))
                .update();
        if (asked == 0) {
            throw RefusedException.of(HttpStatus.NOT_FOUND, "calendar-closed", Map.of());
        }
    }
}
