package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.ExtractionData;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Map;

/**
 * Everything one brew depends on. Immutable.
 *
 * @param volumeScale factor on the recipe's own {@code toMl} volumes
 * @param pourMl starting water, mL
 * @param measuredS seconds that stages really took, by index; overrides what would be predicted
 */
public record BrewSetup(
        Kitchen kitchen,
        Vessel vessel,
        ExtractionData extraction,
        List<Stage> stages,
        List<Charge> charges,
        double cups,
        double cupMl,
        double volumeScale,
        double pourMl,
        Map<Integer, Double> measuredS) {

    public BrewSetup {
        stages = List.copyOf(stages);
        charges = List.copyOf(charges);
        measuredS = Map.copyOf(measuredS);
    }

    public BrewSetup withPour(double millilitres) {
        return new BrewSetup(
                kitchen, vessel, extraction, stages, charges, cups, cupMl, volumeScale, millilitres, measuredS);
    }
}
