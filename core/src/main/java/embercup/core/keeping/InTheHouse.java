package embercup.core.keeping;

import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What herbs are in the house. Immutable.
 *
 * @param herbs slugs of what stands somewhere, in any form
 */
public record InTheHouse(Set<String> herbs) {

    public InTheHouse {
        herbs = Set.copyOf(herbs);
    }

    /**
     * What a pot needs that is not there: each herb once, in the order of the recipe. Every kitchen has what is of the pantry; a
     * blend of the house is there in its jar, or when all that it is mixed of is; a herb that may be left out, or for which another
     * may stand that is there, is not needed (common practice, no source).
     *
     * @param materia knows every herb of the recipe
     */
    public List<Herb> lacking(Materia materia, Recipe recipe) {
        Set<Herb> lacking = new LinkedHashSet<>();
        for (Addition a : recipe.additions()) {
            boolean needless = a.open().optional()
                    || a.open().or().stream()
                            .anyMatch(other -> lackingFor(materia, other).isEmpty());
            if (!needless) {
                lacking.addAll(lackingFor(materia, a));
            }
        }
        return List.copyOf(lacking);
    }

    private List<Herb> lackingFor(Materia materia, Addition a) {
        Herb herb = materia.herb(a.herb(), "herb");
        Stream<Herb> needed = herb.mixed() && !herbs.contains(herb.slug())
                ? herb.mixedOf().stream().map(p -> materia.herb(p.herb(), "herb"))
                : Stream.of(herb);
        return needed.filter(h -> h.part() != PlantPart.PANTRY && !herbs.contains(h.slug()))
                .toList();
    }
}
