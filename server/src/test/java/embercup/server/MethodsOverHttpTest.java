package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Methods and schools through the door: proposals, blends, tinctures, spent herbs, a day of several pots. */
@ExtendWith(RunningServer.class)
class MethodsOverHttpTest {

    private static final String ROOTS = """
            {"name":"Roots","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"burdock","form":"dried","cut":"sliced","amount":6,"unit":"g"},
                          {"herb":"peppermint","form":"dried","cut":"chopped","amount":3,"unit":"g"}]%s}
            """;

    private static final String SIMMERED =
            ",\"stages\":[{\"kind\":\"heat\"},{\"kind\":\"simmer\",\"minutes\":20},{\"kind\":\"strain\"}]";

    private static JsonNode plan(String recipe, String more) {
        Answer answer = post("/api/plans", "{\"recipe\":" + recipe + more + "}");
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static List<String> kinds(JsonNode recipe) {
        List<String> kinds = new ArrayList<>();
        recipe.get("stages").forEach(s -> kinds.add(s.get("kind").asString()));
        return kinds;
    }

    @Test
    void aRecipeWithoutStagesIsPlannedAndEveryStageExplained() {
        JsonNode plan = plan(ROOTS.formatted(""), "");
        assertThat(plan.get("reasons").size()).isGreaterThanOrEqualTo(3);
        assertThat(plan.get("water").get("yieldMl").asDouble()).isCloseTo(480, within(1.0));
    }

    @Test
    void theWayOfTheHouseStandsAboveTheTraditionAndBelowTheOrder() {
        try {
            assertThat(put("/api/kitchen/schools/honey", "{\"choice\":\"any-time\"}")
                            .code())
                    .isEqualTo(200);
            assertThat(held("", "honey")).isEqualTo("any-time");
            assertThat(held(",\"schools\":{\"honey\":\"below-40\"}", "honey")).isEqualTo("below-40");
            assertThat(get("/api/plans/schools").body())
                    .filteredOn(s -> s.get("question").asString().equals("honey"))
                    .singleElement()
                    .satisfies(s -> assertThat(s.get("household").asString()).isEqualTo("any-time"));
            assertThat(put("/api/kitchen/schools/honey", "{\"choice\":\"boiled\"}")
                            .code())
                    .isEqualTo(422);
            assertThat(put("/api/kitchen/schools/weather", "{\"choice\":\"rain\"}")
                            .code())
                    .isEqualTo(422);
        } finally {
            put("/api/kitchen/schools/honey", "{}");
        }
        assertThat(held("", "honey")).isEqualTo("below-40");
    }

    private static String held(String more, String question) {
        return plan(ROOTS.formatted(SIMMERED), more)
                .get("schools")
                .get(question)
                .asString();
    }

    @Test
    void howARecipeIsTakenAndPreparedIsKeptAndPlanned() {
        JsonNode plan = plan(
                ROOTS.formatted(SIMMERED
                                + ",\"posology\":{\"cupsADay\":2,\"when\":\"with-food\",\"daysOn\":7,\"daysOff\":7}")
                        .replace("\"unit\":\"g\"}", "\"unit\":\"g\",\"prep\":\"rinsed twice\"}"),
                "");
        assertThat(plan.get("posology").asString()).isEqualTo("2 cups a day, with food; 7 days, then 7 days off");
        assertThat(plan.get("additions"))
                .allSatisfy(a -> assertThat(a.get("prep").asString()).isEqualTo("rinsed twice"));
        assertThat(post(
                                "/api/plans",
                                "{\"recipe\":" + ROOTS.formatted(",\"posology\":{\"cupsADay\":40,\"when\":\"often\"}")
                                        + "}")
                        .body()
                        .get("violations"))
                .extracting(v -> v.get("field").asString())
                .contains("recipe.posology.when");
    }

    @Test
    void aHerbSaysHowItGivesAndWhatItCanStandInFor() {
        JsonNode fennel = get("/api/herbs/fennel").body();
        assertThat(fennel.get("standsInFor"))
                .extracting(s -> s.get("herb").asString())
                .contains("anise", "caraway");
        assertThat(fennel.get("gives")).hasSize(3).allSatisfy(g -> assertThat(
                        g.get("aromaMin").asDouble())
                .isLessThan(g.get("biteMin").asDouble()));
        assertThat(get("/api/herbs/butterfly-pea").body().get("withAcid").asString())
                .isEqualTo("blue to pink");
        assertThat(get("/api/herbs/foxglove").body().get("gives")).isEmpty();
    }

    @Test
    void theStagesCanBeAskedForAlone() {
        JsonNode proposal = post("/api/recipes/propose", "{\"recipe\":" + ROOTS.formatted("") + "}")
                .body();
        assertThat(kinds(proposal.get("recipe"))).containsExactly("heat", "simmer", "steep", "strain");
        JsonNode resting = post(
                        "/api/recipes/propose",
                        "{\"recipe\":" + ROOTS.formatted("") + ",\"schools\":{\"boil\":\"boil-and-rest\"}}")
                .body();
        assertThat(kinds(resting.get("recipe"))).contains("boil", "rest");
    }

    @Test
    void anUnknownSchoolIsToldTheKnownOnes() {
        Answer answer = post("/api/plans", "{\"recipe\":" + ROOTS.formatted("") + ",\"schools\":{\"honey\":\"hot\"}}");
        assertThat(answer.code()).isEqualTo(422);
        assertThat(answer.body().toString()).contains("below-40", "any-time");
    }

    @Test
    void everyDisagreementIsASettingWithItsDefaultAndWhy() {
        JsonNode schools = get("/api/plans/schools").body();
        assertThat(schools.size()).isEqualTo(11);
        schools.forEach(s -> {
            assertThat(s.get("choices").size()).isGreaterThan(1);
            assertThat(s.get("why").asString()).isNotBlank();
            assertThat(s.get("defaults").size()).isEqualTo(4);
        });
    }

    @Test
    void aTinctureIsPlannedInWeeksAndSpiritMayBeReplaced() {
        String recipe = """
                {"name":"Yarrow drops","tradition":"folk","cups":5,"cupMl":100,"menstruum":"spirit","alcoholPercent":40,
                 "additions":[{"herb":"yarrow","form":"dried","cut":"chopped","amount":100,"unit":"g"}]}
                """;
        JsonNode plan = plan(recipe, ",\"drinker\":{\"ageYears\":30,\"conditions\":[\"pregnant\"]}");
        assertThat(plan.get("totalS").asDouble()).isGreaterThan(28 * 86_400.0);
        assertThat(plan.get("stopped").asBoolean()).isTrue();
        boolean glycerin = false;
        for (JsonNode way : plan.get("waysOut")) {
            glycerin |= way.path("menstruum").asString("").equals("glycerin");
        }
        assertThat(glycerin).isTrue();
        JsonNode without = plan(recipe, ",\"menstruum\":\"glycerin\"");
        assertThat(without.toString()).doesNotContain("of alcohol");
    }

    @Test
    void theSecondBrewOfAPotIsWeakerAndNeedsNoMeasuring() {
        JsonNode first = plan(ROOTS.formatted(SIMMERED), "");
        JsonNode second = plan(ROOTS.formatted(SIMMERED), ",\"spentHerbs\":true");
        assertThat(second.get("strength").asDouble())
                .isLessThan(first.get("strength").asDouble());
        assertThat(second.get("additions").get(0).get("leftShare").asDouble()).isBetween(0.01, 0.9);
    }

    @Test
    void aFreshHerbStandsInForItsDriedOneByDryMatterOrByTheFolkRule() {
        String ginger = """
                {"name":"Ginger","tradition":"folk","cups":1,"cupMl":240,
                 "additions":[{"herb":"ginger","form":"dried","cut":"sliced","amount":1,"unit":"g"}]}
                """;
        String fresh = ",\"changes\":[{\"herb\":\"ginger\",\"form\":\"fresh\"}]";
        // (1 - 0.10) / (1 - 0.8127) = 4.8 (moisture: Indian Food Composition Tables 2017)
        assertThat(grams(plan(ginger, fresh))).isCloseTo(4.81, within(0.02));
        assertThat(grams(plan(ginger, fresh + ",\"schools\":{\"fresh-dried\":\"a-third\"}")))
                .isCloseTo(3, within(1e-6));
    }

    private static double grams(JsonNode plan) {
        return plan.get("additions").get(0).get("grams").asDouble();
    }

    @Test
    void aBlendIsProposedFromWhatIsInTheHouse() {
        JsonNode blend = post(
                        "/api/recipes/blend",
                        "{\"occasion\":\"evening\",\"herbs\":[\"linden\",\"chamomile\",\"burdock\"],\"cups\":2,\"cupMl\":200}")
                .body();
        assertThat(blend.get("recipe").get("additions").size()).isEqualTo(2);
        assertThat(blend.get("herbs").size()).isEqualTo(2);
        plan(blend.get("recipe").toString(), "");
        Answer unknown = post("/api/recipes/blend", "{\"occasion\":\"gout\"}");
        assertThat(unknown.code()).isEqualTo(422);
        assertThat(unknown.body().toString()).contains("first sign of a cold");
    }

    @Test
    void aHerbIsFoundThoughItIsTypedWrong() {
        assertThat(get("/api/herbs?q=camomile").body().get(0).get("slug").asString())
                .isEqualTo("chamomile");
    }

    @Test
    void twoPotsForOneCookAreNotStrainedAtOnce() {
        Instant ready = Instant.parse("2031-02-03T18:00:00Z");
        String one = "{\"recipe\":" + ROOTS.formatted(SIMMERED) + ",\"readyAt\":\"" + ready
                + "\",\"kitchen\":{\"burner\":{\"name\":\"the only one\",\"lowW\":250,\"mediumW\":700,\"highW\":1200}}}";
        JsonNode day =
                post("/api/plans/day", "{\"plans\":[" + one + "," + one + "]}").body();
        assertThat(day.get("clashes").size()).isZero();
        assertThat(day.get("pots").size()).isEqualTo(2);
        Instant a = Instant.parse(day.get("pots").get(0).get("startAt").asString());
        Instant b = Instant.parse(day.get("pots").get(1).get("startAt").asString());
        assertThat(Duration.between(a, b)).as("one burner").isGreaterThan(Duration.ofMinutes(20));
        assertThat(day.get("pots").get(0).get("why").asString()).isNotBlank();
    }

    @Test
    void fourteenDaysOfFennelAreRemembered() {
        String person = post("/api/people", "{\"name\":\"Run %s\",\"ageYears\":40}".formatted(UUID.randomUUID()))
                .body()
                .get("id")
                .asString();
        String recipe = """
                {"name":"Seeds","tradition":"monograph","cups":1,"cupMl":200,
                 "additions":[{"herb":"fennel","form":"dried","cut":"crushed","amount":1.5,"unit":"g"}]}
                """;
        Instant start = Instant.parse("2031-05-20T08:00:00Z");
        String cup = "{\"recipe\":" + recipe + ",\"drinkerId\":\"" + person + "\",\"startAt\":\"%s\"}";
        for (int day = 1; day <= 14; day++) {
            assertThat(post("/api/brews", cup.formatted(start.minus(Duration.ofDays(day))))
                            .code())
                    .isEqualTo(201);
        }
        assertThat(post("/api/plans", cup.formatted(start)).body().toString()).contains("run-over");
        assertThat(post("/api/plans", cup.formatted(start.plus(Duration.ofDays(2))))
                        .body()
                        .toString())
                .as("two days are no break of fourteen")
                .contains("run-over");
        assertThat(post("/api/plans", cup.formatted(start.plus(Duration.ofDays(14))))
                        .body()
                        .toString())
                .doesNotContain("run-over");
    }

    @Test
    void somebodyElseMayDrinkWhatOneMustNot() {
        String siv = "";
        for (JsonNode p : get("/api/people").body()) {
            siv = p.toString().contains("high-blood-pressure") ? p.get("id").asString() : siv;
        }
        String recipe = """
                {"name":"Sweet","tradition":"folk","cups":1,"cupMl":200,
                 "additions":[{"herb":"liquorice","form":"dried","cut":"chopped","amount":1,"unit":"g"}]}
                """;
        JsonNode plan = plan(recipe, ",\"drinkerId\":\"" + siv + "\"");
        assertThat(plan.get("stopped").asBoolean()).isTrue();
        boolean other = false;
        for (JsonNode way : plan.get("waysOut")) {
            other |= way.has("drinkerId") && !way.get("drinkerId").isNull();
        }
        assertThat(other).isTrue();
    }
}
