package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.plan.SeveralPots.Outcome;
import embercup.core.plan.SeveralPots.Placed;
import embercup.core.plan.SeveralPots.Pot;
import embercup.core.recipe.Recipe;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** One cook has two hands, one kettle and as many burners as she has. */
class SeveralPotsTest {

    private static final double DAY_S = 86_400;

    private static BrewPlan plan(Recipe recipe, Burner burner) {
        Kitchen k = Kitchen.STANDARD;
        return PLANNER.plan(PlanRequest.asWritten(recipe)
                .withKitchen(new Kitchen(k.altitudeM(), k.roomC(), k.tapC(), k.vessel(), burner, k.kettleW())));
    }

    private static Pot readyAt(String name, Recipe recipe, Burner burner, double readyS) {
        BrewPlan plan = plan(recipe, burner);
        double wish = readyS - plan.totalS();
        return new Pot(name, plan, wish, wish - 7200, wish);
    }

    private static void assertOnePairOfHands(Outcome outcome) {
        List<double[]> hands = new ArrayList<>();
        for (Placed p : outcome.placed()) {
            p.pot().plan().steps().stream()
                    .filter(Step::handsOn)
                    .forEach(s -> hands.add(new double[] {p.startS() + s.startS(), p.startS() + s.endS()}));
        }
        for (int i = 0; i < hands.size(); i++) {
            for (int j = 0; j < i; j++) {
                double overlap =
                        Math.min(hands.get(i)[1], hands.get(j)[1]) - Math.max(hands.get(i)[0], hands.get(j)[0]);
                assertThat(overlap).as("two hands-on steps at once").isLessThan(1e-3);
            }
        }
    }

    @Test
    void twoPotsThatAreReadyTogetherAreNotStrainedTogether() {
        Outcome outcome = SeveralPots.of(
                List.of(),
                List.of(
                        readyAt("root pot", rootPot(), Burner.SMALL, 10_000),
                        readyAt("linden", lindenCup(), Burner.LARGE, 10_000)));
        assertThat(outcome.clashes()).isEmpty();
        assertOnePairOfHands(outcome);
        assertThat(outcome.placed()).anySatisfy(p -> {
            assertThat(p.movedS()).isNegative();
            assertThat(WORDS.say(p.why().orElseThrow())).contains("your hands");
        });
        assertThat(outcome.placed()).anySatisfy(p -> assertThat(p.movedS()).isZero());
    }

    @Test
    void aPotMovesByNoMoreThanItMust() {
        Outcome outcome = SeveralPots.of(
                List.of(),
                List.of(
                        readyAt("root pot", rootPot(), Burner.SMALL, 10_000),
                        readyAt("linden", lindenCup(), Burner.LARGE, 10_000)));
        double moved =
                outcome.placed().stream().mapToDouble(Placed::movedS).min().orElseThrow();
        assertThat(-moved).as("a strain and a prep, not an hour").isLessThan(600);
    }

    @Test
    void twoPotsOnOneBurnerFollowEachOther() {
        Outcome outcome = SeveralPots.of(
                List.of(),
                List.of(
                        readyAt("first", rootPot(), Burner.SMALL, 10_000),
                        readyAt("second", rootPot(), Burner.SMALL, 10_000)));
        assertThat(outcome.clashes()).isEmpty();
        Placed early = outcome.placed().get(0);
        Placed late = outcome.placed().get(1);
        assertThat(late.startS() - early.startS())
                .as("heating and 25 min of simmer")
                .isGreaterThan(25 * 60);
        assertThat(WORDS.say(early.why().orElseThrow())).contains("small burner");
    }

    @Test
    void whatCannotBeDoneSaysWhichAndWhy() {
        Pot tight = readyAt("first", rootPot(), Burner.SMALL, 10_000);
        BrewPlan plan = plan(rootPot(), Burner.SMALL);
        double wish = 10_000 - plan.totalS();
        Outcome outcome = SeveralPots.of(List.of(), List.of(tight, new Pot("second", plan, wish, wish - 60, wish)));
        assertThat(outcome.clashes()).singleElement().satisfies(c -> {
            assertThat(c.pot().name()).isEqualTo("second");
            assertThat(c.with()).isEqualTo("first");
            assertThat(WORDS.say(c)).contains("ready on the minute");
        });
        assertThat(outcome.placed()).hasSize(1);
    }

    @Test
    void aPotOnTheFireIsNotMoved() {
        BrewPlan running = plan(twoBoils(), Burner.SMALL);
        Outcome outcome = SeveralPots.of(
                List.of(new Pot("two boils", running, 0, 0, 0)),
                List.of(new Pot("linden", plan(lindenCup(), Burner.LARGE), 600, 0, DAY_S)));
        assertThat(outcome.placed())
                .singleElement()
                .satisfies(p -> assertThat(p.pot().name()).isEqualTo("linden"));
    }

    @Test
    void aDayOfRandomWishesNeverNeedsFourHands() {
        Random random = new Random(7);
        List<Recipe> recipes = List.of(lindenCup(), rootPot(), twoBoils());
        for (int day = 0; day < 40; day++) {
            List<Pot> pots = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                Burner burner = random.nextBoolean() ? Burner.SMALL : Burner.LARGE;
                pots.add(readyAt("pot " + i, recipes.get(random.nextInt(3)), burner, 20_000 + random.nextInt(7200)));
            }
            Outcome outcome = SeveralPots.of(List.of(), pots);
            assertOnePairOfHands(outcome);
            assertThat(outcome.placed().size() + outcome.clashes().size()).isEqualTo(4);
        }
    }
}
