package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.proposedCup;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Purpose;
import embercup.core.dose.UsualDose;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Recipe;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Where nothing is to be said, nothing is: fifteen ordinary cups of a healthy adult, whose house has brewed before. */
class QuietTest {

    /** Our own choice of what stands in most cupboards. */
    private static final List<String> ORDINARY = List.of(
            "chamomile",
            "peppermint",
            "linden",
            "lemon-balm",
            "elderflower",
            "nettle",
            "rooibos",
            "rosehip",
            "hibiscus",
            "ginger",
            "fennel",
            "thyme",
            "lavender",
            "oat-straw",
            "black-tea");

    private final Care care = new Care(MATERIA);

    private static BrewPlan cup(String slug) {
        Herb herb = MATERIA.herb(slug, "herb");
        Form form = herb.doses().get(0).form();
        UsualDose.Range usual =
                new UsualDose(MATERIA, herb, form, Tradition.FOLK).inCup().orElseThrow();
        return PLANNER.plan(PlanRequest.asWritten(proposedCup(herb, form, usual.middleG())));
    }

    @Test
    void fifteenOrdinaryCupsDrawAtMostTwelveWords() {
        List<String> said = new ArrayList<>();
        Care.House house = new Care.House(true, Set.copyOf(ORDINARY));
        for (String slug : ORDINARY) {
            for (Caution c : care.judge(cup(slug), History.NONE).in(house).cautions()) {
                said.add(slug + ": " + WORDS.say(c));
                assertThat(c.severity()).as(slug + ": " + WORDS.say(c)).isEqualTo(Severity.NOTE);
            }
        }
        System.out.println(said.size() + " cautions for fifteen ordinary cups: " + String.join(" | ", said));
        assertThat(said).hasSizeLessThanOrEqualTo(12);
    }

    @Test
    void theFirstSheetOfAHouseWarnsOfTheSteamAndOfWhatAGatheredHerbCouldBe() {
        Care.Verdict verdict = care.judge(cup("elderflower"), History.NONE);
        assertThat(verdict.in(new Care.House(false, Set.of())).cautions())
                .anyMatch(Caution.Scald.class::isInstance)
                .anyMatch(Caution.Identity.class::isInstance);
        assertThat(verdict.in(new Care.House(true, Set.of("elderflower"))).cautions())
                .noneMatch(Caution.Scald.class::isInstance)
                .noneMatch(Caution.Identity.class::isInstance);
    }

    @Test
    void aLongestRunIsToldWhereDaysAreCounted() {
        BrewPlan once = cup("sage");
        assertThat(care.judge(once, History.NONE).cautions()).noneMatch(Caution.LongestRun.class::isInstance);
        PlanRequest asked = once.request();
        PlanRequest tonic = asked.withServing(
                new PlanRequest.Serving(asked.cups(), asked.cupMl(), asked.strength(), Purpose.TONIC, asked.taste()));
        assertThat(care.judge(PLANNER.plan(tonic), History.NONE).cautions())
                .anyMatch(Caution.LongestRun.class::isInstance);
    }

    /** A pinch of valerian in a blend makes nobody drowsy; a night cup of it may. */
    @Test
    void drivingIsSpokenOfWhereADoseMakesDrowsy() {
        assertThat(care.judge(cup("valerian"), History.NONE).cautions())
                .anyMatch(c -> WORDS.say(c).contains("drive"));
        Recipe little = recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("hop", Cut.CHOPPED, 0.1, Unit.GRAM, 0), dried("rosehip", Cut.CHOPPED, 4, Unit.GRAM, 0)),
                simmer(5, true),
                strain());
        assertThat(care.judge(PLANNER.plan(PlanRequest.asWritten(little)), History.NONE)
                        .cautions())
                .noneMatch(c -> WORDS.say(c).contains("drive"));
    }

    @Test
    void lessThanUsualIsSaidOfAHerbAlone() {
        BrewPlan blend = PLANNER.plan(PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(
                        dried("linden", Cut.CHOPPED, 0.5, Unit.GRAM, 0),
                        dried("chamomile", Cut.CHOPPED, 4, Unit.GRAM, 0)),
                simmer(5, true),
                strain())));
        assertThat(blend.againstUsual(blend.additions().get(0))).isEmpty();
        BrewPlan alone = PLANNER.plan(PlanRequest.asWritten(recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("linden", Cut.CHOPPED, 0.8, Unit.GRAM, 0)),
                simmer(5, true),
                strain())));
        assertThat(alone.againstUsual(alone.additions().get(0))).hasValue(UsualDose.Side.LESS);
    }
}
