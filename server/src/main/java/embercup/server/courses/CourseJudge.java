package embercup.server.courses;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.care.Runs;
import embercup.core.course.Course;
import embercup.core.materia.Constituent;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.SeveralPots;
import embercup.core.plan.Taking;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import embercup.server.courses.CourseRows.Drinker;
import embercup.server.herbs.HouseMateria;
import embercup.server.plans.OrderRequest;
import embercup.server.plans.Plans;
import embercup.server.platform.HouseWords;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeFromDocument;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is to be minded of a course: for each who drinks it, as she is now, and beside the other courses she is on. */
@Component
class CourseJudge {

    /** Said of the days of a course itself, by its own days. */
    private static final Set<Class<? extends Caution>> OF_DAYS = Set.of(
            Caution.LongestRun.class,
            Caution.RunOver.class,
            Caution.RunWouldPass.class,
            Caution.PosologyRun.class,
            Caution.CupsNotSaid.class);

    private final Plans plans;
    private final Plans.Day days;
    private final HouseMateria houseMateria;
    private final CourseRows rows;

    CourseJudge(Plans plans, Plans.Day days, HouseMateria houseMateria, CourseRows rows) {
        this.plans = plans;
        this.days = days;
        this.houseMateria = houseMateria;
        this.rows = rows;
    }

    /** Something that somebody drinks day by day. */
    record Subject(String name, Course course, RecipeDocument recipe, List<Drinker> drinkers) {}

    /** @param stop whether it must not be begun */
    record Judged(BrewPlan plan, List<Caution> cautions, boolean stop) {}

    /** @throws InvalidInputException when it cannot be brewed any more */
    Judged judge(Subject of, Instant now) {
        return judge(of, days, now);
    }

    private Judged judge(Subject of, Plans.Day history, Instant now) {
        Plans.Made made = plans.make(order(of, now), history);
        Set<Caution> all = new LinkedHashSet<>(made.verdict().cautions());
        made.others().forEach(o -> all.addAll(o.verdict().cautions()));
        all.removeIf(c -> OF_DAYS.contains(c.getClass()));
        boolean stop = made.verdict().stops()
                || made.others().stream().anyMatch(o -> o.verdict().stops());
        return new Judged(made.plan(), List.copyOf(all), stop);
    }

    private OrderRequest order(Subject of, Instant now) {
        Drinker first = of.drinkers().isEmpty() ? null : of.drinkers().get(0);
        List<OrderRequest.SharerPart> others =
                of.drinkers().size() < 2 ? List.of() : others(of, RecipeFromDocument.read(of.recipe(), "recipe"));
        return new OrderRequest(
                new OrderRequest.Pot(null, of.recipe(), null, null, null),
                new OrderRequest.Serving(null, null, null, null),
                new OrderRequest.For(first == null ? null : first.drinkerId(), null, null, null, false),
                new OrderRequest.Taken(null, null, null, others),
                null,
                new OrderRequest.Custom(null, null, null),
                new OrderRequest.At(now, null),
                null);
    }

    /** Who drinks it beside the first, each with the dose that is hers at every time of its days. */
    private List<OrderRequest.SharerPart> others(Subject of, Recipe recipe) {
        int times = of.course().times().size();
        return of.drinkers().stream()
                .skip(1)
                .map(d -> {
                    Taking.Serving serving =
                            Taking.Serving.of(rows.doseMl(recipe, of.course(), d) / recipe.cupMl(), times);
                    return new OrderRequest.SharerPart(d.drinkerId(), null, null, serving.aDay(), serving.ofCup());
                })
                .toList();
    }

    List<Herb> herbs(BrewPlan plan) {
        Materia materia = houseMateria.materia();
        return plan.additions().stream()
                .map(PlannedAddition::herb)
                .distinct()
                .map(slug -> materia.herb(slug, "herb"))
                .toList();
    }

    /** The first day from {@code from} on that a herb's longest run does not allow to one of its drinkers. */
    Optional<Runs.Passed> passed(Subject of, BrewPlan plan, LocalDate from, Instant now) {
        List<Herb> herbs = herbs(plan);
        return drinkerIds(of).stream()
                .flatMap(id -> of.course().passed(herbs, days.history(id, now).drunkOn(), from).stream())
                .min(Comparator.comparing(Runs.Passed::day));
    }

    private static Collection<UUID> drinkerIds(Subject of) {
        List<UUID> ids = new ArrayList<>(CourseRows.ids(of.drinkers()));
        // Nobody of the household: her days are known of nobody.
        return ids.isEmpty() ? Collections.singleton(null) : ids;
    }

    // ---- beside other courses

    /** What a course does not go together with, of others that are drunk on the same days by the same people. */
    List<String> clashes(Subject of, Judged judged, List<Subject> others, Instant now) {
        List<String> all = new ArrayList<>();
        Materia materia = houseMateria.materia();
        for (Subject other : others) {
            if (meet(of, other)) {
                try {
                    BrewPlan beside = judge(other, days, now).plan();
                    all.addAll(more(of, judged, other, beside, now));
                    all.addAll(sameHerbs(materia, judged.plan(), other.name(), beside));
                } catch (InvalidInputException e) {
                    // One that cannot be planned any more says so itself.
                    continue;
                }
            }
        }
        return all;
    }

    private static boolean meet(Subject a, Subject b) {
        Set<UUID> both = new HashSet<>(CourseRows.ids(a.drinkers()));
        both.retainAll(CourseRows.ids(b.drinkers()));
        Set<LocalDate> daysOfBoth = new HashSet<>(a.course().drinking());
        daysOfBoth.retainAll(b.course().drinking());
        daysOfBoth.removeIf(d -> !a.course().runs(d) || !b.course().runs(d));
        return !both.isEmpty() && !daysOfBoth.isEmpty();
    }

    /** What is to be minded only because the other's cups are in the same day. */
    private List<String> more(Subject of, Judged alone, Subject other, BrewPlan beside, Instant now) {
        Map<Constituent, Double> mg = new HashMap<>();
        new Care(houseMateria.materia())
                .contents(beside)
                .forEach((constituent, day) -> mg.put(constituent, day.value()));
        Set<UUID> hers = new HashSet<>(CourseRows.ids(other.drinkers()));
        Plans.Day together = new Plans.Day() {
            @Override
            public boolean brewedBefore() {
                return true;
            }

            @Override
            public History history(@Nullable UUID drinkerId, Instant at) {
                History known = days.history(drinkerId, at);
                if (drinkerId == null || !hers.contains(drinkerId)) {
                    return known;
                }
                List<History.Earlier> earlier = new ArrayList<>(known.earlier());
                earlier.add(new History.Earlier(other.name(), Optional.of(LocalTime.NOON), mg));
                return new History(earlier, known.drunkOn(), known.day());
            }

            @Override
            public List<SeveralPots.Pot> onTheFire(Instant zero) {
                return List.of();
            }
        };
        Set<String> said = alone.cautions().stream().map(Object::toString).collect(Collectors.toSet());
        return judge(of, together, now).cautions().stream()
                .filter(c -> c instanceof Caution.DayHolds || c instanceof Caution.SingleDose)
                .filter(c -> !said.contains(c.toString()))
                .map(c -> HouseWords.words()
                        .sentence(
                                "course.with-other",
                                Map.of(
                                        "other",
                                        other.name(),
                                        "text",
                                        HouseWords.words().say(c))))
                .toList();
    }

    /** Herbs that are in both, and together more than a day usually has. */
    private static List<String> sameHerbs(Materia materia, BrewPlan plan, String name, BrewPlan other) {
        List<String> all = new ArrayList<>();
        for (PlannedAddition a : plan.additions()) {
            double beside = other.additions().stream()
                    .filter(b -> b.herb().equals(a.herb()))
                    .mapToDouble(b -> b.perCupG() * other.request().cupsADay())
                    .sum();
            double together = beside + a.perCupG() * plan.request().cupsADay();
            if (beside > 0) {
                plan.usual(materia, a)
                        .mostInDay()
                        .filter(most -> together > most.value())
                        .ifPresent(most -> all.add(HouseWords.words()
                                .sentence(
                                        "course.same-herb",
                                        Map.of(
                                                "herb",
                                                a.of().herb().common(),
                                                "other",
                                                name,
                                                "grams",
                                                HouseWords.words().shown(together, "g"),
                                                "most",
                                                HouseWords.words().shown(most.value(), "g")))));
            }
        }
        return all;
    }
}
