package embercup.server.devices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Random;
import org.springframework.stereotype.Component;

/**
 * A scale to half a decigram with a trembling last digit; what is put on it arrives at the speed of a careful hand. It stands
 * for hardware of this machine, so that its load is not in the database.
 */
@Component
class SimulatedScale implements Scale {

    private static final double GRAMS_PER_S = 4;
    private static final double LEAST_S = 0.8;
    private static final double DIGIT_G = 0.1;
    private static final double TREMBLE_G = 0.03;
    private static final double MOST_G = 10_000;

    private final Clock clock;
    private final Random tremble = new Random(20261125);
    private double from;
    private double to;
    private double tareG;
    private Instant since;

    SimulatedScale(Clock clock) {
        this.clock = clock;
        this.since = clock.instant();
    }

    @Override
    public synchronized Weight read() {
        double load = load();
        boolean still = load == to;
        double shown = load - tareG + tremble.nextGaussian() * TREMBLE_G;
        return new Weight(Math.round(shown / DIGIT_G) * DIGIT_G, still);
    }

    @Override
    public synchronized void tare() {
        tareG = load();
    }

    /** The hands: puts so many grams on, or takes them off when negative. */
    synchronized void put(double grams) {
        from = load();
        to = Math.max(0, Math.min(MOST_G, to + grams));
        since = clock.instant();
    }

    private double load() {
        double seconds = Duration.between(since, clock.instant()).toMillis() / 1000.0;
        double takes = Math.max(LEAST_S, Math.abs(to - from) / GRAMS_PER_S);
        return seconds >= takes ? to : from + (to - from) * seconds / takes;
    }
}
