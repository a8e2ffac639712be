package embercup.core.recipe;

import embercup.core.materia.Tradition;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A pot as somebody wrote it down. Immutable. {@link RecipeRules} says whether it can be brewed.
 *
 * @param cups how many cups it is written for
 * @param cupMl size of one of its cups, mL
 * @param pourMl its own starting water for its own cups, mL; empty when the pour is to be solved
 * @param additions herbs, in the order of writing
 * @param stages what is done, in order
 */
public record Recipe(
        String name,
        Tradition tradition,
        double cups,
        double cupMl,
        OptionalDouble pourMl,
        List<Addition> additions,
        List<Stage> stages) {

    public Recipe {
        additions = List.copyOf(additions);
        stages = List.copyOf(stages);
    }

    /** Liquor the recipe says it makes, mL. */
    public double statedYieldMl() {
        return cups * cupMl;
    }

    public boolean has(StageKind kind) {
        return stages.stream().anyMatch(s -> s.kind() == kind);
    }

    /** The same recipe with other additions. */
    public Recipe withAdditions(List<Addition> others) {
        return new Recipe(name, tradition, cups, cupMl, pourMl, others, stages);
    }

    /** The same recipe with other stages. */
    public Recipe withStages(List<Stage> others) {
        return new Recipe(name, tradition, cups, cupMl, pourMl, additions, others);
    }
}
