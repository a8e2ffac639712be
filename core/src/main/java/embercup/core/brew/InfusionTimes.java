package embercup.core.brew;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.recipe.Menstruum;
import java.util.List;

/**
 * How fast a herb infuses into still water at the reference temperature: minutes until half of what it can give is drawn,
 * ln 2 / k. Immutable. Rates: see {@code parts.yaml} and {@code extraction.yaml}.
 */
public record InfusionTimes(Cut cut, double bodyMin, double aromaMin, double biteMin) {

    public static InfusionTimes of(Materia materia, Herb herb, Form form, Cut cut) {
        Charge charge = Charge.of(materia, herb, form, cut, 1, 0, Menstruum.WATER);
        return new InfusionTimes(
                cut,
                half(charge, ExtractClass.BODY),
                half(charge, ExtractClass.AROMA),
                half(charge, ExtractClass.BITE));
    }

    /** How a pot is kept while its herbs infuse. */
    public enum Heat {
        /** In water of the room. */
        COLD(20),
        /** Poured on and covered: the mean of the liquor while it stands (estimate). */
        STEEPED(88),
        /** Just under the boil (estimate). */
        SIMMERED(98);

        private final double celsius;

        Heat(double celsius) {
            this.celsius = celsius;
        }

        /** Mean temperature of the liquor, °C. */
        public double celsius() {
            return celsius;
        }

        /** How much faster than still water it draws. */
        public double agitation(ExtractionData data) {
            return this == SIMMERED ? data.speeds().simmer() : 1;
        }
    }

    /** What a herb has given after so long, as shares of what it holds, 0–1. */
    public record Given(double minutes, double body, double aroma, double bite) {}

    /** A spoon or two in a cup (common practice, no source), dry g/mL. */
    private static final double USUAL_CROWD = 2.0 / 150;

    /** How much of it is in the water after each of some minutes. */
    public static List<Given> over(Materia materia, Herb herb, Form form, Cut cut, Heat heat, List<Double> minutes) {
        ExtractionData data = materia.extraction();
        Charge charge = Charge.of(materia, herb, form, cut, 1, 0, Menstruum.WATER);
        return minutes.stream()
                .map(m -> new Given(
                        m,
                        drawn(charge, data, ExtractClass.BODY, heat, m),
                        drawn(charge, data, ExtractClass.AROMA, heat, m),
                        drawn(charge, data, ExtractClass.BITE, heat, m)))
                .toList();
    }

    private static double drawn(Charge charge, ExtractionData data, ExtractClass of, Heat heat, double minutes) {
        return charge.drawnAt(data, of, USUAL_CROWD, heat.celsius, heat.agitation(data) * minutes * 60);
    }

    private static double half(Charge charge, ExtractClass extractClass) {
        return Math.log(2) / charge.ratePerS(extractClass) / 60;
    }
}
