package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.BrewSimulation;
import embercup.core.brew.Charge;
import embercup.core.brew.CurvePoint;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.recipe.Parts;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Proposal.Reason;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.InvalidInput;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Makes a {@link BrewPlan} from a recipe, a drinker and a kitchen. Stateless and thread-safe. */
public final class Planner {

    /** Handbook decoction: it is boiled down by a third (source key {@code handbooks}), so the pour is 1.5 × the liquor. */
    private static final double REDUCED_FROM = 1.5;

    private final Materia materia;

    public Planner(Materia materia) {
        this.materia = materia;
    }

    /** @throws InvalidInput when recipe or request cannot be brewed; names every field */
    public BrewPlan plan(PlanRequest asked) {
        List<Reason> reasons = new ArrayList<>();
        List<Reason> waits = new ArrayList<>();
        PlanRequest request = ready(asked, reasons, waits);
        List<Caution> notes = new ArrayList<>();
        Map<String, embercup.core.workings.Workings> workings = new LinkedHashMap<>();
        List<PlannedAddition> additions = new Measures(materia, request).planned(notes, workings);
        BrewSetup pot = pot(request, charges(request, additions));
        if (request.spentHerbs()) {
            BrewResult first = BrewSimulation.run(pot.unmeasured());
            pot = pot(request, spentCharges(pot.charges(), first));
            additions = spent(additions, first);
        }
        BrewResult brew = BrewSimulation.run(pot);
        WaterPlan water = water(pot, brew);
        waits.stream().filter(r -> !brew.stages().get(r.stage()).needless()).forEach(reasons::add);
        Vessel vessel = pot.vessel();
        Timeline timeline = Timeline.of(materia, request, additions, brew.stages(), water, vessel);
        double reference = referenceBodyPerMl(request);
        double bodyPerMl = bodyPerMl(brew);
        double strength = reference == 0 ? 0 : bodyPerMl / reference;
        double band = band(brew.share(ExtractClass.BODY));
        notes.addAll(PotNotes.of(materia, request, pot, brew, water));
        PlanWorkings.water(workings, pot, brew, water);
        PlanWorkings.strength(workings, brew, strength, reference, request);
        PlanWorkings.band(workings, strength, band);
        PlanWorkings.rest(workings, pot, brew, water, timeline.stageStartS() + brew.totalS());
        return new BrewPlan(
                request,
                additions,
                water,
                request.kitchen().boilingC(),
                vessel,
                timeline.steps(),
                brew.stages(),
                timeline.stageStartS(),
                timeline.stageStartS() + brew.totalS(),
                curve(brew, timeline.stageStartS(), reference),
                strength,
                strength * (1 - band),
                strength * (1 + band),
                brew.share(ExtractClass.AROMA),
                brew.share(ExtractClass.BITE),
                brew,
                displacedMl(pot.charges()),
                List.copyOf(notes),
                List.copyOf(reasons),
                java.util.Collections.unmodifiableMap(workings));
    }

    /** The request with stages, when the recipe has none, and with the gates of its finish; checked. */
    private PlanRequest ready(PlanRequest asked, List<Reason> reasons, List<Reason> waits) {
        RecipeRules rules = new RecipeRules(materia, asked.custom());
        PlanRequest request = asked.withRecipe(Parts.resolved(materia, asked.recipe()));
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

    private static List<Charge> spentCharges(List<Charge> charges, BrewResult first) {
        return IntStream.range(0, charges.size())
                .mapToObj(i -> charges.get(i).spent(first.leftInHerbs().get(i)))
                .toList();
    }

    /** Charges are the additions that go into the pot, in the same order. */
    private static List<PlannedAddition> spent(List<PlannedAddition> additions, BrewResult first) {
        Iterator<Map<ExtractClass, Double>> left = first.leftInHerbs().iterator();
        return additions.stream()
                .map(a -> a.perCup() ? a : a.spent(left.next().getOrDefault(ExtractClass.BODY, 0.0)))
                .toList();
    }

    /** Chooses the vessel and solves the water. */
    private BrewSetup pot(PlanRequest request, List<Charge> charges) {
        Recipe recipe = request.recipe();
        double scale = request.liquorMl() / recipe.statedYieldMl();
        Vessel first =
                request.kitchen().vessel().orElseGet(() -> Kitchen.smallest(usual(recipe), 1.3 * request.liquorMl()));
        BrewSetup setup = setup(request, charges, first, scale, request.liquorMl());
        setup = setup.withPour(pour(request, setup, scale));
        if (request.kitchen().vessel().isEmpty()) {
            Vessel fitting = Kitchen.smallest(usual(recipe), setup.pourMl() + displacedMl(charges));
            if (!fitting.equals(first)) {
                setup = setup(request, charges, fitting, scale, setup.pourMl());
                setup = setup.withPour(pour(request, setup, scale));
            }
        }
        return setup;
    }

    private BrewSetup setup(PlanRequest request, List<Charge> charges, Vessel vessel, double scale, double pourMl) {
        return new BrewSetup(
                request.kitchen(),
                vessel,
                materia.extraction(),
                request.recipe().stages(),
                charges,
                request.cups(),
                request.cupMl(),
                scale,
                pourMl,
                request.measured());
    }

    private static List<Vessel> usual(Recipe recipe) {
        boolean onFlame = recipe.has(StageKind.BOIL)
                || recipe.has(StageKind.SIMMER)
                || recipe.has(StageKind.REDUCE)
                || recipe.has(StageKind.HEAT) && !recipe.has(StageKind.POUR);
        if (onFlame) {
            return Kitchen.USUAL_POTS;
        }
        boolean long_ =
                recipe.stages().stream().anyMatch(s -> s instanceof Stage.Steep steep && steep.minutes() >= 120);
        return recipe.has(StageKind.MACERATE) || long_ ? Kitchen.USUAL_JARS : Kitchen.USUAL_INFUSERS;
    }

    /**
     * Starting water. A recipe's own pour is kept, or grown with its yield for more cups; a reduction starts from half as
     * much again as it ends with; everything else is solved for the yield.
     */
    private double pour(PlanRequest request, BrewSetup setup, double scale) {
        BrewSetup planned = setup.unmeasured();
        Recipe recipe = request.recipe();
        if (recipe.pourMl().isPresent()) {
            double own = recipe.pourMl().getAsDouble();
            if (recipe.has(StageKind.REDUCE) || Math.abs(scale - 1) < 1e-9) {
                return own * scale;
            }
            double ownYield = BrewSimulation.water(planned.own(recipe.cups(), recipe.cupMl(), own))
                    .yieldMl();
            return BrewSimulation.solvePour(planned, Math.max(1, ownYield) * scale);
        }
        var reduction = lastReduction(recipe);
        if (reduction.isPresent()) {
            double kept =
                    setup.charges().stream().mapToDouble(c -> c.keptMl(false)).sum();
            return reduction.get().toMl() * scale * REDUCED_FROM + kept;
        }
        return BrewSimulation.solvePour(planned, request.liquorMl());
    }

    static java.util.Optional<Stage.Reduce> lastReduction(Recipe recipe) {
        return recipe.stages().stream()
                .filter(s -> s instanceof Stage.Reduce)
                .map(s -> (Stage.Reduce) s)
                .reduce((a, b) -> b);
    }

    private List<Charge> charges(PlanRequest request, List<PlannedAddition> additions) {
        List<Charge> charges = new ArrayList<>();
        for (PlannedAddition a : additions) {
            if (!a.perCup()) {
                Herb herb = materia.herb(a.herb(), "herb");
                charges.add(Charge.of(
                        materia,
                        herb,
                        a.form(),
                        a.cut(),
                        a.grams(),
                        a.stage(),
                        request.recipe().menstruum()));
            }
        }
        return charges;
    }

    private static double displacedMl(List<Charge> charges) {
        return charges.stream().mapToDouble(Charge::displacedMl).sum();
    }

    private static WaterPlan water(BrewSetup setup, BrewResult brew) {
        double dip = setup.stages().stream()
                .filter(s -> s instanceof Stage.Reduce)
                .mapToDouble(s -> ((Stage.Reduce) s).toMl() * setup.volumeScale())
                .reduce((a, b) -> b)
                .orElse(0);
        double inPot = dip == 0 ? 0 : dip + brew.retainedMl() + displacedMl(setup.charges());
        return new WaterPlan(
                brew.pouredMl(), setup.pourMl(), brew.retainedMl(), brew.evaporatedMl(), brew.yieldMl(), inPot);
    }

    /** Body of a millilitre of the recipe's own standard cup, as written, in a standard kitchen. */
    private double referenceBodyPerMl(PlanRequest request) {
        PlanRequest written = PlanRequest.asWritten(request.recipe()).withCustom(request.custom());
        List<PlannedAddition> additions = new Measures(materia, written).asWritten();
        return bodyPerMl(BrewSimulation.body(pot(written, charges(written, additions))));
    }

    private static double bodyPerMl(BrewResult brew) {
        return brew.yieldMl() <= 0 ? 0 : brew.drawn().getOrDefault(ExtractClass.BODY, 0.0) / brew.yieldMl();
    }

    /**
     * Relative half-width of the strength when the rates are uncertain by the data's band: for x = 1 − exp(−kt) the share
     * moves by kt·exp(−kt)/(1 − exp(−kt)) for each part of k.
     */
    private double band(double share) {
        double kt = -Math.log(Math.max(1e-9, 1 - Math.min(share, 0.999)));
        double slope = kt == 0 ? 1 : kt * Math.exp(-kt) / -Math.expm1(-kt);
        return materia.extraction().bandRelative() * slope;
    }

    private static List<CurvePoint> curve(BrewResult brew, double stageStartS, double referencePerMl) {
        double scale = referencePerMl == 0 || brew.yieldMl() <= 0 ? 0 : 1 / (referencePerMl * brew.yieldMl());
        return brew.curve().stream()
                .map(p -> new CurvePoint(
                        p.tS() + stageStartS, p.tempC(), p.waterMl(), p.body() * scale, p.aroma(), p.bite()))
                .toList();
    }
}
