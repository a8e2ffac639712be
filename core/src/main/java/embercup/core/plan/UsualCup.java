package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.Charge;
import embercup.core.brew.InfusionTimes;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A cup beside the usual cup of its herbs: the middle of the usual single dose, by the usual method for its usual time. A blend
 * shares one dose among its herbs, or has up to a whole one of each. Stateless.
 */
final class UsualCup {

    /** The cup of the monographs (source key {@code hmpc}), mL. */
    private static final double CUP_ML = 150;

    private UsualCup() {}

    /** Body in one cup of the plan ÷ body in a usual one; empty when no dose of any of its herbs is published. */
    static OptionalDouble against(
            Materia materia, PlanRequest request, List<PlannedAddition> additions, BrewSetup setup, BrewResult brew) {
        List<PlannedAddition> brewed = PlannedAddition.brewed(additions);
        double doses = 0;
        double usual = 0;
        for (int i = 0; i < brewed.size(); i++) {
            PlannedAddition addition = brewed.get(i);
            Charge charge = setup.charges().get(i);
            Herb herb = materia.herb(addition.herb(), "herb");
            if (drawnCold(herb)) {
                return OptionalDouble.empty();
            }
            OptionalDouble middle = middleG(materia, addition, request);
            if (middle.isEmpty() || charge.holdsPerG(ExtractClass.BODY) <= 0) {
                continue;
            }
            double dose = addition.perCupG() / middle.getAsDouble();
            double gives = middle.getAsDouble()
                    * charge.holdsPerG(ExtractClass.BODY)
                    * drawn(materia.extraction(), herb, charge, middle.getAsDouble());
            doses += Math.min(1, dose);
            usual += Math.min(1, dose) * gives;
        }
        double inOne = brew.drawn().getOrDefault(ExtractClass.BODY, 0.0) / request.cups();
        return usual <= 0 || doses <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(inOne * Math.min(1, doses) / usual);
    }

    /** What is drawn cold is drunk for its slime, which the body of a cup says nothing of. */
    private static boolean drawnCold(Herb herb) {
        return herb.method().filter(m -> m.method() == Herb.Method.MACERATION).isPresent();
    }

    private static OptionalDouble middleG(Materia materia, PlannedAddition addition, PlanRequest request) {
        return addition.usual(materia, request.recipe().tradition())
                .middleOfCup()
                .map(w -> OptionalDouble.of(w.value()))
                .orElse(OptionalDouble.empty());
    }

    /** Share of the body that the usual method draws. */
    private static double drawn(ExtractionData data, Herb herb, Charge charge, double grams) {
        boolean simmers = herb.method()
                .map(m -> m.method() == Herb.Method.DECOCTION)
                .orElse(herb.part().hard());
        double minutes = herb.method().map(Herb.UsualMethod::minutes).orElse(10.0);
        InfusionTimes.Heat heat = simmers ? InfusionTimes.Heat.SIMMERED : InfusionTimes.Heat.STEEPED;
        double dryG = charge.grams() <= 0 ? grams : grams * charge.dryG() / charge.grams();
        return charge.drawnAt(
                data, ExtractClass.BODY, dryG / CUP_ML, heat.celsius(), heat.agitation(data) * minutes * 60);
    }
}
