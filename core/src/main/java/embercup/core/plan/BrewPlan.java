package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.CurvePoint;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Vessel;
import embercup.core.recipe.Proposal.Reason;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Workings;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * Everything a cook needs for one brew. Immutable; times are seconds from the first step.
 *
 * @param stageStartS when the first stage begins, s; prep that does not fit into waiting comes before
 * @param strength body of the liquor relative to the recipe's own standard cup (1.0)
 * @param strengthLow low end of the estimate's band
 * @param strengthHigh high end of the estimate's band
 * @param aroma share of the herbs' aroma that the cup keeps, 0–1
 * @param bite share of the herbs' bitter and tannic matter in the cup, 0–1
 * @param curve body as strength; aroma and bite as shares
 * @param displacedMl room the herbs take under water beside what they soak up, mL
 * @param notes what the plan itself has to say: clipped doses, vessel, contradictions
 * @param reasons why a stage is there, for stages that the plan itself proposes
 * @param workings by the name of the number
 */
public record BrewPlan(
        PlanRequest request,
        List<PlannedAddition> additions,
        WaterPlan water,
        double boilingC,
        Vessel vessel,
        List<Step> steps,
        List<StageRun> stages,
        double stageStartS,
        double totalS,
        List<CurvePoint> curve,
        double strength,
        double strengthLow,
        double strengthHigh,
        double aroma,
        double bite,
        BrewResult brew,
        double displacedMl,
        List<Caution> notes,
        List<Reason> reasons,
        Map<String, Workings> workings) {

    /** Prep that runs while a stage waits, beside the steps that follow one another. */
    public boolean aside(Step step) {
        return step.stage() < 0 && step.endS() > stageStartS + 1e-6;
    }

    /** Flame and lid while a step lasts. */
    public Fire fire(Step step) {
        return Fire.of(this, step);
    }

    /** The stage at whose end the liquor is in the mugs; empty for what is kept in a jar or a bottle. */
    public OptionalInt intoMugs() {
        Recipe recipe = request.recipe();
        if (recipe.menstruum().cold() || recipe.dilutionParts() > 0) {
            return OptionalInt.empty();
        }
        return stages.stream()
                .filter(r -> r.stage().kind() == StageKind.STRAIN || r.stage().kind() == StageKind.COMBINE)
                .mapToInt(StageRun::index)
                .max();
    }

    /** When to start so that it is ready at {@code readyAt}. */
    public Instant startFor(Instant readyAt) {
        return readyAt.minus(total());
    }

    /** When it is ready if it is started at {@code startAt}. */
    public Instant readyFrom(Instant startAt) {
        return startAt.plus(total());
    }

    /** Whole length, to the second. */
    public Duration total() {
        return Duration.ofSeconds(Math.round(totalS));
    }
}
