package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.DrunkPlants;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.PlainNames;
import embercup.core.materia.Severity;
import embercup.core.plan.Caution;
import java.util.Optional;

/**
 * What can be said of a herb of the cook's own, of which the materia knows nothing: whether it has a name of a plant that is
 * refused, or of one that poisons and is mistaken for a herb; else that nothing is known of it, which is too little for who is
 * pregnant, nurses or is not grown up (common practice, no source). Stateless.
 */
final class OwnHerbs {

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
        PlainNames its = materia.names(own);
        DrunkPlants plants = materia.drunk();
        Optional<Herb> named = plants.refused().stream()
                .filter(r -> ofAName(its, materia.names(r))
                        || materia.names(r).bare().stream()
                                .filter(n -> !plants.names().contains(n))
                                .anyMatch(n -> its.bare().stream().anyMatch(o -> holds(o, n) && !longer(plants, o, n))))
                .findFirst();
        return named.or(() -> {
            String genus = its.genus();
            boolean nobodyDrinksIt = !genus.isEmpty() && !plants.genera().contains(genus);
            return plants.refused().stream()
                    .filter(r -> nobodyDrinksIt && materia.names(r).genus().equals(genus))
                    .findFirst();
        });
    }

    /** The poisonous plant, mistaken for a herb, that it has the name of. */
    private static Optional<String> lookAlike(Materia materia, Herb own) {
        PlainNames its = materia.names(own);
        return materia.herbs().stream()
                .flatMap(h -> materia.names(h).poisons().stream())
                .filter(l -> its.bare().stream().anyMatch(o -> holds(o, l.bare()) || several(o) && holds(l.bare(), o)))
                .map(PlainNames.Poison::name)
                .findFirst();
    }

    /** Whether one of its names is one of the other's to the letter, or goes on from it: "apple seeds, dried". */
    private static boolean ofAName(PlainNames its, PlainNames refused) {
        return its.plain().stream()
                .anyMatch(o -> refused.plain().stream().anyMatch(n -> n.contains(" ") ? holds(o, n) : o.equals(n)));
    }

    /** Whether the name goes on into that of a plant that is drunk: ground ivy is no ivy. */
    private static boolean longer(DrunkPlants plants, String name, String refused) {
        return plants.names().stream()
                .anyMatch(n -> n.length() > refused.length() && holds(n, refused) && holds(name, n));
    }

    /** A name of one word is part of too many others. */
    private static boolean several(String name) {
        return name.contains(" ");
    }

    /** Whether a name holds another, word by word, plurals allowed. */
    private static boolean holds(String name, String other) {
        return !other.isEmpty()
                && name.contains(other)
                && ((" " + name + " ").contains(" " + other + " ") || (" " + name + " ").contains(" " + other + "s "));
    }
}
