package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.keeping.Shaking;
import embercup.core.keeping.SpentHerbs;
import embercup.server.notebook.Tasting;
import embercup.server.plans.OrderRequest;
import embercup.server.plans.PlanResponse;
import embercup.server.platform.Fields;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A brew with its plan and what really happened, flat on the wire.
 *
 * @param request the order, written out
 * @param plan as it was started
 */
public record BrewResponse(
        @JsonUnwrapped Head head,
        @JsonUnwrapped Clock clock,
        OrderRequest request,
        PlanResponse plan,
        @JsonUnwrapped Going going,
        @JsonUnwrapped Predicted predicted,
        @JsonUnwrapped Cup cup) {

    /**
     * Which brew it is.
     *
     * @param ancestorId the brew that this one is a change or a second brew of
     * @param ordered whom and what of the household the order named
     */
    public record Head(
            UUID id,
            @Nullable UUID recipeId,
            String name,
            String drinkerName,
            String phase,
            @Nullable UUID ancestorId,
            @JsonUnwrapped Ordered ordered) {}

    /** Of the household, as far as the order named it. */
    public record Ordered(
            @Nullable UUID drinkerId,
            @Nullable UUID vesselId,
            @Nullable UUID burnerId) {}

    /**
     * When.
     *
     * @param serverNow the server's clock, so that a wrong clock in the browser does not matter
     * @param state how many events it has; of two answers the one with more of them is the newer, whatever came first
     * @param late whether it is so much behind or ahead that it is told
     * @param clockSpeed how fast the brew's own clock runs; 1 unless its kitchen is simulated
     */
    public record Clock(
            Instant serverNow,
            long state,
            @Nullable Instant startedAt,
            @Nullable Instant readyAt,
            double lateS,
            boolean late,
            double clockSpeed,
            boolean simulated) {}

    /**
     * The steps as they go.
     *
     * @param open what of the herbs that go in with the next step is not ready yet
     * @param fire flame, lid and marc as they stand at the step to do
     */
    public record Going(
            List<LiveLine> steps,
            @Nullable String nowKey,
            List<String> meanwhile,
            List<OpenLine> open,
            @Nullable FireLine fire,
            List<Happened> events) {}

    /**
     * A herb that goes in with the next step and is not ready.
     *
     * @param key of the step that is still to be done with it, or that goes on
     * @param herb as it stands within a sentence
     * @param restsUntil when it has rested; missing when it is not got ready
     */
    public record OpenLine(
            String key, String herb, @Nullable Instant restsUntil) {}

    /**
     * How it will be, from what happened so far.
     *
     * @param told strength, aroma and bite, where they will be so different that it is told
     * @param advice what can be done about a cup that will not be as planned; empty when it will
     */
    public record Predicted(
            double strength,
            double strengthChange,
            double aroma,
            double bite,
            List<String> told,
            String advice,
            List<PlanResponse.When> predictedSteps,
            List<PlanResponse.Point> predictedCurve) {}

    /**
     * What came of it.
     *
     * @param pouredMl poured for somebody to drink so far
     * @param leftMl made and not poured yet
     * @param servingMl what one cup takes out of the jug or the jar: of a concentrate before it is thinned; 0 when no sip is left
     */
    public record Cup(
            double pouredMl,
            double leftMl,
            double servingMl,
            @JsonUnwrapped Kept kept,
            boolean photo,
            @Nullable NoteLine note) {}

    /**
     * What of it is kept.
     *
     * @param mayKeep whether the rest may be put into a jar
     * @param whyNotKept why none of what a finished pot holds may be; missing where it may, and where nothing is left
     * @param jar where the rest is; missing when it was not put into one
     * @param making a cup out of the jar that is being made
     * @param mayKeepMarc whether the spent herbs may be put into the fridge for a second brew
     * @param marc missing when they are not there
     * @param shaking the long maceration that it stands in now
     * @param inPotUntil until when what stands in its pot may be poured; missing before it is done, and for what keeps for months
     * @param goodUntil by when it is drunk, by the cautious time; missing before it is done, and when no hours are told
     */
    public record Kept(
            boolean mayKeep,
            @Nullable String whyNotKept,
            @Nullable InJar jar,
            @Nullable CupMaking making,
            boolean mayKeepMarc,
            @Nullable MarcLine marc,
            @Nullable ShakingLine shaking,
            @Nullable Instant inPotUntil,
            @Nullable Instant goodUntil) {}

    /** Spent herbs in the fridge. @param over whether their time is up */
    public record MarcLine(Instant keptAt, Instant until, boolean over) {
        static MarcLine of(Instant keptAt, Instant now) {
            Instant until = SpentHerbs.until(keptAt);
            return new MarcLine(keptAt, until, !now.isBefore(until));
        }
    }

    /**
     * A long maceration in its jar.
     *
     * @param press the day on which its time is up
     * @param due whether it waits to be shaken today
     */
    public record ShakingLine(LocalDate first, LocalDate press, boolean due, List<ShakingDay> days) {
        static ShakingLine of(Shaking jar, LocalDate today) {
            return new ShakingLine(
                    jar.first(),
                    jar.press(),
                    jar.due(today),
                    jar.days(today).stream()
                            .map(d -> new ShakingDay(d.date(), Fields.code(d.kind())))
                            .toList());
        }
    }

    /** @param kind {@code shaken}, {@code missed}, {@code due}, {@code ahead} or {@code press} */
    public record ShakingDay(LocalDate date, String kind) {}

    /**
     * The rest of a pot in a jar.
     *
     * @param goodUntil by the cautious time; missing for what keeps for months, or when nobody knows
     * @param drinkBy by the longest time that is given
     * @param age {@code keeps}, {@code good}, {@code going}, {@code doubtful} or {@code over}
     * @param note what the cook wrote on it; may be empty
     */
    public record InJar(
            Instant keptAt,
            Instant madeAt,
            @Nullable Instant goodUntil,
            @Nullable Instant drinkBy,
            String age,
            String note) {}

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

    /** @param strength −2 far too weak, 0 right, 2 far too strong, @param liking 1–5, 0 for not said */
    public record NoteLine(
            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            Integer strength,

            int liking,
            @JsonUnwrapped Tasting tasting,
            Instant at) {}

    /** A stretch in which a brew goes on without hands: on the heat, or left to stand. */
    public record Stretch(Instant from, Instant to, boolean heats) {}

    /** The phase of a pot that is over, of which a cup is being made out of its jar. */
    static final String CUP_IN_MAKING = "cup";

    /**
     * One line of a list of brews.
     *
     * @param phase that of the brew, or {@code cup} while a cup of it is made out of its jar
     * @param stretches in the order of their times; none of a brew that is over
     */
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
            List<Stretch> stretches,
            boolean unreadable) {

        /** When the cook is needed: at the end of the step that goes on, or at the start. */
        Instant needsCookAt() {
            return dueAt == null ? startAt : dueAt;
        }
    }
}
