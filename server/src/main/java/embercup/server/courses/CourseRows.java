package embercup.server.courses;

import embercup.core.course.Course;
import embercup.core.course.CourseLimit;
import embercup.core.course.Rhythm;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.server.brews.Cups;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.recipes.KeptRecipes;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeFromDocument;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** A row as the trade sees it, and what was drunk of it. */
@Component
class CourseRows {

    /** A pot that keeps is made some days before it is drunk, days. */
    private static final int POT_BEFORE = 14;

    private final CupRepository own;
    private final Cups cups;
    private final Kitchens kitchens;
    private final JsonMapper json;
    private final KeptRecipes recipes;
    private final People people;

    CourseRows(CupRepository own, Cups cups, Kitchens kitchens, JsonMapper json, KeptRecipes recipes, People people) {
        this.own = own;
        this.cups = cups;
        this.kitchens = kitchens;
        this.json = json;
        this.recipes = recipes;
        this.people = people;
    }

    /** Who drinks it. @param serving part of a cup at a time */
    record Drinker(@Nullable UUID drinkerId, double serving) {}

    List<Drinker> drinkers(CourseEntity e) {
        return List.of(json.readValue(e.drinkers, Drinker[].class));
    }

    static List<UUID> ids(List<Drinker> drinkers) {
        return drinkers.stream()
                .map(Drinker::drinkerId)
                .filter(Objects::nonNull)
                .toList();
    }

    RecipeDocument document(CourseEntity e) {
        return recipes.read(e.recipe);
    }

    Recipe recipe(CourseEntity e) {
        return RecipeFromDocument.read(document(e), "recipe");
    }

    /** As it was laid; why it is no longer is not kept. */
    Course course(CourseEntity e) {
        return new Course(
                e.firstDay,
                e.days == null ? OptionalInt.empty() : OptionalInt.of(e.days),
                new Rhythm(e.rowDays, e.restDays, new CourseLimit.OfRecipe(e.rowDays), OptionalInt.empty()),
                Arrays.stream(json.readValue(e.times, String[].class))
                        .map(LocalTime::parse)
                        .toList(),
                Optional.ofNullable(e.endedOn),
                begunAt(e));
    }

    /** The time of its first day at which it was laid. */
    private Optional<LocalTime> begunAt(CourseEntity e) {
        return Optional.ofNullable(e.createdAt)
                .map(at -> at.atZone(kitchens.zone()))
                .filter(at -> at.toLocalDate().equals(e.firstDay))
                .map(ZonedDateTime::toLocalTime);
    }

    void write(CourseEntity e, Course course, List<Drinker> drinkers) {
        e.firstDay = course.first();
        e.days = course.days().isPresent() ? course.days().getAsInt() : null;
        e.rowDays = course.rhythm().on();
        e.restDays = course.rhythm().off();
        e.times = json.writeValueAsString(
                course.times().stream().map(LocalTime::toString).toList());
        e.drinkers = json.writeValueAsString(drinkers);
        e.endedOn = course.ended().orElse(null);
    }

    String text(RecipeDocument recipe) {
        return recipes.write(recipe);
    }

    /** As it is taken in a course: by the row of whoever drinks it alone, by what is said to all where several do. */
    Optional<Posology> posology(Recipe recipe, List<Drinker> drinkers) {
        Optional<Posology> said = recipe.posology();
        boolean alone = drinkers.size() == 1 && drinkers.get(0).drinkerId() != null;
        // Who she is matters only to a recipe that tells people apart.
        return alone && said.filter(p -> !p.more().rows().isEmpty()).isPresent()
                ? said.map(p -> of(p, drinkers.get(0), recipe))
                : said;
    }

    private Posology of(Posology said, Drinker drinker, Recipe recipe) {
        return people.find(Objects.requireNonNull(drinker.drinkerId()))
                .map(people::drinker)
                .map(her -> said.of(
                        her.ageYears(),
                        her.conditions(),
                        recipe.cupMl(),
                        kitchens.own(null, null).custom()))
                .orElse(said);
    }

    /** How one of those who drink it takes it: by her own row, or as is said to all. */
    Optional<Posology> posology(Recipe recipe, Drinker drinker) {
        return posology(recipe, List.of(drinker));
    }

    /** What one of those who drink it has at a time, mL: the dose of her own row, or the cups of a day over its times. */
    double doseMl(Recipe recipe, Course course, Drinker drinker) {
        return drinker.serving()
                * posology(recipe, drinker)
                        .map(p -> doseMl(p)
                                .orElse(recipe.cupMl()
                                        * p.cupsADay()
                                        / course.times().size()))
                        .orElse(recipe.cupMl());
    }

    /** The dose that a recipe says, mL; empty where it says none. */
    private OptionalDouble doseMl(Posology said) {
        return said.more().dose().isEmpty()
                ? OptionalDouble.empty()
                : said.doseMl(kitchens.own(null, null).custom());
    }

    /** What all who drink it have at a time, mL. */
    double doseOfAllMl(CourseEntity e) {
        Recipe recipe = recipe(e);
        Course course = course(e);
        List<Drinker> all = drinkers(e);
        return all.isEmpty()
                ? doseMl(recipe, course, new Drinker(null, 1))
                : all.stream().mapToDouble(d -> doseMl(recipe, course, d)).sum();
    }

    /** Whether a cup was written down already under this id. */
    boolean drunk(UUID cup) {
        return own.existsById(cup) || cups.poured(cup);
    }

    /** Its brews. */
    List<Cups.Of> brews(CourseEntity e, Course course) {
        ZoneId zone = kitchens.zone();
        return e.recipeId == null
                ? List.of()
                : cups.of(
                        e.recipeId,
                        ids(drinkers(e)),
                        course.first().minusDays(POT_BEFORE).atStartOfDay(zone).toInstant(),
                        course.last().plusDays(1).atStartOfDay(zone).toInstant());
    }

    /** When cups of it were drunk: poured of its brews since its first day, and from elsewhere. */
    Map<LocalDate, List<LocalTime>> taken(CourseEntity e, List<Cups.Of> brews) {
        ZoneId zone = kitchens.zone();
        Stream<Instant> poured = brews.stream().flatMap(b -> b.poured().stream());
        Stream<Instant> elsewhere = e.id == null
                ? Stream.of()
                : own.findAllByCourseIdOrderByAtAscIdAsc(e.id).stream().map(c -> c.at);
        return Stream.concat(poured, elsewhere)
                .map(at -> at.atZone(zone))
                .collect(Collectors.groupingBy(
                        z -> z.toLocalDate(), Collectors.mapping(z -> z.toLocalTime(), Collectors.toList())));
    }
}
