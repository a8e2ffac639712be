package embercup.core.recipe;

import embercup.core.materia.Condition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How a pot is taken: how often, with what, and for how long. Immutable.
 *
 * @param cupsADay cups a day for an adult; the lower end of a range
 * @param when with food, on an empty stomach, before bed, or at any time
 * @param daysOn days in a row; empty when the recipe does not say
 * @param daysOff days of rest after them
 * @param more what only some recipes say
 */
public record Posology(double cupsADay, When when, OptionalInt daysOn, int daysOff, More more) {

    /** When in the day. */
    public enum When {
        ANY_TIME,
        WITH_FOOD,
        EMPTY_STOMACH,
        BEFORE_BED
    }

    /** Times of day at which it is taken. */
    public enum Moment {
        MORNING,
        NOON,
        AFTERNOON,
        EVENING,
        BEDTIME
    }

    /**
     * What only some recipes say.
     *
     * @param cupsADayTo upper end of a range; empty for one number
     * @param dose how much is taken at a time, where it is not a cup: "half a cup", "2 tbsp", "30 drops"
     * @param moments at which times of day; empty when it does not matter
     * @param mostDays days that it is taken at the longest; empty when the recipe does not say
     * @param childShare a child's share of an adult's, as the recipe says, 0–1; empty when it does not
     * @param often what it says of how often beside its cups a day
     * @param rows how others than a healthy adult take it
     */
    public record More(
            OptionalDouble cupsADayTo,
            Optional<Quantity> dose,
            Set<Moment> moments,
            OptionalInt mostDays,
            OptionalDouble childShare,
            Often often,
            List<TakingRow> rows) {

        public static final More NOTHING = new More(
                OptionalDouble.empty(), Optional.empty(), Set.of(), OptionalInt.empty(), OptionalDouble.empty());

        public More(
                OptionalDouble cupsADayTo,
                Optional<Quantity> dose,
                Set<Moment> moments,
                OptionalInt mostDays,
                OptionalDouble childShare) {
            this(cupsADayTo, dose, moments, mostDays, childShare, Often.NOTHING, List.of());
        }

        /** The times of day in their order. */
        public More {
            Set<Moment> ordered = EnumSet.noneOf(Moment.class);
            ordered.addAll(moments);
            moments = Collections.unmodifiableSet(ordered);
            rows = List.copyOf(rows);
        }
    }

    /**
     * How often, where cups a day do not say it.
     *
     * @param everyHours hours between two doses while awake; empty when it does not say
     * @param timesADay doses a day; empty when it does not say, or says the hours
     * @param untilBetter whether it is taken until she is better
     * @param cupsAWeek at least so many cups a week, of something that is not taken daily; empty when it does not say
     */
    public record Often(
            OptionalDouble everyHours, OptionalDouble timesADay, boolean untilBetter, OptionalDouble cupsAWeek) {
        public static final Often NOTHING =
                new Often(OptionalDouble.empty(), OptionalDouble.empty(), false, OptionalDouble.empty());
    }

    public Posology(double cupsADay, When when, OptionalInt daysOn, int daysOff) {
        this(cupsADay, when, daysOn, daysOff, More.NOTHING);
    }

    /** Its dose, mL; empty for a cup and for what is counted or weighed. */
    public OptionalDouble doseMl(MeasureCustom custom) {
        return more.dose().map(d -> d.millilitres(custom)).orElse(OptionalDouble.empty());
    }

    /** The row that the recipe has for a drinker; empty when it is for her as for anybody. */
    public Optional<TakingRow> rowOf(double ageYears, Set<Condition> conditions) {
        return more.rows().stream()
                .filter(r -> r.whom().is(ageYears, conditions))
                .findFirst();
    }

    /**
     * As a drinker takes it: by her row, never for more days than the recipe says to all.
     *
     * @param ageYears her age
     * @param conditions what is to be minded of her
     * @param cupMl size of the recipe's own cup, mL
     */
    public Posology of(double ageYears, Set<Condition> conditions, double cupMl, MeasureCustom custom) {
        return rowOf(ageYears, conditions).map(row -> by(row, cupMl, custom)).orElse(this);
    }

    /** What is said to all, without the rows of others. */
    public Posology toAll() {
        More alone = new More(
                more.cupsADayTo, more.dose, more.moments, more.mostDays, more.childShare, more.often, List.of());
        return new Posology(cupsADay, when, daysOn, daysOff, alone);
    }

    private Posology by(TakingRow row, double cupMl, MeasureCustom custom) {
        OptionalInt most = row.mostDays().isEmpty()
                ? more.mostDays()
                : OptionalInt.of(
                        Math.min(row.mostDays().getAsInt(), more.mostDays().orElse(Integer.MAX_VALUE)));
        OptionalInt on = daysOn.isPresent() && most.isPresent()
                ? OptionalInt.of(Math.min(daysOn.getAsInt(), most.getAsInt()))
                : daysOn;
        return new Posology(
                row.amount().cups(cupMl, custom),
                when,
                on,
                daysOff,
                new More(
                        OptionalDouble.empty(),
                        row.amount().dose(),
                        Set.of(),
                        most,
                        more.childShare(),
                        new Often(
                                row.amount().everyHours(),
                                row.amount().timesADay(),
                                more.often().untilBetter(),
                                OptionalDouble.empty()),
                        List.of()));
    }

    /** Days in a row that it is taken, or may be taken at the longest; empty when the recipe says neither. */
    public OptionalInt daysInARow() {
        return daysOn.isPresent() ? daysOn : more.mostDays();
    }

    /** Days in a row at the longest: "7 mornings, at most 14" may go on to 14, "7 on, 7 off" may not. Empty when it says neither. */
    public OptionalInt mostInARow() {
        return more.mostDays().isPresent() ? more.mostDays() : daysOn;
    }
}
