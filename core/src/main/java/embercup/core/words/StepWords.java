package embercup.core.words;

import embercup.core.brew.Holding;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Step;
import embercup.core.plan.Step.HeatUp;
import embercup.core.plan.Step.Prepare;
import embercup.core.plan.Step.Stand;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Code;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;

/** What a step says to the cook: short, imperative, with the amount; what ends it, and what its button says. Immutable. */
final class StepWords {

    /** Below this the cook calls it cold, °C. */
    private static final double WARM_FROM_C = 25;
    /** More herbs than this are counted instead of named: no title is read at arm's length that has more names. */
    private static final int NAMED_HERBS = 5;
    /** A cook counts seconds by tens. */
    private static final long PULSE_STEP_S = 10;

    private final Words words;

    StepWords(Words words) {
        this.words = words;
    }

    String label(BrewPlan plan, Step step) {
        if (step instanceof Prepare prepare) {
            return prepare(plan, plan.additions().get(prepare.addition()));
        }
        if (step instanceof Stand stand) {
            return rests(plan, stand);
        }
        StageRun run = plan.stages().get(step.stage());
        return step instanceof HeatUp ? heating(plan, run) : stage(plan, run);
    }

    String until(BrewPlan plan, Step step) {
        if (step instanceof Prepare) {
            return "";
        }
        if (step instanceof Stand stand) {
            return beforeKettle(plan, stand) ? words.text("until.rests-on") : "";
        }
        StageRun run = plan.stages().get(step.stage());
        if (step instanceof HeatUp) {
            if (heldC(plan, run).isPresent()) {
                return words.text("until.warm");
            }
            boolean warm = run.kettle() && !run.boils() && run.stage().kind() == StageKind.POUR;
            return words.text(warm ? "until.kettle" : "until.boil");
        }
        return waitsForCup(plan, run)
                .map(herbs -> words.text("until.cup-waits", Map.of("herbs", herbs)))
                .orElseGet(
                        () -> run.stage() instanceof Stage.Hold ? quiet(plan, run, step) : untilOf(plan, run.stage()));
    }

    /** What a cup that can be drunk only waits for; empty for every other stage. */
    private Optional<String> waitsForCup(BrewPlan plan, StageRun run) {
        boolean waits =
                run.stage().kind() == StageKind.COOL && plan.cupWaitsFrom().orElse(Integer.MAX_VALUE) <= run.index();
        return waits ? Optional.of(words.list(herbs(plan, plan.stages().get(run.index() + 1)))) : Optional.empty();
    }

    String confirm(BrewPlan plan, Step step) {
        if (step instanceof Prepare) {
            return words.text("confirm.measured");
        }
        if (step instanceof Stand stand) {
            return words.text(beforeKettle(plan, stand) ? "confirm.kettle" : "confirm.rested");
        }
        StageRun run = plan.stages().get(step.stage());
        if (step instanceof HeatUp) {
            if (run.kettle()) {
                return words.text("begin.pour", Map.of("water", water(run)));
            }
            OptionalDouble held = heldC(plan, run);
            return held.isPresent()
                    ? words.text(
                            "confirm.warm", Map.of("celsius", words.numbers().celsius(held.getAsDouble())))
                    : words.text("confirm.boiled");
        }
        return step.heats() && run.boils()
                ? words.text("confirm.boiled")
                : next(plan, run).map(n -> begins(plan, n)).orElseGet(() -> words.text("confirm.done"));
    }

    /** What the recipe itself wants minded at a step. */
    List<String> minded(BrewPlan plan, Step step) {
        Step last = plan.steps().get(plan.steps().size() - 1);
        return plan.request().recipe().told().cautions().stream()
                .filter(says -> switch (says.about()) {
                    case HERB ->
                        step instanceof Prepare prepare
                                && says.herb()
                                        .filter(plan.additions()
                                                .get(prepare.addition())
                                                .herb()::equals)
                                        .isPresent();
                    case STEP ->
                        step.stage() >= 0 && step.stage() == says.stage().orElse(-1);
                    case TAKING -> step == last;
                    case KEEPING, WHO -> false;
                })
                .map(says -> Words.sentence(says.text()))
                .toList();
    }

    // ---- getting ready

    private String prepare(BrewPlan plan, PlannedAddition addition) {
        String prep = words.prep(addition);
        double restS = addition.prepared().restS();
        Map<String, Object> all = new HashMap<>();
        all.put("herb", name(addition));
        all.put("measure", words.measure(addition));
        all.put(
                "near",
                Boolean.toString(addition.out().measure() instanceof KitchenAmount.Pieces pieces && pieces.about()));
        all.put("grams", words.numbers().grams(addition.outG().best()));
        all.put("prep", prep.isEmpty() ? "" : words.text("step.prep", Map.of("prep", prep)));
        all.put(
                "rest",
                restS == 0
                        ? ""
                        : words.text("step.rest", Map.of("time", words.numbers().minutes(restS / 60))));
        String key = addition.perCup()
                ? "each"
                : addition.out().weigh() ? "weighed" : writtenByWeight(plan, addition) ? "by-weight" : "measured";
        return words.text("step.prepare-" + key, all);
    }

    /** Grams that were written stay on the scale. */
    private static boolean writtenByWeight(BrewPlan plan, PlannedAddition addition) {
        List<Addition> written = plan.request().recipe().additions().stream()
                .filter(a -> a.herb().equals(addition.herb()))
                .toList();
        return addition.blend().isEmpty()
                && !written.isEmpty()
                && written.stream().allMatch(a -> a.quantity().unit().dimension() == Unit.Dimension.MASS);
    }

    private String rests(BrewPlan plan, Stand stand) {
        PlannedAddition addition = plan.additions().get(stand.addition());
        return words.text(
                stand.aside() ? "step.rests" : "step.let-rest",
                Map.of(
                        "herb",
                        name(addition),
                        "Herb",
                        Words.capital(name(addition)),
                        "time",
                        words.numbers().minutes(addition.prepared().restS() / 60)));
    }

    /** Whether the kettle goes on before a herb has rested, as it is poured on only then. */
    private static boolean beforeKettle(BrewPlan plan, Stand stand) {
        return !stand.aside()
                && plan.steps().stream()
                        .filter(s -> !s.aside() && s.startS() >= stand.endS() - 1e-6 && s != stand)
                        .findFirst()
                        .filter(s -> s.fire().kettle())
                        .isPresent();
    }

    private String heating(BrewPlan plan, StageRun run) {
        return withHerbs(plan, run, heats(plan, run));
    }

    private String heats(BrewPlan plan, StageRun run) {
        if (run.kettle()) {
            return words.text("step.heat-kettle", Map.of("water", water(run)));
        }
        OptionalDouble held = heldC(plan, run);
        return held.isPresent()
                ? words.text("step.heat-warm", Map.of("celsius", words.numbers().celsius(held.getAsDouble())))
                : words.text("step.heat-pot");
    }

    /** How warm a stage is kept below the boil, °C; empty for every other stage. */
    private static OptionalDouble heldC(BrewPlan plan, StageRun run) {
        return run.stage() instanceof Stage.Hold hold
                ? OptionalDouble.of(Holding.belowTheBoilC(hold, plan.boilingC()))
                : OptionalDouble.empty();
    }

    /** Where the flame must stand to keep it below the boil, and how a cook sees that it does. */
    private String quiet(BrewPlan plan, StageRun run, Step step) {
        Burner burner = plan.request().kitchen().burner();
        double watts = step.fire().watts();
        String said = untilSaid(run.stage());
        String flame = watts <= burner.lowW()
                ? "pulse"
                : watts <= burner.mediumW() ? "gentle" : watts <= burner.highW() ? "strong" : "short";
        return words.text(
                "until.quiet",
                Map.of(
                        "flame",
                        flame,
                        "seconds",
                        Math.max(PULSE_STEP_S, Math.round(60 * watts / burner.lowW() / PULSE_STEP_S) * PULSE_STEP_S),
                        "lidOn",
                        Boolean.toString(step.fire().lid()),
                        "said",
                        said.isEmpty() ? "none" : said));
    }

    private String water(StageRun run) {
        return words.numbers().millilitres(run.startMl());
    }

    private String name(PlannedAddition addition) {
        return words.lower(addition.inHand().common());
    }

    private List<String> herbs(BrewPlan plan, StageRun run) {
        return plan.additions().stream()
                .filter(a -> a.stage() == run.index() && a.measuredOut())
                .map(this::name)
                .toList();
    }

    private String several(List<String> herbs) {
        return herbs.size() <= NAMED_HERBS
                ? words.list(herbs)
                : words.text("step.many-herbs", Map.of("n", herbs.size()));
    }

    /** "Dandelion root in. Bring to the boil …". */
    private String withHerbs(BrewPlan plan, StageRun run, String label) {
        List<String> herbs = herbs(plan, run);
        StageKind kind = run.stage().kind();
        if (herbs.isEmpty() || kind == StageKind.POUR || kind == StageKind.MACERATE) {
            return label;
        }
        if (kind == StageKind.FINISH) {
            List<String> gates = plan.additions().stream()
                    .filter(a -> a.stage() == run.index() && a.goes().inCup().isPresent())
                    .map(words::inCup)
                    .distinct()
                    .toList();
            String all = gates.isEmpty() ? "" : words.text("step.gates", Map.of("gates", String.join(", ", gates)));
            Batch batch = plan.batch();
            if (batch.begins(run.index())) {
                String vessel = words.name(batch.before(run.index()).orElseThrow());
                return words.text(
                        "step.stir-in-batch", Map.of("herbs", words.list(herbs), "gates", all, "vessel", vessel));
            }
            boolean later = plan.request().days() > 1;
            return words.text(
                    later ? "step.stir-in-today" : "step.stir-in", Map.of("herbs", words.list(herbs), "gates", all));
        }
        String in = Words.capital(several(herbs));
        if (kind == StageKind.STRAIN) {
            String vessel = words.name(plan.batch().after(run.index()).orElseThrow());
            return words.text(
                    "step.herbs-in-vessel", Map.of("Herbs", in, "label", label, "vessel", vessel, "n", herbs.size()));
        }
        return words.text("step.herbs-in", Map.of("Herbs", in, "label", label));
    }

    // ---- a stage

    private String stage(BrewPlan plan, StageRun run) {
        String label = words.text(
                run.stage() instanceof Stage.Strain ? "label." + strains(plan, run) : labelKey(run.stage()),
                arguments(plan, run));
        return run.heatS() > 0 ? label : withHerbs(plan, run, label);
    }

    /** How a strain is done: through a strainer, by lifting the tea ball out, or, with no herbs in a batch any more, by pouring it over. */
    private static String strains(BrewPlan plan, StageRun run) {
        boolean herbs = plan.pot().herbsBefore(run.index()).stream().anyMatch(c -> c.keptMl(false) > 0);
        return !herbs && plan.batch().herbsFrom(run.index()) > 0 ? "fill" : plan.inBall() ? "lift" : "strain";
    }

    private static String labelKey(Stage stage) {
        boolean toATemperature = stage instanceof Stage.Heat h && h.toC().isPresent();
        boolean at = stage instanceof Stage.Pour p && p.toC().isPresent();
        return "label." + stage.kind().code() + (toATemperature ? "-to" : at ? "-at" : "");
    }

    /** What the label of a stage is about. */
    private Catalogue.Arguments arguments(BrewPlan plan, StageRun run) {
        Stage stage = run.stage();
        return name -> switch (name) {
            case "water" -> water(run);
            case "fresh" -> stage.bringsMl() == 0 ? "none" : words.numbers().millilitres(fresh(plan, stage));
            case "flame" -> flame(stage);
            case "lid" -> lid(stage);
            case "lidOn" -> Boolean.toString(stage.lid());
            case "celsius" -> said(celsius(plan, run), words.numbers()::celsius);
            case "time" -> said(stage.lastsMin(), words.numbers()::minutes);
            case "tap" -> Boolean.toString(run.index() == 0);
            case "place" -> stage instanceof Stage.Macerate m ? Code.of(m.place()) : "room";
            case "menstruum" -> standsIn(plan, (Stage.Macerate) stage);
            case "shaken" -> Boolean.toString(stage instanceof Stage.Macerate m && m.shakenDaily());
            case "pressed" -> Boolean.toString(((Stage.Strain) stage).pressed());
            case "tool" -> tool(plan);
            case "hot" -> Boolean.toString(run.startC() > WARM_FROM_C);
            case "with" ->
                plan.vessel().companions().contains(Companion.BLENDER)
                        ? plan.vessel().name()
                        : "none";
            case "spent" -> spent(plan.request().schools());
            case "all" -> words.numbers().millilitres(run.endMl());
            case "into" -> into(plan, run);
            case "diluted" -> diluted(plan.request());
            default -> null;
        };
    }

    private static @Nullable String said(OptionalDouble number, DoubleFunction<String> how) {
        return number.isPresent() ? how.apply(number.getAsDouble()) : null;
    }

    /** What a refill pours on, for the cups of the order, mL. */
    private static double fresh(BrewPlan plan, Stage stage) {
        return stage.bringsMl() * plan.pot().volumeScale();
    }

    private String flame(Stage stage) {
        return stage.onFlame().map(words::name).orElse("");
    }

    private String lid(Stage stage) {
        return words.text(stage.lid() ? "lid.on" : "lid.off");
    }

    private static OptionalDouble celsius(BrewPlan plan, StageRun run) {
        Stage stage = run.stage();
        if (stage instanceof Stage.Hold) {
            return heldC(plan, run);
        }
        return stage instanceof Stage.Heat s
                ? s.toC()
                : stage instanceof Stage.Pour s
                        ? s.toC()
                        : stage instanceof Stage.Cool s ? OptionalDouble.of(s.toC()) : OptionalDouble.empty();
    }

    private String standsIn(BrewPlan plan, Stage.Macerate stage) {
        if (plan.request().recipe().menstruum().cold()) {
            return words.say(plan.request().recipe().menstruum());
        }
        double celsius = stage.toC().orElse(0);
        return celsius > WARM_FROM_C
                ? words.text("warm-water", Map.of("celsius", words.numbers().celsius(celsius)))
                : words.text("cold-water");
    }

    /** What holds the herbs back: the plunger of a press, else a strainer for the finest of them. */
    private String tool(BrewPlan plan) {
        if (plan.vessel().kind() == Vessel.Kind.PRESS) {
            return words.text("tool.press");
        }
        Recipe recipe = plan.request().recipe();
        Cut.Strainer strainer = recipe.additions().stream()
                .filter(a -> recipe.stages().get(a.stage()).kind() != StageKind.FINISH)
                .map(Addition::cut)
                .max(Comparator.naturalOrder())
                .orElse(Cut.WHOLE)
                .strainer();
        return words.text("tool.strainer", Map.of("strainer", words.name(strainer)));
    }

    /** What the liquor runs into, as the recipe says; else as what becomes of it asks. */
    private String into(BrewPlan plan, StageRun run) {
        PlanRequest request = plan.request();
        boolean cold = request.recipe().menstruum().cold();
        boolean told =
                run.stage() instanceof Stage.Strain strain && strain.into().isPresent();
        Batch batch = plan.batch();
        Receiver receiver = batch.after(run.index()).orElse(Receiver.CUPS);
        if (!told && !receiver.holdsBatch()) {
            return words.text(
                    cold ? "into.bottle" : request.recipe().dilutionParts() > 0 ? "into.jar" : "into.mugs", mugs(plan));
        }
        return switch (receiver) {
            case CUPS -> words.text("into.mugs", mugs(plan));
            case JUG -> words.text(batch.aside(run.index()) ? "into.jug" : "into.clean-jug");
            case POT -> words.text("into.pot");
            case JAR -> words.text("into.jar");
            case BOTTLE -> words.text(cold ? "into.bottle" : "into.clean-bottle");
        };
    }

    private static Map<String, Object> mugs(BrewPlan plan) {
        return Map.of("n", Math.round(plan.request().cups()));
    }

    /** What becomes of the herbs where the cook's school says it; what is left in them stands in the figures. */
    private String spent(Schools schools) {
        Schools.Choice choice = schools.chosen(Schools.Question.SPENT_HERBS);
        return choice == Schools.Choice.SHOW_LEFT ? "" : words.text("spent." + choice.code());
    }

    /** How a concentrate is served. */
    private String diluted(PlanRequest request) {
        double parts = request.recipe().dilutionParts();
        double liquor = request.cupMl() / (1 + parts);
        return parts == 0
                ? ""
                : words.text(
                        "diluted",
                        Map.of(
                                "liquor",
                                words.numbers().millilitres(liquor),
                                "water",
                                words.numbers().millilitres(request.cupMl() - liquor)));
    }

    private String untilOf(BrewPlan plan, Stage stage) {
        if (stage instanceof Stage.Heat heat && heat.toC().isEmpty()) {
            return words.text("until.boil");
        }
        if (stage instanceof Stage.Heat || stage instanceof Stage.Cool) {
            // "Let it cool to 55 °C" says it.
            return "";
        }
        if (!(stage instanceof Stage.Reduce)) {
            return untilSaid(stage);
        }
        double dipMl = plan.water().dipMl();
        return words.text(
                "until.mark",
                Map.of(
                        "water",
                        words.numbers().millilitres(dipMl),
                        "height",
                        words.numbers().centimetres(Math.max(0, plan.vessel().fromRimCm(dipMl)))));
    }

    /** What the recipe itself says of the end: a sign, or a range of time. */
    private String untilSaid(Stage stage) {
        Stage.Until until = stage.until();
        if (until.minutesTo().isEmpty()) {
            return until.sign();
        }
        return words.text(
                "until.range",
                Map.of(
                        "sign",
                        until.sign().isEmpty() ? "none" : until.sign(),
                        "from",
                        words.numbers().minutes(stage.lastsMin().orElse(0)),
                        "to",
                        words.numbers().minutes(until.minutesTo().getAsDouble())));
    }

    // ---- what begins when a step ends

    private static Optional<StageRun> next(BrewPlan plan, StageRun run) {
        return plan.stages().stream()
                .filter(r -> r.index() > run.index() && !r.needless())
                .findFirst();
    }

    private String begins(BrewPlan plan, StageRun next) {
        Stage stage = next.stage();
        if (next.kettle() && stage.kind() == StageKind.POUR) {
            return words.text("confirm.kettle");
        }
        if (next.heatS() > 0) {
            return in(plan, next, words.text("begin.heat"));
        }
        String begin = words.text(
                "begin." + begun(plan, next),
                Map.of(
                        "water",
                        water(next),
                        "flame",
                        flame(stage),
                        "lid",
                        lid(stage),
                        "lidOn",
                        Boolean.toString(stage.lid()),
                        "menstruum",
                        Code.of(plan.request().recipe().menstruum().kind())));
        return in(plan, next, begin);
    }

    private static String begun(BrewPlan plan, StageRun next) {
        Stage stage = next.stage();
        boolean batch = plan.batch().begins(next.index());
        return stage instanceof Stage.Strain
                ? strains(plan, next)
                : stage.kind().code() + (batch && stage.kind() == StageKind.FINISH ? "-batch" : "");
    }

    /** "Orange peel in, flame off". */
    private String in(BrewPlan plan, StageRun next, String begin) {
        List<String> herbs = plan.additions().stream()
                .filter(a -> a.stage() == next.index() && !a.perCup() && a.measuredOut())
                .map(this::name)
                .toList();
        if (herbs.isEmpty() || next.stage().kind() == StageKind.POUR) {
            return begin;
        }
        String in = several(herbs);
        String lower = begin.substring(0, 1).toLowerCase(words.catalogue().locale()) + begin.substring(1);
        return words.text("confirm.herbs-in", Map.of("Herbs", Words.capital(in), "begin", lower));
    }
}
