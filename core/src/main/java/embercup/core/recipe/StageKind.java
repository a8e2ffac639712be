package embercup.core.recipe;

import embercup.core.workings.Code;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The kinds of stages, and what a stage of each says when nobody says otherwise (common practice, no source). The code is the name
 * in documents. Whoever needs to know what a kind can do asks here: reader, planner, server, and the interface, for which it is
 * generated ({@code web/src/api/stages.gen.ts}).
 */
public enum StageKind {
    HEAT(Usual.NOTHING.on(Flame.HIGH).lid(true).anyC()),
    POUR(Usual.NOTHING.anyC()),
    BOIL(Usual.NOTHING.minutes(5).on(Flame.MEDIUM).lid(false)),
    SIMMER(Usual.NOTHING.minutes(20).on(Flame.LOW).lid(true)),
    HOLD(Usual.NOTHING.minutes(20).toC(85).on(Flame.LOW).lid(true)),
    REDUCE(Usual.NOTHING.toMl(480).on(Flame.MEDIUM).lid(false)),
    STEEP(Usual.NOTHING.minutes(10).lid(true)),
    MACERATE(Usual.NOTHING.minutes(8 * 60).lid(true).anyC()),
    REST(Usual.NOTHING.minutes(5).lid(true)),
    COOL(Usual.NOTHING.toC(60).lid(false)),
    STRAIN(Usual.NOTHING),
    REFILL(Usual.NOTHING.toMl(480)),
    COMBINE(Usual.NOTHING),
    FINISH(Usual.NOTHING),
    STIR(Usual.NOTHING),
    SHAKE(Usual.NOTHING),
    BLEND(Usual.NOTHING);

    private final Usual usual;

    StageKind(Usual usual) {
        this.usual = usual;
    }

    /**
     * What a stage says when nobody says otherwise. What a kind does not say is empty.
     *
     * @param minutes how long, min
     * @param toMl to which volume, mL
     * @param toC to which temperature, °C
     * @param degrees whether it may say a temperature; without a usual one it is the boil, or the tap
     * @param flame on which flame; empty off the heat
     * @param lid whether the lid is on; empty where there is none to put on
     */
    public record Usual(
            OptionalDouble minutes,
            OptionalDouble toMl,
            OptionalDouble toC,
            boolean degrees,
            Optional<Flame> flame,
            Optional<Boolean> lid) {

        private static final Usual NOTHING = new Usual(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                false,
                Optional.empty(),
                Optional.empty());

        private Usual minutes(double value) {
            return new Usual(OptionalDouble.of(value), toMl, toC, degrees, flame, lid);
        }

        private Usual toMl(double value) {
            return new Usual(minutes, OptionalDouble.of(value), toC, degrees, flame, lid);
        }

        private Usual toC(double value) {
            return new Usual(minutes, toMl, OptionalDouble.of(value), true, flame, lid);
        }

        private Usual anyC() {
            return new Usual(minutes, toMl, toC, true, flame, lid);
        }

        private Usual on(Flame value) {
            return new Usual(minutes, toMl, toC, degrees, Optional.of(value), lid);
        }

        private Usual lid(boolean on) {
            return new Usual(minutes, toMl, toC, degrees, flame, Optional.of(on));
        }
    }

    public Usual usual() {
        return usual;
    }

    /** Whether it lasts as long as it says, and not until something is reached. */
    public boolean timed() {
        return usual.minutes.isPresent();
    }

    /** Whether a flame burns under it. */
    public boolean onFlame() {
        return usual.flame.isPresent();
    }

    /** Whether a lid may be put on it. */
    public boolean hasLid() {
        return usual.lid.isPresent();
    }

    /** The flame, unless it is said. @throws java.util.NoSuchElementException for a kind off the heat */
    public Flame usualFlame() {
        return usual.flame.orElseThrow();
    }

    /** Whether the lid is on, unless it is said. @throws java.util.NoSuchElementException for a kind without a lid */
    public boolean usuallyCovered() {
        return usual.lid.orElseThrow();
    }

    /** Whether hands or a machine move what stands in the vessel. */
    public boolean worked() {
        return this == STIR || this == SHAKE || this == BLEND;
    }

    /** Whether water of its own may go in with it, beside the recipe's. */
    public boolean takesWater() {
        return this == BLEND;
    }

    /** Whether the liquor boils or simmers in it, with the herbs that are in the pot. */
    public boolean boils() {
        return onFlame() && this != HEAT && this != HOLD;
    }

    /** Whether it makes the liquor hot, however cold it was before. */
    public boolean heats() {
        return onFlame() || this == POUR;
    }

    /** Whether herbs that are in the pot give to the water while it lasts: whatever is timed, and boiling down. */
    public boolean infuses() {
        return timed() || this == REDUCE;
    }

    /** Whether the herbs give while it stands off the heat. */
    public boolean stands() {
        return infuses() && !heats();
    }

    public String code() {
        return Code.of(this);
    }

    public static Optional<StageKind> ofCode(String code) {
        return Arrays.stream(values()).filter(k -> k.code().equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static List<String> codes() {
        return Arrays.stream(values()).map(StageKind::code).toList();
    }
}
