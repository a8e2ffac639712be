package embercup.core.keeping;

import embercup.core.live.LiveBrew;
import embercup.core.live.LiveBrew.LiveStep;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import embercup.core.recipe.Stage;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A long maceration in its jar: the days on which it is shaken, once each, and the day on which it is pressed. Immutable.
 *
 * @param first the day it was set up: labelled, and shaken for the first time
 * @param press the day on which its time is up
 * @param shaken days on which it was
 */
public record Shaking(LocalDate first, LocalDate press, Set<LocalDate> shaken) {

    public Shaking {
        shaken = Set.copyOf(shaken);
    }

    /** What a day is for the jar. */
    public enum Kind {
        SHAKEN,
        MISSED,
        /** Today, and not yet. */
        DUE,
        AHEAD,
        /** Its last: strained and pressed. */
        PRESS
    }

    /** One day of it. */
    public record Day(LocalDate date, Kind kind) {}

    /** Whether a pot of this plan ever stands so long that it is shaken daily. */
    public static boolean everIn(BrewPlan plan) {
        return plan.pot().stages().stream().anyMatch(s -> s instanceof Stage.Macerate m && m.shakenDaily());
    }

    /**
     * The maceration that a brew stands in now.
     *
     * @param zone of the house
     * @return empty when none stands that is shaken daily
     */
    public static Optional<Shaking> of(BrewPlan plan, LiveBrew live, ZoneId zone) {
        return live.now()
                .filter(n -> daily(plan, n.step()))
                .flatMap(n -> of(n, live.happened().shaken(), zone));
    }

    private static Optional<Shaking> of(LiveStep stands, List<Instant> shaken, ZoneId zone) {
        return stands.beganAt()
                .map(began -> new Shaking(
                        day(began, zone),
                        day(stands.dueAt(), zone),
                        shaken.stream().map(at -> day(at, zone)).collect(Collectors.toUnmodifiableSet())));
    }

    private static boolean daily(BrewPlan plan, Step step) {
        return step.stage() >= 0
                && !step.heats()
                && plan.pot().stages().get(step.stage()) instanceof Stage.Macerate m
                && m.shakenDaily();
    }

    private static LocalDate day(Instant at, ZoneId zone) {
        return at.atZone(zone).toLocalDate();
    }

    /** Every day from the first to the press; when it stands longer than that, to today. */
    public List<Day> days(LocalDate today) {
        LocalDate last = press.isBefore(today) ? today : press;
        return first.datesUntil(last.plusDays(1))
                .map(d -> new Day(d, kind(d, today)))
                .toList();
    }

    /** Whether it waits to be shaken today; on the day of the press it is pressed instead. */
    public boolean due(LocalDate today) {
        return kind(today, today) == Kind.DUE;
    }

    private Kind kind(LocalDate day, LocalDate today) {
        if (shaken.contains(day) || day.equals(first)) {
            // It is shaken when it is set up.
            return Kind.SHAKEN;
        } else if (day.equals(press)) {
            return Kind.PRESS;
        } else if (day.isBefore(today)) {
            return Kind.MISSED;
        }
        return day.equals(today) ? Kind.DUE : Kind.AHEAD;
    }
}
