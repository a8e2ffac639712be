package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.brew.Charge;
import embercup.core.recipe.Menstruum;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The materia against what is published outside of it; each table names its source. */
class MonographsTest {

    /** Single dose in g and times a day for teas, adults (EMA/HMPC community herbal monographs; ESCOP for rosehip; WHO; mem). */
    @ParameterizedTest
    @CsvSource({
        "chamomile, 1.5, 4, 3, 4",
        "lemon-balm, 1.5, 4.5, 1, 3",
        "peppermint, 1.5, 3, 3, 3",
        "linden, 1.5, 1.5, 2, 4",
        "elderflower, 2, 5, 3, 3",
        "valerian, 0.3, 3, 1, 4",
        "passionflower, 1, 2, 1, 4",
        "hop, 0.5, 0.5, 1, 4",
        "lavender, 1, 2, 3, 3",
        "fennel, 1.5, 2.5, 3, 3",
        "anise, 1, 3.5, 3, 3",
        "caraway, 0.5, 2, 1, 3",
        "thyme, 1, 2, 3, 4",
        "sage, 1, 2, 3, 3",
        "rosemary, 1, 2, 2, 3",
        "nettle, 2, 4, 3, 4",
        "birch-leaf, 2, 3, 4, 4",
        "horsetail, 1, 4, 3, 4",
        "dandelion, 3, 4, 3, 3",
        "marshmallow, 0.5, 3, 3, 3",
        "ribwort-plantain, 2, 2, 3, 3",
        "hawthorn, 1, 2, 3, 4",
        "raspberry-leaf, 1.5, 8, 3, 3",
        "blackcurrant-leaf, 2, 4, 1, 3",
        "cinnamon-true, 0.5, 1, 4, 4",
        "ginger, 0.25, 1, 3, 3",
        "turmeric, 0.5, 1, 2, 3",
        "liquorice, 1.5, 2, 2, 2",
        "willow-bark, 1, 3, 3, 4",
        "yarrow, 1, 2, 3, 4",
        "agrimony, 1.5, 4, 2, 4",
        "oat-straw, 3, 3, 1, 3",
        "meadowsweet, 1.5, 5, 2, 3",
        "rosehip, 2, 5, 3, 4",
        "mullein-flower, 1.5, 2, 3, 4",
        "holy-basil, 1, 2, 1, 3",
        "burdock, 2, 6, 1, 3"
    })
    void aTeaIsDosedAsItsMonographHasIt(String slug, double low, double high, double fewest, double most) {
        Herb.DoseRange dose =
                MATERIA.herb(slug, "herb").dose(Tradition.MONOGRAPH, Form.DRIED).orElseThrow();
        assertThat(dose.tradition()).isEqualTo(Tradition.MONOGRAPH);
        assertThat(dose.perCupG()).isEqualTo(new Herb.Range(low, high));
        assertThat(dose.timesADay().low()).isLessThanOrEqualTo(fewest);
        assertThat(dose.timesADay().high()).isEqualTo(most);
    }

    /** Grams a day for the whole formula's share (Chinese Pharmacopoeia, mem). */
    @ParameterizedTest
    @CsvSource({
        "astragalus, 9, 30",
        "codonopsis, 9, 30",
        "kudzu, 10, 15",
        "white-peony, 6, 15",
        "cinnamon-twig, 3, 10",
        "liquorice, 2, 10",
        "jujube, 6, 15",
        "poria, 10, 15",
        "schisandra, 2, 6",
        "goji, 6, 12",
        "chrysanthemum, 5, 10",
        "honeysuckle, 6, 15",
        "field-mint, 3, 6",
        "perilla, 5, 10",
        "tangerine-peel, 3, 10",
        "angelica-sinensis, 6, 12"
    })
    void aFormulasShareIsThatOfThePharmacopoeia(String slug, double low, double high) {
        assertThat(MATERIA.herb(slug, "herb")
                        .dose(Tradition.CHINESE, Form.DRIED)
                        .orElseThrow()
                        .perDayG())
                .isEqualTo(new Herb.Range(low, high));
    }

    /**
     * Swelling index, mL for a gram, at least (European Pharmacopoeia, monographs of the drugs, mem): marshmallow root 10, linseed
     * 4, ispaghula seed 9, fenugreek 6, Iceland moss 4.5, ribwort leaf 6, bladderwrack 6.
     */
    @ParameterizedTest
    @CsvSource({
        "marshmallow, 10",
        "flax, 4",
        "psyllium, 9",
        "fenugreek, 6",
        "iceland-moss, 4.5",
        "ribwort-plantain, 6",
        "bladderwrack, 6"
    })
    void slimeSwellsAsThePharmacopoeiaAsks(String slug, double index) {
        Herb herb = MATERIA.herb(slug, "herb");
        assertThat(herb.brewing().swelling().orElseThrow().value()).isBetween(index, 10.0);
        Charge wet = Charge.of(MATERIA, herb, Form.DRIED, Cut.WHOLE, 10, 0, Menstruum.WATER);
        assertThat((wet.keptMl(false) + wet.displacedMl()) / 10).isGreaterThanOrEqualTo(index);
    }

    /**
     * Daily limits: EFSA 2008 on coumarin, EU SCF 2003 on glycyrrhizin, EFSA 2015 on caffeine, EMA on thujone, EMA/HMPC 2023 on
     * estragole (all mem).
     */
    @ParameterizedTest
    @CsvSource({"COUMARIN, , 0.1", "GLYCYRRHIZIN, 100, ", "CAFFEINE, 400, ", "THUJONE, 6, ", "ESTRAGOLE, 0.05, "})
    void limitsAreThoseOfTheAuthorities(Constituent constituent, Double perDay, Double perKg) {
        DailyLimit.Amounts amounts = MATERIA.limits().get(constituent).amounts();
        if (perDay != null) {
            assertThat(amounts.mgPerDay().orElseThrow()).isEqualTo(perDay);
        }
        if (perKg != null) {
            assertThat(amounts.mgPerKgPerDay().orElseThrow()).isEqualTo(perKg);
        }
    }

    /** Youngest drinkers of the monographs, years (EMA/HMPC, mem); chamomile from six months on. */
    @ParameterizedTest
    @CsvSource({
        "chamomile, 0.5",
        "peppermint, 4",
        "fennel, 4",
        "linden, 4",
        "thyme, 4",
        "marshmallow, 3",
        "willow-bark, 18",
        "sage, 18",
        "liquorice, 18",
        "valerian, 12",
        "bearberry, 18",
        "psyllium, 6",
        "iceland-moss, 6"
    })
    void ageFloorsAreThoseOfTheMonographs(String slug, double years) {
        assertThat(MATERIA.herb(slug, "herb").ageFloorYears().orElseThrow().value())
                .isEqualTo(years);
    }
}
