package embercup.core.materia;

/** What of the plant is in the tin. Decides the usual method, the water kept and how fast it gives. */
public enum PlantPart {
    FLOWER(false),
    LEAF(false),
    HERB(false),
    SEED(false),
    PEEL(false),
    FRUIT(true),
    BULB(false),
    ROOT(true),
    RHIZOME(true),
    BARK(true),
    TWIG(true),
    FUNGUS(true),
    RESIN(true),
    /** Kitchen ingredients that are not steeped: honey, juice, milk, fat, salt. */
    PANTRY(false),
    /** Several herbs mixed by the cook: what there is to say of it is said of each of them. */
    BLEND(false);

    private final boolean hard;

    PlantPart(boolean hard) {
        this.hard = hard;
    }

    /** Hard parts are decocted from cold water; tender parts are infused (common practice, no source). */
    public boolean hard() {
        return hard;
    }
}
