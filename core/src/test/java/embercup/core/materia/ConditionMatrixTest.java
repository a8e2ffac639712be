package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.materia.Herb.HerbCaution;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The matrix of all herbs and all conditions: silence is a decision. Weights after one scale: what references contraindicate is
 * a stop; "not recommended", "no data" and "only with a clinician" is care; ordinary food and drink with a limit is a note
 * (EMA/HMPC, Commission E and herbal handbooks, mem).
 */
class ConditionMatrixTest {

    static Stream<Herb> drunk() {
        return MATERIA.herbs().stream().filter(h -> h.stop().isEmpty());
    }

    private static Set<Severity> said(String slug, Condition condition) {
        Set<Severity> all = EnumSet.noneOf(Severity.class);
        MATERIA.herb(slug, "herb").cautions().stream()
                .filter(c -> c.when().filter(condition::equals).isPresent())
                .forEach(c -> all.add(c.severity()));
        return all;
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void everyCellIsSaidOrSaidToBeUnknownAndNeverBoth(Herb herb) {
        for (Condition condition : Condition.values()) {
            boolean said = herb.cautions().stream()
                    .anyMatch(c -> c.when().filter(condition::equals).isPresent());
            boolean unknown = herb.care().noneKnown().contains(condition);
            assertThat(said != unknown)
                    .as(herb.slug() + " × " + condition.code())
                    .isTrue();
        }
    }

    /** Of one condition one sentence, but for pregnancies told by trimester. */
    @ParameterizedTest
    @MethodSource("drunk")
    void ofOneConditionOneThingIsSaid(Herb herb) {
        for (Condition condition : Condition.values()) {
            List<HerbCaution> cell = herb.cautions().stream()
                    .filter(c -> c.when().filter(condition::equals).isPresent())
                    .toList();
            long whole = cell.stream().filter(c -> c.trimesters().isEmpty()).count();
            assertThat(whole == 1 && cell.size() == 1 || whole == 0)
                    .as(herb.slug() + " × " + condition.code())
                    .isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("drunk")
    void pregnancyAndBreastfeedingAreSpokenOfForAll(Herb herb) {
        assertThat(herb.care().noneKnown()).as(herb.slug()).doesNotContain(Condition.PREGNANT, Condition.BREASTFEEDING);
    }

    @ParameterizedTest
    @CsvSource({
        // planned surgery
        "valerian, SURGERY_PLANNED, CARE",
        "ginseng, SURGERY_PLANNED, CARE",
        "st-johns-wort, SURGERY_PLANNED, CARE",
        "garlic, SURGERY_PLANNED, CARE",
        "ginger, SURGERY_PLANNED, CARE",
        "turmeric, SURGERY_PLANNED, CARE",
        "ginkgo, SURGERY_PLANNED, CARE",
        "feverfew, SURGERY_PLANNED, CARE",
        "liquorice, SURGERY_PLANNED, CARE",
        // salicylates
        "meadowsweet, STOMACH_IRRITATION, CARE",
        "meadowsweet, ULCER, STOP",
        "meadowsweet, KIDNEY, CARE",
        "meadowsweet, LIVER, CARE",
        "meadowsweet, ASTHMA, CARE",
        "meadowsweet, BLOOD_THINNER, CARE",
        "meadowsweet, SURGERY_PLANNED, CARE",
        "birch-leaf, ULCER, STOP",
        "birch-leaf, ASTHMA, CARE",
        "birch-leaf, KIDNEY, STOP",
        "willow-bark, ASTHMA, STOP",
        "willow-bark, LIVER, STOP",
        "willow-bark, ULCER, STOP",
        // vitamin K
        "nettle, BLOOD_THINNER, CARE",
        "alfalfa, BLOOD_THINNER, CARE",
        "parsley, BLOOD_THINNER, CARE",
        "moringa, BLOOD_THINNER, CARE",
        "matcha, BLOOD_THINNER, CARE",
        // St John's wort
        "st-johns-wort, ANTIDEPRESSANT, STOP",
        "st-johns-wort, CONTRACEPTIVE_PILL, STOP",
        "st-johns-wort, IMMUNOSUPPRESSANT, STOP",
        "st-johns-wort, HEART, STOP",
        "st-johns-wort, BLOOD_THINNER, STOP",
        // caffeine: ordinary drink with a limit
        "black-tea, HIGH_BLOOD_PRESSURE, NOTE",
        "black-tea, PREGNANT, NOTE",
        "coffee, PREGNANT, NOTE",
        "green-tea, HEART, CARE",
        "guarana, HIGH_BLOOD_PRESSURE, CARE",
        // flushing
        "horsetail, HEART, STOP",
        "goldenrod, KIDNEY, STOP",
        "java-tea, DIURETIC, CARE",
        "nettle, HEART, STOP",
        "dandelion, HEART, CARE",
        "corn-silk, DIURETIC, NOTE",
        // liquorice and its kin
        "liquorice, HEART, STOP",
        "liquorice, DIURETIC, STOP",
        "liquorice, CONTRACEPTIVE_PILL, CARE",
        "liquorice-honey-fried, HIGH_BLOOD_PRESSURE, STOP",
        // thyroid, hormones, epilepsy
        "lemon-balm, THYROID, CARE",
        "bladderwrack, THYROID, STOP",
        "hop, HORMONE_SENSITIVE, CARE",
        "red-clover, HORMONE_SENSITIVE, STOP",
        "chaste-tree, CONTRACEPTIVE_PILL, CARE",
        "sage, EPILEPSY, STOP",
        "wormwood, EPILEPSY, STOP",
        "hyssop, EPILEPSY, STOP",
        "mugwort, EPILEPSY, STOP",
        "rosemary, EPILEPSY, CARE",
        // families
        "fennel, CARROT_ALLERGY, STOP",
        "celery-seed, CARROT_ALLERGY, STOP",
        "lovage, CARROT_ALLERGY, STOP",
        "echinacea, DAISY_ALLERGY, STOP",
        "milk-thistle, DAISY_ALLERGY, STOP",
        "mugwort, DAISY_ALLERGY, STOP",
        // ulcer, reflux, stones, immune
        "gentian, ULCER, STOP",
        "peppermint, REFLUX, CARE",
        "lemon-juice, REFLUX, CARE",
        "lime-juice, REFLUX, CARE",
        "sorrel, KIDNEY_STONES, STOP",
        "turmeric, KIDNEY_STONES, CARE",
        "echinacea, AUTOIMMUNE, STOP",
        "echinacea, IMMUNOSUPPRESSANT, STOP",
        "ashwagandha, AUTOIMMUNE, CARE",
        "psyllium, ASTHMA, CARE",
        // fenugreek stirs the womb
        "fenugreek, PREGNANT, STOP"
    })
    void aHerbSaysWhatReferencesSay(String slug, Condition condition, Severity severity) {
        assertThat(said(slug, condition)).containsExactly(severity);
    }

    /** Both barks of cinnamon are of one genus; the richer one is never milder. */
    @ParameterizedTest
    @CsvSource({"PREGNANT", "BREASTFEEDING", "LIVER", "ULCER", "BLOOD_THINNER", "DIABETES_MEDICINE"})
    void cassiaIsAtLeastAsStrictAsTrueCinnamon(Condition condition) {
        assertThat(gravest("cinnamon-cassia", condition)).isGreaterThanOrEqualTo(gravest("cinnamon-true", condition));
    }

    private static int gravest(String slug, Condition condition) {
        return said(slug, condition).stream().mapToInt(Severity::ordinal).max().orElse(-1);
    }

    /** Whatever is sugar raises the blood sugar (common practice): whatever the kitchen calls it. */
    @ParameterizedTest
    @CsvSource({
        "honey",
        "raisin",
        "jujube",
        "sugar",
        "brown-sugar",
        "maple-syrup",
        "date-syrup",
        "date-paste",
        "orange-juice",
        "apple-juice",
        "pineapple-juice",
        "longan",
        "fig",
        "date",
        "prune",
        "apple"
    })
    void sugarsRaise(String slug) {
        assertThat(MATERIA.herb(slug, "herb").cautions())
                .filteredOn(c ->
                        c.when().filter(Condition.DIABETES_MEDICINE::equals).isPresent())
                .singleElement()
                .satisfies(c -> assertThat(c.text())
                        .containsAnyOf("raises", "count its sugar")
                        .doesNotContain("lower"));
    }

    @Test
    void driversAreToldOfWhatMakesDrowsy() {
        assertThat(drunk().filter(h -> h.has(Trait.Kind.SEDATING)))
                .hasSizeGreaterThan(10)
                .allSatisfy(h -> assertThat(h.cautions())
                        .as(h.slug())
                        .anyMatch(c -> c.when().isEmpty() && c.text().contains("drive")));
    }

    @Test
    void aTrimesterChangesWhatIsSaidOfRaspberryLeaf() {
        assertThat(MATERIA.herb("raspberry-leaf", "herb").cautions())
                .filteredOn(c -> c.when().filter(Condition.PREGNANT::equals).isPresent())
                .extracting(HerbCaution::trimesters, HerbCaution::severity)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple(Set.of(1, 2), Severity.STOP),
                        org.assertj.core.groups.Tuple.tuple(Set.of(3), Severity.CARE));
    }

    // ---- a file that leaves something open is not read, and the place is named

    private static String file(String slug) throws Exception {
        try (InputStream in = Objects.requireNonNull(
                ConditionMatrixTest.class.getResourceAsStream(MateriaDocuments.ROOT + "herbs/" + slug + ".yaml"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "asthma, |  | says nothing of asthma",
                "[high-blood-pressure, low-blood-pressure, | [ | says nothing of high-blood-pressure, low-blood-pressure",
                "[high-blood-pressure, | [pregnant, high-blood-pressure, | cautions pregnant and lists it under noneKnown",
                "names: {es: [\"tila\", \"tilo\"]} | names: {} | about.names has no name in the language 'es'",
                "names: {es: [\"tila\", \"tilo\"]} | names: {es: []} | about.names has no name in the language 'es'",
                "source: hmpc} | source: hearsay} | source 'hearsay' is not in sources.yaml",
                "ageFloor: {years: 4, source: hmpc} | ageFloor: {years: 4} | source",
                "traits: [unstudied] | traits: [unheard-of] | unheard-of",
                "thyroid, | tyroid, | tyroid"
            })
    void aFileThatLeavesSomethingOpenNamesThePlace(String good, String bad, String complaint) throws Exception {
        String linden = file("linden");
        assertThat(linden).contains(good);
        String broken = linden.replace(good, Optional.ofNullable(bad).orElse(""));
        assertThatThrownBy(() -> MateriaReader.herb("linden", broken))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("linden.yaml")
                .hasMessageContaining(complaint);
        assertThat(MateriaReader.herb("linden", linden).slug()).isEqualTo("linden");
    }

    @Test
    void theMateriaIsLargeEnoughForAHomeAndKnowsWhatToRefuse() {
        long drunk = drunk().count();
        long refused = MATERIA.herbs().size() - drunk;
        assertThat(drunk).isGreaterThanOrEqualTo(220);
        assertThat(refused).isGreaterThanOrEqualTo(35);
        assertThat(Arrays.asList(
                        "senna",
                        "buckthorn-bark",
                        "cascara",
                        "aloe",
                        "borage",
                        "tansy",
                        "rue",
                        "sassafras",
                        "lobelia",
                        "thornapple",
                        "henbane",
                        "pokeroot",
                        "mistletoe",
                        "blue-cohosh",
                        "white-hellebore",
                        "savin",
                        "japanese-star-anise",
                        "opium-poppy"))
                .allSatisfy(slug ->
                        assertThat(MATERIA.herb(slug, "herb").stop()).as(slug).isPresent());
        assertThat(MATERIA.herbs())
                .allSatisfy(h ->
                        assertThat(h.about().names().get("es")).as(h.slug()).isNotEmpty());
    }

    /** Found by the name of the other language, accents or not. */
    @ParameterizedTest
    @CsvSource({
        "manzanilla, chamomile",
        "jengibre, ginger",
        "hinojo, fennel",
        "tila, linden",
        "cúrcuma, turmeric",
        "curcuma, turmeric",
        "diente de león, dandelion",
        "cola de caballo, horsetail",
        "adelfa, oleander",
        "estramonio, thornapple",
        "azúcar, sugar",
        "mantequilla, butter"
    })
    void aHerbIsFoundByItsSpanishName(String name, String slug) {
        assertThat(MATERIA.search(name)).extracting(Herb::slug).startsWith(slug);
    }
}
