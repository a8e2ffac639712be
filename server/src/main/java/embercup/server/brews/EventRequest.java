package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
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

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS) implements EventRequest {}

    /** @param sign what told the cook that a step was done, when not the plan */
    record StepDoneRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Schema(maxLength = 40) @Nullable String step,

            @Schema(allowableValues = {"plan", "smell", "colour", "taste"}) @Nullable
            String sign)
            implements EventRequest {}

    /** @param turn what a hand did to lid, flame or marc */
    record TurnedRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Schema(
                    allowableValues = {
                        "lid-on",
                        "lid-off",
                        "flame-off",
                        "flame-low",
                        "flame-medium",
                        "flame-high",
                        "marc-drained",
                        "marc-pressed"
                    })
            @Nullable
            String turn)
            implements EventRequest {}

    /** @param value what was read, in the unit of the reading */
    record MeasuredRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Schema(allowableValues = {"volume-ml", "temperature-c", "weight-g", "level-cm"}) @Nullable
            String reading,

            @Schema(minimum = "-20", maximum = "60000") @Nullable
            Double value)
            implements EventRequest {}

    /** @param value poured, mL */
    record PouredRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Schema(minimum = "1", maximum = "60000") @Nullable
            Double value)
            implements EventRequest {}

    /** How the cup was; what is not said is missing. */
    record NotedRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Schema(minimum = "-2", maximum = "2") @Nullable Integer strength,
            @Schema(minimum = "1", maximum = "5") @Nullable Integer liking,
            @Schema(maxLength = 600) @Nullable String taste,
            @Schema(maxLength = 600) @Nullable String change,

            @Schema(
                    allowableValues = {
                        "pale", "straw", "honey", "amber", "copper", "russet", "brown", "ruby", "rose", "violet",
                        "blue", "green"
                    })
            @Nullable
            String colour,

            @Schema(allowableValues = {"clear", "cloudy", "sediment"}) @Nullable
            String clarity,

            @Schema(maxLength = 200) @Nullable String smell,
            @Schema(maxLength = 400) @Nullable String effect,
            @Schema(maxLength = 400) @Nullable String meanwhile)
            implements EventRequest {

        /** The colours a liquor is compared with. */
        static final List<String> COLOURS = List.of(
                "pale", "straw", "honey", "amber", "copper", "russet", "brown", "ruby", "rose", "violet", "blue",
                "green");

        static final List<String> CLARITIES = List.of("clear", "cloudy", "sediment");
    }

    /** @param event the event that did not happen after all */
    record UndoneRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Nullable UUID event) implements EventRequest {}

    record FinishedRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS) implements EventRequest {}

    record AbandonedRequest(
            @Nullable UUID id,

            @Schema(minimum = "0", maximum = "8640000") @Nullable
            Double ageS,

            @Schema(maxLength = 200) @Nullable String why)
            implements EventRequest {}
}
