package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.proposedCup;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Severity;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Taking;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * More of a herb, more cups, more days or a weaker drinker never make what is said of it milder: every herb of the materia with a
 * usual dose × amounts × cups a day × days in a row × drinkers.
 */
class MoreIsNeverMilderTest {

    /** Times the highest usual single dose. */
    private static final double[] AMOUNTS = {0.25, 1, 1.4, 2, 3, 4.5, 7, 12, 30};

    private static final double[] CUPS_A_DAY = {0, 1, 2, 3, 4, 6};
    /** 0: nobody says for how long. */
    private static final int[] DAYS = {0, 1, 5, 14, 15, 29, 60};

    private static final Drinker ADULT = aged(40);

    private final Care care = new Care(MATERIA);

    private static Drinker aged(double years, Condition... conditions) {
        return new Drinker(years, OptionalDouble.empty(), Set.of(conditions), Set.of());
    }

    /** Each weaker than the one before. */
    private static final List<List<Drinker>> WEAKER = List.of(
            List.of(ADULT, aged(40, Condition.PREGNANT), aged(40, Condition.PREGNANT, Condition.HEART)),
            List.of(ADULT, aged(40, Condition.values())),
            List.of(ADULT, aged(16), aged(11), aged(7), aged(3), aged(1.5), aged(0.2)));

    static Stream<Herb> drunk() {
        return MATERIA.herbs().stream()
                .filter(h -> h.stop().isEmpty()
                        && h.part() != PlantPart.PANTRY
                        && !h.doses().isEmpty());
    }

    private static Recipe cup(Herb herb, double times, int days, double cups) {
        Form form = herb.doses().get(0).form();
        double grams = herb.doses().stream()
                .filter(d -> d.form() == form)
                .mapToDouble(d -> d.perCupG().high())
                .max()
                .orElseThrow();
        Recipe laid = proposedCup(herb, form, grams * times);
        return days == 0
                ? laid
                : laid.taken(new Posology(Math.max(1, cups), Posology.When.ANY_TIME, OptionalInt.of(days), 0));
    }

    private BrewPlan plan(Herb herb, double times, double cups, int days, Drinker drinker) {
        OptionalDouble said = cups == 0 ? OptionalDouble.empty() : OptionalDouble.of(cups);
        return PLANNER.plan(PlanRequest.asWritten(cup(herb, times, days, cups))
                .withDrinker(drinker)
                .withTaking(new Taking(said, OptionalInt.empty(), List.of())));
    }

    /** The gravest that is said of herb, drinker and day, from care on; −1 for none. The pot has its own say. */
    private int gravest(BrewPlan plan) {
        return care.judge(plan, History.NONE).cautions().stream()
                .filter(c -> !(c instanceof Caution.OfPot) || c instanceof Caution.General)
                .map(Caution::severity)
                .filter(s -> s != Severity.NOTE)
                .max(Comparator.naturalOrder())
                .map(Enum::ordinal)
                .orElse(-1);
    }

    private <T> void rises(Herb herb, String what, List<T> steps, ToDoubleFunction<T> gravest) {
        double before = -1;
        List<String> all = new ArrayList<>();
        for (T step : steps) {
            double now = gravest.applyAsDouble(step);
            all.add(step + ": " + now);
            assertThat(now).as("%s, more %s: %s", herb.slug(), what, all).isGreaterThanOrEqualTo(before);
            before = now;
        }
    }

    private static List<Double> of(double[] values) {
        return java.util.Arrays.stream(values).boxed().toList();
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void moreOfItIsNeverMilder(Herb herb) {
        for (double cups : new double[] {0, 3}) {
            for (int days : new int[] {0, 14}) {
                for (Drinker d : List.of(ADULT, aged(16))) {
                    rises(herb, "of it", of(AMOUNTS), t -> gravest(plan(herb, t, cups, days, d)));
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void moreCupsAreNeverMilder(Herb herb) {
        for (double times : new double[] {1, 4.5}) {
            for (int days : new int[] {0, 14}) {
                for (Drinker d : List.of(ADULT, aged(16))) {
                    rises(
                            herb,
                            "cups",
                            of(CUPS_A_DAY).subList(1, CUPS_A_DAY.length),
                            c -> gravest(plan(herb, times, c, days, d)));
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void moreDaysAreNeverMilder(Herb herb) {
        for (double times : new double[] {1, 2}) {
            for (double cups : new double[] {1, 4}) {
                List<Integer> days = java.util.Arrays.stream(DAYS).boxed().toList();
                rises(herb, "days", days, n -> gravest(plan(herb, times, cups, n, ADULT)));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void aWeakerDrinkerIsNeverToldLess(Herb herb) {
        for (double times : new double[] {0.25, 1, 2, 7}) {
            for (List<Drinker> weaker : WEAKER) {
                rises(herb, "reasons for care", weaker, d -> gravest(plan(herb, times, 2, 7, d)));
            }
        }
    }

    /** Handbook figures (mem) and a teaspoon of nutmeg, 2.2 g (USDA SR, mem). */
    @ParameterizedTest
    @CsvSource({"nutmeg, tsp, 1", "saffron, g, 2", "nutmeg, tbsp, 1", "wormwood, g, 9", "cayenne, tbsp, 3"})
    void whatPoisonsIsStopped(String slug, String unit, double amount) {
        Recipe cup = cup(MATERIA.herb(slug, "herb"), 1, 0, 0);
        Recipe much = cup.withAdditions(List.of(new Addition(
                slug,
                Form.DRIED,
                Cut.GROUND,
                Quantity.of(amount, Unit.ofCode(unit).orElseThrow()),
                0)));
        Care.Verdict verdict = care.judge(PLANNER.plan(PlanRequest.asWritten(much)), History.NONE);
        assertThat(verdict.stopping()).anyMatch(Caution.Harmful.class::isInstance);
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(much));
        assertThat(WayOut.of(MATERIA, plan, verdict, History.NONE))
                .as("less of it is the first way out")
                .first()
                .isInstanceOf(WayOut.Lessen.class);
    }

    /** EMA/HMPC bearberry leaf (mem): 1.5–4 g two to four times a day, 8 g a day at most. */
    @Test
    void sixteenGramsOfBearberryADayAreNotSilent() {
        Herb bearberry = MATERIA.herb("bearberry", "herb");
        Care.Verdict verdict = care.judge(plan(bearberry, 1, 4, 7, ADULT), History.NONE);
        assertThat(verdict.cautions())
                .anyMatch(c -> c.severity() != Severity.NOTE
                        && c instanceof Caution.OfDay
                        && c.slugs().contains("bearberry"));
    }

    /** Every herb has a most per dose and per day, and no usual range times its times a day passes it; foods have no dose. */
    @Test
    void everyHerbHasAMostOrIsAFood() {
        assertThat(MATERIA.herbs().stream().filter(h -> h.stop().isEmpty())).allSatisfy(h -> {
            if (h.doses().isEmpty()) {
                assertThat(h.part()).as(h.slug()).isEqualTo(PlantPart.PANTRY);
            }
            h.doses().forEach(d -> {
                assertThat(d.perCupG().high())
                        .as(h.slug())
                        .isPositive()
                        .isLessThanOrEqualTo(d.perDayG().high());
                assertThat(d.perDayG().high())
                        .as(h.slug())
                        .isLessThanOrEqualTo(d.perCupG().high() * d.timesADay().high() * (1 + 1e-9));
            });
            h.harmful().ifPresent(x -> assertThat(h.doses())
                    .as(h.slug())
                    .allMatch(d -> d.perDayG().high() < x.perDayG()));
        });
    }
}
