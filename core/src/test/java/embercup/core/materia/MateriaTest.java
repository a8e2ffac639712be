package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.said;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInputException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yaml.snakeyaml.Yaml;

class MateriaTest {

    private final HerbMeasure measure = new HerbMeasure(MATERIA, MeasureCustom.DEFAULT);

    @Test
    void everyHerbFileKeepsTheSchemaAndNamesASourceForEveryValue() throws Exception {
        ObjectMapper json = new ObjectMapper();
        try (InputStream in = resource("herb.schema.json")) {
            JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                    .getSchema(in);
            for (Herb herb : MATERIA.herbs()) {
                try (InputStream file = resource("herbs/" + herb.slug() + ".yaml")) {
                    JsonNode node = json.valueToTree(new Yaml().<Map<String, Object>>load(file));
                    assertThat(schema.validate(node)).as(herb.slug()).isEmpty();
                }
            }
        }
    }

    private static InputStream resource(String name) {
        return java.util.Objects.requireNonNull(MateriaTest.class.getResourceAsStream(MateriaDocuments.ROOT + name));
    }

    @Test
    void aHomeShelfIsThereAndPlantsNotForTeaAreRefused() {
        List<String> refused = MATERIA.herbs().stream()
                .filter(h -> h.stop().isPresent())
                .map(Herb::slug)
                .toList();
        assertThat(MATERIA.herbs().size() - refused.size()).isGreaterThanOrEqualTo(80);
        assertThat(refused).contains("comfrey", "foxglove", "yew", "hemlock", "ephedra");
    }

    @Test
    void whatStandsInForAHerbIsInTheMateriaItself() {
        assertThat(MATERIA.herbs())
                .allSatisfy(h -> assertThat(h.substitutes()).allSatisfy(s -> assertThat(MATERIA.find(s.herb()))
                        .as(h.slug() + " → " + s.herb())
                        .isPresent()));
    }

    /** USDA SR household measures (mem), as given in the reference values. */
    @ParameterizedTest
    @CsvSource({
        "ginger, DRIED, GROUND, 1, tsp, 1.8", "turmeric, DRIED, GROUND, 2, tsp, 6.0",
        "cinnamon-cassia, DRIED, GROUND, 1, tsp, 2.6", "black-pepper, DRIED, WHOLE, 1, tsp, 2.9",
        "garlic, FRESH, WHOLE, 2, clove, 6.0", "basil, FRESH, WHOLE, 5, leaf, 2.5",
        "fenugreek, DRIED, WHOLE, 1, tsp, 3.7", "thyme, DRIED, WHOLE, 1, tsp, 1.0",
        "spearmint, DRIED, CHOPPED, 1, tsp, 0.5", "ginger, FRESH, SLICED, 2, slice, 4.4",
        "cinnamon-cassia, DRIED, WHOLE, 1, stick, 4", "cinnamon-true, DRIED, WHOLE, 1, stick, 2.5"
    })
    void aSpoonWeighsWhatTheTablesSay(String herb, Form form, Cut cut, double amount, String unit, double grams) {
        assertThat(grams(herb, form, cut, amount, unit).amount().best()).isCloseTo(grams, within(grams * 0.02));
    }

    /** USDA SR (mem): a quarter cup of sliced fresh ginger root weighs 24 g, two tablespoons of fresh peppermint 3.2 g. */
    @Test
    void aQuarterCupOfSlicedGingerWeighs24Grams() {
        assertThat(grams("ginger", Form.FRESH, Cut.SLICED, 0.25, "cup").amount().best())
                .isCloseTo(24, within(0.5));
        assertThat(grams("peppermint", Form.FRESH, Cut.CHOPPED, 2, "tbsp")
                        .amount()
                        .best())
                .isCloseTo(3.2, within(0.1));
    }

    /** A cylinder 2.5 cm thick and an inch long at about 1 g/mL: geometry, the reference says 12 g. */
    @Test
    void anInchOfGingerWeighsWhatItsThicknessSays() {
        double geometry = Math.PI / 4 * 2.5 * 2.5 * 2.54;
        Herb ginger = MATERIA.herb("ginger", "herb");
        assertThat(measure.grams(ginger, Form.FRESH, Cut.WHOLE, Quantity.of(1, Unit.INCH), "unit")
                        .amount()
                        .best())
                .isCloseTo(geometry, within(geometry * 0.05));
        assertThat(measure.grams(ginger, Form.FRESH, Cut.WHOLE, Quantity.of(2.54, Unit.CENTIMETRE), "unit")
                        .amount()
                        .best())
                .isCloseTo(12, within(1e-9));
    }

    @Test
    void powderIsSurerThanLooseLeafAndAHandfulIsTheLeastSure() {
        double powder =
                grams("turmeric", Form.DRIED, Cut.GROUND, 1, "tsp").amount().relative();
        double leaf =
                grams("lemon-balm", Form.DRIED, Cut.CHOPPED, 1, "tsp").amount().relative();
        double handful = grams("lemon-balm", Form.DRIED, Cut.CHOPPED, 1, "handful")
                .amount()
                .relative();
        double scale =
                grams("lemon-balm", Form.DRIED, Cut.CHOPPED, 10, "g").amount().relative();
        assertThat(scale).isLessThan(powder);
        assertThat(powder).isCloseTo(0.12, within(1e-9)).isLessThan(leaf);
        assertThat(leaf).isCloseTo(0.35, within(1e-9)).isLessThan(handful);
        assertThat(handful).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void aCutWithoutAFigureTakesTheNearestAndSaysSo() {
        HerbMeasure.Conversion crushed = grams("dandelion", Form.DRIED, Cut.CRUSHED, 1, "tsp");
        assertThat(crushed.nearest()).contains(new HerbMeasure.Nearest.OfCut(Cut.CHOPPED));
        assertThat(crushed.workings().inputs()).hasSize(2);
        assertThat(grams("dandelion", Form.DRIED, Cut.SLICED, 1, "tsp").nearest())
                .isEmpty();
    }

    @Test
    void aHerbIsNotCountedInUnitsItDoesNotComeIn() {
        assertThatThrownBy(() -> grams("ginger", Form.FRESH, Cut.WHOLE, 1, "petal"))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(said(e)).contains("counted in slice, in, piece, thumb"));
    }

    @Test
    void anUnknownHerbIsAnsweredWithItsNeighbours() {
        assertThatThrownBy(() -> MATERIA.herb("lemon-blam", "herb"))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(said(e)).contains("lemon-balm"));
    }

    @Test
    void lowBestAndHighKeepTheirOrderForEveryHerbFormAndCut() {
        for (Herb herb : MATERIA.herbs()) {
            for (Form form : Form.values()) {
                for (Cut cut : Cut.values()) {
                    var spread = measure.grams(herb, form, cut, Quantity.of(1.5, Unit.TABLESPOON), "unit")
                            .amount();
                    assertThat(spread.low()).isPositive().isLessThan(spread.best());
                    assertThat(spread.high()).isGreaterThan(spread.best());
                }
            }
        }
    }

    private HerbMeasure.Conversion grams(String herb, Form form, Cut cut, double amount, String unit) {
        return measure.grams(
                MATERIA.herb(herb, "herb"),
                form,
                cut,
                Quantity.of(amount, Unit.ofCode(unit).orElseThrow()),
                "unit");
    }
}
