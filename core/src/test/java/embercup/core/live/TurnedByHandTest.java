package embercup.core.live;

import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.brew.Turn;
import embercup.core.kitchen.Water;
import embercup.core.live.LiveBrew.LiveStep;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A lid lifted, a flame turned down: what a hand does other than the plan says, and what that does to the pot. */
class TurnedByHandTest {

    private static final Instant EIGHT = Instant.parse("2026-11-25T20:00:00Z");

    /** A brew that went as planned until a step, and whatever a hand did in it. */
    private static final class Brew {
        private final BrewPlan plan;
        private final List<BrewEvent> events = new ArrayList<>();
        private Instant begins = EIGHT;

        Brew(Recipe recipe, String key) {
            plan = plan(recipe);
            events.add(new BrewEvent.Started(id(), EIGHT));
            for (Step s : plan.steps()) {
                if (s.id().equals(key)) {
                    begins = EIGHT.plusMillis(Math.round(s.startS() * 1000));
                    return;
                }
                events.add(new BrewEvent.StepDone(id(), EIGHT.plusMillis(Math.round(s.endS() * 1000)), s.id()));
            }
        }

        private UUID id() {
            return new UUID(7, events.size());
        }

        Brew turn(Turn turn, double afterS) {
            events.add(new BrewEvent.Turned(id(), begins.plusMillis(Math.round(afterS * 1000)), turn));
            return this;
        }

        Brew done(String step, double afterS) {
            events.add(new BrewEvent.StepDone(id(), begins.plusMillis(Math.round(afterS * 1000)), step));
            return this;
        }

        LiveBrew live() {
            return LiveBrew.fold(plan, events);
        }

        double lengthS(String step) {
            LiveStep live = live().steps().stream()
                    .filter(s -> s.step().id().equals(step))
                    .findFirst()
                    .orElseThrow();
            return Duration.between(live.beganAt().orElseThrow(), live.dueAt()).toMillis() / 1000.0;
        }
    }

    /** Three cups of root boiled down to two without a lid. */
    private static Recipe reduction() {
        return withPour(
                recipe(
                        Tradition.AYURVEDIC,
                        2,
                        240,
                        List.of(dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0)),
                        heat(),
                        reduce(480),
                        strain()),
                720);
    }

    @Test
    void aLidLeftOffASimmerLosesWhatWouldHaveRunBack() {
        Brew covered = new Brew(rootPot(), "s1");
        Brew open = new Brew(rootPot(), "s1").turn(Turn.LID_OFF, 0);
        double held = covered.live().predicted().water().evaporatedMl();
        double lost = open.live().predicted().water().evaporatedMl();
        double latent = Water.latentHeatJPerG(covered.plan.boilingC());
        assertThat(lost - held)
                .as("25 min of the heat that lid and wall give to the room, 1.2–2.4 W/K of 80 K")
                .isBetween(1.2 * 80 / latent * 1500, 2.4 * 80 / latent * 1500);
        assertThat(WORDS.say(open.live().advice().orElseThrow()))
                .as("what the steam took can be put back")
                .contains("mL of hot water");
    }

    @Test
    void aLidPutOnAgainLosesOnlyWhileItWasOff() {
        Brew brief = new Brew(rootPot(), "s1").turn(Turn.LID_OFF, 60).turn(Turn.LID_ON, 360);
        Brew all = new Brew(rootPot(), "s1").turn(Turn.LID_OFF, 0);
        double planned = brief.plan.water().evaporatedMl();
        double some = brief.live().predicted().water().evaporatedMl() - planned;
        double most = all.live().predicted().water().evaporatedMl() - planned;
        assertThat(some / most).isCloseTo(300.0 / 1500, within(0.03));
    }

    @Test
    void aReductionUnderALidTakesLongerByWhatRunsBack() {
        Brew open = new Brew(reduction(), "s1");
        double whole = open.lengthS("s1");
        Brew half = new Brew(reduction(), "s1").turn(Turn.LID_ON, whole / 2);
        assertThat(half.lengthS("s1")).isBetween(whole / 2 + whole / 2 * 1.1, whole / 2 + whole / 2 * 1.4);
    }

    @Test
    void aReductionOnAHighFlameIsDoneSoonerInTheRatioOfThePowers() {
        Brew medium = new Brew(reduction(), "s1");
        Brew high = new Brew(reduction(), "s1").turn(Turn.FLAME_HIGH, 0);
        double ratio = 700.0 / 1200;
        assertThat(high.lengthS("s1") / medium.lengthS("s1")).isCloseTo(ratio, within(0.03));
        assertThat(high.live().predicted().water().yieldMl())
                .as("it still ends at the mark")
                .isCloseTo(medium.live().predicted().water().yieldMl(), within(3.0));
    }

    @Test
    void aPotWhoseFlameIsOffCoolsInsteadOfSimmering() {
        Brew out = new Brew(rootPot(), "s1").turn(Turn.FLAME_OFF, 300);
        assertThat(out.live().predicted().curve())
                .filteredOn(p -> p.tS() < out.live().predicted().totalS() - 200)
                .last()
                .satisfies(p -> assertThat(p.tempC()).isLessThan(90));
        assertThat(out.live().strengthChange()).isNegative();
    }

    @Test
    void aPotTurnedUpBringsItselfBackToTheBoil() {
        Brew again = new Brew(rootPot(), "s1").turn(Turn.FLAME_OFF, 300).turn(Turn.FLAME_HIGH, 600);
        Brew off = new Brew(rootPot(), "s1").turn(Turn.FLAME_OFF, 300);
        assertThat(again.live().predicted().strength())
                .isGreaterThan(off.live().predicted().strength());
        assertThat(again.live().predicted().curve()).anyMatch(p -> p.tS() > 1500 && p.tempC() > 99.5);
    }

    @Test
    void anUncoveredTeapotLosesAromaAndHeat() {
        Brew open = new Brew(lindenCup(), "s1").turn(Turn.LID_OFF, 0);
        assertThat(open.live().predicted().aroma()).isLessThan(open.plan.aroma() - 0.02);
        assertThat(open.live().predicted().brew().cup().celsius())
                .isLessThan(open.plan.brew().cup().celsius() - 1);
    }

    @Test
    void aLidLiftedWhileItHeatsDelaysTheBoilButIsBackAtTheSimmer() {
        Brew heating = new Brew(rootPot(), "s0").turn(Turn.LID_OFF, 5);
        double planned = new Brew(rootPot(), "s0").lengthS("s0");
        assertThat(heating.lengthS("s0")).isGreaterThan(planned);
        Brew simmering = heating.done("s0", heating.lengthS("s0"));
        assertThat(simmering.live().fire().orElseThrow().lid())
                .as("the next step begins as the plan says")
                .isTrue();
        assertThat(simmering.live().fire().orElseThrow().flame()).contains(Flame.LOW);
    }

    /** 1200 W under a lid that gives 130 W to the room make 1070 / 2257 = 0.47 g of steam a second (latent heat at 100 °C: IAPWS). */
    @Test
    void aPotForgottenOnTheFlameBoilsOnAndTeachesNothing() {
        double planned = new Brew(rootPot(), "s0").lengthS("s0");
        Brew forgotten = new Brew(rootPot(), "s0").done("s0", planned + 900);
        double steam = forgotten.live().predicted().water().evaporatedMl()
                - forgotten.plan.water().evaporatedMl();
        assertThat(steam).isCloseTo(1070.0 / 2257 * 900, within(20.0));
        assertThat(forgotten.live().strengthChange())
                .as("what is left is stronger")
                .isPositive();
        assertThat(StoveFit.observed(forgotten.plan, forgotten.live())).isEmpty();
        Brew slow = new Brew(rootPot(), "s0").done("s0", planned * 1.5);
        assertThat(slow.live().predicted().water().evaporatedMl())
                .as("a slow stove boils nothing away")
                .isCloseTo(slow.plan.water().evaporatedMl(), within(5.0));
        Brew dry = new Brew(rootPot(), "s0").done("s0", planned + 3 * 3600);
        assertThat(WORDS.say(dry.live().advice().orElseThrow())).startsWith("The pot may have boiled dry");
    }

    @Test
    void theFireStandsAsItWasTurnedLast() {
        Brew pot = new Brew(rootPot(), "s1").turn(Turn.LID_OFF, 10).turn(Turn.FLAME_MEDIUM, 20);
        assertThat(pot.live().fire().orElseThrow().lid()).isFalse();
        assertThat(pot.live().fire().orElseThrow().watts()).isEqualTo(700);
    }

    @Test
    void whatWasTurnedByHandTeachesNothingOfTheStove() {
        Brew pot = new Brew(rootPot(), "s0").turn(Turn.FLAME_LOW, 10).done("s0", 400);
        Brew plain = new Brew(rootPot(), "s0").done("s0", 400);
        assertThat(StoveFit.observed(plain.plan, plain.live())).hasSize(1);
        assertThat(StoveFit.observed(pot.plan, pot.live())).isEmpty();
    }

    /** Dispensary practice (from memory): a gram of root keeps 1.5 mL drained and 0.9 mL pressed; there are 13 g of it. */
    @Test
    void aMarcThatIsPressedGivesWhatTheDrippingOneWouldHaveKept() {
        Brew dripped = new Brew(rootPot(), "s2");
        Brew pressed = new Brew(rootPot(), "s2").turn(Turn.MARC_PRESSED, 5);
        double more = pressed.live().predicted().water().yieldMl()
                - dripped.live().predicted().water().yieldMl();
        assertThat(more).isCloseTo(13 * (1.5 - 0.9), within(0.2));
        assertThat(pressed.live().fire().orElseThrow().pressed()).isTrue();
        assertThat(pressed.live().predicted().strength())
                .as("what is pressed out is as strong as what ran off")
                .isCloseTo(dripped.live().predicted().strength(), within(0.01));
        Brew after = pressed.turn(Turn.MARC_DRAINED, 15);
        assertThat(after.live().predicted().water().yieldMl())
                .isEqualTo(dripped.live().predicted().water().yieldMl());
    }

    @Test
    void theSimulatedPotGivesWhatIsPressedOutOfIt() {
        SimulatedKitchen kitchen = new SimulatedKitchen(1, 3);
        Brew pressed = new Brew(rootPot(), "s2").turn(Turn.MARC_PRESSED, 20);
        double dripped = kitchen.at(pressed.plan, pressed.live(), pressed.begins.plusSeconds(19))
                .waterMl();
        double all = kitchen.at(pressed.plan, pressed.live(), pressed.begins.plusSeconds(21))
                .waterMl();
        assertThat(all - dripped).isCloseTo(13 * (1.5 - 0.9), within(0.5));
    }

    @Test
    void theSimulatedStoveIsTurnedWithIt() {
        SimulatedKitchen kitchen = new SimulatedKitchen(1, 3);
        Brew open = new Brew(rootPot(), "s1").turn(Turn.LID_OFF, 0);
        Brew covered = new Brew(rootPot(), "s1");
        Instant later = open.begins.plusSeconds(1200);
        double lost = covered.plan.water().startMl()
                - kitchen.at(open.plan, open.live(), later).waterMl();
        double kept = covered.plan.water().startMl()
                - kitchen.at(covered.plan, covered.live(), later).waterMl();
        assertThat(lost).isGreaterThan(1.7 * kept);
    }

    @Test
    void aStepThatSmellsDoneSaysSo() {
        Brew cup = new Brew(lindenCup(), "s1");
        cup.events.add(new BrewEvent.StepDone(cup.id(), cup.begins.plusSeconds(400), "s1", BrewEvent.Sign.SMELL));
        assertThat(cup.live().steps())
                .filteredOn(s -> s.step().id().equals("s1"))
                .singleElement()
                .satisfies(s -> assertThat(s.sign()).isEqualTo(BrewEvent.Sign.SMELL));
        assertThat(cup.live().strengthChange()).isNegative();
    }

    @Test
    void whatIsPouredIsNoLongerInTheJug() {
        Brew cup = new Brew(lindenCup(), "");
        cup.events.add(new BrewEvent.Poured(cup.id(), EIGHT.plusSeconds(900), 200));
        cup.events.add(new BrewEvent.Poured(cup.id(), EIGHT.plusSeconds(950), 120));
        assertThat(cup.live().pouredMl()).isEqualTo(320);
        assertThat(cup.live().leftMl()).isCloseTo(80, within(10.0));
    }
}
