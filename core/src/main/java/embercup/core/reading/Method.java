package embercup.core.reading;

import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.recipe.Flame;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/** Reads what is done with a pot, verb by verb, and where each herb goes in. Mutable, used once for a text. */
final class Method {

    /** What is done with herbs in the water; once it is strained such words tell of warming it up, and are kept. */
    private static final Set<Act> ON_HERBS =
            EnumSet.of(Act.HEAT, Act.BOIL, Act.SIMMER, Act.REDUCE, Act.TURN_DOWN, Act.MACERATE);

    private final Sheet sheet;
    private final Named named;
    private final Pot pot;
    private final Liquids liquids;
    private final Signs signs;
    private final Reductions reductions;
    private final Endings endings;
    private final Fire fire;
    private final Waits waits;
    private final Pouring pouring;
    private final Taking taking;
    private final MeasureCustom custom;

    Method(Sheet sheet, Ingredients ingredients, Taking taking, MeasureCustom custom, Answers answers) {
        this.sheet = sheet;
        this.taking = taking;
        this.custom = custom;
        this.pot = new Pot(sheet, answers);
        this.named = new Named(sheet, ingredients, answers);
        this.liquids = new Liquids(pot, sheet, custom, answers);
        this.signs = new Signs(pot, sheet);
        this.reductions = new Reductions(pot, sheet, named, liquids, custom, answers);
        this.endings = new Endings(pot, sheet, named, liquids);
        this.fire = new Fire(pot, sheet, named, liquids, reductions);
        this.waits = new Waits(pot, sheet, named, liquids, signs);
        this.pouring = new Pouring(pot, sheet, named, liquids, endings, waits);
    }

    /** Herbs that were named and never put in go in at the end of what was done; times that nobody wrote are asked. */
    void settle() {
        pot.settle();
        pot.askTimes();
    }

    /** A title says how many it is for; nothing else of it is reckoned with. */
    void title(List<Item> items, LineDraft line) {
        Segment.of(items).forEach(s -> makes(s, line));
    }

    /** One sentence of a line. @param listed whether the line stands in a list, so that a bare herb is one of it */
    void sentence(List<Item> items, boolean listed, LineDraft line) {
        if (Taking.warns(items)) {
            taking.warned(items, line);
            return;
        }
        List<Segment> segments = Segment.of(signs.signs(items, line));
        boolean tells = Taking.tells(segments);
        boolean told = false;
        for (Segment segment : segments) {
            List<Segment> later = segments.subList(segments.indexOf(segment) + 1, segments.size());
            pot.more = !later.isEmpty();
            pot.fireFollows =
                    later.stream().anyMatch(x -> x.any(Act.HEAT, Act.BOIL, Act.SIMMER, Act.REDUCE, Act.STEEP));
            if (taking.keeps(segment, line) || taking.pause(segment, line)) {
                continue;
            }
            if (tells && (told || Taking.tells(segment)) && !cooks(segment)) {
                taking.taken(segment, line);
                told = true;
                line.becomes(Reading.LineKind.TAKING);
            } else {
                segment(segment, listed, line);
            }
        }
    }

    private static boolean cooks(Segment segment) {
        if (segment.has(Kind.AT_MOST)) {
            return false;
        }
        return segment.any(
                Act.BOIL,
                Act.SIMMER,
                Act.STEEP,
                Act.STRAIN,
                Act.POUR,
                Act.HEAT,
                Act.REDUCE,
                Act.MACERATE,
                Act.SHAKE,
                Act.STIR,
                Act.COVER,
                Act.COOL,
                Act.OFF,
                Act.ADD);
    }

    // ---- a segment

    private void segment(Segment s, boolean listed, LineDraft line) {
        if (makes(s, line)) {
            return;
        }
        Label act = s.act();
        if (act != null) {
            named.blend(s, line);
        }
        int before = sheet.stages.size();
        if (act == null) {
            said(s, listed, line);
        } else {
            line.becomes(Reading.LineKind.METHOD);
            done(act.act(), s, line);
        }
        aside(s, line, before);
    }

    /** "Makes two cups", "for four". */
    private boolean makes(Segment s, LineDraft line) {
        Optional<Phrase> amount = s.bare();
        boolean serves =
                s.is(Act.FINISH) && amount.filter(p -> p.amount.low() >= 2).isPresent();
        boolean forSome = s.act() == null && s.has(Kind.FOR) || s.has(Kind.PEOPLE) || serves;
        if (amount.isEmpty()
                || !s.is(Act.MAKE) && !forSome
                || s.time().isPresent()
                || s.herbs().findAny().isPresent()) {
            return false;
        }
        Amount said = amount.get().amount;
        Unit unit = said.unit().orElse(Unit.CUP);
        boolean bare = said.unit().isEmpty() && !s.has(Kind.PEOPLE);
        boolean ends = s.items().get(s.items().size() - 1) instanceof Item.Thing;
        if (unit.dimension() != Unit.Dimension.VOLUME || s.act() == null && bare && !(first(line) && ends)) {
            return false;
        }
        double ml = said.low() * unit.millilitresEach(custom);
        if (Amount.CUPS.contains(unit)) {
            sheet.cups = OptionalDouble.of(said.low());
            sheet.yieldMl = OptionalDouble.of(ml);
            line.reads.add(new Understood.MakesCups(said.low()));
        } else {
            sheet.yieldMl = OptionalDouble.of(ml);
            line.reads.add(new Understood.Makes(Volume.millilitres(ml)));
        }
        line.read(amount.get().labels);
        Stream.of(Kind.PEOPLE, Kind.FOR, Kind.TEA, Kind.ADULTS).forEach(k -> line.read(s.atoms(k)));
        if (s.act() != null) {
            line.read(List.of(s.act()));
        }
        line.becomes(Reading.LineKind.SERVES);
        return true;
    }

    private static boolean first(LineDraft line) {
        return line.index == 0 || line.words.size() <= 6;
    }

    /** Words without a verb: things of a list, a time by itself, a state. */
    private void said(Segment s, boolean listed, LineDraft line) {
        liquids.liquids(s, line, true);
        named.blend(s, line);
        s.degrees().filter(d -> s.water().isPresent()).ifPresent(d -> {
            pot.contact = d.celsius() > 60 ? Contact.READY : Contact.COLD;
            pot.contactC = OptionalDouble.of(d.celsius());
            line.read(d);
        });
        s.herbs().forEach(p -> named.listed(p, listed, line));
        if (s.herbs().findAny().isEmpty()) {
            named.mentions(s, line).toList();
        }
        named.unknown(s, line);
        s.time().ifPresent(t -> waits.bareTime(s, t, line));
        reductions.mark(s, line);
        if (s.has(Kind.BELOW_BOIL)) {
            fire.belowBoil(s, line);
        }
    }

    // ---- verbs

    private void done(Act act, Segment s, LineDraft line) {
        if (pot.strained() && ON_HERBS.contains(act)) {
            return;
        }
        List<Label> verb = List.of(s.act());
        switch (act) {
            case HEAT -> fire.heat(s, line);
            case BOIL, SIMMER -> fire.boil(act, s, line);
            case REDUCE -> reductions.reduce(s, line);
            case TURN_DOWN -> fire.turnDown(s, line);
            case STEEP, STAND, MACERATE -> {
                if (act == Act.STAND && s.has(Kind.FLAME) && s.time().isPresent()) {
                    fire.boil(Act.SIMMER, s, line);
                } else {
                    waits.stand(act, s, line);
                }
            }
            case COVER, UNCOVER -> cover(act, s, line);
            case POUR -> pouring.pour(s, line);
            case ADD -> pouring.put(s, line);
            case FINISH -> endings.finish(s, line);
            case STRAIN -> endings.strain(s, line);
            case PRESS -> endings.press(s, line);
            case COOL -> pouring.cool(s, line);
            case OFF -> pouring.off(s, line);
            case COMBINE -> {
                if (!endings.combine(line)) {
                    pouring.put(s, line);
                }
            }
            case AGAIN -> endings.again(s, line);
            case BLEND, STIR, SHAKE -> work(act, s, line);
            case DISCARD -> s.herbs().forEach(p -> line.read(p.labels));
            case DRINK -> {
                if (s.herbs().findAny().isPresent()) {
                    pouring.put(s, line);
                }
            }
            case DECANT, KEEP, MAKE -> {
                named.mentions(s, line).toList();
                s.bare().ifPresent(p -> line.read(p.labels));
            }
        }
        line.read(verb);
    }

    private void cover(Act act, Segment s, LineDraft line) {
        boolean on = act == Act.COVER ^ s.negated();
        if (covered(s, line)) {
            return;
        }
        liquids.liquids(s, line, true);
        named.mentions(s, line).toList();
        Optional<Item.Time> time = s.time();
        if (time.isPresent() && (on || pot.contact == Contact.ON_FIRE)) {
            pot.nextLid = on;
            waits.wait(s, time, Act.STAND, line);
            return;
        }
        pot.lid(on, line);
        line.reads.add(new Understood.Lid(on));
    }

    /** "Cover it with two inches of spirit": how full, not how closed. */
    private boolean covered(Segment s, LineDraft line) {
        Optional<Phrase> inches = s.bare().filter(p -> p.amount
                .unit()
                .filter(u -> u.dimension() == Unit.Dimension.LENGTH)
                .isPresent());
        boolean liquid = s.things().anyMatch(p -> p.menstruum.isPresent());
        if (inches.isPresent()) {
            Amount amount = inches.get().amount;
            double cm = (amount.low() + amount.high())
                    / 2
                    * amount.unit().orElseThrow().centimetresEach();
            sheet.fill = Optional.of(new Told.Fill(Told.Fill.From.HERBS, cm));
            line.read(inches.get().labels);
            line.reads.add(new Understood.Filled(sheet.fill.get()));
        }
        if (inches.isPresent() || liquid) {
            liquids.liquids(s, line, true);
            named.mentions(s, line).toList();
        }
        return inches.isPresent() || liquid;
    }

    private void work(Act act, Segment s, LineDraft line) {
        liquids.liquids(s, line, true);
        List<Ingredient> herbs = named.take(s, line);
        boolean cup = !herbs.isEmpty() && herbs.stream().allMatch(Sheet::inTheCup);
        if (cup && !(act == Act.BLEND)) {
            pot.finishing(herbs, line);
            return;
        }
        boolean daily = s.has(Kind.PER_DAY) || s.has(Kind.A_DAY);
        line.read(s.atoms(Kind.PER_DAY));
        line.read(s.atoms(Kind.A_DAY));
        line.read(s.atoms(Kind.VESSEL));
        StageKind kind = StageKind.valueOf(act.name());
        line.reads.add(new Understood.Plain(kind));
        if (daily
                || act == Act.SHAKE
                        && sheet.last()
                                .filter(d -> d.kind == StageKind.MACERATE)
                                .isPresent()) {
            s.time().ifPresent(t -> waits.wait(s, Optional.of(t), Act.STAND, line));
            return;
        }
        pot.goIn(herbs);
        if (act == Act.BLEND && pot.pending.isEmpty() && sheet.stages.isEmpty()) {
            sheet.brewed().forEach(pot.pending::add);
        }
        pot.begin(kind, line);
        s.time().ifPresent(t -> {
            if (act != Act.BLEND) {
                waits.wait(s, Optional.of(t), Act.STAND, line);
            } else {
                line.read(t);
            }
        });
    }

    /** Lid, flame, sign, vessel: what a segment says beside its verb. */
    private void aside(Segment s, LineDraft line, int before) {
        s.atoms(Kind.LID).forEach(l -> {
            boolean on = l.value().equals("on");
            Optional<StageDraft> last = sheet.last().filter(d -> sheet.stages.size() > before || d.line == line);
            if (last.filter(d -> d.timed() || d.fire()).isPresent()
                    && sheet.stages.size() >= before
                    && !(sheet.stages.size() == before && s.act() == null && last.get().lid != null)) {
                last.get().lid = on;
            } else {
                pot.nextLid = on;
            }
            line.read(List.of(l));
            line.reads.add(new Understood.Lid(on));
        });
        s.atoms(Kind.FLAME).forEach(l -> {
            Flame flame = l.as(Flame.class);
            sheet.last().filter(StageDraft::fire).ifPresent(d -> d.flame = flame);
            pot.low |= flame == Flame.LOW
                    && sheet.last().filter(d -> d.kind == StageKind.HEAT).isPresent();
            line.read(List.of(l));
        });
        signs.signed(s, line);
        Stream.of(
                        Kind.VESSEL,
                        Kind.TEA,
                        Kind.DRUNK_WHOLE,
                        Kind.OF_IT,
                        Kind.EACH,
                        Kind.EQUAL,
                        Kind.HEADING,
                        Kind.ABOVE,
                        Kind.HEADSPACE,
                        Kind.LAST,
                        Kind.PLACE,
                        Kind.STATE,
                        Kind.OPTIONAL,
                        Kind.LITTLE,
                        Kind.PER_CUP)
                .forEach(k -> s.atoms(k)
                        .filter(l -> s.act() != null || k != Kind.STATE)
                        .forEach(l -> line.read(List.of(l))));
        if (s.has(Kind.DRUNK_WHOLE)) {
            sheet.drunkWhole = true;
            line.reads.add(new Understood.DrunkWhole());
        }
        s.things()
                .filter(p -> !p.named() && p.unknown.isEmpty() && p.amount != null)
                .forEach(p -> vessel(p, s, line));
    }

    /** "Into a cup": an amount that is a vessel. */
    private static void vessel(Phrase p, Segment s, LineDraft line) {
        boolean cup = p.amount.low() == 1
                && p.amount
                        .unit()
                        .filter(u -> Amount.CUPS.contains(u) || u == Unit.BOTTLE)
                        .isPresent();
        if (s.act() != null && (cup || p.amount.unit().isEmpty() && p.amount.low() == 1)) {
            line.read(p.labels);
        }
    }
}
