package embercup.core.plan;

import embercup.core.recipe.Addition;
import embercup.core.recipe.Proposal.Reason;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools.Choice;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;

/** The temperature gate before what a cook's school puts into the cup only below a temperature. */
final class Finishing {

    /** Honey goes in below this in one school (common practice, no source), °C. */
    private static final double HONEY_C = 40;

    private Finishing() {}

    /** The request with a wait for honey before its finish, when the school has it and the recipe has none. */
    static PlanRequest gated(PlanRequest request, List<Reason> reasons) {
        Recipe recipe = request.recipe();
        int last = recipe.stages().size() - 1;
        boolean honey = recipe.stages().get(last).kind() == StageKind.FINISH
                && recipe.additions().stream()
                        .anyMatch(a -> a.stage() == last && a.herb().equals("honey"));
        boolean cooled = recipe.stages().stream()
                .anyMatch(s -> s instanceof Stage.Cool c && c.toC() <= HONEY_C
                        || s instanceof Stage.Macerate m && m.toC().orElse(0) <= HONEY_C);
        if (!honey || cooled || !request.schools().hold(Choice.BELOW_40)) {
            return request;
        }
        List<Stage> stages = new ArrayList<>(recipe.stages());
        stages.add(last, new Stage.Cool(HONEY_C, false));
        List<Addition> additions = recipe.additions().stream()
                .map(a -> a.stage() < last ? a : a.at(a.stage() + 1))
                .toList();
        reasons.add(new Reason(last, "Honey goes in below 40 °C in your school; the wait is to there.", "practice"));
        return request.withRecipe(recipe.withStages(stages).withAdditions(additions));
    }
}
