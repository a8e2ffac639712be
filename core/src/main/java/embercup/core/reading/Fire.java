package embercup.core.reading;

import embercup.core.measure.Temperature;
import embercup.core.recipe.Flame;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.OptionalDouble;

/** What is done over the flame: heated, boiled, simmered, turned down, or held under the boil. Mutable, used once for a text. */
final class Fire {

    private final Pot pot;
    private final Sheet sheet;
    private final Named named;
    private final Liquids liquids;
    private final Reductions reductions;

    Fire(Pot pot, Sheet sheet, Named named, Liquids liquids, Reductions reductions) {
        this.pot = pot;
        this.sheet = sheet;
        this.named = named;
        this.liquids = liquids;
        this.reductions = reductions;
    }

    void heat(Segment s, LineDraft line) {
        liquids.liquids(s, line, true);
        List<Ingredient> herbs = named.take(s, line);
        if (s.negated()) {
            belowBoil(s, line);
            return;
        }
        pot.goIn(herbs);
        StageDraft last = sheet.last().orElse(null);
        boolean again = last != null && last.kind == StageKind.HEAT && herbs.isEmpty() && pot.pending.isEmpty();
        boolean boiling = last != null && last.kind.boils() && herbs.isEmpty() && pot.pending.isEmpty();
        StageDraft stage;
        if (again || boiling) {
            stage = last;
        } else {
            stage = pot.begin(StageKind.HEAT, line);
            stage.onlyWater = herbs.isEmpty()
                    && pot.placedAt(sheet.stages.size() - 1).findAny().isEmpty();
            line.reads.add(new Understood.Plain(StageKind.HEAT));
        }
        s.degrees().ifPresent(d -> {
            stage.toC = OptionalDouble.of(d.celsius());
            line.read(d);
            line.reads.add(new Understood.HeatedTo(Temperature.celsius(d.celsius())));
        });
        if (s.has(Kind.BELOW_BOIL) || pot.heldBelow) {
            belowBoil(s, line);
        }
        pot.contact = Contact.ON_FIRE;
        s.time().ifPresent(t -> {
            StageDraft boil = pot.begin(pot.heldBelow ? StageKind.HOLD : StageKind.BOIL, line);
            pot.timed(boil, t, line);
        });
        reductions.mark(s, line);
    }

    void boil(Act act, Segment s, LineDraft line) {
        if (s.negated()) {
            belowBoil(s, line);
            return;
        }
        boolean waterOnly = s.water().isPresent()
                && s.herbs().findAny().isEmpty()
                && pot.pending.isEmpty()
                && s.time().isEmpty()
                && act == Act.BOIL;
        if (waterOnly
                || act == Act.BOIL
                        && s.time().isEmpty()
                        && !Reductions.marks(s)
                        && bare(s)
                        && pot.contact != Contact.ON_FIRE) {
            heat(s, line);
            return;
        }
        liquids.liquids(s, line, true);
        List<Ingredient> herbs = named.take(s, line);
        boolean quiet = act == Act.SIMMER
                || pot.low
                || s.atom(Kind.FLAME).filter(f -> f.value().equals("low")).isPresent();
        if (Reductions.marks(s)) {
            reductions.reduceTo(s, line);
            return;
        }
        StageDraft last = sheet.last().orElse(null);
        if (act == Act.BOIL && s.time().isEmpty() && last != null && last.kind == StageKind.HEAT && herbs.isEmpty()) {
            return;
        }
        pot.goIn(herbs);
        StageDraft stage = pot.begin(quiet ? StageKind.SIMMER : StageKind.BOIL, line);
        pot.contact = Contact.ON_FIRE;
        pot.low = false;
        s.time().ifPresentOrElse(t -> pot.timed(stage, t, line), () -> pot.untimed = stage);
        if (pot.heldBelow || s.has(Kind.BELOW_BOIL)) {
            belowBoil(s, line);
        }
    }

    private static boolean bare(Segment s) {
        return s.herbs().findAny().isEmpty();
    }

    void turnDown(Segment s, LineDraft line) {
        pot.low = true;
        s.time().ifPresent(t -> {
            pot.low = false;
            StageDraft stage = pot.begin(StageKind.SIMMER, line);
            pot.timed(stage, t, line);
        });
        line.kind = Reading.LineKind.METHOD;
        line.reads.add(new Understood.Plain(StageKind.SIMMER));
        reductions.mark(s, line);
    }

    /** Heat that is held under the boil: heated so far, then kept there. */
    void belowBoil(Segment s, LineDraft line) {
        pot.heldBelow = true;
        line.read(s.atoms(Kind.BELOW_BOIL));
        sheet.last().filter(d -> d.kind == StageKind.HEAT && d.toC.isEmpty()).ifPresent(d -> {
            d.toC = OptionalDouble.of(Pot.OFF_BOIL_C);
            d.flame = Flame.LOW;
        });
        sheet.last()
                .filter(d -> d.kind == StageKind.SIMMER || d.kind == StageKind.BOIL)
                .ifPresent(d -> {
                    d.kind = StageKind.HOLD;
                    d.flame = Flame.LOW;
                    int at = sheet.stages.indexOf(d);
                    if (at > 0 && sheet.stages.get(at - 1).kind == StageKind.HEAT) {
                        StageDraft heat = sheet.stages.get(at - 1);
                        heat.toC = heat.toC.isEmpty() ? OptionalDouble.of(Pot.OFF_BOIL_C) : heat.toC;
                        heat.flame = Flame.LOW;
                        d.toC = heat.toC;
                    }
                });
        line.reads.add(new Understood.HeatedTo(Temperature.celsius(Pot.OFF_BOIL_C)));
        line.becomes(Reading.LineKind.METHOD);
    }
}
