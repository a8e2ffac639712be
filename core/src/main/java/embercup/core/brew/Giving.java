package embercup.core.brew;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.recipe.Menstruum;

/**
 * How fast a herb infuses into still water at the reference temperature: minutes until half of what it can give is drawn,
 * ln 2 / k. Immutable. Rates: see {@code parts.yaml} and {@code extraction.yaml}.
 */
public record Giving(Cut cut, double bodyMin, double aromaMin, double biteMin) {

    public static Giving of(Materia materia, Herb herb, Form form, Cut cut) {
        Charge charge = Charge.of(materia, herb, form, cut, 1, 0, Menstruum.WATER);
        return new Giving(
                cut,
                half(charge, ExtractClass.BODY),
                half(charge, ExtractClass.AROMA),
                half(charge, ExtractClass.BITE));
    }

    private static double half(Charge charge, ExtractClass extractClass) {
        return Math.log(2) / charge.ratePerS(extractClass) / 60;
    }
}
