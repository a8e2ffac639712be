package embercup.core.materia;

import embercup.core.workings.InvalidInput;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;

/** All herbs and kitchen ingredients that are known, with the figures of their parts. Immutable and thread-safe. */
public final class Materia {

    private final Map<String, Herb> herbs;
    private final Map<PlantPart, PartDefaults> parts;
    private final Map<Constituent, DailyLimit> limits;
    private final ExtractionData extraction;
    private final Map<String, Source> sources;
    private final List<Occasion> occasions;

    Materia(
            Collection<Herb> herbs,
            Map<PlantPart, PartDefaults> parts,
            Map<Constituent, DailyLimit> limits,
            ExtractionData extraction,
            Map<String, Source> sources,
            List<Occasion> occasions) {
        Map<String, Herb> bySlug = new TreeMap<>();
        herbs.forEach(h -> bySlug.put(h.slug(), h));
        this.herbs = java.util.Collections.unmodifiableMap(bySlug);
        this.parts = Map.copyOf(parts);
        this.limits = Map.copyOf(limits);
        this.extraction = extraction;
        this.sources = Map.copyOf(sources);
        this.occasions = List.copyOf(occasions);
    }

    /**
     * Reads the materia that ships in this jar.
     *
     * @throws IllegalStateException when a file is missing, has an unknown field, or a value without a source
     */
    public static Materia shipped() {
        return MateriaReader.shipped();
    }

    /** The same materia with some herbs added or replaced: the cook's own measured weights and herbs. */
    public Materia with(Collection<Herb> own) {
        Map<String, Herb> all = new TreeMap<>(herbs);
        own.forEach(h -> all.put(h.slug(), h));
        return new Materia(all.values(), parts, limits, extraction, sources, occasions);
    }

    /** All herbs in the order of their slugs. */
    public Collection<Herb> herbs() {
        return herbs.values();
    }

    /** Herbs by any of their names, typing errors forgiven, the best first; all for an empty text. */
    public List<Herb> search(String text) {
        return HerbSearch.find(herbs.values(), text);
    }

    /** What people reach for a cup for, in a fixed order. */
    public List<Occasion> occasions() {
        return occasions;
    }

    public Optional<Herb> find(String slug) {
        return Optional.ofNullable(herbs.get(slug));
    }

    /** @throws InvalidInput naming the nearest known slug when there is no such herb */
    public Herb herb(String slug, String field) {
        return find(slug).orElseThrow(() -> InvalidInput.of(field, slug, unknownHerb(slug)));
    }

    /** What to say of a slug that is not known. */
    public String unknownHerb(String slug) {
        String wanted = slug.toLowerCase(Locale.ROOT).strip().replace(' ', '-');
        List<String> near = herbs.keySet().stream()
                .filter(s -> s.contains(wanted) || wanted.contains(s) || distance(s, wanted) <= 2)
                .sorted(Comparator.comparingInt(s -> distance(s, wanted)))
                .limit(3)
                .toList();
        return near.isEmpty()
                ? "a herb of the materia, as listed by GET /api/herbs"
                : "a herb of the materia; near it: " + String.join(", ", near);
    }

    public PartDefaults part(PlantPart part) {
        return Objects.requireNonNull(parts.get(part));
    }

    public Map<Constituent, DailyLimit> limits() {
        return limits;
    }

    public ExtractionData extraction() {
        return extraction;
    }

    public Map<String, Source> sources() {
        return sources;
    }

    /** Edits between two words: insert, delete, change, or two neighbours swapped. */
    static int distance(String a, String b) {
        int[][] d = new int[a.length() + 1][b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            d[0][j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            d[i][0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int change = d[i - 1][j - 1] + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
                d[i][j] = Math.min(change, Math.min(d[i - 1][j], d[i][j - 1]) + 1);
                if (i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1)) {
                    d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
                }
            }
        }
        return d[a.length()][b.length()];
    }
}
