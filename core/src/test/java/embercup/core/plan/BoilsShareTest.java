package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two boils of the same herbs: the first is never a mouthful. */
class BoilsShareTest {

    private static Recipe twoBoils(int cups, double minutes, double freshMl) {
        return recipe(
                Tradition.CHINESE,
                cups,
                200,
                List.of(dried("astragalus", Cut.SLICED, 9, Unit.GRAM, 0)),
                heat(),
                simmer(minutes, true),
                strain(),
                new Stage.Refill(freshMl),
                simmer(minutes, true),
                strain(),
                new Stage.Combine());
    }

    /** As many fresh millilitres as the cups take would leave the first boil only what the herbs keep and the steam takes. */
    @ParameterizedTest
    @CsvSource({"1, 5, 200", "2, 10, 400", "3, 5, 700", "1, 15, 250", "4, 3, 900"})
    void bothGetAsMuchWhereTheFirstWouldHaveHardlyAny(int cups, double minutes, double freshMl) {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(twoBoils(cups, minutes, freshMl)));
        double first = BoilsShare.first(plan.pot());
        double fresh = BoilsShare.freshMl(plan.pot().stages(), plan.pot().volumeScale());
        assertThat(first).isCloseTo(fresh, Offset.offset(0.1 * fresh + 10));
        assertThat(plan.water().yieldMl()).isCloseTo(cups * 200, Offset.offset(2.0));
        assertThat(plan.request().recipe().stages()).isEqualTo(plan.pot().stages());
        assertThat(plan.reasons().stream().map(WORDS::say)).anyMatch(s -> s.startsWith("Both boils get as much water"));
    }

    @Test
    void aRecipeWhoseFirstBoilIsFullKeepsItsOwnWater() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(twoBoils(3, 40, 400)));
        assertThat(BoilsShare.freshMl(plan.pot().stages(), plan.pot().volumeScale()))
                .isEqualTo(400);
        assertThat(plan.reasons()).noneMatch(r -> r.because() == embercup.core.recipe.Reason.Because.BOILS_SHARE);
    }
}
