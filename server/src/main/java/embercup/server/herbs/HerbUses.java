package embercup.server.herbs;

import java.util.List;

/** A place of the household that may name a herb. */
public interface HerbUses {

    /** What names it, as the cook would say it: "the recipe Evening cup"; empty when nothing does. */
    List<String> usesOf(String slug);
}
