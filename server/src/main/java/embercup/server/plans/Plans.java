package embercup.server.plans;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.dose.Drinker;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Constituent;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Interleaving;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.workings.InvalidInput;
import embercup.server.herbs.Herbary;
import embercup.server.kitchen.Kitchens;
import embercup.server.learned.Learned;
import embercup.server.learned.LearnedSheet;
import embercup.server.people.People;
import embercup.server.platform.Fields;
import embercup.server.recipes.RecipeReading;
import embercup.server.recipes.RecipeSheet;
import embercup.server.recipes.Recipes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Plans: resolves what a request refers to, lets the core plan, and lets care judge. */
@Service
public class Plans {

    private final PlanAskReading asks;
    private final Recipes recipes;
    private final People people;
    private final Kitchens kitchens;
    private final Herbary herbary;
    private final Learned learned;
    private final Clock clock;

    Plans(
            PlanAskReading asks,
            Recipes recipes,
            People people,
            Kitchens kitchens,
            Herbary herbary,
            Learned learned,
            Clock clock) {
        this.asks = asks;
        this.recipes = recipes;
        this.people = people;
        this.kitchens = kitchens;
        this.herbary = herbary;
        this.learned = learned;
        this.clock = clock;
    }

    /** What is known of the days around a plan: what the drinker had, and what is on the fire. */
    public interface Day {
        /** The drinker's cups of that day and the days before it. */
        History history(@Nullable UUID drinkerId, Instant at);

        /** Planned and running pots, with their starts in seconds from {@code zero}. */
        List<Interleaving.Pot> onTheFire(Instant zero);
    }

    /**
     * A plan with everything it was made from, so that it can be made again without the rows it referred to.
     *
     * @param ask the request with recipe, drinker and kitchen written out
     * @param loadsMg what this pot alone holds of limited constituents
     */
    public record Made(BrewPlan plan, PlanAsk ask, PlanSheet sheet, Map<Constituent, Double> loadsMg) {}

    /** @throws InvalidInput when it cannot be brewed */
    public Made make(PlanAsk ask, Day day) {
        PlanAskReading.Resolved resolved = asks.read(ask);
        List<LearnedSheet> known = new ArrayList<>();
        PlanRequest request = learned(ask, resolved, known);
        BrewPlan plan = new Planner(resolved.materia()).plan(request);
        Instant start = start(ask, plan);
        Care care = new Care(resolved.materia());
        History history = ask.drinkerId() == null ? History.NONE : day.history(ask.drinkerId(), start);
        Care.Verdict verdict = care.judge(plan, history);
        List<PlanSheet.WayLine> ways = verdict.stops()
                ? new WaysOut(resolved.materia(), request, history)
                        .of(plan, verdict, resolved.drinkerId(), kitchens, people, day, start)
                : List.of();
        PlanSheet sheet = PlanWriting.write(
                plan, verdict, ways, identityChecks(plan, resolved.materia()), known, start, resolved.drinkerName());
        return new Made(plan, PlanWriting.writtenOut(plan, start), sheet, care.contents(plan));
    }

    /** The request with what the household's own brews taught of this stove and this drinker. */
    private PlanRequest learned(PlanAsk ask, PlanAskReading.Resolved resolved, List<LearnedSheet> known) {
        PlanRequest request = resolved.request();
        if (Boolean.FALSE.equals(ask.useLearned())) {
            return request;
        }
        if (ask.kitchen() != null
                && ask.kitchen().vesselId() != null
                && ask.kitchen().burner() == null) {
            String vessel = request.kitchen().vessel().map(Vessel::name).orElse("");
            var stove = learned.stove(request.kitchen().burner(), vessel);
            stove.ifPresent(s -> known.add(s.sheet()));
            if (stove.filter(s -> s.sheet().used()).isPresent()) {
                Burner as = stove.get().fit().applied(request.kitchen().burner());
                request = request.withKitchen(request.kitchen().withBurner(as));
            }
        }
        if (ask.taste() == null && ask.recipeId() != null && ask.drinkerId() != null) {
            var taste = learned.taste(ask.recipeId(), resolved.drinkerName());
            taste.ifPresent(t -> known.add(t.sheet()));
            if (taste.filter(t -> t.sheet().used()).isPresent()) {
                request = request.toTaste(taste.get().taste().factor());
            }
        }
        return request;
    }

    private Instant start(PlanAsk ask, BrewPlan plan) {
        if (ask.startAt() != null && ask.readyAt() != null) {
            throw InvalidInput.of("readyAt", ask.readyAt(), "either startAt or readyAt, not both");
        }
        return ask.readyAt() != null
                ? plan.startFor(ask.readyAt())
                : ask.startAt() == null ? clock.instant() : ask.startAt();
    }

    /** Gathered herbs with a poisonous look-alike. */
    private static List<String> identityChecks(BrewPlan plan, Materia materia) {
        return plan.additions().stream()
                .map(PlannedAddition::herb)
                .distinct()
                .filter(slug -> materia.herb(slug, "herb").needsIdentityCheck())
                .toList();
    }

    /** The gravest caution of every kept recipe for a drinker, from care on. */
    public List<MarkLine> marks(@Nullable UUID drinkerId, Day day) {
        Drinker drinker = people.drinkerOrAdult(drinkerId);
        History history = day.history(drinkerId, clock.instant());
        Materia materia = herbary.materia();
        Planner planner = new Planner(materia);
        Care care = new Care(materia);
        List<MarkLine> marks = new ArrayList<>();
        for (RecipeSheet kept : recipes.all()) {
            PlanRequest request = PlanRequest.asWritten(RecipeReading.read(kept.recipe(), "recipe"))
                    .withDrinker(drinker);
            care.judge(planner.plan(request), history).cautions().stream()
                    .filter(c -> c.severity() != Severity.NOTE)
                    .findFirst()
                    .ifPresent(c -> marks.add(new MarkLine(kept.id(), Fields.code(c.severity()), c.text())));
        }
        return marks;
    }

    /**
     * Several orders and one cook: starts are moved so that no two hands-on steps meet.
     *
     * @throws InvalidInput when one of them cannot be brewed, or there are none or too many
     */
    public OneCookSheet interleave(OneCookAsk ask, Day day) {
        List<PlanAsk> all = ask.plans() == null ? List.of() : ask.plans();
        if (all.isEmpty() || all.size() > OneCookAsk.MOST) {
            throw InvalidInput.of("plans", all.size() + " plans", "1 to " + OneCookAsk.MOST + " plans");
        }
        Instant zero = clock.instant();
        List<Interleaving.Pot> pots = new ArrayList<>();
        for (PlanAsk one : all) {
            PlanAskReading.Resolved resolved = asks.read(one);
            BrewPlan plan = new Planner(resolved.materia()).plan(resolved.request());
            double wish = Duration.between(zero, start(one, plan)).toMillis() / 1000.0;
            boolean onTheMinute = one.readyAt() != null;
            double latest = onTheMinute ? wish : wish + OneCookAsk.MOST_MOVE_S;
            pots.add(new Interleaving.Pot(
                    plan.request().recipe().name(),
                    plan,
                    wish,
                    Math.min(wish, Math.max(0, wish - OneCookAsk.MOST_MOVE_S)),
                    latest));
        }
        return OneCookSheet.of(Interleaving.of(day.onTheFire(zero), pots), pots, zero);
    }

    /** A plan made again, and the planner that made it, for what happens to the brew later. */
    public record Again(Planner planner, BrewPlan plan) {}

    /** Makes the core's plan again from a written-out request; looks up the household's own herbs and nothing else. */
    public Again again(PlanAsk writtenOut) {
        Planner planner = planner();
        return new Again(planner, planner.plan(asks.writtenOut(writtenOut)));
    }

    /** A planner with the household's own herbs. */
    private Planner planner() {
        return new Planner(herbary.materia());
    }
}
