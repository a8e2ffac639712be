package embercup.core.care;

import embercup.core.dose.ChildDose;
import embercup.core.dose.Drinker;
import embercup.core.materia.AskWhen;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.materia.Trait;
import embercup.core.measure.Mass;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.SingleDose;
import embercup.core.plan.Taking;
import embercup.core.plan.Taking.Sharer;
import embercup.core.recipe.OwnCaution;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Schools;
import embercup.core.workings.Code;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Where care is due: the drinker's conditions against every herb, ages, daily limits over all cups of the day, and the
 * hazards of the method. Says what and why as facts; defers to licensed practice and local law. Stateless.
 */
public final class Care {

    /** The day of a recipe's posology is told when it passes the usual most by more than a rounding. */
    private static final double ROUNDING = 1.001;

    private final Materia materia;
    private final Loads counted;

    public Care(Materia materia) {
        this.materia = materia;
        this.counted = new Loads(materia);
    }

    /**
     * @param cautions the gravest first
     * @param loads the drinker's day with the cups of this plan that she drinks
     * @param ask when to stop and ask a clinician
     * @param workings of each load, by {@code dailyLoads.} and its constituent
     */
    public record Verdict(
            List<Caution> cautions, List<DayLoad> loads, List<AskWhen> ask, Map<String, Workings> workings) {

        /** Whether the brew must not start until a way out is chosen. */
        public boolean stops() {
            return !stopping().isEmpty();
        }

        /** The same without the notes that were told to the pot's own drinker already. */
        public Verdict beside(Verdict main) {
            List<Caution> own = cautions.stream()
                    .filter(c -> c.severity() != Severity.NOTE || !main.cautions.contains(c))
                    .toList();
            return new Verdict(own, loads, ask, workings);
        }

        /**
         * What this house needs not be told again: how hot a strainer is once it has brewed, what a gathered herb could be else of one
         * that stands in a tin.
         */
        public Verdict in(House house) {
            List<Caution> told = Stream.concat(cautions.stream(), house.notEnough.stream())
                    .filter(c -> !(house.brewed && c instanceof Caution.Scald)
                            && !(c instanceof Caution.Identity i && house.inTins.contains(i.of().slug())))
                    .sorted(Comparator.comparing(Caution::severity).reversed())
                    .toList();
            return new Verdict(told, loads, ask, workings);
        }

        /** What keeps it from starting. */
        public List<Caution> stopping() {
            return cautions.stream().filter(c -> c.severity() == Severity.STOP).toList();
        }

        /** Whether every stop is for what this drinker is, and none for what is in the pot. */
        public boolean stopsOnlyThisDrinker() {
            return stopping().stream().allMatch(Caution.OfDrinker.class::isInstance);
        }

        /** Whether nothing stops it, and nothing that this drinker is asks for care. */
        public boolean suitsDrinker() {
            return !stops()
                    && cautions.stream()
                            .noneMatch(c -> c.severity() == Severity.CARE && c instanceof Caution.OfDrinker);
        }
    }

    /**
     * What a house knows already.
     *
     * @param brewed whether a pot was finished in it
     * @param inTins slugs of the herbs that stand in its tins
     * @param notEnough herbs of the pot of which it has too little
     */
    public record House(boolean brewed, Set<String> inTins, List<Caution.NotEnough> notEnough) {
        public House(boolean brewed, Set<String> inTins) {
            this(brewed, inTins, List.of());
        }
    }

    /** Whether a recipe that is not for some people names this drinker. */
    private static boolean names(Collection<Condition> conditions, OptionalDouble underYears, Drinker drinker) {
        return conditions.stream().anyMatch(drinker::has)
                || underYears.isPresent() && drinker.ageYears() < underYears.getAsDouble();
    }

    /** What the recipe itself says to a drinker: nothing where it names others. */
    private static Optional<Caution> says(OwnCaution says, Drinker drinker) {
        if (!says.namesPeople()) {
            return Optional.of(new Caution.RecipeSays(says));
        }
        boolean hers = names(says.conditions(), says.underYears(), drinker);
        return hers ? Optional.of(new Caution.RecipeSaysNotFor(says)) : Optional.empty();
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
        plan.request().recipe().told().notFor().stream()
                .filter(n -> names(n.when().stream().toList(), n.underYears(), drinker))
                .forEach(n -> all.add(new Caution.RecipeNotFor(n)));
        plan.request().recipe().told().cautions().forEach(says -> says(says, drinker)
                .ifPresent(all::add));
        all.addAll(RawHerbs.of(materia, plan));
        all.addAll(HerbCautions.of(herbs, drinker));
        all.removeIf(c -> c instanceof Caution.General g && drowsy(g) && !sedates(plan, herbs));
        all.addAll(new HerbCombinations(materia, plan).cautions(herbs));
        herbs.stream().filter(h -> materia.isOwn(h.slug())).forEach(h -> all.add(OwnHerbs.of(materia, h, drinker)));
        PlanRequest request = plan.request();
        all.addAll(RunLength.of(herbs, request, history));
        if (request.cupsSaid()) {
            perDay(all, plan);
        }
        all.addAll(counted.harmful(plan));
        stomach(all, herbs, plan);
        Spirits.of(plan).ifPresent(all::add);
        infants(all, drinker);
        List<DayLoad> loads = counted.of(plan, history);
        all.addAll(counted.cautions(plan, loads, history));
        all.addAll(counted.askedTooMuch(plan, loads, history));
        request.taking()
                .prescribedDays()
                .ifPresent(days ->
                        all.add(new Caution.Prescribed(days, request.taking().prescribedBy())));
        if (!loads.isEmpty() && !request.cupsSaid() && request.cups() > 1) {
            all.add(new Caution.CupsNotSaid(plan.request().cupsADay()));
        }
        List<HerbName> dyes =
                herbs.stream().filter(h -> h.cup().stains()).map(HerbName::of).toList();
        if (!dyes.isEmpty()) {
            all.add(new Caution.Stains(dyes));
        }
        all.addAll(KitchenHazards.of(plan));
        all.sort(CautionOrder.OF_TELLING);
        Map<String, Workings> workings = new TreeMap<>();
        loads.forEach(l -> workings.put("dailyLoads." + Code.of(l.constituent()), l.day()));
        return new Verdict(List.copyOf(all), loads, ClinicianAdvice.of(materia, herbs, drinker), workings);
    }

    /**
     * Judges the same pot for somebody who drinks of it beside its drinker, by the same rules: her own cups of what is in it, her
     * day and her history. What the pot itself has to say is not said again.
     */
    public Verdict judge(BrewPlan plan, Sharer sharer, History history) {
        PlanRequest hers = plan.request()
                .withDrinker(sharer.drinker())
                .withTaking(new Taking(
                        OptionalDouble.of(sharer.cupsADay() * sharer.serving()), OptionalInt.empty(), List.of()));
        Verdict verdict = judge(plan.forRequest(hers), history);
        List<Caution> own = new ArrayList<>(verdict.cautions());
        own.removeAll(plan.notes());
        own.removeIf(c -> c.about() == Caution.About.POT);
        double share = hers.shareOfAdult().value();
        for (PlannedAddition a : plan.additions()) {
            SingleDose.of(plan.usual(materia, a), a.of().herb(), a.perCupG() * sharer.serving(), share)
                    .ifPresent(own::add);
        }
        own.sort(CautionOrder.OF_TELLING);
        if (share > 0 && sharer.serving() > share * (1 + 1e-9)) {
            own.add(0, new Caution.ServingTooLarge((int) Math.floor(share * 100), (int)
                    Math.round(sharer.serving() * 100)));
        }
        return new Verdict(List.copyOf(own), verdict.loads(), verdict.ask(), verdict.workings());
    }

    /** Whether it is what the herbs that make drowsy say to everybody. */
    private boolean drowsy(Caution.General general) {
        return materia.trait(Trait.Kind.SEDATING).cautions().stream()
                .anyMatch(c -> c.when().isEmpty() && c.text().equals(general.why()));
    }

    /** Whether a grown-up has a real dose of what makes drowsy in a cup: together as much as the least usual single dose. */
    private boolean sedates(BrewPlan plan, List<Herb> herbs) {
        double doses = 0;
        for (PlannedAddition a : plan.additions()) {
            boolean sedating = herbs.stream().anyMatch(h -> h.slug().equals(a.herb()) && h.has(Trait.Kind.SEDATING));
            if (sedating) {
                // Where nothing is published any amount counts.
                doses += plan.usual(materia, a)
                        .inCup()
                        .map(u -> a.perCupG() / u.lowG())
                        .orElse(1.0);
            }
        }
        return plan.request().drinker().ageYears() >= Drinker.ADULT_YEARS && doses >= 1 - 1e-6;
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
        identity(all, herb, name);
    }

    /** Which poison a herb that is gathered could be; of others it stands on the herb's page. */
    private static void identity(List<Caution> all, Herb herb, HerbName name) {
        if (herb.needsIdentityCheck()) {
            all.add(new Caution.Identity(
                    name,
                    herb.lookAlikes().stream()
                            .filter(Herb.LookAlike::poisonous)
                            .map(l -> new Caution.Confusion(l.name(), l.tell()))
                            .toList()));
        }
    }

    /** Cups a day as the order or the recipe has them, against the largest usual day of each herb. */
    private void perDay(List<Caution> all, BrewPlan plan) {
        for (PlannedAddition addition : plan.additions()) {
            double grams = addition.perCupG() * plan.request().cupsADay();
            plan.usual(materia, addition)
                    .mostInDay()
                    .filter(most -> grams > most.value() * ROUNDING)
                    .ifPresent(most -> all.add(new Caution.PosologyDay(
                            addition.of().herb(), Mass.grams(grams), Mass.grams(most.value()), most.source())));
        }
    }

    /** With food when a herb irritates, whatever the school drinks its cup on. */
    private static void stomach(List<Caution> all, List<Herb> herbs, BrewPlan plan) {
        List<HerbName> irritate = herbs.stream()
                .filter(h -> h.cautions().stream()
                        .anyMatch(c -> c.severity() != Severity.NOTE
                                && c.when()
                                        .filter(Condition.STOMACH_IRRITATION::equals)
                                        .isPresent()))
                .map(HerbName::of)
                .toList();
        if (irritate.isEmpty() || plan.request().drinker().has(Condition.STOMACH_IRRITATION)) {
            return;
        }
        boolean empty = plan.request()
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

    /** Milligrams of each limited constituent that a person gets in a day from the cups she drinks of a plan that day. */
    public Map<Constituent, Workings> contents(BrewPlan plan) {
        return counted.contents(plan);
    }
}
