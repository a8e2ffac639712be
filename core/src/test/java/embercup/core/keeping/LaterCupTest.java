package embercup.core.keeping;

import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.keeping.Jar.Age;
import embercup.core.keeping.Jar.Span;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.workings.InvalidInputException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A cup out of the fridge: shaken, warmed gently and never boiled, this cup's fat while it is warm and its honey once it has cooled;
 * a concentrate thinned (common practice, no source).
 */
class LaterCupTest {

    private static final Addition ROOT = dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0);
    private static final Instant MADE = Instant.parse("2026-11-20T08:00:00Z");

    private static Recipe pot(Addition... intoCup) {
        List<Addition> all = new ArrayList<>(List.of(ROOT));
        all.addAll(List.of(intoCup));
        return recipe(Tradition.FOLK, 4, 240, all, simmer(20, true), strain(), new Stage.Finish());
    }

    private static Addition cupOf(String pantry, Unit unit) {
        return fresh(pantry, Cut.WHOLE, 1, unit, 2);
    }

    private static List<String> said(BrewPlan plan, boolean warm) {
        return LaterCup.of(plan, 240, warm).steps().stream().map(WORDS::say).toList();
    }

    private static int at(List<String> steps, String words) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).contains(words)) {
                return i;
            }
        }
        throw new AssertionError(words + " is not said in " + steps);
    }

    @Test
    void fatGoesIntoTheWarmCupAndHoneyIntoTheCooledOne() {
        List<String> steps = said(plan(pot(cupOf("honey", Unit.TEASPOON), cupOf("ghee", Unit.TEASPOON))), true);
        assertThat(steps.get(0)).startsWith("Shake the jar");
        assertThat(steps.get(1)).isEqualTo("Pour 240 mL out of the jar.");
        assertThat(steps.get(2)).contains("It must not boil");
        assertThat(at(steps, "of ghee")).isLessThan(at(steps, "Wait until"));
        assertThat(at(steps, "Wait until it is below 40 °C")).isEqualTo(at(steps, "of honey") - 1);
    }

    @Test
    void aColdCupGetsHoneyAtOnceAndNoFat() {
        List<String> steps = said(plan(pot(cupOf("honey", Unit.TEASPOON), cupOf("ghee", Unit.TEASPOON))), false);
        assertThat(steps).noneMatch(s -> s.contains("Warm it") || s.contains("Wait until"));
        assertThat(steps.get(at(steps, "ghee"))).startsWith("Leave the ghee out");
        assertThat(at(steps, "of honey")).isPositive();
    }

    /** 240 mL of water from 4 to 65 °C take 61 K × 4.19 J/(g·K) × 240 g = 61 kJ: four minutes of 250 W without any loss. */
    @Test
    void itIsWarmedForAsLongAsThatMuchWaterTakes() {
        double minutes =
                LaterCup.of(plan(pot()), 240, true).warming().orElseThrow().value();
        double lossless = 240 * 4.19 * (LaterCup.WARM_C - 4) / 250 / 60;
        assertThat(minutes).isBetween(lossless, 2 * lossless);
        assertThat(LaterCup.of(plan(pot()), 480, true).warming().orElseThrow().value())
                .isGreaterThan(1.5 * minutes);
    }

    /**
     * An open mug cools with a time constant of 20 to 30 minutes and takes 0.25 to 0.35 kJ/K of its own (common practice, no source):
     * from 65 °C, or from 55 °C once the cold mug has had its share, to honey's 40 °C in a room of 20 °C that is 0.56 to 0.81 of it.
     */
    @Test
    void theWaitForTheHoneyHasItsMinutes() {
        int minutes = LaterCup.of(plan(pot(cupOf("honey", Unit.TEASPOON))), 240, true).steps().stream()
                .filter(LaterCup.Act.WaitBelow.class::isInstance)
                .mapToInt(LaterCup.Act::takesMinutes)
                .findFirst()
                .orElseThrow();
        assertThat(minutes).isBetween(11, 25);
        assertThat(LaterCup.of(plan(pot(cupOf("honey", Unit.TEASPOON))), 480, true).steps().stream()
                        .filter(LaterCup.Act.WaitBelow.class::isInstance)
                        .mapToInt(LaterCup.Act::takesMinutes)
                        .findFirst()
                        .orElseThrow())
                .as("twice as much cools more slowly")
                .isGreaterThan(minutes);
    }

    /** Its acts are done in their order; pouring it ends it, and what is undone is undone. */
    @Test
    void aCupIsInTheMakingUntilItIsPoured() {
        BrewPlan plan = plan(pot());
        UUID poured = UUID.randomUUID();
        List<BrewEvent> events = new ArrayList<>(List.of(
                new BrewEvent.Started(UUID.randomUUID(), MADE),
                new BrewEvent.Finished(UUID.randomUUID(), MADE.plusSeconds(60)),
                new BrewEvent.Kept(UUID.randomUUID(), MADE.plusSeconds(90)),
                new BrewEvent.CupBegun(UUID.randomUUID(), MADE.plusSeconds(100), 240, true),
                new BrewEvent.CupActed(UUID.randomUUID(), MADE.plusSeconds(110), 0),
                new BrewEvent.CupActed(UUID.randomUUID(), MADE.plusSeconds(115), 0),
                new BrewEvent.CupActed(UUID.randomUUID(), MADE.plusSeconds(120), 2),
                new BrewEvent.CupActed(UUID.randomUUID(), MADE.plusSeconds(130), 1)));
        assertThat(LiveBrew.fold(plan, events).cup().orElseThrow().acts())
                .as("one act twice, and one before its turn, change nothing")
                .containsExactly(MADE.plusSeconds(110), MADE.plusSeconds(130));
        events.add(new BrewEvent.Poured(poured, MADE.plusSeconds(200), 240));
        assertThat(LiveBrew.fold(plan, events).cup()).isEmpty();
        assertThat(LiveBrew.fold(plan, events).pouredMl()).isEqualTo(240);
        events.add(new BrewEvent.Undone(UUID.randomUUID(), MADE.plusSeconds(210), poured));
        assertThat(LiveBrew.fold(plan, events).cup().orElseThrow().acts()).hasSize(2);
    }

    /** Of one part and three parts of water a cup of 240 mL holds 60 mL. */
    @Test
    void aConcentrateIsThinnedInTheCup() {
        BrewPlan plan = plan(pot().diluted(3));
        LaterCup cup = LaterCup.of(plan, 240, false);
        assertThat(cup.fromJar().value()).isCloseTo(60, within(1e-9));
        assertThat(cup.water().value()).isCloseTo(180, within(1e-9));
        assertThat(plan.request().liquorOfCupMl()).isCloseTo(60, within(1e-9));
        assertThat(said(plan, false)).contains("Pour 60 mL out of the jar.", "Thin it with 180 mL of water.");
    }

    @ParameterizedTest
    @CsvSource({"29", "1001", "NaN"})
    void noCupIsSoSmallOrSoLarge(double ml) {
        assertThatThrownBy(() -> LaterCup.of(plan(pot()), ml, true)).isInstanceOf(InvalidInputException.class);
    }

    /** An infusion: 24 hours, 48 at the most (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"0,GOOD", "17,GOOD", "18,GOING", "23,GOING", "24,DOUBTFUL", "47,DOUBTFUL", "48,OVER", "400,OVER"})
    void aJarIsGoodThenGoesThenIsDoubtfulThenOver(int hours, Age age) {
        Jar jar = new Jar(Volume.millilitres(500), MADE, Optional.of(Span.of(MADE, 24, 48)));
        assertThat(jar.at(MADE.plus(Duration.ofHours(hours)))).isEqualTo(age);
    }

    /** What stands in its pot is for its own day; what is good for longer in a jar may be poured as long (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"24, 48, 48", "24, 24, 24", "72, 72, 72", "0, 0, 24", ", , 24"})
    void aPotThatStandsIsPouredOnItsOwnDay(Integer good, Integer most, int untilHours) {
        Optional<Span> span = Optional.ofNullable(good).map(g -> Span.of(MADE, g, most));
        assertThat(Jar.inItsPotUntil(MADE, span)).isEqualTo(MADE.plus(Duration.ofHours(untilHours)));
    }

    @Test
    void whatIsDrawnWithSpiritKeeps() {
        Jar jar = new Jar(Volume.millilitres(500), MADE, Optional.empty());
        assertThat(jar.at(MADE.plus(Duration.ofDays(400)))).isEqualTo(Age.KEEPS);
    }
}
