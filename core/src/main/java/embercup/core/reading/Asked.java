package embercup.core.reading;

import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.measure.Quantity;
import java.util.List;

/** What a line of a written recipe leaves open, with what was taken meanwhile: facts, said by {@code words}. Immutable. */
public sealed interface Asked {

    /** Several herbs share the name. */
    record WhichHerb(List<HerbName> herbs) implements Asked {}

    /** No herb is named. One that is named nearly so is another plant and is not offered: mugwort is no ragwort. */
    record NoHerb() implements Asked {}

    record HowMuchWater() implements Asked {}

    /** A bare number, read as so many of a unit. */
    record OfWhat(double number, Quantity taken) implements Asked {}

    record FreshOrDried(Form taken) implements Asked {}

    /** A range of amounts; the middle is taken. */
    record AmountOfRange() implements Asked {}

    /** "A few", read as three. */
    record AFew() implements Asked {}

    /** "Small", "large": read as the usual size. */
    record UsualSize(String word) implements Asked {}

    /** "Heaped", "scant": read as level. */
    record ReadAsLevel(String word) implements Asked {}

    /** Two amounts of one line that contradict each other: what the first is in the second's own unit, and the second. */
    record Contradiction(Quantity first, Quantity firstIs, Quantity second) implements Asked {}

    /** Not understood as a step. */
    record NoStep() implements Asked {}

    /** A range of time; the middle is taken. */
    record TimeOfRange() implements Asked {}

    /** Overnight without a time, read as eight hours. */
    record Overnight() implements Asked {}

    /** A wait without a time: ten minutes are taken. */
    record NoTime() implements Asked {}

    /** A reduction that does not say to how much. */
    record ReducedToWhat() implements Asked {}
}
