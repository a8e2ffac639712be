package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.Charge;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What the pot itself has to say: too small, too shallow, dry, or a recipe that contradicts itself. */
final class PotNotes {

    /** Two statements of a recipe that differ by more than this contradict each other (design value). */
    private static final double CONTRADICTION = 0.15;
    /** Herbs are to be covered by at least this, cm (common practice, no source). */
    private static final double COVER_CM = 1;

    private PotNotes() {}

    static List<Caution> of(Materia materia, PlanRequest request, BrewSetup setup, BrewResult brew, WaterPlan water) {
        List<Caution> notes = new ArrayList<>();
        vessel(notes, setup, water);
        if (brew.ranDry()) {
            notes.add(Caution.of(
                    "boils-dry",
                    Severity.STOP,
                    "The pot would boil dry: pour more water, turn the flame down or put the lid on.",
                    "kitchen-heat"));
        }
        if (brew.neverBoils()) {
            notes.add(Caution.of(
                    "never-boils",
                    Severity.CARE,
                    "This flame is too small to bring it to the boil: turn it up, put the lid on, or take a larger burner.",
                    "kitchen-heat"));
        }
        contradictions(notes, request, brew);
        colours(notes, materia, request.recipe());
        Finishing.notes(notes, materia, request.recipe(), brew.stages());
        return notes;
    }

    /** A liquor that turns its colour with acid is not spoilt. */
    private static void colours(List<Caution> notes, Materia materia, Recipe recipe) {
        List<Herb> herbs = recipe.additions().stream()
                .flatMap(a -> materia.find(a.herb()).stream())
                .toList();
        Optional<Herb> sour = herbs.stream().filter(Herb::sour).findFirst();
        herbs.stream().filter(h -> h.withAcid().isPresent()).findFirst().ifPresent(herb -> {
            Herb.ColourTurn turn = herb.withAcid().get();
            String colours = "turns from %s to %s".formatted(turn.from(), turn.to());
            String text = sour.map(s -> "The cup %s as the %s comes to it: that is the acid, not a fault."
                            .formatted(colours, s.common().toLowerCase(Locale.ROOT)))
                    .orElse("With lemon or lime the cup %s: that is the acid, not a fault.".formatted(colours));
            notes.add(Caution.of("acid-turn", Severity.NOTE, text, turn.source()));
        });
    }

    private static void vessel(List<Caution> notes, BrewSetup setup, WaterPlan water) {
        Vessel vessel = setup.vessel();
        double displaced =
                setup.charges().stream().mapToDouble(Charge::displacedMl).sum();
        double full = water.startMl() + displaced;
        if (full > vessel.mostMl()) {
            notes.add(Caution.of(
                    "vessel-too-small",
                    full > vessel.brimMl() ? Severity.STOP : Severity.CARE,
                    String.format(
                            Locale.ROOT,
                            "The %s takes %d mL at most; this needs %d mL. Take a larger one or make fewer cups.",
                            vessel.name(),
                            Math.round(vessel.mostMl()),
                            Math.round(full)),
                    "practice"));
        }
        double bed = setup.charges().stream()
                .mapToDouble(c -> c.keptMl(false) + c.displacedMl())
                .sum();
        double cover = vessel.levelCm(full) - vessel.levelCm(bed);
        if (cover < COVER_CM) {
            notes.add(Caution.of(
                    "herbs-not-covered",
                    Severity.NOTE,
                    String.format(
                            Locale.ROOT,
                            "The %s is wide for so little: the herbs are covered by only %.1f cm. A narrower one is better.",
                            vessel.name(),
                            Math.max(0, cover)),
                    "practice"));
        }
    }

    private static void contradictions(List<Caution> notes, PlanRequest request, BrewResult brew) {
        Recipe recipe = request.recipe();
        double stated = recipe.statedYieldMl();
        Planner.lastReduction(recipe).filter(r -> !recipe.has(StageKind.REFILL)).ifPresent(r -> {
            if (differ(r.toMl(), stated)) {
                notes.add(contradiction(
                        "The recipe says %s cups of %s (%s), but its reduction stops at %s.",
                        recipe, stated, r.toMl()));
            }
        });
        if (recipe.pourMl().isPresent()
                && !recipe.has(StageKind.REDUCE)
                && request.measured().none()) {
            double scale = request.liquorMl() / stated;
            double own = brew.yieldMl() / scale;
            if (differ(own, stated)) {
                notes.add(contradiction(
                        "The recipe says %s cups of %s (%s), but its water leaves %s.", recipe, stated, own));
            }
        }
    }

    private static Caution contradiction(String format, Recipe recipe, double stated, double other) {
        String cups = recipe.cups() == Math.rint(recipe.cups()) ? "" + (long) recipe.cups() : "" + recipe.cups();
        String text = String.format(
                        Locale.ROOT,
                        format,
                        cups,
                        StageWords.millilitres(recipe.cupMl()),
                        StageWords.millilitres(stated),
                        StageWords.millilitres(other))
                + " Decide which one is meant.";
        return Caution.of("recipe-contradicts-itself", Severity.CARE, text, "practice");
    }

    private static boolean differ(double a, double b) {
        return Math.abs(a - b) > CONTRADICTION * Math.max(a, b);
    }
}
