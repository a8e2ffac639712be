package embercup.core.plan;

import embercup.core.brew.BrewSetup;
import embercup.core.brew.StageRun;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.plan.Step.HeatUp;
import embercup.core.plan.Step.OfStage;
import embercup.core.plan.Step.Prepare;
import embercup.core.plan.Step.Span;
import embercup.core.plan.Step.Stand;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The steps of one cook on one time axis. Prep runs while something else waits, if it fits before it is needed; what does not
 * fit comes before the first stage. Immutable.
 *
 * @param steps in the order of their starts
 * @param stageStartS when the first stage begins, s from the first step
 */
public record Timeline(List<Step> steps, double stageStartS) {

    /** Measuring one herb, s (common practice, no source). */
    private static final double MEASURE_S = 25;

    /** Key of the wait that the first stage begins after. */
    private static final String WAIT = "wait";

    public Timeline {
        steps = List.copyOf(steps);
    }

    /** Seconds of hands-on work that a herb needs before it goes in, measuring included (common practice, no source). */
    static double prepS(Form form, Cut cut) {
        double work = form == Form.FRESH
                ? switch (cut) {
                    case WHOLE -> 30;
                    case BRUISED -> 40;
                    case CRUSHED -> 60;
                    case SLICED, CHOPPED -> 90;
                    case GRATED, GROUND -> 120;
                    case PASTE -> 150;
                }
                : switch (cut) {
                    case CRUSHED -> 45;
                    case BRUISED -> 30;
                    default -> 0;
                };
        return MEASURE_S + work;
    }

    static Timeline of(BrewSetup setup, List<PlannedAddition> additions, List<StageRun> runs) {
        List<Step> stages = stages(setup, runs);
        List<Step> busy = new ArrayList<>(stages.stream().filter(Step::handsOn).toList());
        List<Prepare> beside = new ArrayList<>();
        List<Prepare> first = new ArrayList<>();
        List<Integer> byNeed = new ArrayList<>();
        for (int i = 0; i < additions.size(); i++) {
            byNeed.add(i);
        }
        byNeed.sort(Comparator.comparingInt(i -> additions.get(i).stage()));
        for (int index : byNeed) {
            PlannedAddition addition = additions.get(index);
            if (addition.leftShare() < 1 || !addition.measuredOut()) {
                continue;
            }
            double work = addition.blend().isPresent() ? MEASURE_S : prepS(addition.form(), addition.cut());
            Prepare step = new Prepare("prep." + index, new Span(0, work), index, false);
            double slot = slot(busy, work, neededS(runs.get(addition.stage())) - restS(addition));
            if (slot >= 0) {
                Prepare placed = step.at(slot, true);
                beside.add(placed);
                busy.add(placed);
            } else {
                first.add(step);
            }
        }
        return joined(additions, first, beside, stages, runs);
    }

    private static double restS(PlannedAddition addition) {
        return addition.prepared().restS();
    }

    /** When its herbs must be ready: a pour heats its own kettle first. */
    private static double neededS(StageRun run) {
        return run.startS() + (run.stage().kind() == StageKind.POUR ? run.heatS() : 0);
    }

    /** Earliest free moment from 0 with {@code workS} of hands before {@code untilS}; −1 when there is none. */
    private static double slot(List<Step> busy, double workS, double untilS) {
        double candidate = 0;
        boolean moved = true;
        while (moved) {
            moved = false;
            for (Step b : busy) {
                if (candidate < b.endS() - 1e-6 && candidate + workS > b.startS() + 1e-6) {
                    candidate = b.endS();
                    moved = true;
                }
            }
        }
        return candidate + workS <= untilS + 1e-6 ? candidate : -1;
    }

    /**
     * What comes first, the longest rest before the others; then the stages, so late that whatever rests has rested when it goes
     * in: a kettle heats meanwhile.
     */
    private static Timeline joined(
            List<PlannedAddition> additions,
            List<Prepare> first,
            List<Prepare> beside,
            List<Step> stages,
            List<StageRun> runs) {
        double work = first.stream().mapToDouble(Prepare::durationS).sum();
        double shift = work;
        Optional<Prepare> longest = Optional.empty();
        List<Step> all = new ArrayList<>();
        List<Prepare> longestRestFirst = new ArrayList<>(first);
        longestRestFirst.sort(Comparator.comparingDouble(p -> -restS(additions.get(p.addition()))));
        double next = 0;
        for (Prepare p : longestRestFirst) {
            PlannedAddition addition = additions.get(p.addition());
            Prepare placed = p.at(next, false);
            all.add(placed);
            next += p.durationS();
            double rested = next + restS(addition) - neededS(runs.get(addition.stage()));
            if (restS(addition) > 0 && rested > shift + 1e-6) {
                shift = rested;
                longest = Optional.of(placed);
            }
        }
        double begins = shift;
        longest.ifPresent(p -> all.add(new Stand(WAIT, new Span(work, begins - work), p.addition(), false)));
        beside.forEach(p -> all.add(p.at(p.startS() + begins, true)));
        stages.forEach(s -> all.add(later(s, begins)));
        List.copyOf(all).forEach(s -> {
            if (s instanceof Prepare p && restS(additions.get(p.addition())) > 0) {
                Span rests = new Span(p.endS(), restS(additions.get(p.addition())));
                all.add(new Stand("rest." + p.addition(), rests, p.addition(), true));
            }
        });
        all.sort(Comparator.comparingDouble(Step::startS).thenComparing(s -> s.stage() >= 0 ? 1 : 0));
        return new Timeline(all, begins);
    }

    private static Step later(Step step, double seconds) {
        Span span = new Span(step.startS() + seconds, step.durationS());
        return step instanceof OfStage s
                ? new OfStage(s.id(), span, s.stage(), s.kind(), s.fire())
                : new HeatUp(step.id(), span, step.stage(), step.fire());
    }

    private static List<Step> stages(BrewSetup setup, List<StageRun> runs) {
        List<Step> steps = new ArrayList<>();
        for (StageRun run : runs) {
            if (run.needless()) {
                continue;
            }
            String id = "s" + run.index();
            if (run.heatS() > 0) {
                Span heating = new Span(run.startS(), run.heatS());
                steps.add(new HeatUp(id + ".heat", heating, run.index(), Fire.heatingFor(run, setup.kitchen())));
            }
            steps.add(new OfStage(
                    id,
                    new Span(run.startS() + run.heatS(), run.properS()),
                    run.index(),
                    run.stage().kind(),
                    Fire.under(run, setup)));
        }
        return steps;
    }
}
