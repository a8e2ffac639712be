package embercup.core.brew;

import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;

/**
 * A pot that really stands on a stove: what a thermometer and a scale would read, second by second, from the same equations
 * as the prediction but with whatever power the stove has. Mutable, used by one thread.
 */
public final class SimulatedPot {

    private static final double STEP_S = 2;

    private final Vessel vessel;
    private final double roomC;
    private final double boilingC;
    private final Air air;
    private double waterMl;
    private double tempC;

    public SimulatedPot(Vessel vessel, double roomC, double boilingC) {
        this.vessel = vessel;
        this.roomC = roomC;
        this.boilingC = boilingC;
        this.air = Air.of(roomC, boilingC);
        this.tempC = roomC;
    }

    /** Pours water in; the wall of an empty pot takes its share of the heat. */
    public void pourIn(double millilitres, double celsius) {
        double has = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K + vessel.wallJPerK();
        double comes = millilitres * Water.SPECIFIC_HEAT_J_PER_G_K;
        tempC = (has * tempC + comes * celsius) / (has + comes);
        waterMl += millilitres;
    }

    /** Takes liquor out; gives it back when negative, mL. */
    public void takeOut(double millilitres) {
        waterMl = Math.max(0, waterMl - millilitres);
    }

    /**
     * Lets time go by.
     *
     * @param seconds at least 0
     * @param watts net power into the water; 0 off the flame
     */
    public void advance(double seconds, double watts, boolean lid) {
        double left = seconds;
        while (left > 1e-9) {
            double h = Math.min(STEP_S, left);
            step(h, watts, lid);
            left -= h;
        }
    }

    private void step(double h, double watts, boolean lid) {
        if (waterMl <= 0) {
            return;
        }
        double condensingW = Losses.condensingW(vessel, lid, boilingC, roomC);
        if (watts > 0 && watts > condensingW && tempC >= boilingC - 1e-6) {
            double steam = Phase.AtTheBoil.steamGPerS(watts, condensingW, boilingC);
            waterMl = Math.max(0, waterMl - steam * h);
            tempC = boilingC;
            return;
        }
        double capacity = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K + vessel.wallJPerK();
        Losses.State state = new Losses.State(vessel, waterMl, lid, watts > 0);
        Losses.Line line = Losses.line(state, air, tempC, watts > Losses.watts(state, air, tempC));
        tempC = Math.min(
                boilingC,
                Heating.of(tempC, line.towardsC(), watts, capacity, line.wattsPerKelvin())
                        .celsiusAt(h));
        double steamW = Losses.steamW(state, air, tempC);
        waterMl = Math.max(0, waterMl - steamW * h / Water.latentHeatJPerG(tempC));
    }

    public double waterMl() {
        return waterMl;
    }

    public double tempC() {
        return tempC;
    }

    /** Whether bubbles rise. */
    public boolean boils() {
        return waterMl > 0 && tempC >= boilingC - 0.2;
    }
}
