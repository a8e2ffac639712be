package embercup.core.care;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;

/**
 * Days in a row on a real calendar. A day on which the herb is drunk counts one, a day without it takes one off again: a missed
 * day does not begin a new run, and a break as long as the run ends it. Once the longest run is reached, the whole break is owed
 * before another run begins (common practice, no source). Immutable.
 *
 * @param days that count against the longest run on the morning of a day
 * @param owed whether the longest run was reached and its break is not over
 */
record Run(int days, boolean owed) {

    /**
     * @param drunk days on which it was drunk, in any order; days after {@code day} do not count
     * @param most days of the longest run, at least 1
     */
    static Run of(Collection<LocalDate> drunk, LocalDate day, int most) {
        List<LocalDate> before =
                drunk.stream().filter(d -> d.isBefore(day)).distinct().sorted().toList();
        Run run = new Run(0, false);
        LocalDate next = day;
        for (LocalDate d : before) {
            run = run.rested(ChronoUnit.DAYS.between(next, d)).drunk(most);
            next = d.plusDays(1);
        }
        return before.isEmpty() ? run : run.rested(ChronoUnit.DAYS.between(next, day));
    }

    private Run rested(long off) {
        int left = (int) Math.max(0, days - Math.max(0, off));
        return new Run(left, owed && left > 0);
    }

    private Run drunk(int most) {
        return new Run(days + 1, owed || days + 1 >= most);
    }
}
