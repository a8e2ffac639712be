package embercup.core.plan;

import embercup.core.brew.Charge;
import embercup.core.dose.DayLimits;
import embercup.core.dose.DoseRule;
import embercup.core.dose.DoseRule.Dose;
import embercup.core.dose.UsualDose;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.DailyLimit;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Mass;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.plan.PlannedAddition.Grams;
import embercup.core.plan.PlannedAddition.Measured;
import embercup.core.plan.PlannedAddition.Prepared;
import embercup.core.plan.PlannedAddition.Said;
import embercup.core.plan.PlannedAddition.Skin;
import embercup.core.plan.PlannedAddition.Where;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;

/** The measures of a plan: what a recipe says, turned into grams and kitchen measures for this pot and drinker. */
final class Measures {

    /** The cup of the monographs (source key {@code hmpc}), mL. */
    private static final double MONOGRAPH_CUP_ML = 150;
    /** The volume that a concentrate's herbs are said for, mL. */
    private static final double CONCENTRATE_ML = 100;

    private final Materia materia;
    private final PlanRequest request;
    private final Recipe recipe;
    private final Batch batch;
    private final HerbMeasure measure;

    Measures(Materia materia, PlanRequest request) {
        this.materia = materia;
        this.request = request;
        this.recipe = request.recipe();
        this.batch = Batch.of(recipe.stages());
        this.measure = new HerbMeasure(materia, request.custom());
    }

    /** One line of the recipe and what its own amount weighs. */
    private record Own(Herb herb, Addition addition, HerbMeasure.Conversion grams, Workings perCup) {}

    /** For the cups, strength and drinker of the request; clipped doses are noted. */
    List<PlannedAddition> planned(List<Caution> notes, Map<String, Workings> workings) {
        List<Own> lines = IntStream.range(0, recipe.additions().size())
                .mapToObj(this::own)
                .toList();
        double room = room(lines);
        if (request.strength().factor() * request.purpose().factor() > room) {
            notes.add(new Caution.SharedRoom((int) Math.round((room - 1) * 100)));
        }
        Map<Own, Dose> doses = together(doses(lines, wish(room), notes));
        Map<Constituent, Double> day = mgInDay(doses);
        List<PlannedAddition> all = new ArrayList<>();
        for (Own own : lines) {
            Dose dose = Objects.requireNonNull(doses.get(own));
            Workings grams = Workings.product(
                    Term.GRAMS_IN_POT,
                    "g",
                    dose.perCup(),
                    Workings.given(Term.CUPS, into(own.addition).of(request.cups()), "cups"));
            workings.put("additions." + all.size() + ".grams", grams.of(own.herb.common()));
            all.add(line(own, dose, grams.value(), day));
        }
        workings.putAll(MeasuredBlends.why(lines.stream().map(Own::addition).toList(), workings));
        return new MeasuredBlends(materia, request, measure)
                .of(lines.stream().map(Own::addition).toList(), all);
    }

    /** Herbs of one blend keep their shares: a blend is lifted, or lessened, as the herb of it that is lifted least. */
    private static Map<Own, Dose> together(Map<Own, Dose> doses) {
        Map<Integer, Double> lifts = new HashMap<>();
        doses.forEach((own, dose) -> own.addition
                .spooned()
                .ifPresent(s -> lifts.merge(s.line(), dose.perCupG() / own.perCup.value(), Math::min)));
        if (lifts.isEmpty()) {
            return doses;
        }
        Map<Own, Dose> all = new IdentityHashMap<>(doses);
        all.replaceAll((own, dose) -> own.addition
                .spooned()
                .map(s -> Objects.requireNonNull(lifts.get(s.line())))
                .filter(lift -> dose.perCupG() > own.perCup.value() * lift * (1 + 1e-9))
                .map(lift -> dose.of(Workings.product(
                        Term.GRAMS_PER_CUP, "g", own.perCup, Workings.given(Term.LIFT_OF_BLEND, lift, ""))))
                .orElse(dose));
        return all;
    }

    /** All lines of a herb are dosed together. */
    private Map<Own, Dose> doses(List<Own> lines, DoseRule.Wish wish, List<Caution> notes) {
        Map<String, List<Own>> byHerb = new LinkedHashMap<>();
        lines.forEach(own ->
                byHerb.computeIfAbsent(own.herb.slug(), h -> new ArrayList<>()).add(own));
        Map<Own, Dose> doses = new IdentityHashMap<>();
        byHerb.values().forEach(same -> {
            List<Dose> together = DoseRule.perCup(
                    materia,
                    same.get(0).herb,
                    same.stream()
                            .map(own -> new DoseRule.Line(own.addition.form(), own.perCup))
                            .toList(),
                    wish);
            for (int i = 0; i < same.size(); i++) {
                doses.put(same.get(i), together.get(i));
            }
            notes(notes, same, together);
        });
        return doses;
    }

    /** Grams of each line as the recipe says it, for its own cups: the standard that strength is measured against. */
    double[] ownGrams() {
        return IntStream.range(0, recipe.additions().size())
                .mapToDouble(i -> grams(recipe.additions().get(i), i).amount().best())
                .toArray();
    }

    private Own own(int index) {
        Addition addition = recipe.additions().get(index);
        Herb herb = materia.herb(addition.herb(), "recipe.additions[" + index + "].herb");
        HerbMeasure.Conversion grams = grams(addition, index);
        Workings perCup = Workings.quotient(
                Term.OWN_GRAMS_PER_CUP,
                "g",
                Workings.product(
                        Term.GRAMS_TIMES_CUP,
                        "g·mL",
                        grams.workings(),
                        Workings.given(Term.CUP_SIZE, request.cupMl(), "mL")),
                Workings.given(Term.OWN_CUPS, recipe.cups(), "cups"),
                Workings.given(Term.OWN_CUP_SIZE, recipe.cupMl(), "mL"));
        return new Own(herb, addition, grams, perCup);
    }

    private HerbMeasure.Conversion grams(Addition addition, int index) {
        String path = "recipe.additions[" + index + "]";
        Herb herb = materia.herb(addition.herb(), path + ".herb");
        return addition.spooned()
                .flatMap(s -> materia.find(s.blend().slug()).filter(Herb::mixed).map(b -> spooned(s, b, herb)))
                .orElseGet(() ->
                        measure.grams(herb, addition.form(), addition.cut(), addition.quantity(), path + ".unit"));
    }

    /** A herb's share of so much of a blend. */
    private HerbMeasure.Conversion spooned(Addition.Spooned spooned, Herb blend, Herb herb) {
        HerbMeasure.Conversion whole = measure.grams(blend, Form.DRIED, Cut.CHOPPED, spooned.whole(), "unit");
        Workings grams = Workings.product(
                Term.GRAMS,
                "g",
                whole.workings().as(Term.GRAMS_OF_BLEND),
                Workings.given(Term.SHARE_OF_BLEND, spooned.share(), "").of(herb.common()));
        return new HerbMeasure.Conversion(whole.amount().times(spooned.share()), Unit.GRAM, grams, Optional.empty());
    }

    /** A dose that was cut, or that is more than a usual single dose, is told: of all lines of the herb together. */
    private void notes(List<Caution> notes, List<Own> lines, List<Dose> doses) {
        Own first = lines.get(0);
        HerbName name = HerbName.of(first.herb);
        double inOne = IntStream.range(0, lines.size())
                .mapToDouble(i -> inForm(lines.get(i), first.addition.form())
                        * doses.get(i).perCupG())
                .sum();
        Mass perCup = Mass.grams(inOne);
        if (doses.stream().anyMatch(Dose::clipped)) {
            double asked = IntStream.range(0, lines.size())
                    .mapToDouble(i -> inForm(lines.get(i), first.addition.form())
                            * doses.get(i).asked())
                    .sum();
            double cups = doses.get(0).cupsInDay();
            Workings most = doses.get(0).mostPerDay().orElseThrow();
            notes.add(new Caution.DoseClipped(
                    name,
                    perCup,
                    Mass.grams(most.value()),
                    Optional.of(new Caution.Clip(
                            Mass.grams(asked),
                            cups,
                            Mass.grams(asked * cups),
                            inOne * cups < most.value() * (1 - 1e-6))),
                    sourceOf(most)));
        }
        if (!recipe.menstruum().cold()) {
            SingleDose.of(usual(first), name, inOne, request.shareOfAdult().value())
                    .ifPresent(notes::add);
        }
    }

    /** Grams in one form with the dry matter of a gram of a line. */
    private double inForm(Own own, Form form) {
        if (own.addition.form() == form) {
            return 1;
        }
        double dried = HerbMeasure.driedShare(materia, own.herb);
        return form == Form.DRIED ? dried : 1 / dried;
    }

    /** The source of the published figure that a child's share was taken of. */
    private static String sourceOf(Workings figure) {
        return figure.source().isEmpty()
                ? figure.inputs().stream()
                        .map(Measures::sourceOf)
                        .filter(key -> !key.isEmpty())
                        .findFirst()
                        .orElse("")
                : figure.source();
    }

    private UsualDose usual(Own own) {
        return new UsualDose(materia, own.herb, own.addition.form(), recipe.tradition());
    }

    /** Room of a blend of herbs with a single dose of their own. */
    private double room(List<Own> lines) {
        List<Double> shares = new ArrayList<>();
        for (Own own : lines) {
            own.herb
                    .dose(Tradition.MONOGRAPH, own.addition.form())
                    .filter(Herb.DoseRange::ofOneHerb)
                    .ifPresent(d -> shares.add(own.perCup.value() / d.perCupG().high()));
        }
        return DoseRule.room(shares);
    }

    private DoseRule.Wish wish(double room) {
        return new DoseRule.Wish(
                request.strength(),
                request.purpose(),
                request.drinker(),
                recipe.tradition(),
                request.cupsADay(),
                room,
                request.taste(),
                request.prescribed(),
                request.childShare());
    }

    private double cupsADay(Own own) {
        return DoseRule.cupsADay(usual(own), wish(Double.POSITIVE_INFINITY));
    }

    private PlannedAddition line(Own own, Dose dose, double grams, Map<Constituent, Double> day) {
        Herb herb = own.herb;
        Addition addition = own.addition;
        HerbMeasure.Kitchen pot = kitchen(own, grams);
        HerbMeasure.Kitchen cup = kitchen(own, dose.perCupG());
        double low = grams * (1 - pot.spread());
        double high = grams * (1 + pot.spread());
        double cupsInDay = Math.min(request.cupsADay(), cupsADay(own));
        double drunk = request.shareADay();
        double heavy = high / Math.max(1, into(addition).of(request.cups()));
        boolean crosses = dose.passes(heavy * cupsInDay)
                || usualDayCrossed(own, dose.perCupG() * cupsInDay, heavy * cupsInDay)
                || muchMore(own, dose.perCupG(), heavy)
                || limitCrossed(own, grams * drunk, high * drunk, day);
        boolean perCup = perCup(addition);
        return new PlannedAddition(
                new PlannedAddition.Of(HerbName.of(herb), addition.form(), addition.cut()),
                addition.stage(),
                new Grams(grams, low, high, dose.perCupG()),
                new Measured(
                        perCup ? cup.amount() : pot.amount(),
                        perCup && request.cups() > 1,
                        crosses || rough(own),
                        own.grams.nearest(),
                        into(addition)),
                prepared(herb, addition),
                new Where(
                        perCup,
                        perCup ? Finishing.gate(herb, request.schools()) : Optional.empty(),
                        perCup ? Charge.broughtMl(herb, grams) : 0),
                said(own, dose.perCupG(), cup),
                1,
                addition.spooned().isPresent() ? PlannedAddition.Beside.NOTHING : beside(own, grams),
                Optional.empty());
    }

    /** In the unit that the recipe says: "2 cloves"; grams in spoons or pieces. */
    private HerbMeasure.Kitchen kitchen(Own own, double grams) {
        Addition a = own.addition;
        double asWritten = own.grams.amount().best();
        if (a.spooned().isPresent()) {
            KitchenAmount alone =
                    measure.kitchen(own.herb, a.form(), a.cut(), grams).amount();
            return new HerbMeasure.Kitchen(alone, own.grams.amount().relative());
        }
        if (a.quantity().unit().dimension() == Unit.Dimension.MASS
                || a.quantity().unit() == Unit.PART
                || asWritten == 0) {
            return measure.kitchen(own.herb, a.form(), a.cut(), grams);
        }
        double scaled = a.quantity().amount() * grams / asWritten;
        if (scaled > 0 && scaled < KitchenAmount.LEAST_SHOWN / 2) {
            return measure.kitchen(own.herb, a.form(), a.cut(), grams);
        }
        return new HerbMeasure.Kitchen(
                KitchenAmount.asWritten(scaled, a.quantity().unit()),
                own.grams.amount().relative());
    }

    /** A count whose weight is only that of any such piece: it is weighed. */
    private static boolean rough(Own own) {
        Unit.Dimension dimension = own.addition.quantity().unit().dimension();
        boolean counted = dimension == Unit.Dimension.COUNT || dimension == Unit.Dimension.LENGTH;
        return counted
                && own.grams
                        .nearest()
                        .filter(HerbMeasure.Nearest.OfPart.class::isInstance)
                        .isPresent();
    }

    private PlannedAddition.Beside beside(Own own, double grams) {
        Addition a = own.addition;
        double asWritten = own.grams.amount().best();
        Optional<KitchenAmount> to = a.open().amountTo().isPresent() && asWritten > 0
                ? Optional.of(KitchenAmount.asWritten(
                        a.open().amountTo().getAsDouble() * grams / asWritten,
                        a.quantity().unit()))
                : Optional.empty();
        double share = request.shareOfAdult().value();
        return new PlannedAddition.Beside(
                usual(own).inCup().map(u -> u.times(share)).filter(u -> u.highG() > 0),
                share,
                a.open().optional(),
                a.open().or().stream()
                        .map(o -> HerbName.of(materia.herb(o.herb(), "herb")))
                        .toList(),
                to);
    }

    /** The dose as the cook's school says it; the grams of the pot stand beside it. */
    private Said said(Own own, double perCupG, HerbMeasure.Kitchen cup) {
        Mass pot = Mass.grams(perCupG * request.cups());
        return switch (request.schools().chosen(Schools.Question.DOSE)) {
            case GRAMS_PER_CUP ->
                new Said.ToVolume(
                        Mass.grams(perCupG * MONOGRAPH_CUP_ML / request.cupMl()),
                        Volume.millilitres(MONOGRAPH_CUP_ML),
                        false);
            case GRAMS_PER_DAY -> new Said.ADay(Mass.grams(perCupG * cupsADay(own)));
            case START_AND_END -> new Said.ToPot(pot, Volume.millilitres(request.liquorMl()));
            case CONCENTRATE ->
                new Said.ToVolume(
                        pot.times(CONCENTRATE_ML / request.liquorMl()), Volume.millilitres(CONCENTRATE_ML), true);
            default -> new Said.ToCup(cup.amount());
        };
    }

    /** Whether a heavy hand with the spoon passes the usual most of a day that the best amount keeps; g in a day. */
    private boolean usualDayCrossed(Own own, double bestG, double heavyG) {
        return usual(own)
                .mostInDay()
                .filter(most -> bestG <= most.value() * (1 + 1e-9) && heavyG > most.value() * (1 + 1e-9))
                .isPresent();
    }

    /** Whether a heavy hand with the spoon makes a usual cup one that is much more. */
    private boolean muchMore(Own own, double perCupG, double heavyG) {
        return usual(own)
                .highestInCup()
                .map(most -> most.value()
                        * SingleDose.MUCH_MORE
                        * request.shareOfAdult().value())
                .filter(much -> perCupG <= much && heavyG > much)
                .isPresent();
    }

    /** What the day's cups hold of each limited constituent, all lines together, mg; all of it is counted. */
    private Map<Constituent, Double> mgInDay(Map<Own, Dose> doses) {
        Map<Constituent, Double> day = new EnumMap<>(Constituent.class);
        doses.forEach((own, dose) -> own.herb.constituents().forEach(c -> {
            double grams = dose.perCupG() * request.cupsADay();
            day.merge(c.constituent(), grams * mgPerG(own, c), Double::sum);
        }));
        return day;
    }

    /** Milligrams that are judged in a gram of a line. */
    private double mgPerG(Own own, Herb.Content content) {
        DailyLimit limit = materia.limits().get(content.constituent());
        return limit == null ? 0 : limit.counting().of(content) * inForm(own, Form.DRIED);
    }

    /**
     * Whether a heavy hand with the spoon passes a constituent's daily limit that the best amounts of all lines keep; grams drunk
     * in a day.
     */
    private boolean limitCrossed(Own own, double grams, double highG, Map<Constituent, Double> day) {
        return own.herb.constituents().stream().anyMatch(c -> {
            DailyLimit limit = materia.limits().get(c.constituent());
            if (limit == null || limit.use().guidance()) {
                return false;
            }
            double most = DayLimits.forDrinker(limit, request.drinker()).value();
            double best = day.getOrDefault(c.constituent(), 0.0);
            return best <= most && best + (highG - grams) * mgPerG(own, c) > most;
        });
    }

    private Prepared prepared(Herb herb, Addition addition) {
        if (addition.spooned().isPresent()) {
            return Prepared.NOT;
        }
        if (!addition.prep().isBlank()) {
            return new Prepared(List.of(addition.prep()), Optional.empty(), Optional.empty(), restS(herb, addition));
        }
        boolean fresh = addition.form() == Form.FRESH;
        boolean broken = addition.cut() == Cut.CRUSHED || addition.cut() == Cut.BRUISED;
        boolean ownWay = broken && !herb.brewing().cutting().isEmpty();
        List<String> steps = new ArrayList<>(fresh ? herb.brewing().prep() : List.of());
        if (ownWay) {
            steps.add(herb.brewing().cutting());
        }
        boolean cuts = !ownWay && addition.cut() != Cut.WHOLE && (fresh || broken);
        return new Prepared(
                steps,
                cuts ? Optional.of(addition.cut()) : Optional.empty(),
                fresh && herb.brewing().skin() ? Optional.of(skin()) : Optional.empty(),
                restS(herb, addition));
    }

    private static double restS(Herb herb, Addition addition) {
        return addition.cut() == Cut.WHOLE
                ? 0
                : herb.brewing().restMinutes().map(r -> r.value() * 60).orElse(0.0);
    }

    private Skin skin() {
        return request.schools().hold(Schools.Choice.PEELED) ? Skin.PEELED : Skin.LEFT_ON;
    }

    /** Which cups it goes into; what is brewed is in all of them. */
    private Addition.Into into(Addition addition) {
        return perCup(addition) ? addition.open().into() : Addition.Into.EACH_CUP;
    }

    /** What goes in once the liquor is off the herbs goes into the cup, and into a batch while it stands in one vessel. */
    boolean perCup(Addition addition) {
        StageKind kind = recipe.stages().get(addition.stage()).kind();
        if (kind == StageKind.STRAIN) {
            return !batch.ends(addition.stage());
        }
        boolean strained = batch.before(addition.stage()).isPresent();
        return !batch.begins(addition.stage()) && (kind == StageKind.FINISH || strained && kind != StageKind.REFILL);
    }
}
