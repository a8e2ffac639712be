package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A herb of the cook's own that something names is never gone under it. */
@ExtendWith(RunningServer.class)
class OwnHerbInUseTest {

    @AfterAll
    static void offTheFire() {
        RunningServer.offTheFire();
    }

    private static String ownHerb() {
        String slug = "own-herb-" + UUID.randomUUID().toString().substring(0, 8);
        assertThat(put("/api/herbs/" + slug + "/own", "{\"common\":\"Frostwort\",\"part\":\"leaf\"}")
                        .code())
                .isEqualTo(200);
        return slug;
    }

    private static String pot(String herb) {
        return PlansOverHttpTest.LINDEN.replace("\"herb\":\"linden\"", "\"herb\":\"" + herb + "\"");
    }

    private static boolean offered(String herb) {
        return get("/api/herbs").body().valueStream().anyMatch(h -> h.get("slug")
                .asString()
                .equals(herb));
    }

    @Test
    void aHerbOfARecipeATinAndABrewIsPutAwayAndEverythingGoesOnAnswering() {
        String herb = ownHerb();
        String recipe = post("/api/recipes", "{\"recipe\":" + pot(herb) + "}")
                .body()
                .get("id")
                .asString();
        post("/api/shelf", "{\"herb\":\"" + herb + "\"}");
        String brew = post(
                        "/api/brews",
                        "{\"id\":\"%s\",\"start\":true,\"recipeId\":\"%s\"}".formatted(UUID.randomUUID(), recipe))
                .body()
                .get("id")
                .asString();
        JsonNode refused = delete("/api/herbs/" + herb + "/own").body();
        assertThat(refused.get("status").asInt()).isEqualTo(409);
        assertThat(refused.get("detail").asString())
                .contains("the recipe Linden", "the brew Linden", "a tin on the shelf");
        assertThat(delete("/api/herbs/" + herb + "/own?retire=true").code()).isEqualTo(204);
        assertThat(offered(herb)).as("nothing offers it any more").isFalse();
        for (String list : new String[] {"/api/recipes", "/api/brews", "/api/plans/marks", "/api/shelf"}) {
            assertThat(get(list).code()).as(list).isEqualTo(200);
        }
        assertThat(get("/api/brews/" + brew).code()).isEqualTo(200);
        assertThat(post("/api/plans", "{\"recipeId\":\"" + recipe + "\"}").code())
                .isEqualTo(200);
        put("/api/herbs/" + herb + "/own", "{\"version\":1,\"common\":\"Frostwort\",\"part\":\"leaf\"}");
        assertThat(offered(herb)).as("kept again, it is on offer again").isTrue();
    }

    @Test
    void aHerbThatNothingNamesIsForgotten() {
        String herb = ownHerb();
        assertThat(delete("/api/herbs/" + herb + "/own").code()).isEqualTo(204);
        assertThat(get("/api/herbs/" + herb).code()).isEqualTo(404);
    }
}
