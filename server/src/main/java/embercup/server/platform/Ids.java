package embercup.server.platform;

import java.security.SecureRandom;
import java.util.UUID;

/** UUID version 7: a millisecond clock and randomness, so that keys sort by age (RFC 9562 §5.7). */
public final class Ids {

    private static final SecureRandom RANDOM = new SecureRandom();

    private Ids() {}

    public static UUID next(long epochMillis) {
        long high = epochMillis << 16 | 0x7000L | RANDOM.nextInt(0x1000);
        long low = RANDOM.nextLong() >>> 2 | 0x8000000000000000L;
        return new UUID(high, low);
    }
}
