package embercup.core.plan;

/**
 * One step of the one cook.
 *
 * @param key stable name inside the plan: {@code prep.0}, {@code s2.heat}, {@code s2}
 * @param kind {@code prep}, {@code heat}, or the code of the stage
 * @param stage index of the stage; −1 for prep
 * @param label what to do, short and imperative
 * @param startS seconds from the first step
 * @param durationS seconds
 * @param handsOn whether it needs the cook's hands
 * @param until what ends it when not the clock; empty for the clock
 * @param confirm what the cook confirms when it is done, as a button says it
 */
public record Step(
        String key,
        String kind,
        int stage,
        String label,
        double startS,
        double durationS,
        boolean handsOn,
        String until,
        String confirm) {

    public double endS() {
        return startS + durationS;
    }

    Step at(double otherStartS) {
        return new Step(key, kind, stage, label, otherStartS, durationS, handsOn, until, confirm);
    }
}
