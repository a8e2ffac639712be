package embercup.core.reading;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.asked;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.reading.WrittenRecipe.Kind;
import embercup.core.reading.WrittenRecipe.Line;
import embercup.core.recipe.Addition;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Ingredient lines as people write them; all lines are made up. */
class WrittenListTest {

    private final WrittenList list = new WrittenList(new HerbWords(MATERIA), MeasureCustom.DEFAULT);

    private Line read(String text) {
        String low = text.toLowerCase(Locale.ROOT);
        return list.serves(text, low).or(() -> list.ingredient(text, low)).orElseThrow();
    }

    private Addition addition(String text) {
        Line line = read(text);
        assertThat(line.kind()).as(text).isEqualTo(Kind.HERB);
        return list.additions().get(line.addition());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 tsp dried thyme, crushed | thyme | DRIED | CRUSHED",
                "1 tbsp freshly grated ginger | ginger | FRESH | GRATED",
                "1 tsp ginger powder | ginger | DRIED | GROUND",
                "2 inches of ginger root | ginger | FRESH | SLICED",
                "6 g burdock, dried | burdock | DRIED | SLICED",
                "1 tbsp dried linden | linden | DRIED | CHOPPED",
                "4 cardamom pods, dried and bruised | cardamom | DRIED | BRUISED",
                "2 tsp raw turmeric paste | turmeric | FRESH | PASTE",
                "10 g Tilia cordata, dried, whole | linden | DRIED | WHOLE",
                "1 tsp honey | honey | FRESH | CHOPPED",
            })
    void formAndCutAreReadAsWrittenElseAsUsual(String text, String herb, Form form, Cut cut) {
        Addition a = addition(text);
        assertThat(a.herb()).isEqualTo(herb);
        assertThat(a.form()).isEqualTo(form);
        assertThat(a.cut()).isEqualTo(cut);
    }

    /** Poisons too: what is not known by its name cannot be refused. */
    @Test
    void everyHerbIsKnownByItsCommonAndItsLatinName() {
        HerbWords words = new HerbWords(MATERIA);
        for (Herb herb : MATERIA.herbs()) {
            assertThat(words.named("of " + herb.common().toLowerCase(Locale.ROOT) + ", dried"))
                    .as(herb.common())
                    .contains(herb);
            List<Herb> namesakes = MATERIA.herbs().stream()
                    .filter(h -> binomial(h).equals(binomial(herb)))
                    .toList();
            Optional<Herb> byLatin = words.named("of " + binomial(herb) + ", dried");
            if (namesakes.size() == 1) {
                assertThat(byLatin).as(herb.latin()).contains(herb);
            } else {
                assertThat(byLatin.stream()).as(herb.latin()).allMatch(namesakes::contains);
            }
        }
    }

    private static String binomial(Herb herb) {
        String[] words = herb.latin().toLowerCase(Locale.ROOT).split("[ ,]+");
        return String.join(
                " ", Arrays.copyOf(words, Math.min(words.length, words.length > 1 && words[1].equals("×") ? 3 : 2)));
    }

    /** Flower and berry are of one tree, Sambucus nigra. */
    @Test
    void aNameOfTwoHerbsIsAskedNotGuessed() {
        Line line = read("2 tsp dried Sambucus nigra");
        assertThat(line.kind()).isEqualTo(Kind.UNKNOWN);
        assertThat(asked(line)).containsExactly("That may be elderberry or elderflower. Which is it?");
        assertThat(addition("2 tsp dried elderflower (Sambucus nigra)").herb()).isEqualTo("elderflower");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1 heaped tsp dried thyme | level",
                "2 heaping tablespoons dried nettle | level",
                "a few slices of fresh ginger | three",
                "1 large cinnamon stick (cassia), dried | usual size",
                "1 tbsp nettle | Fresh or dried",
                "2-3 tsp dried sage | range",
                "3 dried cardamom | of what",
            })
    void whatIsLeftOpenIsAsked(String text, String asked) {
        assertThat(asked(read(text))).anyMatch(a -> a.contains(asked));
    }

    @Test
    void aLevelSpoonIsWhatASpoonIs() {
        assertThat(asked(read("2 level tsp dried thyme"))).isEmpty();
        assertThat(asked(read("a couple of slices of fresh ginger"))).isEmpty();
        assertThat(list.additions().get(1).quantity().amount()).isEqualTo(2);
    }

    /** NIST SP 811: an ounce is 28.35 g, a US fluid ounce 29.57 mL, a US cup 236.6 mL. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4 oz (115 g) fresh ginger, sliced | ",
                "4 oz (200 g) fresh ginger, sliced | 4 oz is 113 g, but 200 g is written beside it",
                "3 cups (720 ml) water | ",
                "3 cups (1 l) water | 3 cups is 710 mL, but 1000 mL is written beside it",
                "1 piece (2-inch) fresh ginger | ",
            })
    void twoAmountsOfOneLineAreHeldAgainstEachOther(String text, String asked) {
        List<String> asks = asked(read(text));
        if (asked == null) {
            assertThat(asks).noneMatch(a -> a.contains("beside it"));
        } else {
            assertThat(asks).anyMatch(a -> a.startsWith(asked));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "3 cups water, 709.8",
        "1.5 l cold water, 1500",
        "2 cups of fresh spring water, 473.2",
        "about 400 ml boiling water, 400",
        "1 quart (4 cups) water, 946.4",
    })
    void waterIsWhatThePotStartsWith(String text, double ml) {
        assertThat(read(text).kind()).isEqualTo(Kind.WATER);
        assertThat(list.waterMl().orElseThrow()).isCloseTo(ml, within(0.1));
    }

    @Test
    void waterWithoutAMeasureIsAskedFor() {
        Line line = read("2 splashes of water");
        assertThat(line.kind()).isEqualTo(Kind.UNKNOWN);
        assertThat(asked(line)).containsExactly("How much water is that, in cups or mL?");
        assertThat(list.waterMl()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"Makes 3 cups, 3, 709.8", "Serves: 2, 2, 473.2", "Yields about 1 litre, , 1000", "For 4 mugs, 4, 946.4"
    })
    void howMuchItMakes(String text, Double cups, double ml) {
        assertThat(read(text).kind()).isEqualTo(Kind.SERVES);
        assertThat(list.yieldMl().orElseThrow()).isCloseTo(ml, within(0.1));
        assertThat(list.cups().isPresent()).isEqualTo(cups != null);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2 tsp moonwort", "1 cup of patience"})
    void aHerbThatNobodyKnowsIsMarkedAndKeptOut(String text) {
        assertThat(read(text).kind()).isEqualTo(Kind.UNKNOWN);
        assertThat(asked(read(text))).hasSize(1);
        assertThat(list.additions()).isEmpty();
    }

    /** Another plant is never proposed: half of these are near in letters to one that poisons or that is none of it. */
    @ParameterizedTest
    @ValueSource(strings = {"mugroot", "sennet", "cassis", "ragweed", "gingko", "lindera", "hemlok", "comfry"})
    void anUnknownNameIsNeverTurnedIntoSomethingNear(String name) {
        Line line = read("1 tsp dried " + name);
        assertThat(line.kind()).isEqualTo(Kind.UNKNOWN);
        assertThat(line.asks()).containsExactly(new Asked.NoHerb());
        assertThat(list.additions()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"camomile", "camomille", "chamomile"})
    void otherSpellingsAreNamesOfTheirOwn(String name) {
        assertThat(addition("1 tsp dried " + name).herb()).isEqualTo("chamomile");
    }

    @Test
    void aStepThatBeginsWithANumberIsNoIngredient() {
        assertThat(list.ingredient("2 more minutes, then strain", "2 more minutes, then strain"))
                .isEmpty();
    }

    @Test
    void theUnitIsKeptAsTheCookSaysIt() {
        assertThat(addition("1 handful of fresh peppermint").quantity().unit()).isEqualTo(Unit.HANDFUL);
        assertThat(addition("3 liang dried astragalus").quantity().unit()).isEqualTo(Unit.LIANG);
        assertThat(addition("juice of 1 lemon").quantity().unit()).isEqualTo(Unit.PIECE);
    }

    /** A herb of the cook's own needs no Latin name, and does not stand for every line then. */
    @Test
    void aHerbWithoutALatinNameIsFoundByItsOwnNameOnly() {
        Materia own = MATERIA.with(
                List.of(Herb.own("frostwort", "Frostwort", "", embercup.core.materia.PlantPart.LEAF, "", List.of())));
        HerbWords words = new HerbWords(own);
        assertThat(words.named("dried frostwort").map(Herb::slug)).contains("frostwort");
        assertThat(words.named("dried thunderwort")).isEmpty();
    }
}
