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
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Takes a herb out of a recipe, or puts another in its place with the amount computed again. A herb of a blend cannot be picked
 * out of it: it is the blend that is left out or lessened. Stateless.
 */
public final class Substitution {

    private final Materia materia;
    private final HerbMeasure measure;

    public Substitution(Materia materia, MeasureCustom custom) {
        this.materia = materia;
        this.measure = new HerbMeasure(materia, custom);
    }

    /**
     * @param field name for the error
     * @throws InvalidInputException when the herb is not in the recipe, or is all of it
     */
    public Recipe leaveOut(Recipe recipe, String herb, String field) {
        List<Addition> rest =
                recipe.additions().stream().filter(a -> !a.taken().equals(herb)).toList();
        if (rest.size() == recipe.additions().size() || rest.isEmpty()) {
            throw InvalidInputException.of(field, herb, new Wanted.NotTheOnlyHerb());
        }
        return recipe.withAdditions(rest);
    }

    /**
     * The other herb in grams: grams of the first × the materia's ratio.
     *
     * @throws InvalidInputException when the herb is not in the recipe or the other cannot stand in for it
     */
    public Recipe replace(Recipe recipe, String herb, String with, String field) {
        Herb first = materia.herb(herb, field);
        Herb.Substitute substitute = first.substitutes().stream()
                .filter(s -> s.herb().equals(with))
                .findFirst()
                .orElseThrow(() -> InvalidInputException.of(field, with, canStandIn(first)));
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
        return each(recipe, herb, field, swap);
    }

    /**
     * The same herb, so many times its amount.
     *
     * @param times above 0, at most {@link Limit#TIMES_OF_HERB}
     * @throws InvalidInputException when the herb is not in the recipe or the number is outside its range
     */
    public Recipe times(Recipe recipe, String herb, double times, String field) {
        if (!(times > 0 && Limit.TIMES_OF_HERB.holds(times))) {
            throw InvalidInputException.of(field, times, new Wanted.AboveNothing(Limit.TIMES_OF_HERB.high()));
        }
        return each(recipe, herb, field, a -> a.times(times));
    }

    /**
     * The same herb in its other form, with the amount computed as the school has it: by dry matter, a half or a third of
     * the fresh weight dried.
     *
     * @throws InvalidInputException when the herb is not in the recipe, or the school holds fresh and dried for two herbs
     */
    public Recipe inForm(Recipe recipe, String herb, Form form, Schools schools, String field) {
        Herb of = materia.herb(herb, field);
        return each(recipe, herb, field, a -> {
            if (a.form() == form) {
                return a;
            }
            if (schools.hold(Schools.Choice.NOT_THE_SAME)) {
                throw InvalidInputException.of(field, herb, new Wanted.FormOfRecipe());
            }
            double grams = measure.grams(of, a.form(), a.cut(), a.quantity(), field)
                    .amount()
                    .best();
            double dried = driedForFresh(of, schools);
            return new Addition(
                    herb,
                    form,
                    a.cut(),
                    Quantity.of(form == Form.DRIED ? grams * dried : grams / dried, Unit.GRAM),
                    a.stage());
        });
    }

    /** Grams of the dried herb for a gram of the fresh one. */
    private double driedForFresh(Herb herb, Schools schools) {
        return switch (schools.chosen(Schools.Question.FRESH_DRIED)) {
            case A_HALF -> 1.0 / 2;
            case A_THIRD -> 1.0 / 3;
            default -> measure.driedForFresh(herb, 1).amount().best();
        };
    }

    /**
     * What the recipe itself has instead of a herb, in the amount it says.
     *
     * @return empty when the recipe does not name it there
     */
    public static Optional<Recipe> alternative(Recipe recipe, String herb, String with) {
        boolean named = recipe.additions().stream()
                .anyMatch(a -> a.herb().equals(herb)
                        && a.open().or().stream().anyMatch(o -> o.herb().equals(with)));
        return named
                ? Optional.of(recipe.withAdditions(recipe.additions().stream()
                        .map(a -> !a.herb().equals(herb)
                                ? a
                                : a.open().or().stream()
                                        .filter(o -> o.herb().equals(with))
                                        .findFirst()
                                        .orElse(a))
                        .toList()))
                : Optional.empty();
    }

    /**
     * The same herb in another amount, so many grams to each of the recipe's own cups.
     *
     * @throws InvalidInputException when the herb is not in the recipe
     */
    public Recipe perCup(Recipe recipe, String herb, double grams, String field) {
        long lines =
                recipe.additions().stream().filter(a -> a.herb().equals(herb)).count();
        return each(recipe, herb, field, a -> a.of(Quantity.of(grams * recipe.cups() / lines, Unit.GRAM)));
    }

    private static Recipe each(Recipe recipe, String herb, String field, UnaryOperator<Addition> change) {
        if (recipe.additions().stream().noneMatch(a -> a.taken().equals(herb))) {
            throw InvalidInputException.of(field, herb, new Wanted.HerbOfRecipe());
        }
        return recipe.withAdditions(recipe.additions().stream()
                .map(a -> a.taken().equals(herb) ? change.apply(a) : a)
                .toList());
    }

    private static Wanted canStandIn(Herb herb) {
        return new Wanted.StandIn(
                herb.slug(),
                herb.substitutes().stream().map(Herb.Substitute::herb).toList());
    }
}
