package embercup.core.care;

import embercup.core.dose.ChildDose;
import embercup.core.dose.DayLimits;
import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.DailyLimit;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.HerbCaution;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.measure.Mass;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Schools;
import embercup.core.workings.Code;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Where care is due: the drinker's conditions against every herb, ages, daily limits over all cups of the day, and the
 * hazards of the method. Says what and why as facts; defers to licensed practice and local law. Stateless.
 */
public final class Care {

    /** Below this share of its limit a constituent is not worth a word (design value). */
    private static final double WORTH_TELLING = 0.25;
    /** The day of a recipe's posology is told when it passes the usual most by more than a rounding. */
    private static final double ROUNDING = 1.001;

    private final Materia materia;

    public Care(Materia materia) {
        this.materia = materia;
    }

    /**
     * @param cautions the gravest first
     * @param loads the drinker's day with the cups of this plan that she drinks
     * @param workings of each load, by {@code dailyLoads.} and its constituent
     */
    public record Verdict(List<Caution> cautions, List<DayLoad> loads, Map<String, Workings> workings) {

        /** Whether the brew must not start until a way out is chosen. */
        public boolean stops() {
            return cautions.stream().anyMatch(c -> c.severity() == Severity.STOP);
        }

        /** Whether every stop is for what this drinker is, and none for what is in the pot. */
        public boolean stopsOnlyThisDrinker() {
            return cautions.stream()
                    .filter(c -> c.severity() == Severity.STOP)
                    .allMatch(Caution.OfDrinker.class::isInstance);
        }

        /** Whether nothing stops it, and nothing that this drinker is asks for care. */
        public boolean suitsDrinker() {
            return cautions.stream()
                    .noneMatch(c -> c.severity() == Severity.STOP
                            || c.severity() == Severity.CARE && c instanceof Caution.OfDrinker);
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
        herbs.stream().filter(h -> materia.isOwn(h.slug())).forEach(h -> all.add(OwnHerbs.of(materia, h, drinker)));
        Optional<Posology> posology = plan.request().recipe().posology();
        all.addAll(RunLength.of(herbs, plan.request().schools(), history, posology));
        posology.ifPresent(p -> perDay(all, plan, p));
        stomach(all, herbs, plan);
        Spirits.of(plan).ifPresent(all::add);
        infants(all, drinker);
        List<DayLoad> loads = loads(plan, history.earlierMg());
        loads.forEach(l -> load(l).ifPresent(all::add));
        if (!loads.isEmpty() && posology.isEmpty() && plan.request().cups() > 1) {
            all.add(new Caution.CupsNotSaid(plan.request().cupsADay()));
        }
        all.addAll(KitchenHazards.of(plan));
        all.sort(Comparator.comparing(Caution::severity).reversed());
        Map<String, Workings> workings = new TreeMap<>();
        loads.forEach(l -> workings.put("dailyLoads." + Code.of(l.constituent()), l.day()));
        return new Verdict(List.copyOf(all), loads, workings);
    }

    private static void herb(List<Caution> all, Herb herb, Drinker drinker) {
        HerbName name = HerbName.of(herb);
        herb.stop().ifPresent(s -> all.add(new Caution.NotForTea(name, s.text(), s.source())));
        if (drinker.allergies().contains(herb.slug())) {
            all.add(new Caution.Allergy(name));
        }
        if (drinker.dislikes().contains(herb.slug())) {
            all.add(new Caution.Dislike(name));
        }
        for (HerbCaution c : herb.cautions()) {
            if (c.when().isEmpty()) {
                all.add(new Caution.General(name, c.text(), c.severity(), c.source()));
            } else if (drinker.has(c.when().get())) {
                all.add(new Caution.ForCondition(name, c.when().get(), c.text(), c.severity(), c.source()));
            }
        }
        herb.ageFloorYears()
                .filter(floor -> drinker.ageYears() < floor.value())
                .ifPresent(floor -> all.add(new Caution.AgeFloor(name, floor.value(), floor.source())));
        if (herb.foraged() && !herb.lookAlikes().isEmpty()) {
            all.add(new Caution.Identity(
                    name, herb.lookAlikes().stream().map(Herb.LookAlike::name).toList()));
        }
    }

    /** Cups a day as the recipe has them, against the largest usual day of each herb. */
    private void perDay(List<Caution> all, BrewPlan plan, Posology posology) {
        for (PlannedAddition addition : plan.additions()) {
            double grams = addition.perCupG() * posology.cupsADay();
            materia.herb(addition.herb(), "herb")
                    .mostPerDayG(plan.request().recipe().tradition(), addition.form())
                    .filter(most -> grams > most.value() * ROUNDING)
                    .ifPresent(most -> all.add(new Caution.PosologyDay(
                            addition.of().herb(), Mass.grams(grams), Mass.grams(most.value()), most.source())));
        }
    }

    /** With food when a herb irritates, whatever the school drinks its cup on. */
    private static void stomach(List<Caution> all, List<Herb> herbs, BrewPlan plan) {
        List<HerbName> irritate = herbs.stream()
                .filter(h -> h.cautions().stream().anyMatch(c -> c.when()
                        .filter(w -> w == Condition.STOMACH_IRRITATION)
                        .isPresent()))
                .map(HerbName::of)
                .toList();
        if (irritate.isEmpty() || plan.request().drinker().has(Condition.STOMACH_IRRITATION)) {
            return;
        }
        boolean empty = plan.request()
                .recipe()
                .posology()
                .map(p -> p.when() == Posology.When.EMPTY_STOMACH)
                .orElse(plan.request().schools().hold(Schools.Choice.EMPTY));
        all.add(new Caution.Stomach(irritate, empty));
    }

    private static void infants(List<Caution> all, Drinker drinker) {
        if (drinker.ageYears() < ChildDose.YOUNGEST_YEARS) {
            all.add(new Caution.UnderTwo());
        }
        if (drinker.has(Condition.PREGNANT) || drinker.has(Condition.BREASTFEEDING)) {
            all.add(new Caution.PregnancyGeneral());
        }
    }

    /**
     * Milligrams of each limited constituent that a person gets in a day from the cups she drinks of a plan that day; all of
     * the herb is counted, strained or not, and of spent herbs what they still hold.
     */
    public Map<Constituent, Workings> contents(BrewPlan plan) {
        Map<Constituent, List<Workings>> parts = new EnumMap<>(Constituent.class);
        for (PlannedAddition addition : plan.additions()) {
            Herb herb = materia.herb(addition.herb(), "herb");
            herb.constituents().forEach(c -> parts.computeIfAbsent(c.constituent(), k -> new ArrayList<>())
                    .add(content(plan, addition, herb, c)));
        }
        Map<Constituent, Workings> all = new EnumMap<>(Constituent.class);
        parts.forEach(
                (c, w) -> all.put(c, Workings.sum(Term.FROM_THIS_POT, "mg", w).of(Code.of(c))));
        return all;
    }

    private Workings content(BrewPlan plan, PlannedAddition addition, Herb herb, Herb.Content c) {
        List<Workings> factors = new ArrayList<>();
        factors.add(Workings.given(Term.GRAMS, addition.grams(), "g"));
        if (addition.form() == Form.FRESH) {
            factors.add(Workings.given(Term.DRIED_SHARE, HerbMeasure.driedShare(materia, herb), ""));
        }
        factors.add(Workings.sourced(Term.CONTENT, c.mgPerG().best(), "mg/g", c.source()));
        if (addition.leftShare() < 1) {
            factors.add(Workings.given(Term.LEFT_IN, addition.leftShare(), "").of(addition.common()));
        }
        double drunk = plan.request().shareADay();
        if (drunk != 1) {
            factors.add(Workings.given(Term.DRUNK_IN_A_DAY, drunk, ""));
        }
        return Workings.product(Term.CONTENT_OF, "mg", factors).of(addition.common());
    }

    private List<DayLoad> loads(BrewPlan plan, Map<Constituent, Double> earlierMg) {
        List<DayLoad> loads = new ArrayList<>();
        contents(plan).forEach((constituent, pot) -> {
            DailyLimit limit = materia.limits().get(constituent);
            if (limit != null) {
                Workings day = Workings.sum(
                                Term.IN_THE_DAY,
                                "mg",
                                pot,
                                Workings.given(Term.FROM_REST_OF_DAY, earlierMg.getOrDefault(constituent, 0.0), "mg"))
                        .of(Code.of(constituent));
                Workings most = DayLimits.forDrinker(limit, plan.request().drinker());
                loads.add(new DayLoad(constituent, day, pot.value(), most, limit.comparesOnly(), limit.source()));
            }
        });
        return loads;
    }

    private static Optional<Caution> load(DayLoad load) {
        if (load.mg() < load.limitMg() * WORTH_TELLING) {
            return Optional.empty();
        }
        Severity severity = !load.over() ? Severity.NOTE : load.comparesOnly() ? Severity.CARE : Severity.STOP;
        return Optional.of(new Caution.DayHolds(
                load.constituent(),
                Mass.milligrams(load.mg()),
                Mass.milligrams(load.limitMg()),
                load.over(),
                severity,
                load.source()));
    }
}
