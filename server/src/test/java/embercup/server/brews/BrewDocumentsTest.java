package embercup.server.brews;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.server.kept.KeptJson;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** A plan is read back as it was written, whatever is in it. */
class BrewDocumentsTest {

    private static final BrewDocuments KEPT =
            new BrewDocuments(new KeptJson(JsonMapper.builder().build()));
    private static final Planner PLANNER = new Planner(Materia.shipped());

    private static Addition dried(String herb, Cut cut, double grams, int stage) {
        return new Addition(herb, Form.DRIED, cut, Quantity.of(grams, Unit.GRAM), stage);
    }

    private static Recipe pot(List<Addition> herbs, Stage... stages) {
        return new Recipe("A pot", Tradition.FOLK, 2, 240, OptionalDouble.empty(), herbs, List.of(stages));
    }

    static Stream<PlanRequest> requests() {
        Recipe proposed = pot(List.of(dried("linden", Cut.CHOPPED, 3, 0), dried("burdock", Cut.SLICED, 5, 0)));
        Recipe two = pot(
                List.of(dried("astragalus", Cut.SLICED, 15, 0), dried("sage", Cut.CHOPPED, 30, 0)),
                new Stage.Simmer(40, Flame.LOW, false),
                new Stage.Strain(true),
                new Stage.Refill(400),
                new Stage.Simmer(40, Flame.LOW, false),
                new Stage.Strain(false),
                new Stage.Combine(),
                new Stage.Cool(60, false));
        Recipe cup = pot(
                List.of(
                        new Addition("ginger", Form.FRESH, Cut.SLICED, Quantity.of(4, Unit.SLICE), 0),
                        new Addition("honey", Form.FRESH, Cut.WHOLE, Quantity.of(2, Unit.TEASPOON), 4)),
                new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true),
                new Stage.Reduce(480, Flame.MEDIUM, false),
                new Stage.Rest(3, true),
                new Stage.Strain(false),
                new Stage.Finish());
        Kitchen small = new Kitchen(
                1800,
                21,
                12,
                Optional.of(Vessel.of("milk pot", Vessel.Kind.POT, 9, 8)),
                new Burner("left", 200, 600, 1100),
                1800);
        return Stream.of(
                PlanRequest.asWritten(proposed),
                PlanRequest.asWritten(two),
                PlanRequest.asWritten(two).spent(true),
                PlanRequest.asWritten(cup).withKitchen(small));
    }

    @ParameterizedTest
    @MethodSource("requests")
    void whatIsReadIsWhatWasWritten(PlanRequest request) {
        BrewPlan plan = PLANNER.plan(request);
        String document = KEPT.write(plan);
        assertThat(KEPT.read(document, "a test")).contains(plan);
        assertThat(KEPT.write(KEPT.read(document, "a test").orElseThrow())).isEqualTo(document);
        assertThat(KEPT.readFigures(KEPT.writeFigures(plan.explained()))).isEqualTo(plan.explained());
    }

    @ParameterizedTest
    @MethodSource("requests")
    void whatIsDamagedIsEmptyAndNotNearlyRight(PlanRequest request) {
        String document = KEPT.write(PLANNER.plan(request));
        assertThat(KEPT.read(document.substring(0, document.length() / 2), "a test"))
                .isEmpty();
        assertThat(KEPT.read(document.replace("\"pourMl\"", "\"pouredMl\""), "a test"))
                .isEmpty();
        assertThat(KEPT.read(null, "a test")).isEmpty();
    }
}
