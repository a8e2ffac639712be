package embercup.core.live;

import embercup.core.brew.Turn;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Something that really happened during a brew. A closed family; immutable; the id is made by the client, so that a
 * repeat is harmless. */
public sealed interface BrewEvent {

    UUID id();

    /** When it happened, by the server's clock. */
    Instant at();

    <R> R accept(Visitor<R> visitor);

    /** One answer for each member of the family. */
    interface Visitor<R> {
        R started(Started event);

        R stepDone(StepDone event);

        R turned(Turned event);

        R measured(Measured event);

        R poured(Poured event);

        R kept(Kept event);

        R emptied(Emptied event);

        R jarNoted(JarNoted event);

        R cupBegun(CupBegun event);

        R cupActed(CupActed event);

        R marcKept(MarcKept event);

        R marcGone(MarcGone event);

        R shaken(Shaken event);

        R noted(Noted event);

        R undone(Undone event);

        R finished(Finished event);

        R abandoned(Abandoned event);
    }

    /** The brew began. */
    record Started(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.started(this);
        }
    }

    /** What told the cook that a step was done. */
    enum Sign {
        /** The clock, or what the plan says. */
        PLAN,
        SMELL,
        COLOUR,
        TASTE
    }

    /** The cook confirmed the end of a step of the plan, named by its key. */
    record StepDone(UUID id, Instant at, String step, Sign sign) implements BrewEvent {

        public StepDone(UUID id, Instant at, String step) {
            this(id, at, step, Sign.PLAN);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.stepDone(this);
        }
    }

    /** A hand at lid, flame or marc, other than the plan says; it holds until the next step begins. */
    record Turned(UUID id, Instant at, Turn turn) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.turned(this);
        }
    }

    /**
     * Liquor poured for somebody to drink.
     *
     * @param ml a concentrate as it is in the jug, before it is thinned
     * @param drinker who drinks it when that is nobody the pot was made for; empty for those
     */
    record Poured(UUID id, Instant at, double ml, Optional<UUID> drinker) implements BrewEvent {

        public Poured(UUID id, Instant at, double ml) {
            this(id, at, ml, Optional.empty());
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.poured(this);
        }
    }

    /** What is left was put into a closed jar, for a later cup. */
    record Kept(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.kept(this);
        }
    }

    /** What was left is gone: drunk up, or thrown away. */
    record Emptied(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.emptied(this);
        }
    }

    /** What stands on the jar beside its contents, in the cook's words. @param text empty takes it away */
    record JarNoted(UUID id, Instant at, String text) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.jarNoted(this);
        }
    }

    /**
     * A cup out of the jar was begun; it is over when it is poured into the mug, or undone.
     *
     * @param ml as it is drunk
     * @param warm whether it is warmed
     * @param drinker who will drink it when that is nobody the pot was made for; empty for those
     */
    record CupBegun(UUID id, Instant at, double ml, boolean warm, Optional<UUID> drinker) implements BrewEvent {

        public CupBegun(UUID id, Instant at, double ml, boolean warm) {
            this(id, at, ml, warm, Optional.empty());
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.cupBegun(this);
        }
    }

    /** One act for the cup that is in the making was done. @param act its place among them, from 0 */
    record CupActed(UUID id, Instant at, int act) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.cupActed(this);
        }
    }

    /** The spent herbs were put into the fridge, for a second brew. */
    record MarcKept(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.marcKept(this);
        }
    }

    /** The spent herbs are gone: brewed once more, or on the compost. */
    record MarcGone(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.marcGone(this);
        }
    }

    /** A long maceration was shaken. */
    record Shaken(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.shaken(this);
        }
    }

    /** A reading of the cook or of a device. */
    record Measured(UUID id, Instant at, Reading reading, double value) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.measured(this);
        }
    }

    /** What was read, with its unit. */
    enum Reading {
        VOLUME_ML("mL"),
        TEMPERATURE_C("°C"),
        WEIGHT_G("g"),
        LEVEL_CM("cm");

        private final String unit;

        Reading(String unit) {
            this.unit = unit;
        }

        /** Symbol of the unit that its value is in. */
        public String unit() {
            return unit;
        }
    }

    /**
     * How the cup was.
     *
     * @param strength felt strength: −2 far too weak, 0 right, 2 far too strong; empty when nobody said
     * @param liking 1–5; 0 when not said
     * @param taste words
     * @param change what to do differently next time
     * @param look what else was noticed
     */
    record Noted(UUID id, Instant at, OptionalInt strength, int liking, String taste, String change, Look look)
            implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.noted(this);
        }
    }

    /** Colours that a liquor is compared with. */
    enum Colour {
        PALE,
        STRAW,
        HONEY,
        AMBER,
        COPPER,
        RUSSET,
        BROWN,
        RUBY,
        ROSE,
        VIOLET,
        BLUE,
        GREEN
    }

    /** How clear a liquor is. */
    enum Clarity {
        CLEAR,
        CLOUDY,
        SEDIMENT
    }

    /**
     * What else was noticed of a cup; empty where nothing was said.
     *
     * @param colour the code of a {@link Colour}
     * @param clarity the code of a {@link Clarity}
     * @param smell words
     * @param effect what it seemed to do, in the drinker's own words
     * @param meanwhile what else was going on
     */
    record Look(String colour, String clarity, String smell, String effect, String meanwhile) {
        public static final Look NOTHING = new Look("", "", "", "", "");
    }

    /** An earlier event did not happen after all. */
    record Undone(UUID id, Instant at, UUID event) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.undone(this);
        }
    }

    /** The cup is ready. */
    record Finished(UUID id, Instant at) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.finished(this);
        }
    }

    /** The cook gave up. */
    record Abandoned(UUID id, Instant at, String why) implements BrewEvent {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.abandoned(this);
        }
    }

    /** Events that still count: without those undone and without repeats, in the order they were recorded. */
    static List<BrewEvent> standing(List<BrewEvent> events) {
        var undone = events.stream()
                .filter(e -> e instanceof Undone)
                .map(e -> ((Undone) e).event())
                .collect(java.util.stream.Collectors.toSet());
        var seen = new java.util.HashSet<UUID>();
        return events.stream()
                .filter(e -> !(e instanceof Undone) && !undone.contains(e.id()) && seen.add(e.id()))
                .toList();
    }
}
