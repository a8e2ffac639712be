package embercup.server.week;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What the house has before it, day by day, and what is missing for it. */
record WeekResponse(List<WeekDay> days, List<ToBuy> shopping) {

    /** @param over jars that are to be drunk by then, and tins that are past their time after it */
    record WeekDay(LocalDate date, List<WeekPot> pots, List<WeekCourse> courses, List<String> over) {}

    record WeekPot(UUID brewId, String name, String drinkerName, Instant startAt) {}

    /** @param kind {@code drink} or {@code rest}, @param last whether it is the last day */
    record WeekCourse(UUID courseId, String name, String kind, int doses, boolean last) {}

    /**
     * A herb that is needed.
     *
     * @param haveG what is in its tin at the least; missing when there is none, or nobody said how much is in it
     * @param missingG how much is to be got; 0 when there is enough
     * @param status {@code enough}, {@code short}, {@code none}, {@code stale} or {@code unknown}
     * @param why what it is for
     */
    record ToBuy(
            String herb,
            String common,
            String form,
            double needG,
            @Nullable Double haveG,
            double missingG,
            String status,
            List<String> why) {}
}
