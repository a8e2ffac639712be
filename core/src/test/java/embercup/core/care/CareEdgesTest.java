package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.materia.Occasion;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Where care begins and where it ends: exactly at the age, the gram, the condition. */
class CareEdgesTest {

    private static Recipe cup(Addition... herbs) {
        return recipe(Tradition.MONOGRAPH, 1, 200, List.of(herbs), pour(), steep(10), strain());
    }

    private static <C extends Caution> Optional<C> told(Class<C> kind, BrewPlan plan) {
        return new Care(MATERIA)
                .judge(plan, History.NONE).cautions().stream()
                        .filter(kind::isInstance)
                        .map(kind::cast)
                        .findFirst();
    }

    private static BrewPlan forDrinker(Recipe recipe, Drinker drinker) {
        return PLANNER.plan(PlanRequest.asWritten(recipe).withDrinker(drinker));
    }

    private static final Recipe LINDEN = cup(dried("linden", Cut.CHOPPED, 1.5, Unit.GRAM, 0));

    /** Two years are the youngest (HMPC's usual floor for any tea, mem). */
    @ParameterizedTest
    @CsvSource({"1.9, true", "2, false", "3, false"})
    void underTwoIsUnderTwo(double years, boolean told) {
        assertThat(told(Caution.UnderTwo.class, forDrinker(LINDEN, child(years, 12)))
                        .isPresent())
                .isEqualTo(told);
    }

    @Test
    void whoIsPregnantOrNursesIsToldSoWithEveryHerbAndNobodyElseIs() {
        assertThat(told(Caution.PregnancyGeneral.class, forDrinker(LINDEN, adultWith(60, Condition.PREGNANT))))
                .isPresent();
        assertThat(told(Caution.PregnancyGeneral.class, forDrinker(LINDEN, adultWith(60, Condition.BREASTFEEDING))))
                .isPresent();
        assertThat(told(Caution.PregnancyGeneral.class, forDrinker(LINDEN, adultWith(60, Condition.KIDNEY))))
                .isEmpty();
    }

    /** Ginger from six years on (HMPC, as its file says). */
    @ParameterizedTest
    @CsvSource({"5.9, true", "6, false"})
    void anHerbsYoungestAgeIsItsFloor(double years, boolean told) {
        Recipe ginger = cup(dried("ginger", Cut.CHOPPED, 0.5, Unit.GRAM, 0));
        assertThat(told(Caution.AgeFloor.class, forDrinker(ginger, child(years, 20)))
                        .isPresent())
                .isEqualTo(told);
        assertThat(Suits.herb(MATERIA.herb("ginger", "herb"), child(years, 20))).isEqualTo(!told);
    }

    @ParameterizedTest
    @CsvSource({"0.98, false", "1.0, false", "1.02, true"})
    void cupsADayThatMakeMoreThanTheLargestUsualDayAreTold(double share, boolean told) {
        double most = MATERIA.herb("linden", "herb")
                .mostPerDayG(Tradition.MONOGRAPH, Form.DRIED)
                .orElseThrow()
                .value();
        Recipe eight = cup(dried("linden", Cut.CHOPPED, most * share / 8, Unit.GRAM, 0))
                .taken(new Posology(8, Posology.When.ANY_TIME, OptionalInt.empty(), 0));
        Optional<Caution.PosologyDay> caution =
                told(Caution.PosologyDay.class, PLANNER.plan(PlanRequest.asWritten(eight)));
        assertThat(caution.isPresent()).isEqualTo(told);
        caution.ifPresent(c -> assertThat(c.day().grams()).isCloseTo(most * share, within(1e-9)));
    }

    /** Ginger irritates an empty stomach, linden does not (common practice, no source). */
    @Test
    void onlyTheHerbsThatIrritateAreDrunkWithFood() {
        Recipe both =
                cup(dried("linden", Cut.CHOPPED, 1.5, Unit.GRAM, 0), dried("ginger", Cut.CHOPPED, 0.5, Unit.GRAM, 0));
        assertThat(told(Caution.Stomach.class, forDrinker(both, Drinker.ADULT))
                        .orElseThrow()
                        .herbs())
                .containsExactly(HerbName.of(MATERIA.herb("ginger", "herb")));
        assertThat(told(Caution.Stomach.class, forDrinker(LINDEN, Drinker.ADULT)))
                .isEmpty();
        assertThat(told(Caution.Stomach.class, forDrinker(both, adultWith(60, Condition.STOMACH_IRRITATION))))
                .as("she is told for her own stomach already")
                .isEmpty();
    }

    private static Recipe tincture() {
        return recipe(
                        Tradition.FOLK,
                        1,
                        200,
                        List.of(dried("valerian", Cut.CHOPPED, 40, Unit.GRAM, 0)),
                        macerate(20160),
                        strain())
                .in(new Menstruum(Menstruum.Kind.SPIRIT, 45));
    }

    /** Spirits: never under eighteen, in pregnancy or while nursing (common practice; local law decides the age). */
    @ParameterizedTest
    @CsvSource({"17.9, STOP", "18, NOTE"})
    void spiritsAreForAdults(double years, Severity severity) {
        assertThat(told(Caution.Alcohol.class, forDrinker(tincture(), child(years, 60)))
                        .orElseThrow()
                        .severity())
                .isEqualTo(severity);
    }

    @ParameterizedTest
    @EnumSource(
            value = Condition.class,
            names = {"PREGNANT", "BREASTFEEDING"})
    void spiritsAreNotForWhoIsPregnantOrNurses(Condition condition) {
        assertThat(told(Caution.Alcohol.class, forDrinker(tincture(), adultWith(60, condition)))
                        .orElseThrow()
                        .severity())
                .isEqualTo(Severity.STOP);
    }

    @Test
    void spiritsWithALiverConditionAskThePrescriber() {
        assertThat(told(Caution.Alcohol.class, forDrinker(tincture(), adultWith(60, Condition.LIVER)))
                        .orElseThrow()
                        .severity())
                .isEqualTo(Severity.CARE);
        assertThat(told(Caution.Alcohol.class, forDrinker(LINDEN, Drinker.ADULT)))
                .isEmpty();
    }

    /** Fresh herbs count by their dry matter, spent herbs by what is left in them. */
    @Test
    void whatAPotHoldsIsOfItsDryMatterAndOfWhatIsLeft() {
        Recipe cassia = recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried("cinnamon-cassia", Cut.CHOPPED, 1, Unit.GRAM, 0)),
                heat(),
                simmer(10, true),
                strain());
        PlanRequest first = PlanRequest.asWritten(cassia);
        BrewPlan second = PLANNER.plan(new PlanRequest(
                first.recipe(),
                first.serving(),
                first.drinker(),
                first.kitchen(),
                first.custom(),
                first.schools(),
                first.taking(),
                true));
        double left = second.additions().get(0).leftShare();
        double whole = new Care(MATERIA)
                .contents(PLANNER.plan(first))
                .get(Constituent.COUMARIN)
                .value();
        assertThat(left).isBetween(0.05, 0.95);
        assertThat(new Care(MATERIA).contents(second).get(Constituent.COUMARIN).value())
                .isCloseTo(whole * left, within(1e-9));
    }

    private static Occasion occasion(String words) {
        return MATERIA.occasions().stream()
                .filter(o -> o.words().equals(words))
                .findFirst()
                .orElseThrow();
    }

    /** A blend of one or two herbs: the middle of each usual dose, shared; cut as its part is (common practice). */
    @Test
    void aBlendSharesTheMiddleOfTheUsualDosesAndCutsByPart() {
        Blend blend =
                Blend.of(MATERIA, occasion("after a meal"), List.of("peppermint", "caraway"), Drinker.ADULT, 2, 200);
        assertThat(blend.recipe().additions()).hasSize(2).allSatisfy(a -> {
            var range = MATERIA.herb(a.herb(), "herb")
                    .dose(Tradition.MONOGRAPH, Form.DRIED)
                    .orElseThrow()
                    .perCupG();
            assertThat(a.quantity().amount()).isCloseTo((range.low() + range.high()) / 2, within(1e-9));
            assertThat(a.cut()).isEqualTo(a.herb().equals("caraway") ? Cut.CRUSHED : Cut.CHOPPED);
        });
    }
}
