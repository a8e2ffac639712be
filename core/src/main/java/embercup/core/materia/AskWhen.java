package embercup.core.materia;

/**
 * When to stop and ask a clinician. Immutable.
 *
 * @param signs in the materia's words, to follow a colon; does not end with a full stop
 */
public record AskWhen(String signs, String source) {}
