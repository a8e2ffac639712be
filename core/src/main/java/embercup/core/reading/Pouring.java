package embercup.core.reading;

import embercup.core.measure.Temperature;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** How water and herbs come together: poured on, put in, let cool, taken off the flame. Mutable, used once for a text. */
final class Pouring {

    private final Pot pot;
    private final Sheet sheet;
    private final Named named;
    private final Liquids liquids;
    private final Endings endings;
    private final Waits waits;

    Pouring(Pot pot, Sheet sheet, Named named, Liquids liquids, Endings endings, Waits waits) {
        this.pot = pot;
        this.sheet = sheet;
        this.named = named;
        this.liquids = liquids;
        this.endings = endings;
        this.waits = waits;
    }

    void pour(Segment s, LineDraft line) {
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
        s.time().ifPresent(t -> waits.wait(s, Optional.of(t), Act.STAND, line));
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

    void put(Segment s, LineDraft line) {
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
            waits.lastMinutes(time.get(), line);
        } else if (time.isPresent()) {
            waits.wait(s, time, Act.STAND, line);
        }
    }

    void cool(Segment s, LineDraft line) {
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
            waits.wait(s, s.time(), Act.STAND, line);
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
        line.reads.add(new Understood.Cooled(Temperature.celsius(stage.coolsToC())));
    }

    void off(Segment s, LineDraft line) {
        pot.contact = Contact.OFF_FIRE;
        pot.low = false;
        liquids.liquids(s, line, false);
        List<Ingredient> herbs = named.take(s, line);
        pot.goIn(herbs);
        line.reads.add(new Understood.FlameOff());
        s.time().ifPresent(t -> waits.wait(s, Optional.of(t), Act.STAND, line));
        line.read(s.atoms(Kind.VESSEL));
    }
}
