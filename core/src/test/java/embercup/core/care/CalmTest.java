package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A healthy adult with a usual cup of a common herb sees neither care nor stop, and nothing twice. */
class CalmTest {

    private final Care care = new Care(MATERIA);

    /** Who carries everything that the materia speaks of. */
    private static final Drinker EVERYTHING =
            new Drinker(76, OptionalDouble.of(50), Set.of(Condition.values()), Set.of()).inTrimester(1);

    private static BrewPlan usualCup(Herb herb) {
        return usualCup(herb, Drinker.ADULT);
    }

    private static BrewPlan usualCup(Herb herb, Drinker drinker) {
        Form form = herb.doses().get(0).form();
        double grams =
                herb.dose(Tradition.MONOGRAPH, form).orElseThrow().perCupG().low();
        Cut cut = herb.part() == PlantPart.SEED ? Cut.CRUSHED : herb.part().hard() ? Cut.SLICED : Cut.CHOPPED;
        Addition line = form == Form.DRIED
                ? dried(herb.slug(), cut, grams, Unit.GRAM, 0)
                : fresh(herb.slug(), cut, grams, Unit.GRAM, 0);
        Recipe bare =
                new Recipe("A cup", Tradition.MONOGRAPH, 1, 200, OptionalDouble.empty(), List.of(line), List.of());
        return PLANNER.plan(PlanRequest.asWritten(Proposal.of(MATERIA, bare, Schools.of(Tradition.MONOGRAPH))
                        .recipe())
                .withDrinker(drinker));
    }

    /** What most kitchens have (our own choice). */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "chamomile",
                "peppermint",
                "spearmint",
                "linden",
                "lemon-balm",
                "elderflower",
                "sage",
                "thyme",
                "rosemary",
                "fennel",
                "anise",
                "caraway",
                "coriander",
                "cumin",
                "ginger",
                "turmeric",
                "cinnamon-true",
                "cinnamon-cassia",
                "clove",
                "cardamom",
                "black-pepper",
                "star-anise",
                "nettle",
                "dandelion",
                "burdock",
                "hibiscus",
                "rosehip",
                "hawthorn",
                "hawthorn-berry",
                "raspberry-leaf",
                "blackberry-leaf",
                "lavender",
                "hop",
                "valerian",
                "passionflower",
                "oat-straw",
                "rooibos",
                "black-tea",
                "green-tea",
                "mate",
                "coffee",
                "lemongrass",
                "lemon-verbena",
                "rose",
                "calendula",
                "marshmallow",
                "liquorice",
                "elderberry",
                "yarrow",
                "meadowsweet",
                "orange-peel",
                "lemon-peel",
                "holy-basil",
                "garlic",
                "echinacea",
                "oregano",
                "marjoram",
                "basil",
                "bay",
                "vanilla",
                "cacao",
                "jasmine",
                "goji",
                "jujube",
                "apple",
                "milk-thistle",
                "flax"
            })
    void aUsualCupOfACommonHerbIsCalm(String slug) {
        List<Caution> cautions =
                care.judge(usualCup(MATERIA.herb(slug, "herb")), History.NONE).cautions();
        assertThat(cautions.stream().filter(c -> c.severity() != Severity.NOTE).toList())
                .as(slug)
                .isEmpty();
    }

    static Stream<Herb> drunk() {
        return MATERIA.herbs().stream()
                .filter(h -> h.stop().isEmpty()
                        && h.part() != PlantPart.PANTRY
                        && !h.doses().isEmpty());
    }

    /** Of all herbs of the materia, with the lowest usual cup. */
    @ParameterizedTest
    @MethodSource("drunk")
    void noUsualCupIsStoppedAndNothingIsSaidTwice(Herb herb) {
        Care.Verdict verdict = care.judge(usualCup(herb), History.NONE);
        assertThat(verdict.stops()).as(herb.slug()).isFalse();
        nothingTwice(herb, verdict);
        assertThat(verdict.cautions().stream().map(Caution::severity))
                .isSortedAccordingTo(java.util.Comparator.reverseOrder());
    }

    /** "Not where heart or kidney disease limits what you may drink" is one thing to somebody who has both. */
    @ParameterizedTest
    @MethodSource("drunk")
    void nothingIsSaidTwiceToSomebodyWithSeveralConditions(Herb herb) {
        nothingTwice(herb, care.judge(usualCup(herb, EVERYTHING), History.NONE));
    }

    private static void nothingTwice(Herb herb, Care.Verdict verdict) {
        Set<String> said = new HashSet<>();
        verdict.cautions().forEach(c -> assertThat(said.add(WORDS.say(c)))
                .as(herb.slug() + ": " + WORDS.say(c))
                .isTrue());
    }
}
