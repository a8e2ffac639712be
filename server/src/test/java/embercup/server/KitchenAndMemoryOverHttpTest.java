package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** Instruments, the simulated kitchen, learning, photos and the fuller note, through the door. */
@ExtendWith(RunningServer.class)
class KitchenAndMemoryOverHttpTest {

    private static final String POT = """
            {"name":"%s","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":6,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":20,"lid":false,"flame":"medium"},{"kind":"strain"}]}
            """;

    private static JsonNode event(String brew, String more) {
        return post("/api/brews/" + brew + "/events", "{\"id\":\"" + UUID.randomUUID() + "\"," + more + "}")
                .body();
    }

    private static String recipe(String name) {
        return post("/api/recipes", "{\"about\":\"\",\"purposes\":[],\"recipe\":" + POT.formatted(name) + "}")
                .body()
                .get("id")
                .asString();
    }

    private static String brew(String more) {
        Answer a = post("/api/brews", "{\"start\":true," + more + "}");
        assertThat(a.code()).as(a.body().toString()).isEqualTo(201);
        return a.body().get("id").asString();
    }

    /** The first event of a stream, as JSON. */
    private static JsonNode first(String path, String name) throws Exception {
        var connection = URI.create(RunningServer.address() + path).toURL().openConnection();
        connection.setReadTimeout(10_000);
        try (InputStream in = connection.getInputStream();
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            String line;
            boolean mine = false;
            while ((line = lines.readLine()) != null) {
                mine |= line.equals("event:" + name);
                if (mine && line.startsWith("data:")) {
                    return RunningServer.JSON.readTree(line.substring(5));
                }
            }
        }
        throw new AssertionError("the stream ended");
    }

    // ---- the scale

    @Test
    void theScaleWeighsWhatIsPutOnItAboveItsTare() throws Exception {
        post("/api/devices/scale", "{\"command\":\"tare\"}");
        post("/api/devices/scale", "{\"command\":\"put\",\"grams\":6}");
        double grams = 0;
        for (int i = 0; i < 40 && Math.abs(grams - 6) > 0.25; i++) {
            Thread.sleep(100);
            grams = first("/api/devices/scale/stream", "weight").get("grams").asDouble();
        }
        assertThat(grams).isCloseTo(6, within(0.25));
        post("/api/devices/scale", "{\"command\":\"tare\"}");
        assertThat(first("/api/devices/scale/stream", "weight").get("grams").asDouble())
                .isCloseTo(0, within(0.25));
        assertThat(post("/api/devices/scale", "{\"command\":\"shake\"}").body().toString())
                .contains("tare put take");
    }

    // ---- the simulated kitchen

    @Test
    void aSimulatedPotWarmsUpFasterThanTheClockOnTheWall() throws Exception {
        String id = brew("\"recipe\":" + POT.formatted("Simulated"));
        JsonNode plan = get("/api/brews/" + id).body();
        for (JsonNode s : plan.get("plan").get("steps")) {
            if (s.get("kind").asString().equals("prep")) {
                event(id, "\"kind\":\"step-done\",\"step\":\"" + s.get("key").asString() + "\"");
            }
        }
        assertThat(post("/api/devices/kitchen/" + id, "{\"speed\":121}").code()).isEqualTo(422);
        Answer fast = post("/api/devices/kitchen/" + id, "{\"speed\":120}");
        assertThat(fast.body().get("clockSpeed").asDouble()).isEqualTo(120);
        double cold = first("/api/devices/kitchen/" + id + "/stream", "readings")
                .get("tempC")
                .asDouble();
        Instant begun = Instant.now();
        JsonNode warm = first("/api/devices/kitchen/" + id + "/stream", "readings");
        while (warm.get("tempC").asDouble() < cold + 15
                && Duration.between(begun, Instant.now()).toSeconds() < 60) {
            warm = first("/api/devices/kitchen/" + id + "/stream", "readings");
        }
        assertThat(warm.get("tempC").asDouble())
                .as("a minute of the wall is two hours of its own")
                .isGreaterThan(cold + 15);
        assertThat(warm.get("step").asString()).isEqualTo("s0");
        Instant its =
                Instant.parse(get("/api/brews/" + id).body().get("serverNow").asString());
        assertThat(Duration.between(Instant.now(), its)).isGreaterThan(Duration.ofMinutes(1));
        JsonNode told = event(id, "\"kind\":\"step-done\",\"step\":\"s0\"");
        assertThat(told.get("nowKey").asString()).isEqualTo("s1");
        Instant due = dueOnTheStrip(id);
        assertThat(Duration.between(Instant.now(), due))
                .as("the simmer's minutes are seconds by the clock on the wall")
                .isBetween(Duration.ofSeconds(1), Duration.ofSeconds(30));
        event(id, "\"kind\":\"abandoned\"");
        assertThat(post("/api/devices/kitchen/" + id, "{\"speed\":10}").code()).isEqualTo(409);
    }

    /** A rehearsal is done like a pot; what it holds is not kept, and it says why. */
    @Test
    void aRehearsedPotSaysWhyNothingOfItIsKept() {
        for (boolean rehearsed : new boolean[] {true, false}) {
            String id = brew("\"recipe\":" + POT.formatted("Rehearsed"));
            if (rehearsed) {
                assertThat(post("/api/devices/kitchen/" + id, "{\"speed\":120}").code())
                        .isEqualTo(200);
            }
            for (JsonNode s : get("/api/brews/" + id).body().get("plan").get("steps")) {
                event(id, "\"kind\":\"step-done\",\"step\":\"" + s.get("key").asString() + "\"");
            }
            JsonNode done = event(id, "\"kind\":\"finished\"");
            assertThat(done.get("mayKeep").asBoolean()).isEqualTo(!rehearsed);
            assertThat(done.path("whyNotKept").asString("none")).contains(rehearsed ? "simulated" : "none");
        }
    }

    private static Instant dueOnTheStrip(String id) {
        return RunningServer.onTheFire().stream()
                .filter(b -> b.get("id").asString().equals(id))
                .map(b -> Instant.parse(b.get("dueAt").asString()))
                .findFirst()
                .orElseThrow();
    }

    // ---- learning the stove

    @Test
    void whatWasMeasuredMovesTheNextPlanAndCanBeForgotten() {
        String burner = post(
                        "/api/kitchen/burners", "{\"name\":\"camp stove\",\"lowW\":250,\"mediumW\":700,\"highW\":1200}")
                .body()
                .get("id")
                .asString();
        String vessel = post(
                        "/api/kitchen/vessels",
                        "{\"name\":\"camp pot\",\"kind\":\"pot\",\"innerDiameterCm\":18,\"heightCm\":10}")
                .body()
                .get("id")
                .asString();
        String where = "\"kitchen\":{\"vesselId\":\"" + vessel + "\",\"burnerId\":\"" + burner + "\"}";
        String ask = "{\"recipe\":" + POT.formatted("Learned") + "," + where + "}";
        JsonNode before = post("/api/plans", ask).body();
        assertThat(before.get("learned").size()).isZero();
        double heatS = before.get("steps").get(1).get("durationS").asDouble();
        for (int i = 0; i < 3; i++) {
            slowBrew(where);
        }
        JsonNode after = post("/api/plans", ask).body();
        assertThat(after.get("learned").get(0).get("words").asString()).contains("camp pot", "from 3 measurements");
        assertThat(heat(after)).isGreaterThan(heat(before) * 1.15);
        slowBrewPlannedWithTheFit(where);
        double again = heat(post("/api/plans", ask).body());
        assertThat(again).as("a fit does not feed on itself").isCloseTo(heat(after), within(heat(after) * 0.05));
        String what = after.get("learned").get(0).get("what").asString();
        assertThat(post("/api/learned", "{\"what\":\"" + what + "\",\"used\":false}")
                        .code())
                .isEqualTo(204);
        assertThat(heat(post("/api/plans", ask).body())).isCloseTo(heat(before), within(1.0));
        post("/api/learned", "{\"what\":\"" + what + "\",\"forget\":true}");
        assertThat(post("/api/plans", ask).body().get("learned").size()).isZero();
        assertThat(heatS).isPositive();
    }

    private static double heat(JsonNode plan) {
        for (JsonNode s : plan.get("steps")) {
            if (s.get("key").asString().equals("s0")) {
                return s.get("durationS").asDouble();
            }
        }
        throw new AssertionError("no heating");
    }

    /** A brew that takes a third longer to the boil than the burner's figures say. */
    private static void slowBrew(String where) {
        slow(brew("\"recipe\":" + POT.formatted("Slow") + "," + where + ",\"useLearned\":false"), 1.35);
    }

    /** The same stove again, whose slowness the plan knows by now: it takes about as long as planned. */
    private static void slowBrewPlannedWithTheFit(String where) {
        slow(brew("\"recipe\":" + POT.formatted("Slow") + "," + where), 1.02);
    }

    private static void slow(String id, double slowness) {
        JsonNode steps = get("/api/brews/" + id).body().get("plan").get("steps");
        double age = 6000;
        event(id, "\"kind\":\"started\",\"ageS\":" + age);
        for (JsonNode s : steps) {
            double took =
                    s.get("durationS").asDouble() * (s.get("key").asString().equals("s0") ? slowness : 1);
            if (!s.get("aside").asBoolean()) {
                age -= took;
            }
            event(
                    id,
                    "\"kind\":\"step-done\",\"step\":\"" + s.get("key").asString() + "\",\"ageS\":" + Math.max(0, age));
        }
        event(id, "\"kind\":\"finished\",\"ageS\":" + Math.max(0, age));
    }

    // ---- learning the taste

    @Test
    void cupsFeltTooWeakMakeTheNextOneStrongerForThatDrinker() {
        String recipe = recipe("Tasted");
        String person = post(
                        "/api/people",
                        "{\"name\":\"Taster %s\",\"ageYears\":44}"
                                .formatted(UUID.randomUUID().toString().substring(0, 8)))
                .body()
                .get("id")
                .asString();
        String ask = "{\"recipeId\":\"" + recipe + "\",\"drinkerId\":\"" + person + "\"}";
        double before = grams(post("/api/plans", ask).body());
        for (int i = 0; i < 3; i++) {
            String id = brew("\"recipeId\":\"" + recipe + "\",\"drinkerId\":\"" + person + "\",\"useLearned\":false");
            event(id, "\"kind\":\"finished\"");
            event(id, "\"kind\":\"noted\",\"strength\":-1");
        }
        JsonNode plan = post("/api/plans", ask).body();
        assertThat(plan.get("learned").get(0).get("words").asString()).contains("from 3 notes");
        assertThat(grams(plan)).isGreaterThan(before * 1.03);
        assertThat(plan.get("workings").isEmpty())
                .as("only who asks why is told")
                .isTrue();
        String why = ask.replaceFirst("\\}$", ",\"workings\":true}");
        assertThat(post("/api/plans", why).body().get("workings").toString()).contains("taste");
    }

    private static double grams(JsonNode plan) {
        return plan.get("additions").get(0).get("grams").asDouble();
    }

    // ---- notes, photos, history

    @Test
    void aNoteKeepsColourAndClarityAndIsFoundByThem() {
        String id = brew("\"recipe\":" + POT.formatted("Noted"));
        event(id, "\"kind\":\"finished\"");
        JsonNode noted = event(
                id,
                "\"kind\":\"noted\",\"strength\":0,\"liking\":4,\"colour\":\"copper\",\"clarity\":\"cloudy\",\"smell\":\"wet bark\",\"meanwhile\":\"northerly gale\"");
        assertThat(noted.get("note").get("colour").asString()).isEqualTo("copper");
        JsonNode found = get("/api/notebook?words=gale copper").body().get("entries");
        assertThat(found.get(0).get("brewId").asString()).isEqualTo(id);
        Answer wrong = post(
                "/api/brews/" + id + "/events",
                "{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"noted\",\"colour\":\"plaid\"}");
        assertThat(wrong.code()).isEqualTo(422);
        assertThat(wrong.body().toString()).contains("amber");
    }

    @Test
    void aPhotoIsKeptByWhatItIsAndNotByWhatItSays() {
        String id = brew("\"recipe\":" + POT.formatted("Pictured"));
        byte[] png = picture(40, 30);
        assertThat(put(id, png)).isEqualTo(204);
        assertThat(get("/api/brews/" + id).body().get("photo").asBoolean()).isTrue();
        byte[] back = RestClient.create(RunningServer.address())
                .get()
                .uri("/api/brews/" + id + "/photo")
                .exchange((q, r) -> {
                    assertThat(r.getHeaders().getContentType()).isEqualTo(MediaType.IMAGE_PNG);
                    assertThat(r.getHeaders().getFirst("X-Content-Type-Options"))
                            .isEqualTo("nosniff");
                    return r.getBody().readAllBytes();
                });
        assertThat(back).isEqualTo(png);
        assertThat(put(id, "<svg onload=alert(1)>".getBytes(StandardCharsets.UTF_8)))
                .isEqualTo(415);
        byte[] begunLikeOne = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n', 0, 0, 0, 13};
        assertThat(put(id, begunLikeOne)).isEqualTo(415);
        assertThat(put(id, Arrays.copyOf(png, png.length / 2))).isEqualTo(415);
        assertThat(put(id, new byte[8 * 1024 * 1024 + 1])).isEqualTo(413);
        assertThat(put(id, picture(5000, 4000))).as("twenty million points").isEqualTo(413);
        assertThat(RunningServer.delete("/api/brews/" + id + "/photo").code()).isEqualTo(204);
    }

    private static byte[] picture(int width, int height) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_BYTE_BINARY), "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int put(String id, byte[] bytes) {
        return RestClient.create(RunningServer.address())
                .put()
                .uri("/api/brews/" + id + "/photo")
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(bytes)
                .exchange((q, r) -> r.getStatusCode().value());
    }

    @Test
    void aRecipesHistoryIsInTheOrderOfItsBrews() {
        String recipe = recipe("Over time");
        for (int i = 0; i < 3; i++) {
            event(brew("\"recipeId\":\"" + recipe + "\""), "\"kind\":\"finished\"");
        }
        JsonNode history = get("/api/notebook/history/" + recipe).body();
        assertThat(history.size()).isEqualTo(3);
        assertThat(history.get(0).get("brewedAt").asString())
                .isLessThan(history.get(2).get("brewedAt").asString());
    }

    @Test
    void aSecondBrewIsLinkedToItsFirst() {
        String recipe = recipe("Twice");
        String first = brew("\"recipeId\":\"" + recipe + "\"");
        String second = brew("\"recipeId\":\"" + recipe + "\",\"spentHerbs\":true,\"ancestorId\":\"" + first + "\"");
        JsonNode sheet = get("/api/brews/" + second).body();
        assertThat(sheet.get("ancestorId").asString()).isEqualTo(first);
        assertThat(sheet.get("plan").get("spentHerbs").asBoolean()).isTrue();
    }

    // ---- gathered herbs

    @Test
    void pineNeedlesAreNotBrewedUntilTheCookIsSureWhatTheyAre() {
        String needles = """
                "recipe":{"name":"Needles","tradition":"folk","cups":1,"cupMl":240,
                 "additions":[{"herb":"pine-needle","form":"fresh","cut":"chopped","amount":5,"unit":"g"}]}
                """;
        Answer unsure = post("/api/brews", "{\"start\":true," + needles + "}");
        assertThat(unsure.code()).isEqualTo(409);
        assertThat(unsure.body().toString()).contains("pine-needle", "if in doubt");
        assertThat(post("/api/brews", "{\"start\":true,\"confirmed\":[\"pine-needle\"]," + needles + "}")
                        .code())
                .isEqualTo(201);
    }
}
