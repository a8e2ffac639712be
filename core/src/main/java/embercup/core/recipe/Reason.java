package embercup.core.recipe;

import embercup.core.materia.HerbName;
import embercup.core.measure.Temperature;
import java.util.List;
import java.util.Optional;

/**
 * Why a stage is there. Immutable.
 *
 * @param stage index of the stage
 * @param because the sentence's key in the catalogue
 * @param herbs the herbs it is about, in the recipe's order; empty when it is about none
 * @param belowC the temperature it is about
 * @param note what the materia says of it, in its own words; empty when nothing
 * @param source key of its source
 */
public record Reason(
        int stage, Because because, List<HerbName> herbs, Optional<Temperature> belowC, String note, String source) {

    /** Every reason that a proposed stage can have. */
    public enum Because {
        TINCTURE_STANDS,
        TINCTURE_PRESSED,
        MUCILAGE_COLD,
        WARMED_NOT_BOILED,
        WARM_WATER,
        VITAMIN_C,
        NOT_BOILING,
        COOLED_A_LITTLE,
        BOILING_WATER,
        SOAKS_COLD_FIRST,
        COVERED_FOR_AROMA,
        POWDER_SOON,
        COLD_START,
        WATER_FIRST,
        NEVER_BOIL,
        SHORT_BOIL,
        REST_GOES_ON,
        LONG_SIMMER,
        SLOWEST_HERB,
        AROMA_OFF_THE_HEAT,
        CITRUS_OFF_THE_HEAT,
        FIRST_BOIL,
        FRESH_WATER,
        BOILS_SHARE,
        SECOND_BOIL,
        LAST_FIVE_MINUTES,
        LIQUORS_UNITED,
        BOILED_DOWN,
        LAST_MINUTE,
        INTO_THE_CUP,
        CUP_WAITS
    }

    public Reason {
        herbs = List.copyOf(herbs);
    }

    public static Reason of(int stage, Because because, List<HerbName> herbs) {
        return new Reason(stage, because, herbs, Optional.empty(), "", "practice");
    }
}
