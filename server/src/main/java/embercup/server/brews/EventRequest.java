package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.brew.Turn;
import embercup.core.live.BrewEvent;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened, as the client tells it and as it is kept: one shape for each kind, told apart by {@code kind}. The
 * id is made by the client, so that sending it again is harmless; {@code ageS} says how long ago it happened, s, for the clock
 * is the server's.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @Type(value = EventRequest.StartedRequest.class, name = "started"),
    @Type(value = EventRequest.StepDoneRequest.class, name = "step-done"),
    @Type(value = EventRequest.TurnedRequest.class, name = "turned"),
    @Type(value = EventRequest.MeasuredRequest.class, name = "measured"),
    @Type(value = EventRequest.PouredRequest.class, name = "poured"),
    @Type(value = EventRequest.KeptRequest.class, name = "kept"),
    @Type(value = EventRequest.EmptiedRequest.class, name = "emptied"),
    @Type(value = EventRequest.JarNotedRequest.class, name = "jar-noted"),
    @Type(value = EventRequest.CupBegunRequest.class, name = "cup-begun"),
    @Type(value = EventRequest.CupActedRequest.class, name = "cup-acted"),
    @Type(value = EventRequest.MarcKeptRequest.class, name = "marc-kept"),
    @Type(value = EventRequest.MarcGoneRequest.class, name = "marc-gone"),
    @Type(value = EventRequest.ShakenRequest.class, name = "shaken"),
    @Type(value = EventRequest.NotedRequest.class, name = "noted"),
    @Type(value = EventRequest.UndoneRequest.class, name = "undone"),
    @Type(value = EventRequest.FinishedRequest.class, name = "finished"),
    @Type(value = EventRequest.AbandonedRequest.class, name = "abandoned")
})
@JsonInclude(JsonInclude.Include.NON_NULL)
public sealed interface EventRequest {

    @Nullable
    UUID id();

    @Nullable
    Double ageS();

    /** The name of its kind. */
    default String kind() {
        JsonSubTypes all = EventRequest.class.getAnnotation(JsonSubTypes.class);
        return Arrays.stream(all.value())
                .filter(t -> t.value().equals(getClass()))
                .map(Type::name)
                .findFirst()
                .orElseThrow();
    }

    record StartedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    /** @param sign what told the cook that a step was done, when not the plan */
    record StepDoneRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Size(max = Length.CODE) @Nullable String step,

            @CodeOf(BrewEvent.Sign.class) @Nullable String sign)
            implements EventRequest {}

    /** @param turn what a hand did to lid, flame or marc */
    record TurnedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @CodeOf(Turn.class) @Nullable String turn)
            implements EventRequest {}

    /** @param value what was read, in the unit of the reading */
    record MeasuredRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @CodeOf(BrewEvent.Reading.class) @Nullable String reading,

            @Within(Limit.READING) @Nullable Double value)
            implements EventRequest {}

    /**
     * @param value poured out of the jug, mL: of a concentrate before it is thinned
     * @param drinkerId who drinks it, when not whoever the pot was made for
     */
    record PouredRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Within(Limit.POURED_ML) @Nullable Double value,

            @Nullable UUID drinkerId)
            implements EventRequest {}

    /** The rest goes into a jar. */
    record KeptRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    /** What was left is gone. */
    record EmptiedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    /** @param text what stands on the jar; empty takes it away */
    record JarNotedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Size(max = Length.LINE) @Nullable String text)
            implements EventRequest {}

    /**
     * A cup out of the jar.
     *
     * @param value as it is drunk, mL
     * @param warm whether it is warmed
     * @param drinkerId who drinks it, when not whoever the pot was made for
     */
    record CupBegunRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Within(Limit.CUP_ML) @Nullable Double value,

            @Nullable Boolean warm,

            @Nullable UUID drinkerId)
            implements EventRequest {}

    /** @param act which of its acts was done, from 0 */
    record CupActedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Within(Limit.CUP_ACT) @Nullable Integer act)
            implements EventRequest {}

    /** The spent herbs go into the fridge. */
    record MarcKeptRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    /** The spent herbs are gone. */
    record MarcGoneRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    /** A long maceration was shaken. */
    record ShakenRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    /** How the cup was; what is not said is missing. */
    record NotedRequest(
            @Nullable UUID id,
            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,
            @Within(Limit.FELT) @Nullable Integer strength,
            @Within(Limit.LIKING) @Nullable Integer liking,
            @JsonUnwrapped @Valid Noticed noticed)
            implements EventRequest {}

    /** What was noticed of a cup. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Noticed(
            @Size(max = Length.NOTE) @Nullable String taste,
            @Size(max = Length.NOTE) @Nullable String change,
            @CodeOf(BrewEvent.Colour.class) @Nullable String colour,
            @CodeOf(BrewEvent.Clarity.class) @Nullable String clarity,
            @Size(max = Length.LINE) @Nullable String smell,
            @Size(max = Length.REMARK) @Nullable String effect,
            @Size(max = Length.REMARK) @Nullable String meanwhile) {}

    /** @param event the event that did not happen after all */
    record UndoneRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Nullable UUID event) implements EventRequest {}

    record FinishedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS) implements EventRequest {}

    record AbandonedRequest(
            @Nullable UUID id,

            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,

            @Size(max = Length.LINE) @Nullable String why)
            implements EventRequest {}
}
