package embercup.server.brews;

import embercup.core.keeping.LaterCup;
import embercup.core.live.LiveBrew;
import embercup.core.plan.BrewPlan;
import embercup.server.platform.HouseWords;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A cup out of a jar while it is made.
 *
 * @param id of the event that began it: undone, the cup is given up
 * @param ml as it is drunk
 * @param fromJarMl what leaves the jar for it
 * @param drinkerId who will drink it, when that was said
 */
public record CupMaking(
        UUID id,
        Instant begunAt,
        double ml,
        boolean warm,
        double fromJarMl,
        @Nullable UUID drinkerId,
        List<ActLine> acts) {

    /**
     * One thing that is done for it.
     *
     * @param beganAt missing until the one before is done
     * @param heats whether it stands on the flame meanwhile
     * @param dueAt when it will be done by itself; missing for what the hands do, and before it began
     */
    public record ActLine(
            String text,
            @Nullable Instant beganAt,
            @Nullable Instant doneAt,
            @Nullable Instant dueAt,
            boolean heats) {}

    static CupMaking of(BrewPlan plan, LiveBrew.Cup cup) {
        LaterCup how = LaterCup.of(plan, cup.begun().ml(), cup.begun().warm());
        List<ActLine> acts = new ArrayList<>();
        for (int i = 0; i < how.steps().size(); i++) {
            LaterCup.Act act = how.steps().get(i);
            Instant began = i == 0
                    ? cup.begun().at()
                    : i <= cup.acts().size() ? cup.acts().get(i - 1) : null;
            Instant due = began == null || act.takesMinutes() == 0
                    ? null
                    : began.plus(Duration.ofMinutes(act.takesMinutes()));
            acts.add(new ActLine(
                    HouseWords.words().say(act),
                    began,
                    i < cup.acts().size() ? cup.acts().get(i) : null,
                    due,
                    act instanceof LaterCup.Act.WarmGently));
        }
        return new CupMaking(
                cup.begun().id(),
                cup.begun().at(),
                cup.begun().ml(),
                cup.begun().warm(),
                how.fromJar().value(),
                cup.begun().drinker().orElse(null),
                acts);
    }

    /** What is to be done now; empty once all of it is. */
    Optional<ActLine> now() {
        return acts.stream().filter(a -> a.doneAt == null).findFirst();
    }
}
