package embercup.server.platform;

import com.github.f4b6a3.uuid.UuidCreator;
import java.time.Instant;
import java.util.UUID;

/** UUID version 7: a millisecond clock and randomness, so that keys sort by age (RFC 9562 §5.7). */
public final class Ids {

    private Ids() {}

    public static UUID next(long epochMillis) {
        return UuidCreator.getTimeOrderedEpoch(Instant.ofEpochMilli(epochMillis));
    }
}
