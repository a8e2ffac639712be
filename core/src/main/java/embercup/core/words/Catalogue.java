package embercup.core.words;

import com.ibm.icu.text.MessageFormat;
import embercup.core.measure.HouseUnits;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The sentences of one language by their keys. Immutable and thread-safe. */
final class Catalogue {

    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)\\}");
    private static final Pattern QUANTITY = Pattern.compile("\\[(\\d+(?:\\.\\d+)?) ([^]\\s]+)]");
    private static final Pattern NAMED = Pattern.compile("\\{(\\w+)[,}]");

    private final Locale locale;
    private final Map<String, String> patterns;
    private final Map<String, Sentence> ready = new ConcurrentHashMap<>();

    private final HouseUnits units;
    private final Numbers numbers;

    Catalogue(Locale locale, Map<String, String> patterns) {
        this(locale, Map.copyOf(patterns), HouseUnits.DEFAULT);
    }

    private Catalogue(Locale locale, Map<String, String> patterns, HouseUnits units) {
        this.locale = locale;
        this.patterns = patterns;
        this.units = units;
        this.numbers = new Numbers(this, units);
    }

    /** The same sentences with their quantities in the units of a house. */
    Catalogue in(HouseUnits house) {
        return new Catalogue(locale, patterns, house);
    }

    HouseUnits units() {
        return units;
    }

    Numbers numbers() {
        return numbers;
    }

    /** Whether words of a language ship: a file of its code. */
    static boolean ships(String language) {
        return language.matches("[a-z]{2,3}") && Catalogue.class.getResource(path(language)) != null;
    }

    private static String path(String language) {
        return "/embercup/words/" + language + ".properties";
    }

    /** @throws IllegalStateException when no catalogue of that language ships */
    static Catalogue shipped(String language) {
        String path = path(language);
        try (InputStream in = Catalogue.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException("no words ship for " + language + ": " + path);
            }
            Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8);
            Properties all = new Properties();
            all.load(reader);
            Map<String, String> patterns = new ConcurrentHashMap<>();
            all.stringPropertyNames().forEach(k -> patterns.put(k, all.getProperty(k)));
            Locale locale =
                    Locale.forLanguageTag(Objects.requireNonNullElse(patterns.remove("language.locale"), language));
            return new Catalogue(locale, patterns);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    Locale locale() {
        return locale;
    }

    Set<String> keys() {
        return new TreeSet<>(patterns.keySet());
    }

    Optional<String> pattern(String key) {
        return Optional.ofNullable(patterns.get(key));
    }

    boolean has(String key) {
        return patterns.containsKey(key);
    }

    /** What a sentence is about, by the names in its pattern. Asked only for what the pattern names. */
    @FunctionalInterface
    interface Arguments {
        @Nullable
        Object get(String name);

        /** These first. */
        default Arguments with(Map<String, ?> more) {
            return name -> more.containsKey(name) ? more.get(name) : get(name);
        }
    }

    String say(String key, Map<String, ?> arguments) {
        return say(key, arguments::get);
    }

    /**
     * A sentence with its arguments.
     *
     * @throws IllegalStateException for a key that the language does not have
     */
    String say(String key, Arguments arguments) {
        Sentence known = ready.get(key);
        return quantities((known != null ? known : ready.computeIfAbsent(key, this::sentence)).say(arguments));
    }

    private Sentence sentence(String key) {
        String pattern = patterns.get(key);
        if (pattern == null) {
            throw new IllegalStateException("the words of " + locale + " lack: " + key);
        }
        boolean plain = !PLACE.matcher(pattern).replaceAll("").contains("{");
        return plain ? Parts.of(pattern.replace("''", "'")) : Formatted.of(pattern, locale);
    }

    /** A text with the quantities that it writes in brackets, {@code [40 °C]}, in the units of the house. */
    String quantities(String text) {
        return text.indexOf('[') < 0
                ? text
                : QUANTITY.matcher(text).replaceAll(m -> units.ofUnit(m.group(2))
                        .map(scale -> numbers.shown(scale, Double.parseDouble(m.group(1))))
                        .orElse(m.group()));
    }

    private interface Sentence {
        String say(Arguments arguments);
    }

    /** A pattern that only puts its arguments in; most are, and this is many times as fast. Text and names take turns. */
    private record Parts(List<String> texts, List<String> names) implements Sentence {

        static Parts of(String pattern) {
            List<String> texts = new ArrayList<>();
            List<String> names = new ArrayList<>();
            Matcher m = PLACE.matcher(pattern);
            int end = 0;
            while (m.find()) {
                texts.add(pattern.substring(end, m.start()));
                names.add(m.group(1));
                end = m.end();
            }
            texts.add(pattern.substring(end));
            return new Parts(texts, names);
        }

        @Override
        public String say(Arguments arguments) {
            StringBuilder said = new StringBuilder(texts.get(0));
            for (int i = 0; i < names.size(); i++) {
                Object value = arguments.get(names.get(i));
                if (value == null) {
                    throw new IllegalStateException("no argument " + names.get(i) + " for: " + texts);
                }
                said.append(value).append(texts.get(i + 1));
            }
            return said.toString();
        }
    }

    /** A pattern with plurals and choices. The formatter keeps state while it works. */
    private record Formatted(MessageFormat format, Set<String> names) implements Sentence {

        /** The formatter itself knows only its outer names, not those within a choice. */
        static Formatted of(String pattern, Locale locale) {
            Set<String> names =
                    NAMED.matcher(pattern).results().map(m -> m.group(1)).collect(Collectors.toSet());
            return new Formatted(new MessageFormat(pattern, locale), Set.copyOf(names));
        }

        @Override
        public String say(Arguments arguments) {
            Map<String, Object> all = new HashMap<>();
            for (String name : names) {
                Object value = arguments.get(name);
                if (value != null) {
                    all.put(name, value);
                }
            }
            synchronized (format) {
                return format.format(all, new StringBuffer(), null).toString();
            }
        }
    }
}
