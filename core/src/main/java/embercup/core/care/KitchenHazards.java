package embercup.core.care;

import embercup.core.kitchen.Vessel;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.Standing;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;

/** Hazards of the method itself: scalds, glass, plungers, pots that boil down, jars that stand. */
final class KitchenHazards {

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
        double lukewarm = Standing.lukewarmHours(plan);
        if (lukewarm > Standing.MOST_H) {
            all.add(new Caution.KeepCold(Math.round(lukewarm * 2) / 2.0));
        }
        return all;
    }
}
