package embercup.core.plan;

import embercup.core.dose.DoseRule;
import embercup.core.materia.Constituent;
import embercup.core.materia.DailyLimit;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The measures of a plan: what a recipe says, turned into grams and kitchen measures for this pot and drinker. */
final class Measures {

    /** The cup of the monographs (source key {@code hmpc}), mL. */
    private static final double MONOGRAPH_CUP_ML = 150;
    /** From this factor on a single dose is a matter of care, not of note (design value). */
    private static final double MUCH_MORE = 1.5;

    private final Materia materia;
    private final PlanRequest request;
    private final HerbMeasure measure;

    Measures(Materia materia, PlanRequest request) {
        this.materia = materia;
        this.request = request;
        this.measure = new HerbMeasure(materia, request.custom());
    }

    /** For the cups, strength and drinker of the request; clipped doses are noted. */
    List<PlannedAddition> planned(List<Caution> notes, Map<String, Workings> workings) {
        Recipe recipe = request.recipe();
        List<PlannedAddition> all = new ArrayList<>();
        double room = room();
        if (request.strength().factor() * request.purpose().factor() > room) {
            notes.add(Caution.of(
                    "shared-room",
                    Severity.NOTE,
                    "A blend shares the room: together its herbs are near one full dose, so that it is lifted only by "
                            + Math.round((room - 1) * 100) + " %.",
                    "practice"));
        }
        for (int i = 0; i < recipe.additions().size(); i++) {
            Addition addition = recipe.additions().get(i);
            Herb herb = materia.herb(addition.herb(), "recipe.additions[" + i + "].herb");
            HerbMeasure.Conversion own = grams(addition, i);
            double ownPerCup = own.amount().best() / recipe.cups() * (request.cupMl() / recipe.cupMl());
            DoseRule.Dose dose =
                    DoseRule.perCup(herb, addition.form(), ownPerCup, perCupWorkings(own, ownPerCup), wish(room));
            if (dose.clipped()) {
                notes.add(Caution.of(
                        "dose-clipped",
                        Severity.CARE,
                        herb.slug(),
                        "%s is cut to %s a cup: at most %s a day."
                                .formatted(herb.common(), Words.grams(dose.perCupG()), Words.grams(dose.mostPerDayG())),
                        herb.mostPerDayG(recipe.tradition(), addition.form())
                                .map(Herb.Sourced::source)
                                .orElse("practice")));
            }
            singleDose(notes, herb, addition, dose);
            PlannedAddition line = line(herb, addition, dose, own);
            all.add(line);
            workings.put(
                    "additions." + i + ".grams",
                    Workings.computed(
                            herb.common() + ", grams",
                            "grams per cup × cups",
                            line.grams(),
                            "g",
                            dose.workings(),
                            Workings.given("cups", request.cups(), "cups")));
        }
        return all;
    }

    /** A cup that holds more of a herb than a usual single dose is told so. */
    private void singleDose(List<Caution> notes, Herb herb, Addition addition, DoseRule.Dose dose) {
        if (request.recipe().menstruum().cold()) {
            return;
        }
        herb.dose(request.recipe().tradition(), addition.form())
                .filter(d -> dose.perCupG() > d.perCupG().high() * (1 + 1e-6))
                .ifPresent(d -> notes.add(Caution.of(
                        "single-dose",
                        dose.perCupG() > d.perCupG().high() * MUCH_MORE ? Severity.CARE : Severity.NOTE,
                        herb.slug(),
                        "%s: a cup holds %s; a usual single dose is at most %s."
                                .formatted(
                                        herb.common(),
                                        Words.grams(dose.perCupG()),
                                        Words.grams(d.perCupG().high())),
                        d.source())));
    }

    /** As the recipe says it, for its own cups: the standard that strength is measured against. */
    List<PlannedAddition> asWritten() {
        List<PlannedAddition> all = new ArrayList<>();
        for (int i = 0; i < request.recipe().additions().size(); i++) {
            Addition a = request.recipe().additions().get(i);
            HerbMeasure.Conversion own = grams(a, i);
            double g = own.amount().best();
            all.add(new PlannedAddition(
                    a.herb(),
                    "",
                    a.form(),
                    a.cut(),
                    a.stage(),
                    perCup(a),
                    "",
                    g,
                    g,
                    g,
                    g / request.recipe().cups(),
                    "",
                    false,
                    "",
                    "",
                    1,
                    own.nearest()));
        }
        return all;
    }

    private HerbMeasure.Conversion grams(Addition addition, int index) {
        String path = "recipe.additions[" + index + "]";
        Herb herb = materia.herb(addition.herb(), path + ".herb");
        return measure.grams(herb, addition.form(), addition.cut(), addition.quantity(), path + ".unit");
    }

    private DoseRule.Wish wish() {
        return wish(Double.POSITIVE_INFINITY);
    }

    /** Room of a blend of herbs with a single dose of their own. */
    private double room() {
        Recipe recipe = request.recipe();
        List<Double> shares = new ArrayList<>();
        for (int i = 0; i < recipe.additions().size(); i++) {
            Addition a = recipe.additions().get(i);
            double perCup = grams(a, i).amount().best() / recipe.cups() * (request.cupMl() / recipe.cupMl());
            materia.herb(a.herb(), "herb")
                    .dose(Tradition.MONOGRAPH, a.form())
                    .filter(d -> d.tradition() == Tradition.MONOGRAPH)
                    .ifPresent(d -> shares.add(perCup / d.perCupG().high()));
        }
        return DoseRule.room(shares);
    }

    private DoseRule.Wish wish(double room) {
        return new DoseRule.Wish(
                request.strength(),
                request.purpose(),
                request.drinker(),
                request.recipe().tradition(),
                request.mostCupsADay(),
                room,
                request.taste());
    }

    private Workings perCupWorkings(HerbMeasure.Conversion own, double ownPerCup) {
        return Workings.computed(
                "recipe's amount per cup",
                "recipe's grams ÷ its cups × cup size ÷ its cup size",
                ownPerCup,
                "g",
                own.workings(),
                Workings.given("recipe's cups", request.recipe().cups(), "cups"),
                Workings.given("cup size", request.cupMl(), "mL"),
                Workings.given("recipe's cup size", request.recipe().cupMl(), "mL"));
    }

    private PlannedAddition line(Herb herb, Addition addition, DoseRule.Dose dose, HerbMeasure.Conversion own) {
        double grams = dose.perCupG() * request.cups();
        HerbMeasure.Kitchen kitchen = measure.kitchen(herb, addition.form(), addition.cut(), grams);
        double low = grams * (1 - kitchen.spread());
        double high = grams * (1 + kitchen.spread());
        double cupsInDay = Math.min(request.mostCupsADay(), DoseRule.cupsADay(herb, addition.form(), wish()));
        boolean crosses =
                high / request.cups() * cupsInDay > dose.mostPerDayG() * (1 + 1e-9) || limitCrossed(herb, grams, high);
        return new PlannedAddition(
                herb.slug(),
                herb.common(),
                addition.form(),
                addition.cut(),
                addition.stage(),
                perCup(addition),
                perCup(addition) ? Finishing.words(herb, request.schools()) : "",
                grams,
                low,
                high,
                dose.perCupG(),
                perCup(addition) ? toEachCup(herb, addition, dose.perCupG()) : kitchen.words(),
                crosses,
                String.join(", ", prep(herb, addition)),
                said(herb, addition, dose.perCupG()),
                1,
                own.nearest());
    }

    private String toEachCup(Herb herb, Addition addition, double perCupG) {
        String words =
                measure.kitchen(herb, addition.form(), addition.cut(), perCupG).words();
        return request.cups() > 1 ? words + " to each cup" : words;
    }

    /** The dose as the cook's school says it; the grams of the pot stand beside it. */
    private String said(Herb herb, Addition addition, double perCupG) {
        double grams = perCupG * request.cups();
        return switch (request.schools().chosen(Schools.Question.DOSE)) {
            case GRAMS_PER_CUP -> Words.grams(perCupG * MONOGRAPH_CUP_ML / request.cupMl()) + " to 150 mL";
            case GRAMS_PER_DAY -> Words.grams(perCupG * DoseRule.cupsADay(herb, addition.form(), wish())) + " a day";
            case START_AND_END ->
                Words.grams(grams) + " to a pot that ends at " + StageWords.millilitres(request.liquorMl());
            case CONCENTRATE -> Words.grams(grams / request.liquorMl() * 100) + " to 100 mL of concentrate";
            default ->
                measure.kitchen(herb, addition.form(), addition.cut(), perCupG).words() + " to a cup";
        };
    }

    /** Whether a heavy hand with the spoon passes a constituent's daily limit that the best amount keeps. */
    private boolean limitCrossed(Herb herb, double grams, double highG) {
        return herb.constituents().stream().anyMatch(c -> {
            DailyLimit limit = materia.limits().get(c.constituent());
            double mg = limit == null || c.constituent() == Constituent.ESTRAGOLE
                    ? Double.POSITIVE_INFINITY
                    : Math.min(
                            limit.mgPerDay(),
                            limit.mgPerKgPerDay() * request.drinker().weightOrAssumedKg());
            return highG * c.mgPerG().best() > mg && grams * c.mgPerG().low() <= mg;
        });
    }

    private List<String> prep(Herb herb, Addition addition) {
        if (!addition.prep().isBlank()) {
            return List.of(addition.prep());
        }
        List<String> words = new ArrayList<>();
        if (addition.form() == embercup.core.materia.Form.FRESH) {
            herb.prep().forEach(p -> words.add(p.replace("peel or leave the skin on", skin())));
            if (herb.prep().stream().noneMatch(p -> p.contains(verb(addition)))) {
                words.add(verb(addition));
            }
        } else {
            switch (addition.cut()) {
                case CRUSHED, BRUISED ->
                    words.add(herb.prep().stream()
                            .filter(p -> p.startsWith("crush") || p.startsWith("split"))
                            .findFirst()
                            .orElse(verb(addition)));
                default -> {}
            }
        }
        words.removeIf(String::isEmpty);
        return words;
    }

    private String skin() {
        return request.schools().hold(Schools.Choice.PEELED) ? "peel" : "leave the skin on";
    }

    private static String verb(Addition addition) {
        return switch (addition.cut()) {
            case WHOLE -> "";
            case SLICED -> "slice thinly";
            case CHOPPED -> "chop";
            case BRUISED -> "bruise";
            case CRUSHED -> "crush";
            case GRATED -> "grate";
            case GROUND -> "grind";
            case PASTE -> "pound to a paste";
        };
    }

    /** What goes in once the liquor is off the herbs goes into the cup. */
    private boolean perCup(Addition addition) {
        List<Stage> stages = request.recipe().stages();
        StageKind kind = stages.get(addition.stage()).kind();
        boolean strainedBefore = stages.subList(0, addition.stage()).stream()
                .map(Stage::kind)
                .reduce((a, b) -> b == StageKind.STRAIN || b == StageKind.REFILL ? b : a)
                .filter(k -> k == StageKind.STRAIN)
                .isPresent();
        return kind == StageKind.FINISH || kind == StageKind.STRAIN || strainedBefore && kind != StageKind.REFILL;
    }
}
