package embercup.core.recipe;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.InvalidInputException.Check;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Counted;
import embercup.core.workings.Wanted.Need;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/** Whether a recipe can be brewed at all; every complaint names its field. */
public final class RecipeRules {

    private final Materia materia;
    private final MeasureCustom custom;

    public RecipeRules(Materia materia, MeasureCustom custom) {
        this.materia = materia;
        this.custom = custom;
    }

    /**
     * @param path prefix of the field names, for example {@code "recipe"}
     * @throws InvalidInputException with every violation found
     */
    public void check(Recipe recipe, String path) {
        Check check = new Check();
        head(check, recipe, path);
        int stages = recipe.stages().size();
        if (check.require(
                Limit.STAGES.holds(stages), path + ".stages", stages, Wanted.Count.of(Counted.STAGES, Limit.STAGES))) {
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
                    new Wanted.StageOfRecipe(stages - 1));
            addition(check, addition, at);
        }
        check.throwIfAny();
    }

    /**
     * Everything but the stages: for a recipe whose stages are still to be proposed.
     *
     * @throws InvalidInputException with every violation found
     */
    public void checkHerbs(Recipe recipe, String path) {
        Check check = new Check();
        head(check, recipe, path);
        for (int i = 0; i < recipe.additions().size(); i++) {
            addition(check, recipe.additions().get(i), path + ".additions[" + i + "]");
        }
        check.throwIfAny();
    }

    /** Nothing but water stands on a flame. */
    private static void menstruum(Check check, Recipe recipe, String path) {
        if (!recipe.menstruum().cold()) {
            return;
        }
        for (int i = 0; i < recipe.stages().size(); i++) {
            StageKind kind = recipe.stages().get(i).kind();
            check.require(
                    COLD.contains(kind),
                    path + ".stages[" + i + "].kind",
                    kind.code(),
                    new Wanted.NoHeatUnder(recipe.menstruum().kind().code()));
        }
    }

    private static final Set<StageKind> COLD = EnumSet.of(
            StageKind.MACERATE,
            StageKind.STRAIN,
            StageKind.COMBINE,
            StageKind.FINISH,
            StageKind.STIR,
            StageKind.SHAKE,
            StageKind.BLEND);

    private static void head(Check check, Recipe recipe, String path) {
        String name = recipe.name().strip();
        check.require(
                !name.isEmpty() && name.length() <= Length.NAME,
                path + ".name",
                recipe.name().length() > Length.NAME ? recipe.name().length() : recipe.name(),
                new Wanted.TextOf(Length.NAME));
        check.range(path + ".cups", recipe.cups(), Limit.CUPS);
        check.range(path + ".cupMl", recipe.cupMl(), Limit.CUP_ML);
        recipe.pourMl().ifPresent(ml -> check.range(path + ".pourMl", ml, Limit.WATER_ML));
        int additions = recipe.lines();
        check.require(
                Limit.ADDITIONS.holds(additions),
                path + ".additions",
                additions,
                Wanted.Count.of(Counted.ADDITIONS, Limit.ADDITIONS));
        check.range(path + ".dilutionParts", recipe.dilutionParts(), Limit.DILUTION_PARTS);
        recipe.posology().ifPresent(p -> posology(check, p, path + ".posology"));
        for (int i = 0; i < recipe.told().cautions().size(); i++) {
            caution(check, recipe, recipe.told().cautions().get(i), path + ".told[" + i + "]");
        }
        double alcohol = recipe.menstruum().alcoholPercent();
        check.require(
                recipe.menstruum().kind() == Menstruum.Kind.SPIRIT ? Limit.SPIRIT_PERCENT.holds(alcohol) : alcohol == 0,
                path + ".alcoholPercent",
                alcohol,
                new Wanted.SpiritStrength(Limit.SPIRIT_PERCENT.low(), Limit.SPIRIT_PERCENT.high()));
    }

    /** Each row says for whom and how much, and no two are for the same people. */
    private static void rows(Check check, List<TakingRow> rows, String path) {
        for (int i = 0; i < rows.size(); i++) {
            TakingRow row = rows.get(i);
            String at = path + "[" + i + "]";
            TakingRow.Whom whom = row.whom();
            check.require(whom.tells() || !whom.words().isBlank(), at + ".when", "", new Wanted.Needed(Need.WHOM));
            whom.fromYears().ifPresent(y -> check.range(at + ".fromYears", y, Limit.AGE_YEARS));
            double from = whom.fromYears().orElse(0);
            whom.toYears()
                    .ifPresent(
                            y -> check.range(at + ".toYears", y, from, Limit.AGE_YEARS.high(), Limit.AGE_YEARS.unit()));
            TakingRow.Often amount = row.amount();
            check.require(amount.enough(), at + ".cupsADay", "", new Wanted.Needed(Need.HOW_MUCH_A_DAY));
            check.require(
                    amount.cupsADay().isEmpty() || amount.dose().isEmpty(),
                    at + ".doseAmount",
                    "",
                    new Wanted.NotBoth("cupsADay", "doseAmount"));
            check.require(
                    amount.timesADay().isEmpty() || amount.everyHours().isEmpty(),
                    at + ".everyHours",
                    "",
                    new Wanted.NotBoth("timesADay", "everyHours"));
            amount.cupsADay().ifPresent(c -> check.range(at + ".cupsADay", c, Limit.CUPS_A_DAY));
            amount.timesADay().ifPresent(t -> check.range(at + ".timesADay", t, Limit.DOSES_A_DAY));
            amount.everyHours().ifPresent(h -> check.range(at + ".everyHours", h, Limit.EVERY_HOURS));
            amount.dose()
                    .ifPresent(d -> check.require(
                            d.unit().dimension() == Unit.Dimension.VOLUME,
                            at + ".doseUnit",
                            d.unit().code(),
                            new Wanted.OfKind(Wanted.Kind.VOLUME_UNIT)));
            row.mostDays().ifPresent(d -> check.range(at + ".mostDays", d, Limit.DAYS_ON));
            check.require(
                    rows.subList(0, i).stream().noneMatch(r -> r.whom().meets(whom)),
                    at + ".fromYears",
                    whom.fromYears().isPresent() ? whom.fromYears().getAsDouble() : "",
                    new Wanted.RowApart());
        }
    }

    /** A caution says something, of a herb or a stage that the recipe has, and names people only where it is about them. */
    private static void caution(Check check, Recipe recipe, OwnCaution says, String path) {
        String text = says.text().strip();
        check.require(
                !text.isEmpty() && text.length() <= Length.NOTE,
                path + ".text",
                text.length() > Length.NOTE ? text.length() : text,
                new Wanted.TextOf(Length.NOTE));
        boolean ofHerb = says.about() == OwnCaution.About.HERB;
        boolean has = recipe.additions().stream()
                .anyMatch(a -> says.herb().filter(a.herb()::equals).isPresent());
        check.require(
                ofHerb ? has : says.herb().isEmpty(),
                path + ".herb",
                says.herb().orElse(""),
                ofHerb ? new Wanted.HerbOfRecipe() : new Wanted.OnlyAbout("herb"));
        boolean ofStep = says.about() == OwnCaution.About.STEP;
        int stage = says.stage().orElse(-1);
        check.require(
                ofStep ? stage >= 0 && stage < recipe.stages().size() : stage < 0,
                path + ".stage",
                says.stage().isPresent() ? stage : "",
                ofStep ? new Wanted.StageOfRecipe(recipe.stages().size() - 1) : new Wanted.OnlyAbout("step"));
        boolean ofPeople = says.about() == OwnCaution.About.WHO;
        check.require(
                ofPeople || !says.namesPeople(),
                path + (says.conditions().isEmpty() ? ".underYears" : ".conditions"),
                "",
                new Wanted.OnlyAbout("who"));
        says.underYears().ifPresent(years -> check.range(path + ".underYears", years, Limit.AGE_YEARS));
    }

    private static void posology(Check check, Posology posology, String path) {
        check.range(path + ".cupsADay", posology.cupsADay(), Limit.CUPS_A_DAY);
        posology.daysOn().ifPresent(d -> check.range(path + ".daysOn", d, Limit.DAYS_ON));
        check.range(path + ".daysOff", posology.daysOff(), Limit.DAYS_OFF);
        posology.more().mostDays().ifPresent(d -> check.range(path + ".mostDays", d, Limit.DAYS_ON));
        posology.more()
                .cupsADayTo()
                .ifPresent(c -> check.range(
                        path + ".cupsADayTo",
                        c,
                        posology.cupsADay(),
                        Limit.CUPS_A_DAY.high(),
                        Limit.CUPS_A_DAY.unit()));
        Posology.Often often = posology.more().often();
        often.everyHours().ifPresent(h -> check.range(path + ".everyHours", h, Limit.EVERY_HOURS));
        often.timesADay().ifPresent(t -> check.range(path + ".timesADay", t, Limit.DOSES_A_DAY));
        check.require(
                often.everyHours().isEmpty() || often.timesADay().isEmpty(),
                path + ".everyHours",
                "",
                new Wanted.NotBoth("timesADay", "everyHours"));
        often.cupsAWeek().ifPresent(c -> check.range(path + ".cupsAWeek", c, Limit.CUPS_A_WEEK));
        rows(check, posology.more().rows(), path + ".rows");
        posology.more().childShare().ifPresent(c -> check.range(path + ".childShare", c, Limit.SHARE));
        check.require(
                posology.daysOff() == 0 || posology.daysOn().isPresent(),
                path + ".daysOn",
                "",
                new Wanted.Needed(Need.DAYS_ON));
    }

    private void addition(Check check, Addition addition, String path) {
        check.require(
                addition.prep().length() <= Length.PREP,
                path + ".prep",
                addition.prep().length(),
                new Wanted.TextAtMost(Length.PREP));
        Addition.Open open = addition.open();
        open.amountTo()
                .ifPresent(to -> check.range(
                        path + ".amountTo",
                        to,
                        addition.quantity().amount(),
                        Limit.AMOUNT.high(),
                        Limit.AMOUNT.unit()));
        check.require(
                Limit.INSTEAD.holds(open.or().size()),
                path + ".or",
                open.or().size(),
                Wanted.Count.of(Counted.ADDITIONS, Limit.INSTEAD));
        for (int i = 0; i < open.or().size(); i++) {
            addition(check, open.or().get(i), path + ".or[" + i + "]");
        }
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
                    Limit.HERB_G.holds(grams),
                    path + ".amount",
                    addition.quantity(),
                    new Wanted.GramsAtMost(Limit.HERB_G.high(), grams));
        } catch (InvalidInputException e) {
            check.addAll(e.violations());
        }
    }

    private static void stages(Check check, List<Stage> stages, String path) {
        Batch batch = Batch.of(stages);
        boolean refilled = false;
        for (int i = 0; i < stages.size(); i++) {
            String at = path + "[" + i + "]";
            Stage stage = stages.get(i);
            stage.accept(new StageLimits(check, at));
            StageKind kind = stage.kind();
            boolean strained = batch.before(i).isPresent();
            if (kind == StageKind.REFILL) {
                check.require(strained, at + ".kind", "refill", new Wanted.RefillAfterStrain());
            } else if (kind == StageKind.COMBINE) {
                check.require(refilled && strained, at + ".kind", "combine", new Wanted.CombineAfterRefill());
            } else if (kind == StageKind.FINISH) {
                check.require(
                        IntStream.range(i, stages.size())
                                .allMatch(j -> AFTER_FINISH.contains(
                                                stages.get(j).kind())
                                        || batch.begins(j)
                                                && FILLS.contains(stages.get(j).kind())),
                        at + ".kind",
                        "finish",
                        new Wanted.FinishLast());
            } else if (strained) {
                afterStrain(check, batch, i, kind, at);
            }
            refilled |= kind == StageKind.REFILL;
        }
        check.require(gives(stages), path, stages.size(), new Wanted.GivingStage());
    }

    /** Whether the herbs give anything: in time, under a blender, or drunk with what is poured on them. */
    private static boolean gives(List<Stage> stages) {
        boolean drunkWhole = stages.stream().noneMatch(s -> s.kind() == StageKind.STRAIN);
        return stages.stream()
                .map(Stage::kind)
                .anyMatch(k -> k.infuses() || k == StageKind.BLEND || drunkWhole && k == StageKind.POUR);
    }

    /** What can be done with liquor that is off its herbs: in the cups hardly anything, as a batch much, and on a flame in a pot alone. */
    private static void afterStrain(Check check, Batch batch, int stage, StageKind kind, String at) {
        boolean whole = batch.begins(stage);
        boolean heated = kind.onFlame();
        Receiver in = batch.before(stage).orElseThrow();
        if (whole && heated) {
            check.require(in == Receiver.POT, at + ".kind", kind.code(), new Wanted.HeatedInPot());
            return;
        }
        check.require(
                AFTER_STRAIN.contains(kind) || whole && WITH_BATCH.contains(kind),
                at + ".kind",
                kind.code(),
                new Wanted.AfterStrain());
    }

    /** What fills a batch that is finished. */
    private static final Set<StageKind> FILLS = EnumSet.of(StageKind.STRAIN, StageKind.REST);

    private static final Set<StageKind> WITH_BATCH = EnumSet.of(StageKind.STRAIN, StageKind.STEEP, StageKind.MACERATE);

    private static final Set<StageKind> AFTER_FINISH =
            EnumSet.of(StageKind.FINISH, StageKind.COOL, StageKind.STIR, StageKind.SHAKE, StageKind.BLEND);

    private static final Set<StageKind> AFTER_STRAIN = EnumSet.of(
            StageKind.COMBINE,
            StageKind.COOL,
            StageKind.REST,
            StageKind.REFILL,
            StageKind.FINISH,
            StageKind.STIR,
            StageKind.SHAKE,
            StageKind.BLEND);

    /** The numbers of one stage against what a kitchen can do. */
    private record StageLimits(Check check, String at) implements Stage.Visitor<Boolean> {

        private boolean minutes(double minutes, Stage stage, Limit limit) {
            OptionalDouble to = stage.until().minutesTo();
            check.require(
                    stage.until().sign().length() <= Length.SIGN,
                    at + ".sign",
                    stage.until().sign().length(),
                    new Wanted.TextAtMost(Length.SIGN));
            return check.range(at + ".minutes", minutes, limit)
                    && (to.isEmpty()
                            || check.range(at + ".minutesTo", to.getAsDouble(), minutes, limit.high(), limit.unit()));
        }

        private boolean celsius(OptionalDouble toC, Limit limit) {
            return toC.isEmpty() || check.range(at + ".toC", toC.getAsDouble(), limit);
        }

        private boolean millilitres(double toMl) {
            return check.range(at + ".toMl", toMl, Limit.WATER_ML);
        }

        @Override
        public Boolean heat(Stage.Heat stage) {
            return celsius(stage.toC(), Limit.HEAT_C);
        }

        @Override
        public Boolean pour(Stage.Pour stage) {
            return celsius(stage.toC(), Limit.POUR_C);
        }

        @Override
        public Boolean boil(Stage.Boil stage) {
            return minutes(stage.minutes(), stage, Limit.FLAME_MIN);
        }

        @Override
        public Boolean simmer(Stage.Simmer stage) {
            return minutes(stage.minutes(), stage, Limit.FLAME_MIN);
        }

        @Override
        public Boolean hold(Stage.Hold stage) {
            return minutes(stage.minutes(), stage, Limit.FLAME_MIN)
                    && celsius(OptionalDouble.of(stage.toC()), Limit.HOLD_C);
        }

        @Override
        public Boolean reduce(Stage.Reduce stage) {
            return millilitres(stage.toMl());
        }

        @Override
        public Boolean steep(Stage.Steep stage) {
            return minutes(stage.minutes(), stage, Limit.STAND_MIN);
        }

        @Override
        public Boolean macerate(Stage.Macerate stage) {
            return minutes(stage.minutes(), stage, Limit.STAND_MIN) && celsius(stage.toC(), Limit.MACERATE_C);
        }

        @Override
        public Boolean rest(Stage.Rest stage) {
            return minutes(stage.minutes(), stage, Limit.STAND_MIN);
        }

        @Override
        public Boolean cool(Stage.Cool stage) {
            return celsius(OptionalDouble.of(stage.toC()), Limit.COOL_C);
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

        @Override
        public Boolean work(Stage.Work stage) {
            check.require(
                    stage.addMl().isEmpty() || stage.kind().takesWater(),
                    at + ".addMl",
                    stage.bringsMl(),
                    new Wanted.OnlyInBlender());
            return stage.addMl().isEmpty()
                    || check.range(at + ".addMl", stage.addMl().getAsDouble(), Limit.WATER_ML);
        }
    }
}
