package embercup.core.care;

import embercup.core.plan.Caution;
import java.util.Comparator;
import java.util.List;

/** The order in which cautions are told: the gravest first, and of one weight what matters most to this drinker today. Stateless. */
final class CautionOrder {

    /** Of one weight these come first, in this order; whatever is not named comes after them. */
    private static final List<Class<? extends Caution>> FIRST = List.of(
            Caution.Prescribed.class,
            Caution.ForCondition.class,
            Caution.WhichTrimester.class,
            Caution.RecipeSays.class,
            Caution.DayHolds.class,
            Caution.SingleDose.class,
            Caution.Together.class,
            Caution.Identity.class,
            Caution.NothingKnown.class,
            Caution.General.class,
            Caution.LongestRun.class,
            Caution.KeepCold.class,
            Caution.CupsNotSaid.class,
            Caution.Stomach.class);

    static final Comparator<Caution> OF_TELLING =
            Comparator.comparing(Caution::severity).reversed().thenComparingInt(CautionOrder::rank);

    private CautionOrder() {}

    private static int rank(Caution caution) {
        int rank = FIRST.indexOf(caution.getClass());
        return rank < 0 ? FIRST.size() : rank;
    }
}
