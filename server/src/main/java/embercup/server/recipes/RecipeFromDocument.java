package embercup.server.recipes;

import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.OwnCaution;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.TakingRow;
import embercup.core.recipe.Told;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.InvalidInputException.Violation;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Counted;
import embercup.core.workings.Wanted.Need;
import embercup.server.platform.Fields;
import embercup.server.recipes.RecipeDocument.AdditionDocument;
import embercup.server.recipes.RecipeDocument.StageDocument;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads a {@link RecipeDocument} into the core's {@link Recipe}; collects every complaint before it gives up. */
public final class RecipeFromDocument {

    /** Vodka and the like (common practice, no source), % by volume. */
    private static final double DAYS_A_WEEK = 7;

    private static final double USUAL_SPIRIT = 40;

    private final List<Violation> found = new ArrayList<>();

    private RecipeFromDocument() {}

    /**
     * @param path prefix of the field names
     * @throws InvalidInputException with every wrong field; what only the rules of the trade can tell is left to {@link RecipeRules}
     */
    public static Recipe read(RecipeDocument doc, String path) {
        RecipeFromDocument reading = new RecipeFromDocument();
        Recipe recipe = reading.recipe(doc, path);
        if (!reading.found.isEmpty()) {
            throw new InvalidInputException(reading.found);
        }
        return recipe;
    }

    private Recipe recipe(RecipeDocument doc, String path) {
        List<AdditionDocument> additionDocs = doc.additions() == null ? List.of() : doc.additions();
        List<StageDocument> stageDocs = doc.stages() == null ? List.of() : doc.stages();
        if (additionDocs.size() > Limit.ADDITIONS.high() || stageDocs.size() > Limit.STAGES.high()) {
            throw InvalidInputException.of(
                    path,
                    additionDocs.size() + " additions, " + stageDocs.size() + " stages",
                    new Wanted.Count(
                            Counted.ADDITIONS_AND_STAGES, (int) Limit.ADDITIONS.high(), (int) Limit.STAGES.high()));
        }
        List<Addition> additions = new ArrayList<>();
        for (int i = 0; i < additionDocs.size(); i++) {
            Addition addition = addition(additionDocs.get(i), path + ".additions[" + i + "]");
            if (addition != null) {
                additions.add(addition);
            }
        }
        if (doc.stages() != null && stageDocs.isEmpty()) {
            found.add(new Violation(path + ".stages", "0 stages", Wanted.Count.of(Counted.STAGES, Limit.STAGES)));
        }
        List<Stage> stages = new ArrayList<>();
        for (int i = 0; i < stageDocs.size(); i++) {
            Stage stage = stage(stageDocs.get(i), path + ".stages[" + i + "]");
            if (stage != null) {
                stages.add(stage);
            }
        }
        Tradition tradition = attempt(
                () -> Fields.oneOf(Tradition.class, doc.tradition(), path + ".tradition", Tradition.FOLK),
                Tradition.FOLK);
        return new Recipe(
                doc.name() == null ? "" : doc.name().strip(),
                tradition,
                new Recipe.Makes(
                        number(doc.cups(), path + ".cups", Need.CUPS),
                        number(doc.cupMl(), path + ".cupMl", Need.CUP_SIZE),
                        dilutionParts(doc, path)),
                doc.liquid().pourMl() == null
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(doc.liquid().pourMl()),
                new Menstruum(
                        attempt(
                                () -> Fields.oneOf(
                                        Menstruum.Kind.class,
                                        doc.liquid().menstruum(),
                                        path + ".menstruum",
                                        Menstruum.Kind.WATER),
                                Menstruum.Kind.WATER),
                        alcohol(doc)),
                additions,
                stages,
                Optional.ofNullable(doc.posology()).map(p -> posology(p, doc.cupMl(), path + ".posology")),
                told(doc.beside(), path));
    }

    private Told told(RecipeDocument.ToldPart doc, String path) {
        if (doc.headspaceCm() != null && doc.coverCm() != null) {
            found.add(new Violation(path + ".coverCm", "", new Wanted.NotBoth("headspaceCm", "coverCm")));
        }
        List<Told.NotFor> notFor = new ArrayList<>();
        conditions(doc.notFor()).map(Told.NotFor::of).forEach(notFor::add);
        if (doc.notUnderYears() != null) {
            notFor.add(new Told.NotFor(Optional.empty(), OptionalDouble.of(doc.notUnderYears())));
        }
        return new Told(
                doc.headspaceCm() != null
                        ? Optional.of(new Told.Fill(Told.Fill.From.RIM, doc.headspaceCm()))
                        : Optional.ofNullable(doc.coverCm()).map(cm -> new Told.Fill(Told.Fill.From.HERBS, cm)),
                quantity(doc.blendAmount(), doc.blendUnit(), path + ".blendUnit"),
                notFor,
                Optional.ofNullable(doc.keepsDays())
                        .map(days -> new Told.Keeps(
                                days, Fields.oneOf(Place.class, doc.keepsWhere(), path + ".keepsWhere", Place.ROOM))),
                attempt(() -> Fields.someOf(Companion.class, doc.with(), path + ".with"), Set.of()),
                cautions(doc.told(), path),
                doc.notes() == null ? List.of() : doc.notes(),
                doc.written() == null ? "" : doc.written());
    }

    private static Stream<Condition> conditions(@Nullable List<String> codes) {
        return Stream.ofNullable(codes).flatMap(List::stream).flatMap(code -> Condition.ofCode(code).stream());
    }

    private List<OwnCaution> cautions(@Nullable List<RecipeDocument.OwnCautionDocument> docs, String path) {
        List<OwnCaution> all = new ArrayList<>();
        for (int i = 0; docs != null && i < docs.size(); i++) {
            RecipeDocument.OwnCautionDocument doc = docs.get(i);
            String at = path + ".told[" + i + "].";
            all.add(new OwnCaution(
                    doc.text() == null ? "" : doc.text(),
                    attempt(
                            () -> Fields.oneOf(OwnCaution.About.class, doc.about(), at + "about"),
                            OwnCaution.About.TAKING),
                    Optional.ofNullable(doc.herb()),
                    doc.stage() == null ? OptionalInt.empty() : OptionalInt.of(doc.stage()),
                    conditions(doc.conditions()).collect(Collectors.toSet()),
                    optional(doc.underYears())));
        }
        return all;
    }

    /** An amount that may be left out. */
    private Optional<Quantity> quantity(@Nullable Double amount, @Nullable String unit, String field) {
        if (amount != null && !Quantity.possible(amount)) {
            found.add(new Violation(field, String.valueOf(amount), new Wanted.AboveNothing(Limit.AMOUNT.high())));
        }
        return amount == null || !Quantity.possible(amount)
                ? Optional.empty()
                : Optional.of(Quantity.of(amount, attempt(() -> Fields.unit(unit, field), Unit.GRAM)));
    }

    /** What a day comes to where only a dose and its hours are said, or cups a week. */
    private double cupsADay(RecipeDocument.PosologyDocument doc, @Nullable Double cupMl, String path) {
        if (doc.cupsADay() == null && doc.cupsAWeek() != null) {
            return Math.max(1, Math.ceil(doc.cupsAWeek() / DAYS_A_WEEK));
        }
        Optional<Quantity> dose = quantity(doc.doseAmount(), doc.doseUnit(), path + ".doseUnit");
        if (doc.cupsADay() == null
                && cupMl != null
                && dose.isPresent()
                && (doc.everyHours() != null || doc.timesADay() != null)) {
            return new TakingRow.Often(
                            OptionalDouble.empty(), dose, optional(doc.timesADay()), optional(doc.everyHours()))
                    .cups(cupMl, MeasureCustom.DEFAULT);
        }
        return number(doc.cupsADay(), path + ".cupsADay", Need.CUPS_A_DAY);
    }

    private Posology posology(RecipeDocument.PosologyDocument doc, @Nullable Double cupMl, String path) {
        return new Posology(
                cupsADay(doc, cupMl, path),
                attempt(
                        () -> Fields.oneOf(Posology.When.class, doc.when(), path + ".when", Posology.When.ANY_TIME),
                        Posology.When.ANY_TIME),
                doc.daysOn() == null ? OptionalInt.empty() : OptionalInt.of(doc.daysOn()),
                doc.daysOff() == null ? 0 : doc.daysOff(),
                new Posology.More(
                        optional(doc.cupsADayTo()),
                        quantity(doc.doseAmount(), doc.doseUnit(), path + ".doseUnit"),
                        moments(doc.moments(), path),
                        doc.mostDays() == null ? OptionalInt.empty() : OptionalInt.of(doc.mostDays()),
                        optional(doc.childShare()),
                        new Posology.Often(
                                optional(doc.everyHours()),
                                optional(doc.timesADay()),
                                Boolean.TRUE.equals(doc.untilBetter()),
                                optional(doc.cupsAWeek())),
                        rows(doc.rows(), path + ".rows")));
    }

    private List<TakingRow> rows(@Nullable List<RecipeDocument.TakingRowDocument> docs, String path) {
        List<TakingRow> all = new ArrayList<>();
        for (int i = 0; docs != null && i < docs.size(); i++) {
            RecipeDocument.TakingRowDocument doc = docs.get(i);
            Optional<Condition> condition = Optional.ofNullable(doc.when()).flatMap(Condition::ofCode);
            all.add(new TakingRow(
                    new TakingRow.Whom(
                            optional(doc.fromYears()),
                            optional(doc.toYears()),
                            condition,
                            condition.isPresent() || doc.when() == null
                                    ? ""
                                    : doc.when().strip()),
                    new TakingRow.Often(
                            optional(doc.cupsADay()),
                            quantity(doc.doseAmount(), doc.doseUnit(), path + "[" + i + "].doseUnit"),
                            optional(doc.timesADay()),
                            optional(doc.everyHours())),
                    doc.mostDays() == null ? OptionalInt.empty() : OptionalInt.of(doc.mostDays())));
        }
        return all;
    }

    private Set<Posology.Moment> moments(@Nullable List<String> codes, String path) {
        Set<Posology.Moment> all = EnumSet.noneOf(Posology.Moment.class);
        for (String code : codes == null ? List.<String>of() : codes) {
            all.add(attempt(
                    () -> Fields.oneOf(Posology.Moment.class, code, path + ".moments"), Posology.Moment.MORNING));
        }
        return all;
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** Parts of water to one of a concentrate, from what is drunk of it at a time where that is said. */
    private double dilutionParts(RecipeDocument doc, String path) {
        Double parts = doc.liquid().dilutionParts();
        Double servingMl = doc.liquid().servingMl();
        if (servingMl == null || doc.cupMl() == null) {
            return parts == null ? 0 : parts;
        }
        if (parts != null) {
            found.add(new Violation(
                    path + ".servingMl", String.valueOf(servingMl), new Wanted.NotBoth("servingMl", "dilutionParts")));
        } else if (servingMl > doc.cupMl()) {
            found.add(new Violation(
                    path + ".servingMl",
                    String.valueOf(servingMl),
                    new Wanted.Between(Limit.SERVING_ML.low(), doc.cupMl(), Limit.SERVING_ML.unit())));
        }
        return Math.max(0, doc.cupMl() / servingMl - 1);
    }

    /** A spirit whose strength is not said is the usual one of the kitchen cupboard. */
    private static double alcohol(RecipeDocument doc) {
        return doc.liquid().alcoholPercent() != null
                ? doc.liquid().alcoholPercent()
                : "spirit".equals(doc.liquid().menstruum()) ? USUAL_SPIRIT : 0;
    }

    private @Nullable Addition addition(AdditionDocument doc, String path) {
        int before = found.size();
        String herb = attempt(() -> Fields.text(doc.herb(), path + ".herb", Length.SLUG), "");
        Form form = attempt(() -> Fields.oneOf(Form.class, doc.form(), path + ".form", Form.DRIED), Form.DRIED);
        Cut cut = attempt(() -> Fields.oneOf(Cut.class, doc.cut(), path + ".cut", Cut.CHOPPED), Cut.CHOPPED);
        Unit unit = attempt(() -> Fields.unit(doc.unit(), path + ".unit"), Unit.GRAM);
        double amount = number(doc.amount(), path + ".amount", Need.AMOUNT);
        if (doc.amount() != null && !Quantity.possible(amount)) {
            found.add(new Violation(
                    path + ".amount", String.valueOf(doc.amount()), new Wanted.AboveNothing(Limit.AMOUNT.high())));
        }
        int stage = doc.stage() == null ? 0 : doc.stage();
        String prep = doc.prep() == null ? "" : doc.prep().strip();
        List<Addition> or = new ArrayList<>();
        List<AdditionDocument> others = doc.or() == null ? List.of() : doc.or();
        for (int i = 0; i < others.size(); i++) {
            Addition other = addition(others.get(i), path + ".or[" + i + "]");
            if (other != null) {
                or.add(other.at(stage));
            }
        }
        Addition.Into into = attempt(
                () -> Fields.oneOf(Addition.Into.class, doc.into(), path + ".into", Addition.Into.EACH_CUP),
                Addition.Into.EACH_CUP);
        Addition.Open open = new Addition.Open(optional(doc.amountTo()), Boolean.TRUE.equals(doc.optional()), or, into);
        return found.size() > before
                ? null
                : new Addition(herb, form, cut, Quantity.of(amount, unit), stage, prep, open);
    }

    private @Nullable Stage stage(StageDocument doc, String path) {
        int before = found.size();
        String code = doc.kind() == null ? "" : doc.kind();
        StageKind kind = StageKind.ofCode(code).orElse(null);
        if (kind == null) {
            found.add(new Violation(path + ".kind", code, new Wanted.OneOf(StageKind.codes())));
            return null;
        }
        Stage stage =
                switch (kind) {
                    case HEAT -> new Stage.Heat(toC(doc), flame(doc, path, kind), lid(doc, kind));
                    case POUR -> new Stage.Pour(toC(doc));
                    case BOIL -> new Stage.Boil(minutes(doc, path), flame(doc, path, kind), lid(doc, kind), until(doc));
                    case SIMMER ->
                        new Stage.Simmer(minutes(doc, path), flame(doc, path, kind), lid(doc, kind), until(doc));
                    case HOLD ->
                        new Stage.Hold(
                                number(doc.toC(), path + ".toC", Need.HOLD_AT),
                                minutes(doc, path),
                                flame(doc, path, kind),
                                lid(doc, kind),
                                until(doc));
                    case REDUCE -> new Stage.Reduce(toMl(doc, path), flame(doc, path, kind), lid(doc, kind));
                    case STEEP -> new Stage.Steep(minutes(doc, path), lid(doc, kind), until(doc));
                    case MACERATE ->
                        new Stage.Macerate(minutes(doc, path), toC(doc), lid(doc, kind), place(doc), until(doc));
                    case REST -> new Stage.Rest(minutes(doc, path), lid(doc, kind), until(doc));
                    case COOL -> new Stage.Cool(number(doc.toC(), path + ".toC", Need.COOL_TO), lid(doc, kind));
                    case STRAIN -> new Stage.Strain(Boolean.TRUE.equals(doc.pressed()), into(doc, path));
                    case REFILL -> new Stage.Refill(toMl(doc, path));
                    case COMBINE -> new Stage.Combine();
                    case FINISH -> new Stage.Finish();
                    case STIR, SHAKE, BLEND -> new Stage.Work(kind, optional(doc.addMl()));
                };
        return found.size() > before ? null : stage;
    }

    private static Stage.Until until(StageDocument doc) {
        return doc.minutesTo() == null && doc.sign() == null
                ? Stage.Until.NOTHING
                : new Stage.Until(
                        optional(doc.minutesTo()),
                        doc.sign() == null ? "" : doc.sign().strip());
    }

    private static OptionalDouble toC(StageDocument doc) {
        return doc.toC() == null ? OptionalDouble.empty() : OptionalDouble.of(doc.toC());
    }

    private Optional<Receiver> into(StageDocument doc, String path) {
        return doc.into() == null
                ? Optional.empty()
                : attempt(
                        () -> Optional.of(Fields.oneOf(Receiver.class, doc.into(), path + ".into", Receiver.CUPS)),
                        Optional.empty());
    }

    private static Place place(StageDocument doc) {
        return Fields.oneOf(Place.class, doc.place(), "place", Place.ROOM);
    }

    private static boolean lid(StageDocument doc, StageKind kind) {
        return doc.lid() == null ? kind.usuallyCovered() : doc.lid();
    }

    private Flame flame(StageDocument doc, String path, StageKind kind) {
        Flame usual = kind.usualFlame();
        return attempt(() -> Fields.oneOf(Flame.class, doc.flame(), path + ".flame", usual), usual);
    }

    private double minutes(StageDocument doc, String path) {
        return number(doc.minutes(), path + ".minutes", Need.MINUTES);
    }

    private double toMl(StageDocument doc, String path) {
        return number(doc.toMl(), path + ".toMl", Need.VOLUME);
    }

    private double number(@Nullable Double value, String field, Need wanted) {
        return attempt(() -> Fields.need(value, field, wanted), 0.0);
    }

    private <T> T attempt(Supplier<T> reading, T otherwise) {
        try {
            return reading.get();
        } catch (InvalidInputException e) {
            found.addAll(e.violations());
            return otherwise;
        }
    }
}
