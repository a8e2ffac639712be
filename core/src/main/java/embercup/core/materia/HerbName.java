package embercup.core.materia;

/**
 * A herb as a fact names it. Immutable.
 *
 * @param slug key in the materia
 * @param common as the cook says it
 */
public record HerbName(String slug, String common) {

    public static HerbName of(Herb herb) {
        return new HerbName(herb.slug(), herb.common());
    }
}
