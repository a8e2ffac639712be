package embercup.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What draws the herbs, and its arithmetic. */
class MenstruumTest {

    /** Alligation: strengths are to each other as the inverse of the volumes (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"40, 96, 500, 208.33", "25, 40, 400, 250", "60, 60, 100, 100"})
    void spiritIsThinnedByItsStrength(double wanted, double atHand, double ml, double ofIt) {
        assertThat(Menstruum.spirit(wanted).ofStrongerMl(ml, atHand)).isCloseTo(ofIt, within(0.01));
    }

    @Test
    void aWeakSpiritMakesNoStrongOne() {
        assertThatThrownBy(() -> Menstruum.spirit(60).ofStrongerMl(100, 40))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @EnumSource(Menstruum.Kind.class)
    void onlyWaterMayStandOnAFlame(Menstruum.Kind kind) {
        assertThat(new Menstruum(kind, 0).cold()).isEqualTo(kind != Menstruum.Kind.WATER);
    }
}
