package embercup.server.week;

import embercup.server.brews.BrewResponse;
import embercup.server.brews.Brews;
import embercup.server.brews.Jars;
import embercup.server.brews.Jars.JarResponse;
import embercup.server.courses.CourseResponse;
import embercup.server.courses.Courses;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.PlanResponse.AdditionLine;
import embercup.server.platform.HouseWords;
import embercup.server.shelf.Shelf;
import embercup.server.shelf.Tin;
import embercup.server.week.WeekResponse.ToBuy;
import embercup.server.week.WeekResponse.WeekCourse;
import embercup.server.week.WeekResponse.WeekDay;
import embercup.server.week.WeekResponse.WeekPot;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The days to come: planned pots, courses, what is to be drunk; and what the tins lack for them. */
@Service
class Week {

    private static final List<String> TO_GET = List.of("none", "short", "stale");

    private final Brews brews;
    private final Courses courses;
    private final Jars jars;
    private final Shelf shelf;
    private final Kitchens kitchens;
    private final Clock clock;

    Week(Brews brews, Courses courses, Jars jars, Shelf shelf, Kitchens kitchens, Clock clock) {
        this.brews = brews;
        this.courses = courses;
        this.jars = jars;
        this.shelf = shelf;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /** @param days from today on */
    WeekResponse of(int days) {
        ZoneId zone = kitchens.zone();
        LocalDate today = day(clock.instant(), zone);
        List<JarResponse> inJars = jars.all();
        List<Tin> tins = shelf.all();
        List<BrewResponse.BrewLine> planned = brews.open().stream()
                .filter(b -> b.phase().equals("planned") && !b.unreadable())
                .toList();
        List<CourseResponse> going = courses.all().stream()
                .filter(c -> !c.laid().phase().equals("over"))
                .toList();
        List<WeekDay> all = new ArrayList<>();
        for (int i = 0; i < days; i++) {
            LocalDate date = today.plusDays(i);
            all.add(new WeekDay(
                    date,
                    planned.stream()
                            .filter(b -> day(b.startAt(), zone).equals(date))
                            .map(b -> new WeekPot(b.id(), b.name(), b.drinkerName(), b.startAt()))
                            .toList(),
                    going.stream().flatMap(c -> on(c, date)).toList(),
                    over(inJars, tins, date, zone)));
        }
        LocalDate last = today.plusDays(days - 1L);
        List<BrewResponse.BrewLine> until = planned.stream()
                .filter(b -> !day(b.startAt(), zone).isAfter(last))
                .toList();
        return new WeekResponse(all, shopping(until, courses.needs(last), tins));
    }

    private static Stream<WeekCourse> on(CourseResponse c, LocalDate date) {
        return c.days().stream()
                .filter(d -> d.date().equals(date) && !d.kind().equals("ended"))
                .map(d -> new WeekCourse(
                        Objects.requireNonNull(c.id()),
                        c.head().name(),
                        d.kind(),
                        d.doses().size(),
                        date.equals(c.laid().lastDay())));
    }

    private static List<String> over(List<JarResponse> inJars, List<Tin> tins, LocalDate date, ZoneId zone) {
        Stream<String> ofJars = inJars.stream()
                .filter(j -> j.jar().goodUntil() != null
                        && day(j.jar().goodUntil(), zone).equals(date))
                .map(j -> HouseWords.words()
                        .sentence(
                                "calendar.jar",
                                Map.of(
                                        "name",
                                        j.name(),
                                        "drinker",
                                        j.drinkerName(),
                                        "forTrue",
                                        String.valueOf(!j.drinkerName().isEmpty()))));
        Stream<String> ofTins = tins.stream()
                .filter(t -> date.equals(t.bestBefore()))
                .map(t -> HouseWords.words().sentence("calendar.tin", Map.of("name", t.common())));
        return Stream.concat(ofJars, ofTins).toList();
    }

    // ---- shopping

    /** What is needed of a herb, while it is added up. */
    private static final class Needed {

        private final String herb;
        private final String common;
        private final String form;
        private final Set<String> why = new LinkedHashSet<>();
        private double grams;

        Needed(String herb, String common, String form) {
            this.herb = herb;
            this.common = common;
            this.form = form;
        }
    }

    private List<ToBuy> shopping(List<BrewResponse.BrewLine> planned, List<Courses.HerbNeed> needs, List<Tin> onShelf) {
        Map<String, Needed> all = new TreeMap<>();
        for (BrewResponse.BrewLine b : planned) {
            for (AdditionLine a : brews.get(b.id()).plan().brewing().additions()) {
                add(
                        all,
                        a.of().herb(),
                        a.of().common(),
                        a.of().form(),
                        a.weighed().grams(),
                        b.name());
            }
        }
        for (Courses.HerbNeed n : needs) {
            String why = HouseWords.words().sentence("week.course", Map.of("name", n.name(), "days", n.days()));
            add(all, n.herb(), n.common(), n.form(), n.gramsADay() * n.days(), why);
        }
        Map<String, Tin> tins = new TreeMap<>();
        onShelf.forEach(t -> tins.put(t.herb() + "|" + t.form(), t));
        return all.values().stream()
                .map(n -> line(n, tins.get(n.herb + "|" + n.form)))
                .sorted(Comparator.comparing((ToBuy t) -> !TO_GET.contains(t.status()))
                        .thenComparing(ToBuy::common))
                .toList();
    }

    private static void add(
            Map<String, Needed> all, String herb, String common, String form, double grams, String why) {
        Needed needed = all.computeIfAbsent(herb + "|" + form, k -> new Needed(herb, common, form));
        needed.grams += grams;
        needed.why.add(why);
    }

    /** Of a stale tin nothing is counted; of one that nobody weighed nothing is known. */
    private static ToBuy line(Needed n, @Nullable Tin tin) {
        List<String> why = List.copyOf(n.why);
        if (tin == null) {
            return new ToBuy(n.herb, n.common, n.form, n.grams, null, n.grams, "none", why);
        } else if (tin.stale()) {
            return new ToBuy(n.herb, n.common, n.form, n.grams, null, n.grams, "stale", why);
        } else if (tin.left() == null) {
            return new ToBuy(n.herb, n.common, n.form, n.grams, null, 0, "unknown", why);
        }
        double missing = Math.max(0, n.grams - tin.left().lowG());
        return new ToBuy(
                n.herb, n.common, n.form, n.grams, tin.left().lowG(), missing, missing > 0 ? "short" : "enough", why);
    }

    /** What is to be got, as a list to take along. */
    String text(int days) {
        List<String> lines = new ArrayList<>();
        lines.add(HouseWords.words().sentence("week.list", Map.of("days", days)));
        for (ToBuy t : of(days).shopping()) {
            if (TO_GET.contains(t.status())) {
                lines.add(HouseWords.words()
                        .sentence(
                                "week.line",
                                Map.of(
                                        "herb",
                                        t.common(),
                                        "formCode",
                                        t.form(),
                                        "grams",
                                        HouseWords.words().shown(Math.ceil(t.missingG()), "g"),
                                        "why",
                                        String.join(", ", t.why()))));
            }
        }
        return String.join("\n", lines) + "\n";
    }

    private static LocalDate day(Instant at, ZoneId zone) {
        return LocalDate.ofInstant(at, zone);
    }
}
