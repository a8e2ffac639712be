package embercup.core.materia;

import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Wanted;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** All herbs and kitchen ingredients that are known, with the figures of their parts. Immutable and thread-safe. */
public final class Materia {

    private final Map<String, Herb> herbs;
    private final Tables tables;
    private final Set<String> own;

    /** The materia that ships, whose herbs most are; itself when it is that. */
    private final Materia shipped;

    /** Of herbs whose names were asked for. */
    private final Map<String, PlainNames> names = new ConcurrentHashMap<>();

    private volatile @Nullable DrunkPlants drunk;

    /** What stands beside the herbs. */
    record Tables(
            Map<PlantPart, PartDefaults> parts,
            Map<Constituent, DailyLimit> limits,
            ExtractionData extraction,
            Map<String, Source> sources,
            Occasions occasions,
            Map<Trait.Kind, Trait> traits,
            List<Alike> alikes,
            List<Evidence.Check> checks) {
        Tables {
            checks = List.copyOf(checks);
            alikes = List.copyOf(alikes);
            parts = Map.copyOf(parts);
            limits = Map.copyOf(limits);
            sources = Map.copyOf(sources);
            traits = Map.copyOf(traits);
        }
    }

    Materia(Collection<Herb> herbs, Tables tables) {
        this(herbs, tables, Set.of(), null);
    }

    private Materia(Collection<Herb> herbs, Tables tables, Set<String> own, @Nullable Materia shipped) {
        Map<String, Herb> bySlug = new TreeMap<>();
        herbs.forEach(h -> bySlug.put(h.slug(), h));
        this.herbs = java.util.Collections.unmodifiableMap(bySlug);
        this.tables = tables;
        this.own = Set.copyOf(own);
        this.shipped = shipped == null ? this : shipped;
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
        Set<String> added = new HashSet<>(this.own);
        own.stream().map(Herb::slug).filter(slug -> !herbs.containsKey(slug)).forEach(added::add);
        return new Materia(all.values(), tables, added, shipped);
    }

    /** Whether another materia has the same herbs. */
    public boolean same(Materia other) {
        return this == other || herbs.equals(other.herbs);
    }

    /** Whether a herb is the cook's own altogether: the materia that ships knows nothing of it. */
    public boolean isOwn(String slug) {
        return own.contains(slug);
    }

    /** Names that mean several herbs. */
    public List<Alike> alikes() {
        return tables.alikes;
    }

    /** All herbs in the order of their slugs. */
    public Collection<Herb> herbs() {
        return herbs.values();
    }

    /** Herbs by any of their names, typing errors forgiven, the best first; all for an empty text. */
    public List<Herb> search(String text) {
        return HerbSearch.find(this, text);
    }

    /** The names of a herb as they are compared. */
    public PlainNames names(Herb herb) {
        if (herbs.get(herb.slug()) != herb) {
            return PlainNames.of(herb);
        }
        Materia keeper = shipped.herbs.get(herb.slug()) == herb ? shipped : this;
        return keeper.names.computeIfAbsent(herb.slug(), slug -> PlainNames.of(herb));
    }

    /** The plants that the shipped materia knows to be drunk or refused; a herb of the cook's own is among neither. */
    public DrunkPlants drunk() {
        DrunkPlants made = shipped.drunk;
        if (made == null) {
            made = DrunkPlants.of(shipped);
            shipped.drunk = made;
        }
        return made;
    }

    /** What people reach for a cup for, in a fixed order. */
    public List<Occasion> occasions() {
        return tables.occasions.all();
    }

    /** Signs that belong in a clinician's hands, whatever the cup is for. */
    public AskWhen askAlways() {
        return tables.occasions.askAlways();
    }

    /** The same of a small child. */
    public AskWhen askForChild() {
        return tables.occasions.askForChild();
    }

    public Optional<Herb> find(String slug) {
        return Optional.ofNullable(herbs.get(slug));
    }

    /** @throws InvalidInputException naming the nearest known slugs when there is no such herb */
    public Herb herb(String slug, String field) {
        return find(slug).orElseThrow(() -> InvalidInputException.of(field, slug, unknownHerb(slug)));
    }

    /** What to say of a slug that is not known: those that are near it. */
    public Wanted unknownHerb(String slug) {
        String wanted = slug.toLowerCase(Locale.ROOT).strip().replace(' ', '-');
        return new Wanted.KnownHerb(herbs.keySet().stream()
                .filter(s -> s.contains(wanted) || wanted.contains(s) || Edits.between(s, wanted) <= 2)
                .sorted(Comparator.comparingInt(s -> Edits.between(s, wanted)))
                .limit(3)
                .toList());
    }

    public PartDefaults part(PlantPart part) {
        return Objects.requireNonNull(tables.parts.get(part));
    }

    public Trait trait(Trait.Kind kind) {
        return Objects.requireNonNull(tables.traits.get(kind));
    }

    public Map<Constituent, DailyLimit> limits() {
        return tables.limits;
    }

    public ExtractionData extraction() {
        return tables.extraction;
    }

    public Map<String, Source> sources() {
        return tables.sources;
    }

    /** When somebody compared a value that was quoted from memory with its source; empty when nobody did. */
    public Optional<Evidence.Check> checked(Herb herb, Evidence.Rests one) {
        return tables.checks.stream()
                .filter(c -> c.herb().equals(herb.slug())
                        && c.value() == one.value()
                        && c.source().equals(one.source()))
                .findFirst();
    }
}
