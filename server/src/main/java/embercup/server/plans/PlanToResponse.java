package embercup.server.plans;

import embercup.core.brew.CurvePoint;
import embercup.core.brew.StageRun;
import embercup.core.care.Care;
import embercup.core.care.WayOut;
import embercup.core.dose.Drinker;
import embercup.core.dose.UsualDose;
import embercup.core.keeping.Keeping;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Condition;
import embercup.core.materia.Severity;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Prediction;
import embercup.core.plan.Step;
import embercup.core.plan.Taking;
import embercup.core.recipe.Stage;
import embercup.core.workings.Code;
import embercup.core.workings.Workings;
import embercup.server.learned.LearnedResponse;
import embercup.server.plans.OrderRequest.BurnerPart;
import embercup.server.plans.OrderRequest.DrinkerPart;
import embercup.server.plans.OrderRequest.KitchenPart;
import embercup.server.plans.OrderRequest.VesselPart;
import embercup.server.plans.PlanResponse.AdditionLine;
import embercup.server.plans.PlanResponse.BurnerLine;
import embercup.server.plans.PlanResponse.CautionLine;
import embercup.server.plans.PlanResponse.Load;
import embercup.server.plans.PlanResponse.Point;
import embercup.server.plans.PlanResponse.VesselLine;
import embercup.server.plans.PlanResponse.Water;
import embercup.server.plans.PlanResponse.WayLine;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.SchoolsFromRequest;
import embercup.server.platform.WorkingsLine;
import embercup.server.recipes.RecipeToDocument;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Writes the core's plan for the wire. */
public final class PlanToResponse {

    /** Points of a curve that are sent: the eye sees no more on one screen. */
    private static final int MOST_POINTS = 90;

    private PlanToResponse() {}

    static PlanResponse write(
            BrewPlan plan,
            Care.Verdict verdict,
            List<PlanResponse.WayLine> ways,
            List<String> identityChecks,
            List<LearnedResponse> learned,
            Instant start,
            String drinkerName,
            List<Plans.Other> others,
            Optional<Keeping> keeping,
            Map<String, Workings> figures) {
        List<@Nullable UUID> otherIds = others.stream().map(Plans.Other::id).toList();
        return new PlanResponse(
                order(plan.request(), drinkerName, otherIds),
                brewing(plan),
                drawn(plan),
                new PlanResponse.Times(plan.stageStartS(), plan.totalS(), plan.readyS(), start, plan.readyFrom(start)),
                cup(plan, keeping),
                judged(verdict, others, ways, identityChecks),
                learned,
                WorkingsLine.of(figures));
    }

    private static PlanResponse.Order order(PlanRequest r, String drinkerName, List<@Nullable UUID> otherIds) {
        return new PlanResponse.Order(
                r.recipe().name(),
                Fields.code(r.recipe().tradition()),
                r.cups(),
                r.cupMl(),
                drinkerName,
                SchoolsFromRequest.write(r.schools()),
                r.spentHerbs(),
                r.posology().map(HouseWords.words()::say).orElse(null),
                taken(r, otherIds));
    }

    private static PlanResponse.Taken taken(PlanRequest r, List<@Nullable UUID> otherIds) {
        List<PlanResponse.SharerLine> others = new ArrayList<>();
        for (int i = 0; i < r.taking().others().size(); i++) {
            Taking.Sharer o = r.taking().others().get(i);
            others.add(new PlanResponse.SharerLine(otherIds.get(i), o.name(), o.cupsADay(), o.serving()));
        }
        OptionalInt prescribed = r.taking().prescribedDays();
        return new PlanResponse.Taken(
                r.cupsADay(), prescribed.isPresent() ? prescribed.getAsInt() : null, r.days(), others);
    }

    private static PlanResponse.Brewing brewing(BrewPlan plan) {
        return new PlanResponse.Brewing(
                additions(plan),
                water(plan),
                plan.boilingC(),
                steps(plan),
                curve(plan.predicted()),
                plan.reasons().stream()
                        .map(x -> new PlanResponse.ReasonLine(
                                x.stage(), HouseWords.words().say(x), x.source()))
                        .toList());
    }

    private static PlanResponse.Drawn drawn(BrewPlan plan) {
        Burner burner = plan.request().kitchen().burner();
        return new PlanResponse.Drawn(
                vessel(plan),
                mug(plan),
                served(plan),
                new BurnerLine(burner.name(), burner.lowW(), burner.mediumW(), burner.highW()));
    }

    private static PlanResponse.Cup cup(BrewPlan plan, Optional<Keeping> keeping) {
        return new PlanResponse.Cup(
                new PlanResponse.Strength(plan.strength(), plan.strengthLow(), plan.strengthHigh()),
                new PlanResponse.Shares(plan.body(), plan.aroma(), plan.bite()),
                new PlanResponse.Warmth(
                        plan.brew().cup().celsius(),
                        orNull(plan.brew().cup().drinkableAfterS()),
                        orNull(plan.brew().cup().honeyAfterS())),
                keeping.map(k -> new PlanResponse.KeepsLine(
                                k.hours(), k.mostHours(), HouseWords.words().say((Record) k), k.source()))
                        .orElse(null));
    }

    private static PlanResponse.Judged judged(
            Care.Verdict verdict,
            List<Plans.Other> others,
            List<PlanResponse.WayLine> ways,
            List<String> identityChecks) {
        List<CautionLine> cautions = new ArrayList<>();
        List<Load> loads = new ArrayList<>();
        add(cautions, loads, verdict, null);
        others.forEach(o -> add(cautions, loads, o.verdict(), o.name()));
        cautions.sort(Comparator.comparing((CautionLine c) -> Fields.oneOf(Severity.class, c.severity(), "severity"))
                .reversed());
        return new PlanResponse.Judged(
                cautions,
                verdict.stops() || others.stream().anyMatch(o -> o.verdict().stops()),
                ways,
                loads,
                verdict.ask().stream()
                        .map(a -> new PlanResponse.AskLine(HouseWords.words().quantities(a.signs()), a.source()))
                        .toList(),
                identityChecks);
    }

    private static void add(
            List<CautionLine> cautions, List<Load> loads, Care.Verdict verdict, @Nullable String drinker) {
        cautions.addAll(cautions(verdict, drinker));
        verdict.loads().forEach(l -> loads.add(new Load(Fields.code(l.constituent()), l.mg(), l.limitMg(), drinker)));
    }

    /** @param drinker whom they are said to, when not the drinker of the pot */
    static List<CautionLine> cautions(Care.Verdict verdict, @Nullable String drinker) {
        List<CautionLine> lines = new ArrayList<>();
        for (Caution c : verdict.cautions()) {
            String text = HouseWords.words().say(c);
            lines.add(new CautionLine(
                    c.code(),
                    Fields.code(c.severity()),
                    c.herb().orElse(null),
                    c.slugs(),
                    drinker,
                    drinker == null
                            ? text
                            : HouseWords.words().sentence("caution-for.drinker", Map.of("name", drinker, "text", text)),
                    c.source(),
                    decide(c),
                    c instanceof Caution.ReducesCovered r ? r.stage() : null,
                    c instanceof Caution.LidToHeat l ? l.stage() : null,
                    c instanceof Caution.Doubt ? true : null));
        }
        return lines;
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static List<AdditionLine> additions(BrewPlan plan) {
        List<Integer> lines = plan.request().recipe().linesOfAdditions();
        return IntStream.range(0, plan.additions().size())
                .mapToObj(i -> addition(plan, plan.additions().get(i), lines.get(i)))
                .toList();
    }

    private static AdditionLine addition(BrewPlan plan, PlannedAddition a, int line) {
        return new AdditionLine(
                new PlanResponse.HerbAsked(a.herb(), a.common(), Fields.code(a.form()), Fields.code(a.cut())),
                new PlanResponse.Goes(a.stage(), a.perCup(), HouseWords.words().inCup(a)),
                new PlanResponse.Weighed(a.grams(), a.lowG(), a.highG(), a.perCupG(), a.weigh()),
                new PlanResponse.Told(
                        HouseWords.words().measure(a),
                        HouseWords.words().prep(a),
                        HouseWords.words().say(a.said()),
                        a.measured().nearest().map(HouseWords.words()::nearest).orElse(null)),
                a.leftShare(),
                beside(a.beside(), plan.againstUsual(a)),
                line,
                a.blend().map(b -> blend(a, b)).orElse(null));
    }

    private static PlanResponse.BlendLine blend(PlannedAddition a, PlannedAddition.OfBlend b) {
        PlannedAddition.Grams all = b.amount();
        return new PlanResponse.BlendLine(
                b.name().slug(),
                b.name().common(),
                b.leads(),
                new PlanResponse.Weighed(
                        all.best(),
                        all.low(),
                        all.high(),
                        all.perCup(),
                        b.measured().weigh()),
                HouseWords.words().measure(a),
                beside(b.beside(), PlannedAddition.againstUsual(b).filter(s -> s == UsualDose.Side.MORE)));
    }

    private static PlanResponse.@Nullable DecideLine decide(Caution caution) {
        return caution instanceof Caution.RecipeContradictsItself c
                ? new PlanResponse.DecideLine(
                        Fields.code(c.says()), c.otherCups(), c.otherCup().millilitres())
                : null;
    }

    private static PlanResponse.BesideLine beside(PlannedAddition.Beside beside, Optional<UsualDose.Side> off) {
        return new PlanResponse.BesideLine(
                beside.usualPerCup().map(UsualDose.Range::lowG).orElse(null),
                beside.usualPerCup().map(UsualDose.Range::highG).orElse(null),
                beside.usualPerCup().map(UsualDose.Range::middleG).orElse(null),
                beside.usualAsWrittenG().orElse(null),
                off.map(Code::of).orElse(null),
                beside.usualPerCup().map(UsualDose.Range::source).orElse(null),
                beside.optional() ? true : null,
                beside.or().isEmpty()
                        ? null
                        : beside.or().stream()
                                .map(h -> new PlanResponse.OtherHerb(
                                        h.slug(), HouseWords.words().lower(h.common())))
                                .toList(),
                beside.to().map(HouseWords.words()::say).orElse(null));
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
                w.broughtMl() == 0 ? null : w.broughtMl(),
                HouseWords.words()
                        .say(KitchenAmount.cups(
                                Volume.millilitres(w.startMl()),
                                plan.request().custom().system())));
    }

    /** One of the mugs, filled; none for what is kept in a jar or a bottle. */
    private static @Nullable VesselLine mug(BrewPlan plan) {
        if (plan.intoMugs().isEmpty()) {
            return null;
        }
        Vessel v = Vessel.mug(plan.request().cupMl());
        double level = v.levelCm(
                (plan.water().yieldMl() + plan.stirredInMl()) / plan.request().cups());
        return new VesselLine(
                v.name(),
                Fields.code(v.kind()),
                v.innerDiameterCm(),
                v.heightCm(),
                v.brimMl(),
                v.mostMl(),
                new PlanResponse.Levels(level, level, 0, 0, 0.0));
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
                new PlanResponse.Levels(
                        v.levelCm(plan.water().startMl() + displaced + plan.broughtAtStartMl()),
                        v.levelCm(end + displaced),
                        plan.water().dipMl() == 0 ? 0 : v.levelCm(plan.water().dipMl()),
                        v.levelCm(plan.water().retainedMl() + displaced),
                        v.levelCm(displaced)));
    }

    /** Steps with the power under the pot while they last. */
    static List<StepLine> steps(BrewPlan plan) {
        return plan.steps().stream().map(s -> step(plan, s)).toList();
    }

    private static StepLine step(BrewPlan plan, Step s) {
        String until = HouseWords.words().until(plan, s);
        List<String> minds = HouseWords.words().minded(plan, s);
        StepLine.Told told = new StepLine.Told(
                HouseWords.words().label(plan, s),
                until.isEmpty() ? null : until,
                HouseWords.words().confirm(plan, s),
                minds.isEmpty() ? null : minds);
        boolean herbs = plan.herbsIn(s);
        StepLine.Span span = new StepLine.Span(s.startS(), s.durationS(), s.handsOn(), s.aside(), herbs ? null : true);
        boolean lid = s.fire().lid();
        if (s instanceof Step.Prepare prepare) {
            return new StepLine.Preparing(s.id(), s.code(), told, span, prepare.addition());
        }
        if (s instanceof Step.Stand stand) {
            return new StepLine.Resting(s.id(), s.code(), told, span, stand.addition());
        }
        return switch (s.way()) {
            case HEATING ->
                new StepLine.Heating(s.id(), s.code(), s.stage(), told, span, fire(plan, s), lid, s.ripens() && herbs);
            case STANDING -> new StepLine.Standing(s.id(), s.code(), s.stage(), told, span, lid, s.ripens() && herbs);
            case BY_HAND -> new StepLine.ByHand(s.id(), s.code(), s.stage(), told, span, lid);
        };
    }

    private static StepLine.Fire fire(BrewPlan plan, Step s) {
        return new StepLine.Fire(
                s.fire().watts(),
                s.fire().flame().map(Fields::code).orElse(null),
                s.fire().kettle(),
                s.heats() && plan.stages().get(s.stage()).boils());
    }

    /** When the steps of a plan are predicted to be. */
    public static List<PlanResponse.When> times(Prediction predicted) {
        return predicted.steps().stream()
                .map(s -> new PlanResponse.When(s.id(), s.startS(), s.durationS()))
                .toList();
    }

    /** The curve, thinned to what one screen shows; first and last point always stay. */
    public static List<Point> curve(Prediction predicted) {
        List<CurvePoint> all = predicted.curve();
        int every = Math.max(1, (int) Math.ceil(all.size() / (double) MOST_POINTS));
        return java.util.stream.IntStream.range(0, all.size())
                .filter(i -> i % every == 0 || i == all.size() - 1 || jump(all, i))
                .mapToObj(all::get)
                .map(PlanToResponse::point)
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

    static PlanResponse.WayLine way(WayOut w) {
        String text = HouseWords.words().say(w);
        if (w instanceof WayOut.Replace r) {
            return WayLine.ofHerb(r.herb().slug(), r.with().slug(), null, text);
        } else if (w instanceof WayOut.LeaveOut l) {
            return WayLine.ofHerb(l.herb().slug(), null, null, text);
        } else if (w instanceof WayOut.Lessen l) {
            return WayLine.ofHerb(l.herb().slug(), null, l.share(), text);
        } else if (w instanceof WayOut.FewerCups f) {
            return WayLine.ofCups(f.cups(), text);
        } else if (w instanceof WayOut.FewerADay f) {
            return WayLine.ofCupsADay(f.cups(), text);
        } else if (w instanceof WayOut.Prescribed p) {
            return WayLine.prescribed(p.days(), text);
        }
        return WayLine.ofMenstruum(Fields.code(((WayOut.DrawWith) w).menstruum()), text);
    }

    private static DrinkerPart drinker(Drinker d) {
        return new DrinkerPart(
                d.ageYears(),
                orNull(d.weightKg()),
                d.conditions().stream().map(Condition::code).sorted().toList(),
                d.trimester().isPresent() ? d.trimester().getAsInt() : null,
                d.allergies().stream().sorted().toList());
    }

    private static OrderRequest.Taken taken(Taking taking) {
        return new OrderRequest.Taken(
                orNull(taking.cupsADay()),
                taking.prescribedDays().isPresent() ? taking.prescribedDays().getAsInt() : null,
                taking.prescribedBy().orElse(null),
                taking.others().isEmpty()
                        ? null
                        : taking.others().stream()
                                .map(o -> new OrderRequest.SharerPart(
                                        null, drinker(o.drinker()), o.name(), o.cupsADay(), o.serving()))
                                .toList());
    }

    /** The request with recipe, drinker and kitchen written out. */
    static OrderRequest writtenOut(BrewPlan plan, Instant start) {
        PlanRequest request = plan.request();
        Drinker d = request.drinker();
        Kitchen k = request.kitchen();
        return new OrderRequest(
                new OrderRequest.Pot(null, RecipeToDocument.write(request.recipe()), null, null, request.spentHerbs()),
                new OrderRequest.Serving(
                        request.cups(),
                        request.cupMl(),
                        Fields.code(request.strength()),
                        Fields.code(request.purpose())),
                new OrderRequest.For(null, drinker(d), null, request.taste() == 1 ? null : request.taste(), null),
                taken(request.taking()),
                new KitchenPart(
                        k.altitudeM(),
                        k.roomC(),
                        k.tapC(),
                        k.kettleW(),
                        null,
                        k.vessel()
                                .map(v -> new VesselPart(
                                        v.name(),
                                        Fields.code(v.kind()),
                                        v.innerDiameterCm(),
                                        v.heightCm(),
                                        v.brimMl(),
                                        v.companions().isEmpty() ? null : Fields.codes(v.companions())))
                                .orElse(null),
                        null,
                        new BurnerPart(
                                k.burner().name(),
                                k.burner().lowW(),
                                k.burner().mediumW(),
                                k.burner().highW())),
                new OrderRequest.Custom(
                        Fields.code(request.custom().system()),
                        request.custom().liangG(),
                        SchoolsFromRequest.write(request.schools())),
                new OrderRequest.At(start, null),
                null);
    }
}
