package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Source.Kind;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.yaml.snakeyaml.Yaml;

/**
 * What every number of the materia rests on, counted: {@code docs/sources.md} is written from the data and never by hand.
 * {@code tools/sources-doc} writes it anew.
 */
class SourcesOnPaperTest {

    private static final Path PAPER = Path.of("..", "docs", "sources.md");
    private static final List<String> TABLES = List.of("parts.yaml", "limits.yaml", "extraction.yaml", "traits.yaml");

    /** Values by the key of their source. */
    private final Map<String, Integer> values = new TreeMap<>();

    @Test
    void thePaperSaysWhatTheDataSays() throws IOException {
        for (String table : TABLES) {
            count(read(table));
        }
        Set<String> slugs = new LinkedHashSet<>();
        for (Herb herb : MATERIA.herbs()) {
            slugs.add(herb.slug());
            count(read("herbs/" + herb.slug() + ".yaml"));
        }
        String paper = paper(slugs.size()) + perHerb();
        if (Boolean.getBoolean("sources.write")) {
            Files.writeString(PAPER, paper);
        }
        assertThat(Files.readString(PAPER)).as("run tools/sources-doc").isEqualTo(paper);
    }

    private static Object read(String name) throws IOException {
        try (InputStream in =
                Objects.requireNonNull(SourcesOnPaperTest.class.getResourceAsStream(MateriaDocuments.ROOT + name))) {
            return new Yaml().load(in);
        }
    }

    private void count(Object node) {
        if (node instanceof Map<?, ?> map) {
            if (map.get("source") instanceof String key) {
                values.merge(key, 1, Integer::sum);
            }
            map.values().forEach(this::count);
        } else if (node instanceof List<?> list) {
            list.forEach(this::count);
        }
    }

    /** How many values of each herb rest on what, those it takes from its part among them. */
    private static String perHerb() {
        StringBuilder out = new StringBuilder("\n## Herb by herb\n\n"
                + "Values that are used of each herb. Memory: published, not compared with the source yet. "
                + "Part: estimated from other herbs of its part. A value that somebody compares with its source goes into "
                + "`checks.yaml` with the day.\n\n");
        Map<Evidence.Basis, Integer> all = new EnumMap<>(Evidence.Basis.class);
        StringBuilder rows = new StringBuilder();
        for (Herb herb : MATERIA.herbs()) {
            if (herb.stop().isPresent()) {
                continue;
            }
            Map<Evidence.Basis, Integer> counts = new EnumMap<>(Evidence.Basis.class);
            Evidence.values(MATERIA, herb)
                    .forEach(v -> counts.merge(Evidence.basis(MATERIA, herb, v), 1, Integer::sum));
            counts.forEach((basis, n) -> all.merge(basis, n, Integer::sum));
            rows.append(row(herb.slug(), counts));
        }
        return out.append("| herb | measured | checked | memory | practice | estimate | part |\n")
                .append("|---|---:|---:|---:|---:|---:|---:|\n")
                .append(row("**all**", all))
                .append(rows)
                .toString();
    }

    private static String row(String name, Map<Evidence.Basis, Integer> counts) {
        StringBuilder row = new StringBuilder("| " + name + " |");
        for (Evidence.Basis basis : List.of(
                Evidence.Basis.MEASURED,
                Evidence.Basis.CHECKED,
                Evidence.Basis.MEMORY,
                Evidence.Basis.PRACTICE,
                Evidence.Basis.ESTIMATE,
                Evidence.Basis.PART)) {
            row.append(" %d |".formatted(counts.getOrDefault(basis, 0)));
        }
        return row.append('\n').toString();
    }

    private String paper(int herbs) {
        StringBuilder out = new StringBuilder();
        int all = values.values().stream().mapToInt(Integer::intValue).sum();
        out.append("# What the numbers rest on\n\n")
                .append("Written by `tools/sources-doc` from the data; a test fails when it differs.\n\n")
                .append("%d sourced values of %d herbs and kitchen things and of the tables beside them.\n\n"
                        .formatted(all, herbs))
                .append("| kind | values | of them from memory |\n|---|---:|---:|\n");
        Map<Kind, int[]> kinds = new EnumMap<>(Kind.class);
        Arrays.stream(Kind.values()).forEach(k -> kinds.put(k, new int[2]));
        values.forEach((key, n) -> {
            Source source = Objects.requireNonNull(MATERIA.sources().get(key), key);
            kinds.get(source.kind())[0] += n;
            kinds.get(source.kind())[1] += source.fromMemory() ? n : 0;
        });
        kinds.forEach(
                (k, n) -> out.append("| %s | %d | %d |\n".formatted(k.name().toLowerCase(), n[0], n[1])));
        out.append("\nFrom memory: quoted from memory of that source, to be checked against the current edition.\n\n")
                .append("| source | kind | values |\n|---|---|---:|\n");
        MATERIA.sources().values().stream()
                .sorted(java.util.Comparator.comparing(Source::kind).thenComparing(Source::key))
                .forEach(s -> out.append("| %s | %s | %d |\n"
                        .formatted(s.title(), s.kind().name().toLowerCase(), values.getOrDefault(s.key(), 0))));
        return out.toString();
    }

    /** A dose is called a monograph's only where a monograph gives one. */
    @Test
    void noDoseIsCalledAMonographsThatIsNone() {
        assertThat(MATERIA.herbs()).allSatisfy(h -> assertThat(h.doses())
                .filteredOn(d -> d.tradition() == Tradition.MONOGRAPH)
                .allSatisfy(d -> assertThat(d.source()).as(h.slug()).isIn("hmpc", "escop", "who")));
    }
}
