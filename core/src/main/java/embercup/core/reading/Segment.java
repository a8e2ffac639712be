package embercup.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One thing that is done, and what is said of it. Immutable.
 *
 * @param act what is done; null before the first verb of a sentence
 * @param negated whether it is not to be done
 */
record Segment(@Nullable Label act, boolean negated, List<Item> items) {

    Segment {
        items = List.copyOf(items);
    }

    /** The segments of a sentence: every verb begins one. */
    static List<Segment> of(List<Item> items) {
        List<Segment> segments = new ArrayList<>();
        Label act = null;
        boolean not = false;
        boolean pendingNot = false;
        List<Item> said = new ArrayList<>();
        for (Item item : items) {
            Label label = item instanceof Item.Atom atom ? atom.label() : null;
            if (label != null && label.is(Kind.ACT)) {
                if (act != null || said.stream().anyMatch(Segment::counts)) {
                    segments.add(new Segment(act, not, said));
                    said = new ArrayList<>();
                }
                act = label;
                not = pendingNot;
                pendingNot = false;
            } else {
                pendingNot = label != null && (label.is(Kind.NOT) || pendingNot && label.is(Kind.GLUE));
                said.add(item);
            }
        }
        segments.add(new Segment(act, not, said));
        return segments;
    }

    /** What would be a segment of its own, before a verb. */
    private static boolean counts(Item item) {
        return item instanceof Item.Thing || item instanceof Item.Time;
    }

    boolean is(Act wanted) {
        return act != null && act.is(wanted);
    }

    boolean any(Act... wanted) {
        return Stream.of(wanted).anyMatch(this::is);
    }

    Optional<Item.Time> time() {
        return items.stream()
                .filter(Item.Time.class::isInstance)
                .map(Item.Time.class::cast)
                .findFirst();
    }

    Optional<Item.Degrees> degrees() {
        return items.stream()
                .filter(Item.Degrees.class::isInstance)
                .map(Item.Degrees.class::cast)
                .findFirst();
    }

    Stream<Phrase> things() {
        return items.stream().filter(Item.Thing.class::isInstance).map(i -> ((Item.Thing) i).phrase());
    }

    Stream<Phrase> herbs() {
        return things().filter(Phrase::herb);
    }

    Optional<Phrase> water() {
        return things().filter(p -> p.water.isPresent()).findFirst();
    }

    /** An amount of nothing: "1 cup", "half". */
    Optional<Phrase> bare() {
        return things().filter(p -> !p.named() && p.amount != null && p.unknown.isEmpty())
                .findFirst();
    }

    Stream<Label> atoms(Kind kind) {
        return items.stream()
                .filter(Item.Atom.class::isInstance)
                .map(i -> ((Item.Atom) i).label())
                .filter(l -> l.is(kind));
    }

    Optional<Label> atom(Kind kind) {
        return atoms(kind).findFirst();
    }

    boolean has(Kind kind) {
        return atom(kind).isPresent();
    }
}
