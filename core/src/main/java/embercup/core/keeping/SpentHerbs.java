package embercup.core.keeping;

import embercup.core.live.LiveBrew;
import embercup.core.live.LiveBrew.LiveStep;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Standing;
import embercup.core.recipe.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** The marc of a pot, kept for a second brew. Stateless. */
public final class SpentHerbs {

    /** Wet herbs keep no longer than what was never boiled: a day, closed in the fridge (common practice, no source). */
    public static final Duration KEPT = Duration.ofHours(24);

    private SpentHerbs() {}

    /** Why they may not be kept. */
    public enum No {
        /** They are still in the pot. */
        NOT_STRAINED,
        /** They were brewed twice already. */
        SPENT_TWICE,
        /** A spirit, vinegar or glycerin has drawn them out. */
        DRAWN_OUT,
        /** They stood lukewarm for more than two hours. */
        STOOD_LUKEWARM,
        /** The pot was done more than a day ago. */
        TOO_LATE
    }

    /** What speaks against it; empty when they may be kept. */
    public static Optional<No> against(BrewPlan plan, LiveBrew live, Instant now) {
        if (!strained(plan, live)) {
            return Optional.of(No.NOT_STRAINED);
        } else if (plan.request().spentHerbs()) {
            return Optional.of(No.SPENT_TWICE);
        } else if (plan.request().recipe().menstruum().cold()) {
            return Optional.of(No.DRAWN_OUT);
        }
        if (live.phase() == LiveBrew.Phase.FINISHED
                && live.readyAt().filter(r -> r.plus(KEPT).isBefore(now)).isPresent()) {
            return Optional.of(No.TOO_LATE);
        }
        return Standing.lukewarmHours(plan) > Standing.MOST_H ? Optional.of(No.STOOD_LUKEWARM) : Optional.empty();
    }

    private static boolean strained(BrewPlan plan, LiveBrew live) {
        return live.phase() == LiveBrew.Phase.FINISHED
                || live.steps().stream().anyMatch(s -> s.doneAt().isPresent() && strains(plan, s));
    }

    private static boolean strains(BrewPlan plan, LiveStep live) {
        int stage = live.step().stage();
        return stage >= 0 && plan.pot().stages().get(stage) instanceof Stage.Strain;
    }

    /** Until when they may be brewed once more. @param keptAt when they were put into the fridge */
    public static Instant until(Instant keptAt) {
        return keptAt.plus(KEPT);
    }
}
