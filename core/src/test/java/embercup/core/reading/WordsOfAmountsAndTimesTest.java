package embercup.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.Pots;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Amounts, times and temperatures in the ways people write them, each put into a line of its own. */
class WordsOfAmountsAndTimesTest {

    private static final Reader READER = new Reader(Pots.MATERIA);

    private static Reading read(String text, String language) {
        return READER.read(text, MeasureCustom.DEFAULT, Optional.of(language), Answers.NONE);
    }

    private static Addition addition(String line) {
        List<Addition> all = read("A pot\n" + line, "en").recipe().additions();
        assertThat(all).as(line).hasSize(1);
        return all.get(0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "½ tsp dried thyme | thyme | 0.5 | tsp",
                "1/4 teaspoon ground ginger | ginger | 0.25 | tsp",
                "2 1/2 tbsp dried linden | linden | 2.5 | tbsp",
                "2½ tbsp dried linden | linden | 2.5 | tbsp",
                "0,5 tsp dried thyme | thyme | 0.5 | tsp",
                "three slices of ginger | ginger | 3 | slice",
                "twenty-four juniper berries | juniper-berry | 24 | piece",
                "a pinch of salt | salt | 1 | pinch",
                "half a cup dried nettle | nettle | 0.5 | cup",
                "1-inch piece ginger | ginger | 1 | in",
                "a couple of sprigs of thyme | thyme | 2 | sprig",
                "half a dozen cloves | clove | 6 | clove",
                "10g linden | linden | 10 | g",
                "6 oz. burdock root | burdock | 6 | oz",
                "2 tea bags black tea | black-tea | 2 | bag",
                "3 parts oat straw | oat-straw | 3 | part",
                "12 liang astragalus | astragalus | 12 | liang",
                "1 big handful of fresh peppermint | peppermint | 1.5 | handful",
                "4 wedges of lemon | lemon | 4 | wedge",
                "a thumb of turmeric | turmeric | 1 | thumb",
                "30 drops of lemon juice | lemon-juice | 30 | drop",
                "burdock root - 12g | burdock | 12 | g",
                "burdock (dried), 2 tbsp | burdock | 2 | tbsp",
                "Linden: 3 tsp | linden | 3 | tsp",
                "the juice of two lemons | lemon-juice | 2 | piece",
                "peel of an orange | orange-peel | 1 | piece",
            })
    void anAmountStandsBeforeAfterOrInsideTheName(String line, String herb, double amount, String unit) {
        Addition a = addition(line);
        assertThat(a.herb()).isEqualTo(herb);
        assertThat(a.quantity().amount()).isCloseTo(amount, within(1e-9));
        assertThat(a.quantity().unit().code()).isEqualTo(unit);
    }

    @ParameterizedTest
    @CsvSource({
        "2-3 tsp dried sage leaf, 2, 3",
        "2 to 3 tsp dried linden, 2, 3",
        "2 or 3 tsp dried linden, 2, 3",
        "1½–2 tbsp dried linden, 1.5, 2",
        "one or two tbsp dried linden, 1, 2",
    })
    void bothEndsOfARangeAreKept(String line, double low, double high) {
        Addition a = addition(line);
        assertThat(a.quantity().amount()).isEqualTo(low);
        assertThat(a.open().amountTo()).hasValue(high);
    }

    /** Every unit of the API, in a random amount, is read back. */
    @ParameterizedTest
    @EnumSource(Unit.class)
    void everyUnitIsReadBack(Unit unit) {
        double amount = (1 + new Random(unit.ordinal()).nextInt(18)) / 2.0;
        String said =
                switch (unit) {
                    case INCH -> "inch";
                    case FLUID_OUNCE -> "fl oz";
                    default -> unit.code();
                };
        String herb = unit == Unit.POD ? "cardamom" : unit == Unit.CLOVE ? "garlic" : "fennel seed";
        Addition a = addition(String.format(Locale.ROOT, "%.1f %s %s", amount, said, herb));
        assertThat(a.quantity().unit()).isEqualTo(unit);
        assertThat(a.quantity().amount()).isEqualTo(amount);
    }

    private static double[] steep(String time, String language) {
        String text = language.equals("en")
                ? "A pot\n1 tsp linden\n1 cup boiling water\nPour the water over and steep " + time + "."
                : "Una taza\n1 cucharadita de tila\n1 taza de agua hirviendo\nVerter el agua y dejar reposar " + time
                        + ".";
        Stage.Steep s = read(text, language).recipe().stages().stream()
                .filter(Stage.Steep.class::isInstance)
                .map(Stage.Steep.class::cast)
                .findFirst()
                .orElseThrow();
        return new double[] {s.minutes(), s.until().minutesTo().orElse(s.minutes())};
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1½ hours | 90 | 90",
                "1 1/2 hours | 90 | 90",
                "an hour and a half | 90 | 90",
                "one hour and 20 minutes | 80 | 80",
                "2 h 30 min | 150 | 150",
                "half an hour | 30 | 30",
                "a quarter of an hour | 15 | 15",
                "three quarters of an hour | 45 | 45",
                "90 seconds | 1.5 | 1.5",
                "10-15 minutes | 10 | 15",
                "five or ten minutes | 5 | 10",
                "45 minutes to 1 hour | 45 | 60",
                "twelve minutes | 12 | 12",
                "3 days | 4320 | 4320",
                "2–3 weeks | 20160 | 30240",
            })
    void aTimeIsReadInMinutesWithBothEnds(String time, double from, double to) {
        double[] read = steep(time, "en");
        assertThat(read[0]).isCloseTo(from, within(1e-9));
        assertThat(read[1]).isCloseTo(to, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "media hora | 30 | 30",
                "una hora y media | 90 | 90",
                "un cuarto de hora | 15 | 15",
                "tres cuartos de hora | 45 | 45",
                "diez minutos | 10 | 10",
                "8-10 minutos | 8 | 10",
                "cinco o seis minutos | 5 | 6",
                "treinta y cinco minutos | 35 | 35",
                "dos horas | 120 | 120",
            })
    void aTimeInSpanishToo(String time, double from, double to) {
        double[] read = steep(time, "es");
        assertThat(read[0]).isCloseTo(from, within(1e-9));
        assertThat(read[1]).isCloseTo(to, within(1e-9));
    }

    static Stream<Integer> lengths() {
        Random random = new Random(41);
        return IntStream.range(0, 20).mapToObj(i -> 1 + random.nextInt(600));
    }

    /** Any number of minutes, in each way of writing it, comes back as itself. */
    @ParameterizedTest
    @MethodSource("lengths")
    void whateverIsWrittenComesBack(int minutes) {
        int hours = minutes / 60;
        int rest = minutes % 60;
        Stream.of(
                        minutes + " minutes",
                        minutes + "min",
                        hours > 0 && rest > 0 ? hours + " h " + rest + " min" : minutes + " mins")
                .forEach(t -> assertThat(steep(t, "en")[0]).as(t).isCloseTo(minutes, within(1e-9)));
    }

    /** 194 °F are 90 °C, 176 °F are 80 °C. */
    /** Water that is heated so far and then poured is poured so warm, not boiling. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Heat the water to 60 C, pour it over the root and let it stand for 30 minutes, strain. | 60",
                "Heat the water to 60 °C. Pour it over the root, stand 30 minutes, strain. | 60",
                "Bring the water to 80 C and pour over the root. Steep 3 minutes. | 80",
                "Warm the water to 180 F, then pour it onto the root and leave for half an hour. | 82.2",
                "Bring the water to a boil, pour it over the root and steep 10 minutes. | 100"
            })
    void whatIsHeatedSoFarIsPouredSoWarm(String method, double celsius) {
        Reading r = read("Mallow\n2 tsp dried marshmallow root\n2 cups water\n" + method, "en");
        assertThat(r.recipe().stages()).noneMatch(s -> s instanceof Stage.Heat);
        assertThat(((Stage.Pour) r.recipe().stages().get(0)).toC().orElse(100)).isCloseTo(celsius, within(0.1));
    }

    @ParameterizedTest
    @CsvSource({"90 °C, 90", "90C, 90", "194 F, 90", "176 degrees Fahrenheit, 80", "80 degrees, 80"})
    void aTemperatureIsReadInItsOwnDegrees(String said, double celsius) {
        Reading r = read(
                "A cup\n1 tsp linden\n1 cup water\nPour hot water at " + said + " over it. Steep 5 minutes.", "en");
        assertThat(((Stage.Pour) r.recipe().stages().get(0)).toC().orElseThrow())
                .isCloseTo(celsius, within(0.01));
    }

    /** "By a third" leaves two thirds, "to a third" one; 3 US cups are 709.8 mL. */
    @ParameterizedTest
    @CsvSource({
        "Reduce by a third, 473.2",
        "Reduce to a third, 236.6",
        "Reduce by half, 354.9",
        "Boil until 1½ cups are left, 354.9",
        "Cook down to about 2 cups, 473.2",
        "Simmer until reduced by half, 354.9",
    })
    void aReductionEndsWhereItIsWritten(String method, double ml) {
        Reading r = read("A pot\n2 tbsp burdock root\n3 cups water\nBring to a boil. " + method + ".", "en");
        Stage.Reduce reduce = r.recipe().stages().stream()
                .filter(Stage.Reduce.class::isInstance)
                .map(Stage.Reduce.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(reduce.toMl()).isCloseTo(ml, within(0.1));
        assertThat(r.recipe().cups() * r.recipe().cupMl())
                .as("what is left is what it makes")
                .isCloseTo(ml, within(0.5));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 cups water | 709.8",
                "1.5 l cold water | 1500",
                "2 cups of fresh spring water | 473.2",
                "about 400 ml boiling water | 400",
                "water, 1 litre | 1000",
                "a litre and a half of water | 1500",
                "4 glasses of water | 800",
            })
    void waterIsWhatThePotStartsWith(String line, double ml) {
        assertThat(read("A pot\n1 tsp linden\n" + line, "en").recipe().pourMl().orElseThrow())
                .isCloseTo(ml, within(0.1));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Makes 3 cups | 3",
                "Serves: 2 | 2",
                "For 4 people | 4",
                "Makes about 1 litre | 4",
                "For two | 2",
            })
    void howManyCupsItMakes(String line, double cups) {
        assertThat(read("A pot\n1 tsp linden\n" + line, "en").recipe().cups()).isEqualTo(cups);
    }
}
