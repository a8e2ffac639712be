package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class BrewsOverHttpTest {

    private static JsonNode started() {
        return started(UUID.randomUUID());
    }

    private static JsonNode started(UUID id) {
        Answer answer = post(
                "/api/brews", "{\"id\":\"%s\",\"start\":true,\"recipe\":%s}".formatted(id, PlansOverHttpTest.LINDEN));
        assertThat(answer.code()).isEqualTo(201);
        return answer.body();
    }

    private static Answer event(String brew, String json) {
        return post("/api/brews/" + brew + "/events", json);
    }

    private static Answer done(String brew, String step, double ageS) {
        return event(
                brew,
                "{\"id\":\"%s\",\"kind\":\"step-done\",\"step\":\"%s\",\"ageS\":%s}"
                        .formatted(UUID.randomUUID(), step, ageS));
    }

    @Test
    void aStartedBrewIsOnTheFireAndInTheDay() {
        JsonNode brew = started();
        assertThat(brew.get("phase").asString()).isEqualTo("running");
        assertThat(brew.get("nowKey").asString()).isEqualTo("s0.heat");
        assertThat(get("/api/brews").body()).anyMatch(b -> b.get("id").equals(brew.get("id")));
        Instant now = Instant.now();
        JsonNode day = get("/api/day?from=" + now.minusSeconds(3600) + "&to=" + now.plusSeconds(3600))
                .body();
        assertThat(day.get("open")).anyMatch(b -> b.get("id").equals(brew.get("id")));
    }

    @Test
    void theSameRequestTwiceIsOneBrewAndTheSameEventTwiceIsOneEvent() {
        UUID id = UUID.randomUUID();
        started(id);
        started(id);
        UUID event = UUID.randomUUID();
        String json = "{\"id\":\"%s\",\"kind\":\"step-done\",\"step\":\"s0.heat\"}".formatted(event);
        JsonNode once = event(id.toString(), json).body();
        JsonNode twice = event(id.toString(), json).body();
        assertThat(twice.get("events").size()).isEqualTo(once.get("events").size());
        assertThat(twice.get("nowKey").asString()).isEqualTo("s0");
    }

    @Test
    void whatHappenedWhileThePhoneWasOfflineHappenedThen() {
        String id = started().get("id").asString();
        JsonNode brew = done(id, "s0.heat", 0).body();
        JsonNode late = event(
                        id,
                        "{\"id\":\"%s\",\"kind\":\"measured\",\"reading\":\"temperature-c\",\"value\":76,\"ageS\":30}"
                                .formatted(UUID.randomUUID()))
                .body();
        Instant at = Instant.parse(late.get("events").get(2).get("at").asString());
        assertThat(Duration.between(at, Instant.parse(late.get("serverNow").asString()))
                        .toSeconds())
                .isBetween(29L, 35L);
        assertThat(brew.get("steps")).isNotEmpty();
    }

    private static JsonNode turned(String brew, String turn) {
        return event(brew, "{\"id\":\"%s\",\"kind\":\"turned\",\"turn\":\"%s\"}".formatted(UUID.randomUUID(), turn))
                .body();
    }

    @Test
    void aLidLiftedOffTheTeapotIsToldAndMayBeTakenBack() {
        String id = started().get("id").asString();
        done(id, "s0.heat", 0);
        JsonNode covered = done(id, "s0", 0).body();
        assertThat(covered.get("fire").get("lid").asBoolean()).isTrue();
        JsonNode open = turned(id, "lid-off");
        assertThat(open.get("fire").get("lid").asBoolean()).isFalse();
        assertThat(open.get("aroma").asDouble()).isLessThan(covered.get("aroma").asDouble());
        JsonNode last = open.get("events").get(open.get("events").size() - 1);
        assertThat(last.get("turn").asString()).isEqualTo("lid-off");
        JsonNode back = event(
                        id,
                        "{\"id\":\"%s\",\"kind\":\"undone\",\"event\":\"%s\"}"
                                .formatted(UUID.randomUUID(), last.get("id").asString()))
                .body();
        assertThat(back.get("fire").get("lid").asBoolean()).isTrue();
        assertThat(turned(id, "gas-mark-4")
                        .get("violations")
                        .get(0)
                        .get("wanted")
                        .asString())
                .contains("lid-off")
                .contains("flame-low");
    }

    @Test
    void aStepMayBeDoneByItsSmell() {
        String id = started().get("id").asString();
        done(id, "s0.heat", 0);
        done(id, "s0", 0);
        JsonNode brew = event(
                        id,
                        "{\"id\":\"%s\",\"kind\":\"step-done\",\"step\":\"s1\",\"sign\":\"smell\"}"
                                .formatted(UUID.randomUUID()))
                .body();
        assertThat(brew.get("steps"))
                .filteredOn(s -> s.get("key").asString().equals("s1"))
                .singleElement()
                .satisfies(s -> assertThat(s.get("sign").asString()).isEqualTo("smell"));
    }

    @Test
    void whatIsPouredIsTakenFromWhatIsLeft() {
        JsonNode brew = started();
        String id = brew.get("id").asString();
        double before = brew.get("leftMl").asDouble();
        JsonNode poured = event(id, "{\"id\":\"%s\",\"kind\":\"poured\",\"value\":150}".formatted(UUID.randomUUID()))
                .body();
        assertThat(poured.get("pouredMl").asDouble()).isEqualTo(150);
        assertThat(poured.get("leftMl").asDouble()).isCloseTo(before - 150, within(0.01));
        assertThat(event(id, "{\"id\":\"%s\",\"kind\":\"poured\",\"value\":-5}".formatted(UUID.randomUUID()))
                        .code())
                .isEqualTo(422);
    }

    @Test
    void ofSeveralBrewsTheOneThatNeedsTheCookFirstStandsFirst() {
        String steeping = started().get("id").asString();
        done(steeping, "s0.heat", 0);
        done(steeping, "s0", 0);
        String overdue = UUID.randomUUID().toString();
        post(
                "/api/brews",
                "{\"id\":\"%s\",\"start\":true,\"startAt\":\"%s\",\"recipe\":%s}"
                        .formatted(overdue, Instant.now(), PlansOverHttpTest.LINDEN));
        done(overdue, "s0.heat", 0);
        JsonNode open = get("/api/brews").body();
        assertThat(open)
                .extracting(b -> b.get("id").asString())
                .filteredOn(i -> i.equals(steeping) || i.equals(overdue))
                .containsExactly(overdue, steeping);
        assertThat(open)
                .extracting(b -> Instant.parse(
                        b.get(b.hasNonNull("dueAt") ? "dueAt" : "startAt").asString()))
                .isSorted();
    }

    @Test
    void anotherServerOnTheSameDatabaseKnowsTheBrewItsClockAndTheScale() throws Exception {
        JsonNode brew = started();
        String id = brew.get("id").asString();
        done(id, "s0.heat", 0);
        JsonNode here = get("/api/brews/" + id).body();
        try (var other = RunningServer.start(Map.of())) {
            String address = "http://127.0.0.1:" + other.getEnvironment().getProperty("local.server.port");
            JsonNode there = RunningServer.get(address, "/api/brews/" + id).body();
            assertThat(there.get("nowKey")).isEqualTo(here.get("nowKey"));
            assertThat(there.get("steps")).isEqualTo(here.get("steps"));
            assertThat(there.get("startedAt")).isEqualTo(brew.get("startedAt"));

            // One scale in the house: zeroed here, loaded there, and both show it.
            post("/api/devices/scale", "{\"command\":\"tare\"}");
            RunningServer.post(address, "/api/devices/scale", "{\"command\":\"put\",\"grams\":3}");
            for (String server : List.of(RunningServer.address(), address)) {
                assertThat(atRest(server)).as("grams on the scale of " + server).isCloseTo(3, within(0.25));
            }
        }
    }

    /** Grams that a server's scale shows once it stands still. */
    private static double atRest(String server) throws Exception {
        HttpRequest stream = HttpRequest.newBuilder(URI.create(server + "/api/devices/scale/stream"))
                .build();
        try (var lines = HttpClient.newHttpClient()
                .send(stream, HttpResponse.BodyHandlers.ofLines())
                .body()) {
            String still = lines.filter(l -> l.startsWith("data:") && l.contains("\"stable\":true"))
                    .findFirst()
                    .orElseThrow();
            return RunningServer.JSON
                    .readTree(still.substring("data:".length()))
                    .get("grams")
                    .asDouble();
        }
    }

    @Test
    void aFinishedBrewWithItsNoteStandsInTheNotebookBesideItsPlan() {
        JsonNode brew = started();
        String id = brew.get("id").asString();
        for (JsonNode step : brew.get("plan").get("steps")) {
            done(id, step.get("key").asString(), 0);
        }
        event(id, "{\"id\":\"%s\",\"kind\":\"finished\"}".formatted(UUID.randomUUID()));
        event(
                id,
                "{\"id\":\"%s\",\"kind\":\"noted\",\"strength\":1,\"liking\":4,\"taste\":\"quince-like\",\"change\":\"less\"}"
                        .formatted(UUID.randomUUID()));
        JsonNode entry = get("/api/notebook?words=quince").body().get("entries").get(0);
        assertThat(entry.get("brewId").asString()).isEqualTo(id);
        assertThat(entry.get("plannedStrength").asDouble())
                .isCloseTo(brew.get("plan").get("strength").asDouble(), within(1e-6));
        assertThat(entry.get("felt").asInt()).isEqualTo(1);
        assertThat(entry.get("change").asString()).isEqualTo("less");
        // Everything was confirmed at once, so hardly anything was drawn.
        assertThat(entry.get("predictedStrength").asDouble()).isLessThan(0.5);
    }

    @Test
    void anUndoneEndTakesTheLineOutOfTheNotebook() {
        String id = started().get("id").asString();
        UUID end = UUID.randomUUID();
        event(id, "{\"id\":\"%s\",\"kind\":\"finished\"}".formatted(end));
        assertThat(get("/api/notebook").body().get("entries"))
                .anyMatch(e -> e.get("brewId").asString().equals(id));
        event(id, "{\"id\":\"%s\",\"kind\":\"undone\",\"event\":\"%s\"}".formatted(UUID.randomUUID(), end));
        assertThat(get("/api/notebook").body().get("entries"))
                .noneMatch(e -> e.get("brewId").asString().equals(id));
        assertThat(get("/api/brews/" + id).body().get("phase").asString()).isEqualTo("running");
    }

    @Test
    void aStoppedPotIsNotStartedAndNotHalfSaved() {
        int before = get("/api/brews").body().size();
        Answer answer = post(
                "/api/brews",
                "{\"start\":true,\"recipe\":%s,\"drinker\":{\"ageYears\":30,\"conditions\":[\"pregnant\"]}}"
                        .formatted(PlansOverHttpTest.LINDEN.replace("linden", "sage")));
        assertThat(answer.code()).isEqualTo(409);
        assertThat(answer.body().get("detail").asString()).contains("thujone").contains("Nothing was started");
        assertThat(get("/api/brews").body().size()).isEqualTo(before);
    }

    @Test
    void wrongEventsAreRefusedInWords() {
        String id = started().get("id").asString();
        assertThat(done(id, "s99", 0)
                        .body()
                        .get("violations")
                        .get(0)
                        .get("wanted")
                        .asString())
                .contains("s0.heat");
        assertThat(event(id, "{\"kind\":\"step-done\",\"step\":\"s0\"}")
                        .body()
                        .get("violations")
                        .get(0)
                        .get("field")
                        .asString())
                .isEqualTo("id");
        assertThat(event(id, "{\"id\":\"%s\",\"kind\":\"burnt\"}".formatted(UUID.randomUUID()))
                        .code())
                .isEqualTo(422);
        assertThat(event(
                                id,
                                "{\"id\":\"%s\",\"kind\":\"measured\",\"reading\":\"temperature-c\",\"value\":900}"
                                        .formatted(UUID.randomUUID()))
                        .body()
                        .get("detail")
                        .asString())
                .contains("between -20 and 130");
        assertThat(event(
                                UUID.randomUUID().toString(),
                                "{\"id\":\"%s\",\"kind\":\"finished\"}".formatted(UUID.randomUUID()))
                        .code())
                .isEqualTo(404);
    }

    /** Twice, out of turn, from before the start, of a brew given up: told in words, and nothing is changed. */
    @Test
    void aStepThatCannotBeDoneNowChangesNothing() {
        String id = started().get("id").asString();
        JsonNode later = done(id, "s1", 0).body();
        assertThat(later.get("status").asInt()).isEqualTo(409);
        assertThat(later.get("detail").asString()).contains("Nothing was changed", "Heat the kettle");
        JsonNode before = done(id, "s0.heat", 7200).body();
        assertThat(before.get("detail").asString()).contains("Nothing was changed");
        assertThat(get("/api/brews/" + id).body().get("nowKey").asString()).isEqualTo("s0.heat");
        assertThat(done(id, "s0.heat", 0).body().get("nowKey").asString()).isEqualTo("s0");
        JsonNode twice = done(id, "s0.heat", 0).body();
        assertThat(twice.get("nowKey").asString()).as("done once").isEqualTo("s0");
        event(id, "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()));
        JsonNode over = done(id, "s0", 0).body();
        assertThat(over.get("status").asInt()).isEqualTo(409);
        assertThat(over.get("detail").asString()).contains("given up");
    }

    @Test
    void aStepOfABrewThatIsNotOnTheFireIsRefused() {
        JsonNode planned = post(
                        "/api/brews",
                        "{\"recipe\":%s,\"startAt\":\"%s\"}"
                                .formatted(
                                        PlansOverHttpTest.LINDEN, Instant.now().plusSeconds(3600)))
                .body();
        assertThat(planned.get("phase").asString()).isEqualTo("planned");
        assertThat(done(planned.get("id").asString(), "s0", 0).code()).isEqualTo(409);
    }

    @Test
    void twoDevicesOnOneBrewAgreeWithinASecond() throws Exception {
        String id = started().get("id").asString();
        HttpRequest request = HttpRequest.newBuilder(
                        URI.create(RunningServer.address() + "/api/brews/" + id + "/stream"))
                .build();
        HttpResponse<java.io.InputStream> stream =
                HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofInputStream());
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(stream.body(), java.nio.charset.StandardCharsets.UTF_8))) {
            assertThat(nextBrew(lines).get("nowKey").asString()).isEqualTo("s0.heat");
            CompletableFuture<JsonNode> heard = CompletableFuture.supplyAsync(() -> {
                JsonNode brew;
                do {
                    brew = nextBrew(lines);
                } while (brew.get("nowKey").asString().equals("s0.heat"));
                return brew;
            });
            done(id, "s0.heat", 0);
            assertThat(heard.get(1500, TimeUnit.MILLISECONDS).get("nowKey").asString())
                    .isEqualTo("s0");
        }
    }

    private static JsonNode nextBrew(BufferedReader lines) {
        try {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.startsWith("data:")) {
                    return RunningServer.JSON.readTree(line.substring("data:".length()));
                }
            }
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        throw new IllegalStateException("the stream ended");
    }

    @Test
    void theMorningsSageCountsAgainstTheEvenings() {
        JsonNode siv = get("/api/people").body().get(1);
        String sage = PlansOverHttpTest.LINDEN.replace("linden", "sage").replace("\"amount\":3", "\"amount\":2");
        String order = "{\"start\":%s,\"recipe\":%s,\"drinkerId\":\"%s\"}";
        post("/api/brews", order.formatted("true", sage, siv.get("id").asString()));
        JsonNode evening = post(
                        "/api/plans",
                        "{\"recipe\":%s,\"drinkerId\":\"%s\"}"
                                .formatted(sage, siv.get("id").asString()))
                .body();
        assertThat(evening.get("dailyLoads").get(0).get("mg").asDouble()).isCloseTo(8.0, within(1e-6));
        assertThat(evening.get("stopped").asBoolean()).isTrue();
    }

    /** A cup that was poured counts as that cup; what only stands on the fire counts as planned; a simulated pot is drunk by nobody. */
    @Test
    void ofAPotCountsWhatWasPoured() {
        String drinker = post("/api/people", "{\"name\":\"Uncle Bo\",\"ageYears\":50,\"weightKg\":80}")
                .body()
                .get("id")
                .asString();
        String sage = PlansOverHttpTest.LINDEN.replace("linden", "sage").replace("\"amount\":3", "\"amount\":2");
        JsonNode brew = post(
                        "/api/brews", "{\"start\":true,\"recipe\":%s,\"drinkerId\":\"%s\"}".formatted(sage, drinker))
                .body();
        String id = brew.get("id").asString();
        assertThat(evening(sage, drinker)).as("two cups now, two on the fire").isCloseTo(8.0, within(1e-6));
        String cup = UUID.randomUUID().toString();
        event(id, "{\"id\":\"%s\",\"kind\":\"poured\",\"value\":200}".formatted(cup));
        assertThat(evening(sage, drinker)).as("one cup of two was poured").isCloseTo(6.0, within(1e-6));
        event(id, "{\"id\":\"%s\",\"kind\":\"undone\",\"event\":\"%s\"}".formatted(UUID.randomUUID(), cup));
        assertThat(evening(sage, drinker)).as("it was not poured after all").isCloseTo(8.0, within(1e-6));
        post("/api/devices/kitchen/" + id, "{\"speed\":10}");
        assertThat(evening(sage, drinker)).as("it is simulated").isCloseTo(4.0, within(1e-6));
    }

    private static double evening(String recipe, String drinker) {
        return post("/api/plans", "{\"recipe\":%s,\"drinkerId\":\"%s\"}".formatted(recipe, drinker))
                .body()
                .get("dailyLoads")
                .get(0)
                .get("mg")
                .asDouble();
    }
}
