package embercup.core.reading;

import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Volume;
import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.recipe.Flame;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads what is boiled down, and to how much. Mutable with its sheet. */
final class Reductions {

    private final Pot pot;
    private final Sheet sheet;
    private final Named named;
    private final Liquids liquids;
    private final MeasureCustom custom;
    private final Answers answers;

    Reductions(Pot pot, Sheet sheet, Named named, Liquids liquids, MeasureCustom custom, Answers answers) {
        this.pot = pot;
        this.sheet = sheet;
        this.named = named;
        this.liquids = liquids;
        this.custom = custom;
        this.answers = answers;
    }

    // ---- reductions

    static boolean marks(Segment s) {
        boolean amount = s.bare()
                .filter(p -> p.amount.volume() || p.amount.unit().isEmpty())
                .isPresent();
        return amount && (s.has(Kind.LEFT) || s.has(Kind.UNTIL) || s.has(Kind.BY));
    }

    void reduce(Segment s, LineDraft line) {
        liquids.liquids(s, line, true);
        pot.goIn(named.take(s, line));
        reduceTo(s, line);
    }

    /** A mark in a segment that is no verb of reduction: "until one cup is left". */
    void mark(Segment s, LineDraft line) {
        if (marks(s) && s.has(Kind.LEFT)) {
            reduceTo(s, line);
        }
    }

    void reduceTo(Segment s, LineDraft line) {
        Optional<Phrase> said =
                s.bare().filter(p -> p.amount.volume() || p.amount.unit().isEmpty() && p.amount.low() < 1);
        StageDraft last = sheet.last().orElse(null);
        boolean goesOn = last != null
                && last.kind.boils()
                && last.kind != StageKind.REDUCE
                && last.line == line
                && pot.pending.isEmpty();
        double timeBefore =
                goesOn ? last.minutes : s.time().map(Item.Time::minutes).orElse(Double.NaN);
        StageDraft stage = goesOn ? last : pot.begin(StageKind.REDUCE, line);
        Flame flame = s.atom(Kind.FLAME)
                .map(f -> f.as(Flame.class))
                .orElse(pot.low || goesOn && stage.kind == StageKind.SIMMER ? Flame.LOW : null);
        stage.kind = StageKind.REDUCE;
        stage.flame = stage.flame == null ? flame : stage.flame;
        pot.contact = Contact.ON_FIRE;
        pot.low = false;
        pot.untimed = null;
        s.time().ifPresent(line::read);
        Stream.of(Kind.LEFT, Kind.UNTIL, Kind.BY, Kind.TEA, Kind.VESSEL).forEach(k -> line.read(s.atoms(k)));
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

    void toWhat(StageDraft stage, LineDraft line) {
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
    void timeOrMark(StageDraft stage, double minutes, LineDraft line) {
        Question question = new Question.TimeOrMark();
        List<Choice> choices = List.of(new Choice.ByTime(false), new Choice.ByTime(true));
        String taken = answers.to(line.index, question.key()).orElse("mark");
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
        if (taken.equals("time")) {
            stage.kind = StageKind.SIMMER;
            stage.minutes = minutes;
        }
    }
}
