package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.reading.WrittenRecipe.Kind;
import embercup.core.reading.WrittenRecipe.Line;
import embercup.core.recipe.Addition;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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
                    return new Line(text, Kind.SERVES, List.of("makes " + Math.round(ml) + " mL"), List.of(), -1);
                });
    }

    /** A line that begins with an amount; empty when it is a step of the method. */
    Optional<Line> ingredient(String text, String low) {
        Optional<AmountWords.Read> amount = AmountWords.read(low);
        if (amount.isEmpty() || low.length() >= LONGEST) {
            return Optional.empty();
        }
        AmountWords.Read read = amount.get();
        Optional<Herb> herb = herbs.named(read.rest());
        if (herb.isPresent()) {
            return Optional.of(addition(text, read, herb.get()));
        }
        if (read.rest().matches("(?:\\w+\\s+){0,2}(?:\\([^)]*\\)\\s*)?(?:\\w+\\s+){0,2}water\\b.*")) {
            return Optional.of(water(text, read));
        }
        return WrittenMethod.saysMethod(read.rest()) ? Optional.empty() : Optional.of(unknown(text, read.rest()));
    }

    private Line unknown(String text, String rest) {
        List<String> sharing = herbs.sharing(rest).stream()
                .map(h -> h.common().toLowerCase(Locale.ROOT))
                .toList();
        if (!sharing.isEmpty()) {
            String ask = "That may be " + String.join(" or ", sharing) + ". Which is it?";
            return new Line(text, Kind.UNKNOWN, List.of(), List.of(ask), -1);
        }
        String ask = herbs.like(rest)
                .map(h -> "Not known as it is written. Is it " + h.common().toLowerCase(Locale.ROOT) + "?")
                .orElse("No herb of the materia is named here. Choose one or leave the line out.");
        return new Line(text, Kind.UNKNOWN, List.of(), List.of(ask), -1);
    }

    private Line water(String text, AmountWords.Read read) {
        Optional<Unit> unit = read.unit().filter(u -> u.dimension() == Unit.Dimension.VOLUME);
        if (unit.isEmpty()) {
            return new Line(text, Kind.UNKNOWN, List.of(), List.of("How much water is that, in cups or mL?"), -1);
        }
        List<String> asks = new ArrayList<>();
        askOfAmount(read, asks);
        askOfBeside(read, asks);
        double ml = millilitres(read.amount(), unit.get());
        waterMl = OptionalDouble.of(Math.round(ml * 10) / 10.0);
        return new Line(text, Kind.WATER, List.of(Math.round(ml) + " mL of water to start with"), asks, -1);
    }

    private Line addition(String text, AmountWords.Read read, Herb herb) {
        String rest = read.rest();
        List<String> asks = new ArrayList<>();
        Unit unit = read.unit().orElseGet(() -> countedAs(herb));
        if (read.unit().isEmpty()) {
            asks.add("“" + ReadBack.number(read.amount()) + "” of what? Read as " + ReadBack.unit(unit, read.amount())
                    + ".");
        }
        askOfAmount(read, asks);
        askOfBeside(read, asks);
        Optional<Form> form = form(rest);
        Form taken = form.orElse(herb.part() == PlantPart.PANTRY ? Form.FRESH : usualForm(herb, unit));
        if (form.isEmpty() && herb.part() != PlantPart.PANTRY) {
            asks.add("Fresh or dried? Read as " + taken.name().toLowerCase(Locale.ROOT) + ".");
        }
        Cut cut = cut(rest).orElse(usualCut(herb, unit));
        additions.add(new Addition(herb.slug(), taken, cut, Quantity.of(read.amount(), unit), 0));
        String reads = "%s %s of %s, %s, %s"
                .formatted(
                        ReadBack.number(read.amount()),
                        ReadBack.unit(unit, read.amount()),
                        herb.common().toLowerCase(Locale.ROOT),
                        taken.name().toLowerCase(Locale.ROOT),
                        cut.name().toLowerCase(Locale.ROOT));
        return new Line(text, Kind.HERB, List.of(reads), asks, additions.size() - 1);
    }

    private static void askOfAmount(AmountWords.Read read, List<String> asks) {
        if (read.range()) {
            asks.add("A range is written; the middle is taken. How much shall it be?");
        }
        switch (read.loose()) {
            case "" -> {}
            case "a few" -> asks.add("“A few” is read as three. How many shall it be?");
            case "small", "big", "large" -> asks.add("“%s” is read as the usual size.".formatted(read.loose()));
            default -> asks.add("“%s” is read as level: weigh it once.".formatted(read.loose()));
        }
    }

    /** "4 oz (200 g)": the second amount is compared with the first. */
    private void askOfBeside(AmountWords.Read read, List<String> asks) {
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
                        asks.add("%s %s is %s, but %s is written beside it. Which is it?"
                                .formatted(
                                        ReadBack.number(read.amount()),
                                        ReadBack.unit(unit, read.amount()),
                                        said(first, unit),
                                        said(beside, unit)));
                    }
                });
    }

    private double inItsOwn(double amount, Unit unit) {
        return unit.dimension() == Unit.Dimension.MASS ? amount * unit.gramsEach(custom) : millilitres(amount, unit);
    }

    private static String said(double value, Unit unit) {
        return Math.round(value) + (unit.dimension() == Unit.Dimension.MASS ? " g" : " mL");
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
