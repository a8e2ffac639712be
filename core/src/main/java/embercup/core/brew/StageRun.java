package embercup.core.brew;

import embercup.core.recipe.Stage;

/**
 * What one stage does.
 *
 * @param startS seconds from the first stage
 * @param heatS seconds of heating before the stage proper, 0 when none is needed
 * @param endS seconds from the first stage
 * @param kettle whether the heating is the kettle's
 * @param boils whether the boiling point is reached
 */
public record StageRun(
        int index,
        Stage stage,
        double startS,
        double heatS,
        double endS,
        double startC,
        double endC,
        double startMl,
        double endMl,
        boolean kettle,
        boolean boils) {

    /** A wait for a cooler cup that is as cool already: nobody needs to be told of it. */
    public boolean needless() {
        return stage instanceof Stage.Cool && durationS() < 1;
    }

    public double durationS() {
        return endS - startS;
    }

    /** Seconds of the stage proper, without its heating. */
    public double properS() {
        return endS - startS - heatS;
    }
}
