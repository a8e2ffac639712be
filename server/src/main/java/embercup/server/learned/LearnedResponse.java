package embercup.server.learned;

/**
 * Something that was learned.
 *
 * @param what its name for switching it
 * @param words as the cook reads it, with how many measurements stand behind it
 * @param measurements how many measurements or notes it stands on
 * @param used whether it moves plans
 */
public record LearnedResponse(String what, String words, int measurements, boolean used) {}
