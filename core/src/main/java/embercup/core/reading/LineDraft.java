package embercup.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** A line while it is read: which of its words moved a field, which are asked about, which are left. Mutable. */
final class LineDraft {

    /** Words that hold others together; alone they say nothing that could be lost. */
    private static final Set<Kind> CONNECTS = Set.of(
            Kind.GLUE, Kind.AND, Kind.OR, Kind.RANGE, Kind.ABOUT, Kind.BY, Kind.MARK, Kind.FINELY, Kind.FOR, Kind.LAST);

    final int index;
    final String text;
    final List<Word> words;
    List<Label> labels = List.of();
    final List<Understood> reads = new ArrayList<>();
    final List<Asked> asks = new ArrayList<>();
    final List<Integer> additions = new ArrayList<>();
    Reading.LineKind kind = Reading.LineKind.UNKNOWN;
    private final Reading.Mark[] marks;

    LineDraft(int index, String text, List<Word> words) {
        this.index = index;
        this.text = text;
        this.words = words;
        this.marks = new Reading.Mark[words.size()];
        Arrays.fill(marks, Reading.Mark.KEPT);
    }

    void read(List<Label> used) {
        mark(used, Reading.Mark.READ);
    }

    void read(Item item) {
        read(item.labels());
    }

    void read(Stream<Label> used) {
        read(used.toList());
    }

    /** Says what a line is that nobody has said yet. */
    void becomes(Reading.LineKind other) {
        kind = kind == Reading.LineKind.UNKNOWN ? other : kind;
    }

    void asked(List<Label> used) {
        mark(used, Reading.Mark.ASKED);
    }

    private void mark(List<Label> used, Reading.Mark as) {
        for (Label l : used) {
            for (int i = l.from(); i < l.to(); i++) {
                if (marks[i] != Reading.Mark.ASKED) {
                    marks[i] = as;
                }
            }
        }
    }

    boolean isRead(Label label) {
        return marks[label.from()] != Reading.Mark.KEPT;
    }

    /** The text that some labels stand for, from the first to the last. */
    String said(List<Label> of) {
        int from = of.stream().mapToInt(Label::from).min().orElseThrow();
        int to = of.stream().mapToInt(Label::to).max().orElseThrow();
        return text.substring(words.get(from).from(), words.get(to - 1).to());
    }

    /** What connects the words of a line of which something was read is read with them. */
    void settle() {
        boolean any = Arrays.stream(marks).anyMatch(m -> m != Reading.Mark.KEPT);
        if (!any) {
            return;
        }
        labels.stream().filter(l -> CONNECTS.contains(l.kind())).forEach(l -> read(List.of(l)));
    }

    /** What was left: runs of words, with what connects them. */
    List<String> kept() {
        List<String> runs = new ArrayList<>();
        int from = -1;
        for (int i = 0; i <= words.size(); i++) {
            boolean kept = i < words.size() && marks[i] == Reading.Mark.KEPT;
            if (kept && from < 0) {
                from = i;
            } else if (!kept && from >= 0) {
                runs.add(text.substring(words.get(from).from(), words.get(i - 1).to()));
                from = -1;
            }
        }
        return runs;
    }

    /** The sentences of which something was left, whole, so that it can be understood. */
    List<String> notes() {
        List<String> notes = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < words.size(); i++) {
            boolean last = i == words.size() - 1;
            if (last || ends(words.get(i), words.get(i + 1))) {
                boolean left = false;
                for (int j = from; j <= i; j++) {
                    left |= marks[j] == Reading.Mark.KEPT && !words.get(j).mark();
                }
                if (left) {
                    notes.add(
                            text.substring(words.get(from).from(), words.get(i).to())
                                    .strip());
                }
                from = i + 1;
            }
        }
        return notes;
    }

    private boolean ends(Word word, Word next) {
        return ".!?;".contains(word.folded()) && !Character.isLowerCase(text.charAt(next.from()));
    }

    /** Where what was made of the words begins and ends in the text. */
    List<Reading.Span> spans() {
        List<Reading.Span> spans = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= words.size(); i++) {
            if (i == words.size() || marks[i] != marks[from]) {
                spans.add(new Reading.Span(
                        words.get(from).from(), words.get(i - 1).to(), marks[from]));
                from = i;
            }
        }
        return spans;
    }
}
