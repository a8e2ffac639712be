package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.BrewSetup.Cups;
import embercup.core.brew.BrewSimulation;
import embercup.core.brew.Charge;
import embercup.core.brew.Reckoning;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Parts;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Reason;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Makes a {@link BrewPlan} from a recipe, a drinker and a kitchen. Stateless and thread-safe. */
public final class Planner {

    /** Handbook decoction: it is boiled down by a third (source key {@code handbooks}), so the pour is 1.5 × the liquor. */
    private static final double REDUCED_FROM = 1.5;

    /** So much off the asked strength is told (design value), as a share. */
    private static final double OTHER_STRENGTH = 0.15;

    private final Materia materia;

    public Planner(Materia materia) {
        this.materia = materia;
    }

    /** @throws InvalidInputException when recipe or request cannot be brewed; names every field */
    public BrewPlan plan(PlanRequest asked) {
        List<Reason> reasons = new ArrayList<>();
        List<Reason> waits = new ArrayList<>();
        PlanRequest request = ready(asked, reasons, waits);
        List<Caution> notes = new ArrayList<>();
        Map<String, Workings> workings = new LinkedHashMap<>();
        List<PlannedAddition> additions = new Measures(materia, request).planned(notes, workings);
        Filled filled = fill(request, charges(request, additions));
        if (request.spentHerbs()) {
            BrewResult first = BrewSimulation.run(filled.pot);
            filled = fill(request, spent(filled.pot.charges(), first));
            additions = spentLines(additions, first);
        }
        BrewSetup pot = filled.pot;
        request = atHand(boilsShare(request, pot, reasons), pot.vessel());
        Reckoning reckoning = Reckoning.of(pot);
        BrewResult brew = reckoning.result();
        waits.stream().filter(r -> !brew.stages().get(r.stage()).needless()).forEach(reasons::add);
        notes.addAll(Doubts.of(materia, request, additions, notes));
        notes.addAll(PotNotes.of(materia, request, additions, pot, brew));
        StandardCup standard = standard(request, pot.vessel());
        Prediction predicted = Prediction.of(pot, standard, additions, brew);
        otherTime(request, pot, standard, brew, predicted).ifPresent(notes::add);
        Figures.waterAndTimes(workings, pot, filled.pour, reckoning);
        workings.put("totalS", Figures.total(predicted));
        return new BrewPlan(
                request, additions, pot, standard, predicted, notes, reasons, Collections.unmodifiableMap(workings));
    }

    /** The request with stages, when the recipe has none, and with the gates of its finish; checked. */
    private PlanRequest ready(PlanRequest asked, List<Reason> reasons, List<Reason> waits) {
        RecipeRules rules = new RecipeRules(materia, asked.custom());
        PlanRequest request = asked.withRecipe(Parts.resolved(materia, asked.recipe()));
        if (Parts.closed(materia, request.recipe())) {
            rules.checkHerbs(request.recipe(), "recipe");
            request = request.withRecipe(Parts.opened(materia, request.recipe(), asked.custom()));
        }
        if (asked.recipe().stages().isEmpty()) {
            rules.checkHerbs(request.recipe(), "recipe");
            Proposal proposal = Proposal.of(materia, request.recipe(), asked.schools());
            reasons.addAll(proposal.reasons());
            request = request.withRecipe(proposal.recipe());
        }
        rules.check(request.recipe(), "recipe");
        request.check();
        return Finishing.gated(materia, request, waits);
    }

    private static List<Charge> spent(List<Charge> charges, BrewResult first) {
        return IntStream.range(0, charges.size())
                .mapToObj(i -> charges.get(i).spent(first.leftInHerbs().get(i)))
                .toList();
    }

    /** Charges are the additions that go into the pot, in the same order. */
    private static List<PlannedAddition> spentLines(List<PlannedAddition> additions, BrewResult first) {
        Iterator<Map<ExtractClass, Double>> left = first.leftInHerbs().iterator();
        return additions.stream()
                .map(a -> a.perCup() ? a : a.spent(left.next().getOrDefault(ExtractClass.BODY, 0.0)))
                .toList();
    }

    // ---- vessel and water

    /** A vessel of the household that was taken is the plan's own: it is kept with it, whatever becomes of the household's. */
    private static PlanRequest atHand(PlanRequest request, Vessel taken) {
        boolean own = request.kitchen().vessel().isEmpty()
                && request.kitchen().atHand().contains(taken);
        return own ? request.withKitchen(request.kitchen().withVessel(taken)) : request;
    }

    /** The plan's recipe says the fresh water that is poured, and why it is another than the one that was written. */
    private static PlanRequest boilsShare(PlanRequest request, BrewSetup pot, List<Reason> reasons) {
        List<Stage> written = request.recipe().stages();
        if (pot.stages().equals(written)) {
            return request;
        }
        IntStream.range(0, written.size())
                .filter(i -> !pot.stages().get(i).equals(written.get(i)))
                .forEach(i -> reasons.add(Reason.of(i, Reason.Because.BOILS_SHARE, List.of())));
        return request.withRecipe(request.recipe().withStages(pot.stages()));
    }

    /** Why a pot of more or fewer cups is another in strength than the recipe's own: its water takes another time to go. */
    private static Optional<Caution> otherTime(
            PlanRequest request, BrewSetup pot, StandardCup standard, BrewResult brew, Prediction predicted) {
        if (!request.recipe().has(StageKind.REDUCE) || Math.abs(pot.volumeScale() - 1) < 1e-9 || brew.neverBoils()) {
            return Optional.empty();
        }
        double share = predicted.strength() / request.strength().factor();
        if (Math.abs(share - 1) < OTHER_STRENGTH) {
            return Optional.empty();
        }
        double minutes = boilingDownS(brew) / 60;
        double own = boilingDownS(BrewSimulation.run(standard.own())) / 60;
        return Math.abs(minutes - own) < 1
                ? Optional.empty()
                : Optional.of(new Caution.OtherCupsOtherTime(
                        Math.rint(minutes), Math.rint(own), (int) Math.round(predicted.strength() * 100)));
    }

    private static double boilingDownS(BrewResult brew) {
        return brew.stages().stream()
                .filter(r -> r.stage() instanceof Stage.Reduce)
                .mapToDouble(StageRun::properS)
                .sum();
    }

    /** A pot with its water, and how that was found. */
    private record Filled(BrewSetup pot, Pour pour) {}

    /** Chooses the vessel and solves the water. */
    private Filled fill(PlanRequest request, List<Charge> charges) {
        List<Vessel> usual = usual(request.recipe());
        Vessel first =
                request.kitchen().vessel().orElseGet(() -> request.kitchen().fitting(usual, 1.3 * request.liquorMl()));
        Filled filled = fill(request, setup(request, charges, first));
        if (byVessel(request)) {
            return filled;
        }
        Vessel fitting =
                request.kitchen().vessel().orElseGet(() -> request.kitchen().fitting(usual, filled.pot.fullMl()));
        return fitting.equals(first) ? filled : fill(request, filled.pot.in(fitting));
    }

    /** Whether the vessel says the water: it is filled so for the recipe's own cups; more or fewer are solved. */
    private static boolean byVessel(PlanRequest request) {
        double scale = request.liquorMl() / request.recipe().statedYieldMl();
        return Filling.of(request.recipe()).isPresent() && Math.abs(scale - 1) < 1e-9;
    }

    private BrewSetup setup(PlanRequest request, List<Charge> charges, Vessel vessel) {
        return new BrewSetup(
                request.kitchen(),
                vessel,
                materia.extraction(),
                request.recipe().stages(),
                charges,
                new Cups(request.cups(), request.cupMl()),
                request.liquorMl() / request.recipe().statedYieldMl(),
                request.liquorMl());
    }

    private static List<Vessel> usual(Recipe recipe) {
        if (Fire.on(recipe.stages())) {
            return Kitchen.USUAL_POTS;
        }
        boolean stands =
                recipe.stages().stream().anyMatch(s -> s instanceof Stage.Steep steep && steep.minutes() >= 120);
        return recipe.has(StageKind.MACERATE) || stands ? Kitchen.USUAL_JARS : Kitchen.USUAL_INFUSERS;
    }

    /**
     * Starting water. A recipe's own pour is kept, or grown with its yield for more cups; one that fills its vessel is filled;
     * a reduction starts from half as much again as it ends with; everything else is solved for the yield.
     */
    private static Filled fill(PlanRequest request, BrewSetup setup) {
        Recipe recipe = request.recipe();
        double scale = setup.volumeScale();
        Workings times = Workings.given(Term.TIMES_RECIPE, scale, "");
        if (recipe.pourMl().isPresent()) {
            Workings own = Workings.given(Term.AS_RECIPE_SAYS, recipe.pourMl().getAsDouble(), "mL");
            if (recipe.has(StageKind.REDUCE) || Math.abs(scale - 1) < 1e-9) {
                return stated(setup, Workings.product(Term.WATER_AT_START, "mL", own, times));
            }
            BrewSetup asWritten = setup.own(new Cups(recipe.cups(), recipe.cupMl()), own.value());
            Workings leaves = leaves(Reckoning.of(asWritten), own);
            return solved(setup, Workings.product(Term.STRAINED_LIQUOR, "mL", leaves, times));
        }
        if (recipe.stages().get(0).bringsMl() > 0) {
            return stated(setup, Workings.given(Term.WATER_AT_START, 0, "mL"));
        }
        if (byVessel(request)) {
            return stated(setup, Filling.water(Filling.of(recipe).orElseThrow(), setup));
        }
        Optional<Stage.Reduce> reduction = WaterPlan.lastReduction(recipe.stages());
        if (reduction.isPresent()) {
            Workings kept = Workings.given(Term.KEPT_BY_HERBS, setup.keptMl(false), "mL");
            Workings boiledDown = Workings.product(
                    Term.BOILED_DOWN_FROM,
                    "mL",
                    Workings.given(Term.AS_RECIPE_SAYS, reduction.get().toMl(), "mL"),
                    times,
                    Workings.sourced(Term.REDUCED_FROM, REDUCED_FROM, "", "handbooks"));
            return stated(setup, Workings.sum(Term.WATER_AT_START, "mL", boiledDown, kept));
        }
        Workings cups = Workings.given(Term.CUPS, request.cups(), "cups");
        Workings size = Workings.given(Term.CUP_SIZE, request.cupMl(), "mL");
        return solved(
                setup,
                recipe.dilutionParts() == 0
                        ? Workings.product(Term.STRAINED_LIQUOR, "mL", cups, size)
                        : Workings.quotient(
                                Term.STRAINED_LIQUOR,
                                "mL",
                                Workings.product(Term.ALL_CUPS, "mL", cups, size),
                                Workings.given(Term.PARTS_AND_ONE, 1 + recipe.dilutionParts(), "")));
    }

    /** What the recipe's own water leaves of its own pot, at least a millilitre. */
    private static Workings leaves(Reckoning own, Workings pour) {
        Workings yield =
                Workings.difference(Term.OWN_WATER_LEAVES, "mL", own.inAll(pour), own.retained(), own.evaporated());
        return yield.value() >= 1
                ? yield
                : Workings.most(Term.OWN_WATER_LEAVES, "mL", yield, Workings.given(Term.ONE, 1, "mL"));
    }

    private static Filled stated(BrewSetup setup, Workings start) {
        return new Filled(setup.withPour(start.value()), new Pour.Stated(start));
    }

    private static Filled solved(BrewSetup setup, Workings liquor) {
        BrewSetup solved = setup.withPour(BrewSimulation.solvePour(setup, liquor.value()));
        if (solved.pourMl() <= 0) {
            return stated(solved, Workings.given(Term.WATER_AT_START, 0, "mL"));
        }
        BrewSetup pot = BoilsShare.of(solved, liquor.value())
                .map(solved::withStages)
                .map(shared -> shared.withPour(BrewSimulation.solvePour(shared, liquor.value())))
                .orElse(solved);
        return new Filled(pot, new Pour.Solved(liquor));
    }

    private List<Charge> charges(PlanRequest request, List<PlannedAddition> additions) {
        return PlannedAddition.brewed(additions).stream()
                .map(a -> charge(request, a.of(), a.stage(), a.grams()))
                .toList();
    }

    private Charge charge(PlanRequest request, PlannedAddition.Of of, int stage, double grams) {
        return Charge.of(
                materia,
                materia.herb(of.herb().slug(), "herb"),
                of.form(),
                blended(request.recipe().stages(), stage) ? Cut.PASTE : of.cut(),
                grams,
                stage,
                request.recipe().menstruum());
    }

    /** Whether what goes in at a stage is blended before it infuses: then it gives as a paste does. */
    private static boolean blended(List<Stage> stages, int from) {
        for (int i = from; i < stages.size(); i++) {
            StageKind kind = stages.get(i).kind();
            if (kind == StageKind.BLEND) {
                return true;
            } else if (kind.infuses()) {
                return false;
            }
        }
        return false;
    }

    /** The recipe's own standard cup, as written, in a standard kitchen; one that says its water by the vessel, in that. */
    private StandardCup standard(PlanRequest request, Vessel vessel) {
        PlanRequest written = PlanRequest.asWritten(request.recipe()).withCustom(request.custom());
        if (Filling.of(request.recipe()).isPresent()) {
            written = written.withKitchen(written.kitchen().withVessel(vessel));
        }
        BrewSetup own = fill(written, ownCharges(written)).pot;
        return new StandardCup(
                own, BrewSimulation.bodyPerMl(own), materia.extraction().bandRelative());
    }

    private List<Charge> ownCharges(PlanRequest written) {
        Measures measures = new Measures(materia, written);
        double[] grams = measures.ownGrams();
        List<Addition> additions = written.recipe().additions();
        return IntStream.range(0, grams.length)
                .filter(i -> !measures.perCup(additions.get(i)))
                .mapToObj(i ->
                        charge(written, of(additions.get(i)), additions.get(i).stage(), grams[i]))
                .toList();
    }

    private PlannedAddition.Of of(Addition addition) {
        HerbName name = HerbName.of(materia.herb(addition.herb(), "herb"));
        return new PlannedAddition.Of(name, addition.form(), addition.cut());
    }
}
