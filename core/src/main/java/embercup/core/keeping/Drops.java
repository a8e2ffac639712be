package embercup.core.keeping;

import embercup.core.materia.Form;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.Menstruum;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A tincture in its bottle: how strong it is, and how a dose of it is measured. Immutable.
 *
 * @param strength mL of menstruum on a gram of herb: 5 for 1 : 5
 * @param alcohol of the spirit once the water of fresh herbs is in it, % by volume; empty for vinegar and glycerin
 * @param dose a single one, mL
 * @param drops the same out of a dropper
 * @param teaspoons the same by the spoon
 * @param timesADay how often it is taken, as the recipe says or as handbooks have it
 */
public record Drops(
        Workings strength,
        Optional<Workings> alcohol,
        Workings dose,
        Workings drops,
        Workings teaspoons,
        int timesADay) {

    /** A dropper gives about twenty to a millilitre (herbal handbooks, mem). */
    private static final double DROPS_A_ML = 20;
    /** Doses in which a day of it is taken (herbal handbooks, mem). */
    private static final int TIMES_A_DAY = 3;

    private static final String HANDBOOKS = "handbooks";

    /** @return empty for what is drawn with water: it is drunk by the cup */
    public static Optional<Drops> of(Materia materia, BrewPlan plan) {
        Menstruum menstruum = plan.request().recipe().menstruum();
        if (!menstruum.cold()) {
            return Optional.empty();
        }
        List<PlannedAddition> inJar =
                plan.additions().stream().filter(a -> !a.perCup()).toList();
        Workings poured = Workings.given(Term.MENSTRUUM, plan.water().pourMl(), "mL");
        Workings herbs = Workings.sum(
                Term.GRAMS_IN_JAR,
                "g",
                inJar.stream()
                        .map(a -> Workings.given(Term.GRAMS, a.grams(), "g"))
                        .toList());
        Optional<Workings> told = told(plan);
        Workings day = Workings.sourced(Term.TINCTURE_IN_A_DAY, Menstruum.TINCTURE_ML_A_DAY, "mL", HANDBOOKS);
        Workings dose = told.orElseGet(() -> Workings.quotient(
                Term.DOSE_OF_TINCTURE, "mL", day, Workings.sourced(Term.TIMES_A_DAY, TIMES_A_DAY, "", HANDBOOKS)));
        double dayMl = plan.request().mlADay();
        return Optional.of(new Drops(
                Workings.quotient(Term.MENSTRUUM_ON_A_GRAM, "mL/g", poured, herbs),
                menstruum.kind() == Menstruum.Kind.SPIRIT
                        ? Optional.of(alcohol(materia, menstruum, poured, inJar))
                        : Optional.empty(),
                dose,
                Workings.product(
                        Term.DROPS, "", dose, Workings.sourced(Term.DROPS_A_ML, DROPS_A_ML, "1/mL", HANDBOOKS)),
                Workings.quotient(
                        Term.TEASPOONS_OF_DOSE,
                        "tsp",
                        dose,
                        Workings.given(
                                Term.TEASPOON, plan.request().custom().system().teaspoonMl(), "mL")),
                told.isEmpty() ? TIMES_A_DAY : (int) Math.max(1, Math.round(dayMl / dose.value()))));
    }

    /** The dose that the recipe says for whoever drinks it, mL. */
    private static Optional<Workings> told(BrewPlan plan) {
        return plan.request()
                .posology()
                .map(p -> p.doseMl(plan.request().custom()))
                .filter(OptionalDouble::isPresent)
                .map(ml -> Workings.given(Term.AS_RECIPE_SAYS, ml.getAsDouble(), "mL"));
    }

    /** What is poured on, thinned by the water that fresh herbs bring. */
    private static Workings alcohol(
            Materia materia, Menstruum menstruum, Workings poured, List<PlannedAddition> inJar) {
        List<Workings> water = inJar.stream()
                .filter(a -> a.form() == Form.FRESH)
                .map(a -> Workings.product(
                        Term.WATER_OF_FRESH,
                        "mL",
                        Workings.given(Term.GRAMS, a.grams(), "g"),
                        HerbMeasure.waterInFresh(materia, materia.herb(a.herb(), "herb"))))
                .toList();
        Workings poursIn = Workings.given(Term.STRENGTH_OF_SPIRIT, menstruum.alcoholPercent(), "%");
        if (water.isEmpty()) {
            return poursIn;
        }
        List<Workings> all = new ArrayList<>(List.of(poured));
        all.addAll(water);
        return Workings.quotient(
                Term.STRENGTH_OF_TINCTURE,
                "%",
                Workings.product(Term.ALCOHOL_IN_IT, "mL·%", poured, poursIn),
                Workings.sum(Term.LIQUID_IN_ALL, "mL", all));
    }
}
