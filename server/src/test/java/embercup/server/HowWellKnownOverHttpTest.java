package embercup.server;

import static embercup.server.RunningServer.get;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A herb's page says what its values rest on, and which of them are its part's. */
@ExtendWith(RunningServer.class)
class HowWellKnownOverHttpTest {

    @Test
    void everyHerbThatIsDrunkSaysHowWellItIsKnown() {
        for (JsonNode line : get("/api/herbs").body()) {
            if (line.get("stop").asBoolean() || line.get("part").asString().equals("blend")) {
                continue;
            }
            JsonNode herb = get("/api/herbs/" + line.get("slug").asString()).body();
            assertThat(herb.get("evidence").size())
                    .as(line.get("slug").asString())
                    .isPositive();
        }
    }

    @Test
    void aRootSaysWhatItHasFromOtherRoots() {
        JsonNode dandelion = get("/api/herbs/dandelion").body();
        assertThat(dandelion.get("others").asString()).isEqualTo("other roots");
        assertThat(dandelion.get("keepsSource").asString()).isEqualTo("part");
        assertThat(dandelion.get("ageSource").asString()).isEqualTo("hmpc");
        assertThat(dandelion.get("bulk").valueStream())
                .anyMatch(b -> b.get("source").asString().equals("part"))
                .anyMatch(b -> b.get("source").asString().equals("handbooks")
                        && b.get("spreadSource").asString().equals("part"));
        assertThat(dandelion.get("evidence").valueStream().map(JsonNode::asString))
                .anyMatch(s -> s.startsWith("Published, quoted from memory, not compared with the source yet: "))
                .anyMatch(s -> s.startsWith("Estimated from other roots: "));
    }
}
