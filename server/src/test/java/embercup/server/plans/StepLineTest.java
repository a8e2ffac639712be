package embercup.server.plans;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import embercup.core.recipe.StageKind;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A step on the wire is told apart by its kind. */
class StepLineTest {

    /** A kind that is forgotten could be written and never be read again. */
    @Test
    void everyKindOfStageHasItsShape() {
        List<String> known = Arrays.stream(
                        StepLine.class.getAnnotation(JsonSubTypes.class).value())
                .flatMap(t -> t.names().length == 0 ? List.of(t.name()).stream() : Arrays.stream(t.names()))
                .toList();
        assertThat(known).containsAll(StageKind.codes()).doesNotHaveDuplicates();
    }
}
