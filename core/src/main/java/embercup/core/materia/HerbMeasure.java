package embercup.core.materia;

import embercup.core.materia.Herb.Bulk;
import embercup.core.materia.Herb.Piece;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import embercup.core.measure.Unit.Dimension;
import embercup.core.measure.Volume;
import embercup.core.workings.Code;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Term;
import embercup.core.workings.Wanted;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Weighs a herb that was measured by spoon, piece or inch, and finds the kitchen measure for a weight. */
public final class HerbMeasure {

    /** The teaspoon that the materia's weights are for: US, in millilitres. */
    private static final double DATA_TSP_ML = KitchenSystem.US.teaspoonMl();
    /** A kitchen scale reads to ±2 % or ±0.1 g, whichever is more (design value, common practice, no source). */
    private static final double SCALE_RELATIVE = 0.02;

    private static final double SCALE_G = 0.1;

    private static final String NIST = "nist-44";

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
     * @param nearest what was used because the materia has no figure for what was asked; empty when it has
     */
    public record Conversion(Spread amount, Unit unit, Workings workings, Optional<Nearest> nearest) {}

    /** A figure near the one that was asked for. */
    public sealed interface Nearest {
        /** Of another cut. */
        record OfCut(Cut cut) implements Nearest {}

        /** Of the other form. */
        record OfForm(Form form) implements Nearest {}

        /** Of any herb of the same part. */
        record OfPart(Form form, PlantPart part) implements Nearest {}
    }

    /**
     * Grams of a herb in a kitchen amount.
     *
     * @param field path of the unit's field, for the error
     * @throws InvalidInputException when the herb is not counted in that unit
     */
    public Conversion grams(Herb herb, Form form, Cut cut, Quantity quantity, String field) {
        return switch (quantity.unit().dimension()) {
            case MASS -> weighed(quantity);
            case VOLUME -> spooned(herb, form, cut, quantity);
            case LENGTH, COUNT -> counted(herb, form, quantity, field);
            case PART -> throw InvalidInputException.of(field, quantity.unit().code(), new Wanted.NoPart());
        };
    }

    private static Workings amount(Quantity quantity) {
        return Workings.sourced(
                Term.AMOUNT, "", quantity.amount(), quantity.unit().code(), "");
    }

    private Conversion weighed(Quantity quantity) {
        Unit unit = quantity.unit();
        boolean liang = unit == Unit.LIANG || unit == Unit.QIAN;
        Workings grams = Workings.product(
                Term.GRAMS,
                "g",
                amount(quantity),
                Workings.sourced(
                        Term.GRAMS_IN_ONE, unit.code(), unit.gramsEach(custom), "g", liang ? "liang-readings" : NIST));
        double best = grams.value();
        double half = Math.min(best, Math.max(best * SCALE_RELATIVE, SCALE_G));
        return new Conversion(Spread.of(best - half, best, best + half), Unit.GRAM, grams, Optional.empty());
    }

    private Conversion spooned(Herb herb, Form form, Cut cut, Quantity quantity) {
        Density density = density(herb, form, cut);
        Unit unit = quantity.unit();
        Workings workings = Workings.quotient(
                Term.GRAMS,
                "g",
                Workings.product(
                        Term.VOLUME_TIMES_WEIGHT,
                        "mL·g",
                        amount(quantity),
                        Workings.sourced(Term.VOLUME_OF_ONE, unit.code(), unit.millilitresEach(custom), "mL", NIST),
                        density.workings()),
                Workings.sourced(Term.VOLUME_OF_TEASPOON, DATA_TSP_ML, "mL", NIST));
        double relative = Math.max(unit.spreadOfHandful(), density.gPerTsp.relative());
        Spread grams = unit.spreadOfHandful() == 0
                ? density.gPerTsp.times(workings.value() / density.gPerTsp.best())
                : Spread.around(workings.value(), relative);
        return new Conversion(grams, Unit.GRAM, workings, density.nearest);
    }

    private Conversion counted(Herb herb, Form form, Quantity quantity, String field) {
        Unit unit = quantity.unit();
        Optional<Piece> known = piece(herb, form, unit);
        Piece piece = known.or(() -> piece(piecesOfPart(herb), form, unit))
                .orElseThrow(() -> InvalidInputException.of(field, unit.code(), measuredIn(herb)));
        Workings each = Workings.sourced(
                Term.WEIGHT_OF_ONE, piece.unit().code(), piece.grams().best(), "g", piece.source());
        Workings one = piece.unit() == unit
                ? each
                : Workings.quotient(
                                Term.WEIGHT_OF_ONE,
                                "g",
                                Workings.product(Term.WEIGHT_TIMES_LENGTH, "g·cm", each, lengthOf(unit)),
                                lengthOf(piece.unit()))
                        .of(unit.code());
        Workings workings = Workings.product(Term.GRAMS, "g", amount(quantity), one);
        Spread grams = piece.grams().times(workings.value() / piece.grams().best());
        Optional<Nearest> other = known.isEmpty()
                ? Optional.of(new Nearest.OfPart(piece.form(), herb.part()))
                : piece.form() == form ? Optional.empty() : Optional.of(new Nearest.OfForm(piece.form()));
        return new Conversion(grams, Unit.GRAM, workings, other);
    }

    /** Rough pieces of its part; a blend has none. */
    private List<Piece> piecesOfPart(Herb herb) {
        return herb.mixed() ? List.of() : materia.part(herb.part()).pieces();
    }

    private static Workings lengthOf(Unit unit) {
        return Workings.sourced(Term.LENGTH_OF_ONE, unit.code(), unit.centimetresEach(), "cm", NIST);
    }

    private Wanted measuredIn(Herb herb) {
        return new Wanted.MeasuredIn(
                herb.common(),
                Stream.concat(herb.pieces().stream(), piecesOfPart(herb).stream())
                        .map(p -> p.unit().code())
                        .distinct()
                        .toList());
    }

    /** The unit that a bare number of a herb counts: its own piece, a whole one before a slice; else the usual one of its part. */
    public Unit countedIn(Herb herb) {
        return Stream.concat(herb.pieces().stream(), piecesOfPart(herb).stream())
                .map(Piece::unit)
                .filter(u -> u.dimension() == Dimension.COUNT && u != Unit.BAG && u != Unit.SLICE)
                .findFirst()
                .orElse(Unit.PIECE);
    }

    /** How much of {@code to} holds these grams of a herb. Spread ends are those of the measure. */
    public Conversion measure(Herb herb, Form form, Cut cut, Workings grams, Unit to, String field) {
        Conversion one = grams(herb, form, cut, Quantity.of(1, to), field);
        Workings workings = Workings.quotient(
                        Term.AMOUNT_IN,
                        to.code(),
                        grams,
                        one.workings().as(Term.GRAMS_IN_ONE).of(to.code()))
                .of(to.code());
        Spread amount = to.dimension() == Dimension.MASS
                ? Spread.exactly(workings.value())
                : one.amount().dividing(grams.value());
        return new Conversion(amount, to, workings, one.nearest());
    }

    /**
     * The best kitchen measure for a mass: pieces where the herb is counted and the cut is whole or sliced, spoons and
     * cups otherwise. What is loose is not told in bags.
     *
     * @param spread relative half-width of measuring so instead of weighing
     */
    public record Kitchen(KitchenAmount amount, double spread) {}

    public Kitchen kitchen(Herb herb, Form form, Cut cut, double grams) {
        if (cut == Cut.WHOLE || cut == Cut.SLICED) {
            Optional<Kitchen> pieces = herb.pieces().stream()
                    .filter(p -> p.form() == form && p.unit().dimension() == Dimension.COUNT)
                    .filter(p -> p.unit() != Unit.BAG && (p.unit() == Unit.SLICE) == (cut == Cut.SLICED))
                    .filter(p -> grams >= 0.4 * p.grams().best()
                            && grams <= 30 * p.grams().best())
                    .max(Comparator.comparingDouble(p -> p.grams().best()))
                    .map(p -> new Kitchen(
                            KitchenAmount.pieces(grams / p.grams().best(), p.unit()),
                            p.grams().relative()));
            if (pieces.isPresent()) {
                return pieces.get();
            }
        }
        Density density = density(herb, form, cut);
        Volume volume = Volume.millilitres(grams / density.gPerTsp.best() * DATA_TSP_ML);
        return new Kitchen(KitchenAmount.spoons(volume, custom.system()), density.gPerTsp.relative());
    }

    private record Density(Spread gPerTsp, Workings workings, Optional<Nearest> nearest) {

        static Density sourced(Spread gPerTsp, Term term, String of, String source, Optional<Nearest> nearest) {
            return new Density(gPerTsp, Workings.sourced(term, of, gPerTsp.best(), "g", source), nearest);
        }
    }

    /** One herb of a blend: what was mixed of it weighs so much and fills so many level teaspoons. */
    private record Part(Herb herb, Workings grams, Workings teaspoons, double relative) {}

    private List<Part> parts(Herb blend) {
        List<Part> all = new ArrayList<>();
        for (HouseBlend.Portion p : blend.mixedOf()) {
            Herb herb = materia.herb(p.herb(), "parts");
            Workings grams = grams(herb, p.form(), p.cut(), p.spooned(), "parts")
                    .workings()
                    .of(herb.common());
            Density density = density(herb, p.form(), p.cut());
            Workings spoons = Workings.quotient(Term.TEASPOONS, "tsp", grams, density.workings());
            all.add(new Part(herb, grams, spoons.of(herb.common()), density.gPerTsp.relative()));
        }
        return all;
    }

    /**
     * Share of each herb of a blend in its weight, in the order of its portions; together 1.
     *
     * @param blend a blend of the house
     */
    public List<Shared> shares(Herb blend) {
        List<Double> grams = parts(blend).stream().map(p -> p.grams().value()).toList();
        double all = grams.stream().mapToDouble(Double::doubleValue).sum();
        return IntStream.range(0, grams.size())
                .mapToObj(i -> new Shared(blend.mixedOf().get(i), grams.get(i) / all))
                .toList();
    }

    /** A herb of a blend. @param share in its weight, 0–1 */
    public record Shared(HouseBlend.Portion portion, double share) {}

    /** A spoon of a blend weighs what its herbs weigh for the spoons they fill; its spread is that of theirs, by weight. */
    private Density mixed(Herb blend) {
        List<Part> parts = parts(blend);
        Workings grams = Workings.sum(
                Term.GRAMS_OF_BLEND, "g", parts.stream().map(Part::grams).toList());
        Workings spoons = Workings.sum(
                Term.TEASPOONS_OF_BLEND,
                "tsp",
                parts.stream().map(Part::teaspoons).toList());
        Workings one = Workings.quotient(Term.SPOON_WEIGHT_OF_BLEND, "g", grams, spoons);
        double relative = parts.stream()
                        .mapToDouble(p -> p.grams().value() * p.relative())
                        .sum()
                / grams.value();
        return new Density(Spread.around(one.value(), relative), one, Optional.empty());
    }

    private Density density(Herb herb, Form form, Cut cut) {
        if (herb.mixed()) {
            return mixed(herb);
        }
        return herb.bulk().stream()
                .filter(b -> b.form() == form)
                .min(Comparator.<Bulk>comparingInt(b -> b.cut().gradesFrom(cut)).thenComparing(Bulk::cut))
                .map(b -> Density.sourced(
                        b.gPerTsp(),
                        b.cut() == cut ? Term.SPOON_WEIGHT : Term.SPOON_WEIGHT_NEAREST,
                        Code.of(b.cut()),
                        b.source(),
                        b.cut() == cut ? Optional.empty() : Optional.of(new Nearest.OfCut(b.cut()))))
                .orElseGet(() -> partDensity(herb, form));
    }

    private Density partDensity(Herb herb, Form form) {
        PartDefaults part = materia.part(herb.part());
        return Density.sourced(
                part.gPerTsp(form),
                Term.SPOON_WEIGHT_OF_PART,
                Code.of(herb.part()),
                part.bulkSource(),
                Optional.of(new Nearest.OfPart(form, herb.part())));
    }

    private static Optional<Piece> piece(List<Piece> pieces, Form form, Unit unit) {
        boolean length = unit.dimension() == Dimension.LENGTH;
        return pieces.stream()
                .filter(p -> length ? p.unit().dimension() == Dimension.LENGTH : p.unit() == unit)
                .min(Comparator.comparing(p -> p.form() != form));
    }

    private static Optional<Piece> piece(Herb herb, Form form, Unit unit) {
        Optional<Piece> known = piece(herb.pieces(), form, unit);
        if (known.isEmpty() && unit == Unit.BAG) {
            return Optional.of(
                    new Piece(form, Unit.BAG, Spread.around(Unit.BAG_G, 0.25), "kitchen-custom", "kitchen-custom"));
        }
        return known;
    }

    /**
     * Dried mass that holds the same dry matter as a fresh mass: m_dried = m_fresh·(1 − w_fresh)/(1 − w_dried).
     *
     * @param freshG grams of the fresh herb
     */
    public Conversion driedForFresh(Herb herb, double freshG) {
        return dryMatter(Workings.quotient(
                Term.DRIED_GRAMS,
                "g",
                dry(Term.FRESH_GRAMS, freshG, waterInFresh(materia, herb)),
                rest(WATER_IN_DRIED)));
    }

    /** Fresh mass that holds the same dry matter as a dried mass; the inverse of {@link #driedForFresh}. */
    public Conversion freshForDried(Herb herb, double driedG) {
        return dryMatter(Workings.quotient(
                Term.FRESH_GRAMS,
                "g",
                dry(Term.DRIED_GRAMS, driedG, WATER_IN_DRIED),
                rest(waterInFresh(materia, herb))));
    }

    /** Water fraction of a dried herb (source key {@code ifct-2017}: dry goods lie between 0.08 and 0.13). */
    static final double DRIED_MOISTURE = 0.10;

    private static final Workings WATER_IN_DRIED =
            Workings.sourced(Term.WATER_IN_DRIED, DRIED_MOISTURE, "", "ifct-2017");

    /** Share of a fresh herb that is water, 0–1. */
    public static Workings waterInFresh(Materia materia, Herb herb) {
        Herb.Sourced moisture = freshMoisture(materia, herb);
        return Workings.sourced(Term.WATER_IN_FRESH, moisture.value(), "", moisture.source());
    }

    private static Workings rest(Workings water) {
        return Workings.difference(Term.DRY_SHARE, "", Workings.given(Term.ONE, 1, ""), water);
    }

    private static Workings dry(Term term, double grams, Workings water) {
        return Workings.product(Term.DRY_MATTER, "g", Workings.given(term, grams, "g"), rest(water));
    }

    private static Conversion dryMatter(Workings grams) {
        return new Conversion(Spread.around(grams.value(), 0.1), Unit.GRAM, grams, Optional.empty());
    }

    /** Grams of dried herb with the dry matter of a fresh gram. */
    public static double driedShare(Materia materia, Herb herb) {
        return (1 - freshMoisture(materia, herb).value()) / (1 - DRIED_MOISTURE);
    }

    private static Herb.Sourced freshMoisture(Materia materia, Herb herb) {
        return herb.freshMoisture().orElseGet(() -> materia.part(herb.part()).freshMoisture());
    }
}
