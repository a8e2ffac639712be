package embercup.server.brews;

import embercup.server.plans.PlanAsk;
import embercup.server.plans.PlanSheet;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A brew with its plan and what really happened.
 *
 * @param serverNow the server's clock, so that a wrong clock in the browser does not matter
 * @param state how many events it has; of two answers the one with more of them is the newer, whatever came first
 * @param advice what can be done about a cup that will not be as planned; empty when it will
 * @param clockSpeed how fast the brew's own clock runs; 1 unless its kitchen is simulated
 * @param ancestorId the brew that this one is a change or a second brew of
 * @param plan as it was started
 * @param fire flame, lid and marc as they stand at the step to do
 * @param late whether it is so much behind or ahead that it is told
 * @param told strength, aroma and bite, where they will be so different that it is told
 * @param pouredMl poured for somebody to drink so far
 * @param leftMl made and not poured yet
 */
public record BrewSheet(
        UUID id,
        @Nullable UUID recipeId,
        String name,
        String drinkerName,
        String phase,
        Instant serverNow,
        long state,
        @Nullable Instant startedAt,
        @Nullable Instant readyAt,
        PlanAsk request,
        PlanSheet plan,
        List<LiveLine> steps,
        @Nullable String nowKey,
        List<String> meanwhile,
        double lateS,
        boolean late,
        String advice,
        double clockSpeed,
        boolean simulated,
        boolean photo,
        @Nullable UUID ancestorId,
        double strength,
        double strengthChange,
        double aroma,
        double bite,
        List<String> told,
        List<PlanSheet.When> predictedSteps,
        List<PlanSheet.Point> predictedCurve,
        List<Happened> events,
        @Nullable FireLine fire,
        double pouredMl,
        double leftMl,
        @Nullable NoteLine note) {

    /**
     * Flame, lid and marc now.
     *
     * @param flame {@code off}, {@code low}, {@code medium} or {@code high}
     * @param pressed whether the marc is pressed, where it is strained
     * @param otherwise whether flame or lid are other than the plan has them
     */
    public record FireLine(
            String flame, double powerW, boolean lid, boolean kettle, boolean pressed, boolean otherwise) {}

    /** What is known of a step, by its key. */
    public record LiveLine(
            String key,
            @Nullable Instant beganAt,
            @Nullable Instant doneAt,
            Instant dueAt,
            @Nullable String sign) {}

    /**
     * One recorded event that still counts.
     *
     * @param turn lid, flame or marc, as the event told it
     * @param powerW power after a flame was turned, W
     * @param lid whether it is on after it was moved
     */
    public record Happened(
            UUID id,
            Instant at,
            String kind,
            @Nullable String step,
            @Nullable String turn,
            @Nullable Double powerW,
            @Nullable Boolean lid,
            @Nullable String text) {

        static Happened of(UUID id, Instant at, String kind, String text) {
            return new Happened(id, at, kind, null, null, null, null, text);
        }
    }

    public record NoteLine(
            int strength,
            int liking,
            String taste,
            String change,
            String colour,
            String clarity,
            String smell,
            String effect,
            String meanwhile,
            Instant at) {}

    /** One line of a list of brews. */
    public record BrewLine(
            UUID id,
            String name,
            String drinkerName,
            double cups,
            String phase,
            Instant startAt,
            @Nullable Instant readyAt,
            @Nullable String now,
            @Nullable Instant dueAt,
            boolean unreadable) {

        /** When the cook is needed: at the end of the step that goes on, or at the start. */
        Instant needsCookAt() {
            return dueAt == null ? startAt : dueAt;
        }
    }
}
