package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.label;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What is stirred into a cup, and how warm the cup is for it. */
class FinishingTest {

    /** Two mugs of linden, finished with what is given. */
    private static Recipe finishedWith(Addition... finish) {
        List<Addition> all = new ArrayList<>(List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0)));
        all.addAll(List.of(finish));
        return recipe(Tradition.FOLK, 2, 200, all, pour(), steep(10), strain(), new Stage.Finish());
    }

    private static Addition spoon(String what, int stage) {
        return fresh(what, Cut.WHOLE, 2, Unit.TEASPOON, stage);
    }

    private static Recipe honeyCup() {
        return finishedWith(spoon("honey", 3));
    }

    @Test
    void honeyWaitsUntilTheCupIsBelowForty() {
        BrewPlan plan = plan(honeyCup());
        Step cool = plan.steps().stream()
                .filter(s -> kind(s).equals("cool"))
                .findFirst()
                .orElseThrow();
        assertThat(WORDS.label(plan, cool)).isEqualTo("Let it cool to 40 °C");
        assertThat(cool.durationS() / 60)
                .as("an open mug from about 75 °C: 20–30 min time constant (common practice)")
                .isBetween(12.0, 45.0);
        assertThat(plan.reasons()).anyMatch(r -> WORDS.say(r).contains("Honey"));
    }

    @Test
    void honeyGoesInAtAnyTimeWhereTheSchoolHasItSo() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(honeyCup())
                .withSchools(Schools.of(Tradition.FOLK).with(Choice.ANY_TIME)));
        assertThat(plan.stages()).noneMatch(s -> s.stage().kind() == StageKind.COOL);
    }

    /** The cup can be drunk once it is strained: what waits for a cooler one is a matter of each cup, and no part of the pot's time. */
    @Test
    void honeyDoesNotMakeThePotLater() {
        BrewPlan honeyed = plan(honeyCup());
        BrewPlan plain = plan(recipe(
                Tradition.FOLK,
                2,
                200,
                List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain()));
        assertThat(honeyed.readyS()).isCloseTo(plain.totalS(), within(1.0));
        assertThat(honeyed.totalS()).isGreaterThan(honeyed.readyS() + 10 * 60);
        Instant eight = Instant.parse("2026-11-27T20:00:00Z");
        assertThat(honeyed.startFor(eight)).isCloseTo(plain.startFor(eight), within(1, ChronoUnit.SECONDS));
        assertThat(plain.readyS()).isEqualTo(plain.totalS());
    }

    /** A wait that the recipe itself has is part of it. */
    @Test
    void aWaitOfTheRecipesOwnCounts() {
        List<Addition> herbs = List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0), spoon("honey", 4));
        BrewPlan plan = plan(recipe(
                Tradition.FOLK,
                2,
                200,
                herbs,
                pour(),
                steep(10),
                strain(),
                new Stage.Cool(38, false),
                new Stage.Finish()));
        assertThat(plan.readyS()).isEqualTo(plan.totalS());
    }

    /** A pot for two days is not sweetened for the second. */
    @Test
    void cupsOfLaterDaysAreFinishedWhenTheyAreWarmed() {
        PlanRequest two = PlanRequest.asWritten(honeyCup())
                .withTaking(new Taking(OptionalDouble.of(1), java.util.OptionalInt.empty(), List.of()));
        BrewPlan plan = PLANNER.plan(two);
        assertThat(plan.request().days()).isEqualTo(2);
        assertThat(plan.steps().stream().map(s -> WORDS.label(plan, s)))
                .anyMatch(l -> l.contains("each cup of today") && l.contains("when they are warmed"));
        BrewPlan today = PLANNER.plan(PlanRequest.asWritten(honeyCup())
                .withTaking(new Taking(OptionalDouble.of(2), java.util.OptionalInt.empty(), List.of())));
        assertThat(today.steps().stream().map(s -> WORDS.label(today, s))).noneMatch(l -> l.contains("today"));
    }

    /** Ghee melts at about 36 °C (food-chemistry handbooks, from memory): it is stirred in hot, and the honey waits. */
    @Test
    void fatGoesInHotAndHoneyOnlyAfterTheWait() {
        BrewPlan plan = plan(finishedWith(spoon("honey", 3), spoon("ghee", 3)));
        assertThat(plan.stages().stream().map(s -> s.stage().kind()))
                .endsWith(StageKind.STRAIN, StageKind.FINISH, StageKind.COOL, StageKind.FINISH);
        assertThat(startC(plan, "ghee")).isGreaterThan(45);
        assertThat(startC(plan, "honey")).isBetween(39.0, 40.1);
        assertThat(plan.steps().stream().filter(s -> kind(s).equals("finish")).map(s -> label(plan, s)))
                .containsExactly(
                        "Stir ghee into each cup, while it is above 45 °C", "Stir honey into each cup, below 40 °C");
        assertThat(plan.notes()).noneMatch(c -> c.code().equals("cup-too-cool"));
    }

    private static double startC(BrewPlan plan, String herb) {
        int stage = plan.additions().stream()
                .filter(a -> a.herb().equals(herb))
                .findFirst()
                .orElseThrow()
                .stage();
        return plan.stages().get(stage).startC();
    }

    @Test
    void aPlanIsTheSameWhenItIsMadeAgainInTheMiddleOfTheBrew() {
        BrewPlan plan = plan(finishedWith(spoon("honey", 3), spoon("ghee", 3)));
        assertThat(PLANNER.plan(plan.request()).steps()).isEqualTo(plan.steps());
    }

    @Test
    void fatInAColdJarIsToldToSet() {
        Recipe jar = recipe(
                Tradition.FOLK,
                2,
                200,
                List.of(dried("marshmallow", Cut.CHOPPED, 9, Unit.GRAM, 0), spoon("coconut-oil", 2)),
                new Stage.Macerate(240, OptionalDouble.empty(), true),
                strain(),
                new Stage.Finish());
        assertThat(plan(jar).notes())
                .filteredOn(c -> c.code().equals("cup-too-cool"))
                .singleElement()
                .satisfies(c -> assertThat(WORDS.say(c)).contains("melts at about 25 °C"));
    }

    /** A mug takes the boil off: about 80 °C are left in it, and lemon and milk need not wait (design value of the gate). */
    @Test
    void lemonGoesIntoACupThatIsNoLongerScalding() {
        BrewPlan plan = plan(finishedWith(spoon("lemon-juice", 3)));
        assertThat(startC(plan, "lemon-juice")).isLessThan(85);
        assertThat(plan.steps()).noneMatch(s -> kind(s).equals("cool"));
        assertThat(label(plan, plan.steps().get(plan.steps().size() - 1)))
                .isEqualTo("Stir lemon juice into each cup, below 85 °C");
        assertThat(plan.reasons()).noneMatch(r -> WORDS.say(r).contains("waits"));
        assertThat(plan.steps().stream().filter(s -> kind(s).equals("strain")).map(s -> WORDS.confirm(plan, s)))
                .as("what is confirmed is what comes next")
                .containsExactly("Finish the cup");
    }

    @Test
    void fatAcidAndHoneyEachHaveTheirTurn() {
        BrewPlan plan = plan(finishedWith(spoon("honey", 3), spoon("lemon-juice", 3), spoon("ghee", 3)));
        assertThat(plan.steps().stream().filter(s -> kind(s).equals("finish")).map(s -> label(plan, s)))
                .containsExactly(
                        "Stir ghee into each cup, while it is above 45 °C",
                        "Stir lemon juice into each cup, below 85 °C",
                        "Stir honey into each cup, below 40 °C");
        assertThat(plan.steps().stream().filter(s -> kind(s).equals("cool"))).hasSize(1);
    }

    /** Acid coagulates the milk's casein (common practice, no source). */
    @Test
    void milkAndLemonInOneCupAreTold() {
        assertThat(plan(finishedWith(spoon("milk", 3), spoon("lemon-juice", 3))).notes())
                .anyMatch(c -> c.code().equals("curdles")
                        && WORDS.say(c).equals("Milk splits in a cup with lemon juice: leave one of them out."));
        assertThat(plan(finishedWith(spoon("milk", 3))).notes())
                .noneMatch(c -> c.code().equals("curdles"));
    }

    @Test
    void whatGoesIntoTheCupIsMeasuredByTheCup() {
        BrewPlan plan = plan(honeyCup());
        PlannedAddition honey = plan.additions().get(1);
        assertThat(WORDS.measure(honey)).isEqualTo("1 tsp to each cup");
        assertThat(WORDS.inCup(honey)).isEqualTo("below 40 °C");
        assertThat(plan.steps()).anyMatch(s -> label(plan, s).equals("Put the honey ready, 1 tsp to each cup"));
    }
}
