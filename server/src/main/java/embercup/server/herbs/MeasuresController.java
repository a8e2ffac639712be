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
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Term;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.core.workings.Workings;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Within;
import embercup.server.platform.WorkingsLine;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** One quantity in another unit. */
@RestController
@RequestMapping("/api/measures")
class MeasuresController {

    private final HouseMateria houseMateria;

    MeasuresController(HouseMateria houseMateria) {
        this.houseMateria = houseMateria;
    }

    /** {@code herb} may be missing when volume becomes volume or mass becomes mass. */
    record ConvertRequest(
            @Size(max = Length.SLUG) @Nullable String herb,

            @CodeOf(Form.class) @Nullable String form,

            @CodeOf(Cut.class) @Nullable String cut,

            @Within(Limit.AMOUNT) @Nullable Double amount,

            @Size(max = Length.UNIT) @Nullable String unit,
            @Size(max = Length.UNIT) @Nullable String to,

            @CodeOf(KitchenSystem.class) @Nullable String measures,

            @Within(Limit.LIANG_G) @Nullable Double liangG) {}

    record ConvertAnswer(
            double amount,
            double low,
            double high,
            String unit,
            @Nullable String nearest,
            WorkingsLine workings) {}

    @PostMapping("/convert")
    ConvertAnswer convert(@Valid @RequestBody ConvertRequest request) {
        Unit from = Fields.unit(request.unit(), "unit");
        Unit to = Fields.unit(request.to(), "to");
        double amount = Fields.need(request.amount(), "amount", Need.AMOUNT);
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.require(Quantity.possible(amount), "amount", amount, new Wanted.AboveNothing(Limit.AMOUNT.high()));
        double liang = request.liangG() == null ? MeasureCustom.DEFAULT.liangG() : request.liangG();
        check.range("liangG", liang, Limit.LIANG_G);
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
        Workings workings = Workings.quotient(
                        Term.AMOUNT_IN,
                        to.code(),
                        Workings.product(
                                Term.ALL_OF_IT,
                                base,
                                Workings.given(
                                        Term.AMOUNT,
                                        quantity.amount(),
                                        quantity.unit().code()),
                                one(quantity.unit(), from, base)),
                        one(to, into, base))
                .of(to.code());
        return new ConvertAnswer(result, result, result, to.code(), null, WorkingsLine.of(workings));
    }

    private static Workings one(Unit unit, double each, String base) {
        return Workings.sourced(Term.ONE_OF, unit.code(), each, base, "nist-44");
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
            throw InvalidInputException.of("herb", "", new Wanted.Needed(Need.HERB_FOR_UNITS));
        }
        Materia materia = houseMateria.materia();
        Herb herb = materia.herb(request.herb(), "herb");
        Form form = Fields.oneOf(Form.class, request.form(), "form", Form.DRIED);
        Cut cut = Fields.oneOf(Cut.class, request.cut(), "cut", Cut.CHOPPED);
        HerbMeasure measure = new HerbMeasure(materia, custom);
        HerbMeasure.Conversion grams = measure.grams(herb, form, cut, quantity, "unit");
        if (to.dimension() == Dimension.MASS) {
            Spread in = grams.amount().times(1 / to.gramsEach(custom));
            Workings workings = to == Unit.GRAM
                    ? grams.workings()
                    : Workings.quotient(Term.AMOUNT_IN, to.code(), grams.workings(), one(to, to.gramsEach(custom), "g"))
                            .of(to.code());
            return answer(in, to, grams.nearest(), workings);
        }
        HerbMeasure.Conversion there = measure.measure(herb, form, cut, grams.workings(), to, "to");
        return answer(there.amount(), to, there.nearest(), there.workings());
    }

    private static ConvertAnswer answer(
            Spread amount, Unit unit, Optional<HerbMeasure.Nearest> nearest, Workings workings) {
        return new ConvertAnswer(
                amount.best(),
                amount.low(),
                amount.high(),
                unit.code(),
                nearest.map(HouseWords.words()::nearest).orElse(null),
                WorkingsLine.of(workings));
    }
}
