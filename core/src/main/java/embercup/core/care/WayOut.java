package embercup.core.care;

import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.measure.Mass;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Menstruum;
import java.util.List;

/**
 * What can be done about a stop. A closed family of facts; immutable. Another drinker is always possible and is not listed.
 */
public sealed interface WayOut {

    /** Another herb in its place. @param change what is different then, in the materia's words */
    record Replace(HerbName herb, HerbName with, String change) implements WayOut {}

    record LeaveOut(HerbName herb) implements WayOut {}

    /**
     * Less of a herb.
     *
     * @param share share of the recipe's amount that would do, 0–1
     */
    record Lessen(HerbName herb, double share, Mass only, Mass instead) implements WayOut {}

    record FewerCups(int cups) implements WayOut {}

    /** Fewer of the cups in a day. */
    record FewerADay(int cups) implements WayOut {}

    /** A practitioner prescribed it for so many days: the limits of a day are told and do not stop it. */
    record Prescribed(int days) implements WayOut {}

    /** Another menstruum instead of spirit. */
    record DrawWith(Menstruum.Kind menstruum) implements WayOut {}

    /** The request as a way changes it. */
    static PlanRequest taken(Materia materia, PlanRequest request, WayOut way) {
        return WaysOut.changed(materia, request, way);
    }

    /**
     * Ways out of every stop of a verdict, each planned and judged for this drinker; those that keep the most of the recipe
     * first.
     */
    static List<WayOut> of(Materia materia, BrewPlan plan, Care.Verdict verdict, History history) {
        return new WaysOut(materia, plan, verdict, history).all();
    }
}
