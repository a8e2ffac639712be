package embercup.server.platform;

import embercup.core.measure.HouseUnits;
import embercup.core.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.i18n.LocaleContext;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.LocaleContextResolver;

/**
 * The words of the trade in the units of the household. They come to whoever says something the way the framework brings a
 * reader's language: bound to the thread for as long as it answers, read from the household when the first word is said.
 */
@Component("localeResolver")
public class HouseWords implements LocaleContextResolver {

    private final HouseUnitsSource source;
    private final Map<Spoken, Words> ready = new ConcurrentHashMap<>();

    /** A language in the units of a house. */
    private record Spoken(Locale language, HouseUnits units) {}

    HouseWords(HouseUnitsSource source) {
        this.source = source;
    }

    /** The words for whoever is answered now; in the core's own units outside of any answer. */
    public static Words words() {
        return LocaleContextHolder.getLocaleContext() instanceof House house ? house.words() : plain();
    }

    /** The reader's language in the core's own units: for what is said also when the household cannot be read. */
    public static Words plain() {
        return LocaleContextHolder.getLocaleContext() instanceof House house ? house.language() : Words.best(List.of());
    }

    /** The household's units were read along with something else: this answer's first word need not ask for them. */
    public static void in(HouseUnits units) {
        if (LocaleContextHolder.getLocaleContext() instanceof House house) {
            house.in(units);
        }
    }

    /** Does something that says words and answers no request: it tells listeners. */
    public void saying(Runnable something) {
        LocaleContext before = LocaleContextHolder.getLocaleContext();
        LocaleContextHolder.setLocaleContext(new House(null));
        try {
            something.run();
        } finally {
            LocaleContextHolder.setLocaleContext(before);
        }
    }

    @Override
    public LocaleContext resolveLocaleContext(HttpServletRequest request) {
        return new House(request.getHeader(HttpHeaders.ACCEPT_LANGUAGE));
    }

    @Override
    public void setLocaleContext(
            HttpServletRequest request, @Nullable HttpServletResponse response, @Nullable LocaleContext context) {
        throw new UnsupportedOperationException("the household is changed, not the request");
    }

    /** The languages that a reader asks for, the dearest first; none for a header that cannot be read. */
    private static List<Locale.LanguageRange> ranges(@Nullable String header) {
        try {
            return header == null ? List.of() : Locale.LanguageRange.parse(header);
        } catch (IllegalArgumentException e) {
            return List.of();
        }
    }

    /** One answer's words, the same from its first to its last. */
    private final class House implements LocaleContext {

        private final @Nullable String asked;
        private @Nullable Words language;
        private @Nullable Words words;

        /** @param asked as the header says it; read when the first word is said, as most answers say none */
        House(@Nullable String asked) {
            this.asked = asked;
        }

        Words language() {
            Words known = language == null ? Words.best(ranges(asked)) : language;
            language = known;
            return known;
        }

        Words words() {
            return words == null ? in(source.houseUnits()) : words;
        }

        /** Words that were said already stay as they were. */
        Words in(HouseUnits units) {
            Words now = words == null
                    ? ready.computeIfAbsent(new Spoken(language().locale(), units), s -> language()
                            .in(units))
                    : words;
            words = now;
            return now;
        }

        @Override
        public Locale getLocale() {
            return language().locale();
        }
    }
}
