package embercup.core.workings;

import java.util.List;

/** What would have been right instead of a wrong value: facts, said by {@code words}. A closed family; immutable. */
public sealed interface Wanted {

    /** No less than another number. */
    record AtLeast(double least) implements Wanted {}

    /** A number in a range. */
    record Between(double low, double high, String unit) implements Wanted {}

    /** A number whose mark can be read as thousands or as a decimal: how it is to be written. */
    record OneReading(String thousands, String decimal) implements Wanted {}

    /** An amount above nothing, at most so much. */
    record AboveNothing(double most) implements Wanted {}

    /** One of some codes. */
    record OneOf(List<String> codes) implements Wanted {}

    /** A text of 1 to so many characters. */
    record TextOf(int most) implements Wanted {}

    /** A text of at most so many characters. */
    record TextAtMost(int most) implements Wanted {}

    /** Something that must be said: its name in the catalogue, {@code needed.<what>}. */
    record Needed(Need what) implements Wanted {}

    /** What may be missing. */
    enum Need {
        RECIPE,
        RECIPE_OR_ID,
        KITCHEN,
        DRINKER,
        BURNER,
        CUPS,
        CUP_SIZE,
        CUPS_A_DAY,
        AMOUNT,
        MINUTES,
        VOLUME,
        COOL_TO,
        HOLD_AT,
        WHOM,
        HOW_MUCH_A_DAY,
        DIAMETER,
        HEIGHT,
        AGE,
        POWER,
        VESSEL_MEASURED,
        WATER,
        HEAT_TIME,
        BOILED_OFF,
        BOIL_TIME,
        SPOON_WEIGHT,
        CLIENT_ID,
        READING,
        POURED,
        EVENT,
        VERSION,
        SWITCH,
        SPEED,
        GRAMS,
        HERB_FOR_UNITS,
        DAYS_ON,
        LABEL_OF,
        ACT
    }

    /** Nothing: a trimester stands beside a pregnancy only. */
    record OnlyIfPregnant() implements Wanted {}

    /** No prescription: a practitioner's dose is not for children, in pregnancy or while breastfeeding. */
    record NotPrescribable() implements Wanted {}

    /** A herb of the materia; those whose slug is near. */
    record KnownHerb(List<String> near) implements Wanted {}

    /** A herb of this recipe. */
    record HerbOfRecipe() implements Wanted {}

    /** A herb by itself: neither a blend nor what goes into the cup as it is. */
    record HerbByItself() implements Wanted {}

    /** A herb of the recipe that is not the only one. */
    record NotTheOnlyHerb() implements Wanted {}

    /** Another herb that can stand in; none is known when empty. */
    record StandIn(String herb, List<String> others) implements Wanted {}

    /** The form of the recipe: the cook's school holds fresh and dried for two herbs. */
    record FormOfRecipe() implements Wanted {}

    /** A unit the herb is measured in. */
    record MeasuredIn(String herb, List<String> counts) implements Wanted {}

    /** Not parts: a part weighs nothing by itself. */
    record NoPart() implements Wanted {}

    /** At most so many grams of one herb; what it was. */
    record GramsAtMost(double most, double given) implements Wanted {}

    /** So many things of a kind. */
    record Count(Counted what, int least, int most) implements Wanted {
        public static Count of(Counted what, Limit limit) {
            return new Count(what, (int) limit.low(), (int) limit.high());
        }
    }

    /** Things that are counted. */
    enum Counted {
        ADDITIONS,
        STAGES,
        PLANS,
        ADDITIONS_AND_STAGES
    }

    /** An index of a stage of this recipe; the recipe has none when {@code last} is negative. */
    record StageOfRecipe(int last) implements Wanted {}

    /** Other people than those of an earlier row. */
    record RowApart() implements Wanted {}

    /** Nothing, as it goes with one place of a recipe's own caution alone. @param about code of that place */
    record OnlyAbout(String about) implements Wanted {}

    /** Nothing that gives: at least one stage in which the herbs give. */
    record GivingStage() implements Wanted {}

    /** No heat under anything but water. */
    record NoHeatUnder(String menstruum) implements Wanted {}

    /** A refill after a strain. */
    record RefillAfterStrain() implements Wanted {}

    /** A combine after a refill and its strain. */
    record CombineAfterRefill() implements Wanted {}

    /** A finish at the end. */
    record FinishLast() implements Wanted {}

    /** After the strain only what needs no herbs. */
    record AfterStrain() implements Wanted {}

    /** Water of its own is a blender's alone. */
    record OnlyInBlender() implements Wanted {}

    /** What is heated again is strained into a pot. */
    record HeatedInPot() implements Wanted {}

    /** The strength of a spirit, and none for anything else. */
    record SpiritStrength(double low, double high) implements Wanted {}

    /** A measurement that a kitchen burner could have made. */
    record PossibleHeating() implements Wanted {}

    /** A measurement that a kitchen burner could have made. */
    record PossibleBoilOff() implements Wanted {}

    /** Herbs of the house that fit an occasion: there is none, or none that suits. */
    record HerbsForOccasion(boolean leftOut) implements Wanted {}

    /** Either the one or the other. */
    record NotBoth(String one, String other) implements Wanted {}

    /** A step of the plan. */
    record StepOfPlan(List<String> ids) implements Wanted {}

    /** A moment after another, within hours. */
    record LaterWithin(int hours) implements Wanted {}

    /** A day of the last years. */
    record RecentDay(int years) implements Wanted {}

    /** A name that no herb of the books has. */
    record FreeName() implements Wanted {}

    /** Lower-case words joined by hyphens. */
    record SlugForm(int most) implements Wanted {}

    /** No field of that name; what is known. */
    record NoSuchField(List<String> known) implements Wanted {}

    /** A value of another kind: a number, a text, a list. */
    record OfKind(Kind kind) implements Wanted {}

    /** Kinds of values on the wire. */
    enum Kind {
        VOLUME_UNIT,
        NUMBER,
        WHOLE_NUMBER,
        TRUE_OR_FALSE,
        TEXT,
        UUID,
        MOMENT,
        DAY,
        TIME_OF_DAY,
        ZONE,
        LIST,
        OBJECT,
        RIGHT_KIND
    }
}
