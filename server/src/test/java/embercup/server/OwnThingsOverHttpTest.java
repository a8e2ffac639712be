package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the cook adds herself: versions of recipes, written recipes, tins, herbs and weights, her stove. */
@ExtendWith(RunningServer.class)
class OwnThingsOverHttpTest {

    private static final String POT = """
            {%s"about":"","purposes":["everyday"],"recipe":{"name":"Versioned","tradition":"folk","cups":1,"cupMl":240,
             "additions":[{"herb":"nettle","form":"dried","cut":"chopped","amount":%s,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}}
            """;

    @Test
    void anEditedRecipeKeepsWhatItWasAndWhatOldBrewsUsed() {
        JsonNode first = post("/api/recipes", POT.formatted("", 2)).body();
        String id = first.get("id").asString();
        JsonNode brew = post("/api/brews", "{\"recipeId\":\"" + id + "\",\"start\":true}")
                .body();
        Answer changed = put("/api/recipes/" + id, POT.formatted("\"version\":" + first.get("version") + ",", 3));
        assertThat(changed.code()).isEqualTo(200);
        JsonNode versions = get("/api/recipes/" + id + "/versions").body();
        assertThat(versions.size()).isEqualTo(1);
        assertThat(amount(versions.get(0).get("recipe"))).isEqualTo(2);
        assertThat(amount(get("/api/recipes/" + id).body().get("recipe"))).isEqualTo(3);
        JsonNode old = get("/api/brews/" + brew.get("id").asString()).body();
        assertThat(amount(old.get("request").get("recipe"))).isEqualTo(2);
    }

    private static double amount(JsonNode recipe) {
        return recipe.get("additions").get(0).get("amount").asDouble();
    }

    @Test
    void aWrittenRecipeIsReadAndPlanned() {
        String text = "Grey day pot\\n3 tbsp dried dandelion root, sliced\\n1 tsp dried thunderwort\\n3 cups water\\n"
                + "Bring to a boil, simmer for 20 minutes, strain.";
        JsonNode read = post("/api/recipes/read", "{\"text\":\"" + text + "\"}").body();
        assertThat(read.get("lines").size()).isEqualTo(5);
        JsonNode ask = read.get("lines").get(2).get("asks").get(0);
        assertThat(ask.get("key").asString()).as(read.toString()).isEqualTo("herb:thunderwort");
        assertThat(ask.get("taken")).as("no plant is taken for another").isNull();
        JsonNode answered = post(
                        "/api/recipes/read",
                        "{\"text\":\"" + text
                                + "\",\"answers\":[{\"line\":2,\"key\":\"herb:thunderwort\",\"value\":\"linden\"}]}")
                .body();
        assertThat(answered.get("recipe").get("additions").get(1).get("herb").asString())
                .isEqualTo("linden");
        Answer plan = post("/api/plans", "{\"recipe\":" + read.get("recipe") + "}");
        assertThat(plan.code()).isEqualTo(200);
        assertThat(post("/api/recipes/read", "{\"text\":\"\"}").code()).isEqualTo(422);
    }

    @Test
    void aTinKnowsUntilWhenItKeeps() {
        JsonNode tin = post(
                        "/api/shelf",
                        "{\"herb\":\"calendula\",\"filledOn\":\""
                                + LocalDate.now().minusYears(3) + "\",\"grams\":20}")
                .body();
        assertThat(tin.get("stale").asBoolean())
                .as("dried flowers keep a year (common practice)")
                .isTrue();
        JsonNode again =
                post("/api/shelf", "{\"herb\":\"calendula\",\"grams\":40}").body();
        assertThat(again.get("id")).isEqualTo(tin.get("id"));
        assertThat(again.get("stale").asBoolean()).isFalse();
        Answer stale = put("/api/shelf/" + tin.get("id").asString(), "{\"version\":0,\"herb\":\"calendula\"}");
        assertThat(stale.code()).isEqualTo(409);
        assertThat(post("/api/shelf", "{\"herb\":\"calendla\"}").body().toString())
                .contains("calendula");
        assertThat(delete("/api/shelf/" + tin.get("id").asString()).code()).isEqualTo(204);
    }

    @Test
    void herOwnSpoonWeighsMoreThanTheBooks() {
        String spoon =
                "{\"herb\":\"agrimony\",\"form\":\"dried\",\"cut\":\"chopped\",\"amount\":1,\"unit\":\"tsp\",\"to\":\"g\"}";
        double before =
                post("/api/measures/convert", spoon).body().get("amount").asDouble();
        Answer kept = put(
                "/api/herbs/agrimony/own", "{\"weights\":[{\"form\":\"dried\",\"cut\":\"chopped\",\"gPerTsp\":0.9}]}");
        assertThat(kept.code()).as(kept.body().toString()).isEqualTo(200);
        assertThat(kept.body().get("bulk").get(0).get("source").asString()).isEqualTo("own");
        assertThat(post("/api/measures/convert", spoon).body().get("amount").asDouble())
                .isCloseTo(0.9, within(1e-9));
        String plan = """
                {"recipe":{"name":"A","tradition":"folk","cups":1,"cupMl":200,
                 "additions":[{"herb":"agrimony","form":"dried","cut":"chopped","amount":2,"unit":"tsp"}]}}
                """;
        assertThat(post("/api/plans", plan)
                        .body()
                        .get("additions")
                        .get(0)
                        .get("grams")
                        .asDouble())
                .isCloseTo(1.8, within(1e-6));
        assertThat(delete("/api/herbs/agrimony/own").code()).isEqualTo(204);
        assertThat(get("/api/herbs/agrimony/own").code()).as("nothing of hers").isEqualTo(204);
        assertThat(post("/api/measures/convert", spoon).body().get("amount").asDouble())
                .isEqualTo(before);
    }

    @Test
    void aHerbOfHerOwnIsBrewedLikeItsPart() {
        assertThat(put("/api/herbs/harbour-mint/own", "{\"common\":\"Harbour mint\"}")
                        .body()
                        .toString())
                .contains("flower leaf herb");
        Answer kept = put("/api/herbs/harbour-mint/own", "{\"common\":\"Harbour mint\",\"part\":\"leaf\"}");
        assertThat(kept.code()).isEqualTo(200);
        String plan = """
                {"recipe":{"name":"A","tradition":"folk","cups":1,"cupMl":200,
                 "additions":[{"herb":"harbour-mint","form":"dried","cut":"chopped","amount":2,"unit":"tsp"}]}}
                """;
        Answer made = post("/api/plans", plan);
        assertThat(made.code()).as(made.body().toString()).isEqualTo(200);
        Answer tove = post("/api/people", "{\"name\":\"Tove\",\"ageYears\":30,\"allergies\":[\"harbour-mint\"]}");
        assertThat(tove.code()).as(tove.body().toString()).isEqualTo(201);
        String forTove = plan.replaceFirst(
                "\\{", "{\"drinkerId\":\"" + tove.body().get("id").asString() + "\",");
        assertThat(post("/api/plans", forTove).body().get("stopped").asBoolean())
                .as("an allergy to a herb of the cook's own")
                .isTrue();
        assertThat(delete("/api/herbs/harbour-mint/own").code()).isEqualTo(204);
        assertThat(post("/api/plans", plan).code()).isEqualTo(422);
        assertThat(post("/api/plans", forTove.replace("harbour-mint", "linden")).code())
                .as("the herb is gone, its allergy stays without harm")
                .isEqualTo(200);
    }

    @Test
    void recipesAreMarkedForTheDrinkerWhoMustNotHaveThem() {
        String siv = "";
        for (JsonNode p : get("/api/people").body()) {
            siv = p.toString().contains("high-blood-pressure") ? p.get("id").asString() : siv;
        }
        boolean stop = false;
        for (JsonNode m : get("/api/plans/marks?drinkerId=" + siv).body()) {
            stop |= m.get("severity").asString().equals("stop");
        }
        assertThat(stop).as("liquorice for high blood pressure").isTrue();
    }

    @Test
    void twoMeasurementsTellTheStove() {
        JsonNode kitchen = get("/api/kitchen").body();
        String burner = kitchen.get("burners").get(0).get("id").asString();
        String vessel = kitchen.get("vessels").get(3).get("id").asString();
        String path = "/api/kitchen/burners/" + burner + "/calibrate";
        String body =
                "{\"vesselId\":\"" + vessel + "\",\"waterMl\":1000,\"heatS\":420,\"boilOffMl\":%s,\"boilOffS\":600}";
        JsonNode fitted = post(path, body.formatted(213)).body();
        // 800 W boil 21.3 g a minute away (latent heat 2 257 J/g, IAPWS-IF97)
        assertThat(fitted.get("mediumW").asDouble()).isCloseTo(800, within(8.0));
        assertThat(fitted.get("highW").asDouble()).isBetween(800.0, 1200.0);
        assertThat(post(path, body.formatted(1)).code()).isEqualTo(422);
    }
}
