package embercup.core.plan;

import embercup.core.brew.BrewSetup;
import embercup.core.kitchen.Vessel;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Told;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.Optional;

/** Water that a recipe says by its vessel: up to below the rim, or over the herbs. Stateless. */
final class Filling {

    /** Less than this is not worth pouring, mL. */
    private static final double LEAST_ML = 10;

    private Filling() {}

    /** How full the vessel is filled; empty when the recipe says a volume, or nothing. */
    static Optional<Told.Fill> of(Recipe recipe) {
        return recipe.pourMl().isPresent() ? Optional.empty() : recipe.told().fill();
    }

    /** Water at the start that fills the pot's vessel so, mL. */
    static Workings water(Told.Fill fill, BrewSetup pot) {
        Vessel vessel = pot.vessel();
        Workings height = Workings.given(Term.VESSEL_HEIGHT, vessel.heightCm(), "cm");
        Workings brim = Workings.given(Term.FULL_TO_BRIM, vessel.brimMl(), "mL");
        Workings water = fill.from() == Told.Fill.From.RIM
                ? belowRim(fill.cm(), height, brim, pot)
                : overHerbs(fill.cm(), height, brim, pot);
        return water.value() >= LEAST_ML
                ? water
                : Workings.most(Term.WATER_AT_START, "mL", water, Workings.given(Term.LEAST_TO_POUR, LEAST_ML, "mL"));
    }

    private static Workings belowRim(double cm, Workings height, Workings brim, BrewSetup pot) {
        Workings mark =
                Workings.difference(Term.HEIGHT_OF_MARK, "cm", height, Workings.given(Term.HEADSPACE, cm, "cm"));
        Workings full = Workings.product(
                Term.FULL_TO_MARK, "mL", brim, Workings.quotient(Term.SHARE_OF_HEIGHT, "", mark, height));
        return Workings.difference(
                Term.WATER_AT_START, "mL", full, Workings.given(Term.ROOM_UNDER_WATER, pot.displacedMl(), "mL"));
    }

    /** The herbs swell by what they keep: the water stands over what they take then. */
    private static Workings overHerbs(double cm, Workings height, Workings brim, BrewSetup pot) {
        Workings share =
                Workings.quotient(Term.SHARE_OF_HEIGHT, "", Workings.given(Term.OVER_THE_HERBS, cm, "cm"), height);
        return Workings.sum(
                Term.WATER_AT_START,
                "mL",
                Workings.product(Term.WATER_OVER_HERBS, "mL", brim, share),
                Workings.given(Term.KEPT_BY_HERBS, pot.keptMl(false), "mL"));
    }
}
