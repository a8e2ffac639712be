package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.Method;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.recipe.Schools.Choice;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * Stages for a recipe that has none, from the plant parts of its herbs and its tradition; every stage says its why.
 * Immutable.
 *
 * @param recipe the recipe with stages, and every addition at the stage where it goes in
 * @param reasons one for each stage that needs one
 */
public record Proposal(Recipe recipe, List<Reason> reasons) {

    /** Why a stage is there; {@code source} is a key of the materia's sources. */
    public record Reason(int stage, String text, String source) {}

    /** Steeping of a tender part, simmering of a hard one whose herb names none, min (common practice, no source). */
    private static final double STEEP_MIN = 10;

    private static final double SIMMER_MIN = 20;
    /** Boil and rest: five and five minutes; a pot that never boils: ten at a low simmer (common practice, no source). */
    private static final double SHORT_BOIL_MIN = 5;

    private static final double REST_MIN = 5;
    private static final double LOW_SIMMER_MIN = 10;
    /** Ground bark or root: two minutes at the boil (common practice, no source). */
    private static final double POWDER_BOIL_MIN = 2;
    /** Each boil of a two-boil decoction, and the tender leaves' share at its end, min (common practice, no source). */
    private static final double EACH_BOIL_MIN = 40;

    private static final double LAST_MINUTES = 5;
    /** Tender leaves in a reduced pot: the last minute (common practice, no source). */
    private static final double LAST_MINUTE = 1;
    /** Vitamin C and mucilage do not like a boil, °C (common practice, no source). */
    private static final double COOLED_C = 85;

    private static final double WARM_C = 50;
    private static final double COLD_SOAK_MIN = 30;
    /** A tincture stands four to six weeks (common practice, no source), days. */
    private static final double TINCTURE_DAYS = 35;

    private static final double MINUTES_A_DAY = 24 * 60;
    /** From this share on a herb counts as one for its vitamin C, relative to its body. */
    private static final double RICH_IN_VITAMIN_C = 0.35;

    public Proposal {
        reasons = List.copyOf(reasons);
    }

    /**
     * @param recipe its stages and the stages of its additions are not looked at
     * @throws embercup.core.workings.InvalidInput when a herb is not in the materia
     */
    public static Proposal of(Materia materia, Recipe recipe, Schools schools) {
        return new Building(materia, recipe, schools).proposal();
    }

    /** How a herb wants to be treated. */
    private enum Want {
        HARD,
        POWDER,
        TENDER,
        COLD,
        LAST,
        CUP
    }

    /** One proposal in the making; mutable, used once. */
    private static final class Building {

        private final Materia materia;
        private final Recipe recipe;
        private final Schools schools;
        private final List<Want> wants = new ArrayList<>();
        private final List<Integer> at;
        private final List<Stage> stages = new ArrayList<>();
        private final List<Reason> reasons = new ArrayList<>();

        Building(Materia materia, Recipe recipe, Schools schools) {
            this.materia = materia;
            this.recipe = recipe;
            this.schools = schools;
            this.at = new ArrayList<>(Collections.nCopies(recipe.additions().size(), 0));
            for (int i = 0; i < recipe.additions().size(); i++) {
                Addition a = recipe.additions().get(i);
                wants.add(want(materia.herb(a.herb(), "recipe.additions[" + i + "].herb"), a));
            }
        }

        private Want want(Herb herb, Addition addition) {
            boolean pepper = herb.slug().endsWith("-pepper");
            if (herb.sour() && herb.part() == PlantPart.PANTRY) {
                return schools.hold(Choice.WITH_THE_POT) ? Want.HARD : Want.CUP;
            }
            if (herb.part() == PlantPart.PANTRY) {
                return Want.CUP;
            }
            if (pepper) {
                return schools.hold(Choice.PEPPER_AFTER) ? Want.CUP : Want.HARD;
            }
            if (herb.part() == PlantPart.PEEL && addition.form() == Form.FRESH) {
                return Want.LAST;
            }
            Method method = herb.method()
                    .map(Herb.UsualMethod::method)
                    .orElse(herb.part().hard() ? Method.DECOCTION : Method.INFUSION);
            boolean powder = addition.cut() == Cut.GROUND || addition.cut() == Cut.PASTE;
            return switch (method) {
                case MACERATION -> Want.COLD;
                case INFUSION -> Want.TENDER;
                case DECOCTION -> powder ? Want.POWDER : Want.HARD;
            };
        }

        Proposal proposal() {
            if (recipe.menstruum().cold()) {
                tincture();
            } else if (has(Want.HARD)) {
                switch (recipe.tradition()) {
                    case CHINESE -> twoBoils();
                    case AYURVEDIC -> reduction();
                    default -> decoction();
                }
            } else if (has(Want.POWDER)) {
                powder();
            } else if (has(Want.TENDER) || has(Want.LAST)) {
                infusion();
            } else {
                maceration();
            }
            finish();
            List<Addition> placed = new ArrayList<>();
            for (int i = 0; i < at.size(); i++) {
                placed.add(recipe.additions().get(i).at(at.get(i)));
            }
            return new Proposal(recipe.withStages(stages).withAdditions(placed), reasons);
        }

        // ---- the methods

        private void tincture() {
            add(
                    new Stage.Macerate(TINCTURE_DAYS * MINUTES_A_DAY, OptionalDouble.empty(), true),
                    "A tincture stands four to six weeks under its menstruum, shaken once a day.");
            here(Want.HARD, Want.POWDER, Want.TENDER, Want.COLD, Want.LAST);
            add(new Stage.Strain(true), "Pressed: much of the tincture is in the marc.");
        }

        private void maceration() {
            double minutes = minutes(Want.COLD, 60);
            add(
                    new Stage.Macerate(minutes, OptionalDouble.empty(), true),
                    names(Want.COLD) + " gives its mucilage best to cold water; heat thins it.");
            here(Want.COLD);
            add(new Stage.Strain(false), "");
        }

        private void infusion() {
            boolean cold = has(Want.COLD);
            if (cold) {
                soak();
                add(
                        new Stage.Heat(OptionalDouble.of(COOLED_C), Flame.MEDIUM, true),
                        "Warmed, not boiled, for what has soaked and for the tender parts.");
            } else {
                boolean cooled = schools.hold(Choice.COOLED) || vitaminC();
                String why = schools.hold(Choice.WARM)
                        ? "Warm water, as your school has it."
                        : cooled
                                ? vitaminC()
                                        ? "At 85 °C: vitamin C goes in boiling water."
                                        : "Boiled and cooled a little, as your school has it."
                                : "Boiling water on tender parts draws them quickly.";
                double toC = schools.hold(Choice.WARM) ? WARM_C : COOLED_C;
                add(
                        new Stage.Pour(
                                cooled || schools.hold(Choice.WARM) ? OptionalDouble.of(toC) : OptionalDouble.empty()),
                        why);
                here(Want.TENDER, Want.LAST);
            }
            steepTender(cold);
            add(new Stage.Strain(false), "");
        }

        private void soak() {
            add(
                    new Stage.Macerate(COLD_SOAK_MIN, OptionalDouble.empty(), true),
                    names(Want.COLD) + " soaks cold first: mucilage comes best without heat.");
            here(Want.COLD);
        }

        private void steepTender(boolean puts) {
            add(
                    new Stage.Steep(minutes(Want.TENDER, STEEP_MIN), true),
                    "Covered, so that the aroma stays; as long as the slowest tender herb wants.");
            if (puts) {
                here(Want.TENDER, Want.LAST);
            }
        }

        private void powder() {
            add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true), "");
            here(Want.POWDER);
            add(
                    new Stage.Boil(POWDER_BOIL_MIN, Flame.MEDIUM, false),
                    "Ground " + names(Want.POWDER).toLowerCase(Locale.ROOT) + " gives itself in two minutes.");
            tenderOffTheHeat();
            add(new Stage.Strain(false), "");
        }

        private void decoction() {
            if (has(Want.COLD)) {
                soak();
            }
            contact(Want.HARD, Want.POWDER);
            fire();
            tenderOffTheHeat();
            add(new Stage.Strain(false), "");
        }

        /** Water and hard herbs come together. */
        private void contact(Want... herbs) {
            Choice contact = schools.chosen(Schools.Question.FIRST_CONTACT);
            boolean coldStart = contact == Choice.COLD_START;
            OptionalDouble toC = contact == Choice.WARM ? OptionalDouble.of(WARM_C) : OptionalDouble.empty();
            add(
                    new Stage.Heat(toC, Flame.HIGH, true),
                    coldStart
                            ? "Hard parts start in cold water and warm up with it: they open slowly."
                            : "Water first, herbs after, as your school has it.");
            if (coldStart) {
                here(herbs);
            }
        }

        private void fire() {
            boolean late = !schools.hold(Choice.COLD_START);
            double usual = minutes(Want.HARD, SIMMER_MIN);
            switch (schools.chosen(Schools.Question.BOIL)) {
                case NEVER_BOIL ->
                    add(
                            new Stage.Simmer(Math.max(LOW_SIMMER_MIN, usual), Flame.LOW, true),
                            "A low simmer, never a boil, as your school has it.");
                case BOIL_AND_REST -> {
                    add(
                            new Stage.Boil(SHORT_BOIL_MIN, Flame.MEDIUM, true),
                            "A short boil, then rest, as your school has it.");
                    if (late) {
                        here(Want.HARD, Want.POWDER);
                        late = false;
                    }
                    add(new Stage.Rest(REST_MIN, true), "It goes on giving while it rests.");
                }
                case LONG_SIMMER ->
                    add(
                            new Stage.Simmer(Math.max(EACH_BOIL_MIN, usual), Flame.LOW, true),
                            "A long simmer, as your school has it.");
                default ->
                    add(
                            new Stage.Simmer(usual, Flame.LOW, true),
                            "As long as the slowest hard herb wants: "
                                    + names(Want.HARD).toLowerCase(Locale.ROOT) + ".");
            }
            if (late) {
                here(Want.HARD, Want.POWDER);
            }
        }

        private void tenderOffTheHeat() {
            if (has(Want.TENDER)) {
                add(
                        new Stage.Steep(minutes(Want.TENDER, STEEP_MIN), true),
                        names(Want.TENDER) + " would lose its aroma at a boil: in after the flame is off, covered.");
                here(Want.TENDER, Want.LAST);
            } else if (has(Want.LAST)) {
                add(new Stage.Rest(REST_MIN, true), "Citrus peel goes in after the flame is off.");
                here(Want.LAST);
            }
        }

        private void twoBoils() {
            if (has(Want.COLD)) {
                soak();
            }
            contact(Want.HARD, Want.POWDER);
            add(new Stage.Simmer(EACH_BOIL_MIN, Flame.LOW, true), "First boil of two, forty minutes each.");
            if (!schools.hold(Choice.COLD_START)) {
                here(Want.HARD, Want.POWDER);
            }
            add(new Stage.Strain(false), "");
            add(
                    new Stage.Refill(recipe.statedYieldMl()),
                    "Fresh water: the first liquor is full, new water draws what is left.");
            boolean tender = has(Want.TENDER) || has(Want.LAST);
            add(
                    new Stage.Simmer(tender ? EACH_BOIL_MIN - LAST_MINUTES : EACH_BOIL_MIN, Flame.LOW, true),
                    "Second boil of the same herbs.");
            if (tender) {
                add(
                        new Stage.Simmer(LAST_MINUTES, Flame.LOW, true),
                        names(Want.TENDER, Want.LAST) + " goes in for the last five minutes.");
                here(Want.TENDER, Want.LAST);
            }
            add(new Stage.Strain(false), "");
            add(new Stage.Combine(), "Both liquors united, then divided into the cups of the day.");
        }

        private void reduction() {
            if (has(Want.COLD)) {
                soak();
            }
            contact(Want.HARD, Want.POWDER);
            add(
                    new Stage.Reduce(recipe.statedYieldMl(), Flame.MEDIUM, false),
                    "Boiled down to the volume the recipe ends with: the volume is the clock.");
            if (!schools.hold(Choice.COLD_START)) {
                here(Want.HARD, Want.POWDER);
            }
            if (has(Want.TENDER)) {
                add(new Stage.Rest(LAST_MINUTE, true), names(Want.TENDER) + " goes in for the last minute only.");
                here(Want.TENDER, Want.LAST);
            } else {
                tenderOffTheHeat();
            }
            add(new Stage.Strain(false), "");
        }

        private void finish() {
            if (has(Want.CUP)) {
                add(new Stage.Finish(), names(Want.CUP) + " goes into each cup, not into the pot.");
                here(Want.CUP);
            }
        }

        // ---- the parts

        private void add(Stage stage, String why) {
            if (!why.isEmpty()) {
                reasons.add(new Reason(stages.size(), why, "practice"));
            }
            stages.add(stage);
        }

        /** What wants this goes in at the stage added last. */
        private void here(Want... herbs) {
            for (int i = 0; i < wants.size(); i++) {
                if (List.of(herbs).contains(wants.get(i))) {
                    at.set(i, stages.size() - 1);
                }
            }
        }

        private boolean has(Want want) {
            return wants.contains(want);
        }

        private double minutes(Want want, double otherwise) {
            double most = 0;
            for (int i = 0; i < wants.size(); i++) {
                if (wants.get(i) == want) {
                    double own = herb(i).method().map(Herb.UsualMethod::minutes).orElse(otherwise);
                    most = Math.max(most, own);
                }
            }
            return most == 0 ? otherwise : most;
        }

        private boolean vitaminC() {
            for (int i = 0; i < wants.size(); i++) {
                Herb herb = herb(i);
                double holds = materia.part(herb.part()).holds(ExtractClass.VITAMIN_C)
                        * herb.gives().amount(ExtractClass.VITAMIN_C);
                if (wants.get(i) == Want.TENDER && holds >= RICH_IN_VITAMIN_C) {
                    return true;
                }
            }
            return false;
        }

        private Herb herb(int addition) {
            return materia.herb(recipe.additions().get(addition).herb(), "herb");
        }

        private String names(Want... which) {
            List<String> names = new ArrayList<>();
            for (int i = 0; i < wants.size(); i++) {
                if (List.of(which).contains(wants.get(i))) {
                    String name = herb(i).common();
                    names.add(names.isEmpty() ? name : name.toLowerCase(Locale.ROOT));
                }
            }
            int last = names.size() - 1;
            return last <= 0
                    ? String.join("", names)
                    : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
        }
    }
}
