package embercup.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What an open liquor loses below the boil follows the pressure of its vapour. */
class BelowTheBoilTest {

    private static final Air AIR = Air.of(Kitchen.STANDARD);
    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 20, 12);

    /** Steam tables of IAPWS-IF97, saturation pressure in kPa (from memory). */
    @ParameterizedTest
    @CsvSource({"20, 2.339", "40, 7.385", "60, 19.946", "80, 47.414", "90, 70.182", "100, 101.42"})
    void theVapourPressureIsThatOfTheSteamTables(double celsius, double kPa) {
        assertThat(Water.saturationPa(celsius) / 1000).isCloseTo(kPa, within(kPa * 0.001));
        assertThat(Water.boilingC(Water.saturationPa(celsius))).isCloseTo(celsius, within(0.01));
    }

    /**
     * Evaporation of pools, g/(m²·s): (0.089 + 0.0782 × 0.2) × (p_w − p_a) ÷ latent heat, ASHRAE Handbook, HVAC Applications (from
     * memory), worked by hand with the table above, half of the vapour pressure of 20 °C in the room, and air that moves at 0.2 m/s.
     */
    @ParameterizedTest
    @CsvSource({"40, 0.270", "60, 0.833", "80, 2.097", "90, 3.163"})
    void steamIsThatOfAPoolInARoom(double celsius, double gPerM2S) {
        assertThat(AIR.steamWPerM2(celsius) / Water.latentHeatJPerG(celsius))
                .isCloseTo(gPerM2S, within(gPerM2S * 0.01));
    }

    @Test
    void twiceAsWarmOverTheRoomLosesFarMoreThanTwiceTheSteam() {
        assertThat(AIR.steamWPerM2(80) / AIR.steamWPerM2(50)).isBetween(3.5, 5.0);
        assertThat(AIR.steamWPerM2(5)).as("colder than the dew point").isZero();
    }

    /** The straight lines meet the curve at the ends of their bands and stay near it between. */
    @ParameterizedTest
    @ValueSource(doubles = {25, 38, 47, 52, 60, 69, 77, 84, 90, 95, 99})
    void theLinesStayNearTheCurve(double celsius) {
        for (boolean flame : new boolean[] {true, false}) {
            Losses.State open = new Losses.State(POT, 1000, false, flame);
            double exact = Losses.watts(open, AIR, celsius);
            for (boolean rising : new boolean[] {true, false}) {
                double line = Losses.line(open, AIR, celsius, rising).watts(celsius);
                assertThat(line).isBetween(exact * 0.999, exact * 1.06 + 2);
            }
        }
    }

    /** A litre that stands open loses more than the same under its lid, and only the open one loses water. */
    @Test
    void onlyTheOpenPotLosesWater() {
        assertThat(Losses.steamW(new Losses.State(POT, 1000, true, false), AIR, 80))
                .isZero();
        assertThat(Losses.steamW(new Losses.State(POT, 1000, false, false), AIR, 80))
                .isGreaterThan(100);
    }

    /** A lid never makes a pot slower to heat, whatever its shape and its flame. */
    @ParameterizedTest
    @CsvSource({"16, 8.5, 500", "18, 10, 700", "24, 24, 3000", "30, 28, 3000", "45, 48, 2000"})
    void aLidNeverCostsHeat(double diameterCm, double heightCm, double ml) {
        Vessel pot = Vessel.of("pot", Vessel.Kind.POT, diameterCm, heightCm);
        for (double celsius = 21; celsius <= 100; celsius += 1) {
            assertThat(Losses.watts(new Losses.State(pot, ml, true, true), AIR, celsius))
                    .isLessThanOrEqualTo(Losses.watts(new Losses.State(pot, ml, false, true), AIR, celsius) + 1e-9);
        }
        for (double watts : new double[] {500, 700, 1200}) {
            assertThat(heats(pot, ml, true, watts)).isLessThanOrEqualTo(heats(pot, ml, false, watts) * 1.001);
        }
    }

    private static double heats(Vessel pot, double ml, boolean lid, double watts) {
        return Way.heatingS(
                new Losses.State(pot, ml, lid, true),
                AIR,
                watts,
                ml * Water.SPECIFIC_HEAT_J_PER_G_K + pot.wallJPerK(),
                15,
                100);
    }

    /** In thin air water boils sooner and its steam spreads sooner: at the boil a surface gives as much as at sea level. */
    @Test
    void atTheBoilOfAMountainKitchenTheSurfaceGivesAsMuch() {
        Air high = Air.of(20, 90);
        assertThat(high.steamWPerM2(90)).isCloseTo(AIR.steamWPerM2(100), within(AIR.steamWPerM2(100) * 0.02));
    }

    @Test
    void aWayIsGoneInPiecesThatMeet() {
        Way way = Way.of(new Losses.State(POT, 1000, false, false), AIR, 0, 4500, 95, 40, Double.POSITIVE_INFINITY);
        assertThat(way.pieces().size()).isGreaterThan(2);
        for (int i = 1; i < way.pieces().size(); i++) {
            assertThat(way.pieces().get(i).heating().startC())
                    .isCloseTo(way.pieces().get(i - 1).endC(), within(1e-6));
        }
        assertThat(way.pieces().get(way.pieces().size() - 1).endC()).isCloseTo(40, within(1e-6));
    }

    /** Whatever the room, a way lasts as long as it is asked to: none ends where a band does. */
    @ParameterizedTest
    @CsvSource({"-10, 15", "-10, 95", "0, 95", "20, 20", "45, 5", "45, 99.9"})
    void aWayLastsAsLongAsItIsAsked(double roomC, double fromC) {
        for (boolean lid : new boolean[] {true, false}) {
            for (boolean flame : new boolean[] {true, false}) {
                for (double watts : new double[] {0, 40, 150}) {
                    Way way = Way.of(
                            new Losses.State(POT, 1000, lid, flame),
                            Air.of(roomC, 100),
                            watts,
                            4500,
                            fromC,
                            Double.POSITIVE_INFINITY,
                            36_000);
                    assertThat(way.seconds()).isCloseTo(36_000, within(1e-6));
                }
            }
        }
    }

    /** A flame that only holds it warm ends where power and loss are even. */
    @Test
    void aSmallFlameEndsWhereItsPowerIsLost() {
        Losses.State open = new Losses.State(POT, 1000, false, true);
        double even = Losses.evenC(open, AIR, 150);
        assertThat(even).isBetween(60.0, 95.0);
        assertThat(Losses.line(open, AIR, even, true).watts(even)).isCloseTo(150, within(0.01));
        Way way = Way.of(open, AIR, 150, 4500, 20, 100, 20 * 3600);
        assertThat(way.pieces().get(way.pieces().size() - 1).endC()).isCloseTo(even, within(0.5));
    }
}
