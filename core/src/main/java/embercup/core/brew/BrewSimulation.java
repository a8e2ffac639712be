package embercup.core.brew;

import embercup.core.brew.BrewResult.Cup;
import embercup.core.brew.BrewResult.Drawn;
import embercup.core.brew.BrewResult.Mishaps;
import embercup.core.materia.ExtractClass;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Predicts a brew: heat and water through all stages, then what the herbs give along them.
 *
 * <p>Closed forms throughout (see {@link Heating}); a Dormand–Prince integration of the same equations agrees within
 * 0.1 % and is kept as a test. Stateless and thread-safe.
 */
public final class BrewSimulation {

    /** From here on a cup can be drunk (common practice, no source), °C. */
    static final double DRINKABLE_C = 62;
    /** Below this honey goes in where the cook's school has it so (common practice, no source), °C. */
    static final double HONEY_C = 40;

    private static final int SOLVER_PASSES = 8;
    private static final double SOLVED_ML = 0.01;

    private BrewSimulation() {}

    /** As it will go. */
    public static BrewResult run(BrewSetup setup) {
        return run(setup, Measurements.NONE);
    }

    /** As it will go from what was measured on. */
    public static BrewResult run(BrewSetup setup, Measurements measured) {
        return traced(setup, measured).result();
    }

    /** The same with what it went through, for the workings of its figures. */
    static Traced traced(BrewSetup setup, Measurements measured) {
        BrewRun run = ran(setup, measured);
        return new Traced(
                setup, result(setup, run), run.pot().phases(), run.pot().coolsInMug(HONEY_C));
    }

    /** Water only: the same volumes and times without the extraction and its curve. */
    static BrewResult.Waters water(BrewSetup setup) {
        return ran(setup, Measurements.NONE).waters();
    }

    /** Extract of the body in a millilitre of the strained liquor, in grams of herb given up; 0 when there is no liquor. */
    public static double bodyPerMl(BrewSetup setup) {
        BrewRun run = ran(setup, Measurements.NONE);
        Liquor liquor = Liquor.of(setup.charges(), setup.extraction(), 1);
        run.pot().phases().forEach(p -> liquor.through(p, slice -> {}));
        double yield = run.waters().yieldMl();
        return yield <= 0 ? 0 : liquor.drawn(0, run.pot().strained) / yield;
    }

    private static BrewRun ran(BrewSetup setup, Measurements measured) {
        BrewRun run = new BrewRun(setup, measured);
        run.run();
        return run;
    }

    private static BrewResult result(BrewSetup setup, BrewRun run) {
        Pot pot = run.pot();
        Liquor liquor = Liquor.of(setup.charges(), setup.extraction(), Charge.CLASSES.length);
        List<CurvePoint> curve = Curve.along(pot.phases(), liquor);
        Map<ExtractClass, Double> drawn = new EnumMap<>(ExtractClass.class);
        Map<ExtractClass, Double> held = new EnumMap<>(ExtractClass.class);
        for (int c = 0; c < Charge.CLASSES.length; c++) {
            drawn.put(Charge.CLASSES[c], liquor.drawn(c, pot.strained));
            held.put(Charge.CLASSES[c], liquor.held(c));
        }
        List<Map<ExtractClass, Double>> left = new ArrayList<>();
        for (int i = 0; i < setup.charges().size(); i++) {
            left.add(liquor.leftInHerb(i));
        }
        return new BrewResult(
                run.stages(),
                curve,
                run.waters(),
                new Drawn(drawn, held, left),
                new Cup(pot.tempC, until(pot, DRINKABLE_C), until(pot, HONEY_C)),
                new Mishaps(pot.ranDry, pot.neverBoils));
    }

    private static OptionalDouble until(Pot pot, double celsius) {
        if (pot.tempC <= celsius) {
            return OptionalDouble.of(0);
        }
        return pot.coolsInMug(celsius)
                .map(way -> OptionalDouble.of(way.seconds()))
                .orElse(OptionalDouble.empty());
    }

    /**
     * The starting water that leaves {@code yieldMl} after everything: pour = yield + retained + evaporated, solved because
     * more water takes longer to heat and so loses more.
     *
     * @return mL, at least the water the herbs keep
     */
    public static double solvePour(BrewSetup setup, double yieldMl) {
        double kept = setup.keptMl(false);
        double pour = yieldMl + kept;
        for (int pass = 0; pass < SOLVER_PASSES; pass++) {
            double missing = yieldMl - yieldMl(setup.withPour(pour));
            if (Math.abs(missing) < SOLVED_ML) {
                break;
            }
            pour = Math.max(setup.bringsMl() + setup.broughtMl() > 0 ? 0 : kept + 10, pour + missing);
        }
        return pour;
    }

    /** Strained liquor of a brew, mL. */
    public static double yieldMl(BrewSetup setup) {
        return water(setup).yieldMl();
    }
}
