package embercup.core.materia;

import embercup.core.materia.Herb.Bulk;
import embercup.core.materia.Herb.Piece;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.KitchenWords;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import embercup.core.measure.Unit.Dimension;
import embercup.core.measure.Volume;
import embercup.core.workings.InvalidInput;
import embercup.core.workings.Workings;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Weighs a herb that was measured by spoon, piece or inch, and finds the kitchen measure for a weight. */
public final class HerbMeasure {

    /** The teaspoon that the materia's weights are for: US, in millilitres. */
    private static final double DATA_TSP_ML = KitchenSystem.US.teaspoonMl();
    /** A kitchen scale reads to ±2 % or ±0.1 g, whichever is more (design value, common practice, no source). */
    private static final double SCALE_RELATIVE = 0.02;

    private static final double SCALE_G = 0.1;

    private final Materia materia;
    private final MeasureCustom custom;

    public HerbMeasure(Materia materia, MeasureCustom custom) {
        this.materia = materia;
        this.custom = custom;
    }

    /**
     * A converted amount.
     *
     * @param amount low, best and high in {@code unit}
     * @param nearest "sliced" when the materia has no figure for the cut asked for and used another; else empty
     */
    public record Conversion(Spread amount, Unit unit, Workings workings, Optional<String> nearest) {}

    /**
     * Grams of a herb in a kitchen amount.
     *
     * @param field path of the unit's field, for the error
     * @throws InvalidInput when the herb is not counted in that unit
     */
    public Conversion grams(Herb herb, Form form, Cut cut, Quantity quantity, String field) {
        Unit unit = quantity.unit();
        return switch (unit.dimension()) {
            case MASS -> weighed(quantity);
            case VOLUME -> spooned(herb, form, cut, quantity);
            case LENGTH, COUNT -> counted(herb, form, quantity, field);
            case PART ->
                throw InvalidInput.of(
                        field, unit.code(), "a weight, a spoon or pieces: a part weighs nothing by itself");
        };
    }

    private Conversion weighed(Quantity quantity) {
        double best = quantity.amount() * quantity.unit().gramsEach(custom);
        double half = Math.min(best, Math.max(best * SCALE_RELATIVE, SCALE_G));
        Workings workings = Workings.computed(
                "grams",
                "amount × grams in one " + quantity.unit().code(),
                best,
                "g",
                Workings.given("amount", quantity.amount(), quantity.unit().code()),
                Workings.sourced(
                        "grams in one " + quantity.unit().code(),
                        quantity.unit().gramsEach(custom),
                        "g",
                        quantity.unit() == Unit.LIANG || quantity.unit() == Unit.QIAN ? "liang-readings" : "nist-44"));
        return new Conversion(Spread.of(best - half, best, best + half), Unit.GRAM, workings, Optional.empty());
    }

    private Conversion spooned(Herb herb, Form form, Cut cut, Quantity quantity) {
        Density density = density(herb, form, cut);
        double millilitres = quantity.amount() * quantity.unit().millilitresEach(custom);
        double own = quantity.unit().spreadOfHandful();
        Spread perMl = density.gPerTsp.times(1 / DATA_TSP_ML);
        Spread grams = own == 0
                ? perMl.times(millilitres)
                : Spread.around(perMl.best() * millilitres, Math.max(own, perMl.relative()));
        Workings workings = Workings.computed(
                "grams",
                "amount × volume of one " + quantity.unit().code() + " × weight of a teaspoon ÷ volume of a teaspoon",
                grams.best(),
                "g",
                Workings.given("amount", quantity.amount(), quantity.unit().code()),
                Workings.sourced(
                        "volume of one " + quantity.unit().code(),
                        quantity.unit().millilitresEach(custom),
                        "mL",
                        "nist-44"),
                Workings.sourced(density.label, density.gPerTsp.best(), "g", density.source),
                Workings.sourced("volume of a teaspoon", DATA_TSP_ML, "mL", "nist-44"));
        return new Conversion(grams, Unit.GRAM, workings, density.nearest);
    }

    private Conversion counted(Herb herb, Form form, Quantity quantity, String field) {
        Piece piece = piece(herb, form, quantity.unit())
                .orElseThrow(() -> InvalidInput.of(field, quantity.unit().code(), countedIn(herb)));
        double ratio = quantity.unit().dimension() == Dimension.LENGTH
                ? quantity.unit().centimetresEach() / piece.unit().centimetresEach()
                : 1;
        Spread grams = piece.grams().times(quantity.amount() * ratio);
        String unit = quantity.unit().code();
        Workings workings = Workings.computed(
                "grams",
                "amount × weight of one",
                grams.best(),
                "g",
                Workings.given("amount", quantity.amount(), unit),
                Workings.sourced("weight of one " + unit, piece.grams().best() * ratio, "g", piece.source()));
        Optional<String> other = piece.form() == form
                ? Optional.empty()
                : Optional.of(piece.form().name().toLowerCase(java.util.Locale.ROOT));
        return new Conversion(grams, Unit.GRAM, workings, other);
    }

    private static String countedIn(Herb herb) {
        List<String> codes =
                herb.pieces().stream().map(p -> p.unit().code()).distinct().toList();
        return herb.common() + " is measured by weight or spoon"
                + (codes.isEmpty() ? "" : ", or counted in " + String.join(", ", codes));
    }

    /** How much of {@code to} holds these grams of a herb. Spread ends are those of the measure. */
    public Conversion measure(Herb herb, Form form, Cut cut, double grams, Unit to, String field) {
        Conversion one = grams(herb, form, cut, Quantity.of(1, to), field);
        Spread amount = to.dimension() == Dimension.MASS
                ? Spread.exactly(grams / to.gramsEach(custom))
                : one.amount().dividing(grams);
        Workings workings = Workings.computed(
                "amount in " + to.code(),
                "grams ÷ grams in one " + to.code(),
                amount.best(),
                to.code(),
                one.workings());
        return new Conversion(amount, to, workings, one.nearest());
    }

    /**
     * The best kitchen measure for a mass: pieces where the herb is counted and the cut is whole or sliced, spoons and
     * cups otherwise.
     *
     * @param spread relative half-width of measuring so instead of weighing
     */
    public record Kitchen(String words, double spread) {}

    public Kitchen kitchen(Herb herb, Form form, Cut cut, double grams) {
        if (cut == Cut.WHOLE || cut == Cut.SLICED) {
            Optional<Kitchen> pieces = herb.pieces().stream()
                    .filter(p -> p.form() == form && p.unit().dimension() == Dimension.COUNT)
                    .filter(p -> (p.unit() == Unit.SLICE) == (cut == Cut.SLICED))
                    .filter(p -> grams >= 0.4 * p.grams().best()
                            && grams <= 30 * p.grams().best())
                    .max(Comparator.comparingDouble(p -> p.grams().best()))
                    .map(p -> new Kitchen(
                            KitchenWords.pieces(grams / p.grams().best(), p.unit()),
                            p.grams().relative()));
            if (pieces.isPresent()) {
                return pieces.get();
            }
        }
        Density density = density(herb, form, cut);
        double millilitres = grams / density.gPerTsp.best() * DATA_TSP_ML;
        return new Kitchen(
                KitchenWords.spoons(Volume.millilitres(millilitres), custom.system()), density.gPerTsp.relative());
    }

    /** Loose volume of some grams in millilitres, for the herb bed in the vessel. */
    public double looseMl(Herb herb, Form form, Cut cut, double grams) {
        return grams / density(herb, form, cut).gPerTsp.best() * DATA_TSP_ML;
    }

    private record Density(Spread gPerTsp, String label, String source, Optional<String> nearest) {}

    private Density density(Herb herb, Form form, Cut cut) {
        return herb.bulk().stream()
                .filter(b -> b.form() == form)
                .min(Comparator.<Bulk>comparingInt(b -> b.cut().gradesFrom(cut)).thenComparing(Bulk::cut))
                .map(b -> new Density(
                        b.gPerTsp(),
                        "weight of a level teaspoon, " + word(form) + " and " + word(b.cut())
                                + (b.cut() == cut ? "" : " (the nearest to " + word(cut) + ")"),
                        b.source(),
                        b.cut() == cut ? Optional.empty() : Optional.of(word(b.cut()))))
                .orElseGet(() -> partDensity(herb, form));
    }

    private Density partDensity(Herb herb, Form form) {
        PartDefaults part = materia.part(herb.part());
        return new Density(
                form == Form.DRIED ? part.driedGPerTsp() : part.freshGPerTsp(),
                "weight of a level teaspoon of any " + word(form) + " " + word(herb.part())
                        + " (no figure for this herb)",
                part.bulkSource(),
                Optional.of("any " + word(form) + " " + word(herb.part())));
    }

    private static Optional<Piece> piece(Herb herb, Form form, Unit unit) {
        boolean length = unit.dimension() == Dimension.LENGTH;
        Optional<Piece> known = herb.pieces().stream()
                .filter(p -> length ? p.unit().dimension() == Dimension.LENGTH : p.unit() == unit)
                .min(Comparator.comparing(p -> p.form() != form));
        if (known.isEmpty() && unit == Unit.BAG) {
            return Optional.of(new Piece(form, Unit.BAG, Spread.around(Unit.BAG_G, 0.25), "kitchen-custom"));
        }
        return known;
    }

    /** A constant in lower case, as said in a sentence. */
    public static String word(Enum<?> constant) {
        return constant.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    /**
     * Dried mass that holds the same dry matter as a fresh mass: m_dried = m_fresh·(1 − w_fresh)/(1 − w_dried).
     *
     * @param freshG grams of the fresh herb
     */
    public Conversion driedForFresh(Herb herb, double freshG) {
        double ratio = driedShare(materia, herb);
        return dryMatter(
                "dried grams",
                "fresh grams × (1 − water in fresh) ÷ (1 − water in dried)",
                herb,
                freshG,
                freshG * ratio);
    }

    /** Fresh mass that holds the same dry matter as a dried mass; the inverse of {@link #driedForFresh}. */
    public Conversion freshForDried(Herb herb, double driedG) {
        double ratio = 1 / driedShare(materia, herb);
        return dryMatter(
                "fresh grams",
                "dried grams × (1 − water in dried) ÷ (1 − water in fresh)",
                herb,
                driedG,
                driedG * ratio);
    }

    /** Water fraction of a dried herb (source key {@code ifct-2017}: dry goods lie between 0.08 and 0.13). */
    static final double DRIED_MOISTURE = 0.10;

    private Conversion dryMatter(String label, String formula, Herb herb, double given, double result) {
        Herb.Sourced moisture = freshMoisture(materia, herb);
        return new Conversion(
                Spread.around(result, 0.1),
                Unit.GRAM,
                Workings.computed(
                        label,
                        formula,
                        result,
                        "g",
                        Workings.given("given grams", given, "g"),
                        Workings.sourced("water in the fresh herb", moisture.value(), "", moisture.source()),
                        Workings.sourced("water in the dried herb", DRIED_MOISTURE, "", "ifct-2017")),
                Optional.empty());
    }

    /** Grams of dried herb with the dry matter of a fresh gram. */
    public static double driedShare(Materia materia, Herb herb) {
        return (1 - freshMoisture(materia, herb).value()) / (1 - DRIED_MOISTURE);
    }

    private static Herb.Sourced freshMoisture(Materia materia, Herb herb) {
        return herb.freshMoisture().orElseGet(() -> materia.part(herb.part()).freshMoisture());
    }
}
