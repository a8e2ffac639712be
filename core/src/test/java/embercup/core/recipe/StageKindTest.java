package embercup.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.workings.Code;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The table of kinds says of each what its stage can say: a kind that is new is found here when one of the two forgets it. */
class StageKindTest {

    private static Set<String> says(StageKind kind) {
        Class<?> stage = Arrays.stream(Stage.class.getPermittedSubclasses())
                .filter(c -> Code.of(c).equals(kind.worked() ? "work" : kind.code()))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no stage of the kind " + kind));
        return Arrays.stream(stage.getRecordComponents())
                .map(RecordComponent::getName)
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @EnumSource
    void whatAKindCanDoIsWhatItsStageSays(StageKind kind) {
        Set<String> says = says(kind);
        StageKind.Usual usual = kind.usual();
        assertThat(kind.timed()).as("minutes").isEqualTo(says.contains("minutes"));
        assertThat(kind.hasLid()).as("lid").isEqualTo(says.contains("lid"));
        assertThat(kind.onFlame()).as("flame").isEqualTo(says.contains("flame"));
        assertThat(usual.degrees()).as("temperature").isEqualTo(says.contains("toC"));
        assertThat(usual.toMl().isPresent()).as("volume").isEqualTo(says.contains("toMl"));
    }

    @Test
    void whatIsTimedSaysItsMinutes() {
        for (Class<?> stage : Stage.class.getPermittedSubclasses()) {
            boolean says = Arrays.stream(stage.getRecordComponents())
                    .anyMatch(c -> c.getName().equals("minutes"));
            boolean answers = Arrays.stream(stage.getDeclaredMethods())
                    .anyMatch(m -> m.getName().equals("lastsMin"));
            assertThat(answers).as(stage.getSimpleName()).isEqualTo(says);
            StageKind.ofCode(Code.of(stage))
                    .ifPresent(kind -> assertThat(kind.timed()).isEqualTo(says));
        }
    }

    @Test
    void everyStageIsOfAKind() {
        List<String> codes = new ArrayList<>(StageKind.codes());
        codes.add("work");
        assertThat(codes)
                .containsAll(Arrays.stream(Stage.class.getPermittedSubclasses())
                        .map(Code::of)
                        .toList());
    }

    /** A slow decoction is covered and quiet, a rolling boil and a reduction are open: the steam is to go (common practice, no source). */
    @Test
    void whatIsUsualIsWhatTheTradeDoes() {
        assertThat(StageKind.SIMMER.usuallyCovered()).isTrue();
        assertThat(StageKind.SIMMER.usualFlame()).isEqualTo(Flame.LOW);
        assertThat(StageKind.REDUCE.usuallyCovered()).isFalse();
        assertThat(StageKind.BOIL.usuallyCovered()).isFalse();
        assertThat(StageKind.STEEP.usuallyCovered()).isTrue();
        assertThat(StageKind.MACERATE.heats()).isFalse();
        assertThat(StageKind.POUR.heats()).isTrue();
        assertThat(StageKind.HOLD.boils()).isFalse();
        assertThat(Arrays.stream(StageKind.values()).filter(StageKind::infuses))
                .containsExactlyInAnyOrder(
                        StageKind.BOIL,
                        StageKind.SIMMER,
                        StageKind.HOLD,
                        StageKind.REDUCE,
                        StageKind.STEEP,
                        StageKind.MACERATE,
                        StageKind.REST);
    }
}
