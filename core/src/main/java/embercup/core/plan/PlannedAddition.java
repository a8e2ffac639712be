package embercup.core.plan;

import embercup.core.dose.UsualDose;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.HerbMeasure.Nearest;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Mass;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.recipe.Addition;
import java.util.List;
import java.util.Optional;

/**
 * One line of the measures. Immutable.
 *
 * @param stage index of the stage at whose start it goes in
 * @param measured how it is measured out
 * @param said the amount as the cook's school says a dose
 * @param beside what stands beside the amount
 * @param leftShare share of the herb that it still has to give, 0–1; 1 unless it is spent
 * @param beside what stands beside the amount
 * @param blend the blend of the house with which it is measured out; empty for a herb by itself
 */
public record PlannedAddition(
        Of of,
        int stage,
        Grams amount,
        Measured measured,
        Prepared prepared,
        Where goes,
        Said said,
        double leftShare,
        Beside beside,
        Optional<OfBlend> blend) {

    /**
     * The blend of the house that a herb is measured out with: the same for all herbs of one line of the recipe.
     *
     * @param line index of the blend in the recipe as it is written
     * @param leads whether the herb is the first of it: what is said of the blend is said there
     * @param amount of the whole blend
     * @param measured how the whole blend is measured out
     * @param beside what stands beside the amount of the blend; what is usual of it is what is usual of its herbs, by their shares
     */
    public record OfBlend(HerbName name, int line, boolean leads, Grams amount, Measured measured, Beside beside) {

        /** The same at a herb that follows the first. */
        OfBlend following() {
            return new OfBlend(name, line, false, amount, measured, beside);
        }
    }

    /** What milk and juice that are stirred into the cups add to them, all cups together, mL. */
    static double stirredInMl(List<PlannedAddition> additions) {
        return additions.stream().mapToDouble(a -> a.goes().broughtMl()).sum();
    }

    /** What the cook takes in hand for it: the herb itself, or the blend that it is in. */
    public HerbName inHand() {
        return blend.map(OfBlend::name).orElse(of.herb);
    }

    /** Slug of what the cook takes in hand for it. */
    public String taken() {
        return inHand().slug();
    }

    /** Whether it is measured out here: a herb by itself, or a blend at the first of its herbs. */
    public boolean measuredOut() {
        return blend.map(OfBlend::leads).orElse(true);
    }

    /** How much is measured out, g: of the herb itself, or of the blend that it is in. */
    public Grams outG() {
        return blend.map(OfBlend::amount).orElse(amount);
    }

    /** How that is measured out. */
    public Measured out() {
        return blend.map(OfBlend::measured).orElse(measured);
    }

    PlannedAddition with(OfBlend other) {
        return new PlannedAddition(
                of, stage, amount, measured, prepared, goes, said, leftShare, beside, Optional.of(other));
    }

    /**
     * What stands beside the amount.
     *
     * @param usualPerCup usual single dose of this drinker in a cup, g of this form; empty when none is published, and for a child
     *     that gets nothing
     * @param shareOfAdult this drinker's share of what the recipe has in a cup, above 0–1
     * @param optional whether the recipe may go without it
     * @param or what the recipe has instead of it
     * @param to upper end of a range that the recipe says, as the cook measures it; empty for one amount
     */
    public record Beside(
            Optional<UsualDose.Range> usualPerCup,
            double shareOfAdult,
            boolean optional,
            List<HerbName> or,
            Optional<KitchenAmount> to) {
        static final Beside NOTHING = new Beside(Optional.empty(), 1, false, List.of(), Optional.empty());

        /** Whoever gets nothing of it has no share to go by: the adult's stands for it. */
        public Beside {
            or = List.copyOf(or);
            shareOfAdult = shareOfAdult > 0 ? shareOfAdult : 1;
        }

        /** What the recipe must have in a cup, g, so that this drinker gets the middle of what is usual. */
        public Optional<Double> usualAsWrittenG() {
            return usualPerCup.map(u -> u.middleG() / shareOfAdult);
        }
    }

    /** On which side of the usual cup the amount is; empty within it, of what goes into the cup, and where nothing is published. */
    public Optional<UsualDose.Side> againstUsual() {
        return perCup() ? Optional.empty() : beside.usualPerCup().flatMap(u -> u.side(amount.perCup()));
    }

    /** The same of a blend, at the first of its herbs. */
    public static Optional<UsualDose.Side> againstUsual(OfBlend blend) {
        return blend.beside.usualPerCup().flatMap(u -> u.side(blend.amount.perCup()));
    }

    /** Those that are brewed, not stirred into the cup: one for each charge of the pot, in its order. */
    static List<PlannedAddition> brewed(List<PlannedAddition> additions) {
        return additions.stream().filter(a -> !a.perCup()).toList();
    }

    /** What is usual of its herb in its form. */
    UsualDose usual(Materia materia, Tradition tradition) {
        return new UsualDose(materia, materia.herb(herb(), "herb"), form(), tradition);
    }

    /** Which herb, fresh or dried, and how cut. */
    public record Of(HerbName herb, Form form, Cut cut) {}

    /**
     * How much, g.
     *
     * @param best best amount for the whole pot
     * @param low when measured by the kitchen measure and light-handed
     * @param high when measured by the kitchen measure and heavy-handed
     * @param perCup for one cup
     */
    public record Grams(double best, double low, double high, double perCup) {}

    /**
     * How it is measured out.
     *
     * @param measure kitchen measure, of the pot, or of one cup when it goes into each
     * @param toEachCup whether it is measured into each of several cups
     * @param weigh whether the spread of the kitchen measure crosses a dose limit
     * @param into which cups it goes into, of several
     * @param nearest what was used because the materia has no weight for this cut or form
     */
    public record Measured(
            KitchenAmount measure, boolean toEachCup, boolean weigh, Optional<Nearest> nearest, Addition.Into into) {}

    /**
     * What is done to it first.
     *
     * @param steps in the cook's words, in order; empty when nothing
     * @param comminution the cut to be made beside them; empty when they say it or there is none
     * @param skin what becomes of the skin; empty when it has none
     * @param restS how long it then rests before heat, s
     */
    public record Prepared(List<String> steps, Optional<Cut> comminution, Optional<Skin> skin, double restS) {
        static final Prepared NOT = new Prepared(List.of(), Optional.empty(), Optional.empty(), 0);

        public Prepared {
            steps = List.copyOf(steps);
        }
    }

    /** What becomes of a skin. */
    public enum Skin {
        PEELED,
        LEFT_ON
    }

    /**
     * Where it goes.
     *
     * @param perCup whether it goes into each cup instead of the pot
     * @param inCup how warm the cup is for it; empty when that does not matter
     * @param broughtMl what it adds to the cups, all together, mL: milk and juice fill them
     */
    public record Where(boolean perCup, Optional<Gate> inCup, double broughtMl) {}

    /** How warm a cup is for what is stirred into it. @param above warmer than that, else cooler */
    public record Gate(Temperature at, boolean above) {}

    /** The amount as the cook's school says a dose. A closed family; immutable. */
    public sealed interface Said {
        /** Grams to a volume: of the monographs' cup, of a concentrate. */
        record ToVolume(Mass grams, Volume volume, boolean concentrate) implements Said {}

        /** Grams a day. */
        record ADay(Mass grams) implements Said {}

        /** Grams to a pot that ends at a volume. */
        record ToPot(Mass grams, Volume ends) implements Said {}

        /** A kitchen measure to a cup. */
        record ToCup(KitchenAmount measure) implements Said {}
    }

    /** Slug of the herb. */
    public String herb() {
        return of.herb.slug();
    }

    public String common() {
        return of.herb.common();
    }

    public Form form() {
        return of.form;
    }

    public Cut cut() {
        return of.cut;
    }

    public double grams() {
        return amount.best;
    }

    public double lowG() {
        return amount.low;
    }

    public double highG() {
        return amount.high;
    }

    public double perCupG() {
        return amount.perCup;
    }

    public boolean weigh() {
        return measured.weigh;
    }

    public boolean perCup() {
        return goes.perCup;
    }

    /** The same herb, brewed and strained once. */
    PlannedAddition spent(double left) {
        Measured strained =
                new Measured(new KitchenAmount.AsStrained(), false, false, measured.nearest, Addition.Into.EACH_CUP);
        return new PlannedAddition(
                of, stage, amount, strained, Prepared.NOT, goes, said, left, Beside.NOTHING, Optional.empty());
    }
}
