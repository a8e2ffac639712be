package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.CurvePoint;
import embercup.core.brew.StageRun;
import embercup.core.materia.ExtractClass;
import java.util.List;

/**
 * How a brew will go: as planned, or from what has really happened so far. Immutable; times are seconds from the first step.
 *
 * @param curve body as strength; aroma and bite as shares
 */
public record Prediction(
        WaterPlan water, Timeline timeline, BrewResult brew, Estimate estimate, List<CurvePoint> curve) {

    /**
     * Body of the liquor relative to the recipe's own standard cup (1.0), with the band of the estimate.
     *
     * @param band relative half-width
     */
    public record Estimate(double strength, double band) {
        public double low() {
            return strength * (1 - band);
        }

        public double high() {
            return strength * (1 + band);
        }
    }

    public Prediction {
        curve = List.copyOf(curve);
    }

    static Prediction of(BrewSetup pot, StandardCup standard, List<PlannedAddition> additions, BrewResult brew) {
        Timeline timeline = Timeline.of(pot, additions, brew.stages());
        double bodyPerMl = brew.yieldMl() <= 0 ? 0 : brew.drawn().getOrDefault(ExtractClass.BODY, 0.0) / brew.yieldMl();
        double strength = standard.bodyPerMl() == 0 ? 0 : bodyPerMl / standard.bodyPerMl();
        Estimate estimate = new Estimate(strength, Band.of(standard, brew.share(ExtractClass.BODY), pot, additions));
        return new Prediction(WaterPlan.of(pot, brew), timeline, brew, estimate, curve(brew, timeline, standard));
    }

    private static List<CurvePoint> curve(BrewResult brew, Timeline timeline, StandardCup standard) {
        double whole = standard.bodyPerMl() * brew.yieldMl();
        double scale = whole <= 0 ? 0 : 1 / whole;
        return brew.curve().stream()
                .map(p -> new CurvePoint(
                        p.tS() + timeline.stageStartS(), p.tempC(), p.waterMl(), p.body() * scale, p.aroma(), p.bite()))
                .toList();
    }

    public double strength() {
        return estimate.strength;
    }

    /** Share of the herbs' body in the cup, 0–1. */
    public double body() {
        return brew.share(ExtractClass.BODY);
    }

    /** Share of the herbs' aroma that the cup keeps, 0–1. */
    public double aroma() {
        return brew.share(ExtractClass.AROMA);
    }

    /** Share of the herbs' bitter and tannic matter in the cup, 0–1. */
    public double bite() {
        return brew.share(ExtractClass.BITE);
    }

    public List<Step> steps() {
        return timeline.steps();
    }

    public List<StageRun> stages() {
        return brew.stages();
    }

    /** Whole length, s. */
    public double totalS() {
        return timeline.stageStartS() + brew.totalS();
    }
}
