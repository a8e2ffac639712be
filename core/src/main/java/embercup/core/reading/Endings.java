package embercup.core.reading;

import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Optional;

/** Reads how a pot ends: strained, pressed, cooled, its liquors united, its cups finished. Mutable with its sheet. */
final class Endings {

    private final Pot pot;
    private final Sheet sheet;
    private final Named named;
    private final Liquids liquids;

    Endings(Pot pot, Sheet sheet, Named named, Liquids liquids) {
        this.pot = pot;
        this.sheet = sheet;
        this.named = named;
        this.liquids = liquids;
    }

    void finish(Segment s, LineDraft line) {
        liquids.liquids(s, line, true);
        pot.finishing(named.take(s, line), line);
        line.read(s.atoms(Kind.PER_CUP));
        line.read(s.atoms(Kind.STATE));
    }

    // ---- the end

    void strain(Segment s, LineDraft line) {
        boolean tool = s.negated();
        named.mentions(s, line).toList();
        if (tool) {
            sheet.drunkWhole = true;
            return;
        }
        if (sheet.last().filter(d -> d.kind == StageKind.STRAIN).isPresent()) {
            return;
        }
        StageDraft stage = pot.begin(StageKind.STRAIN, line);
        stage.pressed = s.atom(Kind.ACT).isPresent();
        line.reads.add(new Understood.Plain(StageKind.STRAIN));
    }

    /** Herbs are pressed when they are strained; fruit is squeezed into the cup. */
    void press(Segment s, LineDraft line) {
        List<Ingredient> herbs = named.take(s, line);
        if (!herbs.isEmpty() && herbs.stream().allMatch(Sheet::inTheCup)) {
            pot.finishing(herbs, line);
            return;
        }
        Optional<StageDraft> strain = sheet.last().filter(d -> d.kind == StageKind.STRAIN);
        if (strain.isPresent()) {
            strain.get().pressed = true;
        } else if (sheet.stages.stream().anyMatch(StageDraft::timed)) {
            StageDraft stage = pot.begin(StageKind.STRAIN, line);
            stage.pressed = true;
        }
        line.reads.add(new Understood.Plain(StageKind.STRAIN));
    }

    /** A cup that is finished when it has cooled cools first. */
    StageDraft cooling(LineDraft line) {
        int finish = pot.indexOf(StageKind.FINISH);
        boolean here = finish == sheet.stages.size() - 1 && finish >= 0 && sheet.stages.get(finish).line == line;
        if (!here) {
            return pot.begin(StageKind.COOL, line);
        }
        StageDraft stage = new StageDraft(StageKind.COOL, line);
        sheet.stages.add(finish, stage);
        sheet.ingredients.stream().filter(i -> i.stage >= finish).forEach(i -> i.stage++);
        return stage;
    }

    /** Unites the liquors of several boils. @return whether there are several */
    boolean combine(LineDraft line) {
        long strains =
                sheet.stages.stream().filter(d -> d.kind == StageKind.STRAIN).count();
        if (sheet.has(StageKind.REFILL)) {
            if (strains < 2) {
                pot.begin(StageKind.STRAIN, line);
            }
            pot.begin(StageKind.COMBINE, line);
            line.reads.add(new Understood.Plain(StageKind.COMBINE));
            return true;
        }
        return false;
    }

    /** The same once more: the boil before it, for as long. */
    void again(Segment s, LineDraft line) {
        boolean refill = liquids.liquids(s, line, false);
        Optional<StageDraft> fire =
                sheet.stages.stream().filter(d -> d.kind.boils()).reduce((a, b) -> b);
        line.read(s.atoms(Kind.SAME));
        if (!sheet.has(StageKind.REFILL) && pot.strained() && fire.isPresent()) {
            StageDraft stage = pot.begin(StageKind.REFILL, line);
            stage.toMl = sheet.water.map(Sheet.Water::ml).orElse(500.0);
            refill = true;
        }
        if (pot.untimed != null && s.time().isPresent()) {
            pot.timed(pot.untimed, s.time().get(), line);
            return;
        }
        boolean waits = sheet.last().filter(d -> d.kind == StageKind.REFILL).isPresent();
        if ((refill || waits) && fire.isPresent()) {
            StageDraft stage = pot.begin(fire.get().kind, line);
            stage.flame = fire.get().flame;
            stage.lid = fire.get().lid;
            stage.toMl = fire.get().toMl;
            stage.minutes = fire.get().minutes;
            stage.minutesTo = fire.get().minutesTo;
            s.time().ifPresent(t -> pot.timed(stage, t, line));
            pot.contact = Contact.ON_FIRE;
            line.reads.add(new Understood.Plain(stage.kind));
        }
    }
}
