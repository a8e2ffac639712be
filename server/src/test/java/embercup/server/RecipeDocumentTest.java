package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.Unit;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeDocument.AdditionDocument;
import embercup.server.recipes.RecipeDocument.PosologyDocument;
import embercup.server.recipes.RecipeDocument.StageDocument;
import embercup.server.recipes.RecipeReading;
import embercup.server.recipes.RecipeWriting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The document of a recipe: what is written is read again as the same, and what is left out has its usual value. */
class RecipeDocumentTest {

    static IntStream seeds() {
        return IntStream.range(0, 40);
    }

    private static String code(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT);
    }

    private static RecipeDocument any(Random random) {
        List<StageDocument> stages = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            StageKind kind = StageKind.values()[random.nextInt(StageKind.values().length)];
            stages.add(new StageDocument(
                    kind.code(),
                    1.0 + random.nextInt(60),
                    20.0 + random.nextInt(60),
                    100.0 + random.nextInt(900),
                    random.nextBoolean(),
                    code(Flame.values()[random.nextInt(3)]),
                    random.nextBoolean(),
                    null));
        }
        List<AdditionDocument> additions = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            additions.add(new AdditionDocument(
                    "ginger",
                    code(Form.values()[random.nextInt(2)]),
                    code(Cut.values()[random.nextInt(Cut.values().length)]),
                    0.25 + random.nextInt(40) / 4.0,
                    Unit.values()[random.nextInt(Unit.values().length)].code(),
                    random.nextInt(stages.size()),
                    random.nextBoolean() ? "scrubbed, skin on" : null));
        }
        return new RecipeDocument(
                "Any pot",
                "folk",
                1.0 + random.nextInt(8),
                200.0,
                new RecipeDocument.Liquid(
                        random.nextBoolean() ? 700.0 : null,
                        random.nextBoolean() ? "spirit" : null,
                        null,
                        random.nextBoolean() ? 3.0 : null),
                additions,
                stages,
                random.nextBoolean() ? posology(random) : null);
    }

    private static final RecipeDocument.Liquid PLAIN = new RecipeDocument.Liquid(null, null, null, null);

    private static PosologyDocument posology(Random random) {
        int on = 1 + random.nextInt(20);
        return new PosologyDocument(
                0.5 + random.nextInt(6) / 2.0,
                random.nextBoolean() ? "with-food" : null,
                random.nextBoolean() ? on : null,
                random.nextBoolean() ? on : null);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void serialisedAndParsedItIsTheSameRecipe(int seed) {
        RecipeDocument doc = any(new Random(seed));
        String json = RunningServer.JSON.writeValueAsString(doc);
        RecipeDocument again = RunningServer.JSON.readValue(json, RecipeDocument.class);
        assertThat(again).isEqualTo(doc);
        assertThat(RecipeReading.read(again, "recipe")).isEqualTo(RecipeReading.read(doc, "recipe"));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void writtenByTheServerAndReadAgainItIsTheSameRecipe(int seed) {
        Recipe recipe = RecipeReading.read(any(new Random(seed)), "recipe");
        assertThat(RecipeReading.read(RecipeWriting.write(recipe), "recipe")).isEqualTo(recipe);
    }

    @ParameterizedTest
    @EnumSource(StageKind.class)
    void everyKindOfStageIsReadAsItself(StageKind kind) {
        StageDocument doc = new StageDocument(kind.code(), 5.0, 62.0, 300.0, null, null, null, null);
        Recipe recipe = RecipeReading.read(
                new RecipeDocument("One", null, 1.0, 200.0, PLAIN, List.of(), List.of(doc), null), "recipe");
        assertThat(recipe.stages().get(0).kind()).isEqualTo(kind);
    }

    /** Lid and flame where a recipe says nothing: common practice, no source. */
    @Test
    void whatIsLeftUnsaidIsAsAKitchenDoesIt() {
        assertThat(stage("heat")).isEqualTo(new Stage.Heat(java.util.OptionalDouble.empty(), Flame.HIGH, true));
        assertThat(stage("boil")).isEqualTo(new Stage.Boil(5, Flame.MEDIUM, false));
        assertThat(stage("simmer")).isEqualTo(new Stage.Simmer(5, Flame.LOW, true));
        assertThat(stage("reduce")).isEqualTo(new Stage.Reduce(300, Flame.MEDIUM, false));
        assertThat(stage("steep")).isEqualTo(new Stage.Steep(5, true));
        assertThat(stage("strain")).isEqualTo(new Stage.Strain(false));
        AdditionDocument bare = new AdditionDocument("ginger", null, null, 1.0, "tsp", null, null);
        Recipe recipe = RecipeReading.read(
                new RecipeDocument("One", null, 1.0, 200.0, PLAIN, List.of(bare), null, null), "recipe");
        assertThat(recipe.additions().get(0).form()).isEqualTo(Form.DRIED);
        assertThat(recipe.additions().get(0).cut()).isEqualTo(Cut.CHOPPED);
        assertThat(recipe.additions().get(0).stage()).isZero();
    }

    private static Stage stage(String kind) {
        boolean hot = kind.equals("heat");
        StageDocument doc = new StageDocument(kind, 5.0, hot ? null : 62.0, 300.0, null, null, null, null);
        return RecipeReading.read(
                        new RecipeDocument("One", null, 1.0, 200.0, PLAIN, List.of(), List.of(doc), null), "recipe")
                .stages()
                .get(0);
    }
}
