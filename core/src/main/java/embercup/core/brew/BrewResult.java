package embercup.core.brew;

import embercup.core.materia.ExtractClass;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** What came out. Immutable. */
public record BrewResult(
        List<StageRun> stages, List<CurvePoint> curve, Waters waters, Drawn extract, Cup cup, Mishaps mishaps) {

    /**
     * Volumes in mL, all cups together.
     *
     * @param pouredMl all water that went in, refills included
     * @param yieldMl strained liquor
     * @param retainedMl water kept by the spent herbs
     * @param otherwiseKeptMl what the herbs would keep, had they been pressed instead of drained, or drained instead of pressed
     * @param evaporatedMl steam
     * @param broughtMl milk and juice that went in beside the water
     */
    public record Waters(
            double pouredMl,
            double yieldMl,
            double retainedMl,
            double otherwiseKeptMl,
            double evaporatedMl,
            double broughtMl) {}

    /**
     * What the herbs gave.
     *
     * @param drawn what is in the liquor by class, in grams of herb given up
     * @param held what the herbs held by class
     * @param left share of each class that is still in the spent herbs, by charge, 0–1
     */
    public record Drawn(
            Map<ExtractClass, Double> drawn, Map<ExtractClass, Double> held, List<Map<ExtractClass, Double>> left) {
        public Drawn {
            drawn = Map.copyOf(drawn);
            held = Map.copyOf(held);
            left = left.stream().map(Map::copyOf).toList();
        }
    }

    /**
     * The cup at the end.
     *
     * @param celsius its temperature, °C
     * @param drinkableAfterS seconds after the end until it can be drunk; empty when it never cools so far
     * @param honeyAfterS seconds after the end until honey may go in; empty when it never cools so far
     */
    public record Cup(double celsius, OptionalDouble drinkableAfterS, OptionalDouble honeyAfterS) {}

    /**
     * What went wrong.
     *
     * @param ranDry whether the pot boiled dry
     * @param neverBoils whether the flame was too small to bring it to the boil
     */
    public record Mishaps(boolean ranDry, boolean neverBoils) {}

    public BrewResult {
        stages = List.copyOf(stages);
        curve = List.copyOf(curve);
    }

    public double totalS() {
        return stages.isEmpty() ? 0 : stages.get(stages.size() - 1).endS();
    }

    public double pouredMl() {
        return waters.pouredMl;
    }

    public double yieldMl() {
        return waters.yieldMl;
    }

    public double retainedMl() {
        return waters.retainedMl;
    }

    public double evaporatedMl() {
        return waters.evaporatedMl;
    }

    public double broughtMl() {
        return waters.broughtMl;
    }

    public Map<ExtractClass, Double> drawn() {
        return extract.drawn;
    }

    public List<Map<ExtractClass, Double>> leftInHerbs() {
        return extract.left;
    }

    public boolean ranDry() {
        return mishaps.ranDry;
    }

    public boolean neverBoils() {
        return mishaps.neverBoils;
    }

    /** Water that the spent herbs keep when they are treated as planned, or otherwise, mL. */
    public double keptMl(boolean asPlanned) {
        return asPlanned ? waters.retainedMl : waters.otherwiseKeptMl;
    }

    /** Share of a class that the cup holds of what the herbs held, 0–1; 0 when they held none. */
    public double share(ExtractClass extractClass) {
        double all = extract.held.getOrDefault(extractClass, 0.0);
        return all == 0 ? 0 : extract.drawn.getOrDefault(extractClass, 0.0) / all;
    }
}
