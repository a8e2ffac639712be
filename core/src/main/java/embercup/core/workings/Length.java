package embercup.core.workings;

import java.lang.reflect.Field;
import java.util.Map;
import java.util.TreeMap;

/** How long a text may be, in characters: the one home of every length. Design values. */
public final class Length {

    public static final int NAME = 120;
    public static final int PREP = 80;
    public static final int SLUG = 80;
    public static final int OWN_SLUG = 60;
    public static final int SHORT_NAME = 60;
    public static final int ABOUT = 600;
    public static final int PURPOSE = 40;
    /** A code of the wire: a choice, a step, a unit. */
    public static final int CODE = 40;

    public static final int UNIT = 20;
    public static final int NOTE = 600;
    public static final int REMARK = 400;
    public static final int LINE = 200;
    public static final int USE = 300;
    public static final int HERB_NAME = 80;
    public static final int OCCASION = 80;
    /** Words of one's own on a recipe, how many. */
    public static final int OWN_WORDS = 20;

    /** By what the cook sees that something is done. */
    public static final int SIGN = 120;
    /** A longer text is no recipe. */
    public static final int WRITTEN = 20_000;

    private Length() {}

    /** Every length by its name, characters. */
    public static Map<String, Integer> all() {
        Map<String, Integer> all = new TreeMap<>();
        for (Field length : Length.class.getFields()) {
            try {
                all.put(length.getName(), length.getInt(null));
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        }
        return all;
    }
}
