package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.measure.Quantity;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;

/** What was understood of a line of a written recipe: facts, said by {@code words}. A closed family; immutable. */
public sealed interface Understood {

    /** The name of the recipe. */
    record Title() implements Understood {}

    /** A heading of the text. */
    record Heading() implements Understood {}

    /** How much it makes. */
    record Makes(Volume liquor) implements Understood {}

    /** How many cups it makes. */
    record MakesCups(double cups) implements Understood {}

    /** Water to start with. */
    record Water(Volume start) implements Understood {}

    /** Water that a herb is ground to a paste with; it is in the pot with the rest. */
    record PasteWater(Volume water) implements Understood {}

    /** How full the vessel is filled. */
    record Filled(Told.Fill fill) implements Understood {}

    /** Something else than water that draws. */
    record DrawnBy(embercup.core.recipe.Menstruum menstruum) implements Understood {}

    /** A herb with its amount, form and cut. */
    record OfHerb(Quantity quantity, HerbName herb, Form form, Cut cut) implements Understood {}

    /** A herb of the list goes in, or is got ready. */
    record Mentioned(HerbName herb) implements Understood {}

    /** So much of the blend that the parts make. */
    record OfBlend(Quantity quantity) implements Understood {}

    /** A stage without a number: hot water poured on, a strain, a finish, a boil that is waited for. */
    record Plain(StageKind kind) implements Understood {}

    /** A stage that lasts; both ends where a range is written. */
    record Lasting(StageKind kind, double minutes, double minutesTo) implements Understood {}

    /** Boiled down to so much. */
    record Reduced(Volume to) implements Understood {}

    /** Heated to, poured at, or cooled to a temperature. */
    record Cooled(Temperature to) implements Understood {}

    record HeatedTo(Temperature to) implements Understood {}

    /** Fresh water on the same herbs. */
    record Refilled(Volume water) implements Understood {}

    /** By what the cook sees that it is done. */
    record Sign(String sign) implements Understood {}

    /** How it is taken. */
    record Taken(Posology posology) implements Understood {}

    /** Whom it is not for. */
    record NotFor(Told.NotFor who) implements Understood {}

    /** How long it keeps. */
    record Keeps(double days, Place place) implements Understood {}

    record Lid(boolean on) implements Understood {}

    record FlameOff() implements Understood {}

    /** It is drunk with its herbs. */
    record DrunkWhole() implements Understood {}
}
