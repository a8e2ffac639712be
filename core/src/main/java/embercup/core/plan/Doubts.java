package embercup.core.plan;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Mass;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What of a recipe looks like a slip: the one home of that rule, for whatever wrote it. Stateless. */
final class Doubts {

    /** Nothing but a maceration stands for longer, min: a day (common practice, no source). */
    private static final double LONGEST_STAND_MIN = 24 * 60;
    /** So many times the highest usual single dose are no strong cup any more (design value). */
    private static final double FAR = 8;
    /** What is stirred into a cup, honey, sugar, milk and their like, is not more than a quarter of it, g (design value). */
    private static final double MOST_STIRRED_G = 60;

    private Doubts() {}

    /** @param notes what was said of the doses: of one that was cut the asked amount is looked at */
    static List<Caution> of(
            Materia materia, PlanRequest request, List<PlannedAddition> additions, List<Caution> notes) {
        List<Caution> all = new ArrayList<>();
        Recipe recipe = request.recipe();
        for (int i = 0; i < recipe.stages().size(); i++) {
            double minutes = standing(recipe.stages().get(i));
            if (minutes > LONGEST_STAND_MIN && !recipe.menstruum().cold()) {
                all.add(new Caution.StandsForDays(i, Math.round(minutes / LONGEST_STAND_MIN * 10) / 10.0));
            }
        }
        Set<String> seen = new HashSet<>();
        Set<String> twice = new HashSet<>();
        for (PlannedAddition a : additions) {
            Herb herb = materia.herb(a.herb(), "herb");
            HerbName name = HerbName.of(herb);
            boolean larder = herb.part() == PlantPart.PANTRY;
            if (a.perCup() && !larder && infusing(herb)) {
                all.add(new Caution.MeetsNoWater(name));
            }
            String line = a.herb() + "|" + a.form() + "|" + a.cut() + "|" + a.stage();
            if (a.blend().isEmpty() && !seen.add(line) && twice.add(line)) {
                all.add(new Caution.SaidTwice(name));
            }
            farBeyond(materia, request, a, asked(a, notes), larder).forEach(all::add);
        }
        return all;
    }

    private static double standing(Stage stage) {
        if (stage instanceof Stage.Rest rest) {
            return rest.minutes();
        }
        return stage instanceof Stage.Steep steep ? steep.minutes() : 0;
    }

    /** What only gives itself to water: leaves, roots and barks; spices, fruits and peels are put into a cup as they are. */
    private static boolean infusing(Herb herb) {
        return switch (herb.part()) {
            case ROOT, RHIZOME, BARK, LEAF, HERB, TWIG -> !herb.brewing().drunkWhole();
            default -> false;
        };
    }

    /** Grams in a cup as they were asked for. */
    private static double asked(PlannedAddition a, List<Caution> notes) {
        return notes.stream()
                .filter(n -> n instanceof Caution.DoseClipped c && c.of().slug().equals(a.herb()))
                .flatMap(n -> ((Caution.DoseClipped) n).clip().stream())
                .mapToDouble(c -> c.asked().grams())
                .findFirst()
                .orElse(a.perCupG());
    }

    private static List<Caution> farBeyond(
            Materia materia, PlanRequest request, PlannedAddition a, double askedG, boolean larder) {
        HerbName name = a.of().herb();
        double perCup = askedG / (1 + request.recipe().dilutionParts());
        if (larder) {
            return a.perCup() && perCup > MOST_STIRRED_G
                    ? List.of(new Caution.FarBeyondUse(name, Mass.grams(perCup), Mass.grams(MOST_STIRRED_G)))
                    : List.of();
        }
        if (request.recipe().menstruum().cold()) {
            return List.of();
        }
        return a.usual(materia, request.recipe().tradition())
                .highestInCup()
                .filter(most -> perCup > FAR * most.value())
                .<List<Caution>>map(
                        most -> List.of(new Caution.FarBeyondUse(name, Mass.grams(perCup), Mass.grams(most.value()))))
                .orElse(List.of());
    }
}
