package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.HerbCaution;
import embercup.core.materia.HerbName;
import embercup.core.materia.Severity;
import embercup.core.plan.Caution;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BinaryOperator;
import java.util.stream.Collectors;

/** What the herbs of a pot say to its drinker, the same thing of several herbs once. Stateless. */
final class HerbCautions {

    private HerbCautions() {}

    static List<Caution> of(List<Herb> herbs, Drinker drinker) {
        Map<Said, Told> said = new LinkedHashMap<>();
        Map<Double, List<Herb>> floors = new LinkedHashMap<>();
        for (Herb herb : herbs) {
            met(herb, drinker).forEach(c -> said.computeIfAbsent(Said.of(c), k -> new Told(c, new ArrayList<>()))
                    .herbs()
                    .add(HerbName.of(herb)));
            herb.ageFloorYears()
                    .filter(floor -> drinker.ageYears() < floor.value())
                    .ifPresent(floor -> floors.computeIfAbsent(floor.value(), k -> new ArrayList<>())
                            .add(herb));
        }
        List<Caution> all = new ArrayList<>();
        said.values().forEach(told -> all.add(told.caution()));
        floors.forEach((years, young) -> all.add(new Caution.AgeFloor(
                young.stream().map(HerbName::of).toList(),
                years,
                young.get(0).ageFloorYears().orElseThrow().source())));
        if (drinker.has(Condition.PREGNANT)
                && drinker.trimester().isEmpty()
                && herbs.stream().flatMap(herb -> met(herb, drinker).stream()).anyMatch(c -> !c.trimesters()
                        .isEmpty())) {
            all.add(new Caution.WhichTrimester());
        }
        return all;
    }

    /** What one herb says to the drinker; the same words for several of her conditions once, the gravest of them. */
    private static Collection<HerbCaution> met(Herb herb, Drinker drinker) {
        return herb.cautions().stream()
                .filter(drinker::meets)
                .collect(Collectors.toMap(
                        HerbCaution::text,
                        c -> c,
                        BinaryOperator.maxBy(Comparator.comparing(HerbCaution::severity)),
                        LinkedHashMap::new))
                .values();
    }

    /** What makes two cautions the same to a reader: for whom they are said is in their words. */
    private record Said(String text, Severity severity, String source) {

        static Said of(HerbCaution c) {
            return new Said(c.text(), c.severity(), c.source());
        }
    }

    private record Told(HerbCaution first, List<HerbName> herbs) {

        Caution caution() {
            return first.when()
                    .<Caution>map(when ->
                            new Caution.ForCondition(herbs, when, first.text(), first.severity(), first.source()))
                    .orElseGet(() -> new Caution.General(herbs, first.text(), first.severity(), first.source()));
        }
    }
}
