package embercup.server.plans;

import embercup.core.brew.Measurements;
import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.dose.Substitution;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Constituent;
import embercup.core.materia.Form;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Interleaving;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Parts;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInput;
import embercup.server.herbs.Herbary;
import embercup.server.kitchen.Kitchens;
import embercup.server.learned.Learned;
import embercup.server.learned.LearnedSheet;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.plans.PlanAsk.BurnerDoc;
import embercup.server.plans.PlanAsk.ChangeDoc;
import embercup.server.plans.PlanAsk.DrinkerDoc;
import embercup.server.plans.PlanAsk.KitchenDoc;
import embercup.server.plans.PlanAsk.VesselDoc;
import embercup.server.platform.Fields;
import embercup.server.platform.SchoolsReading;
import embercup.server.recipes.RecipeDoc;
import embercup.server.recipes.RecipeReading;
import embercup.server.recipes.RecipeSheet;
import embercup.server.recipes.Recipes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Plans: resolves what a request refers to, lets the core plan, and lets care judge. */
@Service
public class Plans {

    private final Recipes recipes;
    private final People people;
    private final Kitchens kitchens;
    private final Herbary herbary;
    private final Learned learned;
    private final Clock clock;

    Plans(Recipes recipes, People people, Kitchens kitchens, Herbary herbary, Learned learned, Clock clock) {
        this.recipes = recipes;
        this.people = people;
        this.kitchens = kitchens;
        this.herbary = herbary;
        this.learned = learned;
        this.clock = clock;
    }

    /** What is known of the days around a plan: what the drinker had, and what is on the fire. */
    public interface Day {
        Day NOTHING = new Day() {
            @Override
            public History history(@Nullable UUID drinkerId, Instant at) {
                return History.NONE;
            }

            @Override
            public List<Interleaving.Pot> onTheFire(Instant zero) {
                return List.of();
            }
        };

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
        Resolved resolved = resolve(ask);
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
    private PlanRequest learned(PlanAsk ask, Resolved resolved, List<LearnedSheet> known) {
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

    /** A request with everything it refers to. */
    private record Resolved(
            Materia materia, PlanRequest request, @Nullable UUID drinkerId, String drinkerName) {}

    private Resolved resolve(PlanAsk ask) {
        Household household = new Household(ask);
        Materia materia = herbary.materia(household.own().ownHerbs());
        MeasureCustom custom = custom(ask, household);
        Recipe recipe = RecipeReading.read(recipe(ask), "recipe");
        Schools schools = SchoolsReading.read(ask.schools(), household.own().schools(), recipe.tradition());
        recipe = changed(materia, recipe, ask, custom, schools);
        Person person = ask.drinkerId() == null ? null : people.get(ask.drinkerId());
        PlanRequest request = new PlanRequest(
                recipe,
                ask.cups() == null ? recipe.cups() : ask.cups(),
                ask.cupMl() == null ? recipe.cupMl() : ask.cupMl(),
                Fields.oneOf(Strength.class, ask.strength(), "strength", Strength.STANDARD),
                Fields.oneOf(Purpose.class, ask.purpose(), "purpose", Purpose.EVERYDAY),
                drinker(ask, person),
                kitchen(ask, household),
                custom,
                Measurements.NONE,
                schools,
                Boolean.TRUE.equals(ask.spentHerbs()),
                taste(ask));
        return new Resolved(materia, request, ask.drinkerId(), person == null ? "" : person.name());
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
        List<PlanAsk> asks = ask.plans() == null ? List.of() : ask.plans();
        if (asks.isEmpty() || asks.size() > OneCookAsk.MOST) {
            throw InvalidInput.of("plans", asks.size() + " plans", "1 to " + OneCookAsk.MOST + " plans");
        }
        Instant zero = clock.instant();
        List<Interleaving.Pot> pots = new ArrayList<>();
        for (PlanAsk one : asks) {
            Resolved resolved = resolve(one);
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
        return new Again(planner, planner.plan(coreRequest(writtenOut)));
    }

    /** A planner with the household's own herbs. */
    private Planner planner() {
        return new Planner(herbary.materia());
    }

    private PlanRequest coreRequest(PlanAsk ask) {
        Recipe recipe = RecipeReading.read(Fields.need(ask.recipe(), "recipe", "a recipe"), "recipe");
        KitchenDoc k = Fields.need(ask.kitchen(), "kitchen", "a kitchen");
        DrinkerDoc d = Fields.need(ask.drinker(), "drinker", "a drinker");
        Kitchen kitchen = new Kitchen(
                or(k.altitudeM(), 0),
                or(k.roomC(), 20),
                or(k.tapC(), 15),
                Optional.ofNullable(k.vessel()).map(Plans::vessel),
                burner(Fields.need(k.burner(), "kitchen.burner", "a burner"), Burner.SMALL),
                or(k.kettleW(), 2000));
        return new PlanRequest(
                recipe,
                or(ask.cups(), recipe.cups()),
                or(ask.cupMl(), recipe.cupMl()),
                Fields.oneOf(Strength.class, ask.strength(), "strength", Strength.STANDARD),
                Fields.oneOf(Purpose.class, ask.purpose(), "purpose", Purpose.EVERYDAY),
                people.drinker(or(d.ageYears(), 40), d.weightKg(), d.conditions(), d.allergies(), "drinker"),
                kitchen,
                custom(ask, new Household(ask)),
                Measurements.NONE,
                SchoolsReading.read(ask.schools(), Map.of(), recipe.tradition()),
                Boolean.TRUE.equals(ask.spentHerbs()),
                taste(ask));
    }

    private RecipeDoc recipe(PlanAsk ask) {
        if (ask.recipeId() == null && ask.recipe() == null) {
            throw InvalidInput.of("recipe", "", "either recipeId or recipe, or both for a kept one as it was changed");
        }
        return ask.recipe() != null ? ask.recipe() : recipes.doc(Fields.need(ask.recipeId(), "recipeId", "a recipe"));
    }

    /** The recipe with what the order leaves out, lessens, replaces or draws otherwise. */
    private static Recipe changed(Materia materia, Recipe own, PlanAsk ask, MeasureCustom custom, Schools schools) {
        List<ChangeDoc> changes = ask.changes() == null ? List.of() : ask.changes();
        Substitution substitution = new Substitution(materia, custom);
        Recipe recipe = changes.isEmpty() ? own : Parts.resolved(materia, own);
        for (int i = 0; i < changes.size(); i++) {
            ChangeDoc change = changes.get(i);
            String at = "changes[" + i + "]";
            String herb = Fields.text(change.herb(), at + ".herb", 80);
            if (change.with() != null) {
                recipe = substitution.replace(recipe, herb, change.with(), at + ".with");
            } else if (change.share() != null) {
                recipe = substitution.lessen(recipe, herb, change.share(), at + ".share");
            } else if (change.form() != null) {
                Form form = Fields.oneOf(Form.class, change.form(), at + ".form");
                recipe = substitution.inForm(recipe, herb, form, schools, at + ".form");
            } else {
                recipe = substitution.leaveOut(recipe, herb, at + ".herb");
            }
        }
        return ask.menstruum() == null
                ? recipe
                : recipe.in(new Menstruum(Fields.oneOf(Menstruum.Kind.class, ask.menstruum(), "menstruum"), 0));
    }

    private Drinker drinker(PlanAsk ask, @Nullable Person person) {
        if (person != null) {
            if (ask.drinker() != null) {
                throw InvalidInput.of("drinker", "", "either drinkerId or drinker, not both");
            }
            return people.drinker(person);
        }
        DrinkerDoc d = ask.drinker();
        if (d == null) {
            return Drinker.ADULT;
        }
        return people.drinker(or(d.ageYears(), 40), d.weightKg(), d.conditions(), d.allergies(), "drinker");
    }

    /** The household's own kitchen, read at most once for a plan and only when the order leaves something to it. */
    private final class Household {
        private final PlanAsk ask;
        private Kitchens.@Nullable Own own;

        Household(PlanAsk ask) {
            this.ask = ask;
        }

        Kitchens.Own own() {
            if (own == null) {
                KitchenDoc k = ask.kitchen();
                own = k == null ? kitchens.own(null, null) : kitchens.own(k.vesselId(), k.burnerId());
            }
            return own;
        }
    }

    private static Kitchen kitchen(PlanAsk ask, Household household) {
        KitchenDoc k = ask.kitchen();
        Kitchen own = household.own().kitchen();
        if (k == null) {
            return own;
        }
        VesselDoc vessel = k.vessel();
        BurnerDoc burner = k.burner();
        return new Kitchen(
                or(k.altitudeM(), own.altitudeM()),
                or(k.roomC(), own.roomC()),
                or(k.tapC(), own.tapC()),
                vessel == null ? own.vessel() : Optional.of(vessel(vessel)),
                burner == null ? own.burner() : burner(burner, own.burner()),
                or(k.kettleW(), own.kettleW()));
    }

    private static Vessel vessel(VesselDoc doc) {
        InvalidInput.Check check = new InvalidInput.Check();
        double diameter =
                Fields.need(doc.innerDiameterCm(), "kitchen.vessel.innerDiameterCm", "the inner diameter in cm");
        double height = Fields.need(doc.heightCm(), "kitchen.vessel.heightCm", "the inner height in cm");
        check.range("kitchen.vessel.innerDiameterCm", diameter, 3, 60, "cm");
        check.range("kitchen.vessel.heightCm", height, 3, 60, "cm");
        check.throwIfAny();
        Vessel usual = Vessel.of(
                doc.name() == null ? "pot" : Fields.text(doc.name(), "kitchen.vessel.name", 60),
                Fields.oneOf(Vessel.Kind.class, doc.kind(), "kitchen.vessel.kind", Vessel.Kind.POT),
                diameter,
                height);
        return new Vessel(
                usual.name(), usual.kind(), diameter, height, or(doc.brimMl(), usual.brimMl()), usual.wallJPerK());
    }

    private static Burner burner(BurnerDoc doc, Burner otherwise) {
        return new Burner(
                doc.name() == null ? otherwise.name() : doc.name(),
                or(doc.lowW(), otherwise.lowW()),
                or(doc.mediumW(), otherwise.mediumW()),
                or(doc.highW(), otherwise.highW()));
    }

    private static MeasureCustom custom(PlanAsk ask, Household household) {
        boolean saysAll = ask.measures() != null && ask.liangG() != null;
        MeasureCustom own = saysAll ? MeasureCustom.DEFAULT : household.own().custom();
        double liang = or(ask.liangG(), own.liangG());
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("liangG", liang, 1, 60, "g");
        check.throwIfAny();
        return new MeasureCustom(Fields.oneOf(KitchenSystem.class, ask.measures(), "measures", own.system()), liang);
    }

    private static double taste(PlanAsk ask) {
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("taste", or(ask.taste(), 1), 0.5, 2, "");
        check.throwIfAny();
        return or(ask.taste(), 1);
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
