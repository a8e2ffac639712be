package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Taking;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whoever drinks of a pot is told what its own drinker would be told with the same cups: one rule for all. */
class EverybodyAlikeTest {

    private final Care care = new Care(MATERIA);

    static Stream<Herb> drunk() {
        return MATERIA.herbs().stream()
                .filter(h -> h.stop().isEmpty()
                        && h.part() != PlantPart.PANTRY
                        && !h.doses().isEmpty());
    }

    private static final List<Drinker> ADULTS = List.of(
            adultWith(60),
            adultWith(60, Condition.PREGNANT),
            adultWith(60, Condition.BREASTFEEDING, Condition.STOMACH_IRRITATION),
            adultWith(60, Condition.values()));

    /** As the pot's drinker and as somebody beside her, two cups a day each. */
    @ParameterizedTest
    @MethodSource("drunk")
    void aSharerIsToldWhatTheDrinkerWouldBe(Herb herb) {
        double grams = herb.doses().get(0).perCupG().high() * 1.3;
        Recipe pot = recipe(
                        Tradition.FOLK,
                        2,
                        240,
                        List.of(dried(herb.slug(), Cut.CHOPPED, grams * 2, Unit.GRAM, 0)),
                        simmer(10, true),
                        strain())
                .taken(new Posology(2, Posology.When.ANY_TIME, OptionalInt.of(20), 0));
        for (Drinker drinker : ADULTS) {
            BrewPlan hers = PLANNER.plan(PlanRequest.asWritten(pot)
                    .withDrinker(drinker)
                    .withTaking(new Taking(OptionalDouble.of(2), OptionalInt.empty(), List.of())));
            BrewPlan shared = PLANNER.plan(PlanRequest.asWritten(pot)
                    .withDrinker(Drinker.ADULT)
                    .withTaking(new Taking(OptionalDouble.of(2), OptionalInt.empty(), List.of())));
            Set<Caution> main = about(care.judge(hers, History.NONE));
            Set<Caution> beside = about(care.judge(shared, new Taking.Sharer("Siv", drinker, 2, 1), History.NONE));
            assertThat(beside)
                    .as("%s for %s", herb.slug(), drinker.conditions())
                    .containsAll(main);
        }
    }

    /** What was cut is told of the pot that is made: everybody drinks the cut one. */
    private static Set<Caution> about(Care.Verdict verdict) {
        return verdict.cautions().stream()
                .filter(c -> c.about() != Caution.About.POT
                        && !(c instanceof Caution.DoseClipped)
                        && !(c instanceof Caution.AskedTooMuch))
                .collect(Collectors.toSet());
    }

    @Test
    void aDayAboveTheLimitIsToldToWhoeverHasIt() {
        Recipe sweet = recipe(
                Tradition.FOLK,
                3,
                240,
                List.of(dried("liquorice", Cut.SLICED, 4, Unit.GRAM, 0)),
                simmer(10, true),
                strain());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(sweet)
                .withDrinker(Drinker.ADULT)
                .withTaking(new Taking(OptionalDouble.of(1), OptionalInt.empty(), List.of())));
        assertThat(care.judge(plan, new Taking.Sharer("Bo", adultWith(70), 4, 1), History.NONE)
                        .cautions())
                .anyMatch(Caution.DayHolds.class::isInstance)
                .anyMatch(Caution.PosologyDay.class::isInstance);
    }

    /** A recipe's own share of a child counts beside Clark's and Young's (handbook rules, mem): the smaller. */
    @Test
    void aRecipesOwnShareForChildrenCounts() {
        Recipe quarter = recipe(
                        Tradition.FOLK,
                        2,
                        240,
                        List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0)),
                        simmer(10, true),
                        strain())
                .taken(new Posology(
                        2,
                        Posology.When.ANY_TIME,
                        OptionalInt.empty(),
                        0,
                        new Posology.More(
                                OptionalDouble.empty(),
                                java.util.Optional.empty(),
                                Set.of(),
                                OptionalInt.empty(),
                                OptionalDouble.of(0.25))));
        PlanRequest request = PlanRequest.asWritten(quarter).withDrinker(child(8, 26));
        assertThat(PLANNER.plan(request).additions().get(0).perCupG()).isEqualTo(1.5 * 0.25);
        assertThat(Taking.usualServing(child(8, 26), request.childShare())).isEqualTo(0.25);
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(quarter));
        Care.Verdict third = care.judge(plan, new Taking.Sharer("Ada", child(8, 26), 1, 0.33), History.NONE);
        assertThat(third.cautions()).anyMatch(Caution.ServingTooLarge.class::isInstance);
        assertThat(Taking.usualServing(adultWith(60), request.childShare())).isEqualTo(1);
    }

    /** What stands in a caution are the figures that it was judged by. */
    @Test
    void whatIsToldIsWhatWasJudged() {
        Recipe strong = recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("thyme", Cut.CHOPPED, 24, Unit.GRAM, 0)),
                simmer(10, true),
                strain());
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(strong));
        Caution.DoseClipped cut = plan.notes().stream()
                .filter(Caution.DoseClipped.class::isInstance)
                .map(Caution.DoseClipped.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(cut.perCup().grams()).isEqualTo(plan.additions().get(0).perCupG());
        assertThat(WORDS.say((Caution) cut)).contains("instead of 12", "24", "a usual single dose");
        Recipe fennel = recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried("fennel", Cut.CRUSHED, 2, Unit.GRAM, 0)),
                simmer(10, true),
                strain());
        for (Drinker d : List.of(Drinker.ADULT, child(8, 26))) {
            assertThat(
                            care
                                    .judge(
                                            PLANNER.plan(PlanRequest.asWritten(fennel)
                                                    .withDrinker(d)),
                                            History.NONE)
                                    .cautions()
                                    .stream()
                                    .filter(Caution.DayHolds.class::isInstance)
                                    .map(WORDS::say))
                    .as(
                            "the limit as it is: 0.05 mg (EMA 2023, mem), and of it what a child of 26 kg is to an adult of 60")
                    .allMatch(s -> s.contains(d == Drinker.ADULT ? "0.05 mg" : "0.022 mg"));
        }
    }
}
