package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.materia.Evidence.Basis;
import embercup.core.materia.Evidence.Rests;
import embercup.core.materia.Evidence.Value;
import embercup.core.words.Words;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.yaml.snakeyaml.Yaml;

/** A default is not a fact: what a herb takes from its part says so, and what was quoted from memory says that too. */
class EvidenceTest {

    private static final Words WORDS = Words.ofLanguage("en");

    static Stream<Herb> drunk() {
        return MATERIA.herbs().stream().filter(h -> h.stop().isEmpty() && h.part() != PlantPart.PANTRY);
    }

    /** Reads the file, not the herb: a figure of the part that is written out would be said as somebody's. */
    @ParameterizedTest
    @MethodSource("drunk")
    void noFileWritesOutAFigureOfThePart(Herb herb) throws Exception {
        PartDefaults part = MATERIA.part(herb.part());
        Map<String, Object> file;
        try (InputStream in = Objects.requireNonNull(
                EvidenceTest.class.getResourceAsStream(MateriaDocuments.ROOT + "herbs/" + herb.slug() + ".yaml"))) {
            file = new Yaml().load(in);
        }
        Map<?, ?> weights = (Map<?, ?>) file.getOrDefault("weights", Map.of());
        Map<?, ?> dosing = (Map<?, ?>) file.getOrDefault("dosing", Map.of());
        if (weights.get("keeps") instanceof Map<?, ?> keeps) {
            assertThat(number(keeps.get("months")))
                    .isNotEqualTo(part.usual().keepsMonths().orElseThrow().value());
        }
        for (Object line :
                Stream.of("bulk", "pieces").flatMap(k -> each(weights, k)).toList()) {
            Map<?, ?> spoon = (Map<?, ?>) line;
            Form form = Form.valueOf(String.valueOf(spoon.get("form")).toUpperCase(java.util.Locale.ROOT));
            if (spoon.get("spread") != null) {
                assertThat(number(spoon.get("spread"))).as(line.toString()).isNotEqualTo(part.spread(form));
            }
        }
        if (dosing.get("ageFloor") instanceof Map<?, ?> age && "estimate".equals(age.get("source"))) {
            assertThat(number(age.get("years")))
                    .isNotEqualTo(part.usual().ageFloorYears().value());
        }
        each(dosing, "doses")
                .map(d -> (Map<?, ?>) d)
                .filter(d -> "folk".equals(d.get("tradition"))
                        && "dried".equals(d.get("form"))
                        && "handbooks".equals(d.get("source")))
                .forEach(d -> assertThat(String.valueOf(d.get("perCupG"))).isNotEqualTo("[1, 2]"));
    }

    private static double number(Object value) {
        return ((Number) value).doubleValue();
    }

    private static Stream<?> each(Map<?, ?> of, String key) {
        return of.get(key) instanceof List<?> list ? list.stream() : Stream.empty();
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void whatAHerbTakesFromItsPartIsSaidAsEstimatedFromOthers(Herb herb) {
        PartDefaults part = MATERIA.part(herb.part());
        List<Rests> values = Evidence.values(MATERIA, herb);
        assertThat(values)
                .contains(
                        new Rests(Value.KEEPS, herb.keepsMonths().orElseThrow().source()));
        assertThat(herb.keepsMonths().orElseThrow().value()
                        == part.usual().keepsMonths().orElseThrow().value())
                .isEqualTo(herb.keepsMonths().orElseThrow().source().equals(Source.PART));
        assertThat(Evidence.of(MATERIA, herb))
                .filteredOn(l -> l.basis() == Basis.PART)
                .singleElement()
                .satisfies(l -> assertThat(WORDS.say(l))
                        .startsWith("Estimated from other ")
                        .contains("water it keeps"));
    }

    @Test
    void dandelionSaysWhatItTakesFromOtherRootsAndWhatNobodyCompared() {
        Herb dandelion = MATERIA.herb("dandelion", "herb");
        List<String> said =
                Evidence.of(MATERIA, dandelion).stream().map(WORDS::say).toList();
        assertThat(said)
                .anySatisfy(s -> assertThat(s)
                        .startsWith("Published, quoted from memory, not compared with the source yet: ")
                        .contains("usual dose", "youngest age", "cautions"))
                .anySatisfy(s -> assertThat(s)
                        .startsWith("Estimated from other roots: ")
                        .contains("how long it keeps", "spread of a spoon"));
    }

    @Test
    void theCooksOwnWeightIsMeasuredAndNotFromOthers() {
        Herb own = MATERIA.herb("dandelion", "herb")
                .withOwnWeights(List.of(
                        new Herb.Bulk(Form.DRIED, Cut.SLICED, embercup.core.measure.Spread.around(2.3, 0.08), "own")));
        assertThat(Evidence.of(MATERIA, own).get(0))
                .satisfies(l -> assertThat(l.basis()).isEqualTo(Basis.MEASURED))
                .satisfies(l -> assertThat(l.values()).containsExactly(Value.SPOON, Value.SPOON_SPREAD));
    }

    @Test
    void aValueThatSomebodyComparedIsNoLongerFromMemory() {
        Herb sage = MATERIA.herb("sage", "herb");
        Rests dose = new Rests(Value.DOSE, sage.doses().get(0).source());
        assertThat(Evidence.basis(MATERIA, sage, dose)).isEqualTo(Basis.MEMORY);
        Materia compared = MateriaReader.with("""
                checks:
                  - {herb: sage, value: dose, source: %s, edition: "the edition at hand", on: 2026-12-01}
                """.formatted(dose.source()));
        assertThat(Evidence.basis(compared, sage, dose)).isEqualTo(Basis.CHECKED);
        assertThat(compared.checked(sage, dose).orElseThrow().on()).hasToString("2026-12-01");
    }

    @Test
    void aCheckOfAValueThatIsNotThereIsRefusedByName() {
        assertThatThrownBy(() -> MateriaReader.with("""
                checks:
                  - {herb: sage, value: harmful, source: who, edition: "none", on: 2026-12-01}
                """))
                .hasMessageContaining("checks.yaml")
                .hasMessageContaining("sage");
    }

    @ParameterizedTest
    @EnumSource(PlantPart.class)
    void everyPartHasWordsForItsOthers(PlantPart part) {
        assertThat(WORDS.say(new Evidence.Others(part))).startsWith("other ");
        if (part != PlantPart.PANTRY && part != PlantPart.BLEND) {
            assertThat(WORDS.say(new Evidence.Others(part))).isNotEqualTo("other things");
        }
    }

    @ParameterizedTest
    @EnumSource(Value.class)
    void everyValueHasItsWord(Value value) {
        assertThat(WORDS.keys())
                .contains("value."
                        + value.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
    }
}
