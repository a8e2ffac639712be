package embercup.core.keeping;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.keeping.Keeping.Because;
import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Place;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * How long what is left is good, closed in the fridge: infusion 24–48 h, decoction 72 h, with juice or milk 24 h, a concentrate
 * with citrus 5 days, a cold maceration 24 h (common practice, no source); two hours at room temperature (US FDA Food Code, mem).
 */
class KeepingTest {

    private static final Addition LEAF = dried("lemon-balm", Cut.CHOPPED, 4, Unit.GRAM, 0);
    private static final Addition ROOT = dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0);

    private static Recipe pot(List<Addition> herbs, Stage... stages) {
        return recipe(Tradition.FOLK, 4, 240, herbs, stages);
    }

    static Stream<Arguments> pots() {
        Addition milk = fresh("milk", Cut.WHOLE, 60, Unit.MILLILITRE, 0);
        Addition juice = fresh("orange-juice", Cut.WHOLE, 60, Unit.MILLILITRE, 0);
        Addition honey = fresh("honey", Cut.WHOLE, 2, Unit.TABLESPOON, 0);
        Addition lemon = fresh("lemon", Cut.SLICED, 30, Unit.GRAM, 0);
        return Stream.of(
                Arguments.of("an infusion", pot(List.of(LEAF), pour(), steep(10), strain()), Because.INFUSION, 24),
                Arguments.of("a decoction", pot(List.of(ROOT), simmer(20, true), strain()), Because.DECOCTION, 72),
                Arguments.of("boiled", pot(List.of(ROOT), boil(5, false), strain()), Because.DECOCTION, 72),
                Arguments.of(
                        "an hour in cold water",
                        pot(List.of(LEAF), macerate(60), strain()),
                        Because.COLD_MACERATION,
                        24),
                Arguments.of(
                        "a night on the table", pot(List.of(LEAF), macerate(480), strain()), Because.STOOD_LUKEWARM, 0),
                Arguments.of(
                        "a night in the fridge",
                        pot(
                                List.of(LEAF),
                                new Stage.Macerate(480, OptionalDouble.empty(), true, Place.FRIDGE),
                                strain()),
                        Because.COLD_MACERATION,
                        24),
                Arguments.of(
                        "a long infusion goes lukewarm",
                        pot(List.of(LEAF), pour(), steep(360), strain()),
                        Because.STOOD_LUKEWARM,
                        0),
                Arguments.of(
                        "milk in the pot",
                        pot(List.of(ROOT, milk), simmer(20, true), strain()),
                        Because.MILK_OR_JUICE,
                        24),
                Arguments.of(
                        "juice in the pot",
                        pot(List.of(ROOT, juice), simmer(20, true), strain()),
                        Because.MILK_OR_JUICE,
                        24),
                Arguments.of(
                        "honey in the pot",
                        pot(List.of(ROOT, honey), simmer(20, true), strain()),
                        Because.SWEETENED,
                        24),
                Arguments.of(
                        "milk in each cup leaves the jar as it is",
                        pot(
                                List.of(ROOT, fresh("milk", Cut.WHOLE, 60, Unit.MILLILITRE, 2)),
                                simmer(20, true),
                                strain(),
                                new Stage.Finish()),
                        Because.DECOCTION,
                        72),
                Arguments.of(
                        "a concentrate with lemon",
                        pot(List.of(ROOT, lemon), simmer(20, true), strain()).diluted(3),
                        Because.CITRUS_CONCENTRATE,
                        120));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("pots")
    void keepsAsLongAsItsMethodAndWhatIsInIt(String what, Recipe pot, Because because, int hours) {
        Keeping keeping = Keeping.of(MATERIA, plan(pot)).orElseThrow();
        assertThat(keeping.because()).as(what).isEqualTo(because);
        assertThat(keeping.hours()).isEqualTo(hours);
        assertThat(keeping.mostHours()).isGreaterThanOrEqualTo(hours);
        assertThat(WORDS.say(keeping)).isNotBlank().doesNotContain("{");
    }

    @Test
    void whatSpiritDrawsKeepsForMonths() {
        Recipe tincture = recipe(Tradition.FOLK, 1, 100, List.of(ROOT), macerate(30 * 1440), strain())
                .in(Menstruum.spirit(40));
        assertThat(Keeping.of(MATERIA, plan(tincture))).isEmpty();
    }

    /** In the fridge the water stands at its 4 °C, and gives the less. */
    @Test
    void aMacerationInTheFridgeIsCold() {
        BrewPlan table = plan(pot(List.of(ROOT), macerate(240), strain()));
        BrewPlan fridge =
                plan(pot(List.of(ROOT), new Stage.Macerate(240, OptionalDouble.empty(), true, Place.FRIDGE), strain()));
        assertThat(fridge.stages().get(0).endC()).isBetween(3.9, 6.0);
        assertThat(table.stages().get(0).endC()).isGreaterThan(15);
        assertThat(fridge.brew().share(ExtractClass.BODY))
                .isLessThan(table.brew().share(ExtractClass.BODY));
    }
}
