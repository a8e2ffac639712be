package embercup.core.recipe;

import embercup.core.workings.Code;
import java.util.Locale;

/**
 * What draws the herbs: water, or the menstruum of a tincture. Immutable.
 *
 * @param alcoholPercent alcohol by volume, 0–96 %; 0 unless it is a spirit
 */
public record Menstruum(Kind kind, double alcoholPercent) {

    /** Kinds of menstruum. */
    public enum Kind {
        WATER,
        SPIRIT,
        GLYCERIN,
        VINEGAR;

        public String code() {
            return Code.of(this);
        }
    }

    public static final Menstruum WATER = new Menstruum(Kind.WATER, 0);

    /** A day of a tincture: three times 2 mL, about forty drops each (herbal handbooks, mem), mL. */
    public static final double TINCTURE_ML_A_DAY = 6;

    /** Grams of alcohol in a millilitre at 100 % (density of ethanol at 20 °C, from memory). */
    private static final double ETHANOL_G_PER_ML = 0.789;

    public static Menstruum spirit(double alcoholPercent) {
        return new Menstruum(Kind.SPIRIT, alcoholPercent);
    }

    /** Whether it is anything but water: then nothing of the recipe may stand on a flame. */
    public boolean cold() {
        return kind != Kind.WATER;
    }

    /** Alcohol in a millilitre, g. */
    public double alcoholGPerMl() {
        return alcoholPercent / 100 * ETHANOL_G_PER_ML;
    }

    /**
     * How much of a stronger spirit, thinned with water, makes {@code wantedMl} of this strength; the small contraction of
     * mixing (under 4 %) is left out. Formula: volume × strength ÷ strength at hand.
     *
     * @param atHandPercent at least this menstruum's own strength
     * @return mL of the spirit at hand
     * @throws IllegalArgumentException when the spirit at hand is weaker
     */
    public double ofStrongerMl(double wantedMl, double atHandPercent) {
        if (atHandPercent < alcoholPercent) {
            throw new IllegalArgumentException(
                    String.format(Locale.ROOT, "%.0f %% spirit cannot make %.0f %%", atHandPercent, alcoholPercent));
        }
        return atHandPercent == 0 ? 0 : wantedMl * alcoholPercent / atHandPercent;
    }
}
