package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whether the data of the materia makes sense as a whole. */
class MateriaSenseTest {

    private static List<Herb> brewed() {
        return MATERIA.herbs().stream()
                .filter(h -> h.stop().isEmpty() && h.part() != PlantPart.PANTRY)
                .toList();
    }

    @Test
    void everyHerbThatIsBrewedHasADoseAMethodAndAnAgeFloor() {
        assertThat(brewed()).allSatisfy(h -> {
            assertThat(h.doses()).as(h.slug()).isNotEmpty();
            assertThat(h.method()).as(h.slug()).isPresent();
            assertThat(h.ageFloorYears()).as(h.slug()).isPresent();
            assertThat(h.keepsMonths()).as(h.slug()).isPresent();
        });
    }

    @Test
    void hardPartsAreDecoctedAndFlowersNeverBoiled() {
        assertThat(brewed())
                .filteredOn(h -> h.part() == PlantPart.FLOWER
                        && !Set.of("clove", "self-heal").contains(h.slug()))
                .allSatisfy(h -> assertThat(h.method().orElseThrow().method())
                        .as(h.slug())
                        .isNotEqualTo(Herb.Method.DECOCTION));
        assertThat(brewed())
                .filteredOn(h ->
                        Set.of(PlantPart.ROOT, PlantPart.FUNGUS, PlantPart.TWIG).contains(h.part()))
                .filteredOn(h -> h.method().orElseThrow().method() == Herb.Method.INFUSION)
                .extracting(Herb::slug)
                .as("rich in oil, or bitter enough, or drunk whole (EMA/HMPC, mem)")
                .containsExactlyInAnyOrder("valerian", "lovage", "gentian", "angelica-root", "maca", "iceland-moss");
    }

    @Test
    void noDoseIsBelowZeroOrAboveWhatAPotHolds() {
        assertThat(brewed()).allSatisfy(h -> assertThat(h.doses()).allSatisfy(d -> {
            assertThat(d.perCupG().low()).as(h.slug()).isPositive();
            assertThat(d.perDayG().high()).as(h.slug()).isBetween(0.1, 100.0);
            assertThat(d.perDayG().high())
                    .as(h.slug())
                    .isGreaterThanOrEqualTo(d.perCupG().high());
        }));
    }

    /** What a limit is summed over must be known of the herbs that hold it (reference values). */
    @ParameterizedTest
    @CsvSource({
        "cinnamon-cassia, COUMARIN, 3.0",
        "cinnamon-true, COUMARIN, 0.02",
        "liquorice, GLYCYRRHIZIN, 40",
        "sage, THUJONE, 1",
        "fennel, ESTRAGOLE, 0.5",
        "black-tea, CAFFEINE, 27",
        "green-tea, CAFFEINE, 30"
    })
    void limitedConstituentsAreInTheHerbsThatHoldThem(String slug, Constituent constituent, double mgPerG) {
        assertThat(MATERIA.herb(slug, "herb").constituents())
                .anyMatch(c -> c.constituent() == constituent && c.mgPerG().best() == mgPerG);
        assertThat(MATERIA.limits()).containsKey(constituent);
    }

    /** Two milligrams for a gram are the most that reaches a cup of sage (EMA, mem): the day is judged by it, not by its middle. */
    @Test
    void thujoneIsJudgedByItsCeiling() {
        assertThat(MATERIA.herb("sage", "herb").constituents())
                .singleElement()
                .satisfies(c -> assertThat(c.mgPerG().high()).isEqualTo(2));
        assertThat(MATERIA.limits().get(Constituent.THUJONE).counting().high()).isTrue();
    }

    @Test
    void noNameStandsForTwoHerbs() {
        List<String> slugs = MATERIA.herbs().stream().map(Herb::slug).toList();
        assertThat(slugs).doesNotHaveDuplicates();
        List<String> commons = MATERIA.herbs().stream().map(Herb::common).toList();
        assertThat(commons).doesNotHaveDuplicates();
    }

    @Test
    void aPlantNotForTeaSaysWhyAndIsNeverDosed() {
        assertThat(MATERIA.herbs()).filteredOn(h -> h.stop().isPresent()).allSatisfy(h -> {
            assertThat(h.doses()).as(h.slug()).isEmpty();
            assertThat(h.stop().orElseThrow().text()).hasSizeGreaterThan(30);
        });
        assertThat(MATERIA.herb("ephedra", "herb").stop().orElseThrow().text()).contains("check local law");
    }

    /** A file that the index forgets would be a poison that nobody refuses. */
    @Test
    void everyFileOfAHerbIsRead() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/embercup/materia/herbs"))) {
            assertThat(files.map(f -> f.getFileName().toString()).filter(f -> f.endsWith(".yaml")))
                    .containsExactlyInAnyOrderElementsOf(MATERIA.herbs().stream()
                            .map(h -> h.slug() + ".yaml")
                            .toList());
        }
    }

    @Test
    void sourcesFromMemorySaySo() {
        assertThat(MATERIA.sources().values())
                .allSatisfy(
                        s -> assertThat(s.title().contains("mem)")).as(s.key()).isEqualTo(s.fromMemory()));
        Set<String> used = MATERIA.herbs().stream()
                .flatMap(h -> h.doses().stream().map(Herb.DoseRange::source))
                .collect(Collectors.toSet());
        assertThat(MATERIA.sources().keySet()).containsAll(used);
    }
}
