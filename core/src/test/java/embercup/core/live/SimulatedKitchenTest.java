package embercup.core.live;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the instruments of a simulated kitchen read, method by method. */
class SimulatedKitchenTest {

    private static final Instant START = Instant.parse("2026-11-25T17:00:00Z");
    private static final SimulatedKitchen EXACT = new SimulatedKitchen(1, 9);

    /** A brew that is confirmed whenever the instruments say so, and what they read at each confirmation. */
    private static final class Brewing {
        private final BrewPlan plan;
        private final SimulatedKitchen kitchen;
        private final List<BrewEvent> events = new ArrayList<>();
        private Instant now = START;

        Brewing(Recipe recipe, SimulatedKitchen kitchen) {
            this.plan = PLANNER.plan(PlanRequest.asWritten(recipe));
            this.kitchen = kitchen;
            events.add(new BrewEvent.Started(id(), START));
        }

        private UUID id() {
            return new UUID(3, events.size());
        }

        LiveBrew live() {
            return LiveBrew.fold(plan, events);
        }

        SimulatedKitchen.Readings read() {
            return kitchen.at(plan, live(), now);
        }

        /** Goes on until a step of this kind begins; answers what is read there. */
        Optional<SimulatedKitchen.Readings> until(String kind) {
            for (int guard = 0; guard < 20_000; guard++) {
                LiveBrew live = live();
                if (live.now().isEmpty()) {
                    return kind.equals("end") ? Optional.of(read()) : Optional.empty();
                }
                if (kind(live.now().get().step()).equals(kind)) {
                    return Optional.of(read());
                }
                double length = live.now().get().step().durationS();
                now = now.plusSeconds(Math.max(2, (long) (length / 60)));
                if (read().fulfilled()) {
                    events.add(new BrewEvent.StepDone(
                            id(), now, live.now().get().step().id()));
                }
            }
            return Optional.empty();
        }
    }

    @Test
    void theKettleBoilsBeforeItIsPoured() {
        Brewing cup = new Brewing(lindenCup(), EXACT);
        SimulatedKitchen.Readings atPour = cup.until("pour").orElseThrow();
        assertThat(atPour.step()).isEqualTo("s0");
        SimulatedKitchen.Readings atSteep = cup.until("steep").orElseThrow();
        assertThat(atSteep.tempC()).as("the teapot took some of the heat").isBetween(82.0, 99.0);
        assertThat(atSteep.waterMl()).isCloseTo(cup.plan.water().startMl(), within(8.0));
    }

    @Test
    void aSteepingPotCoolsWhileItStands() {
        Brewing cup = new Brewing(lindenCup(), EXACT);
        double hot = cup.until("steep").orElseThrow().tempC();
        double later = cup.until("strain").orElseThrow().tempC();
        assertThat(later).isLessThan(hot - 3);
    }

    @Test
    void theRootPotReadsTheBoilWhenItIsThere() {
        Brewing pot = new Brewing(rootPot(), EXACT);
        assertThat(pot.until("heat").orElseThrow().tempC()).isLessThan(25);
        assertThat(pot.until("simmer").orElseThrow().boils()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.8, 1.2})
    void aStoveThatIsNotThePlansBoilsAtAnotherMinute(double factor) {
        Brewing planned = new Brewing(rootPot(), EXACT);
        Brewing real = new Brewing(rootPot(), new SimulatedKitchen(factor, 9));
        planned.until("simmer");
        real.until("simmer");
        Duration difference = Duration.between(planned.now, real.now);
        assertThat(difference.isNegative()).isEqualTo(factor > 1);
        assertThat(difference.abs()).isGreaterThan(Duration.ofSeconds(10));
    }

    @Test
    void twoBoilsEachBeginWithTheirOwnWater() {
        Brewing pot = new Brewing(twoBoils(), EXACT);
        pot.until("refill").orElseThrow();
        SimulatedKitchen.Readings end = pot.until("end").orElseThrow();
        assertThat(end.waterMl()).isPositive();
        assertThat(pot.live().readyAt()).isPresent();
    }

    /** Half a litre at 95 °C warms two mugs of 0.3 kJ/K from the room: about 83 °C are left (calorimetry by hand). */
    @Test
    void whatIsStrainedWarmsTheMugsAndCoolsInThem() {
        Recipe cup = recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("dandelion", Cut.SLICED, 7, Unit.GRAM, 0)),
                heat(),
                simmer(10, true),
                strain(),
                new Stage.Cool(45, false));
        Brewing pot = new Brewing(cup, EXACT);
        SimulatedKitchen.Readings poured = pot.until("cool").orElseThrow();
        List<BrewEvent> unstrained = pot.events.subList(0, pot.events.size() - 1);
        double before =
                EXACT.at(pot.plan, LiveBrew.fold(pot.plan, unstrained), pot.now).tempC();
        double water = poured.waterMl() * 4.186;
        double mugs = 2 * 300.0;
        assertThat(poured.tempC()).isCloseTo((water * before + mugs * 20) / (water + mugs), within(1.0));
        Instant began = pot.now;
        pot.until("end");
        assertThat(Duration.between(began, pot.now).toSeconds()
                        / pot.plan.stages().get(3).properS())
                .as("it cools as the plan says")
                .isBetween(0.85, 1.15);
    }

    @Test
    void bothLiquorsOfTwoBoilsAreInTheMugs() {
        Brewing pot = new Brewing(twoBoils(), EXACT);
        SimulatedKitchen.Readings end = pot.until("end").orElseThrow();
        assertThat(end.waterMl() / pot.plan.water().yieldMl()).isBetween(0.85, 1.15);
    }

    @Test
    void aColdJarStaysAtTheTap() {
        Recipe jar = recipe(
                Tradition.MONOGRAPH,
                3,
                240,
                List.of(dried("marshmallow", Cut.CHOPPED, 9, Unit.GRAM, 0)),
                macerate(480),
                strain());
        Brewing cold = new Brewing(jar, EXACT);
        SimulatedKitchen.Readings read = cold.until("strain").orElseThrow();
        assertThat(read.tempC()).isBetween(14.0, 21.0);
        assertThat(read.boils()).isFalse();
    }

    @Test
    void theScaleReadsThePotTheHerbsAndTheWater() {
        Brewing pot = new Brewing(rootPot(), EXACT);
        SimulatedKitchen.Readings full = pot.until("simmer").orElseThrow();
        SimulatedKitchen.Readings strained = pot.until("end").orElseThrow();
        assertThat(full.weightG()).isGreaterThan(full.waterMl() + 13);
        assertThat(strained.weightG()).isLessThan(full.weightG());
    }

    /** Milk is weighed once, with the water it comes to; strained herbs are not weighed any more. */
    @Test
    void milkIsWeighedWithTheWaterAndStrainedHerbsNot() {
        Addition milk = fresh("milk", Cut.WHOLE, 240, Unit.MILLILITRE, 0);
        Addition spice = dried("cardamom", Cut.CRUSHED, 20, Unit.GRAM, 0);
        Stage[] stages = {heat(), simmer(5, true), strain()};
        Brewing white = new Brewing(recipe(Tradition.FOLK, 2, 240, List.of(spice, milk), stages), EXACT);
        Brewing black = new Brewing(recipe(Tradition.FOLK, 2, 240, List.of(spice), stages), EXACT);
        double whiteDry = dryG(white.until("simmer").orElseThrow());
        double blackDry = dryG(black.until("simmer").orElseThrow());
        assertThat(whiteDry).isCloseTo(blackDry, within(5.0));
        assertThat(dryG(black.until("end").orElseThrow())).isCloseTo(blackDry - 20, within(5.0));
    }

    private static double dryG(SimulatedKitchen.Readings read) {
        return read.weightG() - read.waterMl();
    }

    @Test
    void everyBrewHasAStoveOfItsOwnAndKeepsIt() {
        List<Double> factors = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            factors.add(SimulatedKitchen.of(new UUID(i * 7919L, i)).powerFactor());
        }
        assertThat(factors).allMatch(f -> f >= 0.78 && f <= 1.22).doesNotHaveDuplicates();
        assertThat(SimulatedKitchen.of(new UUID(1, 2))).isEqualTo(SimulatedKitchen.of(new UUID(1, 2)));
    }
}
