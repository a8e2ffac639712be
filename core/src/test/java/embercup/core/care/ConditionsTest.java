package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Herb;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Usual cautions of the monographs (EMA/HMPC, mem) and of common practice, herb by herb. */
class ConditionsTest {

    private final Care care = new Care(MATERIA);

    private List<Caution> cautions(String herb, Condition... conditions) {
        var plan = PLANNER.plan(PlanRequest.asWritten(recipe(
                        Tradition.FOLK,
                        1,
                        200,
                        List.of(dried(herb, Cut.CHOPPED, 0.5, Unit.GRAM, 0)),
                        pour(),
                        steep(8),
                        strain()))
                .withDrinker(adultWith(70, conditions)));
        return care.judge(plan, History.NONE).cautions();
    }

    @ParameterizedTest
    @CsvSource({
        "chamomile, DAISY_ALLERGY, STOP", "yarrow, DAISY_ALLERGY, STOP", "dandelion, GALLBLADDER, STOP",
        "turmeric, GALLBLADDER, STOP", "peppermint, REFLUX, CARE", "valerian, SEDATIVE, CARE",
        "passionflower, SEDATIVE, CARE", "sage, PREGNANT, STOP", "sage, BREASTFEEDING, STOP",
        "hibiscus, LOW_BLOOD_PRESSURE, CARE", "hibiscus, PREGNANT, STOP", "liquorice, HIGH_BLOOD_PRESSURE, STOP",
        "liquorice, KIDNEY, STOP", "willow-bark, BLOOD_THINNER, STOP", "willow-bark, SALICYLATE_ALLERGY, STOP",
        "meadowsweet, SALICYLATE_ALLERGY, STOP", "ginger, BLOOD_THINNER, CARE", "ginger, SURGERY_PLANNED, CARE",
        "cinnamon-cassia, LIVER, STOP", "cinnamon-true, PREGNANT, STOP", "horsetail, KIDNEY, STOP",
        "fenugreek, DIABETES_MEDICINE, CARE", "raspberry-leaf, PREGNANT, STOP",
                "black-pepper, STOMACH_IRRITATION, CARE",
        "angelica-sinensis, BLOOD_THINNER, STOP", "juniper-berry, KIDNEY, STOP"
    })
    void aHerbIsCautionedForWhomItDoesNotSuit(String herb, Condition condition, Severity severity) {
        assertThat(cautions(herb, condition)).anySatisfy(c -> {
            assertThat(c.code()).isEqualTo(condition.code());
            assertThat(c.severity()).isEqualTo(severity);
            assertThat(c.herb()).contains(herb);
            assertThat(MATERIA.sources()).containsKey(c.source());
        });
        assertThat(cautions(herb)).noneMatch(c -> c.code().equals(condition.code()));
    }

    @Test
    void theGravestStandsFirst() {
        List<Severity> order = cautions("liquorice", Condition.HIGH_BLOOD_PRESSURE, Condition.LIVER).stream()
                .map(Caution::severity)
                .toList();
        assertThat(order).isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(order.get(0)).isEqualTo(Severity.STOP);
    }

    @Test
    void longestRunsAreKnownAndOneCupIsNoCourse() {
        for (String herb : List.of("sage", "fennel", "anise", "liquorice", "cinnamon-true")) {
            if (MATERIA.herb(herb, "herb").longestRunDays().isPresent()) {
                assertThat(cautions(herb)).as("one cup is no course").noneMatch(c -> c.code()
                        .equals("longest-run"));
            }
        }
        assertThat(MATERIA.herb("sage", "herb").longestRunDays())
                .hasValueSatisfying(d -> assertThat(d.value()).isEqualTo(14));
        assertThat(MATERIA.herb("liquorice", "herb").longestRunDays())
                .hasValueSatisfying(d -> assertThat(d.value()).isEqualTo(28));
    }

    @Test
    void whatIsGatheredWildIsCheckedAgainstItsLookAlikes() {
        assertThat(cautions("elderflower")).anySatisfy(c -> {
            assertThat(c.code()).isEqualTo("identity");
            assertThat(WORDS.say(c)).contains("Hemlock").contains("If in doubt, leave it out");
        });
        assertThat(cautions("liquorice")).noneMatch(c -> c.code().equals("identity"));
    }

    @Test
    void noTextOfTheMateriaPromisesACure() {
        for (Herb herb : MATERIA.herbs()) {
            assertThat(herb.use())
                    .as(herb.slug())
                    .doesNotContainIgnoringCase("cure")
                    .doesNotContainIgnoringCase("heals");
            assertThat(herb.cautions()).allSatisfy(c -> assertThat(c.text()).endsWith("."));
        }
    }

    /** Honey, raisins and jujube are sugar (common practice): beside diabetes medicine they raise what it lowers. */
    @ParameterizedTest
    @ValueSource(strings = {"honey", "raisin", "jujube"})
    void whatSweetensRaisesTheBloodSugar(String slug) {
        assertThat(MATERIA.herb(slug, "herb").cautions())
                .filteredOn(c ->
                        c.when().filter(w -> w == Condition.DIABETES_MEDICINE).isPresent())
                .singleElement()
                .satisfies(c -> assertThat(c.text()).contains("raises").doesNotContain("lower"));
    }
}
