package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.BrewSimulation;
import embercup.core.brew.Charge;
import embercup.core.brew.CurvePoint;
import embercup.core.brew.Measurements;
import embercup.core.brew.StageRun;
import embercup.core.dose.UsualDose;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Materia;
import embercup.core.measure.KitchenAmount;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Reason;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Workings;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Everything a cook needs for one brew, and everything that its prediction needs again: a plan that is kept gives the same
 * answers whatever becomes of the recipe, the kitchen and the materia. Immutable; times are seconds from the first step.
 *
 * @param pot the pot it is brewed in, with the herbs as they are
 * @param standard what its strength is measured against
 * @param predicted how it will go when all goes as planned
 * @param notes what the plan itself has to say: clipped doses, vessel, contradictions
 * @param reasons why a stage is there, for stages that the plan itself proposes
 * @param workings by the name of the number; those of the extraction are computed when they are asked for
 */
public record BrewPlan(
        PlanRequest request,
        List<PlannedAddition> additions,
        BrewSetup pot,
        StandardCup standard,
        Prediction predicted,
        List<Caution> notes,
        List<Reason> reasons,
        Map<String, Workings> workings) {

    public BrewPlan {
        additions = List.copyOf(additions);
        notes = List.copyOf(notes);
        reasons = List.copyOf(reasons);
    }

    /** The same pot, judged for another request: who drinks how much of it. */
    public BrewPlan forRequest(PlanRequest other) {
        return new BrewPlan(other, additions, pot, standard, predicted, notes, reasons, workings);
    }

    /**
     * On which side of the usual cup a herb is, as far as that means anything: a herb of a blend shares its room, a child has its share,
     * and a pinch of spice is a pinch.
     */
    public Optional<UsualDose.Side> againstUsual(PlannedAddition addition) {
        boolean alone = PlannedAddition.brewed(additions).size() == 1;
        boolean spice = addition.measured().measure() instanceof KitchenAmount.Pinch
                || addition.measured().measure() instanceof KitchenAmount.LessThanAPinch;
        boolean whole = request.shareOfAdult().value() >= 1;
        return addition.againstUsual().filter(side -> side == UsualDose.Side.MORE || alone && whole && !spice);
    }

    /** How it will go from what was measured on. */
    public Prediction predict(Measurements measured) {
        return measured.none() ? predicted : Prediction.of(pot, standard, additions, BrewSimulation.run(pot, measured));
    }

    /** Every figure with its workings, those of the extraction too. */
    public Map<String, Workings> explained() {
        return Figures.explained(this);
    }

    public WaterPlan water() {
        return predicted.water();
    }

    public double boilingC() {
        return request.kitchen().boilingC();
    }

    public Vessel vessel() {
        return pot.vessel();
    }

    public List<Step> steps() {
        return predicted.steps();
    }

    public List<StageRun> stages() {
        return predicted.brew().stages();
    }

    /** When the first stage begins, s; prep that does not fit into waiting comes before. */
    public double stageStartS() {
        return predicted.timeline().stageStartS();
    }

    public double totalS() {
        return predicted.totalS();
    }

    public List<CurvePoint> curve() {
        return predicted.curve();
    }

    /** Body of the liquor relative to the recipe's own standard cup (1.0). */
    public double strength() {
        return predicted.strength();
    }

    public double strengthLow() {
        return predicted.estimate().low();
    }

    public double strengthHigh() {
        return predicted.estimate().high();
    }

    public double body() {
        return predicted.body();
    }

    public double aroma() {
        return predicted.aroma();
    }

    public double bite() {
        return predicted.bite();
    }

    public BrewResult brew() {
        return predicted.brew();
    }

    /**
     * Whether the herbs are in a tea ball that is lifted out: where the recipe says so or the vessel has one, for what is poured
     * on and neither pressed nor boiled.
     */
    public boolean inBall() {
        boolean has = request.recipe().told().with().contains(Companion.TEA_BALL)
                || vessel().companions().contains(Companion.TEA_BALL);
        return has
                && !Fire.on(request.recipe().stages())
                && request.recipe().has(StageKind.POUR)
                && request.recipe().stages().stream()
                        .noneMatch(s -> s instanceof Stage.Strain strain && strain.pressed());
    }

    /** Room the herbs take under water beside what they soak up, mL. */
    public double displacedMl() {
        return pot.displacedMl();
    }

    /** Where the liquor stands at its stages. */
    public Batch batch() {
        return pot.batch();
    }

    /** Whether herbs stand in the vessel at a step: not any more once they are strained out, unless others came to the batch. */
    public boolean herbsIn(Step step) {
        int stage = step.stage();
        if (stage < 0) {
            return true;
        }
        Batch batch = batch();
        boolean liquorAlone = batch.before(stage).isPresent() && !batch.begins(stage);
        return !liquorAlone && pot.herbsIn(stage).stream().anyMatch(c -> c.dryG() > 0);
    }

    /** What milk and juice that are stirred into the cups add to them, all cups together, mL. */
    public double stirredInMl() {
        return PlannedAddition.stirredInMl(additions);
    }

    /** What milk and juice add to the water with the first stage, mL. */
    public double broughtAtStartMl() {
        return pot.charges().stream()
                .filter(c -> c.stage() == 0)
                .mapToDouble(Charge::broughtMl)
                .sum();
    }

    /** The stage at whose end the liquor is in the mugs; empty for what is kept in a jar or a bottle. */
    public OptionalInt intoMugs() {
        Recipe recipe = request.recipe();
        if (recipe.menstruum().cold() || recipe.dilutionParts() > 0) {
            return OptionalInt.empty();
        }
        Batch batch = batch();
        if (batch.endsWhole()) {
            return batch.atTheEnd().filter(Receiver::keeps).isPresent()
                    ? OptionalInt.empty()
                    : OptionalInt.of(recipe.stages().size() - 1);
        }
        return stages().stream()
                .filter(r -> r.stage().kind() == StageKind.STRAIN || r.stage().kind() == StageKind.COMBINE)
                .mapToInt(StageRun::index)
                .max();
    }

    /** What is usual of a herb in the form of one of its lines, in the recipe's tradition. */
    public UsualDose usual(Materia materia, PlannedAddition addition) {
        return addition.usual(materia, request.recipe().tradition());
    }

    /**
     * The stage from which a cup only waits for what one school keeps out of a hot one: it can be drunk before, and what waits is
     * stirred in cup by cup. Empty when nothing waits.
     */
    public OptionalInt cupWaitsFrom() {
        return reasons.stream()
                .filter(r -> r.because() == Reason.Because.CUP_WAITS)
                .mapToInt(Reason::stage)
                .min();
    }

    /** When the first cup can be drunk, s: what is stirred into a cooled one does not make the pot later. */
    public double readyS() {
        OptionalInt waits = cupWaitsFrom();
        return waits.isPresent()
                ? steps().stream()
                        .filter(s -> s.stage() >= waits.getAsInt())
                        .mapToDouble(Step::startS)
                        .min()
                        .orElse(totalS())
                : totalS();
    }

    /** When to start so that it is ready at {@code readyAt}. */
    public Instant startFor(Instant readyAt) {
        return readyAt.minus(untilReady());
    }

    /** When it is ready if it is started at {@code startAt}. */
    public Instant readyFrom(Instant startAt) {
        return startAt.plus(untilReady());
    }

    /** To the second. */
    private Duration untilReady() {
        return Duration.ofSeconds(Math.round(readyS()));
    }
}
