package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** Reads the water of a pot and what else may draw, and how full a vessel is. Mutable with its sheet. */
final class Liquids {

    /** A spirit whose strength is not said is the usual one of the kitchen cupboard (common practice, no source), % by volume. */
    static final double USUAL_SPIRIT = 40;

    private final Pot pot;
    private final Sheet sheet;
    private final MeasureCustom custom;
    private final Answers answers;

    /** Whether the water stood in the list: a second one there is more of it. */
    boolean listedWater;

    Liquids(Pot pot, Sheet sheet, MeasureCustom custom, Answers answers) {
        this.pot = pot;
        this.sheet = sheet;
        this.custom = custom;
        this.answers = answers;
    }

    /** Everything in a segment that is water or draws like it. @return whether it was fresh water on spent herbs */
    boolean liquids(Segment s, LineDraft line, boolean sayState) {
        boolean refill = false;
        for (Phrase p : s.things().toList()) {
            if (p.water.isPresent()) {
                refill |= water(p, s, line);
                if (sayState && p.state.isPresent() && !refill) {
                    pot.state(p.state.get());
                }
            } else if (p.menstruum.isPresent()) {
                menstruum(p, line);
            }
        }
        fill(s, line);
        return refill;
    }

    boolean water(Phrase p, Segment s, LineDraft line) {
        line.read(p.labels);
        Amount amount = p.amount;
        Optional<Unit> unit =
                amount == null ? Optional.empty() : amount.unit().filter(u -> u.dimension() == Unit.Dimension.VOLUME);
        boolean refill = pot.strained()
                && (p.fresh
                        || s.has(Kind.SAME)
                        || s.any(Act.ADD, Act.POUR)
                                && sheet.taking.isEmpty()
                                && unit.isPresent()
                                && !s.has(Kind.PER_CUP));
        double ml = unit.isEmpty() || amount == null
                ? Double.NaN
                : amount.low() * unit.get().millilitresEach(custom);
        if (refill) {
            StageDraft stage = pot.begin(StageKind.REFILL, line);
            stage.toMl = Double.isNaN(ml) ? sheet.water.map(Sheet.Water::ml).orElse(500.0) : ml;
            pot.contact = Contact.COLD;
            line.reads.add(new Understood.Refilled(Volume.millilitres(stage.toMl)));
            line.read(s.atoms(Kind.SAME));
            return true;
        }
        if (unit.isEmpty() || amount == null) {
            return false;
        }
        if (p.cut.filter(c -> c == Cut.PASTE).isPresent()) {
            paste(p, ml, s, line);
            return false;
        }
        line.becomes(Reading.LineKind.WATER);
        Sheet.Water written = new Sheet.Water(ml, unit.get(), amount.low());
        Optional<Sheet.Water> before = sheet.water;
        if (before.isPresent() && Math.abs(before.get().ml() / ml - 1) > 0.1) {
            which(before.get(), written, p, line);
            return false;
        }
        sheet.water = Optional.of(written);
        listedWater = line.kind == Reading.LineKind.WATER;
        line.reads.add(new Understood.Water(Volume.millilitres(ml)));
        return false;
    }

    /** "Ground to a paste with 3 tbsp water": the herb's own water, prepared in the cook's words. */
    private void paste(Phrase water, double ml, Segment s, LineDraft line) {
        sheet.pasteMl += ml;
        line.reads.add(new Understood.PasteWater(Volume.millilitres(ml)));
        s.herbs().forEach(herb -> {
            herb.cut = Optional.of(Cut.PASTE);
            herb.paste = line.said(water.labels);
        });
    }

    /** Two waters: which is meant, or both. */
    void which(Sheet.Water before, Sheet.Water now, Phrase p, LineDraft line) {
        Question question = new Question.WhichWater();
        List<Choice> choices = Stream.of(before.ml(), now.ml(), before.ml() + now.ml())
                .map(ml -> (Choice) new Choice.OfVolume(Volume.millilitres(ml)))
                .toList();
        boolean both = listedWater && line.kind == Reading.LineKind.WATER;
        String taken = answers.to(line.index, question.key())
                .orElse(choices.get(both ? 2 : 0).value());
        double ml = Double.parseDouble(taken);
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
        line.asked(p.labels);
        sheet.water = Optional.of(
                ml == now.ml() ? now : ml == before.ml() ? before : new Sheet.Water(ml, Unit.MILLILITRE, ml));
    }

    void menstruum(Phrase p, LineDraft line) {
        Menstruum.Kind kind = p.menstruum.orElseThrow();
        line.read(p.labels);
        Menstruum m = kind == Menstruum.Kind.SPIRIT ? Menstruum.spirit(USUAL_SPIRIT) : new Menstruum(kind, 0);
        if (sheet.menstruum.isEmpty()) {
            sheet.menstruum = Optional.of(m);
            line.reads.add(new Understood.DrawnBy(m));
        }
        pot.contact = Contact.COLD;
        if (p.amount != null && p.amount.volume()) {
            double ml = p.amount.low() * p.amount.unit().orElseThrow().millilitresEach(custom);
            sheet.water = Optional.of(new Sheet.Water(ml, p.amount.unit().orElseThrow(), p.amount.low()));
            line.reads.add(new Understood.Water(Volume.millilitres(ml)));
        }
        line.becomes(Reading.LineKind.WATER);
    }

    /** How full a jar is, where it is said by its rim or above the herbs; how large a named jar is. */
    void fill(Segment s, LineDraft line) {
        for (int i = 0; i < s.items().size(); i++) {
            if (!(s.items().get(i) instanceof Item.Thing thing)
                    || thing.phrase().amount == null
                    || thing.phrase().herb()) {
                continue;
            }
            Amount amount = thing.phrase().amount;
            Unit unit = amount.unit().orElse(Unit.PIECE);
            // "cold water two inches over the herb": of water a length is how high it stands.
            if (unit.dimension() == Unit.Dimension.LENGTH) {
                Optional<Label> from = s.atom(Kind.HEADSPACE).or(() -> s.atom(Kind.ABOVE));
                if (from.isPresent()) {
                    Told.Fill.From where = from.get().is(Kind.HEADSPACE) ? Told.Fill.From.RIM : Told.Fill.From.HERBS;
                    Told.Fill fill = new Told.Fill(where, (amount.low() + amount.high()) / 2 * unit.centimetresEach());
                    sheet.fill = Optional.of(fill);
                    line.read(thing);
                    line.read(List.of(from.get()));
                    line.reads.add(new Understood.Filled(fill));
                }
            } else if (unit.dimension() == Unit.Dimension.VOLUME
                    && !thing.phrase().named()
                    && i + 1 < s.items().size()
                    && s.items().get(i + 1) instanceof Item.Atom a
                    && a.label().is(Kind.VESSEL)
                    && a.label().value().equals("jar")) {
                sheet.jarMl = OptionalDouble.of(amount.low() * unit.millilitresEach(custom));
                line.read(thing);
                line.read(List.of(a.label()));
            }
        }
    }
}
