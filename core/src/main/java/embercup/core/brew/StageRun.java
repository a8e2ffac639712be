package embercup.core.brew;

import embercup.core.recipe.Stage;

/**
 * What one stage does. Immutable.
 *
 * @param kettle whether the heating is the kettle's
 * @param boils whether the boiling point is reached
 */
public record StageRun(int index, Stage stage, Times times, State start, State end, boolean kettle, boolean boils) {

    /**
     * Seconds from the first stage.
     *
     * @param heatS seconds of heating before the stage proper, 0 when none is needed
     */
    public record Times(double startS, double heatS, double endS) {}

    /** The liquor at a moment: temperature, °C, and water with the herbs' share, mL. */
    public record State(double celsius, double ml) {}

    /** A wait for a cooler cup that is as cool already: nobody needs to be told of it. */
    public boolean needless() {
        return stage instanceof Stage.Cool && durationS() < 1;
    }

    public double startS() {
        return times.startS;
    }

    public double heatS() {
        return times.heatS;
    }

    public double endS() {
        return times.endS;
    }

    public double startC() {
        return start.celsius;
    }

    public double endC() {
        return end.celsius;
    }

    public double startMl() {
        return start.ml;
    }

    public double endMl() {
        return end.ml;
    }

    public double durationS() {
        return times.endS - times.startS;
    }

    /** Seconds of the stage proper, without its heating. */
    public double properS() {
        return durationS() - times.heatS;
    }
}
