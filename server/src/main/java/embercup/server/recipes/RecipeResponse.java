package embercup.server.recipes;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.workings.Length;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A kept recipe.
 *
 * @param purposes words such as "evening", "after a meal"
 * @param thumb its fire line, thumb-sized
 */
public record RecipeResponse(
        UUID id,
        long version,
        String about,
        List<String> purposes,
        Instant updatedAt,
        RecipeDocument recipe,
        Thumb thumb,
        @JsonUnwrapped Mine mine) {

    /** What the household says of it for itself. @param words its own, to find it by */
    public record Mine(boolean favourite, List<String> words) {}

    /** What is not said stays as it is. */
    public record MineRequest(
            @Nullable Boolean favourite,

            @Size(max = Length.OWN_WORDS) @Nullable List<@Size(min = 1, max = Length.PURPOSE) String> words) {}

    /**
     * @param minutes whole length, prep included
     * @param handsOnMinutes time that needs the cook's hands
     */
    public record Thumb(double minutes, double handsOnMinutes, List<Segment> segments) {}

    /**
     * One piece of the thumb.
     *
     * @param share share of the whole length, 0–1
     * @param power flame against the burner's highest setting, 0–1
     */
    public record Segment(String kind, double share, double power, boolean lid, int additions) {}

    /** What a recipe was until a moment. */
    public record RecipeVersion(
            long version, Instant until, String about, List<String> purposes, RecipeDocument recipe) {}

    /** What the client sends to keep a recipe; {@code version} is needed for a change. */
    public record RecipeRequest(
            @Nullable Long version,
            @Size(max = Length.ABOUT) @Nullable String about,
            @Nullable List<String> purposes,
            @Valid @Nullable RecipeDocument recipe) {}
}
