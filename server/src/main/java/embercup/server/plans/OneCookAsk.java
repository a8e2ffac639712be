package embercup.server.plans;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Several orders for one cook. One that says {@code readyAt} may start earlier, not later. */
public record OneCookAsk(
        @ArraySchema(minItems = 1, maxItems = 12) @Nullable List<PlanAsk> plans) {

    /** A pot is moved by at most three hours; further away it is another meal (design value), s. */
    static final double MOST_MOVE_S = 3 * 3600;
}
