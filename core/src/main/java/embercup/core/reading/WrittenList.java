package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.measure.Volume;
import embercup.core.reading.WrittenRecipe.Kind;
import embercup.core.reading.WrittenRecipe.Line;
import embercup.core.recipe.Addition;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The ingredient list of a written recipe, line by line: herbs, water, how many cups it makes. Mutable, used once. */
final class WrittenList {

    /** A longer line is no ingredient, characters. */
    private static final int LONGEST = 90;
    /** Two amounts of one line that differ by more than this contradict each other (design value). */
    private static final double CONTRADICTION = 0.1;

    private static final Pattern SERVES = Pattern.compile(
            "^(?:makes|serves|yields?|for)[:\\s]+(?:about\\s+)?(.+?)(?:\\s+(?:servings?|mugs?|people))?\\.?$");
    private static final Pattern BESIDE = Pattern.compile("\\s*\\((?:about |= ?|or )?([^)]*)\\)");

    private static final Map<String, Cut> CUTS = cuts();

    private final HerbWords herbs;
    private final MeasureCustom custom;
    private final List<Addition> additions = new ArrayList<>();
    private OptionalDouble waterMl = OptionalDouble.empty();
    private OptionalDouble cups = OptionalDouble.empty();
    private OptionalDouble yieldMl = OptionalDouble.empty();

    WrittenList(HerbWords herbs, MeasureCustom custom) {
        this.herbs = herbs;
        this.custom = custom;
    }

    private static Map<String, Cut> cuts() {
        Map<String, Cut> words = new LinkedHashMap<>();
        words.put("slic", Cut.SLICED);
        words.put("grat", Cut.GRATED);
        words.put("crush", Cut.CRUSHED);
        words.put("bruis", Cut.BRUISED);
        words.put("ground", Cut.GROUND);
        words.put("powder", Cut.GROUND);
        words.put("paste", Cut.PASTE);
        words.put("chop", Cut.CHOPPED);
        words.put("cut", Cut.CHOPPED);
        words.put("torn", Cut.CHOPPED);
        words.put("whole", Cut.WHOLE);
        return words;
    }

    List<Addition> additions() {
        return additions;
    }

    OptionalDouble waterMl() {
        return waterMl;
    }

    OptionalDouble cups() {
        return cups;
    }

    /** Liquor that it makes, as written, mL. */
    OptionalDouble yieldMl() {
        return yieldMl;
    }

    /** A line that says how much it makes; empty when it is another line. */
    Optional<Line> serves(String text, String low) {
        Matcher m = SERVES.matcher(low);
        if (!m.matches()) {
            return Optional.empty();
        }
        return AmountWords.read(m.group(1))
                .filter(r -> r.unit().orElse(Unit.CUP).dimension() == Unit.Dimension.VOLUME)
                .map(r -> {
                    Unit unit = r.unit().orElse(Unit.CUP);
                    double ml = millilitres(r.amount(), unit);
                    yieldMl = OptionalDouble.of(ml);
                    if (unit == Unit.CUP) {
                        cups = OptionalDouble.of(r.amount());
                    }
                    return new Line(
                            text, Kind.SERVES, List.of(new Understood.Makes(Volume.millilitres(ml))), List.of(), -1);
                });
    }

    /** A line that begins with an amount; empty when it is a step of the method. */
    Optional<Line> ingredient(String text, String low) {
        Optional<AmountWords.Read> amount = AmountWords.read(low);
        if (amount.isEmpty() || low.length() >= LONGEST) {
            return Optional.empty();
        }
        AmountWords.Read read = amount.get();
        Optional<Herb> herb = herbs.named(read.rest()).or(() -> herbs.spelledOut(low));
        if (herb.isPresent()) {
            return Optional.of(addition(text, read, herb.get()));
        }
        if (read.rest().matches("(?:\\w+\\s+){0,2}(?:\\([^)]*\\)\\s*)?(?:\\w+\\s+){0,2}water\\b.*")) {
            return Optional.of(water(text, read));
        }
        return WrittenMethod.saysMethod(read.rest()) ? Optional.empty() : Optional.of(unknown(text, read.rest()));
    }

    private Line unknown(String text, String rest) {
        List<HerbName> sharing = herbs.sharing(rest).stream().map(HerbName::of).toList();
        Asked ask = sharing.isEmpty() ? new Asked.NoHerb() : new Asked.WhichHerb(sharing);
        return new Line(text, Kind.UNKNOWN, List.of(), List.of(ask), -1);
    }

    private Line water(String text, AmountWords.Read read) {
        Optional<Unit> unit = read.unit().filter(u -> u.dimension() == Unit.Dimension.VOLUME);
        if (unit.isEmpty()) {
            return new Line(text, Kind.UNKNOWN, List.of(), List.of(new Asked.HowMuchWater()), -1);
        }
        List<Asked> asks = new ArrayList<>();
        askOfAmount(read, asks);
        askOfBeside(read, asks);
        double ml = millilitres(read.amount(), unit.get());
        waterMl = OptionalDouble.of(Math.round(ml * 10) / 10.0);
        return new Line(text, Kind.WATER, List.of(new Understood.Water(Volume.millilitres(ml))), asks, -1);
    }

    private Line addition(String text, AmountWords.Read read, Herb herb) {
        String rest = read.rest();
        List<Asked> asks = new ArrayList<>();
        Unit unit = read.unit().orElseGet(() -> countedAs(herb));
        if (read.unit().isEmpty()) {
            asks.add(new Asked.OfWhat(read.amount(), Quantity.of(read.amount(), unit)));
        }
        askOfAmount(read, asks);
        askOfBeside(read, asks);
        Optional<Form> form = form(rest);
        Form taken = form.orElse(herb.part() == PlantPart.PANTRY ? Form.FRESH : usualForm(herb, unit));
        if (form.isEmpty() && herb.part() != PlantPart.PANTRY) {
            asks.add(new Asked.FreshOrDried(taken));
        }
        Cut cut = cut(rest).orElse(usualCut(herb, unit));
        Quantity quantity = Quantity.of(read.amount(), unit);
        additions.add(new Addition(herb.slug(), taken, cut, quantity, 0));
        Understood reads = new Understood.OfHerb(quantity, HerbName.of(herb), taken, cut);
        return new Line(text, Kind.HERB, List.of(reads), asks, additions.size() - 1);
    }

    private static void askOfAmount(AmountWords.Read read, List<Asked> asks) {
        if (read.range()) {
            asks.add(new Asked.AmountOfRange());
        }
        switch (read.loose()) {
            case "" -> {}
            case "a few" -> asks.add(new Asked.AFew());
            case "small", "big", "large" -> asks.add(new Asked.UsualSize(read.loose()));
            default -> asks.add(new Asked.ReadAsLevel(read.loose()));
        }
    }

    /** "4 oz (200 g)": the second amount is compared with the first. */
    private void askOfBeside(AmountWords.Read read, List<Asked> asks) {
        Matcher m = BESIDE.matcher(read.rest());
        if (!m.find() || read.unit().isEmpty()) {
            return;
        }
        Unit unit = read.unit().get();
        AmountWords.read(m.group(1))
                .filter(second -> second.unit().isPresent()
                        && second.unit().get().dimension() == unit.dimension()
                        && (unit.dimension() == Unit.Dimension.MASS || unit.dimension() == Unit.Dimension.VOLUME))
                .ifPresent(second -> {
                    double first = inItsOwn(read.amount(), unit);
                    double beside = inItsOwn(second.amount(), second.unit().get());
                    if (Math.abs(beside / first - 1) > CONTRADICTION) {
                        Unit plain = unit.dimension() == Unit.Dimension.MASS ? Unit.GRAM : Unit.MILLILITRE;
                        asks.add(new Asked.Contradiction(
                                Quantity.of(read.amount(), unit),
                                Quantity.of(Math.round(first), plain),
                                Quantity.of(Math.round(beside), plain)));
                    }
                });
    }

    private double inItsOwn(double amount, Unit unit) {
        return unit.dimension() == Unit.Dimension.MASS ? amount * unit.gramsEach(custom) : millilitres(amount, unit);
    }

    private double millilitres(double amount, Unit unit) {
        return amount * unit.millilitresEach(custom);
    }

    private static Unit countedAs(Herb herb) {
        return herb.pieces().stream()
                .map(Herb.Piece::unit)
                .filter(u -> u.dimension() == Unit.Dimension.COUNT)
                .findFirst()
                .orElse(Unit.TEASPOON);
    }

    private static Form usualForm(Herb herb, Unit unit) {
        boolean inches = unit.dimension() == Unit.Dimension.LENGTH || unit == Unit.SLICE || unit == Unit.LEAF;
        boolean onlyFresh = herb.bulk().stream().noneMatch(b -> b.form() == Form.DRIED)
                && !herb.bulk().isEmpty();
        return inches || onlyFresh ? Form.FRESH : Form.DRIED;
    }

    private static Optional<Form> form(String text) {
        if (text.matches(".*\\bdried\\b.*|.*\\bdry\\b.*|.*\\bpowder(?:ed)?\\b.*|.*\\bground\\b.*")) {
            return Optional.of(Form.DRIED);
        }
        return text.matches(".*\\bfresh(?:ly)?\\b.*|.*\\braw\\b.*") ? Optional.of(Form.FRESH) : Optional.empty();
    }

    private static Optional<Cut> cut(String text) {
        return CUTS.entrySet().stream()
                .filter(e -> Pattern.compile("\\b" + e.getKey()).matcher(text).find())
                .map(Map.Entry::getValue)
                .findFirst();
    }

    private static Cut usualCut(Herb herb, Unit unit) {
        if (unit.dimension() == Unit.Dimension.COUNT) {
            return Cut.WHOLE;
        }
        return herb.part().hard() ? Cut.SLICED : Cut.CHOPPED;
    }
}
