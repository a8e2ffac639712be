package embercup.core.words;

import static embercup.core.Pots.WORDS;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.measure.KitchenAmount;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KitchenMeasureTest {

    private static final double TSP = KitchenSystem.US.teaspoonMl();

    @ParameterizedTest
    @CsvSource({
        "0.03, less than a pinch", "0.08, a pinch", "0.25, ¼ tsp", "0.5, ½ tsp", "1, 1 tsp", "1.5, 1½ tsp", "2, 2 tsp",
        "3, 1 tbsp", "3.5, 1 tbsp + ½ tsp", "5, 1 tbsp + 2 tsp", "6, 2 tbsp", "24, ½ cup", "48, 1 cup", "60, 1¼ cups"
    })
    void teaspoonsAreSaidAsAKitchenMeasuresThem(double teaspoons, String words) {
        assertThat(WORDS.say(KitchenAmount.spoons(Volume.millilitres(teaspoons * TSP), KitchenSystem.US)))
                .isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({
        "1, STICK, 1 stick",
        "2, SLICE, 2 slices",
        "2.7, SLICE, about 3 slices",
        "4, LEAF, 4 leaves",
        "0.5, STICK, ½ stick"
    })
    void countsAreWhole(double count, Unit unit, String words) {
        assertThat(WORDS.say(KitchenAmount.pieces(count, unit))).isEqualTo(words);
    }
}
