package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class PlansOverHttpTest {

    static final String LINDEN = """
            {"name":"Linden","tradition":"monograph","cups":2,"cupMl":200,
             "additions":[{"herb":"linden","form":"dried","cut":"chopped","amount":3,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10,"lid":true},{"kind":"strain"}]}
            """;

    private static Answer plan(String recipe, String more) {
        return post("/api/plans", "{\"recipe\":" + recipe + more + "}");
    }

    /** Reference value: two teaspoons of ground turmeric weigh 6.0 g (USDA SR, mem). */
    @Test
    void twoTeaspoonsOfTurmericAreSixGrams() {
        Answer answer = post(
                "/api/measures/convert",
                "{\"herb\":\"turmeric\",\"form\":\"dried\",\"cut\":\"ground\",\"amount\":2,\"unit\":\"tsp\",\"to\":\"g\"}");
        assertThat(answer.code()).isEqualTo(200);
        assertThat(answer.body().get("amount").asDouble()).isCloseTo(6.0, within(1e-9));
        assertThat(answer.body().get("low").asDouble()).isLessThan(6.0);
        assertThat(answer.body().get("unit").asString()).isEqualTo("g");
        assertThat(answer.body().get("workings").get("inputs").size()).isPositive();
    }

    @ParameterizedTest
    @CsvSource({"1,quart,mL,946.352946", "8,oz,g,226.796185", "1,liang,g,3", "1,glass,mL,200", "4,cup,quart,1"})
    void withoutAHerbVolumesBecomeVolumesAndMassesMasses(double amount, String unit, String to, double result) {
        Answer answer = post(
                "/api/measures/convert", "{\"amount\":%s,\"unit\":\"%s\",\"to\":\"%s\"}".formatted(amount, unit, to));
        assertThat(answer.body().get("amount").asDouble()).isCloseTo(result, within(1e-6));
    }

    @Test
    void aSpoonOfNothingHasNoWeight() {
        Answer answer = post("/api/measures/convert", "{\"amount\":1,\"unit\":\"tsp\",\"to\":\"g\"}");
        assertThat(answer.code()).isEqualTo(422);
        assertThat(answer.body().get("violations").get(0).get("field").asString())
                .isEqualTo("herb");
    }

    @Test
    void aPlanSaysEverythingACookNeeds() {
        JsonNode plan = plan(LINDEN, ",\"cups\":3,\"workings\":true,\"startAt\":\"2026-11-25T20:00:00Z\"")
                .body();
        assertThat(plan.get("additions").get(0).get("grams").asDouble()).isCloseTo(4.5, within(1e-9));
        JsonNode water = plan.get("water");
        assertThat(water.get("pourMl").asDouble())
                .isCloseTo(
                        water.get("yieldMl").asDouble()
                                + water.get("retainedMl").asDouble()
                                + water.get("evaporatedMl").asDouble(),
                        within(0.05));
        assertThat(water.get("yieldMl").asDouble()).isCloseTo(600, within(0.1));
        assertThat(plan.get("steps").size()).isGreaterThan(3);
        assertThat(plan.get("curve").size()).isGreaterThan(5);
        assertThat(plan.get("workings").has("water.pourMl")).isTrue();
        assertThat(plan.get("boilingC").asDouble()).isCloseTo(100, within(0.1));
        assertThat(java.time.Instant.parse(plan.get("readyAt").asString()))
                .isEqualTo(java.time.Instant.parse("2026-11-25T20:00:00Z")
                        .plusSeconds(Math.round(plan.get("totalS").asDouble())));
    }

    @Test
    void readyAtCountsBackwards() {
        JsonNode plan = plan(LINDEN, ",\"readyAt\":\"2026-11-26T00:10:00Z\"").body();
        assertThat(java.time.Instant.parse(plan.get("startAt").asString()))
                .isEqualTo(java.time.Instant.parse("2026-11-26T00:10:00Z")
                        .minusSeconds(Math.round(plan.get("totalS").asDouble())));
    }

    @Test
    void aKitchenInTheMountainsBoilsCoolerAndKeepsTheBurnerItIsGiven() {
        JsonNode plan = plan(
                        LINDEN,
                        ",\"kitchen\":{\"altitudeM\":3000,\"burner\":{\"lowW\":300,\"mediumW\":800,\"highW\":1500}}")
                .body();
        assertThat(plan.get("boilingC").asDouble()).isCloseTo(90, within(0.2));
        assertThat(plan.get("burner").get("highW").asDouble()).isEqualTo(1500);
    }

    @Test
    void aDrinkerWithAConditionIsWarnedOfTheHerb() {
        String pot = LINDEN.replace("linden", "liquorice");
        JsonNode plan = plan(
                        pot, ",\"drinker\":{\"ageYears\":74,\"weightKg\":61,\"conditions\":[\"high-blood-pressure\"]}")
                .body();
        assertThat(plan.get("stopped").asBoolean()).isTrue();
        assertThat(plan.get("cautions").get(0).get("severity").asString()).isEqualTo("stop");
        assertThat(plan.get("cautions").get(0).get("source").asString()).isNotEmpty();
        assertThat(plan.get("dailyLoads").get(0).get("constituent").asString()).isEqualTo("glycyrrhizin");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"herb\":\"linden\"|\"herb\":\"lindenn\"|recipe.additions[0].herb|linden",
                "\"unit\":\"g\"|\"unit\":\"gills\"|recipe.additions[0].unit|tsp",
                "\"amount\":3|\"amount\":0|recipe.additions[0].amount|between 0.001",
                "\"amount\":3|\"amount\":9e9|recipe.additions[0].amount|between 0.001 and 1000000",
                "\"amount\":3|\"amount\":\"much\"|recipe.additions[0].amount|a number",
                "\"stage\":0|\"stage\":9|recipe.additions[0].stage|0 to 2",
                "\"kind\":\"pour\"|\"kind\":\"microwave\"|recipe.stages[0].kind|simmer",
                "\"minutes\":10|\"minutes\":-1|recipe.stages[1].minutes|between",
                "\"cups\":2|\"cups\":0|recipe.cups|between 1 and 40",
                "\"cupMl\":200|\"cupMl\":5|recipe.cupMl|between 30 and 1000",
                "\"form\":\"dried\"|\"form\":\"frozen\"|recipe.additions[0].form|fresh",
                "\"cut\":\"chopped\"|\"cut\":\"diced\"|recipe.additions[0].cut|sliced",
                "\"tradition\":\"monograph\"|\"tradition\":\"mine\"|recipe.tradition|folk",
                "\"name\":\"Linden\"|\"name\":\"\"|recipe.name|1 to 120",
                "\"name\":\"Linden\"|\"name\":\"Linden\",\"colour\":\"red\"|recipe.colour|no such field"
            })
    void aWrongFieldIsNamedWithWhatWouldBeRight(String right, String wrong, String field, String wanted) {
        Answer answer = plan(LINDEN.replace(right, wrong), "");
        assertThat(answer.code()).isEqualTo(422);
        assertThat(answer.body().get("violations")).anySatisfy(v -> {
            assertThat(v.get("field").asString()).isEqualTo(field);
            assertThat(v.get("wanted").asString()).contains(wanted);
        });
    }

    @Test
    void limitsOfTheOrderAreKept() {
        assertThat(plan(LINDEN, ",\"cups\":41").body().get("detail").asString()).contains("between 1 and 40");
        assertThat(plan(LINDEN, ",\"kitchen\":{\"altitudeM\":9000}")
                        .body()
                        .get("detail")
                        .asString())
                .contains("between -400 and 5000");
        assertThat(plan(LINDEN, ",\"drinker\":{\"ageYears\":30,\"conditions\":[\"sleepy\"]}")
                        .body()
                        .get("detail")
                        .asString())
                .contains("blood-thinner");
        assertThat(plan(LINDEN, ",\"strength\":\"brutal\"").body().get("detail").asString())
                .contains("gentle standard strong");
        assertThat(plan(LINDEN.replaceAll("\\\"stages\\\":\\[.*\\]", "\"stages\":[]"), "")
                        .body()
                        .get("detail")
                        .asString())
                .contains("between 1 and 40 stages");
    }

    @Test
    void whatIsNotJsonIsSaidToBeNone() {
        Answer answer = post("/api/plans", "{\"recipe\": oops");
        assertThat(answer.code()).isEqualTo(400);
        assertThat(answer.body().get("title").asString()).isEqualTo("This is not JSON");
        assertThat(post("/api/plans", "[]").code()).isEqualTo(422);
        assertThat(post("/api/plans", "{}").body().get("detail").asString()).contains("either recipeId or recipe");
    }

    @Test
    void theMateriaIsThereByItsNames() {
        for (String slug : new String[] {
            "ginger", "linden", "lemon-balm", "cinnamon-cassia", "cinnamon-true", "dandelion", "marshmallow"
        }) {
            assertThat(get("/api/herbs/" + slug).body().get("slug").asString()).isEqualTo(slug);
        }
        assertThat(get("/api/herbs").body().size()).isGreaterThanOrEqualTo(100);
        assertThat(get("/api/herbs/unobtainium").code()).isEqualTo(404);
        assertThat(get("/api/herbs/yew").body().get("stop").asString()).contains("deadly");
    }

    @Test
    void aStopComesWithItsWaysOutAndTheOrderCanTakeOne() {
        String pot = LINDEN.replace(
                "\"additions\":[",
                "\"additions\":[{\"herb\":\"liquorice\",\"form\":\"dried\",\"cut\":\"chopped\",\"amount\":2,\"unit\":\"g\",\"stage\":0},");
        String siv = ",\"drinker\":{\"ageYears\":74,\"conditions\":[\"high-blood-pressure\"]}";
        JsonNode stopped = plan(pot, siv).body();
        assertThat(stopped.get("waysOut"))
                .anyMatch(w -> w.get("herb").asString().equals("liquorice")
                        && w.get("with").asString().equals("fennel"));
        JsonNode changed = plan(pot, siv + ",\"changes\":[{\"herb\":\"liquorice\",\"with\":\"fennel\"}]")
                .body();
        assertThat(changed.get("stopped").asBoolean()).isFalse();
        assertThat(changed.get("additions").get(0).get("herb").asString()).isEqualTo("fennel");
        assertThat(changed.get("additions").get(0).get("grams").asDouble()).isCloseTo(1.0, within(1e-9));
        JsonNode without =
                plan(pot, siv + ",\"changes\":[{\"herb\":\"liquorice\"}]").body();
        assertThat(without.get("additions").size()).isEqualTo(1);
        Answer wrong = plan(pot, ",\"changes\":[{\"herb\":\"liquorice\",\"with\":\"yew\"}]");
        assertThat(wrong.code()).isEqualTo(422);
        assertThat(wrong.body().get("violations").get(0).get("field").asString())
                .isEqualTo("changes[0].with");
    }
}
