package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.measure.Quantity;
import embercup.core.recipe.Addition;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** An addition while its recipe is read. Mutable. */
final class Ingredient {

    final Herb herb;
    Form form;
    Cut cut;
    Quantity quantity;
    OptionalDouble to = OptionalDouble.empty();
    /** Whether the quantity is for each cup, so that the recipe's holds it so many times. */
    boolean eachCup;

    Addition.Into into = Addition.Into.EACH_CUP;

    boolean optional;
    /** Whether the line said an amount at all. */
    boolean amountSaid = true;

    boolean formSaid;
    boolean cutSaid;
    String prep = "";
    int stage = -1;
    final List<Ingredient> or = new ArrayList<>();
    int index;

    Ingredient(Herb herb, Form form, Cut cut, Quantity quantity) {
        this.herb = herb;
        this.form = form;
        this.cut = cut;
        this.quantity = quantity;
    }

    Addition addition(double cups, int at) {
        // What goes into one cup is written for that cup; a line holds it for all of them.
        double times = eachCup || into != Addition.Into.EACH_CUP ? cups : 1;
        List<Addition> others = or.stream().map(i -> i.addition(cups, at)).toList();
        OptionalDouble high = to.isPresent() ? OptionalDouble.of(to.getAsDouble() * times) : to;
        return new Addition(
                herb.slug(),
                form,
                cut,
                quantity.times(times),
                at,
                prep,
                new Addition.Open(high, optional, others, into));
    }
}
