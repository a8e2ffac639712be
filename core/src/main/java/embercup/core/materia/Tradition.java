package embercup.core.materia;

/** The school a dose or a recipe comes from; it sets how the dose is said and the defaults of the method. */
public enum Tradition {
    /** Spoons per cup or jar. */
    FOLK,
    /** Grams per cup of about 150 mL, as European monographs say it. */
    MONOGRAPH,
    /** Grams per day, two boils, liquors combined. */
    CHINESE,
    /** Start and end volume: a kitchen decoction reduced. */
    AYURVEDIC
}
