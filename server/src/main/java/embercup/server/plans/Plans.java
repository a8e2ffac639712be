package embercup.server.plans;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.dose.Drinker;
import embercup.core.keeping.Keeping;
import embercup.core.keeping.OnTheShelf;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.plan.SeveralPots;
import embercup.core.plan.Taking;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Counted;
import embercup.core.workings.Workings;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.learned.Learned;
import embercup.server.learned.LearnedResponse;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.recipes.RecipeFromDocument;
import embercup.server.recipes.RecipeResponse;
import embercup.server.recipes.Recipes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Plans: resolves what a request refers to, lets the core plan, and lets care judge. */
@Service
public class Plans {

    private static final Logger LOG = LoggerFactory.getLogger(Plans.class);

    private final OrderFromRequest asks;
    private final Recipes recipes;
    private final People people;
    private final Kitchens kitchens;
    private final HouseMateria houseMateria;
    private final Learned learned;
    private final Clock clock;

    Plans(
            OrderFromRequest asks,
            Recipes recipes,
            People people,
            Kitchens kitchens,
            HouseMateria houseMateria,
            Learned learned,
            Clock clock) {
        this.asks = asks;
        this.recipes = recipes;
        this.people = people;
        this.kitchens = kitchens;
        this.houseMateria = houseMateria;
        this.learned = learned;
        this.clock = clock;
    }

    /** What is known of the days around a plan: what the drinker had, and what is on the fire. */
    public interface Day {
        /** The drinker's cups of that day and the days before it. */
        History history(@Nullable UUID drinkerId, Instant at);

        /** How much is left of these herbs in tins that were weighed, g. */
        default Map<OnTheShelf.Thing, Double> left(Set<String> herbs) {
            return Map.of();
        }

        /** Whether a pot was finished in this house before. */
        boolean brewedBefore();

        /** Planned and running pots, with their starts in seconds from {@code zero}. */
        List<SeveralPots.Pot> onTheFire(Instant zero);
    }

    /**
     * A plan with what was told of it.
     *
     * @param burnerId the household's burner that it counts with
     * @param verdict what care says of it for the drinker
     * @param others what it says for who drinks of it beside her
     */
    public record Made(
            BrewPlan plan,
            @Nullable UUID burnerId,
            Instant start,
            PlanResponse sheet,
            Care.Verdict verdict,
            List<Other> others) {
        /** The request with recipe, drinker and kitchen written out, so that it can be made again without the rows it referred to. */
        public OrderRequest ask() {
            return PlanToResponse.writtenOut(plan, start);
        }

        /** Every figure with its workings. */
        public Map<String, Workings> figures() {
            return Plans.figures(plan, verdict);
        }
    }

    /**
     * Somebody who drinks of a pot beside its drinker.
     *
     * @param id missing for a guest
     * @param history what she had before it
     */
    public record Other(@Nullable UUID id, String name, History history, Care.Verdict verdict) {}

    private static Map<String, Workings> figures(BrewPlan plan, Care.Verdict verdict) {
        Map<String, Workings> all = new LinkedHashMap<>(plan.explained());
        all.putAll(verdict.workings());
        return all;
    }

    /** @throws InvalidInputException when it cannot be brewed */
    public Made make(OrderRequest ask, Day day) {
        OrderFromRequest.Resolved resolved = asks.read(ask);
        List<LearnedResponse> known = new ArrayList<>();
        PlanRequest request = learned(ask, resolved, known);
        BrewPlan plan = new Planner(resolved.materia()).plan(request);
        Instant start = start(ask, plan);
        Care care = new Care(resolved.materia());
        History history = ask.drinks().drinkerId() == null
                ? History.NONE
                : day.history(ask.drinks().drinkerId(), start);
        Care.House house =
                new Care.House(day.brewedBefore(), resolved.inTins(), notEnough(plan, resolved.inTins(), day));
        Care.Verdict verdict = care.judge(plan, history).in(house);
        List<Other> others = others(plan, resolved, care, day, start, verdict);
        WaysOut out = new WaysOut(
                resolved.materia(),
                request,
                history,
                others.stream().map(Other::history).toList());
        List<PlanResponse.WayLine> ways = verdict.stops()
                ? out.of(plan, verdict, resolved.drinkerId(), kitchens, people, day, start, alike(ask))
                : out.ofOthers(plan, others);
        PlanResponse sheet = PlanToResponse.write(
                plan,
                verdict,
                ways,
                identityChecks(plan, resolved),
                known,
                start,
                resolved.drinkerName(),
                others,
                Keeping.of(resolved.materia(), plan),
                Boolean.TRUE.equals(ask.workings()) ? figures(plan, verdict) : Map.of());
        return new Made(plan, resolved.burnerId(), start, sheet, verdict, others);
    }

    /** What the pot wants more of than there is; the tins are only asked for what stands in one. */
    private static List<Caution.NotEnough> notEnough(BrewPlan plan, Set<String> inTins, Day day) {
        Set<String> herbs = OnTheShelf.takenFrom(plan.additions(), inTins);
        return new OnTheShelf(herbs.isEmpty() ? Map.of() : day.left(herbs), inTins).notEnough(plan.additions());
    }

    /** Recipes of the household for an occasion of the ordered one. */
    private List<RecipeResponse> alike(OrderRequest ask) {
        if (ask.pot().recipeId() == null) {
            return List.of();
        }
        List<RecipeResponse> all = recipes.all();
        List<String> purposes = all.stream()
                .filter(r -> r.id().equals(ask.pot().recipeId()))
                .flatMap(r -> r.purposes().stream())
                .toList();
        return all.stream()
                .filter(r -> !r.id().equals(ask.pot().recipeId())
                        && r.purposes().stream().anyMatch(purposes::contains))
                .toList();
    }

    /** What care says of a cup out of a pot that was made before. @param stopped whether she is not to drink it */
    public record CupJudged(List<PlanResponse.CautionLine> cautions, boolean stopped) {
        public static final CupJudged OF_NOBODY = new CupJudged(List.of(), false);
    }

    /**
     * Judges a cup for whoever drinks it now, whomever the pot was made for.
     *
     * @param cups how much of it she drinks, in cups of the pot
     * @param history what she had beside it
     */
    public CupJudged judge(BrewPlan plan, Person person, double cups, History history) {
        Taking.Serving serving = Taking.Serving.of(cups, 1);
        Taking.Sharer sharer =
                new Taking.Sharer(person.name(), people.drinker(person), serving.aDay(), serving.ofCup());
        Care.Verdict verdict = new Care(houseMateria.materia()).judge(plan, sharer, history);
        return new CupJudged(PlanToResponse.cautions(verdict, person.name()), verdict.stops());
    }

    private static List<Other> others(
            BrewPlan plan, OrderFromRequest.Resolved resolved, Care care, Day day, Instant start, Care.Verdict main) {
        List<Other> others = new ArrayList<>();
        List<Taking.Sharer> sharers = plan.request().taking().others();
        for (int i = 0; i < sharers.size(); i++) {
            UUID id = resolved.otherIds().get(i);
            History history = id == null ? History.NONE : day.history(id, start);
            Care.Verdict hers = care.judge(plan, sharers.get(i), history);
            others.add(new Other(id, sharers.get(i).name(), history, hers.beside(main)));
        }
        return others;
    }

    /** The request with what the household's own brews taught of this stove and this drinker. */
    private PlanRequest learned(OrderRequest ask, OrderFromRequest.Resolved resolved, List<LearnedResponse> known) {
        PlanRequest request = resolved.request();
        if (Boolean.FALSE.equals(ask.drinks().useLearned())) {
            return request;
        }
        if (ask.kitchen() != null && ask.kitchen().vesselId() != null && resolved.burnerId() != null) {
            Learned.StoveKey key =
                    new Learned.StoveKey(resolved.burnerId(), ask.kitchen().vesselId());
            String vessel = request.kitchen().vessel().map(Vessel::name).orElse("");
            Kitchen here = request.kitchen();
            var stove = learned.stove(key, here.burner(), vessel, here.boilingC());
            stove.ifPresent(s -> known.add(s.sheet()));
            if (stove.filter(s -> s.sheet().used()).isPresent()) {
                Burner as = stove.get().fit().applied(request.kitchen().burner());
                request = request.withKitchen(request.kitchen().withBurner(as));
            }
        }
        if (ask.drinks().taste() == null
                && ask.pot().recipeId() != null
                && ask.drinks().drinkerId() != null) {
            var taste = learned.taste(ask.pot().recipeId(), ask.drinks().drinkerId(), resolved.drinkerName());
            taste.ifPresent(t -> known.add(t.sheet()));
            if (taste.filter(t -> t.sheet().used()).isPresent()) {
                request = request.toTaste(taste.get().taste().factor());
            }
        }
        return request;
    }

    private Instant start(OrderRequest ask, BrewPlan plan) {
        if (ask.at().startAt() != null && ask.at().readyAt() != null) {
            throw InvalidInputException.of("readyAt", ask.at().readyAt(), new Wanted.NotBoth("startAt", "readyAt"));
        }
        return ask.at().readyAt() != null
                ? plan.startFor(ask.at().readyAt())
                : ask.at().startAt() == null ? clock.instant() : ask.at().startAt();
    }

    /** Gathered herbs with a poisonous look-alike; one of which a tin stands on the shelf is known. */
    private static List<String> identityChecks(BrewPlan plan, OrderFromRequest.Resolved resolved) {
        return plan.additions().stream()
                .map(PlannedAddition::herb)
                .distinct()
                .filter(slug -> !resolved.inTins().contains(slug))
                .filter(slug -> resolved.materia().herb(slug, "herb").needsIdentityCheck())
                .toList();
    }

    /** The gravest caution of every kept recipe for a drinker, from care on. */
    public List<MarkLine> marks(@Nullable UUID drinkerId, Day day) {
        Drinker drinker = people.drinkerOrAdult(drinkerId);
        History history = day.history(drinkerId, clock.instant());
        Materia materia = houseMateria.materia();
        Planner planner = new Planner(materia);
        Care care = new Care(materia);
        List<MarkLine> marks = new ArrayList<>();
        for (RecipeResponse kept : recipes.all()) {
            Supplier<PlanRequest> request =
                    () -> PlanRequest.asWritten(RecipeFromDocument.read(kept.recipe(), "recipe"))
                            .withDrinker(drinker);
            mark(kept.id(), planner, care, request, history).ifPresent(marks::add);
        }
        return marks;
    }

    /** A recipe that cannot be planned any more says so instead of failing the others. */
    private static Optional<MarkLine> mark(
            UUID recipe, Planner planner, Care care, Supplier<PlanRequest> request, History history) {
        try {
            return care.judge(planner.plan(request.get()), history).cautions().stream()
                    .filter(c -> c.severity() != Severity.NOTE)
                    .findFirst()
                    .map(c -> new MarkLine(
                            recipe,
                            Fields.code(c.severity()),
                            HouseWords.words().say(c)));
        } catch (InvalidInputException e) {
            String text = HouseWords.words()
                    .sentence(
                            "mark.unplannable",
                            Map.of("what", HouseWords.words().message(e.violations())));
            return Optional.of(new MarkLine(recipe, Fields.code(Severity.CARE), text));
        } catch (IllegalArgumentException | ArithmeticException e) {
            LOG.warn("The recipe {} cannot be planned: {}", recipe, e.getMessage());
            String text = HouseWords.words().sentence("mark.unreadable", Map.of());
            return Optional.of(new MarkLine(recipe, Fields.code(Severity.CARE), text));
        }
    }

    /**
     * Several orders and one cook: starts are moved so that no two hands-on steps meet.
     *
     * @throws InvalidInputException when one of them cannot be brewed, or there are none or too many
     */
    public OneCookResponse interleave(OneCookRequest ask, Day day) {
        List<OrderRequest> all = ask.plans() == null ? List.of() : ask.plans();
        if (!Limit.PLANS.holds(all.size())) {
            throw InvalidInputException.of("plans", all.size() + " plans", Wanted.Count.of(Counted.PLANS, Limit.PLANS));
        }
        Instant zero = clock.instant();
        List<SeveralPots.Pot> fixed = day.onTheFire(zero);
        List<Placing> pots = new ArrayList<>();
        for (OrderRequest one : all) {
            pots.add(placing(one, zero));
        }
        SeveralPots.Outcome outcome = together(fixed, pots);
        for (int i = 0; i < pots.size(); i++) {
            if (!pots.get(i).meetsBurner(outcome)) {
                continue;
            }
            for (UUID burner : kitchens.burnersById().keySet()) {
                List<Placing> other = new ArrayList<>(pots);
                other.set(i, placing(pots.get(i).order.onBurner(burner), zero).instead());
                SeveralPots.Outcome tried = together(fixed, other);
                if (cost(tried) < cost(outcome)) {
                    pots = other;
                    outcome = tried;
                }
            }
        }
        return OneCookResponse.of(outcome, pots, zero);
    }

    /**
     * An order with its plan, to be put in its place.
     *
     * @param burnerId of the household; missing for one that the order describes
     * @param otherBurner whether it is another than the order would stand on by itself
     */
    record Placing(
            OrderRequest order, BrewPlan plan, @Nullable UUID burnerId, SeveralPots.Pot pot, boolean otherBurner) {

        /** The same, as what was taken because the usual burner is not free. */
        private Placing instead() {
            return new Placing(order, plan, burnerId, pot, true);
        }

        /** Whether it cannot start as it was wished because its burner is taken, and the order leaves the burner open. */
        private boolean meetsBurner(SeveralPots.Outcome outcome) {
            boolean open = order.kitchen() == null
                    || order.kitchen().burnerId() == null && order.kitchen().burner() == null;
            return open
                    && (outcome.placed().stream()
                                    .anyMatch(p -> p.pot() == pot
                                            && p.why()
                                                    .filter(w -> w.what() instanceof SeveralPots.Hold.OnBurner)
                                                    .isPresent())
                            || outcome.clashes().stream()
                                    .anyMatch(c ->
                                            c.pot() == pot && c.why().what() instanceof SeveralPots.Hold.OnBurner));
        }
    }

    private Placing placing(OrderRequest one, Instant zero) {
        OrderFromRequest.Resolved resolved = asks.read(one);
        BrewPlan plan = new Planner(resolved.materia()).plan(resolved.request());
        double wish = Duration.between(zero, start(one, plan)).toMillis() / 1000.0;
        boolean onTheMinute = one.at().readyAt() != null;
        double latest = onTheMinute ? wish : wish + OneCookRequest.MOST_MOVE_S;
        SeveralPots.Pot pot = new SeveralPots.Pot(
                plan.request().recipe().name(),
                plan,
                wish,
                Math.min(wish, Math.max(0, wish - OneCookRequest.MOST_MOVE_S)),
                latest);
        return new Placing(one, plan, resolved.burnerId(), pot, false);
    }

    private static SeveralPots.Outcome together(List<SeveralPots.Pot> fixed, List<Placing> pots) {
        return SeveralPots.of(fixed, pots.stream().map(Placing::pot).toList());
    }

    /** A pot that has no place weighs more than any that is moved, s. */
    private static double cost(SeveralPots.Outcome outcome) {
        double moved =
                outcome.placed().stream().mapToDouble(p -> Math.abs(p.movedS())).sum();
        return moved + outcome.clashes().size() * 10 * OneCookRequest.MOST_MOVE_S;
    }

    /** Makes the core's plan again from a written-out request; looks up the household's own herbs and nothing else. */
    public BrewPlan again(OrderRequest writtenOut) {
        return new Planner(houseMateria.materia()).plan(asks.writtenOut(writtenOut));
    }
}
