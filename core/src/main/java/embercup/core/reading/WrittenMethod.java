package embercup.core.reading;

import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.reading.WrittenRecipe.Kind;
import embercup.core.reading.WrittenRecipe.Line;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Place;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** The method of a written recipe, sentence by sentence: stages, and which herb goes in at which. Mutable, used once. */
final class WrittenMethod {

    /** Eight hours (common practice, no source). */
    private static final double OVERNIGHT_MIN = 480;
    /** A time that nobody wrote down (common practice, no source). */
    private static final double USUAL_MIN = 10;
    /** A cup is drunk at about this (common practice, no source), °C. */
    private static final double DRINKABLE_C = 60;

    private static final Pattern SENTENCE = Pattern.compile("(?<=[.;!])\\s+|\\bthen\\b|,? and then ");
    private static final Pattern CLAUSE = Pattern.compile("(?:,\\s*(?:and\\s+)?|\\s+and\\s+)"
            + "(?=(?:let|boil|simmer|steep|infuse|stand|rest|sit|soak|strain|reduce|cool|filter)\\b)");
    /** A clause without one of these says something of the next: "cover", "add the mint". */
    private static final Pattern STAGE =
            Pattern.compile("boil|simmer|steep|infus|brew|stand|\\brest|\\bsit|soak|macerat|strain|"
                    + "filter|reduc|cool|pour|heat|warm|overnight|cook");
    /** The flame is turned down; nothing is boiled away. */
    private static final Pattern TURN_DOWN = Pattern.compile(
            "reduc\\w*\\s+(?:the\\s+)?(?:heat|flame|fire|temperature)|reduc\\w* to (?:a |the )?(?:low|gentle|quiet|bare|simmer)");

    private static final Pattern REDUCE = Pattern.compile(
            "(?:reduced?|boil(?:ed)? down|cook(?:ed)? down|until)\\b.*?\\b((?:\\d|½|one|two|three|four|half)[^.;]*?)"
                    + "\\s*(cups?|ml|litres?|liters?|quarts?|pints?|glass(?:es)?)\\b");
    private static final Pattern CELSIUS = Pattern.compile("(\\d{2,3})\\s*°?\\s*(c|f)\\b");
    private static final Pattern VERB =
            Pattern.compile("\\b(?:boil|simmer|steep|infuse|soak|strain|stand|rest|pour|reduce|"
                    + "cool|press|macerate|heat|stir|add|cover|squeeze|sit|shake|serve)");

    private final Materia materia;
    private final MeasureCustom custom;
    private final WrittenList list;
    private final List<Stage> stages = new ArrayList<>();
    private OptionalDouble reducedMl = OptionalDouble.empty();

    WrittenMethod(Materia materia, MeasureCustom custom, WrittenList list) {
        this.materia = materia;
        this.custom = custom;
        this.list = list;
    }

    /** Whether a text in lower case tells somebody to do something. */
    static boolean saysMethod(String low) {
        return VERB.matcher(low).find();
    }

    /** What is left after the first reduction, mL; empty when nothing is reduced. */
    OptionalDouble reducedMl() {
        return reducedMl;
    }

    Line line(String text, String low) {
        Said said = new Said(new ArrayList<>(), new ArrayList<>());
        String pending = "";
        for (String sentence : SENTENCE.split(low)) {
            for (String clause : CLAUSE.split(sentence.strip())) {
                String whole = (pending + clause).strip();
                pending = STAGE.matcher(whole).find() ? "" : whole + " ";
                if (pending.isEmpty()) {
                    clause(whole, said);
                }
            }
        }
        clause(pending.strip(), said);
        Kind kind = said.reads().isEmpty() ? Kind.UNKNOWN : Kind.METHOD;
        if (said.reads().isEmpty()) {
            said.asks().add(new Asked.NoStep());
        }
        return new Line(text, kind, said.reads(), said.asks(), -1);
    }

    /** What a line was read as, and what it leaves open; both grow. */
    private record Said(List<Understood> reads, List<Asked> asks) {}

    private void clause(String s, Said said) {
        int before = stages.size();
        toTheHeat(s, said);
        wait(s, said);
        if (s.matches(".*\\bcool\\b.*")) {
            double toC = celsius(s).orElse(DRINKABLE_C);
            add(new Stage.Cool(toC, false), new Understood.Cooled(Temperature.celsius(toC)), said);
        }
        if (s.matches(".*\\bstrain.*|.*\\bfilter.*")) {
            plain(new Stage.Strain(s.contains("press") || s.contains("squeez")), said);
        }
        if (s.matches(".*(?:sweeten|add|stir in|squeeze|serve with).*")
                && mentioned(s).anyMatch(this::inTheCup)) {
            if (stages.stream().noneMatch(x -> x.kind() == StageKind.FINISH)) {
                stages.add(new Stage.Finish());
            }
            said.reads().add(new Understood.Plain(StageKind.FINISH));
        }
        if (stages.size() > before || s.matches(".*\\badd\\b.*")) {
            place(s, before);
        }
    }

    private void add(Stage stage, Understood as, Said said) {
        stages.add(stage);
        said.reads().add(as);
    }

    private void plain(Stage stage, Said said) {
        add(stage, new Understood.Plain(stage.kind()), said);
    }

    private void lasting(Stage stage, double minutes, Said said) {
        add(stage, new Understood.Lasting(stage.kind(), minutes), said);
    }

    private void toTheHeat(String s, Said said) {
        boolean down = TURN_DOWN.matcher(s).find();
        boolean reduces = s.contains("reduc") || s.contains("boil down") || s.contains("cook down");
        if (!down && (reduces || REDUCE.matcher(s).find())) {
            reduce(s, said);
        } else if (s.matches(".*\\bpour\\b.*\\bboil.*|.*boiling water.*(?:over|on).*|.*hot water.*(?:over|on).*")) {
            plain(new Stage.Pour(celsius(s)), said);
        } else if (s.matches(".*bring.*(?:boil|simmer).*|.*(?:heat|warm).*\\bboil.*")) {
            plain(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true), said);
        }
    }

    /** Whatever goes on for a time. */
    private void wait(String s, Said said) {
        Optional<TimeWords.Read> time = TimeWords.read(s);
        boolean open = s.contains("uncovered") || s.contains("lid off");
        boolean covered = !open && (s.contains("cover") || s.contains("lid on"));
        int before = said.reads().size();
        if (s.contains("simmer") && time.isPresent()) {
            double minutes = time.get().minutes();
            lasting(new Stage.Simmer(minutes, Flame.LOW, !open), minutes, said);
        } else if (s.matches(".*\\bboil(?:ed)?\\b.*") && time.isPresent() && !s.contains("reduc")) {
            double minutes = time.get().minutes();
            lasting(new Stage.Boil(minutes, Flame.MEDIUM, covered), minutes, said);
        } else if (s.contains("overnight") || s.matches(".*\\b(?:soak|macerate)\\b.*")) {
            soak(s, time, said);
        } else if (s.matches(".*\\b(?:steep|infuse|brew|sit|stand|rest)\\b.*")) {
            rest(time, open, said);
        }
        if (said.reads().size() > before && time.filter(TimeWords.Read::range).isPresent()) {
            said.asks().add(new Asked.TimeOfRange());
        }
    }

    private void soak(String s, Optional<TimeWords.Read> time, Said said) {
        double minutes = time.map(TimeWords.Read::minutes).orElse(OVERNIGHT_MIN);
        boolean hot = stages.stream().anyMatch(x -> x instanceof Stage.Pour);
        Place place =
                s.matches(".*\\b(?:fridge|refrigerator|refrigerated|refrigerate)\\b.*") ? Place.FRIDGE : Place.ROOM;
        lasting(
                hot ? new Stage.Steep(minutes, true) : new Stage.Macerate(minutes, celsius(s), true, place),
                minutes,
                said);
        if (time.isEmpty()) {
            said.asks().add(new Asked.Overnight());
        }
    }

    private void rest(Optional<TimeWords.Read> time, boolean open, Said said) {
        double minutes = time.map(TimeWords.Read::minutes).orElse(USUAL_MIN);
        boolean boiled = stages.stream().anyMatch(x -> x.onFlame().isPresent() && x.kind() != StageKind.HEAT);
        lasting(boiled ? new Stage.Rest(minutes, !open) : new Stage.Steep(minutes, !open), minutes, said);
        if (time.isEmpty()) {
            said.asks().add(new Asked.NoTime());
        }
    }

    private void reduce(String s, Said said) {
        Matcher m = REDUCE.matcher(s);
        OptionalDouble waterMl = list.waterMl();
        if (s.matches(".*\\b(?:by )?half\\b.*") && waterMl.isPresent()) {
            reduceTo(waterMl.getAsDouble() / 2, said);
        } else if (s.matches(".*\\bby (?:a|one) third\\b.*") && waterMl.isPresent()) {
            reduceTo(waterMl.getAsDouble() * 2 / 3, said);
        } else if (m.find()) {
            AmountWords.read(m.group(1).strip() + " " + m.group(2))
                    .filter(r -> r.unit().isPresent())
                    .ifPresentOrElse(
                            r -> reduceTo(r.amount() * r.unit().get().millilitresEach(custom), said),
                            () -> said.asks().add(new Asked.ReducedToWhat()));
        } else {
            said.asks().add(new Asked.ReducedToWhat());
        }
    }

    private void reduceTo(double ml, Said said) {
        if (stages.stream().noneMatch(x -> x.kind() == StageKind.HEAT)) {
            stages.add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true));
        }
        add(
                new Stage.Reduce(Math.round(ml * 10) / 10.0, Flame.MEDIUM, false),
                new Understood.Reduced(Volume.millilitres(ml)),
                said);
        if (reducedMl.isEmpty()) {
            reducedMl = OptionalDouble.of(ml);
        }
    }

    private static OptionalDouble celsius(String s) {
        Matcher m = CELSIUS.matcher(s);
        if (!m.find()) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(m.group(1));
        return OptionalDouble.of(m.group(2).equals("f") ? (value - 32) / 1.8 : value);
    }

    // ---- where the herbs go in

    private boolean inTheCup(int addition) {
        return inTheCup(list.additions().get(addition));
    }

    private boolean inTheCup(Addition addition) {
        return materia.herb(addition.herb(), "herb").part() == PlantPart.PANTRY;
    }

    /** Additions whose herb a sentence names. */
    private IntStream mentioned(String s) {
        return IntStream.range(0, list.additions().size())
                .filter(i -> HerbWords.mentions(
                        s, materia.herb(list.additions().get(i).herb(), "herb")));
    }

    /** What a sentence names goes in at the stage it begins, or with the last one. */
    private void place(String s, int before) {
        int stage = stages.size() > before ? before : Math.max(0, stages.size() - 1);
        mentioned(s).filter(i -> !inTheCup(i)).forEach(i -> list.additions()
                .set(i, list.additions().get(i).at(stage)));
    }

    /** The stages with the strain that nobody writes down, and a finish only as the last; empty when nothing gives. */
    List<Stage> stages() {
        if (stages.stream().noneMatch(s -> RecipeRules.WET.contains(s.kind()))) {
            return List.of();
        }
        List<Stage> all = new ArrayList<>(stages);
        boolean finish = all.removeIf(s -> s.kind() == StageKind.FINISH);
        if (all.stream().noneMatch(s -> s.kind() == StageKind.STRAIN)) {
            all.add(new Stage.Strain(false));
        }
        if (finish || list.additions().stream().anyMatch(this::inTheCup)) {
            all.add(new Stage.Finish());
        }
        return all;
    }

    /** The additions at their stages. @param stages as {@link #stages()} gave them */
    List<Addition> placed(List<Stage> stages) {
        int last = Math.max(0, stages.size() - 1);
        return list.additions().stream()
                .map(a -> stages.isEmpty() ? a.at(0) : a.at(inTheCup(a) ? last : Math.min(a.stage(), last)))
                .toList();
    }
}
