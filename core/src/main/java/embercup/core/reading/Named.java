package embercup.core.reading;

import embercup.core.materia.Cut;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Unit;
import embercup.core.reading.Asked.Choice;
import embercup.core.reading.Asked.Question;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Finds the herbs that a sentence names: those of the list, and new ones. Mutable with its sheet. */
final class Named {

    private final Sheet sheet;
    private final Ingredients ingredients;
    private final Answers answers;

    /** What "it" is. */
    @Nullable
    Ingredient lastNamed;

    Named(Sheet sheet, Ingredients ingredients, Answers answers) {
        this.sheet = sheet;
        this.ingredients = ingredients;
        this.answers = answers;
    }

    // ---- herbs

    /** The herbs that a segment names: of the list, or new ones with an amount of their own. */
    List<Ingredient> take(Segment s, LineDraft line) {
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

    boolean same(Phrase p) {
        return sheet.known(p).filter(k -> !differs(k, p)).isPresent();
    }

    /** Whether a phrase says another amount than the list: then it is more of it, not the same again. */
    static boolean differs(Ingredient known, Phrase p) {
        Amount amount = p.amount;
        if (amount == null || !known.amountSaid || amount.unit().isEmpty()) {
            return false;
        }
        return amount.unit().get() != known.quantity.unit()
                || Math.abs(amount.low() / known.quantity.amount() - 1) > 0.01;
    }

    Stream<Ingredient> mentions(Segment s, LineDraft line) {
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
        line.read(s.atoms(Kind.SAME));
        cuts(s, all.isEmpty() && lastNamed != null ? List.of(lastNamed) : all, line);
        lastNamed = all.isEmpty() ? lastNamed : all.get(all.size() - 1);
        return all.stream().distinct();
    }

    /** "The stick", "the bags": a counting word alone. */
    static boolean counted(Phrase p) {
        return !p.named()
                && p.amount != null
                && p.unknown.isEmpty()
                && p.amount
                        .unit()
                        .filter(u -> u.dimension() == Unit.Dimension.COUNT)
                        .isPresent();
    }

    /** A cut that stands beside no name is of what the segment names. */
    void cuts(Segment s, List<Ingredient> herbs, LineDraft line) {
        boolean brewing = sheet.stages.stream().anyMatch(d -> d.timed() || d.kind == StageKind.REDUCE);
        s.atoms(Kind.CUT).forEach(l -> {
            if (!herbs.isEmpty() && !brewing) {
                herbs.forEach(h -> h.cut = l.as(embercup.core.materia.Cut.class));
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

    static void mention(Ingredient known, Phrase p, LineDraft line) {
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
        if (p.perCup) {
            known.into = p.into;
        }
        if (!p.paste.isEmpty()) {
            known.prep = p.paste;
            known.cut = Cut.PASTE;
        }
        known.optional |= p.optional;
        line.reads.add(new Understood.Mentioned(HerbName.of(known.herb)));
    }

    /** An amount of something that no name is known for. */
    void unknown(Segment s, LineDraft line) {
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
                    line.becomes(Reading.LineKind.HERB);
                });
    }

    /** Whether something is measured: "a walk" is not, nor is "a wooden spoon". */
    static boolean measured(Phrase p, LineDraft line) {
        boolean tool = p.labels.stream()
                .filter(l -> l.is(Kind.UNIT))
                .anyMatch(l -> l.from() > p.unknown.get(0).from());
        return !tool && p.amount.unit().isPresent()
                || line.text
                        .substring(line.words.get(p.labels.get(0).from()).from())
                        .matches("^[\\d½¼¾⅓⅔].*");
    }

    static void read(Ingredient i, LineDraft line) {
        line.reads.add(new Understood.OfHerb(i.quantity, HerbName.of(i.herb), i.form, i.cut));
        i.or.forEach(o -> line.reads.add(new Understood.OfHerb(o.quantity, HerbName.of(o.herb), o.form, o.cut)));
    }

    /** "1 tsp of the blend". */
    void blend(Segment s, LineDraft line) {
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

    void listed(Phrase phrase, boolean listed, LineDraft line) {
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

    /** A herb by its slug, for an answer. */
    Optional<Herb> herb(String slug) {
        return ingredients.herb(slug);
    }
}
