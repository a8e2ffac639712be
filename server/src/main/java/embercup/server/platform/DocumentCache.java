package embercup.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What a long document says, for documents that are read again and again and change rarely: a pot on the fire is asked for by every
 * device every few seconds. It is known by the whole text, so that nothing that is remembered can be stale; what cannot be read is
 * not remembered.
 *
 * @param <T> immutable
 */
public final class DocumentCache<T extends @Nullable Object> {

    private final Function<String, T> read;
    private final Cache<String, T> known;

    /** @param most how many are remembered: the longest unasked is forgotten first */
    public DocumentCache(int most, Function<String, T> read) {
        this.read = read;
        this.known = Caffeine.newBuilder().maximumSize(most).build();
    }

    /** What it says; missing when the reading finds nothing. Throws what the reading throws. */
    public T of(String document) {
        return known.get(document, read);
    }
}
