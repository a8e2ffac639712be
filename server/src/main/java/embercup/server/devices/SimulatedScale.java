package embercup.server.devices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Random;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * A scale to half a decigram with a trembling last digit; what is put on it arrives at the speed of a careful hand. There is one in
 * the house: its load is in the database, so that every server shows the same.
 */
@Component
class SimulatedScale implements Scale {

    private static final double GRAMS_PER_S = 4;
    private static final double LEAST_S = 0.8;
    private static final double DIGIT_G = 0.1;
    private static final double TREMBLE_G = 0.03;
    private static final double MOST_G = 10_000;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final Random tremble = new Random(20261125);

    SimulatedScale(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A load on its way from one weight to another since a moment, and what is taken for nothing; g. */
    private record Load(double from, double to, double tareG, Instant since) {

        double at(Instant now) {
            double seconds = Math.max(0, Duration.between(since, now).toMillis() / 1000.0);
            double takes = Math.max(LEAST_S, Math.abs(to - from) / GRAMS_PER_S);
            return seconds >= takes ? to : from + (to - from) * seconds / takes;
        }
    }

    @Override
    public Weight read() {
        Load load = load("");
        double grams = load.at(clock.instant());
        double shown = grams - load.tareG + tremble.nextGaussian() * TREMBLE_G;
        return new Weight(Math.round(shown / DIGIT_G) * DIGIT_G, grams == load.to);
    }

    @Override
    @Transactional
    public void tare() {
        jdbc.sql("update simulated_scale set tare_g = :tare")
                .param("tare", load(" for update").at(clock.instant()))
                .update();
    }

    /** The hands: puts so many grams on, or takes them off when negative. */
    @Transactional
    void put(double grams) {
        Load load = load(" for update");
        Instant now = clock.instant();
        jdbc.sql("update simulated_scale set from_g = :from, to_g = :to, since = :since")
                .param("from", load.at(now))
                .param("to", Math.max(0, Math.min(MOST_G, load.to + grams)))
                .param("since", OffsetDateTime.ofInstant(now, ZoneOffset.UTC))
                .update();
    }

    private Load load(String hold) {
        return jdbc.sql("select from_g, to_g, tare_g, since from simulated_scale" + hold)
                .query((row, n) -> new Load(
                        row.getDouble(1),
                        row.getDouble(2),
                        row.getDouble(3),
                        row.getTimestamp(4).toInstant()))
                .single();
    }
}
