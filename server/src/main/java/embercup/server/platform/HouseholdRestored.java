package embercup.server.platform;

/** A household was brought back from an archive; whoever completes rows of earlier versions looks again. */
public record HouseholdRestored() {}
