package embercup.core.materia;

import embercup.core.measure.Spread;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A herb's file as it is written; what is null is not in the file. */
record HerbFile(
        String slug,
        About about,
        @Nullable Weights weights,
        @Nullable Dosing dosing,
        @Nullable Brewing brewing,
        @Nullable InTheCup cup,
        @Nullable Knowing knowing,
        @Nullable Cares care) {

    record About(
            String common,
            String latin,
            List<String> also,
            Map<String, List<String>> names,
            PlantPart part,
            String use) {}

    record Weights(
            @Nullable List<Bulk> bulk,
            @Nullable List<Piece> pieces,
            @Nullable Fraction freshMoisture,
            @Nullable Months keeps) {}

    record Dosing(
            @Nullable List<Dose> doses,
            @Nullable Years ageFloor,
            @Nullable Days longestRun,
            @Nullable Harmful harmful) {}

    record Brewing(
            @Nullable Method method,
            @Nullable Gives gives,
            @Nullable List<String> prep,
            @Nullable String cutting,
            @Nullable Boolean skin,
            @Nullable Minutes rest,
            @Nullable Minutes neverRaw,
            @Nullable Swelling swelling,
            @Nullable Boolean drunkWhole,
            Herb.@Nullable Differs differs) {}

    record InTheCup(
            @Nullable Boolean sour,
            @Nullable Boolean curdles,
            @Nullable Boolean liquid,
            @Nullable Boolean stains,
            @Nullable Turn withAcid,
            @Nullable Gate inCup) {}

    record Knowing(
            @Nullable String identity,
            @Nullable List<LookAlike> lookAlikes,
            @Nullable Boolean foraged,
            @Nullable List<Substitute> substitutes) {}

    record Cares(
            @Nullable List<Content> constituents,
            @Nullable List<Trait.Kind> traits,
            @Nullable List<Caution> cautions,
            @Nullable List<Condition> noneKnown,
            @Nullable Sentence stop) {}

    record Fraction(double fraction, String source) {}

    record Months(double months, String source) {}

    record Years(double years, String source) {}

    record Days(double days, String source) {}

    record Harmful(double perDayG, String text, String source) {}

    record Swelling(double mlPerG, String source) {}

    record Minutes(double minutes, String source) {}

    /** What is not in the file is the part's. */
    record Bulk(
            Form form,
            Cut cut,
            @Nullable Double gPerTsp,
            @Nullable Double spread,
            String source) {}

    /** The spread of a spoon of the part serves where the file has none. */
    record Piece(Form form, String unit, double g, @Nullable Double spread, String source) {}

    record Dose(
            Tradition tradition,
            Form form,
            double @Nullable [] perCupG,
            double @Nullable [] perDayG,
            double @Nullable [] timesADay,
            String source) {}

    record Method(
            Herb.Method kind, double minutes, @Nullable Double waterC, String source) {}

    record Gives(
            @Nullable Double speed,
            @Nullable Double body,
            @Nullable Double aroma,
            @Nullable Double bite,
            @Nullable Double mucilage,
            @Nullable Double vitaminC,
            String source) {}

    record Turn(String from, String to, String source) {}

    record Gate(@Nullable Double aboveC, @Nullable Double belowC, String why, String source) {}

    record LookAlike(String name, String tell, @Nullable Boolean poisonous) {}

    record Substitute(String herb, double ratio, String change, String source) {}

    record Content(Constituent name, Herb.In in, double mgPerG, double low, double high, String source) {
        Spread spread() {
            return Spread.of(low, mgPerG, high);
        }
    }

    record Caution(
            @Nullable List<Condition> when,
            @Nullable List<Integer> trimesters,
            Severity severity,
            String text,
            String source) {}

    record Sentence(String text, String source) {}
}
