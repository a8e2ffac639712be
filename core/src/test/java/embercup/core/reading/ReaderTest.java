package embercup.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import embercup.core.Pots;
import embercup.core.materia.Condition;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.MeasureCustom;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.reading.Answers.Answer;
import embercup.core.reading.Asked.Choice;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is read, what is asked, what is kept; and that no plant becomes another one. */
class ReaderTest {

    private static final Materia MATERIA = Pots.MATERIA;
    private static final Reader READER = new Reader(MATERIA);

    private static Reading read(String text) {
        return read(text, Answers.NONE);
    }

    private static Reading read(String text, Answers answers) {
        return READER.read(text, MeasureCustom.DEFAULT, Optional.empty(), answers);
    }

    private static List<String> herbs(String text) {
        return read(text).recipe().additions().stream().map(a -> a.herb()).toList();
    }

    private static List<Asked> asks(Reading reading) {
        return reading.lines().stream().flatMap(l -> l.asks().stream()).toList();
    }

    // ---- names

    /** Poisons too: what is not known by its name cannot be refused. Every name of every language. */
    @Test
    void everyHerbIsKnownByEachOfItsNames() {
        for (Herb herb : MATERIA.herbs()) {
            herb.everyName().filter(n -> !n.isBlank()).forEach(name -> {
                Reading r = read("A pot\n5 g " + name.toLowerCase(Locale.ROOT));
                List<String> found =
                        r.recipe().additions().stream().map(a -> a.herb()).toList();
                List<String> offered = asks(r).stream()
                        .flatMap(a -> a.choices().stream())
                        .map(Choice::value)
                        .toList();
                assertThat(found.contains(herb.slug()) || offered.contains(herb.slug()))
                        .as(name + " of " + herb.slug() + " read as " + found + ", offered " + offered)
                        .isTrue();
            });
        }
    }

    /** A common name alone is its herb, and nothing else. */
    @Test
    void aCommonNameIsNoOtherPlant() {
        for (Herb herb : MATERIA.herbs()) {
            List<String> found = herbs("A pot\n2 tsp " + herb.common());
            boolean shared = MATERIA.alikes().stream().anyMatch(a -> a.herbs().contains(herb.slug()));
            if (!shared) {
                assertThat(found).as(herb.common()).isSubsetOf(herb.slug());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "mugroot",
                "sennet",
                "cassis",
                "ragweed",
                "gingko",
                "lindera",
                "hemlok",
                "comfry",
                "moonwort",
                "patience"
            })
    void anUnknownNameIsNeverTurnedIntoSomethingNear(String name) {
        Reading r = read("A pot\n1 tsp dried " + name);
        assertThat(r.recipe().additions()).isEmpty();
        assertThat(asks(r)).singleElement().satisfies(a -> {
            assertThat(a.question()).isEqualTo(new Asked.Question.NoHerb(name));
            assertThat(a.taken()).isEmpty();
        });
    }

    @ParameterizedTest
    @CsvSource({
        "horse mint, peppermint",
        "rose geranium, rose",
        "lemon thyme, thyme",
        "water mint, peppermint",
        "nettle root, nettle",
        "bog rosemary, rosemary",
        "false chamomile, chamomile",
        "linden root, linden",
    })
    void aNameWithAStrangeWordAtItIsAnotherPlant(String name, String near) {
        Reading r = read("A pot\n1 tbsp " + name + "\n1 cup boiling water");
        assertThat(herbs("A pot\n1 tbsp " + name)).doesNotContain(near);
        assertThat(asks(r)).anyMatch(a -> a.taken().isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "4 garlic cloves, garlic",
        "4 cloves of garlic, garlic",
        "4 cloves, clove",
        "2 tbsp orange juice, orange-juice",
        "zest of one orange, orange-peel",
        "1 orange (sliced), orange",
        "2 lemon slices, lemon",
        "1 tbsp lemon, lemon-juice",
        "2 ginger tea bags, ginger",
        "1 tsp black peppercorns, black-pepper",
        "2 dientes de ajo, garlic",
        "2 dientes de león secos, dandelion",
        "1 cucharadita de clavo, clove",
        "el zumo de una naranja, orange-juice",
        "la piel de una naranja, orange-peel",
    })
    void theLongestNameAndItsUnitDecideWhatItIs(String line, String herb) {
        assertThat(herbs("Receta\n" + line)).containsExactly(herb);
    }

    @Test
    void aNameOfSeveralPlantsIsAskedAndTheSafeOneTakenMeanwhile() {
        String text = "A pot\n1 cinnamon stick\n2 cups water\nSimmer 10 minutes.";
        Reading r = read(text);
        assertThat(herbs(text)).containsExactly("cinnamon-cassia");
        Asked which = asks(r).get(0);
        assertThat(which.key()).isEqualTo("which:cinnamon");
        assertThat(which.choices())
                .extracting(Choice::value)
                .containsExactly("cinnamon-cassia", "cinnamon-true", "leave-out");
        Reading answered = read(text, new Answers(List.of(new Answer(1, "which:cinnamon", "cinnamon-true"))));
        assertThat(answered.recipe().additions()).extracting(a -> a.herb()).containsExactly("cinnamon-true");
        Reading without = read(text, new Answers(List.of(new Answer(1, "which:cinnamon", "leave-out"))));
        assertThat(without.recipe().additions()).isEmpty();
    }

    /** Where no choice is the safe one nothing is taken. */
    @Test
    void whereNothingIsSafeNothingIsTaken() {
        assertThat(herbs("A pot\n5 g ginseng")).isEmpty();
        assertThat(herbs("A pot\n2 tsp dried Sambucus nigra")).isEmpty();
        assertThat(herbs("A pot\n2 tsp dried elderflower (Sambucus nigra)")).containsExactly("elderflower");
    }

    /** A herb of the cook's own needs no Latin name, and does not stand for every line then. */
    @Test
    void aHerbOfOnesOwnIsFoundByItsOwnNameOnly() {
        Materia own = MATERIA.with(List.of(Herb.own("frostwort", "Frostwort", "", PlantPart.LEAF, "", List.of())));
        Reader reader = new Reader(own);
        Reading r = reader.read(
                "A pot\n1 tsp dried frostwort\n1 tsp dried thunderwort",
                MeasureCustom.DEFAULT,
                Optional.empty(),
                Answers.NONE);
        assertThat(r.recipe().additions()).extracting(a -> a.herb()).containsExactly("frostwort");
    }

    // ---- questions

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a few slices of fresh ginger | amount:ginger",
                "a small piece of fresh ginger | amount:ginger",
                "honey to taste | amount:honey",
                "dried elecampane root | amount:elecampane",
                "1 tbsp nettle | form:nettle",
                "3 valerian | unit:valerian",
                "4 oz (200 g) fresh ginger, sliced | amounts:ginger",
            })
    void whatALineLeavesOpenIsAskedThere(String line, String key) {
        Reading r = read("A pot\n" + line + "\n2 cups water");
        assertThat(r.lines().get(1).asks()).extracting(Asked::key).contains(key);
        assertThat(r.lines().get(1).asks())
                .allSatisfy(a -> assertThat(a.choices()).hasSizeGreaterThanOrEqualTo(2));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2 level tsp dried thyme",
                "a couple of slices of fresh ginger",
                "4 oz (115 g) fresh ginger, sliced"
            })
    void whatIsSaidIsNotAsked(String line) {
        assertThat(read("A pot\n" + line + "\n2 cups water").lines().get(1).asks())
                .isEmpty();
    }

    /** Every answer that is offered can be given, and is what is read then. */
    @Test
    void everyChoiceCanBeTaken() {
        for (Corpus.Sample sample : Corpus.all()) {
            Reading reading = read(sample.text());
            for (int i = 0; i < reading.lines().size(); i++) {
                for (Asked ask : reading.lines().get(i).asks()) {
                    for (Choice choice : ask.choices()) {
                        Reading answered =
                                read(sample.text(), new Answers(List.of(new Answer(i, ask.key(), choice.value()))));
                        assertThat(answered.lines().get(i).asks())
                                .as(sample.title() + " " + ask.key() + " " + choice.value())
                                .filteredOn(a -> a.key().equals(ask.key()))
                                .allSatisfy(a -> assertThat(a.taken()).contains(choice.value()));
                    }
                }
            }
        }
    }

    @Test
    void anAnswerToAnUnknownNameIsTheHerb() {
        String text = "A pot\n2 tbsp thunderwort\n1 cup boiling water\nPour the water over and steep 5 minutes.";
        Reading r = read(text, new Answers(List.of(new Answer(1, "herb:thunderwort", "linden"))));
        assertThat(r.recipe().additions()).extracting(a -> a.herb()).containsExactly("linden");
    }

    // ---- methods

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Bring to a boil, simmer 20 minutes, strain. | heat simmer strain",
                "Bring it to the boil and boil for 5 minutes. Let stand 10 minutes. | heat boil rest strain",
                "Pour boiling water over the herbs. Steep ten minutes. | pour steep strain",
                "Soak the burdock for 4 hours, strain. | macerate strain",
                "Bring to a boil, reduce the heat and simmer for 20 minutes. | heat simmer strain",
                "Bring to a boil, then reduce to a simmer for 20 minutes. | heat simmer strain",
                "Pour hot water on, cover, let it sit overnight. | pour steep strain",
                "Bring the water to the boil, let it cool a little and pour it over; draw ten minutes. | pour steep strain",
                "Heat it, do not let it boil, for 20 minutes. Strain. | heat hold strain",
                "Simmer it for 20 minutes without letting it boil, then strain. | hold strain",
                "Keep it just below boiling for half an hour. Strain. | hold strain",
                "Simmer 20 minutes, blend it, strain. | simmer blend strain",
                "Blend the burdock with the water and drink it whole. | blend",
                "Simmer 20 minutes. Drink it with the powder, do not strain. | simmer",
            })
    void sentencesBecomeStagesInTheirOrder(String method, String expected) {
        Recipe r = read("A pot\n2 tbsp dried burdock root\n3 cups water\n" + method)
                .recipe();
        String kinds =
                String.join(" ", r.stages().stream().map(s -> s.kind().code()).toList());
        if (!kinds.isEmpty() || !expected.equals("blend")) {
            assertThat(kinds).isEqualTo(expected);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "Simmer covered for 25 minutes, true",
        "Simmer uncovered for 25 minutes, false",
        "Simmer for 25 minutes with the lid off, false",
        "Simmer for 25 minutes, true",
        "Boil covered for 25 minutes, true",
        "Boil for 25 minutes, false",
    })
    void aLidIsReadOrTakenAsUsual(String method, boolean lid) {
        Recipe r = read("A pot\n2 tbsp dried burdock root\n3 cups water\nBring to a boil. " + method + ".")
                .recipe();
        assertThat(r.stages().get(1).lid()).isEqualTo(lid);
    }

    @Test
    void herbsGoInWhereTheyAreNamedAndHoneyIntoTheCup() {
        Recipe r = read("""
                A pot
                2 tbsp dried burdock root
                1 tsp dried peppermint
                honey
                3 cups water
                Bring the burdock to the boil. Simmer for 20 minutes.
                Add the peppermint and let stand for 5 minutes.
                Strain, pressing well. Sweeten with honey.
                """).recipe();
        assertThat(r.additions().stream()
                        .map(a -> r.stages().get(a.stage()).kind())
                        .toList())
                .containsExactly(StageKind.HEAT, StageKind.STEEP, StageKind.FINISH);
        assertThat(r.stages()).contains(new Stage.Strain(true));
    }

    @ParameterizedTest
    @ValueSource(strings = {"Sing to it.", "My aunt swore by it.", "Best on a wooden bench at the harbour."})
    void aSentenceThatIsNoStepIsKeptAsANote(String text) {
        Reading r = read("A cup\n1 tsp linden\n1 cup boiling water\nPour the water over and steep 5 minutes.\n" + text);
        assertThat(r.recipe().told().notes()).contains(text);
        assertThat(r.lines().get(4).kept()).isNotEmpty();
    }

    @Test
    void whomItIsNotForAndHowItKeepsAreTheRecipesOwn() {
        Recipe r = read("""
                Sage cup
                1 tsp dried sage leaf
                1 cup boiling water
                Pour, steep 5 minutes, strain. Not with epilepsy, not in pregnancy, not for children.
                Keeps two days in the fridge.
                """).recipe();
        assertThat(r.told().notFor()).hasSize(3);
        assertThat(r.told().notFor().stream().flatMap(n -> n.when().stream()))
                .contains(Condition.EPILEPSY, Condition.PREGNANT);
        assertThat(r.told().keeping())
                .hasValueSatisfying(k -> assertThat(k.days()).isEqualTo(2));
        assertThat(r.told().written()).startsWith("Sage cup");
    }

    // ---- everything that is read

    static Stream<Corpus.Sample> samples() {
        return Corpus.all().stream();
    }

    /** Whatever is read of the corpus is a recipe that can be planned as it stands. */
    @ParameterizedTest
    @MethodSource("samples")
    void whatIsReadCanBePlanned(Corpus.Sample sample) {
        Recipe r = read(sample.text()).recipe();
        if (r.additions().isEmpty()) {
            return;
        }
        BrewPlan plan = new Planner(MATERIA).plan(PlanRequest.asWritten(r));
        assertThat(plan.water().yieldMl()).as(sample.title()).isPositive();
        assertThat(plan.additions()).hasSameSizeAs(r.additions());
    }

    /** Half a text, a text shuffled, letters at random: read, asked or kept, never an error. */
    @Test
    void brokenTextsAreReadToo() {
        Random random = new Random(12);
        List<Corpus.Sample> all = Corpus.all();
        for (int n = 0; n < 300; n++) {
            String text = all.get(random.nextInt(all.size())).text();
            String broken =
                    switch (n % 4) {
                        case 0 -> text.substring(random.nextInt(text.length()));
                        case 1 -> text.substring(0, 1 + random.nextInt(text.length() - 1));
                        case 2 -> shuffled(text, random);
                        default -> garbage(random);
                    };
            assertThatCode(() -> read(broken)).as(broken).doesNotThrowAnyException();
        }
    }

    private static String shuffled(String text, Random random) {
        List<String> words = new java.util.ArrayList<>(List.of(text.split(" ")));
        java.util.Collections.shuffle(words, random);
        return String.join(" ", words);
    }

    private static String garbage(Random random) {
        return random.ints(200, 9, 0x2FF)
                .filter(Character::isDefined)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    @Test
    void theLanguageIsToldByItsWordsAndCanBeSet() {
        for (Corpus.Sample sample : Corpus.all()) {
            assertThat(read(sample.text()).language())
                    .as(sample.title())
                    .isEqualTo(sample.file().substring(7, 9));
        }
        assertThat(READER.languages()).containsExactly("en", "es");
        assertThat(READER.read("1 taza de agua", MeasureCustom.DEFAULT, Optional.of("en"), Answers.NONE)
                        .language())
                .isEqualTo("en");
    }

    /** A third language needs a file with the same senses. */
    @Test
    void everyLanguageHasWordsForTheSameSenses() {
        Map<String, Language> languages = Language.shipped();
        languages.forEach((code, l) -> assertThat(l.senses().keySet())
                .as(code)
                .containsExactlyInAnyOrderElementsOf(
                        languages.get("en").senses().keySet()));
    }
}
