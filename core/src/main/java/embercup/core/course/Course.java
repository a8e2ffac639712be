package embercup.core.course;

import embercup.core.care.Runs;
import embercup.core.materia.Herb;
import embercup.core.workings.Limit;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * A recipe drunk day by day. Immutable.
 *
 * @param days of drinking; empty until it is better, which is one row at the longest
 * @param times of its doses on each day, in order, one at least
 * @param ended the day on which it was ended before its time
 * @param begunAt the time of its first day at which it was laid: what was due before then is not late; empty when it was laid earlier
 */
public record Course(
        LocalDate first,
        OptionalInt days,
        Rhythm rhythm,
        List<LocalTime> times,
        Optional<LocalDate> ended,
        Optional<LocalTime> begunAt) {

    /** Laid before its first day. */
    public Course(LocalDate first, OptionalInt days, Rhythm rhythm, List<LocalTime> times, Optional<LocalDate> ended) {
        this(first, days, rhythm, times, ended, Optional.empty());
    }

    public Course {
        times = times.stream().distinct().sorted().toList();
        if (!Limit.DOSES_A_DAY.holds(times.size())) {
            throw new IllegalArgumentException(times.size() + " times of day");
        }
    }

    /** Why a course is over before its last day. */
    public enum End {
        BETTER,
        STOPPED
    }

    /** What a day of the drawing is. */
    public enum Kind {
        DRINK,
        REST,
        /** It would have been one of drinking, and the course was ended before. */
        ENDED
    }

    /** @param doses none on a day that is not one of drinking */
    public record Day(LocalDate date, Kind kind, Doses.Day doses) {}

    /** Days of drinking, in order; as laid, whether it was ended or not. */
    public List<LocalDate> drinking() {
        return rhythm.laid(first, days.orElse(rhythm.on()));
    }

    /** Its last day of drinking. */
    public LocalDate last() {
        List<LocalDate> all = drinking();
        LocalDate laid = all.get(all.size() - 1);
        return ended.filter(e -> e.isBefore(laid)).orElse(laid);
    }

    /** Whether it goes on on a day: it is between its first and its last. */
    public boolean runs(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(last());
    }

    /** Whether it is drunk on a day. */
    public boolean drunkOn(LocalDate day) {
        return runs(day) && drinking().contains(day);
    }

    /**
     * Every day from its first to its last as laid, rests among them.
     *
     * @param taken when cups of it were drunk, by day
     * @param now the household's day and time
     */
    public List<Day> drawn(Map<LocalDate, List<LocalTime>> taken, LocalDate today, LocalTime now) {
        List<LocalDate> drinking = drinking();
        LocalDate end = drinking.get(drinking.size() - 1);
        List<Day> all = new ArrayList<>();
        for (LocalDate d = first; !d.isAfter(end); d = d.plusDays(1)) {
            if (!drinking.contains(d)) {
                all.add(new Day(d, Kind.REST, new Doses.Day(List.of(), 0)));
            } else if (d.isAfter(last())) {
                all.add(new Day(d, Kind.ENDED, new Doses.Day(List.of(), 0)));
            } else if (d.isAfter(today)) {
                all.add(new Day(d, Kind.DRINK, Doses.ahead(times)));
            } else {
                List<LocalTime> cups =
                        taken.getOrDefault(d, List.of()).stream().sorted().toList();
                Optional<LocalTime> at = d.isBefore(today) ? Optional.empty() : Optional.of(now);
                all.add(new Day(d, Kind.DRINK, dosesOf(d, cups, at)));
            }
        }
        return List.copyOf(all);
    }

    /**
     * How it stands with the doses of one of its days.
     *
     * @param taken when cups were drunk on that day, in order
     * @param now the time of day; empty when the day is over
     */
    public Doses.Day dosesOf(LocalDate day, List<LocalTime> taken, Optional<LocalTime> now) {
        return Doses.of(times, taken, now, begunAt.filter(t -> day.equals(first)));
    }

    /** The next dose that is not taken and not missed. */
    public static Optional<Next> next(List<Day> drawn) {
        return drawn.stream()
                .flatMap(
                        d -> d.doses().doses().stream().filter(Doses.Dose::open).map(x -> new Next(d.date(), x)))
                .findFirst();
    }

    /** A dose and its day. */
    public record Next(LocalDate date, Doses.Dose dose) {}

    /**
     * The first day of it that a herb's longest run does not allow, with what was drunk before; empty when all may be.
     *
     * @param drunkOn days on which each herb was drunk, by slug, those of this course too
     * @param from days before it are over, and not asked about
     */
    public Optional<Runs.Passed> passed(Collection<Herb> herbs, Map<String, Set<LocalDate>> drunkOn, LocalDate from) {
        return Runs.first(
                herbs,
                drunkOn,
                drinking().stream()
                        .filter(d -> !d.isBefore(from) && !d.isAfter(last()))
                        .toList());
    }
}
