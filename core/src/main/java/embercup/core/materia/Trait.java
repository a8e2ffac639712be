package embercup.core.materia;

import embercup.core.materia.Herb.HerbCaution;
import java.util.List;

/**
 * Something that many herbs have in common and that asks for the same care of all of them: what it says is said once, in
 * {@code traits.yaml}, and a herb's file only names it. Immutable.
 *
 * @param cautions what it says, and to whom
 * @param together what is said when several herbs of it meet in one pot; empty when each stands alone
 * @param addsUp whether the shares of their usual days add up to one day
 */
public record Trait(Kind kind, List<HerbCaution> cautions, String together, boolean addsUp, String source) {

    /** What herbs have in common. */
    public enum Kind {
        FOOD,
        UNSTUDIED,
        AVOIDED_IN_PREGNANCY,
        AVOIDED_IN_PREGNANCY_AND_NURSING,
        DAISY,
        CARROT,
        SALICYLATE,
        BLEEDING,
        VITAMIN_K,
        SEDATING,
        CAFFEINE,
        DIURETIC,
        MILD_DIURETIC,
        LOWERS_SUGAR,
        SUGAR,
        LOWERS_PRESSURE,
        HEART_ACTIVE,
        DRIVES_BILE,
        RELAXES_STOMACH_VALVE,
        PUNGENT,
        BITTER,
        SOUR,
        TANNIN,
        OXALATE,
        MUCILAGE,
        THUJONE,
        CAMPHOR,
        HORMONAL,
        IMMUNE,
        THYROID,
        STIMULATING,
        POTASSIUM_LOSING,
        LIGHT_SENSITIVE
    }

    public Trait {
        cautions = List.copyOf(cautions);
    }
}
