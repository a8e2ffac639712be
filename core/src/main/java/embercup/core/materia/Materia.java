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

    Materia(
            Collection<Herb> herbs,
            Map<PlantPart, PartDefaults> parts,
            Map<Constituent, DailyLimit> limits,
            ExtractionData extraction,
            Map<String, Source> sources) {
        Map<String, Herb> bySlug = new TreeMap<>();
        herbs.forEach(h -> bySlug.put(h.slug(), h));
        this.herbs = java.util.Collections.unmodifiableMap(bySlug);
        this.parts = Map.copyOf(parts);
        this.limits = Map.copyOf(limits);
        this.extraction = extraction;
        this.sources = Map.copyOf(sources);
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
        return new Materia(all.values(), parts, limits, extraction, sources);
    }

    /** All herbs in the order of their slugs. */
    public Collection<Herb> herbs() {
        return herbs.values();
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

    /** Edits between two words (insert, delete, change). */
    static int distance(String a, String b) {
        int[] previous = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            previous[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int[] row = new int[b.length() + 1];
            row[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int change = previous[j - 1] + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
                row[j] = Math.min(change, Math.min(previous[j], row[j - 1]) + 1);
            }
            previous = row;
        }
        return previous[b.length()];
    }
}
