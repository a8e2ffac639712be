package embercup.server.notebook;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One line of the notebook.
 *
 * @param plannedStrength what the plan promised
 * @param predictedStrength what the simulation says of the brew as it really went
 * @param felt −2 far too weak, 0 right, 2 far too strong
 * @param liking 1–5
 * @param colour a swatch of liquor colours
 * @param meanwhile what else was going on
 */
public record Entry(
        UUID brewId,
        @Nullable UUID recipeId,
        String name,
        String drinkerName,
        Instant brewedAt,
        double cups,
        double plannedStrength,
        double predictedStrength,
        double gramsPerCup,
        String phase,
        @Nullable Integer felt,
        @Nullable Integer liking,
        String taste,
        String change,
        String colour,
        String clarity,
        String smell,
        String effect,
        String meanwhile,
        @Nullable UUID drinkerId) {

    /** @param more whether older entries follow */
    public record EntryPage(List<Entry> entries, int page, boolean more) {}
}
