package embercup.core.plan;

import embercup.core.brew.BrewSetup;
import embercup.core.brew.Holding;
import embercup.core.brew.StageRun;
import embercup.core.brew.Turn;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What is under and over the pot while a step lasts, and what is done to the herbs. Immutable.
 *
 * @param flame setting of the burner; empty when it is off, or when the kettle heats
 * @param watts net power into the water, W; 0 off the heat
 * @param lid whether the lid is on
 * @param kettle whether it is the kettle that heats
 * @param pressed whether the marc is pressed, where it is strained
 */
public record Fire(Optional<Flame> flame, double watts, boolean lid, boolean kettle, boolean pressed) {

    static final Fire NONE = new Fire(Optional.empty(), 0, false, false, false);

    /** Whether the vessel itself stands on a flame: not when the kettle heats what is then poured. */
    static boolean on(List<Stage> stages) {
        return IntStream.range(0, stages.size()).anyMatch(i -> {
            boolean kettle = i + 1 < stages.size() && stages.get(i + 1).kind() == StageKind.POUR;
            return stages.get(i).onFlame().isPresent() && !(stages.get(i).kind() == StageKind.HEAT && kettle);
        });
    }

    /** Heating that a stage needs before it can begin: the kettle's, or on a high flame under the lid. */
    static Fire heatingFor(StageRun run, Kitchen kitchen) {
        return run.kettle()
                ? ofKettle(kitchen)
                : new Fire(Optional.of(Flame.HIGH), kitchen.burner().watts(Flame.HIGH), true, false, false);
    }

    /** The stage proper. */
    static Fire under(StageRun run, BrewSetup setup) {
        Kitchen kitchen = setup.kitchen();
        if (run.stage().kind() == StageKind.HEAT && run.kettle()) {
            return ofKettle(kitchen);
        }
        Optional<Flame> flame = run.stage().onFlame();
        double watts = run.stage() instanceof Stage.Hold hold
                ? Holding.watts(setup, run.startMl(), hold)
                : flame.map(kitchen.burner()::watts).orElse(0.0);
        return new Fire(
                flame,
                watts,
                run.stage().lid() && !run.kettle(),
                false,
                run.stage() instanceof Stage.Strain strain && strain.pressed());
    }

    private static Fire ofKettle(Kitchen kitchen) {
        return new Fire(Optional.empty(), kitchen.kettleNetW(), false, true, false);
    }

    /** After a hand turned it; the kettle switches itself. */
    public Fire then(Turn turn, Burner burner) {
        return kettle
                ? this
                : new Fire(
                        turn.ofFlame() ? turn.flame() : flame,
                        turn.watts(burner, watts),
                        turn.lid(lid),
                        false,
                        turn.pressed(pressed));
    }
}
