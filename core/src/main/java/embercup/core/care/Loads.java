package embercup.core.care;

import embercup.core.dose.DayLimits;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.materia.Constituent;
import embercup.core.materia.DailyLimit;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.Content;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.measure.Mass;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.Caution.Against;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Code;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;

/**
 * What a person's day holds of everything that has a limit: the cups of this plan that she drinks that day, and what was
 * before. All of it is counted, strained or not, unless the constituent is known to travel with a class of the extract; of
 * spent herbs what they still hold. Stateless.
 */
final class Loads {

    /** Below this share of its limit a constituent is not worth a word (design value). */
    private static final double WORTH_TELLING = 0.25;
    /** A run of more days is a long use (source key {@code ema-estragole}: two weeks), where a limit names no other. */
    private static final int SHORT_USE_DAYS = 14;

    private final Materia materia;

    Loads(Materia materia) {
        this.materia = materia;
    }

    // ---- what is in the cups

    /** Milligrams of each limited constituent that a person gets in a day from the cups she drinks of a plan that day. */
    Map<Constituent, Workings> contents(BrewPlan plan) {
        return contents(plan, slug -> 1);
    }

    /** The same with each herb so many times: what the cook asked for, of a dose that was cut. */
    private Map<Constituent, Workings> contents(BrewPlan plan, ToDoubleFunction<String> times) {
        Map<Constituent, List<Workings>> parts = new EnumMap<>(Constituent.class);
        List<Optional<Map<ExtractClass, Double>>> drawn = drawn(plan);
        for (int i = 0; i < plan.additions().size(); i++) {
            PlannedAddition addition = plan.additions().get(i);
            for (Content c : materia.herb(addition.herb(), "herb").constituents()) {
                parts.computeIfAbsent(c.constituent(), k -> new ArrayList<>())
                        .add(content(plan, addition, c, drawn.get(i), times.applyAsDouble(addition.herb())));
            }
        }
        Map<Constituent, Workings> all = new EnumMap<>(Constituent.class);
        parts.forEach(
                (c, w) -> all.put(c, Workings.sum(Term.FROM_THIS_POT, "mg", w).of(Code.of(c))));
        return all;
    }

    private Workings content(
            BrewPlan plan,
            PlannedAddition addition,
            Content c,
            Optional<Map<ExtractClass, Double>> drawn,
            double times) {
        Herb herb = materia.herb(addition.herb(), "herb");
        Optional<DailyLimit.Counting> counting =
                Optional.ofNullable(materia.limits().get(c.constituent())).map(DailyLimit::counting);
        List<Workings> factors = new ArrayList<>();
        factors.add(Workings.given(Term.GRAMS, addition.grams() * times, "g"));
        if (addition.form() == Form.FRESH) {
            factors.add(Workings.given(Term.DRIED_SHARE, HerbMeasure.driedShare(materia, herb), ""));
        }
        boolean high = counting.filter(DailyLimit.Counting::high).isPresent();
        factors.add(Workings.sourced(
                high ? Term.HIGHEST_CONTENT : Term.CONTENT,
                high ? c.mgPerG().high() : c.mgPerG().best(),
                "mg/g",
                c.source()));
        counting.filter(x -> c.in() == Herb.In.HERB)
                .flatMap(DailyLimit.Counting::with)
                .ifPresent(with -> drawn.ifPresent(
                        d -> factors.add(Workings.given(Term.SHARE_IN_CUP, Math.min(1, d.getOrDefault(with, 1.0)), "")
                                .of(addition.common()))));
        if (addition.leftShare() < 1) {
            factors.add(Workings.given(Term.LEFT_IN, addition.leftShare(), "").of(addition.common()));
        }
        double drunk = plan.request().shareADay();
        if (drunk != 1) {
            factors.add(Workings.given(Term.DRUNK_IN_A_DAY, drunk, ""));
        }
        return Workings.product(Term.CONTENT_OF, "mg", factors).of(addition.common());
    }

    /**
     * What each addition gives to the liquor by class, 0–1; empty for what is drunk whole: stirred into the cup, or never
     * strained.
     */
    private static List<Optional<Map<ExtractClass, Double>>> drawn(BrewPlan plan) {
        boolean strained = plan.request().recipe().has(StageKind.STRAIN);
        Iterator<Map<ExtractClass, Double>> left = plan.brew().leftInHerbs().iterator();
        List<Optional<Map<ExtractClass, Double>>> all = new ArrayList<>();
        for (PlannedAddition addition : plan.additions()) {
            if (addition.perCup() || !left.hasNext()) {
                all.add(Optional.empty());
                continue;
            }
            Map<ExtractClass, Double> gave = new EnumMap<>(ExtractClass.class);
            left.next().forEach((c, l) -> gave.put(c, 1 - l));
            all.add(strained ? Optional.of(gave) : Optional.empty());
        }
        return all;
    }

    // ---- against the limits

    List<DayLoad> of(BrewPlan plan, History history) {
        return of(plan, history, contents(plan));
    }

    private List<DayLoad> of(BrewPlan plan, History history, Map<Constituent, Workings> contents) {
        List<DayLoad> loads = new ArrayList<>();
        contents.forEach((constituent, pot) -> {
            DailyLimit limit = materia.limits().get(constituent);
            if (limit != null) {
                List<Workings> parts = new ArrayList<>(List.of(pot));
                parts.addAll(earlier(history, constituent));
                Workings day = Workings.sum(Term.IN_THE_DAY, "mg", parts).of(Code.of(constituent));
                Workings most = DayLimits.forDrinker(limit, plan.request().drinker());
                Against against = against(limit, day.value(), most.value(), use(plan, history, limit));
                loads.add(new DayLoad(constituent, day, pot.value(), most, against, limit.source()));
            }
        });
        return loads;
    }

    private static List<Workings> earlier(History history, Constituent constituent) {
        return history.earlier().stream()
                .filter(e -> e.mg().getOrDefault(constituent, 0.0) > 0)
                .map(e -> e.name().isEmpty()
                        ? Workings.given(Term.FROM_REST_OF_DAY, e.mg().get(constituent), "mg")
                        : Workings.given(Term.FROM_EARLIER_BREW, e.mg().get(constituent), "mg")
                                .of(e.name()))
                .toList();
    }

    private static Against against(DailyLimit limit, double mg, double most, Use use) {
        if (!DayLoad.over(mg, most)) {
            return Against.WITHIN;
        }
        if (use == Use.PRESCRIBED) {
            return Against.PRESCRIBED;
        }
        if (limit.use().guidance()) {
            return use == Use.LONG ? Against.LONG_ABOVE_GUIDANCE : Against.ABOVE_GUIDANCE;
        }
        boolean bearable = use == Use.SHORT
                && limit.use()
                        .shortUse()
                        .filter(u -> !DayLoad.over(mg, most * u.times()))
                        .isPresent();
        return bearable ? Against.SHORT_USE : Against.OVER;
    }

    /** For how long a cup is drunk. */
    private enum Use {
        SHORT,
        LONG,
        PRESCRIBED
    }

    /** Long as a tonic, by the days that the recipe says, and by the days behind it; a pot without a schedule is one day's. */
    private Use use(BrewPlan plan, History history, DailyLimit limit) {
        PlanRequest request = plan.request();
        if (request.prescribed()) {
            return Use.PRESCRIBED;
        }
        int days = limit.use().shortUse().map(DailyLimit.ShortUse::days).orElse(SHORT_USE_DAYS);
        OptionalInt on = request.daysOn();
        boolean over = plan.additions().stream()
                .map(a -> materia.herb(a.herb(), "herb"))
                .filter(h -> h.holds(limit.constituent()))
                .anyMatch(h -> history.run(h.slug(), days).days() + on.orElse(1) > days);
        if (over || request.purpose() == Purpose.TONIC) {
            return Use.LONG;
        }
        return Use.SHORT;
    }

    // ---- what was asked for

    /**
     * Doses that were cut and that would be over a limit uncut: less of a herb never stops what more of it does not, so that the
     * cut one is offered and not taken silently.
     */
    List<Caution> askedTooMuch(BrewPlan plan, List<DayLoad> loads, History history) {
        Map<String, Double> asked = askedTimes(plan);
        List<Caution> all = new ArrayList<>();
        double share = plan.request().shareOfAdult().value();
        if (!asked.isEmpty()) {
            all.addAll(tooMuch(plan, loads, history, slug -> asked.getOrDefault(slug, 1.0)));
        }
        if (all.isEmpty() && share > 0 && share < 1) {
            // What is too much for a grown-up is not made small enough for a child.
            BrewPlan grownUps = plan.forRequest(plan.request().withDrinker(Drinker.ADULT));
            all.addAll(tooMuch(grownUps, loads, history, slug -> asked.getOrDefault(slug, 1.0) / share));
        }
        return all;
    }

    private List<Caution> tooMuch(BrewPlan plan, List<DayLoad> loads, History history, ToDoubleFunction<String> times) {
        List<Caution> all = new ArrayList<>();
        for (DayLoad would : of(plan, history, contents(plan, times))) {
            boolean over = loads.stream().anyMatch(l -> l.constituent() == would.constituent() && l.stops());
            if (!would.stops() || over) {
                continue;
            }
            for (PlannedAddition a : plan.additions()) {
                if (materia.herb(a.herb(), "herb").holds(would.constituent()) && a.perCupG() > 0) {
                    all.add(new Caution.AskedTooMuch(
                            a.of().herb(),
                            Mass.grams(a.perCupG() * times.applyAsDouble(a.herb())),
                            Mass.grams(a.perCupG()),
                            would.constituent(),
                            Mass.milligrams(would.mg()),
                            Mass.milligrams(would.limitMg()),
                            would.source()));
                }
            }
        }
        return all.stream().distinct().toList();
    }

    /** How many times what is taken of it was asked for, of each herb whose dose was cut; nothing of one that was cut to none. */
    private static Map<String, Double> askedTimes(BrewPlan plan) {
        Map<String, Double> times = new HashMap<>();
        for (Caution note : plan.notes()) {
            if (note instanceof Caution.DoseClipped c && c.perCup().grams() > 0) {
                c.clip()
                        .ifPresent(clip -> times.put(
                                c.of().slug(), clip.asked().grams() / c.perCup().grams()));
            }
        }
        return times;
    }

    /** Herbs of which a day's cups, as they were asked for, hold what poisons; a child is poisoned by its share of it. */
    List<Caution> harmful(BrewPlan plan) {
        Map<String, Double> dried = new LinkedHashMap<>();
        Map<String, Double> asked = askedTimes(plan);
        for (PlannedAddition a : plan.additions()) {
            Herb herb = materia.herb(a.herb(), "herb");
            double share = a.form() == Form.FRESH ? HerbMeasure.driedShare(materia, herb) : 1;
            double grams = a.grams() * plan.request().shareADay() * share * asked.getOrDefault(a.herb(), 1.0);
            dried.merge(a.herb(), grams, Double::sum);
        }
        List<Caution> all = new ArrayList<>();
        dried.forEach((slug, grams) -> {
            Herb herb = materia.herb(slug, "herb");
            herb.harmful().ifPresent(h -> {
                double from = h.perDayG() * plan.request().shareOfAdult().value();
                if (grams > 0 && grams >= from) {
                    all.add(new Caution.Harmful(
                            HerbName.of(herb), Mass.grams(grams), Mass.grams(from), h.why(), h.source()));
                }
            });
        });
        return all;
    }

    // ---- what is said of them

    List<Caution> cautions(BrewPlan plan, List<DayLoad> loads, History history) {
        List<Caution> all = new ArrayList<>();
        for (DayLoad load : loads) {
            DailyLimit limit = materia.limits().get(load.constituent());
            if (limit == null) {
                continue;
            }
            if (load.worthTelling(WORTH_TELLING)) {
                all.add(dayHolds(load, limit, history));
            }
            double cup = load.planMg() / plan.request().cupsADay();
            DayLimits.atOnce(limit, plan.request().drinker())
                    .filter(most -> DayLoad.over(cup, most.value()))
                    .ifPresent(most -> all.add(new Caution.AtOnce(
                            load.constituent(), Mass.milligrams(cup), Mass.milligrams(most.value()), limit.source())));
        }
        return all;
    }

    private static Caution dayHolds(DayLoad load, DailyLimit limit, History history) {
        List<Caution.Earlier> earlier = history.earlier().stream()
                .filter(e -> !e.name().isEmpty() && e.mg().getOrDefault(load.constituent(), 0.0) > 0)
                .map(e -> new Caution.Earlier(e.name(), e.at(), Mass.milligrams(e.mg().get(load.constituent()))))
                .toList();
        return new Caution.DayHolds(
                load.constituent(),
                Mass.milligrams(load.mg()),
                Mass.milligrams(load.limitMg()),
                load.against(),
                limit.use().shortUse().map(DailyLimit.ShortUse::days).orElse(SHORT_USE_DAYS),
                earlier,
                limit.counting().with().isEmpty(),
                load.source());
    }
}
