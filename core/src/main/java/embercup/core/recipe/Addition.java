package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.Quantity;

/**
 * One herb of a recipe, for the recipe's own cups.
 *
 * @param herb slug in the materia
 * @param stage index of the stage at whose start it goes in, from 0
 */
public record Addition(String herb, Form form, Cut cut, Quantity quantity, int stage) {}
