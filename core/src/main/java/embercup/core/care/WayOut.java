package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What can be done about a stop: another herb, without the herb, or fewer cups. Another drinker is always possible and is
 * not listed.
 *
 * @param herb slug of the herb that is replaced or left out; empty for fewer cups
 * @param with slug of the herb that takes its place
 * @param cups how many cups would do; 0 unless fewer cups help
 * @param text as a button says it, with what changes
 */
public record WayOut(Optional<String> herb, Optional<String> with, int cups, String text) {

    /** Ways out of every stop of a verdict, those that keep the most of the recipe first. */
    public static List<WayOut> of(Materia materia, BrewPlan plan, Care.Verdict verdict) {
        Drinker drinker = plan.request().drinker();
        List<WayOut> ways = new ArrayList<>();
        Set<String> stopped = new LinkedHashSet<>();
        verdict.cautions().stream()
                .filter(c -> c.severity() == Severity.STOP)
                .map(Caution::herb)
                .flatMap(Optional::stream)
                .forEach(stopped::add);
        for (String slug : stopped) {
            Herb herb = materia.herb(slug, "herb");
            herb.substitutes().stream()
                    .filter(s -> materia.find(s.herb())
                            .filter(h -> suits(h, drinker))
                            .isPresent())
                    .map(s -> new WayOut(Optional.of(slug), Optional.of(s.herb()), 0, replaceWords(materia, herb, s)))
                    .forEach(ways::add);
            if (plan.additions().stream().anyMatch(a -> !a.herb().equals(slug))) {
                ways.add(new WayOut(Optional.of(slug), Optional.empty(), 0, "Leave the " + name(herb) + " out"));
            }
        }
        verdict.loads().stream().filter(DayLoad::over).forEach(l -> fewer(plan, l)
                .ifPresent(ways::add));
        return List.copyOf(ways);
    }

    private static Optional<WayOut> fewer(BrewPlan plan, DayLoad load) {
        double perCup = load.planMg() / plan.request().cups();
        int cups = (int) Math.floor((load.limitMg() - (load.mg() - load.planMg())) / perCup + 1e-9);
        boolean helps = cups >= 1 && cups < plan.request().cups();
        return helps
                ? Optional.of(new WayOut(
                        Optional.empty(),
                        Optional.empty(),
                        cups,
                        "Make " + cups + (cups == 1 ? " cup" : " cups") + " only"))
                : Optional.empty();
    }

    /** Whether nothing of the herb stops this drinker. */
    private static boolean suits(Herb herb, Drinker drinker) {
        boolean cautioned = herb.cautions().stream()
                .anyMatch(c -> c.severity() == Severity.STOP
                        && (c.when().isEmpty() || drinker.has(c.when().get())));
        boolean tooYoung =
                herb.ageFloorYears().filter(f -> drinker.ageYears() < f.value()).isPresent();
        return herb.stop().isEmpty()
                && !cautioned
                && !tooYoung
                && !drinker.allergies().contains(herb.slug());
    }

    private static String replaceWords(Materia materia, Herb herb, Herb.Substitute s) {
        return "Take " + name(materia.herb(s.herb(), "herb")) + " instead of " + name(herb) + ": " + s.change();
    }

    private static String name(Herb herb) {
        return herb.common().toLowerCase(Locale.ROOT);
    }
}
