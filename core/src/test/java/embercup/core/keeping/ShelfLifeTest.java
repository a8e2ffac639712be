package embercup.core.keeping;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Form;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Dried herbs keep for their months in a closed tin, a fresh plant a week on the counter (common practice, no source). */
class ShelfLifeTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 11, 1);

    @ParameterizedTest
    @CsvSource({"ginger", "sage", "lemon-balm", "turmeric"})
    void aFreshPlantKeepsAWeek(String herb) {
        assertThat(ShelfLife.until(MATERIA.herb(herb, "herb"), Form.FRESH, FILLED))
                .hasValue(LocalDate.of(2026, 11, 8));
    }

    /** What comes out of a jar or a bottle is not a plant that wilts. */
    @ParameterizedTest
    @CsvSource({"honey, 300", "ghee, 60", "milk, 1"})
    void whatComesOutOfTheLarderKeepsForItsOwnTime(String thing, int atLeastDays) {
        var until = ShelfLife.until(MATERIA.herb(thing, "herb"), Form.FRESH, FILLED);
        assertThat(until).isPresent();
        assertThat(until.get()).isAfterOrEqualTo(FILLED.plusDays(atLeastDays));
    }

    @Test
    void aDriedHerbKeepsForItsMonths() {
        var sage = MATERIA.herb("sage", "herb");
        double months = sage.keepsMonths().orElseThrow().value();
        assertThat(ShelfLife.until(sage, Form.DRIED, FILLED).orElseThrow())
                .isBetween(
                        FILLED.plusMonths(Math.round(months)).minusDays(3),
                        FILLED.plusMonths(Math.round(months)).plusDays(3));
    }
}
