package embercup.core.care;

import embercup.core.kitchen.Vessel;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;

/** Hazards of the method itself: scalds, glass, plungers, pots that boil down, jars that stand. */
final class KitchenHazards {

    /** Not at room temperature for longer (source key {@code food-code}), min. */
    private static final double TWO_HOURS_MIN = 120;

    private KitchenHazards() {}

    static List<Caution> of(BrewPlan plan) {
        List<Caution> all = new ArrayList<>();
        var recipe = plan.request().recipe();
        boolean hotPour = recipe.has(StageKind.POUR)
                && recipe.stages().stream()
                        .noneMatch(s -> s instanceof Stage.Pour p && p.toC().orElse(100) < 60);
        if (recipe.has(StageKind.REDUCE)) {
            all.add(note("reducing-pot", "Never leave a pot that is boiling down."));
        }
        if (hotPour && plan.vessel().kind() == Vessel.Kind.JAR) {
            all.add(note("glass-and-heat", "Warm the jar first: boiling water cracks cold glass."));
        }
        if (hotPour && plan.vessel().kind() == Vessel.Kind.PRESS) {
            all.add(note("plunger", "Press the plunger slowly, never on boiling liquid: it can spurt."));
        }
        if (recipe.has(StageKind.STRAIN) && plan.brew().stages().stream().anyMatch(s -> s.startC() > 60)) {
            all.add(note("scald", "Strain and pour away from you; the steam scalds."));
        }
        boolean stands = recipe.stages().stream()
                .anyMatch(
                        s -> s instanceof Stage.Macerate m && m.minutes() > TWO_HOURS_MIN && m.minutes() < 7 * 24 * 60);
        if (stands) {
            all.add(Caution.of(
                    "keep-cold",
                    Severity.NOTE,
                    "Let it stand in the fridge: not over two hours at room temperature.",
                    "food-code"));
        }
        return all;
    }

    private static Caution note(String code, String text) {
        return Caution.of(code, Severity.NOTE, text, "practice");
    }
}
