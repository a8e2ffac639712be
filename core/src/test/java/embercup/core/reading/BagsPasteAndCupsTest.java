package embercup.core.reading;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Addition.Into;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Recipe;
import embercup.core.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bags of a blend, a herb ground to a paste with water of its own, and what goes into one cup and not into another. */
class BagsPasteAndCupsTest {

    private static final Reader READER = new Reader(MATERIA);

    private static Reading reading(String text) {
        return READER.read(text, MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE);
    }

    private static Recipe recipe(String text) {
        return reading(text).recipe();
    }

    private static Addition of(Recipe recipe, String herb) {
        return recipe.additions().stream()
                .filter(a -> a.herb().equals(herb))
                .findFirst()
                .orElseThrow(() -> new AssertionError(herb + " is not in " + recipe.additions()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 tea bags of peppermint and chamomile|2|1",
                "1 teabag of linden and elderflower|2|0.5",
                "3 bags of chamomile, peppermint and fennel|3|1"
            })
    void aBagOfABlendHoldsAShareOfEach(String line, int herbs, double each) {
        List<Addition> all = recipe("Bags\n" + line + "\n2 cups boiling water\nSteep 6 minutes.")
                .additions();
        assertThat(all).hasSize(herbs).allSatisfy(a -> {
            assertThat(a.quantity().unit()).isEqualTo(Unit.BAG);
            assertThat(a.quantity().amount()).isCloseTo(each, within(1e-9));
        });
    }

    @Test
    void aBolsitaIsABag() {
        Recipe cup = recipe("Taza\n2 bolsitas de manzanilla y tilo\n2 tazas de agua hirviendo\nReposar 5 minutos.");
        assertThat(cup.additions()).hasSize(2).allSatisfy(a -> assertThat(a.quantity())
                .isEqualTo(Quantity.of(1, Unit.BAG)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 tbsp fenugreek seeds, ground to a paste with 3 tbsp water|Simmer the paste in the water for 10 minutes.|fenugreek|44.4",
                "1 inch fresh turmeric|Grind the turmeric with 2 tablespoons of water to a paste. Stir in the paste and simmer 5 minutes.|turmeric|29.6",
                "1 tbsp cumin seeds|Pound the cumin to a paste with 50 ml water and simmer 10 minutes.|cumin|50"
            })
    void aPasteBringsItsWater(String line, String method, String herb, double ml) {
        Recipe paste = recipe("Paste\n" + line + "\n2 cups water\n" + method + " Strain.");
        assertThat(of(paste, herb).cut()).isEqualTo(Cut.PASTE);
        assertThat(of(paste, herb).prep()).contains("paste").contains("water");
        assertThat(paste.pourMl().orElseThrow()).isCloseTo(2 * 236.6 + ml, within(0.2));
        assertThat(paste.cups())
                .as("the cups are those of the water, not of the paste")
                .isEqualTo(2);
    }

    private static final String LATER = """
            Later cups
            2 tbsp dried burdock root
            4 cups water
            1 tsp honey
            Simmer 20 minutes, strain. Stir the honey into the first cup; to each later cup add a teaspoon of ghee.
            """;

    @Test
    void whatGoesIntoTheFirstCupAndWhatIntoLaterOnesIsToldApart() {
        Recipe recipe = recipe(LATER);
        assertThat(of(recipe, "honey").open().into()).isEqualTo(Into.FIRST_CUP);
        assertThat(of(recipe, "ghee").open().into()).isEqualTo(Into.LATER_CUPS);
    }

    /** A teaspoon of honey weighs about 7 g (USDA SR, mem): one of it, and three of ghee for four cups. */
    @Test
    void eachIsMeasuredForTheCupsItGoesInto() {
        BrewPlan plan = new Planner(MATERIA).plan(PlanRequest.asWritten(recipe(LATER)));
        PlannedAddition honey = plan.additions().get(1);
        PlannedAddition ghee = plan.additions().get(2);
        assertThat(honey.grams()).isCloseTo(7, within(0.3));
        assertThat(ghee.grams()).isCloseTo(ghee.amount().perCup() * 3, within(1e-9));
        assertThat(Words.ofLanguage("en").measure(honey)).isEqualTo("1 tsp to the first cup");
        assertThat(Words.ofLanguage("en").measure(ghee)).isEqualTo("1 tsp to each later cup, when it is warmed");
    }

    @ParameterizedTest
    @CsvSource({
        "to each cup as you drink it",
        "to each cup when you drink it",
        "into each cup",
        "per cup",
    })
    void aCupThatIsDrunkIsNoDoseOfTheDay(String cups) {
        Recipe recipe = recipe(
                "Honey\n2 tbsp dried burdock root\n4 cups water\nSimmer 20 minutes, strain. Add a teaspoon of honey "
                        + cups + ".");
        assertThat(recipe.posology()).isEmpty();
        assertThat(of(recipe, "honey").quantity().amount()).isEqualTo(4);
        assertThat(of(recipe, "honey").open().into()).isEqualTo(Into.EACH_CUP);
    }

    private static BrewPlan inMug(String text, Set<Companion> companions) {
        Vessel mug = Vessel.of("blue mug", Vessel.Kind.MUG, 8.2, 9.5).with(companions);
        return new Planner(MATERIA)
                .plan(PlanRequest.asWritten(recipe(text)).withKitchen(Kitchen.STANDARD.withVessel(mug)));
    }

    private static String lastLabel(BrewPlan plan) {
        return Words.ofLanguage("en").label(plan, plan.steps().get(plan.steps().size() - 1));
    }

    private static final String CUP = "Cup\n1 tbsp chamomile%s\n1 cup boiling water\nSteep 6 minutes, strain.";

    @Test
    void aTeaBallIsLiftedOutInsteadOfStraining() {
        assertThat(lastLabel(inMug(CUP.formatted(" in a tea ball"), Set.of())))
                .isEqualTo("Lift the tea ball out and let it drip");
        assertThat(lastLabel(inMug(CUP.formatted(""), Set.of(Companion.TEA_BALL))))
                .as("a mug that has one needs no word in the recipe")
                .isEqualTo("Lift the tea ball out and let it drip");
        assertThat(lastLabel(inMug(CUP.formatted(""), Set.of()))).startsWith("Strain through");
    }

    /** What boils or is pressed is in no ball, whatever the vessel has. */
    @Test
    void aPotIsStrainedAlthoughABallGoesWithIt() {
        String pot = "Pot\n1 tbsp dried burdock root\n1 cup water\nSimmer 20 minutes, strain.";
        assertThat(lastLabel(inMug(pot, Set.of(Companion.TEA_BALL)))).startsWith("Strain through");
    }

    @Test
    void theBlenderOfAVesselIsNamed() {
        String text = "Blended\n1 tbsp linden\n1 cup boiling water\nSteep 10 minutes, strain, then blend it.";
        BrewPlan plan = inMug(text, Set.of(Companion.BLENDER));
        assertThat(plan.steps().stream().map(s -> Words.ofLanguage("en").label(plan, s)))
                .anyMatch(l -> l.startsWith("Blend it in the blender of the blue mug"));
    }

    /** What measures something is no name, however it stands first. */
    @ParameterizedTest
    @CsvSource({
        "1 heaped teaspoon of dried chamomile in a tea ball",
        "2 small handfuls of nettle in a muslin bag",
        "1 scant tablespoon linden",
    })
    void aFirstLineThatMeasuresIsNoTitle(String line) {
        Recipe cup = recipe(line + "\n1 mug of boiling water\nPour the water over it, 6 minutes.");
        assertThat(cup.additions()).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({"in a tea ball", "in the tea ball", "into an infuser", "in a muslin bag"})
    void whatHoldsTheHerbIsNoHerb(String where) {
        Reading reading = reading("Ball\n1 tbsp chamomile " + where + "\n1 cup boiling water\nSteep 6 minutes.");
        assertThat(reading.recipe().additions()).hasSize(1);
        assertThat(reading.recipe().told().with().contains(Companion.TEA_BALL)).isEqualTo(!where.contains("muslin"));
        assertThat(reading.lines()).allSatisfy(line -> assertThat(line.asks()).isEmpty());
    }
}
