package embercup.core.materia;

import static embercup.core.materia.MateriaFile.each;
import static embercup.core.materia.MateriaFile.number;
import static embercup.core.materia.MateriaFile.optional;

import embercup.core.materia.Herb.Sourced;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Makes a herb of its file. Immutable.
 *
 * @param file which is read
 * @param traits what herbs have in common
 * @param languages in which it must have a name
 * @param parts whose figures it takes where it has none
 */
record HerbReader(
        MateriaFile file, Map<Trait.Kind, Trait> traits, Set<String> languages, Map<PlantPart, PartDefaults> parts) {

    Herb herb(HerbFile f) {
        return new Herb(
                f.slug(),
                about(f.about()),
                weights(f),
                dosing(f),
                f.brewing() == null ? Herb.Brewing.NONE : brewing(f.brewing()),
                f.cup() == null ? Herb.InTheCup.NONE : cup(f.cup()),
                f.knowing() == null ? Herb.Knowing.NONE : knowing(f.knowing()),
                f.care() == null ? Herb.Cares.NONE : care(f.care()));
    }

    private Herb.About about(HerbFile.About a) {
        languages.forEach(l -> file.require(
                !a.names().getOrDefault(l, List.of()).isEmpty(),
                "about.names has no name in the language '" + l + "'"));
        return new Herb.About(a.common(), a.latin(), a.also(), a.names(), a.part(), a.use(), List.of());
    }

    /** What nobody says of the herb is its part's, and says so; of what is never brewed, and of the pantry, nothing is taken. */
    private Herb.Weights weights(HerbFile f) {
        Herb.Weights own = f.weights() == null ? Herb.Weights.NONE : weights(f.weights(), part(f));
        if (!likeItsPart(f) || own.keepsMonths().isPresent()) {
            return own;
        }
        return new Herb.Weights(
                own.bulk(),
                own.pieces(),
                own.freshMoisture(),
                part(f).usual().keepsMonths().map(m -> new Sourced(m.value(), Source.PART)));
    }

    private Herb.Dosing dosing(HerbFile f) {
        Herb.Dosing own = f.dosing() == null ? Herb.Dosing.NONE : dosing(f.dosing(), part(f));
        if (!likeItsPart(f) || own.ageFloorYears().isPresent()) {
            return own;
        }
        Sourced years = part(f).usual().ageFloorYears();
        return new Herb.Dosing(
                own.doses(), Optional.of(new Sourced(years.value(), Source.PART)), own.longestRunDays(), own.harmful());
    }

    private static boolean likeItsPart(HerbFile f) {
        return f.about().part() != PlantPart.PANTRY
                && (f.care() == null || f.care().stop() == null);
    }

    private PartDefaults part(HerbFile f) {
        return Objects.requireNonNull(parts.get(f.about().part()));
    }

    private Herb.Weights weights(HerbFile.Weights w, PartDefaults part) {
        return new Herb.Weights(
                each(w.bulk(), b -> bulk(b, part)),
                each(w.pieces(), p -> piece(p, part)),
                optional(w.freshMoisture(), m -> new Sourced(m.fraction(), file.known(m.source()))),
                optional(w.keeps(), k -> new Sourced(k.months(), file.known(k.source()))));
    }

    private Herb.Bulk bulk(HerbFile.Bulk b, PartDefaults part) {
        file.require(
                (b.gPerTsp() == null) == Source.PART.equals(b.source()),
                "a spoon without gPerTsp is its part's, and only that has the source '" + Source.PART + "'");
        double grams = b.gPerTsp() == null ? part.gPerTsp(b.form()).best() : b.gPerTsp();
        return new Herb.Bulk(
                b.form(),
                b.cut(),
                spread(grams, b.spread(), b.form(), part),
                file.known(b.source()),
                b.spread() == null ? Source.PART : b.source());
    }

    private Herb.Piece piece(HerbFile.Piece p, PartDefaults part) {
        return new Herb.Piece(
                p.form(),
                unit(p.unit()),
                spread(p.g(), p.spread(), p.form(), part),
                file.known(p.source()),
                p.spread() == null ? Source.PART : p.source());
    }

    private static Spread spread(double grams, @Nullable Double own, Form form, PartDefaults part) {
        return Spread.around(grams, own == null ? part.spread(form) : own);
    }

    private Herb.Dosing dosing(HerbFile.Dosing d, PartDefaults part) {
        return new Herb.Dosing(
                each(d.doses(), one -> dose(one, part)),
                optional(d.ageFloor(), y -> new Sourced(y.years(), file.known(y.source()))),
                optional(d.longestRun(), r -> new Sourced(r.days(), file.known(r.source()))),
                optional(d.harmful(), h -> new Herb.Harmful(h.perDayG(), h.text(), file.known(h.source()))));
    }

    /** A dose by the cup or by the day: what is not said follows from the other and the times. */
    private Herb.DoseRange dose(HerbFile.Dose d, PartDefaults part) {
        file.require(
                (d.perCupG() == null && d.perDayG() == null) == Source.PART.equals(d.source()),
                "a dose with neither perCupG nor perDayG is its part's, and only that has the source '" + Source.PART
                        + "'");
        Herb.Range times = d.timesADay() == null ? new Herb.Range(1, 3) : range(d.timesADay());
        if (Source.PART.equals(d.source())) {
            Herb.Range usual = part.usual().perCupG();
            Herb.Range aDay = new Herb.Range(usual.low() * times.low(), usual.high() * times.high());
            return new Herb.DoseRange(d.tradition(), d.form(), usual, aDay, times, file.known(d.source()));
        }
        Herb.Range cup = d.perCupG() == null ? new Herb.Range(0, 0) : range(d.perCupG());
        Herb.Range day = d.perDayG() == null
                ? new Herb.Range(cup.low() * times.low(), cup.high() * times.high())
                : range(d.perDayG());
        Herb.Range perCup =
                d.perCupG() == null ? new Herb.Range(day.low() / times.high(), day.high() / times.high()) : cup;
        return new Herb.DoseRange(d.tradition(), d.form(), perCup, day, times, file.known(d.source()));
    }

    private Herb.Range range(double[] ends) {
        file.require(ends.length == 2, "a range is [low, high]");
        return new Herb.Range(ends[0], ends[1]);
    }

    private Herb.Brewing brewing(HerbFile.Brewing b) {
        return new Herb.Brewing(
                optional(
                        b.method(),
                        m -> new Herb.UsualMethod(m.kind(), m.minutes(), number(m.waterC()), file.known(m.source()))),
                optional(b.gives(), this::gives).orElse(Herb.Gives.AS_ITS_PART),
                each(b.prep(), p -> p),
                b.cutting() == null ? "" : b.cutting(),
                Boolean.TRUE.equals(b.skin()),
                optional(b.rest(), r -> new Sourced(r.minutes(), file.known(r.source()))),
                optional(b.neverRaw(), r -> new Sourced(r.minutes(), file.known(r.source()))),
                optional(b.swelling(), s -> new Sourced(s.mlPerG(), file.known(s.source()))),
                Boolean.TRUE.equals(b.drunkWhole()),
                Optional.ofNullable(b.differs()));
    }

    private Herb.Gives gives(HerbFile.Gives g) {
        Map<ExtractClass, Double> amounts = new EnumMap<>(ExtractClass.class);
        put(amounts, ExtractClass.BODY, g.body());
        put(amounts, ExtractClass.AROMA, g.aroma());
        put(amounts, ExtractClass.BITE, g.bite());
        put(amounts, ExtractClass.MUCILAGE, g.mucilage());
        put(amounts, ExtractClass.VITAMIN_C, g.vitaminC());
        return new Herb.Gives(g.speed() == null ? 1 : g.speed(), amounts, file.known(g.source()));
    }

    private static void put(Map<ExtractClass, Double> amounts, ExtractClass of, @Nullable Double amount) {
        if (amount != null) {
            amounts.put(of, amount);
        }
    }

    private Herb.InTheCup cup(HerbFile.InTheCup c) {
        return new Herb.InTheCup(
                Boolean.TRUE.equals(c.sour()),
                Boolean.TRUE.equals(c.curdles()),
                Boolean.TRUE.equals(c.liquid()),
                Boolean.TRUE.equals(c.stains()),
                optional(c.withAcid(), t -> new Herb.ColourTurn(t.from(), t.to(), file.known(t.source()))),
                optional(
                        c.inCup(),
                        g -> new Herb.CupGate(
                                number(g.aboveC()), number(g.belowC()), g.why(), file.known(g.source()))));
    }

    private Herb.Knowing knowing(HerbFile.Knowing k) {
        return new Herb.Knowing(
                k.identity() == null ? "" : k.identity(),
                each(k.lookAlikes(), l -> new Herb.LookAlike(l.name(), l.tell(), Boolean.TRUE.equals(l.poisonous()))),
                Boolean.TRUE.equals(k.foraged()),
                each(
                        k.substitutes(),
                        s -> new Herb.Substitute(s.herb(), s.ratio(), s.change(), file.known(s.source()))));
    }

    private Herb.Cares care(HerbFile.Cares c) {
        List<Herb.HerbCaution> own = file.cautions(c.cautions());
        List<Trait.Kind> kinds = each(c.traits(), t -> t);
        List<Herb.HerbCaution> all =
                CareCells.of(own, kinds.stream().map(this::trait).toList());
        Set<Condition> noneKnown = Set.copyOf(each(c.noneKnown(), n -> n));
        if (c.stop() == null) {
            CareCells.fault(all, noneKnown).ifPresent(fault -> file.require(false, "care " + fault));
        }
        return new Herb.Cares(
                each(c.constituents(), x -> new Herb.Content(x.name(), x.in(), x.spread(), file.known(x.source()))),
                Set.copyOf(kinds),
                all,
                noneKnown,
                optional(c.stop(), s -> new Herb.Stop(s.text(), file.known(s.source()))));
    }

    private Trait trait(Trait.Kind kind) {
        return Objects.requireNonNull(traits.get(kind));
    }

    private Unit unit(String code) {
        return Unit.ofCode(code).orElseThrow(() -> new IllegalStateException(file.name() + ": no unit " + code));
    }
}
