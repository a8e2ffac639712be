package embercup.core.course;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.course.Doses.State;
import embercup.core.materia.Herb;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Posology.Moment;
import embercup.core.recipe.Posology.More;
import embercup.core.recipe.Posology.When;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A course: which days, at which times, with which rests, and when it stops. All rules here are common practice, no source. */
class CourseTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);

    private static Posology days(Integer on, int off, Integer most) {
        return new Posology(
                1,
                When.ANY_TIME,
                on == null ? OptionalInt.empty() : OptionalInt.of(on),
                off,
                new More(
                        OptionalDouble.empty(),
                        Optional.empty(),
                        Set.of(),
                        most == null ? OptionalInt.empty() : OptionalInt.of(most),
                        OptionalDouble.empty()));
    }

    private static List<Herb> herbs(String slugs) {
        return slugs == null
                ? List.of()
                : Arrays.stream(slugs.split(" "))
                        .map(s -> MATERIA.herb(s, "herb"))
                        .toList();
    }

    private static int run(String slug) {
        return (int) MATERIA.herb(slug, "herb").longestRunDays().orElseThrow().value();
    }

    private static Course course(Posology posology, String herbs, Integer days, String... times) {
        return new Course(
                MONDAY,
                days == null ? OptionalInt.empty() : OptionalInt.of(days),
                Rhythm.of(Optional.ofNullable(posology), herbs(herbs)),
                Arrays.stream(times).map(LocalTime::parse).toList(),
                Optional.empty());
    }

    // ---- how long

    @Test
    void sevenMorningsMayGoOnToFourteenAndNoLonger() {
        Rhythm rhythm = Rhythm.of(Optional.of(days(7, 0, 14)), List.of());
        assertThat(rhythm.usualDays()).isEqualTo(7);
        assertThat(rhythm.on()).isEqualTo(14);
        assertThat(WORDS.say((Record) rhythm.limit())).contains("recipe", "14 days");
    }

    @Test
    void oneWeekOnAndOneWeekOff() {
        Course course = course(days(7, 7, null), null, 14, "08:00");
        assertThat(course.drinking()).hasSize(14).startsWith(MONDAY).endsWith(MONDAY.plusDays(20));
        assertThat(course.drawn(Map.of(), MONDAY, LocalTime.NOON).stream()
                        .map(d -> d.kind() == Course.Kind.REST ? "-" : "o")
                        .collect(Collectors.joining()))
                .isEqualTo("ooooooo-------ooooooo");
    }

    @Test
    void theShortestLimitOfAnyHerbIsTheCourses() {
        int shortest = Math.min(run("liquorice"), run("echinacea"));
        Rhythm rhythm = Rhythm.of(Optional.of(days(60, 0, null)), herbs("liquorice echinacea linden"));
        assertThat(rhythm.on()).isEqualTo(shortest);
        assertThat(rhythm.limit()).isInstanceOf(CourseLimit.OfHerb.class);
        assertThat(rhythm.off()).as("a break as long as the run").isEqualTo(shortest);
        assertThat(Rhythm.of(Optional.of(days(2, 0, null)), herbs("liquorice")).on())
                .as("the recipe's own is shorter")
                .isEqualTo(2);
    }

    @Test
    void whatNobodyLimitsIsAskedAboutAfterTwoWeeks() {
        Rhythm rhythm = Rhythm.of(Optional.empty(), herbs("linden"));
        assertThat(rhythm.on()).isEqualTo(14);
        assertThat(WORDS.say((Record) rhythm.limit())).contains("somebody who knows");
        assertThat(course(null, "linden", null, "08:00").last())
                .as("until it is better, and no longer than that")
                .isEqualTo(MONDAY.plusDays(13));
    }

    /** Whatever a recipe says, whatever is in it and whatever was drunk before: no herb is laid beyond its longest run. */
    @RepeatedTest(40)
    void noRowIsLongerThanTheShortestRunAndNoCourseWithWholeRestsPassesOne(RepetitionInfo round) {
        Random random = new Random(round.getCurrentRepetition());
        List<Herb> limited = MATERIA.herbs().stream()
                .filter(h -> h.longestRunDays().isPresent())
                .toList();
        List<Herb> herbs = IntStream.range(0, 1 + random.nextInt(4))
                .mapToObj(i -> limited.get(random.nextInt(limited.size())))
                .distinct()
                .toList();
        Rhythm rhythm = Rhythm.of(
                random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(days(1 + random.nextInt(40), random.nextInt(10), null)),
                herbs);
        Course course = new Course(
                MONDAY, OptionalInt.of(1 + random.nextInt(60)), rhythm, List.of(LocalTime.NOON), Optional.empty());
        if (rhythm.off() >= rhythm.on()) {
            assertThat(course.passed(herbs, Map.of(), MONDAY))
                    .as("with rests as long as its rows, seed %s", round.getCurrentRepetition())
                    .isEmpty();
        }
        Set<LocalDate> all = new HashSet<>(course.drinking());
        int row = 0;
        int longest = 0;
        for (LocalDate d = MONDAY; !d.isAfter(course.last()); d = d.plusDays(1)) {
            row = all.contains(d) ? row + 1 : 0;
            longest = Math.max(longest, row);
        }
        int shortest = herbs.stream().mapToInt(h -> run(h.slug())).min().orElseThrow();
        assertThat(longest).isLessThanOrEqualTo(shortest);
    }

    @Test
    void whatWasDrunkBeforeCounts() {
        String herb = "liquorice";
        int most = run(herb);
        Map<String, Set<LocalDate>> before = new HashMap<>();
        before.put(herb, IntStream.rangeClosed(1, 3).mapToObj(MONDAY::minusDays).collect(Collectors.toSet()));
        Course course = course(days(most, 0, null), herb, most, "08:00");
        var passed = course.passed(herbs(herb), before, MONDAY).orElseThrow();
        assertThat(passed.day()).isEqualTo(MONDAY.plusDays(most - 3));
        assertThat(course(days(most, 0, null), herb, most - 3, "08:00").passed(herbs(herb), before, MONDAY))
                .isEmpty();
    }

    @Test
    void endedIsEnded() {
        Course laid = course(days(7, 0, null), null, 7, "08:00", "20:00");
        Course better =
                new Course(laid.first(), laid.days(), laid.rhythm(), laid.times(), Optional.of(MONDAY.plusDays(2)));
        assertThat(better.last()).isEqualTo(MONDAY.plusDays(2));
        assertThat(better.runs(MONDAY.plusDays(3))).isFalse();
        assertThat(better.drawn(Map.of(), MONDAY.plusDays(2), LocalTime.NOON))
                .filteredOn(d -> d.kind() == Course.Kind.ENDED)
                .hasSize(4);
    }

    // ---- at which times

    @ParameterizedTest(name = "{0} cups, {1}, {2}")
    @CsvSource(textBlock = """
            1,   ANY_TIME,   ,                 08:00
            1,   BEFORE_BED, ,                 22:00
            1,   ANY_TIME,   EVENING,          19:00
            1,   ANY_TIME,   MORNING BEDTIME,  08:00 22:00
            2,   ANY_TIME,   ,                 08:00 21:00
            3,   ANY_TIME,   ,                 08:00 14:30 21:00
            2.5, ANY_TIME,   ,                 08:00 14:30 21:00
            0.5, ANY_TIME,   ,                 08:00
            3,   ANY_TIME,   MORNING EVENING,  08:00 14:30 21:00
            """)
    void theTimesOfDayAreTheRecipesOrSpreadOverTheDay(double cups, When when, String moments, String times) {
        Set<Moment> said = moments == null
                ? Set.of()
                : Arrays.stream(moments.split(" ")).map(Moment::valueOf).collect(Collectors.toSet());
        Posology posology = new Posology(
                cups,
                when,
                OptionalInt.empty(),
                0,
                new More(OptionalDouble.empty(), Optional.empty(), said, OptionalInt.empty(), OptionalDouble.empty()));
        assertThat(Doses.times(Optional.of(posology)).stream()
                        .map(LocalTime::toString)
                        .collect(Collectors.joining(" ")))
                .isEqualTo(times);
    }

    // ---- how it stands with a dose

    /** Three doses: due at eight, at one and at seven; half of the way lies at half past ten and at four. */
    @ParameterizedTest(name = "at {0}, drunk {1}: {2}")
    @CsvSource(textBlock = """
            07:59, ,             AHEAD AHEAD AHEAD
            08:00, ,             DUE AHEAD AHEAD
            09:00, ,             DUE AHEAD AHEAD
            09:01, ,             LATE AHEAD AHEAD
            10:29, ,             LATE AHEAD AHEAD
            10:30, ,             MISSED AHEAD AHEAD
            10:30, 10:29,        TAKEN AHEAD AHEAD
            10:40, 10:35,        MISSED TAKEN AHEAD
            13:30, 08:10 13:05,  TAKEN TAKEN AHEAD
            15:00, 06:30,        TAKEN LATE AHEAD
            16:00, 06:30,        TAKEN MISSED AHEAD
            23:50, 08:10,        TAKEN MISSED LATE
            23:50, 08:10 23:40,  TAKEN MISSED TAKEN
            over,  08:10,        TAKEN MISSED MISSED
            over,  ,             MISSED MISSED MISSED
            """)
    void whatIsLateMayBeTakenUntilHalfOfTheWayToTheNext(String now, String drunk, String states) {
        List<LocalTime> cups = drunk == null
                ? List.of()
                : Arrays.stream(drunk.split(" ")).map(LocalTime::parse).toList();
        Doses.Day day = Doses.of(
                List.of(LocalTime.of(8, 0), LocalTime.of(13, 0), LocalTime.of(19, 0)),
                cups,
                now.equals("over") ? Optional.empty() : Optional.of(LocalTime.parse(now)),
                Optional.empty());
        assertThat(day.doses().stream().map(d -> d.state().name()).collect(Collectors.joining(" ")))
                .isEqualTo(states);
        assertThat(day.extra()).isZero();
    }

    @Test
    void aMissedDoseIsNeverMadeUpForByTwoAtOnce() {
        List<LocalTime> times = List.of(LocalTime.of(8, 0), LocalTime.of(20, 0));
        Doses.Day day = Doses.of(
                times,
                List.of(LocalTime.of(20, 0), LocalTime.of(20, 1)),
                Optional.of(LocalTime.of(20, 5)),
                Optional.empty());
        assertThat(day.doses()).extracting(Doses.Dose::state).containsExactly(State.MISSED, State.TAKEN);
        assertThat(day.extra()).as("the second cup is no dose, and is told").isEqualTo(1);
    }

    @Test
    void theNextDoseIsTheFirstThatMayStillBeTaken() {
        Course course = course(days(3, 0, null), null, 3, "08:00", "20:00");
        var drawn = course.drawn(Map.of(MONDAY, List.of(LocalTime.of(8, 5))), MONDAY.plusDays(1), LocalTime.of(15, 0));
        assertThat(drawn.get(0).doses().doses())
                .extracting(Doses.Dose::state)
                .containsExactly(State.TAKEN, State.MISSED);
        Course.Next next = Course.next(drawn).orElseThrow();
        assertThat(next.date()).isEqualTo(MONDAY.plusDays(1));
        assertThat(next.dose().due()).isEqualTo(LocalTime.of(20, 0));
        assertThat(Course.next(course.drawn(Map.of(), MONDAY.plusDays(9), LocalTime.NOON)))
                .isEmpty();
    }

    /** Begun at noon, a course of morning, noon and evening begins with the noon's cup; nothing of it is late or missed. */
    @ParameterizedTest(name = "begun at {0}, seen at {1}: {2}")
    @CsvSource({
        "07:00, 07:30, 08:00 AHEAD 12:30 AHEAD 19:00 AHEAD",
        "09:30, 09:40, 08:00 DUE 12:30 AHEAD 19:00 AHEAD",
        "09:30, 11:00, 08:00 MISSED 12:30 AHEAD 19:00 AHEAD",
        "12:00, 12:00, 12:30 AHEAD 19:00 AHEAD",
        "12:00, 12:40, 12:30 DUE 19:00 AHEAD",
        "12:00, 14:00, 12:30 LATE 19:00 AHEAD",
        "13:45, 14:00, 12:30 DUE 19:00 AHEAD",
        "20:30, 21:00, 19:00 DUE"
    })
    void whatWasDueBeforeItBeganIsNotLate(LocalTime begun, LocalTime now, String stands) {
        List<LocalTime> times = List.of(LocalTime.of(8, 0), LocalTime.of(12, 30), LocalTime.of(19, 0));
        Course laid = new Course(
                MONDAY,
                OptionalInt.of(3),
                new Rhythm(7, 0, new CourseLimit.OfRecipe(7), OptionalInt.empty()),
                times,
                Optional.empty(),
                Optional.of(begun));
        List<Course.Day> drawn = laid.drawn(Map.of(), MONDAY, now);
        assertThat(drawn.get(0).doses().doses().stream()
                        .map(d -> d.due() + " " + d.state())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(stands);
        assertThat(drawn.get(1).doses().doses())
                .as("the next day has all of them")
                .hasSize(3);
    }
}
