package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.Quantity;

/**
 * One herb of a recipe, for the recipe's own cups. Immutable.
 *
 * @param herb slug in the materia
 * @param stage index of the stage at whose start it goes in, from 0
 * @param prep how the recipe has it prepared, in its own words; empty for the materia's
 */
public record Addition(String herb, Form form, Cut cut, Quantity quantity, int stage, String prep) {

    /** Prepared as the materia has it. */
    public Addition(String herb, Form form, Cut cut, Quantity quantity, int stage) {
        this(herb, form, cut, quantity, stage, "");
    }

    /** The same, going in at another stage. */
    public Addition at(int otherStage) {
        return new Addition(herb, form, cut, quantity, otherStage, prep);
    }

    /** The same, in another amount. */
    public Addition of(Quantity other) {
        return new Addition(herb, form, cut, other, stage, prep);
    }

    public Addition prepared(String words) {
        return new Addition(herb, form, cut, quantity, stage, words);
    }
}
