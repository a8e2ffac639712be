package embercup.server.kept;

import tools.jackson.databind.node.ObjectNode;

/** Brings a document of one form to the next: renames, moves, and says what the earlier form left unsaid. Stateless. */
@FunctionalInterface
public interface Upcaster {

    /** @param document is changed */
    void lift(ObjectNode document);
}
