package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HerbName;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Parts of a blend, "2 parts nettle, 1 part oat straw", as grams: a herb's share of all parts times the middle of its usual
 * single dose for each cup, or a teaspoon a cup (a tablespoon of a fresh herb) where none is known; and so much of a house blend as
 * a recipe takes. Stateless.
 */
public final class Parts {

    private Parts() {}

    /**
     * The recipe with grams in place of parts, and kitchen ingredients as they come: honey is neither dried nor chopped. The same
     * recipe when it has neither.
     */
    public static Recipe resolved(Materia materia, Recipe written) {
        Recipe recipe = written.additions().stream().anyMatch(a -> dressed(materia, a))
                ? written.withAdditions(written.additions().stream()
                        .map(a -> dressed(materia, a) ? a.asItComes() : a)
                        .toList())
                : written;
        return recipe.told().ofBlend().map(of -> blended(materia, recipe, of)).orElseGet(() -> byDose(materia, recipe));
    }

    /**
     * The recipe with the herbs of every blend of the house in its place, by their shares of its weight.
     *
     * @param recipe without parts; its herbs are known
     */
    public static Recipe opened(Materia materia, Recipe recipe, MeasureCustom custom) {
        List<Addition> all = new ArrayList<>();
        for (int i = 0; i < recipe.additions().size(); i++) {
            Addition a = recipe.additions().get(i);
            Herb herb = materia.herb(a.herb(), "herb");
            if (herb.mixed()) {
                all.addAll(herbsOf(materia, herb, a, i, custom));
            } else {
                all.add(a);
            }
        }
        return recipe.withAdditions(all);
    }

    /** Whether a recipe takes of a blend of the house that is not opened yet. */
    public static boolean closed(Materia materia, Recipe recipe) {
        return recipe.additions().stream()
                .anyMatch(a -> materia.find(a.herb()).filter(Herb::mixed).isPresent());
    }

    private static List<Addition> herbsOf(Materia materia, Herb blend, Addition a, int line, MeasureCustom custom) {
        HerbMeasure measure = new HerbMeasure(materia, custom);
        double grams = measure.grams(blend, a.form(), a.cut(), a.quantity(), "unit")
                .amount()
                .best();
        List<Addition> herbs = new ArrayList<>();
        for (HerbMeasure.Shared of : measure.shares(blend)) {
            HouseBlend.Portion p = of.portion();
            Addition.Spooned spooned = new Addition.Spooned(HerbName.of(blend), line, a.quantity(), of.share());
            herbs.add(new Addition(
                    p.herb(),
                    p.form(),
                    p.cut(),
                    Quantity.of(grams * of.share(), Unit.GRAM),
                    a.stage(),
                    a.prep(),
                    a.open(),
                    Optional.of(spooned)));
        }
        return herbs;
    }

    /**
     * So much of the blend that the herbs make, each by its share. A spoon of it weighs what its herbs weigh together: parts are
     * by the spoon (common practice, no source).
     */
    private static Recipe blended(Materia materia, Recipe recipe, Quantity of) {
        HerbMeasure measure = new HerbMeasure(materia, MeasureCustom.DEFAULT);
        double allG = 0;
        double allTsp = 0;
        List<Double> each = new ArrayList<>();
        for (Addition a : recipe.additions()) {
            Herb herb = materia.herb(a.herb(), "herb");
            boolean inIt = herb.part() != PlantPart.PANTRY;
            Quantity spoons = is(a) ? Quantity.of(a.quantity().amount(), Unit.TEASPOON) : a.quantity();
            double grams = measure.grams(herb, a.form(), a.cut(), spoons, "unit")
                    .amount()
                    .best();
            double tsp = grams
                    / measure.grams(herb, a.form(), a.cut(), Quantity.of(1, Unit.TEASPOON), "unit")
                            .amount()
                            .best();
            each.add(inIt ? grams : 0);
            allG += inIt ? grams : 0;
            allTsp += inIt ? tsp : 0;
        }
        if (allG == 0) {
            return recipe;
        }
        double used =
                switch (of.unit().dimension()) {
                    case MASS -> of.amount() * of.unit().gramsEach(MeasureCustom.DEFAULT);
                    case VOLUME ->
                        of.amount()
                                * of.unit().millilitresEach(MeasureCustom.DEFAULT)
                                / Unit.TEASPOON.millilitresEach(MeasureCustom.DEFAULT)
                                * allG
                                / allTsp;
                    default -> of.amount() * Unit.BAG_G;
                };
        List<Addition> lines = new ArrayList<>();
        for (int i = 0; i < each.size(); i++) {
            Addition a = recipe.additions().get(i);
            lines.add(each.get(i) == 0 ? a : a.of(Quantity.of(each.get(i) / allG * used, Unit.GRAM)));
        }
        return recipe.withAdditions(lines);
    }

    private static boolean dressed(Materia materia, Addition a) {
        return (a.form() != Form.FRESH || a.cut() != Cut.WHOLE)
                && materia.find(a.herb())
                        .filter(h -> h.part() == PlantPart.PANTRY
                                && h.bulk().stream().noneMatch(b -> b.form() == a.form() && b.cut() == a.cut()))
                        .isPresent();
    }

    private static Recipe byDose(Materia materia, Recipe recipe) {
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
