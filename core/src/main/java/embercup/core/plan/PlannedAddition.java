package embercup.core.plan;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import java.util.Optional;

/**
 * One line of the measures.
 *
 * @param herb slug
 * @param common name as the cook says it
 * @param stage index of the stage at whose start it goes in
 * @param perCup whether it goes into each cup instead of the pot
 * @param inCup how warm the cup is for it, "below 40 °C"; empty when that does not matter
 * @param grams best amount for the whole pot, g
 * @param lowG grams when measured by the kitchen measure and light-handed, g
 * @param highG grams when measured by the kitchen measure and heavy-handed, g
 * @param perCupG grams for one cup, g
 * @param measure kitchen measure in words, "2 tsp", or "1 tsp to each cup"
 * @param weigh whether the spread of the kitchen measure crosses a dose limit
 * @param prep what is done to it first; empty when nothing
 * @param said the amount as the cook's school says a dose, "1.5 g to 150 mL"
 * @param leftShare share of the herb that it still has to give, 0–1; 1 unless it is spent
 * @param nearest cut or form whose weight was used because the materia has none for this one
 */
public record PlannedAddition(
        String herb,
        String common,
        Form form,
        Cut cut,
        int stage,
        boolean perCup,
        String inCup,
        double grams,
        double lowG,
        double highG,
        double perCupG,
        String measure,
        boolean weigh,
        String prep,
        String said,
        double leftShare,
        Optional<String> nearest) {

    /** The same herb, brewed and strained once. */
    PlannedAddition spent(double left) {
        return new PlannedAddition(
                herb,
                common,
                form,
                cut,
                stage,
                perCup,
                inCup,
                grams,
                lowG,
                highG,
                perCupG,
                "as strained",
                false,
                "",
                said,
                left,
                nearest);
    }
}
