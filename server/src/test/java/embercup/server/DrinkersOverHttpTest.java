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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Who drinks of a pot, how many cups a day, for how many days; what that does to the days around it. */
@ExtendWith(RunningServer.class)
class DrinkersOverHttpTest {

    /** Six cups, each of one gram of sage: 2 mg of thujone in a cup, 6 mg a day at most (EMA, mem). */
    private static final String SAGE = """
            {"name":"Sage","tradition":"folk","cups":6,"cupMl":200,
             "additions":[{"herb":"sage","form":"dried","cut":"chopped","amount":6,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}
            """;

    private static JsonNode plan(String recipe, String more) {
        Answer answer = post("/api/plans", "{\"recipe\":" + recipe + more + "}");
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static String person(String draft) {
        return post("/api/people", "{\"name\":\"P %s\",%s}".formatted(UUID.randomUUID(), draft))
                .body()
                .get("id")
                .asString();
    }

    private static double thujone(JsonNode plan, String drinker) {
        for (JsonNode load : plan.get("dailyLoads")) {
            boolean hers = drinker == null
                    ? !load.has("drinker")
                    : drinker.equals(load.path("drinker").asString());
            if (hers && load.get("constituent").asString().equals("thujone")) {
                return load.get("mg").asDouble();
            }
        }
        return 0;
    }

    private static List<String> codes(JsonNode plan) {
        List<String> codes = new ArrayList<>();
        plan.get("cautions").forEach(c -> codes.add(c.get("code").asString()));
        return codes;
    }

    @Test
    void theOrderSaysHowManyCupsADay() {
        JsonNode two = plan(SAGE, ",\"cupsADay\":2");
        assertThat(two.get("cupsADay").asDouble()).isEqualTo(2);
        assertThat(two.get("days").asInt()).isEqualTo(3);
        assertThat(thujone(two, null)).isCloseTo(4, within(1e-6));
        assertThat(codes(two)).doesNotContain("cups-not-said");
        assertThat(post("/api/plans", "{\"recipe\":" + SAGE + ",\"cupsADay\":40}")
                        .code())
                .isEqualTo(422);
    }

    @Test
    void everyDrinkerIsJudgedAndAGuestByWhatIsKnownOfHer() {
        String child = person("\"ageYears\":8,\"weightKg\":26");
        JsonNode plan = plan(
                SAGE,
                ",\"cupsADay\":1,\"others\":[{\"drinkerId\":\"" + child + "\",\"cupsADay\":1},"
                        + "{\"name\":\"a neighbour\",\"drinker\":{\"ageYears\":30,\"conditions\":[\"pregnant\"],"
                        + "\"trimester\":2},\"cupsADay\":1}]");
        assertThat(plan.get("stopped").asBoolean()).isTrue();
        assertThat(plan.get("others").get(0).get("serving").asDouble()).isEqualTo(0.38);
        List<String> texts = new ArrayList<>();
        plan.get("cautions").forEach(c -> texts.add(c.get("text").asString()));
        assertThat(texts).anyMatch(t -> t.startsWith("a neighbour: Sage leaf: Holds thujone"));
        assertThat(texts).anyMatch(t -> t.contains("under 18 years"));
        List<String> ways = new ArrayList<>();
        plan.get("waysOut").forEach(w -> ways.add(w.get("text").asString()));
        assertThat(ways).anyMatch(w -> w.equals("Not for a neighbour"));
    }

    @Test
    void aWayOutForEverybodyChangesThePotOnce() {
        JsonNode plan = plan(
                """
                {"name":"Peel","tradition":"folk","cups":2,"cupMl":240,
                 "additions":[{"herb":"liquorice","form":"dried","cut":"sliced","amount":1,"unit":"g","stage":0},
                              {"herb":"orange-peel","form":"dried","cut":"chopped","amount":2,"unit":"g","stage":0}],
                 "stages":[{"kind":"simmer","minutes":10},{"kind":"strain"}]}
                """,
                ",\"cupsADay\":1,\"others\":[{\"name\":\"Siv\",\"drinker\":{\"ageYears\":74,"
                        + "\"conditions\":[\"high-blood-pressure\"]}}]");
        assertThat(plan.get("stopped").asBoolean()).isTrue();
        boolean fennel = false;
        for (JsonNode way : plan.get("waysOut")) {
            fennel |= way.path("with").asString("").equals("fennel");
        }
        assertThat(fennel).isTrue();
    }

    @Test
    void aPotForThreeDaysIsDrunkOnThreeDays() {
        String person = person("\"ageYears\":40");
        Instant start = Instant.parse("2032-03-10T09:00:00Z");
        String order = "{\"recipe\":" + SAGE + ",\"drinkerId\":\"" + person + "\",\"cupsADay\":2,\"startAt\":\"%s\"}";
        assertThat(post("/api/brews", order.formatted(start)).code()).isEqualTo(201);
        for (int day = 0; day <= 4; day++) {
            JsonNode next = plan(
                    SAGE,
                    ",\"drinkerId\":\"%s\",\"cupsADay\":1,\"startAt\":\"%s\""
                            .formatted(person, start.plus(Duration.ofDays(day)).plusSeconds(3600)));
            assertThat(thujone(next, null)).as("day " + day).isCloseTo(day < 3 ? 6 : 2, within(1e-6));
        }
        JsonNode named = plan(
                SAGE,
                ",\"drinkerId\":\"%s\",\"cupsADay\":1,\"startAt\":\"%s\"".formatted(person, start.plusSeconds(3600)));
        assertThat(named.toString()).contains("Already in the day: Sage");
    }

    /** The cups of somebody who only shares a pot count in her own day. */
    @Test
    void whoSharesAPotHasItInHerDay() {
        String hers = person("\"ageYears\":40");
        String his = person("\"ageYears\":44");
        Instant start = Instant.parse("2032-05-10T09:00:00Z");
        assertThat(post(
                                "/api/brews",
                                "{\"recipe\":%s,\"drinkerId\":\"%s\",\"cupsADay\":1,\"startAt\":\"%s\",\"others\":[{\"drinkerId\":\"%s\",\"cupsADay\":2}]}"
                                        .formatted(SAGE, hers, start, his))
                        .code())
                .isEqualTo(201);
        String later = ",\"drinkerId\":\"%s\",\"cupsADay\":1,\"startAt\":\"" + start.plusSeconds(7200) + "\"";
        assertThat(thujone(plan(SAGE, later.formatted(his)), null)).isCloseTo(4 + 2, within(1e-6));
        assertThat(thujone(plan(SAGE, later.formatted(hers)), null)).isCloseTo(2 + 2, within(1e-6));
    }

    @Test
    void whatAPractitionerPrescribedIsKeptWithTheBrew() {
        String formula = """
                {"name":"Formula","tradition":"chinese","cups":3,"cupMl":200,
                 "additions":[{"herb":"liquorice","form":"dried","cut":"sliced","amount":6,"unit":"g","stage":0},
                              {"herb":"white-peony","form":"dried","cut":"sliced","amount":12,"unit":"g","stage":0}],
                 "stages":[{"kind":"simmer","minutes":30},{"kind":"strain"}]}
                """;
        JsonNode stopped = plan(formula, "");
        assertThat(stopped.get("stopped").asBoolean()).isTrue();
        boolean offered = false;
        for (JsonNode way : stopped.get("waysOut")) {
            offered |= way.path("prescribedDays").asInt(0) == 3;
        }
        assertThat(offered).isTrue();
        JsonNode brew = post("/api/brews", "{\"recipe\":" + formula + ",\"prescribedDays\":3,\"start\":true}")
                .body();
        assertThat(brew.get("phase").asString()).as(brew.toString()).isEqualTo("running");
        JsonNode again = get("/api/brews/" + brew.get("id").asString()).body();
        assertThat(again.get("plan").get("prescribedDays").asInt()).isEqualTo(3);
        assertThat(again.get("request").get("prescribedDays").asInt()).isEqualTo(3);
        assertThat(post(
                                "/api/plans",
                                "{\"recipe\":" + formula
                                        + ",\"prescribedDays\":3,\"drinker\":{\"ageYears\":12,\"weightKg\":40}}")
                        .code())
                .isEqualTo(422);
    }

    @ParameterizedTest
    @CsvSource({
        "\"trimester\":3, 422", "\"conditions\":[\"pregnant\"]|\"trimester\":4, 422",
        "\"conditions\":[\"pregnant\"]|\"trimester\":3, 200", "\"conditions\":[\"asthma\"|\"carrot-allergy\"], 200",
        "\"conditions\":[\"hay-fever\"], 422"
    })
    void aTrimesterStandsBesideAPregnancyOnly(String drinker, int code) {
        assertThat(post(
                                "/api/plans",
                                "{\"recipe\":" + SAGE + ",\"drinker\":{\"ageYears\":30," + drinker.replace('|', ',')
                                        + "}}")
                        .code())
                .isEqualTo(code);
    }

    @Test
    void whatIsLeftIsKeptByItsMethod() {
        JsonNode infusion = plan(SAGE, "");
        assertThat(infusion.get("keeps").get("hours").asInt()).isEqualTo(24);
        JsonNode night = plan("""
                {"name":"Night","tradition":"folk","cups":3,"cupMl":200,
                 "additions":[{"herb":"marshmallow","form":"dried","cut":"chopped","amount":6,"unit":"g","stage":0}],
                 "stages":[{"kind":"macerate","minutes":480,"place":"fridge"},{"kind":"strain"}]}
                """, "");
        assertThat(night.get("keeps").get("text").asString()).contains("cold maceration");
        assertThat(codes(night)).doesNotContain("keep-cold");
    }

    @Test
    void aMugDoesNotGoOnAFlame() {
        JsonNode plan = plan(
                SAGE.replace("\"cups\":6", "\"cups\":1")
                        .replace("{\"kind\":\"pour\"}", "{\"kind\":\"boil\",\"minutes\":3}"),
                ",\"kitchen\":{\"vessel\":{\"name\":\"mug\",\"kind\":\"mug\",\"innerDiameterCm\":8,\"heightCm\":10}}");
        assertThat(codes(plan)).contains("not-on-a-flame");
        assertThat(plan.get("waysOut").size()).isPositive();
    }

    // ---- a herb of one's own, and the source that speaks of it

    @Test
    void aNamedSourceLiftsTheStopOfAnOwnHerb() {
        String slug = "frostmoss-"
                + UUID.randomUUID().toString().replaceAll("[^a-f]", "x").substring(0, 6);
        String bare = "{\"common\":\"Frostmoss\",\"part\":\"herb\",\"use\":\"\"";
        assertThat(put("/api/herbs/" + slug + "/own", bare + "}").code()).isEqualTo(200);
        String cup = """
                {"name":"Moss","tradition":"folk","cups":1,"cupMl":200,
                 "additions":[{"herb":"%s","form":"dried","cut":"chopped","amount":1,"unit":"g","stage":0}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}
                """.formatted(slug);
        String pregnant = ",\"drinker\":{\"ageYears\":30,\"conditions\":[\"pregnant\"]}";
        assertThat(plan(cup, pregnant).get("stopped").asBoolean()).isTrue();
        String says = bare
                + ",\"version\":0,\"says\":{\"source\":\"Grandmother's book, p. 12\",\"perCupG\":0.5,\"perCupToG\":1.5,"
                + "\"timesADay\":2,\"cautions\":[{\"when\":\"pregnant\",\"severity\":\"care\"}]}}";
        Answer kept = put("/api/herbs/" + slug + "/own", says);
        assertThat(kept.code()).as(kept.body().toString()).isEqualTo(200);
        JsonNode then = plan(cup, pregnant);
        assertThat(then.get("stopped").asBoolean()).isFalse();
        assertThat(then.toString()).contains("Grandmother's book, p. 12");
        assertThat(plan(cup, ",\"drinker\":{\"ageYears\":30,\"conditions\":[\"breastfeeding\"]}")
                        .get("stopped")
                        .asBoolean())
                .isTrue();
        assertThat(put("/api/herbs/" + slug + "/own", bare + ",\"version\":1,\"says\":{\"perCupG\":1}}")
                        .code())
                .as("a source without a name")
                .isEqualTo(422);
    }
}
