package embercup.core.kitchen;

import embercup.core.recipe.Flame;
import embercup.core.workings.InvalidInputException.Check;
import embercup.core.workings.Limit;

/**
 * A burner by the net power that reaches the water, W. Starting values of small and large burners: source key
 * {@code kitchen-heat}; a cook's own measurements replace them.
 */
public record Burner(String name, double lowW, double mediumW, double highW) {

    public static final Burner SMALL = new Burner("small burner", 250, 700, 1200);
    public static final Burner LARGE = new Burner("large burner", 400, 1100, 2000);

    /** Complains of powers that no kitchen has, or that fall from a lower setting to a higher. @param path prefix of the field names */
    public void check(Check check, String path) {
        if (check.range(path + "lowW", lowW, Limit.BURNER_W)) {
            check.range(path + "mediumW", mediumW, lowW, Limit.BURNER_W.high(), "W");
        }
        if (check.range(path + "mediumW", mediumW, Limit.BURNER_W)) {
            check.range(path + "highW", highW, mediumW, Limit.BURNER_W.high(), "W");
        }
    }

    public double watts(Flame flame) {
        return switch (flame) {
            case LOW -> lowW;
            case MEDIUM -> mediumW;
            case HIGH -> highW;
        };
    }
}
