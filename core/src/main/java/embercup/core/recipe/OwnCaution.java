package embercup.core.recipe;

import embercup.core.materia.Condition;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * A caution that the recipe itself gives, a whole sentence in its own words, with its place. Immutable; {@link RecipeRules} says whether
 * place and herb, stage or people belong together.
 *
 * @param herb slug of the herb it is about; for {@link About#HERB} alone
 * @param stage index of the stage it is about; for {@link About#STEP} alone
 * @param conditions whom it is not for; for {@link About#WHO} alone
 * @param underYears younger drinkers whom it is not for; for {@link About#WHO} alone
 */
public record OwnCaution(
        String text,
        About about,
        Optional<String> herb,
        OptionalInt stage,
        Set<Condition> conditions,
        OptionalDouble underYears) {

    /** What it is about. */
    public enum About {
        HERB,
        STEP,
        TAKING,
        KEEPING,
        WHO
    }

    public OwnCaution {
        conditions = Set.copyOf(conditions);
    }

    public static OwnCaution ofHerb(String text, String herb) {
        return new OwnCaution(
                text, About.HERB, Optional.of(herb), OptionalInt.empty(), Set.of(), OptionalDouble.empty());
    }

    public static OwnCaution ofStage(String text, int stage) {
        return new OwnCaution(
                text, About.STEP, Optional.empty(), OptionalInt.of(stage), Set.of(), OptionalDouble.empty());
    }

    /** About taking or keeping it, or about people whom nothing tells apart. */
    public static OwnCaution of(String text, About about) {
        return new OwnCaution(text, about, Optional.empty(), OptionalInt.empty(), Set.of(), OptionalDouble.empty());
    }

    public static OwnCaution notFor(String text, Set<Condition> conditions, OptionalDouble underYears) {
        return new OwnCaution(text, About.WHO, Optional.empty(), OptionalInt.empty(), conditions, underYears);
    }

    /** Whether it names people by what a household knows of them; otherwise everybody is told. */
    public boolean namesPeople() {
        return !conditions.isEmpty() || underYears.isPresent();
    }
}
