package embercup.core.materia;

import embercup.core.materia.Herb.Bulk;
import embercup.core.materia.Herb.ColourTurn;
import embercup.core.materia.Herb.Content;
import embercup.core.materia.Herb.CupGate;
import embercup.core.materia.Herb.DoseRange;
import embercup.core.materia.Herb.Gives;
import embercup.core.materia.Herb.HerbCaution;
import embercup.core.materia.Herb.LookAlike;
import embercup.core.materia.Herb.Method;
import embercup.core.materia.Herb.Piece;
import embercup.core.materia.Herb.Range;
import embercup.core.materia.Herb.Sourced;
import embercup.core.materia.Herb.Stop;
import embercup.core.materia.Herb.Substitute;
import embercup.core.materia.Herb.UsualMethod;
import embercup.core.measure.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;

/** Reads the shipped YAML: one file per herb, listed in {@code herbs/index.txt}, and the shared tables beside it. */
final class MateriaReader {

    static final String ROOT = "/embercup/materia/";

    private final Map<String, Source> sources = new TreeMap<>();

    private MateriaReader() {}

    static Materia shipped() {
        return new MateriaReader().read();
    }

    private Materia read() {
        document("sources.yaml").each("sources", n -> {
            Source source = new Source(n.text("key"), n.text("title"), n.flag("fromMemory"));
            sources.put(source.key(), source);
        });
        Map<PlantPart, PartDefaults> parts = new EnumMap<>(PlantPart.class);
        document("parts.yaml").each("parts", n -> {
            PartDefaults part = part(n);
            parts.put(part.part(), part);
        });
        Map<Constituent, DailyLimit> limits = new EnumMap<>(Constituent.class);
        document("limits.yaml").each("limits", n -> {
            DailyLimit limit = limit(n);
            limits.put(limit.constituent(), limit);
        });
        ExtractionData extraction = Node.whole(document("extraction.yaml"), this::extraction);
        List<Herb> herbs = new ArrayList<>();
        for (String slug : lines("herbs/index.txt")) {
            Herb herb = Node.whole(document("herbs/" + slug + ".yaml"), this::herb);
            if (!herb.slug().equals(slug)) {
                throw new IllegalStateException("herbs/" + slug + ".yaml calls itself " + herb.slug());
            }
            herbs.add(herb);
        }
        List<Occasion> occasions = new ArrayList<>();
        document("occasions.yaml")
                .each("occasions", n -> occasions.add(new Occasion(n.text("words"), n.texts("keywords"))));
        return new Materia(herbs, parts, limits, extraction, sources, occasions);
    }

    private PartDefaults part(Node n) {
        Node kept = n.node("waterKept");
        Node dried = n.node("dried");
        Node fresh = n.node("fresh");
        String bulkSource = source(n.node("bulk"));
        n.node("bulk");
        Node holds = n.node("holds");
        Map<ExtractClass, Double> amounts = new EnumMap<>(ExtractClass.class);
        for (ExtractClass c : ExtractClass.values()) {
            amounts.put(c, holds.numberOr(yamlName(c), 0));
        }
        String keptSource = source(kept);
        return new PartDefaults(
                n.oneOf("part", PlantPart.class),
                new Sourced(kept.number("drained"), keptSource),
                new Sourced(kept.number("pressed"), keptSource),
                dried.spread("gPerTsp"),
                fresh.spread("gPerTsp"),
                bulkSource,
                sourced(n.node("moisture"), "fraction"),
                sourced(n.node("speed"), "perMin"),
                amounts,
                source(holds));
    }

    private DailyLimit limit(Node n) {
        double none = Double.POSITIVE_INFINITY;
        double perDay = n.numberOr("mgPerDay", none);
        return new DailyLimit(
                n.oneOf("constituent", Constituent.class),
                perDay,
                n.numberOr("mgPerKgPerDay", none),
                n.numberOr("pregnantMgPerDay", perDay),
                n.numberOr("childMgPerKgPerDay", none),
                n.text("words"),
                source(n));
    }

    private ExtractionData extraction(Node n) {
        Map<ExtractClass, ExtractionData.ClassConstants> classes = new EnumMap<>(ExtractClass.class);
        n.each(
                "classes",
                c -> classes.put(
                        c.oneOf("class", ExtractClass.class),
                        new ExtractionData.ClassConstants(
                                c.number("speed"),
                                c.number("activationKj"),
                                c.number("partitionMlPerG"),
                                c.number("lossPerMin"),
                                c.number("lossActivationKj"),
                                c.number("lossUnderLid"),
                                c.number("inSpirit"))));
        Node cuts = n.node("cutSpeed");
        Map<Cut, Double> cutSpeed = new EnumMap<>(Cut.class);
        for (Cut cut : Cut.values()) {
            cutSpeed.put(cut, cuts.number(yamlName(cut)));
        }
        return new ExtractionData(
                n.number("referenceC"),
                classes,
                cutSpeed,
                n.number("freshSpeed"),
                n.number("boilSpeed"),
                n.number("simmerSpeed"),
                n.number("shakenSpeed"),
                n.number("bandRelative"),
                source(n));
    }

    private Herb herb(Node n) {
        List<Bulk> bulk = new ArrayList<>();
        n.each(
                "bulk",
                b -> bulk.add(new Bulk(
                        b.oneOf("form", Form.class), b.oneOf("cut", Cut.class), b.spread("gPerTsp"), source(b))));
        List<Piece> pieces = new ArrayList<>();
        n.each("pieces", p -> pieces.add(new Piece(p.oneOf("form", Form.class), unit(p), p.spread("g"), source(p))));
        List<DoseRange> doses = new ArrayList<>();
        n.each("doses", d -> doses.add(dose(d)));
        List<LookAlike> lookAlikes = new ArrayList<>();
        n.each("lookAlikes", l -> lookAlikes.add(new LookAlike(l.text("name"), l.text("tell"), l.flag("poisonous"))));
        List<Substitute> substitutes = new ArrayList<>();
        n.each(
                "substitutes",
                s -> substitutes.add(new Substitute(s.text("herb"), s.number("ratio"), s.text("change"), source(s))));
        List<Content> contents = new ArrayList<>();
        n.each(
                "constituents",
                c -> contents.add(new Content(c.oneOf("name", Constituent.class), c.spread("mgPerG"), source(c))));
        List<HerbCaution> cautions = new ArrayList<>();
        n.each("cautions", c -> cautions.addAll(cautions(c)));
        return new Herb(
                n.text("slug"),
                n.text("common"),
                n.text("latin"),
                n.texts("also"),
                n.oneOf("part", PlantPart.class),
                n.text("use"),
                bulk,
                pieces,
                sourcedOr(n, "freshMoisture", "fraction"),
                doses,
                n.optional("method")
                        .map(m -> new UsualMethod(m.oneOf("kind", Method.class), m.number("minutes"), source(m))),
                n.optional("gives").map(this::gives).orElse(Gives.AS_ITS_PART),
                sourcedOr(n, "ageFloor", "years"),
                sourcedOr(n, "longestRun", "days"),
                sourcedOr(n, "keeps", "months"),
                n.texts("prep"),
                n.textOr("identity", ""),
                lookAlikes,
                n.flag("foraged"),
                n.flag("stains"),
                n.flag("sour"),
                n.flag("curdles"),
                n.optional("withAcid").map(a -> new ColourTurn(a.text("from"), a.text("to"), source(a))),
                n.optional("inCup")
                        .map(c -> new CupGate(
                                c.numberIfAny("aboveC"), c.numberIfAny("belowC"), c.text("why"), source(c))),
                substitutes,
                contents,
                cautions,
                n.optional("stop").map(s -> new Stop(s.text("text"), source(s))));
    }

    private DoseRange dose(Node d) {
        Range none = new Range(0, 0);
        boolean byCup = d.has("perCupG");
        Range perCup = byCup ? d.range("perCupG") : none;
        Range times = d.has("timesADay") ? d.range("timesADay") : new Range(1, 3);
        Range perDay = d.has("perDayG")
                ? d.range("perDayG")
                : new Range(perCup.low() * times.low(), perCup.high() * times.high());
        if (!byCup) {
            perCup = new Range(perDay.low() / times.high(), perDay.high() / times.high());
        }
        return new DoseRange(
                d.oneOf("tradition", Tradition.class), d.oneOf("form", Form.class), perCup, perDay, times, source(d));
    }

    private List<HerbCaution> cautions(Node c) {
        Severity severity = c.oneOf("severity", Severity.class);
        String text = c.text("text");
        String source = source(c);
        if (!c.has("when")) {
            return List.of(new HerbCaution(Optional.empty(), severity, text, source));
        }
        return c.texts("when").stream()
                .map(code -> new HerbCaution(
                        Optional.of(Condition.ofCode(code)
                                .orElseThrow(() -> new IllegalStateException(c.path() + ": no condition " + code))),
                        severity,
                        text,
                        source))
                .toList();
    }

    private Gives gives(Node g) {
        Map<ExtractClass, Double> amounts = new EnumMap<>(ExtractClass.class);
        for (ExtractClass c : ExtractClass.values()) {
            if (g.has(yamlName(c))) {
                amounts.put(c, g.number(yamlName(c)));
            }
        }
        return new Gives(g.numberOr("speed", 1), amounts, source(g));
    }

    private static Unit unit(Node p) {
        String code = p.text("unit");
        return Unit.ofCode(code).orElseThrow(() -> new IllegalStateException(p.path() + ": no unit " + code));
    }

    private Optional<Sourced> sourcedOr(Node n, String name, String value) {
        return n.optional(name).map(v -> sourced(v, value));
    }

    private Sourced sourced(Node n, String value) {
        return new Sourced(n.number(value), source(n));
    }

    /** The source key of a value; it must stand in {@code sources.yaml}. */
    private String source(Node n) {
        String key = n.text("source");
        if (!sources.containsKey(key)) {
            throw new IllegalStateException(n.path() + ": source '" + key + "' is not in sources.yaml");
        }
        return key;
    }

    private static String yamlName(Enum<?> constant) {
        String[] words = constant.name().toLowerCase(java.util.Locale.ROOT).split("_");
        return words[0]
                + String.join(
                        "",
                        Arrays.stream(words)
                                .skip(1)
                                .map(w -> w.toUpperCase(java.util.Locale.ROOT).charAt(0) + w.substring(1))
                                .toList());
    }

    private static Node document(String name) {
        LoaderOptions options = new LoaderOptions();
        options.setAllowDuplicateKeys(false);
        return new Node(name, new Yaml(new SafeConstructor(options)).load(text(name)));
    }

    private static List<String> lines(String name) {
        return text(name).lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
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
