package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened, as the client tells it.
 *
 * @param id made by the client; sending it again is harmless
 * @param sign what told the cook that a step was done, when not the plan
 * @param turn what a hand did to lid, flame or marc
 * @param value what was read, in the unit of the reading, or poured, mL
 * @param ageS how long ago it happened, s; the clock is the server's
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record EventDoc(
        @Nullable UUID id,

        @Schema(
                allowableValues = {
                    "started",
                    "step-done",
                    "turned",
                    "measured",
                    "poured",
                    "noted",
                    "undone",
                    "finished",
                    "abandoned"
                })
        @Nullable
        String kind,

        @Schema(minimum = "0", maximum = "8640000") @Nullable
        Double ageS,

        @Schema(maxLength = 40) @Nullable String step,

        @Schema(allowableValues = {"plan", "smell", "colour", "taste"}) @Nullable
        String sign,

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
        String turn,

        @Schema(allowableValues = {"volume-ml", "temperature-c", "weight-g", "level-cm"}) @Nullable
        String reading,

        @Schema(minimum = "0", maximum = "100000") @Nullable Double value,
        @Nullable UUID event,
        @Schema(minimum = "-2", maximum = "2") @Nullable Integer strength,
        @Schema(minimum = "1", maximum = "5") @Nullable Integer liking,
        @Schema(maxLength = 600) @Nullable String taste,
        @Schema(maxLength = 600) @Nullable String change,
        @Schema(maxLength = 200) @Nullable String why,

        @Schema(
                allowableValues = {
                    "pale", "straw", "honey", "amber", "copper", "russet", "brown", "ruby", "rose", "violet", "blue",
                    "green"
                })
        @Nullable
        String colour,

        @Schema(allowableValues = {"clear", "cloudy", "sediment"}) @Nullable
        String clarity,

        @Schema(maxLength = 200) @Nullable String smell,
        @Schema(maxLength = 400) @Nullable String effect,
        @Schema(maxLength = 400) @Nullable String meanwhile) {

    static final List<String> KINDS =
            List.of("started", "step-done", "turned", "measured", "poured", "noted", "undone", "finished", "abandoned");

    /** The colours a liquor is compared with. */
    static final List<String> COLOURS = List.of(
            "pale", "straw", "honey", "amber", "copper", "russet", "brown", "ruby", "rose", "violet", "blue", "green");

    static final List<String> CLARITIES = List.of("clear", "cloudy", "sediment");

    /** An event that is nothing but its kind and, for a step, its key. */
    public static EventDoc of(UUID id, String kind, @Nullable Double ageS, @Nullable String step) {
        return new EventDoc(
                id, kind, ageS, step, null, null, null, null, null, null, null, null, null, null, null, null, null,
                null, null);
    }

    /** A note without smell and circumstances. */
    public static EventDoc noted(
            UUID id,
            @Nullable Double ageS,
            int strength,
            int liking,
            String taste,
            String change,
            @Nullable String colour,
            @Nullable String clarity) {
        return new EventDoc(
                id, "noted", ageS, null, null, null, null, null, null, strength, liking, taste, change, null, colour,
                clarity, null, null, null);
    }
}
