package embercup.core.reading;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Addition;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A part that poisons is never read as the part that does not (poison-centre plant lists, mem). */
class PoisonPartsTest {

    private static final Reader READER = new Reader(MATERIA);

    private static Reading read(String line) {
        if (line.matches(".*\\bde\\b.*")) {
            return READER.read(
                    "Una taza\n" + line + "\nVierte 250 ml de agua hirviendo, tapa y deja reposar 10 minutos. Cuela.",
                    MeasureCustom.DEFAULT,
                    java.util.Optional.empty(),
                    Answers.NONE);
        }
        return READER.read(
                "A cup\n" + line + "\nPour 250 mL boiling water over it, cover 10 minutes, strain.",
                MeasureCustom.DEFAULT,
                java.util.Optional.empty(),
                Answers.NONE);
    }

    /** Herbs of a reading that may be drunk. */
    private static List<Herb> drunk(Reading reading) {
        return reading.recipe().additions().stream()
                .map(Addition::herb)
                .map(slug -> MATERIA.herb(slug, "herb"))
                .filter(h -> h.stop().isEmpty())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "3 poppy heads",
                "2 tbsp dried poppy pods",
                "10 g poppy capsules",
                "2 poppy seed heads",
                "1 tsp apple pips",
                "1 tbsp apple seeds",
                "10 apple kernels",
                "10 g elder bark",
                "2 tbsp elder leaves",
                "elder root, 10 g",
                "5 apricot kernels",
                "1 tsp cherry stones",
                "2 peach leaves",
                "10 g rhubarb leaves",
                "1 tbsp potato sprouts",
                "10 g symphytum root",
                "1 tsp digitalis",
                "3 g aconitum",
                "3 g fu zi",
                "6 g fang ji",
                "2 g xi xin",
                "1 tsp ma huang",
                "10 g dwale",
                "2 tbsp labrador tea",
                "1 tsp ginkgo nuts",
                "3 cherry laurel leaves",
                "una cucharadita de pepitas de manzana",
                "10 g de corteza de saúco",
                "dos cucharadas de hojas de saúco",
                "5 huesos de albaricoque"
            })
    void itIsRefusedOrAskedAndNeverAHerbThatIsDrunk(String line) {
        Reading reading = read(line);
        assertThat(drunk(reading)).as(line).isEmpty();
        boolean refused = reading.recipe().additions().stream()
                .anyMatch(a -> MATERIA.herb(a.herb(), "herb").stop().isPresent());
        boolean asked = reading.lines().stream().anyMatch(l -> !l.asks().isEmpty());
        assertThat(refused || asked).as(line).isTrue();
    }

    /** Every herb that is drunk with every word of a part that it is not: the word never changes into its own part. */
    static Stream<Arguments> withAForeignPart() {
        return MATERIA.herbs().stream()
                .filter(h -> h.stop().isEmpty()
                        && h.part() != PlantPart.PANTRY
                        && !h.common().contains(" "))
                .flatMap(h -> Stream.of("bark", "root", "kernel", "pip", "sprout", "capsule", "resin", "bulb")
                        .filter(p -> !Set.of("root").contains(p)
                                || h.part() != PlantPart.ROOT && h.part() != PlantPart.RHIZOME)
                        .filter(p -> !p.equals("bark") || h.part() != PlantPart.BARK)
                        .filter(p -> !p.equals("bulb") || h.part() != PlantPart.BULB)
                        .filter(p -> !Set.of("kernel", "pip").contains(p) || h.part() != PlantPart.SEED)
                        .map(p -> Arguments.of(h.common(), p, h.part())));
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("withAForeignPart")
    void aForeignPartIsNeverTakenForItsOwn(String name, String part, PlantPart own) {
        assertThat(drunk(read("10 g " + name.toLowerCase(java.util.Locale.ROOT) + " " + part)))
                .as("%s %s", name, part)
                .noneMatch(h -> h.part() == own && h.common().equals(name));
    }

    @ParameterizedTest
    @CsvSource({
        "1 tsp verbena, lemon-verbena",
        "1 tsp skullcap, skullcap",
        "2 tsp bergamot, bergamot-herb",
        "3 laurel leaves, bay",
        "10 g angelica, angelica-root",
        "1 tbsp poppy, poppy-petal",
        "2 tbsp elder, elderflower",
        "1 tsp mint, peppermint"
    })
    void aNameThatMeansSeveralAsks(String line, String among) {
        Reading reading = read(line);
        assertThat(reading.lines()).as(line).anyMatch(l -> l.asks().stream()
                .flatMap(a -> a.choices().stream())
                .anyMatch(c ->
                        c instanceof Asked.Choice.OfHerb o && o.herb().slug().equals(among)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"2 tsp lime flowers", "2 tsp lime blossom", "2 tsp lime flower", "2 cucharaditas de flor de tilo"
            })
    void limeFlowersAreLinden(String line) {
        assertThat(read(line).recipe().additions()).extracting(Addition::herb).contains("linden");
    }
}
