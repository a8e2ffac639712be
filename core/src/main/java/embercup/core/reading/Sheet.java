package embercup.core.reading;

import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/** The recipe while it is read: what all lines have said so far. Mutable. */
final class Sheet {

    /** Water as it was written. */
    record Water(double ml, Unit unit, double amount) {}

    final List<Ingredient> ingredients = new ArrayList<>();
    final List<StageDraft> stages = new ArrayList<>();
    final List<Told.NotFor> notFor = new ArrayList<>();
    Optional<Water> water = Optional.empty();
    Optional<Told.Fill> fill = Optional.empty();
    final Set<Companion> with = EnumSet.noneOf(Companion.class);
    /** Water that comes with a paste, mL. */
    double pasteMl;

    OptionalDouble jarMl = OptionalDouble.empty();
    OptionalDouble cups = OptionalDouble.empty();
    OptionalDouble yieldMl = OptionalDouble.empty();
    Optional<Menstruum> menstruum = Optional.empty();
    Optional<Taking.Draft> taking = Optional.empty();
    Optional<Told.Keeps> keeping = Optional.empty();
    Optional<Quantity> ofBlend = Optional.empty();
    boolean blendEachCup;
    boolean drunkWhole;
    String title = "";

    void add(Ingredient ingredient, LineDraft line) {
        ingredient.index = ingredients.size();
        ingredients.add(ingredient);
        line.additions.add(ingredient.index);
    }

    /** An ingredient whose herb is one of these. */
    Optional<Ingredient> known(List<Herb> herbs) {
        return ingredients.stream()
                .filter(i -> herbs.contains(i.herb) || i.or.stream().anyMatch(o -> herbs.contains(o.herb)))
                .findFirst();
    }

    /** An ingredient that a phrase names: by its herb, or, without an amount, by a word of its name ("the sugar"). */
    Optional<Ingredient> known(Phrase phrase) {
        Optional<Ingredient> exact = known(phrase.meant());
        return exact.isPresent() || phrase.amount != null ? exact : byWord(phrase);
    }

    private Optional<Ingredient> byWord(Phrase phrase) {
        String word = phrase.name.map(Label::value).orElse("");
        List<Ingredient> hits = ingredients.stream()
                .filter(i -> i.herb.everyName()
                        .anyMatch(n -> List.of(Word.fold(n).split("\\W+")).contains(word)))
                .toList();
        return hits.size() == 1 ? Optional.of(hits.get(0)) : Optional.empty();
    }

    Stream<Ingredient> ofParts(Set<PlantPart> parts) {
        return ingredients.stream().filter(i -> parts.contains(i.herb.part()));
    }

    Stream<Ingredient> brewed() {
        return ingredients.stream().filter(i -> !inTheCup(i));
    }

    static boolean inTheCup(Ingredient ingredient) {
        return ingredient.herb.part() == PlantPart.PANTRY;
    }

    boolean has(StageKind kind) {
        return stages.stream().anyMatch(s -> s.kind == kind);
    }

    Optional<StageDraft> last() {
        return stages.isEmpty() ? Optional.empty() : Optional.of(stages.get(stages.size() - 1));
    }
}
