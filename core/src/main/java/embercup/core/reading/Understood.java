package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.measure.Quantity;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.recipe.StageKind;

/** What was understood of a line of a written recipe: facts, said by {@code words}. A closed family; immutable. */
public sealed interface Understood {

    /** The name of the recipe. */
    record Title() implements Understood {}

    /** How much it makes. */
    record Makes(Volume liquor) implements Understood {}

    /** Water to start with. */
    record Water(Volume start) implements Understood {}

    /** A herb with its amount, form and cut. */
    record OfHerb(Quantity quantity, HerbName herb, Form form, Cut cut) implements Understood {}

    /** A stage without a number: hot water poured on, a strain, a finish, a boil that is waited for. */
    record Plain(StageKind kind) implements Understood {}

    /** A stage that lasts. */
    record Lasting(StageKind kind, double minutes) implements Understood {}

    /** Boiled down to so much. */
    record Reduced(Volume to) implements Understood {}

    /** Cooled to a temperature. */
    record Cooled(Temperature to) implements Understood {}
}
