package embercup.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.measure.HouseScale;
import embercup.core.measure.HouseUnits;
import embercup.core.measure.HouseUnits.Dates;
import embercup.core.measure.HouseUnits.Hours;
import embercup.core.measure.HouseUnits.Lengths;
import embercup.core.measure.HouseUnits.Temperatures;
import embercup.core.measure.HouseUnits.Volumes;
import embercup.core.measure.HouseUnits.Weights;
import embercup.core.measure.KitchenSystem;
import embercup.core.plan.Caution;
import embercup.core.recipe.Schools;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The numbers of the core in the units of a house, and back. */
class HouseUnitsTest {

    /** A house that reads none of the core's own units. */
    static final HouseUnits OTHER = new HouseUnits(
            Temperatures.FAHRENHEIT,
            Weights.OUNCES,
            Volumes.FLUID_OUNCES,
            Lengths.INCHES,
            Hours.TWELVE,
            Dates.MONTH_DAY,
            KitchenSystem.US);

    private static final Pattern CORE_UNIT = Pattern.compile("\\d ?(?:°C|mL|cm|g)(?!\\w)");

    /**
     * What a scale shows of a quantity of the core. Sources: NIST SP 811 (inch, foot, ounce, degree Fahrenheit) and NIST Handbook
     * 44, appendix C (fluid ounces); the roundings are the house's own. The same table is walked by the formatter of the pages.
     */
    static Stream<String> cases() {
        try (InputStream in = HouseUnitsTest.class.getResourceAsStream("/embercup/house-units.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines().filter(line -> !line.startsWith("#")).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void aQuantityIsSaidAsTheHouseReadsIt(String line) {
        String[] cell = line.split(";");
        HouseUnits house =
                cell[0].equals("core") ? HouseUnits.DEFAULT : of(KitchenSystem.valueOf(cell[0].toUpperCase()));
        HouseScale scale = house.ofUnit(cell[2]).orElseThrow();
        assertThat(Words.ofLanguage("en").in(house).numbers().shown(scale, Double.parseDouble(cell[1])))
                .isEqualTo(cell[3]);
    }

    @ParameterizedTest
    @ValueSource(strings = {"°C", "g", "mL", "cm", "m"})
    void whatIsTypedInTheHousesUnitIsWhatTheCoreGets(String unit) {
        HouseScale scale = OTHER.ofUnit(unit).orElseThrow();
        for (double inCore : new double[] {0, 1, 36.6, 85, 240, 1234.5}) {
            assertThat(scale.inCore(scale.shown(inCore))).isCloseTo(inCore, within(1e-9));
        }
    }

    @Test
    void waterFreezesAtThirtyTwoAndBoilsAtTwoHundredAndTwelve() {
        assertThat(OTHER.temperature().inCore(32)).isCloseTo(0, within(1e-12));
        assertThat(OTHER.temperature().inCore(212)).isCloseTo(100, within(1e-12));
    }

    /** A sentence that names a quantity without brackets would say it in the core's unit to everybody. */
    @Test
    void noSentenceWritesAQuantityThatTheHouseCannotRead() {
        Words words = Words.ofLanguage("en");
        Set<String> fixed = new TreeSet<>();
        for (String key : words.keys()) {
            String pattern = words.catalogue().pattern(key).orElseThrow().replaceAll("\\[[^]]*]", "");
            if (CORE_UNIT.matcher(pattern).find() || pattern.matches(".*} (?:°C|mL|cm|g)\\b.*")) {
                fixed.add(key);
            }
        }
        assertThat(fixed)
                .as("a limit is said in the unit of its field, and in the house's beside it")
                .containsExactly("wanted.grams-at-most");
    }

    @Test
    void aCautionSaysItsQuantitiesInTheHousesUnits() {
        Words words = Words.ofLanguage("en").in(OTHER);
        assertThat(words.say((Caution) new Caution.HerbsNotCovered("pot", 1.27)))
                .contains("covered by only ½ in");
        assertThat(words.name(Schools.Choice.BELOW_40)).isEqualTo("only below 104 °F");
        assertThat(words.quantities("it melts at about [36 °C]")).isEqualTo("it melts at about 97 °F");
    }

    @Test
    void aLimitStandsInTheUnitOfItsFieldAndBesideItInTheHouses() {
        Wanted between = new Wanted.Between(Limit.POUR_C.low(), Limit.POUR_C.high(), "°C");
        assertThat(Words.ofLanguage("en").say(between)).isEqualTo("between 20 and 100 °C");
        assertThat(Words.ofLanguage("en").in(OTHER).say(between)).isEqualTo("between 20 and 100 °C (68 °F to 212 °F)");
    }

    private static HouseUnits of(KitchenSystem system) {
        return new HouseUnits(
                OTHER.temperatures(),
                OTHER.weights(),
                OTHER.volumes(),
                OTHER.lengths(),
                OTHER.hours(),
                OTHER.dates(),
                system);
    }

    @Test
    void everyUnitOfALimitIsOneThatAHouseReadsOrOneThatAllSayAlike() {
        List<String> alike = List.of(
                "cups",
                "herbs",
                "stages",
                "notes",
                "answers",
                "",
                "days",
                "parts",
                "%",
                "min",
                "drinkers",
                "labels",
                "years",
                "kg",
                "W",
                "s",
                "times",
                "h",
                "rows",
                "plans",
                "weights",
                "cautions");
        assertThat(Arrays.stream(Limit.values()).map(Limit::unit).filter(u -> OTHER.ofUnit(u)
                        .isEmpty()))
                .allMatch(alike::contains);
    }
}
