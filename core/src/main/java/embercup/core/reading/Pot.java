package embercup.core.reading;

import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The pot as far as a text has brought it: what the water is at the herbs, what waits to go in, and the stages so far. Mutable. */
final class Pot {

    static final double WARM_C = 40;

    /** Just off the boil; warm to the hand; heat held below the boil (common practice, no source), °C. */
    static final double OFF_BOIL_C = 90;

    /** Times that are offered where none is written (common practice, no source), min. */
    static final List<Double> USUAL_MIN = List.of(10.0, 5.0, 15.0, 30.0);

    static final List<Double> USUAL_NIGHT_MIN = List.of(480.0, 360.0, 600.0, 720.0);

    private final Sheet sheet;
    private final Answers answers;

    Contact contact = Contact.NONE;

    OptionalDouble contactC = OptionalDouble.empty();

    OptionalDouble listedC = OptionalDouble.empty();

    final List<Ingredient> pending = new ArrayList<>();

    @Nullable
    Boolean nextLid;

    boolean low;

    boolean heldBelow;

    @Nullable
    StageDraft untimed;

    String pendingSign = "";

    /** Whether more is done in the sentence. */
    boolean more;

    boolean fireFollows;

    Pot(Sheet sheet, Answers answers) {
        this.sheet = sheet;
        this.answers = answers;
    }

    // ---- what all share

    StageDraft begin(StageKind kind, LineDraft line) {
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

    void placePending(int at) {
        pending.stream().filter(i -> i.stage < 0 || i.stage < at).forEach(i -> i.stage = at);
        pending.clear();
    }

    Stream<Ingredient> placedAt(int stage) {
        return sheet.ingredients.stream().filter(i -> i.stage == stage);
    }

    /** What is named at a fire and is not in yet goes in with it. */
    void goIn(List<Ingredient> herbs) {
        herbs.stream().filter(h -> h.stage < 0 && !pending.contains(h)).forEach(pending::add);
    }

    /** What waits to go in at the next stage, also when it is in already. */
    void waits(List<Ingredient> herbs) {
        herbs.stream().filter(h -> !pending.contains(h)).forEach(pending::add);
    }

    void timed(StageDraft stage, Item.Time time, LineDraft line) {
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

    void howLong(StageDraft stage, List<Double> minutes, LineDraft line) {
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
    void askTimes() {
        sheet.stages.stream()
                .filter(d -> d.timed() && Double.isNaN(d.minutes))
                .forEach(d -> howLong(d, USUAL_MIN, d.line));
    }

    /** Hot water on the herbs; water that was only boiled for it is not boiled twice. */
    void poured(LineDraft line) {
        sheet.last().filter(d -> d.kind == StageKind.HEAT && d.onlyWater).ifPresent(d -> {
            int at = sheet.stages.size() - 1;
            placedAt(at).toList().forEach(i -> {
                i.stage = -1;
                pending.add(i);
            });
            sheet.stages.remove(at);
            // Water that was heated so far is poured so warm.
            contactC = contactC.isPresent() ? contactC : d.toC;
        });
        StageDraft stage = begin(StageKind.POUR, line);
        stage.toC = contactC;
        contact = Contact.POURED;
        line.reads.add(new Understood.Plain(StageKind.POUR));
    }

    boolean strained() {
        return sheet.stages.stream()
                .reduce((a, b) -> b.kind == StageKind.STRAIN || b.kind == StageKind.REFILL ? b : a)
                .filter(d -> d.kind == StageKind.STRAIN)
                .isPresent();
    }

    /** Whether herbs were in the pot while it was on the flame. */
    boolean brewedOnFire() {
        for (int i = 0; i < sheet.stages.size(); i++) {
            if (sheet.stages.get(i).fire()
                    && (!sheet.stages.get(i).onlyWater
                            || sheet.stages.get(i).kind.boils())) {
                return true;
            }
        }
        return false;
    }

    StageKind waiting(Act act) {
        if (strained()) {
            return StageKind.REST;
        }
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

    int indexOf(StageKind kind) {
        for (int i = 0; i < sheet.stages.size(); i++) {
            if (sheet.stages.get(i).kind == kind) {
                return i;
            }
        }
        return -1;
    }

    void finishing(List<Ingredient> herbs, LineDraft line) {
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

    /** Herbs that were named and never put in go in at the end of what was done. */
    void settle() {
        if (!pending.isEmpty() && !sheet.stages.isEmpty()) {
            int last = sheet.stages.size() - 1;
            placePending(last);
        }
    }

    void lid(boolean on, LineDraft line) {
        Optional<StageDraft> last =
                sheet.last().filter(d -> d.line == line && (d.timed() || d.kind == StageKind.REDUCE));
        boolean over = !more && last.isPresent() && last.get().lid == null && pending.isEmpty();
        if (over && !Double.isNaN(last.get().minutes)) {
            last.get().lid = on;
        }
        nextLid = on;
    }

    void state(String state) {
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

    /** Hot water of a list that says how hot; else what it has cooled to. */
    OptionalDouble listedWarmth(String state) {
        return contactC.isPresent() || state.equals("boiling") ? contactC : listedC;
    }

    /** Whether minutes were said in the same line: "boil five minutes, rest another five". */
    boolean timedHere(LineDraft line) {
        return sheet.last()
                .filter(d -> d.line == line && d.timed() && d.minutes < 60)
                .isPresent();
    }
}
