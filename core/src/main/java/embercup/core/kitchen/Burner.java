package embercup.core.kitchen;

import embercup.core.recipe.Flame;

/**
 * A burner by the net power that reaches the water, W. Starting values of small and large burners: source key
 * {@code kitchen-heat}; a cook's own measurements replace them.
 */
public record Burner(String name, double lowW, double mediumW, double highW) {

    public static final Burner SMALL = new Burner("small burner", 250, 700, 1200);
    public static final Burner LARGE = new Burner("large burner", 400, 1100, 2000);

    public double watts(Flame flame) {
        return switch (flame) {
            case LOW -> lowW;
            case MEDIUM -> mediumW;
            case HIGH -> highW;
        };
    }
}
