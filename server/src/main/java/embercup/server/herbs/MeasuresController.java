package embercup.server.herbs;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import embercup.core.measure.Unit.Dimension;
import embercup.core.workings.InvalidInput;
import embercup.core.workings.Workings;
import embercup.server.platform.Fields;
import embercup.server.platform.WorkingsLine;
import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** One quantity in another unit. */
@RestController
@RequestMapping("/api/measures")
class MeasuresController {

    private final Herbary herbary;

    MeasuresController(Herbary herbary) {
        this.herbary = herbary;
    }

    /** {@code herb} may be missing when volume becomes volume or mass becomes mass. */
    record ConvertRequest(
            @Schema(maxLength = 80) @Nullable String herb,

            @Schema(allowableValues = {"fresh", "dried"}) @Nullable
            String form,

            @Schema(allowableValues = {"whole", "chopped", "sliced", "grated", "crushed", "bruised", "ground", "paste"})
            @Nullable
            String cut,

            @Schema(minimum = "0", exclusiveMinimum = true, maximum = "1000000") @Nullable
            Double amount,

            @Schema(maxLength = 20) @Nullable String unit,
            @Schema(maxLength = 20) @Nullable String to,

            @Schema(allowableValues = {"us", "metric", "au", "imperial"}) @Nullable
            String measures,

            @Schema(minimum = "1", maximum = "60") @Nullable Double liangG) {}

    record ConvertAnswer(
            double amount,
            double low,
            double high,
            String unit,
            @Nullable String nearest,
            WorkingsLine workings) {}

    @PostMapping("/convert")
    ConvertAnswer convert(@RequestBody ConvertRequest request) {
        Unit from = Fields.unit(request.unit(), "unit");
        Unit to = Fields.unit(request.to(), "to");
        double amount = Fields.need(request.amount(), "amount", "an amount above 0");
        InvalidInput.Check check = new InvalidInput.Check();
        check.require(amount > 0 && amount <= Quantity.MOST, "amount", amount, "above 0 and at most 1000000");
        double liang = request.liangG() == null ? 3 : request.liangG();
        check.range("liangG", liang, 1, 60, "g");
        check.throwIfAny();
        MeasureCustom custom = new MeasureCustom(
                Fields.oneOf(KitchenSystem.class, request.measures(), "measures", KitchenSystem.US), liang);
        Quantity quantity = Quantity.of(amount, from);
        if (from.dimension() == to.dimension() && from.dimension() != Dimension.COUNT) {
            return exact(quantity, to, custom);
        }
        return byHerb(request, quantity, to, custom);
    }

    private static ConvertAnswer exact(Quantity quantity, Unit to, MeasureCustom custom) {
        double from = each(quantity.unit(), custom);
        double into = each(to, custom);
        double result = quantity.amount() * from / into;
        String base = quantity.unit().dimension() == Dimension.MASS
                ? "g"
                : quantity.unit().dimension() == Dimension.VOLUME ? "mL" : "cm";
        Workings workings = Workings.computed(
                "amount in " + to.code(),
                "amount × one " + quantity.unit().code() + " ÷ one " + to.code(),
                result,
                to.code(),
                Workings.given("amount", quantity.amount(), quantity.unit().code()),
                Workings.sourced("one " + quantity.unit().code(), from, base, "nist-44"),
                Workings.sourced("one " + to.code(), into, base, "nist-44"));
        return new ConvertAnswer(result, result, result, to.code(), null, WorkingsLine.of(workings));
    }

    private static double each(Unit unit, MeasureCustom custom) {
        return switch (unit.dimension()) {
            case MASS -> unit.gramsEach(custom);
            case VOLUME -> unit.millilitresEach(custom);
            case LENGTH -> unit.centimetresEach();
            case COUNT, PART -> 1;
        };
    }

    private ConvertAnswer byHerb(ConvertRequest request, Quantity quantity, Unit to, MeasureCustom custom) {
        if (request.herb() == null) {
            throw InvalidInput.of(
                    "herb",
                    "",
                    "a herb: from " + quantity.unit().code() + " to " + to.code() + " depends on what is measured");
        }
        Materia materia = herbary.materia();
        Herb herb = materia.herb(request.herb(), "herb");
        Form form = Fields.oneOf(Form.class, request.form(), "form", Form.DRIED);
        Cut cut = Fields.oneOf(Cut.class, request.cut(), "cut", Cut.CHOPPED);
        HerbMeasure measure = new HerbMeasure(materia, custom);
        HerbMeasure.Conversion grams = measure.grams(herb, form, cut, quantity, "unit");
        if (to.dimension() == Dimension.MASS) {
            Spread in = grams.amount().times(1 / to.gramsEach(custom));
            Workings workings = to == Unit.GRAM
                    ? grams.workings()
                    : Workings.computed(
                            "amount in " + to.code(),
                            "grams ÷ grams in one " + to.code(),
                            in.best(),
                            to.code(),
                            grams.workings());
            return answer(in, to, grams.nearest().orElse(null), workings);
        }
        HerbMeasure.Conversion there =
                measure.measure(herb, form, cut, grams.amount().best(), to, "to");
        return answer(there.amount(), to, there.nearest().orElse(null), there.workings());
    }

    private static ConvertAnswer answer(Spread amount, Unit unit, @Nullable String nearest, Workings workings) {
        return new ConvertAnswer(
                amount.best(), amount.low(), amount.high(), unit.code(), nearest, WorkingsLine.of(workings));
    }
}
