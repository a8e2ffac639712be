package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Place;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What can hurt by its method alone: common practice, no source. Each row is a way of brewing and all that it is told. */
class KitchenHazardsTest {

    private static final Set<Class<? extends Caution>> HAZARDS = Set.of(
            Caution.ReducingPot.class,
            Caution.GlassAndHeat.class,
            Caution.Plunger.class,
            Caution.Scald.class,
            Caution.KeepCold.class);

    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 16, 9, 1700);
    private static final Vessel JAR = Vessel.of("jar", Vessel.Kind.JAR, 9, 17, 1000);
    private static final Vessel PRESS = Vessel.of("press", Vessel.Kind.PRESS, 10, 15, 1000);

    private static Stage pourAt(double celsius) {
        return new Stage.Pour(OptionalDouble.of(celsius));
    }

    static Stream<Arguments> waysOfBrewing() {
        Stage boiling = new Stage.Pour(OptionalDouble.empty());
        double week = 7 * 24 * 60;
        return Stream.of(
                Arguments.of(
                        "boiling water into a jar",
                        JAR,
                        List.of(boiling, steep(10), strain()),
                        Set.of(Caution.GlassAndHeat.class, Caution.Scald.class)),
                Arguments.of(
                        "water of 60 °C into a jar",
                        JAR,
                        List.of(pourAt(60), steep(10), strain()),
                        Set.of(Caution.GlassAndHeat.class)),
                Arguments.of("water of 59 °C into a jar", JAR, List.of(pourAt(59), steep(10), strain()), Set.of()),
                Arguments.of(
                        "boiling water into a press",
                        PRESS,
                        List.of(boiling, steep(4), strain()),
                        Set.of(Caution.Plunger.class, Caution.Scald.class)),
                Arguments.of("warm water into a press", PRESS, List.of(pourAt(50), steep(4), strain()), Set.of()),
                Arguments.of(
                        "boiling water into a pot",
                        POT,
                        List.of(boiling, steep(10), strain()),
                        Set.of(Caution.Scald.class)),
                Arguments.of(
                        "a simmered pot",
                        POT,
                        List.of(heat(), simmer(15, true), strain()),
                        Set.of(Caution.Scald.class)),
                Arguments.of(
                        "a pot boiled down",
                        POT,
                        List.of(heat(), reduce(200), strain()),
                        Set.of(Caution.ReducingPot.class, Caution.Scald.class)),
                Arguments.of("two hours in cold water", JAR, List.of(macerate(120), strain()), Set.of()),
                Arguments.of(
                        "more than two hours in cold water",
                        JAR,
                        List.of(macerate(121), strain()),
                        Set.of(Caution.KeepCold.class)),
                Arguments.of(
                        "a night in cold water", JAR, List.of(macerate(480), strain()), Set.of(Caution.KeepCold.class)),
                Arguments.of(
                        "a night in cold water in the fridge",
                        JAR,
                        List.of(new Stage.Macerate(480, OptionalDouble.empty(), true, Place.FRIDGE), strain()),
                        Set.of()),
                Arguments.of(
                        "a jar of boiling water for four hours",
                        JAR,
                        List.of(boiling, steep(240), strain()),
                        Set.of(Caution.GlassAndHeat.class, Caution.Scald.class, Caution.KeepCold.class)),
                Arguments.of(
                        "a thermos of boiling water for four hours stays hot",
                        Vessel.of("thermos", Vessel.Kind.THERMOS, 8, 22),
                        List.of(boiling, steep(240), strain()),
                        Set.of(Caution.Scald.class)),
                Arguments.of(
                        "a week in water", JAR, List.of(macerate(week), strain()), Set.of(Caution.KeepCold.class)));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("waysOfBrewing")
    void isToldWhatCanHurtAndNothingElse(
            String way, Vessel vessel, List<Stage> stages, Set<Class<? extends Caution>> told) {
        var cup = recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried("linden", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                stages.toArray(new Stage[0]));
        var plan = PLANNER.plan(PlanRequest.asWritten(cup).withKitchen(Kitchen.STANDARD.withVessel(vessel)));
        assertThat(new Care(MATERIA)
                        .judge(plan, History.NONE).cautions().stream()
                                .map(Object::getClass)
                                .filter(HAZARDS::contains))
                .as(way)
                .containsExactlyInAnyOrderElementsOf(told);
    }
}
