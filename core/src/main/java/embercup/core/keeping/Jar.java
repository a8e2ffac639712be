package embercup.core.keeping;

import embercup.core.live.LiveBrew;
import embercup.core.measure.Volume;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * What is left of a pot, closed in a jar. Immutable.
 *
 * @param left liquor in it
 * @param made when the pot was ready: its time is counted from then
 * @param span how long it is good; empty for what keeps for months, or when nobody knows
 */
public record Jar(Volume left, Instant made, Optional<Span> span) {

    /** Less than this is what stays on the wall of a jug and no cup (design value), mL. */
    public static final double NOTHING_ML = 15;

    /** Of a tincture in its bottle: less than half a dose (design value), mL. */
    public static final double NO_DROPS_ML = 1;

    /** What stands in its pot and is in no jar is for its own day (common practice, no source). */
    public static final Duration IN_ITS_POT = Duration.ofHours(24);

    /** The last share of its time in which it is told to be about to go (design value). */
    static final double GOING_SHARE = 0.25;

    /** Until when it is good by the cautious time, and by the longest that is given. */
    public record Span(Instant good, Instant latest) {

        /** @param hours the cautious time, @param mostHours the longest, both from when it was made */
        public static Span of(Instant made, int hours, int mostHours) {
            return new Span(made.plus(Duration.ofHours(hours)), made.plus(Duration.ofHours(mostHours)));
        }
    }

    /** How it stands with a jar. */
    public enum Age {
        /** It keeps for months, or nobody said how long. */
        KEEPS,
        GOOD,
        /** The last quarter of its cautious time. */
        GOING,
        /** Past the cautious time, not past the longest: looked at and smelled first. */
        DOUBTFUL,
        /** Past the longest time that is given: thrown away. */
        OVER
    }

    /** Until when what still stands in its pot may be poured: for its own day, and as long as it would be good in a jar. */
    public static Instant inItsPotUntil(Instant made, Optional<Span> span) {
        Instant day = made.plus(IN_ITS_POT);
        return span.map(Span::latest).filter(day::isBefore).orElse(day);
    }

    /** Whether there is something to keep. */
    public static boolean worthKeeping(LiveBrew live) {
        return live.leftMl() >= NOTHING_ML;
    }

    public Age at(Instant now) {
        if (span.isEmpty()) {
            return Age.KEEPS;
        }
        Span of = span.get();
        if (!now.isBefore(of.latest)) {
            return Age.OVER;
        } else if (!now.isBefore(of.good)) {
            return Age.DOUBTFUL;
        }
        Duration last =
                Duration.ofMillis((long) (Duration.between(made, of.good).toMillis() * GOING_SHARE));
        return now.isBefore(of.good.minus(last)) ? Age.GOOD : Age.GOING;
    }
}
