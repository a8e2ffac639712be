package embercup.core.words;

import static embercup.core.Pots.WORDS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.measure.KitchenAmount;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.Mass;
import embercup.core.measure.Quantity;
import embercup.core.measure.Spread;
import embercup.core.measure.Temperature;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where one spoon ends and the next begins, in every kitchen. */
class KitchenMeasureEdgesTest {

    /** An Australian tablespoon holds four teaspoons of 5 mL, a metric one three (rounded trade sizes). */
    @ParameterizedTest
    @CsvSource({
        "AU, 15, 3 tsp",
        "AU, 20, 1 tbsp",
        "AU, 25, 1 tbsp + 1 tsp",
        "AU, 38, 1 tbsp + 3½ tsp",
        "AU, 40, 2 tbsp",
        "METRIC, 15, 1 tbsp",
        "METRIC, 20, 1 tbsp + 1 tsp",
        "METRIC, 29, 2 tbsp",
        "METRIC, 117, 7 tbsp + 2½ tsp",
        "METRIC, 125, ½ cup",
        "METRIC, 250, 1 cup",
        "METRIC, 375, 1½ cups",
        "METRIC, 0.3, less than a pinch",
        "METRIC, 0.4, a pinch",
        "METRIC, 0.625, ⅛ tsp",
        "METRIC, 1.9, ⅜ tsp",
        "METRIC, 3, ½ tsp",
        "METRIC, 6.2, 1¼ tsp",
        "METRIC, 11, 2 tsp"
    })
    void millilitresAreSaidInTheSpoonsOfTheKitchen(KitchenSystem kitchen, double ml, String words) {
        assertThat(WORDS.say(KitchenAmount.spoons(Volume.millilitres(ml), kitchen)))
                .isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({
        "US, 473.2, 2 cups",
        "METRIC, 473.2, 2 cups",
        "METRIC, 560, 2¼ cups",
        "IMPERIAL, 560, 2 cups",
        "AU, 60, ¼ cup"
    })
    void cupsBesideAVesselAreThoseOfTheKitchen(KitchenSystem kitchen, double ml, String words) {
        assertThat(WORDS.say(KitchenAmount.cups(Volume.millilitres(ml), kitchen)))
                .isEqualTo(words);
    }

    /** Below two a half is said, above it whole ones; "about" when a tenth is lost by it. */
    @ParameterizedTest
    @CsvSource({
        "0.2, about ½ slice",
        "1.49, 1½ slices",
        "1.74, about 1½ slices",
        "1.99, 2 slices",
        "2, 2 slices",
        "2.24, about 2 slices",
        "2.6, about 3 slices",
        "5.4, 5 slices",
        "9.45, 9 slices"
    })
    void slicesAreCounted(double count, String words) {
        assertThat(WORDS.say(KitchenAmount.pieces(count, Unit.SLICE))).isEqualTo(words);
    }

    /** Exact by definition: 1 kg = 1 000 g, 1 oz = 28.349523125 g (NIST Handbook 44), 0 °C = 273.15 K (ITS-90). */
    @Test
    void massesVolumesAndTemperaturesAreTheirUnits() {
        assertThat(Mass.kilograms(1.5)).isEqualTo(Mass.grams(1500));
        assertThat(Mass.milligrams(250)).isEqualTo(Mass.grams(0.25));
        assertThat(Mass.grams(0.25).milligrams()).isEqualTo(250);
        assertThat(Mass.ounces(2).grams()).isCloseTo(56.69904625, within(1e-12));
        assertThat(Mass.grams(2).plus(Mass.grams(3))).isEqualTo(Mass.grams(5));
        assertThat(Mass.grams(2).min(Mass.grams(3))).isEqualTo(Mass.grams(2));
        assertThat(Mass.grams(4).min(Mass.grams(3))).isEqualTo(Mass.grams(3));
        assertThat(Mass.grams(4)).isGreaterThan(Mass.grams(3));
        assertThat(Volume.litres(0.2).plus(Volume.millilitres(50)).times(2)).isEqualTo(Volume.millilitres(500));
        assertThat(Volume.millilitres(4)).isGreaterThan(Volume.millilitres(3));
        assertThat(Temperature.celsius(100).kelvin()).isCloseTo(373.15, within(1e-12));
        assertThat(Temperature.kelvin(300).celsius()).isCloseTo(26.85, within(1e-9));
        assertThat(Temperature.celsius(4)).isGreaterThan(Temperature.celsius(3));
    }

    @Test
    void aSpreadDividesWithItsEndsSwapped() {
        Spread spoon = Spread.of(2, 4, 5);
        assertThat(spoon.dividing(20)).isEqualTo(Spread.of(4, 5, 10));
        assertThat(spoon.plus(Spread.exactly(1))).isEqualTo(Spread.of(3, 5, 6));
        assertThat(spoon.relative()).isEqualTo(0.5);
    }

    @Test
    void anAmountIsAboveNothingAndNoSlipOfTheKey() {
        assertThat(Quantity.possible(0)).isFalse();
        assertThat(Quantity.possible(-1)).isFalse();
        assertThat(Quantity.possible(Double.NaN)).isFalse();
        assertThat(Quantity.possible(0.001)).isTrue();
        assertThat(Quantity.possible(5e-324))
                .as("nothing that a spoon or a scale could hold")
                .isFalse();
        assertThat(Quantity.possible(1_000_000)).isTrue();
        assertThat(Quantity.possible(1_000_001)).isFalse();
        assertThatThrownBy(() -> Quantity.of(0, Unit.GRAM)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Quantity.of(1.5, Unit.TEASPOON).times(2)).isEqualTo(Quantity.of(3, Unit.TEASPOON));
        assertThat(Quantity.parse(Quantity.of(1.5, Unit.TEASPOON).toString()))
                .isEqualTo(Quantity.of(1.5, Unit.TEASPOON));
    }
}
