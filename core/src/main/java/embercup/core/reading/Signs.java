package embercup.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads by what a cook sees that something is done: "until it has turned yellowish". Mutable with its pot. */
final class Signs {

    private final Pot pot;
    private final Sheet sheet;

    Signs(Pot pot, Sheet sheet) {
        this.pot = pot;
        this.sheet = sheet;
    }

    // ---- signs: until it looks so

    /** The items without what tells a sign, which is kept for the stage it ends. */
    List<Item> signs(List<Item> items, LineDraft line) {
        List<Item> rest = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            int end = clauseEnd(items, i + 1, line);
            if (atom(items.get(i), Kind.UNTIL) && sign(items, i + 1, end)) {
                List<Label> said = new ArrayList<>();
                items.subList(i + 1, end).forEach(item -> said.addAll(item.labels()));
                rest.add(items.get(i));
                pot.pendingSign = line.said(said);
                line.read(items.get(i));
                line.read(said);
                line.read(between(items, i, end));
                i = end - 1;
            } else {
                rest.add(items.get(i));
            }
        }
        return rest;
    }

    static List<Label> between(List<Item> items, int from, int to) {
        List<Label> all = new ArrayList<>();
        items.subList(from, to).forEach(i -> all.addAll(i.labels()));
        return all;
    }

    static boolean atom(Item item, Kind kind) {
        return item instanceof Item.Atom a && a.label().is(kind);
    }

    static int clauseEnd(List<Item> items, int from, LineDraft line) {
        for (int i = from; i < items.size(); i++) {
            if (items.get(i) instanceof Item.Atom a
                    && (a.label().is(Kind.ACT) || a.label().is(Kind.AND) && actFollows(items, i + 1))) {
                return i;
            }
            if (items.get(i) instanceof Item.Time) {
                return i;
            }
            int before = items.get(i).labels().get(0).from();
            if (i > from
                    && before > 0
                    && ",;.(".contains(line.words.get(before - 1).folded())) {
                return i;
            }
        }
        return items.size();
    }

    static boolean actFollows(List<Item> items, int from) {
        return from < items.size()
                && (atom(items.get(from), Kind.ACT) || atom(items.get(from), Kind.GLUE) && actFollows(items, from + 1));
    }

    /** Whether what follows "until" is something to see, and no amount that is left. */
    static boolean sign(List<Item> items, int from, int to) {
        List<Item> said = items.subList(from, Math.max(from, to));
        boolean mark = said.stream()
                .anyMatch(i -> atom(i, Kind.LEFT) || i instanceof Item.Thing t && t.phrase().amount != null);
        return !mark && said.stream().anyMatch(i -> atom(i, Kind.UNKNOWN));
    }

    void signed(Segment s, LineDraft line) {
        if (pot.pendingSign.isEmpty() || !s.has(Kind.UNTIL)) {
            return;
        }
        Optional<StageDraft> last =
                sheet.stages.stream().filter(StageDraft::timed).reduce((a, b) -> b);
        if (last.isPresent()) {
            last.get().sign = pot.pendingSign;
            line.reads.add(new Understood.Sign(pot.pendingSign));
            pot.pendingSign = "";
        }
    }
}
