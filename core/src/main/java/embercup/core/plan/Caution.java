package embercup.core.plan;

import embercup.core.kitchen.Vessel;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.HerbName;
import embercup.core.materia.Severity;
import embercup.core.measure.Mass;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.recipe.Flame;
import embercup.core.recipe.OwnCaution;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Told;
import embercup.core.workings.Code;
import embercup.core.workings.Limit;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;

/**
 * Something the cook must know before the first measure: facts, said by {@code words}. A closed family; immutable. A member
 * adds what it is about; every member has a severity and the key of a source.
 */
public sealed interface Caution {

    Severity severity();

    /** Whom or what it is about: no member can be without, so that nobody who drinks of a pot is forgotten. */
    About about();

    /** Whom or what a caution is about. */
    enum About {
        /** What is in the pot and how it is made: said once, whoever drinks of it. */
        POT,
        /** What a drinker is: an age, a condition, an allergy. */
        DRINKER,
        /** What a drinker has of it: her cups of the day, and her days in a row. */
        DAY
    }

    /** Key of its source. */
    default String source() {
        return "practice";
    }

    /** Slug of the herb it is about; empty when it is about the pot, the day or the drinker. */
    default Optional<String> herb() {
        return Optional.empty();
    }

    /** Stable name: that of the member, of the condition or of the constituent, in lower case with hyphens. */
    default String code() {
        return Code.of(getClass());
    }

    /** About the pot: every drinker of it hears it once. */
    sealed interface OfPot extends Caution {
        @Override
        default About about() {
            return About.POT;
        }
    }

    /** For what this drinker is, an age, a condition, an allergy: another may drink the same cup. */
    sealed interface OfDrinker extends Caution {
        @Override
        default About about() {
            return About.DRINKER;
        }
    }

    /** About a drinker's cups of a day or her days in a row: judged for everybody who drinks of the pot. */
    sealed interface OfDay extends Caution {
        @Override
        default About about() {
            return About.DAY;
        }
    }

    /** A note that common practice gives. */
    sealed interface Note extends Caution {
        @Override
        default Severity severity() {
            return Severity.NOTE;
        }
    }

    /** Asks for care. */
    sealed interface Careful extends Caution {
        @Override
        default Severity severity() {
            return Severity.CARE;
        }
    }

    /** Must not be brewed so. */
    sealed interface Stopping extends Caution {
        @Override
        default Severity severity() {
            return Severity.STOP;
        }
    }

    /**
     * Something that looks like a slip of the pen, whoever wrote it: a text, a hand, an import. It is asked, on the recipe, on the sheet
     * and before the start, and done when it is meant.
     */
    sealed interface Doubt extends OfPot, Careful {}

    /** A pot that stands warm for days, though nothing macerates. @param stage index of the stage */
    record StandsForDays(int stage, double days) implements Doubt {}

    /** A herb that goes in when the liquor is off the herbs already. */
    record MeetsNoWater(HerbName of) implements OfHerb, Doubt {}

    /** The same herb twice at one moment. */
    record SaidTwice(HerbName of) implements OfHerb, Doubt {}

    /** Far more of a herb than anybody takes. @param usualMost for one cup */
    record FarBeyondUse(HerbName of, Mass perCup, Mass usualMost) implements OfHerb, Doubt {}

    /** More of a herb than stands in the house. @param there empty when there is none */
    record NotEnough(HerbName of, Mass needed, Optional<Mass> there) implements OfHerb, Doubt {}

    /** About one herb. */
    sealed interface OfHerb extends Caution {
        HerbName of();

        @Override
        default Optional<String> herb() {
            return Optional.of(of().slug());
        }
    }

    /** About one herb or several for the same reason: it is said once. */
    sealed interface OfHerbs extends Caution {
        List<HerbName> herbs();

        @Override
        default Optional<String> herb() {
            return herbs().size() == 1 ? Optional.of(herbs().get(0).slug()) : Optional.empty();
        }

        @Override
        default List<String> slugs() {
            return herbs().stream().map(HerbName::slug).toList();
        }
    }

    /** Slugs of all herbs it is about. */
    default List<String> slugs() {
        return herb().map(List::of).orElse(List.of());
    }

    // ---- the dose

    /**
     * A dose that was cut to what a drinker may have.
     *
     * @param perCup what is in a cup now
     * @param mostADay the most of a day for this drinker
     * @param clip how it was cut; empty where nobody kept it
     */
    record DoseClipped(HerbName of, Mass perCup, Mass mostADay, Optional<Clip> clip, String source)
            implements OfHerb, Careful, OfDay {}

    /**
     * How a dose was cut.
     *
     * @param asked what a cup would have had
     * @param cups of a day that are counted
     * @param askedADay what those would have had together
     * @param toSingleDose whether it was cut to a usual single dose, which is less than the cup's part of the day
     */
    record Clip(Mass asked, double cups, Mass askedADay, boolean toSingleDose) {}

    /**
     * A dose that was cut, and that would have been stopped uncut: the cook takes the cut one, or another herb.
     *
     * @param asked what a cup would have had
     * @param perCup what is in a cup now
     * @param would what the day would have held of the constituent
     */
    record AskedTooMuch(
            HerbName of, Mass asked, Mass perCup, Constituent constituent, Mass would, Mass limit, String source)
            implements OfHerb, Stopping, OfDay {}

    /**
     * So much of a herb poisons.
     *
     * @param day what the recipe puts into a day's cups
     * @param from from how much on, for this drinker
     */
    record Harmful(HerbName of, Mass day, Mass from, String why, String source) implements OfHerb, Stopping, OfDay {}

    record SingleDose(HerbName of, Mass perCup, Mass usualMost, Severity severity, String source)
            implements OfHerb, OfDay {}

    /** @param lifted by how much strength and purpose still lift the blend, % */
    record SharedRoom(int lifted) implements Note, OfPot {}

    // ---- the pot

    record VesselTooSmall(String vessel, Volume takes, Volume needs, Severity severity) implements OfPot {}

    record BoilsDry() implements Stopping, OfHeat {}

    /** So little is left over the flame that the bottom scorches as soon as somebody looks away. @param left at its lowest */
    record RunsLow(Volume left, double levelCm) implements Careful, OfHeat {}

    /**
     * A pot that is to boil down under a lid: most of the steam leaves, but not so soon.
     *
     * @param stage index of the stage
     * @param minutes with the lid on; the open pot takes {@code openMinutes}
     */
    record ReducesCovered(int stage, double minutes, double openMinutes) implements Careful, OfHeat {}

    /** What heat and water say of a pot: reckoned with the usual burners and vessels. */
    sealed interface OfHeat extends OfPot {
        @Override
        default String source() {
            return "kitchen-heat";
        }
    }

    /**
     * A reduction of more or fewer cups takes another time than that of the recipe's own cups, and the herbs give otherwise in it.
     *
     * @param minutes it takes; the recipe's own cups take {@code ownMinutes}
     */
    record OtherCupsOtherTime(double minutes, double ownMinutes, int percent) implements Note, OfHeat {}

    /**
     * An open pot that is slow to the boil, or never gets there, and would be sooner under its lid.
     *
     * @param stage index of the stage
     * @param minutes of the open pot; empty when it never boils
     */
    record LidToHeat(int stage, Optional<Double> minutes, double coveredMinutes) implements Note, OfHeat {}

    record NeverBoils() implements Careful, OfHeat {}

    /**
     * What is blended so hot that its steam lifts the lid of the blender.
     *
     * @param now as it is blended
     * @param to as warm as a closed blender takes it
     * @param minutes that it cools until then, open; empty when nobody waits so long
     */
    record BlendsHot(Temperature now, Temperature to, Optional<Double> minutes) implements Careful, OfHeat {}

    /** Cups that run over once milk or juice is in. @param mug what a cup of the order holds, @param needs with what is stirred in */
    record CupRunsOver(Volume mug, Volume needs) implements Note, OfPot {}

    /**
     * A batch that is kept and cools by itself for hours.
     *
     * @param in what it stands in
     * @param hours until it is lukewarm
     */
    record CoolsForHours(Receiver in, double hours) implements Note, OfHeat {}

    /**
     * A flame that cannot hold its boil or simmer.
     *
     * @param falls temperature at which it ends
     * @param would the smallest flame that would hold it
     * @param lidWould whether a lid would do
     */
    record CannotHold(Temperature falls, Optional<Flame> would, boolean lidWould) implements Careful, OfHeat {}

    /** A vessel that breaks or burns on a flame. */
    record NotOnAFlame(String vessel, Vessel.Kind kind) implements Stopping, OfPot {}

    /** A reduction that takes longer than anybody stands beside it. */
    record LongReduction(double hours, Volume from, Volume to) implements Careful, OfHeat {}

    /** @param percent of what the herbs' usual cup holds */
    record FarFromUsual(int percent) implements Note, OfPot {}

    /** @param coverCm water above the herbs, cm */
    record HerbsNotCovered(String vessel, double coverCm) implements Note, OfPot {}

    /** @param says what says otherwise than the recipe's cups */
    record RecipeContradictsItself(double cups, Volume cup, Volume all, Contradiction says, Volume other)
            implements Careful, OfPot {

        /** How many cups it is when not the cups but the other is meant: so many that a cup stays about as large as it is. */
        public double otherCups() {
            double most = Limit.CUPS.high();
            return Math.min(most, Math.max(1, Math.rint(other.millilitres() / cup.millilitres())));
        }

        /** What is in each of them. */
        public Volume otherCup() {
            return Volume.millilitres(other.millilitres() / otherCups());
        }
    }

    /** What can say otherwise than the cups of a recipe. */
    enum Contradiction {
        REDUCTION_STOPS_AT,
        WATER_LEAVES
    }

    // ---- the cup

    /** @param sour what brings the acid; empty when it is not in the recipe */
    record AcidTurn(String from, String to, Optional<HerbName> sour, String source) implements Note, OfPot {}

    record CupTooCool(HerbName of, Temperature by, String why, String source) implements OfHerb, Note, OfPot {}

    record Curdles(HerbName of, HerbName sour) implements OfHerb, Careful, OfPot {}

    // ---- the drinker

    record NotForTea(HerbName of, String why, String source) implements OfHerb, Stopping, OfPot {}

    /** A herb of the cook's own that has a name of a plant that is refused. */
    record NamedLikeRefused(HerbName of, String refused, String why, String source)
            implements OfHerb, Stopping, OfPot {}

    /** A herb of the cook's own that has the name of a poisonous plant that is mistaken for a herb. */
    record NamedLikePoison(HerbName of, String poison) implements OfHerb, Stopping, OfPot {}

    /**
     * A herb of the cook's own: no dose, no interactions, no age are known here.
     *
     * @param entered whether the cook entered what a source says that she names
     */
    record NothingKnown(HerbName of, boolean entered, Severity severity) implements OfHerb, OfDrinker {}

    /** The recipe itself says that it is not for her. */
    record RecipeNotFor(Told.NotFor who) implements OfDrinker, Stopping {
        @Override
        public String source() {
            return "own";
        }
    }

    /**
     * What the recipe itself says of a herb, a step, taking or keeping, or of people whom nothing here tells apart. What is minded while
     * it is made is a note; what whoever drinks it must mind goes onto labels and courses as well.
     */
    record RecipeSays(OwnCaution says) implements OfPot {
        @Override
        public Severity severity() {
            return switch (says.about()) {
                case HERB, STEP -> Severity.NOTE;
                case TAKING, KEEPING, WHO -> Severity.CARE;
            };
        }

        @Override
        public Optional<String> herb() {
            return says.herb();
        }

        @Override
        public String source() {
            return "own";
        }
    }

    /** The recipe itself says in its own words that it is not for her. */
    record RecipeSaysNotFor(OwnCaution says) implements OfDrinker, Stopping {
        @Override
        public String source() {
            return "own";
        }
    }

    record Allergy(HerbName of) implements OfHerb, OfDrinker, Stopping {
        @Override
        public String source() {
            return "own";
        }
    }

    record Dislike(HerbName of) implements OfHerb, Note, OfDrinker {
        @Override
        public String source() {
            return "own";
        }
    }

    /** What the materia says to everybody. */
    record General(List<HerbName> herbs, String why, Severity severity, String source) implements OfHerbs, OfPot {}

    /** What the materia says to somebody with a condition. */
    record ForCondition(List<HerbName> herbs, Condition condition, String why, Severity severity, String source)
            implements OfHerbs, OfDrinker {
        @Override
        public String code() {
            return condition.code();
        }
    }

    /** What herbs say when several of a kind meet in one pot. */
    record Together(List<HerbName> herbs, String why, String source) implements OfHerbs, Note, OfPot {}

    /**
     * Herbs of a kind whose shares of their usual days are together more than one day.
     *
     * @param percent of one usual day
     */
    record AddsUp(List<HerbName> herbs, String why, int percent, String source) implements OfHerbs, Careful, OfDay {}

    /** Some of what herbs say depends on the trimester, which is not known: the strictest counts. */
    record WhichTrimester() implements OfDrinker, Note {}

    record AgeFloor(List<HerbName> herbs, double years, String source) implements OfHerbs, OfDrinker, Stopping {}

    /** A herb that upsets raw, and is boiled for less than it needs. */
    record NotBoiled(HerbName of, double minutes, String source) implements OfHerb, Careful, OfPot {}

    /** A herb that is usually gathered, and what else it could be. */
    record Identity(HerbName of, List<Confusion> lookAlikes) implements OfHerb, Note, OfPot {
        /** What it could be else; how to tell stands on the herb's page and at the check before the start. */
        public List<String> names() {
            return lookAlikes.stream().map(Confusion::name).toList();
        }
    }

    /** @param tell how it is told from the herb */
    record Confusion(String name, String tell) {}

    record Stomach(List<HerbName> herbs, boolean emptyHere) implements Note, OfDrinker {}

    record UnderTwo() implements OfDrinker, Stopping {
        @Override
        public String source() {
            return "young";
        }
    }

    record PregnancyGeneral() implements Note, OfDrinker {}

    // ---- the day and the run of days

    /** The recipe does not say how many cups a day; so many of this pot are counted. */
    record CupsNotSaid(double cups) implements Note, OfDay {}

    record PosologyDay(HerbName of, Mass day, Mass usualMost, String source) implements OfHerb, Careful, OfDay {}

    record PosologyRun(HerbName of, int days, int most, String source) implements OfHerb, Careful, OfDay {}

    /** @param months whether the cook's school drinks its pot for months */
    record LongestRun(HerbName of, int days, boolean months, String source) implements OfHerb, Note, OfDay {}

    /** @param rest days of rest that are still owed */
    record RunOver(HerbName of, int days, int most, int rest, String source) implements OfHerb, Careful, OfDay {}

    /** With the days before it, the course would pass the longest run. */
    record RunWouldPass(HerbName of, int days, int more, int most, String source) implements OfHerb, Careful, OfDay {}

    /**
     * What the day holds of a limited constituent.
     *
     * @param against how it stands against the limit
     * @param shortDays for how many days at most it may; 0 when that is not said
     * @param earlier what else it is from
     */
    record DayHolds(
            Constituent constituent,
            Mass day,
            Mass limit,
            Against against,
            int shortDays,
            List<Earlier> earlier,
            boolean allCounted,
            String source)
            implements OfDay {

        @Override
        public Severity severity() {
            return against.severity;
        }

        @Override
        public String code() {
            return Code.of(constituent);
        }
    }

    /** How a day stands against a limit. */
    enum Against {
        WITHIN(Severity.NOTE),
        /** Above a guidance value, in a short use. */
        ABOVE_GUIDANCE(Severity.NOTE),
        /** Above a guidance value, in long use. */
        LONG_ABOVE_GUIDANCE(Severity.CARE),
        /** Above a limit, as a practitioner prescribed it. */
        PRESCRIBED(Severity.CARE),
        /** Above a limit that is meant for long use, in a short one. */
        SHORT_USE(Severity.CARE),
        OVER(Severity.STOP);

        private final Severity severity;

        Against(Severity severity) {
            this.severity = severity;
        }

        public Severity severity() {
            return severity;
        }
    }

    /** What an earlier brew of the day brought. @param at clock time of it; empty when that is not known */
    record Earlier(String name, Optional<LocalTime> at, Mass holds) {}

    /** @param by who prescribed it; empty when it is not said */
    record Prescribed(int days, Optional<String> by) implements Note, OfDrinker {}

    /** A child's serving of a shared pot is more than its share of an adult's cup. */
    record ServingTooLarge(int percent, int servingPercent) implements OfDrinker, Stopping {
        @Override
        public String source() {
            return "clark";
        }
    }

    /** One cup holds more than is good at once. */
    record AtOnce(Constituent constituent, Mass cup, Mass limit, String source) implements Careful, OfDay {}

    // ---- the method

    /** @param advice what to do about it */
    record Alcohol(Volume day, Mass holds, Advice advice, Severity severity) implements OfDrinker {
        /** A standard drink (WHO, AUDIT manual, 2nd edition, mem), g of alcohol. */
        public static final double STANDARD_DRINK_G = 10;

        /** The most of a day of low risk for a man (Deutsche Hauptstelle für Suchtfragen, mem), g of alcohol. */
        public static final double LOW_RISK_G = 24;

        /** How much a day comes to. */
        public enum Much {
            LITTLE,
            DRINK,
            DRINKS
        }

        /** How much so many grams of alcohol in a day are: at most a standard drink, more, or more than a day of low risk. */
        public static Much much(double grams) {
            return grams > LOW_RISK_G ? Much.DRINKS : grams > STANDARD_DRINK_G ? Much.DRINK : Much.LITTLE;
        }

        /** What to do about alcohol. */
        public enum Advice {
            NOT_FOR_DRINKER,
            ASK_PRESCRIBER,
            NONE
        }
    }

    record ReducingPot() implements Note, OfPot {}

    /** Boiling water on cold glass. */
    record GlassAndHeat(Vessel.Kind vessel) implements Note, OfPot {}

    record Plunger() implements Note, OfPot {}

    /** Herbs that dye what they touch. */
    record Stains(List<HerbName> herbs) implements OfHerbs, Note, OfPot {}

    record Scald() implements Note, OfPot {}

    /** @param hours that it stands neither hot nor cold */
    record KeepCold(double hours) implements Note, OfPot {
        @Override
        public String source() {
            return "food-code";
        }
    }
}
