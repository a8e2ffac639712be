package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.dose.Substitution;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.recipe.Menstruum;
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
 * @param share share of the herb's amount that would do, 0–1; 0 unless a smaller dose helps
 * @param menstruum what would draw it instead of spirit; empty unless that helps
 * @param text as a button says it, with what changes
 */
public record WayOut(
        Optional<String> herb,
        Optional<String> with,
        int cups,
        double share,
        Optional<Menstruum.Kind> menstruum,
        String text) {

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
                            .filter(h -> Suits.herb(h, drinker))
                            .isPresent())
                    .map(s -> change(slug, Optional.of(s.herb()), replaceWords(materia, herb, s)))
                    .forEach(ways::add);
            if (plan.additions().stream().anyMatch(a -> !a.herb().equals(slug))) {
                ways.add(change(slug, Optional.empty(), "Leave the " + name(herb) + " out"));
            }
        }
        for (DayLoad load : verdict.loads()) {
            if (load.over()) {
                ways.addAll(smaller(materia, plan, load));
                fewer(materia, plan, load).ifPresent(ways::add);
            }
        }
        if (verdict.cautions().stream().anyMatch(c -> c.code().equals("alcohol") && c.severity() == Severity.STOP)) {
            for (Menstruum.Kind kind : List.of(Menstruum.Kind.GLYCERIN, Menstruum.Kind.VINEGAR)) {
                ways.add(new WayOut(
                        Optional.empty(),
                        Optional.empty(),
                        0,
                        0,
                        Optional.of(kind),
                        "Draw it with " + kind.code() + " instead of spirit"));
            }
        }
        return List.copyOf(ways);
    }

    private static WayOut change(String herb, Optional<String> with, String text) {
        return new WayOut(Optional.of(herb), with, 0, 0, Optional.empty(), text);
    }

    /** Milligrams of this pot that the rest of the day leaves room for. */
    private static double roomMg(DayLoad load) {
        return load.limitMg() - (load.mg() - load.planMg());
    }

    private static double mg(Materia materia, PlanRequest request, DayLoad load) {
        BrewPlan again = new Planner(materia).plan(request);
        return new Care(materia).contents(again).getOrDefault(load.constituent(), 0.0);
    }

    /**
     * A smaller dose of the herb that brings the constituent, when a part of it that still matters fits the day. It is planned
     * again: a dose that was clipped already does not shrink in proportion.
     */
    private static List<WayOut> smaller(Materia materia, BrewPlan plan, DayLoad load) {
        List<PlannedAddition> bringing = plan.additions().stream()
                .filter(a -> materia.herb(a.herb(), "herb").constituents().stream()
                        .anyMatch(c -> c.constituent() == load.constituent()))
                .toList();
        if (bringing.size() != 1) {
            return List.of();
        }
        PlannedAddition only = bringing.get(0);
        PlanRequest request = plan.request();
        Substitution substitution = new Substitution(materia, request.custom());
        double share = hundredths(roomMg(load) / load.planMg());
        for (int i = 0; i < MOST_TRIES && share > 0 && share < 1; i++) {
            PlanRequest less = request.withRecipe(substitution.lessen(request.recipe(), only.herb(), share, "share"));
            double mg = mg(materia, less, load);
            double grams = only.grams() * mg / load.planMg();
            if (mg <= roomMg(load)) {
                return grams < only.grams() * LEAST_SHARE
                        ? List.of()
                        : List.of(new WayOut(
                                Optional.of(only.herb()),
                                Optional.empty(),
                                0,
                                share,
                                Optional.empty(),
                                String.format(
                                        Locale.ROOT,
                                        "Take only %.1f g of %s instead of %.1f g",
                                        grams,
                                        only.common().toLowerCase(Locale.ROOT),
                                        only.grams())));
            }
            share = hundredths(share * roomMg(load) / mg);
        }
        return List.of();
    }

    private static double hundredths(double share) {
        return Math.floor(share * 100) / 100;
    }

    /** A smaller part of a herb than this is not worth the name (design value). */
    private static final double LEAST_SHARE = 0.2;

    private static final int MOST_TRIES = 5;

    /** The most whole cups that fit the day; planned again, because a clipped dose grows with fewer cups. */
    private static Optional<WayOut> fewer(Materia materia, BrewPlan plan, DayLoad load) {
        for (int cups = (int) Math.ceil(plan.request().cups()) - 1; cups >= 1; cups--) {
            if (mg(materia, plan.request().withCups(cups), load) <= roomMg(load)) {
                return Optional.of(
                        new WayOut(Optional.empty(), Optional.empty(), cups, 0, Optional.empty(), only(cups)));
            }
        }
        return Optional.empty();
    }

    /** "Make 2 cups only". */
    public static String only(int cups) {
        return "Make " + cups + (cups == 1 ? " cup" : " cups") + " only";
    }

    private static String replaceWords(Materia materia, Herb herb, Herb.Substitute s) {
        return "Take " + name(materia.herb(s.herb(), "herb")) + " instead of " + name(herb) + ": " + s.change();
    }

    private static String name(Herb herb) {
        return herb.common().toLowerCase(Locale.ROOT);
    }
}
