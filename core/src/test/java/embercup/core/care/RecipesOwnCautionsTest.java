package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Step;
import embercup.core.recipe.OwnCaution;
import embercup.core.recipe.OwnCaution.About;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Told;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a recipe itself warns of, each whole, in its place, to whom it is said. */
class RecipesOwnCautionsTest {

    private static final RecipeRules RULES = new RecipeRules(MATERIA, MeasureCustom.DEFAULT);

    private static Recipe pot(OwnCaution... cautions) {
        return recipe(
                        Tradition.FOLK,
                        2,
                        240,
                        List.of(
                                dried("turmeric", Cut.SLICED, 4, Unit.GRAM, 0),
                                dried("fennel", Cut.CRUSHED, 3, Unit.GRAM, 1)),
                        heat(),
                        simmer(15, true),
                        strain())
                .telling(Told.NOTHING.warning(List.of(cautions)));
    }

    private static BrewPlan plan(Drinker drinker, OwnCaution... cautions) {
        return PLANNER.plan(PlanRequest.asWritten(pot(cautions)).withDrinker(drinker));
    }

    private static List<Caution> said(Drinker drinker, OwnCaution... cautions) {
        return new Care(MATERIA)
                .judge(plan(drinker, cautions), History.NONE).cautions().stream()
                        .filter(c -> c instanceof Caution.RecipeSays || c instanceof Caution.RecipeSaysNotFor)
                        .toList();
    }

    private static Drinker with(Condition... conditions) {
        return new Drinker(41, OptionalDouble.of(66), Set.of(conditions), Set.of());
    }

    private static final OwnCaution GLOVES = OwnCaution.ofHerb("wear gloves, it stains", "turmeric");
    private static final OwnCaution STAY = OwnCaution.ofStage("Stay with it, it foams!", 1);
    private static final OwnCaution SIP = OwnCaution.of("sip it slowly", About.TAKING);
    private static final OwnCaution MOULD = OwnCaution.of("Throw it away when it smells of yeast.", About.KEEPING);

    /** Everybody is told, once, as a sentence, and the recipe stands as its source. */
    @Test
    void whatNamesNobodyIsSaidToEverybody() {
        List<Caution> all = said(Drinker.ADULT, GLOVES, STAY, SIP, MOULD);
        assertThat(all)
                .extracting(WORDS::say)
                .containsExactlyInAnyOrder(
                        "The recipe says: Wear gloves, it stains.",
                        "The recipe says: Stay with it, it foams!",
                        "The recipe says: Sip it slowly.",
                        "The recipe says: Throw it away when it smells of yeast.");
        assertThat(all).allSatisfy(c -> {
            assertThat(c.source()).isEqualTo("own");
        });
        assertThat(all)
                .filteredOn(c -> c.severity() == Severity.CARE)
                .as("whoever drinks it must mind")
                .hasSize(2);
        assertThat(all).filteredOn(c -> c.herb().isPresent()).hasSize(1);
    }

    /** Each where the hands are: at the grating, at the stage from its heating on, and taking where the cup is ready. */
    @Test
    void eachIsMindedAtItsStep() {
        BrewPlan plan = plan(Drinker.ADULT, GLOVES, STAY, SIP, MOULD);
        for (Step step : plan.steps()) {
            String minded = String.join(" ", WORDS.minded(plan, step));
            boolean turmeric = step instanceof Step.Prepare p
                    && plan.additions().get(p.addition()).herb().equals("turmeric");
            boolean last = step == plan.steps().get(plan.steps().size() - 1);
            assertThat(minded.contains("gloves")).as(step.id()).isEqualTo(turmeric);
            assertThat(minded.contains("foams")).as(step.id()).isEqualTo(step.stage() == 1);
            assertThat(minded.contains("Sip")).as(step.id()).isEqualTo(last);
            assertThat(minded).doesNotContain("yeast");
        }
    }

    /** Whoever has it is stopped with the recipe's own words; another hears nothing of it. Every condition alike. */
    @ParameterizedTest
    @EnumSource(Condition.class)
    void aConditionThatItNamesStops(Condition condition) {
        OwnCaution says = OwnCaution.notFor("Not with that", Set.of(condition), OptionalDouble.empty());
        assertThat(said(with(condition), says)).singleElement().satisfies(c -> {
            assertThat(c.severity()).isEqualTo(Severity.STOP);
            assertThat(c.about()).isEqualTo(Caution.About.DRINKER);
            assertThat(WORDS.say(c)).isEqualTo("The recipe says: Not with that. It is not for this drinker.");
        });
        assertThat(said(Drinker.ADULT, says)).isEmpty();
    }

    /** "Not for children" stops for the child of the house, from the year on that it names no more. */
    @Test
    void anAgeThatItNamesStopsWhoeverIsYounger() {
        OwnCaution children = OwnCaution.notFor("Not for children.", Set.of(), OptionalDouble.of(12));
        for (double age : new double[] {0.5, 3, 7, 11.9}) {
            assertThat(said(new Drinker(age, OptionalDouble.of(20), Set.of(), Set.of()), children))
                    .as(age + " years")
                    .hasSize(1);
        }
        for (double age : new double[] {12, 15, 80}) {
            assertThat(said(new Drinker(age, OptionalDouble.of(50), Set.of(), Set.of()), children))
                    .as(age + " years")
                    .isEmpty();
        }
    }

    /** People whom nothing here tells apart are left to the cook, and everybody hears it. */
    @Test
    void peopleWhomNothingTellsApartAreLeftToTheCook() {
        assertThat(said(Drinker.ADULT, OwnCaution.of("Not for people who faint easily.", About.WHO)))
                .singleElement()
                .isInstanceOf(Caution.RecipeSays.class);
    }

    static Stream<OwnCaution> contradicting() {
        Optional<String> none = Optional.empty();
        return Stream.of(
                OwnCaution.of(" ", About.TAKING),
                OwnCaution.of("x".repeat(601), About.TAKING),
                OwnCaution.ofHerb("Stains.", "linden"),
                OwnCaution.of("Stains.", About.HERB),
                OwnCaution.ofStage("Foams.", 3),
                OwnCaution.of("Foams.", About.STEP),
                new OwnCaution("Sip.", About.TAKING, Optional.of("fennel"), OptionalInt.empty(), Set.of(), noYears()),
                new OwnCaution("Sip.", About.TAKING, none, OptionalInt.of(1), Set.of(), noYears()),
                new OwnCaution("Cold.", About.KEEPING, none, OptionalInt.empty(), Set.of(), OptionalDouble.of(12)),
                OwnCaution.notFor("Old.", Set.of(), OptionalDouble.of(4000)));
    }

    private static OptionalDouble noYears() {
        return OptionalDouble.empty();
    }

    /** A caution without a text, of a herb or a stage that is not there, or with people where it is not about people: one sentence. */
    @ParameterizedTest
    @MethodSource("contradicting")
    void whatContradictsItselfIsRefusedInOneSentence(OwnCaution says) {
        assertThatThrownBy(() -> RULES.check(pot(says), "recipe"))
                .isInstanceOfSatisfying(InvalidInputException.class, e -> assertThat(e.violations())
                        .singleElement()
                        .satisfies(v -> assertThat(v.field()).startsWith("recipe.told[0]")));
        RULES.check(pot(GLOVES, STAY, SIP, MOULD), "recipe");
    }
}
