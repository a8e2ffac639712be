package embercup.server.notebook;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One line of the notebook, flat on the wire.
 *
 * @param felt −2 far too weak, 0 right, 2 far too strong
 * @param liking 1–5
 */
public record Entry(
        @JsonUnwrapped Brewed brewed,
        @JsonUnwrapped Cup cup,
        @Nullable Integer felt,
        @Nullable Integer liking,
        @JsonUnwrapped Tasting tasting) {

    /** What was brewed, when and for whom. */
    public record Brewed(
            UUID brewId,
            @Nullable UUID recipeId,
            String name,
            String drinkerName,
            @Nullable UUID drinkerId,
            Instant brewedAt,
            String phase) {}

    /**
     * How strong it was.
     *
     * @param plannedStrength what the plan promised
     * @param predictedStrength what the simulation says of the brew as it really went
     */
    public record Cup(double cups, double plannedStrength, double predictedStrength, double gramsPerCup) {}

    /** @param more whether older entries follow */
    public record EntryPage(List<Entry> entries, int page, boolean more) {}
}
