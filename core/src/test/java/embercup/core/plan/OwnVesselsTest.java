package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.lindenCup;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is at hand comes first: the smallest own vessel that fits, and a usual one only where none does. */
class OwnVesselsTest {

    private static final Vessel MUG = Vessel.of("the blue mug", Vessel.Kind.MUG, 8.5, 9.5);
    private static final Vessel TEAPOT = Vessel.of("the brown teapot", Vessel.Kind.TEAPOT, 13, 12);
    private static final Vessel JAR = Vessel.of("a jar", Vessel.Kind.JAR, 9, 15);

    private static String vesselFor(double cups, Vessel... own) {
        Kitchen kitchen = Kitchen.STANDARD.having(List.of(own));
        PlanRequest request =
                PlanRequest.asWritten(lindenCup()).withKitchen(kitchen).withCups(cups);
        return new Planner(MATERIA).plan(request).vessel().name();
    }

    @Test
    void theSmallestOwnVesselThatHoldsItIsTaken() {
        assertThat(vesselFor(1, MUG, TEAPOT, JAR)).isEqualTo("the blue mug");
        assertThat(vesselFor(4, MUG, TEAPOT, JAR)).isEqualTo("the brown teapot");
    }

    @Test
    void aUsualOneIsTakenOnlyWhereNoneFits() {
        assertThat(vesselFor(30, MUG, TEAPOT, JAR)).isNotIn("the blue mug", "the brown teapot", "a jar");
        assertThat(vesselFor(1, JAR)).as("an infusion is not poured into a jar").isEqualTo("mug");
        assertThat(vesselFor(1)).isEqualTo("mug");
    }
}
