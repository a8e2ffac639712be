package embercup.server.recipes;

import embercup.core.materia.Condition;
import embercup.core.measure.Quantity;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.OwnCaution;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.TakingRow;
import embercup.core.recipe.Told;
import embercup.server.platform.Fields;
import embercup.server.recipes.RecipeDocument.AdditionDocument;
import embercup.server.recipes.RecipeDocument.PosologyDocument;
import embercup.server.recipes.RecipeDocument.StageDocument;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Writes the core's {@link Recipe} as a {@link RecipeDocument}; reading it again gives the same recipe. */
public final class RecipeToDocument {

    private RecipeToDocument() {}

    public static RecipeDocument write(Recipe recipe) {
        Menstruum m = recipe.menstruum();
        return new RecipeDocument(
                recipe.name(),
                Fields.code(recipe.tradition()),
                recipe.cups(),
                recipe.cupMl(),
                new RecipeDocument.Liquid(
                        number(recipe.pourMl()),
                        m.cold() ? Fields.code(m.kind()) : null,
                        m.alcoholPercent() > 0 ? m.alcoholPercent() : null,
                        recipe.dilutionParts() > 0 ? recipe.dilutionParts() : null,
                        null),
                additions(recipe),
                recipe.stages().isEmpty()
                        ? null
                        : recipe.stages().stream()
                                .map(s -> s.accept(new Writer()))
                                .toList(),
                recipe.posology().map(RecipeToDocument::posology).orElse(null),
                told(recipe.told()));
    }

    private static RecipeDocument.ToldPart told(Told told) {
        return new RecipeDocument.ToldPart(
                fill(told, Told.Fill.From.RIM),
                fill(told, Told.Fill.From.HERBS),
                told.ofBlend().map(Quantity::amount).orElse(null),
                told.ofBlend().map(q -> q.unit().code()).orElse(null),
                noneOr(Fields.codes(told.with())),
                noneOr(told.notFor().stream()
                        .flatMap(n -> n.when().stream())
                        .map(Condition::code)
                        .toList()),
                number(told.notFor().stream()
                        .flatMapToDouble(n -> n.underYears().stream())
                        .max()),
                told.keeping().map(Told.Keeps::days).orElse(null),
                told.keeping().map(k -> Fields.code(k.place())).orElse(null),
                noneOr(told.cautions().stream().map(RecipeToDocument::caution).toList()),
                noneOr(told.notes()),
                told.written().isEmpty() ? null : told.written());
    }

    private static RecipeDocument.OwnCautionDocument caution(OwnCaution says) {
        return new RecipeDocument.OwnCautionDocument(
                says.text(),
                Fields.code(says.about()),
                says.herb().orElse(null),
                says.stage().isPresent() ? says.stage().getAsInt() : null,
                noneOr(says.conditions().stream().map(Condition::code).sorted().toList()),
                number(says.underYears()));
    }

    private static @Nullable Double fill(Told told, Told.Fill.From from) {
        return told.fill().filter(f -> f.from() == from).map(Told.Fill::cm).orElse(null);
    }

    private static <T> @Nullable List<T> noneOr(List<T> all) {
        return all.isEmpty() ? null : all;
    }

    /** Herbs of a blend of the house are written as the blend, once. */
    private static List<AdditionDocument> additions(Recipe recipe) {
        Set<Integer> blends = new HashSet<>();
        return recipe.additions().stream()
                .filter(a -> a.spooned().map(s -> blends.add(s.line())).orElse(true))
                .map(a -> addition(a.closed()))
                .toList();
    }

    static AdditionDocument addition(Addition a) {
        return new AdditionDocument(
                a.herb(),
                Fields.code(a.form()),
                Fields.code(a.cut()),
                a.quantity().amount(),
                a.quantity().unit().code(),
                number(a.open().amountTo()),
                a.open().optional() ? true : null,
                noneOr(a.open().or().stream().map(RecipeToDocument::addition).toList()),
                a.stage(),
                a.open().into() == Addition.Into.EACH_CUP
                        ? null
                        : Fields.code(a.open().into()),
                a.prep().isEmpty() ? null : a.prep());
    }

    private static PosologyDocument posology(Posology p) {
        Posology.More more = p.more();
        return new PosologyDocument(
                p.cupsADay(),
                number(more.cupsADayTo()),
                more.dose().map(Quantity::amount).orElse(null),
                more.dose().map(q -> q.unit().code()).orElse(null),
                noneOr(more.moments().stream().map(Fields::code).toList()),
                number(more.mostDays()),
                number(more.childShare()),
                p.when() == Posology.When.ANY_TIME ? null : Fields.code(p.when()),
                number(p.daysOn()),
                p.daysOff() == 0 ? null : p.daysOff(),
                number(more.often().everyHours()),
                number(more.often().timesADay()),
                more.often().untilBetter() ? true : null,
                number(more.often().cupsAWeek()),
                noneOr(more.rows().stream().map(RecipeToDocument::row).toList()));
    }

    private static RecipeDocument.TakingRowDocument row(TakingRow row) {
        TakingRow.Whom whom = row.whom();
        TakingRow.Often amount = row.amount();
        String words = whom.words().isEmpty() ? null : whom.words();
        return new RecipeDocument.TakingRowDocument(
                number(whom.fromYears()),
                number(whom.toYears()),
                whom.condition().map(Condition::code).orElse(words),
                number(amount.cupsADay()),
                amount.dose().map(Quantity::amount).orElse(null),
                amount.dose().map(q -> q.unit().code()).orElse(null),
                number(amount.timesADay()),
                number(amount.everyHours()),
                number(row.mostDays()));
    }

    private static @Nullable Integer number(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }

    private static @Nullable Double number(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    /** One stage; what a kind has not is left out. */
    private static final class Writer implements Stage.Visitor<StageDocument> {

        private static StageDocument doc(
                Stage stage,
                @Nullable Double minutes,
                @Nullable Double toC,
                @Nullable Double toMl,
                @Nullable Boolean lid,
                @Nullable Boolean pressed) {
            return new StageDocument(
                    stage.kind().code(),
                    minutes,
                    number(stage.until().minutesTo()),
                    stage.until().sign().isEmpty() ? null : stage.until().sign(),
                    toC,
                    toMl,
                    lid,
                    stage.onFlame().map(Fields::code).orElse(null),
                    pressed,
                    stage instanceof Stage.Macerate m && m.place() != Place.ROOM ? Fields.code(m.place()) : null,
                    stage instanceof Stage.Strain s ? s.into().map(Fields::code).orElse(null) : null,
                    stage instanceof Stage.Work w ? number(w.addMl()) : null);
        }

        @Override
        public StageDocument heat(Stage.Heat s) {
            return doc(s, null, number(s.toC()), null, s.lid(), null);
        }

        @Override
        public StageDocument pour(Stage.Pour s) {
            return doc(s, null, number(s.toC()), null, null, null);
        }

        @Override
        public StageDocument boil(Stage.Boil s) {
            return doc(s, s.minutes(), null, null, s.lid(), null);
        }

        @Override
        public StageDocument simmer(Stage.Simmer s) {
            return doc(s, s.minutes(), null, null, s.lid(), null);
        }

        @Override
        public StageDocument hold(Stage.Hold s) {
            return doc(s, s.minutes(), s.toC(), null, s.lid(), null);
        }

        @Override
        public StageDocument reduce(Stage.Reduce s) {
            return doc(s, null, null, s.toMl(), s.lid(), null);
        }

        @Override
        public StageDocument steep(Stage.Steep s) {
            return doc(s, s.minutes(), null, null, s.lid(), null);
        }

        @Override
        public StageDocument macerate(Stage.Macerate s) {
            return doc(s, s.minutes(), number(s.toC()), null, s.lid(), null);
        }

        @Override
        public StageDocument rest(Stage.Rest s) {
            return doc(s, s.minutes(), null, null, s.lid(), null);
        }

        @Override
        public StageDocument cool(Stage.Cool s) {
            return doc(s, null, s.toC(), null, s.lid(), null);
        }

        @Override
        public StageDocument strain(Stage.Strain s) {
            return doc(s, null, null, null, null, s.pressed());
        }

        @Override
        public StageDocument refill(Stage.Refill s) {
            return doc(s, null, null, s.toMl(), null, null);
        }

        @Override
        public StageDocument combine(Stage.Combine s) {
            return doc(s, null, null, null, null, null);
        }

        @Override
        public StageDocument work(Stage.Work s) {
            return doc(s, null, null, null, null, null);
        }

        @Override
        public StageDocument finish(Stage.Finish s) {
            return doc(s, null, null, null, null, null);
        }
    }
}
