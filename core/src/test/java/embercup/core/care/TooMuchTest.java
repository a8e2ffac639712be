package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.dose.UsualDose;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Taking;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Too much of a herb, whatever the lines, forms and spoons it comes in. Doses of EMA/HMPC monographs (mem). */
class TooMuchTest {

    private final Care care = new Care(MATERIA);

    private static Recipe pot(double cups, Addition... herbs) {
        return recipe(Tradition.FOLK, cups, 240, List.of(herbs), simmer(10, true), strain());
    }

    private static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe).withDrinker(adultWith(70)));
    }

    private List<Caution> cautions(PlanRequest request) {
        return care.judge(PLANNER.plan(request), History.NONE).cautions();
    }

    /** Grams of all lines of the pot's only herb as a share of its largest usual day. */
    private static double shareOfDay(BrewPlan plan) {
        double share = 0;
        for (PlannedAddition a : plan.additions()) {
            double most = new UsualDose(MATERIA, MATERIA.herb(a.herb(), "herb"), a.form(), Tradition.FOLK)
                    .mostInDay()
                    .orElseThrow()
                    .value();
            share += a.perCupG() * plan.request().cupsADay() / most;
        }
        return share;
    }

    /** Sixty grams of fresh turmeric are the dry matter of twelve dried ones; three are the day's most. */
    @Test
    void freshFormsCountByTheirDryMatter() {
        BrewPlan plan = plan(pot(2, fresh("turmeric", Cut.SLICED, 60, Unit.GRAM, 0)));
        assertThat(plan.notes()).anyMatch(n -> n.code().equals("dose-clipped"));
        assertThat(shareOfDay(plan)).isLessThanOrEqualTo(1 + 1e-9);
        assertThat(plan.additions().get(0).grams()).isLessThan(60);
    }

    @ParameterizedTest
    @CsvSource({"turmeric, 2", "sage, 3", "valerian, 4", "peppermint, 6", "liquorice, 3", "cinnamon-true, 2", "thyme, 4"
    })
    void linesOfOneHerbAddUp(String slug, double each) {
        Addition cut = dried(slug, Cut.CHOPPED, each, Unit.GRAM, 0);
        Addition powder = dried(slug, Cut.GROUND, each, Unit.GRAM, 0);
        Addition fresh = fresh(slug, Cut.CHOPPED, each * 5, Unit.GRAM, 0);
        for (Addition[] lines : new Addition[][] {{cut, powder}, {cut, fresh}, {cut, powder, fresh}}) {
            BrewPlan plan = plan(pot(1, lines));
            BrewPlan many = PLANNER.plan(PlanRequest.asWritten(pot(1, lines))
                    .withDrinker(adultWith(70))
                    .withTaking(new Taking(OptionalDouble.of(4), OptionalInt.empty(), List.of())));
            assertThat(shareOfDay(plan)).as(slug).isLessThanOrEqualTo(1 + 1e-9);
            double usualCups =
                    MATERIA.herb(slug, "herb").doses().get(0).timesADay().high();
            assertThat(shareOfDay(many) * Math.min(4, usualCups) / 4).as(slug).isLessThanOrEqualTo(1 + 1e-9);
        }
        BrewPlan one = plan(pot(1, cut));
        BrewPlan two = plan(pot(
                1, dried(slug, Cut.CHOPPED, each / 2, Unit.GRAM, 0), dried(slug, Cut.CHOPPED, each / 2, Unit.GRAM, 0)));
        assertThat(two.additions().stream().mapToDouble(PlannedAddition::grams).sum())
                .as("two half lines are one line")
                .isCloseTo(one.additions().get(0).grams(), within(1e-9));
    }

    /** What is cut holds no more than a usual single dose: no cup is left with a whole day in it. */
    @ParameterizedTest
    @CsvSource({
        "sage, 20, 2",
        "chamomile, 40, 4",
        "valerian, 30, 3",
        "ginger, 12, 1",
        "yarrow, 20, 2",
        "horsetail, 40, 4"
    })
    void aClipNeverLeavesADayInOneCup(String slug, double written, double single) {
        BrewPlan plan = plan(pot(1, dried(slug, Cut.CHOPPED, written, Unit.GRAM, 0)));
        assertThat(plan.additions().get(0).perCupG()).isLessThanOrEqualTo(single + 1e-9);
    }

    @Test
    void oneCupStandsAgainstTheSingleDoseOfAllItsLines() {
        BrewPlan plan = plan(
                pot(1, dried("sage", Cut.CHOPPED, 1.5, Unit.GRAM, 0), dried("sage", Cut.GROUND, 1.6, Unit.GRAM, 0)));
        assertThat(plan.notes())
                .filteredOn(n -> n.code().equals("single-dose"))
                .singleElement()
                .satisfies(n -> assertThat(n.severity()).isEqualTo(Severity.CARE));
    }

    /** Two thirds of a day of willow and two thirds of meadowsweet are more than one day of salicylates. */
    @Test
    void salicylatesAddUpOverTheirHerbs() {
        List<Caution> much = cautions(PlanRequest.asWritten(pot(
                        3,
                        dried("willow-bark", Cut.CHOPPED, 8, Unit.GRAM, 0),
                        dried("meadowsweet", Cut.CHOPPED, 10, Unit.GRAM, 0)))
                .withDrinker(adultWith(70)));
        assertThat(much).anySatisfy(c -> {
            assertThat(c).isInstanceOf(Caution.AddsUp.class);
            assertThat(c.severity()).isEqualTo(Severity.CARE);
            assertThat(c.slugs()).containsExactlyInAnyOrder("willow-bark", "meadowsweet");
        });
        List<Caution> little = cautions(PlanRequest.asWritten(pot(
                        3,
                        dried("willow-bark", Cut.CHOPPED, 3, Unit.GRAM, 0),
                        dried("meadowsweet", Cut.CHOPPED, 4, Unit.GRAM, 0)))
                .withDrinker(adultWith(70)));
        assertThat(little).noneMatch(Caution.AddsUp.class::isInstance).anyMatch(Caution.Together.class::isInstance);
    }

    @ParameterizedTest
    @CsvSource({
        "ginger, turmeric, drowsy, 0",
        "valerian, hop, drowsy, 1",
        "garlic, ginger, blood, 1",
        "linden, mint, drowsy, 0"
    })
    void whatMeetsIsSaidOnceTogether(String first, String second, String word, int times) {
        String other = second.equals("mint") ? "peppermint" : second;
        List<Caution> all = cautions(PlanRequest.asWritten(
                pot(2, dried(first, Cut.CHOPPED, 1, Unit.GRAM, 0), dried(other, Cut.CHOPPED, 0.5, Unit.GRAM, 0))));
        assertThat(all.stream()
                        .filter(Caution.Together.class::isInstance)
                        .map(WORDS::say)
                        .filter(s -> s.contains(word)))
                .hasSize(times);
    }

    @Test
    void theSameThingIsSaidOnceForAllHerbs() {
        List<Caution> all = cautions(PlanRequest.asWritten(pot(
                        2,
                        dried("ginger", Cut.CHOPPED, 1, Unit.GRAM, 0),
                        dried("turmeric", Cut.CHOPPED, 1, Unit.GRAM, 0),
                        dried("ginkgo", Cut.CHOPPED, 1, Unit.GRAM, 0)))
                .withDrinker(adultWith(70, Condition.SURGERY_PLANNED)));
        assertThat(all.stream().filter(c -> c.code().equals("surgery-planned")))
                .singleElement()
                .satisfies(c -> assertThat(c.slugs()).containsExactlyInAnyOrder("ginger", "turmeric", "ginkgo"));
    }

    /** A heaped hand with the spoon: where a limit is near, the scale is asked for. */
    @ParameterizedTest
    @CsvSource({
        "sage, 1.2, false",
        "sage, 1.9, true",
        "sage, 2.5, true",
        "valerian, 3.4, true",
        "valerian, 2.9, false",
        "chamomile, 1, false"
    })
    void aHeavySpoonIsWeighedAgainstEveryLimit(String slug, double grams, boolean weigh) {
        Recipe cup = recipe(
                Tradition.MONOGRAPH,
                1,
                200,
                List.of(dried(slug, Cut.CHOPPED, grams, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(cup)
                .withDrinker(adultWith(70))
                .withTaking(new Taking(OptionalDouble.of(3), OptionalInt.empty(), List.of())));
        assertThat(plan.additions().get(0).weigh()).isEqualTo(weigh);
    }

    /** Coumarin of two herbs together stands near the day of a 60 kg adult, 6 mg (EFSA 2008, mem): either spoon may pass it. */
    @Test
    void aHeavySpoonCountsWithTheOtherHerbsOfThePot() {
        Addition cassia = dried("cinnamon-cassia", Cut.GROUND, 0.9, Unit.GRAM, 0);
        Addition woodruff = dried("woodruff", Cut.CHOPPED, 0.2, Unit.GRAM, 0);
        PlanRequest both = PlanRequest.asWritten(pot(1, cassia, woodruff)).withDrinker(adultWith(60));
        assertThat(PLANNER.plan(both).additions()).noneMatch(PlannedAddition::weigh);
        Addition more = dried("woodruff", Cut.CHOPPED, 0.3, Unit.GRAM, 0);
        Addition heavier = dried("cinnamon-cassia", Cut.GROUND, 0.95, Unit.GRAM, 0);
        PlanRequest near = PlanRequest.asWritten(pot(1, heavier, more)).withDrinker(adultWith(58.6));
        assertThat(PLANNER.plan(near).additions()).allMatch(PlannedAddition::weigh);
        assertThat(PLANNER.plan(PlanRequest.asWritten(pot(1, heavier)).withDrinker(adultWith(58.6)))
                        .additions())
                .noneMatch(PlannedAddition::weigh);
    }

    // ---- prescribed by a practitioner

    private static PlanRequest prescribed(Recipe recipe, int days) {
        return PlanRequest.asWritten(recipe)
                .withTaking(new Taking(OptionalDouble.empty(), OptionalInt.of(days), List.of()));
    }

    @Test
    void aPrescribedFormulaIsToldItsLimitsAndNotStopped() {
        Recipe formula = recipe(
                Tradition.CHINESE,
                3,
                200,
                List.of(
                        dried("liquorice", Cut.SLICED, 6, Unit.GRAM, 0),
                        dried("white-peony", Cut.SLICED, 12, Unit.GRAM, 0)),
                simmer(30, true),
                strain());
        assertThat(care.judge(plan(formula), History.NONE).stops()).isTrue();
        PlanRequest asked = prescribed(formula, 3).withDrinker(adultWith(70));
        Care.Verdict verdict = care.judge(PLANNER.plan(asked), History.NONE);
        assertThat(verdict.stops()).isFalse();
        assertThat(verdict.cautions())
                .anySatisfy(c -> assertThat(c).isEqualTo(new Caution.Prescribed(3, java.util.Optional.empty())))
                .anySatisfy(c -> assertThat(c.code()).isEqualTo("glycyrrhizin"));
        assertThat(WayOut.of(MATERIA, plan(formula), care.judge(plan(formula), History.NONE), History.NONE))
                .contains(new WayOut.Prescribed(3));
    }

    @Test
    void aPrescriptionIsNotForChildrenNorInPregnancyAndLiftsNoOtherStop() {
        Recipe sweet = pot(1, dried("liquorice", Cut.SLICED, 4, Unit.GRAM, 0));
        for (var drinker :
                List.of(child(12, 40), adultWith(60, Condition.PREGNANT), adultWith(60, Condition.BREASTFEEDING))) {
            assertThatThrownBy(() -> PLANNER.plan(prescribed(sweet, 3).withDrinker(drinker)))
                    .isInstanceOf(InvalidInputException.class);
        }
        assertThatThrownBy(() -> PLANNER.plan(prescribed(sweet, 60))).isInstanceOf(InvalidInputException.class);
        for (String refused : List.of("comfrey", "foxglove", "senna")) {
            PlanRequest asked = prescribed(pot(1, dried(refused, Cut.CHOPPED, 1, Unit.GRAM, 0)), 3);
            assertThat(care.judge(PLANNER.plan(asked), History.NONE).stops())
                    .as(refused)
                    .isTrue();
        }
        PlanRequest tablets = prescribed(sweet, 3).withDrinker(adultWith(70, Condition.HIGH_BLOOD_PRESSURE));
        assertThat(care.judge(PLANNER.plan(tablets), History.NONE).stops()).isTrue();
    }

    // ---- several drinkers of one pot

    @Test
    void everyDrinkerOfAPotIsJudgedByHerOwnCups() {
        Recipe pot = pot(4, dried("cinnamon-cassia", Cut.CHOPPED, 4, Unit.GRAM, 0));
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(pot)
                .withDrinker(adultWith(80))
                .withTaking(new Taking(OptionalDouble.of(1), OptionalInt.empty(), List.of())));
        assertThat(care.judge(plan, History.NONE).stops()).isFalse();
        var child = new Taking.Sharer("Ada", child(12, 40), 9, 0.5);
        Care.Verdict hers = care.judge(plan, child, History.NONE);
        assertThat(hers.loads().get(0).mg()).as("4.5 cups of 3 mg").isCloseTo(13.5, within(0.01));
        assertThat(hers.loads().get(0).limitMg()).isCloseTo(4, within(0.01));
        assertThat(hers.stops()).isTrue();
        var tablets = new Taking.Sharer("Siv", adultWith(66, Condition.LIVER), 1, 1);
        assertThat(care.judge(plan, tablets, History.NONE).cautions())
                .anyMatch(c -> c.code().equals("liver") && c.severity() == Severity.STOP)
                .as("what the pot says is said once")
                .noneMatch(c -> c.code().equals("scald"));
    }

    /** Half a cup for a child is what Clark and Young leave of a cup, not a custom. */
    @Test
    void aChildsServingIsItsShareOfTheCup() {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(embercup.core.Pots.lindenCup()));
        double share = Taking.usualServing(child(8, 26));
        assertThat(share).isEqualTo(0.38);
        assertThat(care.judge(plan, new Taking.Sharer("Ada", child(8, 26), 1, share), History.NONE)
                        .stops())
                .isFalse();
        assertThat(care.judge(plan, new Taking.Sharer("Ada", child(8, 26), 1, 0.5), History.NONE)
                        .cautions())
                .anyMatch(Caution.ServingTooLarge.class::isInstance);
        assertThat(Taking.usualServing(adultWith(60))).isEqualTo(1);
    }

    @Test
    void aFormThatNobodyPublishesTakesTheOther() {
        var herb = MATERIA.herb("turmeric", "herb");
        double dried = new UsualDose(MATERIA, herb, Form.DRIED, Tradition.FOLK)
                .mostInDay()
                .orElseThrow()
                .value();
        double fresh = new UsualDose(MATERIA, herb, Form.FRESH, Tradition.FOLK)
                .mostInDay()
                .orElseThrow()
                .value();
        assertThat(fresh / dried).isBetween(3.5, 6.0);
    }
}
