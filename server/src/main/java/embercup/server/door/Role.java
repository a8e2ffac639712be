package embercup.server.door;

/** What a device may do. */
enum Role {
    /** Everything. */
    COOK,
    /** Live brews and notes; no deleting, no household. */
    HELPER
}
