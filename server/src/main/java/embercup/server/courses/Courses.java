package embercup.server.courses;

import embercup.core.care.Runs;
import embercup.core.course.Course;
import embercup.core.course.Course.Day;
import embercup.core.course.CourseLimit;
import embercup.core.course.Doses;
import embercup.core.course.Rhythm;
import embercup.core.dose.ChildDose;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Taking;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.brews.Brews;
import embercup.server.brews.Cups;
import embercup.server.brews.EventRequest;
import embercup.server.courses.CourseJudge.Judged;
import embercup.server.courses.CourseJudge.Subject;
import embercup.server.courses.CourseRequest.CupRequest;
import embercup.server.courses.CourseRequest.DrinkerRequest;
import embercup.server.courses.CourseRequest.EndRequest;
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
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.Recipes;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Courses: laid by the recipe and its herbs, never longer than they allow, and how it stands with their doses. */
@Service
public class Courses {

    /** What ended longer ago is not listed, days. */
    private static final int LISTED_DAYS = 400;

    private final CourseRepository repository;
    private final CupRepository cups;
    private final CourseRows rows;
    private final CourseJudge judge;
    private final Recipes recipes;
    private final People people;
    private final Brews brews;
    private final Kitchens kitchens;
    private final Clock clock;

    Courses(
            CourseRepository repository,
            CupRepository cups,
            CourseRows rows,
            CourseJudge judge,
            Recipes recipes,
            People people,
            Brews brews,
            Kitchens kitchens,
            Clock clock) {
        this.repository = repository;
        this.cups = cups;
        this.rows = rows;
        this.judge = judge;
        this.recipes = recipes;
        this.people = people;
        this.brews = brews;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /** Those that run or are to come, then those that are over, the newest first. */
    @Transactional(readOnly = true)
    public List<CourseResponse> all() {
        return repository.since(today().minusDays(LISTED_DAYS)).stream()
                .map(this::told)
                .sorted(Comparator.comparing(c -> c.laid().phase().equals("over")))
                .toList();
    }

    /** A dose that may still be taken. @param state {@code ahead}, {@code due} or {@code late} */
    public record Upcoming(UUID courseId, String name, String drinkers, Instant due, String state) {}

    /** Doses of a span that are not drunk and not missed, of every course that runs. */
    @Transactional(readOnly = true)
    public List<Upcoming> upcoming(Instant from, Instant to) {
        ZoneId zone = kitchens.zone();
        ZonedDateTime now = clock.instant().atZone(zone);
        List<Upcoming> all = new ArrayList<>();
        for (CourseEntity e : repository.since(today().minusDays(LISTED_DAYS))) {
            Course course = rows.course(e);
            if (course.last().isBefore(now.toLocalDate())) {
                continue;
            }
            String who = drinkers(e, rows.recipe(e)).stream()
                    .map(CourseDrinker::name)
                    .collect(Collectors.joining(", "));
            for (Day day : course.drawn(rows.taken(e, rows.brews(e, course)), now.toLocalDate(), now.toLocalTime())) {
                day.doses().doses().stream()
                        .filter(Doses.Dose::open)
                        .map(d -> new Upcoming(e.id, e.name, who, moment(day.date(), d.due(), zone), code(d)))
                        .filter(u -> !u.due().isBefore(from) && u.due().isBefore(to))
                        .forEach(all::add);
            }
        }
        all.sort(Comparator.comparing(Upcoming::due));
        return all;
    }

    /**
     * What a course needs of a herb.
     *
     * @param gramsADay for all who drink it
     * @param days on which a pot of it is still to be made; what is left of the last one is drunk first
     */
    public record HerbNeed(
            UUID courseId, String name, String herb, String common, String form, double gramsADay, int days) {}

    /** What the courses need from today up to a day, that one too. */
    @Transactional(readOnly = true)
    public List<HerbNeed> needs(LocalDate last) {
        List<HerbNeed> all = new ArrayList<>();
        for (CourseEntity e : repository.since(today().minusDays(LISTED_DAYS))) {
            Course course = rows.course(e);
            Recipe recipe = rows.recipe(e);
            List<Cups.Of> of = rows.brews(e, course);
            long drinking = course.drinking().stream()
                    .filter(d -> course.runs(d) && !d.isBefore(today()) && !d.isAfter(last))
                    .count();
            double dayMl = ml(e, recipe) * course.times().size();
            double leftMl = of.stream().mapToDouble(Cups.Of::leftMl).sum();
            int days = (int) Math.max(0, drinking - Math.floor(leftMl / dayMl + 1e-6));
            if (days == 0) {
                continue;
            }
            try {
                BrewPlan plan = judge.judge(subject(e), clock.instant()).plan();
                plan.additions()
                        .forEach(a -> all.add(new HerbNeed(
                                e.id,
                                e.name,
                                a.of().herb().slug(),
                                a.of().herb().common(),
                                Fields.code(a.of().form()),
                                a.perCupG() * dayMl / recipe.cupMl(),
                                days)));
            } catch (InvalidInputException x) {
                // One that cannot be planned any more says so on its own page.
                continue;
            }
        }
        return all;
    }

    /** @throws RefusedException 404 when there is none */
    @Transactional(readOnly = true)
    public CourseResponse get(UUID id) {
        return told(entity(id));
    }

    @Transactional(readOnly = true)
    public CourseResponse preview(CourseRequest ask) {
        return told(laid(new CourseEntity(), ask));
    }

    /** @throws RefusedException 409 when it is longer than its herbs allow, or stopped for one who drinks it */
    @Transactional
    public CourseResponse add(CourseRequest ask) {
        CourseEntity e = laid(new CourseEntity(), ask);
        refuse(e, e.firstDay);
        e.id = Ids.next(clock.millis());
        e.createdAt = clock.instant();
        return told(repository.saveAndFlush(e));
    }

    /** @throws RefusedException 409 with the course as kept when the version is not the newest, or when it may not be so */
    @Transactional
    public CourseResponse change(UUID id, CourseRequest ask) {
        CourseEntity e = entity(id);
        RefusedException.unlessNewest(ask.version(), e.version, "course", () -> told(e));
        laid(e, ask);
        refuse(e, today());
        return told(repository.saveAndFlush(e));
    }

    @Transactional
    public CourseResponse end(UUID id, EndRequest ask) {
        CourseEntity e = entity(id);
        Course.End why = Fields.oneOf(Course.End.class, ask.why(), "why");
        if (rows.course(e).last().isBefore(today())) {
            throw RefusedException.of(HttpStatus.CONFLICT, "course-over", Map.of());
        }
        e.endedOn = e.firstDay.isAfter(today()) ? e.firstDay.minusDays(1) : today();
        e.endedWhy = Fields.code(why);
        return told(repository.saveAndFlush(e));
    }

    @Transactional
    public CourseResponse resume(UUID id) {
        CourseEntity e = entity(id);
        e.endedOn = null;
        e.endedWhy = null;
        refuse(e, today());
        return told(repository.saveAndFlush(e));
    }

    @Transactional
    public void remove(UUID id) {
        repository.delete(entity(id));
    }

    /** @throws RefusedException 409 when it was drunk already in this dose's time, or it is no day of it */
    @Transactional
    public CourseResponse drink(UUID id, CupRequest ask) {
        CourseEntity e = entity(id);
        UUID cup = Fields.need(ask.id(), "id", Need.CLIENT_ID);
        if (rows.drunk(cup)) {
            return told(e);
        }
        Instant at = clock.instant().minusMillis(Math.round(Objects.requireNonNullElse(ask.ageS(), 0.0) * 1000));
        ZonedDateTime local = at.atZone(kitchens.zone());
        Course course = rows.course(e);
        if (!course.drunkOn(local.toLocalDate())) {
            throw RefusedException.of(HttpStatus.CONFLICT, "course-no-day", Map.of());
        }
        List<LocalTime> taken =
                new ArrayList<>(rows.taken(e, rows.brews(e, course)).getOrDefault(local.toLocalDate(), List.of()));
        taken.add(local.toLocalTime());
        if (Doses.of(course.times(), taken.stream().sorted().toList(), Optional.of(local.toLocalTime()))
                        .extra()
                > 0) {
            throw RefusedException.of(HttpStatus.CONFLICT, "course-dose-drunk", Map.of());
        }
        if (ask.brewId() != null) {
            double ml = ml(e, rows.recipe(e));
            brews.record(ask.brewId(), new EventRequest.PouredRequest(cup, ask.ageS(), ml));
        } else {
            CupEntity c = new CupEntity();
            c.id = cup;
            c.courseId = id;
            c.at = at;
            cups.saveAndFlush(c);
        }
        return told(e);
    }

    @Transactional
    public CourseResponse takeBack(UUID id, UUID cupId) {
        CourseEntity e = entity(id);
        CupEntity c = cups.findById(cupId)
                .filter(x -> x.courseId.equals(id))
                .orElseThrow(() -> RefusedException.notFound("cup", cupId));
        cups.delete(c);
        cups.flush();
        return told(e);
    }

    // ---- laying

    private CourseEntity laid(CourseEntity e, CourseRequest ask) {
        if (e.recipe == null) {
            UUID recipeId = Fields.need(ask.recipeId(), "recipeId", Need.RECIPE);
            RecipeDocument document = recipes.get(recipeId).recipe();
            e.recipeId = recipeId;
            e.recipe = rows.text(document);
            e.name = document.name();
        }
        Recipe recipe = rows.recipe(e);
        List<Drinker> drinkers = drinkers(ask, recipe);
        List<LocalTime> times = ask.times() == null
                ? Doses.times(recipe.posology())
                : ask.times().stream().map(Courses::time).toList();
        Fields.within(times.size(), "times", Limit.DOSES_A_DAY);
        boolean better = Boolean.TRUE.equals(ask.untilBetter());
        Course unlaid = new Course(
                ask.firstDay() == null ? Objects.requireNonNullElse(e.firstDay, today()) : ask.firstDay(),
                OptionalInt.empty(),
                new Rhythm(1, 0, new CourseLimit.OfRecipe(1), OptionalInt.empty()),
                times,
                Optional.ofNullable(e.endedOn));
        // The plan names the herbs as they are brewed: parts of a blend, what stands in for another.
        BrewPlan plan = judge.judge(
                        new Subject(e.name, unlaid, rows.document(e), e.recipeId, drinkers), clock.instant())
                .plan();
        Rhythm rhythm = Rhythm.of(recipe.posology(), judge.herbs(plan));
        OptionalInt days =
                better ? OptionalInt.empty() : OptionalInt.of(ask.days() == null ? rhythm.usualDays() : ask.days());
        rows.write(e, new Course(unlaid.first(), days, rhythm, times, unlaid.ended()), drinkers);
        return e;
    }

    private static LocalTime time(String text) {
        try {
            return LocalTime.parse(text).truncatedTo(ChronoUnit.MINUTES);
        } catch (DateTimeParseException e) {
            throw InvalidInputException.of("times", text, new Wanted.OfKind(Wanted.Kind.TIME_OF_DAY));
        }
    }

    /** A child has its share: the smaller of the recipe's own and what age and weight allow. */
    private List<Drinker> drinkers(CourseRequest ask, Recipe recipe) {
        List<Drinker> all = new ArrayList<>();
        for (DrinkerRequest d : ask.drinkers() == null ? List.<DrinkerRequest>of() : ask.drinkers()) {
            UUID id = Fields.need(d.drinkerId(), "drinkers.drinkerId", Need.DRINKER);
            var drinker = people.drinker(people.get(id));
            double usual = Taking.usualServing(drinker);
            if (ChildDose.share(drinker).value() < 1) {
                OptionalDouble said =
                        recipe.posology().map(p -> p.more().childShare()).orElse(OptionalDouble.empty());
                usual = Math.min(usual, said.orElse(usual));
            }
            all.add(new Drinker(id, Objects.requireNonNullElse(d.serving(), usual)));
        }
        return all;
    }

    private void refuse(CourseEntity e, LocalDate from) {
        Subject of = subject(e);
        Judged judged = judge.judge(of, clock.instant());
        if (judged.stop()) {
            String why = judged.cautions().stream()
                    .filter(c -> c.severity() == Severity.STOP)
                    .findFirst()
                    .map(c -> HouseWords.words().say(c))
                    .orElse("");
            throw RefusedException.of(HttpStatus.CONFLICT, "stopped", Map.of("why", why));
        }
        tooLong(of, judged.plan(), from).ifPresent(t -> {
            throw RefusedException.of(
                    HttpStatus.CONFLICT, "course-too-long", Map.of("why", t.text(), "most", t.most()));
        });
    }

    private Optional<TooLong> tooLong(Subject of, BrewPlan plan, LocalDate from) {
        return judge.passed(of, plan, from, clock.instant()).map(p -> {
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

    /** As it is judged: of who is no longer on the list nothing is known. */
    private Subject subject(CourseEntity e) {
        Set<UUID> known = people.all().stream().map(Person::id).collect(Collectors.toSet());
        List<Drinker> there = rows.drinkers(e).stream()
                .filter(d -> known.contains(d.drinkerId()))
                .toList();
        return new Subject(e.name, rows.course(e), rows.document(e), e.recipeId, there);
    }

    // ---- telling

    private CourseResponse told(CourseEntity e) {
        Course course = rows.course(e);
        List<Cups.Of> of = rows.brews(e, course);
        ZoneId zone = kitchens.zone();
        ZonedDateTime now = clock.instant().atZone(zone);
        List<Day> drawn = course.drawn(rows.taken(e, of), now.toLocalDate(), now.toLocalTime());
        boolean ahead = now.toLocalDate().isBefore(course.first());
        boolean over = now.toLocalDate().isAfter(course.last());
        Recipe recipe = rows.recipe(e);
        List<CourseCaution> cautions = new ArrayList<>();
        List<String> clashes = new ArrayList<>();
        Optional<TooLong> tooLong = Optional.empty();
        CourseLimit limit = new CourseLimit.OfRecipe(e.rowDays);
        if (!over) {
            try {
                Subject subject = subject(e);
                Judged judged = judge.judge(subject, clock.instant());
                judged.cautions().stream()
                        .filter(c -> c.severity() != Severity.NOTE)
                        .map(c -> new CourseCaution(
                                Fields.code(c.severity()), HouseWords.words().say(c), c.source()))
                        .forEach(cautions::add);
                clashes.addAll(judge.clashes(subject, judged, others(e), clock.instant()));
                tooLong = tooLong(subject, judged.plan(), ahead ? course.first() : now.toLocalDate());
                limit = Rhythm.of(recipe.posology(), judge.herbs(judged.plan())).limit();
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
                new Head(
                        e.recipeId,
                        e.name,
                        drinkers(e, recipe),
                        recipe.posology().map(p -> HouseWords.words().say(p)).orElse("")),
                new Laid(
                        ahead ? "ahead" : over ? "over" : "running",
                        course.first(),
                        course.last(),
                        e.days,
                        Rhythm.of(recipe.posology(), List.of()).usualDays(),
                        e.rowDays,
                        e.restDays,
                        HouseWords.words().say((Record) limit),
                        limit instanceof CourseLimit.OfHerb h ? h.source() : null,
                        course.times().stream().map(LocalTime::toString).toList(),
                        e.endedOn,
                        e.endedWhy),
                drawn.stream().map(d -> line(d, of, zone)).toList(),
                Course.next(drawn)
                        .map(n -> new NextDose(moment(n.date(), n.dose().due(), zone), code(n.dose())))
                        .orElse(null),
                cautions,
                clashes,
                tooLong.orElse(null),
                over ? List.of() : sources(of));
    }

    private List<Subject> others(CourseEntity e) {
        return repository.since(today().minusDays(LISTED_DAYS)).stream()
                .filter(o -> !o.id.equals(e.id))
                .map(this::subject)
                .filter(s -> !s.course().last().isBefore(today()))
                .toList();
    }

    private List<CourseDrinker> drinkers(CourseEntity e, Recipe recipe) {
        Map<UUID, String> names = new HashMap<>();
        people.all().forEach(p -> names.put(p.id(), p.name()));
        List<Drinker> all = rows.drinkers(e);
        double cup = dose(e, recipe);
        return all.stream()
                .map(d -> new CourseDrinker(
                        d.drinkerId(),
                        d.drinkerId() == null ? "" : names.getOrDefault(d.drinkerId(), ""),
                        d.serving(),
                        cup * d.serving()))
                .toList();
    }

    /** What an adult has at a time, mL: the recipe's cups of a day over its times. */
    private double dose(CourseEntity e, Recipe recipe) {
        int times = rows.course(e).times().size();
        double share =
                recipe.posology().map(Posology::cupsADay).map(c -> c / times).orElse(1.0);
        return recipe.cupMl() * share;
    }

    /** What all of them have at a time, mL. */
    private double ml(CourseEntity e, Recipe recipe) {
        double servings =
                rows.drinkers(e).stream().mapToDouble(Drinker::serving).sum();
        return dose(e, recipe) * (servings == 0 ? 1 : servings);
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
                                moment(day.date(), d.due(), zone),
                                code(d),
                                d.takenAt()
                                        .map(t -> moment(day.date(), t, zone))
                                        .orElse(null)))
                        .toList(),
                day.doses().extra());
    }

    private static String code(Doses.Dose dose) {
        return Fields.code(dose.state());
    }

    /** By the household's clock, whatever that day's offset is. */
    private static Instant moment(LocalDate day, LocalTime time, ZoneId zone) {
        return day.atTime(time).atZone(zone).toInstant();
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), kitchens.zone());
    }

    private CourseEntity entity(UUID id) {
        return repository.findById(id).orElseThrow(() -> RefusedException.notFound("course", id));
    }
}
