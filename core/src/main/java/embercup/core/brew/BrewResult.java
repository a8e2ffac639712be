package embercup.core.brew;

import embercup.core.materia.ExtractClass;
import java.util.List;
import java.util.Map;

/**
 * What came out. Volumes in mL, all cups together.
 *
 * @param pouredMl all water that went in, refills included
 * @param yieldMl strained liquor
 * @param retainedMl water kept by the spent herbs
 * @param otherwiseKeptMl what the herbs would keep, had they been pressed instead of drained, or drained instead of pressed
 * @param evaporatedMl steam
 * @param drawn what is in the liquor by class, in grams of herb given up
 * @param held what the herbs held by class
 * @param leftInHerbs share of each class that is still in the spent herbs, by charge, 0–1
 * @param cupC temperature in the cup at the end, °C
 * @param drinkableAfterS seconds after the end until it can be drunk
 * @param honeyAfterS seconds after the end until honey may go in
 * @param ranDry whether the pot boiled dry
 * @param neverBoils whether the flame was too small to bring it to the boil
 */
public record BrewResult(
        List<StageRun> stages,
        List<CurvePoint> curve,
        double pouredMl,
        double yieldMl,
        double retainedMl,
        double otherwiseKeptMl,
        double evaporatedMl,
        Map<ExtractClass, Double> drawn,
        Map<ExtractClass, Double> held,
        List<Map<ExtractClass, Double>> leftInHerbs,
        double cupC,
        double drinkableAfterS,
        double honeyAfterS,
        boolean ranDry,
        boolean neverBoils) {

    public double totalS() {
        return stages.isEmpty() ? 0 : stages.get(stages.size() - 1).endS();
    }

    /** Water that the spent herbs keep when they are treated as planned, or otherwise, mL. */
    public double keptMl(boolean asPlanned) {
        return asPlanned ? retainedMl : otherwiseKeptMl;
    }

    /** Share of a class that the cup holds of what the herbs held, 0–1; 0 when they held none. */
    public double share(ExtractClass extractClass) {
        double all = held.getOrDefault(extractClass, 0.0);
        return all == 0 ? 0 : drawn.getOrDefault(extractClass, 0.0) / all;
    }
}
