package embercup.core.reading;

import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Finds the herbs of the materia in what somebody wrote: common, Latin and other names, plurals allowed. Immutable. */
final class HerbWords {

    /** A first word shorter than this names no herb by itself. */
    private static final int SHORTEST = 4;

    private final Materia materia;
    private final Map<Pattern, Herb> names = new LinkedHashMap<>();
    private final Map<Pattern, Set<Herb>> shared = new LinkedHashMap<>();

    HerbWords(Materia materia) {
        this.materia = materia;
        Map<String, Set<Herb>> all = new LinkedHashMap<>();
        for (Herb h : materia.herbs()) {
            names(h).forEach(n ->
                    all.computeIfAbsent(n, x -> new LinkedHashSet<>()).add(h));
        }
        List<String> longestFirst = new ArrayList<>(all.keySet());
        longestFirst.sort(Comparator.comparingInt(String::length).reversed());
        for (String name : longestFirst) {
            Set<Herb> herbs = all.get(name);
            // A name of two herbs, the flower and the berry of one tree, names neither.
            if (herbs.size() > 1) {
                shared.put(word(name), herbs);
            } else {
                names.put(word(name), herbs.iterator().next());
            }
        }
    }

    private static Stream<String> names(Herb h) {
        return Stream.concat(Stream.of(h.slug().replace('-', ' '), h.common(), h.binomial()), h.also().stream())
                .map(n -> n.toLowerCase(Locale.ROOT))
                .filter(n -> !n.isBlank());
    }

    private static Pattern word(String name) {
        return Pattern.compile("\\b" + Pattern.quote(name) + "(?:s|es)?\\b");
    }

    private static String firstWord(Herb h) {
        return h.common().toLowerCase(Locale.ROOT).split("\\s")[0];
    }

    /**
     * The herb with the longest name that a text in lower case holds; "dandelion" without its part will do where one herb
     * alone begins so.
     */
    Optional<Herb> named(String written) {
        String text = written.replace("× ", "");
        Optional<Herb> whole = names.entrySet().stream()
                .filter(e -> e.getKey().matcher(text).find())
                .map(Map.Entry::getValue)
                .findFirst();
        return whole.or(() -> spelledOut(text)).or(() -> byFirstWord(text));
    }

    /** Of herbs that share a name the one whose every word is there: "juice of a lemon" is lemon juice. */
    Optional<Herb> spelledOut(String text) {
        List<Herb> hits = sharing(text).stream()
                .filter(h -> Stream.of(h.common().toLowerCase(Locale.ROOT).split("\\W+"))
                        .allMatch(w -> word(w).matcher(text).find()))
                .toList();
        return hits.size() == 1 ? Optional.of(hits.get(0)) : Optional.empty();
    }

    private Optional<Herb> byFirstWord(String text) {
        List<Herb> hits = materia.herbs().stream()
                .filter(h -> firstWord(h).length() >= SHORTEST
                        && word(firstWord(h)).matcher(text).find())
                .toList();
        return hits.size() == 1 ? Optional.of(hits.get(0)) : Optional.empty();
    }

    /** Whether a text speaks of a herb that is known to be in the pot: the first word of its name will do. */
    static boolean mentions(String text, Herb herb) {
        return Stream.concat(names(herb), Stream.of(firstWord(herb)))
                .anyMatch(n ->
                        Pattern.compile("\\b" + Pattern.quote(n)).matcher(text).find());
    }

    /** Herbs that share the name that a text in lower case holds; empty when it holds none of two. */
    Set<Herb> sharing(String text) {
        return shared.entrySet().stream()
                .filter(e -> e.getKey().matcher(text.replace("× ", "")).find())
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(Set.of());
    }
}
