package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.ExtractionData;
import embercup.core.recipe.Stage;
import java.util.List;

/**
 * Everything one brew depends on. Immutable.
 *
 * @param volumeScale factor on the recipe's own {@code toMl} volumes
 * @param pourMl starting water, mL
 * @param measured what stages really took; overrides what would be predicted
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
        Measurements measured) {

    public BrewSetup {
        stages = List.copyOf(stages);
        charges = List.copyOf(charges);
    }

    public BrewSetup withPour(double millilitres) {
        return new BrewSetup(
                kitchen, vessel, extraction, stages, charges, cups, cupMl, volumeScale, millilitres, measured);
    }

    /** The recipe's own pot: this one's herbs and volumes divided by its scale, {@code pourMl} of water. */
    public BrewSetup own(double ownCups, double ownCupMl, double ownPourMl) {
        List<Charge> own = charges.stream().map(c -> c.times(1 / volumeScale)).toList();
        return new BrewSetup(
                kitchen, vessel, extraction, stages, own, ownCups, ownCupMl, 1, ownPourMl, Measurements.NONE);
    }

    /** The same brew before anything was measured: what the water was poured for. */
    public BrewSetup unmeasured() {
        return new BrewSetup(
                kitchen, vessel, extraction, stages, charges, cups, cupMl, volumeScale, pourMl, Measurements.NONE);
    }
}
