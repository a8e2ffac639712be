package embercup.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import javax.measure.MetricPrefix;
import javax.measure.Quantity;
import javax.measure.Unit;
import javax.measure.quantity.Volume;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import systems.uom.common.USCustomary;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;

/** Outside check: JSR-385 units (Indriya, UOM systems-common), whose spoons are rounded to seven decimals of a litre. */
class MeasuresAgainstUnitsTest {

    private static final MeasureCustom US = MeasureCustom.DEFAULT;

    private static double jsrMl(Unit<Volume> unit) {
        Quantity<Volume> one = Quantities.getQuantity(1, unit);
        return one.to(MetricPrefix.MILLI(Units.LITRE)).getValue().doubleValue();
    }

    @Test
    void usSpoonsAndCupsAreThoseOfJsr385() {
        assertThat(embercup.core.measure.Unit.TEASPOON.millilitresEach(US))
                .isCloseTo(jsrMl(USCustomary.TEASPOON), within(5e-8));
        assertThat(embercup.core.measure.Unit.TABLESPOON.millilitresEach(US))
                .isCloseTo(jsrMl(USCustomary.TABLESPOON), within(5e-8));
        assertThat(embercup.core.measure.Unit.CUP.millilitresEach(US)).isCloseTo(jsrMl(USCustomary.CUP), within(5e-7));
        assertThat(embercup.core.measure.Unit.FLUID_OUNCE.millilitresEach(US))
                .isCloseTo(jsrMl(USCustomary.FLUID_OUNCE), within(1e-6));
        assertThat(embercup.core.measure.Unit.PINT.millilitresEach(US))
                .isCloseTo(jsrMl(USCustomary.PINT), within(5e-7));
        assertThat(embercup.core.measure.Unit.QUART.millilitresEach(US))
                .isCloseTo(jsrMl(USCustomary.GALLON_LIQUID) / 4, within(1e-6));
    }

    @Test
    void ouncesAndPoundsAreThoseOfJsr385() {
        double ounce = Quantities.getQuantity(1, USCustomary.OUNCE)
                .to(Units.GRAM)
                .getValue()
                .doubleValue();
        double pound = Quantities.getQuantity(1, USCustomary.POUND)
                .to(Units.GRAM)
                .getValue()
                .doubleValue();
        assertThat(Mass.OUNCE_G).isCloseTo(ounce, within(1e-9));
        assertThat(Mass.POUND_G).isCloseTo(pound, within(1e-9));
    }

    @Test
    void fahrenheitIsThatOfJsr385() {
        double jsr = Quantities.getQuantity(205, USCustomary.FAHRENHEIT)
                .to(Units.CELSIUS)
                .getValue()
                .doubleValue();
        assertThat(Temperature.fahrenheit(205).celsius()).isCloseTo(jsr, within(1e-6));
    }

    /** Sizes of the other kitchens: reference values after NIST SP 811 and kitchen custom. */
    @ParameterizedTest
    @CsvSource({
        "METRIC, TEASPOON, 5", "METRIC, TABLESPOON, 15", "METRIC, CUP, 250",
        "AU, TABLESPOON, 20", "IMPERIAL, CUP, 284.130625", "IMPERIAL, FLUID_OUNCE, 28.4130625",
        "IMPERIAL, PINT, 568.26125", "US, GLASS, 200"
    })
    void otherKitchensHaveTheirOwnSpoons(KitchenSystem system, embercup.core.measure.Unit unit, double millilitres) {
        assertThat(unit.millilitresEach(new MeasureCustom(system, 3))).isCloseTo(millilitres, within(1e-9));
    }

    @Test
    void aLiangIsWhatTheHouseholdReads() {
        assertThat(embercup.core.measure.Unit.LIANG.gramsEach(US)).isEqualTo(3);
        assertThat(embercup.core.measure.Unit.QIAN.gramsEach(US)).isCloseTo(0.3, within(1e-12));
        assertThat(embercup.core.measure.Unit.LIANG.gramsEach(new MeasureCustom(KitchenSystem.US, 15.625)))
                .isEqualTo(15.625);
        assertThatThrownBy(() -> new MeasureCustom(KitchenSystem.US, 0)).hasMessageContaining("no reading of a liang");
    }

    @Test
    void textFormsRoundTrip() {
        assertThat(Mass.parse(Mass.grams(1 / 3.0).toString())).isEqualTo(Mass.grams(1 / 3.0));
        assertThat(embercup.core.measure.Volume.parse(
                        embercup.core.measure.Volume.millilitres(29.57).toString()))
                .isEqualTo(embercup.core.measure.Volume.millilitres(29.57));
        assertThat(Temperature.parse(Temperature.celsius(-0.1).toString())).isEqualTo(Temperature.celsius(-0.1));
        assertThat(embercup.core.measure.Quantity.parse("0.25 fl_oz"))
                .isEqualTo(embercup.core.measure.Quantity.of(0.25, embercup.core.measure.Unit.FLUID_OUNCE));
        assertThatThrownBy(() -> Mass.parse("3 oz")).hasMessageContaining(" g");
    }
}
