package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.workings.Limit;
import embercup.server.plans.OrderRequest;
import embercup.server.platform.Within;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeResponse;
import jakarta.validation.Valid;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An order that becomes a brew, flat on the wire.
 *
 * @param id made by the client, so that a repeat is harmless; made by the server when missing
 * @param start whether it begins now; otherwise it waits for its {@code started} event
 * @param confirmed gathered herbs whose identity the cook has confirmed, see {@code identityChecks} of the plan
 * @param ancestorId the brew that this one is a change or a second brew of
 */
public record BrewRequest(
        @Nullable UUID id,
        @Nullable Boolean start,
        @JsonUnwrapped @Valid OrderRequest order,
        @Within(Limit.CHANGES) @Nullable List<String> confirmed,
        @Nullable UUID ancestorId) {

    /** A kept recipe for its own cups, to begin at a moment; not started yet. The cook is sure of all its herbs. */
    public static BrewRequest ofRecipe(
            UUID id, RecipeResponse recipe, String strength, @Nullable UUID drinkerId, Instant startAt) {
        List<String> herbs = recipe.recipe().additions() == null
                ? List.of()
                : recipe.recipe().additions().stream()
                        .map(RecipeDocument.AdditionDocument::herb)
                        .toList();
        OrderRequest order = new OrderRequest(
                new OrderRequest.Pot(recipe.id(), null, null, null, null),
                new OrderRequest.Serving(null, null, strength, null),
                new OrderRequest.For(drinkerId, null, null, null, false),
                new OrderRequest.Taken(null, null, null, null),
                null,
                new OrderRequest.Custom(null, null, null),
                new OrderRequest.At(startAt, null),
                null);
        return new BrewRequest(id, false, order, herbs, null);
    }
}
