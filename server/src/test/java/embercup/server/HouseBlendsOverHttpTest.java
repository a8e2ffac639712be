package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A blend that the house keeps in a jar, from composing it to the brew that was made of it. */
@ExtendWith(RunningServer.class)
class HouseBlendsOverHttpTest {

    private static final String PARTS = "[{\"herb\":\"linden\",\"amount\":2},{\"herb\":\"lemon-balm\",\"amount\":1}]";

    @AfterAll
    static void offTheFire() {
        RunningServer.offTheFire();
    }

    private static String blend(String parts) {
        String slug = "blend-" + UUID.randomUUID().toString().substring(0, 8);
        assertThat(put("/api/herbs/" + slug + "/own", "{\"common\":\"Quiet hour\",\"parts\":" + parts + "}")
                        .code())
                .isEqualTo(200);
        return slug;
    }

    private static String recipe(String herb) {
        return """
                {"name":"Quiet hour","cups":2,"cupMl":240,
                 "additions":[{"herb":"%s","amount":2,"unit":"tsp"},{"herb":"fennel","cut":"crushed","amount":1,"unit":"tsp"}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}""".formatted(herb);
    }

    private static JsonNode planned(String pot) {
        return post("/api/plans", "{\"recipe\":" + pot + "}").body();
    }

    /** Its herbs stand in one line with how much of it is measured, and together weigh that. */
    @Test
    void aBlendIsOneLineOfThePlanWithItsHerbs() {
        String slug = blend(PARTS);
        JsonNode additions = planned(recipe(slug)).get("additions");
        assertThat(additions.valueStream().map(a -> a.get("line").asInt())).containsExactly(0, 0, 1);
        JsonNode led = additions.get(0).get("blend");
        assertThat(led.get("measure").asString()).isEqualTo("2 tsp");
        assertThat(led.get("leads").asBoolean()).isTrue();
        assertThat(additions.get(1).get("blend").get("leads").asBoolean()).isFalse();
        assertThat(additions.get(0).get("grams").asDouble()
                        + additions.get(1).get("grams").asDouble())
                .isCloseTo(led.get("grams").asDouble(), within(1e-3));
        assertThat(additions.get(2).has("blend")).isFalse();
    }

    /** What was brewed of it stays what it was; brewing it again takes the jar as it is now. */
    @Test
    void aBrewKeepsWhatWasInTheJarAndTheNextOneTakesWhatIsInItNow() {
        String slug = blend(PARTS);
        String id = post("/api/recipes", "{\"recipe\":" + recipe(slug) + "}")
                .body()
                .get("id")
                .asString();
        String brew = post(
                        "/api/brews",
                        "{\"id\":\"%s\",\"start\":true,\"recipeId\":\"%s\"}".formatted(UUID.randomUUID(), id))
                .body()
                .get("id")
                .asString();
        String before = get("/api/brews/" + brew).body().get("plan").toString();
        JsonNode own = get("/api/herbs/" + slug + "/own").body();
        String changed =
                "{\"version\":%d,\"common\":\"Quiet hour\",\"parts\":[{\"herb\":\"nettle\",\"amount\":1},{\"herb\":\"fennel\",\"amount\":1}]}"
                        .formatted(own.get("version").asLong());
        assertThat(put("/api/herbs/" + slug + "/own", changed).code()).isEqualTo(200);
        assertThat(get("/api/brews/" + brew).body().get("plan").toString()).isEqualTo(before);
        JsonNode again =
                post("/api/plans", "{\"recipeId\":\"" + id + "\"}").body().get("additions");
        assertThat(again.valueStream().map(a -> a.get("herb").asString()))
                .containsExactly("nettle", "fennel", "fennel");
    }

    /** A jar that is named somewhere, and a herb that is in a jar, are put away and not forgotten. */
    @Test
    void whatIsNamedSomewhereIsNotForgotten() {
        String herb = "own-herb-" + UUID.randomUUID().toString().substring(0, 8);
        put("/api/herbs/" + herb + "/own", "{\"common\":\"Frostwort\",\"part\":\"leaf\"}");
        String slug = blend("[{\"herb\":\"%s\",\"amount\":2},{\"herb\":\"linden\",\"amount\":1}]".formatted(herb));
        JsonNode inJar = delete("/api/herbs/" + herb + "/own").body();
        assertThat(inJar.get("status").asInt()).isEqualTo(409);
        assertThat(inJar.get("detail").asString()).contains("the blend Quiet hour");
        String id = post("/api/recipes", "{\"recipe\":" + recipe(slug) + "}")
                .body()
                .get("id")
                .asString();
        JsonNode inRecipe = delete("/api/herbs/" + slug + "/own").body();
        assertThat(inRecipe.get("detail").asString()).contains("the recipe Quiet hour");
        assertThat(delete("/api/recipes/" + id).code()).isEqualTo(204);
        assertThat(delete("/api/herbs/" + slug + "/own").code()).isEqualTo(204);
        assertThat(delete("/api/herbs/" + herb + "/own").code()).isEqualTo(204);
    }

    /** The order changes a blend as it changes a herb: another amount, without it; a herb is not picked out of it. */
    @Test
    void anOrderChangesTheBlendAsAWhole() {
        String slug = blend(PARTS);
        String order = "{\"recipe\":" + recipe(slug) + ",\"changes\":[%s]}";
        JsonNode without = post("/api/plans", order.formatted("{\"herb\":\"" + slug + "\"}"))
                .body()
                .get("additions");
        assertThat(without.valueStream().map(a -> a.get("herb").asString())).containsExactly("fennel");
        JsonNode half = post("/api/plans", order.formatted("{\"herb\":\"" + slug + "\",\"share\":0.5}"))
                .body()
                .get("additions");
        assertThat(half.get(0).get("blend").get("measure").asString()).isEqualTo("1 tsp");
        assertThat(post("/api/plans", order.formatted("{\"herb\":\"linden\"}")).code())
                .isEqualTo(422);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'common':'Mix','parts':[{'herb':'linden','amount':1}]} | parts",
                "{'common':'Mix','parts':[]} | parts",
                "{'common':'Mix','parts':[{'herb':'linden','amount':1},{'herb':'honey','amount':1}]} | parts[1].herb",
                "{'common':'Mix','parts':[{'herb':'linden','amount':1},{'herb':'stardust','amount':1}]} | parts[1].herb",
                "{'common':'Mix','parts':[{'herb':'linden','amount':1},{'herb':'fennel','amount':-1}]} | parts[1].amount",
                "{'common':'Mix','parts':[{'herb':'linden'},{'herb':'fennel','amount':1}]} | parts[0].amount",
                "{'common':'Mix','parts':[{'herb':'linden','amount':1,'unit':'clove'},{'herb':'fennel','amount':1}]} | parts[0].unit",
                "{'common':'Mix','parts':[{'herb':'linden','amount':1,'unit':'barrel'},{'herb':'fennel','amount':1}]} | parts[0].unit",
                "{'parts':[{'herb':'linden','amount':1},{'herb':'fennel','amount':1}]} | common",
                "{'common':'Mix','parts':[null,{'herb':'fennel','amount':1}]} | parts[0]"
            })
    void whatIsNoBlendIsRefusedAtItsField(String body, String field) {
        JsonNode refused =
                put("/api/herbs/mix-that-is-none/own", body.replace('\'', '"')).body();
        assertThat(refused.get("status").asInt()).isIn(400, 422);
        assertThat(refused.toString()).contains(field);
        assertThat(get("/api/herbs/mix-that-is-none").code()).isEqualTo(404);
    }

    /** The books' own names are not taken, and a blend is not put into another. */
    @Test
    void aBlendTakesNoNameOfTheBooksAndNoOtherBlend() {
        assertThat(put("/api/herbs/linden/own", "{\"common\":\"Linden\",\"parts\":" + PARTS + "}")
                        .code())
                .isEqualTo(422);
        String slug = blend(PARTS);
        assertThat(put(
                                "/api/herbs/mix-of-mixes/own",
                                "{\"common\":\"Mix\",\"parts\":[{\"herb\":\"%s\",\"amount\":1},{\"herb\":\"fennel\",\"amount\":1}]}"
                                        .formatted(slug))
                        .code())
                .isEqualTo(422);
    }
}
