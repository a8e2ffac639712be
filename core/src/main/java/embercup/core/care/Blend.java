package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Occasion;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Mass;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Reason;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Wanted;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A blend for an occasion from the herbs in the house: up to three that are traditionally used for it, each with its part
 * of its usual dose, brewed as their parts want it. Immutable.
 *
 * @param recipe with stages, ready to be planned
 * @param reasons why each herb is in it, in the recipe's order
 * @param stages why each stage is there
 * @param leftOut herbs of the house that fit the occasion and are left out, and why
 */
public record Blend(Recipe recipe, List<Why> reasons, List<Reason> stages, List<LeftOut> leftOut) {

    /**
     * Why a herb is in it.
     *
     * @param use what it is traditionally used for
     * @param herbs how many share the room
     * @param usual middle of its usual single dose
     */
    public record Why(HerbName herb, String use, int herbs, Mass usual) {}

    /** A herb of the house that fits and is left out. */
    public record LeftOut(HerbName herb, Because because) {}

    /** Why a herb is left out. */
    public enum Because {
        NOT_FOR_DRINKER,
        NO_USUAL_DOSE,
        DRAWN_COLD
    }

    private static final int MOST_HERBS = 3;

    public Blend {
        reasons = List.copyOf(reasons);
        stages = List.copyOf(stages);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * @param house slugs of the herbs that are there, dried
     * @throws InvalidInputException when nothing in the house fits occasion and drinker
     */
    public static Blend of(
            Materia materia, Occasion occasion, Collection<String> house, Drinker drinker, double cups, double cupMl) {
        List<Herb> fitting = house.stream()
                .map(slug -> materia.herb(slug, "herbs"))
                .filter(h -> h.part() != PlantPart.PANTRY && h.stop().isEmpty() && occasion.fits(h) > 0)
                .sorted(Comparator.<Herb>comparingInt(h -> -occasion.fits(h))
                        .thenComparing(h -> range(h).isPresent() ? 0 : 1)
                        .thenComparing(Herb::slug))
                .toList();
        List<LeftOut> leftOut = new ArrayList<>();
        List<Herb> taken = new ArrayList<>();
        for (Herb herb : fitting) {
            if (!Suits.freely(herb, drinker)) {
                leftOut.add(new LeftOut(HerbName.of(herb), Because.NOT_FOR_DRINKER));
            } else if (range(herb).isEmpty()) {
                leftOut.add(new LeftOut(HerbName.of(herb), Because.NO_USUAL_DOSE));
            } else if (!taken.isEmpty() && cold(herb) != cold(taken.get(0))) {
                leftOut.add(new LeftOut(HerbName.of(herb), Because.DRAWN_COLD));
            } else if (taken.size() < MOST_HERBS) {
                taken.add(herb);
            }
        }
        if (taken.isEmpty()) {
            throw InvalidInputException.of(
                    "occasion", occasion.words(), new Wanted.HerbsForOccasion(!leftOut.isEmpty()));
        }
        return composed(materia, occasion, taken, leftOut, cups, cupMl);
    }

    private static Blend composed(
            Materia materia, Occasion occasion, List<Herb> taken, List<LeftOut> leftOut, double cups, double cupMl) {
        List<Addition> additions = new ArrayList<>();
        List<Why> reasons = new ArrayList<>();
        for (Herb herb : taken) {
            DoseRange range = range(herb).orElseThrow();
            double middle = (range.perCupG().low() + range.perCupG().high()) / 2;
            double perCup = middle / taken.size();
            additions.add(new Addition(
                    herb.slug(), Form.DRIED, cut(herb), Quantity.of(Math.max(0.1, perCup * cups), Unit.GRAM), 0));
            reasons.add(new Why(HerbName.of(herb), herb.use(), taken.size(), Mass.grams(middle)));
        }
        Tradition tradition = Tradition.MONOGRAPH;
        String name = "A cup for: " + occasion.words();
        Recipe bare = new Recipe(name, tradition, cups, cupMl, OptionalDouble.empty(), additions, List.of());
        Proposal proposal = Proposal.of(materia, bare, Schools.of(tradition));
        return new Blend(proposal.recipe(), reasons, proposal.reasons(), leftOut);
    }

    private static Optional<DoseRange> range(Herb herb) {
        return herb.dose(Tradition.MONOGRAPH, Form.DRIED);
    }

    private static boolean cold(Herb herb) {
        return herb.method().filter(m -> m.method() == Herb.Method.MACERATION).isPresent();
    }

    private static Cut cut(Herb herb) {
        return herb.part() == PlantPart.SEED ? Cut.CRUSHED : herb.part().hard() ? Cut.SLICED : Cut.CHOPPED;
    }
}
