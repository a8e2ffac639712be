package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.Unit;
import embercup.core.reading.Amount.Loose;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Puts the labels of a sentence together: an amount, its unit and the name it is of; a number and its time. Mutable, used once. */
final class Chunker {

    private static final Set<Kind> SAID_OF_A_NAME =
            Set.of(Kind.FORM, Kind.CUT, Kind.PREP, Kind.PART, Kind.SIZE, Kind.FINELY, Kind.FULL);
    private static final Set<Kind> BETWEEN = Set.of(
            Kind.GLUE,
            Kind.ABOUT,
            Kind.SIZE,
            Kind.FULL,
            Kind.FORM,
            Kind.CUT,
            Kind.FINELY,
            Kind.PREP,
            Kind.PART,
            Kind.EACH,
            Kind.FOR);

    private final List<Label> labels;
    private final List<Item> items = new ArrayList<>();
    private @Nullable Phrase now;
    private @Nullable Amount each;
    private boolean or;
    private int at;

    private Chunker(List<Label> labels) {
        this.labels = labels;
    }

    static List<Item> items(List<Label> labels) {
        return new Chunker(labels).all();
    }

    private List<Item> all() {
        for (at = 0; at < labels.size(); at++) {
            Label label = labels.get(at);
            switch (label.kind()) {
                case NUMBER, FEW, LITTLE, TASTE -> number(label);
                case UNIT -> unit(label);
                case NAME -> name(label);
                case WATER, FRESH_WATER -> water(label);
                case MENSTRUUM -> menstruum(label);
                case STATE -> state(label);
                case FORM, CUT, PREP, PART, SIZE, FINELY, FULL -> attribute(label);
                case OPTIONAL, PER_CUP -> aside(label);
                case EACH -> each(label);
                case EQUAL -> {
                    close();
                    each = Amount.of(1, 1).in(Unit.PART);
                    items.add(new Item.Atom(label));
                }
                case SPAN -> timed(Times.span(label, at));
                case TIME -> timed(Times.one(labels, at));
                case OR -> or(label);
                case AND -> and(label);
                case MARK -> mark(label);
                case GLUE, ABOUT -> of(label);
                case UNKNOWN -> unknown(label);
                default -> {
                    close();
                    leading = null;
                    items.add(new Item.Atom(label));
                }
            }
        }
        close();
        BagsOfBlend.share(items);
        return items;
    }

    // ---- what comes next

    private @Nullable Label peek(int from, Set<Kind> over) {
        for (int i = from; i < labels.size(); i++) {
            if (!over.contains(labels.get(i).kind())) {
                return labels.get(i);
            }
        }
        return null;
    }

    /** Whether a name follows before anything that would hold it apart. */
    private boolean nameFollows(int from) {
        Label next = peek(from, BETWEEN);
        if (next != null && (next.is(Kind.UNIT) || next.is(Kind.NUMBER))) {
            for (int i = from; i < labels.size(); i++) {
                Kind kind = labels.get(i).kind();
                if (kind == Kind.NAME || kind == Kind.WATER || kind == Kind.MENSTRUUM || kind == Kind.FRESH_WATER) {
                    return true;
                }
                if (!BETWEEN.contains(kind) && kind != Kind.UNIT && kind != Kind.NUMBER && kind != Kind.STATE) {
                    return false;
                }
            }
        }
        return next != null && (next.is(Kind.NAME) || next.is(Kind.WATER) || next.is(Kind.MENSTRUUM));
    }

    // ---- amounts

    private void number(Label label) {
        if (article(label) && at + 1 < labels.size() && labels.get(at + 1).is(Kind.NUMBER)) {
            of(label);
            return;
        }
        List<Label> used = new ArrayList<>(List.of(label));
        Amount amount = one(label);
        int next = at + 1;
        if (next + 1 < labels.size()
                && Times.between(labels.get(next))
                && labels.get(next + 1).is(Kind.NUMBER)) {
            double high = labels.get(next + 1).meaning().number();
            if (high > amount.high()) {
                amount = Amount.of(amount.low(), high);
                used.add(labels.get(next));
                used.add(labels.get(next + 1));
                next += 2;
            }
        }
        if (label.is(Kind.LITTLE) && !nameFollows(next) && (now == null || !now.named())) {
            close();
            items.add(new Item.Atom(label));
            return;
        }
        Label after = peek(next, Set.of(Kind.SIZE, Kind.FULL, Kind.ABOUT));
        if (after != null && after.is(Kind.TIME)) {
            timed(Times.read(labels, at, amount, used, labels.indexOf(after)));
        } else if (after != null && after.is(Kind.DEGREE)) {
            timed(Times.degrees(labels, at, amount, used, labels.indexOf(after)));
        } else if (after != null && after.is(Kind.TIMES)) {
            close();
            items.add(new Item.Thing(bare(amount, used)));
            at = next - 1;
        } else {
            begin(amount, used, next);
            at = next - 1;
        }
    }

    /** "A" before another number: "a 2-inch piece". */
    private static boolean article(Label label) {
        return label.is(Kind.NUMBER) && label.meaning().number() == 1 && label.words() == 1;
    }

    /** A time or a warmth stands by itself. */
    private void timed(Times.Read read) {
        close();
        items.add(read.item());
        at = read.last();
    }

    private static Amount one(Label label) {
        return switch (label.kind()) {
            case FEW -> Amount.of(3, 3).left(Loose.FEW, label.value());
            case LITTLE, TASTE -> Amount.of(1, 1).left(Loose.TASTE, label.value());
            default -> Amount.of(label.meaning().number(), label.meaning().number());
        };
    }

    private static Phrase bare(Amount amount, List<Label> used) {
        Phrase phrase = new Phrase();
        phrase.amount = amount;
        phrase.labels.addAll(used);
        return phrase;
    }

    /** An amount: of what comes next, of what stood before, or beside another amount. */
    private void begin(Amount amount, List<Label> used, int next) {
        if (now != null && !now.named() && !now.unknown.isEmpty()) {
            close();
        }
        boolean taste = amount.loose() == Loose.TASTE && labels.get(at).is(Kind.TASTE);
        if (now != null && now.named() && now.amount == null && (taste || !nameFollows(next))) {
            now.amount = amount;
            now.labels.addAll(used);
        } else if (now != null && now.amount != null && taste) {
            now.labels.addAll(used);
        } else if (now != null
                && now.amount != null
                && (bracketed() || !now.named() || !now.comma && !nameFollows(next) && now.herb())) {
            now.beside = now.beside == null ? amount : now.beside;
            now.labels.addAll(used);
        } else if (now != null && now.amount == null && !now.named()) {
            now.amount = amount;
            now.labels.addAll(used);
        } else {
            close();
            now = bare(amount, used);
        }
    }

    private boolean bracketed() {
        int depth = 0;
        for (int i = 0; i < at; i++) {
            depth += labels.get(i).mark("([") ? 1 : labels.get(i).mark(")]") ? -1 : 0;
        }
        return depth > 0;
    }

    private void unit(Label label) {
        Unit unit = Unit.ofCode(label.value()).orElseThrow();
        Phrase phrase = now;
        if (phrase != null && phrase.beside != null && phrase.beside.unit().isEmpty()) {
            phrase.beside = phrase.beside.in(unit);
            phrase.labels.add(label);
        } else if (phrase != null
                && phrase.amount != null
                && phrase.amount.unit().isEmpty()) {
            phrase.amount = phrase.amount.in(unit);
            phrase.labels.add(label);
        } else if (phrase != null && phrase.amount != null && !phrase.named()) {
            phrase.labels.add(label);
        } else if (phrase != null && phrase.named() && phrase.amount == null && !phrase.comma) {
            phrase.amount = Amount.of(1, 1).in(unit);
            phrase.labels.add(label);
        } else {
            close();
            now = bare(Amount.of(1, 1).in(unit), List.of(label));
        }
    }

    // ---- names

    private void name(Label label) {
        boolean strange = now != null && now.unknown.contains(at == 0 ? label : labels.get(at - 1));
        Phrase phrase = named(label);
        if (phrase.name.isPresent() || phrase.compound) {
            return;
        }
        phrase.compound |= strange;
        phrase.name = Optional.of(label);
        phrase.herbs = label.meaning().herbs();
    }

    private void water(Label label) {
        Phrase phrase = named(label);
        phrase.water = Optional.of(label);
        phrase.fresh = label.is(Kind.FRESH_WATER);
    }

    private void menstruum(Label label) {
        Phrase phrase = named(label);
        phrase.menstruum = Optional.of(label.as(Menstruum.Kind.class));
    }

    /** The phrase that a name belongs to: the one that waits for it, or a new one; another choice after "or". */
    private Phrase named(Label label) {
        Phrase before = now;
        if (before != null && before.named()) {
            if (or && before.herb() && label.is(Kind.NAME)) {
                return another(before, label);
            }
            boolean ofWater = before.water.isPresent() && labels.get(at - 1).is(Kind.WATER) && label.is(Kind.NAME);
            if (ofWater) {
                before.unknown.add(labels.get(at - 1));
                before.water = Optional.empty();
                before.compound = true;
                before.labels.add(label);
                before.name = Optional.of(label);
                before.herbs = label.meaning().herbs();
                return before;
            }
            if (narrows(before, label)) {
                before.herbs = label.meaning().herbs();
                before.labels.add(label);
                return before;
            }
            if (before.herb() && labels.get(at - 1).is(Kind.NAME) && before.amount != null) {
                before.unknown.add(label);
                before.compound = true;
                return before;
            }
            close();
        }
        Phrase phrase = now == null ? new Phrase() : now;
        phrase.labels.add(label);
        now = phrase;
        or = false;
        return phrase;
    }

    /** "1 cinnamon stick (true cinnamon)": a second name that is one of what the first may be. */
    private static boolean narrows(Phrase before, Label label) {
        return before.herb()
                && label.is(Kind.NAME)
                && label.meaning().herbs().size() < before.herbs.size()
                && before.herbs.containsAll(label.meaning().herbs());
    }

    /** What may be taken instead of the phrase before it; the first closes with it. */
    private Phrase another(Phrase before, Label label) {
        Phrase first = before.insteadOf == null ? before : before.insteadOf;
        Phrase other = new Phrase();
        other.amount = before.amount;
        other.form = before.form;
        other.insteadOf = first;
        other.labels.add(label);
        if (first == before) {
            close();
        }
        first.or.add(other);
        or = false;
        now = other;
        return other;
    }

    private void state(Label label) {
        boolean after = now != null && now.water.isPresent();
        Label next = peek(at + 1, Set.of(Kind.GLUE, Kind.STATE));
        if (after) {
            now.state = Optional.of(label.value());
            now.labels.add(label);
        } else if (next != null && (next.is(Kind.WATER) || next.is(Kind.FRESH_WATER))) {
            if (now != null && now.named()) {
                close();
            }
            now = now == null ? new Phrase() : now;
            now.state = Optional.of(label.value());
            now.labels.add(label);
        } else {
            close();
            items.add(new Item.Atom(label));
        }
    }

    // ---- what is said of them

    private void attribute(Label label) {
        boolean before = nameFollows(at + 1);
        if (now != null && (now.named() && before || !now.named() && !now.unknown.isEmpty())) {
            close();
        }
        boolean waits = now != null && now.amount != null && !now.named();
        if (now == null && !before && !waits) {
            items.add(new Item.Atom(label));
            return;
        }
        leading = label.is(Kind.CUT) && before && now == null ? label : leading;
        now = now == null ? new Phrase() : now;
        attach(now, label);
    }

    /** A cut that stands before its first herb is of all that follow: "crush the fennel and the caraway". */
    private @Nullable Label leading;

    private static void attach(Phrase phrase, Label label) {
        phrase.labels.add(label);
        switch (label.kind()) {
            case FORM -> phrase.form = Optional.of(label.as(Form.class));
            case CUT -> {
                phrase.cut = Optional.of(label.as(Cut.class));
                phrase.preps.add(label);
            }
            case PREP, FINELY -> phrase.preps.add(label);
            case PART -> phrase.part(Vocabulary.parts(label.value()));
            case SIZE -> sized(phrase, label.value().equals("small") ? Loose.SMALL : Loose.LARGE, label);
            default -> sized(phrase, label.value().equals("scant") ? Loose.SCANT : Loose.HEAPED, label);
        }
    }

    private static void sized(Phrase phrase, Loose loose, Label label) {
        boolean usual = label.value().equals("medium") || label.value().equals("level");
        if (phrase.amount != null && !usual && phrase.amount.loose() == Loose.NONE) {
            phrase.amount = phrase.amount.left(loose, label.value());
        }
    }

    private void aside(Label label) {
        if (now == null) {
            items.add(new Item.Atom(label));
            return;
        }
        now.labels.add(label);
        now.optional |= label.is(Kind.OPTIONAL);
        if (label.is(Kind.PER_CUP)) {
            now.perCup = true;
            now.into = into(label);
        }
    }

    /** Into which cups a word of cups means. */
    static Addition.Into into(Label label) {
        return switch (label.value()) {
            case "first" -> Addition.Into.FIRST_CUP;
            case "later" -> Addition.Into.LATER_CUPS;
            default -> Addition.Into.EACH_CUP;
        };
    }

    /** "1 tsp each of …" is of all that follow; "…, 1 tsp each" of all that stood before. */
    private void each(Label label) {
        Amount said = now == null ? null : now.amount;
        if (now != null) {
            now.labels.add(label);
        }
        if (said == null) {
            if (now == null) {
                items.add(new Item.Atom(label));
            }
            return;
        }
        if (now.named() || nameFollows(at + 1)) {
            each = said;
            return;
        }
        List<Label> used = now.labels;
        now = null;
        List<Phrase> bare = new ArrayList<>();
        for (Item item : items) {
            if (item instanceof Item.Thing t && t.phrase().herb() && t.phrase().amount == null) {
                bare.add(t.phrase());
            }
        }
        bare.forEach(p -> p.amount = said);
        if (!bare.isEmpty()) {
            bare.get(bare.size() - 1).labels.addAll(used);
        }
    }

    private void unknown(Label label) {
        if (now != null && now.amount != null && !now.named()) {
            now.unknown.add(label);
            return;
        }
        if (now != null
                && now.amount != null
                && now.herb()
                && labels.get(at - 1).is(Kind.NAME)) {
            now.unknown.add(label);
            now.compound = true;
            return;
        }
        close();
        items.add(new Item.Atom(label));
    }

    // ---- what holds apart and together

    private void or(Label label) {
        if (now != null && now.herb() && nameFollows(at + 1)) {
            or = true;
            now.labels.add(label);
        } else if (now != null && now.named()) {
            now.labels.add(label);
        } else {
            items.add(new Item.Atom(label));
        }
    }

    private void and(Label label) {
        boolean part = now != null
                && !now.named()
                && now.amount != null
                && now.amount.unit().isPresent()
                && at + 1 < labels.size()
                && labels.get(at + 1).is(Kind.NUMBER)
                && labels.get(at + 1).meaning().number() < 1;
        if (part) {
            double more = labels.get(at + 1).meaning().number();
            now.amount = Amount.of(now.amount.low() + more, now.amount.high() + more)
                    .in(now.amount.unit().orElseThrow());
            now.labels.add(label);
            now.labels.add(labels.get(at + 1));
            at++;
            return;
        }
        boolean counted = now != null
                && !now.named()
                && now.amount != null
                && now.amount.unit().isPresent();
        if (counted) {
            close();
        }
        if (now != null && now.named()) {
            Label next = peek(at + 1, Set.of(Kind.FINELY));
            boolean goesOn = next != null && SAID_OF_A_NAME.contains(next.kind()) && !nameFollows(at + 1);
            if (goesOn) {
                now.labels.add(label);
                return;
            }
            close();
        }
        items.add(new Item.Atom(label));
    }

    private void mark(Label label) {
        if (label.mark(".;!?")) {
            boolean abbreviated = now != null && !now.named();
            if (!abbreviated) {
                close();
            }
        } else if (label.mark(",") && now != null) {
            now.comma = true;
        }
    }

    private void of(Label label) {
        if (now != null && now.unknown.isEmpty()) {
            now.labels.add(label);
        } else if (now == null) {
            items.add(new Item.Atom(label));
        }
    }

    private void close() {
        Phrase phrase = now;
        now = null;
        or = false;
        if (phrase == null) {
            return;
        }
        if (phrase.insteadOf != null) {
            return;
        }
        sizedByLength(phrase);
        if (leading != null && phrase.herb() && phrase.cut.isEmpty()) {
            phrase.cut = Optional.of(leading.as(Cut.class));
        }
        if (phrase.amount == null && phrase.herb() && each != null) {
            phrase.amount = each;
        }
        items.add(new Item.Thing(phrase));
    }

    /** "A piece of ginger of 2 cm": a length or a weight says more than a piece does. */
    private static void sizedByLength(Phrase phrase) {
        Amount amount = phrase.amount;
        Amount beside = phrase.beside;
        boolean vague = amount != null
                && amount.low() == 1
                && amount.unit().filter(u -> u == Unit.PIECE || u == Unit.THUMB).isPresent();
        boolean exact = beside != null
                && beside.unit()
                        .filter(u -> u.dimension() == Unit.Dimension.LENGTH || u.dimension() == Unit.Dimension.MASS)
                        .isPresent();
        if (vague && exact) {
            phrase.amount = beside;
            phrase.beside = null;
        }
    }
}
