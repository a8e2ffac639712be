package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A house that reads °F, ounces and inches: every sentence of an answer says them, every field keeps the unit of its name. */
@ExtendWith(RunningServer.class)
class HouseUnitsOverHttpTest {

    private static final String POT = """
            {"workings":true,"recipe":{"name":"root","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":6,"unit":"g","stage":0},
                          {"herb":"honey","amount":1,"unit":"tsp","stage":4}],
             "stages":[{"kind":"heat"},{"kind":"reduce","toMl":480},{"kind":"strain"},{"kind":"cool","toC":40},
                       {"kind":"finish"}]}}
            """;
    private static final Pattern OF_THE_CORE = Pattern.compile("\\d ?(?:°C|mL|cm|g)(?!\\w)");

    private static long version() {
        return get("/api/kitchen").body().get("version").asLong();
    }

    private static JsonNode house(String units) {
        return put("/api/kitchen", "{\"version\":%d,\"units\":%s}".formatted(version(), units))
                .body();
    }

    @BeforeEach
    void itReadsOtherUnits() {
        house(
                "{\"temperatures\":\"fahrenheit\",\"weights\":\"ounces\",\"volumes\":\"fluid-ounces\",\"lengths\":\"inches\","
                        + "\"hours\":\"twelve\",\"dates\":\"month-day\"}");
    }

    @AfterEach
    void itReadsTheCoresAgain() {
        house(
                "{\"temperatures\":\"celsius\",\"weights\":\"grams\",\"volumes\":\"millilitres\",\"lengths\":\"centimetres\","
                        + "\"hours\":\"twenty-four\",\"dates\":\"day-month\"}");
    }

    @Test
    void everyStepAndCautionOfAPlanIsSaidInItsUnits() {
        JsonNode plan = post("/api/plans", POT).body();
        assertThat(plan.get("steps")).isNotEmpty().allSatisfy(step -> assertThat(
                        step.get("label").asString() + " " + step.path("until").asString(""))
                .doesNotContainPattern(OF_THE_CORE));
        assertThat(plan.get("cautions"))
                .allSatisfy(
                        caution -> assertThat(caution.get("text").asString()).doesNotContainPattern(OF_THE_CORE));
        assertThat(plan.get("steps").toString())
                .contains("fl oz")
                .contains("in from the rim")
                .contains("104 °F");
    }

    @Test
    void theNumbersOfAnAnswerKeepTheUnitOfTheirField() {
        JsonNode plan = post("/api/plans", POT).body();
        assertThat(plan.get("water").get("yieldMl").asDouble()).isCloseTo(480, within(0.5));
        JsonNode pour = plan.get("workings").get("water.pourMl");
        assertThat(pour.get("unit").asString()).isEqualTo("mL");
        assertThat(pour.get("beside").asString()).endsWith(" fl oz");
    }

    @Test
    void theHouseSaysHowAPageShowsThem() {
        JsonNode scales = get("/api/kitchen").body().get("scales");
        JsonNode warm = scales.get("temperature");
        assertThat(warm.get("unit").asString()).isEqualTo("°F");
        assertThat(100 * warm.get("units").asDouble() / warm.get("each").asDouble()
                        + warm.get("atZero").asDouble())
                .isEqualTo(212);
        assertThat(scales.get("length").get("eighths").asBoolean()).isTrue();
    }

    @Test
    void aLimitIsToldInTheFieldsUnitAndInTheHouses() {
        RunningServer.Answer answer = post("/api/plans", POT.replace("\"toC\":40", "\"toC\":300"));
        assertThat(answer.code()).isEqualTo(422);
        assertThat(answer.body().toString()).contains("between 0 and 105 °C (32 °F to 221 °F)");
    }

    @Test
    void aUnitThatNoHouseReadsIsRefusedAndNothingChanges() {
        RunningServer.Answer answer = put(
                "/api/kitchen",
                "{\"version\":%d,\"units\":{\"temperatures\":\"kelvin\",\"weights\":\"grams\"}}".formatted(version()));
        assertThat(answer.code()).isEqualTo(422);
        assertThat(answer.body().toString()).contains("celsius fahrenheit");
        assertThat(get("/api/kitchen").body().get("units").get("weights").asString())
                .isEqualTo("ounces");
    }
}
