package embercup.core.keeping;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Trait;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Standing;
import embercup.core.recipe.Recipe;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * How long what is not drunk at once is good, closed and in the fridge, and why. Immutable.
 *
 * @param because what decides it
 * @param herbs what of the pot decides it; empty when the method alone does
 */
public record Keeping(Because because, List<HerbName> herbs) {

    /**
     * What decides how long something keeps, with the hours that are given for it: the cautious one and the longest (reference
     * values: two hours at room temperature by the US FDA Food Code, mem; the rest common practice, no source).
     */
    public enum Because {
        STOOD_LUKEWARM(0, 0, "food-code"),
        MILK_OR_JUICE(24, 24, "practice"),
        SWEETENED(24, 24, "practice"),
        COLD_MACERATION(24, 24, "practice"),
        INFUSION(24, 48, "practice"),
        DECOCTION(72, 72, "practice"),
        CITRUS_CONCENTRATE(120, 120, "practice");

        private final int hours;
        private final int mostHours;
        private final String source;

        Because(int hours, int mostHours, String source) {
            this.hours = hours;
            this.mostHours = mostHours;
            this.source = source;
        }
    }

    /** What a month or less in the larder is, is fresh. */
    private static final double FRESH_MONTHS = 1;

    public Keeping {
        herbs = List.copyOf(herbs);
    }

    /** Cautious hours in the fridge; 0 when none of it is kept. */
    public int hours() {
        return because.hours;
    }

    /** The longest that is given, h. */
    public int mostHours() {
        return because.mostHours;
    }

    public String source() {
        return because.source;
    }

    /** Empty for what is drawn with spirit, vinegar or glycerin: it keeps for months. */
    public static Optional<Keeping> of(Materia materia, BrewPlan plan) {
        Recipe recipe = plan.request().recipe();
        if (recipe.menstruum().cold()) {
            return Optional.empty();
        }
        List<Herb> inPot = plan.additions().stream()
                .filter(a -> !a.perCup())
                .map(PlannedAddition::herb)
                .distinct()
                .map(slug -> materia.herb(slug, "herb"))
                .toList();
        List<HerbName> fresh = names(inPot, Keeping::spoils);
        List<HerbName> sweet = names(inPot, h -> h.has(Trait.Kind.SUGAR));
        boolean boiled = recipe.stages().stream().anyMatch(s -> s.kind().boils());
        boolean sour = inPot.stream().anyMatch(Herb::sour);
        if (Standing.lukewarmHours(plan) > Standing.MOST_H) {
            return Optional.of(new Keeping(Because.STOOD_LUKEWARM, List.of()));
        } else if (recipe.dilutionParts() > 0 && sour) {
            return Optional.of(new Keeping(Because.CITRUS_CONCENTRATE, names(inPot, Herb::sour)));
        } else if (!fresh.isEmpty()) {
            return Optional.of(new Keeping(Because.MILK_OR_JUICE, fresh));
        } else if (!sweet.isEmpty()) {
            return Optional.of(new Keeping(Because.SWEETENED, sweet));
        } else if (boiled) {
            return Optional.of(new Keeping(Because.DECOCTION, List.of()));
        }
        boolean hot = recipe.stages().stream().anyMatch(s -> s.kind().heats());
        return Optional.of(new Keeping(hot ? Because.INFUSION : Because.COLD_MACERATION, List.of()));
    }

    /** Whether it is a thing of the pantry that does not keep: milk, juice. */
    static boolean spoils(Herb herb) {
        return herb.part() == PlantPart.PANTRY
                && herb.keepsMonths().filter(m -> m.value() <= FRESH_MONTHS).isPresent();
    }

    private static List<HerbName> names(List<Herb> herbs, Predicate<Herb> which) {
        return herbs.stream().filter(which).map(HerbName::of).toList();
    }
}
