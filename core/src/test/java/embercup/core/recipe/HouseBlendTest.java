package embercup.core.recipe;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.measure.MeasureCustom;
import embercup.core.reading.Answers;
import embercup.core.reading.Reader;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** So much of a blend as a recipe takes, each herb by its share. */
class HouseBlendTest {

    private static final Reader READER = new Reader(MATERIA);

    private static List<Double> grams(String text) {
        Recipe read = READER.read(text, MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE)
                .recipe();
        return Parts.resolved(MATERIA, read).additions().stream()
                .map(a -> a.quantity().amount())
                .toList();
    }

    /** A spoon of equal parts by the spoon weighs the mean of what its herbs' spoons weigh. */
    @Test
    void aSpoonOfEqualPartsWeighsTheMeanOfItsHerbs() {
        List<Double> parts = grams("Seeds\nEqual parts of fennel, anise and caraway.\n3 cups boiling water\n"
                + "Pour the water over 3 tsp of the blend, steep 10 minutes.");
        double each = parts.stream().mapToDouble(Double::doubleValue).sum();
        List<Double> spoons =
                grams("Seeds\n1 tsp fennel\n1 tsp anise\n1 tsp caraway\n3 cups boiling water\nPour, steep 10 minutes.");
        assertThat(spoons).containsOnly(1.0);
        assertThat(parts).hasSize(3).allSatisfy(g -> assertThat(g).isBetween(1.0, 3.0));
        assertThat(each).as("three spoons of it").isBetween(4.5, 7.5);
    }

    /** Two teaspoons of a blend are twice one of it, and its herbs keep their shares. */
    @Test
    void moreOfItIsMoreOfEveryHerb() {
        String text =
                "Blend\n2 parts linden\n1 part lavender\n2 cups boiling water\nPour the water over %s of the blend, steep 8 minutes.";
        List<Double> one = grams(text.formatted("1 tsp"));
        List<Double> two = grams(text.formatted("2 tsp"));
        for (int i = 0; i < one.size(); i++) {
            assertThat(two.get(i)).isCloseTo(2 * one.get(i), within(1e-9));
        }
    }
}
