package embercup.core.recipe;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Cut;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Schools.Choice;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Stages from plant parts and tradition: common practice, no source, unless a check names one. */
class ProposalTest {

    private static Proposal propose(Tradition tradition, Addition... herbs) {
        return propose(Schools.of(tradition), tradition, herbs);
    }

    private static Proposal propose(Schools schools, Tradition tradition, Addition... herbs) {
        return Proposal.of(MATERIA, recipe(tradition, 2, 240, List.of(herbs)), schools);
    }

    private static List<StageKind> kinds(Proposal proposal) {
        return proposal.recipe().stages().stream().map(Stage::kind).toList();
    }

    @Test
    void flowersAreInfused() {
        assertThat(kinds(propose(Tradition.MONOGRAPH, dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0))))
                .containsExactly(StageKind.POUR, StageKind.STEEP, StageKind.STRAIN);
    }

    @Test
    void rootsStartInColdWaterAndSimmer() {
        Proposal roots = propose(Tradition.FOLK, dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0));
        assertThat(kinds(roots)).containsExactly(StageKind.HEAT, StageKind.SIMMER, StageKind.STRAIN);
        assertThat(roots.recipe().additions().get(0).stage()).isZero();
        assertThat(WORDS.say(roots.reasons().get(0))).contains("cold water");
    }

    @Test
    void hardPartsAreDecoctedAndTenderPartsInfusedOffTheHeat() {
        Proposal both = propose(
                Tradition.FOLK,
                dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0),
                dried("peppermint", Cut.CHOPPED, 3, Unit.GRAM, 0));
        assertThat(kinds(both)).containsExactly(StageKind.HEAT, StageKind.SIMMER, StageKind.STEEP, StageKind.STRAIN);
        assertThat(both.recipe().additions().get(1).stage()).isEqualTo(2);
        assertThat(both.reasons()).anyMatch(r -> r.stage() == 2 && WORDS.say(r).contains("aroma"));
    }

    @Test
    void theChineseWayBoilsTwiceAndUnitesTheLiquors() {
        Proposal two = propose(
                Tradition.CHINESE,
                dried("astragalus", Cut.SLICED, 15, Unit.GRAM, 0),
                dried("field-mint", Cut.CHOPPED, 4, Unit.GRAM, 0));
        assertThat(kinds(two))
                .containsExactly(
                        StageKind.HEAT,
                        StageKind.SIMMER,
                        StageKind.STRAIN,
                        StageKind.REFILL,
                        StageKind.SIMMER,
                        StageKind.SIMMER,
                        StageKind.STRAIN,
                        StageKind.COMBINE);
        assertThat(two.recipe().stages().get(5))
                .as("field mint: last five minutes (Chinese Pharmacopoeia, mem)")
                .isEqualTo(new Stage.Simmer(5, Flame.LOW, true));
        assertThat(two.recipe().additions().get(1).stage()).isEqualTo(5);
    }

    @Test
    void theKitchenDecoctionIsClockedByItsVolume() {
        Proposal reduced = propose(Tradition.AYURVEDIC, dried("ginger", Cut.CHOPPED, 4, Unit.GRAM, 0));
        assertThat(reduced.recipe().stages()).contains(new Stage.Reduce(480, Flame.MEDIUM, false));
    }

    @Test
    void mucilageIsDrawnCold() {
        assertThat(kinds(propose(Tradition.MONOGRAPH, dried("marshmallow", Cut.CHOPPED, 5, Unit.GRAM, 0))))
                .containsExactly(StageKind.MACERATE, StageKind.STRAIN);
    }

    @Test
    void groundBarkBoilsForTwoMinutes() {
        Proposal ground = propose(Tradition.FOLK, dried("cinnamon-true", Cut.GROUND, 0.25, Unit.TEASPOON, 0));
        assertThat(ground.recipe().stages()).contains(new Stage.Boil(2, Flame.MEDIUM, false));
    }

    @Test
    void freshCitrusPeelGoesInAfterTheFlameIsOff() {
        Proposal peel = propose(
                Tradition.FOLK,
                dried("ginger", Cut.SLICED, 4, Unit.GRAM, 0),
                fresh("lemon-peel", Cut.SLICED, 3, Unit.GRAM, 0));
        int stage = peel.recipe().additions().get(1).stage();
        assertThat(peel.recipe().stages().get(stage).onFlame()).isEmpty();
    }

    @Test
    void vitaminCMaterialIsPouredOverBelowTheBoil() {
        Proposal hips = propose(Tradition.MONOGRAPH, dried("rosehip", Cut.CRUSHED, 5, Unit.GRAM, 0));
        assertThat(hips.recipe().stages().get(0))
                .isInstanceOfSatisfying(
                        Stage.Pour.class, p -> assertThat(p.toC().orElseThrow()).isBetween(80.0, 90.0));
    }

    @Test
    void honeyAndJuiceGoIntoTheCup() {
        Proposal cup = propose(
                Tradition.FOLK,
                dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0),
                fresh("lemon-juice", Cut.WHOLE, 1, Unit.TABLESPOON, 0),
                fresh("honey", Cut.WHOLE, 1, Unit.TEASPOON, 0));
        assertThat(kinds(cup)).endsWith(StageKind.FINISH);
        assertThat(cup.recipe().additions().get(1).stage())
                .isEqualTo(cup.recipe().stages().size() - 1);
    }

    @Test
    void everySchoolOfBoilingMakesItsOwnPot() {
        Addition root = dried("dandelion", Cut.SLICED, 6, Unit.GRAM, 0);
        Schools folk = Schools.of(Tradition.FOLK);
        assertThat(kinds(propose(folk.with(Choice.BOIL_AND_REST), Tradition.FOLK, root)))
                .as("boil 5 min, then rest 5 min off the heat")
                .containsExactly(StageKind.HEAT, StageKind.BOIL, StageKind.REST, StageKind.STRAIN);
        assertThat(kinds(propose(folk.with(Choice.NEVER_BOIL), Tradition.FOLK, root)))
                .doesNotContain(StageKind.BOIL, StageKind.REDUCE);
        assertThat(propose(folk.with(Choice.LONG_SIMMER), Tradition.FOLK, root)
                        .recipe()
                        .stages())
                .contains(new Stage.Simmer(40, Flame.LOW, true));
    }

    @Test
    void herbsMeetTheWaterAsTheSchoolHasIt() {
        Addition root = dried("dandelion", Cut.SLICED, 6, Unit.GRAM, 0);
        Schools folk = Schools.of(Tradition.FOLK);
        Proposal late = propose(folk.with(Choice.AT_THE_BOIL), Tradition.FOLK, root);
        assertThat(late.recipe().additions().get(0).stage()).isEqualTo(1);
        Proposal cooled =
                propose(folk.with(Choice.COOLED), Tradition.FOLK, dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0));
        assertThat(((Stage.Pour) cooled.recipe().stages().get(0)).toC()).hasValue(85);
    }

    @Test
    void pepperAndAcidGoWhereTheSchoolPutsThem() {
        Schools folk = Schools.of(Tradition.FOLK);
        Addition root = dried("turmeric", Cut.SLICED, 4, Unit.GRAM, 0);
        Addition pepper = dried("black-pepper", Cut.GROUND, 0.3, Unit.GRAM, 0);
        Addition juice = fresh("lime-juice", Cut.WHOLE, 1, Unit.TABLESPOON, 0);
        assertThat(propose(folk, Tradition.FOLK, root, pepper)
                        .recipe()
                        .additions()
                        .get(1)
                        .stage())
                .isZero();
        assertThat(kinds(propose(folk.with(Choice.PEPPER_AFTER), Tradition.FOLK, root, pepper)))
                .endsWith(StageKind.FINISH);
        assertThat(kinds(propose(folk.with(Choice.WITH_THE_POT), Tradition.FOLK, root, juice)))
                .doesNotContain(StageKind.FINISH);
    }

    @Test
    void aTinctureStandsForWeeksWithoutAFlame() {
        Recipe jar = recipe(Tradition.FOLK, 5, 100, List.of(dried("yarrow", Cut.CHOPPED, 100, Unit.GRAM, 0)))
                .in(Menstruum.spirit(40));
        Proposal tincture = Proposal.of(MATERIA, jar, Schools.of(Tradition.FOLK));
        assertThat(kinds(tincture)).containsExactly(StageKind.MACERATE, StageKind.STRAIN);
        double days = ((Stage.Macerate) tincture.recipe().stages().get(0)).minutes() / 1440;
        assertThat(days).as("four to six weeks").isBetween(28.0, 42.0);
    }

    static Stream<Herb> herbsForTea() {
        return MATERIA.herbs().stream().filter(h -> h.stop().isEmpty() && h.part() != PlantPart.PANTRY);
    }

    @ParameterizedTest
    @MethodSource("herbsForTea")
    void everyHerbOfTheMateriaCanBeBrewedByItsProposal(Herb herb) {
        // No more than a usual cup of it, so that nothing is cut.
        double grams = herb.doses().stream().mapToDouble(d -> d.perCupG().low()).reduce(0.4, Math::min);
        for (Tradition tradition : Tradition.values()) {
            Proposal p = propose(tradition, dried(herb.slug(), Cut.CHOPPED, grams, Unit.GRAM, 0));
            var plan = embercup.core.Pots.PLANNER.plan(PlanRequest.asWritten(p.recipe()));
            assertThat(plan.water().yieldMl()).isBetween(478.0, 482.0);
            assertThat(plan.strength()).isBetween(0.97, 1.03);
        }
    }

    @ParameterizedTest
    @EnumSource(Schools.Question.class)
    void everyQuestionHasADefaultAndItsWhy(Schools.Question question) {
        assertThat(question.choices()).hasSizeGreaterThan(1);
        assertThat(WORDS.why(question)).endsWith(".");
        assertThat(question.choices()).contains(Schools.of(Tradition.FOLK).chosen(question));
    }
}
