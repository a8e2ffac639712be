package embercup.server.courses;

import embercup.core.care.Runs;
import embercup.core.course.Course;
import embercup.core.course.Course.Day;
import embercup.core.course.CourseLimit;
import embercup.core.course.Doses;
import embercup.core.course.Rhythm;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import embercup.server.brews.Cups;
import embercup.server.courses.CourseJudge.Judged;
import embercup.server.courses.CourseJudge.Subject;
import embercup.server.courses.CourseResponse.CourseCaution;
import embercup.server.courses.CourseResponse.CourseDay;
import embercup.server.courses.CourseResponse.CourseDose;
import embercup.server.courses.CourseResponse.CourseDrinker;
import embercup.server.courses.CourseResponse.CourseSource;
import embercup.server.courses.CourseResponse.Head;
import embercup.server.courses.CourseResponse.Laid;
import embercup.server.courses.CourseResponse.NextDose;
import embercup.server.courses.CourseResponse.TooLong;
import embercup.server.courses.CourseRows.Drinker;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Moments;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Courses as they are told: drawn, judged as things stand now, with their next dose. */
@Component
class CourseToResponse {

    /** What ended longer ago is not listed, days. */
    private static final int LISTED_DAYS = 400;

    private final CourseRepository repository;
    private final CourseRows rows;
    private final CourseJudge judge;
    private final People people;
    private final Kitchens kitchens;
    private final Clock clock;

    CourseToResponse(
            CourseRepository repository,
            CourseRows rows,
            CourseJudge judge,
            People people,
            Kitchens kitchens,
            Clock clock) {
        this.repository = repository;
        this.rows = rows;
        this.judge = judge;
        this.people = people;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /**
     * The house while its courses are looked at: asked once, however many there are.
     *
     * @param names of its people
     * @param listed its courses of late and to come
     */
    record House(ZonedDateTime now, Map<UUID, String> names, List<CourseEntity> listed) {

        LocalDate today() {
            return now.toLocalDate();
        }
    }

    House house() {
        ZonedDateTime now = clock.instant().atZone(kitchens.zone());
        return new House(
                now,
                people.all().stream().collect(Collectors.toMap(Person::id, Person::name)),
                repository.since(now.toLocalDate().minusDays(LISTED_DAYS)));
    }

    /** Those that run or are to come, then those that are over, the newest first. */
    List<CourseResponse> all() {
        House house = house();
        return house.listed().stream()
                .map(e -> told(e, house))
                .sorted(Comparator.comparing(c -> c.laid().phase().equals("over")))
                .toList();
    }

    CourseResponse told(CourseEntity e) {
        return told(e, house());
    }

    private CourseResponse told(CourseEntity e, House house) {
        Course course = rows.course(e);
        List<Cups.Of> of = rows.brews(e, course);
        ZonedDateTime now = house.now();
        ZoneId zone = now.getZone();
        List<Day> drawn = course.drawn(rows.taken(e, of), now.toLocalDate(), now.toLocalTime());
        boolean ahead = now.toLocalDate().isBefore(course.first());
        boolean over = now.toLocalDate().isAfter(course.last());
        Recipe recipe = rows.recipe(e);
        List<Drinker> who = rows.drinkers(e);
        List<CourseCaution> cautions = new ArrayList<>();
        List<String> clashes = new ArrayList<>();
        Optional<TooLong> tooLong = Optional.empty();
        CourseLimit limit = new CourseLimit.OfRecipe(e.rowDays);
        if (!over) {
            try {
                Subject subject = subject(e, house);
                Judged judged = judge.judge(subject, now.toInstant());
                judged.cautions().stream()
                        .filter(c -> c.severity() != Severity.NOTE)
                        .map(c -> new CourseCaution(
                                Fields.code(c.severity()), HouseWords.words().say(c), c.source()))
                        .forEach(cautions::add);
                clashes.addAll(judge.clashes(subject, judged, others(e, house), now.toInstant()));
                tooLong = tooLong(subject, judged.plan(), now.toInstant(), ahead ? course.first() : now.toLocalDate());
                limit = Rhythm.of(rows.posology(recipe, who), judge.herbs(judged.plan()))
                        .limit();
            } catch (InvalidInputException x) {
                cautions.add(new CourseCaution(
                        Fields.code(Severity.CARE),
                        HouseWords.words()
                                .sentence(
                                        "mark.unplannable",
                                        Map.of("what", HouseWords.words().message(x.violations()))),
                        ""));
            }
        }
        return new CourseResponse(
                e.id,
                e.id == null ? null : Objects.requireNonNullElse(e.version, 0L),
                new Head(e.recipeId, e.name, drinkers(recipe, course, who, house), says(recipe, who, house)),
                new Laid(
                        ahead ? "ahead" : over ? "over" : "running",
                        course.first(),
                        course.last(),
                        e.days,
                        Rhythm.of(rows.posology(recipe, who), List.of()).usualDays(),
                        e.rowDays,
                        e.restDays,
                        HouseWords.words().say((Record) limit),
                        limit instanceof CourseLimit.OfHerb h ? h.source() : null,
                        course.times().stream().map(LocalTime::toString).toList(),
                        e.endedOn,
                        e.endedWhy),
                drawn.stream().map(d -> line(d, of, zone)).toList(),
                Course.next(drawn)
                        .map(n -> new NextDose(Moments.of(n.date(), n.dose().due(), zone), code(n.dose())))
                        .orElse(null),
                cautions,
                clashes,
                tooLong.orElse(null),
                over ? List.of() : sources(of));
    }

    /** As it is judged: of who is no longer on the list nothing is known. */
    Subject subject(CourseEntity e, House house) {
        List<Drinker> there = rows.drinkers(e).stream()
                .filter(d -> house.names().containsKey(d.drinkerId()))
                .toList();
        return new Subject(e.name, rows.course(e), rows.document(e), there);
    }

    private List<Subject> others(CourseEntity e, House house) {
        return house.listed().stream()
                .filter(o -> !o.id.equals(e.id))
                .map(o -> subject(o, house))
                .filter(s -> !s.course().last().isBefore(house.today()))
                .toList();
    }

    /** @param from days before it are over, and not asked about */
    Optional<TooLong> tooLong(Subject of, BrewPlan plan, Instant now, LocalDate from) {
        return judge.passed(of, plan, from, now).map(p -> {
            int most = (int) of.course().drinking().stream()
                    .filter(d -> d.isBefore(p.day()))
                    .count();
            return new TooLong(said(p), most);
        });
    }

    private static String said(Runs.Passed p) {
        return HouseWords.words()
                .sentence(
                        "runs.passed",
                        Map.of("Of", p.of().common(), "dayOf", p.day().toString(), "most", p.most()));
    }

    /** Names of those who drink it. */
    List<String> names(CourseEntity e, House house) {
        return rows.drinkers(e).stream().map(d -> name(d, house)).toList();
    }

    private List<CourseDrinker> drinkers(Recipe recipe, Course course, List<Drinker> who, House house) {
        return who.stream()
                .map(d -> new CourseDrinker(d.drinkerId(), name(d, house), d.serving(), rows.doseMl(recipe, course, d)))
                .toList();
    }

    private static String name(CourseRows.Drinker drinker, House house) {
        return house.names().getOrDefault(drinker.drinkerId(), "");
    }

    /** How the recipe is taken; where it tells people apart and several drink it, once for all who take it alike. */
    private String says(Recipe recipe, List<CourseRows.Drinker> drinkers, House house) {
        boolean apart = drinkers.size() > 1
                && recipe.posology().filter(p -> !p.more().rows().isEmpty()).isPresent();
        if (!apart) {
            return rows.posology(recipe, drinkers)
                    .map(p -> HouseWords.words().say(p))
                    .orElse("");
        }
        Map<String, List<String>> whoBySaying = drinkers.stream()
                .collect(Collectors.groupingBy(
                        d -> rows.posology(recipe, d)
                                .map(p -> HouseWords.words().say(p.toAll()))
                                .orElse(""),
                        LinkedHashMap::new,
                        Collectors.mapping(d -> name(d, house), Collectors.toList())));
        return whoBySaying.entrySet().stream()
                .map(e -> HouseWords.words()
                        .sentence("taken.by", Map.of("whom", HouseWords.words().list(e.getValue()), "how", e.getKey())))
                .collect(Collectors.joining("; "));
    }

    private static List<CourseSource> sources(List<Cups.Of> of) {
        return of.stream()
                .filter(b -> b.leftMl() > 0)
                .map(b -> new CourseSource(b.brew(), b.name(), b.leftMl(), b.cupMl()))
                .toList();
    }

    private static CourseDay line(Day day, List<Cups.Of> of, ZoneId zone) {
        boolean brewed = of.stream()
                .anyMatch(b -> b.startedAt().atZone(zone).toLocalDate().equals(day.date()));
        return new CourseDay(
                day.date(),
                Fields.code(day.kind()),
                brewed,
                day.doses().doses().stream()
                        .map(d -> new CourseDose(
                                Moments.of(day.date(), d.due(), zone),
                                code(d),
                                d.takenAt()
                                        .map(t -> Moments.of(day.date(), t, zone))
                                        .orElse(null)))
                        .toList(),
                day.doses().extra());
    }

    static String code(Doses.Dose dose) {
        return Fields.code(dose.state());
    }
}
