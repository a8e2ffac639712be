package embercup.core.reading;

import embercup.core.recipe.Place;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Optional;

/** What stands for a time: cold, hot on the herbs, or off the flame. Mutable, used once for a text. */
final class Waits {

    private final Pot pot;
    private final Sheet sheet;
    private final Named named;
    private final Liquids liquids;
    private final Signs signs;

    Waits(Pot pot, Sheet sheet, Named named, Liquids liquids, Signs signs) {
        this.pot = pot;
        this.sheet = sheet;
        this.named = named;
        this.liquids = liquids;
        this.signs = signs;
    }

    void stand(Act act, Segment s, LineDraft line) {
        liquids.liquids(s, line, true);
        List<Ingredient> herbs = named.take(s, line);
        pot.waits(herbs);
        Optional<Phrase> sameUnit = s.bare()
                .filter(p ->
                        p.amount.unit().isEmpty() && s.time().isEmpty() && act == Act.STAND && pot.timedHere(line));
        if (sameUnit.isPresent()) {
            Amount amount = sameUnit.get().amount;
            wait(s, Optional.of(new Item.Time(amount.low(), amount.high(), false, sameUnit.get().labels)), act, line);
            return;
        }
        boolean again = s.time().isEmpty()
                && act != Act.STAND
                && sheet.last()
                        .filter(d -> d.timed() && !d.fire() && Double.isNaN(d.minutes))
                        .isPresent();
        if (again || s.time().isEmpty() && act == Act.STAND) {
            signs.signed(s, line);
            return;
        }
        wait(s, s.time(), act, line);
    }

    /** A time that stands without a verb belongs to what was done last, or is a wait. */
    void bareTime(Segment s, Item.Time time, LineDraft line) {
        if (pot.untimed != null && Double.isNaN(pot.untimed.minutes)) {
            pot.timed(pot.untimed, time, line);
        } else if (sheet.stages.isEmpty() && !time.named() && pot.contact == Contact.NONE && pot.pending.isEmpty()) {
            return;
        } else {
            wait(s, Optional.of(time), Act.STAND, line);
        }
    }

    /** "For the last five minutes": the wait before it is shorter by so much. */
    void lastMinutes(Item.Time time, LineDraft line) {
        Optional<StageDraft> last = sheet.last().filter(d -> d.timed() && d.minutes > time.minutes());
        if (last.isEmpty()) {
            wait(new Segment(null, false, List.of(time)), Optional.of(time), Act.STAND, line);
            return;
        }
        StageDraft before = last.get();
        StageDraft after = new StageDraft(before.kind, line);
        after.flame = before.flame;
        after.lid = before.lid;
        before.minutes -= time.minutes();
        before.minutesTo = Double.isNaN(before.minutesTo) ? before.minutesTo : before.minutesTo - time.minutes();
        sheet.stages.add(after);
        pot.placePending(sheet.stages.size() - 1);
        pot.timed(after, time, line);
    }

    /** Whatever stands for a time: cold, hot on the herbs, or off the flame. */
    void wait(Segment s, Optional<Item.Time> time, Act act, LineDraft line) {
        if (time.isPresent()
                && pot.untimed != null
                && Double.isNaN(pot.untimed.minutes)
                && !pot.untimed.fire()
                && pot.pending.isEmpty()) {
            pot.timed(pot.untimed, time.get(), line);
            return;
        }
        StageKind kind = s.has(Kind.BELOW_BOIL) && !pot.strained() ? StageKind.HOLD : pot.waiting(act);
        if (kind == StageKind.STEEP && pot.contact == Contact.READY) {
            pot.poured(line);
        }
        StageDraft stage = pot.begin(kind, line);
        s.atom(Kind.PLACE).ifPresent(p -> {
            stage.place = p.as(Place.class);
            line.read(List.of(p));
        });
        if (kind == StageKind.MACERATE && pot.contactC.isPresent()) {
            stage.toC = pot.contactC;
        }
        if (time.isPresent()) {
            pot.timed(stage, time.get(), line);
        } else {
            pot.untimed = stage;
        }
        signs.signed(s, line);
    }
}
