package embercup.server.plans;

import java.util.UUID;

/** The gravest thing a recipe has to say to a drinker: {@code care} or {@code stop}. */
public record MarkLine(UUID recipeId, String severity, String text) {}
