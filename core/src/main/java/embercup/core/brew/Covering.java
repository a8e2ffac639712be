package embercup.core.brew;

import embercup.core.kitchen.Water;
import embercup.core.recipe.Flame;

/**
 * What a lid changes at the boil: by conservation of energy only the heat that lid and wall give to the room stays in the pot. Immutable.
 *
 * @param openGPerMin steam without the lid, g/min
 * @param coveredGPerMin steam with it, g/min
 */
public record Covering(double openGPerMin, double coveredGPerMin) {

    public static Covering of(BrewSetup setup, Flame flame) {
        double watts = setup.kitchen().burner().watts(flame);
        double boilingC = setup.kitchen().boilingC();
        double condensing = Losses.condensingW(
                setup.vessel(), true, boilingC, setup.kitchen().roomC());
        return new Covering(
                60 * Phase.AtTheBoil.steamGPerS(watts, 0, boilingC),
                60 * Phase.AtTheBoil.steamGPerS(watts, condensing, boilingC));
    }

    /** How many times longer the covered pot takes to lose the same; infinite when it does not boil. */
    public double times() {
        return coveredGPerMin <= 0 ? Double.POSITIVE_INFINITY : openGPerMin / coveredGPerMin;
    }

    /** Seconds on the flame from the tap to the boil, open or covered; infinite when it never boils. */
    public static double heatingS(BrewSetup setup, Flame flame, boolean lid) {
        return Way.heatingS(
                new Losses.State(setup.vessel(), setup.pourMl(), lid, true),
                Air.of(setup.kitchen()),
                setup.kitchen().burner().watts(flame),
                setup.pourMl() * Water.SPECIFIC_HEAT_J_PER_G_K + setup.vessel().wallJPerK(),
                setup.kitchen().tapC(),
                setup.kitchen().boilingC());
    }
}
