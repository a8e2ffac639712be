package embercup.core.care;

import embercup.core.brew.StageRun;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;

/** Herbs that upset raw, and whether the pot boils them long enough. Stateless. */
final class RawHerbs {

    private RawHerbs() {}

    static List<Caution> of(Materia materia, BrewPlan plan) {
        List<Caution> all = new ArrayList<>();
        for (PlannedAddition addition : plan.additions()) {
            Herb herb = materia.herb(addition.herb(), "herb");
            herb.brewing()
                    .neverRawMinutes()
                    .filter(least -> boiledMinutes(plan, addition) < least.value() * (1 - 1e-6))
                    .ifPresent(
                            least -> all.add(new Caution.NotBoiled(HerbName.of(herb), least.value(), least.source())));
        }
        return all;
    }

    private static double boiledMinutes(BrewPlan plan, PlannedAddition addition) {
        double seconds = 0;
        for (StageRun run : plan.stages()) {
            if (run.index() < addition.stage()) {
                continue;
            }
            if (run.stage().kind() == StageKind.STRAIN) {
                break;
            }
            seconds += run.stage().kind().boils() ? run.endS() - run.startS() : 0;
        }
        return seconds / 60;
    }
}
