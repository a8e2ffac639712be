package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.Differs;
import embercup.core.materia.Herb.Method;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.recipe.Reason.Because;
import embercup.core.recipe.Schools.Choice;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Stages for a recipe that has none, from the plant parts of its herbs and its tradition; every stage says its why.
 * Immutable.
 *
 * @param recipe the recipe with stages, and every addition at the stage where it goes in
 * @param reasons one for each stage that needs one
 */
public record Proposal(Recipe recipe, List<Reason> reasons) {

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
     * @throws embercup.core.workings.InvalidInputException when a herb is not in the materia
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
            together();
        }

        /** Herbs of a blend go in together: one in which hard and tender parts are mixed is infused (common practice, no source). */
        private void together() {
            Map<Integer, Set<Want>> blends = new HashMap<>();
            for (int i = 0; i < wants.size(); i++) {
                Want want = wants.get(i);
                recipe.additions().get(i).spooned().ifPresent(s -> blends.computeIfAbsent(
                                s.line(), line -> EnumSet.noneOf(Want.class))
                        .add(want));
            }
            for (int i = 0; i < wants.size(); i++) {
                Optional<Integer> line = recipe.additions().get(i).spooned().map(Addition.Spooned::line);
                if (line.filter(l -> blends.get(l).size() > 1).isPresent()) {
                    wants.set(i, Want.TENDER);
                }
            }
        }

        private Want want(Herb herb, Addition addition) {
            if (herb.differs(Differs.ACID)) {
                return schools.hold(Choice.WITH_THE_POT) ? Want.HARD : Want.CUP;
            }
            if (herb.part() == PlantPart.PANTRY) {
                return Want.CUP;
            }
            if (herb.differs(Differs.PEPPER)) {
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
                    Because.TINCTURE_STANDS);
            here(Want.HARD, Want.POWDER, Want.TENDER, Want.COLD, Want.LAST);
            add(new Stage.Strain(true), Because.TINCTURE_PRESSED);
        }

        private void maceration() {
            double minutes = minutes(Want.COLD, 60);
            add(new Stage.Macerate(minutes, OptionalDouble.empty(), true), Because.MUCILAGE_COLD, Want.COLD);
            here(Want.COLD);
            strain();
        }

        private void infusion() {
            boolean cold = has(Want.COLD);
            if (cold) {
                soak();
                add(new Stage.Heat(OptionalDouble.of(COOLED_C), Flame.MEDIUM, true), Because.WARMED_NOT_BOILED);
            } else {
                infuse();
                here(Want.TENDER, Want.LAST);
            }
            steepTender(cold);
            strain();
        }

        /** A powder that is drunk with the cup is not strained out of it. */
        private void strain() {
            boolean whole = IntStream.range(0, wants.size())
                    .filter(i -> wants.get(i) != Want.CUP)
                    .allMatch(i -> herb(i).brewing().drunkWhole()
                            && fine(recipe.additions().get(i)));
            if (whole) {
                return;
            }
            add(new Stage.Strain(false));
        }

        private static boolean fine(Addition addition) {
            return addition.cut() == Cut.GROUND || addition.cut() == Cut.PASTE;
        }

        /** Boiling water, or as warm as the school or the tenderest herb has it. */
        private void infuse() {
            OptionalDouble asked = askedC();
            if (schools.hold(Choice.WARM)) {
                add(new Stage.Pour(OptionalDouble.of(WARM_C)), Because.WARM_WATER);
            } else if (asked.isPresent()) {
                add(new Stage.Pour(asked), Because.NOT_BOILING, Want.TENDER);
            } else if (vitaminC()) {
                add(new Stage.Pour(OptionalDouble.of(COOLED_C)), Because.VITAMIN_C);
            } else if (schools.hold(Choice.COOLED)) {
                add(new Stage.Pour(OptionalDouble.of(COOLED_C)), Because.COOLED_A_LITTLE);
            } else {
                add(new Stage.Pour(OptionalDouble.empty()), Because.BOILING_WATER);
            }
        }

        /** The coolest water that one of the tender herbs asks for; empty when none does. */
        private OptionalDouble askedC() {
            return IntStream.range(0, wants.size())
                    .filter(i -> wants.get(i) == Want.TENDER)
                    .mapToObj(this::herb)
                    .flatMapToDouble(h -> h.method().stream().flatMapToDouble(m -> m.waterC().stream()))
                    .min();
        }

        private void soak() {
            add(new Stage.Macerate(COLD_SOAK_MIN, OptionalDouble.empty(), true), Because.SOAKS_COLD_FIRST, Want.COLD);
            here(Want.COLD);
        }

        private void steepTender(boolean puts) {
            add(new Stage.Steep(minutes(Want.TENDER, STEEP_MIN), true), Because.COVERED_FOR_AROMA);
            if (puts) {
                here(Want.TENDER, Want.LAST);
            }
        }

        private void powder() {
            add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true));
            here(Want.POWDER);
            add(new Stage.Boil(POWDER_BOIL_MIN, Flame.MEDIUM, false), Because.POWDER_SOON, Want.POWDER);
            tenderOffTheHeat();
            add(new Stage.Strain(false));
        }

        private void decoction() {
            if (has(Want.COLD)) {
                soak();
            }
            contact(Want.HARD, Want.POWDER);
            fire();
            tenderOffTheHeat();
            add(new Stage.Strain(false));
        }

        /** Water and hard herbs come together. */
        private void contact(Want... herbs) {
            Choice contact = schools.chosen(Schools.Question.FIRST_CONTACT);
            boolean coldStart = contact == Choice.COLD_START;
            OptionalDouble toC = contact == Choice.WARM ? OptionalDouble.of(WARM_C) : OptionalDouble.empty();
            add(new Stage.Heat(toC, Flame.HIGH, true), coldStart ? Because.COLD_START : Because.WATER_FIRST);
            if (coldStart) {
                here(herbs);
            }
        }

        private void fire() {
            boolean late = !schools.hold(Choice.COLD_START);
            double usual = minutes(Want.HARD, SIMMER_MIN);
            switch (schools.chosen(Schools.Question.BOIL)) {
                case NEVER_BOIL ->
                    add(new Stage.Simmer(Math.max(LOW_SIMMER_MIN, usual), Flame.LOW, true), Because.NEVER_BOIL);
                case BOIL_AND_REST -> {
                    add(new Stage.Boil(SHORT_BOIL_MIN, Flame.MEDIUM, true), Because.SHORT_BOIL);
                    if (late) {
                        here(Want.HARD, Want.POWDER);
                        late = false;
                    }
                    add(new Stage.Rest(REST_MIN, true), Because.REST_GOES_ON);
                }
                case LONG_SIMMER ->
                    add(new Stage.Simmer(Math.max(EACH_BOIL_MIN, usual), Flame.LOW, true), Because.LONG_SIMMER);
                default -> add(new Stage.Simmer(usual, Flame.LOW, true), Because.SLOWEST_HERB, Want.HARD);
            }
            if (late) {
                here(Want.HARD, Want.POWDER);
            }
        }

        private void tenderOffTheHeat() {
            if (has(Want.TENDER)) {
                add(new Stage.Steep(minutes(Want.TENDER, STEEP_MIN), true), Because.AROMA_OFF_THE_HEAT, Want.TENDER);
                here(Want.TENDER, Want.LAST);
            } else if (has(Want.LAST)) {
                add(new Stage.Rest(REST_MIN, true), Because.CITRUS_OFF_THE_HEAT);
                here(Want.LAST);
            }
        }

        private void twoBoils() {
            if (has(Want.COLD)) {
                soak();
            }
            contact(Want.HARD, Want.POWDER);
            add(new Stage.Simmer(EACH_BOIL_MIN, Flame.LOW, true), Because.FIRST_BOIL);
            if (!schools.hold(Choice.COLD_START)) {
                here(Want.HARD, Want.POWDER);
            }
            add(new Stage.Strain(false));
            add(new Stage.Refill(recipe.statedYieldMl()), Because.FRESH_WATER);
            boolean tender = has(Want.TENDER) || has(Want.LAST);
            add(
                    new Stage.Simmer(tender ? EACH_BOIL_MIN - LAST_MINUTES : EACH_BOIL_MIN, Flame.LOW, true),
                    Because.SECOND_BOIL);
            if (tender) {
                add(new Stage.Simmer(LAST_MINUTES, Flame.LOW, true), Because.LAST_FIVE_MINUTES, Want.TENDER, Want.LAST);
                here(Want.TENDER, Want.LAST);
            }
            add(new Stage.Strain(false));
            add(new Stage.Combine(), Because.LIQUORS_UNITED);
        }

        private void reduction() {
            if (has(Want.COLD)) {
                soak();
            }
            contact(Want.HARD, Want.POWDER);
            add(new Stage.Reduce(recipe.statedYieldMl(), Flame.MEDIUM, false), Because.BOILED_DOWN);
            if (!schools.hold(Choice.COLD_START)) {
                here(Want.HARD, Want.POWDER);
            }
            if (has(Want.TENDER)) {
                add(new Stage.Rest(LAST_MINUTE, true), Because.LAST_MINUTE, Want.TENDER);
                here(Want.TENDER, Want.LAST);
            } else {
                tenderOffTheHeat();
            }
            add(new Stage.Strain(false));
        }

        private void finish() {
            if (has(Want.CUP)) {
                add(new Stage.Finish(), Because.INTO_THE_CUP, Want.CUP);
                here(Want.CUP);
            }
        }

        // ---- the parts

        private void add(Stage stage) {
            stages.add(stage);
        }

        /** @param about herbs that want one of these are named */
        private void add(Stage stage, Because why, Want... about) {
            reasons.add(Reason.of(stages.size(), why, names(about)));
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

        private List<HerbName> names(Want... which) {
            return IntStream.range(0, wants.size())
                    .filter(i -> List.of(which).contains(wants.get(i)))
                    .mapToObj(i -> HerbName.of(herb(i)))
                    .toList();
        }
    }
}
