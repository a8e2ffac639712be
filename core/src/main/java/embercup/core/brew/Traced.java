package embercup.core.brew;

import java.util.List;

/**
 * A brew with everything it went through. Immutable.
 *
 * @param mug how one cup of it loses its heat at the end
 */
record Traced(BrewSetup setup, BrewResult result, List<Phase> phases, Phase.Warmth mug) {}
