package embercup.core.brew;

/**
 * Predicts a brew: heat, water and extraction through all stages.
 *
 * <p>Closed forms throughout (see {@link Heating}); a Dormand–Prince integration of the same equations agrees within
 * 0.1 % and is kept as a test. Stateless and thread-safe.
 */
public final class BrewSimulation {

    private static final int SOLVER_PASSES = 8;
    private static final double SOLVED_ML = 0.01;

    private BrewSimulation() {}

    public static BrewResult run(BrewSetup setup) {
        return new BrewRun(setup, BrewRun.Follow.ALL).run();
    }

    /** Water only: the same volumes and times without the extraction and its curve. */
    public static BrewResult water(BrewSetup setup) {
        return new BrewRun(setup, BrewRun.Follow.WATER).run();
    }

    /** Water and body only, without a curve: all that a strength needs. */
    public static BrewResult body(BrewSetup setup) {
        return new BrewRun(setup, BrewRun.Follow.BODY).run();
    }

    /**
     * The starting water that leaves {@code yieldMl} after everything: pour = yield + retained + evaporated, solved because
     * more water takes longer to heat and so loses more.
     *
     * @return mL, at least the water the herbs keep
     */
    public static double solvePour(BrewSetup setup, double yieldMl) {
        double kept = setup.charges().stream().mapToDouble(c -> c.keptMl(false)).sum();
        double pour = yieldMl + kept;
        for (int pass = 0; pass < SOLVER_PASSES; pass++) {
            double missing = yieldMl - water(setup.withPour(pour)).yieldMl();
            if (Math.abs(missing) < SOLVED_ML) {
                break;
            }
            pour = Math.max(kept + 10, pour + missing);
        }
        return pour;
    }
}
