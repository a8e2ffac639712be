package embercup.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.AnyPot;
import embercup.core.Pots;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Planner;
import embercup.core.plan.Step;
import embercup.core.recipe.StageKind;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;

/** Every sentence of every step of two hundred pots that nobody thought of reads as somebody would say it. */
class EverySentenceTest {

    private static final int POTS = 200;
    private static final Words WORDS = Words.ofLanguage("en");

    /** What no cook can read: a number that is none, a pattern that was not filled, a plural of one, a word said twice. */
    private static final List<Pattern> WRONG = Stream.of(
                    "NaN",
                    "Infinity",
                    "null",
                    "[{}\\[\\]]",
                    "-\\d",
                    "  ",
                    " [,;.]",
                    ",,|;;|, ,",
                    "\\b1 (?:cups|days|mugs|herbs|hours)\\b",
                    "(?<![\\d.])0(?:\\.0+)? (?:mL|g|min|s)\\b",
                    "\\d\\.\\d{3}",
                    "\\b(\\w{3,}) \\1\\b",
                    "<|=")
            .map(Pattern::compile)
            .toList();
    /** Preparations of leaves and roots that nothing out of a jar or a bottle takes. */
    private static final Pattern OF_PLANTS = Pattern.compile("\\b(?:chop|slice|crush|bruise|grate|scrub|peel)\\b");

    private static Stream<BrewPlan> pots() {
        Planner planner = new Planner(Pots.MATERIA);
        return new Random(20261126).ints(POTS).mapToObj(seed -> planner.plan(AnyPot.request(new Random(seed))));
    }

    @Test
    void noStepSaysWhatNobodyWould() {
        SoftAssertions all = new SoftAssertions();
        pots().forEach(plan -> plan.steps().forEach(step -> sentences(plan, step)
                .forEach(said -> WRONG.forEach(wrong -> {
                    Matcher found = wrong.matcher(said);
                    all.assertThat(found.find())
                            .as("“%s” has %s", said, wrong.pattern())
                            .isFalse();
                }))));
        all.assertAll();
    }

    @Test
    void whatEndsAStepIsNotWhatItSaysAlready() {
        pots().forEach(plan -> plan.steps().forEach(step -> {
            String until = WORDS.until(plan, step);
            if (until.startsWith("until ")) {
                assertThat(WORDS.label(plan, step))
                        .as("the label of a step that lasts %s", until)
                        .doesNotContain(until.substring("until ".length()));
            }
        }));
    }

    @Test
    void nothingOutOfAJarIsChopped() {
        pots().forEach(plan -> plan.steps().stream()
                .filter(Step.Prepare.class::isInstance)
                .map(s -> plan.additions().get(((Step.Prepare) s).addition()))
                .filter(a -> a.perCup())
                .forEach(a -> assertThat(WORDS.prep(a)).as(a.common()).doesNotContainPattern(OF_PLANTS)));
    }

    @Test
    void aRefillSaysHowMuchAndASpiritIsNoWater() {
        pots().forEach(plan -> plan.steps().forEach(step -> {
            String label = WORDS.label(plan, step);
            if (step.stage() >= 0 && plan.stages().get(step.stage()).stage().kind() == StageKind.REFILL) {
                assertThat(label).containsPattern("\\d+ mL");
            }
            if (plan.request().recipe().menstruum().cold()) {
                assertThat(label).doesNotContain("cold water");
            }
        }));
    }

    @Test
    void heatHeldBelowTheBoilIsNotBroughtToIt() {
        pots().filter(plan -> plan.stages().stream().noneMatch(run -> run.boils()))
                .forEach(plan -> plan.steps().forEach(step -> assertThat(WORDS.label(plan, step) + " "
                                + WORDS.until(plan, step) + " " + WORDS.confirm(plan, step))
                        .doesNotContainIgnoringCase("bring to the boil")
                        .doesNotContain("until it boils")
                        .doesNotContain("It has boiled")));
    }

    private static Stream<String> sentences(BrewPlan plan, Step step) {
        return Stream.of(WORDS.label(plan, step), WORDS.until(plan, step), WORDS.confirm(plan, step));
    }
}
