package embercup.core.materia;

import embercup.core.materia.ExtractionData.ClassConstants;
import embercup.core.materia.Herb.Sourced;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLFactory;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * Reads the shipped YAML strictly: one file per herb, listed in {@code herbs/index.txt}, and the shared tables beside it. A
 * missing field, a wrong type, a field that nobody asked for or a source that is not listed is an error that names the file.
 */
final class MateriaReader {

    static final String ROOT = "/embercup/materia/";

    private static final YAMLMapper YAML = YAMLMapper.builder(YAMLFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .annotationIntrospector(new RequiredUnlessNullable())
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private final Map<String, Source> sources = new TreeMap<>();
    private final Map<Trait.Kind, Trait> traits = new EnumMap<>(Trait.Kind.class);
    private final Set<String> languages = new TreeSet<>();
    private String file = "";

    private MateriaReader() {}

    static Materia shipped() {
        return new MateriaReader().read();
    }

    /** One herb as its file would be read beside the shipped tables. */
    static Herb herb(String slug, String text) {
        MateriaReader reader = new MateriaReader();
        reader.tables();
        reader.file = "herbs/" + slug + ".yaml";
        return reader.herb(document(reader.file, text, HerbFile.class));
    }

    private void tables() {
        document("sources.yaml", MateriaTables.Sources.class).sources().forEach(s -> sources.put(s.key(), s));
        languages.addAll(
                document("languages.yaml", MateriaTables.Languages.class).languages());
        document("traits.yaml", MateriaTables.Traits.class).traits().forEach(t -> traits.put(t.trait(), trait(t)));
        require(traits.size() == Trait.Kind.values().length, "a trait is missing");
    }

    private Materia read() {
        tables();
        Map<PlantPart, PartDefaults> parts = new EnumMap<>(PlantPart.class);
        document("parts.yaml", MateriaTables.Parts.class).parts().forEach(p -> parts.put(p.part(), part(p)));
        Map<Constituent, DailyLimit> limits = new EnumMap<>(Constituent.class);
        document("limits.yaml", MateriaTables.Limits.class)
                .limits()
                .forEach(l -> limits.put(l.constituent(), limit(l)));
        ExtractionData extraction = extraction(document("extraction.yaml", MateriaTables.Extraction.class));
        List<Herb> herbs = new ArrayList<>();
        for (String slug : text("herbs/index.txt").lines().map(String::strip).toList()) {
            if (!slug.isEmpty()) {
                herbs.add(herb(slug));
            }
        }
        Occasions occasions = occasions(document("occasions.yaml", MateriaTables.Occasions.class));
        return new Materia(herbs, new Materia.Tables(parts, limits, extraction, sources, occasions, traits));
    }

    private Herb herb(String slug) {
        Herb herb = herb(document("herbs/" + slug + ".yaml", HerbFile.class));
        require(herb.slug().equals(slug), "calls itself " + herb.slug());
        return herb;
    }

    // ---- the tables

    private Occasions occasions(MateriaTables.Occasions o) {
        return new Occasions(
                each(o.occasions(), l -> new Occasion(l.words(), l.keywords(), optional(l.ask(), this::ask))),
                ask(o.always()),
                ask(o.child()));
    }

    private AskWhen ask(String signs) {
        return new AskWhen(signs, known("practice"));
    }

    private Trait trait(MateriaTables.TraitLine t) {
        List<Herb.HerbCaution> says = new ArrayList<>();
        each(t.says(), this::cautions).forEach(says::addAll);
        return new Trait(
                t.trait(),
                says,
                t.together() == null ? "" : t.together(),
                Boolean.TRUE.equals(t.addsUp()),
                known(t.source()));
    }

    private PartDefaults part(MateriaTables.Part p) {
        Map<ExtractClass, Double> holds = new EnumMap<>(ExtractClass.class);
        holds.put(ExtractClass.BODY, p.holds().body());
        holds.put(ExtractClass.AROMA, p.holds().aroma());
        holds.put(ExtractClass.BITE, p.holds().bite());
        holds.put(ExtractClass.MUCILAGE, p.holds().mucilage());
        holds.put(ExtractClass.VITAMIN_C, p.holds().vitaminC());
        return new PartDefaults(
                p.part(),
                new PartDefaults.WaterKept(
                        p.waterKept().drained(),
                        p.waterKept().pressed(),
                        known(p.waterKept().source())),
                new PartDefaults.Spoon(
                        Spread.around(p.dried().gPerTsp(), p.dried().spread()),
                        Spread.around(p.fresh().gPerTsp(), p.fresh().spread()),
                        known(p.bulk().source())),
                new Sourced(p.moisture().fraction(), known(p.moisture().source())),
                new Sourced(p.speed().perMin(), known(p.speed().source())),
                holds,
                known(p.holds().source()));
    }

    private DailyLimit limit(MateriaTables.Limit l) {
        MateriaTables.Amounts a = l.amounts();
        return new DailyLimit(
                l.constituent(),
                new DailyLimit.Amounts(
                        number(a.mgPerDay()),
                        number(a.mgAtOnce()),
                        number(a.mgPerKgPerDay()),
                        number(a.pregnantMgPerDay()),
                        number(a.childMgPerKgPerDay())),
                new DailyLimit.Use(
                        l.use().longUse(),
                        l.use().guidance(),
                        optional(
                                l.use().shortUse(),
                                u -> new DailyLimit.ShortUse(u.times(), u.days(), known(u.source())))),
                new DailyLimit.Counting(
                        l.counting().high(), Optional.ofNullable(l.counting().with())),
                l.words(),
                known(l.source()));
    }

    private ExtractionData extraction(MateriaTables.Extraction e) {
        Map<ExtractClass, ClassConstants> classes = new EnumMap<>(ExtractClass.class);
        e.classes()
                .forEach(c -> classes.put(
                        c.extractClass(),
                        new ClassConstants(
                                c.speed(),
                                c.activationKj(),
                                c.partitionMlPerG(),
                                c.lossPerMin(),
                                c.lossActivationKj(),
                                c.lossUnderLid(),
                                c.inSpirit())));
        require(classes.size() == ExtractClass.values().length, "a class is missing");
        require(e.cutSpeed().size() == Cut.values().length, "a cut is missing");
        return new ExtractionData(
                e.referenceC(), classes, e.cutSpeed(), e.speeds(), e.bandRelative(), known(e.source()));
    }

    // ---- one herb

    private Herb herb(HerbFile f) {
        return new Herb(
                f.slug(),
                about(f.about()),
                f.weights() == null ? Herb.Weights.NONE : weights(f.weights()),
                f.dosing() == null ? Herb.Dosing.NONE : dosing(f.dosing()),
                f.brewing() == null ? Herb.Brewing.NONE : brewing(f.brewing()),
                f.cup() == null ? Herb.InTheCup.NONE : cup(f.cup()),
                f.knowing() == null ? Herb.Knowing.NONE : knowing(f.knowing()),
                f.care() == null ? Herb.Cares.NONE : care(f.care()));
    }

    private Herb.About about(HerbFile.About a) {
        languages.forEach(l -> require(
                !a.names().getOrDefault(l, List.of()).isEmpty(),
                "about.names has no name in the language '" + l + "'"));
        return new Herb.About(a.common(), a.latin(), a.also(), a.names(), a.part(), a.use());
    }

    private Herb.Weights weights(HerbFile.Weights w) {
        return new Herb.Weights(
                each(
                        w.bulk(),
                        b -> new Herb.Bulk(
                                b.form(), b.cut(), Spread.around(b.gPerTsp(), b.spread()), known(b.source()))),
                each(
                        w.pieces(),
                        p -> new Herb.Piece(
                                p.form(), unit(p.unit()), Spread.around(p.g(), p.spread()), known(p.source()))),
                optional(w.freshMoisture(), m -> new Sourced(m.fraction(), known(m.source()))),
                optional(w.keeps(), k -> new Sourced(k.months(), known(k.source()))));
    }

    private Herb.Dosing dosing(HerbFile.Dosing d) {
        return new Herb.Dosing(
                each(d.doses(), this::dose),
                optional(d.ageFloor(), y -> new Sourced(y.years(), known(y.source()))),
                optional(d.longestRun(), r -> new Sourced(r.days(), known(r.source()))));
    }

    /** A dose by the cup or by the day: what is not said follows from the other and the times. */
    private Herb.DoseRange dose(HerbFile.Dose d) {
        require(d.perCupG() != null || d.perDayG() != null, "a dose has neither perCupG nor perDayG");
        Herb.Range times = d.timesADay() == null ? new Herb.Range(1, 3) : range(d.timesADay());
        Herb.Range cup = d.perCupG() == null ? new Herb.Range(0, 0) : range(d.perCupG());
        Herb.Range day = d.perDayG() == null
                ? new Herb.Range(cup.low() * times.low(), cup.high() * times.high())
                : range(d.perDayG());
        Herb.Range perCup =
                d.perCupG() == null ? new Herb.Range(day.low() / times.high(), day.high() / times.high()) : cup;
        return new Herb.DoseRange(d.tradition(), d.form(), perCup, day, times, known(d.source()));
    }

    private Herb.Range range(double[] ends) {
        require(ends.length == 2, "a range is [low, high]");
        return new Herb.Range(ends[0], ends[1]);
    }

    private Herb.Brewing brewing(HerbFile.Brewing b) {
        return new Herb.Brewing(
                optional(
                        b.method(),
                        m -> new Herb.UsualMethod(m.kind(), m.minutes(), number(m.waterC()), known(m.source()))),
                optional(b.gives(), this::gives).orElse(Herb.Gives.AS_ITS_PART),
                each(b.prep(), p -> p),
                b.cutting() == null ? "" : b.cutting(),
                Boolean.TRUE.equals(b.skin()),
                optional(b.rest(), r -> new Sourced(r.minutes(), known(r.source()))),
                optional(b.neverRaw(), r -> new Sourced(r.minutes(), known(r.source()))),
                optional(b.swelling(), s -> new Sourced(s.mlPerG(), known(s.source()))),
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
        return new Herb.Gives(g.speed() == null ? 1 : g.speed(), amounts, known(g.source()));
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
                Boolean.TRUE.equals(c.stains()),
                optional(c.withAcid(), t -> new Herb.ColourTurn(t.from(), t.to(), known(t.source()))),
                optional(
                        c.inCup(),
                        g -> new Herb.CupGate(number(g.aboveC()), number(g.belowC()), g.why(), known(g.source()))));
    }

    private Herb.Knowing knowing(HerbFile.Knowing k) {
        return new Herb.Knowing(
                k.identity() == null ? "" : k.identity(),
                each(k.lookAlikes(), l -> new Herb.LookAlike(l.name(), l.tell(), Boolean.TRUE.equals(l.poisonous()))),
                Boolean.TRUE.equals(k.foraged()),
                each(k.substitutes(), s -> new Herb.Substitute(s.herb(), s.ratio(), s.change(), known(s.source()))));
    }

    private Herb.Cares care(HerbFile.Cares c) {
        List<Herb.HerbCaution> own = new ArrayList<>();
        each(c.cautions(), this::cautions).forEach(own::addAll);
        List<Trait.Kind> kinds = each(c.traits(), t -> t);
        List<Herb.HerbCaution> all =
                CareCells.of(own, kinds.stream().map(this::trait).toList());
        Set<Condition> noneKnown = Set.copyOf(each(c.noneKnown(), n -> n));
        if (c.stop() == null) {
            CareCells.fault(all, noneKnown).ifPresent(fault -> require(false, "care " + fault));
        }
        return new Herb.Cares(
                each(c.constituents(), x -> new Herb.Content(x.name(), x.in(), x.spread(), known(x.source()))),
                Set.copyOf(kinds),
                all,
                noneKnown,
                optional(c.stop(), s -> new Herb.Stop(s.text(), known(s.source()))));
    }

    private Trait trait(Trait.Kind kind) {
        return Objects.requireNonNull(traits.get(kind));
    }

    private List<Herb.HerbCaution> cautions(HerbFile.Caution c) {
        String source = known(c.source());
        Set<Integer> trimesters = Set.copyOf(each(c.trimesters(), t -> t));
        require(
                trimesters.isEmpty() || List.of(Condition.PREGNANT).equals(c.when()),
                "trimesters are those of 'pregnant' alone");
        if (c.when() == null) {
            return List.of(new Herb.HerbCaution(Optional.empty(), trimesters, c.severity(), c.text(), source));
        }
        return c.when().stream()
                .map(when -> new Herb.HerbCaution(Optional.of(when), trimesters, c.severity(), c.text(), source))
                .toList();
    }

    private Unit unit(String code) {
        return Unit.ofCode(code).orElseThrow(() -> new IllegalStateException(file + ": no unit " + code));
    }

    // ---- the words of the format

    private static <F, T> Optional<T> optional(@Nullable F value, Function<F, T> reader) {
        return Optional.ofNullable(value).map(reader);
    }

    private static <F, T> List<T> each(@Nullable List<F> values, Function<F, T> reader) {
        return values == null ? List.of() : values.stream().map(reader).toList();
    }

    private static OptionalDouble number(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** The source key of a value; it must stand in {@code sources.yaml}. */
    private String known(String key) {
        require(sources.containsKey(key), "source '" + key + "' is not in sources.yaml");
        return key;
    }

    private void require(boolean ok, String what) {
        if (!ok) {
            throw new IllegalStateException(file + ": " + what);
        }
    }

    private <T> T document(String name, Class<T> type) {
        file = name;
        return document(name, text(name), type);
    }

    /** @throws IllegalStateException naming the document, and the line where that is known */
    static <T> T document(String name, String text, Class<T> type) {
        try {
            T read = YAML.readValue(text, type);
            needAll(name, read);
            return read;
        } catch (JacksonException e) {
            throw new IllegalStateException(name + ": " + e.getOriginalMessage() + " at " + e.getLocation(), e);
        }
    }

    /** A component that may not be null is not null, all the way down. */
    private static void needAll(String path, Object value) {
        if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                needAll(path + "[" + i + "]", list.get(i));
            }
        }
        if (!value.getClass().isRecord()) {
            return;
        }
        for (var component : value.getClass().getRecordComponents()) {
            try {
                Object part = component.getAccessor().invoke(value);
                if (part != null) {
                    needAll(path + "." + component.getName(), part);
                } else if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    throw new IllegalStateException(path + "." + component.getName() + " is missing");
                }
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(path, e);
            }
        }
    }

    private static String text(String name) {
        try (InputStream in = MateriaReader.class.getResourceAsStream(ROOT + name)) {
            if (in == null) {
                throw new IllegalStateException("the materia lacks " + name);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
