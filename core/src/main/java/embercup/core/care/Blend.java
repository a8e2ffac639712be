package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.Materia;
import embercup.core.materia.Occasion;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInput;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
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
public record Blend(Recipe recipe, List<String> reasons, List<Proposal.Reason> stages, List<String> leftOut) {

    private static final int MOST_HERBS = 3;

    public Blend {
        reasons = List.copyOf(reasons);
        stages = List.copyOf(stages);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * @param house slugs of the herbs that are there, dried
     * @throws InvalidInput when nothing in the house fits occasion and drinker
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
        List<String> leftOut = new ArrayList<>();
        List<Herb> taken = new ArrayList<>();
        for (Herb herb : fitting) {
            if (!Suits.freely(herb, drinker)) {
                leftOut.add(herb.common() + ": not for this drinker, or only with care.");
            } else if (range(herb).isEmpty()) {
                leftOut.add(herb.common() + ": no usual dose is known.");
            } else if (!taken.isEmpty() && cold(herb) != cold(taken.get(0))) {
                leftOut.add(herb.common() + ": drawn cold, and does not go into one pot with what is drawn hot.");
            } else if (taken.size() < MOST_HERBS) {
                taken.add(herb);
            }
        }
        if (taken.isEmpty()) {
            String why = leftOut.isEmpty()
                    ? "herbs of the house that are traditionally used for it; there is none"
                    : "herbs that suit this drinker; left out: " + String.join(" ", leftOut);
            throw InvalidInput.of("occasion", occasion.words(), why);
        }
        return composed(materia, occasion, taken, leftOut, cups, cupMl);
    }

    private static Blend composed(
            Materia materia, Occasion occasion, List<Herb> taken, List<String> leftOut, double cups, double cupMl) {
        List<Addition> additions = new ArrayList<>();
        List<String> reasons = new ArrayList<>();
        for (Herb herb : taken) {
            DoseRange range = range(herb).orElseThrow();
            double middle = (range.perCupG().low() + range.perCupG().high()) / 2;
            double perCup = middle / taken.size();
            additions.add(new Addition(
                    herb.slug(), Form.DRIED, cut(herb), Quantity.of(Math.max(0.1, perCup * cups), Unit.GRAM), 0));
            String part =
                    taken.size() == 1 ? "its usual" : taken.size() == 2 ? "half of its usual" : "a third of its usual";
            reasons.add(String.format(
                    Locale.ROOT,
                    "%s: %s Here %s %.1f g a cup, because a blend shares the room.",
                    herb.common(),
                    herb.use(),
                    part,
                    middle));
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
