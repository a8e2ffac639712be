package embercup.server.plans;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A step of a plan, flat on the wire: one shape for each way a step goes on, told apart by {@code kind}. What an earlier version
 * kept with a brew may have more fields.
 */
@JsonTypeInfo(
        use = JsonTypeInfo.Id.NAME,
        include = JsonTypeInfo.As.EXISTING_PROPERTY,
        property = "kind",
        visible = true)
@JsonSubTypes({
    @Type(value = StepLine.Preparing.class, name = "prep"),
    @Type(value = StepLine.Resting.class, name = "stand"),
    @Type(
            value = StepLine.Heating.class,
            names = {"heat", "boil", "simmer", "hold", "reduce"}),
    @Type(
            value = StepLine.Standing.class,
            names = {"steep", "macerate", "rest", "cool"}),
    @Type(
            value = StepLine.ByHand.class,
            names = {"pour", "strain", "refill", "combine", "finish", "stir", "shake", "blend"})
})
public sealed interface StepLine {

    /** Names the step inside its plan; opaque. */
    String key();

    String kind();

    Told told();

    Span span();

    /**
     * What it says.
     *
     * @param until what ends it when not the clock
     * @param confirm what the cook confirms when it is done
     * @param minds what the recipe itself wants minded at it; missing when nothing is
     */
    record Told(
            String label,
            @Nullable String until,
            String confirm,
            @Nullable List<String> minds) {}

    /**
     * When it is.
     *
     * @param startS s from the first step
     * @param aside whether it runs while a stage waits, beside the steps that follow one another
     * @param herbless whether no herbs stand in the vessel any more; missing while they do
     */
    record Span(
            double startS,
            double durationS,
            boolean handsOn,
            boolean aside,
            @Nullable Boolean herbless) {
        double endS() {
            return startS + durationS;
        }
    }

    /** Gets a herb ready. @param addition index of the planned addition */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Preparing(
            String key,
            String kind,
            @JsonUnwrapped Told told,
            @JsonUnwrapped Span span,
            int addition) implements StepLine {}

    /** A herb that was got ready rests before it goes in. @param addition index of the planned addition */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Resting(
            String key,
            String kind,
            @JsonUnwrapped Told told,
            @JsonUnwrapped Span span,
            int addition) implements StepLine {}

    /**
     * On the flame or in the kettle.
     *
     * @param ripens whether the herbs give, so that nose or eye may end it
     */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Heating(
            String key,
            String kind,
            int stage,
            @JsonUnwrapped Told told,
            @JsonUnwrapped Span span,
            @JsonUnwrapped Fire fire,
            boolean lid,
            boolean ripens)
            implements StepLine {}

    /**
     * What heats it.
     *
     * @param powerW net power into the water, W
     * @param flame missing while the kettle heats
     * @param boils whether it ends at the boil; not known of plans that an earlier version wrote
     */
    record Fire(
            double powerW,
            @Nullable String flame,
            @Nullable Boolean kettle,
            @Nullable Boolean boils) {}

    /** Left to itself off the heat. @param ripens whether the herbs give, so that nose or eye may end it */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Standing(
            String key,
            String kind,
            int stage,
            @JsonUnwrapped Told told,
            @JsonUnwrapped Span span,
            boolean lid,
            boolean ripens)
            implements StepLine {}

    /** Done by the cook's hands. */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record ByHand(
            String key,
            String kind,
            int stage,
            @JsonUnwrapped Told told,
            @JsonUnwrapped Span span,
            boolean lid) implements StepLine {}
}
