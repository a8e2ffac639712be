package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.HerbCaution;
import embercup.core.materia.HerbName;
import embercup.core.plan.Caution;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What the herbs of a pot say to its drinker, the same thing of several herbs once. Stateless. */
final class HerbCautions {

    private HerbCautions() {}

    static List<Caution> of(List<Herb> herbs, Drinker drinker) {
        Map<HerbCaution, List<HerbName>> said = new LinkedHashMap<>();
        Map<Double, List<Herb>> floors = new LinkedHashMap<>();
        for (Herb herb : herbs) {
            herb.cautions().stream().filter(drinker::meets).forEach(c -> said.computeIfAbsent(c, k -> new ArrayList<>())
                    .add(HerbName.of(herb)));
            herb.ageFloorYears()
                    .filter(floor -> drinker.ageYears() < floor.value())
                    .ifPresent(floor -> floors.computeIfAbsent(floor.value(), k -> new ArrayList<>())
                            .add(herb));
        }
        List<Caution> all = new ArrayList<>();
        said.forEach((c, names) -> all.add(caution(c, names)));
        floors.forEach((years, young) -> all.add(new Caution.AgeFloor(
                young.stream().map(HerbName::of).toList(),
                years,
                young.get(0).ageFloorYears().orElseThrow().source())));
        if (drinker.has(Condition.PREGNANT)
                && drinker.trimester().isEmpty()
                && said.keySet().stream().anyMatch(c -> !c.trimesters().isEmpty())) {
            all.add(new Caution.WhichTrimester());
        }
        return all;
    }

    private static Caution caution(HerbCaution c, List<HerbName> names) {
        return c.when()
                .<Caution>map(when -> new Caution.ForCondition(names, when, c.text(), c.severity(), c.source()))
                .orElseGet(() -> new Caution.General(names, c.text(), c.severity(), c.source()));
    }
}
