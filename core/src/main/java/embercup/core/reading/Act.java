package embercup.core.reading;

/** What a cook does. */
enum Act {
    HEAT,
    BOIL,
    SIMMER,
    REDUCE,
    TURN_DOWN,
    STEEP,
    STAND,
    MACERATE,
    COOL,
    STRAIN,
    PRESS,
    POUR,
    ADD,
    COVER,
    UNCOVER,
    OFF,
    STIR,
    SHAKE,
    BLEND,
    COMBINE,
    AGAIN,
    DISCARD,
    FINISH,
    DRINK,
    KEEP,
    MAKE,
    DECANT
}
