package embercup.core.keeping;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.Pots;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a pot lacks (common practice, no source). "evening" is a blend of fennel and caraway. */
class InTheHouseTest {

    private static final Materia WITH_BLEND =
            new HouseBlend("evening", "Evening", "", List.of(portion("fennel"), portion("caraway"))).in(MATERIA);

    private static HouseBlend.Portion portion(String herb) {
        return new HouseBlend.Portion(herb, Form.DRIED, Cut.WHOLE, Quantity.of(1, Unit.PART));
    }

    private static Recipe of(Stream<String> herbs) {
        Recipe pot = Pots.lindenCup();
        return pot.withAdditions(herbs.map(InTheHouseTest::spoon).toList());
    }

    private static Addition spoon(String herb) {
        return Pots.dried(herb, Cut.WHOLE, 1, Unit.TEASPOON, 0);
    }

    private static Addition open(Addition a, boolean optional, String... or) {
        Addition.Open open = new Addition.Open(
                OptionalDouble.empty(),
                optional,
                Arrays.stream(or).map(InTheHouseTest::spoon).toList(),
                Addition.Into.EACH_CUP);
        return new Addition(a.herb(), a.form(), a.cut(), a.quantity(), a.stage(), a.prep(), open);
    }

    private static List<String> words(String slugs) {
        return slugs == null ? List.of() : Arrays.asList(slugs.split(" "));
    }

    @ParameterizedTest(name = "{0} with {1} in the house lacks {2}")
    @CsvSource({
        "linden elderflower, linden, elderflower",
        "linden elderflower, linden elderflower, ",
        "linden elderflower linden, , linden elderflower",
        "linden honey ghee lemon, linden, lemon",
        "evening, , fennel caraway",
        "evening, fennel, caraway",
        "evening, fennel caraway, ",
        "evening, evening, ",
        "evening caraway, evening, caraway",
        "evening caraway, fennel, caraway",
        "mullein-flower evening, caraway, mullein-flower fennel",
    })
    void aPotLacksWhatIsNotThere(String pot, String house, String lacks) {
        assertThat(new InTheHouse(Set.copyOf(words(house)))
                        .lacking(WITH_BLEND, of(words(pot).stream())).stream().map(Herb::slug))
                .containsExactlyElementsOf(words(lacks));
    }

    /** What may be left out is not needed, nor is a herb for which another may stand that is there. */
    @ParameterizedTest(name = "{0} in the house")
    @CsvSource({"linden, yarrow", "linden peppermint, ", "linden yarrow, ", "linden evening, ", "linden fennel, yarrow"
    })
    void whatMayStandForItServes(String house, String lacks) {
        Recipe pot = Pots.lindenCup()
                .withAdditions(List.of(
                        spoon("linden"),
                        open(spoon("hyssop"), true),
                        open(spoon("yarrow"), false, "peppermint", "evening")));
        assertThat(new InTheHouse(Set.copyOf(words(house)))
                        .lacking(WITH_BLEND, pot).stream().map(Herb::slug))
                .containsExactlyElementsOf(words(lacks));
    }

    /** Each herb of the book: whatever is not of the pantry is lacked by an empty house, and by none that has it. */
    @Test
    void everyHerbIsLackedUntilItIsThere() {
        assertThat(MATERIA.herbs()).allSatisfy(h -> {
            Recipe pot = of(Stream.of(h.slug()));
            assertThat(new InTheHouse(Set.of()).lacking(MATERIA, pot).isEmpty())
                    .as(h.slug())
                    .isEqualTo(h.part() == PlantPart.PANTRY);
            assertThat(new InTheHouse(Set.of(h.slug())).lacking(MATERIA, pot))
                    .as(h.slug())
                    .isEmpty();
        });
        Set<String> all = MATERIA.herbs().stream().map(Herb::slug).collect(Collectors.toSet());
        assertThat(new InTheHouse(all).lacking(MATERIA, of(all.stream().sorted())))
                .isEmpty();
    }
}
