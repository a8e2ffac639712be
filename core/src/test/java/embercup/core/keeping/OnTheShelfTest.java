package embercup.core.keeping;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.rootPot;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.keeping.OnTheShelf.Thing;
import embercup.core.materia.Form;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** More of a herb than the house holds is asked about before it is brewed (common practice, no source). */
class OnTheShelfTest {

    private static final BrewPlan POT = PLANNER.plan(PlanRequest.asWritten(rootPot()));

    private static PlannedAddition line(String herb) {
        return POT.additions().stream()
                .filter(a -> a.herb().equals(herb))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> said(OnTheShelf shelf, BrewPlan plan) {
        return shelf.notEnough(plan.additions()).stream()
                .map(Caution.class::cast)
                .map(WORDS::say)
                .toList();
    }

    @ParameterizedTest(name = "{0} of what is needed")
    @CsvSource({"0, true", "0.5, true", "0.99, true", "1, false", "5, false"})
    void lessThanThePotTakesIsAsked(double share, boolean asked) {
        double needed = line("dandelion").grams();
        OnTheShelf shelf =
                new OnTheShelf(Map.of(new Thing("dandelion", Form.DRIED), needed * share), Set.of("dandelion"));
        assertThat(!said(shelf, POT).isEmpty()).isEqualTo(asked);
    }

    @Test
    void whatNobodyWeighedIsNotGuessed() {
        assertThat(said(new OnTheShelf(Map.of(), Set.of("dandelion")), POT)).isEmpty();
        assertThat(said(OnTheShelf.UNKNOWN, POT)).isEmpty();
    }

    /** Forty cups, of which a tin holds a little and another herb stands nowhere. */
    @Test
    void aBatchSaysWhatIsThereAndWhatIsNot() {
        BrewPlan batch = PLANNER.plan(PlanRequest.asWritten(rootPot()).withCups(40));
        OnTheShelf shelf = new OnTheShelf(Map.of(new Thing("dandelion", Form.DRIED), 84.0), Set.of("dandelion"));
        assertThat(said(shelf, batch))
                .anySatisfy(s -> assertThat(s).startsWith("Dandelion root: ").contains("g needed, 84 g on your shelf"))
                .anySatisfy(s -> assertThat(s).startsWith("Burdock root: ").contains("none on your shelf"));
        assertThat(said(OnTheShelf.UNKNOWN, batch))
                .as("a house that keeps no tins")
                .isEmpty();
    }

    @Test
    void theOtherFormIsAnotherTin() {
        OnTheShelf fresh = new OnTheShelf(Map.of(new Thing("dandelion", Form.FRESH), 1.0), Set.of("dandelion"));
        assertThat(said(fresh, POT)).isEmpty();
    }

    @Test
    void itStandsAmongWhatIsAskedBeforeTheStart() {
        List<Caution.NotEnough> little = new OnTheShelf(
                        Map.of(new Thing("dandelion", Form.DRIED), 1.0), Set.of("dandelion"))
                .notEnough(POT.additions());
        Care.Verdict verdict = new Care(MATERIA).judge(POT, History.NONE);
        Care.Verdict here = verdict.in(new Care.House(true, Set.of(), little));
        assertThat(here.cautions()).filteredOn(Caution.Doubt.class::isInstance).hasSize(1);
        assertThat(here.cautions()).isSortedAccordingTo((a, b) -> b.severity().compareTo(a.severity()));
    }
}
