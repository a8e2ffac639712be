package embercup.server.notebook;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Slice;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The memory of the household: what was brewed, how it was meant, how it was. */
@Service
public class Notebook {

    private static final int PAGE = 30;

    private final EntryRepository repository;

    Notebook(EntryRepository repository) {
        this.repository = repository;
    }

    /** Writes or rewrites the line of a brew; called whenever a brew ends or is noted. */
    @Transactional
    public void write(Entry entry) {
        EntryEntity e = repository.findById(entry.brewId()).orElseGet(EntryEntity::new);
        e.brewId = entry.brewId();
        e.recipeId = entry.recipeId();
        e.name = entry.name();
        e.drinkerName = entry.drinkerName();
        e.brewedAt = entry.brewedAt();
        e.cups = entry.cups();
        e.plannedStrength = entry.plannedStrength();
        e.predictedStrength = entry.predictedStrength();
        e.gramsPerCup = entry.gramsPerCup();
        e.phase = entry.phase();
        e.felt = entry.felt();
        e.liking = entry.liking();
        e.taste = entry.taste();
        e.change = entry.change();
        repository.save(e);
    }

    /** Takes the line out again: the end of the brew was undone. */
    @Transactional
    public void strike(UUID brewId) {
        repository.deleteById(brewId);
    }

    /** Newest first; by words, by recipe, or all. */
    @Transactional(readOnly = true)
    public Entry.EntryPage page(@Nullable String words, @Nullable UUID recipeId, int page) {
        PageRequest request = PageRequest.of(Math.max(0, page), PAGE);
        Slice<EntryEntity> slice = words != null && !words.isBlank()
                ? repository.search(words, request)
                : recipeId != null
                        ? repository.findAllByRecipeIdOrderByBrewedAtDesc(recipeId, request)
                        : repository.findAllByOrderByBrewedAtDesc(request);
        return new Entry.EntryPage(slice.map(Notebook::entry).getContent(), request.getPageNumber(), slice.hasNext());
    }

    private static Entry entry(EntryEntity e) {
        return new Entry(
                e.brewId,
                e.recipeId,
                e.name,
                e.drinkerName,
                e.brewedAt,
                e.cups,
                e.plannedStrength,
                e.predictedStrength,
                e.gramsPerCup,
                e.phase,
                e.felt,
                e.liking,
                e.taste,
                e.change);
    }
}
