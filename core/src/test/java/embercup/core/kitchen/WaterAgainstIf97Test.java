package embercup.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.hummeling.if97.IF97;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Outside check: the IF97 artifact com.hummeling:if97. */
class WaterAgainstIf97Test {

    private static final IF97 STEAM = new IF97(IF97.UnitSystem.SI);

    @ParameterizedTest
    @ValueSource(doubles = {0, 500, 1000, 1500, 2000, 2500, 3000, 3500, 4000})
    void waterBoilsWhereIf97Says(double altitudeM) {
        double pressure = Atmosphere.pressurePa(altitudeM);
        double outside = STEAM.saturationTemperatureP(pressure) - 273.15;
        assertThat(Water.boilingC(pressure)).isCloseTo(outside, within(0.001));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 1000, 2000, 3000, 4000})
    void steamTakesTheHeatThatIf97Says(double altitudeM) {
        double pressure = Atmosphere.pressurePa(altitudeM);
        double outside =
                (STEAM.specificEnthalpySaturatedVapourP(pressure) - STEAM.specificEnthalpySaturatedLiquidP(pressure))
                        / 1000;
        assertThat(Water.latentHeatJPerG(Water.boilingC(pressure))).isCloseTo(outside, within(outside * 0.002));
    }

    /** Reference values: 100.0 °C at sea level, about 95.0 at 1 500 m, 90.0 at 3 000 m (ISO 2533 with IF97). */
    @ParameterizedTest
    @CsvSource({"0, 100.0", "1500, 95.0", "3000, 90.0"})
    void kitchensUpTheMountainBoilCooler(double altitudeM, double celsius) {
        assertThat(Water.boilingC(Atmosphere.pressurePa(altitudeM))).isCloseTo(celsius, within(0.15));
    }

    /** ISO 2533 tables: 89 874.6 Pa at 1 000 m, 70 108.5 Pa at 3 000 m (mem). */
    @Test
    void airThinsAsTheStandardAtmosphereSays() {
        assertThat(Atmosphere.pressurePa(0)).isEqualTo(101_325);
        assertThat(Atmosphere.pressurePa(1000)).isCloseTo(89_874.6, within(10.0));
        assertThat(Atmosphere.pressurePa(3000)).isCloseTo(70_108.5, within(15.0));
    }
}
