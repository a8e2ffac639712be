package embercup.core.reading;

import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.reading.Reading.Line;
import embercup.core.reading.Reading.LineKind;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * Reads a recipe from what somebody wrote: a list, a method, a paragraph, in any language whose words ship. Every word ends in
 * one of three places: it moved a field, a question stands at its line, or it is kept as a note. No plant becomes another one
 * because its name is near. Immutable and thread-safe; built once for a materia.
 */
public final class Reader {

    /** Up to this share of a jar's volume is liquor, once its herbs and headspace are in it (common practice, no source). */
    private static final double OF_JAR = 0.9;

    private static final Pattern BULLET = Pattern.compile("^(?:[-*•·–▢□]|\\d{1,2}[.)])\\s+");
    private static final int TITLE_WORDS = 14;

    private final Materia materia;
    private final Map<String, Language> languages = Language.shipped();
    private final Map<String, Vocabulary> vocabularies = new LinkedHashMap<>();

    public Reader(Materia materia) {
        this.materia = materia;
        languages.forEach((code, language) -> vocabularies.put(code, new Vocabulary(language, materia)));
    }

    /** Codes of the languages that can be read. */
    public List<String> languages() {
        return List.copyOf(languages.keySet());
    }

    /**
     * @param text at most {@link Length#WRITTEN} characters
     * @param language code of its language; empty to tell it by its words
     * @param answers what the cook has answered of the same text
     */
    public Reading read(String text, MeasureCustom custom, Optional<String> language, Answers answers) {
        String code = language.filter(languages::containsKey).orElseGet(() -> spoken(text));
        return new Job(code, custom, answers).read(text);
    }

    /** The language most of whose words a text has. */
    private String spoken(String text) {
        return languages.keySet().stream()
                .max(Comparator.comparingLong(code -> vocabularies.get(code).known(Word.of(text, languages.get(code)))))
                .orElseThrow();
    }

    /** One reading; mutable, used once. */
    private final class Job {

        private final Language language;
        private final Labeller labeller;
        private final MeasureCustom custom;
        private final Answers answers;
        private final Sheet sheet = new Sheet();
        private final Method method;
        private final List<LineDraft> lines = new ArrayList<>();

        Job(String code, MeasureCustom custom, Answers answers) {
            this.language = languages.get(code);
            this.labeller = new Labeller(vocabularies.get(code));
            this.custom = custom;
            this.answers = answers;
            Ingredients ingredients = new Ingredients(materia, custom, answers);
            this.method = new Method(sheet, ingredients, new Taking(sheet, custom), custom, answers);
        }

        Reading read(String text) {
            List<String> raw = new ArrayList<>();
            for (String line : text.strip().split("\\R")) {
                String bare = BULLET.matcher(line.strip()).replaceFirst("").strip();
                if (!bare.isEmpty()) {
                    raw.add(bare);
                }
            }
            for (int i = 0; i < raw.size(); i++) {
                line(new LineDraft(i, raw.get(i), Word.of(raw.get(i), language)), raw.size());
            }
            method.settle();

            lines.forEach(LineDraft::settle);
            Recipe recipe = recipe(text);
            return new Reading(
                    recipe, language.language(), lines.stream().map(this::line).toList());
        }

        private Line line(LineDraft l) {
            return new Line(
                    l.text, l.kind, l.words.isEmpty() ? List.of() : l.spans(), l.reads, l.asks, l.kept(), l.additions);
        }

        private void line(LineDraft line, int all) {
            lines.add(line);
            line.labels = labeller.label(line.words);
            companions(line.labels);
            if (line.words.isEmpty() || heading(line) || title(line, all)) {
                return;
            }
            List<List<Label>> sentences = sentences(line);
            for (List<Label> sentence : sentences) {
                boolean listed = sentences.size() == 1 && listed(sentence);
                method.sentence(Chunker.items(sentence), listed, line);
            }
        }

        /** Whether a line names things and does nothing. */
        /** "In a tea ball", "in the blender": what it is made with beside its vessel. */
        private void companions(List<Label> labels) {
            for (Label label : labels) {
                if (label.is(Kind.VESSEL) && label.value().equals("ball")) {
                    sheet.with.add(Companion.TEA_BALL);
                } else if (label.is(Kind.VESSEL) && label.value().equals("blender")) {
                    sheet.with.add(Companion.BLENDER);
                }
            }
        }

        private boolean listed(List<Label> labels) {
            long strange = labels.stream().filter(l -> l.is(Kind.UNKNOWN)).count();
            long names = labels.stream().filter(l -> l.is(Kind.NAME)).count();
            return labels.stream().noneMatch(l -> l.is(Kind.ACT)) && strange <= 2 * names;
        }

        private boolean heading(LineDraft line) {
            boolean all = line.labels.stream()
                    .allMatch(l -> l.is(Kind.HEADING)
                            || l.is(Kind.ALL)
                            || l.is(Kind.MARK)
                            || l.is(Kind.GLUE)
                            || l.is(Kind.TEA)
                            || l.is(Kind.AND));
            boolean any = line.labels.stream().anyMatch(l -> l.is(Kind.HEADING))
                    || line.labels.stream().anyMatch(l -> l.is(Kind.ALL)) && line.words.size() <= 2;
            if (!all || !any) {
                return false;
            }
            line.read(line.labels);
            line.kind = LineKind.TITLE;
            line.reads.add(new Understood.Heading());
            return true;
        }

        /** The first of several lines, when it measures nothing and does nothing. */
        private boolean title(LineDraft line, int all) {
            boolean first = lines.size() == 1 && all > 1 && sheet.title.isEmpty();
            boolean short_ = line.words.size() <= TITLE_WORDS && line.text.length() <= Length.NAME;
            if (!first
                    || !short_
                    || Taking.warns(Chunker.items(line.labels))
                    || line.text.endsWith(".")
                    || measures(line.labels)) {
                return false;
            }
            sheet.title = line.text.replaceAll("[:\\s]+$", "");
            method.title(Chunker.items(line.labels), line);
            line.read(line.labels);
            line.kind = LineKind.TITLE;
            line.reads.add(0, new Understood.Title());
            return true;
        }

        private boolean measures(List<Label> labels) {
            boolean amount = false;
            for (int i = 0; i + 1 < labels.size(); i++) {
                boolean number = labels.get(i).is(Kind.NUMBER) && labels.get(i).words() > 0;
                boolean sized =
                        (labels.get(i + 1).is(Kind.SIZE) || labels.get(i + 1).is(Kind.FULL)) && i + 2 < labels.size();
                Label said = labels.get(sized ? i + 2 : i + 1);
                Kind next = said.kind();
                boolean people = next == Kind.PEOPLE;
                amount |= number
                        && !people
                        && (next == Kind.UNIT && !cup(said)
                                || next == Kind.NAME
                                || next == Kind.TIME
                                || next == Kind.FORM);
            }
            return amount;
        }

        private boolean cup(Label label) {
            return Unit.ofCode(label.value()).filter(Amount.CUPS::contains).isPresent();
        }

        /** A line at its full stops; a stop after a unit is an abbreviation unless a capital follows. */
        private List<List<Label>> sentences(LineDraft line) {
            List<List<Label>> all = new ArrayList<>();
            List<Label> now = new ArrayList<>();
            for (int i = 0; i < line.labels.size(); i++) {
                Label label = line.labels.get(i);
                now.add(label);
                boolean last = i == line.labels.size() - 1;
                if (label.mark(".!?;") && !last && !goesOn(line, label)) {
                    all.add(now);
                    now = new ArrayList<>();
                }
            }
            if (!now.isEmpty()) {
                all.add(now);
            }
            return all;
        }

        private boolean goesOn(LineDraft line, Label stop) {
            return stop.value().equals(".")
                    && Character.isLowerCase(
                            line.text.charAt(line.words.get(stop.to()).from()));
        }

        // ---- the recipe

        private Recipe recipe(String text) {
            Makes makes = makes();
            stagesToEnd();
            gated();
            List<Stage> stages = sheet.stages.stream().map(StageDraft::stage).toList();
            boolean brews = sheet.stages.stream().anyMatch(d -> d.kind.infuses());
            List<Addition> additions = sheet.ingredients.stream()
                    .map(i -> i.addition(makes.cups, brews ? at(i, stages) : 0))
                    .toList();
            List<String> notes = lines.stream()
                    .flatMap(l -> l.notes().stream())
                    .limit((long) Limit.NOTES.high())
                    .toList();
            Told told = new Told(
                    sheet.fill,
                    ofBlend(makes.cups),
                    sheet.notFor,
                    sheet.keeping,
                    sheet.with,
                    List.of(),
                    notes,
                    text.strip());
            double cupMl = Math.round(makes.liquorMl / makes.cups * 10) / 10.0;
            sheet.taking.ifPresent(t -> taken(t, cupMl));
            return new Recipe(
                    sheet.title.isEmpty() ? named(additions) : sheet.title,
                    Tradition.FOLK,
                    new Recipe.Makes(makes.cups, cupMl, 0),
                    sheet.water.isPresent()
                            ? OptionalDouble.of(Math.round((sheet.water.get().ml() + sheet.pasteMl) * 10) / 10.0)
                            : OptionalDouble.empty(),
                    sheet.menstruum.orElse(Menstruum.WATER),
                    additions,
                    brews ? stages : List.of(),
                    sheet.taking.filter(t -> !Double.isNaN(t.low)).map(t -> t.posology(custom, cupMl)),
                    told);
        }

        private void taken(Taking.Draft taking, double cupMl) {
            if (taking.line != null) {
                taking.line.reads.add(new Understood.Taken(taking.posology(custom, cupMl)));
            }
        }

        private Optional<Quantity> ofBlend(double cups) {
            return sheet.ofBlend.map(q -> sheet.blendEachCup ? q.times(cups) : q);
        }

        /** A text without a name is called by its first herbs. */
        private String named(List<Addition> additions) {
            return additions.isEmpty()
                    ? ""
                    : String.join(
                            ", ",
                            additions.stream()
                                    .limit(3)
                                    .map(a -> materia.herb(a.herb(), "herb").common())
                                    .toList());
        }

        private int at(Ingredient i, List<Stage> stages) {
            int last = stages.size() - 1;
            int finish = last >= 0 && stages.get(last).kind() == StageKind.FINISH ? last : -1;
            if (i.stage >= 0) {
                return Math.min(i.stage, last);
            }
            return Sheet.inTheCup(i) && finish >= 0 ? finish : firstWet();
        }

        /** What nobody says when it goes in goes in at the first stage that takes herbs. */
        private int firstWet() {
            for (int i = 0; i < sheet.stages.size(); i++) {
                StageDraft d = sheet.stages.get(i);
                if (d.kind.infuses() || d.kind == StageKind.POUR || d.kind == StageKind.HEAT) {
                    return i;
                }
            }
            return 0;
        }

        /** The strain that nobody writes down, and what goes into the cup at the end. */
        private void stagesToEnd() {
            boolean brews = sheet.stages.stream().anyMatch(d -> d.kind.infuses());
            if (!brews) {
                return;
            }
            rests();
            LineDraft last = lines.get(lines.size() - 1);
            boolean strained = sheet.has(StageKind.STRAIN);
            int finish = -1;
            for (int i = 0; i < sheet.stages.size(); i++) {
                finish = sheet.stages.get(i).kind == StageKind.FINISH ? i : finish;
            }
            if (!strained && !sheet.drunkWhole) {
                int at = finish >= 0 ? finish : sheet.stages.size();
                sheet.stages.add(at, new StageDraft(StageKind.STRAIN, last));
                sheet.ingredients.stream().filter(i -> i.stage >= at).forEach(i -> i.stage++);
                finish = finish >= 0 ? finish + 1 : finish;
            }
            if (finish < 0 && sheet.ingredients.stream().anyMatch(i -> Sheet.inTheCup(i) && i.stage < 0)) {
                sheet.stages.add(new StageDraft(StageKind.FINISH, last));
            }
            sheet.stages.stream()
                    .filter(d -> d.kind == StageKind.REDUCE && Double.isNaN(d.toMl))
                    .forEach(d -> d.toMl = sheet.water
                            .map(w -> w.ml() * (Double.isNaN(d.share) ? 0.5 : d.share))
                            .orElse(custom.system().cupMl()));
        }

        /** What stands off the flame with herbs that were on it rests; what nobody put in later was in from the start. */
        private void rests() {
            boolean poured = sheet.has(StageKind.POUR);
            for (int i = 1; i < sheet.stages.size(); i++) {
                StageDraft d = sheet.stages.get(i);
                int at = i;
                boolean fire = sheet.stages.subList(0, i).stream().anyMatch(x -> x.fire() && x.toC.isEmpty());
                boolean fresh = sheet.ingredients.stream().anyMatch(x -> x.stage == at);
                boolean inAlready = sheet.brewed().anyMatch(x -> x.stage < at);
                if (d.kind == StageKind.STEEP && fire && !fresh && inAlready && !poured) {
                    d.kind = StageKind.REST;
                }
            }
        }

        /** "When it has cooled, honey": what goes into the cup has its own warmth, and the cup waits for that. */
        private void gated() {
            boolean gate = sheet.ingredients.stream()
                    .anyMatch(i -> Sheet.inTheCup(i) && i.herb.inCup().isPresent());
            for (int i = sheet.stages.size() - 2; i >= 0 && gate; i--) {
                StageDraft d = sheet.stages.get(i);
                boolean finishNext = sheet.stages.get(i + 1).kind == StageKind.FINISH;
                int at = i;
                if (d.kind == StageKind.COOL && d.toC.isEmpty() && finishNext) {
                    sheet.stages.remove(i);
                    sheet.ingredients.stream().filter(x -> x.stage > at).forEach(x -> x.stage--);
                }
            }
        }

        private record Makes(double cups, double liquorMl) {}

        /** Cups: what the text says; else from what is left of its water. */
        private Makes makes() {
            double cupMl = custom.system().cupMl();
            OptionalDouble reduced = sheet.stages.stream()
                    .filter(d -> d.kind == StageKind.REDUCE && !Double.isNaN(d.toMl))
                    .mapToDouble(d -> d.toMl)
                    .reduce((a, b) -> b);
            OptionalDouble liquor = sheet.yieldMl.isPresent() ? sheet.yieldMl : reduced;
            if (sheet.cups.isPresent()) {
                double cups = clamped(sheet.cups.getAsDouble());
                return new Makes(cups, liquor.orElse(cups * cupMl));
            }
            if (liquor.isPresent()) {
                return new Makes(cups(liquor.getAsDouble(), cupMl), liquor.getAsDouble());
            }
            if (sheet.water.isPresent()) {
                Sheet.Water w = sheet.water.get();
                boolean counted = Amount.CUPS.contains(w.unit());
                return new Makes(counted ? clamped(Math.max(1, Math.rint(w.amount()))) : cups(w.ml(), cupMl), w.ml());
            }
            if (sheet.jarMl.isPresent()) {
                double ml = sheet.jarMl.getAsDouble() * OF_JAR;
                return new Makes(cups(ml, cupMl), ml);
            }
            return asked(cupMl);
        }

        private static double cups(double ml, double cupMl) {
            return clamped(Math.max(1, Math.rint(ml / cupMl)));
        }

        private static double clamped(double cups) {
            return Math.min(Limit.CUPS.high(), Math.max(Limit.CUPS.low(), cups));
        }

        private Makes asked(double cupMl) {
            Question question = new Question.HowManyCups();
            LineDraft line = lines.isEmpty() ? new LineDraft(0, "", List.of()) : lines.get(0);
            List<Choice> choices = List.of(new Choice.OfCups(1), new Choice.OfCups(2), new Choice.OfCups(4));
            String taken =
                    answers.to(line.index, question.key()).orElse(choices.get(0).value());
            if (!sheet.ingredients.isEmpty()) {
                line.asks.add(new Asked(question, choices, Optional.of(taken)));
            }
            double cups = clamped(Double.parseDouble(taken));
            return new Makes(cups, cups * cupMl);
        }
    }
}
