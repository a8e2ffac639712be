package embercup.server.plans;

import embercup.core.workings.Limit;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Several orders for one cook. One that says {@code readyAt} may start earlier, not later. */
public record OneCookRequest(@Within(Limit.PLANS) @Nullable List<@Valid OrderRequest> plans) {

    /** A pot is moved by at most three hours; further away it is another meal (design value), s. */
    static final double MOST_MOVE_S = 3 * 3600;
}
