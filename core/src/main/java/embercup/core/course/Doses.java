package embercup.core.course;

import embercup.core.recipe.Posology;
import embercup.core.recipe.Posology.Moment;
import embercup.core.recipe.TakingRow;
import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * The doses of one day and how it stands with them. What is late may be taken until half of the way to the next; then it is missed and
 * left out. Never two at once (common practice, no source). Stateless.
 */
public final class Doses {

    /** When each time of day is, by a clock that a household would set (design values). */
    private static final Map<Moment, LocalTime> CLOCK = Map.of(
            Moment.MORNING, LocalTime.of(8, 0),
            Moment.NOON, LocalTime.of(12, 30),
            Moment.AFTERNOON, LocalTime.of(16, 0),
            Moment.EVENING, LocalTime.of(19, 0),
            Moment.BEDTIME, LocalTime.of(22, 0));

    private static final LocalTime FIRST = LocalTime.of(8, 0);
    private static final LocalTime LAST = LocalTime.of(21, 0);

    /** An hour after its time a dose is late (design value). */
    static final Duration LATE_AFTER = Duration.ofHours(1);

    private Doses() {}

    /** How it stands with a dose. */
    public enum State {
        AHEAD,
        DUE,
        /** Past its time, and may still be taken. */
        LATE,
        TAKEN,
        /** Left out; the next is not larger for it. */
        MISSED
    }

    /**
     * A dose of a day.
     *
     * @param due its time by the household's clock
     * @param takenAt when it was drunk
     */
    public record Dose(int index, LocalTime due, State state, Optional<LocalTime> takenAt) {

        /** Whether it is still to be taken. */
        public boolean open() {
            return state != State.TAKEN && state != State.MISSED;
        }
    }

    /**
     * A day's doses.
     *
     * @param extra cups that were drunk beside them: a second one in the time of one dose
     */
    public record Day(List<Dose> doses, int extra) {

        public Day {
            doses = List.copyOf(doses);
        }

        public long count(State state) {
            return doses.stream().filter(d -> d.state == state).count();
        }
    }

    /** Times of day by what a recipe says: every so many hours, its moments, else its cups spread over the day. */
    public static List<LocalTime> times(Optional<Posology> posology) {
        OptionalDouble every = posology.map(p -> p.more().often().everyHours()).orElse(OptionalDouble.empty());
        if (every.isPresent()) {
            long minutes = Math.round(every.getAsDouble() * 60);
            return IntStream.range(0, TakingRow.Often.times(every.getAsDouble()))
                    .mapToObj(i -> FIRST.plusMinutes(i * minutes))
                    .toList();
        }
        List<LocalTime> said = posology.stream()
                .flatMap(p -> p.more().moments().stream())
                .map(CLOCK::get)
                .toList();
        double often = posology.map(p -> p.more().often().timesADay().orElse(p.cupsADay()))
                .orElse(1.0);
        int cups = (int) Math.max(1, Math.ceil(often - 1e-9));
        if (said.size() >= cups) {
            return said;
        }
        if (cups == 1) {
            boolean bedtime =
                    posology.map(p -> p.when() == Posology.When.BEFORE_BED).orElse(false);
            return List.of(bedtime ? CLOCK.get(Moment.BEDTIME) : FIRST);
        }
        long between = Duration.between(FIRST, LAST).toMinutes() / (cups - 1);
        return IntStream.range(0, cups)
                .mapToObj(i -> FIRST.plusMinutes(Math.round(i * between / 30.0) * 30))
                .toList();
    }

    /**
     * How it stands with the doses of a day.
     *
     * @param times when each is due, in order
     * @param taken when cups were drunk on that day, in order
     * @param now the time of day; empty when the day is over
     * @param begun the time at which the course began on that day: a dose whose time is over by then is none of it, and one that may
     *     still be taken is late from then on; empty when it began before
     */
    static Day of(List<LocalTime> times, List<LocalTime> taken, Optional<LocalTime> now, Optional<LocalTime> begun) {
        List<Optional<LocalTime>> drunk = new ArrayList<>();
        times.forEach(t -> drunk.add(Optional.empty()));
        int extra = 0;
        for (LocalTime cup : taken) {
            int of = window(times, cup);
            if (drunk.get(of).isPresent()) {
                extra++;
            } else {
                drunk.set(of, Optional.of(cup));
            }
        }
        List<Dose> doses = new ArrayList<>();
        for (int i = 0; i < times.size(); i++) {
            int dose = i;
            boolean over = drunk.get(i).isEmpty()
                    && begun.filter(b -> !b.isBefore(until(times, dose))).isPresent();
            if (!over) {
                State state = drunk.get(i).isPresent() ? State.TAKEN : state(times, i, now, begun);
                doses.add(new Dose(i, times.get(i), state, drunk.get(i)));
            }
        }
        return new Day(doses, extra);
    }

    /** The doses of a day that has not begun. */
    static Day ahead(List<LocalTime> times) {
        return new Day(
                IntStream.range(0, times.size())
                        .mapToObj(i -> new Dose(i, times.get(i), State.AHEAD, Optional.empty()))
                        .toList(),
                0);
    }

    /** Whose time a cup was drunk in: each dose has the time until half of the way to the next. */
    static int window(List<LocalTime> times, LocalTime cup) {
        int of = 0;
        while (of < times.size() - 1 && !cup.isBefore(until(times, of))) {
            of++;
        }
        return of;
    }

    /** Until when a dose may be taken; the last one until the day is over. */
    private static LocalTime until(List<LocalTime> times, int index) {
        if (index == times.size() - 1) {
            return LocalTime.MAX;
        }
        LocalTime due = times.get(index);
        return due.plus(Duration.between(due, times.get(index + 1)).dividedBy(2));
    }

    private static State state(List<LocalTime> times, int index, Optional<LocalTime> now, Optional<LocalTime> begun) {
        if (now.isEmpty() || !now.get().isBefore(until(times, index))) {
            return State.MISSED;
        }
        LocalTime due = times.get(index);
        if (now.get().isBefore(due)) {
            return State.AHEAD;
        }
        LocalTime from = begun.filter(due::isBefore).orElse(due);
        return Duration.between(from, now.get()).compareTo(LATE_AFTER) > 0 ? State.LATE : State.DUE;
    }
}
