package embercup.core.keeping;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import java.util.EnumSet;
import java.util.Set;

/** Where a thing stands in the house. */
public enum Place {
    /** Closed, dry and dark. */
    SHELF,
    COUNTER,
    /** Cut branches in a glass of water. */
    WATER,
    /** Closed, and of what is fresh without air. */
    FRIDGE,
    FREEZER;

    private static final Set<PlantPart> WITH_A_STALK =
            EnumSet.of(PlantPart.FLOWER, PlantPart.LEAF, PlantPart.HERB, PlantPart.TWIG);

    /** Where it stands when nobody says it: dried on the shelf, fresh on the counter, what spoils in the fridge. */
    public static Place usual(Herb herb, Form form) {
        if (herb.part() == PlantPart.PANTRY) {
            return Keeping.spoils(herb) ? FRIDGE : SHELF;
        }
        return form == Form.FRESH ? COUNTER : SHELF;
    }

    /** Whether it is a plant that has not been dried. */
    static boolean freshPlant(Herb herb, Form form) {
        return form == Form.FRESH && herb.part() != PlantPart.PANTRY && !herb.mixed();
    }

    /** Whether it can stand here at all: only what has a stalk stands in water, and no fresh plant in a closed tin. */
    public boolean fits(Herb herb, Form form) {
        boolean plant = freshPlant(herb, form);
        return switch (this) {
            case WATER -> plant && WITH_A_STALK.contains(herb.part());
            case SHELF -> !plant;
            case COUNTER -> plant || herb.part() == PlantPart.PANTRY;
            case FRIDGE, FREEZER -> true;
        };
    }
}
