package embercup.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.measure.Unit;
import embercup.core.recipe.Menstruum;
import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Amounts as people write them, and the menstruum's arithmetic. */
class AmountWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "½ tsp thyme | 0.5 | TEASPOON | thyme",
                "1/4 teaspoon ground ginger | 0.25 | TEASPOON | ground ginger",
                "2 1/2 cups water | 2.5 | CUP | water",
                "1,5 l water | 1.5 | LITRE | water",
                "three slices of ginger | 3 | SLICE | ginger",
                "a pinch of salt | 1 | PINCH | salt",
                "a half cup nettle | 0.5 | CUP | nettle",
                "1-inch piece ginger | 1 | INCH | ginger",
                "2 in ginger | 2 | INCH | ginger",
                "4 fl oz water | 4 | FLUID_OUNCE | water",
                "10g linden | 10 | GRAM | linden",
                "6 oz. roots | 6 | OUNCE | roots",
                "2 tea bags black tea | 2 | BAG | black tea",
                "3 parts nettle | 3 | PART | nettle",
                "12 liang root | 12 | LIANG | root",
                "5 leaves basil | 5 | LEAF | basil",
            })
    void aLineBeginsWithItsAmountAndUnit(String line, double amount, Unit unit, String rest) {
        AmountWords.Read read = AmountWords.read(line).orElseThrow();
        assertThat(read.amount()).isCloseTo(amount, within(1e-9));
        assertThat(read.unit()).contains(unit);
        assertThat(read.rest()).isEqualTo(rest);
        assertThat(read.range()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"2-3 tsp thyme, 2.5", "1 to 2 cups water, 1.5", "20–30 g root, 25", "1 or 2 sticks cinnamon, 1.5"})
    void aRangeIsReadAsItsMiddleAndSaysSo(String line, double middle) {
        AmountWords.Read read = AmountWords.read(line).orElseThrow();
        assertThat(read.amount()).isCloseTo(middle, within(1e-9));
        assertThat(read.range()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"thyme to taste", "", "water", "some honey", "bring 2 cups to the boil"})
    void aLineWithoutAnAmountIsNotGivenOne(String line) {
        assertThat(AmountWords.read(line)).isEmpty();
    }

    @Test
    void aNumberWithoutAUnitLeavesTheUnitOpen() {
        AmountWords.Read read = AmountWords.read("3 cardamom").orElseThrow();
        assertThat(read.unit()).isEmpty();
        assertThat(read.rest()).isEqualTo("cardamom");
    }

    static IntStream seeds() {
        return IntStream.range(0, 30);
    }

    /** Whatever amount and unit of the API a line begins with, it is read back as that. */
    @ParameterizedTest
    @MethodSource("seeds")
    void everyUnitOfTheApiIsReadBack(int seed) {
        Random random = new Random(seed);
        Unit[] units = Arrays.stream(Unit.values())
                .filter(u -> u != Unit.CLOVE && u != Unit.FLUID_OUNCE && u != Unit.LEAF && u != Unit.FLOWER)
                .toArray(Unit[]::new);
        Unit unit = units[random.nextInt(units.length)];
        double amount = 1 + random.nextInt(20);
        String line = "%d %s of linden"
                .formatted(
                        (int) amount,
                        embercup.core.words.Words.english().unit(unit, amount).toLowerCase(java.util.Locale.ROOT));
        AmountWords.Read read = AmountWords.read(line).orElseThrow();
        assertThat(read.unit()).as(line).contains(unit);
        assertThat(read.amount()).isEqualTo(amount);
        assertThat(read.rest()).isEqualTo("linden");
    }

    // ---- menstruum

    /** Alligation: strengths are to each other as the inverse of the volumes (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"40, 96, 500, 208.33", "25, 40, 400, 250", "60, 60, 100, 100"})
    void spiritIsThinnedByItsStrength(double wanted, double atHand, double ml, double ofIt) {
        assertThat(Menstruum.spirit(wanted).ofStrongerMl(ml, atHand)).isCloseTo(ofIt, within(0.01));
    }

    @Test
    void aWeakSpiritMakesNoStrongOne() {
        assertThatThrownBy(() -> Menstruum.spirit(60).ofStrongerMl(100, 40))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @EnumSource(Menstruum.Kind.class)
    void onlyWaterMayStandOnAFlame(Menstruum.Kind kind) {
        assertThat(new Menstruum(kind, 0).cold()).isEqualTo(kind != Menstruum.Kind.WATER);
    }
}
