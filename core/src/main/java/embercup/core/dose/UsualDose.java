package embercup.core.dose;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.Herb.Sourced;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.Optional;

/**
 * What is usual of one herb in one form: what is published for that form, and else what is published for the other form with
 * the same dry matter. Immutable.
 *
 * @param tradition of the recipe
 */
public record UsualDose(Materia materia, Herb herb, Form form, Tradition tradition) {

    /** Highest single dose, g of this form; empty when none is published of either form. */
    public Optional<Workings> highestInCup() {
        return range().map(d -> inForm(
                d.form(), Workings.sourced(Term.USUAL_HIGHEST, d.perCupG().high(), "g", d.source())));
    }

    /** The usual single dose in a cup, from lowest to highest, g. */
    public record Range(double lowG, double highG, String source) {

        /** What rounding to a kitchen's measures may move an amount without leaving the range. */
        private static final double ROUNDING = 0.02;

        /** Its middle, g: what is taken when nothing else is said. */
        public double middleG() {
            return (lowG + highG) / 2;
        }

        /** The same for somebody who takes a share of an adult's dose. */
        public Range times(double share) {
            return new Range(lowG * share, highG * share, source);
        }

        /** On which side of the range an amount is; empty within it. */
        public Optional<Side> side(double grams) {
            if (grams < lowG * (1 - ROUNDING)) {
                return Optional.of(Side.LESS);
            }
            return grams > highG * (1 + ROUNDING) ? Optional.of(Side.MORE) : Optional.empty();
        }
    }

    /** Less or more than is usual. */
    public enum Side {
        LESS,
        MORE
    }

    /** Lowest and highest single dose, g of this form; empty when none is published of either form. */
    public Optional<Range> inCup() {
        return range().map(d -> {
            Workings high = inForm(
                    d.form(), Workings.sourced(Term.USUAL_HIGHEST, d.perCupG().high(), "g", d.source()));
            double share = high.value() / d.perCupG().high();
            return new Range(d.perCupG().low() * share, high.value(), d.source());
        });
    }

    /** Middle of the usual single dose, g of this form; empty when none is published of either form. */
    public Optional<Workings> middleOfCup() {
        return range().map(d -> inForm(
                d.form(),
                Workings.sourced(
                        Term.USUAL_MIDDLE, (d.perCupG().low() + d.perCupG().high()) / 2, "g", d.source())));
    }

    /** Largest daily amount, g of this form; empty when none is published of either form. */
    public Optional<Workings> mostInDay() {
        Optional<Sourced> own = herb.mostPerDayG(tradition, form);
        Form published = own.isPresent() ? form : form.other();
        return own.or(() -> herb.mostPerDayG(tradition, published))
                .map(m -> inForm(published, Workings.sourced(Term.MOST_IN_A_DAY, m.value(), "g", m.source())));
    }

    /**
     * The amount of a day that is a limit and not only a custom, g of this form: of a monograph, or of the tradition that the
     * recipe is of; empty when only the handbooks' usual day is known.
     */
    public Optional<Workings> limitOfDay() {
        boolean published = herb.doses().stream()
                .anyMatch(d -> d.tradition() == Tradition.MONOGRAPH
                        || d.tradition() == tradition && tradition != Tradition.FOLK);
        return published ? mostInDay() : Optional.empty();
    }

    /** How many cups of it are drunk in a day at most; empty when nothing is published. */
    public Optional<Double> mostCupsInDay() {
        return range().map(d -> d.timesADay().high());
    }

    /** The range of this form, or else of the other: its own form says which. */
    Optional<DoseRange> range() {
        return herb.dose(tradition, form).or(() -> herb.dose(tradition, form.other()));
    }

    private Workings inForm(Form published, Workings grams) {
        if (published == form) {
            return grams;
        }
        Workings share = Workings.given(Term.DRIED_SHARE, HerbMeasure.driedShare(materia, herb), "")
                .of(herb.common());
        Workings same = form == Form.FRESH
                ? Workings.quotient(grams.term(), "g", grams, share)
                : Workings.product(grams.term(), "g", grams, share);
        return same.from(grams.source());
    }
}
