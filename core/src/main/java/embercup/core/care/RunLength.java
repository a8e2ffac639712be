package embercup.core.care;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.plan.Caution;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** How many days in a row a cup is drunk: the shortest limit of any of its herbs, and where a drinker stands against it. */
final class RunLength {

    private RunLength() {}

    static List<Caution> of(List<Herb> herbs, Schools schools, History history, Optional<Posology> posology) {
        List<Caution> all = new ArrayList<>();
        List<Herb> limited =
                herbs.stream().filter(h -> h.longestRunDays().isPresent()).toList();
        posology.map(Posology::daysOn)
                .ifPresent(daysOn -> daysOn.ifPresent(on -> limited.stream()
                        .filter(h -> on > days(h))
                        .forEach(h -> all.add(new Caution.PosologyRun(HerbName.of(h), on, most(h), source(h))))));
        limited.stream()
                .min(Comparator.comparingDouble(RunLength::days))
                .ifPresent(h -> all.add(
                        new Caution.LongestRun(HerbName.of(h), most(h), schools.hold(Choice.MONTHS), source(h))));
        for (Herb herb : limited) {
            int run = history.daysInRow().getOrDefault(herb.slug(), 0);
            if (run >= days(herb)) {
                all.add(new Caution.RunOver(HerbName.of(herb), run, most(herb), source(herb)));
            }
        }
        return all;
    }

    private static double days(Herb herb) {
        return herb.longestRunDays().orElseThrow().value();
    }

    private static int most(Herb herb) {
        return (int) Math.round(days(herb));
    }

    private static String source(Herb herb) {
        return herb.longestRunDays().orElseThrow().source();
    }
}
