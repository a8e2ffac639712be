package embercup.core.materia;

import embercup.core.workings.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Finds herbs by any of their names, with typing errors forgiven, and by what they are used for. Stateless. */
final class HerbSearch {

    /** Words shorter than this must be typed right: two edits would make them any word. */
    private static final int FORGIVEN_FROM = 4;

    private HerbSearch() {}

    /** @param letters of a name that was asked for among other words: the longer one says more */
    private record Hit(Herb herb, int rank, int letters) {}

    /** Ranks after every name: a name stands among what was asked, a word of that is a word of a name, or of its use. */
    private static final int BY_NAME_AMONG_WORDS = 5;

    private static final int BY_FIRST_WORD = 6;
    private static final int BY_ANOTHER_WORD = 7;
    private static final int BY_USE = 8;

    /** The best first: a name, the beginning of one, a part of one, a name nearly typed, one word of a name, a use. */
    static List<Herb> find(Materia materia, String text) {
        if (text.length() > Length.LINE) {
            // No herb is called so, nor is anything near it.
            return List.of();
        }
        String wanted = PlainNames.plain(text);
        if (wanted.isEmpty()) {
            return List.copyOf(materia.herbs());
        }
        List<Occasion> meant = meant(materia.occasions(), wanted);
        List<Hit> hits = new ArrayList<>();
        for (Herb herb : materia.herbs()) {
            PlainNames names = materia.names(herb);
            int named =
                    names.plain().stream().mapToInt(n -> rank(n, wanted)).min().orElse(Integer.MAX_VALUE);
            int among = amongWords(names, wanted);
            int other = among > 0 ? BY_NAME_AMONG_WORDS : byWord(names, wanted);
            boolean fits = other == Integer.MAX_VALUE && meant.stream().anyMatch(o -> o.fits(herb) > 0);
            int rank = Math.min(named, fits ? BY_USE : other);
            if (rank < Integer.MAX_VALUE) {
                hits.add(new Hit(herb, rank, rank == BY_NAME_AMONG_WORDS ? among : 0));
            }
        }
        return hits.stream()
                .sorted(Comparator.comparingInt(Hit::rank)
                        .thenComparing(Comparator.comparingInt(Hit::letters).reversed())
                        .thenComparing(h -> h.herb.slug()))
                .map(Hit::herb)
                .toList();
    }

    /** Occasions that somebody means who looks for a word: "sleep" is the evening. */
    private static List<Occasion> meant(List<Occasion> occasions, String wanted) {
        return occasions.stream()
                .filter(o -> Stream.concat(Stream.of(o.words()), o.also().stream())
                        .map(PlainNames::plain)
                        .anyMatch(w -> wanted.length() >= FORGIVEN_FROM - 1
                                && (w.equals(wanted) || (" " + wanted + " ").contains(" " + w + " "))))
                .toList();
    }

    /** Letters of the longest name that stands in "1 part lemon balm"; 0 when none does. */
    private static int amongWords(PlainNames names, String wanted) {
        String spaced = " " + wanted + " ";
        return names.plain().stream()
                .filter(n -> n.length() >= FORGIVEN_FROM - 1 && spaced.contains(" " + n + " "))
                .mapToInt(String::length)
                .max()
                .orElse(0);
    }

    /** "Cinnamon powder" has a word of a name, "sleep" one of a use. */
    private static int byWord(PlainNames names, String wanted) {
        String[] asked = wanted.split(" ");
        for (int i = 0; i < asked.length && asked.length > 1; i++) {
            String word = asked[i];
            boolean named = word.length() >= FORGIVEN_FROM
                    && names.plain().stream()
                            .anyMatch(n -> List.of(n.split(" ")).contains(word));
            if (named) {
                return i == 0 ? BY_FIRST_WORD : BY_ANOTHER_WORD;
            }
        }
        boolean used = wanted.length() >= FORGIVEN_FROM && names.use().stream().anyMatch(w -> w.startsWith(wanted));
        return used ? BY_USE : Integer.MAX_VALUE;
    }

    private static int rank(String name, String wanted) {
        if (name.equals(wanted)) {
            return 0;
        }
        if (name.startsWith(wanted)) {
            return 1;
        }
        if (name.contains(wanted)) {
            return 2;
        }
        if (wanted.length() < FORGIVEN_FROM) {
            return Integer.MAX_VALUE;
        }
        int edits = Edits.between(name, wanted);
        for (String word : name.split(" ")) {
            edits = Math.min(edits, Edits.between(word, wanted));
            if (word.length() > wanted.length()) {
                edits = Math.min(edits, Edits.between(word.substring(0, wanted.length()), wanted));
            }
        }
        int forgiven = wanted.length() < 7 ? 1 : 2;
        return edits <= forgiven ? 2 + edits : Integer.MAX_VALUE;
    }
}
