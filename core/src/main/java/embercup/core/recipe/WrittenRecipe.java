package embercup.core.recipe;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A recipe read from what somebody wrote: ingredient list, then method. What is understood becomes additions and stages;
 * what is not is marked, and what had to be assumed is asked. Immutable.
 *
 * @param recipe what was understood; without stages when the method was not, so that they can be proposed
 * @param lines every line as it was written, and what was made of it
 */
public record WrittenRecipe(Recipe recipe, List<Line> lines) {

    /** What a line was taken for. */
    public enum Kind {
        TITLE,
        WATER,
        HERB,
        METHOD,
        SERVES,
        UNKNOWN
    }

    /**
     * @param reads what was understood, in words; empty for nothing
     * @param asks what is to be decided; empty when nothing was assumed
     * @param addition index of the addition it became, −1 for none
     */
    public record Line(String text, Kind kind, List<String> reads, List<String> asks, int addition) {}

    /** Longer texts are no recipe, characters. */
    public static final int LONGEST = 8000;

    /** Cups of a recipe that names neither its cups nor its yield (common practice, no source). */
    private static final double USUAL_CUPS = 2;

    public WrittenRecipe {
        lines = List.copyOf(lines);
    }

    public static WrittenRecipe read(Materia materia, String text, MeasureCustom custom) {
        return new Reading(materia, custom).read(text);
    }

    /** One reading; mutable, used once. */
    private static final class Reading {

        private static final Pattern SENTENCE = Pattern.compile("(?<=[.;!])\\s+|\\bthen\\b|,? and then ");
        private static final String MINUTES =
                "(\\d+(?:\\s*(?:-|–|to)\\s*\\d+)?|[½¼¾]|an?|half an|one|two|three|four|five|ten|fifteen|twenty|thirty)\\s*"
                        + "(minutes?|mins?|min|hours?|hrs?|h|days?|weeks?)\\b";
        private static final Pattern TIME = Pattern.compile(MINUTES);
        private static final Pattern SERVES = Pattern.compile(
                "^(?:makes|serves|yields?|for)[:\\s]+(?:about\\s+)?(.+?)(?:\\s+(?:servings?|mugs?|people))?\\.?$");
        private static final Pattern REDUCE = Pattern.compile(
                "(?:reduced?|boil(?:ed)? down|cook(?:ed)? down|until)\\b.*?\\b((?:\\d|½|one|two|three|four|half)[^.;]*?)"
                        + "\\s*(cups?|ml|litres?|liters?|quarts?|pints?|glass(?:es)?)\\b");
        private static final Pattern CELSIUS = Pattern.compile("(\\d{2,3})\\s*°?\\s*(c|f)\\b");
        private static final Pattern BULLET = Pattern.compile("^(?:[-*•·]|\\d+[.)])\\s+");

        private final Materia materia;
        private final MeasureCustom custom;
        private final Map<String, Herb> names = new LinkedHashMap<>();
        private final List<Line> lines = new ArrayList<>();
        private final List<Addition> additions = new ArrayList<>();
        private final List<Stage> stages = new ArrayList<>();
        private String title = "";
        private OptionalDouble waterMl = OptionalDouble.empty();
        private OptionalDouble cups = OptionalDouble.empty();
        private OptionalDouble yieldMl = OptionalDouble.empty();

        Reading(Materia materia, MeasureCustom custom) {
            this.materia = materia;
            this.custom = custom;
            List<Map.Entry<String, Herb>> all = new ArrayList<>();
            for (Herb h : materia.herbs()) {
                Stream.concat(Stream.of(h.slug().replace('-', ' '), h.common(), h.latin()), h.also().stream())
                        .map(n -> n.toLowerCase(Locale.ROOT))
                        .forEach(n -> all.add(Map.entry(n, h)));
            }
            all.sort((a, b) -> b.getKey().length() - a.getKey().length());
            all.forEach(e -> names.putIfAbsent(e.getKey(), e.getValue()));
        }

        WrittenRecipe read(String text) {
            for (String raw : text.strip().split("\\R")) {
                String line = BULLET.matcher(raw.strip()).replaceFirst("");
                if (!line.isEmpty()) {
                    line(line);
                }
            }
            double cupMl = custom.system().cupMl();
            double liquor = yieldMl.orElse(cups.orElse(USUAL_CUPS) * cupMl);
            double madeCups = cups.orElse(Math.max(1, Math.rint(liquor / cupMl)));
            boolean wet = stages.stream().anyMatch(s -> RecipeRules.WET.contains(s.kind()));
            List<Stage> kept = wet ? withEnds() : List.of();
            List<Addition> placed =
                    kept.isEmpty() ? additions.stream().map(a -> a.at(0)).toList() : placed(kept);
            Recipe recipe = new Recipe(
                    title.isEmpty() ? "A written pot" : title,
                    Tradition.FOLK,
                    madeCups,
                    Math.round(liquor / madeCups * 10) / 10.0,
                    waterMl,
                    placed,
                    kept);
            return new WrittenRecipe(recipe, lines);
        }

        // ---- lines

        private void line(String text) {
            String low = text.toLowerCase(Locale.ROOT);
            if (low.matches("(?:ingredients|method|directions|instructions|you need|steps)\\s*:?")) {
                lines.add(new Line(text, Kind.TITLE, List.of(), List.of(), -1));
                return;
            }
            Matcher serves = SERVES.matcher(low);
            if (serves.matches() && serves(text, serves.group(1))) {
                return;
            }
            Optional<AmountWords.Read> amount = AmountWords.read(low);
            if (amount.isPresent() && low.length() < 90 && ingredient(text, amount.get())) {
                return;
            }
            if (title.isEmpty() && lines.isEmpty() && low.length() <= RecipeRules.LONGEST_NAME && !saysMethod(low)) {
                title = text;
                lines.add(new Line(text, Kind.TITLE, List.of("name of the recipe"), List.of(), -1));
                return;
            }
            method(text, low);
        }

        private boolean serves(String text, String what) {
            Optional<AmountWords.Read> read = AmountWords.read(what);
            if (read.isEmpty()) {
                return false;
            }
            Unit unit = read.get().unit().orElse(Unit.CUP);
            if (unit.dimension() != Unit.Dimension.VOLUME) {
                return false;
            }
            double ml = read.get().amount() * unit.millilitresEach(custom);
            yieldMl = OptionalDouble.of(ml);
            if (unit == Unit.CUP) {
                cups = OptionalDouble.of(read.get().amount());
            }
            lines.add(new Line(text, Kind.SERVES, List.of("makes " + Math.round(ml) + " mL"), List.of(), -1));
            return true;
        }

        private boolean ingredient(String text, AmountWords.Read read) {
            String rest = read.rest();
            if (rest.matches("(?:\\w+\\s+){0,2}water\\b.*") && herb(rest).isEmpty()) {
                return water(text, read);
            }
            Optional<Herb> herb = herb(rest);
            if (herb.isEmpty()) {
                if (saysMethod(rest)) {
                    return false;
                }
                List<Herb> near = materia.search(lastWords(rest));
                String ask = near.isEmpty()
                        ? "No herb of the materia is named here. Choose one or leave the line out."
                        : "Not known as it is written. Is it "
                                + near.get(0).common().toLowerCase(Locale.ROOT) + "?";
                lines.add(new Line(text, Kind.UNKNOWN, List.of(), List.of(ask), -1));
                return true;
            }
            addition(text, read, herb.get());
            return true;
        }

        private boolean water(String text, AmountWords.Read read) {
            if (read.unit().isEmpty() || read.unit().get().dimension() != Unit.Dimension.VOLUME) {
                lines.add(
                        new Line(text, Kind.UNKNOWN, List.of(), List.of("How much water is that, in cups or mL?"), -1));
                return true;
            }
            double ml = read.amount() * read.unit().get().millilitresEach(custom);
            waterMl = OptionalDouble.of(Math.round(ml * 10) / 10.0);
            lines.add(
                    new Line(text, Kind.WATER, List.of(Math.round(ml) + " mL of water to start with"), List.of(), -1));
            return true;
        }

        private void addition(String text, AmountWords.Read read, Herb herb) {
            String rest = read.rest();
            List<String> asks = new ArrayList<>();
            Unit unit = read.unit().orElseGet(() -> countedAs(herb));
            if (read.unit().isEmpty()) {
                asks.add("“" + AmountWordsText.number(read.amount()) + "” of what? Read as "
                        + unit.wordFor(read.amount()) + ".");
            }
            if (read.range()) {
                asks.add("A range is written; the middle is taken. How much shall it be?");
            }
            Optional<Form> form = form(rest);
            Form taken = form.orElse(herb.part() == PlantPart.PANTRY ? Form.FRESH : usualForm(herb, unit));
            if (form.isEmpty() && herb.part() != PlantPart.PANTRY) {
                asks.add("Fresh or dried? Read as " + taken.name().toLowerCase(Locale.ROOT) + ".");
            }
            Cut cut = cut(rest).orElse(herb.part().hard() ? Cut.SLICED : Cut.CHOPPED);
            if (unit == Unit.PIECE || unit.dimension() == Unit.Dimension.COUNT) {
                cut = cut(rest).orElse(Cut.WHOLE);
            }
            additions.add(new Addition(herb.slug(), taken, cut, Quantity.of(read.amount(), unit), 0));
            String reads = "%s %s of %s, %s, %s"
                    .formatted(
                            AmountWordsText.number(read.amount()),
                            unit.wordFor(read.amount()),
                            herb.common().toLowerCase(Locale.ROOT),
                            taken.name().toLowerCase(Locale.ROOT),
                            cut.name().toLowerCase(Locale.ROOT));
            lines.add(new Line(text, Kind.HERB, List.of(reads), asks, additions.size() - 1));
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
            return inches
                            || herb.bulk().stream().noneMatch(b -> b.form() == Form.DRIED)
                                    && !herb.bulk().isEmpty()
                    ? Form.FRESH
                    : Form.DRIED;
        }

        private static Optional<Form> form(String text) {
            if (text.matches(".*\\bdried\\b.*|.*\\bdry\\b.*|.*\\bpowder(?:ed)?\\b.*|.*\\bground\\b.*")) {
                return Optional.of(Form.DRIED);
            }
            return text.matches(".*\\bfresh(?:ly)?\\b.*|.*\\braw\\b.*") ? Optional.of(Form.FRESH) : Optional.empty();
        }

        private static Optional<Cut> cut(String text) {
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
            return words.entrySet().stream()
                    .filter(e ->
                            Pattern.compile("\\b" + e.getKey()).matcher(text).find())
                    .map(Map.Entry::getValue)
                    .findFirst();
        }

        private static String lastWords(String text) {
            String[] words = text.split("[,(]")[0].strip().split("\\s+");
            return words[words.length - 1];
        }

        /** The longest name of a herb that a text holds as whole words, plurals allowed. */
        private Optional<Herb> herb(String text) {
            for (Map.Entry<String, Herb> e : names.entrySet()) {
                if (Pattern.compile("\\b" + Pattern.quote(e.getKey()) + "(?:s|es)?\\b")
                        .matcher(text)
                        .find()) {
                    return Optional.of(e.getValue());
                }
            }
            return firstWordOf(text);
        }

        /** "dandelion" for a text that names it without the part, or a first word of a common name. */
        private Optional<Herb> firstWordOf(String text) {
            List<Herb> hits = materia.herbs().stream()
                    .filter(h -> {
                        String first = h.common().toLowerCase(Locale.ROOT).split("\\s")[0];
                        return first.length() > 3
                                && Pattern.compile("\\b" + Pattern.quote(first) + "(?:s|es)?\\b")
                                        .matcher(text)
                                        .find();
                    })
                    .toList();
            return hits.size() == 1 ? Optional.of(hits.get(0)) : Optional.empty();
        }

        // ---- the method

        private static final List<String> VERBS = Arrays.asList(
                "boil",
                "simmer",
                "steep",
                "infuse",
                "soak",
                "strain",
                "stand",
                "rest",
                "pour",
                "reduce",
                "cool",
                "press",
                "macerate",
                "heat",
                "stir",
                "add",
                "cover",
                "squeeze",
                "sit",
                "shake",
                "serve");

        private static boolean saysMethod(String low) {
            return VERBS.stream()
                    .anyMatch(v -> Pattern.compile("\\b" + v).matcher(low).find());
        }

        private void method(String text, String low) {
            List<String> reads = new ArrayList<>();
            List<String> asks = new ArrayList<>();
            for (String sentence : SENTENCE.split(low)) {
                sentence(sentence.strip(), reads, asks);
            }
            Kind kind = reads.isEmpty() ? Kind.UNKNOWN : Kind.METHOD;
            if (reads.isEmpty()) {
                asks.add("Not understood as a step. It is kept in the recipe's notes.");
            }
            lines.add(new Line(text, kind, reads, asks, -1));
        }

        private void sentence(String s, List<String> reads, List<String> asks) {
            int before = stages.size();
            boolean covered = !s.contains("uncovered") && (s.contains("cover") || s.contains("lid on"));
            boolean open = s.contains("uncovered") || s.contains("lid off");
            double minutes = minutes(s).orElse(Double.NaN);
            Matcher reduce = REDUCE.matcher(s);
            if (s.contains("reduc") || s.contains("boil down") || s.contains("cook down") || reduce.find()) {
                reduce(s, reads, asks);
            } else if (s.matches(".*\\bpour\\b.*\\bboil.*|.*boiling water.*(?:over|on).*|.*hot water.*(?:over|on).*")) {
                stages.add(new Stage.Pour(celsius(s)));
                reads.add("pour hot water on the herbs");
            } else if (s.matches(".*bring.*(?:boil|simmer).*|.*(?:heat|warm).*\\bboil.*")) {
                stages.add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true));
                reads.add("bring to the boil");
            }
            if (s.contains("simmer") && !Double.isNaN(minutes)) {
                stages.add(new Stage.Simmer(minutes, Flame.LOW, !open));
                reads.add("simmer " + AmountWordsText.minutes(minutes));
            } else if (s.matches(".*\\bboil(?:ed)?\\b.*") && !Double.isNaN(minutes) && !s.contains("reduc")) {
                stages.add(new Stage.Boil(minutes, Flame.MEDIUM, covered));
                reads.add("boil " + AmountWordsText.minutes(minutes));
            } else if (s.contains("overnight") || s.matches(".*\\b(?:soak|macerate)\\b.*")) {
                double taken = Double.isNaN(minutes) ? OVERNIGHT_MIN : minutes;
                boolean hot = stages.stream().anyMatch(x -> x instanceof Stage.Pour);
                stages.add(hot ? new Stage.Steep(taken, true) : new Stage.Macerate(taken, celsius(s), true));
                reads.add((hot ? "steep " : "soak cold ") + AmountWordsText.minutes(taken));
                if (Double.isNaN(minutes)) {
                    asks.add("No time is written; overnight is read as eight hours.");
                }
            } else if (s.matches(".*\\b(?:steep|infuse|brew|sit|stand|rest)\\b.*")) {
                rests(s, minutes, open, reads, asks);
            }
            if (s.matches(".*\\bcool\\b.*")) {
                double toC = celsius(s).orElse(DRINKABLE_C);
                stages.add(new Stage.Cool(toC, false));
                reads.add("let it cool to " + Math.round(toC) + " °C");
            }
            if (s.matches(".*\\bstrain.*|.*\\bfilter.*")) {
                stages.add(new Stage.Strain(s.contains("press") || s.contains("squeez")));
                reads.add("strain");
            }
            if (s.matches(".*(?:sweeten|add|stir in|squeeze|serve with).*")
                    && mentioned(s).anyMatch(this::inTheCup)) {
                if (stages.stream().noneMatch(x -> x.kind() == StageKind.FINISH)) {
                    stages.add(new Stage.Finish());
                }
                reads.add("finish the cup");
            }
            if (stages.size() > before || s.matches(".*\\badd\\b.*")) {
                place(s, before);
            }
        }

        /** Eight hours (common practice, no source); a cup is drunk at about 60 °C. */
        private static final double OVERNIGHT_MIN = 480;

        private static final double DRINKABLE_C = 60;

        private void rests(String s, double minutes, boolean open, List<String> reads, List<String> asks) {
            double taken = Double.isNaN(minutes) ? 10 : minutes;
            boolean boiled = stages.stream().anyMatch(x -> x.onFlame().isPresent() && x.kind() != StageKind.HEAT);
            stages.add(boiled ? new Stage.Rest(taken, !open) : new Stage.Steep(taken, !open));
            reads.add((boiled ? "rest " : "steep ") + AmountWordsText.minutes(taken));
            if (Double.isNaN(minutes)) {
                asks.add("No time is written; ten minutes are taken.");
            }
        }

        private void reduce(String s, List<String> reads, List<String> asks) {
            Matcher m = REDUCE.matcher(s);
            if (s.matches(".*\\b(?:by )?half\\b.*") && waterMl.isPresent()) {
                reduceTo(waterMl.getAsDouble() / 2, reads);
            } else if (s.matches(".*\\bby (?:a|one) third\\b.*") && waterMl.isPresent()) {
                reduceTo(waterMl.getAsDouble() * 2 / 3, reads);
            } else if (m.find()) {
                AmountWords.read(m.group(1).strip() + " " + m.group(2))
                        .filter(r -> r.unit().isPresent())
                        .ifPresentOrElse(
                                r -> reduceTo(r.amount() * r.unit().get().millilitresEach(custom), reads),
                                () -> asks.add("To how much is it reduced?"));
            } else {
                asks.add("To how much is it reduced?");
            }
        }

        private void reduceTo(double ml, List<String> reads) {
            if (stages.stream().noneMatch(x -> x.kind() == StageKind.HEAT)) {
                stages.add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true));
            }
            stages.add(new Stage.Reduce(Math.round(ml * 10) / 10.0, Flame.MEDIUM, false));
            reads.add("boil down to " + Math.round(ml) + " mL");
            if (yieldMl.isEmpty()) {
                yieldMl = OptionalDouble.of(ml);
            }
        }

        private boolean inTheCup(int addition) {
            return materia.find(additions.get(addition).herb())
                    .filter(h -> h.part() == PlantPart.PANTRY)
                    .isPresent();
        }

        /** Additions whose herb a sentence names. */
        private Stream<Integer> mentioned(String s) {
            List<Integer> all = new ArrayList<>();
            for (int i = 0; i < additions.size(); i++) {
                Herb h = materia.herb(additions.get(i).herb(), "herb");
                String first = h.common().toLowerCase(Locale.ROOT).split("\\s")[0];
                boolean named = Stream.concat(
                                Stream.of(h.common(), h.slug().replace('-', ' '), first), h.also().stream())
                        .map(n -> n.toLowerCase(Locale.ROOT))
                        .anyMatch(n -> Pattern.compile("\\b" + Pattern.quote(n))
                                .matcher(s)
                                .find());
                if (named) {
                    all.add(i);
                }
            }
            return all.stream();
        }

        /** What a sentence names goes in at the stage it begins, or with the last one. */
        private void place(String s, int before) {
            int stage = stages.size() > before ? before : Math.max(0, stages.size() - 1);
            mentioned(s).forEach(i -> {
                boolean cup = inTheCup(i);
                int at = cup ? indexOfFinish(stage) : stage;
                additions.set(i, additions.get(i).at(at));
            });
        }

        private int indexOfFinish(int otherwise) {
            for (int i = 0; i < stages.size(); i++) {
                if (stages.get(i).kind() == StageKind.FINISH) {
                    return i;
                }
            }
            return otherwise;
        }

        /** The stages with the strain that nobody writes down, and a finish only as the last. */
        private List<Stage> withEnds() {
            List<Stage> all = new ArrayList<>(stages);
            boolean finish = all.removeIf(s -> s.kind() == StageKind.FINISH);
            if (all.stream().noneMatch(s -> s.kind() == StageKind.STRAIN)) {
                all.add(new Stage.Strain(false));
            }
            boolean cup = additions.stream()
                    .anyMatch(a -> materia.herb(a.herb(), "herb").part() == PlantPart.PANTRY);
            if (finish || cup) {
                all.add(new Stage.Finish());
            }
            return all;
        }

        private List<Addition> placed(List<Stage> kept) {
            int last = kept.size() - 1;
            boolean finishes = kept.get(last).kind() == StageKind.FINISH;
            return additions.stream()
                    .map(a -> materia.herb(a.herb(), "herb").part() == PlantPart.PANTRY && finishes
                            ? a.at(last)
                            : a.at(Math.min(a.stage(), last)))
                    .toList();
        }

        private static OptionalDouble celsius(String s) {
            Matcher m = CELSIUS.matcher(s);
            if (!m.find()) {
                return OptionalDouble.empty();
            }
            double value = Double.parseDouble(m.group(1));
            return OptionalDouble.of(m.group(2).equals("f") ? (value - 32) / 1.8 : value);
        }

        private static OptionalDouble minutes(String s) {
            Matcher m = TIME.matcher(s);
            if (!m.find()) {
                return OptionalDouble.empty();
            }
            String[] ends = m.group(1).split("-|–|to");
            double value = Arrays.stream(ends)
                    .mapToDouble(e -> number(e.strip()))
                    .average()
                    .orElse(1);
            char unit = m.group(2).charAt(0);
            return OptionalDouble.of(
                    value * (unit == 'h' ? 60 : unit == 'd' ? 24 * 60 : unit == 'w' ? 7 * 24 * 60 : 1));
        }

        private static double number(String word) {
            return switch (word) {
                case "a", "an", "one" -> 1;
                case "half an" -> 0.5;
                case "two" -> 2;
                case "three" -> 3;
                case "four" -> 4;
                case "five" -> 5;
                case "ten" -> 10;
                case "fifteen" -> 15;
                case "twenty" -> 20;
                case "thirty" -> 30;
                default -> AmountWords.number(word);
            };
        }
    }

    /** Numbers as a reader says them back. */
    private static final class AmountWordsText {

        private AmountWordsText() {}

        static String number(double value) {
            return value == Math.rint(value)
                    ? Long.toString((long) value)
                    : String.format(Locale.ROOT, "%.2f", value).replaceFirst("0$", "");
        }

        static String minutes(double minutes) {
            return minutes >= 2880
                    ? number(minutes / 1440) + " days"
                    : minutes >= 60 ? number(minutes / 60) + " h" : number(minutes) + " min";
        }
    }
}
