package embercup.core.brew;

import java.util.List;
import java.util.Optional;

/**
 * A brew with everything it went through. Immutable.
 *
 * @param honey how one cup of it cools at the end until honey may go in; empty when it is as cool, or never is
 */
record Traced(BrewSetup setup, BrewResult result, List<Phase> phases, Optional<Way> honey) {}
