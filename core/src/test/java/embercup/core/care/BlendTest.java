package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.said;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Occasion;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Addition;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A blend for an occasion, from what is in the house. */
class BlendTest {

    private static final List<String> HOUSE = List.of(
            "linden",
            "elderflower",
            "thyme",
            "sage",
            "chamomile",
            "hop",
            "valerian",
            "caraway",
            "anise",
            "fennel",
            "peppermint",
            "marshmallow",
            "burdock",
            "nettle",
            "liquorice",
            "lemon-balm",
            "honey",
            "rosehip");

    private static Blend blend(String occasion, Drinker drinker) {
        return Blend.of(MATERIA, occasion(occasion), HOUSE, drinker, 2, 200);
    }

    private static Occasion occasion(String words) {
        return MATERIA.occasions().stream()
                .filter(o -> o.words().equals(words))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> herbs(Blend blend) {
        return blend.recipe().additions().stream().map(Addition::herb).toList();
    }

    @Test
    void anEveningCupIsMadeOfWhatIsTraditionallyDrunkBeforeBed() {
        Blend evening = blend("evening", Drinker.ADULT);
        assertThat(herbs(evening)).hasSize(3).isSubsetOf("chamomile", "hop", "valerian", "lemon-balm", "linden");
        assertThat(evening.reasons()).hasSize(3).allMatch(r -> WORDS.say(r).contains("raditionally used"));
    }

    @Test
    void aBlendSharesTheRoomOfOneDose() {
        Blend evening = blend("evening", Drinker.ADULT);
        double shares = evening.recipe().additions().stream()
                .mapToDouble(a -> a.quantity().amount()
                        / evening.recipe().cups()
                        / MATERIA.herb(a.herb(), "herb")
                                .dose(Tradition.MONOGRAPH, Form.DRIED)
                                .orElseThrow()
                                .perCupG()
                                .high())
                .sum();
        assertThat(shares).isLessThanOrEqualTo(1);
    }

    @Test
    void whatAsksForCareIsLeftOutAndSaidSo() {
        Blend evening = blend("evening", adultWith(70, Condition.SEDATIVE));
        assertThat(herbs(evening)).doesNotContain("valerian", "hop");
        assertThat(evening.leftOut()).anyMatch(l -> WORDS.say(l).startsWith("Valerian"));
    }

    @Test
    void aDaisyAllergyKeepsChamomileOut() {
        assertThat(herbs(blend("after a meal", adultWith(70, Condition.DAISY_ALLERGY))))
                .doesNotContain("chamomile");
    }

    @Test
    void aChildGetsNothingBelowItsAge() {
        for (String herb : herbs(blend("after a meal", child(5, 19)))) {
            assertThat(MATERIA.herb(herb, "herb")
                            .ageFloorYears()
                            .map(Herb.Sourced::value)
                            .orElse(0.0))
                    .isLessThanOrEqualTo(5);
        }
    }

    @Test
    void nothingInTheHouseIsSaidAndNotInvented() {
        assertThatThrownBy(() ->
                        Blend.of(MATERIA, occasion("evening"), List.of("caraway", "honey"), Drinker.ADULT, 2, 200))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(said(e)).contains("there is none"));
    }

    static Stream<Occasion> occasions() {
        return MATERIA.occasions().stream();
    }

    @ParameterizedTest
    @MethodSource("occasions")
    void everyOccasionHasABlendFromTheWholeMateriaThatStopsNobody(Occasion occasion) {
        List<String> all = MATERIA.herbs().stream().map(Herb::slug).toList();
        Blend blend = Blend.of(MATERIA, occasion, all, Drinker.ADULT, 2, 200);
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(blend.recipe()));
        Care.Verdict verdict = new Care(MATERIA).judge(plan, History.NONE);
        assertThat(verdict.stops()).as(occasion.words()).isFalse();
        assertThat(plan.notes()).noneMatch(n -> n.code().equals("dose-clipped"));
    }

    static Stream<Herb> herbsForTea() {
        return MATERIA.herbs().stream().filter(h -> h.stop().isEmpty() && h.part() != PlantPart.PANTRY);
    }

    @ParameterizedTest
    @MethodSource("herbsForTea")
    void everyHerbForTeaIsReachedForOnSomeOccasionOrRoundsAnother(Herb herb) {
        boolean reached = MATERIA.occasions().stream().anyMatch(o -> o.fits(herb) > 0);
        boolean rounds = Stream.of("round", "added", "sweeten", "scent", "bowels", "mood", "heartbeat")
                .anyMatch(herb.use().toLowerCase(Locale.ROOT)::contains);
        assertThat(reached || rounds).as(herb.use()).isTrue();
    }
}
