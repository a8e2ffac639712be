package embercup.server.people;

import java.util.UUID;

/** Wherever somebody of the household leaves a trace that outlives her line on the list. */
public interface PersonTraces {

    /**
     * Takes her name and what is minded of her out of everything that is over.
     *
     * @throws embercup.server.platform.RefusedException 409 when something of hers is not over yet
     */
    void forget(UUID id, String name);
}
