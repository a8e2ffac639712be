package embercup.core.materia;

import static embercup.core.materia.MateriaFile.each;
import static embercup.core.materia.MateriaFile.number;
import static embercup.core.materia.MateriaFile.optional;

import embercup.core.materia.ExtractionData.ClassConstants;
import embercup.core.materia.Herb.Sourced;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads the shipped YAML strictly: one file per herb, listed in {@code herbs/index.txt}, and the shared tables beside it. A
 * missing field, a wrong type, a field that nobody asked for or a source that is not listed is an error that names the file.
 */
final class MateriaReader {

    private final Map<String, Source> sources = new TreeMap<>();
    private final Map<Trait.Kind, Trait> traits = new EnumMap<>(Trait.Kind.class);
    private final Set<String> languages = new TreeSet<>();
    private final Map<PlantPart, PartDefaults> parts = new EnumMap<>(PlantPart.class);
    private MateriaFile file = new MateriaFile("", Map.of());

    private MateriaReader() {}

    static Materia shipped() {
        return with(MateriaDocuments.text("checks.yaml"));
    }

    /** The shipped tables with other checks. */
    static Materia with(String checks) {
        return new MateriaReader().read(checks);
    }

    /** One herb as its file would be read beside the shipped tables. */
    static Herb herb(String slug, String text) {
        MateriaReader reader = new MateriaReader();
        reader.tables();
        String name = "herbs/" + slug + ".yaml";
        return reader.herbs(name).herb(MateriaDocuments.read(name, text, HerbFile.class));
    }

    private HerbReader herbs(String name) {
        file = new MateriaFile(name, sources);
        return new HerbReader(file, traits, languages, parts);
    }

    private void tables() {
        table("sources.yaml", MateriaTables.Sources.class).sources().forEach(s -> sources.put(s.key(), s));
        languages.addAll(table("languages.yaml", MateriaTables.Languages.class).languages());
        table("traits.yaml", MateriaTables.Traits.class).traits().forEach(t -> traits.put(t.trait(), trait(t)));
        require(traits.size() == Trait.Kind.values().length, "a trait is missing");
        MateriaTables.Parts all = table("parts.yaml", MateriaTables.Parts.class);
        all.parts().forEach(p -> parts.put(p.part(), part(p, all.everyPart())));
    }

    private Materia read(String checked) {
        tables();
        Map<Constituent, DailyLimit> limits = new EnumMap<>(Constituent.class);
        table("limits.yaml", MateriaTables.Limits.class).limits().forEach(l -> limits.put(l.constituent(), limit(l)));
        ExtractionData extraction = extraction(table("extraction.yaml", MateriaTables.Extraction.class));
        List<Herb> herbs = new ArrayList<>();
        for (String slug : MateriaDocuments.text("herbs/index.txt")
                .lines()
                .map(String::strip)
                .toList()) {
            if (!slug.isEmpty()) {
                herbs.add(herb(slug));
            }
        }
        Occasions occasions = occasions(table("occasions.yaml", MateriaTables.Occasions.class));
        List<Evidence.Check> checks = MateriaDocuments.read("checks.yaml", checked, MateriaTables.Checks.class)
                .checks();
        Materia materia = new Materia(
                herbs,
                new Materia.Tables(parts, limits, extraction, sources, occasions, traits, alikes(herbs), checks));
        file = new MateriaFile("checks.yaml", sources);
        checks.forEach(c -> require(stands(materia, c), c + " is of a value that is not there"));
        return materia;
    }

    private Herb herb(String slug) {
        String name = "herbs/" + slug + ".yaml";
        Herb herb = herbs(name).herb(MateriaDocuments.read(name, HerbFile.class));
        require(herb.slug().equals(slug), "calls itself " + herb.slug());
        return herb;
    }

    /** A check of a value that was changed or taken out since is none. */
    private static boolean stands(Materia materia, Evidence.Check check) {
        return Evidence.values(materia, materia.herb(check.herb(), "herb")).stream()
                .anyMatch(v -> v.value() == check.value() && v.source().equals(check.source()));
    }

    // ---- the tables

    private Occasions occasions(MateriaTables.Occasions o) {
        return new Occasions(
                each(o.occasions(), l -> new Occasion(l.words(), l.also(), l.keywords(), optional(l.ask(), this::ask))),
                ask(o.always()),
                ask(o.child()));
    }

    private AskWhen ask(String signs) {
        return new AskWhen(signs, known("practice"));
    }

    private List<Alike> alikes(List<Herb> herbs) {
        Set<String> slugs = new TreeSet<>(herbs.stream().map(Herb::slug).toList());
        return table("alike.yaml", MateriaTables.Alikes.class).alike().stream()
                .peek(a -> require(slugs.containsAll(a.herbs()), a.name() + " may be a herb that is not there"))
                .map(a -> new Alike(
                        a.name(), a.names(), a.herbs(), Optional.ofNullable(a.take()), a.why(), known(a.source())))
                .toList();
    }

    private Trait trait(MateriaTables.TraitLine t) {
        return new Trait(
                t.trait(),
                file.cautions(t.says()),
                t.together() == null ? "" : t.together(),
                Boolean.TRUE.equals(t.addsUp()),
                known(t.source()));
    }

    private PartDefaults part(MateriaTables.Part p, MateriaTables.EveryPart every) {
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
                        p.dried().spread(),
                        p.fresh().spread(),
                        known(p.bulk().source())),
                new Sourced(p.moisture().fraction(), known(p.moisture().source())),
                new Sourced(p.speed().perMin(), known(p.speed().source())),
                holds,
                known(p.holds().source()),
                p.pieces().stream().flatMap(this::pieces).toList(),
                new PartDefaults.Usual(
                        optional(p.keeps(), k -> new Sourced(k.months(), known(k.source()))),
                        new Sourced(
                                every.ageFloor().years(), known(every.ageFloor().source())),
                        new Herb.Range(every.perCup().g()[0], every.perCup().g()[1])));
    }

    /** A piece is told from another by eye: half more or half less (common practice, no source). */
    private static final double ROUGH = 0.5;

    private Stream<Herb.Piece> pieces(MateriaTables.OnePiece p) {
        Unit unit = Unit.ofCode(p.unit()).orElseThrow(() -> new IllegalStateException("no unit " + p.unit()));
        return Stream.of(rough(unit, Form.FRESH, p.fresh()), rough(unit, Form.DRIED, p.dried()))
                .flatMap(Optional::stream);
    }

    private Optional<Herb.Piece> rough(Unit unit, Form form, @Nullable Double grams) {
        return Optional.ofNullable(grams)
                .map(g -> new Herb.Piece(form, unit, Spread.around(g, ROUGH), known("practice"), known("practice")));
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

    /** A shipped table; what is wrong in it from here on names it. */
    private <T> T table(String name, Class<T> type) {
        file = new MateriaFile(name, sources);
        return MateriaDocuments.read(name, type);
    }

    private String known(String key) {
        return file.known(key);
    }

    private void require(boolean ok, String what) {
        file.require(ok, what);
    }
}
