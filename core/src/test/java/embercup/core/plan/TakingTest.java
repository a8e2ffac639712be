package embercup.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An amount is drunk in servings of at most a cup, and nothing of it is lost. */
class TakingTest {

    /** @param cups at each time, @param times of a day, @param aDay servings, @param ofCup part of a cup in each */
    @ParameterizedTest
    @CsvSource({"0.075, 8, 8, 0.075", "1, 3, 3, 1", "2, 1, 2, 1", "1.5, 2, 3, 1", "0.25, 1, 1, 0.25"})
    void noServingIsMoreThanACup(double cups, int times, double aDay, double ofCup) {
        Taking.Serving serving = Taking.Serving.of(cups, times);
        assertThat(serving.aDay()).isCloseTo(aDay, within(1e-9));
        assertThat(serving.ofCup()).isCloseTo(ofCup, within(1e-9));
        assertThat(serving.aDay() * serving.ofCup()).isCloseTo(cups * times, within(1e-9));
    }
}
