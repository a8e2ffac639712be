package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A herb, water or a bare amount with everything that is said of it. Mutable while a sentence is put together. */
final class Phrase {

    final List<Label> labels = new ArrayList<>();
    /** Labels that say how it is prepared, in the cook's words. */
    final List<Label> preps = new ArrayList<>();
    /** What may be taken instead. */
    final List<Phrase> or = new ArrayList<>();

    private final Set<PlantPart> parts = new HashSet<>();
    private boolean partSaid;
    List<Herb> herbs = List.of();
    Optional<Label> name = Optional.empty();
    Optional<Label> water = Optional.empty();
    Optional<Menstruum.Kind> menstruum = Optional.empty();
    Optional<Form> form = Optional.empty();
    Optional<Cut> cut = Optional.empty();
    Optional<String> state = Optional.empty();

    @Nullable
    Amount amount;
    /** A second amount that stands beside the first. */
    @Nullable
    Amount beside;

    /** What it is ground to a paste with, in the cook's words; empty when it is none. */
    String paste = "";

    boolean optional;
    boolean perCup;
    Addition.Into into = Addition.Into.EACH_CUP;
    boolean each;
    boolean comma;
    boolean fresh;
    /** What is not known of a name: words that stand where a name would. */
    final List<Label> unknown = new ArrayList<>();

    /** Whether a word that nobody knows stands at its name, so that it may be another plant. */
    boolean compound;
    /** The phrase that it may be taken instead of. */
    @Nullable
    Phrase insteadOf;

    boolean named() {
        return name.isPresent() || water.isPresent() || menstruum.isPresent();
    }

    boolean herb() {
        return name.isPresent();
    }

    void part(Set<PlantPart> said) {
        if (partSaid) {
            parts.retainAll(said);
        } else {
            parts.addAll(said);
        }
        partSaid = true;
    }

    Set<PlantPart> parts() {
        return parts;
    }

    boolean partSaid() {
        return partSaid;
    }

    /** The herbs that it may be: of the said part, where one is said. */
    List<Herb> meant() {
        return partSaid ? herbs.stream().filter(h -> parts.contains(h.part())).toList() : herbs;
    }
}
