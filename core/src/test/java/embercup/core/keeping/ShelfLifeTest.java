package embercup.core.keeping;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.keeping.ShelfLife.Because;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * How long things keep in the house. A fresh rhizome a week on the counter, a month bagged in the fridge; a pounded mix months; juice
 * in cubes and branches in water for long, without a number (all common practice, no source); fresh leaves a week in the fridge, citrus
 * two (USDA FSIS FoodKeeper, mem); nothing that spoils over two hours in the room (US FDA Food Code, mem).
 */
class ShelfLifeTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 11, 1);

    private static Herb herb(String slug) {
        return MATERIA.herb(slug, "herb");
    }

    @ParameterizedTest
    @CsvSource({
        "ginger, COUNTER, 7, FIRM_ON_COUNTER",
        "ginger, FRIDGE, 30, FIRM_IN_FRIDGE",
        "turmeric, FRIDGE, 30, FIRM_IN_FRIDGE",
        "burdock, COUNTER, 7, FIRM_ON_COUNTER",
        "garlic, FRIDGE, 30, FIRM_IN_FRIDGE",
        "lemon, COUNTER, 7, CITRUS_ON_COUNTER",
        "lemon, FRIDGE, 14, CITRUS_IN_FRIDGE",
        "lemon-balm, COUNTER, 2, TENDER_ON_COUNTER",
        "lemon-balm, FRIDGE, 7, TENDER_IN_FRIDGE",
        "elderflower, FRIDGE, 7, TENDER_IN_FRIDGE",
        "hawthorn-berry, COUNTER, 2, TENDER_ON_COUNTER",
        "milk, COUNTER, 0, SPOILS_IN_THE_ROOM",
        "lemon-juice, SHELF, 0, SPOILS_IN_THE_ROOM",
        "lemon-juice, FRIDGE, 30, OWN_TIME"
    })
    void whatIsFreshKeepsByWhatItIsAndWhereItStands(String slug, Place place, int days, Because because) {
        ShelfLife life = ShelfLife.of(herb(slug), Form.FRESH, place, FILLED);
        assertThat(life.because()).isEqualTo(because);
        assertThat(ChronoUnit.DAYS.between(FILLED, life.until().orElseThrow())).isEqualTo(days);
    }

    /** Nobody gives a time for it, so none is told. */
    @ParameterizedTest
    @CsvSource({
        "rosemary, WATER, STANDS_IN_WATER",
        "lemon-balm, WATER, STANDS_IN_WATER",
        "ginger, FREEZER, FROZEN",
        "lemon-juice, FREEZER, FROZEN"
    })
    void whereNobodyGivesATimeNoneIsTold(String slug, Place place, Because because) {
        ShelfLife life = ShelfLife.of(herb(slug), Form.FRESH, place, FILLED);
        assertThat(life.until()).isEmpty();
        assertThat(life.because()).isEqualTo(because);
    }

    /** What comes out of a jar or a bottle is not a plant that wilts. */
    @ParameterizedTest
    @CsvSource({"honey, 300", "ghee, 60"})
    void whatComesOutOfTheLarderKeepsForItsOwnTime(String thing, int atLeastDays) {
        var until = ShelfLife.of(herb(thing), Form.FRESH, Place.SHELF, FILLED).until();
        assertThat(until.orElseThrow()).isAfterOrEqualTo(FILLED.plusDays(atLeastDays));
    }

    @Test
    void aDriedHerbKeepsForItsMonthsWhereverItStands() {
        var sage = herb("sage");
        long months = Math.round(sage.keepsMonths().orElseThrow().value());
        for (Place place : List.of(Place.SHELF, Place.FRIDGE, Place.FREEZER)) {
            assertThat(ShelfLife.of(sage, Form.DRIED, place, FILLED).until().orElseThrow())
                    .isBetween(
                            FILLED.plusMonths(months).minusDays(3),
                            FILLED.plusMonths(months).plusDays(3));
        }
    }

    /** A rhizome in the fridge goes in its last week, a dried leaf in its last month, and what has no time never does. */
    @ParameterizedTest
    @CsvSource({
        "ginger, FRESH, FRIDGE, 22, false, false",
        "ginger, FRESH, FRIDGE, 23, true, false",
        "ginger, FRESH, FRIDGE, 30, true, false",
        "ginger, FRESH, FRIDGE, 31, false, true",
        "sage, DRIED, SHELF, 300, false, false",
        "sage, DRIED, SHELF, 340, true, false",
        "sage, DRIED, SHELF, 400, false, true",
        "rosemary, FRESH, WATER, 60, false, false"
    })
    void beforeItIsOverItIsAboutToGo(String slug, Form form, Place place, int days, boolean going, boolean over) {
        ShelfLife life = ShelfLife.of(herb(slug), form, place, FILLED);
        assertThat(life.going(FILLED, FILLED.plusDays(days))).isEqualTo(going);
        assertThat(life.over(FILLED.plusDays(days))).isEqualTo(over);
    }

    /** Powders lose their scent first: about half a year (common practice, no source). */
    @Test
    void aPoundedBlendKeepsHalfAYear() {
        assertThat(until(Cut.GROUND)).isBetween(FILLED.plusDays(178), FILLED.plusDays(188));
        assertThat(until(Cut.WHOLE)).isAfter(FILLED.plusDays(300));
    }

    private static LocalDate until(Cut cut) {
        var spoon = Quantity.of(2, Unit.TEASPOON);
        Materia with = new HouseBlend(
                        "evening",
                        "Evening",
                        "",
                        List.of(
                                new HouseBlend.Portion("fennel", Form.DRIED, cut, spoon),
                                new HouseBlend.Portion("caraway", Form.DRIED, cut, spoon)))
                .in(MATERIA);
        return ShelfLife.of(with.herb("evening", "herb"), Form.DRIED, Place.SHELF, FILLED)
                .until()
                .orElseThrow();
    }

    /** Every herb in every form: where it usually stands it fits, and there is a sentence for every place that fits. */
    @ParameterizedTest
    @EnumSource(Form.class)
    void everyHerbHasAPlaceAndEveryPlaceItsReason(Form form) {
        SoftAssertions all = new SoftAssertions();
        for (Herb herb : MATERIA.herbs()) {
            all.assertThat(Place.usual(herb, form).fits(herb, form))
                    .as("%s %s in its usual place", form, herb.slug())
                    .isTrue();
            for (Place place : Place.values()) {
                if (place.fits(herb, form)) {
                    ShelfLife life = ShelfLife.of(herb, form, place, FILLED);
                    all.assertThat(WORDS.say(life)).as(herb.slug()).endsWith(".");
                    all.assertThat(life.until().filter(u -> u.isBefore(FILLED))).isEmpty();
                }
            }
        }
        all.assertAll();
    }

    @Test
    void onlyWhatHasAStalkStandsInWater() {
        for (Herb herb : MATERIA.herbs()) {
            boolean stands = Place.WATER.fits(herb, Form.FRESH);
            assertThat(stands)
                    .as(herb.slug())
                    .isEqualTo(List.of(PlantPart.LEAF, PlantPart.FLOWER, PlantPart.HERB, PlantPart.TWIG)
                            .contains(herb.part()));
            assertThat(Place.WATER.fits(herb, Form.DRIED)).as(herb.slug()).isFalse();
        }
    }
}
