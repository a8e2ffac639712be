package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.measure.Unit.Dimension;

/** What a herb usually is in a kitchen: its form, its cut, and how much of it goes into a cup. Stateless. */
public final class UsualAddition {

    private UsualAddition() {}

    /** Dried, but for what is only known fresh and what stands in the pantry. */
    public static Form form(Herb herb) {
        return herb.part() == PlantPart.PANTRY || knows(herb, Form.FRESH) && !knows(herb, Form.DRIED)
                ? Form.FRESH
                : Form.DRIED;
    }

    /** Whether anything is known of a herb in a form: a weight, a piece, a dose. */
    public static boolean knows(Herb herb, Form form) {
        return herb.bulk().stream().anyMatch(b -> b.form() == form)
                || herb.pieces().stream().anyMatch(p -> p.form() == form && p.unit() != Unit.BAG)
                || herb.doses().stream().anyMatch(d -> d.form() == form);
    }

    /** The coarsest cut that a spoon of it is known in; whole where it is counted. */
    public static Cut cut(Herb herb, Form form, Unit unit) {
        if (unit == Unit.SLICE) {
            return Cut.SLICED;
        }
        if (unit.dimension() == Dimension.COUNT || herb.part() == PlantPart.PANTRY) {
            return Cut.WHOLE;
        }
        return herb.bulk().stream()
                .filter(b -> b.form() == form)
                .map(Herb.Bulk::cut)
                .min(java.util.Comparator.naturalOrder())
                .orElse(herb.part() == PlantPart.SEED ? Cut.WHOLE : herb.part().hard() ? Cut.SLICED : Cut.CHOPPED);
    }

    /** The middle of the usual single dose, to the tenth of a gram; a teaspoon of what has none. */
    public static Quantity perCup(Herb herb, Form form) {
        if (herb.part() == PlantPart.PANTRY) {
            return Quantity.of(1, Unit.TEASPOON);
        }
        return herb.dose(Tradition.FOLK, form)
                .map(d -> Quantity.of(tenths((d.perCupG().low() + d.perCupG().high()) / 2), Unit.GRAM))
                .orElseGet(() -> Quantity.of(1, Unit.TEASPOON));
    }

    private static double tenths(double grams) {
        return Math.max(0.1, Math.rint(grams * 10) / 10);
    }
}
