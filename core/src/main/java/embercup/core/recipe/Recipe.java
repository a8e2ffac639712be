package embercup.core.recipe;

import embercup.core.materia.Tradition;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A pot as somebody wrote it down. Immutable. {@link RecipeRules} says whether it can be brewed.
 *
 * @param pourMl its own starting water for its own cups, mL; empty when the pour is to be solved
 * @param menstruum what draws the herbs
 * @param additions herbs, in the order of writing
 * @param stages what is done, in order
 * @param posology how it is taken; empty when the recipe does not say
 * @param told what it says beside its herbs and stages
 */
public record Recipe(
        String name,
        Tradition tradition,
        Makes makes,
        OptionalDouble pourMl,
        Menstruum menstruum,
        List<Addition> additions,
        List<Stage> stages,
        Optional<Posology> posology,
        Told told) {

    /**
     * What it is written for.
     *
     * @param cups how many cups, as they are drunk
     * @param cupMl size of one of them, mL
     * @param dilutionParts parts of water to one part of the liquor in the cup; 0 for what is drunk as it is
     */
    public record Makes(double cups, double cupMl, double dilutionParts) {}

    public Recipe {
        additions = List.copyOf(additions);
        stages = List.copyOf(stages);
    }

    /** A pot of water that is drunk as it is. */
    public Recipe(
            String name,
            Tradition tradition,
            double cups,
            double cupMl,
            OptionalDouble pourMl,
            List<Addition> additions,
            List<Stage> stages) {
        this(
                name,
                tradition,
                new Makes(cups, cupMl, 0),
                pourMl,
                Menstruum.WATER,
                additions,
                stages,
                Optional.empty(),
                Told.NOTHING);
    }

    public double cups() {
        return makes.cups;
    }

    public double cupMl() {
        return makes.cupMl;
    }

    public double dilutionParts() {
        return makes.dilutionParts;
    }

    /** Part of the adult dose that it says a child drinks, 0–1; empty where it says nothing of children. */
    public OptionalDouble childShare() {
        return posology.map(p -> p.more().childShare()).orElse(OptionalDouble.empty());
    }

    /** Liquor the recipe says it makes, mL: less than what is drunk when it is a concentrate. */
    public double statedYieldMl() {
        return makes.cups * makes.cupMl / (1 + makes.dilutionParts);
    }

    /** Index of the line of each addition in the recipe as it is written: the herbs of a blend stand in one. */
    public List<Integer> linesOfAdditions() {
        List<Integer> lines = new ArrayList<>();
        int next = 0;
        Optional<Integer> open = Optional.empty();
        for (Addition a : additions) {
            Optional<Integer> blend = a.spooned().map(Addition.Spooned::line);
            boolean goesOn = blend.isPresent() && blend.equals(open);
            lines.add(goesOn ? next - 1 : next++);
            open = blend;
        }
        return lines;
    }

    /** How many lines it has as it is written. */
    public int lines() {
        return additions.isEmpty() ? 0 : linesOfAdditions().get(additions.size() - 1) + 1;
    }

    public boolean has(StageKind kind) {
        return stages.stream().anyMatch(s -> s.kind() == kind);
    }

    /** The same recipe with other additions. */
    public Recipe withAdditions(List<Addition> others) {
        return new Recipe(name, tradition, makes, pourMl, menstruum, others, stages, posology, told);
    }

    /** The same recipe with other stages. */
    public Recipe withStages(List<Stage> others) {
        return new Recipe(name, tradition, makes, pourMl, menstruum, additions, others, posology, told);
    }

    /** The same recipe as a concentrate with {@code parts} of water to one of liquor. */
    public Recipe diluted(double parts) {
        Makes other = new Makes(makes.cups, makes.cupMl, parts);
        return new Recipe(name, tradition, other, pourMl, menstruum, additions, stages, posology, told);
    }

    /** The same recipe drawn by something else. */
    public Recipe in(Menstruum other) {
        return new Recipe(name, tradition, makes, pourMl, other, additions, stages, posology, told);
    }

    /** The same recipe, taken as said. */
    public Recipe taken(Posology how) {
        return new Recipe(name, tradition, makes, pourMl, menstruum, additions, stages, Optional.of(how), told);
    }

    /** The same recipe with other words beside it. */
    public Recipe telling(Told other) {
        return new Recipe(name, tradition, makes, pourMl, menstruum, additions, stages, posology, other);
    }
}
