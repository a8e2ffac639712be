package embercup.server.kitchen;

import embercup.core.measure.HouseScale;
import embercup.core.measure.HouseUnits;
import embercup.core.measure.HouseUnits.Dates;
import embercup.core.measure.HouseUnits.Hours;
import embercup.core.measure.HouseUnits.Lengths;
import embercup.core.measure.HouseUnits.Temperatures;
import embercup.core.measure.HouseUnits.Volumes;
import embercup.core.measure.HouseUnits.Weights;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Fields;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** In which units the household reads its numbers, by their codes. */
record UnitsOfHouse(
        @CodeOf(Temperatures.class) @Nullable String temperatures,
        @CodeOf(Weights.class) @Nullable String weights,
        @CodeOf(Volumes.class) @Nullable String volumes,
        @CodeOf(Lengths.class) @Nullable String lengths,
        @CodeOf(Hours.class) @Nullable String hours,
        @CodeOf(Dates.class) @Nullable String dates) {

    /** Every scale by the quantity it is of. */
    record Scales(
            ScaleLine temperature,
            ScaleLine mass,
            ScaleLine bodyWeight,
            ScaleLine volume,
            ScaleLine length,
            ScaleLine height) {
        static Scales of(HouseUnits units) {
            return new Scales(
                    ScaleLine.of(units.temperature()),
                    ScaleLine.of(units.mass()),
                    ScaleLine.of(units.bodyWeight()),
                    ScaleLine.of(units.volume()),
                    ScaleLine.of(units.length()),
                    ScaleLine.of(units.height()));
        }
    }

    /** A scale: {@code shown = inCore × units ÷ each + atZero}, said to the step of its size, in eighths where it says so. */
    record ScaleLine(
            String unit, double each, int units, double atZero, List<HouseScale.Grain> grains, boolean eighths) {
        static ScaleLine of(HouseScale scale) {
            return new ScaleLine(
                    scale.unit(), scale.each(), scale.units(), scale.atZero(), scale.grains(), scale.eighths());
        }
    }

    static UnitsOfHouse of(HouseUnits units) {
        return new UnitsOfHouse(
                Fields.code(units.temperatures()),
                Fields.code(units.weights()),
                Fields.code(units.volumes()),
                Fields.code(units.lengths()),
                Fields.code(units.hours()),
                Fields.code(units.dates()));
    }

    /** The units of the core; what is missing as {@code otherwise} has it. @throws embercup.core.workings.InvalidInputException for a code that is none of its family */
    HouseUnits read(HouseUnits otherwise) {
        return new HouseUnits(
                Fields.oneOf(Temperatures.class, temperatures, "units.temperatures", otherwise.temperatures()),
                Fields.oneOf(Weights.class, weights, "units.weights", otherwise.weights()),
                Fields.oneOf(Volumes.class, volumes, "units.volumes", otherwise.volumes()),
                Fields.oneOf(Lengths.class, lengths, "units.lengths", otherwise.lengths()),
                Fields.oneOf(Hours.class, hours, "units.hours", otherwise.hours()),
                Fields.oneOf(Dates.class, dates, "units.dates", otherwise.dates()),
                otherwise.system());
    }
}
