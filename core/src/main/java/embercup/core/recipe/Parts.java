package embercup.core.recipe;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import java.util.List;

/**
 * Parts of a blend, "2 parts nettle, 1 part oat straw", as grams: a herb's share of all parts times the middle of its usual
 * single dose for each cup, or a teaspoon a cup (a tablespoon of a fresh herb) where none is known. Stateless.
 */
public final class Parts {

    private Parts() {}

    /** The recipe with grams in place of parts; the same recipe when it has none. */
    public static Recipe resolved(Materia materia, Recipe recipe) {
        List<Addition> additions = recipe.additions();
        double all = additions.stream()
                .filter(Parts::is)
                .mapToDouble(a -> a.quantity().amount())
                .sum();
        if (all == 0) {
            return recipe;
        }
        return recipe.withAdditions(additions.stream()
                .map(a -> is(a) ? grams(materia, recipe, a, a.quantity().amount() / all) : a)
                .toList());
    }

    private static boolean is(Addition addition) {
        return addition.quantity().unit() == Unit.PART;
    }

    private static Addition grams(Materia materia, Recipe recipe, Addition addition, double share) {
        double perCup = materia.find(addition.herb())
                .map(h -> usualPerCupG(materia, h, recipe, addition))
                .orElse(1.0);
        return addition.of(Quantity.of(perCup * share * recipe.cups(), Unit.GRAM));
    }

    private static double usualPerCupG(Materia materia, Herb herb, Recipe recipe, Addition addition) {
        return herb.dose(recipe.tradition(), addition.form())
                .map(d -> (d.perCupG().low() + d.perCupG().high()) / 2)
                .orElseGet(() -> new HerbMeasure(materia, MeasureCustom.DEFAULT)
                        .grams(
                                herb,
                                addition.form(),
                                addition.cut(),
                                Quantity.of(1, addition.form() == Form.FRESH ? Unit.TABLESPOON : Unit.TEASPOON),
                                "unit")
                        .amount()
                        .best());
    }
}
