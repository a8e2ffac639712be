package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.measure.Quantity;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One herb of a recipe, for the recipe's own cups. Immutable.
 *
 * @param herb slug in the materia
 * @param stage index of the stage at whose start it goes in, from 0
 * @param prep how the recipe has it prepared, in its own words; empty for the materia's
 * @param open what the recipe leaves to the cook
 * @param spooned the blend of the house with which it is measured out; empty for a herb by itself, and for a blend that is not
 *     opened yet
 */
public record Addition(
        String herb,
        Form form,
        Cut cut,
        Quantity quantity,
        int stage,
        String prep,
        Open open,
        Optional<Spooned> spooned) {

    /**
     * A herb of a blend that goes in with all others of it.
     *
     * @param line index of the blend in the recipe as it is written
     * @param whole how much of the blend, for the recipe's own cups
     * @param share of the herb in the weight of the blend, 0–1
     */
    public record Spooned(HerbName blend, int line, Quantity whole, double share) {}

    /**
     * What a recipe leaves to the cook.
     *
     * @param amountTo upper end of a range, in the unit of the quantity, whose amount is the lower; empty for one amount
     * @param optional whether it may be left out
     * @param or what may go in instead, each with its own amount
     * @param into which cups it goes into, when it goes into cups; its amount is always for all of them
     */
    public record Open(OptionalDouble amountTo, boolean optional, List<Addition> or, Into into) {

        public static final Open NOTHING = new Open(OptionalDouble.empty(), false, List.of(), Into.EACH_CUP);

        public Open {
            or = List.copyOf(or);
        }
    }

    /** Which cups something is stirred into: each, the one that is drunk at once, or those for later, when they are warmed. */
    public enum Into {
        EACH_CUP,
        FIRST_CUP,
        LATER_CUPS;

        /** How many of so many cups; a pot of one has none for later. */
        public double of(double cups) {
            return switch (this) {
                case EACH_CUP -> cups;
                case FIRST_CUP -> Math.min(1, cups);
                case LATER_CUPS -> Math.max(0, cups - 1);
            };
        }
    }

    public Addition(String herb, Form form, Cut cut, Quantity quantity, int stage, String prep, Open open) {
        this(herb, form, cut, quantity, stage, prep, open, Optional.empty());
    }

    /** What the cook takes in hand for it: the herb itself, or the blend that it is in. */
    public String taken() {
        return spooned.map(s -> s.blend.slug()).orElse(herb);
    }

    public Addition(String herb, Form form, Cut cut, Quantity quantity, int stage, String prep) {
        this(herb, form, cut, quantity, stage, prep, Open.NOTHING);
    }

    /** Prepared as the materia has it. */
    public Addition(String herb, Form form, Cut cut, Quantity quantity, int stage) {
        this(herb, form, cut, quantity, stage, "");
    }

    /** The same, going in at another stage; what may stand in for it goes in there too. */
    public Addition at(int otherStage) {
        List<Addition> or = open.or.stream().map(a -> a.at(otherStage)).toList();
        return new Addition(
                herb,
                form,
                cut,
                quantity,
                otherStage,
                prep,
                new Open(open.amountTo, open.optional, or, open.into),
                spooned);
    }

    /** The same, in another amount: no range any more. */
    public Addition of(Quantity other) {
        Open fixed = new Open(OptionalDouble.empty(), open.optional, open.or, open.into);
        return new Addition(herb, form, cut, other, stage, prep, fixed, spooned);
    }

    /** Out of its jar: neither dried nor cut. */
    Addition asItComes() {
        return new Addition(herb, Form.FRESH, Cut.WHOLE, quantity, stage, prep, open, spooned);
    }

    /** So many times of it; no range any more. */
    public Addition times(double factor) {
        Addition other = of(quantity.times(factor));
        return other.spooned(spooned.map(s -> new Spooned(s.blend, s.line, s.whole.times(factor), s.share)));
    }

    /** The same, measured out with a blend. */
    public Addition spooned(Optional<Spooned> with) {
        return new Addition(herb, form, cut, quantity, stage, prep, open, with);
    }

    /** As it is written in the recipe: the blend in place of a herb of it. */
    public Addition closed() {
        return spooned.map(s -> new Addition(s.blend.slug(), Form.DRIED, Cut.CHOPPED, s.whole, stage, prep, open))
                .orElse(this);
    }

    public Addition prepared(String words) {
        return new Addition(herb, form, cut, quantity, stage, words, open, spooned);
    }

    public Addition leaving(Open other) {
        return new Addition(herb, form, cut, quantity, stage, prep, other, spooned);
    }
}
