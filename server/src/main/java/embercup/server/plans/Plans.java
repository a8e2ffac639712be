package embercup.server.plans;

import embercup.core.brew.MeasuredTimes;
import embercup.core.care.Care;
import embercup.core.care.WayOut;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.dose.Substitution;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Constituent;
import embercup.core.materia.Materia;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInput;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.plans.PlanAsk.BurnerDoc;
import embercup.server.plans.PlanAsk.ChangeDoc;
import embercup.server.plans.PlanAsk.DrinkerDoc;
import embercup.server.plans.PlanAsk.KitchenDoc;
import embercup.server.plans.PlanAsk.VesselDoc;
import embercup.server.platform.Fields;
import embercup.server.recipes.RecipeDoc;
import embercup.server.recipes.RecipeReading;
import embercup.server.recipes.Recipes;
import java.time.Clock;
import java.time.Instant;
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
    private final Planner planner;
    private final Care care;
    private final Materia materia;
    private final Clock clock;

    Plans(Recipes recipes, People people, Kitchens kitchens, Planner planner, Care care, Materia materia, Clock clock) {
        this.recipes = recipes;
        this.people = people;
        this.kitchens = kitchens;
        this.planner = planner;
        this.care = care;
        this.materia = materia;
        this.clock = clock;
    }

    /** What the drinker has planned or drunk elsewhere on the day of a plan. */
    public interface Day {
        Day NOTHING = (drinkerId, at) -> Map.of();

        Map<Constituent, Double> earlierMg(@Nullable UUID drinkerId, Instant at);
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
        MeasureCustom custom = custom(ask);
        RecipeDoc doc = changed(recipe(ask), ask, custom);
        Recipe recipe = RecipeReading.read(doc, "recipe");
        Person person = ask.drinkerId() == null ? null : people.get(ask.drinkerId());
        Drinker drinker = drinker(ask, person);
        Kitchen kitchen = kitchen(ask);
        PlanRequest request = new PlanRequest(
                recipe,
                ask.cups() == null ? recipe.cups() : ask.cups(),
                ask.cupMl() == null ? recipe.cupMl() : ask.cupMl(),
                Fields.oneOf(Strength.class, ask.strength(), "strength", Strength.STANDARD),
                Fields.oneOf(Purpose.class, ask.purpose(), "purpose", Purpose.EVERYDAY),
                drinker,
                kitchen,
                custom,
                MeasuredTimes.NONE);
        BrewPlan plan = planner.plan(request);
        if (ask.startAt() != null && ask.readyAt() != null) {
            throw InvalidInput.of("readyAt", ask.readyAt(), "either startAt or readyAt, not both");
        }
        Instant start = ask.readyAt() != null
                ? plan.startFor(ask.readyAt())
                : ask.startAt() == null ? clock.instant() : ask.startAt();
        Care.Verdict verdict = care.judge(plan, day.earlierMg(ask.drinkerId(), start));
        String name = person == null ? "" : person.name();
        PlanSheet sheet = PlanWriting.write(plan, verdict, WayOut.of(materia, plan, verdict), start, name);
        return new Made(plan, PlanWriting.writtenOut(ask, doc, request, start), sheet, care.contents(plan));
    }

    /** Makes the core's plan again from a written-out request, without looking anything up. */
    public BrewPlan again(PlanAsk writtenOut) {
        return planner.plan(coreRequest(writtenOut));
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
                custom(ask),
                MeasuredTimes.NONE);
    }

    private RecipeDoc recipe(PlanAsk ask) {
        if (ask.recipeId() == null == (ask.recipe() == null)) {
            throw InvalidInput.of("recipe", "", "either recipeId or recipe");
        }
        return ask.recipe() != null
                ? ask.recipe()
                : recipes.get(Fields.need(ask.recipeId(), "recipeId", "a recipe"))
                        .recipe();
    }

    /** The recipe with what the order leaves out or replaces. */
    private RecipeDoc changed(RecipeDoc doc, PlanAsk ask, MeasureCustom custom) {
        List<ChangeDoc> changes = ask.changes() == null ? List.of() : ask.changes();
        if (changes.isEmpty()) {
            return doc;
        }
        Substitution substitution = new Substitution(materia, custom);
        Recipe recipe = RecipeReading.read(doc, "recipe");
        for (int i = 0; i < changes.size(); i++) {
            ChangeDoc change = changes.get(i);
            String herb = Fields.text(change.herb(), "changes[" + i + "].herb", 80);
            String with = change.with();
            recipe = with == null
                    ? substitution.leaveOut(recipe, herb, "changes[" + i + "].herb")
                    : substitution.replace(recipe, herb, with, "changes[" + i + "].with");
        }
        return doc.withAdditions(recipe.additions());
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

    private Kitchen kitchen(PlanAsk ask) {
        KitchenDoc k = ask.kitchen();
        if (k == null) {
            return kitchens.kitchen(null, null);
        }
        Kitchen own = kitchens.kitchen(k.vesselId(), k.burnerId());
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

    private MeasureCustom custom(PlanAsk ask) {
        boolean saysAll = ask.measures() != null && ask.liangG() != null;
        MeasureCustom own = saysAll ? MeasureCustom.DEFAULT : kitchens.custom();
        double liang = or(ask.liangG(), own.liangG());
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("liangG", liang, 1, 60, "g");
        check.throwIfAny();
        return new MeasureCustom(Fields.oneOf(KitchenSystem.class, ask.measures(), "measures", own.system()), liang);
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
