package embercup.server.platform;

import java.time.Instant;

/** Moments that the calendar of a household could have; a database keeps no others. */
public final class Moments {

    private static final Instant FIRST = Instant.parse("1900-01-01T00:00:00Z");
    private static final Instant AFTER = Instant.parse("9999-01-01T00:00:00Z");

    private Moments() {}

    /** Whether it is a moment of these centuries. */
    public static boolean inTime(Instant moment) {
        return !moment.isBefore(FIRST) && moment.isBefore(AFTER);
    }
}
