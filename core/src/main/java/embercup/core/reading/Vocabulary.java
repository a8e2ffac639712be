package embercup.core.reading;

import embercup.core.materia.Alike;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.workings.Code;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Every phrase that means something: the words of a language and the names of the materia in any language. Immutable once
 * built.
 */
final class Vocabulary {

    /** A phrase so far, and what it means if it ends here. */
    private static final class Node {
        private final Map<String, Node> next = new HashMap<>();
        private final List<Meaning> meanings = new ArrayList<>();
        /** Meanings by how the language's words spell them: "keeps" is how it keeps, "keep" is let it stand. */
        private final Map<String, Set<Meaning>> spelled = new HashMap<>();
    }

    /** Words of a part that a name may end or begin with and still be a name without it. */
    private static final Set<Kind> LEFT_OUT_OF_NAMES = Set.of(Kind.FORM, Kind.CUT);

    private final Language language;
    private final Node nouns = new Node();
    private final Node verbs = new Node();
    private final Set<String> liquors = new LinkedHashSet<>();

    Vocabulary(Language language, Materia materia) {
        this.language = language;
        language.senses().forEach(this::sense);
        Numerals.spelled(language.language())
                .forEach((words, n) -> put(nouns, words, Meaning.of(Kind.NUMBER, Double.toString(n)), false));
        names(materia);
    }

    private void sense(String key, List<String> phrases) {
        int dot = key.indexOf('.');
        Kind kind = Code.constant(Kind.class, dot < 0 ? key : key.substring(0, dot));
        String value = dot < 0 ? "" : key.substring(dot + 1);
        Meaning meaning = Meaning.of(
                kind, kind == Kind.ACT ? Code.constant(Act.class, value).name() : value);
        for (String phrase : phrases) {
            if (kind == Kind.TEA) {
                liquors.add(key(phrase));
            }
            put(nouns, phrase, meaning, false);
            if (kind.verb()) {
                put(verbs, phrase, meaning, true);
            }
        }
    }

    private void put(Node root, String phrase, Meaning meaning, boolean verb) {
        Node node = root;
        List<Word> words = words(phrase);
        for (Word word : words) {
            String key = verb ? word.stem() : word.noun();
            node = node.next.computeIfAbsent(key, k -> new Node());
        }
        boolean known = node.meanings.stream()
                .anyMatch(m -> m.kind() == meaning.kind() && m.value().equals(meaning.value()));
        if (!known) {
            node.meanings.add(meaning);
        }
        node.spelled.computeIfAbsent(spelling(words), k -> new HashSet<>()).add(meaning);
    }

    private static String spelling(List<Word> words) {
        return words.stream().map(Word::folded).collect(Collectors.joining(" "));
    }

    private List<Word> words(String phrase) {
        return Word.of(phrase, language);
    }

    // ---- names

    /** A name as it is written somewhere, and what it may be. */
    private record Named(String phrase, Set<Herb> herbs) {}

    private void names(Materia materia) {
        Map<String, Named> exact = new LinkedHashMap<>();
        Map<String, Named> bare = new LinkedHashMap<>();
        for (Herb herb : materia.herbs()) {
            Stream.concat(herb.everyName(), genus(materia, herb).stream())
                    .filter(n -> !n.isBlank())
                    .forEach(name -> {
                        add(exact, name, herb);
                        String without = bare(name, !herb.also().contains(name));
                        boolean other = !without.isEmpty() && !without.equals(name);
                        if (other && herb.part() != PlantPart.PANTRY) {
                            add(bare, without, herb);
                        }
                    });
        }
        // A poisonous part does not take the name of the plant whose other parts are drunk: "apple" is no apple seed.
        bare.values().forEach(n -> {
            boolean drunk = Stream.concat(
                            n.herbs.stream(),
                            Optional.ofNullable(exact.get(key(n.phrase))).stream()
                                    .flatMap(e -> e.herbs.stream()))
                    .anyMatch(h -> h.stop().isEmpty());
            n.herbs.stream().filter(h -> h.stop().isEmpty() || !drunk).toList().forEach(h -> add(exact, n.phrase, h));
        });
        for (Alike alike : materia.alikes()) {
            Set<Herb> herbs = new LinkedHashSet<>();
            alike.herbs().forEach(slug -> materia.find(slug).ifPresent(herbs::add));
            alike.names().forEach(name -> exact.put(key(name), new Named(name, herbs)));
        }
        exact.forEach((key, n) -> put(nouns, n.phrase, new Meaning(Kind.NAME, key, List.copyOf(n.herbs)), false));
    }

    /** The genus of a refused plant of whose kin nothing is drunk: "symphytum". */
    private static Optional<String> genus(Materia materia, Herb herb) {
        if (herb.stop().isEmpty() || materia.isOwn(herb.slug())) {
            return Optional.empty();
        }
        String genus = materia.names(herb).genus();
        boolean drunk = materia.herbs().stream()
                .anyMatch(h -> h.stop().isEmpty() && materia.names(h).genus().equals(genus));
        return genus.isEmpty() || drunk ? Optional.empty() : Optional.of(genus);
    }

    private void add(Map<String, Named> names, String name, Herb herb) {
        names.computeIfAbsent(key(name), k -> new Named(name, new LinkedHashSet<>()))
                .herbs
                .add(herb);
    }

    private String key(String name) {
        StringBuilder all = new StringBuilder();
        words(name).forEach(w -> all.append(all.isEmpty() ? "" : " ").append(w.noun()));
        return all.toString();
    }

    /** A name without the word of its part, or of how it is dried or cut: "dandelion root", "hoja de ortiga", "dried apple". */
    private String bare(String name, boolean ofForm) {
        List<Word> words = words(name);
        int from = 0;
        int to = words.size();
        if (to > 1 && (part(words.get(to - 1)) || ofForm && leftOut(words.get(to - 1)))) {
            to--;
        } else if (to > 2 && (part(words.get(0)) || leftOut(words.get(0))) && glue(words.get(1))) {
            from = 2;
        } else if (to > 1 && ofForm && leftOut(words.get(0))) {
            from = 1;
        }
        StringBuilder rest = new StringBuilder();
        for (Word w : words.subList(from, to)) {
            rest.append(rest.isEmpty() ? "" : " ").append(w.folded());
        }
        return rest.toString();
    }

    private boolean part(Word word) {
        return means(word, Set.of(Kind.PART));
    }

    private boolean leftOut(Word word) {
        return means(word, LEFT_OUT_OF_NAMES);
    }

    private boolean glue(Word word) {
        return means(word, Set.of(Kind.GLUE));
    }

    private boolean means(Word word, Set<Kind> kinds) {
        Node node = nouns.next.get(word.noun());
        return node != null && node.meanings.stream().anyMatch(m -> kinds.contains(m.kind()));
    }

    // ---- what a text may mean

    /** Every meaning that some words have from an index on, each with how many words it takes. */
    List<Label> at(List<Word> words, int from) {
        List<Label> all = new ArrayList<>();
        walk(nouns, false, words, from, all);
        walk(verbs, true, words, from, all);
        return all;
    }

    private void walk(Node root, boolean verb, List<Word> words, int from, List<Label> into) {
        @Nullable Node node = root;
        for (int i = from; i < words.size(); i++) {
            node = node.next.get(verb ? words.get(i).stem() : words.get(i).noun());
            if (node == null) {
                return;
            }
            if (node.meanings.isEmpty()) {
                continue;
            }
            int to = i + 1;
            Set<Meaning> exact = node.spelled.getOrDefault(spelling(words.subList(from, to)), Set.of());
            node.meanings.stream()
                    .filter(m -> exact.isEmpty() || exact.contains(m) || m.kind() != Kind.ACT)
                    .forEach(m -> into.add(new Label(from, to, m)));
        }
    }

    /** Whether a name is a word for the liquor too: "the tea" is what is in the pot. */
    boolean liquor(Meaning name) {
        return liquors.contains(name.value());
    }

    /** How many words of a text are of this language and of no name. */
    long known(List<Word> words) {
        return words.stream()
                .filter(w -> Character.isLetter(w.folded().charAt(0)))
                .filter(w -> {
                    Node node = nouns.next.get(w.noun());
                    return node != null && node.meanings.stream().anyMatch(m -> m.kind() != Kind.NAME);
                })
                .count();
    }

    /** Parts of a plant that a word of a part may mean: leaves are picked of a leafy herb too. */
    static Set<PlantPart> parts(String code) {
        return switch (code) {
            case "leaf" -> Set.of(PlantPart.LEAF, PlantPart.HERB);
            case "flower" -> Set.of(PlantPart.FLOWER, PlantPart.HERB);
            case "root", "rhizome" -> Set.of(PlantPart.ROOT, PlantPart.RHIZOME);
            case "herb" -> Set.of(PlantPart.HERB, PlantPart.LEAF, PlantPart.FLOWER);
            case "seed" -> Set.of(PlantPart.SEED, PlantPart.FRUIT);
            // What is inside a seed or a stone is never the fruit around it.
            case "pip" -> Set.of(PlantPart.SEED);
            // Parts that no herb here is known to be drunk of: which one is meant is asked.
            case "none" -> Set.of();
            default -> Set.of(Code.constant(PlantPart.class, code));
        };
    }
}
