package embercup.core.care;

import embercup.core.kitchen.Vessel;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;

/** Hazards of the method itself: scalds, glass, plungers, pots that boil down, jars that stand. */
final class KitchenHazards {

    /** Not at room temperature for longer (source key {@code food-code}), min. */
    private static final double TWO_HOURS_MIN = 120;
    /** From here on a jar stands in spirit, vinegar or glycerin, which keep, min. */
    private static final double WEEK_MIN = 7 * 24 * 60;
    /** Liquor and steam scald from here on (common practice, no source), °C. */
    private static final double SCALDS_C = 60;

    private KitchenHazards() {}

    static List<Caution> of(BrewPlan plan) {
        List<Caution> all = new ArrayList<>();
        Recipe recipe = plan.request().recipe();
        boolean hotPour = recipe.has(StageKind.POUR)
                && recipe.stages().stream()
                        .noneMatch(s -> s instanceof Stage.Pour p && p.toC().orElse(100) < SCALDS_C);
        if (recipe.has(StageKind.REDUCE)) {
            all.add(new Caution.ReducingPot());
        }
        if (hotPour && plan.vessel().kind() == Vessel.Kind.JAR) {
            all.add(new Caution.GlassAndHeat(plan.vessel().kind()));
        }
        if (hotPour && plan.vessel().kind() == Vessel.Kind.PRESS) {
            all.add(new Caution.Plunger());
        }
        if (recipe.has(StageKind.STRAIN) && plan.stages().stream().anyMatch(s -> s.startC() > SCALDS_C)) {
            all.add(new Caution.Scald());
        }
        if (recipe.stages().stream().anyMatch(KitchenHazards::standsInWater)) {
            all.add(new Caution.KeepCold());
        }
        return all;
    }

    private static boolean standsInWater(Stage stage) {
        return stage instanceof Stage.Macerate m && m.minutes() > TWO_HOURS_MIN && m.minutes() < WEEK_MIN;
    }
}
