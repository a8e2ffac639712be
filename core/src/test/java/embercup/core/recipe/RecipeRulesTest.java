package embercup.core.recipe;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import org.junit.jupiter.api.Test;

class RecipeRulesTest {

    private static List<String> complaints(Recipe recipe) {
        InvalidInputException e =
                catchThrowableOfType(InvalidInputException.class, () -> new RecipeRules(MATERIA, MeasureCustom.DEFAULT)
                        .check(recipe, "recipe"));
        return e == null
                ? List.of()
                : e.violations().stream()
                        .map(v -> v.field() + ": " + WORDS.wanted(v))
                        .toList();
    }

    private static Recipe of(List<Addition> herbs, Stage... stages) {
        return recipe(Tradition.FOLK, 1, 200, herbs, stages);
    }

    private static final List<Addition> LINDEN = List.of(dried("linden", Cut.CHOPPED, 1, Unit.TEASPOON, 0));

    @Test
    void aSoundRecipePasses() {
        assertThat(complaints(of(LINDEN, pour(), steep(10), strain()))).isEmpty();
        assertThat(complaints(embercup.core.Pots.twoBoils())).isEmpty();
    }

    @Test
    void everythingWrongIsSaidAtOnceWithItsField() {
        Recipe wrong = recipe(
                Tradition.FOLK,
                0,
                5000,
                List.of(
                        dried("mandrake-of-ur", Cut.CHOPPED, 1, Unit.GRAM, 0),
                        dried("linden", Cut.CHOPPED, 9000, Unit.GRAM, 7)),
                steep(-3));
        assertThat(complaints(wrong))
                .anyMatch(c -> c.startsWith("recipe.cups: between 1 and 40"))
                .anyMatch(c -> c.startsWith("recipe.cupMl: between 30 and 1000"))
                .anyMatch(c -> c.startsWith("recipe.additions[0].herb"))
                .anyMatch(c -> c.startsWith("recipe.additions[1].stage: the index of a stage of this recipe, 0 to 0"))
                .anyMatch(c -> c.startsWith("recipe.additions[1].amount: at most 5000 g"))
                .anyMatch(c -> c.startsWith("recipe.stages[0].minutes"));
    }

    @Test
    void aRecipeWithoutStagesOrWithoutTimeForTheHerbsIsRefused() {
        assertThat(complaints(of(LINDEN))).anyMatch(c -> c.startsWith("recipe.stages: 1 to 40 stages"));
        assertThat(complaints(of(LINDEN, pour(), strain()))).anyMatch(c -> c.contains("at least one of boil, simmer"));
    }

    @Test
    void liquorsAreStrainedBeforeTheyAreRefilledOrCombined() {
        assertThat(complaints(of(LINDEN, simmer(10, true), new Stage.Refill(300), simmer(10, true))))
                .anyMatch(c -> c.contains("a refill after a strain"));
        assertThat(complaints(of(LINDEN, simmer(10, true), strain(), new Stage.Combine())))
                .anyMatch(c -> c.contains("a combine after a refill"));
        assertThat(complaints(of(LINDEN, pour(), steep(5), strain(), pour())))
                .anyMatch(c -> c.contains("after the strain only"));
        assertThat(complaints(of(LINDEN, pour(), steep(5), strain(), simmer(5, true))))
                .as("a liquor may go on without its herbs")
                .isEmpty();
    }
}
