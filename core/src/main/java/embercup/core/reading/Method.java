package embercup.core.reading;

import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Temperature;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Place;
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

    /** A cup is drunk at about this (common practice, no source), °C. */
    static final double DRINKABLE_C = 60;

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
        s.time().ifPresent(t -> bareTime(s, t, line));
        reductions.mark(s, line);
        if (s.has(Kind.BELOW_BOIL)) {
            belowBoil(s, line);
        }
    }

    /** A time that stands without a verb belongs to what was done last, or is a wait. */
    private void bareTime(Segment s, Item.Time time, LineDraft line) {
        if (pot.untimed != null && Double.isNaN(pot.untimed.minutes)) {
            pot.timed(pot.untimed, time, line);
        } else if (sheet.stages.isEmpty() && !time.named() && pot.contact == Contact.NONE && pot.pending.isEmpty()) {
            return;
        } else {
            wait(s, Optional.of(time), Act.STAND, line);
        }
    }

    // ---- verbs

    private void done(Act act, Segment s, LineDraft line) {
        if (pot.strained() && ON_HERBS.contains(act)) {
            return;
        }
        List<Label> verb = List.of(s.act());
        switch (act) {
            case HEAT -> heat(s, line);
            case BOIL, SIMMER -> boil(act, s, line);
            case REDUCE -> reductions.reduce(s, line);
            case TURN_DOWN -> turnDown(s, line);
            case STEEP, STAND, MACERATE -> stand(act, s, line);
            case COVER, UNCOVER -> cover(act, s, line);
            case POUR -> pour(s, line);
            case ADD -> put(s, line);
            case FINISH -> endings.finish(s, line);
            case STRAIN -> endings.strain(s, line);
            case PRESS -> endings.press(s, line);
            case COOL -> cool(s, line);
            case OFF -> off(s, line);
            case COMBINE -> {
                if (!endings.combine(line)) {
                    put(s, line);
                }
            }
            case AGAIN -> endings.again(s, line);
            case BLEND, STIR, SHAKE -> work(act, s, line);
            case DISCARD -> s.herbs().forEach(p -> line.read(p.labels));
            case DRINK -> {
                if (s.herbs().findAny().isPresent()) {
                    put(s, line);
                }
            }
            case DECANT, KEEP, MAKE -> {
                named.mentions(s, line).toList();
                s.bare().ifPresent(p -> line.read(p.labels));
            }
        }
        line.read(verb);
    }

    private void heat(Segment s, LineDraft line) {
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
            StageDraft boil = pot.begin(pot.heldBelow ? StageKind.STEEP : StageKind.BOIL, line);
            pot.timed(boil, t, line);
        });
        reductions.mark(s, line);
    }

    /** Heat that is held under the boil: heated so far, then it stands. */
    private void belowBoil(Segment s, LineDraft line) {
        pot.heldBelow = true;
        line.read(s.atoms(Kind.BELOW_BOIL));
        sheet.last().filter(d -> d.kind == StageKind.HEAT && d.toC.isEmpty()).ifPresent(d -> {
            d.toC = OptionalDouble.of(Pot.OFF_BOIL_C);
            d.flame = Flame.LOW;
        });
        sheet.last()
                .filter(d -> d.kind == StageKind.SIMMER || d.kind == StageKind.BOIL)
                .ifPresent(d -> {
                    d.kind = StageKind.STEEP;
                    int at = sheet.stages.indexOf(d);
                    boolean heated = at > 0 && sheet.stages.get(at - 1).kind == StageKind.HEAT;
                    StageDraft heat = heated ? sheet.stages.get(at - 1) : new StageDraft(StageKind.HEAT, line);
                    heat.toC = heat.toC.isEmpty() ? OptionalDouble.of(Pot.OFF_BOIL_C) : heat.toC;
                    heat.flame = Flame.LOW;
                    if (!heated) {
                        sheet.stages.add(at, heat);
                    }
                });
        line.reads.add(new Understood.HeatedTo(Temperature.celsius(Pot.OFF_BOIL_C)));
        line.becomes(Reading.LineKind.METHOD);
    }

    private void boil(Act act, Segment s, LineDraft line) {
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

    private void turnDown(Segment s, LineDraft line) {
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

    private void stand(Act act, Segment s, LineDraft line) {
        if (act == Act.STAND && s.has(Kind.FLAME) && s.time().isPresent()) {
            boil(Act.SIMMER, s, line);
            return;
        }
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

    /** Whatever stands for a time: cold, hot on the herbs, or off the flame. */
    private void wait(Segment s, Optional<Item.Time> time, Act act, LineDraft line) {
        if (time.isPresent()
                && pot.untimed != null
                && Double.isNaN(pot.untimed.minutes)
                && !pot.untimed.fire()
                && pot.pending.isEmpty()) {
            pot.timed(pot.untimed, time.get(), line);
            return;
        }
        StageKind kind = pot.waiting(act);
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
            wait(s, time, Act.STAND, line);
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

    // ---- water and herbs

    private void pour(Segment s, LineDraft line) {
        boolean hadWater = s.water().isPresent();
        boolean refill = liquids.liquids(s, line, false);
        List<Ingredient> herbs = named.take(s, line);
        if (refill) {
            return;
        }
        boolean spirit = s.things().anyMatch(p -> p.menstruum.isPresent());
        if (spirit || s.has(Kind.TEA) && !hadWater || sheet.has(StageKind.STRAIN) && !hadWater) {
            pot.pending.addAll(herbs);
            return;
        }
        String state = s.water()
                .flatMap(p -> p.state)
                .or(() -> s.atom(Kind.STATE).map(Label::value))
                .orElse("");
        line.read(s.atoms(Kind.STATE));
        pot.waits(herbs);
        boolean hot = state.equals("boiling") || state.equals("hot") || state.equals("off-boil");
        boolean heatedBefore =
                pot.contact == Contact.ON_FIRE || pot.contact == Contact.OFF_FIRE || pot.contact == Contact.READY;
        if (hot
                || s.degrees().filter(d -> d.celsius() > 60).isPresent()
                || heatedBefore && !state.equals("cold") && state.isEmpty()) {
            OptionalDouble toC = s.degrees()
                    .map(d -> OptionalDouble.of(d.celsius()))
                    .orElse(state.equals("off-boil") ? OptionalDouble.of(Pot.OFF_BOIL_C) : pot.listedWarmth(state));
            s.degrees().ifPresent(line::read);
            pot.contactC = toC;
            pot.poured(line);
        } else if (hadWater || s.has(Kind.STATE)) {
            pot.contact = Contact.COLD;
            pot.contactC = state.equals("warm") ? OptionalDouble.of(Pot.WARM_C) : OptionalDouble.empty();
        }
        s.time().ifPresent(t -> wait(s, Optional.of(t), Act.STAND, line));
    }

    /** "To each later cup a spoon of ghee": the cups are said before what goes into them. */
    private static void intoCups(Segment s) {
        s.atom(Kind.PER_CUP).ifPresent(cups -> s.herbs()
                .filter(p -> !p.perCup && p.amount != null)
                .forEach(p -> {
                    p.perCup = true;
                    p.into = Chunker.into(cups);
                }));
    }

    private void put(Segment s, LineDraft line) {
        if (liquids.liquids(s, line, false)) {
            return;
        }
        intoCups(s);
        List<Ingredient> herbs = named.take(s, line);
        Optional<Item.Time> time = s.time();
        Optional<String> state = s.water().flatMap(p -> p.state);
        boolean cupOnly = !herbs.isEmpty() && herbs.stream().allMatch(Sheet::inTheCup);
        if (cupOnly
                && !pot.fireFollows
                && (pot.strained()
                        || pot.contact == Contact.POURED
                        || sheet.stages.stream().anyMatch(d -> d.timed())
                        || s.has(Kind.PER_CUP))) {
            pot.finishing(herbs, line);
            return;
        }
        if (pot.strained() && !herbs.isEmpty() && state.isEmpty()) {
            pot.finishing(herbs, line);
            return;
        }
        pot.waits(herbs);
        if (state.filter(x -> x.equals("boiling") || x.equals("hot") || x.equals("off-boil"))
                .isPresent()) {
            pot.contact = Contact.READY;
            pot.contactC = state.get().equals("off-boil") ? OptionalDouble.of(Pot.OFF_BOIL_C) : OptionalDouble.empty();
        } else if (s.water().isPresent() && pot.contact == Contact.NONE) {
            pot.contact = state.filter(x -> x.equals("cold")).isPresent() ? Contact.COLD : pot.contact;
        }
        if (time.isPresent() && s.has(Kind.LAST)) {
            lastMinutes(time.get(), line);
        } else if (time.isPresent()) {
            wait(s, time, Act.STAND, line);
        }
    }

    /** "For the last five minutes": the wait before it is shorter by so much. */
    private void lastMinutes(Item.Time time, LineDraft line) {
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

    private void cool(Segment s, LineDraft line) {
        named.mentions(s, line).toList();
        boolean little =
                pot.contact == Contact.ON_FIRE || pot.contact == Contact.OFF_FIRE || pot.contact == Contact.READY;
        boolean before = sheet.stages.stream()
                .noneMatch(d -> d.timed() || d.kind == StageKind.STRAIN || d.kind == StageKind.REDUCE);
        if (little && before && s.degrees().isEmpty()) {
            pot.contactC = OptionalDouble.of(Pot.OFF_BOIL_C);
            pot.contact = Contact.READY;
            line.reads.add(new Understood.Cooled(Temperature.celsius(Pot.OFF_BOIL_C)));
            s.time().ifPresent(line::read);
            line.read(s.atoms(Kind.LITTLE));
            return;
        }
        if (s.time().isPresent() && s.degrees().isEmpty()) {
            wait(s, s.time(), Act.STAND, line);
            return;
        }
        if (before && s.degrees().isPresent() && little) {
            pot.contactC = OptionalDouble.of(s.degrees().get().celsius());
            pot.contact = Contact.READY;
            line.read(s.degrees().get());
            line.reads.add(new Understood.Cooled(Temperature.celsius(pot.contactC.getAsDouble())));
            return;
        }
        StageDraft stage = endings.cooling(line);
        boolean warm = s.atom(Kind.STATE).filter(l -> l.value().equals("warm")).isPresent();
        stage.toC = s.degrees()
                .map(d -> OptionalDouble.of(d.celsius()))
                .orElse(warm ? OptionalDouble.of(Pot.WARM_C) : OptionalDouble.empty());
        s.degrees().ifPresent(line::read);
        line.read(s.atoms(Kind.STATE));
        line.reads.add(new Understood.Cooled(Temperature.celsius(stage.toC.orElse(DRINKABLE_C))));
    }

    private void off(Segment s, LineDraft line) {
        pot.contact = Contact.OFF_FIRE;
        pot.low = false;
        liquids.liquids(s, line, false);
        List<Ingredient> herbs = named.take(s, line);
        pot.goIn(herbs);
        line.reads.add(new Understood.FlameOff());
        s.time().ifPresent(t -> wait(s, Optional.of(t), Act.STAND, line));
        line.read(s.atoms(Kind.VESSEL));
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
            s.time().ifPresent(t -> wait(s, Optional.of(t), Act.STAND, line));
            return;
        }
        pot.goIn(herbs);
        if (act == Act.BLEND && pot.pending.isEmpty() && sheet.stages.isEmpty()) {
            sheet.brewed().forEach(pot.pending::add);
        }
        pot.begin(kind, line);
        s.time().ifPresent(t -> {
            if (act != Act.BLEND) {
                wait(s, Optional.of(t), Act.STAND, line);
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
