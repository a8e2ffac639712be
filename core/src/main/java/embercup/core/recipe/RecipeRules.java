package embercup.core.recipe;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.workings.InvalidInput;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** Whether a recipe can be brewed at all; every complaint names its field. */
public final class RecipeRules {

    public static final int MOST_ADDITIONS = 60;
    public static final int MOST_STAGES = 40;
    public static final double FEWEST_CUPS = 1;
    public static final double MOST_CUPS = 40;
    public static final double SMALLEST_CUP_ML = 30;
    public static final double LARGEST_CUP_ML = 1000;
    public static final int LONGEST_NAME = 120;
    public static final int LONGEST_PREP = 80;
    /** Nobody puts more than this of one herb into a kitchen pot, g. */
    public static final double MOST_GRAMS = 5000;
    /** A pot, a bucket: nothing larger stands on a kitchen stove, mL. */
    public static final double MOST_ML = 60_000;
    /** Ten weeks: the longest tincture, min. */
    public static final double MOST_MINUTES = 70 * 24 * 60;

    /** Parts of water to one of a concentrate. */
    public static final double MOST_DILUTION = 20;
    /** Spirit cannot be stronger by distilling, % by volume. */
    public static final double STRONGEST_SPIRIT_PERCENT = 96;

    private final Materia materia;
    private final MeasureCustom custom;

    public RecipeRules(Materia materia, MeasureCustom custom) {
        this.materia = materia;
        this.custom = custom;
    }

    /**
     * @param path prefix of the field names, for example {@code "recipe"}
     * @throws InvalidInput with every violation found
     */
    public void check(Recipe recipe, String path) {
        InvalidInput.Check check = new InvalidInput.Check();
        head(check, recipe, path);
        int stages = recipe.stages().size();
        if (check.require(
                stages >= 1 && stages <= MOST_STAGES,
                path + ".stages",
                stages + " stages",
                "1 to " + MOST_STAGES + " stages")) {
            stages(check, recipe.stages(), path + ".stages");
            menstruum(check, recipe, path);
        }
        for (int i = 0; i < recipe.additions().size(); i++) {
            Addition addition = recipe.additions().get(i);
            String at = path + ".additions[" + i + "]";
            check.require(
                    addition.stage() >= 0 && addition.stage() < stages,
                    at + ".stage",
                    addition.stage(),
                    stages == 0
                            ? "a stage of the recipe, which has none"
                            : "the index of a stage of this recipe, 0 to " + (stages - 1));
            addition(check, addition, at);
        }
        check.throwIfAny();
    }

    /**
     * Everything but the stages: for a recipe whose stages are still to be proposed.
     *
     * @throws InvalidInput with every violation found
     */
    public void checkHerbs(Recipe recipe, String path) {
        InvalidInput.Check check = new InvalidInput.Check();
        head(check, recipe, path);
        for (int i = 0; i < recipe.additions().size(); i++) {
            addition(check, recipe.additions().get(i), path + ".additions[" + i + "]");
        }
        check.throwIfAny();
    }

    /** Nothing but water stands on a flame. */
    private static void menstruum(InvalidInput.Check check, Recipe recipe, String path) {
        if (!recipe.menstruum().cold()) {
            return;
        }
        for (int i = 0; i < recipe.stages().size(); i++) {
            StageKind kind = recipe.stages().get(i).kind();
            check.require(
                    COLD.contains(kind),
                    path + ".stages[" + i + "].kind",
                    kind.code(),
                    "no heat under " + recipe.menstruum().words() + ": macerate, strain, combine or finish");
        }
    }

    private static final Set<StageKind> COLD =
            EnumSet.of(StageKind.MACERATE, StageKind.STRAIN, StageKind.COMBINE, StageKind.FINISH);

    private static void head(InvalidInput.Check check, Recipe recipe, String path) {
        String name = recipe.name().strip();
        check.require(
                !name.isEmpty() && name.length() <= LONGEST_NAME,
                path + ".name",
                recipe.name().length() > LONGEST_NAME ? recipe.name().length() + " characters" : recipe.name(),
                "a name of 1 to " + LONGEST_NAME + " characters");
        check.range(path + ".cups", recipe.cups(), FEWEST_CUPS, MOST_CUPS, "cups");
        check.range(path + ".cupMl", recipe.cupMl(), SMALLEST_CUP_ML, LARGEST_CUP_ML, "mL");
        recipe.pourMl().ifPresent(ml -> check.range(path + ".pourMl", ml, 10, MOST_ML, "mL"));
        int additions = recipe.additions().size();
        check.require(
                additions >= 1 && additions <= MOST_ADDITIONS,
                path + ".additions",
                additions + " additions",
                "1 to " + MOST_ADDITIONS + " additions");
        check.range(path + ".dilutionParts", recipe.dilutionParts(), 0, MOST_DILUTION, "parts of water");
        recipe.posology().ifPresent(p -> posology(check, p, path + ".posology"));
        double alcohol = recipe.menstruum().alcoholPercent();
        check.require(
                recipe.menstruum().kind() == Menstruum.Kind.SPIRIT
                        ? alcohol >= Menstruum.KEEPS_FROM_PERCENT && alcohol <= STRONGEST_SPIRIT_PERCENT
                        : alcohol == 0,
                path + ".alcoholPercent",
                alcohol,
                "25 to 96 % for a spirit, in which a tincture keeps; 0 for anything else");
    }

    private static void posology(InvalidInput.Check check, Posology posology, String path) {
        check.range(path + ".cupsADay", posology.cupsADay(), Posology.FEWEST_CUPS, Posology.MOST_CUPS, "cups");
        posology.daysOn().ifPresent(d -> check.range(path + ".daysOn", d, 1, Posology.MOST_DAYS, "days"));
        check.range(path + ".daysOff", posology.daysOff(), 0, Posology.MOST_DAYS, "days");
        check.require(
                posology.daysOff() == 0 || posology.daysOn().isPresent(),
                path + ".daysOn",
                "",
                "days in a row before the days off");
    }

    private void addition(InvalidInput.Check check, Addition addition, String path) {
        check.require(
                addition.prep().length() <= LONGEST_PREP,
                path + ".prep",
                addition.prep().length() + " characters",
                "at most " + LONGEST_PREP + " characters");
        Optional<Herb> herb = materia.find(addition.herb());
        if (herb.isEmpty()) {
            check.require(false, path + ".herb", addition.herb(), materia.unknownHerb(addition.herb()));
            return;
        }
        try {
            double grams = new HerbMeasure(materia, custom)
                    .grams(herb.get(), addition.form(), addition.cut(), addition.quantity(), path + ".unit")
                    .amount()
                    .best();
            check.require(
                    grams <= MOST_GRAMS,
                    path + ".amount",
                    addition.quantity(),
                    "at most " + (int) MOST_GRAMS + " g of one herb; this is " + Math.round(grams) + " g");
        } catch (InvalidInput e) {
            check.addAll(e.violations());
        }
    }

    private static void stages(InvalidInput.Check check, List<Stage> stages, String path) {
        boolean strained = false;
        boolean refilled = false;
        for (int i = 0; i < stages.size(); i++) {
            String at = path + "[" + i + "]";
            Stage stage = stages.get(i);
            stage.accept(new StageLimits(check, at));
            StageKind kind = stage.kind();
            if (kind == StageKind.REFILL) {
                check.require(
                        strained, at + ".kind", "refill", "a refill after a strain: the first liquor comes off first");
            } else if (kind == StageKind.COMBINE) {
                check.require(refilled && strained, at + ".kind", "combine", "a combine after a refill and its strain");
            } else if (kind == StageKind.FINISH) {
                check.require(
                        stages.subList(i, stages.size()).stream().allMatch(s -> AFTER_FINISH.contains(s.kind())),
                        at + ".kind",
                        "finish",
                        "finish at the end: after it only cool and another finish");
            } else if (strained) {
                check.require(
                        AFTER_STRAIN.contains(kind),
                        at + ".kind",
                        kind.code(),
                        "after the strain only combine, cool, rest, refill or finish");
            }
            refilled |= kind == StageKind.REFILL;
            strained = kind == StageKind.STRAIN || (strained && kind != StageKind.REFILL);
        }
        check.require(
                stages.stream().anyMatch(s -> WET.contains(s.kind())),
                path,
                "no stage in which the herbs give",
                "at least one of boil, simmer, reduce, steep, macerate, rest");
    }

    private static final Set<StageKind> AFTER_FINISH = EnumSet.of(StageKind.FINISH, StageKind.COOL);

    private static final Set<StageKind> AFTER_STRAIN =
            EnumSet.of(StageKind.COMBINE, StageKind.COOL, StageKind.REST, StageKind.REFILL, StageKind.FINISH);

    /** Stages in which the herbs give. */
    static final Set<StageKind> WET = EnumSet.of(
            StageKind.BOIL, StageKind.SIMMER, StageKind.REDUCE, StageKind.STEEP, StageKind.MACERATE, StageKind.REST);

    /** The numbers of one stage against what a kitchen can do. */
    private record StageLimits(InvalidInput.Check check, String at) implements Stage.Visitor<Boolean> {

        private static final double A_DAY = 24 * 60;

        private boolean minutes(double minutes, double most) {
            return check.range(at + ".minutes", minutes, 0.1, most, "min");
        }

        private boolean celsius(OptionalDouble toC, double low, double high) {
            return toC.isEmpty() || check.range(at + ".toC", toC.getAsDouble(), low, high, "°C");
        }

        private boolean millilitres(double toMl) {
            return check.range(at + ".toMl", toMl, 10, MOST_ML, "mL");
        }

        @Override
        public Boolean heat(Stage.Heat stage) {
            return celsius(stage.toC(), 20, 105);
        }

        @Override
        public Boolean pour(Stage.Pour stage) {
            return celsius(stage.toC(), 20, 100);
        }

        @Override
        public Boolean boil(Stage.Boil stage) {
            return minutes(stage.minutes(), A_DAY);
        }

        @Override
        public Boolean simmer(Stage.Simmer stage) {
            return minutes(stage.minutes(), A_DAY);
        }

        @Override
        public Boolean reduce(Stage.Reduce stage) {
            return millilitres(stage.toMl());
        }

        @Override
        public Boolean steep(Stage.Steep stage) {
            return minutes(stage.minutes(), MOST_MINUTES);
        }

        @Override
        public Boolean macerate(Stage.Macerate stage) {
            return minutes(stage.minutes(), MOST_MINUTES) && celsius(stage.toC(), 0, 95);
        }

        @Override
        public Boolean rest(Stage.Rest stage) {
            return minutes(stage.minutes(), MOST_MINUTES);
        }

        @Override
        public Boolean cool(Stage.Cool stage) {
            return celsius(OptionalDouble.of(stage.toC()), 5, 95);
        }

        @Override
        public Boolean refill(Stage.Refill stage) {
            return millilitres(stage.toMl());
        }

        @Override
        public Boolean strain(Stage.Strain stage) {
            return true;
        }

        @Override
        public Boolean combine(Stage.Combine stage) {
            return true;
        }

        @Override
        public Boolean finish(Stage.Finish stage) {
            return true;
        }
    }
}
