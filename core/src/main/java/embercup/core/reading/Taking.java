package embercup.core.reading;

import embercup.core.materia.Condition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Posology.Moment;
import embercup.core.recipe.Told;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Reads how a recipe is taken, how it keeps and whom it is not for. Mutable with its sheet. */
final class Taking {

    private static final double DAY_MIN = 24 * 60;

    private final Sheet sheet;
    private final MeasureCustom custom;

    Taking(Sheet sheet, MeasureCustom custom) {
        this.sheet = sheet;
        this.custom = custom;
    }

    /** What is said of it so far. Mutable. */
    static final class Draft {
        double times = Double.NaN;
        double timesTo = Double.NaN;
        double low = 1;
        double high = 1;
        boolean ofDay;
        Optional<Unit> unit = Optional.empty();
        Posology.When when = Posology.When.ANY_TIME;
        final Set<Moment> moments = EnumSet.noneOf(Moment.class);
        OptionalInt daysOn = OptionalInt.empty();
        int daysOff;
        OptionalInt mostDays = OptionalInt.empty();
        OptionalDouble childShare = OptionalDouble.empty();

        @Nullable
        LineDraft line;

        /** @param cupMl size of the recipe's own cup, mL */
        Posology posology(MeasureCustom custom, double cupMl) {
            double each = unit.filter(u -> u.dimension() == Unit.Dimension.VOLUME && !Amount.CUPS.contains(u))
                    .map(u -> u.millilitresEach(custom) / cupMl)
                    .orElse(1.0);
            double n = !Double.isNaN(times) ? times : ofDay ? 1 : Math.max(1, moments.size());
            double nTo = Double.isNaN(timesTo) ? n : timesTo;
            double cups = low * each * n;
            double cupsTo = high * each * nTo;
            Optional<Quantity> dose = ofDay
                                    && unit.filter(u -> !Amount.CUPS.contains(u))
                                            .isEmpty()
                            || unit.filter(u -> !Amount.CUPS.contains(u)).isEmpty() && low == 1
                    ? Optional.empty()
                    : Optional.of(Quantity.of(low, unit.orElse(Unit.CUP)));
            return new Posology(
                    cups,
                    when,
                    daysOn,
                    daysOff,
                    new Posology.More(
                            cupsTo > cups * 1.001 ? OptionalDouble.of(cupsTo) : OptionalDouble.empty(),
                            dose,
                            moments,
                            mostDays,
                            childShare));
        }
    }

    /** Whether a sentence tells how it is taken. */
    static boolean tells(List<Segment> sentence) {
        return sentence.stream()
                .anyMatch(s -> s.is(Act.DRINK) && s.herbs().findAny().isEmpty() && !s.has(Kind.OF_IT)
                        || s.has(Kind.PER_DAY) && !s.is(Act.SHAKE) && !s.is(Act.STIR)
                        || s.has(Kind.A_DAY)
                        || s.has(Kind.EACH_MEAL)
                        || s.act() == null && s.has(Kind.MOMENT) && s.bare().isPresent()
                        || s.has(Kind.WHEN)
                        || s.has(Kind.AT_MOST)
                                && s.time().filter(t -> t.minutes() >= DAY_MIN).isPresent());
    }

    /** Whether a segment tells it: the words before "drink" may tell of the pot. */
    static boolean tells(Segment segment) {
        return tells(List.of(segment)) || segment.has(Kind.MOMENT) && segment.act() == null;
    }

    void taken(Segment segment, LineDraft line) {
        Draft draft = sheet.taking.orElseGet(Draft::new);
        sheet.taking = Optional.of(draft);
        draft.line = line;
        boolean most = segment.negated();
        boolean off = false;
        boolean child = false;
        for (int i = 0; i < segment.items().size(); i++) {
            Item item = segment.items().get(i);
            Label label = item instanceof Item.Atom atom ? atom.label() : null;
            if (label != null) {
                most |= label.is(Kind.AT_MOST) || label.is(Kind.NOT);
                off |= label.is(Kind.PAUSE);
                sheet.drunkWhole |= label.is(Kind.DRUNK_WHOLE);
                child |= label.is(Kind.CHILD);
                atom(draft, label, line);
            } else if (item instanceof Item.Time time && time.minutes() >= DAY_MIN) {
                Item next = i + 1 < segment.items().size() ? segment.items().get(i + 1) : null;
                boolean later = segment.items().stream().skip(i + 1L).anyMatch(Item.Time.class::isInstance);
                boolean pause =
                        !later && next instanceof Item.Atom a && a.label().is(Kind.PAUSE);
                boolean upTo = i > 0
                        && segment.items().get(i - 1) instanceof Item.Atom a
                        && a.label().is(Kind.RANGE);
                boolean atMost =
                        upTo || next instanceof Item.Atom a && a.label().is(Kind.AT_MOST);
                days(draft, (int) Math.round(time.minutes() / DAY_MIN), off || pause, most || atMost);
                line.read(item);
                most = false;
            } else if (item instanceof Item.Thing thing && !thing.phrase().herb()) {
                amount(draft, thing.phrase(), segment, i, child);
                line.read(item);
            } else if (item instanceof Item.Time) {
                line.read(item);
            }
        }
        if (segment.act() != null) {
            line.read(List.of(segment.act()));
        }
    }

    /** Days of rest that a verb of its own tells: "then rest seven days". */
    boolean pause(Segment segment, LineDraft line) {
        Optional<Item.Time> time = segment.time().filter(t -> t.minutes() >= DAY_MIN);
        boolean pauses = sheet.taking.isPresent()
                && time.isPresent()
                && (segment.has(Kind.PAUSE)
                        || segment.any(Act.STAND) && sheet.taking.get().daysOn.isPresent());
        if (pauses) {
            sheet.taking.get().daysOff = (int) Math.round(time.get().minutes() / DAY_MIN);
            line.read(time.get());
            line.read(segment.atoms(Kind.PAUSE));
            if (segment.act() != null) {
                line.read(List.of(segment.act()));
            }
        }
        return pauses;
    }

    private static void days(Draft draft, int days, boolean off, boolean most) {
        if (off) {
            draft.daysOff = days;
        } else if (most) {
            draft.mostDays = OptionalInt.of(days);
        } else if (draft.daysOn.isEmpty()) {
            draft.daysOn = OptionalInt.of(days);
        } else {
            draft.mostDays = OptionalInt.of(days);
        }
    }

    private void amount(Draft draft, Phrase phrase, Segment segment, int at, boolean child) {
        Amount amount = phrase.amount;
        if (amount == null || phrase.water.isPresent()) {
            return;
        }
        Item next = at + 1 < segment.items().size() ? segment.items().get(at + 1) : null;
        boolean times = next instanceof Item.Atom atom && atom.label().is(Kind.TIMES);
        if (child) {
            childs(draft, amount);
        } else if (times) {
            draft.times = amount.low();
            draft.timesTo = amount.high();
        } else if (amount.unit().isEmpty() || amount.volume()) {
            draft.low = amount.low();
            draft.high = amount.high();
            draft.unit = amount.unit();
            draft.ofDay = next instanceof Item.Atom atom && atom.label().is(Kind.PER_DAY);
        }
    }

    /** "Children half", "children 1 tsp": a share of what an adult takes. */
    private void childs(Draft draft, Amount amount) {
        boolean measured = amount.volume()
                && draft.unit
                        .filter(u -> u.dimension() == Unit.Dimension.VOLUME)
                        .isPresent();
        double share = measured
                ? amount.low()
                        * amount.unit().orElseThrow().millilitresEach(custom)
                        / (draft.low * draft.unit.orElseThrow().millilitresEach(custom))
                : amount.low();
        if (share > 0 && share < 1) {
            draft.childShare = OptionalDouble.of(share);
        }
    }

    private static void atom(Draft draft, Label label, LineDraft line) {
        switch (label.kind()) {
            case A_DAY -> {
                double n = Double.parseDouble(label.value());
                draft.times = n;
                draft.timesTo = n;
            }
            case EACH_MEAL -> {
                draft.times = 3;
                draft.timesTo = 3;
                draft.when = label.as(Posology.When.class);
            }
            case MOMENT -> draft.moments.add(label.as(Moment.class));
            case WHEN -> draft.when = label.as(Posology.When.class);
            case PER_DAY,
                    DRUNK_WHOLE,
                    TIMES,
                    AT_MOST,
                    DAYS_ON,
                    PAUSE,
                    NOT,
                    CHILD,
                    ADULTS,
                    TEA,
                    FOR,
                    OF_IT,
                    PER_CUP,
                    STATE,
                    RANGE,
                    PEOPLE -> {}
            default -> {
                return;
            }
        }
        if (label.is(Kind.MOMENT) && label.value().equals("bedtime") && draft.moments.size() == 1) {
            draft.when = draft.when == Posology.When.ANY_TIME ? Posology.When.BEFORE_BED : draft.when;
        }
        line.read(List.of(label));
    }

    // ---- whom it is not for

    static boolean warns(List<Item> sentence) {
        boolean not = false;
        boolean who = false;
        for (Item item : sentence) {
            if (item instanceof Item.Atom atom) {
                not |= atom.label().is(Kind.NOT);
                who |= not && (atom.label().is(Kind.CHILD) || atom.label().is(Kind.COND));
            }
        }
        return who;
    }

    void warned(List<Item> sentence, LineDraft line) {
        boolean not = false;
        double years = Double.NaN;
        boolean child = false;
        for (Item item : sentence) {
            Label label = item instanceof Item.Atom atom ? atom.label() : null;
            if (label == null) {
                if (item instanceof Item.Thing thing
                        && thing.phrase().amount != null
                        && thing.phrase().unknown.isEmpty()
                        && !thing.phrase().named()) {
                    years = thing.phrase().amount.low();
                    line.read(item);
                }
                continue;
            }
            not |= label.is(Kind.NOT);
            if (not && label.is(Kind.COND)) {
                Condition.ofCode(label.value()).ifPresent(c -> {
                    Told.NotFor who = Told.NotFor.of(c);
                    sheet.notFor.add(who);
                    line.reads.add(new Understood.NotFor(who));
                });
            }
            child |= not && label.is(Kind.CHILD);
            boolean said =
                    switch (label.kind()) {
                        case NOT, COND, CHILD, ADULTS, PEOPLE, FOR, TEA, YEARS -> true;
                        case ACT -> true;
                        default -> false;
                    };
            if (said) {
                line.read(List.of(label));
            }
        }
        if (child) {
            Told.NotFor who = Double.isNaN(years)
                    ? Told.NotFor.CHILDREN
                    : new Told.NotFor(Optional.empty(), OptionalDouble.of(years));
            sheet.notFor.add(who);
            line.reads.add(new Understood.NotFor(who));
        }
        line.kind = Reading.LineKind.TAKING;
    }

    // ---- how it keeps

    boolean keeps(Segment segment, LineDraft line) {
        boolean keep =
                segment.is(Act.KEEP) || segment.is(Act.STAND) && sheet.has(embercup.core.recipe.StageKind.STRAIN);
        Optional<Item.Time> time = segment.time().filter(t -> t.minutesTo() >= DAY_MIN / 4);
        Optional<Label> place = segment.atom(Kind.PLACE);
        if (!keep || time.isEmpty() || segment.is(Act.STAND) && place.isEmpty()) {
            return false;
        }
        Place where = place.map(l -> l.as(Place.class)).orElse(Place.ROOM);
        double days = time.get().minutesTo() / DAY_MIN;
        sheet.keeping = Optional.of(new Told.Keeps(days, where));
        line.read(time.get());
        line.read(segment.atoms(Kind.PLACE));
        line.read(segment.atoms(Kind.VESSEL));
        line.read(segment.atoms(Kind.TEA));
        if (segment.act() != null) {
            line.read(List.of(segment.act()));
        }
        line.reads.add(new Understood.Keeps(days, where));
        line.kind = Reading.LineKind.TAKING;
        return true;
    }
}
