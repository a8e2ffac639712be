package embercup.core.reading;

/** What a word can be about. A language's file says which words are; see {@link Language}. */
enum Kind {
    /** Holds a sentence together and says nothing by itself. */
    GLUE,
    AND,
    BY,
    LAST,
    OR,
    RANGE,
    EACH,
    ABOUT,
    NUMBER,
    FEW,
    /** "To taste": an amount that nobody knows before. */
    TASTE,
    LITTLE,
    FULL,
    SIZE,
    OPTIONAL,
    PER_CUP,
    UNIT,
    FORM,
    CUT,
    FINELY,
    PREP,
    PART,
    /** The liquor, by any name. */
    TEA,
    WATER,
    FRESH_WATER,
    STATE,
    MENSTRUUM,
    TIME,
    /** A length of time by a name: overnight. */
    SPAN,
    DEGREE,
    ACT,
    DRUNK_WHOLE,
    LID,
    FLAME,
    BELOW_BOIL,
    PLACE,
    UNTIL,
    LEFT,
    ALL,
    SAME,
    EQUAL,
    OF_IT,
    VESSEL,
    HEADSPACE,
    ABOVE,
    TIMES,
    PER_DAY,
    A_DAY,
    EACH_MEAL,
    MOMENT,
    WHEN,
    FOR,
    DAYS_ON,
    PAUSE,
    AT_MOST,
    CHILD,
    ADULTS,
    PEOPLE,
    YEARS,
    NOT,
    COND,
    HEADING,
    TITLE,
    /** A herb of the materia. */
    NAME,
    /** Punctuation. */
    MARK,
    UNKNOWN;

    /** Whether words that have it are compared without the ending of a verb. */
    boolean verb() {
        return this == ACT || this == CUT || this == PREP;
    }
}
