package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What looks like a slip is asked, and what practitioners really do is not. */
class DoubtsTest {

    private static final Addition LINDEN = dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0);

    private static Recipe cup(List<Addition> herbs, Stage... stages) {
        return recipe(Tradition.FOLK, 2, 240, herbs, stages);
    }

    static Stream<Arguments> slips() {
        return Stream.of(
                Arguments.of(
                        "rest 14 days, covered",
                        cup(List.of(LINDEN), pour(), new Stage.Rest(14 * 24 * 60, true), strain()),
                        Caution.StandsForDays.class),
                Arguments.of(
                        "steep three days",
                        cup(List.of(LINDEN), pour(), steep(3 * 24 * 60), strain()),
                        Caution.StandsForDays.class),
                Arguments.of(
                        "nettle at the strain",
                        cup(
                                List.of(LINDEN, dried("nettle", Cut.CHOPPED, 2, Unit.GRAM, 2)),
                                pour(),
                                steep(10),
                                strain()),
                        Caution.MeetsNoWater.class),
                Arguments.of(
                        "burdock into the cup",
                        cup(
                                List.of(LINDEN, dried("burdock", Cut.SLICED, 2, Unit.GRAM, 3)),
                                pour(),
                                steep(10),
                                strain(),
                                new Stage.Finish()),
                        Caution.MeetsNoWater.class),
                Arguments.of(
                        "linden twice",
                        cup(List.of(LINDEN, LINDEN), pour(), steep(10), strain()),
                        Caution.SaidTwice.class),
                Arguments.of(
                        "half a kilogram of chamomile",
                        cup(List.of(dried("chamomile", Cut.WHOLE, 500, Unit.GRAM, 0)), pour(), steep(10), strain()),
                        Caution.FarBeyondUse.class),
                Arguments.of(
                        "214 g of honey in a cup",
                        cup(
                                List.of(LINDEN, fresh("honey", Cut.WHOLE, 428, Unit.GRAM, 3)),
                                pour(),
                                steep(10),
                                strain(),
                                new Stage.Finish()),
                        Caution.FarBeyondUse.class));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("slips")
    void aSlipIsAsked(String what, Recipe recipe, Class<? extends Caution> doubt) {
        assertThat(PLANNER.plan(PlanRequest.asWritten(recipe)).notes())
                .as(what)
                .anyMatch(doubt::isInstance)
                .filteredOn(doubt::isInstance)
                .allMatch(Caution.Doubt.class::isInstance);
    }

    static Stream<Recipe> meant() {
        return Stream.of(
                lindenCup(),
                rootPot(),
                twoBoils(),
                cup(List.of(dried("marshmallow", Cut.SLICED, 10, Unit.GRAM, 0)), macerate(36 * 60), strain()),
                cup(List.of(dried("nettle", Cut.CHOPPED, 14, Unit.GRAM, 0)), pour(), steep(8 * 60), strain()),
                cup(
                        List.of(
                                fresh("ginger", Cut.SLICED, 60, Unit.GRAM, 0),
                                fresh("honey", Cut.WHOLE, 20, Unit.GRAM, 2)),
                        simmer(30, true),
                        strain(),
                        new Stage.Finish()),
                cup(
                        List.of(
                                dried("thyme", Cut.CHOPPED, 1, Unit.GRAM, 0),
                                dried("thyme", Cut.CHOPPED, 1, Unit.GRAM, 1)),
                        simmer(5, true),
                        steep(5),
                        strain()));
    }

    @ParameterizedTest
    @MethodSource("meant")
    void whatIsMeantIsNotAsked(Recipe recipe) {
        assertThat(PLANNER.plan(PlanRequest.asWritten(recipe)).notes()).noneMatch(Caution.Doubt.class::isInstance);
    }
}
