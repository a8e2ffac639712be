package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.brew.StageRun;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.live.SimulatedKitchen;
import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.workings.InvalidInputException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A liquor that is off its herbs and goes on as a thing of its own: heated again, boiled down, sweetened, filled. */
class BatchTest {

    /** Latent heat of water at 100 °C (CRC Handbook of Chemistry and Physics, mem), J/g. */
    private static final double LATENT_J_PER_G = 2257;

    private static final Burner GAS = new Burner("gas", 250, 700, 1200);

    private static Stage into(Receiver receiver) {
        return new Stage.Strain(false, Optional.of(receiver));
    }

    private static Recipe roots(Stage... then) {
        Stage[] all = new Stage[3 + then.length];
        all[0] = heat();
        all[1] = simmer(30, true);
        all[2] = strain();
        System.arraycopy(then, 0, all, 3, then.length);
        return withPour(
                recipe(
                        Tradition.FOLK,
                        3,
                        240,
                        List.of(
                                dried("dandelion", Cut.SLICED, 20, Unit.GRAM, 0),
                                dried("burdock", Cut.SLICED, 15, Unit.GRAM, 0)),
                        all),
                1500);
    }

    private static BrewPlan plan(Recipe recipe) {
        Kitchen kitchen = new Kitchen(0, 20, 15, Optional.of(Vessel.of("pot", Vessel.Kind.POT, 20, 14)), GAS, 2000);
        return PLANNER.plan(PlanRequest.asWritten(recipe).withKitchen(kitchen));
    }

    private static List<String> said(BrewPlan plan) {
        return plan.steps().stream().map(s -> WORDS.label(plan, s)).toList();
    }

    private static double perMl(BrewPlan plan) {
        return plan.brew().drawn().get(ExtractClass.BODY) / plan.water().yieldMl();
    }

    private static StageRun only(BrewPlan plan, int stage) {
        return plan.stages().get(stage);
    }

    /** The power of the flame over the latent heat of water says how long: nothing of it is the herbs'. */
    @Test
    void aStrainedLiquorBoilsDownAsFastAsPlainWater() {
        BrewPlan plan = plan(roots(reduce(480)));
        StageRun down = only(plan, 3);
        double from = down.startMl() - 480;
        assertThat(from).isGreaterThan(200);
        double grams = down.startMl() - down.endMl();
        assertThat(down.properS())
                .as("%.0f mL go at 700 W", grams)
                .isCloseTo(grams * LATENT_J_PER_G / 700, within(0.02 * down.properS()));
        assertThat(plan.water().yieldMl()).isCloseTo(480, within(0.5));
        assertThat(plan.water().dipMl()).as("no herb stands in it").isCloseTo(480, within(1e-6));
    }

    @ParameterizedTest
    @EnumSource(Receiver.class)
    void whatIsPouredIsDrunkKeptOrSteamWhateverItRunsInto(Receiver receiver) {
        BrewPlan plan = plan(roots(simmer(10, false), into(receiver)));
        WaterPlan water = plan.water();
        assertThat(water.pourMl()).isCloseTo(water.yieldMl() + water.retainedMl() + water.evaporatedMl(), within(0.01));
        assertThat(said(plan)).last().asString().startsWith("Pour it into").doesNotContain("strainer");
        assertThat(plan.intoMugs().isPresent()).isEqualTo(!receiver.keeps());
    }

    /** What was drawn stays drawn: half the water is twice the strength. */
    @Test
    void boilingDownMakesItStrongerByAsMuchAsItLosesWater() {
        BrewPlan thin = plan(roots());
        BrewPlan thick = plan(roots(reduce(thin.water().yieldMl() / 2)));
        assertThat(thick.brew().drawn().get(ExtractClass.BODY))
                .isCloseTo(thin.brew().drawn().get(ExtractClass.BODY), within(1e-9));
        assertThat(perMl(thick) / perMl(thin)).isCloseTo(2, within(0.01));
        assertThat(thick.brew().leftInHerbs()).isEqualTo(thin.brew().leftInHerbs());
    }

    private static Recipe twoBoilsReduced() {
        return withPour(
                recipe(
                        Tradition.CHINESE,
                        3,
                        120,
                        List.of(dried("astragalus", Cut.SLICED, 30, Unit.GRAM, 0)),
                        heat(),
                        simmer(30, true),
                        strain(),
                        new Stage.Refill(600),
                        simmer(20, true),
                        strain(),
                        new Stage.Combine(),
                        reduce(360)),
                900);
    }

    /** Two boils united, and both of them down to three doses of 120 mL. */
    @Test
    void twoBoilsAreUnitedAndReduced() {
        BrewPlan plan = plan(twoBoilsReduced());
        assertThat(plan.water().yieldMl()).isCloseTo(360, within(0.5));
        StageRun down = only(plan, 7);
        assertThat(down.startMl()).as("both liquors").isGreaterThan(900);
        assertThat(said(plan)).anyMatch(s -> s.contains("Stir the liquors together") && s.contains("a clean pot"));
    }

    /** Honey of the batch is measured once, for all of it; honey of the cup for each. */
    @Test
    void whatFinishesTheBatchIsMeasuredForAllOfIt() {
        Addition honey = fresh("honey", Cut.WHOLE, 6, Unit.TEASPOON, 4);
        Recipe batch = roots(simmer(2, false), new Stage.Finish());
        BrewPlan whole = plan(batch.withAdditions(
                List.of(batch.additions().get(0), batch.additions().get(1), honey)));
        assertThat(said(whole))
                .anyMatch(s -> s.contains("honey into the pot"))
                .anyMatch(s -> s.contains("6 tsp") || s.contains("2 tbsp"));
        Recipe cups = roots(new Stage.Finish());
        BrewPlan each = plan(cups.withAdditions(
                List.of(cups.additions().get(0), cups.additions().get(1), honey.at(3))));
        assertThat(said(each)).anyMatch(s -> s.contains("into each cup")).anyMatch(s -> s.contains("2 tsp"));
    }

    /** A decoction strained on to mint: the root is out, the mint gives, and it is strained again. */
    @Test
    void aBatchStandsOnOtherHerbs() {
        Recipe recipe = roots(steep(10), into(Receiver.JAR));
        Addition mint = dried("peppermint", Cut.CHOPPED, 4, Unit.GRAM, 3);
        BrewPlan with = plan(recipe.withAdditions(
                List.of(recipe.additions().get(0), recipe.additions().get(1), mint)));
        BrewPlan without = plan(recipe);
        assertThat(with.brew().drawn().get(ExtractClass.AROMA))
                .isGreaterThan(without.brew().drawn().get(ExtractClass.AROMA) + 0.1);
        assertThat(with.brew().leftInHerbs().get(0))
                .isEqualTo(without.brew().leftInHerbs().get(0));
        assertThat(with.water().retainedMl()).isGreaterThan(without.water().retainedMl() + 3);
        assertThat(said(with)).anyMatch(s -> s.contains("Peppermint leaf in")).anyMatch(s -> s.startsWith("Strain"));
        assertThat(said(with)).last().asString().contains("into a jar");
    }

    @ParameterizedTest
    @CsvSource({"JUG, a jug", "POT, a clean pot", "JAR, a jar", "BOTTLE, a clean bottle", "CUPS, 3 mugs"})
    void theStrainSaysWhereItGoes(Receiver receiver, String words) {
        Recipe recipe = roots();
        List<Stage> stages = List.of(heat(), simmer(30, true), into(receiver));
        assertThat(said(plan(recipe.withStages(stages)))).last().asString().contains("into " + words);
    }

    /** A litre keeps its heat longer than a mug of it. */
    @Test
    void aBatchCoolsInItsVesselAndNotInAMug() {
        BrewPlan mugs = plan(roots(new Stage.Cool(50, false)));
        BrewPlan jar = plan(
                roots().withStages(List.of(heat(), simmer(30, true), into(Receiver.JAR), new Stage.Cool(50, false))));
        assertThat(only(jar, 3).properS()).isGreaterThan(1.5 * only(mugs, 3).properS());
    }

    /** Strained once, the pot holds no roots any more; mint in the batch is there until it is strained too. */
    @Test
    void theHerbsAreOutOnceTheyAreStrained() {
        Recipe recipe = roots(steep(10), into(Receiver.POT), reduce(300));
        Addition mint = dried("peppermint", Cut.CHOPPED, 4, Unit.GRAM, 3);
        BrewPlan plan = plan(recipe.withAdditions(
                List.of(recipe.additions().get(0), recipe.additions().get(1), mint)));
        assertThat(plan.steps().stream().filter(s -> s.stage() >= 0).map(s -> s.code() + " " + plan.herbsIn(s)))
                .containsExactly(
                        "heat true",
                        "simmer true",
                        "strain true",
                        "steep true",
                        "strain true",
                        "heat false",
                        "reduce false");
    }

    /** A cook who was late to the boil still boils down to the mark: the time is solved anew, and not kept as planned. */
    @Test
    void whoIsLateStillBoilsDownToTheMark() {
        BrewPlan plan = plan(roots(reduce(300)));
        Instant start = Instant.parse("2026-12-02T17:00:00Z");
        List<BrewEvent> events = new ArrayList<>(List.of(new BrewEvent.Started(UUID.randomUUID(), start)));
        Instant at = start;
        for (Step step : plan.steps()) {
            if (step.id().equals("s3")) {
                break;
            }
            at = at.plusSeconds(Math.round(step.durationS()) + (step.id().equals("s1") ? 1200 : 0));
            events.add(new BrewEvent.StepDone(UUID.randomUUID(), at, step.id(), BrewEvent.Sign.PLAN));
        }
        LiveBrew live = LiveBrew.fold(plan, events);
        assertThat(live.now().orElseThrow().step().id()).isEqualTo("s3");
        assertThat(live.predicted().water().yieldMl()).isCloseTo(300, within(0.5));
    }

    /** The simulated pot holds both liquors once they are united, and is at its mark when the plan says so. */
    @Test
    void theSimulatedKitchenFollowsABatch() {
        BrewPlan plan = plan(twoBoilsReduced());
        Instant start = Instant.parse("2026-12-02T17:00:00Z");
        List<BrewEvent> events = new ArrayList<>(List.of(new BrewEvent.Started(UUID.randomUUID(), start)));
        Step last = plan.steps().get(plan.steps().size() - 1);
        for (Step step : plan.steps()) {
            if (step != last && !step.aside()) {
                Instant at = start.plusMillis(Math.round(step.endS() * 1000));
                events.add(new BrewEvent.StepDone(UUID.randomUUID(), at, step.id(), BrewEvent.Sign.PLAN));
            }
        }
        LiveBrew live = LiveBrew.fold(plan, events);
        SimulatedKitchen exact = new SimulatedKitchen(1, 9);
        Instant begins = start.plusMillis(Math.round(last.startS() * 1000));
        StageRun down = only(plan, 7);
        assertThat(exact.at(plan, live, begins.plusSeconds(1)).waterMl() / down.startMl())
                .as("both liquors are in the pot")
                .isBetween(0.9, 1.1);
        Instant ends = start.plusMillis(Math.round(last.endS() * 1000));
        SimulatedKitchen.Readings end = exact.at(plan, live, ends);
        assertThat(end.fulfilled()).isTrue();
        assertThat(end.waterMl()).isBetween(250.0, 365.0);
    }

    @Test
    void whatIsHeatedAgainStandsInAPot() {
        for (Receiver cold : List.of(Receiver.CUPS, Receiver.JUG, Receiver.JAR, Receiver.BOTTLE)) {
            Recipe recipe = roots().withStages(
                            List.of(heat(), simmer(30, true), into(cold), new Stage.Boil(5, Flame.MEDIUM, false)));
            assertThatThrownBy(() -> plan(recipe))
                    .as(cold.name())
                    .isInstanceOfSatisfying(InvalidInputException.class, e -> assertThat(e.violations())
                            .first()
                            .satisfies(v -> assertThat(v.field()).isEqualTo("recipe.stages[3].kind")));
        }
        assertThat(plan(roots(boil(5, false))).stages()).hasSize(4);
    }

    /** Two litres are not three mugs of 235 mL: the recipe is asked. */
    @Test
    void aYieldThatThePotCannotGiveIsAsked() {
        Recipe recipe = withPour(
                recipe(
                        Tradition.FOLK,
                        3,
                        235,
                        List.of(dried("ginger", Cut.SLICED, 30, Unit.GRAM, 0)),
                        heat(),
                        simmer(20, true),
                        strain()),
                2000);
        assertThat(plan(recipe).notes())
                .anyMatch(n -> n instanceof Caution.RecipeContradictsItself c
                        && c.other().millilitres() > 1500);
    }
}
