package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.dose.Strength;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is done to a herb before it goes in: common practice, no source. */
class PreparedTest {

    private static BrewPlan pot(Addition... herbs) {
        return PLANNER.plan(PlanRequest.asWritten(
                recipe(Tradition.FOLK, 1, 240, List.of(herbs), heat(), simmer(10, true), strain())));
    }

    static Stream<Arguments> herbsAndCuts() {
        return Stream.of(
                // herb, words of its own, its cut as a word, its skin, its rest in minutes
                Arguments.of(dried("ginger", Cut.CHOPPED, 1, Unit.GRAM, 0), List.of(), false, false, 0),
                Arguments.of(dried("ginger", Cut.CRUSHED, 1, Unit.GRAM, 0), List.of(), true, false, 0),
                Arguments.of(dried("ginger", Cut.BRUISED, 1, Unit.GRAM, 0), List.of(), true, false, 0),
                Arguments.of(fresh("ginger", Cut.WHOLE, 4, Unit.GRAM, 0), List.of("wash"), false, true, 0),
                Arguments.of(fresh("ginger", Cut.SLICED, 4, Unit.GRAM, 0), List.of("wash"), true, true, 0),
                Arguments.of(fresh("garlic", Cut.CRUSHED, 3, Unit.GRAM, 0), List.of("crush"), false, false, 10),
                Arguments.of(fresh("garlic", Cut.BRUISED, 3, Unit.GRAM, 0), List.of("crush"), false, false, 10),
                Arguments.of(fresh("garlic", Cut.CHOPPED, 3, Unit.GRAM, 0), List.of(), true, false, 10),
                Arguments.of(fresh("garlic", Cut.WHOLE, 3, Unit.GRAM, 0), List.of(), false, false, 0));
    }

    @ParameterizedTest
    @MethodSource("herbsAndCuts")
    void everyHerbIsPreparedAsItsFormAndCutWantIt(
            Addition herb, List<String> words, boolean cuts, boolean skin, double restMin) {
        PlannedAddition.Prepared prepared = pot(herb).additions().get(0).prepared();
        assertThat(prepared.steps()).isEqualTo(words);
        assertThat(prepared.comminution()).isEqualTo(cuts ? Optional.of(herb.cut()) : Optional.empty());
        assertThat(prepared.skin().isPresent()).isEqualTo(skin);
        assertThat(prepared.restS()).isEqualTo(restMin * 60);
    }

    @Test
    void theSchoolSaysWhetherTheSkinStaysOn() {
        PlanRequest on = PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(fresh("ginger", Cut.SLICED, 4, Unit.GRAM, 0)),
                heat(),
                simmer(10, true),
                strain()));
        assertThat(PLANNER.plan(on.withSchools(on.schools().with(Schools.Choice.PEELED)))
                        .additions()
                        .get(0)
                        .prepared()
                        .skin())
                .contains(PlannedAddition.Skin.PEELED);
        assertThat(PLANNER.plan(on.withSchools(on.schools().with(Schools.Choice.SKIN_ON)))
                        .additions()
                        .get(0)
                        .prepared()
                        .skin())
                .contains(PlannedAddition.Skin.LEFT_ON);
    }

    /** Measuring takes 25 s, the knife what the cut asks; dried herbs come cut. */
    @ParameterizedTest
    @CsvSource({
        "true, WHOLE, 55", "true, BRUISED, 65", "true, CRUSHED, 85", "true, SLICED, 115", "true, CHOPPED, 115",
        "true, GRATED, 145", "true, GROUND, 145", "true, PASTE, 175", "false, WHOLE, 25", "false, CHOPPED, 25",
        "false, CRUSHED, 70", "false, BRUISED, 55"
    })
    void aCutTakesItsTime(boolean fresh, Cut cut, double seconds) {
        Addition ginger = fresh ? fresh("ginger", cut, 4, Unit.GRAM, 0) : dried("ginger", cut, 1, Unit.GRAM, 0);
        assertThat(pot(ginger).steps())
                .filteredOn(Step.Prepare.class::isInstance)
                .singleElement()
                .satisfies(s -> assertThat(s.durationS()).isEqualTo(seconds));
    }

    /** Two lines that say the same are two things to do. */
    @Test
    void theSameHerbTwiceIsMeasuredTwice() {
        Addition twice = dried("linden", Cut.CHOPPED, 1, Unit.GRAM, 0);
        assertThat(pot(twice, twice).steps())
                .filteredOn(Step.Prepare.class::isInstance)
                .extracting(Step::id)
                .doesNotHaveDuplicates()
                .hasSize(2);
    }

    /** The herb that rests longest is got ready first, so that it is ready when the water is. */
    @Test
    void whatRestsLongestComesFirst() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried("linden", Cut.CHOPPED, 1, Unit.GRAM, 0), fresh("garlic", Cut.CRUSHED, 3, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain())));
        List<Step> first = plan.steps().stream()
                .filter(s -> s instanceof Step.Prepare && !s.aside())
                .toList();
        assertThat(first).isNotEmpty();
        assertThat(((Step.Prepare) first.get(0)).addition()).isEqualTo(1);
        Step kettle = plan.steps().stream().filter(Step::heats).findFirst().orElseThrow();
        assertThat(kettle.endS())
                .as("the kettle is hot when the crushed bulb has rested, and heats meanwhile")
                .isCloseTo(first.get(0).endS() + 600, within(1e-6));
        assertThat(kettle.startS()).isLessThan(first.get(0).endS() + 600);
    }

    /** Where a herb goes: into the pot until it is strained, from then on into the cup, and into the pot of a refill. */
    @Test
    void whatGoesInOnceTheLiquorIsOffTheHerbsGoesIntoTheCup() {
        Stage refill = new Stage.Refill(300);
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(
                        dried("linden", Cut.CHOPPED, 1, Unit.GRAM, 0),
                        dried("ginger", Cut.CHOPPED, 0.5, Unit.GRAM, 1),
                        dried("thyme", Cut.CHOPPED, 0.5, Unit.GRAM, 3),
                        dried("sage", Cut.CHOPPED, 0.5, Unit.GRAM, 7)),
                heat(),
                simmer(10, true),
                strain(),
                refill,
                heat(),
                simmer(10, true),
                strain(),
                new Stage.Finish())));
        assertThat(plan.additions()).extracting(PlannedAddition::perCup).containsExactly(false, false, false, true);
    }

    /** 150 mL are the monograph's cup (HMPC). */
    @Test
    void aDoseIsSaidAsTheSchoolSaysIt() {
        PlanRequest order = PlanRequest.asWritten(recipe(
                        Tradition.MONOGRAPH,
                        2,
                        300,
                        List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0)),
                        pour(),
                        steep(10),
                        strain()))
                .withStrength(Strength.STANDARD);
        PlannedAddition.Said perCup = PLANNER.plan(order).additions().get(0).said();
        assertThat(perCup).isInstanceOfSatisfying(PlannedAddition.Said.ToVolume.class, s -> {
            assertThat(s.volume().millilitres()).isEqualTo(150);
            assertThat(s.grams().grams()).isCloseTo(1.5 * 150 / 300, within(1e-9));
        });
        PlannedAddition.Said perPot = PLANNER.plan(
                        order.withSchools(order.schools().with(Schools.Choice.START_AND_END)))
                .additions()
                .get(0)
                .said();
        assertThat(perPot).isInstanceOfSatisfying(PlannedAddition.Said.ToPot.class, s -> {
            assertThat(s.ends().millilitres()).isEqualTo(600);
            assertThat(s.grams().grams()).isCloseTo(3, within(1e-9));
        });
    }
}
