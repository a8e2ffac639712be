package embercup.core.dose;

import java.util.List;

/**
 * A drinker's taste in one recipe, from how strong the cups were felt to be. Immutable.
 *
 * @param factor on the recipe's own dose; 1 before anything is noted
 * @param notes how many notes stand behind it
 */
public record Taste(double factor, int notes) {

    public static final Taste UNKNOWN = new Taste(1, 0);

    /** One step of the felt scale is about this much strength (estimate), relative. */
    private static final double STEP = 0.15;
    /** The prior weighs as much as this many notes (design value). */
    private static final double PRIOR_NOTES = 1.5;

    private static final double LEAST = 0.6;
    private static final double MOST = 1.5;

    /**
     * A note.
     *
     * @param strength predicted strength of that cup, 1 is the recipe's own
     * @param felt −2 far too weak, 0 right, 2 far too strong
     */
    public record Note(double strength, int felt) {}

    /** Least squares on the logarithm, with the recipe as written as prior. */
    public static Taste of(List<Note> notes) {
        List<Note> told =
                notes.stream().filter(n -> n.strength > 0.2 && n.strength < 4).toList();
        double sum = told.stream()
                .mapToDouble(n -> Math.log(n.strength) - n.felt * STEP)
                .sum();
        double factor = Math.exp(sum / (told.size() + PRIOR_NOTES));
        return new Taste(Math.max(LEAST, Math.min(MOST, factor)), told.size());
    }
}
