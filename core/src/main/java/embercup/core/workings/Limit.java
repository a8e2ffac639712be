package embercup.core.workings;

/**
 * The numbers that a kitchen can have: the one home of every range that a field may be in. Both ends belong to it. All are
 * design values of a household kitchen unless their comment names a source.
 */
public enum Limit {
    /** Cups of a recipe or of an order. */
    CUPS(1, 40, "cups"),
    /** What is drunk at a time of a concentrate, before it is thinned. */
    SERVING_ML(2, 1000, "mL"),
    CUP_ML(30, 1000, "mL"),
    /** Which act of a cup out of a jar. */
    CUP_ACT(0, 40, ""),
    /** Starting water, or the volume a stage goes to: a pot, a bucket; nothing larger stands on a kitchen stove. */
    WATER_ML(10, 60_000, "mL"),
    /** Nobody puts more than this of one herb into a kitchen pot. */
    HERB_G(0, 5000, "g"),
    /** Pages of a notebook that can be turned to. */
    PAGE(0, 100_000, ""),
    ADDITIONS(1, 60, "herbs"),
    /** What may go in instead of one herb. */
    INSTEAD(0, 6, "herbs"),
    STAGES(1, 40, "stages"),
    NOTES(0, 60, "notes"),
    /** Answers to the questions of a text. */
    ANSWERS(0, 400, "answers"),
    /** Index of a line of a text. */
    TEXT_LINE(0, 20_000, ""),
    /** How far below the rim, or above the herbs, a vessel is filled. */
    FILL_CM(0.5, 30, "cm"),
    /** How long something keeps, as a recipe says. */
    KEEPS_DAYS(0.25, 3650, "days"),
    /** Parts of water to one of a concentrate. */
    DILUTION_PARTS(0, 20, "parts"),
    /** From the weakest spirit in which a tincture keeps (herbal handbooks, mem) to the strongest that distilling gives. */
    SPIRIT_PERCENT(25, 96, "%"),
    /** A boil or a simmer: at most a day. */
    FLAME_MIN(0.1, 24 * 60, "min"),
    /** Whatever stands: at most ten weeks, the longest tincture. */
    STAND_MIN(0.1, 70 * 24 * 60, "min"),
    /** Kept below the boil: from where herbs still give to where bubbles rise. */
    HOLD_C(40, 98, "°C"),
    HEAT_C(20, 105, "°C"),
    POUR_C(20, 100, "°C"),
    MACERATE_C(0, 95, "°C"),
    COOL_C(5, 95, "°C"),
    /** From a few drops of a tincture on. */
    CUPS_A_DAY(0.001, 12, "cups"),
    /** Servings of somebody who drinks of a pot beside its drinker: up to one every hour while awake. */
    SERVINGS_A_DAY(0.001, 15, "times"),
    DAYS_ON(1, 365, "days"),
    DAYS_OFF(0, 365, "days"),
    /** Days that the house looks ahead. */
    WEEK_DAYS(1, 31, "days"),
    /** Labels of one thing. */
    LABEL_COPIES(1, 48, "labels"),
    /** Places of a sheet that are used already. */
    LABELS_USED(0, 23, "labels"),
    /** Labels that are printed at once. */
    LABELS(1, 480, "labels"),
    /** Times of a day at which something is taken: every hour while awake. */
    DOSES_A_DAY(1, 15, "times"),
    /** Hours between two doses of a day. */
    EVERY_HOURS(1, 14, "h"),
    /** What is not taken daily. */
    CUPS_A_WEEK(0.25, 40, "cups"),
    /** How others than a healthy adult take it. */
    TAKING_ROWS(0, 12, "rows"),
    /** A dose beyond what is usual is a matter of days: after four weeks a practitioner sees her patient again. */
    PRESCRIBED_DAYS(1, 28, "days"),
    TRIMESTER(1, 3, ""),
    /** Who drinks of a pot beside its drinker. */
    SHARERS(0, 8, "drinkers"),
    AGE_YEARS(0, 120, "years"),
    WEIGHT_KG(2, 300, "kg"),
    ALTITUDE_M(-400, 5000, "m"),
    ROOM_C(-10, 45, "°C"),
    TAP_C(0, 60, "°C"),
    KETTLE_W(300, 4000, "W"),
    BURNER_W(20, 6000, "W"),
    VESSEL_CM(3, 60, "cm"),
    /** A brim that the diameter and height could have, as a share of the cylinder they make. */
    BRIM_SHARE(0.5, 1.3, ""),
    LIANG_G(1, 60, "g"),
    /** A drinker's own factor on the dose. */
    TASTE(0.5, 2, ""),
    /** An amount as somebody says it. Above it is a slip of the key; below it nothing can be measured in any unit. */
    AMOUNT(0.001, 1_000_000, ""),
    SPOON_G(0.02, 20, "g"),
    TIN_G(0, 100_000, "g"),
    /** A blend that is mixed at once: a pinch to a sack. */
    MIXED_G(1, 10_000, "g"),
    CALIBRATION_ML(200, 5000, "mL"),
    CALIBRATION_HEAT_S(30, 3600, "s"),
    BOILED_OFF_ML(5, 2000, "mL"),
    BOILED_OFF_S(60, 3600, "s"),
    READ_C(-20, 130, "°C"),
    READ_ML(0, 60_000, "mL"),
    READ_G(0, 60_000, "g"),
    READ_CM(0, 60, "cm"),
    POURED_ML(1, 60_000, "mL"),
    /** Felt strength, from far too weak to far too strong. */
    FELT(-2, 2, ""),
    LIKING(1, 5, ""),
    /** A phone that was away longer than a hundred days has nothing to tell of a brew. */
    EVENT_AGE_S(0, 100 * 24 * 3600, "s"),
    CLOCK_SPEED(1, 120, "times"),
    SCALE_G(0, 5000, "g"),
    PLANS(1, 12, "plans"),
    /** Index of a stage. */
    STAGE(0, 39, ""),
    /** What any stage may go to; every kind has narrower ends of its own. */
    STAGE_C(0, 105, "°C"),
    /** Whatever an instrument can read; every reading has narrower ends of its own. */
    READING(-20, 60_000, ""),
    /** From an espresso cup to the largest cylinder that {@link #VESSEL_CM} makes. */
    BRIM_ML(20, 180_000, "mL"),
    /** A part of a whole. */
    SHARE(0, 1, ""),
    /** How many times of a herb an order takes: more than this is another recipe. */
    TIMES_OF_HERB(0, 4, ""),
    /** Herbs that an order changes or confirms. */
    CHANGES(0, 60, "herbs"),
    /** Herbs of a blend of the house. */
    PORTIONS(2, 24, "herbs"),
    OWN_WEIGHTS(0, 20, "weights"),
    OWN_CAUTIONS(0, 40, "cautions"),
    /** A single dose that the cook enters. */
    OWN_DOSE_G(0.01, 60, "g");

    private final double low;
    private final double high;
    private final String unit;

    Limit(double low, double high, String unit) {
        this.low = low;
        this.high = high;
        this.unit = unit;
    }

    public double low() {
        return low;
    }

    public double high() {
        return high;
    }

    /** Symbol of the unit, or a word; empty for a bare number. */
    public String unit() {
        return unit;
    }

    /** Whether a number lies inside; a NaN does not. */
    public boolean holds(double value) {
        return value >= low && value <= high;
    }
}
