package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.label;
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
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools.Choice;
import embercup.core.recipe.Stage;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Tinctures, concentrates, spent herbs, gates of the cup, and how schools say a dose. */
class MethodsTest {

    private static BrewPlan plan(PlanRequest request) {
        return PLANNER.plan(request);
    }

    private static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe));
    }

    // ---- a recipe without stages

    @Test
    void aRecipeWithoutStagesGetsThemAndTheirReasons() {
        Recipe none = recipe(Tradition.FOLK, 2, 240, List.of(dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0)));
        BrewPlan plan = plan(none);
        assertThat(plan.stages()).hasSize(3);
        assertThat(plan.reasons()).isNotEmpty();
        assertThat(plan.water().yieldMl()).isCloseTo(480, within(1.0));
    }

    @Test
    void aRecipeWithItsOwnStagesIsNotTalkedInto() {
        assertThat(plan(rootPot()).reasons()).isEmpty();
    }

    // ---- tincture

    private static Recipe yarrowTincture(double percent) {
        return yarrowTincture(percent, 100);
    }

    private static Recipe yarrowTincture(double percent, double grams) {
        return recipe(
                        Tradition.FOLK,
                        5,
                        100,
                        List.of(dried("yarrow", Cut.CHOPPED, grams, Unit.GRAM, 0)),
                        macerate(35 * 1440),
                        new Stage.Strain(true))
                .in(Menstruum.spirit(percent));
    }

    @Test
    void aTinctureIsCoveredLabelledAndShaken() {
        BrewPlan plan = plan(yarrowTincture(40));
        Step stand = plan.steps().stream()
                .filter(s -> kind(s).equals("macerate"))
                .findFirst()
                .orElseThrow();
        assertThat(WORDS.label(plan, stand)).contains("spirit of 40 %", "label", "shake", "35 days");
        assertThat(label(plan, plan.steps().get(plan.steps().size() - 1))).contains("press", "dropper");
        // the press leaves 2 mL of menstruum in a gram of herb (dispensary practice, mem)
        assertThat(plan.water().pourMl() - plan.water().yieldMl()).isCloseTo(200, within(2.0));
    }

    @Test
    void nothingButWaterStandsOnAFlame() {
        Recipe burning = recipe(
                        Tradition.FOLK,
                        2,
                        100,
                        List.of(dried("yarrow", Cut.CHOPPED, 10, Unit.GRAM, 0)),
                        simmer(10, true),
                        strain())
                .in(Menstruum.spirit(40));
        assertThatThrownBy(() -> plan(burning))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(embercup.core.Pots.said(e)).contains("no heat under spirit"));
    }

    @Test
    void aWeakSpiritDoesNotKeepATincture() {
        assertThatThrownBy(() -> plan(yarrowTincture(15)))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(embercup.core.Pots.said(e)).contains("25 to 96 %"));
    }

    @Test
    void spiritDrawsAromaAndLeavesMucilage() {
        BrewPlan water = plan(yarrowTincture(40, 5).in(Menstruum.WATER));
        BrewPlan spirit = plan(yarrowTincture(40, 5));
        assertThat(perGram(spirit, ExtractClass.AROMA)).isGreaterThan(perGram(water, ExtractClass.AROMA));
        assertThat(perGram(spirit, ExtractClass.MUCILAGE)).isLessThan(perGram(water, ExtractClass.MUCILAGE));
    }

    private static double perGram(BrewPlan plan, ExtractClass extractClass) {
        return plan.brew().drawn().get(extractClass) / plan.additions().get(0).grams();
    }

    @Test
    void aStrongerSpiritIsThinnedByThePartsOfItsStrength() {
        // 500 mL of 40 % out of 96 %: 208 mL (alligation, common practice, no source)
        assertThat(Menstruum.spirit(40).ofStrongerMl(500, 96)).isCloseTo(208.3, within(0.1));
    }

    // ---- concentrate

    @Test
    void aConcentrateIsMadeSmallAndServedDiluted() {
        Recipe eight = recipe(
                        Tradition.FOLK,
                        8,
                        240,
                        List.of(fresh("ginger", Cut.SLICED, 112, Unit.GRAM, 0)),
                        pour(),
                        steep(480),
                        strain())
                .diluted(3);
        BrewPlan plan = plan(eight);
        assertThat(plan.water().yieldMl()).isCloseTo(480, within(1.0));
        assertThat(label(plan, plan.steps().get(plan.steps().size() - 1)))
                .contains("a jar", "shake", "serve 60 mL of it with 180 mL of water");
        assertThat(plan(PlanRequest.asWritten(eight).withCups(16)).water().yieldMl())
                .isCloseTo(960, within(1.0));
        assertThat(plan.strength()).isCloseTo(1, within(0.02));
    }

    // ---- spent herbs

    @Test
    void theSecondBrewGivesWhatTheFirstLeft() {
        PlanRequest first = PlanRequest.asWritten(rootPot());
        BrewPlan once = plan(first);
        BrewPlan again = plan(first.spent(true));
        assertThat(again.strength()).isLessThan(once.strength() * 0.8).isPositive();
        assertThat(again.additions().get(0).leftShare())
                .isCloseTo(once.brew().leftInHerbs().get(0).get(ExtractClass.BODY), within(1e-9));
        assertThat(again.water().yieldMl()).isCloseTo(480, within(1.0));
        assertThat(again.water().pourMl())
                .as("wet herbs take no more water")
                .isCloseTo(once.water().pourMl() - once.water().retainedMl(), within(5.0));
        assertThat(again.steps()).noneMatch(s -> kind(s).equals("prep"));
    }

    @Test
    void aLongFirstBrewLeavesLessForTheSecond() {
        Recipe quick = recipe(Tradition.FOLK, 2, 240, rootPot().additions(), simmer(10, true), strain());
        Recipe slow = recipe(Tradition.FOLK, 2, 240, rootPot().additions(), simmer(60, true), strain());
        double leftQuick = plan(PlanRequest.asWritten(quick).spent(true))
                .additions()
                .get(0)
                .leftShare();
        double leftSlow =
                plan(PlanRequest.asWritten(slow).spent(true)).additions().get(0).leftShare();
        assertThat(leftSlow).isLessThan(leftQuick);
    }

    @Test
    void theStrainSaysWhatBecomesOfTheHerbsWhereTheSchoolSaysIt() {
        PlanRequest pot = PlanRequest.asWritten(rootPot());
        assertThat(lastLabel(pot)).doesNotContain("herbs");
        assertThat(lastLabel(pot.withSchools(pot.schools().with(Choice.COMPOST))))
                .contains("compost the herbs");
        assertThat(lastLabel(pot.withSchools(pot.schools().with(Choice.ONCE_MORE))))
                .contains("one more brew");
    }

    private static String lastLabel(PlanRequest request) {
        BrewPlan plan = plan(request);
        return label(plan, plan.steps().get(plan.steps().size() - 1));
    }

    // ---- the dose in the school's words

    @Test
    void everySchoolSaysTheDoseInItsOwnWords() {
        PlanRequest linden = PlanRequest.asWritten(lindenCup());
        assertThat(said(linden, Choice.GRAMS_PER_CUP)).isEqualTo("1.1 g to 150 mL");
        assertThat(said(linden, Choice.SPOONS)).isEqualTo("1 tbsp to a cup");
        assertThat(said(linden, Choice.START_AND_END)).isEqualTo("3.0 g to a pot that ends at 400 mL");
        assertThat(said(linden, Choice.CONCENTRATE)).isEqualTo("0.75 g to 100 mL of concentrate");
        assertThat(said(PlanRequest.asWritten(twoBoils()), Choice.GRAMS_PER_DAY))
                .endsWith("a day");
    }

    private static String said(PlanRequest request, Choice choice) {
        return WORDS.say(plan(request.withSchools(request.schools().with(choice)))
                .additions()
                .get(0)
                .said());
    }

    @Test
    void aRhizomeIsPeeledOnlyWhereTheSchoolPeels() {
        PlanRequest pot = PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(fresh("ginger", Cut.SLICED, 12, Unit.GRAM, 0)),
                simmer(10, true),
                strain()));
        assertThat(WORDS.prep(plan(pot).additions().get(0))).contains("leave the skin on");
        assertThat(WORDS.prep(plan(pot.withSchools(pot.schools().with(Choice.PEELED)))
                        .additions()
                        .get(0)))
                .contains("wash, peel")
                .doesNotContain("skin");
    }

    // ---- single doses

    @Test
    void aCupAboveTheUsualSingleDoseSaysSo() {
        // linden 1.5 g a cup (EMA/HMPC, mem)
        Recipe strong = recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried("linden", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        assertThat(plan(strong).notes()).anySatisfy(n -> assertThat(n.code()).isEqualTo("single-dose"));
        Recipe double_ = strong.withAdditions(List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0)));
        assertThat(plan(double_).notes()).anySatisfy(n -> {
            assertThat(n.code()).isEqualTo("single-dose");
            assertThat(n.severity()).isEqualTo(Severity.CARE);
        });
        assertThat(plan(lindenCup()).notes()).noneMatch(n -> n.code().equals("single-dose"));
    }
}
