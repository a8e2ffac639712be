package embercup.core.reading;

import embercup.core.materia.Alike;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.measure.Unit.Dimension;
import embercup.core.reading.Amount.Loose;
import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.recipe.UsualAddition;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Makes an addition of a phrase: which herb, how much, fresh or dried, how cut; and asks what it does not say. */
final class Ingredients {

    /** A heaped spoon, a scant one, a small and a big handful or piece, as shares of the usual (common practice, no source). */
    private static final double HEAPED = 1.5;

    private static final double SCANT = 0.8;
    private static final double SMALL = 0.6;
    private static final double LARGE = 1.5;
    /** "A few", taken as three (common practice, no source). */
    private static final double[] FEW = {3, 2, 4, 5};
    /** Two amounts of one line that differ by more than this contradict each other (design value). */
    private static final double CONTRADICTION = 0.1;

    private static final Set<Unit> OF_FRESH =
            EnumSet.of(Unit.INCH, Unit.CENTIMETRE, Unit.THUMB, Unit.WEDGE, Unit.PETAL, Unit.SPRIG);
    private static final Set<Cut> CUT_FRESH = EnumSet.of(Cut.GRATED, Cut.PASTE, Cut.BRUISED);

    /** Parts of which a bare number is so many of them. */
    private static final Set<PlantPart> COUNTED_WHOLE =
            EnumSet.of(PlantPart.FRUIT, PlantPart.PEEL, PlantPart.BULB, PlantPart.PANTRY);

    private final Materia materia;
    private final MeasureCustom custom;
    private final Answers answers;

    Ingredients(Materia materia, MeasureCustom custom, Answers answers) {
        this.materia = materia;
        this.custom = custom;
        this.answers = answers;
    }

    /** The addition that a phrase is; empty when its herb is not known, or is not decided. */
    Optional<Ingredient> of(Phrase phrase, LineDraft line) {
        return herb(phrase, line).map(herb -> {
            line.read(phrase.labels);
            Ingredient made = ingredient(herb, phrase, line);
            phrase.or.forEach(other -> herb(other, line).ifPresent(h -> {
                line.read(other.labels);
                made.or.add(ingredient(h, other, line));
            }));
            return made;
        });
    }

    /** A herb by its slug, for an answer. */
    Optional<Herb> herb(String slug) {
        return materia.find(slug);
    }

    /** The addition of a herb that the cook has named for an unknown word. */
    Ingredient as(Herb herb, Phrase phrase, LineDraft line) {
        return ingredient(herb, phrase, line);
    }

    // ---- which herb

    private Optional<Herb> herb(Phrase phrase, LineDraft line) {
        List<Herb> meant = phrase.meant();
        if (phrase.compound || meant.isEmpty()) {
            List<Label> name = new ArrayList<>(phrase.unknown);
            phrase.name.ifPresent(name::add);
            phrase.labels.stream().filter(l -> l.is(Kind.PART)).forEach(name::add);
            List<Herb> near = phrase.herbs;
            return ask(new Question.NoHerb(line.said(name)), near, Optional.empty(), phrase, line);
        }
        Optional<Alike> alike = alike(phrase, line);
        List<Herb> fits = fitting(meant, phrase, alike.isPresent());
        boolean clear = fits.size() == 1 && (alike.isEmpty() || fits.size() < phrase.herbs.size());
        if (clear) {
            return Optional.of(fits.get(0));
        }
        String name =
                alike.map(Alike::name).orElse(phrase.name.map(Label::value).orElse(""));
        String why = alike.map(Alike::why).orElse("");
        return ask(new Question.WhichHerb(name, why), meant, alike.flatMap(Alike::take), phrase, line);
    }

    /** The name that means several; one of which only one herb is known here is asked by that name alone: "laurel", not "bay leaf". */
    private Optional<Alike> alike(Phrase phrase, LineDraft line) {
        List<String> slugs = phrase.herbs.stream().map(Herb::slug).toList();
        String said = phrase.name
                .map(n -> line.said(List.of(n)).toLowerCase(Locale.ROOT))
                .orElse("");
        return materia.alikes().stream()
                .filter(a -> a.herbs().equals(slugs))
                .filter(a -> slugs.size() > 1 || a.names().stream().anyMatch(said::contains))
                .findFirst();
    }

    /** Of herbs of one name those of which so much can be said: slices are of the fruit, spoons of the juice. */
    private static List<Herb> fitting(List<Herb> meant, Phrase phrase, boolean fruit) {
        if (meant.size() == 1) {
            return meant;
        }
        Unit unit = phrase.amount == null ? null : phrase.amount.unit().orElse(null);
        boolean slices = unit == Unit.SLICE
                || unit == Unit.WEDGE
                || phrase.cut.filter(c -> c == Cut.SLICED).isPresent();
        PlantPart wanted = slices
                ? PlantPart.FRUIT
                : phrase.cut.filter(c -> c == Cut.GRATED).isPresent()
                        ? PlantPart.PEEL
                        : fruit && unit != null && unit.dimension() == Dimension.VOLUME ? PlantPart.PANTRY : null;
        List<Herb> fits = meant.stream().filter(h -> h.part() == wanted).toList();
        return fits.size() == 1 ? fits : meant;
    }

    private Optional<Herb> ask(
            Question question, List<Herb> herbs, Optional<String> take, Phrase phrase, LineDraft line) {
        List<Choice> choices = new ArrayList<>();
        herbs.forEach(h -> choices.add(new Choice.OfHerb(HerbName.of(h))));
        choices.add(new Choice.LeaveOut());
        Optional<String> answer = answers.to(line.index, question.key());
        Optional<String> taken = answer.or(() -> take);
        line.asks.add(new Asked(question, choices, taken));
        line.asked(phrase.labels);
        line.asked(phrase.unknown);
        return taken.flatMap(materia::find);
    }

    // ---- how much of it, in which form

    private Ingredient ingredient(Herb herb, Phrase phrase, LineDraft line) {
        @Nullable Amount amount = phrase.amount;
        Unit said = amount == null ? Unit.GRAM : amount.unit().orElseGet(() -> bareUnit(herb, phrase, amount, line));
        boolean stick = said == Unit.SPRIG && herb.pieces().stream().anyMatch(p -> p.unit() == Unit.STICK);
        Unit unit = stick ? Unit.STICK : said;
        Form form = form(herb, phrase, unit, line);
        Cut cut = phrase.cut.orElseGet(() -> UsualAddition.cut(herb, form, unit));
        Ingredient made = new Ingredient(herb, form, cut, Quantity.of(1, unit));
        made.formSaid = phrase.form.isPresent();
        made.cutSaid = phrase.cut.isPresent();
        made.optional = phrase.optional;
        made.eachCup = phrase.perCup;
        made.into = phrase.into;
        made.prep = phrase.paste;
        if (phrase.preps.stream().anyMatch(l -> l.is(Kind.PREP))) {
            made.prep = String.join(
                    ", ",
                    phrase.preps.stream()
                            .filter(l -> l.is(Kind.PREP))
                            .map(l -> line.said(List.of(l)))
                            .toList());
        }
        if (amount == null || amount.loose() == Loose.TASTE) {
            toTaste(made, herb, amount == null ? "" : amount.word(), line);
        } else {
            measured(made, herb, amount.in(made.quantity.unit()), phrase.beside, line);
        }
        return made;
    }

    private void measured(Ingredient made, Herb herb, Amount amount, @Nullable Amount beside, LineDraft line) {
        Unit unit = amount.unit().orElseThrow();
        double times = sized(amount);
        made.quantity = Quantity.of(amount.low() * times, unit);
        made.to = amount.range() ? OptionalDouble.of(amount.high() * times) : OptionalDouble.empty();
        if (amount.loose() == Loose.FEW) {
            List<Quantity> few = java.util.Arrays.stream(FEW)
                    .mapToObj(n -> Quantity.of(n, unit))
                    .toList();
            quantity(made, herb, "few", few, line);
        } else if (unit.dimension() == Dimension.COUNT && times != 1) {
            quantity(made, herb, amount.word(), sizes(herb, made.form, made.quantity, amount), line);
        }
        if (beside != null && beside.unit().isPresent()) {
            beside(made, herb, amount, beside, line);
        }
    }

    private static double sized(Amount amount) {
        return switch (amount.loose()) {
            case HEAPED -> HEAPED;
            case SCANT -> SCANT;
            case SMALL -> SMALL;
            case LARGE -> LARGE;
            case NONE, FEW, TASTE -> 1;
        };
    }

    /** How big a piece is: in centimetres where the herb is measured so, else against a usual piece. */
    private static List<Quantity> sizes(Herb herb, Form form, Quantity taken, Amount amount) {
        boolean long_ = herb.pieces().stream()
                .anyMatch(p -> p.form() == form && p.unit().dimension() == Dimension.LENGTH);
        List<Quantity> all = new ArrayList<>(List.of(taken, Quantity.of(amount.low(), taken.unit())));
        if (long_) {
            Stream.of(2.0, 5.0).forEach(cm -> all.add(Quantity.of(cm * amount.low(), Unit.CENTIMETRE)));
        }
        return all;
    }

    /** An amount that only the cook can say: asked, with what is usual taken meanwhile, a cup's worth. */
    private void toTaste(Ingredient made, Herb herb, String word, LineDraft line) {
        made.amountSaid = false;
        made.eachCup = true;
        Quantity usual = UsualAddition.perCup(herb, made.form);
        made.quantity = usual;
        List<Quantity> all = List.of(usual, usual.times(0.5), usual.times(2));
        quantity(made, herb, word, all, line);
    }

    private void quantity(Ingredient made, Herb herb, String word, List<Quantity> all, LineDraft line) {
        Question question = new Question.HowMuch(HerbName.of(herb), word);
        take(made, question, all, line);
    }

    private void take(Ingredient made, Question question, List<Quantity> all, LineDraft line) {
        String taken = answers.to(line.index, question.key())
                .filter(v -> all.stream().anyMatch(q -> q.toString().equals(v)))
                .orElse(all.get(0).toString());
        List<Choice> choices = all.stream()
                .distinct()
                .map(q -> (Choice) new Choice.OfQuantity(q))
                .toList();
        made.quantity = Quantity.parse(taken);
        if (!made.quantity.equals(all.get(0))) {
            made.to = OptionalDouble.empty();
        }
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
    }

    /** "4 oz (200 g)": a second amount of the same kind is compared with the first. */
    private void beside(Ingredient made, Herb herb, Amount amount, Amount beside, LineDraft line) {
        Unit first = amount.unit().orElseThrow();
        Unit second = beside.unit().orElseThrow();
        if (first.dimension() != second.dimension() || !plain(first)) {
            return;
        }
        double one = amount.low() * each(first);
        double other = beside.low() * each(second);
        if (Math.abs(other / one - 1) > CONTRADICTION) {
            take(
                    made,
                    new Question.WhichAmount(HerbName.of(herb)),
                    List.of(made.quantity, Quantity.of(beside.low(), second)),
                    line);
        }
    }

    private static boolean plain(Unit unit) {
        return unit.dimension() == Dimension.MASS || unit.dimension() == Dimension.VOLUME;
    }

    private double each(Unit unit) {
        return unit.dimension() == Dimension.MASS ? unit.gramsEach(custom) : unit.millilitresEach(custom);
    }

    /** A bare number counts what the herb is counted in; where nothing is known of that, it is asked. */
    private Unit bareUnit(Herb herb, Phrase phrase, Amount amount, LineDraft line) {
        boolean counted =
                herb.pieces().stream().anyMatch(p -> p.unit().dimension() == Dimension.COUNT && p.unit() != Unit.BAG);
        boolean partNamed =
                phrase.partSaid() || phrase.name.filter(n -> n.words() > 1).isPresent();
        if (counted || partNamed || COUNTED_WHOLE.contains(herb.part()) || amount.loose() == Loose.TASTE) {
            return new HerbMeasure(materia, custom).countedIn(herb);
        }
        Question question = new Question.OfWhat(HerbName.of(herb), amount.low());
        List<Unit> units = List.of(Unit.PIECE, Unit.TEASPOON, Unit.TABLESPOON, Unit.GRAM);
        List<Choice> choices = units.stream()
                .map(u -> (Choice) new Choice.OfQuantity(Quantity.of(amount.low(), u)))
                .toList();
        String taken =
                answers.to(line.index, question.key()).orElse(choices.get(0).value());
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
        return Quantity.parse(taken).unit();
    }

    private Form form(Herb herb, Phrase phrase, Unit unit, LineDraft line) {
        if (phrase.form.isPresent()) {
            return phrase.form.get();
        }
        if (herb.part() == PlantPart.PANTRY) {
            return Form.FRESH;
        }
        boolean fresh = UsualAddition.knows(herb, Form.FRESH);
        boolean dried = UsualAddition.knows(herb, Form.DRIED);
        if (unit == Unit.BAG || phrase.cut.filter(c -> c == Cut.GROUND).isPresent()) {
            return Form.DRIED;
        }
        Optional<Form> counted = herb.pieces().stream()
                .filter(p -> p.unit() == unit)
                .map(Herb.Piece::form)
                .findFirst();
        if (counted.isPresent()) {
            return counted.get();
        }
        boolean zest = herb.part() == PlantPart.PEEL
                && phrase.amount != null
                && phrase.amount.unit().isEmpty();
        boolean cutFresh = phrase.cut.filter(CUT_FRESH::contains).isPresent() && fresh;
        boolean peeled = phrase.preps.stream().anyMatch(l -> l.is(Kind.PREP)) && fresh;
        if (OF_FRESH.contains(unit) || zest || cutFresh || peeled || fresh && !dried) {
            return Form.FRESH;
        }
        if (!fresh) {
            return Form.DRIED;
        }
        Question question = new Question.FreshOrDried(HerbName.of(herb));
        List<Choice> choices = List.of(new Choice.OfForm(Form.DRIED), new Choice.OfForm(Form.FRESH));
        String taken =
                answers.to(line.index, question.key()).orElse(choices.get(0).value());
        line.asks.add(new Asked(question, choices, Optional.of(taken)));
        return taken.equals("fresh") ? Form.FRESH : Form.DRIED;
    }
}
