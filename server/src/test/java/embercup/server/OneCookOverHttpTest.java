package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
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

/** Several pots for one cook, words that are frequent or rare in the notebook, and the schools of a whole order. */
@ExtendWith(RunningServer.class)
class OneCookOverHttpTest {

    private static final String CUP = """
            {"name":"Cup","tradition":"monograph","cups":2,"cupMl":200,
             "additions":[{"herb":"linden","form":"dried","cut":"chopped","amount":3,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}
            """;

    private static final String HONEY = """
            {"name":"Honeyed","tradition":"folk","cups":1,"cupMl":200,
             "additions":[{"herb":"linden","form":"dried","cut":"chopped","amount":1.5,"unit":"g"},
                          {"herb":"honey","form":"fresh","cut":"whole","amount":1,"unit":"tsp"}]}
            """;

    private static JsonNode day(String... asks) {
        Answer a = post("/api/plans/day", "{\"plans\":[" + String.join(",", asks) + "]}");
        assertThat(a.code()).as(a.body().toString()).isEqualTo(200);
        return a.body();
    }

    @Test
    void threeCupsForOneHourTakeTurnsAtTheKettle() {
        Instant ready = Instant.parse("2032-03-01T19:00:00Z");
        String ask = "{\"recipe\":" + CUP + ",\"readyAt\":\"" + ready + "\"}";
        JsonNode day = day(ask, ask, ask);
        assertThat(day.get("clashes").size()).isZero();
        List<Instant> starts = new ArrayList<>();
        for (JsonNode p : day.get("pots")) {
            starts.add(Instant.parse(p.get("startAt").asString()));
            assertThat(Instant.parse(p.get("readyAt").asString())).isBeforeOrEqualTo(ready);
        }
        assertThat(starts).isSorted().doesNotHaveDuplicates();
    }

    private static final String ROOTS = """
            {"name":"Roots","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","cut":"sliced","amount":7,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25,"lid":true},{"kind":"strain"}]}
            """;

    /** Two simmers for one hour stand on two burners, where the house has two; each says on which, and what is done when. */
    @Test
    void whereOneBurnerIsTakenTheFreeOneIsUsed() {
        List<String> burners = new ArrayList<>();
        for (String burner : new String[] {"back left", "front right"}) {
            burners.add(post(
                            "/api/kitchen/burners",
                            "{\"name\":\"%s\",\"lowW\":250,\"mediumW\":700,\"highW\":1300}".formatted(burner))
                    .body()
                    .get("id")
                    .asString());
        }
        String ask = "{\"recipe\":" + ROOTS + ",\"readyAt\":\"2032-03-02T19:00:00Z\"}";
        JsonNode pots = day(ask, ask).get("pots");
        assertThat(pots.valueStream().map(p -> p.get("burner").asString()).distinct())
                .hasSize(2);
        assertThat(pots.valueStream().filter(p -> p.get("usualBurnerTaken").asBoolean()))
                .hasSize(1);
        assertThat(pots.valueStream().map(p -> p.get("burnerId").asString()).distinct())
                .hasSize(2);
        for (JsonNode p : pots) {
            assertThat(p.get("stretches").valueStream().map(s -> s.get("what").asString()))
                    .contains("hands", "heat");
            assertThat(Math.abs(p.get("movedS").asDouble()))
                    .as("only as far as two hands ask")
                    .isLessThan(10 * 60);
        }
        burners.forEach(b -> RunningServer.delete("/api/kitchen/burners/" + b));
    }

    @Test
    void whatMustBeReadyAtOnceAndCannotIsNamed() {
        Instant soon = Instant.now().plus(Duration.ofMinutes(16));
        String ask = "{\"recipe\":" + CUP + ",\"readyAt\":\"" + soon + "\"}";
        JsonNode day = day(ask, ask, ask, ask, ask, ask, ask, ask);
        assertThat(day.get("pots").size() + day.get("clashes").size()).isEqualTo(8);
        assertThat(day.get("clashes").size()).isPositive();
        assertThat(day.get("clashes").get(0).get("why").asString()).isNotBlank();
        assertThat(day.get("clashes").get(0).get("with").asString()).isNotBlank();
    }

    @Test
    void moreThanTwelvePotsAreNoOneCooksEvening() {
        String[] asks = new String[13];
        java.util.Arrays.fill(asks, "{\"recipe\":" + CUP + "}");
        Answer a = post("/api/plans/day", "{\"plans\":[" + String.join(",", asks) + "]}");
        assertThat(a.code()).isEqualTo(422);
        assertThat(a.body().get("violations").get(0).get("wanted").asString()).contains("between 1 and 12");
        assertThat(post("/api/plans/day", "{\"plans\":[]}").code()).isEqualTo(422);
    }

    @Test
    void honeyWaitsOrNotAsTheSchoolHasIt() {
        JsonNode waits = post("/api/plans", "{\"recipe\":" + HONEY + "}").body();
        JsonNode anyTime = post("/api/plans", "{\"recipe\":" + HONEY + ",\"schools\":{\"honey\":\"any-time\"}}")
                .body();
        assertThat(waits.get("totalS").asDouble())
                .isGreaterThan(anyTime.get("totalS").asDouble() + 600);
        assertThat(waits.get("schools").get("honey").asString()).isEqualTo("below-40");
        assertThat(anyTime.get("schools").get("honey").asString()).isEqualTo("any-time");
    }

    @Test
    void aBrewKeepsTheSchoolsItWasPlannedWith() {
        JsonNode brew = post(
                        "/api/brews", "{\"start\":true,\"recipe\":" + HONEY + ",\"schools\":{\"honey\":\"any-time\"}}")
                .body();
        JsonNode again = get("/api/brews/" + brew.get("id").asString()).body();
        assertThat(again.get("request").get("schools").get("honey").asString()).isEqualTo("any-time");
        assertThat(again.get("predictedSteps").size())
                .isEqualTo(brew.get("plan").get("steps").size());
    }

    @Test
    void concentratesAndPartsArePlanned() {
        String parts = """
                {"name":"Parts","tradition":"folk","cups":4,"cupMl":240,"dilutionParts":1,
                 "additions":[{"herb":"nettle","form":"dried","cut":"chopped","amount":2,"unit":"part"},
                              {"herb":"oat-straw","form":"dried","cut":"chopped","amount":1,"unit":"part"}]}
                """;
        JsonNode plan = post("/api/plans", "{\"recipe\":" + parts + "}").body();
        assertThat(plan.get("water").get("yieldMl").asDouble()).isCloseTo(480, within(1.0));
        assertThat(plan.get("additions").get(0).get("grams").asDouble())
                .isGreaterThan(plan.get("additions").get(1).get("grams").asDouble());
        Answer spoonless =
                post("/api/measures/convert", "{\"herb\":\"nettle\",\"amount\":2,\"unit\":\"part\",\"to\":\"g\"}");
        assertThat(spoonless.code()).isEqualTo(422);
        assertThat(spoonless.body().toString()).contains("weighs nothing by itself");
    }

    @Test
    void rareAndFrequentWordsAreBothFoundNewestFirst() {
        String rare = "zephyr" + UUID.randomUUID().toString().substring(0, 6);
        for (int i = 0; i < 3; i++) {
            String id = post("/api/brews", "{\"start\":true,\"recipe\":" + CUP + "}")
                    .body()
                    .get("id")
                    .asString();
            event(id, "\"kind\":\"finished\"");
            event(id, "\"kind\":\"noted\",\"strength\":0,\"taste\":\"" + rare + " number " + i + "\"");
        }
        JsonNode found = get("/api/notebook?words=" + rare).body();
        assertThat(found.get("entries").size()).isEqualTo(3);
        assertThat(found.get("more").asBoolean()).isFalse();
        assertThat(found.get("entries").get(0).get("taste").asString()).endsWith("number 2");
        assertThat(get("/api/notebook?words=linden&page=400")
                        .body()
                        .get("entries")
                        .size())
                .isZero();
    }

    private static void event(String brew, String more) {
        post("/api/brews/" + brew + "/events", "{\"id\":\"" + UUID.randomUUID() + "\"," + more + "}");
    }
}
