package embercup.core.dose;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Takes a herb out of a recipe, or puts another in its place with the amount computed again. Stateless. */
public final class Substitution {

    private final Materia materia;
    private final HerbMeasure measure;

    public Substitution(Materia materia, MeasureCustom custom) {
        this.materia = materia;
        this.measure = new HerbMeasure(materia, custom);
    }

    /**
     * @param field name for the error
     * @throws InvalidInput when the herb is not in the recipe, or is all of it
     */
    public Recipe leaveOut(Recipe recipe, String herb, String field) {
        List<Addition> rest =
                recipe.additions().stream().filter(a -> !a.herb().equals(herb)).toList();
        if (rest.size() == recipe.additions().size() || rest.isEmpty()) {
            throw InvalidInput.of(field, herb, "a herb of the recipe that is not the only one");
        }
        return recipe.withAdditions(rest);
    }

    /**
     * The other herb in grams: grams of the first × the materia's ratio.
     *
     * @throws InvalidInput when the herb is not in the recipe or the other cannot stand in for it
     */
    public Recipe replace(Recipe recipe, String herb, String with, String field) {
        Herb first = materia.herb(herb, field);
        Herb.Substitute substitute = first.substitutes().stream()
                .filter(s -> s.herb().equals(with))
                .findFirst()
                .orElseThrow(() -> InvalidInput.of(field, with, canStandIn(first)));
        Herb other = materia.herb(with, field);
        UnaryOperator<Addition> swap = a -> {
            double grams = measure.grams(first, a.form(), a.cut(), a.quantity(), field)
                    .amount()
                    .best();
            double dried = a.form() == Form.FRESH
                    ? measure.driedForFresh(first, grams).amount().best()
                    : grams;
            return new Addition(
                    other.slug(), Form.DRIED, a.cut(), Quantity.of(dried * substitute.ratio(), Unit.GRAM), a.stage());
        };
        List<Addition> all = new ArrayList<>();
        recipe.additions().forEach(a -> all.add(a.herb().equals(herb) ? swap.apply(a) : a));
        if (all.equals(recipe.additions())) {
            throw InvalidInput.of(field, herb, "a herb of the recipe");
        }
        return recipe.withAdditions(all);
    }

    private static String canStandIn(Herb herb) {
        String names = herb.substitutes().stream().map(Herb.Substitute::herb).collect(Collectors.joining(", "));
        return names.isEmpty()
                ? "nothing known can stand in for " + herb.slug() + "; leave it out"
                : "one that can stand in for " + herb.slug() + ": " + names;
    }
}
