package embercup.server.plans;

import embercup.core.brew.CurvePoint;
import embercup.core.brew.StageRun;
import embercup.core.care.Care;
import embercup.core.care.WayOut;
import embercup.core.dose.Drinker;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Condition;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Prediction;
import embercup.core.plan.Step;
import embercup.core.recipe.Stage;
import embercup.core.words.Words;
import embercup.core.workings.Workings;
import embercup.server.learned.LearnedSheet;
import embercup.server.plans.PlanAsk.BurnerDoc;
import embercup.server.plans.PlanAsk.DrinkerDoc;
import embercup.server.plans.PlanAsk.KitchenDoc;
import embercup.server.plans.PlanAsk.VesselDoc;
import embercup.server.plans.PlanSheet.AdditionLine;
import embercup.server.plans.PlanSheet.BurnerLine;
import embercup.server.plans.PlanSheet.CautionLine;
import embercup.server.plans.PlanSheet.Load;
import embercup.server.plans.PlanSheet.Point;
import embercup.server.plans.PlanSheet.StepLine;
import embercup.server.plans.PlanSheet.VesselLine;
import embercup.server.plans.PlanSheet.Water;
import embercup.server.plans.PlanSheet.WayLine;
import embercup.server.platform.Fields;
import embercup.server.platform.SchoolsReading;
import embercup.server.platform.WorkingsLine;
import embercup.server.recipes.RecipeWriting;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** Writes the core's plan for the wire. */
public final class PlanWriting {

    /** Points of a curve that are sent: the eye sees no more on one screen. */
    private static final int MOST_POINTS = 90;

    private static final Words WORDS = Words.english();

    private PlanWriting() {}

    static PlanSheet write(
            BrewPlan plan,
            Care.Verdict verdict,
            List<PlanSheet.WayLine> ways,
            List<String> identityChecks,
            List<LearnedSheet> learned,
            Instant start,
            String drinkerName,
            Map<String, Workings> figures) {
        PlanRequest r = plan.request();
        Burner burner = r.kitchen().burner();
        return new PlanSheet(
                r.recipe().name(),
                Fields.code(r.recipe().tradition()),
                r.cups(),
                r.cupMl(),
                drinkerName,
                additions(plan),
                water(plan),
                plan.boilingC(),
                vessel(plan),
                mug(plan),
                served(plan),
                new BurnerLine(burner.name(), burner.lowW(), burner.mediumW(), burner.highW()),
                steps(plan),
                plan.stageStartS(),
                plan.totalS(),
                start,
                plan.readyFrom(start),
                curve(plan.predicted()),
                plan.strength(),
                plan.strengthLow(),
                plan.strengthHigh(),
                plan.aroma(),
                plan.bite(),
                plan.brew().cup().celsius(),
                orNull(plan.brew().cup().drinkableAfterS()),
                orNull(plan.brew().cup().honeyAfterS()),
                cautions(verdict),
                verdict.stops(),
                ways,
                verdict.loads().stream()
                        .map(l -> new Load(Fields.code(l.constituent()), l.mg(), l.limitMg()))
                        .toList(),
                plan.reasons().stream()
                        .map(x -> new PlanSheet.ReasonLine(x.stage(), WORDS.say(x), x.source()))
                        .toList(),
                SchoolsReading.write(r.schools()),
                r.spentHerbs(),
                r.recipe().posology().map(WORDS::say).orElse(null),
                identityChecks,
                learned,
                WorkingsLine.of(figures));
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static List<AdditionLine> additions(BrewPlan plan) {
        return plan.additions().stream()
                .map(a -> new AdditionLine(
                        a.herb(),
                        a.common(),
                        Fields.code(a.form()),
                        Fields.code(a.cut()),
                        a.stage(),
                        a.perCup(),
                        WORDS.inCup(a),
                        a.grams(),
                        a.lowG(),
                        a.highG(),
                        a.perCupG(),
                        WORDS.measure(a),
                        a.weigh(),
                        WORDS.prep(a),
                        WORDS.say(a.said()),
                        a.leftShare(),
                        a.measured().nearest().map(WORDS::nearest).orElse(null)))
                .toList();
    }

    private static Water water(BrewPlan plan) {
        var w = plan.water();
        return new Water(
                w.pourMl(),
                w.startMl(),
                w.retainedMl(),
                w.evaporatedMl(),
                w.yieldMl(),
                w.dipMl(),
                WORDS.say(KitchenAmount.cups(
                        Volume.millilitres(w.startMl()), plan.request().custom().system())));
    }

    /** One of the mugs, filled; none for what is kept in a jar or a bottle. */
    private static @Nullable VesselLine mug(BrewPlan plan) {
        if (plan.intoMugs().isEmpty()) {
            return null;
        }
        Vessel v = Vessel.mug(plan.request().cupMl());
        double level = v.levelCm(plan.water().yieldMl() / plan.request().cups());
        return new VesselLine(
                v.name(),
                Fields.code(v.kind()),
                v.innerDiameterCm(),
                v.heightCm(),
                v.brimMl(),
                v.mostMl(),
                level,
                level,
                0,
                0,
                0.0);
    }

    /** The step after which the liquor is in the mugs; none for what is kept in a jar or a bottle. */
    private static @Nullable String served(BrewPlan plan) {
        OptionalInt stage = plan.intoMugs();
        return plan.steps().stream()
                .filter(s -> s instanceof Step.OfStage && stage.isPresent() && s.stage() == stage.getAsInt())
                .map(Step::id)
                .findFirst()
                .orElse(null);
    }

    private static VesselLine vessel(BrewPlan plan) {
        Vessel v = plan.vessel();
        double displaced = plan.displacedMl();
        double end = plan.stages().stream()
                .filter(s -> s.stage() instanceof Stage.Strain)
                .findFirst()
                .map(StageRun::startMl)
                .orElse(plan.water().yieldMl());
        return new VesselLine(
                v.name(),
                Fields.code(v.kind()),
                v.innerDiameterCm(),
                v.heightCm(),
                v.brimMl(),
                v.mostMl(),
                v.levelCm(plan.water().startMl() + displaced),
                v.levelCm(end + displaced),
                plan.water().dipMl() == 0 ? 0 : v.levelCm(plan.water().dipMl()),
                v.levelCm(plan.water().retainedMl() + displaced),
                v.levelCm(displaced));
    }

    /** Steps with the power under the pot while they last. */
    static List<StepLine> steps(BrewPlan plan) {
        return plan.steps().stream().map(s -> step(plan, s)).toList();
    }

    private static StepLine step(BrewPlan plan, Step s) {
        String until = WORDS.until(plan, s);
        return new StepLine(
                s.id(),
                s.code(),
                s.stage(),
                WORDS.label(plan, s),
                s.startS(),
                s.durationS(),
                s.handsOn(),
                until.isEmpty() ? null : until,
                WORDS.confirm(plan, s),
                s.fire().watts(),
                s.fire().flame().map(Fields::code).orElse(null),
                s.fire().kettle(),
                s.fire().lid(),
                s.heats() && plan.stages().get(s.stage()).boils(),
                s.aside(),
                s.ripens(),
                s instanceof Step.Prepare prepare ? prepare.addition() : null);
    }

    /** When the steps of a plan are predicted to be. */
    public static List<PlanSheet.When> times(Prediction predicted) {
        return predicted.steps().stream()
                .map(s -> new PlanSheet.When(s.id(), s.startS(), s.durationS()))
                .toList();
    }

    /** The curve, thinned to what one screen shows; first and last point always stay. */
    public static List<Point> curve(Prediction predicted) {
        List<CurvePoint> all = predicted.curve();
        int every = Math.max(1, (int) Math.ceil(all.size() / (double) MOST_POINTS));
        return java.util.stream.IntStream.range(0, all.size())
                .filter(i -> i % every == 0 || i == all.size() - 1 || jump(all, i))
                .mapToObj(all::get)
                .map(PlanWriting::point)
                .toList();
    }

    /** Rounded to what a screen can show: a tenth of a second, a hundredth of a degree and a millilitre. */
    private static Point point(CurvePoint p) {
        return new Point(
                rounded(p.tS(), 10),
                rounded(p.tempC(), 100),
                rounded(p.waterMl(), 100),
                rounded(p.body(), 10_000),
                rounded(p.aroma(), 10_000),
                rounded(p.bite(), 10_000));
    }

    private static double rounded(double value, double parts) {
        return Math.round(value * parts) / parts;
    }

    /** Both sides of a jump (a pour, a strain) stay, so that it is not drawn as a slope. */
    private static boolean jump(List<CurvePoint> all, int i) {
        return i + 1 < all.size()
                        && Math.abs(all.get(i + 1).waterMl() - all.get(i).waterMl()) > 20
                || i > 0 && Math.abs(all.get(i).waterMl() - all.get(i - 1).waterMl()) > 20;
    }

    private static List<CautionLine> cautions(Care.Verdict verdict) {
        return verdict.cautions().stream()
                .map(c -> new CautionLine(
                        c.code(), Fields.code(c.severity()), c.herb().orElse(null), WORDS.say(c), c.source()))
                .toList();
    }

    static PlanSheet.WayLine way(WayOut w) {
        String text = WORDS.say(w);
        if (w instanceof WayOut.Replace r) {
            return WayLine.ofHerb(r.herb().slug(), r.with().slug(), null, text);
        } else if (w instanceof WayOut.LeaveOut l) {
            return WayLine.ofHerb(l.herb().slug(), null, null, text);
        } else if (w instanceof WayOut.Lessen l) {
            return WayLine.ofHerb(l.herb().slug(), null, l.share(), text);
        } else if (w instanceof WayOut.FewerCups f) {
            return WayLine.ofCups(f.cups(), text);
        }
        return WayLine.ofMenstruum(Fields.code(((WayOut.DrawWith) w).menstruum()), text);
    }

    /** The request with recipe, drinker and kitchen written out. */
    static PlanAsk writtenOut(BrewPlan plan, Instant start) {
        PlanRequest request = plan.request();
        Drinker d = request.drinker();
        Kitchen k = request.kitchen();
        return new PlanAsk(
                null,
                RecipeWriting.write(request.recipe()),
                request.cups(),
                request.cupMl(),
                Fields.code(request.strength()),
                Fields.code(request.purpose()),
                null,
                new DrinkerDoc(
                        d.ageYears(),
                        d.weightKg().isPresent() ? d.weightKg().getAsDouble() : null,
                        d.conditions().stream().map(Condition::code).sorted().toList(),
                        d.allergies().stream().sorted().toList()),
                new KitchenDoc(
                        k.altitudeM(),
                        k.roomC(),
                        k.tapC(),
                        k.kettleW(),
                        null,
                        k.vessel()
                                .map(v -> new VesselDoc(
                                        v.name(), Fields.code(v.kind()), v.innerDiameterCm(), v.heightCm(), v.brimMl()))
                                .orElse(null),
                        null,
                        new BurnerDoc(
                                k.burner().name(),
                                k.burner().lowW(),
                                k.burner().mediumW(),
                                k.burner().highW())),
                Fields.code(request.custom().system()),
                request.custom().liangG(),
                SchoolsReading.write(request.schools()),
                null,
                request.spentHerbs(),
                request.taste() == 1 ? null : request.taste(),
                null,
                null,
                start,
                null,
                null);
    }
}
