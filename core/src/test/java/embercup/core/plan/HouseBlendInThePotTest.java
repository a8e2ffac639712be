package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.care.WayOut;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.keeping.OnTheShelf;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.HouseBlend.Portion;
import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.reading.Answers;
import embercup.core.reading.Reader;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.StageKind;
import embercup.core.workings.InvalidInputException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A blend that the house keeps in a jar: an ingredient by the spoon, with the weight, the dose and the care of its herbs. */
class HouseBlendInThePotTest {

    private static Portion part(String herb, Form form, Cut cut, double amount, Unit unit) {
        return new Portion(herb, form, cut, Quantity.of(amount, unit));
    }

    private static final HouseBlend EVENING = new HouseBlend(
            "evening-blend",
            "Evening blend",
            "",
            List.of(
                    part("chamomile", Form.DRIED, Cut.WHOLE, 2, Unit.PART),
                    part("lemon-balm", Form.DRIED, Cut.CHOPPED, 1, Unit.PART),
                    part("fennel", Form.DRIED, Cut.CRUSHED, 1, Unit.PART)));
    private static final HouseBlend SWEET_ROOT = new HouseBlend(
            "sweet-root-mix",
            "Sweet root mix",
            "",
            List.of(
                    part("liquorice", Form.DRIED, Cut.SLICED, 10, Unit.GRAM),
                    part("ginger", Form.DRIED, Cut.SLICED, 2, Unit.TABLESPOON),
                    part("cinnamon-true", Form.DRIED, Cut.WHOLE, 2, Unit.STICK)));
    private static final HouseBlend ROOT_AND_LEAF = new HouseBlend(
            "root-and-leaf",
            "Root and leaf",
            "",
            List.of(
                    part("dandelion", Form.DRIED, Cut.CHOPPED, 1, Unit.PART),
                    part("nettle", Form.DRIED, Cut.CHOPPED, 3, Unit.PART)));

    private static final Materia HOUSE =
            Stream.of(EVENING, SWEET_ROOT, ROOT_AND_LEAF).reduce(MATERIA, (m, b) -> b.in(m), (a, b) -> b);
    private static final Planner PLANNER = new Planner(HOUSE);

    private static Addition spoons(HouseBlend blend, double amount, Unit unit) {
        return dried(blend.slug(), Cut.CHOPPED, amount, unit, 0);
    }

    private static Recipe infused(Addition... herbs) {
        return recipe(Tradition.FOLK, 2, 240, List.of(herbs), pour(), steep(10), strain());
    }

    private static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe));
    }

    /** Two spoons of one herb and one of another fill three spoons, and weigh what they weigh. */
    @Test
    void aSpoonOfABlendWeighsWhatItsHerbsWeighForTheSpoonsTheyFill() {
        double chamomile = grams(plan(infused(dried("chamomile", Cut.WHOLE, 2, Unit.TEASPOON, 0))));
        double balm = grams(plan(infused(dried("lemon-balm", Cut.CHOPPED, 1, Unit.TEASPOON, 0))));
        double fennel = grams(plan(infused(dried("fennel", Cut.CRUSHED, 1, Unit.TEASPOON, 0))));
        BrewPlan blended = plan(infused(spoons(EVENING, 4, Unit.TEASPOON)));
        assertThat(blended.additions().stream().map(PlannedAddition::grams))
                .usingComparatorForType((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1, Double.class)
                .containsExactly(chamomile, balm, fennel);
    }

    /** It is spooned out of its own jar (common practice, no source), so that jar is asked, and no tin of its herbs. */
    @ParameterizedTest(name = "{0} of what is needed")
    @CsvSource({"0, true", "0.5, true", "1, false", "3, false"})
    void aBlendThatStandsMixedIsShortByItsOwnJar(double share, boolean asked) {
        for (HouseBlend blend : List.of(EVENING, SWEET_ROOT, ROOT_AND_LEAF)) {
            List<PlannedAddition> pot =
                    plan(infused(spoons(blend, 4, Unit.TEASPOON))).additions();
            double needed = pot.stream().mapToDouble(PlannedAddition::grams).sum();
            Set<String> herbs = Stream.concat(
                            Stream.of(blend.slug()), pot.stream().map(PlannedAddition::herb))
                    .collect(Collectors.toSet());
            assertThat(OnTheShelf.takenFrom(pot, herbs)).containsExactly(blend.slug());
            OnTheShelf shelf =
                    new OnTheShelf(Map.of(new OnTheShelf.Thing(blend.slug(), Form.DRIED), needed * share), herbs);
            assertThat(shelf.notEnough(pot))
                    .extracting(lack -> lack.herb().orElseThrow())
                    .isEqualTo(asked ? List.of(blend.slug()) : List.of());
            Set<String> apart = pot.stream().map(PlannedAddition::herb).collect(Collectors.toSet());
            assertThat(OnTheShelf.takenFrom(pot, apart))
                    .as("mixed anew out of the tins of its herbs")
                    .isEqualTo(apart);
        }
    }

    private static double grams(BrewPlan plan) {
        return plan.additions().stream().mapToDouble(PlannedAddition::grams).sum();
    }

    static Stream<Addition> amounts() {
        return Stream.of(EVENING, SWEET_ROOT, ROOT_AND_LEAF)
                .flatMap(b -> Stream.of(
                        spoons(b, 2, Unit.TEASPOON),
                        spoons(b, 1, Unit.TABLESPOON),
                        spoons(b, 0.25, Unit.CUP),
                        spoons(b, 5, Unit.GRAM),
                        spoons(b, 1, Unit.OUNCE),
                        spoons(b, 1, Unit.HANDFUL),
                        spoons(b, 2, Unit.PINCH),
                        spoons(b, 2, Unit.BAG)));
    }

    /** The cup of a blend is the cup of its herbs, whatever it is measured in: as strong, as much in the day, the same cautions. */
    @ParameterizedTest
    @MethodSource("amounts")
    void theCupOfABlendIsTheCupOfItsHerbs(Addition amount) {
        BrewPlan blended = plan(infused(amount));
        Addition[] loose = blended.additions().stream()
                .map(a -> new Addition(a.herb(), a.form(), a.cut(), Quantity.of(a.grams(), Unit.GRAM), 0))
                .toArray(Addition[]::new);
        BrewPlan apart = plan(infused(loose));
        assertThat(blended.brew().drawn()).isEqualTo(apart.brew().drawn());
        assertThat(blended.water().pourMl()).isCloseTo(apart.water().pourMl(), within(1e-6));
        Care care = new Care(HOUSE);
        List<Caution> cautions = care.judge(blended, History.NONE).cautions();
        // What a day's limit cuts is told of the blend, and there is nothing to cut of its herbs any more.
        if (cautions.stream().noneMatch(Caution.DoseClipped.class::isInstance)) {
            assertThat(blended.strength()).isCloseTo(apart.strength(), within(1e-9));
            assertThat(cautions.stream().map(Caution::slugs))
                    .containsExactlyInAnyOrderElementsOf(care.judge(apart, History.NONE).cautions().stream()
                            .map(Caution::slugs)
                            .toList());
        }
    }

    /** However strong, for whomever, and whatever is cut by a day's limit: the herbs of a jar keep their shares. */
    @ParameterizedTest
    @EnumSource(Strength.class)
    void theHerbsOfAJarKeepTheirShares(Strength strength) {
        for (Purpose purpose : Purpose.values()) {
            for (double age : new double[] {3, 7, 13, 40, 80}) {
                for (HouseBlend blend : List.of(EVENING, SWEET_ROOT, ROOT_AND_LEAF)) {
                    for (double spoons : new double[] {1, 4, 40}) {
                        PlanRequest asked = PlanRequest.asWritten(infused(spoons(blend, spoons, Unit.TEASPOON)))
                                .withServing(new PlanRequest.Serving(2, 240, strength, purpose, 1))
                                .withDrinker(new Drinker(age, OptionalDouble.empty(), Set.of(), Set.of()));
                        BrewPlan plan = PLANNER.plan(asked);
                        double[] own = shares(plan(infused(spoons(blend, 1, Unit.TEASPOON))));
                        if (grams(plan) > 0) {
                            assertThat(shares(plan))
                                    .as("%s, %s, %s years, %s spoons", blend.name(), purpose, age, spoons)
                                    .containsExactly(own, within(1e-9));
                        }
                    }
                }
            }
        }
    }

    private static double[] shares(BrewPlan plan) {
        double all = grams(plan);
        return plan.additions().stream().mapToDouble(a -> a.grams() / all).toArray();
    }

    /** It is measured once, in the cook's unit, and said once in every step. */
    @Test
    void aBlendIsMeasuredOnceAndNamedOnce() {
        BrewPlan plan =
                plan(infused(spoons(EVENING, 2, Unit.TEASPOON), dried("lavender", Cut.WHOLE, 1, Unit.TEASPOON, 0)));
        List<String> steps =
                plan.steps().stream().map(s -> WORDS.label(plan, s)).toList();
        assertThat(steps.stream().filter(s -> s.contains("evening blend"))).hasSize(1);
        assertThat(steps).anySatisfy(s -> assertThat(s).startsWith("Measure 2 tsp of evening blend, "));
        assertThat(steps).noneSatisfy(s -> assertThat(s).containsIgnoringCase("chamomile"));
        assertThat(plan.steps().stream().filter(Step.Prepare.class::isInstance)).hasSize(2);
        assertThat(plan.explained().get("blends.0.grams").value())
                .isCloseTo(plan.additions().get(0).outG().best(), within(1e-9));
    }

    /** Hard and tender parts of one jar go in together, and are infused. */
    @Test
    void aJarOfRootAndLeafIsInfusedTogether() {
        BrewPlan plan = plan(recipe(Tradition.FOLK, 2, 240, List.of(spoons(ROOT_AND_LEAF, 2, Unit.TEASPOON))));
        assertThat(plan.additions().stream().map(PlannedAddition::stage).distinct())
                .hasSize(1);
        assertThat(plan.request().recipe().has(StageKind.STEEP)).isTrue();
        assertThat(plan.request().recipe().has(StageKind.SIMMER)).isFalse();
        BrewPlan hard = plan(recipe(Tradition.FOLK, 2, 240, List.of(spoons(SWEET_ROOT, 2, Unit.TEASPOON))));
        assertThat(hard.request().recipe().has(StageKind.SIMMER)).isTrue();
    }

    /** A herb cannot be picked out of a jar: what is left out, or lessened, is the blend. */
    @Test
    void aWayOutOfWhatOneHerbOfItStopsIsWithoutTheBlend() {
        Recipe cup = recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(spoons(SWEET_ROOT, 3, Unit.TABLESPOON), dried("fennel", Cut.CRUSHED, 2, Unit.TEASPOON, 0)),
                simmer(15, true),
                strain());
        Drinker drinker = new Drinker(60, OptionalDouble.empty(), Set.of(Condition.HIGH_BLOOD_PRESSURE), Set.of());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(cup).withDrinker(drinker));
        Care.Verdict verdict = new Care(HOUSE).judge(plan, History.NONE);
        assertThat(verdict.stops()).isTrue();
        assertThat(WayOut.of(HOUSE, plan, verdict, History.NONE).stream()
                        .filter(WayOut.LeaveOut.class::isInstance)
                        .map(w -> ((WayOut.LeaveOut) w).herb().slug()))
                .containsExactly("sweet-root-mix");
    }

    /** In a text it is named as it is called, in either language's grammar. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 tsp of the evening blend in 2 cups of boiling water, steep 10 minutes | evening-blend | 2 | tsp",
                "Evening cup\\n1 tablespoon evening blend\\n2 cups boiling water\\nSteep 8 minutes. | evening-blend | 1 | tbsp",
                "3 g sweet root mix, simmer 15 minutes in 3 cups water | sweet-root-mix | 3 | g",
                "2 cucharaditas de evening blend, verter 2 tazas de agua hirviendo, reposar 10 minutos | evening-blend | 2 | tsp",
                "1 heaped tsp root and leaf per cup\\n2 cups boiling water\\nsteep 15 min | root-and-leaf | 3 | tsp"
            })
    void aTextNamesItAsAHerb(String text, String slug, double amount, String unit) {
        Recipe read = new Reader(HOUSE)
                .read(text.replace("\\n", "\n"), MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE)
                .recipe();
        assertThat(read.additions()).hasSize(1);
        Addition line = read.additions().get(0);
        assertThat(line.herb()).isEqualTo(slug);
        assertThat(line.quantity())
                .isEqualTo(Quantity.of(amount, Unit.ofCode(unit).orElseThrow()));
        assertThat(plan(read).strength()).isPositive();
    }

    /** What is no blend is said of the field that is wrong. */
    @Test
    void whatIsNoBlendIsRefused() {
        Portion mint = part("peppermint", Form.DRIED, Cut.CHOPPED, 1, Unit.PART);
        Map<String, List<Portion>> wrong = Map.of(
                "parts", List.of(mint),
                "parts[1].herb", List.of(mint, part("honey", Form.FRESH, Cut.WHOLE, 1, Unit.TEASPOON)),
                "parts[0].herb", List.of(part("moon-dust", Form.DRIED, Cut.WHOLE, 1, Unit.PART), mint),
                "parts[1].unit", List.of(mint, part("chamomile", Form.DRIED, Cut.WHOLE, 2, Unit.CLOVE)));
        wrong.forEach((field, parts) -> assertThatThrownBy(() -> new HouseBlend("mix", "Mix", "", parts).in(HOUSE))
                .isInstanceOfSatisfying(InvalidInputException.class, e -> assertThat(
                                Arrays.stream(e.violations().toArray()).map(Object::toString))
                        .anySatisfy(v -> assertThat(v).contains(field))));
        assertThatThrownBy(() -> new HouseBlend(
                                "mix",
                                "Mix",
                                "",
                                List.of(mint, part("evening-blend", Form.DRIED, Cut.CHOPPED, 1, Unit.PART)))
                        .in(HOUSE))
                .isInstanceOf(InvalidInputException.class);
    }
}
