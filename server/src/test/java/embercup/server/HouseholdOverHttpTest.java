package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class HouseholdOverHttpTest {

    private static String draft(String version, String name) {
        return "{%s\"about\":\"Traditionally used in the evening.\",\"purposes\":[\"evening\"],\"recipe\":%s}"
                .formatted(version, PlansOverHttpTest.LINDEN.replace("Linden", name));
    }

    @Test
    void aRecipeIsKeptChangedAndTakenOut() {
        Answer kept = post("/api/recipes", draft("", "Slip linden"));
        assertThat(kept.code()).isEqualTo(201);
        String path = "/api/recipes/" + kept.body().get("id").asString();
        assertThat(kept.body().get("thumb").get("segments").size()).isGreaterThanOrEqualTo(3);
        Answer changed = put(path, draft("\"version\":0,", "Quay linden"));
        assertThat(changed.body().get("recipe").get("name").asString()).isEqualTo("Quay linden");
        assertThat(delete(path).code()).isEqualTo(204);
        assertThat(get(path).code()).isEqualTo(404);
    }

    @Test
    void aStaleEditLosesNothing() {
        JsonNode kept = post("/api/recipes", draft("", "First")).body();
        String path = "/api/recipes/" + kept.get("id").asString();
        put(path, draft("\"version\":0,", "Second"));
        Answer stale = put(path, draft("\"version\":0,", "Third"));
        assertThat(stale.code()).isEqualTo(409);
        assertThat(stale.body().get("current").get("recipe").get("name").asString())
                .isEqualTo("Second");
        assertThat(get(path).body().get("recipe").get("name").asString()).isEqualTo("Second");
        delete(path);
    }

    @Test
    void aRecipeThatCannotBeBrewedIsNotKept() {
        int before = get("/api/recipes").body().size();
        assertThat(post("/api/recipes", draft("", "x").replace("linden", "moonbeam"))
                        .code())
                .isEqualTo(422);
        assertThat(post("/api/recipes", "{}")
                        .body()
                        .get("violations")
                        .get(0)
                        .get("field")
                        .asString())
                .isEqualTo("recipe");
        assertThat(get("/api/recipes").body().size()).isEqualTo(before);
    }

    @Test
    void anEditedRecipeKeepsWhatOldBrewsUsed() {
        JsonNode kept = post("/api/recipes", draft("", "Before")).body();
        String id = kept.get("id").asString();
        JsonNode brew = post("/api/brews", "{\"start\":true,\"recipeId\":\"" + id + "\"}")
                .body();
        put("/api/recipes/" + id, draft("\"version\":0,", "After").replace("\"amount\":3", "\"amount\":1"));
        JsonNode again = get("/api/brews/" + brew.get("id").asString()).body();
        assertThat(again.get("plan").get("name").asString()).isEqualTo("Before");
        assertThat(again.get("plan").get("additions").get(0).get("grams").asDouble())
                .isCloseTo(3, within(1e-9));
        delete("/api/recipes/" + id);
    }

    @Test
    void aPersonIsCheckedBeforeSheIsKept() {
        assertThat(post("/api/people", "{\"name\":\"Runa\",\"ageYears\":300}").code())
                .isEqualTo(422);
        assertThat(post("/api/people", "{\"name\":\"Runa\",\"ageYears\":30,\"allergies\":[\"moonbeam\"]}")
                        .body()
                        .get("violations")
                        .get(0)
                        .get("field")
                        .asString())
                .isEqualTo("person.allergies[0]");
        JsonNode runa = post("/api/people", "{\"name\":\"Runa\",\"ageYears\":30,\"conditions\":[\"reflux\"]}")
                .body();
        String path = "/api/people/" + runa.get("id").asString();
        assertThat(put(path, "{\"version\":0,\"name\":\"Runa\",\"ageYears\":31}")
                        .body()
                        .get("ageYears")
                        .asDouble())
                .isEqualTo(31);
        assertThat(put(path, "{\"version\":0,\"name\":\"Runa\",\"ageYears\":32}")
                        .code())
                .isEqualTo(409);
        assertThat(delete(path).code()).isEqualTo(204);
    }

    @Test
    void howSheLikesItAndWhatSheDoesNotCareForAreKept() {
        JsonNode runa = post(
                        "/api/people",
                        "{\"name\":\"Runa\",\"ageYears\":30,\"usualStrength\":\"gentle\",\"dislikes\":[\"anise\"]}")
                .body();
        assertThat(runa.get("usualStrength").asString()).isEqualTo("gentle");
        assertThat(runa.get("dislikes").get(0).asString()).isEqualTo("anise");
        JsonNode plan = post(
                        "/api/plans",
                        "{\"drinkerId\":\"%s\",\"recipe\":%s}"
                                .formatted(
                                        runa.get("id").asString(),
                                        PlansOverHttpTest.LINDEN.replace("\"linden\"", "\"anise\"")))
                .body();
        assertThat(plan.get("cautions")).anyMatch(c -> c.get("code").asString().equals("dislike"));
        assertThat(delete("/api/people/" + runa.get("id").asString()).code()).isEqualTo(204);
        assertThat(post("/api/people", "{\"name\":\"Runa\",\"ageYears\":30,\"dislikes\":[\"moonbeam\"]}")
                        .code())
                .isEqualTo(422);
        assertThat(post("/api/people", "{\"name\":\"Runa\",\"ageYears\":30,\"usualStrength\":\"brutal\"}")
                        .code())
                .isEqualTo(422);
    }

    @Test
    void aVesselHoldsWhatItsSizeSays() {
        JsonNode pot = post(
                        "/api/kitchen/vessels",
                        "{\"name\":\"test pot\",\"kind\":\"pot\",\"innerDiameterCm\":20,\"heightCm\":10}")
                .body();
        assertThat(pot.get("brimMl").asDouble()).isCloseTo(3141.59, within(0.1));
        assertThat(post(
                                "/api/kitchen/vessels",
                                "{\"name\":\"odd\",\"kind\":\"pot\",\"innerDiameterCm\":20,\"heightCm\":10,\"brimMl\":99999}")
                        .code())
                .isEqualTo(422);
        delete("/api/kitchen/vessels/" + pot.get("id").asString());
    }

    @Test
    void aMugWithATeaBallIsNotStrained() {
        JsonNode mug = post(
                        "/api/kitchen/vessels",
                        "{\"name\":\"ball mug\",\"kind\":\"mug\",\"innerDiameterCm\":8,\"heightCm\":10,\"companions\":[\"tea-ball\"]}")
                .body();
        assertThat(mug.get("companions").toString()).isEqualTo("[\"tea-ball\"]");
        String id = mug.get("id").asString();
        String plan = post("/api/plans", """
                {"kitchen":{"vesselId":"%s"},"recipe":{"name":"Cup","cups":1,"cupMl":240,
                 "additions":[{"herb":"chamomile","amount":3,"unit":"g","stage":0}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":6,"lid":true},{"kind":"strain"}]}}""".formatted(id)).body().get("steps").toString();
        assertThat(plan).contains("Lift the tea ball out").doesNotContain("Strain through");
        assertThat(post(
                                "/api/kitchen/vessels",
                                "{\"name\":\"odd\",\"kind\":\"mug\",\"innerDiameterCm\":8,\"heightCm\":10,\"companions\":[\"whisk\"]}")
                        .body()
                        .toString())
                .contains("tea-ball blender");
        delete("/api/kitchen/vessels/" + id);
    }

    @Test
    void aKitchenMovedUpTheMountainBoilsCooler() {
        JsonNode kitchen = get("/api/kitchen").body();
        long version = kitchen.get("version").asLong();
        JsonNode moved = put("/api/kitchen", "{\"version\":%d,\"altitudeM\":1500}".formatted(version))
                .body();
        assertThat(moved.get("boilingC").asDouble()).isCloseTo(95, within(0.2));
        put("/api/kitchen", "{\"version\":%d,\"altitudeM\":0}".formatted(version + 1));
    }

    private static int zone(String name) {
        long version = get("/api/kitchen").body().get("version").asLong();
        return put("/api/kitchen", "{\"version\":%d,\"zone\":\"%s\"}".formatted(version, name))
                .code();
    }

    private static int filledToday(ZoneId by) {
        return post(
                        "/api/shelf",
                        "{\"herb\":\"savory\",\"form\":\"dried\",\"filledOn\":\"%s\"}".formatted(LocalDate.now(by)))
                .code();
    }

    /** It is never the same day on both sides of the date line at once: 25 hours lie between. */
    @Test
    void theDaysOfTheHouseGoByItsOwnClock() {
        ZoneId east = ZoneId.of("Pacific/Kiritimati");
        ZoneId west = ZoneId.of("Pacific/Pago_Pago");
        assertThat(zone("Middle/Earth")).isEqualTo(422);
        assertThat(zone(east.getId())).isEqualTo(200);
        assertThat(get("/api/kitchen").body().get("zone").asString()).isEqualTo(east.getId());
        assertThat(filledToday(east)).as("today there").isEqualTo(201);
        assertThat(zone(west.getId())).isEqualTo(200);
        assertThat(filledToday(east)).as("not yet there").isEqualTo(422);
        assertThat(filledToday(west)).isEqualTo(201);
        assertThat(zone(ZoneId.systemDefault().getId())).isEqualTo(200);
    }
}
