package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.Reckoning;
import embercup.core.brew.StageRun;
import embercup.core.materia.ExtractClass;
import embercup.core.plan.Pour.Solved;
import embercup.core.plan.Pour.Stated;
import embercup.core.recipe.Stage;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The figures of a plan with their workings, by the name of the number. Stateless. */
final class Figures {

    private Figures() {}

    /** Water and times. */
    static void waterAndTimes(Map<String, Workings> all, BrewSetup pot, Pour pour, Reckoning reckoning) {
        BrewResult brew = reckoning.result();
        Workings retained = reckoning.retained();
        Workings evaporated = reckoning.evaporated();
        Optional<Workings> brought = reckoning.brought();
        brought.ifPresent(w -> all.put("water.broughtMl", w));
        all.put("boilingC", pot.kitchen().boiling());
        all.put("water.retainedMl", retained);
        all.put("water.evaporatedMl", evaporated);
        Workings poured;
        Workings yield;
        if (pour instanceof Solved solved) {
            yield = solved.liquor();
            poured = brought.isEmpty()
                    ? Workings.sum(Term.WATER_TO_POUR, "mL", yield, retained, evaporated)
                    : Workings.difference(
                            Term.WATER_TO_POUR,
                            "mL",
                            Workings.sum(Term.LIQUID_IN_ALL, "mL", yield, retained, evaporated),
                            brought.get());
        } else {
            Workings start = ((Stated) pour).start();
            List<Workings> parts = new ArrayList<>(List.of(start));
            for (Stage stage : pot.stages()) {
                if (stage.bringsMl() > 0) {
                    parts.add(Workings.product(
                            Term.FRESH_WATER,
                            "mL",
                            Workings.given(Term.AS_RECIPE_SAYS, stage.bringsMl(), "mL"),
                            Workings.given(Term.TIMES_RECIPE, pot.volumeScale(), "")));
                }
            }
            poured = Workings.sum(Term.WATER_TO_POUR, "mL", parts);
            yield = Workings.difference(Term.STRAINED_LIQUOR, "mL", reckoning.inAll(poured), retained, evaporated);
        }
        all.put("water.yieldMl", yield);
        all.put("water.pourMl", poured);
        if (WaterPlan.reducedMl(pot) > 0) {
            all.put("water.dipMl", dip(pot));
        }
        for (StageRun run : brew.stages()) {
            String key = "stages." + run.index();
            reckoning.heating(run).ifPresent(w -> all.put(key + ".heatS", w));
            reckoning.solvedLength(run).ifPresent(w -> all.put(key + ".properS", w));
        }
        reckoning.honeyAfter().ifPresent(w -> all.put("honeyAfterS", w));
    }

    /** The mark at which a reduction stops: liquor wanted, what the herbs keep that are in by then, the room they take. */
    private static Workings dip(BrewSetup pot) {
        boolean pressed = WaterPlan.pressedAfterMark(pot);
        return Workings.sum(
                Term.MARK_OF_REDUCTION,
                "mL",
                Workings.given(Term.LIQUOR_WANTED, WaterPlan.reducedMl(pot), "mL"),
                Workings.sum(
                        Term.KEPT_BY_HERBS,
                        "mL",
                        WaterPlan.atMark(pot).stream()
                                .map(c -> Workings.product(
                                                Term.KEPT_BY,
                                                "mL",
                                                Workings.given(Term.GRAMS, c.grams(), "g"),
                                                Workings.sourced(
                                                        pressed
                                                                ? Term.KEPT_PER_GRAM_PRESSED
                                                                : Term.KEPT_PER_GRAM_DRAINED,
                                                        c.keptMlPerG(pressed),
                                                        "mL/g",
                                                        "dispensary-water"))
                                        .of(c.common()))
                                .toList()),
                Workings.sum(
                        Term.ROOM_UNDER_WATER,
                        "mL",
                        WaterPlan.atMark(pot).stream()
                                .map(c -> Workings.given(Term.ROOM_OF, c.displacedMl(), "mL")
                                        .of(c.common()))
                                .toList()));
    }

    /** The whole length: prep that comes first, then stage after stage. */
    static Workings total(Prediction predicted) {
        List<Workings> parts = new ArrayList<>();
        parts.add(Workings.given(Term.PREP_FIRST, predicted.timeline().stageStartS() / 60, "min"));
        for (StageRun run : predicted.brew().stages()) {
            parts.add(Workings.given(Term.LENGTH_OF_STAGE, run.durationS() / 60, "min")
                    .of(run.stage().kind().code()));
        }
        return Workings.sum(Term.WHOLE_LENGTH, "min", parts);
    }

    /** All of a plan's figures; the extraction is run again twice, this pot and the recipe's own. */
    static Map<String, Workings> explained(BrewPlan plan) {
        Map<String, Workings> all = new LinkedHashMap<>(plan.workings());
        Reckoning reckoning = Reckoning.of(plan.pot());
        Workings body = reckoning.drawn(ExtractClass.BODY);
        Workings strength = plan.strength() == 0
                ? Workings.given(Term.STRENGTH, 0, "")
                : Workings.quotient(
                                Term.STRENGTH,
                                "",
                                perMl(body, plan.pot(), plan.water().yieldMl()),
                                ownPerMl(plan))
                        .from("spiro");
        all.put("strength", strength);
        Workings share = reckoning.share(ExtractClass.BODY, Term.SHARE_DRAWN);
        Workings band = Band.explained(plan, share);
        Workings half = Workings.product(Term.HALF_WIDTH_OF_STRENGTH, "", strength, band);
        all.put("strengthLow", Workings.difference(Term.STRENGTH_LOW, "", strength, half));
        all.put("strengthHigh", Workings.sum(Term.STRENGTH_HIGH, "", strength, half));
        all.put("aroma", reckoning.share(ExtractClass.AROMA, Term.AROMA_IN_CUP).from("spiro"));
        all.put("bite", reckoning.share(ExtractClass.BITE, Term.BITE_IN_CUP).from("spiro"));
        all.put("leftInHerbs", reckoning.left());
        return Collections.unmodifiableMap(all);
    }

    private static Workings perMl(Workings body, BrewSetup pot, double yieldMl) {
        return Workings.quotient(
                Term.EXTRACT_PER_ML, "g/mL", body, Workings.given(Term.STRAINED_LIQUOR, yieldMl, "mL"));
    }

    private static Workings ownPerMl(BrewPlan plan) {
        Reckoning own = Reckoning.of(plan.standard().own());
        return perMl(
                        own.drawn(ExtractClass.BODY),
                        plan.standard().own(),
                        own.result().yieldMl())
                .as(Term.OWN_EXTRACT_PER_ML);
    }
}
