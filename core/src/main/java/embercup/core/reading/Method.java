package embercup.core.reading;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Temperature;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Place;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads what is done with a pot, verb by verb, and where each herb goes in. Mutable, used once for a text. */
final class Method {

    /** A cup is drunk at about this (common practice, no source), °C. */
    static final double DRINKABLE_C = 60;
    /** Just off the boil; warm to the hand; heat held below the boil (common practice, no source), °C. */
    private static final double OFF_BOIL_C = 90;

    private static final double WARM_C = 40;
    /** Times that are offered where none is written (common practice, no source), min. */
    private static final List<Double> USUAL_MIN = List.of(10.0, 5.0, 15.0, 30.0);

    private static final List<Double> USUAL_NIGHT_MIN = List.of(480.0, 360.0, 600.0, 720.0);
    /** A spirit whose strength is not said is the usual one of the kitchen cupboard (common practice, no source), % by volume. */
    private static final double USUAL_SPIRIT = 40;

    /** What the water is at the herbs. */
    private enum Contact {
        NONE,
        COLD,
        /** Hot, and not yet on them. */
        READY,
        POURED,
        ON_FIRE,
        OFF_FIRE
    }

    private final Sheet sheet;
    private final Ingredients ingredients;
    private final Taking taking;
    private final MeasureCustom custom;
    private final Answers answers;

    private Contact contact = Contact.NONE;
    private OptionalDouble contactC = OptionalDouble.empty();
    private OptionalDouble listedC = OptionalDouble.empty();
    private final List<Ingredient> pending = new ArrayList<>();
    private @Nullable Boolean nextLid;
    private boolean low;
    /** What "it" is. */
    private @Nullable Ingredient lastNamed;
    /** Whether more is done in the sentence. */
    private boolean more;

    private boolean fireFollows;

    private boolean belowBoil;
    private @Nullable StageDraft untimed;
    /** Whether the water stood in the list: a second one there is more of it. */
    private boolean listedWater;

    Method(Sheet sheet, Ingredients ingredients, Taking taking, MeasureCustom custom, Answers answers) {
        this.sheet = sheet;
        this.ingredients = ingredients;
        this.taking = taking;
        this.custom = custom;
        this.answers = answers;
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
        List<Segment> segments = Segment.of(signs(items, line));
        boolean tells = Taking.tells(segments);
        boolean told = false;
        for (Segment segment : segments) {
            List<Segment> later = segments.subList(segments.indexOf(segment) + 1, segments.size());
            more = !later.isEmpty();
            fireFollows = later.stream().anyMatch(x -> x.any(Act.HEAT, Act.BOIL, Act.SIMMER, Act.REDUCE, Act.STEEP));
            if (taking.pause(segment, line) || taking.keeps(segment, line)) {
                continue;
            }
            if (tells && (told || Taking.tells(segment)) && !cooks(segment)) {
                taking.taken(segment, line);
                told = true;
                line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.TAKING : line.kind;
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
                Act.ADD);
    }

    // ---- signs: until it looks so

    /** The items without what tells a sign, which is kept for the stage it ends. */
    private List<Item> signs(List<Item> items, LineDraft line) {
        List<Item> rest = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            int end = clauseEnd(items, i + 1, line);
            if (atom(items.get(i), Kind.UNTIL) && sign(items, i + 1, end)) {
                List<Label> said = new ArrayList<>();
                items.subList(i + 1, end).forEach(item -> said.addAll(item.labels()));
                rest.add(new SignItem(items.get(i).labels().get(0), said).atom());
                pendingSign = line.said(said);
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

    private static List<Label> between(List<Item> items, int from, int to) {
        List<Label> all = new ArrayList<>();
        items.subList(from, to).forEach(i -> all.addAll(i.labels()));
        return all;
    }

    private String pendingSign = "";

    /** Stands where a sign stood, so that it is known which stage it ends. */
    private record SignItem(Label until, List<Label> said) {
        Item.Atom atom() {
            return new Item.Atom(until);
        }
    }

    private static boolean atom(Item item, Kind kind) {
        return item instanceof Item.Atom a && a.label().is(kind);
    }

    private static int clauseEnd(List<Item> items, int from, LineDraft line) {
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

    private static boolean actFollows(List<Item> items, int from) {
        return from < items.size()
                && (atom(items.get(from), Kind.ACT) || atom(items.get(from), Kind.GLUE) && actFollows(items, from + 1));
    }

    /** Whether what follows "until" is something to see, and no amount that is left. */
    private static boolean sign(List<Item> items, int from, int to) {
        List<Item> said = items.subList(from, Math.max(from, to));
        boolean mark = said.stream()
                .anyMatch(i -> atom(i, Kind.LEFT) || i instanceof Item.Thing t && t.phrase().amount != null);
        return !mark && said.stream().anyMatch(i -> atom(i, Kind.UNKNOWN) || atom(i, Kind.STATE));
    }

    // ---- a segment

    private void segment(Segment s, boolean listed, LineDraft line) {
        if (makes(s, line)) {
            return;
        }
        Label act = s.act();
        if (act != null) {
            blend(s, line);
        }
        int before = sheet.stages.size();
        if (act == null) {
            said(s, listed, line);
        } else {
            line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.METHOD : line.kind;
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
        if (unit == Unit.CUP || unit == Unit.MUG || unit == Unit.GLASS) {
            sheet.cups = OptionalDouble.of(said.low());
            sheet.yieldMl = OptionalDouble.of(ml);
            line.reads.add(new Understood.MakesCups(said.low()));
        } else {
            sheet.yieldMl = OptionalDouble.of(ml);
            line.reads.add(new Understood.Makes(Volume.millilitres(ml)));
        }
        line.read(amount.get().labels);
        Stream.of(Kind.PEOPLE, Kind.FOR, Kind.TEA, Kind.ADULTS)
                .forEach(k -> s.atoms(k).forEach(l -> line.read(List.of(l))));
        if (s.act() != null) {
            line.read(List.of(s.act()));
        }
        line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.SERVES : line.kind;
        return true;
    }

    private static boolean first(LineDraft line) {
        return line.index == 0 || line.words.size() <= 6;
    }

    /** Words without a verb: things of a list, a time by itself, a state. */
    private void said(Segment s, boolean listed, LineDraft line) {
        liquids(s, line, true);
        blend(s, line);
        s.degrees().filter(d -> s.water().isPresent()).ifPresent(d -> {
            contact = d.celsius() > 60 ? Contact.READY : Contact.COLD;
            contactC = OptionalDouble.of(d.celsius());
            line.read(d);
        });
        s.herbs().forEach(p -> listed(p, listed, line));
        if (s.herbs().findAny().isEmpty()) {
            mentions(s, line).toList();
        }
        unknown(s, line);
        s.time().ifPresent(t -> bareTime(s, t, line));
        mark(s, line);
        if (s.has(Kind.BELOW_BOIL)) {
            belowBoil(s, line);
        }
    }

    /** "1 tsp of the blend". */
    private void blend(Segment s, LineDraft line) {
        for (int i = 0; i + 1 < s.items().size(); i++) {
            boolean of =
                    s.items().get(i + 1) instanceof Item.Atom a && a.label().is(Kind.OF_IT);
            if (of
                    && s.items().get(i) instanceof Item.Thing t
                    && t.phrase().amount != null
                    && t.phrase().amount.unit().isPresent()) {
                Amount amount = t.phrase().amount;
                sheet.ofBlend = Optional.of(embercup.core.measure.Quantity.of(
                        amount.low(), amount.unit().get()));
                sheet.blendEachCup = s.has(Kind.PER_CUP) || s.things().anyMatch(p -> p.perCup);
                line.read(t);
                line.read(s.items().get(i + 1));
                line.reads.add(new Understood.OfBlend(sheet.ofBlend.get()));
            }
        }
    }

    private void listed(Phrase phrase, boolean listed, LineDraft line) {
        Optional<Ingredient> known = sheet.known(phrase);
        if (known.isPresent() && phrase.amount == null) {
            mention(known.get(), phrase, line);
        } else if (listed || phrase.amount != null) {
            ingredients.of(phrase, line).ifPresent(i -> {
                sheet.add(i, line);
                read(i, line);
            });
            line.kind = Reading.LineKind.HERB;
        }
    }

    private static void read(Ingredient i, LineDraft line) {
        line.reads.add(new Understood.OfHerb(i.quantity, HerbName.of(i.herb), i.form, i.cut));
        i.or.forEach(o -> line.reads.add(new Understood.OfHerb(o.quantity, HerbName.of(o.herb), o.form, o.cut)));
    }

    /** An amount of something that no name is known for. */
    private void unknown(Segment s, LineDraft line) {
        s.things()
                .filter(p -> !p.named() && p.amount != null && !p.unknown.isEmpty() && measured(p, line))
                .forEach(p -> {
                    Question question = new Question.NoHerb(line.said(p.unknown));
                    Optional<String> answer = answers.to(line.index, question.key());
                    line.asks.add(new Asked(question, List.of(new Choice.LeaveOut()), answer));
                    line.asked(p.labels);
                    line.asked(p.unknown);
                    answer.filter(a -> !a.equals(Choice.LeaveOut.VALUE))
                            .flatMap(ingredients::herb)
                            .ifPresent(h -> {
                                Ingredient i = ingredients.as(h, p, line);
                                sheet.add(i, line);
                                read(i, line);
                            });
                    line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.HERB : line.kind;
                });
    }

    /** Whether something is measured: "a walk" is not. */
    private static boolean measured(Phrase p, LineDraft line) {
        return p.amount.unit().isPresent()
                || line.text
                        .substring(line.words.get(p.labels.get(0).from()).from())
                        .matches("^[\\d½¼¾⅓⅔].*");
    }

    /** A time that stands without a verb belongs to what was done last, or is a wait. */
    private void bareTime(Segment s, Item.Time time, LineDraft line) {
        if (untimed != null && Double.isNaN(untimed.minutes)) {
            timed(untimed, time, line);
        } else if (sheet.stages.isEmpty() && !time.named() && contact == Contact.NONE && pending.isEmpty()) {
            return;
        } else {
            wait(s, Optional.of(time), Act.STAND, line);
        }
    }

    // ---- verbs

    private void done(Act act, Segment s, LineDraft line) {
        List<Label> verb = List.of(s.act());
        switch (act) {
            case HEAT -> heat(s, line);
            case BOIL, SIMMER -> boil(act, s, line);
            case REDUCE -> reduce(s, line);
            case TURN_DOWN -> turnDown(s, line);
            case STEEP, STAND, MACERATE -> stand(act, s, line);
            case COVER, UNCOVER -> cover(act, s, line);
            case POUR -> pour(s, line);
            case ADD -> put(s, line);
            case FINISH -> finish(s, line);
            case STRAIN -> strain(s, line);
            case PRESS -> press(s, line);
            case COOL -> cool(s, line);
            case OFF -> off(s, line);
            case COMBINE -> combine(s, line);
            case AGAIN -> again(s, line);
            case BLEND, STIR, SHAKE -> work(act, s, line);
            case DISCARD -> s.herbs().forEach(p -> line.read(p.labels));
            case DRINK -> {
                if (s.herbs().findAny().isPresent()) {
                    put(s, line);
                }
            }
            case DECANT, KEEP, MAKE -> {
                mentions(s, line).toList();
                s.bare().ifPresent(p -> line.read(p.labels));
            }
        }
        line.read(verb);
    }

    private void heat(Segment s, LineDraft line) {
        liquids(s, line, true);
        List<Ingredient> herbs = take(s, line);
        if (s.negated()) {
            belowBoil(s, line);
            return;
        }
        goIn(herbs);
        StageDraft last = sheet.last().orElse(null);
        boolean again = last != null && last.kind == StageKind.HEAT && herbs.isEmpty() && pending.isEmpty();
        boolean boiling = last != null && last.kind.boils() && herbs.isEmpty() && pending.isEmpty();
        StageDraft stage;
        if (again || boiling) {
            stage = last;
        } else {
            stage = begin(StageKind.HEAT, line);
            stage.onlyWater = herbs.isEmpty()
                    && placedAt(sheet.stages.size() - 1).findAny().isEmpty();
            line.reads.add(new Understood.Plain(StageKind.HEAT));
        }
        s.degrees().ifPresent(d -> {
            stage.toC = OptionalDouble.of(d.celsius());
            line.read(d);
            line.reads.add(new Understood.HeatedTo(Temperature.celsius(d.celsius())));
        });
        if (s.has(Kind.BELOW_BOIL) || belowBoil) {
            belowBoil(s, line);
        }
        contact = Contact.ON_FIRE;
        s.time().ifPresent(t -> {
            StageDraft boil = begin(belowBoil ? StageKind.STEEP : StageKind.BOIL, line);
            timed(boil, t, line);
        });
        mark(s, line);
    }

    /** Heat that is held under the boil: heated so far, then it stands. */
    private void belowBoil(Segment s, LineDraft line) {
        belowBoil = true;
        s.atoms(Kind.BELOW_BOIL).forEach(l -> line.read(List.of(l)));
        sheet.last().filter(d -> d.kind == StageKind.HEAT && d.toC.isEmpty()).ifPresent(d -> {
            d.toC = OptionalDouble.of(OFF_BOIL_C);
            d.flame = Flame.LOW;
        });
        sheet.last()
                .filter(d -> d.kind == StageKind.SIMMER || d.kind == StageKind.BOIL)
                .ifPresent(d -> {
                    d.kind = StageKind.STEEP;
                    int at = sheet.stages.indexOf(d);
                    boolean heated = at > 0 && sheet.stages.get(at - 1).kind == StageKind.HEAT;
                    StageDraft heat = heated ? sheet.stages.get(at - 1) : new StageDraft(StageKind.HEAT, line);
                    heat.toC = heat.toC.isEmpty() ? OptionalDouble.of(OFF_BOIL_C) : heat.toC;
                    heat.flame = Flame.LOW;
                    if (!heated) {
                        sheet.stages.add(at, heat);
                    }
                });
        line.reads.add(new Understood.HeatedTo(Temperature.celsius(OFF_BOIL_C)));
        line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.METHOD : line.kind;
    }

    private void boil(Act act, Segment s, LineDraft line) {
        if (s.negated()) {
            belowBoil(s, line);
            return;
        }
        boolean waterOnly = s.water().isPresent()
                && s.herbs().findAny().isEmpty()
                && pending.isEmpty()
                && s.time().isEmpty()
                && act == Act.BOIL;
        if (waterOnly || act == Act.BOIL && s.time().isEmpty() && !marks(s) && bare(s) && contact != Contact.ON_FIRE) {
            heat(s, line);
            return;
        }
        liquids(s, line, true);
        List<Ingredient> herbs = take(s, line);
        boolean quiet = act == Act.SIMMER
                || low
                || s.atom(Kind.FLAME).filter(f -> f.value().equals("low")).isPresent();
        if (marks(s)) {
            reduceTo(s, line);
            return;
        }
        StageDraft last = sheet.last().orElse(null);
        if (act == Act.BOIL && s.time().isEmpty() && last != null && last.kind == StageKind.HEAT && herbs.isEmpty()) {
            return;
        }
        goIn(herbs);
        StageDraft stage = begin(quiet ? StageKind.SIMMER : StageKind.BOIL, line);
        contact = Contact.ON_FIRE;
        low = false;
        s.time().ifPresentOrElse(t -> timed(stage, t, line), () -> untimed = stage);
        if (belowBoil || s.has(Kind.BELOW_BOIL)) {
            belowBoil(s, line);
        }
    }

    /** What is named at a fire and is not in yet goes in with it. */
    private void goIn(List<Ingredient> herbs) {
        herbs.stream().filter(h -> h.stage < 0 && !pending.contains(h)).forEach(pending::add);
    }

    private static boolean bare(Segment s) {
        return s.herbs().findAny().isEmpty();
    }

    private void turnDown(Segment s, LineDraft line) {
        low = true;
        s.time().ifPresent(t -> {
            low = false;
            StageDraft stage = begin(StageKind.SIMMER, line);
            timed(stage, t, line);
        });
        line.kind = Reading.LineKind.METHOD;
        line.reads.add(new Understood.Plain(StageKind.SIMMER));
        mark(s, line);
    }

    private void stand(Act act, Segment s, LineDraft line) {
        if (act == Act.STAND && s.has(Kind.FLAME) && s.time().isPresent()) {
            boil(Act.SIMMER, s, line);
            return;
        }
        liquids(s, line, true);
        List<Ingredient> herbs = take(s, line);
        pending.addAll(herbs.stream().filter(h -> !pending.contains(h)).toList());
        boolean again = s.time().isEmpty()
                && act != Act.STAND
                && sheet.last()
                        .filter(d -> d.timed() && !d.fire() && Double.isNaN(d.minutes))
                        .isPresent();
        if (again || s.time().isEmpty() && act == Act.STAND) {
            sign(s, line);
            return;
        }
        wait(s, s.time(), act, line);
    }

    /** Whatever stands for a time: cold, hot on the herbs, or off the flame. */
    private void wait(Segment s, Optional<Item.Time> time, Act act, LineDraft line) {
        if (time.isPresent()
                && untimed != null
                && Double.isNaN(untimed.minutes)
                && !untimed.fire()
                && pending.isEmpty()) {
            timed(untimed, time.get(), line);
            return;
        }
        StageKind kind = waiting(act);
        if (kind == StageKind.STEEP && contact == Contact.READY) {
            poured(line);
        }
        StageDraft stage = begin(kind, line);
        s.atom(Kind.PLACE).ifPresent(p -> {
            stage.place = Place.valueOf(p.value().toUpperCase(Locale.ROOT));
            line.read(List.of(p));
        });
        if (kind == StageKind.MACERATE && contactC.isPresent()) {
            stage.toC = contactC;
        }
        if (time.isPresent()) {
            timed(stage, time.get(), line);
        } else {
            untimed = stage;
        }
        sign(s, line);
    }

    private StageKind waiting(Act act) {
        if (sheet.menstruum.isPresent()
                || act == Act.MACERATE && contact != Contact.POURED && contact != Contact.READY) {
            return StageKind.MACERATE;
        }
        boolean fresh = pending.stream().anyMatch(i -> !Sheet.inTheCup(i));
        return switch (contact) {
            case NONE, COLD -> act == Act.STEEP && contact == Contact.NONE ? StageKind.STEEP : StageKind.MACERATE;
            case READY, POURED -> StageKind.STEEP;
            case ON_FIRE -> low ? StageKind.SIMMER : fresh || !brewedOnFire() ? StageKind.STEEP : StageKind.REST;
            case OFF_FIRE -> fresh || !brewedOnFire() ? StageKind.STEEP : StageKind.REST;
        };
    }

    /** Whether herbs were in the pot while it was on the flame. */
    private boolean brewedOnFire() {
        for (int i = 0; i < sheet.stages.size(); i++) {
            if (sheet.stages.get(i).fire()
                    && (!sheet.stages.get(i).onlyWater
                            || sheet.stages.get(i).kind.boils())) {
                return true;
            }
        }
        return false;
    }

    private void cover(Act act, Segment s, LineDraft line) {
        boolean on = act == Act.COVER ^ s.negated();
        if (covered(s, line)) {
            return;
        }
        liquids(s, line, true);
        mentions(s, line).toList();
        Optional<Item.Time> time = s.time();
        if (time.isPresent() && (on || contact == Contact.ON_FIRE)) {
            nextLid = on;
            wait(s, time, Act.STAND, line);
            return;
        }
        lid(on, line);
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
            liquids(s, line, true);
            mentions(s, line).toList();
        }
        return inches.isPresent() || liquid;
    }

    private void lid(boolean on, LineDraft line) {
        Optional<StageDraft> last =
                sheet.last().filter(d -> d.line == line && (d.timed() || d.kind == StageKind.REDUCE));
        boolean over = !more && last.isPresent() && last.get().lid == null && pending.isEmpty();
        if (over && !Double.isNaN(last.get().minutes)) {
            last.get().lid = on;
        }
        nextLid = on;
    }

    // ---- water and herbs

    private void pour(Segment s, LineDraft line) {
        boolean hadWater = s.water().isPresent();
        boolean refill = liquids(s, line, false);
        List<Ingredient> herbs = take(s, line);
        if (refill) {
            return;
        }
        boolean spirit = s.things().anyMatch(p -> p.menstruum.isPresent());
        if (spirit || s.has(Kind.TEA) && !hadWater || sheet.has(StageKind.STRAIN) && !hadWater) {
            pending.addAll(herbs);
            return;
        }
        String state = s.water()
                .flatMap(p -> p.state)
                .or(() -> s.atom(Kind.STATE).map(Label::value))
                .orElse("");
        s.atoms(Kind.STATE).forEach(l -> line.read(List.of(l)));
        herbs.stream().filter(h -> !pending.contains(h)).forEach(pending::add);
        boolean hot = state.equals("boiling") || state.equals("hot") || state.equals("off-boil");
        boolean heatedBefore = contact == Contact.ON_FIRE || contact == Contact.OFF_FIRE || contact == Contact.READY;
        if (hot
                || s.degrees().filter(d -> d.celsius() > 60).isPresent()
                || heatedBefore && !state.equals("cold") && state.isEmpty()) {
            OptionalDouble toC = s.degrees()
                    .map(d -> OptionalDouble.of(d.celsius()))
                    .orElse(state.equals("off-boil") ? OptionalDouble.of(OFF_BOIL_C) : listedC(state));
            s.degrees().ifPresent(line::read);
            contactC = toC;
            poured(line);
        } else if (hadWater || s.has(Kind.STATE)) {
            contact = Contact.COLD;
            contactC = state.equals("warm") ? OptionalDouble.of(WARM_C) : OptionalDouble.empty();
        }
        s.time().ifPresent(t -> wait(s, Optional.of(t), Act.STAND, line));
    }

    /** Hot water of a list that says how hot; else what it has cooled to. */
    private OptionalDouble listedC(String state) {
        return contactC.isPresent() || state.equals("boiling") ? contactC : listedC;
    }

    /** Hot water on the herbs; water that was only boiled for it is not boiled twice. */
    private void poured(LineDraft line) {
        sheet.last().filter(d -> d.kind == StageKind.HEAT && d.onlyWater).ifPresent(d -> {
            int at = sheet.stages.size() - 1;
            placedAt(at).toList().forEach(i -> {
                i.stage = -1;
                pending.add(i);
            });
            sheet.stages.remove(at);
        });
        StageDraft stage = begin(StageKind.POUR, line);
        stage.toC = contactC;
        contact = Contact.POURED;
        line.reads.add(new Understood.Plain(StageKind.POUR));
    }

    private void put(Segment s, LineDraft line) {
        if (liquids(s, line, false)) {
            return;
        }
        List<Ingredient> herbs = take(s, line);
        Optional<Item.Time> time = s.time();
        Optional<String> state = s.water().flatMap(p -> p.state);
        boolean cupOnly = !herbs.isEmpty() && herbs.stream().allMatch(Sheet::inTheCup);
        if (cupOnly
                && !fireFollows
                && (strained()
                        || contact == Contact.POURED
                        || sheet.stages.stream().anyMatch(d -> d.timed())
                        || s.has(Kind.PER_CUP))) {
            finishing(herbs, line);
            return;
        }
        if (strained() && !herbs.isEmpty() && state.isEmpty()) {
            finishing(herbs, line);
            return;
        }
        herbs.stream().filter(h -> !pending.contains(h)).forEach(pending::add);
        if (state.filter(x -> x.equals("boiling") || x.equals("hot") || x.equals("off-boil"))
                .isPresent()) {
            contact = Contact.READY;
            contactC = state.get().equals("off-boil") ? OptionalDouble.of(OFF_BOIL_C) : OptionalDouble.empty();
        } else if (s.water().isPresent() && contact == Contact.NONE) {
            contact = state.filter(x -> x.equals("cold")).isPresent() ? Contact.COLD : contact;
        }
        if (time.isPresent() && s.has(Kind.LAST)) {
            lastMinutes(time.get(), line);
        } else if (time.isPresent()) {
            wait(s, time, Act.STAND, line);
        }
    }

    private boolean strained() {
        return sheet.stages.stream()
                .reduce((a, b) -> b.kind == StageKind.STRAIN || b.kind == StageKind.REFILL ? b : a)
                .filter(d -> d.kind == StageKind.STRAIN)
                .isPresent();
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
        placePending(sheet.stages.size() - 1);
        timed(after, time, line);
    }

    /** Everything in a segment that is water or draws like it. @return whether it was fresh water on spent herbs */
    private boolean liquids(Segment s, LineDraft line, boolean sayState) {
        boolean refill = false;
        for (Phrase p : s.things().toList()) {
            if (p.water.isPresent()) {
                refill |= water(p, s, line);
                if (sayState && p.state.isPresent() && !refill) {
                    state(p.state.get());
                }
            } else if (p.menstruum.isPresent()) {
                menstruum(p, line);
            }
        }
        fill(s, line);
        return refill;
    }

    private void state(String state) {
        if (state.equals("off-boil")) {
            listedC = OptionalDouble.of(OFF_BOIL_C);
        }
        if (contact == Contact.NONE) {
            switch (state) {
                case "cold" -> contact = Contact.COLD;
                case "boiling", "hot" -> contact = Contact.READY;
                case "off-boil" -> {
                    contact = Contact.READY;
                    contactC = OptionalDouble.of(OFF_BOIL_C);
                }
                case "warm" -> {
                    contact = Contact.COLD;
                    contactC = OptionalDouble.of(WARM_C);
                }
                default -> {}
            }
        }
    }

    private boolean water(Phrase p, Segment s, LineDraft line) {
        line.read(p.labels);
        Amount amount = p.amount;
        Optional<Unit> unit =
                amount == null ? Optional.empty() : amount.unit().filter(u -> u.dimension() == Unit.Dimension.VOLUME);
        boolean refill = strained()
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
            StageDraft stage = begin(StageKind.REFILL, line);
            stage.toMl = Double.isNaN(ml) ? sheet.water.map(Sheet.Water::ml).orElse(500.0) : ml;
            contact = Contact.COLD;
            line.reads.add(new Understood.Refilled(Volume.millilitres(stage.toMl)));
            s.atoms(Kind.SAME).forEach(l -> line.read(List.of(l)));
            return true;
        }
        if (unit.isEmpty() || amount == null) {
            return false;
        }
        line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.WATER : line.kind;
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

    /** Two waters: which is meant, or both. */
    private void which(Sheet.Water before, Sheet.Water now, Phrase p, LineDraft line) {
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

    private void menstruum(Phrase p, LineDraft line) {
        Menstruum.Kind kind = p.menstruum.orElseThrow();
        line.read(p.labels);
        Menstruum m = kind == Menstruum.Kind.SPIRIT ? Menstruum.spirit(USUAL_SPIRIT) : new Menstruum(kind, 0);
        if (sheet.menstruum.isEmpty()) {
            sheet.menstruum = Optional.of(m);
            line.reads.add(new Understood.DrawnBy(m));
        }
        contact = Contact.COLD;
        if (p.amount != null && p.amount.volume()) {
            double ml = p.amount.low() * p.amount.unit().orElseThrow().millilitresEach(custom);
            sheet.water = Optional.of(new Sheet.Water(ml, p.amount.unit().orElseThrow(), p.amount.low()));
            line.reads.add(new Understood.Water(Volume.millilitres(ml)));
        }
        line.kind = line.kind == Reading.LineKind.UNKNOWN ? Reading.LineKind.WATER : line.kind;
    }

    /** How full a jar is, where it is said by its rim or above the herbs; how large a named jar is. */
    private void fill(Segment s, LineDraft line) {
        for (int i = 0; i < s.items().size(); i++) {
            if (!(s.items().get(i) instanceof Item.Thing thing)
                    || thing.phrase().amount == null
                    || thing.phrase().named()) {
                continue;
            }
            Amount amount = thing.phrase().amount;
            Unit unit = amount.unit().orElse(Unit.PIECE);
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

    // ---- herbs

    /** The herbs that a segment names: of the list, or new ones with an amount of their own. */
    private List<Ingredient> take(Segment s, LineDraft line) {
        List<Ingredient> herbs = new ArrayList<>(mentions(s, line).toList());
        unknown(s, line);
        s.herbs()
                .filter(p -> sheet.known(p).isEmpty() || p.amount != null && !same(p))
                .forEach(p -> {
                    boolean new_ = sheet.known(p).isEmpty()
                            || sheet.known(p)
                                    .filter(k -> p.amount != null && differs(k, p))
                                    .isPresent();
                    if (new_) {
                        ingredients.of(p, line).ifPresent(i -> {
                            sheet.add(i, line);
                            read(i, line);
                            herbs.add(i);
                            lastNamed = i;
                        });
                    }
                });
        return herbs;
    }

    private boolean same(Phrase p) {
        return sheet.known(p).filter(k -> !differs(k, p)).isPresent();
    }

    /** Whether a phrase says another amount than the list: then it is more of it, not the same again. */
    private static boolean differs(Ingredient known, Phrase p) {
        Amount amount = p.amount;
        if (amount == null || !known.amountSaid || amount.unit().isEmpty()) {
            return false;
        }
        return amount.unit().get() != known.quantity.unit()
                || Math.abs(amount.low() / known.quantity.amount() - 1) > 0.01;
    }

    private Stream<Ingredient> mentions(Segment s, LineDraft line) {
        List<Ingredient> all = new ArrayList<>();
        s.herbs().forEach(p -> sheet.known(p).filter(k -> !differs(k, p)).ifPresent(k -> {
            mention(k, p, line);
            all.add(k);
        }));
        s.atoms(Kind.PART).forEach(l -> {
            Set<PlantPart> parts = Vocabulary.parts(l.value());
            List<Ingredient> of = sheet.ofParts(parts).filter(i -> i.stage < 0).toList();
            if (!of.isEmpty()) {
                all.addAll(of);
                line.read(List.of(l));
            }
        });
        s.things().filter(p -> counted(p)).forEach(p -> {
            List<Ingredient> of = sheet.ingredients.stream()
                    .filter(i -> i.quantity.unit() == p.amount.unit().orElseThrow())
                    .toList();
            all.addAll(of);
            if (!of.isEmpty()) {
                line.read(p.labels);
            }
        });
        s.atoms(Kind.ALL).forEach(l -> {
            all.addAll(
                    sheet.brewed().filter(i -> i.stage < 0 && !all.contains(i)).toList());
            line.read(List.of(l));
        });
        s.atoms(Kind.SAME).forEach(l -> line.read(List.of(l)));
        cuts(s, all.isEmpty() && lastNamed != null ? List.of(lastNamed) : all, line);
        lastNamed = all.isEmpty() ? lastNamed : all.get(all.size() - 1);
        return all.stream().distinct();
    }

    /** "The stick", "the bags": a counting word alone. */
    private static boolean counted(Phrase p) {
        return !p.named()
                && p.amount != null
                && p.unknown.isEmpty()
                && p.amount
                        .unit()
                        .filter(u -> u.dimension() == Unit.Dimension.COUNT)
                        .isPresent();
    }

    /** A cut that stands beside no name is of what the segment names. */
    private void cuts(Segment s, List<Ingredient> herbs, LineDraft line) {
        boolean brewing = sheet.stages.stream().anyMatch(d -> d.timed() || d.kind == StageKind.REDUCE);
        s.atoms(Kind.CUT).forEach(l -> {
            if (!herbs.isEmpty() && !brewing) {
                herbs.forEach(
                        h -> h.cut = embercup.core.materia.Cut.valueOf(l.value().toUpperCase(Locale.ROOT)));
                line.read(List.of(l));
            }
        });
        s.atoms(Kind.PREP).forEach(l -> {
            if (!herbs.isEmpty()) {
                herbs.forEach(
                        h -> h.prep = h.prep.isEmpty() ? line.said(List.of(l)) : h.prep + ", " + line.said(List.of(l)));
                line.read(List.of(l));
            }
        });
    }

    private static void mention(Ingredient known, Phrase p, LineDraft line) {
        line.read(p.labels);
        p.form.ifPresent(f -> {
            if (!known.formSaid) {
                known.form = f;
            }
        });
        p.cut.ifPresent(c -> {
            if (!known.cutSaid) {
                known.cut = c;
                known.cutSaid = true;
            }
        });
        if (p.amount != null
                && !known.amountSaid
                && p.amount.unit().isPresent()
                && p.amount.loose() == Amount.Loose.NONE) {
            known.quantity = embercup.core.measure.Quantity.of(
                    p.amount.low(), p.amount.unit().get());
            known.amountSaid = true;
            known.eachCup = p.perCup;
        }
        known.optional |= p.optional;
        line.reads.add(new Understood.Mentioned(HerbName.of(known.herb)));
    }

    private void finish(Segment s, LineDraft line) {
        liquids(s, line, true);
        finishing(take(s, line), line);
        s.atoms(Kind.PER_CUP).forEach(l -> line.read(List.of(l)));
        s.atoms(Kind.STATE).forEach(l -> line.read(List.of(l)));
    }

    private void finishing(List<Ingredient> herbs, LineDraft line) {
        if (herbs.isEmpty()) {
            return;
        }
        if (!sheet.has(StageKind.FINISH)) {
            sheet.stages.add(new StageDraft(StageKind.FINISH, line));
        }
        int at = indexOf(StageKind.FINISH);
        herbs.forEach(h -> h.stage = at);
        pending.removeAll(herbs);
        line.reads.add(new Understood.Plain(StageKind.FINISH));
    }

    private int indexOf(StageKind kind) {
        for (int i = 0; i < sheet.stages.size(); i++) {
            if (sheet.stages.get(i).kind == kind) {
                return i;
            }
        }
        return -1;
    }

    // ---- the end

    private void strain(Segment s, LineDraft line) {
        boolean tool = s.negated();
        mentions(s, line).toList();
        if (tool) {
            sheet.drunkWhole = true;
            return;
        }
        if (sheet.last().filter(d -> d.kind == StageKind.STRAIN).isPresent()) {
            return;
        }
        StageDraft stage = begin(StageKind.STRAIN, line);
        stage.pressed = s.atom(Kind.ACT).isPresent();
        line.reads.add(new Understood.Plain(StageKind.STRAIN));
    }

    /** Herbs are pressed when they are strained; fruit is squeezed into the cup. */
    private void press(Segment s, LineDraft line) {
        List<Ingredient> herbs = take(s, line);
        if (!herbs.isEmpty() && herbs.stream().allMatch(Sheet::inTheCup)) {
            finishing(herbs, line);
            return;
        }
        Optional<StageDraft> strain = sheet.last().filter(d -> d.kind == StageKind.STRAIN);
        if (strain.isPresent()) {
            strain.get().pressed = true;
        } else if (sheet.stages.stream().anyMatch(StageDraft::timed)) {
            StageDraft stage = begin(StageKind.STRAIN, line);
            stage.pressed = true;
        }
        line.reads.add(new Understood.Plain(StageKind.STRAIN));
    }

    private void cool(Segment s, LineDraft line) {
        mentions(s, line).toList();
        boolean little = contact == Contact.ON_FIRE || contact == Contact.OFF_FIRE || contact == Contact.READY;
        boolean before = sheet.stages.stream()
                .noneMatch(d -> d.timed() || d.kind == StageKind.STRAIN || d.kind == StageKind.REDUCE);
        if (little && before && s.degrees().isEmpty()) {
            contactC = OptionalDouble.of(OFF_BOIL_C);
            contact = Contact.READY;
            line.reads.add(new Understood.Cooled(Temperature.celsius(OFF_BOIL_C)));
            s.time().ifPresent(line::read);
            s.atoms(Kind.LITTLE).forEach(l -> line.read(List.of(l)));
            return;
        }
        if (s.time().isPresent() && s.degrees().isEmpty()) {
            wait(s, s.time(), Act.STAND, line);
            return;
        }
        if (before && s.degrees().isPresent() && little) {
            contactC = OptionalDouble.of(s.degrees().get().celsius());
            contact = Contact.READY;
            line.read(s.degrees().get());
            line.reads.add(new Understood.Cooled(Temperature.celsius(contactC.getAsDouble())));
            return;
        }
        StageDraft stage = cooling(line);
        boolean warm = s.atom(Kind.STATE).filter(l -> l.value().equals("warm")).isPresent();
        stage.toC = s.degrees()
                .map(d -> OptionalDouble.of(d.celsius()))
                .orElse(warm ? OptionalDouble.of(WARM_C) : OptionalDouble.empty());
        s.degrees().ifPresent(line::read);
        s.atoms(Kind.STATE).forEach(l -> line.read(List.of(l)));
        line.reads.add(new Understood.Cooled(Temperature.celsius(stage.toC.orElse(DRINKABLE_C))));
    }

    /** A cup that is finished when it has cooled cools first. */
    private StageDraft cooling(LineDraft line) {
        int finish = indexOf(StageKind.FINISH);
        boolean here = finish == sheet.stages.size() - 1 && finish >= 0 && sheet.stages.get(finish).line == line;
        if (!here) {
            return begin(StageKind.COOL, line);
        }
        StageDraft stage = new StageDraft(StageKind.COOL, line);
        sheet.stages.add(finish, stage);
        sheet.ingredients.stream().filter(i -> i.stage >= finish).forEach(i -> i.stage++);
        return stage;
    }

    private void off(Segment s, LineDraft line) {
        contact = Contact.OFF_FIRE;
        low = false;
        liquids(s, line, false);
        List<Ingredient> herbs = take(s, line);
        pending.addAll(
                herbs.stream().filter(h -> !pending.contains(h) && h.stage < 0).toList());
        line.reads.add(new Understood.FlameOff());
        s.time().ifPresent(t -> wait(s, Optional.of(t), Act.STAND, line));
        s.atoms(Kind.VESSEL).forEach(l -> line.read(List.of(l)));
    }

    private void combine(Segment s, LineDraft line) {
        long strains =
                sheet.stages.stream().filter(d -> d.kind == StageKind.STRAIN).count();
        if (sheet.has(StageKind.REFILL)) {
            if (strains < 2) {
                begin(StageKind.STRAIN, line);
            }
            begin(StageKind.COMBINE, line);
            line.reads.add(new Understood.Plain(StageKind.COMBINE));
            return;
        }
        put(s, line);
    }

    /** The same once more: the boil before it, for as long. */
    private void again(Segment s, LineDraft line) {
        boolean refill = liquids(s, line, false);
        Optional<StageDraft> fire =
                sheet.stages.stream().filter(d -> d.kind.boils()).reduce((a, b) -> b);
        s.atoms(Kind.SAME).forEach(l -> line.read(List.of(l)));
        if (!sheet.has(StageKind.REFILL) && strained() && fire.isPresent()) {
            StageDraft stage = begin(StageKind.REFILL, line);
            stage.toMl = sheet.water.map(Sheet.Water::ml).orElse(500.0);
            refill = true;
        }
        if (untimed != null && s.time().isPresent()) {
            timed(untimed, s.time().get(), line);
            return;
        }
        boolean waits = sheet.last().filter(d -> d.kind == StageKind.REFILL).isPresent();
        if ((refill || waits) && fire.isPresent()) {
            StageDraft stage = begin(fire.get().kind, line);
            stage.flame = fire.get().flame;
            stage.lid = fire.get().lid;
            stage.toMl = fire.get().toMl;
            stage.minutes = fire.get().minutes;
            stage.minutesTo = fire.get().minutesTo;
            s.time().ifPresent(t -> timed(stage, t, line));
            contact = Contact.ON_FIRE;
            line.reads.add(new Understood.Plain(stage.kind));
        }
    }

    private void work(Act act, Segment s, LineDraft line) {
        liquids(s, line, true);
        List<Ingredient> herbs = take(s, line);
        boolean cup = !herbs.isEmpty() && herbs.stream().allMatch(Sheet::inTheCup);
        if (cup && !(act == Act.BLEND)) {
            finishing(herbs, line);
            return;
        }
        boolean daily = s.has(Kind.PER_DAY) || s.has(Kind.A_DAY);
        s.atoms(Kind.PER_DAY).forEach(l -> line.read(List.of(l)));
        s.atoms(Kind.A_DAY).forEach(l -> line.read(List.of(l)));
        s.atoms(Kind.VESSEL).forEach(l -> line.read(List.of(l)));
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
        pending.addAll(
                herbs.stream().filter(h -> h.stage < 0 && !pending.contains(h)).toList());
        if (act == Act.BLEND && pending.isEmpty() && sheet.stages.isEmpty()) {
            sheet.brewed().forEach(pending::add);
        }
        begin(kind, line);
        s.time().ifPresent(t -> {
            if (act != Act.BLEND) {
                wait(s, Optional.of(t), Act.STAND, line);
            } else {
                line.read(t);
            }
        });
    }

    // ---- reductions

    private static boolean marks(Segment s) {
        boolean amount = s.bare()
                .filter(p -> p.amount.volume() || p.amount.unit().isEmpty())
                .isPresent();
        return amount && (s.has(Kind.LEFT) || s.has(Kind.UNTIL) || s.has(Kind.BY));
    }

    private void reduce(Segment s, LineDraft line) {
        liquids(s, line, true);
        take(s, line).stream().filter(h -> h.stage < 0 && !pending.contains(h)).forEach(pending::add);
        reduceTo(s, line);
    }

    /** A mark in a segment that is no verb of reduction: "until one cup is left". */
    private void mark(Segment s, LineDraft line) {
        if (marks(s) && s.has(Kind.LEFT)) {
            reduceTo(s, line);
        }
    }

    private void reduceTo(Segment s, LineDraft line) {
        Optional<Phrase> said =
                s.bare().filter(p -> p.amount.volume() || p.amount.unit().isEmpty() && p.amount.low() < 1);
        StageDraft last = sheet.last().orElse(null);
        boolean goesOn = last != null
                && last.kind.boils()
                && last.kind != StageKind.REDUCE
                && last.line == line
                && pending.isEmpty();
        double timeBefore =
                goesOn ? last.minutes : s.time().map(Item.Time::minutes).orElse(Double.NaN);
        StageDraft stage = goesOn ? last : begin(StageKind.REDUCE, line);
        Flame flame = s.atom(Kind.FLAME)
                .map(f -> Flame.valueOf(f.value().toUpperCase(Locale.ROOT)))
                .orElse(low || goesOn && stage.kind == StageKind.SIMMER ? Flame.LOW : null);
        stage.kind = StageKind.REDUCE;
        stage.flame = stage.flame == null ? flame : stage.flame;
        contact = Contact.ON_FIRE;
        low = false;
        untimed = null;
        s.time().ifPresent(line::read);
        Stream.of(Kind.LEFT, Kind.UNTIL, Kind.BY, Kind.TEA, Kind.VESSEL)
                .forEach(k -> s.atoms(k).forEach(l -> line.read(List.of(l))));
        if (said.isEmpty()) {
            toWhat(stage, line);
        } else {
            Amount amount = said.get().amount;
            line.read(said.get().labels);
            if (amount.unit().isPresent()) {
                stage.toMl = amount.low() * amount.unit().get().millilitresEach(custom);
            } else {
                boolean by = s.has(Kind.BY) && amount.low() != 0.5;
                stage.share = by ? 1 - amount.low() : amount.low();
                stage.toMl = sheet.water.map(w -> w.ml() * stage.share).orElse(Double.NaN);
            }
        }
        if (!Double.isNaN(stage.toMl)) {
            line.reads.add(new Understood.Reduced(Volume.millilitres(stage.toMl)));
        }
        if (!Double.isNaN(timeBefore)) {
            timeOrMark(stage, timeBefore, line);
        }
    }

    private void toWhat(StageDraft stage, LineDraft line) {
        Question question = new Question.ReducedToWhat();
        double start = sheet.water.map(Sheet.Water::ml).orElse(720.0);
        List<Choice> choices = Stream.of(0.5, 2 / 3.0, 1 / 3.0)
                .map(x -> (Choice) new Choice.OfVolume(Volume.millilitres(Math.rint(start * x))))
                .toList();
        String taken =
                answers.to(line.index, question.key()).orElse(choices.get(0).value());
        stage.toMl = Double.parseDouble(taken);
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
    }

    /** Both a time and a mark: the mark rules until the cook says otherwise. */
    private void timeOrMark(StageDraft stage, double minutes, LineDraft line) {
        Question question = new Question.TimeOrMark();
        List<Choice> choices = List.of(new Choice.ByTime(false), new Choice.ByTime(true));
        String taken = answers.to(line.index, question.key()).orElse("mark");
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
        if (taken.equals("time")) {
            stage.kind = StageKind.SIMMER;
            stage.minutes = minutes;
        }
    }

    // ---- what all share

    private StageDraft begin(StageKind kind, LineDraft line) {
        int finish = indexOf(StageKind.FINISH);
        boolean late = finish >= 0 && kind != StageKind.COOL && kind != StageKind.FINISH;
        StageDraft stage = new StageDraft(kind, line);
        if (late) {
            sheet.stages.add(finish, stage);
            sheet.ingredients.stream().filter(i -> i.stage >= finish).forEach(i -> i.stage++);
        } else {
            sheet.stages.add(stage);
        }
        if (stage.timed() || stage.kind == StageKind.REDUCE) {
            stage.lid = nextLid;
            nextLid = null;
        }
        if (kind != StageKind.COOL && kind != StageKind.STRAIN && kind != StageKind.FINISH) {
            placePending(sheet.stages.indexOf(stage));
        }
        line.kind = line.kind == Reading.LineKind.UNKNOWN || line.kind == Reading.LineKind.WATER
                ? Reading.LineKind.METHOD
                : line.kind;
        untimed = null;
        return stage;
    }

    private void placePending(int at) {
        pending.stream().filter(i -> i.stage < 0 || i.stage < at).forEach(i -> i.stage = at);
        pending.clear();
    }

    private Stream<Ingredient> placedAt(int stage) {
        return sheet.ingredients.stream().filter(i -> i.stage == stage);
    }

    private void timed(StageDraft stage, Item.Time time, LineDraft line) {
        stage.minutes = time.minutes();
        stage.minutesTo = time.range() ? time.minutesTo() : Double.NaN;
        line.read(time);
        untimed = null;
        if (time.named()) {
            List<Double> choices = time.minutes() >= 360 ? USUAL_NIGHT_MIN : USUAL_MIN;
            howLong(stage, choices, line);
        }
        line.reads.add(new Understood.Lasting(
                stage.kind, stage.minutes, Double.isNaN(stage.minutesTo) ? stage.minutes : stage.minutesTo));
    }

    private void howLong(StageDraft stage, List<Double> minutes, LineDraft line) {
        Question question = new Question.HowLong();
        boolean asked = line.asks.stream().anyMatch(a -> a.key().equals(question.key()));
        List<Choice> choices =
                minutes.stream().map(m -> (Choice) new Choice.OfMinutes(m)).toList();
        String taken =
                answers.to(line.index, question.key()).orElse(choices.get(0).value());
        stage.minutes = Double.parseDouble(taken);
        stage.minutesTo = Double.NaN;
        if (!asked) {
            line.asks.add(new Asked(question, choices, Optional.of(taken)));
        }
    }

    /** Times that nobody wrote are asked. */
    void untimed() {
        sheet.stages.stream()
                .filter(d -> d.timed() && Double.isNaN(d.minutes))
                .forEach(d -> howLong(d, USUAL_MIN, d.line));
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
                nextLid = on;
            }
            line.read(List.of(l));
            line.reads.add(new Understood.Lid(on));
        });
        s.atoms(Kind.FLAME).forEach(l -> {
            Flame flame = Flame.valueOf(l.value().toUpperCase(Locale.ROOT));
            sheet.last().filter(StageDraft::fire).ifPresent(d -> d.flame = flame);
            low |= flame == Flame.LOW
                    && sheet.last().filter(d -> d.kind == StageKind.HEAT).isPresent();
            line.read(List.of(l));
        });
        sign(s, line);
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
                        .filter(u -> u == Unit.CUP || u == Unit.MUG || u == Unit.GLASS || u == Unit.BOTTLE)
                        .isPresent();
        if (s.act() != null && (cup || p.amount.unit().isEmpty() && p.amount.low() == 1)) {
            line.read(p.labels);
        }
    }

    private void sign(Segment s, LineDraft line) {
        if (pendingSign.isEmpty() || !s.has(Kind.UNTIL)) {
            return;
        }
        Optional<StageDraft> last =
                sheet.stages.stream().filter(StageDraft::timed).reduce((a, b) -> b);
        if (last.isPresent()) {
            last.get().sign = pendingSign;
            line.reads.add(new Understood.Sign(pendingSign));
            pendingSign = "";
        }
    }

    /** Herbs that were named and never put in go in at the end of what was done. */
    void settle() {
        if (!pending.isEmpty() && !sheet.stages.isEmpty()) {
            int last = sheet.stages.size() - 1;
            placePending(last);
        }
    }

    /** A herb by its slug, for an answer. */
    Optional<Herb> herb(String slug) {
        return ingredients.herb(slug);
    }
}
