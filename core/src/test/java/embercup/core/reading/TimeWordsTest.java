package embercup.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lengths of time as people write them; all wordings are made up. */
class TimeWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "simmer for 20 minutes | 20",
                "simmer 20 min, covered | 20",
                "steep ten minutes | 10",
                "a minute over the flame | 1",
                "boil for 90 seconds | 1.5",
                "let it stand half an hour | 30",
                "an hour is enough | 60",
                "for a quarter of an hour | 15",
                "three quarters of an hour, then strain | 45",
                "1½ hours on the lowest flame | 90",
                "1 1/2 hours on the lowest flame | 90",
                "1.5 hours on the lowest flame | 90",
                "an hour and a half | 90",
                "one hour and 20 minutes | 80",
                "2 h 30 min | 150",
                "½ hour | 30",
                "3 days in the dark | 4320",
                "six weeks, shaken daily | 60480",
                "a 15-minute simmer | 15",
            })
    void aTimeIsReadInMinutes(String text, double minutes) {
        TimeWords.Read read = TimeWords.read(text).orElseThrow();
        assertThat(read.minutes()).isCloseTo(minutes, within(1e-9));
        assertThat(read.range()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "simmer 10-15 minutes, 12.5",
        "simmer 10 to 15 min, 12.5",
        "steep five or ten minutes, 7.5",
        "45 minutes to an hour, 52.5",
        "4–6 weeks, 50400",
        "20 minutes to 1 hour, 40",
    })
    void aRangeIsReadAsItsMiddleAndSaysSo(String text, double middle) {
        TimeWords.Read read = TimeWords.read(text).orElseThrow();
        assertThat(read.minutes()).isCloseTo(middle, within(1e-9));
        assertThat(read.range()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"strain into 2 cups", "overnight", "until it smells of the garden", "2 tsp of hyssop", ""})
    void whereNoTimeIsWrittenNoneIsRead(String text) {
        assertThat(TimeWords.read(text)).isEmpty();
    }

    /** Any number of minutes, in each way of writing it, comes back as itself. */
    static Stream<Integer> lengths() {
        Random random = new Random(41);
        return IntStream.range(0, 40).mapToObj(i -> 1 + random.nextInt(600));
    }

    @ParameterizedTest
    @MethodSource("lengths")
    void whateverIsWrittenComesBack(int minutes) {
        int hours = minutes / 60;
        int rest = minutes % 60;
        Stream.of(
                        minutes + " minutes",
                        "about " + minutes + " min.",
                        minutes * 60 + " seconds",
                        hours + " hours and " + rest + " minutes",
                        hours + " h " + rest + " min")
                .forEach(words -> assertThat(TimeWords.read(words).orElseThrow().minutes())
                        .as(words)
                        .isCloseTo(minutes, within(1e-9)));
    }
}
