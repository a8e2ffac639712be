package embercup.server.notebook;

import embercup.core.dose.Taste;
import embercup.core.workings.Limit;
import embercup.server.platform.Csv;
import embercup.server.platform.Fields;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Slice;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The memory of the household: what was brewed, how it was meant, how it was. */
@Service
public class Notebook {

    private static final int PAGE = 30;
    private static final int LONGEST_HISTORY = 500;

    private final EntryRepository repository;

    Notebook(EntryRepository repository) {
        this.repository = repository;
    }

    /** Writes or rewrites the line of a brew; called whenever a brew ends or is noted. */
    @Transactional
    public void write(Entry entry) {
        EntryEntity e = repository.findById(entry.brewed().brewId()).orElseGet(EntryEntity::new);
        e.brewId = entry.brewed().brewId();
        e.recipeId = entry.brewed().recipeId();
        e.name = entry.brewed().name();
        e.drinkerName = entry.brewed().drinkerName();
        e.drinkerId = entry.brewed().drinkerId();
        e.brewedAt = entry.brewed().brewedAt();
        e.cups = entry.cup().cups();
        e.plannedStrength = entry.cup().plannedStrength();
        e.predictedStrength = entry.cup().predictedStrength();
        e.gramsPerCup = entry.cup().gramsPerCup();
        e.phase = entry.brewed().phase();
        e.felt = entry.felt();
        e.liking = entry.liking();
        e.taste = entry.tasting().taste();
        e.change = entry.tasting().change();
        e.colour = entry.tasting().colour();
        e.clarity = entry.tasting().clarity();
        e.smell = entry.tasting().smell();
        e.effect = entry.tasting().effect();
        e.meanwhile = entry.tasting().meanwhile();
        repository.save(e);
    }

    /** Takes the line out again: the end of the brew was undone. */
    @Transactional
    public void strike(UUID brewId) {
        repository.deleteById(brewId);
    }

    /** Takes somebody's name off her lines; what she said of her cups stays. */
    @Transactional
    public void forget(UUID drinkerId) {
        repository.forget(drinkerId);
    }

    /** What was felt of a recipe by a drinker since a moment. */
    @Transactional(readOnly = true)
    public List<Taste.Note> tasteNotes(UUID recipeId, UUID drinkerId, Instant since) {
        return repository.felt(recipeId, drinkerId, since).stream()
                .map(e -> new Taste.Note(e.predictedStrength, e.felt))
                .toList();
    }

    /** Some entries by their brews, in the order of their brewing. */
    @Transactional(readOnly = true)
    public List<Entry> some(List<UUID> brewIds) {
        return repository.findAllById(brewIds).stream()
                .sorted(Comparator.comparing(e -> e.brewedAt))
                .map(Notebook::entry)
                .toList();
    }

    /** A recipe's whole history, the oldest first, at most the newest five hundred. */
    @Transactional(readOnly = true)
    public List<Entry> history(UUID recipeId) {
        List<Entry> newest = repository
                .findAllByRecipeIdOrderByBrewedAtDescBrewIdDesc(recipeId, PageRequest.of(0, LONGEST_HISTORY))
                .map(Notebook::entry)
                .getContent();
        List<Entry> oldestFirst = new ArrayList<>(newest);
        Collections.reverse(oldestFirst);
        return oldestFirst;
    }

    /** Newest first; by words, by recipe, by drinker and liking, or all. */
    @Transactional(readOnly = true)
    public Entry.EntryPage page(
            @Nullable String words, @Nullable UUID recipeId, @Nullable String drinker, int liking, int page) {
        Fields.within(page, "page", Limit.PAGE);
        if (words != null && !words.isBlank()) {
            return search(words, page);
        }
        PageRequest request = PageRequest.of(page, PAGE);
        boolean filtered = drinker != null && !drinker.isBlank() || liking > 0;
        Slice<EntryEntity> slice = filtered
                ? repository.filtered(recipeId, drinker == null ? "" : drinker, liking, request)
                : recipeId != null
                        ? repository.findAllByRecipeIdOrderByBrewedAtDescBrewIdDesc(recipeId, request)
                        : repository.findAllByOrderByBrewedAtDescBrewIdDesc(request);
        return new Entry.EntryPage(slice.map(Notebook::entry).getContent(), request.getPageNumber(), slice.hasNext());
    }

    /** One more than a page is asked, to know whether there are older ones. */
    private Entry.EntryPage search(String words, int page) {
        List<EntryEntity> found = repository.searchNewest(words, PAGE + 1, page * PAGE);
        if (found.size() <= PAGE) {
            found = repository.searchAll(words, PAGE + 1, page * PAGE);
        }
        return new Entry.EntryPage(
                found.stream().limit(PAGE).map(Notebook::entry).toList(), page, found.size() > PAGE);
    }

    private static final List<String> COLUMNS = List.of(
            "brewed_at",
            "recipe",
            "drinker",
            "cups",
            "grams_per_cup",
            "planned_strength",
            "predicted_strength",
            "phase",
            "felt",
            "liking",
            "taste",
            "change",
            "colour",
            "clarity",
            "smell",
            "effect",
            "meanwhile",
            "brew_id");

    /** All of it as a table (RFC 4180); felt is −2 (weak) to 2 (strong), liking 1 to 5, strength 1 as the recipe means it. */
    @Transactional(readOnly = true)
    public String table() {
        try (Stream<EntryEntity> all = repository.streamAllByOrderByBrewedAtDescBrewIdDesc()) {
            return Csv.written(COLUMNS, all.map(Notebook::row));
        }
    }

    private static List<@Nullable Object> row(EntryEntity e) {
        return Arrays.asList(
                e.brewedAt,
                e.name,
                e.drinkerName,
                e.cups,
                e.gramsPerCup,
                e.plannedStrength,
                e.predictedStrength,
                e.phase,
                e.felt,
                e.liking,
                e.taste,
                e.change,
                e.colour,
                e.clarity,
                e.smell,
                e.effect,
                e.meanwhile,
                e.brewId);
    }

    private static Entry entry(EntryEntity e) {
        return new Entry(
                new Entry.Brewed(e.brewId, e.recipeId, e.name, e.drinkerName, e.drinkerId, e.brewedAt, e.phase),
                new Entry.Cup(e.cups, e.plannedStrength, e.predictedStrength, e.gramsPerCup),
                e.felt,
                e.liking,
                new Tasting(e.taste, e.change, e.colour, e.clarity, e.smell, e.effect, e.meanwhile));
    }
}
