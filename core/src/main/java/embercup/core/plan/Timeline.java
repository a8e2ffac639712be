package embercup.core.plan;

import embercup.core.brew.StageRun;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Puts the steps of one cook on one time axis. Prep runs while something else waits, if it fits before it is needed; what
 * does not fit comes before the first stage.
 */
final class Timeline {

    /** Measuring one herb, s (common practice, no source). */
    private static final double MEASURE_S = 25;
    /** Crushed garlic rests before heat (common practice, no source), s. */
    private static final double GARLIC_REST_S = 600;

    private final List<Step> steps = new ArrayList<>();
    private final double stageStartS;

    private Timeline(List<Step> steps, double stageStartS) {
        this.steps.addAll(steps);
        this.stageStartS = stageStartS;
    }

    List<Step> steps() {
        return steps;
    }

    /** When the first stage begins, s from the first step. */
    double stageStartS() {
        return stageStartS;
    }

    /** Seconds of hands-on work that a herb needs before it goes in, measuring included. */
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

    static Timeline of(
            Materia materia,
            PlanRequest request,
            List<PlannedAddition> additions,
            List<StageRun> runs,
            WaterPlan water,
            Vessel vessel) {
        List<Step> stageSteps = stageSteps(request, additions, runs, water, vessel);
        List<Step> preps = new ArrayList<>();
        double before = 0;
        List<Step> busy =
                new ArrayList<>(stageSteps.stream().filter(s -> s.handsOn()).toList());
        List<PlannedAddition> byNeed = new ArrayList<>(additions);
        byNeed.sort(Comparator.comparingInt(PlannedAddition::stage));
        for (PlannedAddition addition : byNeed) {
            if (addition.leftShare() < 1) {
                continue;
            }
            double work = prepS(addition.form(), addition.cut());
            double rest = restS(materia.find(addition.herb()), addition);
            double needS = runs.get(addition.stage()).startS() + needInside(runs.get(addition.stage()));
            double slot = slot(busy, work, needS - rest);
            Step step = prepStep(additions.indexOf(addition), addition, work, rest);
            if (slot >= 0) {
                Step placed = step.at(slot);
                preps.add(placed);
                busy.add(placed);
            } else {
                before = Math.max(before, 0) + work;
                preps.add(step.at(-before));
            }
        }
        return shifted(materia, additions, stageSteps, preps, before);
    }

    /** A pour heats its own kettle first; the herbs are needed only when the water comes. */
    private static double needInside(StageRun run) {
        return run.stage().kind() == StageKind.POUR ? run.heatS() : 0;
    }

    private static double restS(java.util.Optional<Herb> herb, PlannedAddition addition) {
        boolean garlic = herb.isPresent() && herb.get().slug().equals("garlic");
        return garlic && addition.cut() != Cut.WHOLE ? GARLIC_REST_S : 0;
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

    private static Timeline shifted(
            Materia materia, List<PlannedAddition> additions, List<Step> stageSteps, List<Step> preps, double before) {
        double lead = preps.stream()
                .filter(p -> p.startS() < 0)
                .mapToDouble(p -> restS(materia.find(herbOf(p, additions)), additionOf(p, additions)))
                .max()
                .orElse(0);
        double shift = before + lead;
        List<Step> all = new ArrayList<>();
        double next = 0;
        List<Step> first = preps.stream().filter(p -> p.startS() < 0).toList();
        for (Step p : first.stream()
                .sorted(Comparator.comparingDouble(
                        p -> -restS(materia.find(herbOf(p, additions)), additionOf(p, additions))))
                .toList()) {
            all.add(p.at(next));
            next += p.durationS();
        }
        preps.stream().filter(p -> p.startS() >= 0).forEach(p -> all.add(p.at(p.startS() + shift)));
        stageSteps.forEach(s -> all.add(s.at(s.startS() + shift)));
        all.sort(Comparator.comparingDouble(Step::startS).thenComparing(s -> s.stage() >= 0 ? 1 : 0));
        return new Timeline(all, shift);
    }

    private static PlannedAddition additionOf(Step prep, List<PlannedAddition> additions) {
        return additions.get(Integer.parseInt(prep.key().substring("prep.".length())));
    }

    private static String herbOf(Step prep, List<PlannedAddition> additions) {
        return additionOf(prep, additions).herb();
    }

    private static Step prepStep(int index, PlannedAddition addition, double workS, double restS) {
        String name = addition.common().toLowerCase(Locale.ROOT);
        String amount = addition.perCup()
                ? "Put the " + name + " ready, " + addition.measure()
                : addition.weigh()
                        ? "Weigh " + Words.grams(addition.grams()) + " of " + name
                        : "Measure " + addition.measure() + " of " + name + ", " + Words.grams(addition.grams());
        String label = amount
                + (addition.prep().isEmpty() ? "" : "; " + addition.prep())
                + (restS > 0 ? "; let it rest " + StageWords.minutes(restS / 60) : "");
        return new Step("prep." + index, "prep", -1, label, 0, workS, true, "", "Measured");
    }

    private static List<Step> stageSteps(
            PlanRequest request, List<PlannedAddition> additions, List<StageRun> runs, WaterPlan water, Vessel vessel) {
        List<Step> steps = new ArrayList<>();
        List<StageRun> felt = runs.stream().filter(r -> !r.needless()).toList();
        for (int n = 0; n < felt.size(); n++) {
            StageRun run = felt.get(n);
            int i = run.index();
            StageKind kind = run.stage().kind();
            String begin = n + 1 < felt.size() ? begins(additions, felt.get(n + 1), water) : "Done";
            if (run.heatS() > 0) {
                String until = run.kettle() && !run.boils() && kind == StageKind.POUR
                        ? "until the kettle is hot"
                        : "until it boils";
                String label = run.kettle()
                        ? "Heat the kettle, " + StageWords.millilitres(run.startMl())
                        : "Bring to the boil, high flame, lid on";
                String confirm = run.kettle()
                        ? new StageWords.Begin(run.startMl(), water.yieldMl())
                                .pour(new Stage.Pour(java.util.OptionalDouble.empty()))
                        : "It has boiled";
                steps.add(new Step(
                        "s" + i + ".heat",
                        "heat",
                        i,
                        label(additions, run, label),
                        run.startS(),
                        run.heatS(),
                        false,
                        until,
                        confirm));
            }
            String label = run.stage()
                    .accept(new StageWords.Label(
                            run.startMl(), water.yieldMl(), request, vessel, i == 0 && kind == StageKind.MACERATE));
            steps.add(new Step(
                    "s" + i,
                    kind.code(),
                    i,
                    run.heatS() > 0 ? label : label(additions, run, label),
                    run.startS() + run.heatS(),
                    run.properS(),
                    handsOn(kind),
                    until(run, water, vessel),
                    kind == StageKind.HEAT && run.boils() ? "It has boiled" : begin));
        }
        return steps;
    }

    /** "Dandelion root into the cold water. Bring to the boil …". */
    private static String label(List<PlannedAddition> additions, StageRun run, String label) {
        List<String> in = additions.stream()
                .filter(a -> a.stage() == run.index())
                .map(a -> a.common().toLowerCase(Locale.ROOT))
                .toList();
        if (in.isEmpty() || run.stage().kind() == StageKind.POUR || run.stage().kind() == StageKind.MACERATE) {
            return label;
        }
        if (run.stage().kind() == StageKind.FINISH) {
            String gates = additions.stream()
                    .filter(a -> a.stage() == run.index() && !a.inCup().isEmpty())
                    .map(PlannedAddition::inCup)
                    .distinct()
                    .collect(Collectors.joining(", "));
            return "Stir " + String.join(" and ", in) + " into each cup" + (gates.isEmpty() ? "" : ", " + gates);
        }
        String list = in.size() <= 2 ? String.join(" and ", in) : in.size() + " herbs";
        return Words.capital(list) + " in. " + label;
    }

    private static String begins(List<PlannedAddition> additions, StageRun next, WaterPlan water) {
        if (next.kettle() && next.stage().kind() == StageKind.POUR) {
            return "Kettle is on";
        }
        String begin = next.stage().accept(new StageWords.Begin(next.startMl(), water.yieldMl()));
        List<String> in = additions.stream()
                .filter(a -> a.stage() == next.index() && !a.perCup())
                .map(a -> a.common().toLowerCase(Locale.ROOT))
                .toList();
        boolean silent = in.isEmpty() || next.stage().kind() == StageKind.POUR;
        return silent
                ? begin
                : Words.capital(in.size() == 1 ? in.get(0) : in.size() + " herbs") + " in, "
                        + begin.substring(0, 1).toLowerCase(Locale.ROOT) + begin.substring(1);
    }

    private static boolean handsOn(StageKind kind) {
        return switch (kind) {
            case POUR, STRAIN, REFILL, COMBINE, FINISH -> true;
            default -> false;
        };
    }

    private static String until(StageRun run, WaterPlan water, Vessel vessel) {
        Stage stage = run.stage();
        if (stage instanceof Stage.Heat heat) {
            return heat.toC().isPresent()
                    ? "until " + StageWords.celsius(heat.toC().getAsDouble())
                    : "until it boils";
        }
        if (stage instanceof Stage.Reduce) {
            return String.format(
                    Locale.ROOT,
                    "until %s is in the pot: the mark at %.1f cm from the rim",
                    StageWords.millilitres(water.dipMl()),
                    vessel.fromRimCm(water.dipMl()));
        }
        if (stage instanceof Stage.Cool cool) {
            return "until " + StageWords.celsius(cool.toC());
        }
        return "";
    }
}
