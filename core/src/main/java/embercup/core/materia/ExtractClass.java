package embercup.core.materia;

/** The classes of constituents that the brew simulation follows. */
public enum ExtractClass {
    /** The main soluble extract: what "strength" means. */
    BODY,
    /** Volatile oils; lost from an open pot. */
    AROMA,
    /** Bitter and tannic; slow, grows with time. */
    BITE,
    /** Swelling polysaccharides; best drawn cold. */
    MUCILAGE,
    /** Decays with heat. */
    VITAMIN_C
}
