package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.Caution;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What can be said of a herb of the cook's own, of which the materia knows nothing: whether it has a name of a plant that is
 * refused, or of one that poisons and is mistaken for a herb; else that nothing is known of it, which is too little for who is
 * pregnant, nurses or is not grown up (common practice, no source). Stateless.
 */
final class OwnHerbs {

    /** Say which part or state of a plant it is, not which plant. */
    private static final Set<String> NO_NAMES = Set.of(
            "leaf",
            "leaves",
            "root",
            "herb",
            "flower",
            "flowers",
            "seed",
            "seeds",
            "bark",
            "fruit",
            "berry",
            "berries",
            "bulb",
            "rhizome",
            "peel",
            "tea",
            "dried",
            "fresh",
            "wild",
            "the",
            "of",
            "and",
            "hoja",
            "hojas",
            "raiz",
            "hierba",
            "flor",
            "flores",
            "semilla",
            "semillas",
            "corteza",
            "fruto",
            "baya",
            "bayas",
            "de",
            "del",
            "la",
            "el",
            "te",
            "silvestre");

    private OwnHerbs() {}

    static Caution of(Materia materia, Herb own, Drinker drinker) {
        HerbName name = HerbName.of(own);
        return refused(materia, own)
                .<Caution>map(r -> new Caution.NamedLikeRefused(
                        name,
                        r.common(),
                        r.stop().orElseThrow().text(),
                        r.stop().orElseThrow().source()))
                .or(() -> lookAlike(materia, own).map(l -> new Caution.NamedLikePoison(name, l)))
                .orElseGet(() -> new Caution.NothingKnown(name, known(own), severity(own, drinker)));
    }

    private static Severity severity(Herb own, Drinker drinker) {
        return tooLittleFor(own, drinker) ? Severity.STOP : known(own) ? Severity.NOTE : Severity.CARE;
    }

    /** Whether the cook entered what a source that she names says of it. */
    private static boolean known(Herb own) {
        return !own.doses().isEmpty()
                || own.ageFloorYears().isPresent()
                || !own.cautions().isEmpty();
    }

    /** Whether nothing is said of what this drinker is: of a pregnancy, of nursing, of an age under eighteen. */
    private static boolean tooLittleFor(Herb own, Drinker drinker) {
        return silent(own, drinker, Condition.PREGNANT)
                || silent(own, drinker, Condition.BREASTFEEDING)
                || drinker.ageYears() < Drinker.ADULT_YEARS
                        && own.ageFloorYears().isEmpty();
    }

    private static boolean silent(Herb own, Drinker drinker, Condition condition) {
        return drinker.has(condition)
                && own.cautions().stream()
                        .noneMatch(c -> c.when().filter(condition::equals).isPresent());
    }

    /** A refused plant that it is by one of its names, or of whose genus nothing is drunk. */
    private static Optional<Herb> refused(Materia materia, Herb own) {
        List<Herb> refused =
                materia.herbs().stream().filter(h -> h.stop().isPresent()).toList();
        Optional<Herb> named = refused.stream()
                .filter(r -> names(r).anyMatch(n -> names(own).anyMatch(o -> holds(o, n) && !longer(materia, o, n))))
                .findFirst();
        return named.or(() -> {
            String genus = genus(own.latin());
            boolean drunk = materia.herbs().stream()
                    .anyMatch(h -> h.stop().isEmpty()
                            && !materia.isOwn(h.slug())
                            && genus(h.latin()).equals(genus));
            return refused.stream()
                    .filter(r -> !genus.isEmpty() && !drunk && genus(r.latin()).equals(genus))
                    .findFirst();
        });
    }

    /** The poisonous plant, mistaken for a herb, that it has the name of. */
    private static Optional<String> lookAlike(Materia materia, Herb own) {
        return materia.herbs().stream()
                .flatMap(h -> h.lookAlikes().stream())
                .filter(Herb.LookAlike::poisonous)
                .map(Herb.LookAlike::name)
                .filter(l -> names(own).anyMatch(o -> holds(o, plain(l)) || several(o) && holds(plain(l), o)))
                .findFirst();
    }

    /** Whether the name goes on into that of a plant that is drunk: ground ivy is no ivy. */
    private static boolean longer(Materia materia, String name, String refused) {
        return materia.herbs().stream()
                .filter(h -> h.stop().isEmpty() && !materia.isOwn(h.slug()))
                .flatMap(OwnHerbs::names)
                .anyMatch(n -> n.length() > refused.length() && holds(n, refused) && holds(name, n));
    }

    /** A name of one word is part of too many others. */
    private static boolean several(String name) {
        return name.contains(" ");
    }

    /** Whether a name holds another, word by word, plurals allowed. */
    private static boolean holds(String name, String other) {
        return !other.isEmpty()
                && ((" " + name + " ").contains(" " + other + " ") || (" " + name + " ").contains(" " + other + "s "));
    }

    private static Stream<String> names(Herb herb) {
        return herb.everyName().map(OwnHerbs::plain).filter(n -> !n.isEmpty());
    }

    /** Lower case, without accents, marks and the words for parts. */
    private static String plain(String name) {
        String letters = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[’']s\\b", "s")
                .replaceAll("[^a-z]+", " ")
                .strip();
        return Stream.of(letters.split(" ")).filter(w -> !NO_NAMES.contains(w)).collect(Collectors.joining(" "));
    }

    private static String genus(String latin) {
        return plain(latin).split(" ")[0];
    }
}
