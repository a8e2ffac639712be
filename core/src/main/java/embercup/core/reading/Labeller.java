package embercup.core.reading;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Takes the words of a sentence for what they most likely mean together: of all ways to cut it into phrases the one with the
 * highest score. Long phrases count more than short ones, and what belongs together counts more than what does not: a number
 * before a unit, a unit before a name, a counting word after a counted name. Immutable.
 */
final class Labeller {

    private static final Set<String> COUNTS = Set.of(
            "leaf", "flower", "petal", "sprig", "clove", "stick", "pod", "slice", "piece", "wedge", "bag", "thumb",
            "seed");

    private static final Set<Kind> OF_A_NAME = Set.of(Kind.FORM, Kind.CUT, Kind.PART, Kind.PREP, Kind.FINELY);
    /** A count of nothing: "four cloves" is four of the spice. */
    private static final double NAMELESS = -2.5;

    private final Vocabulary vocabulary;

    Labeller(Vocabulary vocabulary) {
        this.vocabulary = vocabulary;
    }

    /** What the words before a point were taken for, as far as it decides what follows. */
    private record State(
            @Nullable Label last,
            boolean number,
            @Nullable Label counted,
            boolean open,
            double score,
            @Nullable State before) {

        Kind kind() {
            return last == null ? Kind.MARK : last.kind();
        }

        double ended() {
            return open ? score + NAMELESS : score;
        }

        /** What stood before the words that only hold together. */
        Kind beforeGlue() {
            State s = this;
            while (s.kind() == Kind.GLUE && s.before != null) {
                s = s.before;
            }
            return s.kind();
        }

        /** Whether what follows decides by the same. */
        boolean like(State other) {
            return kind() == other.kind()
                    && number == other.number
                    && (counted == null) == (other.counted == null)
                    && open == other.open;
        }
    }

    /** The labels of all words, in their order. */
    List<Label> label(List<Word> words) {
        List<List<State>> ends = new ArrayList<>();
        for (int i = 0; i <= words.size(); i++) {
            ends.add(new ArrayList<>());
        }
        ends.get(0).add(new State(null, false, null, false, 0, null));
        for (int i = 0; i < words.size(); i++) {
            List<Label> here = candidates(words, i);
            for (State state : ends.get(i)) {
                here.forEach(label -> keep(ends.get(label.to()), after(state, label)));
            }
        }
        State best = Collections.max(ends.get(words.size()), (a, b) -> Double.compare(a.ended(), b.ended()));
        List<Label> labels = new ArrayList<>();
        for (State s = best; s != null && s.last != null; s = s.before) {
            labels.add(0, s.last);
        }
        return labels;
    }

    /** Of states after which everything goes on alike only the best is kept. */
    private static void keep(List<State> states, State state) {
        for (int i = 0; i < states.size(); i++) {
            if (states.get(i).like(state)) {
                if (states.get(i).score < state.score) {
                    states.set(i, state);
                }
                return;
            }
        }
        states.add(state);
    }

    private List<Label> candidates(List<Word> words, int from) {
        List<Label> all = new ArrayList<>(vocabulary.at(words, from));
        Numerals.Read figures = Numerals.at(words, from);
        if (figures.words() > 0) {
            all.add(new Label(from, from + figures.words(), Meaning.of(Kind.NUMBER, Double.toString(figures.value()))));
        }
        Word word = words.get(from);
        if (word.mark()) {
            all.add(new Label(from, from + 1, Meaning.of(Kind.MARK, word.folded())));
        } else if (figures.words() == 0) {
            all.add(new Label(from, from + 1, Meaning.of(Kind.UNKNOWN, word.folded())));
        }
        return all;
    }

    private State after(State state, Label label) {
        double score = state.score + alone(label) + together(state, label) + liquor(state, label);
        boolean glue = label.is(Kind.GLUE) || label.is(Kind.ABOUT) || label.is(Kind.SIZE) || label.is(Kind.FULL);
        boolean number = label.is(Kind.NUMBER) || label.is(Kind.FEW) || state.number && (glue || names(label));
        boolean held = glue || label.mark(",:-(") || label.is(Kind.NUMBER) || label.is(Kind.FEW);
        Label counted = label.is(Kind.NAME) ? label : held ? state.counted : null;
        boolean counts = label.is(Kind.UNIT) && COUNTS.contains(label.value()) && !counts(state.counted, label);
        boolean waits = state.open && (glue || OF_A_NAME.contains(label.kind()));
        boolean lost = state.open && !waits && !label.is(Kind.NAME) && !label.is(Kind.UNIT);
        return new State(label, number, counted, counts || waits, lost ? score + NAMELESS : score, state);
    }

    /** "Tea" is a leaf where it is measured, and else what is in the pot. */
    private double liquor(State state, Label label) {
        boolean measured = state.number || state.kind() == Kind.UNIT || state.open;
        return label.is(Kind.NAME) && !measured && vocabulary.liquor(label.meaning()) ? -5 : 0;
    }

    /** Words of a herb that may stand between a number and what counts it. */
    private static boolean names(Label label) {
        return label.is(Kind.NAME) || label.is(Kind.FORM) || label.is(Kind.CUT);
    }

    private static double alone(Label label) {
        int n = label.words();
        return switch (label.kind()) {
            case NAME -> 3.0 * n * n + 2;
            case NUMBER -> n * n + 2;
            case GLUE -> 0.6 * n;
            case MARK -> 0;
            case UNKNOWN -> -2;
            case PER_DAY, A_DAY, EACH_MEAL -> n * n + n + 4;
            case MENSTRUUM -> 2.0 * n * n + n;
            default -> n * n + n;
        };
    }

    private static double together(State state, Label label) {
        return switch (label.kind()) {
            case UNIT -> unit(state, label);
            case TIME -> state.number ? 4 : -1;
            case DEGREE -> degree(state);
            case NAME -> name(state, label);
            case PART -> state.number && state.counted == null ? -1.5 : 0.5;
            case NUMBER -> state.kind() == Kind.NUMBER ? -4 : 0;
            case SIZE -> -0.5;
            case TIMES -> state.number ? 1 : -1;
            default -> 0;
        };
    }

    private static double unit(State state, Label label) {
        boolean counts = COUNTS.contains(label.value());
        if (state.counted != null && state.number && !counts && state.last == state.counted) {
            return -1;
        }
        if (counts(state.counted, label)) {
            return state.number ? 4 : state.kind() == Kind.MARK ? -0.5 : 0;
        }
        return state.number ? 4 : -0.5;
    }

    /** Whether a word counts a name: any herb has leaves and slices, cloves and pods only some have. */
    private static boolean counts(@Nullable Label name, Label unit) {
        if (name == null || !COUNTS.contains(unit.value())) {
            return false;
        }
        boolean some = unit.value().equals("clove") || unit.value().equals("pod");
        return !some
                || name.meaning().herbs().stream()
                        .flatMap(h -> h.pieces().stream())
                        .anyMatch(p -> p.unit().code().equals(unit.value()));
    }

    /** Degrees follow a number that a kitchen's water can have. */
    private static double degree(State state) {
        boolean number = state.last != null && state.last.is(Kind.NUMBER);
        return number && state.last.meaning().number() >= 20 ? 4.5 : -3;
    }

    /** Two names without anything between are one name too many; a name follows a unit, or a number. */
    private static double name(State state, Label label) {
        if (state.kind() == Kind.NAME) {
            return -6;
        }
        if (state.kind() == Kind.GLUE && state.beforeGlue() == Kind.NAME) {
            return -3;
        }
        return state.open ? 2.5 : state.kind() == Kind.UNIT ? 2 : state.number ? 1 : 0;
    }
}
