package embercup.core.materia;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The plants of the shipped materia that are drunk, and those that are refused, by their names as they are compared. Made once:
 * every plan with a herb of the cook's own asks for all of them. Immutable.
 *
 * @param names every name of a plant that is drunk, without the words for parts
 * @param genera the first words of their Latin names
 * @param refused the plants of which nothing is drunk, in the order of their slugs
 */
public record DrunkPlants(Set<String> names, Set<String> genera, List<Herb> refused) {

    static DrunkPlants of(Materia shipped) {
        Set<String> names = new HashSet<>();
        Set<String> genera = new HashSet<>();
        for (Herb herb : shipped.herbs()) {
            if (herb.stop().isEmpty()) {
                PlainNames its = shipped.names(herb);
                names.addAll(its.bare());
                genera.add(its.genus());
            }
        }
        return new DrunkPlants(
                Set.copyOf(names),
                Set.copyOf(genera),
                shipped.herbs().stream().filter(h -> h.stop().isPresent()).toList());
    }
}
