package embercup.server.brews;

import java.time.Duration;
import java.time.Instant;

/** The clock of a brew: the server's, or a faster one when its kitchen is simulated. */
final class BrewClock {

    private BrewClock() {}

    static Instant now(BrewEntity e, Instant real) {
        if (e.clockReal == null) {
            return real;
        }
        double millis = Duration.between(e.clockReal, real).toMillis() * e.clockSpeed;
        return e.clockBrew.plusMillis(Math.round(millis));
    }

    /** When it will be so late by the brew's clock, by the server's; a clock that runs faster is there sooner. */
    static Instant real(BrewEntity e, Instant brew) {
        if (e.clockReal == null) {
            return brew;
        }
        double millis = Duration.between(e.clockBrew, brew).toMillis() / e.clockSpeed;
        return e.clockReal.plusMillis(Math.round(millis));
    }

    /** From now on it runs so fast; what has gone by stays. */
    static void set(BrewEntity e, double speed, Instant real) {
        e.clockBrew = now(e, real);
        e.clockReal = real;
        e.clockSpeed = speed;
    }
}
