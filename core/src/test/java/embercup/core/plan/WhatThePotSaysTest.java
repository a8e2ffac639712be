package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.brew.Charge;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What flames, vessels and minutes make a pot say. Directions are common practice, no source. */
class WhatThePotSaysTest {

    private static BrewPlan in(Vessel vessel, Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe).withKitchen(Kitchen.STANDARD.withVessel(vessel)));
    }

    private static <T extends Caution> Optional<T> note(BrewPlan plan, Class<T> type) {
        return plan.notes().stream().filter(type::isInstance).map(type::cast).findFirst();
    }

    private static Recipe root(Stage... stages) {
        return recipe(Tradition.FOLK, 4, 240, List.of(dried("burdock", Cut.SLICED, 8, Unit.GRAM, 0)), stages);
    }

    // ---- beside the usual cup

    @ParameterizedTest
    @CsvSource({
        "peppermint, 2.2, 1, true",
        "peppermint, 2.2, 10, false",
        "linden, 1.5, 1, true",
        "linden, 1.5, 10, false"
    })
    void aCupThatStoodOneMinuteSaysSo(String slug, double grams, double minutes, boolean told) {
        BrewPlan cup = plan(recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried(slug, Cut.CHOPPED, grams, Unit.GRAM, 0)),
                pour(),
                steep(minutes),
                strain()));
        assertThat(cup.strength()).as("as strong as written").isCloseTo(1, within(0.01));
        Optional<Caution.FarFromUsual> far = note(cup, Caution.FarFromUsual.class);
        assertThat(far.isPresent()).isEqualTo(told);
        far.ifPresent(f -> assertThat(f.percent()).isLessThan(50));
    }

    @Test
    void aBlendOfWholeDosesIsNoStrangeCup() {
        Addition balm = dried("lemon-balm", Cut.CHOPPED, 3, Unit.GRAM, 0);
        Addition mint = dried("peppermint", Cut.CHOPPED, 2.2, Unit.GRAM, 0);
        Addition thyme = dried("thyme", Cut.CHOPPED, 1.5, Unit.GRAM, 0);
        assertThat(note(
                        plan(recipe(
                                Tradition.MONOGRAPH, 1, 240, List.of(balm, mint, thyme), pour(), steep(10), strain())),
                        Caution.FarFromUsual.class))
                .isEmpty();
    }

    // ---- a flame that cannot hold its simmer

    @Test
    void aFlameThatCannotHoldASimmerNamesTheOneThatWould() {
        Vessel wide = Vessel.of("wide pan", Vessel.Kind.POT, 24, 8);
        Caution.CannotHold open = note(
                        in(wide, root(heat(), new Stage.Simmer(20, Flame.LOW, false), strain())),
                        Caution.CannotHold.class)
                .orElseThrow();
        assertThat(open.falls().celsius()).isLessThan(90);
        assertThat(open.would()).contains(Flame.MEDIUM);
        assertThat(open.lidWould()).isTrue();
        assertThat(WORDS.say((Caution) open)).contains("put the lid on", "medium");
        assertThat(note(
                        in(wide, root(heat(), new Stage.Simmer(20, Flame.LOW, true), strain())),
                        Caution.CannotHold.class))
                .isEmpty();
        assertThat(note(
                        in(wide, root(heat(), new Stage.Simmer(20, Flame.MEDIUM, false), strain())),
                        Caution.CannotHold.class))
                .isEmpty();
    }

    /** From one width to the next an open pot on one flame loses a little more or less, and nowhere a fifth at once. */
    @Test
    void theBoilOffDoesNotJumpWithThePotsWidth() {
        double before = Double.NaN;
        for (double cm = 14; cm <= 32; cm += 0.5) {
            Vessel pot = Vessel.of("pot", Vessel.Kind.POT, cm, 20);
            double steam = in(pot, withPour(root(heat(), new Stage.Simmer(40, Flame.LOW, false), strain()), 1400))
                    .water()
                    .evaporatedMl();
            if (!Double.isNaN(before)) {
                assertThat(Math.abs(steam / before - 1)).as(cm + " cm").isLessThan(0.08);
            }
            before = steam;
        }
    }

    @Test
    void aReductionOfHoursIsQuestioned() {
        Recipe twenty = recipe(
                Tradition.AYURVEDIC,
                1,
                240,
                List.of(dried("ginger", Cut.SLICED, 1, Unit.GRAM, 0)),
                heat(),
                reduce(240),
                strain());
        assertThat(note(plan(withPour(twenty, 3000)), Caution.LongReduction.class))
                .hasValueSatisfying(l -> {
                    assertThat(l.hours()).isGreaterThan(1.0);
                    assertThat(WORDS.say((Caution) l)).contains("hours", "Is that much meant?");
                });
        assertThat(note(plan(withPour(twenty, 480)), Caution.LongReduction.class))
                .isEmpty();
    }

    // ---- vessels

    @ParameterizedTest
    @EnumSource(Vessel.Kind.class)
    void onlyAPotGoesOnAFlame(Vessel.Kind kind) {
        Vessel vessel = Vessel.of("vessel", kind, 14, 14);
        Optional<Caution.NotOnAFlame> flame =
                note(in(vessel, root(heat(), simmer(10, true), strain())), Caution.NotOnAFlame.class);
        assertThat(flame.isEmpty()).isEqualTo(kind == Vessel.Kind.POT);
        assertThat(note(in(vessel, root(pour(), steep(10), strain())), Caution.NotOnAFlame.class))
                .as("what the kettle heats")
                .isEmpty();
    }

    // ---- the mark of a reduction

    /** What goes in after the reduction neither soaks nor lifts the water at its mark. */
    @Test
    void theDipMarkCountsOnlyWhatIsInThePotByThen() {
        Addition root = dried("burdock", Cut.SLICED, 8, Unit.GRAM, 0);
        Addition late = dried("peppermint", Cut.CHOPPED, 12, Unit.GRAM, 2);
        Recipe without =
                recipe(Tradition.FOLK, 2, 240, List.of(root), heat(), reduce(480), new Stage.Rest(8, true), strain());
        Recipe with = recipe(
                Tradition.FOLK, 2, 240, List.of(root, late), heat(), reduce(480), new Stage.Rest(8, true), strain());
        double mark = 480 + 8 * (1.5 + Charge.DISPLACED_ML_PER_DRY_G);
        assertThat(plan(without).water().dipMl()).isCloseTo(mark, within(0.5));
        assertThat(plan(with).water().dipMl()).isCloseTo(mark, within(0.5));
    }

    // ---- loose herbs are not told in bags

    @Test
    void looseHerbsAreMeasuredBySpoonAndNotInBags() {
        for (String slug : List.of("chamomile", "peppermint", "black-tea", "green-tea")) {
            BrewPlan cup = plan(recipe(
                    Tradition.FOLK,
                    1,
                    240,
                    List.of(dried(slug, Cut.WHOLE, 2, Unit.GRAM, 0)),
                    pour(),
                    steep(5),
                    strain()));
            assertThat(WORDS.measure(cup.additions().get(0))).as(slug).doesNotContain("bag");
        }
    }

    /** A cold cup waits for no honey. */
    @Test
    void aColdCupDoesNotWaitUntilItHasCooled() {
        Recipe cold = recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(
                        dried("marshmallow", Cut.CHOPPED, 4, Unit.GRAM, 0),
                        embercup.core.Pots.fresh("honey", Cut.WHOLE, 1, Unit.TEASPOON, 2)),
                embercup.core.Pots.macerate(60),
                strain(),
                new Stage.Finish());
        assertThat(plan(cold).steps()).noneMatch(s -> embercup.core.Pots.kind(s).equals("cool"));
        Recipe warmed = recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(
                        dried("marshmallow", Cut.CHOPPED, 4, Unit.GRAM, 0),
                        embercup.core.Pots.fresh("honey", Cut.WHOLE, 1, Unit.TEASPOON, 3)),
                embercup.core.Pots.macerate(60),
                heat(),
                strain(),
                new Stage.Finish());
        assertThat(plan(warmed).steps()).as("soaked cold, then heated").anyMatch(s -> embercup.core.Pots.kind(s)
                .equals("cool"));
    }

    /** A fine powder that is drunk with the cup is not strained out of it. */
    @Test
    void whatIsDrunkWholeIsNotStrained() {
        for (String slug : List.of("matcha", "cacao", "slippery-elm")) {
            Recipe bare = new Recipe(
                    "Whole",
                    Tradition.FOLK,
                    1,
                    240,
                    java.util.OptionalDouble.empty(),
                    List.of(dried(slug, Cut.GROUND, 2, Unit.GRAM, 0)),
                    List.of());
            var proposed = embercup.core.recipe.Proposal.of(
                            MATERIA, bare, embercup.core.recipe.Schools.of(Tradition.FOLK))
                    .recipe();
            assertThat(proposed.has(embercup.core.recipe.StageKind.STRAIN))
                    .as(slug)
                    .isFalse();
            assertThat(plan(proposed).water().yieldMl()).isCloseTo(240, within(1.0));
        }
    }

    @Test
    void aBurnerOfMorePowerHoldsTheWidePot() {
        Vessel wide = Vessel.of("wide pan", Vessel.Kind.POT, 30, 12);
        BrewPlan large =
                PLANNER.plan(PlanRequest.asWritten(root(heat(), new Stage.Simmer(20, Flame.MEDIUM, false), strain()))
                        .withKitchen(Kitchen.STANDARD.withVessel(wide).withBurner(Burner.LARGE)));
        assertThat(note(large, Caution.CannotHold.class)).isEmpty();
    }
}
