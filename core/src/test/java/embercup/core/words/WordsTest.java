package embercup.core.words;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.AnyPot;
import embercup.core.brew.BrewEquation;
import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.care.WayOut;
import embercup.core.course.CourseLimit;
import embercup.core.kitchen.KitchenEquation;
import embercup.core.live.LiveBrew;
import embercup.core.materia.Condition;
import embercup.core.materia.Constituent;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.StrengthEquation;
import embercup.core.reading.Asked;
import embercup.core.reading.Understood;
import embercup.core.recipe.Reason.Because;
import embercup.core.recipe.Schools;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Code;
import embercup.core.workings.Term;
import embercup.core.workings.Wanted;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The trade says facts; only the words know a language. */
class WordsTest {

    /** Every member of a closed family. */
    private static Stream<Class<?>> members(Class<?> family) {
        return Arrays.stream(family.getPermittedSubclasses())
                .flatMap(m -> m.isSealed() ? members(m) : Stream.of(m))
                .distinct();
    }

    private static List<String> needed() {
        List<String> keys = new ArrayList<>();
        Map.<String, Class<?>>of(
                        "caution.", Caution.class,
                        "way-out.", WayOut.class,
                        "advice.", LiveBrew.Advice.class,
                        "question.", Asked.Question.class,
                        "choice.", Asked.Choice.class,
                        "course-limit.", CourseLimit.class,
                        "wanted.", Wanted.class)
                .forEach((prefix, family) -> members(family).forEach(m -> keys.add(prefix + Code.of(m))));
        Stream.of(
                        Understood.Title.class,
                        Understood.Makes.class,
                        Understood.Water.class,
                        Understood.OfHerb.class,
                        Understood.Reduced.class,
                        Understood.Cooled.class)
                .forEach(u -> keys.add("understood." + Code.of(u)));
        Stream.of("heat", "pour", "strain", "finish", "simmer", "boil", "reduce", "stir", "shake", "blend", "combine")
                .forEach(k -> keys.add("understood." + k));
        Stream.of("simmer", "boil", "steep", "rest", "macerate", "reduce")
                .forEach(k -> keys.add("understood." + k + "-for"));
        Stream.of(Term.values()).forEach(t -> keys.add("term." + t.code()));
        Stream.of(Wanted.Need.values()).forEach(n -> keys.add("need." + Code.of(n)));
        Stream.of(Because.values()).forEach(b -> keys.add("reason." + Code.of(b)));
        Stream.of(Condition.values()).forEach(c -> keys.add("condition." + c.code()));
        Stream.of(Constituent.values()).forEach(c -> keys.add("constituent." + Code.of(c)));
        Stream.of(Unit.values()).forEach(u -> keys.add("unit." + u.code()));
        Stream.of(Cut.values()).forEach(c -> keys.addAll(List.of("cut." + Code.of(c), "comminution." + Code.of(c))));
        Stream.of(Form.values()).forEach(f -> keys.add("form." + Code.of(f)));
        Stream.of(PlantPart.values()).forEach(p -> keys.add("plant-part." + Code.of(p)));
        Stream.of(StageKind.values()).forEach(k -> keys.addAll(List.of("label." + k.code(), "begin." + k.code())));
        Stream.of(Schools.Question.values()).forEach(q -> {
            keys.addAll(List.of("question." + q.code(), "why." + q.code()));
            q.choices().forEach(c -> keys.add("choice." + c.code()));
        });
        Stream.of(BrewEquation.values()).forEach(e -> keys.add("equation." + e.code()));
        Stream.of(KitchenEquation.values()).forEach(e -> keys.add("equation." + e.code()));
        Stream.of(StrengthEquation.values()).forEach(e -> keys.add("equation." + e.code()));
        return keys;
    }

    @Test
    void everyFactHasItsWords() {
        assertThat(WORDS.keys()).containsAll(needed());
    }

    /** English turned into a language that nobody speaks: every sentence between marks, every argument where it was. */
    private static Words pseudo() {
        Map<String, String> other = new HashMap<>();
        for (String key : WORDS.keys()) {
            String pattern = WORDS.catalogue().pattern(key).orElseThrow();
            other.put(key, "«" + pattern + "»");
        }
        other.put("decimal.mark", ",");
        return new Words(new Catalogue(Locale.GERMAN, other));
    }

    private static List<Workings> all(Workings top) {
        List<Workings> flat = new ArrayList<>(List.of(top));
        top.inputs().forEach(i -> flat.addAll(all(i)));
        return flat;
    }

    /** What the words say of a plan, from the first step to the last figure. */
    private static List<String> said(Words words, BrewPlan plan, Care.Verdict verdict) {
        List<String> all = new ArrayList<>();
        plan.steps().forEach(s -> {
            all.add(words.label(plan, s));
            all.add(words.confirm(plan, s));
        });
        plan.additions().forEach(a -> {
            all.add(words.measure(a));
            all.add(words.say(a.said()));
            a.measured().nearest().map(words::nearest).ifPresent(all::add);
        });
        verdict.cautions().forEach(c -> all.add(words.say(c)));
        WayOut.of(MATERIA, plan, verdict, History.NONE).forEach(w -> all.add(words.say(w)));
        plan.reasons().forEach(r -> all.add(words.say(r)));
        plan.workings().values().forEach(w -> all(w).forEach(f -> all.add(words.label(f))));
        return all;
    }

    /** A second language needs a catalogue and nothing else: not a word of the first is left in what it says. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void anotherLanguageNeedsOnlyItsCatalogue(long seed) {
        Words pseudo = pseudo();
        BrewPlan plan = PLANNER.plan(AnyPot.request(new Random(seed)));
        Care.Verdict verdict = new Care(MATERIA).judge(plan, History.NONE);
        List<String> english = said(WORDS, plan, verdict);
        List<String> other = said(pseudo, plan, verdict);
        assertThat(other)
                .hasSameSizeAs(english)
                .allSatisfy(text -> assertThat(text).startsWith("«").endsWith("»"));
        assertThat(english).allSatisfy(text -> assertThat(text).isNotBlank().doesNotContain("{", "}", "«"));
    }

    @ParameterizedTest
    @CsvSource({
        "Burdock root, burdock root",
        "Iceland moss, Iceland moss",
        "St John’s wort herb, St John’s wort herb",
        "Chinese angelica root, Chinese angelica root",
        "Lady’s mantle herb, lady’s mantle herb",
        "Staghorn sumac, staghorn sumac"
    })
    void aNameKeepsTheCapitalsOfPlacesAndPeopleWithinASentence(String name, String inSentence) {
        assertThat(WORDS.lower(name)).isEqualTo(inSentence);
    }

    @Test
    void aLanguageThatLacksASentenceSaysSoAndInventsNone() {
        Words empty = new Words(new Catalogue(Locale.GERMAN, Map.of()));
        assertThatThrownBy(() -> empty.say((Caution) new Caution.Scald()))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("caution.scald");
        assertThatThrownBy(() -> Words.ofLanguage("fr")).hasMessageContaining("fr");
    }

    /** What a browser sends: the dearest first, regions, weights, and what no browser should send. */
    @ParameterizedTest
    @CsvSource({"'fr, en-US;q=0.8', en-GB", "'en', en-GB", "'xx-YY', en-GB", "'*', en-GB"})
    void aReaderIsAnsweredInTheFirstLanguageThatShips(String asked, String locale) {
        assertThat(Words.best(Locale.LanguageRange.parse(asked)).locale().toLanguageTag())
                .isEqualTo(locale);
        assertThat(Words.best(List.of())).isSameAs(Words.ofLanguage("en"));
    }
}
