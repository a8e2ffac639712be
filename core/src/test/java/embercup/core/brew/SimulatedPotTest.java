package embercup.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Atmosphere;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A pot on a stove, second by second: against the closed forms and the figures of a kitchen. */
class SimulatedPotTest {

    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 18, 10);

    private static SimulatedPot filled(Vessel vessel, double ml, double celsius) {
        SimulatedPot pot = new SimulatedPot(vessel, 20, 100);
        pot.pourIn(ml, celsius);
        return pot;
    }

    @ParameterizedTest
    @ValueSource(doubles = {400, 1200, 2000})
    void itWarmsUpAsTheClosedFormSays(double watts) {
        SimulatedPot pot = filled(POT, 1000, 15);
        double start = pot.tempC();
        double capacity = 1000 * Water.SPECIFIC_HEAT_J_PER_G_K + POT.wallJPerK();
        Heating closed = Heating.of(start, 20, watts, capacity, Losses.wattsPerKelvin(POT, 1000, true, true));
        pot.advance(120, watts, true);
        assertThat(pot.tempC()).isCloseTo(closed.celsiusAt(120), within(0.2));
    }

    /** 1 000 W net boil 26.6 g a minute away at sea level (latent heat, IAPWS-IF97). */
    @Test
    void aThousandWattsBoilTwentySixGramsAMinuteAway() {
        SimulatedPot pot = filled(POT, 1500, 100);
        pot.advance(60, 5000, false);
        double before = pot.waterMl();
        pot.advance(600, 1000, false);
        assertThat((before - pot.waterMl()) / 10).isCloseTo(26.6, within(0.2));
        assertThat(pot.tempC()).isEqualTo(100);
    }

    /** An open mug, just poured, cools with a time constant of 20–30 minutes (common practice, no source). */
    @Test
    void aMugIsLukewarmAfterThreeQuartersOfAnHour() {
        Vessel mug = Vessel.mug(240);
        SimulatedPot cup = filled(mug, 240, 97);
        double start = cup.tempC() - 20;
        cup.advance(25 * 60, 0, false);
        assertThat((cup.tempC() - 20) / start).isBetween(Math.exp(-25.0 / 20), Math.exp(-25.0 / 30) + 0.02);
    }

    @Test
    void pouringTheHotOntoTheColdMeetsInBetween() {
        SimulatedPot pot = filled(POT, 500, 20);
        pot.pourIn(500, 100);
        assertThat(pot.tempC()).isBetween(50.0, 60.0);
        assertThat(pot.waterMl()).isEqualTo(1000);
    }

    @Test
    void inTheMountainsItBoilsEarlierAndNeverGetsHotter() {
        double boilingC = Water.boilingC(Atmosphere.pressurePa(3000));
        SimulatedPot pot = new SimulatedPot(POT, 20, boilingC);
        pot.pourIn(800, 15);
        pot.advance(420, 1500, true);
        assertThat(pot.boils()).isTrue();
        assertThat(pot.tempC()).isEqualTo(boilingC).isBetween(89.0, 91.0);
    }

    @Test
    void anEmptyPotReadsNothingBelowZeroAndDoesNotBoil() {
        SimulatedPot pot = filled(POT, 20, 100);
        pot.advance(3600, 2000, false);
        assertThat(pot.waterMl()).isZero();
        assertThat(pot.boils()).isFalse();
        pot.takeOut(100);
        assertThat(pot.waterMl()).isZero();
    }

    @Test
    void itDoesNotMatterInHowManyBitesTheTimeIsTaken() {
        SimulatedPot once = filled(POT, 700, 15);
        SimulatedPot often = filled(POT, 700, 15);
        once.advance(300, 900, true);
        for (int i = 0; i < 100; i++) {
            often.advance(3, 900, true);
        }
        assertThat(often.tempC()).isCloseTo(once.tempC(), within(0.05));
    }
}
