package embercup.server.plans;

import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.dose.Substitution;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Form;
import embercup.core.materia.Materia;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Parts;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.Herbary;
import embercup.server.kitchen.Kitchens;
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
import embercup.server.recipes.Recipes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads what was asked for: the order's own words, and what it leaves to the household. */
@Component
class PlanAskReading {

    private final Recipes recipes;
    private final People people;
    private final Kitchens kitchens;
    private final Herbary herbary;

    PlanAskReading(Recipes recipes, People people, Kitchens kitchens, Herbary herbary) {
        this.recipes = recipes;
        this.people = people;
        this.kitchens = kitchens;
        this.herbary = herbary;
    }

    /** A request with everything it refers to. */
    record Resolved(
            Materia materia,
            PlanRequest request,
            @Nullable UUID burnerId,
            @Nullable UUID drinkerId,
            String drinkerName) {}

    /** @throws InvalidInputException naming each field that cannot be read, and what would be right */
    Resolved read(PlanAsk ask) {
        Household household = new Household(ask);
        Materia materia = herbary.materia(household.own().ownHerbs());
        MeasureCustom custom = custom(ask, household);
        Recipe recipe = RecipeReading.read(recipe(ask), "recipe");
        Schools schools = SchoolsReading.read(ask.schools(), household.own().schools(), recipe.tradition());
        recipe = changed(materia, recipe, ask, custom, schools);
        Person person = ask.drinkerId() == null ? null : people.get(ask.drinkerId());
        PlanRequest request = new PlanRequest(
                recipe,
                serving(ask, recipe),
                drinker(ask, person),
                kitchen(ask, household),
                custom,
                schools,
                Boolean.TRUE.equals(ask.spentHerbs()));
        boolean ownBurner = ask.kitchen() != null && ask.kitchen().burner() != null;
        UUID burnerId = ownBurner ? null : household.own().burnerId();
        return new Resolved(materia, request, burnerId, ask.drinkerId(), person == null ? "" : person.name());
    }

    /** A request in which recipe, drinker and kitchen are written out; nothing is looked up but the measures, when unsaid. */
    PlanRequest writtenOut(PlanAsk ask) {
        Recipe recipe = RecipeReading.read(Fields.need(ask.recipe(), "recipe", Need.RECIPE), "recipe");
        KitchenDoc k = Fields.need(ask.kitchen(), "kitchen", Need.KITCHEN);
        DrinkerDoc d = Fields.need(ask.drinker(), "drinker", Need.DRINKER);
        Kitchen kitchen = new Kitchen(
                or(k.altitudeM(), Kitchen.STANDARD.altitudeM()),
                or(k.roomC(), Kitchen.STANDARD.roomC()),
                or(k.tapC(), Kitchen.STANDARD.tapC()),
                Optional.ofNullable(k.vessel()).map(PlanAskReading::vessel),
                burner(Fields.need(k.burner(), "kitchen.burner", Need.BURNER), Burner.SMALL),
                or(k.kettleW(), Kitchen.STANDARD.kettleW()));
        return new PlanRequest(
                recipe,
                serving(ask, recipe),
                drinker(d),
                kitchen,
                custom(ask, new Household(ask)),
                SchoolsReading.read(ask.schools(), Map.of(), recipe.tradition()),
                Boolean.TRUE.equals(ask.spentHerbs()));
    }

    private RecipeDoc recipe(PlanAsk ask) {
        if (ask.recipeId() == null && ask.recipe() == null) {
            throw InvalidInputException.of("recipe", "", new Wanted.Needed(Need.RECIPE_OR_ID));
        }
        return ask.recipe() != null ? ask.recipe() : recipes.doc(Fields.need(ask.recipeId(), "recipeId", Need.RECIPE));
    }

    /** The recipe with what the order leaves out, lessens, replaces or draws otherwise. */
    private static Recipe changed(Materia materia, Recipe own, PlanAsk ask, MeasureCustom custom, Schools schools) {
        List<ChangeDoc> changes = ask.changes() == null ? List.of() : ask.changes();
        Substitution substitution = new Substitution(materia, custom);
        Recipe recipe = changes.isEmpty() ? own : Parts.resolved(materia, own);
        for (int i = 0; i < changes.size(); i++) {
            ChangeDoc change = changes.get(i);
            String at = "changes[" + i + "]";
            String herb = Fields.text(change.herb(), at + ".herb", Length.SLUG);
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
                throw InvalidInputException.of("drinker", "", new Wanted.NotBoth("drinkerId", "drinker"));
            }
            return people.drinker(person);
        }
        DrinkerDoc d = ask.drinker();
        if (d == null) {
            return Drinker.ADULT;
        }
        return drinker(d);
    }

    private Drinker drinker(DrinkerDoc d) {
        return people.drinker(
                or(d.ageYears(), Drinker.ADULT.ageYears()), d.weightKg(), d.conditions(), d.allergies(), "drinker");
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

    private static PlanRequest.Serving serving(PlanAsk ask, Recipe recipe) {
        return new PlanRequest.Serving(
                or(ask.cups(), recipe.cups()),
                or(ask.cupMl(), recipe.cupMl()),
                Fields.oneOf(Strength.class, ask.strength(), "strength", Strength.STANDARD),
                Fields.oneOf(Purpose.class, ask.purpose(), "purpose", Purpose.EVERYDAY),
                Fields.within(or(ask.taste(), 1), "taste", Limit.TASTE));
    }

    private static Vessel vessel(VesselDoc doc) {
        double diameter = Fields.need(doc.innerDiameterCm(), "kitchen.vessel.innerDiameterCm", Need.DIAMETER);
        double height = Fields.need(doc.heightCm(), "kitchen.vessel.heightCm", Need.HEIGHT);
        return Vessel.of(
                doc.name() == null ? "pot" : Fields.text(doc.name(), "kitchen.vessel.name", Length.SHORT_NAME),
                Fields.oneOf(Vessel.Kind.class, doc.kind(), "kitchen.vessel.kind", Vessel.Kind.POT),
                diameter,
                height,
                or(doc.brimMl(), Vessel.cylinderMl(diameter, height)));
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
        double liang = Fields.within(or(ask.liangG(), own.liangG()), "liangG", Limit.LIANG_G);
        return new MeasureCustom(Fields.oneOf(KitchenSystem.class, ask.measures(), "measures", own.system()), liang);
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
