package embercup.core.care;

import embercup.core.dose.ChildDose;
import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.DailyLimit;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.HerbCaution;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Schools;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Where care is due: the drinker's conditions against every herb, ages, daily limits over all cups of the day, and the
 * hazards of the method. Says what and why in plain words; defers to licensed practice and local law. Stateless.
 */
public final class Care {

    private final Materia materia;

    public Care(Materia materia) {
        this.materia = materia;
    }

    /**
     * @param cautions the gravest first
     * @param loads the drinker's day if she drinks this whole plan
     * @param workings of each load, by {@code dailyLoads.} and its constituent
     */
    public record Verdict(List<Caution> cautions, List<DayLoad> loads, Map<String, Workings> workings) {

        /** Whether the brew must not start until a way out is chosen. */
        public boolean stops() {
            return cautions.stream().anyMatch(c -> c.severity() == Severity.STOP);
        }
    }

    /** Judges one plan for its drinker, whose cups before it are known. */
    public Verdict judge(BrewPlan plan, History history) {
        Drinker drinker = plan.request().drinker();
        List<Caution> all = new ArrayList<>(plan.notes());
        List<Herb> herbs = plan.additions().stream()
                .map(PlannedAddition::herb)
                .distinct()
                .map(slug -> materia.herb(slug, "herb"))
                .toList();
        herbs.forEach(h -> herb(all, h, drinker));
        Optional<Posology> posology = plan.request().recipe().posology();
        all.addAll(RunLength.of(herbs, plan.request().schools(), history, posology));
        posology.ifPresent(p -> perDay(all, plan, p));
        stomach(all, herbs, plan);
        Spirits.of(plan).ifPresent(all::add);
        infants(all, drinker);
        List<DayLoad> loads = loads(plan, history.earlierMg());
        loads.forEach(l -> load(all, l, plan));
        all.addAll(KitchenHazards.of(plan));
        all.sort(Comparator.comparing(Caution::severity).reversed());
        return new Verdict(List.copyOf(all), loads, workings(loads));
    }

    private void herb(List<Caution> all, Herb herb, Drinker drinker) {
        herb.stop()
                .ifPresent(s -> all.add(Caution.of("not-for-tea", Severity.STOP, herb.slug(), s.text(), s.source())));
        if (drinker.allergies().contains(herb.slug())) {
            all.add(Caution.of(
                    "allergy",
                    Severity.STOP,
                    herb.slug(),
                    "The drinker is allergic to " + herb.common().toLowerCase(Locale.ROOT) + ". Take it out.",
                    "own"));
        }
        if (drinker.dislikes().contains(herb.slug())) {
            all.add(Caution.of(
                    "dislike",
                    Severity.NOTE,
                    herb.slug(),
                    "The drinker does not care for " + herb.common().toLowerCase(Locale.ROOT) + ".",
                    "own"));
        }
        for (HerbCaution c : herb.cautions()) {
            if (c.when().isEmpty()) {
                all.add(Caution.of("general", c.severity(), herb.slug(), herb.common() + ": " + c.text(), c.source()));
            } else if (drinker.has(c.when().get())) {
                all.add(Caution.of(
                        c.when().get().code(), c.severity(), herb.slug(), herb.common() + ": " + c.text(), c.source()));
            }
        }
        herb.ageFloorYears()
                .filter(floor -> drinker.ageYears() < floor.value())
                .ifPresent(floor -> all.add(Caution.of(
                        "age-floor",
                        Severity.STOP,
                        herb.slug(),
                        floor.value() <= 1
                                ? "%s is never for a child under 12 months.".formatted(herb.common())
                                : "%s is not for anybody under %d years without a clinician."
                                        .formatted(herb.common(), Math.round(floor.value())),
                        floor.source())));
        if (herb.foraged() && !herb.lookAlikes().isEmpty()) {
            String names = String.join(
                    ", ", herb.lookAlikes().stream().map(Herb.LookAlike::name).toList());
            all.add(Caution.of(
                    "identity",
                    Severity.NOTE,
                    herb.slug(),
                    "%s gathered by yourself? Make sure it is not: %s. If in doubt, leave it out."
                            .formatted(herb.common(), names),
                    "practice"));
        }
    }

    /** Cups a day as the recipe has them, against the largest usual day of each herb. */
    private void perDay(List<Caution> all, BrewPlan plan, Posology posology) {
        for (PlannedAddition addition : plan.additions()) {
            double grams = addition.perCupG() * posology.cupsADay();
            materia.herb(addition.herb(), "herb")
                    .mostPerDayG(plan.request().recipe().tradition(), addition.form())
                    .filter(most -> grams > most.value() * 1.001)
                    .ifPresent(most -> all.add(Caution.of(
                            "posology-day",
                            Severity.CARE,
                            addition.herb(),
                            String.format(
                                    Locale.ROOT,
                                    "%s: taken as the recipe says, the day has %.1f g; %.1f g is the usual most. Drink fewer cups of it.",
                                    addition.common(),
                                    grams,
                                    most.value()),
                            most.source())));
        }
    }

    /** With food when a herb irritates, whatever the school drinks its cup on. */
    private static void stomach(List<Caution> all, List<Herb> herbs, BrewPlan plan) {
        List<String> irritate = herbs.stream()
                .filter(h -> h.cautions().stream().anyMatch(c -> c.when()
                        .filter(w -> w == Condition.STOMACH_IRRITATION)
                        .isPresent()))
                .map(h -> h.common().toLowerCase(Locale.ROOT))
                .toList();
        if (irritate.isEmpty() || plan.request().drinker().has(Condition.STOMACH_IRRITATION)) {
            return;
        }
        String which = String.join(", ", irritate);
        boolean empty = plan.request()
                .recipe()
                .posology()
                .map(p -> p.when() == Posology.When.EMPTY_STOMACH)
                .orElse(plan.request().schools().hold(Schools.Choice.EMPTY));
        String text = empty
                ? "It is drunk on an empty stomach here; " + which + " can irritate one. With food if it does."
                : "Drink it with food: " + which + " can irritate an empty stomach.";
        all.add(Caution.of("stomach", Severity.NOTE, text, "practice"));
    }

    private static void infants(List<Caution> all, Drinker drinker) {
        if (drinker.ageYears() < ChildDose.YOUNGEST_YEARS) {
            all.add(Caution.of(
                    "under-two",
                    Severity.STOP,
                    "Nothing is dosed for a child under two years without a clinician.",
                    "young"));
        }
        if (drinker.has(Condition.PREGNANT) || drinker.has(Condition.BREASTFEEDING)) {
            all.add(Caution.of(
                    "pregnancy-general",
                    Severity.NOTE,
                    "In pregnancy and while breastfeeding, ask a midwife or clinician before any herb.",
                    "practice"));
        }
    }

    /**
     * Milligrams of each limited constituent that a person gets in a day who drinks a whole plan, or a day's drops of a
     * tincture; all of the herb is counted, strained or not, and of spent herbs what they still hold.
     */
    public Map<Constituent, Double> contents(BrewPlan plan) {
        Map<Constituent, Double> sums = new EnumMap<>(Constituent.class);
        double drunk = plan.request().mostCupsADay() / plan.request().cups();
        for (PlannedAddition addition : plan.additions()) {
            Herb herb = materia.herb(addition.herb(), "herb");
            double dryShare = addition.form() == Form.FRESH ? HerbMeasure.driedShare(materia, herb) : 1;
            herb.constituents()
                    .forEach(c -> sums.merge(
                            c.constituent(),
                            c.mgPerG().best() * addition.grams() * dryShare * addition.leftShare() * drunk,
                            Double::sum));
        }
        return sums;
    }

    private List<DayLoad> loads(BrewPlan plan, Map<Constituent, Double> earlierMg) {
        List<DayLoad> loads = new ArrayList<>();
        contents(plan).forEach((constituent, mg) -> {
            DailyLimit limit = materia.limits().get(constituent);
            if (limit != null) {
                double all = mg + earlierMg.getOrDefault(constituent, 0.0);
                loads.add(new DayLoad(
                        constituent, all, mg, limitMg(limit, plan.request().drinker())));
            }
        });
        return loads;
    }

    /** The daily limit for one drinker, mg: by day, by body weight, in pregnancy, for a child; the smallest counts. */
    public static double limitMg(DailyLimit limit, Drinker drinker) {
        double kg = drinker.weightOrAssumedKg();
        double mg = Math.min(limit.mgPerDay(), limit.mgPerKgPerDay() * kg);
        if (drinker.has(Condition.PREGNANT) || drinker.has(Condition.BREASTFEEDING)) {
            mg = Math.min(mg, limit.pregnantMgPerDay());
        }
        if (drinker.ageYears() < Drinker.ADULT_YEARS) {
            mg = Math.min(mg, limit.childMgPerKgPerDay() * kg);
            mg = Math.min(mg, limit.mgPerDay() * kg / Drinker.ASSUMED_ADULT_KG);
        }
        return mg;
    }

    private void load(List<Caution> all, DayLoad load, BrewPlan plan) {
        DailyLimit limit = materia.limits().get(load.constituent());
        String name = load.constituent().name().toLowerCase(Locale.ROOT);
        if (limit == null || load.mg() < load.limitMg() * 0.25) {
            return;
        }
        String holds = String.format(
                Locale.ROOT,
                "With this pot the day holds %s of %s; the limit is %s.",
                mg(load.mg()),
                name,
                mg(load.limitMg()));
        Severity severity = !load.over()
                ? Severity.NOTE
                : load.constituent() == Constituent.ESTRAGOLE ? Severity.CARE : Severity.STOP;
        String out = load.over() ? " Make fewer cups, take less of it, or another herb." : "";
        all.add(Caution.of(
                name,
                severity,
                holds + out + " All of the herb is counted, which overestimates a strained cup.",
                limit.source()));
    }

    private Map<String, Workings> workings(List<DayLoad> loads) {
        Map<String, Workings> all = new TreeMap<>();
        for (DayLoad load : loads) {
            DailyLimit limit = materia.limits().get(load.constituent());
            if (limit != null) {
                all.put("dailyLoads." + load.constituent().name().toLowerCase(Locale.ROOT), workings(load, limit));
            }
        }
        return all;
    }

    /** Why a load of the day is what it is: this pot's milligrams, what went before, and the drinker's limit. */
    private static Workings workings(DayLoad load, DailyLimit limit) {
        String name = load.constituent().name().toLowerCase(Locale.ROOT);
        return Workings.computed(
                        name + " in the day",
                        "all of the herb × its content + what was planned or drunk that day",
                        load.mg(),
                        "mg",
                        Workings.given("from this pot", load.planMg(), "mg"),
                        Workings.given("from the rest of the day", load.mg() - load.planMg(), "mg"),
                        Workings.sourced(
                                "limit for this drinker: " + limit.words(), load.limitMg(), "mg", limit.source()))
                .from(limit.source());
    }

    private static String mg(double mg) {
        return mg >= 10 ? Math.round(mg) + " mg" : String.format(Locale.ROOT, "%.1f mg", mg);
    }
}
