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
import embercup.core.plan.Taking;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Parts;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.plans.OrderRequest.BurnerPart;
import embercup.server.plans.OrderRequest.ChangePart;
import embercup.server.plans.OrderRequest.DrinkerPart;
import embercup.server.plans.OrderRequest.KitchenPart;
import embercup.server.plans.OrderRequest.SharerPart;
import embercup.server.plans.OrderRequest.VesselPart;
import embercup.server.platform.Fields;
import embercup.server.platform.SchoolsFromRequest;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeFromDocument;
import embercup.server.recipes.Recipes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads what was asked for: the order's own words, and what it leaves to the household. */
@Component
class OrderFromRequest {

    private final Recipes recipes;
    private final People people;
    private final Kitchens kitchens;
    private final HouseMateria houseMateria;

    OrderFromRequest(Recipes recipes, People people, Kitchens kitchens, HouseMateria houseMateria) {
        this.recipes = recipes;
        this.people = people;
        this.kitchens = kitchens;
        this.houseMateria = houseMateria;
    }

    /** A request with everything it refers to. */
    record Resolved(
            Materia materia,
            PlanRequest request,
            @Nullable UUID burnerId,
            @Nullable UUID drinkerId,
            String drinkerName,
            List<@Nullable UUID> otherIds,
            Set<String> inTins) {}

    /** @throws InvalidInputException naming each field that cannot be read, and what would be right */
    Resolved read(OrderRequest ask) {
        Household household = new Household(ask);
        Materia materia = houseMateria.materia(household.own().ownHerbs());
        MeasureCustom custom = custom(ask, household);
        Recipe recipe = RecipeFromDocument.read(recipe(ask), "recipe");
        Schools schools =
                SchoolsFromRequest.read(ask.custom().schools(), household.own().schools(), recipe.tradition());
        recipe = changed(materia, recipe, ask, custom, schools);
        Person person = ask.drinks().drinkerId() == null
                ? null
                : people.get(ask.drinks().drinkerId());
        PlanRequest request = new PlanRequest(
                recipe,
                serving(ask, recipe),
                drinker(ask, person),
                kitchen(ask, household),
                custom,
                schools,
                taking(ask, recipe),
                Boolean.TRUE.equals(ask.pot().spentHerbs()));
        boolean ownBurner = ask.kitchen() != null && ask.kitchen().burner() != null;
        UUID burnerId = ownBurner ? null : household.own().burnerId();
        return new Resolved(
                materia,
                request,
                burnerId,
                ask.drinks().drinkerId(),
                name(ask, person),
                others(ask).stream().map(SharerPart::drinkerId).toList(),
                household.own().inTins());
    }

    /** A request in which recipe, drinker and kitchen are written out; nothing is looked up but the measures, when unsaid. */
    PlanRequest writtenOut(OrderRequest ask) {
        Recipe recipe = RecipeFromDocument.read(Fields.need(ask.pot().recipe(), "recipe", Need.RECIPE), "recipe");
        KitchenPart k = Fields.need(ask.kitchen(), "kitchen", Need.KITCHEN);
        DrinkerPart d = Fields.need(ask.drinks().drinker(), "drinker", Need.DRINKER);
        Kitchen kitchen = new Kitchen(
                or(k.altitudeM(), Kitchen.STANDARD.altitudeM()),
                or(k.roomC(), Kitchen.STANDARD.roomC()),
                or(k.tapC(), Kitchen.STANDARD.tapC()),
                Optional.ofNullable(k.vessel()).map(OrderFromRequest::vessel),
                burner(Fields.need(k.burner(), "kitchen.burner", Need.BURNER), Burner.SMALL),
                or(k.kettleW(), Kitchen.STANDARD.kettleW()));
        return new PlanRequest(
                recipe,
                serving(ask, recipe),
                drinker(d),
                kitchen,
                custom(ask, new Household(ask)),
                SchoolsFromRequest.read(ask.custom().schools(), Map.of(), recipe.tradition()),
                taking(ask, recipe),
                Boolean.TRUE.equals(ask.pot().spentHerbs()));
    }

    private RecipeDocument recipe(OrderRequest ask) {
        if (ask.pot().recipeId() == null && ask.pot().recipe() == null) {
            throw InvalidInputException.of("recipe", "", new Wanted.Needed(Need.RECIPE_OR_ID));
        }
        return ask.pot().recipe() != null
                ? ask.pot().recipe()
                : recipes.doc(Fields.need(ask.pot().recipeId(), "recipeId", Need.RECIPE));
    }

    /** The recipe with what the order leaves out, lessens, replaces or draws otherwise. */
    private static Recipe changed(
            Materia materia, Recipe own, OrderRequest ask, MeasureCustom custom, Schools schools) {
        List<ChangePart> changes =
                ask.pot().changes() == null ? List.of() : ask.pot().changes();
        Substitution substitution = new Substitution(materia, custom);
        Recipe recipe = changes.isEmpty() ? own : Parts.resolved(materia, own);
        for (int i = 0; i < changes.size(); i++) {
            ChangePart change = changes.get(i);
            String at = "changes[" + i + "]";
            String herb = Fields.text(change.herb(), at + ".herb", Length.SLUG);
            if (change.with() != null) {
                Recipe before = recipe;
                recipe = Substitution.alternative(recipe, herb, change.with())
                        .orElseGet(() -> substitution.replace(before, herb, change.with(), at + ".with"));
            } else if (change.perCupG() != null) {
                recipe = substitution.perCup(recipe, herb, change.perCupG(), at + ".perCupG");
            } else if (change.share() != null) {
                recipe = substitution.times(recipe, herb, change.share(), at + ".share");
            } else if (change.form() != null) {
                Form form = Fields.oneOf(Form.class, change.form(), at + ".form");
                recipe = substitution.inForm(recipe, herb, form, schools, at + ".form");
            } else {
                recipe = substitution.leaveOut(recipe, herb, at + ".herb");
            }
        }
        return ask.pot().menstruum() == null
                ? recipe
                : recipe.in(new Menstruum(
                        Fields.oneOf(Menstruum.Kind.class, ask.pot().menstruum(), "menstruum"), 0));
    }

    private static String name(OrderRequest ask, @Nullable Person person) {
        if (person != null) {
            return person.name();
        }
        return Fields.textOrEmpty(ask.drinks().guest(), "guest", Length.SHORT_NAME);
    }

    private Drinker drinker(OrderRequest ask, @Nullable Person person) {
        if (person != null) {
            if (ask.drinks().drinker() != null) {
                throw InvalidInputException.of("drinker", "", new Wanted.NotBoth("drinkerId", "drinker"));
            }
            return people.drinker(person);
        }
        DrinkerPart d = ask.drinks().drinker();
        if (d == null) {
            return Drinker.ADULT;
        }
        return drinker(d);
    }

    private Drinker drinker(DrinkerPart d) {
        return people.drinker(
                or(d.ageYears(), Drinker.ADULT.ageYears()),
                d.weightKg(),
                d.conditions(),
                d.trimester(),
                d.allergies(),
                "drinker");
    }

    private static List<SharerPart> others(OrderRequest ask) {
        return ask.taken().others() == null ? List.of() : ask.taken().others();
    }

    private Taking taking(OrderRequest ask, Recipe recipe) {
        OptionalDouble childShare = recipe.childShare();
        Double cups = ask.taken().cupsADay();
        Integer prescribed = ask.taken().prescribedDays();
        return new Taking(
                cups == null ? OptionalDouble.empty() : OptionalDouble.of(cups),
                prescribed == null ? OptionalInt.empty() : OptionalInt.of(prescribed),
                prescribed == null
                        ? Optional.empty()
                        : Optional.ofNullable(ask.taken().prescribedBy()).filter(by -> !by.isBlank()),
                others(ask).stream().map(o -> sharer(o, childShare)).toList());
    }

    private Taking.Sharer sharer(SharerPart part, OptionalDouble childShare) {
        Person person = part.drinkerId() == null ? null : people.get(part.drinkerId());
        Drinker drinker = person != null
                ? people.drinker(person)
                : part.drinker() == null ? Drinker.ADULT : drinker(part.drinker());
        String guest = part.name() == null ? "" : part.name();
        return new Taking.Sharer(
                person == null ? guest : person.name(),
                drinker,
                or(part.cupsADay(), 1),
                part.serving() == null ? Taking.usualServing(drinker, childShare) : part.serving());
    }

    /** The household's own kitchen, read at most once for a plan and only when the order leaves something to it. */
    private final class Household {
        private final OrderRequest ask;
        private Kitchens.@Nullable Own own;

        Household(OrderRequest ask) {
            this.ask = ask;
        }

        Kitchens.Own own() {
            if (own == null) {
                KitchenPart k = ask.kitchen();
                own = k == null ? kitchens.own(null, null) : kitchens.own(k.vesselId(), k.burnerId());
            }
            return own;
        }
    }

    private static Kitchen kitchen(OrderRequest ask, Household household) {
        KitchenPart k = ask.kitchen();
        Kitchen own = household.own().kitchen();
        if (k == null) {
            return own;
        }
        VesselPart vessel = k.vessel();
        BurnerPart burner = k.burner();
        return new Kitchen(
                or(k.altitudeM(), own.altitudeM()),
                or(k.roomC(), own.roomC()),
                or(k.tapC(), own.tapC()),
                vessel == null ? own.vessel() : Optional.of(vessel(vessel)),
                burner == null ? own.burner() : burner(burner, own.burner()),
                or(k.kettleW(), own.kettleW()),
                own.atHand());
    }

    private static PlanRequest.Serving serving(OrderRequest ask, Recipe recipe) {
        return new PlanRequest.Serving(
                or(ask.serving().cups(), recipe.cups()),
                or(ask.serving().cupMl(), recipe.cupMl()),
                Fields.oneOf(Strength.class, ask.serving().strength(), "strength", Strength.STANDARD),
                Fields.oneOf(Purpose.class, ask.serving().purpose(), "purpose", Purpose.EVERYDAY),
                or(ask.drinks().taste(), 1));
    }

    private static Vessel vessel(VesselPart doc) {
        double diameter = Fields.need(doc.innerDiameterCm(), "kitchen.vessel.innerDiameterCm", Need.DIAMETER);
        double height = Fields.need(doc.heightCm(), "kitchen.vessel.heightCm", Need.HEIGHT);
        return Vessel.of(
                        doc.name() == null ? "pot" : Fields.text(doc.name(), "kitchen.vessel.name", Length.SHORT_NAME),
                        Fields.oneOf(Vessel.Kind.class, doc.kind(), "kitchen.vessel.kind", Vessel.Kind.POT),
                        diameter,
                        height,
                        or(doc.brimMl(), Vessel.cylinderMl(diameter, height)))
                .with(Fields.someOf(Companion.class, doc.companions(), "kitchen.vessel.companions"));
    }

    private static Burner burner(BurnerPart doc, Burner otherwise) {
        return new Burner(
                doc.name() == null ? otherwise.name() : doc.name(),
                or(doc.lowW(), otherwise.lowW()),
                or(doc.mediumW(), otherwise.mediumW()),
                or(doc.highW(), otherwise.highW()));
    }

    private static MeasureCustom custom(OrderRequest ask, Household household) {
        boolean saysAll = ask.custom().measures() != null && ask.custom().liangG() != null;
        MeasureCustom own = saysAll ? MeasureCustom.DEFAULT : household.own().custom();
        double liang = or(ask.custom().liangG(), own.liangG());
        return new MeasureCustom(
                Fields.oneOf(KitchenSystem.class, ask.custom().measures(), "measures", own.system()), liang);
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
