package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.ExtractionData;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Stage;
import java.util.List;

/**
 * Everything one brew depends on, and nothing that somebody could change later: the pot, the stove, the herbs as they were.
 * Immutable.
 *
 * @param cups what it is made for
 * @param volumeScale factor on the recipe's own {@code toMl} volumes
 * @param pourMl starting water, mL
 */
public record BrewSetup(
        Kitchen kitchen,
        Vessel vessel,
        ExtractionData extraction,
        List<Stage> stages,
        List<Charge> charges,
        Cups cups,
        double volumeScale,
        double pourMl) {

    /** How many cups of what size, mL. */
    public record Cups(double count, double ml) {}

    public BrewSetup {
        stages = List.copyOf(stages);
        charges = List.copyOf(charges);
    }

    public BrewSetup withPour(double millilitres) {
        return new BrewSetup(kitchen, vessel, extraction, stages, charges, cups, volumeScale, millilitres);
    }

    public BrewSetup withStages(List<Stage> others) {
        return new BrewSetup(kitchen, vessel, extraction, others, charges, cups, volumeScale, pourMl);
    }

    /** The same herbs and water in other stages, the herbs where those have them. */
    public BrewSetup with(List<Stage> others, List<Charge> placed) {
        return new BrewSetup(kitchen, vessel, extraction, others, placed, cups, volumeScale, pourMl);
    }

    public BrewSetup in(Vessel other) {
        return new BrewSetup(kitchen, other, extraction, stages, charges, cups, volumeScale, pourMl);
    }

    /** The recipe's own pot: this one's herbs and volumes divided by its scale, {@code pourMl} of water. */
    public BrewSetup own(Cups ownCups, double ownPourMl) {
        List<Charge> own = charges.stream().map(c -> c.times(1 / volumeScale)).toList();
        return new BrewSetup(kitchen, vessel, extraction, stages, own, ownCups, 1, ownPourMl);
    }

    /** Where the liquor stands at its stages. */
    public Batch batch() {
        return Batch.of(stages);
    }

    /** Herbs that are in the vessel at a stage: what goes in with it is, what was strained out before it is not. */
    public List<Charge> herbsIn(int stage) {
        return herbs(stage, stage);
    }

    /** The same without what goes in with the stage itself. */
    public List<Charge> herbsBefore(int stage) {
        return herbs(stage, stage - 1);
    }

    private List<Charge> herbs(int stage, int last) {
        int from = batch().herbsFrom(stage);
        return charges.stream()
                .filter(c -> c.stage() >= from && c.stage() <= last)
                .toList();
    }

    /** Fresh water that its stages bring beside the water at the start, mL; a refill comes to herbs that are strained. */
    double bringsMl() {
        return volumeScale
                * stages.stream()
                        .filter(s -> s.kind().takesWater())
                        .mapToDouble(Stage::bringsMl)
                        .sum();
    }

    /** How full it is at its fullest before anything is strained, the herbs in it, mL. */
    public double fullMl() {
        return pourMl + bringsMl() + broughtMl() + displacedMl();
    }

    /** What milk and juice add to the water, mL. */
    public double broughtMl() {
        return charges.stream().mapToDouble(Charge::broughtMl).sum();
    }

    /** Water that all herbs keep, mL. */
    public double keptMl(boolean pressed) {
        return charges.stream().mapToDouble(c -> c.keptMl(pressed)).sum();
    }

    /** Room that all herbs take under water beside what they soak up, mL. */
    public double displacedMl() {
        return charges.stream().mapToDouble(Charge::displacedMl).sum();
    }
}
