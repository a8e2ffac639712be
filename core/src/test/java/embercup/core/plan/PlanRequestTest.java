package embercup.core.plan;

import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.rootPot;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.brew.CurvePoint;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What an order asks for, and what it cannot. */
class PlanRequestTest {

    /** A concentrate of three parts of water to one is a quarter of the cups (common practice). */
    @ParameterizedTest
    @CsvSource({"0, 480", "1, 240", "3, 120"})
    void aConcentrateIsLessByItsWater(double parts, double liquorMl) {
        Recipe r = lindenCup();
        Recipe concentrate = new Recipe(
                r.name(),
                r.tradition(),
                new Recipe.Makes(2, 240, parts),
                r.pourMl(),
                r.menstruum(),
                r.additions(),
                r.stages(),
                Optional.empty(),
                embercup.core.recipe.Told.NOTHING);
        assertThat(PlanRequest.asWritten(concentrate).liquorMl()).isCloseTo(liquorMl, within(1e-9));
    }

    @Test
    void everyNumberOutsideItsLimitsIsSaid() {
        Kitchen k = Kitchen.STANDARD;
        PlanRequest wrong = PlanRequest.asWritten(lindenCup())
                .withCups(41)
                .withDrinker(adultWith(1))
                .withKitchen(new Kitchen(9000, k.roomC(), k.tapC(), k.vessel(), Burner.SMALL, k.kettleW()));
        assertThatThrownBy(wrong::check)
                .isInstanceOfSatisfying(InvalidInputException.class, e -> assertThat(e.violations())
                        .extracting(InvalidInputException.Violation::field)
                        .contains("cups", "drinker.weightKg", "kitchen.altitudeM"));
        PlanRequest.asWritten(lindenCup()).check();
    }

    /** The kettle heats before the pour; it is heating and nothing for the hands. */
    @Test
    void heatingUpIsAStepOfItsOwn() {
        assertThat(plan(lindenCup()).steps())
                .filteredOn(Step.HeatUp.class::isInstance)
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.heats()).isTrue();
                    assertThat(s.way()).isEqualTo(Step.Way.HEATING);
                    assertThat(s.handsOn()).isFalse();
                });
    }

    /** The curve ends where the strength stands, and the herbs take their room in the pot. */
    @Test
    void theCurveEndsAtTheStrength() {
        BrewPlan pot = plan(rootPot());
        CurvePoint last = pot.curve().get(pot.curve().size() - 1);
        assertThat(last.body()).isCloseTo(pot.strength(), within(0.02));
        assertThat(last.aroma()).isCloseTo(pot.aroma(), within(0.02));
        assertThat(pot.displacedMl()).isBetween(1.0, 60.0);
        assertThat(pot.curve().get(0).body()).isZero();
    }
}
