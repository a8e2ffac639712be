package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The rest of a pot goes into a jar, cups come out of it on later days, and its level is what is left. */
@ExtendWith(RunningServer.class)
class JarsOverHttpTest {

    private static final int DAY_S = 24 * 3600;
    private static final String DECOCTION = """
            {"name":"Kept pot","tradition":"folk","cups":4,"cupMl":240,"dilutionParts":%s,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":14,"unit":"g","stage":0},
                          {"herb":"honey","form":"fresh","cut":"whole","amount":1,"unit":"tsp","stage":3}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"},{"kind":"finish"}]}
            """;

    private static Answer event(String brew, String kind, int ageS, String more) {
        return post(
                "/api/brews/" + brew + "/events",
                "{\"id\":\"%s\",\"kind\":\"%s\",\"ageS\":%d%s}".formatted(UUID.randomUUID(), kind, ageS, more));
    }

    private static Answer poured(String brew, double ml) {
        return event(brew, "poured", 0, ",\"value\":" + ml);
    }

    /** A pot that was begun and done so long ago. */
    private static String pot(String order, int ageS) {
        Answer answer = post("/api/brews", order);
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(201);
        JsonNode brew = answer.body();
        String id = brew.get("id").asString();
        assertThat(event(id, "started", ageS, "").code()).isEqualTo(200);
        for (JsonNode step : brew.get("plan").get("steps")) {
            event(id, "step-done", ageS, ",\"step\":\"" + step.get("key").asString() + "\"");
        }
        assertThat(event(id, "finished", ageS, "").code()).isEqualTo(200);
        return id;
    }

    private static String pot(int ageS) {
        return pot("{\"recipe\":%s,\"confirmed\":[\"dandelion\"]}".formatted(DECOCTION.formatted("0")), ageS);
    }

    private static JsonNode jar(String brew) {
        return StreamSupport.stream(get("/api/keeping").body().get("jars").spliterator(), false)
                .filter(j -> j.get("id").asString().equals(brew))
                .findFirst()
                .orElse(null);
    }

    /** A decoction keeps three days closed in the fridge (common practice, no source). */
    @Test
    void theRestOfADecoctionStandsInAJarForThreeDays() {
        String id = pot(3600);
        poured(id, 240);
        assertThat(jar(id)).as("what nobody put into a jar").isNull();
        JsonNode inItsPot = get("/api/brews/" + id).body();
        assertThat(Instant.parse(inItsPot.get("goodUntil").asString()))
                .as("drunk by, out of its pot too")
                .isEqualTo(Instant.parse(inItsPot.get("readyAt").asString()).plus(Duration.ofHours(72)));
        JsonNode kept = event(id, "kept", 0, "").body();
        JsonNode jar = jar(id);
        assertThat(jar.get("leftMl").asDouble()).isCloseTo(kept.get("leftMl").asDouble(), within(1e-6));
        assertThat(jar.get("leftMl").asDouble()).isCloseTo(720, within(110.0));
        assertThat(jar.get("text").asString()).contains("A decoction");
        assertThat(jar.get("jar").get("age").asString()).isEqualTo("good");
        Instant made = Instant.parse(jar.get("jar").get("madeAt").asString());
        assertThat(Duration.between(
                        made, Instant.parse(jar.get("jar").get("drinkBy").asString())))
                .isEqualTo(Duration.ofHours(72));
        assertThat(jar.get("vessel").get("brimMl").asDouble())
                .isGreaterThan(jar.get("leftMl").asDouble());
    }

    @Test
    void aCupLowersTheJarAndTakingItBackFillsItAgain() {
        String id = pot(3600);
        event(id, "kept", 0, "");
        double full = jar(id).get("leftMl").asDouble();
        JsonNode brew = poured(id, 240).body();
        assertThat(jar(id).get("leftMl").asDouble()).isCloseTo(full - 240, within(1e-6));
        assertThat(jar(id).get("vessel").get("name"))
                .as("it stands in the same jar")
                .isNotNull();
        JsonNode last = brew.get("events").get(brew.get("events").size() - 1);
        event(id, "undone", 0, ",\"event\":\"" + last.get("id").asString() + "\"");
        assertThat(jar(id).get("leftMl").asDouble()).isCloseTo(full, within(1e-6));
    }

    @Test
    void aJarThatIsGoneIsNotThereAnyMoreUntilThatIsTakenBack() {
        String id = pot(3600);
        event(id, "kept", 0, "");
        JsonNode gone = event(id, "emptied", 0, "").body();
        assertThat(gone.get("leftMl").asDouble()).isZero();
        assertThat(jar(id)).isNull();
        assertThat(get("/api/keeping/jars/" + id + "/cup").code()).isEqualTo(409);
        JsonNode last = gone.get("events").get(gone.get("events").size() - 1);
        event(id, "undone", 0, ",\"event\":\"" + last.get("id").asString() + "\"");
        assertThat(jar(id)).isNotNull();
    }

    @Test
    void whatIsPastItsTimeSaysSoAndWhatIsAboutToGoComesFirst() {
        String old = pot(4 * DAY_S);
        String going = pot(2 * DAY_S + 12 * 3600);
        String fresh = pot(3600);
        for (String id : new String[] {fresh, going, old}) {
            event(id, "kept", 0, "");
        }
        assertThat(jar(old).get("jar").get("age").asString()).isEqualTo("over");
        assertThat(jar(going).get("jar").get("age").asString()).isEqualTo("going");
        assertThat(StreamSupport.stream(get("/api/keeping").body().get("jars").spliterator(), false)
                        .map(j -> j.get("id").asString())
                        .filter(id -> id.equals(old) || id.equals(going) || id.equals(fresh)))
                .containsExactly(old, going, fresh);
    }

    @Test
    void aLaterCupIsShakenPouredWarmedAndSweetened() {
        String id = pot(3600);
        event(id, "kept", 0, "");
        JsonNode warm = get("/api/keeping/jars/" + id + "/cup").body();
        assertThat(warm.get("fromJarMl").asDouble()).isEqualTo(240);
        assertThat(warm.get("steps").toString())
                .contains("Shake the jar", "Pour 240 mL", "It must not boil", "of honey");
        assertThat(warm.get("workings").get("warmingMin").get("value").asDouble())
                .isEqualTo(warm.get("warmingMin").asDouble());
        JsonNode cold =
                get("/api/keeping/jars/" + id + "/cup?ml=150&warm=false").body();
        assertThat(cold.get("steps").toString()).contains("Pour 150 mL").doesNotContain("Warm it");
        assertThat(get("/api/keeping/jars/" + id + "/cup?ml=5").code()).isEqualTo(422);
    }

    private static final String SAGE = """
            {"name":"Kept sage","tradition":"folk","cups":4,"cupMl":240,"dilutionParts":%s,
             "additions":[{"herb":"sage","form":"dried","cut":"chopped","amount":4,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10,"lid":true},{"kind":"strain"}],
             "posology":{"cupsADay":1}}
            """;

    /** Thujone in her day, mg: of a cup that is planned now beside one out of a jar. */
    private static double dayWithACupOfTheJar(String parts, double cupMl) {
        String person = post("/api/people", "{\"name\":\"J %s\",\"ageYears\":40}".formatted(UUID.randomUUID()))
                .body()
                .get("id")
                .asString();
        String order = "{\"recipe\":%s,\"drinkerId\":\"%s\",\"cupsADay\":1}";
        String id = pot(order.formatted(SAGE.formatted(parts), person), DAY_S);
        event(id, "kept", DAY_S, "");
        poured(id, cupMl);
        for (JsonNode load : post("/api/plans", order.formatted(SAGE.formatted("0"), person))
                .body()
                .get("dailyLoads")) {
            if (load.get("constituent").asString().equals("thujone")) {
                return load.get("mg").asDouble();
            }
        }
        throw new AssertionError("sage holds thujone");
    }

    /** One part and three of water: a cup of 240 mL takes 60 mL out of the jar, and counts as a whole cup in her day. */
    @Test
    void aCupOfAConcentrateCountsAsACup() {
        double plain = dayWithACupOfTheJar("0", 240);
        assertThat(dayWithACupOfTheJar("3", 60)).isCloseTo(plain, within(plain * 0.01));
        assertThat(dayWithACupOfTheJar("0", 1)).as("hardly a sip of the jar").isLessThan(plain * 0.9);
    }

    @Test
    void aSipIsNotKeptAndASimulatedPotHoldsNothing() {
        String drunk = pot(3600);
        poured(drunk, 5000);
        Answer nothing = event(drunk, "kept", 0, "");
        assertThat(nothing.code()).isEqualTo(409);
        assertThat(nothing.body().get("detail").asString()).contains("Less than a sip");
        JsonNode planned = post(
                        "/api/brews",
                        "{\"recipe\":%s,\"confirmed\":[\"dandelion\"]}".formatted(DECOCTION.formatted("0")))
                .body();
        assertThat(event(planned.get("id").asString(), "kept", 0, "").code()).isEqualTo(409);
    }
}
