package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.BrewSimulation;
import embercup.core.brew.Charge;
import embercup.core.brew.Covering;
import embercup.core.brew.Holding;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.plan.Caution.Contradiction;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What the pot itself has to say: too small, too shallow, dry, or a recipe that contradicts itself. */
final class PotNotes {

    /** Two statements of a recipe that differ by more than this contradict each other (design value). */
    private static final double CONTRADICTION = 0.15;
    /** Herbs are to be covered by at least this, cm (common practice, no source). */
    private static final double COVER_CM = 1;

    private PotNotes() {}

    /** Nobody stands beside a pot that boils down for longer, h (design value). */
    private static final double LONGEST_REDUCTION_H = 2;
    /** A lid that makes a reduction longer than by this factor is told (design value). */
    private static final double NOTICEABLE = 1.15;
    /** A cup that is told to be far from the usual one, as a share of it (design values). */
    private static final double FAR_WEAKER = 0.5;

    private static final double FAR_STRONGER = 2;
    /** Nobody looks for a lid for less (design value), s. */
    private static final double WORTH_A_LID_S = 60;

    static List<Caution> of(
            Materia materia, PlanRequest request, List<PlannedAddition> additions, BrewSetup setup, BrewResult brew) {
        List<Caution> notes = new ArrayList<>();
        vessel(notes, setup);
        if (brew.ranDry()) {
            notes.add(new Caution.BoilsDry());
        }
        if (brew.neverBoils()) {
            notes.add(new Caution.NeverBoils());
        }
        flames(notes, setup, brew);
        runsLow(notes, setup, brew);
        reducesCovered(notes, setup, brew);
        lidToHeat(notes, setup);
        blendsHot(notes, setup, brew);
        coolsForHours(notes, setup);
        runsOver(notes, request, additions, brew);
        contradictions(notes, request, brew);
        if (!request.spentHerbs()
                && !drunkWhole(request.recipe())
                && !request.recipe().menstruum().cold()
                && request.recipe().dilutionParts() == 0) {
            UsualCup.against(materia, request, additions, setup, brew).ifPresent(share -> {
                if (share < FAR_WEAKER || share > FAR_STRONGER) {
                    notes.add(new Caution.FarFromUsual((int) Math.round(share * 100)));
                }
            });
        }
        colours(notes, materia, request.recipe());
        Finishing.notes(notes, materia, request.recipe(), brew.stages());
        return notes;
    }

    /** What is blended and not strained is eaten as much as drunk: no infusion says what it gives. */
    private static boolean drunkWhole(Recipe recipe) {
        return !recipe.has(StageKind.STRAIN) && recipe.has(StageKind.BLEND);
    }

    /** A liquor that turns its colour with the acid of its recipe is not spoilt. */
    private static void colours(List<Caution> notes, Materia materia, Recipe recipe) {
        List<Herb> herbs = recipe.additions().stream()
                .map(a -> materia.herb(a.herb(), "herb"))
                .toList();
        herbs.stream().filter(h -> h.withAcid().isPresent()).findFirst().ifPresent(turning -> {
            Herb.ColourTurn turn = turning.withAcid().orElseThrow();
            herbs.stream()
                    .filter(h -> h.sour() && h != turning)
                    .findFirst()
                    .ifPresent(sour -> notes.add(new Caution.AcidTurn(
                            turn.from(), turn.to(), Optional.of(HerbName.of(sour)), turn.source())));
        });
    }

    private static void vessel(List<Caution> notes, BrewSetup setup) {
        Vessel vessel = setup.vessel();
        double full = setup.fullMl();
        if (full > vessel.mostMl()) {
            notes.add(new Caution.VesselTooSmall(
                    vessel.name(),
                    Volume.millilitres(vessel.mostMl()),
                    Volume.millilitres(full),
                    full > vessel.brimMl() ? Severity.STOP : Severity.CARE));
        }
        double bed = setup.charges().stream().mapToDouble(PotNotes::bedMl).sum();
        double cover = vessel.levelCm(full) - vessel.levelCm(bed);
        if (cover < COVER_CM) {
            notes.add(new Caution.HerbsNotCovered(vessel.name(), Math.max(0, cover)));
        }
    }

    /** A flame under what breaks, a flame too small for what it should hold, a pot that boils down for hours. */
    private static void flames(List<Caution> notes, BrewSetup setup, BrewResult brew) {
        if (Fire.on(setup.stages()) && setup.vessel().kind() != Vessel.Kind.POT) {
            notes.add(new Caution.NotOnAFlame(
                    setup.vessel().name(), setup.vessel().kind()));
        }
        for (StageRun run : brew.stages()) {
            double ml = Math.max(run.startMl(), run.endMl());
            Optional<Holding> failing = Optional.empty();
            if (run.stage() instanceof Stage.Boil boil) {
                failing = Holding.failing(setup, ml, boil.flame(), boil.lid());
            } else if (run.stage() instanceof Stage.Simmer simmer) {
                failing = Holding.failing(setup, ml, simmer.flame(), simmer.lid());
            } else if (run.stage() instanceof Stage.Reduce reduce
                    && run.properS() > LONGEST_REDUCTION_H * 3600
                    && !tellsTheLid(covered(setup, reduce))) {
                notes.add(new Caution.LongReduction(
                        Math.round(run.properS() / 360) / 10.0,
                        Volume.millilitres(run.startMl()),
                        Volume.millilitres(run.endMl())));
            }
            failing.ifPresent(
                    f -> notes.add(new Caution.CannotHold(Temperature.celsius(f.endC()), f.would(), f.lidWould())));
        }
    }

    /** A boil that leaves a film of water over the bottom, without anybody having asked for so little. */
    private static void runsLow(List<Caution> notes, BrewSetup setup, BrewResult brew) {
        if (brew.ranDry()) {
            return;
        }
        brew.stages().stream()
                .filter(run -> run.stage().kind().boils() && !(run.stage() instanceof Stage.Reduce))
                .min(Comparator.comparingDouble(StageRun::endMl))
                .filter(run -> run.endMl() < run.startMl() / 2)
                .filter(run -> setup.vessel().levelCm(run.endMl() + setup.displacedMl()) < COVER_CM)
                .ifPresent(run -> notes.add(new Caution.RunsLow(
                        Volume.millilitres(run.endMl()), setup.vessel().levelCm(run.endMl() + setup.displacedMl()))));
    }

    /** By how many times its lid makes a reduction longer, 1 for an open one. */
    private static double covered(BrewSetup setup, Stage.Reduce reduce) {
        return reduce.lid() ? Covering.of(setup, reduce.flame()).times() : 1;
    }

    /** Whether it is the lid that makes a reduction long. */
    private static boolean tellsTheLid(double times) {
        return times > NOTICEABLE;
    }

    /** What the lid costs a reduction, from the same energy: a practitioner's "covered" that physics contradicts. */
    private static void reducesCovered(List<Caution> notes, BrewSetup setup, BrewResult brew) {
        for (StageRun run : brew.stages()) {
            if (!(run.stage() instanceof Stage.Reduce reduce) || run.properS() <= 0) {
                continue;
            }
            double times = covered(setup, reduce);
            if (tellsTheLid(times)) {
                double minutes = run.properS() / 60;
                notes.add(new Caution.ReducesCovered(run.index(), Math.rint(minutes), Math.rint(minutes / times)));
            }
        }
    }

    /** A closed blender with anything hotter than this in it is not safe (common practice, no source), °C. */
    private static final double BLENDER_C = 60;

    private static void blendsHot(List<Caution> notes, BrewSetup setup, BrewResult brew) {
        brew.stages().stream()
                .filter(run -> run.stage().kind() == StageKind.BLEND && run.startC() > BLENDER_C)
                .findFirst()
                .ifPresent(run -> notes.add(new Caution.BlendsHot(
                        Temperature.celsius(run.startC()),
                        Temperature.celsius(BLENDER_C),
                        coolsBefore(setup, run.index(), BLENDER_C).map(s -> Math.ceil(s / 60)))));
    }

    /** Seconds of an open wait before a stage until it is as cool; empty when it takes hours. */
    private static Optional<Double> coolsBefore(BrewSetup setup, int stage, double celsius) {
        List<Stage> waiting = new ArrayList<>(setup.stages());
        waiting.add(stage, new Stage.Cool(celsius, false));
        List<Charge> charges = setup.charges().stream()
                .map(c -> c.stage() >= stage ? c.at(c.stage() + 1) : c)
                .toList();
        double seconds = BrewSimulation.run(setup.with(waiting, charges))
                .stages()
                .get(stage)
                .durationS();
        return seconds > LONGEST_WAIT_S ? Optional.empty() : Optional.of(seconds);
    }

    /** Nobody waits for a blender longer than this (design value), s. */
    private static final double LONGEST_WAIT_S = 2 * 3600;

    /** What is stirred in has no room: a mug is a little larger than its cup. */
    private static void runsOver(
            List<Caution> notes, PlanRequest request, List<PlannedAddition> additions, BrewResult brew) {
        double stirredMl = PlannedAddition.stirredInMl(additions);
        double needsMl = (brew.yieldMl() + stirredMl) / request.cups();
        Vessel mug = Vessel.mug(request.cupMl());
        if (stirredMl > 0 && request.recipe().dilutionParts() == 0 && needsMl > mug.brimMl()) {
            notes.add(new Caution.CupRunsOver(Volume.millilitres(mug.brimMl()), Volume.millilitres(needsMl)));
        }
    }

    /** A batch that is hot when it is put away, in something that is kept. */
    private static void coolsForHours(List<Caution> notes, BrewSetup setup) {
        Batch batch = setup.batch();
        if (!batch.endsWhole()) {
            return;
        }
        List<Stage> cooled = new ArrayList<>(setup.stages());
        cooled.add(new Stage.Cool(LUKEWARM_C, true));
        BrewResult brew = BrewSimulation.run(setup.withStages(cooled));
        double hours = brew.stages().get(cooled.size() - 1).durationS() / 3600;
        if (hours >= LONG_COOLING_H) {
            notes.add(new Caution.CoolsForHours(batch.atTheEnd().orElseThrow(), Math.round(hours * 2) / 2.0));
        }
    }

    /** Hot food is to fall from 57 to 21 °C within two hours (US FDA Food Code 3-501.14, mem); what needs longer is cooled. */
    private static final double LUKEWARM_C = 21;

    private static final double LONG_COOLING_H = 2;

    /** A lid that is worth a wait: an open pot that never boils, or boils so much later. */
    private static void lidToHeat(List<Caution> notes, BrewSetup setup) {
        if (setup.vessel().kind() != Vessel.Kind.POT
                || !(setup.stages().get(0) instanceof Stage.Heat heat)
                || heat.lid()
                || heat.toC().isPresent()) {
            return;
        }
        double open = Covering.heatingS(setup, heat.flame(), false);
        double covered = Covering.heatingS(setup, heat.flame(), true);
        if (!Double.isInfinite(covered) && open - covered >= WORTH_A_LID_S) {
            notes.add(new Caution.LidToHeat(
                    0,
                    Double.isInfinite(open) ? Optional.empty() : Optional.of(Math.rint(open / 60)),
                    Math.rint(covered / 60)));
        }
    }

    private static double bedMl(Charge charge) {
        return charge.keptMl(false) + charge.displacedMl();
    }

    private static void contradictions(List<Caution> notes, PlanRequest request, BrewResult brew) {
        Recipe recipe = request.recipe();
        double stated = recipe.statedYieldMl();
        WaterPlan.lastReduction(recipe.stages())
                .filter(r -> !recipe.has(StageKind.REFILL) && differ(r.toMl(), stated))
                .ifPresent(r -> notes.add(contradiction(recipe, Contradiction.REDUCTION_STOPS_AT, r.toMl())));
        double own = brew.yieldMl() / (request.liquorMl() / stated);
        boolean says = recipe.pourMl().isPresent() || Filling.of(recipe).isPresent();
        if (says && !recipe.has(StageKind.REDUCE) && differ(own, stated)) {
            notes.add(contradiction(recipe, Contradiction.WATER_LEAVES, own));
        }
    }

    private static Caution contradiction(Recipe recipe, Contradiction says, double other) {
        return new Caution.RecipeContradictsItself(
                recipe.cups(),
                Volume.millilitres(recipe.cupMl()),
                Volume.millilitres(recipe.statedYieldMl()),
                says,
                Volume.millilitres(other));
    }

    private static boolean differ(double a, double b) {
        return Math.abs(a - b) > CONTRADICTION * Math.max(a, b);
    }
}
