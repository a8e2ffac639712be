package embercup.core.keeping;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import java.time.LocalDate;
import java.util.Optional;

/** How long a herb or a thing of the pantry is good in the house. */
public final class ShelfLife {

    /** A fresh plant keeps about a week on the counter (common practice, no source), days. */
    static final int FRESH_DAYS = 7;

    /** 365.25 ÷ 12. */
    private static final double DAYS_A_MONTH = 30.4375;

    private ShelfLife() {}

    /**
     * The last day it is at its best: of what is dried, and of honey, fat, milk and the like, by its own time; of a fresh plant about
     * a week.
     *
     * @return empty when its time is not known
     */
    public static Optional<LocalDate> until(Herb herb, Form form, LocalDate filledOn) {
        boolean pantry = herb.part() == PlantPart.PANTRY;
        if (form == Form.FRESH && !pantry) {
            return Optional.of(filledOn.plusDays(FRESH_DAYS));
        }
        return herb.keepsMonths().map(m -> filledOn.plusDays(Math.round(m.value() * DAYS_A_MONTH)));
    }
}
