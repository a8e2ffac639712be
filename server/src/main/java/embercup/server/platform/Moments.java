package embercup.server.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;

/** Moments that the calendar of a household could have; a database keeps no others. */
public final class Moments {

    private static final Instant FIRST = Instant.parse("1900-01-01T00:00:00Z");
    private static final Instant AFTER = Instant.parse("9999-01-01T00:00:00Z");

    private Moments() {}

    /** A time of day by a household's clock, whatever the offset of that day is. */
    public static Instant of(LocalDate day, LocalTime time, ZoneId zone) {
        return day.atTime(time).atZone(zone).toInstant();
    }

    /** Whether it is a moment of these centuries. */
    public static boolean inTime(Instant moment) {
        return !moment.isBefore(FIRST) && moment.isBefore(AFTER);
    }
}
