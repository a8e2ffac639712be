package embercup.core.recipe;

import java.util.Optional;
import java.util.OptionalDouble;

/** One thing done to the pot. A closed family; immutable. Minutes, degrees Celsius and millilitres as named. */
public sealed interface Stage {

    StageKind kind();

    <R> R accept(Visitor<R> visitor);

    /** Whether the lid is on. */
    default boolean lid() {
        return false;
    }

    /** Fresh water that comes with it, for the recipe's own cups, mL; 0 for none. */
    default double bringsMl() {
        return 0;
    }

    /** The same under a lid, for a boil, a simmer and what is kept below the boil; anything else as it is. */
    default Stage covered() {
        return this;
    }

    /** How long it lasts by the clock, min; empty for what ends when something is reached or done. */
    default OptionalDouble lastsMin() {
        return OptionalDouble.empty();
    }

    /** The flame under it; empty for what stands off the heat. */
    default Optional<Flame> onFlame() {
        return Optional.empty();
    }

    /** What is said of its end; {@link Until#NOTHING} for what has no end of its own. */
    default Until until() {
        return Until.NOTHING;
    }

    /**
     * What a recipe says of the end of a time beside its minutes.
     *
     * @param minutesTo upper end of a range whose lower are the minutes; empty for one time
     * @param sign by which the cook sees that it is done, in the recipe's words; empty for none
     */
    record Until(OptionalDouble minutesTo, String sign) {
        public static final Until NOTHING = new Until(OptionalDouble.empty(), "");
    }

    /** Heats the water to {@code toC}, or to the boil when empty. */
    record Heat(OptionalDouble toC, Flame flame, boolean lid) implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.HEAT;
        }

        @Override
        public Optional<Flame> onFlame() {
            return Optional.of(flame);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.heat(this);
        }
    }

    /** Moves hot water onto the herbs in the serving vessel, at {@code toC} or at the boil when empty. */
    record Pour(OptionalDouble toC) implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.POUR;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.pour(this);
        }
    }

    /** A rolling boil. */
    record Boil(double minutes, Flame flame, boolean lid, Until until) implements Stage {

        public Boil(double minutes, Flame flame, boolean lid) {
            this(minutes, flame, lid, Until.NOTHING);
        }

        @Override
        public Stage covered() {
            return new Boil(minutes, flame, true, until);
        }

        @Override
        public OptionalDouble lastsMin() {
            return OptionalDouble.of(minutes);
        }

        @Override
        public StageKind kind() {
            return StageKind.BOIL;
        }

        @Override
        public Optional<Flame> onFlame() {
            return Optional.of(flame);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.boil(this);
        }
    }

    /** A quiet simmer. */
    record Simmer(double minutes, Flame flame, boolean lid, Until until) implements Stage {

        public Simmer(double minutes, Flame flame, boolean lid) {
            this(minutes, flame, lid, Until.NOTHING);
        }

        @Override
        public Stage covered() {
            return new Simmer(minutes, flame, true, until);
        }

        @Override
        public OptionalDouble lastsMin() {
            return OptionalDouble.of(minutes);
        }

        @Override
        public StageKind kind() {
            return StageKind.SIMMER;
        }

        @Override
        public Optional<Flame> onFlame() {
            return Optional.of(flame);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.simmer(this);
        }
    }

    /** Kept at {@code toC}, below the boil: the flame is turned so that it stays there. Bring it there first, where it is colder. */
    record Hold(double toC, double minutes, Flame flame, boolean lid, Until until) implements Stage {

        @Override
        public Stage covered() {
            return new Hold(toC, minutes, flame, true, until);
        }

        @Override
        public OptionalDouble lastsMin() {
            return OptionalDouble.of(minutes);
        }

        @Override
        public StageKind kind() {
            return StageKind.HOLD;
        }

        @Override
        public Optional<Flame> onFlame() {
            return Optional.of(flame);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.hold(this);
        }
    }

    /** Boils down until {@code toMl} of strained liquor would come out, for the recipe's own cups. */
    record Reduce(double toMl, Flame flame, boolean lid) implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.REDUCE;
        }

        @Override
        public Optional<Flame> onFlame() {
            return Optional.of(flame);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.reduce(this);
        }
    }

    /** Stands hot, off the heat. */
    record Steep(double minutes, boolean lid, Until until) implements Stage {

        public Steep(double minutes, boolean lid) {
            this(minutes, lid, Until.NOTHING);
        }

        @Override
        public OptionalDouble lastsMin() {
            return OptionalDouble.of(minutes);
        }

        @Override
        public StageKind kind() {
            return StageKind.STEEP;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.steep(this);
        }
    }

    /** From here on a jar is labelled and shaken every day: a day (common practice, no source), min. */
    double SHAKEN_FROM_MIN = 24 * 60;

    /** Stands in water of {@code toC}, or in tap water when empty, in the room or in the fridge; hours to weeks. */
    record Macerate(double minutes, OptionalDouble toC, boolean lid, Place place, Until until) implements Stage {

        public Macerate(double minutes, OptionalDouble toC, boolean lid, Place place) {
            this(minutes, toC, lid, place, Until.NOTHING);
        }

        public Macerate(double minutes, OptionalDouble toC, boolean lid) {
            this(minutes, toC, lid, Place.ROOM, Until.NOTHING);
        }

        /** Whether it stands so long that its jar is labelled and shaken once a day. */
        public boolean shakenDaily() {
            return minutes >= SHAKEN_FROM_MIN;
        }

        @Override
        public OptionalDouble lastsMin() {
            return OptionalDouble.of(minutes);
        }

        @Override
        public StageKind kind() {
            return StageKind.MACERATE;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.macerate(this);
        }
    }

    /** Flame off, everything stays where it is. */
    record Rest(double minutes, boolean lid, Until until) implements Stage {

        public Rest(double minutes, boolean lid) {
            this(minutes, lid, Until.NOTHING);
        }

        @Override
        public OptionalDouble lastsMin() {
            return OptionalDouble.of(minutes);
        }

        @Override
        public StageKind kind() {
            return StageKind.REST;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.rest(this);
        }
    }

    /** Waits until the liquor has cooled to {@code toC}. */
    record Cool(double toC, boolean lid) implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.COOL;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.cool(this);
        }
    }

    /**
     * Parts liquor and marc; pressing gives more liquor. Where no herbs are in any more it only fills the batch into something else.
     *
     * @param into what the liquor runs into; empty when the recipe does not say, see {@link Batch}
     */
    record Strain(boolean pressed, Optional<Receiver> into) implements Stage {

        public Strain(boolean pressed) {
            this(pressed, Optional.empty());
        }

        @Override
        public StageKind kind() {
            return StageKind.STRAIN;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.strain(this);
        }
    }

    /** Fresh water, {@code toMl} for the recipe's own cups, on the same herbs. */
    record Refill(double toMl) implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.REFILL;
        }

        @Override
        public double bringsMl() {
            return toMl;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.refill(this);
        }
    }

    /** Unites the liquors of several boils. */
    record Combine() implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.COMBINE;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.combine(this);
        }
    }

    /** Finishes the cup: what goes into the mug, not the pot. */
    record Finish() implements Stage {
        @Override
        public StageKind kind() {
            return StageKind.FINISH;
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.finish(this);
        }
    }

    /**
     * Worked by hand or by machine, where it stands: stirred, shaken, blended.
     *
     * @param addMl water of its own that a blender gets, from the tap, for the recipe's own cups, mL; empty for none
     */
    record Work(StageKind kind, OptionalDouble addMl) implements Stage {

        public Work(StageKind kind) {
            this(kind, OptionalDouble.empty());
        }

        /** @throws IllegalArgumentException for a kind that is no work of the hand */
        public Work {
            if (!kind.worked()) {
                throw new IllegalArgumentException(kind + " is no work of the hand");
            }
        }

        @Override
        public double bringsMl() {
            return addMl.orElse(0);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.work(this);
        }
    }

    /** One answer for each member of the family; a new member breaks every visitor at compile time. */
    interface Visitor<R> {
        R heat(Heat stage);

        R pour(Pour stage);

        R boil(Boil stage);

        R simmer(Simmer stage);

        R hold(Hold stage);

        R reduce(Reduce stage);

        R steep(Steep stage);

        R macerate(Macerate stage);

        R rest(Rest stage);

        R cool(Cool stage);

        R strain(Strain stage);

        R refill(Refill stage);

        R combine(Combine stage);

        R finish(Finish stage);

        R work(Work stage);
    }
}
