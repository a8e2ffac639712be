package embercup.server.shelf;

import embercup.core.keeping.Place;
import embercup.core.keeping.ShelfLife;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.Materia;
import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.platform.Within;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Blends of the house that are mixed and put into a jar of their own: their herbs come out of the tins. */
@Service
class Mixes implements TakenFromTins {

    private final MixRepository mixes;
    private final TinRepository tins;
    private final Shelf shelf;
    private final HouseMateria houseMateria;
    private final Kitchens kitchens;
    private final JsonMapper json;
    private final JdbcClient jdbc;
    private final Clock clock;

    Mixes(
            MixRepository mixes,
            TinRepository tins,
            Shelf shelf,
            HouseMateria houseMateria,
            Kitchens kitchens,
            JsonMapper json,
            JdbcClient jdbc,
            Clock clock) {
        this.mixes = mixes;
        this.tins = tins;
        this.shelf = shelf;
        this.houseMateria = houseMateria;
        this.kitchens = kitchens;
        this.json = json;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param grams of the blend in all */
    record MixRequest(
            @Size(max = Length.SLUG) @Nullable String blend,

            @Within(Limit.TIN_G) @Nullable Double grams) {}

    /**
     * What mixing a blend takes.
     *
     * @param measure the same by the spoon
     * @param tin whether there is a tin of it at all
     * @param less whether its tin holds less, by what is known of it
     */
    record MixLine(
            String herb,
            String common,
            String form,
            String cut,
            double grams,
            String measure,
            boolean tin,
            boolean less) {}

    /** @param bestBefore of the jar that it goes into, and {@code why} */
    record MixPlan(
            String blend,
            double grams,
            List<MixLine> parts,
            @Nullable LocalDate bestBefore,
            String why) {}

    /** @param id undoes it */
    record MixResponse(UUID id, Tin tin, List<MixLine> parts) {}

    /** What was taken, as it is kept. */
    record TakenPart(String herb, String form, double grams, double spreadG) {}

    /** A tin as it was. */
    record Before(
            LocalDate filledOn,
            Instant weighedAt,
            @Nullable Double grams,
            @Nullable LocalDate bestBy) {}

    /** @throws InvalidInputException when there is no such blend, or no amount */
    @Transactional(readOnly = true)
    MixPlan plan(MixRequest ask) {
        Materia materia = houseMateria.materia();
        Herb blend = blend(materia, ask);
        double grams = grams(ask);
        List<Tin> all = shelf.all();
        Best best = best(materia, blend, all);
        return new MixPlan(
                blend.slug(),
                grams,
                parts(materia, blend, grams).stream().map(p -> line(p, all)).toList(),
                best.day,
                best.why);
    }

    /** Mixes it: its herbs are taken from the tins, its jar is filled; what was left in the jar stays in it. */
    @Transactional
    MixResponse mix(MixRequest ask) {
        Materia materia = houseMateria.materia();
        Herb blend = blend(materia, ask);
        double grams = grams(ask);
        List<Tin> all = shelf.all();
        List<Part> parts = parts(materia, blend, grams);
        Best best = best(materia, blend, all);
        Instant now = clock.instant();
        String form = Fields.code(Form.DRIED);
        Optional<TinEntity> there = tins.findByHerbAndForm(blend.slug(), form);
        Optional<Tin> old =
                there.flatMap(t -> all.stream().filter(o -> o.id().equals(t.id)).findFirst());
        MixEntity mix = new MixEntity();
        mix.id = Ids.next(clock.millis());
        mix.blend = blend.slug();
        mix.at = now;
        mix.grams = grams;
        mix.parts = json.writeValueAsString(parts.stream()
                .map(p -> new TakenPart(p.portion.herb(), Fields.code(p.portion.form()), p.grams, p.spreadG()))
                .toList());
        mix.before = there.map(t -> json.writeValueAsString(new Before(t.filledOn, t.weighedAt, t.grams, t.bestBy)))
                .orElse(null);
        TinEntity jar = there.orElseGet(() -> {
            TinEntity made = new TinEntity();
            made.id = Ids.next(clock.millis());
            made.herb = blend.slug();
            made.form = form;
            made.note = "";
            return made;
        });
        // What is still in it is as old as it was; an empty jar begins anew.
        Tin.Left rest = old.map(Tin::left).orElse(null);
        boolean more = old.isPresent() && (rest == null || rest.grams() > 0);
        jar.filledOn = more ? jar.filledOn : kitchens.day(now);
        jar.bestBy = earliest(best.day, more ? jar.bestBy : null);
        jar.grams = more && rest == null ? null : grams + (rest == null ? 0 : rest.grams());
        jar.weighedAt = now;
        mix.tinId = jar.id;
        Tin tin = shelf.saved(jar);
        mix.tinVersion = tin.version();
        mixes.saveAndFlush(mix);
        return new MixResponse(
                mix.id, shelf.get(jar.id), parts.stream().map(p -> line(p, all)).toList());
    }

    /** @throws RefusedException 404 when there is no such mixing, 409 when its jar was changed since */
    @Transactional
    void undo(UUID id) {
        MixEntity mix = mixes.findById(id).orElseThrow(() -> RefusedException.notFound("mix", id));
        TinEntity jar = tins.findById(mix.tinId)
                .filter(t -> Objects.requireNonNullElse(t.version, 0L) == mix.tinVersion)
                .orElseThrow(() -> RefusedException.of(HttpStatus.CONFLICT, "mix-settled", Map.of()));
        mixes.delete(mix);
        if (mix.before == null) {
            tins.delete(jar);
            return;
        }
        Before before = json.readValue(mix.before, Before.class);
        jar.filledOn = before.filledOn;
        jar.weighedAt = before.weighedAt;
        jar.grams = before.grams;
        jar.bestBy = before.bestBy;
        tins.saveAndFlush(jar);
    }

    @Override
    @Transactional(readOnly = true)
    public List<Taken> taken(List<Since> of, Set<String> blendsInJars) {
        return TakenQuery.asked(jdbc, """
                select m.id, m.at, p.herb, p.form, p.grams, p."spreadG" as spread
                from mixed m cross join lateral jsonb_to_recordset(m.parts)
                    p(herb text, form text, grams double precision, "spreadG" double precision)
                where m.at >= (select min(at) from w)""", Map.of(), of);
    }

    private static Herb blend(Materia materia, MixRequest ask) {
        String slug = Fields.text(ask.blend(), "blend", Length.SLUG);
        return materia.find(slug)
                .filter(Herb::mixed)
                .orElseThrow(() -> InvalidInputException.of("blend", slug, materia.unknownHerb(slug)));
    }

    private static double grams(MixRequest ask) {
        return Fields.within(Fields.need(ask.grams(), "grams", Need.GRAMS), "grams", Limit.MIXED_G);
    }

    // ---- its herbs

    /** So much of one herb. @param kitchen the same by the spoon */
    private record Part(HouseBlend.Portion portion, Herb herb, double grams, HerbMeasure.Kitchen kitchen) {

        /** What is counted in spoons is not known as well as by a scale. */
        double spreadG() {
            return portion.quantity().unit() == Unit.GRAM ? 0 : grams * kitchen.spread();
        }
    }

    private List<Part> parts(Materia materia, Herb blend, double grams) {
        HerbMeasure measure = new HerbMeasure(materia, kitchens.own(null, null).custom());
        return measure.shares(blend).stream()
                .map(of -> {
                    HouseBlend.Portion p = of.portion();
                    Herb herb = materia.herb(p.herb(), "herb");
                    double g = grams * of.share();
                    return new Part(p, herb, g, measure.kitchen(herb, p.form(), p.cut(), g));
                })
                .toList();
    }

    private static MixLine line(Part part, List<Tin> all) {
        HouseBlend.Portion p = part.portion;
        Optional<Tin> tin = tinOf(all, p);
        return new MixLine(
                p.herb(),
                part.herb.common(),
                Fields.code(p.form()),
                Fields.code(p.cut()),
                part.grams,
                HouseWords.words().say(part.kitchen.amount()),
                tin.isPresent(),
                tin.map(Tin::left).filter(l -> l.lowG() < part.grams).isPresent());
    }

    private static Optional<Tin> tinOf(List<Tin> all, HouseBlend.Portion p) {
        return all.stream()
                .filter(t -> t.herb().equals(p.herb()) && t.form().equals(Fields.code(p.form())))
                .findFirst();
    }

    // ---- how long it keeps

    /** @param why as the cook reads it */
    private record Best(@Nullable LocalDate day, String why) {}

    /** By its own time, and no longer than the oldest of the herbs that go into it. */
    private Best best(Materia materia, Herb blend, List<Tin> all) {
        ShelfLife own = ShelfLife.of(blend, Form.DRIED, Place.SHELF, kitchens.day(clock.instant()));
        Best best = new Best(own.until().orElse(null), HouseWords.words().say(own));
        for (HouseBlend.Portion p : blend.mixedOf()) {
            Tin tin = tinOf(all, p).orElse(null);
            if (tin != null && tin.bestBefore() != null && earlier(tin.bestBefore(), best.day)) {
                best = new Best(
                        tin.bestBefore(),
                        HouseWords.words()
                                .sentence(
                                        "mix.no-longer-than",
                                        Map.of("herb", HouseWords.words().lower(tin.common()))));
            }
        }
        return best;
    }

    private static boolean earlier(LocalDate day, @Nullable LocalDate than) {
        return than == null || day.isBefore(than);
    }

    private static @Nullable LocalDate earliest(@Nullable LocalDate a, @Nullable LocalDate b) {
        if (a == null || b == null) {
            return a == null ? b : a;
        }
        return a.isBefore(b) ? a : b;
    }
}
