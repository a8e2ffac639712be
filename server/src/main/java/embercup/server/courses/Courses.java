package embercup.server.courses;

import embercup.core.course.Course;
import embercup.core.course.Course.Day;
import embercup.core.course.CourseLimit;
import embercup.core.course.Doses;
import embercup.core.course.Rhythm;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Taking;
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
import embercup.server.courses.CourseRows.Drinker;
import embercup.server.courses.CourseToResponse.House;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Ids;
import embercup.server.platform.Moments;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.Recipes;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;

/** Courses: laid by the recipe and its herbs, never longer than they allow, and how it stands with their doses. */
@Service
public class Courses {

    private final CourseRepository repository;
    private final CupRepository cups;
    private final CourseRows rows;
    private final CourseJudge judge;
    private final CourseToResponse writing;
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
            CourseToResponse writing,
            Recipes recipes,
            People people,
            Brews brews,
            Kitchens kitchens,
            Clock clock) {
        this.repository = repository;
        this.cups = cups;
        this.rows = rows;
        this.judge = judge;
        this.writing = writing;
        this.recipes = recipes;
        this.people = people;
        this.brews = brews;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /** How many courses have a document that cannot be read. */
    @Transactional(readOnly = true)
    public int unreadable() {
        int unreadable = 0;
        for (CourseEntity e : repository.findAll()) {
            try {
                rows.recipe(e);
                rows.drinkers(e);
                rows.course(e);
            } catch (JacksonException | IllegalArgumentException | InvalidInputException not) {
                unreadable++;
            }
        }
        return unreadable;
    }

    /** Those that run or are to come, then those that are over, the newest first. */
    @Transactional(readOnly = true)
    public List<CourseResponse> all() {
        return writing.all();
    }

    /** A dose that may still be taken. @param state {@code ahead}, {@code due} or {@code late} */
    public record Upcoming(UUID courseId, String name, String drinkers, Instant due, String state) {}

    /** Doses of a span that are not drunk and not missed, of every course that runs. */
    @Transactional(readOnly = true)
    public List<Upcoming> upcoming(Instant from, Instant to) {
        House house = writing.house();
        ZonedDateTime now = house.now();
        List<Upcoming> all = new ArrayList<>();
        for (CourseEntity e : house.listed()) {
            Course course = rows.course(e);
            if (course.last().isBefore(now.toLocalDate())) {
                continue;
            }
            String who = String.join(", ", writing.names(e, house));
            for (Day day : course.drawn(rows.taken(e, rows.brews(e, course)), now.toLocalDate(), now.toLocalTime())) {
                day.doses().doses().stream()
                        .filter(Doses.Dose::open)
                        .map(d -> new Upcoming(
                                e.id,
                                e.name,
                                who,
                                Moments.of(day.date(), d.due(), now.getZone()),
                                CourseToResponse.code(d)))
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
        House house = writing.house();
        List<HerbNeed> all = new ArrayList<>();
        for (CourseEntity e : house.listed()) {
            Course course = rows.course(e);
            Recipe recipe = rows.recipe(e);
            List<Cups.Of> of = rows.brews(e, course);
            long drinking = course.drinking().stream()
                    .filter(d -> course.runs(d) && !d.isBefore(house.today()) && !d.isAfter(last))
                    .count();
            double dayMl = rows.doseOfAllMl(e) * course.times().size();
            double leftMl = of.stream().mapToDouble(Cups.Of::leftMl).sum();
            int days = (int) Math.max(0, drinking - Math.floor(leftMl / dayMl + 1e-6));
            if (days == 0) {
                continue;
            }
            try {
                BrewPlan plan =
                        judge.judge(writing.subject(e, house), clock.instant()).plan();
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
        return writing.told(entity(id));
    }

    @Transactional(readOnly = true)
    public CourseResponse preview(CourseRequest ask) {
        return writing.told(laid(new CourseEntity(), ask));
    }

    /** @throws RefusedException 409 when it is longer than its herbs allow, or stopped for one who drinks it */
    @Transactional
    public CourseResponse add(CourseRequest ask) {
        CourseEntity e = laid(new CourseEntity(), ask);
        refuse(e, e.firstDay);
        e.id = Ids.next(clock.millis());
        e.createdAt = clock.instant();
        return writing.told(repository.saveAndFlush(e));
    }

    /** @throws RefusedException 409 with the course as kept when the version is not the newest, or when it may not be so */
    @Transactional
    public CourseResponse change(UUID id, CourseRequest ask) {
        CourseEntity e = entity(id);
        RefusedException.unlessNewest(ask.version(), e.version, "course", () -> writing.told(e));
        laid(e, ask);
        refuse(e, today());
        return writing.told(repository.saveAndFlush(e));
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
        return writing.told(repository.saveAndFlush(e));
    }

    @Transactional
    public CourseResponse resume(UUID id) {
        CourseEntity e = entity(id);
        e.endedOn = null;
        e.endedWhy = null;
        refuse(e, today());
        return writing.told(repository.saveAndFlush(e));
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
            return writing.told(e);
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
        if (course.dosesOf(local.toLocalDate(), taken.stream().sorted().toList(), Optional.of(local.toLocalTime()))
                        .extra()
                > 0) {
            throw RefusedException.of(HttpStatus.CONFLICT, "course-dose-drunk", Map.of());
        }
        if (ask.brewId() != null) {
            if (!e.recipeId.equals(brews.get(ask.brewId()).head().recipeId())) {
                throw RefusedException.of(HttpStatus.CONFLICT, "course-other-pot", Map.of());
            }
            // The row is held until the dose stands: who taps twice finds what the first has left.
            double left = brews.leftToPour(ask.brewId());
            if (left <= 0) {
                throw RefusedException.of(HttpStatus.CONFLICT, "course-pot-not-ready", Map.of());
            }
            double ml = Math.min(rows.doseOfAllMl(e), left);
            List<CourseRows.Drinker> whose = rows.drinkers(e);
            UUID alone = whose.size() == 1 ? whose.get(0).drinkerId() : null;
            brews.record(ask.brewId(), new EventRequest.PouredRequest(cup, ask.ageS(), ml, alone));
        } else {
            CupEntity c = new CupEntity();
            c.id = cup;
            c.courseId = id;
            c.at = at;
            cups.saveAndFlush(c);
        }
        return writing.told(e);
    }

    @Transactional
    public CourseResponse takeBack(UUID id, UUID cupId) {
        CourseEntity e = entity(id);
        CupEntity c = cups.findById(cupId)
                .filter(x -> x.courseId.equals(id))
                .orElseThrow(() -> RefusedException.notFound("cup", cupId));
        cups.delete(c);
        cups.flush();
        return writing.told(e);
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
                ? Doses.times(rows.posology(recipe, drinkers))
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
        BrewPlan plan = judge.judge(new Subject(e.name, unlaid, rows.document(e), drinkers), clock.instant())
                .plan();
        Rhythm rhythm = Rhythm.of(rows.posology(recipe, drinkers), judge.herbs(plan));
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
            // A row of her own says her dose already.
            boolean own = recipe.posology()
                    .flatMap(p -> p.rowOf(drinker.ageYears(), drinker.conditions()))
                    .isPresent();
            double usual = own ? 1 : Taking.usualServing(drinker, recipe.childShare());
            all.add(new Drinker(id, Objects.requireNonNullElse(d.serving(), usual)));
        }
        return all;
    }

    private void refuse(CourseEntity e, LocalDate from) {
        Subject of = writing.subject(e, writing.house());
        Judged judged = judge.judge(of, clock.instant());
        if (judged.stop()) {
            String why = judged.cautions().stream()
                    .filter(c -> c.severity() == Severity.STOP)
                    .findFirst()
                    .map(c -> HouseWords.words().say(c))
                    .orElse("");
            throw RefusedException.of(HttpStatus.CONFLICT, "stopped", Map.of("why", why));
        }
        writing.tooLong(of, judged.plan(), clock.instant(), from).ifPresent(t -> {
            throw RefusedException.of(
                    HttpStatus.CONFLICT, "course-too-long", Map.of("why", t.text(), "most", t.most()));
        });
    }

    private LocalDate today() {
        return kitchens.day(clock.instant());
    }

    private CourseEntity entity(UUID id) {
        return repository.findById(id).orElseThrow(() -> RefusedException.notFound("course", id));
    }
}
