package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.Unit;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.InvalidInputException;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeDocument.AdditionDocument;
import embercup.server.recipes.RecipeDocument.OwnCautionDocument;
import embercup.server.recipes.RecipeDocument.PosologyDocument;
import embercup.server.recipes.RecipeDocument.StageDocument;
import embercup.server.recipes.RecipeDocument.TakingRowDocument;
import embercup.server.recipes.RecipeFromDocument;
import embercup.server.recipes.RecipeToDocument;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
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
                    random.nextBoolean() ? 61.0 + random.nextInt(60) : null,
                    random.nextBoolean() ? "it has turned yellowish" : null,
                    20.0 + random.nextInt(60),
                    100.0 + random.nextInt(900),
                    random.nextBoolean(),
                    code(Flame.values()[random.nextInt(3)]),
                    random.nextBoolean(),
                    null,
                    kind == StageKind.STRAIN && random.nextBoolean()
                            ? code(Receiver.values()[random.nextInt(5)])
                            : null,
                    kind == StageKind.BLEND && random.nextBoolean() ? 100.0 + random.nextInt(300) : null));
        }
        List<AdditionDocument> additions = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            additions.add(new AdditionDocument(
                    "ginger",
                    code(Form.values()[random.nextInt(2)]),
                    code(Cut.values()[random.nextInt(Cut.values().length)]),
                    0.25 + random.nextInt(40) / 4.0,
                    Unit.values()[random.nextInt(Unit.values().length)].code(),
                    random.nextBoolean() ? 11.0 + random.nextInt(9) : null,
                    random.nextBoolean() ? true : null,
                    random.nextBoolean()
                            ? List.of(new AdditionDocument(
                                    "galangal", "dried", "whole", 2.0, "g", null, null, null, null, null, null))
                            : null,
                    random.nextInt(stages.size()),
                    random.nextBoolean() ? "later-cups" : null,
                    random.nextBoolean() ? "scrubbed, skin on" : null));
        }
        boolean thinned = random.nextBoolean();
        return new RecipeDocument(
                "Any pot",
                "folk",
                1.0 + random.nextInt(8),
                200.0,
                new RecipeDocument.Liquid(
                        random.nextBoolean() ? 700.0 : null,
                        random.nextBoolean() ? "spirit" : null,
                        null,
                        thinned ? 3.0 : null,
                        thinned ? null : 50.0),
                additions,
                stages,
                random.nextBoolean() ? posology(random) : null,
                told(random));
    }

    private static RecipeDocument.ToldPart told(Random random) {
        boolean rim = random.nextBoolean();
        boolean blend = random.nextBoolean();
        return new RecipeDocument.ToldPart(
                rim ? 2.5 : null,
                rim ? null : 5.0,
                blend ? 2.0 : null,
                blend ? "tbsp" : null,
                random.nextBoolean() ? List.of("tea-ball") : null,
                random.nextBoolean() ? List.of("pregnant", "epilepsy") : null,
                random.nextBoolean() ? 12.0 : null,
                random.nextBoolean() ? 3.0 : null,
                random.nextBoolean() ? "fridge" : null,
                random.nextBoolean() ? cautions(random) : null,
                random.nextBoolean() ? List.of("Best on a bench at the harbour.") : null,
                random.nextBoolean() ? "Any pot" : null);
    }

    private static List<OwnCautionDocument> cautions(Random random) {
        return List.of(
                new OwnCautionDocument("Wear gloves.", "herb", "galangal", null, null, null),
                new OwnCautionDocument("Stay with it.", "step", null, random.nextInt(3), null, null),
                new OwnCautionDocument("Sip it.", random.nextBoolean() ? "taking" : "keeping", null, null, null, null),
                new OwnCautionDocument(
                        "Not for them.",
                        "who",
                        null,
                        null,
                        random.nextBoolean() ? List.of("epilepsy", "pregnant") : null,
                        random.nextBoolean() ? 12.0 : null));
    }

    private static RecipeDocument recipe(List<AdditionDocument> additions, @Nullable List<StageDocument> stages) {
        return new RecipeDocument("One", null, 1.0, 200.0, PLAIN, additions, stages, null, null);
    }

    private static StageDocument plain(String kind, @Nullable Double toC) {
        return new StageDocument(kind, 5.0, null, null, toC, 300.0, null, null, null, null, null, null);
    }

    private static final RecipeDocument.Liquid PLAIN = new RecipeDocument.Liquid(null, null, null, null, null);

    private static PosologyDocument posology(Random random) {
        int on = 1 + random.nextInt(20);
        boolean dose = random.nextBoolean();
        return new PosologyDocument(
                0.5 + random.nextInt(6) / 2.0,
                random.nextBoolean() ? 4.0 + random.nextInt(3) : null,
                dose ? 0.5 : null,
                dose ? "cup" : null,
                random.nextBoolean() ? List.of("morning", "bedtime") : null,
                random.nextBoolean() ? 14 : null,
                random.nextBoolean() ? 0.5 : null,
                random.nextBoolean() ? "with-food" : null,
                random.nextBoolean() ? on : null,
                random.nextBoolean() ? on : null,
                random.nextBoolean() ? 2.0 : null,
                random.nextBoolean() ? 4.0 : null,
                random.nextBoolean() ? true : null,
                random.nextBoolean() ? 3.0 : null,
                random.nextBoolean() ? rows(random) : null);
    }

    private static List<TakingRowDocument> rows(Random random) {
        boolean every = random.nextBoolean();
        return List.of(
                new TakingRowDocument(
                        random.nextBoolean() ? 2.0 : null,
                        6.0,
                        null,
                        null,
                        1.0,
                        "tsp",
                        every ? null : 3.0,
                        every ? 2.0 : null,
                        random.nextBoolean() ? 5 : null),
                new TakingRowDocument(
                        null, null, random.nextBoolean() ? "reflux" : "the frail", 3.0, null, null, null, null, null));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void serialisedAndParsedItIsTheSameRecipe(int seed) {
        RecipeDocument doc = any(new Random(seed));
        String json = RunningServer.JSON.writeValueAsString(doc);
        RecipeDocument again = RunningServer.JSON.readValue(json, RecipeDocument.class);
        assertThat(again).isEqualTo(doc);
        assertThat(RecipeFromDocument.read(again, "recipe")).isEqualTo(RecipeFromDocument.read(doc, "recipe"));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void writtenByTheServerAndReadAgainItIsTheSameRecipe(int seed) {
        Recipe recipe = RecipeFromDocument.read(any(new Random(seed)), "recipe");
        assertThat(RecipeFromDocument.read(RecipeToDocument.write(recipe), "recipe"))
                .isEqualTo(recipe);
    }

    @ParameterizedTest
    @EnumSource(StageKind.class)
    void everyKindOfStageIsReadAsItself(StageKind kind) {
        StageDocument doc = plain(kind.code(), 62.0);
        Recipe recipe = RecipeFromDocument.read(recipe(List.of(), List.of(doc)), "recipe");
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
        AdditionDocument bare =
                new AdditionDocument("ginger", null, null, 1.0, "tsp", null, null, null, null, null, null);
        Recipe recipe = RecipeFromDocument.read(recipe(List.of(bare), null), "recipe");
        assertThat(recipe.additions().get(0).form()).isEqualTo(Form.DRIED);
        assertThat(recipe.additions().get(0).cut()).isEqualTo(Cut.CHOPPED);
        assertThat(recipe.additions().get(0).stage()).isZero();
    }

    /** A concentrate of which 50 mL make a cup of 200 mL is thinned with three parts; nothing is thinned to less than it was. */
    @Test
    void whatIsDrunkAtATimeSaysHowAConcentrateIsThinned() {
        assertThat(thinned(50.0, null).dilutionParts()).isEqualTo(3);
        assertThat(thinned(200.0, null).dilutionParts()).isZero();
        assertThat(thinned(null, 4.0).dilutionParts()).isEqualTo(4);
        for (RecipeDocument.Liquid wrong : List.of(liquid(250.0, null), liquid(50.0, 3.0))) {
            assertThatThrownBy(() -> RecipeFromDocument.read(with(wrong), "recipe"))
                    .isInstanceOfSatisfying(
                            InvalidInputException.class,
                            e -> assertThat(e.violations().get(0).field()).isEqualTo("recipe.servingMl"));
        }
    }

    private static Recipe thinned(@Nullable Double servingMl, @Nullable Double parts) {
        return RecipeFromDocument.read(with(liquid(servingMl, parts)), "recipe");
    }

    private static RecipeDocument.Liquid liquid(@Nullable Double servingMl, @Nullable Double parts) {
        return new RecipeDocument.Liquid(null, null, null, parts, servingMl);
    }

    private static RecipeDocument with(RecipeDocument.Liquid liquid) {
        return new RecipeDocument("One", null, 1.0, 200.0, liquid, List.of(), null, null, null);
    }

    private static Stage stage(String kind) {
        boolean hot = kind.equals("heat");
        return RecipeFromDocument.read(recipe(List.of(), List.of(plain(kind, hot ? null : 62.0))), "recipe")
                .stages()
                .get(0);
    }
}
