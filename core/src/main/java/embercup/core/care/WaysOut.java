package embercup.core.care;

import embercup.core.care.WayOut.DrawWith;
import embercup.core.care.WayOut.FewerADay;
import embercup.core.care.WayOut.FewerCups;
import embercup.core.care.WayOut.LeaveOut;
import embercup.core.care.WayOut.Lessen;
import embercup.core.care.WayOut.Replace;
import embercup.core.dose.Substitution;
import embercup.core.materia.Constituent;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.measure.Mass;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.plan.Taking;
import embercup.core.recipe.Menstruum;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Looks for what can be done about the stops of a plan: fewer cups, less of a herb, another in its place, without it. Whatever
 * is offered was planned and judged for this drinker: it lifts every stop, or, when nothing does, some of them, and brings no
 * caution of its own. Immutable.
 */
record WaysOut(Materia materia, BrewPlan plan, Care.Verdict verdict, History history) {

    /** A smaller part of a herb than this is not worth the name (design value). */
    private static final double LEAST_SHARE = 0.2;

    private static final int MOST_TRIES = 5;
    /** A formula is usually prescribed for so many days first (common practice, no source). */
    private static final int PRESCRIBED_DAYS = 3;

    List<WayOut> all() {
        List<WayOut> ways = new ArrayList<>();
        List<DayLoad> over = verdict.loads().stream().filter(DayLoad::stops).toList();
        over.forEach(load -> fewer(load).ifPresent(ways::add));
        over.forEach(load -> lessen(load).ifPresent(ways::add));
        verdict.stopping().forEach(c -> cutToAllowed(c).ifPresent(ways::add));
        Set<String> stopped = new LinkedHashSet<>();
        verdict.stopping().forEach(c -> stopped.addAll(c.slugs()));
        over.forEach(load -> bringing(load).forEach(a -> stopped.add(a.herb())));
        stopped.forEach(slug -> others(slug, ways));
        takenWith(stopped).forEach(slug -> without(slug, ways));
        if (verdict.stopping().stream().anyMatch(c -> c instanceof Caution.Alcohol)) {
            ways.add(new DrawWith(Menstruum.Kind.GLYCERIN));
            ways.add(new DrawWith(Menstruum.Kind.VINEGAR));
        }
        if (!over.isEmpty() && PlanRequest.prescribable(plan.request().drinker())) {
            ways.add(new WayOut.Prescribed(PRESCRIBED_DAYS));
        }
        List<WayOut> whole = new ArrayList<>();
        List<WayOut> partly = new ArrayList<>();
        for (WayOut way : new LinkedHashSet<>(ways)) {
            int left = left(way);
            if (left == 0) {
                whole.add(way);
            } else if (left < weight(verdict)) {
                partly.add(way);
            }
        }
        return whole.isEmpty() ? partly : whole;
    }

    /** How many stops there are; one that is said of several herbs counts for each. */
    private static int weight(Care.Verdict verdict) {
        return verdict.stopping().stream()
                .mapToInt(c -> Math.max(1, c.slugs().size()))
                .sum();
    }

    /** What was cut is taken as it is, or a poisonous amount lessened to a usual one. */
    private Optional<WayOut> cutToAllowed(Caution stop) {
        if (stop instanceof Caution.AskedTooMuch asked) {
            return lessened(asked.of(), asked.asked(), asked.perCup());
        } else if (stop instanceof Caution.Harmful harmful) {
            return plan.additions().stream()
                    .filter(a -> a.herb().equals(harmful.of().slug()))
                    .findFirst()
                    .flatMap(a -> plan.usual(materia, a)
                            .highestInCup()
                            .flatMap(
                                    most -> lessened(harmful.of(), Mass.grams(a.perCupG()), Mass.grams(most.value()))));
        }
        return Optional.empty();
    }

    private Optional<WayOut> lessened(HerbName of, Mass now, Mass only) {
        double share = hundredths(only.grams() / now.grams());
        boolean blended = plan.additions().stream()
                .anyMatch(a -> a.herb().equals(of.slug()) && !a.taken().equals(of.slug()));
        return share > 0 && share < 1 && !blended
                ? Optional.of(new Lessen(
                        of,
                        share,
                        only.times(request().cups()),
                        now.times(request().cups())))
                : Optional.empty();
    }

    private PlanRequest request() {
        return plan.request();
    }

    private void others(String slug, List<WayOut> ways) {
        Herb herb = materia.herb(slug, "herb");
        for (Herb.Substitute s : herb.substitutes()) {
            materia.find(s.herb())
                    .ifPresent(other -> ways.add(new Replace(HerbName.of(herb), HerbName.of(other), s.change())));
        }
    }

    /** What the cook takes in hand for herbs: a herb of a blend goes with the blend. */
    private Set<String> takenWith(Set<String> herbs) {
        Set<String> all = new LinkedHashSet<>();
        for (String herb : herbs) {
            List<String> lines = plan.additions().stream()
                    .filter(a -> a.herb().equals(herb))
                    .map(PlannedAddition::taken)
                    .toList();
            all.addAll(lines.isEmpty() ? List.of(herb) : lines);
        }
        return all;
    }

    private void without(String slug, List<WayOut> ways) {
        if (plan.additions().stream().anyMatch(a -> !a.taken().equals(slug))) {
            ways.add(new LeaveOut(HerbName.of(materia.herb(slug, "herb"))));
        }
    }

    /** How many stops it leaves; as many as there can be when what it brings asks for care itself, or cannot be planned. */
    private int left(WayOut way) {
        try {
            Care.Verdict then = new Care(materia).judge(new Planner(materia).plan(changed(way)), history);
            boolean careful = way instanceof Replace replace
                    && then.cautions().stream()
                            .anyMatch(c -> c.severity() != Severity.NOTE
                                    && c.slugs().contains(replace.with().slug()));
            return careful ? Integer.MAX_VALUE : weight(then);
        } catch (InvalidInputException e) {
            return Integer.MAX_VALUE;
        }
    }

    private PlanRequest changed(WayOut way) {
        return changed(materia, plan.request(), way);
    }

    static PlanRequest changed(Materia materia, PlanRequest request, WayOut way) {
        Substitution substitution = new Substitution(materia, request.custom());
        if (way instanceof Replace r) {
            return request.withRecipe(substitution.replace(
                    request.recipe(), r.herb().slug(), r.with().slug(), "with"));
        } else if (way instanceof LeaveOut l) {
            return request.withRecipe(
                    substitution.leaveOut(request.recipe(), l.herb().slug(), "herb"));
        } else if (way instanceof Lessen l) {
            return request.withRecipe(
                    substitution.times(request.recipe(), l.herb().slug(), l.share(), "share"));
        } else if (way instanceof FewerCups f) {
            return request.withCups(f.cups());
        } else if (way instanceof FewerADay f) {
            return request.withTaking(request.taking().withCupsADay(f.cups()));
        } else if (way instanceof WayOut.Prescribed p) {
            Taking taking = request.taking();
            return request.withTaking(
                    new Taking(taking.cupsADay(), OptionalInt.of(p.days()), taking.prescribedBy(), taking.others()));
        }
        return request.withRecipe(request.recipe().in(new Menstruum(((DrawWith) way).menstruum(), 0)));
    }

    private List<PlannedAddition> bringing(DayLoad load) {
        return plan.additions().stream()
                .filter(a -> materia.herb(a.herb(), "herb").holds(load.constituent()))
                .toList();
    }

    private double mg(PlanRequest request, Constituent constituent) {
        BrewPlan again = new Planner(materia).plan(request);
        Workings holds = new Care(materia).contents(again).get(constituent);
        return holds == null ? 0 : holds.value();
    }

    /**
     * A smaller dose of the herb that brings the constituent, when a part of it that still matters fits the day. It is
     * planned again: a dose that was clipped already does not shrink in proportion.
     */
    private Optional<WayOut> lessen(DayLoad load) {
        Set<String> bringing = new LinkedHashSet<>();
        bringing(load).forEach(a -> bringing.add(a.taken()));
        if (bringing.size() != 1) {
            return Optional.empty();
        }
        String only = bringing.iterator().next();
        double now = plan.additions().stream()
                .filter(a -> a.taken().equals(only))
                .mapToDouble(PlannedAddition::grams)
                .sum();
        PlanRequest request = plan.request();
        Substitution substitution = new Substitution(materia, request.custom());
        double share = hundredths(load.roomMg() / load.planMg());
        for (int i = 0; i < MOST_TRIES && share > 0 && share < 1; i++) {
            double mg = mg(
                    request.withRecipe(substitution.times(request.recipe(), only, share, "share")), load.constituent());
            if (mg <= load.roomMg()) {
                double grams = now * mg / load.planMg();
                HerbName name = HerbName.of(materia.herb(only, "herb"));
                return grams < now * LEAST_SHARE
                        ? Optional.empty()
                        : Optional.of(new Lessen(name, share, Mass.grams(grams), Mass.grams(now)));
            }
            share = hundredths(share * load.roomMg() / mg);
        }
        return Optional.empty();
    }

    private static double hundredths(double share) {
        return Math.floor(share * 100) / 100;
    }

    /**
     * Fewer cups a day where it is said how many she drinks or the pot is for more days than one, else the most whole cups that
     * fit the day; planned again, because a clipped dose grows with fewer cups.
     */
    private Optional<WayOut> fewer(DayLoad load) {
        PlanRequest request = plan.request();
        boolean severalDays = request.cupsSaid() || request.cups() > request.cupsADay();
        double now = severalDays ? request.cupsADay() : request.cups();
        for (double cups = Math.ceil(now) - 1; cups >= 1; cups--) {
            WayOut way = severalDays ? new FewerADay((int) cups) : new FewerCups((int) cups);
            if (mg(changed(way), load.constituent()) <= load.roomMg()) {
                return Optional.of(way);
            }
        }
        return Optional.empty();
    }
}
