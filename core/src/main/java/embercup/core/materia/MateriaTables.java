package embercup.core.materia;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The tables beside the herbs as they are written. */
final class MateriaTables {

    private MateriaTables() {}

    record Sources(List<Source> sources) {}

    /** The languages beside English in which every herb has a name. */
    record Languages(List<String> languages) {}

    /** Values that were compared with their source. */
    record Checks(List<Evidence.Check> checks) {}

    record Traits(List<TraitLine> traits) {}

    record TraitLine(
            Trait.Kind trait,
            List<HerbFile.Caution> says,
            @Nullable String together,
            @Nullable Boolean addsUp,
            String source) {}

    record Parts(EveryPart everyPart, List<Part> parts) {}

    /** Where nothing is known of a herb. */
    record EveryPart(HerbFile.Years ageFloor, PerCup perCup) {}

    record PerCup(double[] g, String source) {}

    record Part(
            PlantPart part,
            HerbFile.@Nullable Months keeps,
            Kept waterKept,
            Named bulk,
            Spoon dried,
            Spoon fresh,
            HerbFile.Fraction moisture,
            Speed speed,
            Holds holds,
            List<OnePiece> pieces) {}

    /** Rough weights of one; a form that is not counted so has none. */
    record OnePiece(
            String unit, @Nullable Double fresh, @Nullable Double dried) {}

    record Kept(double drained, double pressed, String source) {}

    record Named(String source) {}

    record Spoon(double gPerTsp, double spread) {}

    record Speed(double perMin, String source) {}

    record Holds(double body, double aroma, double bite, double mucilage, double vitaminC, String source) {}

    record Limits(List<Limit> limits) {}

    record Limit(Constituent constituent, Amounts amounts, Use use, Counting counting, String words, String source) {}

    record Amounts(
            @Nullable Double mgPerDay,
            @Nullable Double mgAtOnce,
            @Nullable Double mgPerKgPerDay,
            @Nullable Double pregnantMgPerDay,
            @Nullable Double childMgPerKgPerDay) {}

    record Use(boolean longUse, boolean guidance, @Nullable ShortUse shortUse) {}

    record ShortUse(double times, int days, String source) {}

    record Counting(boolean high, @Nullable ExtractClass with) {}

    record Extraction(
            double referenceC,
            List<ClassLine> classes,
            Map<Cut, Double> cutSpeed,
            ExtractionData.Speeds speeds,
            double bandRelative,
            String source) {}

    record ClassLine(
            @com.fasterxml.jackson.annotation.JsonProperty("class")
            ExtractClass extractClass,

            double speed,
            double activationKj,
            double partitionMlPerG,
            double lossPerMin,
            double lossActivationKj,
            double lossUnderLid,
            double inSpirit) {}

    record Alikes(List<AlikeLine> alike) {}

    record AlikeLine(
            String name,
            List<String> names,
            List<String> herbs,
            @Nullable String take,
            String why,
            String source) {}

    record Occasions(String always, String child, List<OccasionLine> occasions) {}

    record OccasionLine(
            String words,
            List<String> also,
            List<String> keywords,
            @Nullable String ask) {}
}
