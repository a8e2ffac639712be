package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.event;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Fresh things where they stand, a blend in its jar, a cup out of a jar, spent herbs, a tincture: whatever else is kept. */
@ExtendWith(RunningServer.class)
class KeptThingsOverHttpTest {

    private static final LocalDate TODAY = LocalDate.now();

    @AfterAll
    static void offTheFire() {
        RunningServer.offTheFire();
    }

    private static JsonNode in(String list, String id) {
        return find(list, id).orElseThrow(() -> new AssertionError(id + " is not among the " + list));
    }

    private static Optional<JsonNode> find(String list, String id) {
        JsonNode body = list.equals("shelf")
                ? get("/api/shelf").body()
                : get("/api/keeping").body().get(list);
        return body.valueStream().filter(t -> t.get("id").asString().equals(id)).findFirst();
    }

    private static String put(String json) {
        Answer answer = post("/api/shelf", json);
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(201);
        return answer.body().get("id").asString();
    }

    // ---- where it stands

    /** A rhizome a week on the counter, a month in the fridge; no time for branches in water (common practice, no source). */
    @ParameterizedTest
    @CsvSource({
        "galangal, fresh, counter, 7",
        "galangal, fresh, fridge, 30",
        "rosemary, fresh, water, ",
        "rosemary, fresh, fridge, 7",
        "galangal, fresh, freezer, ",
        "lime-juice, fresh, freezer, ",
        "rosemary, dried, shelf, 365"
    })
    void whereAThingStandsSaysHowLongItIsGood(String herb, String form, String place, Integer days) {
        String id = put("{\"herb\":\"%s\",\"form\":\"%s\",\"place\":\"%s\",\"grams\":50}".formatted(herb, form, place));
        JsonNode tin = in("shelf", id);
        assertThat(tin.get("place").asString()).isEqualTo(place);
        assertThat(tin.get("why").asString()).endsWith(".");
        if (days == null) {
            assertThat(tin.has("bestBefore")).isFalse();
        } else {
            assertThat(LocalDate.parse(tin.get("bestBefore").asString()))
                    .isBetween(TODAY.plusDays(days - 1), TODAY.plusDays(days + 2));
        }
        delete("/api/shelf/" + id);
    }

    @Test
    void itIsMovedAndAnImpossiblePlaceIsRefusedWithThosePossible() {
        String id = put("{\"herb\":\"galangal\",\"form\":\"fresh\",\"grams\":80}");
        assertThat(in("shelf", id).get("place").asString()).isEqualTo("counter");
        String move = "{\"version\":%d,\"herb\":\"galangal\",\"form\":\"fresh\",\"grams\":80,\"place\":\"%s\"}";
        Answer water = RunningServer.put("/api/shelf/" + id, move.formatted(0, "water"));
        assertThat(water.code()).isEqualTo(422);
        assertThat(water.body().toString()).contains("counter", "fridge", "freezer");
        assertThat(RunningServer.put("/api/shelf/" + id, move.formatted(0, "fridge"))
                        .code())
                .isEqualTo(200);
        assertThat(LocalDate.parse(in("shelf", id).get("bestBefore").asString()))
                .isEqualTo(TODAY.plusDays(30));
        assertThat(in("shelf", id).get("places").toString()).isEqualTo("[\"counter\",\"fridge\",\"freezer\"]");
        delete("/api/shelf/" + id);
    }

    /** Moving a tin is no weighing of it: what was taken since somebody weighed it is still taken. */
    @Test
    void whatIsMovedIsNotWeighed() {
        String id = put("{\"herb\":\"damiana\",\"grams\":90}");
        brewed("damiana");
        assertThat(left(id)).isCloseTo(86, within(1e-9));
        Answer moved = RunningServer.put(
                "/api/shelf/" + id,
                "{\"version\":0,\"herb\":\"damiana\",\"form\":\"dried\",\"place\":\"fridge\",\"amountStays\":true}");
        assertThat(moved.code()).as(moved.body().toString()).isEqualTo(200);
        assertThat(left(id)).isCloseTo(86, within(1e-9));
        assertThat(in("shelf", id).get("left").get("brews").asInt()).isEqualTo(1);
        delete("/api/shelf/" + id);
    }

    // ---- a blend in its jar

    private static String blend() {
        String slug = "jarred-" + UUID.randomUUID().toString().substring(0, 8);
        assertThat(RunningServer.put(
                                "/api/herbs/" + slug + "/own",
                                "{\"common\":\"Slip evening\",\"parts\":[{\"herb\":\"damiana\",\"amount\":3,\"unit\":\"g\"},"
                                        + "{\"herb\":\"passionflower\",\"amount\":1,\"unit\":\"g\"}]}")
                        .code())
                .isEqualTo(200);
        return slug;
    }

    private static double left(String tin) {
        return in("shelf", tin).get("left").get("grams").asDouble();
    }

    /** 40 g of 3 : 1 take 30 g and 10 g; what is spooned of it comes out of its jar, and not once more out of the tins. */
    @Test
    void aBlendTakesItsHerbsFromTheTinsAndIsThenAThingOfItsOwn() {
        String three = put("{\"herb\":\"damiana\",\"grams\":100}");
        String one =
                put("{\"herb\":\"passionflower\",\"grams\":8,\"filledOn\":\"%s\"}".formatted(TODAY.minusDays(300)));
        String slug = blend();
        JsonNode plan = post("/api/shelf/mixes/plan", "{\"blend\":\"%s\",\"grams\":40}".formatted(slug))
                .body();
        assertThat(plan.get("parts").valueStream().map(p -> p.get("less").asBoolean()))
                .as("of the second there are 8 g")
                .containsExactly(false, true);
        assertThat(left(three)).as("a plan takes nothing").isEqualTo(100);
        Answer mixed = post("/api/shelf/mixes", "{\"blend\":\"%s\",\"grams\":40}".formatted(slug));
        assertThat(mixed.code()).as(mixed.body().toString()).isEqualTo(201);
        String jar = mixed.body().get("tin").get("id").asString();
        assertThat(left(jar)).isEqualTo(40);
        assertThat(left(three)).isCloseTo(70, within(1e-9));
        assertThat(left(one)).isZero();
        assertThat(in("shelf", jar).get("bestBefore").asString())
                .as("good no longer than the oldest herb in it")
                .isEqualTo(in("shelf", one).get("bestBefore").asString());
        brewed(slug);
        assertThat(left(jar)).isCloseTo(36, within(1e-6));
        assertThat(left(three)).as("not a second time").isCloseTo(70, within(1e-9));
        JsonNode again = post("/api/shelf/mixes", "{\"blend\":\"%s\",\"grams\":20}".formatted(slug))
                .body();
        assertThat(left(jar)).as("what was in it stays in it").isCloseTo(56, within(1e-6));
        assertThat(delete("/api/shelf/mixes/" + again.get("id").asString()).code())
                .isEqualTo(204);
        assertThat(left(jar)).isCloseTo(36, within(1e-6));
        assertThat(left(three)).isCloseTo(70, within(1e-9));
        assertThat(delete("/api/shelf/mixes/" + mixed.body().get("id").asString())
                        .code())
                .as("its jar was changed since")
                .isEqualTo(409);
        List.of(jar, three, one).forEach(t -> delete("/api/shelf/" + t));
    }

    private static String lacking(String recipe) {
        return get("/api/keeping/lacking")
                .body()
                .valueStream()
                .filter(l -> l.get("recipeId").asString().equals(recipe))
                .findFirst()
                .map(l -> l.get("herbs").toString())
                .orElse("");
    }

    /** A blend without a jar is there when its herbs are; a tin of which all was brewed is no tin. */
    @Test
    void aRecipeSaysWhatOfItIsNotInTheHouse() {
        String slug = blend();
        String pot = post("/api/recipes", """
                {"recipe":{"name":"Lacking pot","cups":1,"cupMl":240,"additions":[{"herb":"%s","amount":1,"unit":"tsp"}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}}""".formatted(slug)).body().get("id").asString();
        assertThat(lacking(pot)).isEqualTo("[\"damiana leaf\",\"passionflower herb\"]");
        String one = put("{\"herb\":\"damiana\",\"grams\":4}");
        assertThat(lacking(pot)).isEqualTo("[\"passionflower herb\"]");
        String other = put("{\"herb\":\"passionflower\"}");
        assertThat(lacking(pot)).isEmpty();
        brewed("damiana");
        assertThat(lacking(pot)).as("the last of it went into a pot").isEqualTo("[\"damiana leaf\"]");
        List.of(one, other).forEach(t -> delete("/api/shelf/" + t));
        delete("/api/recipes/" + pot);
    }

    private static void brewed(String herb) {
        Answer made = post("/api/brews", """
                {"start":true,"recipe":{"name":"Of the blend","cups":2,"cupMl":240,
                 "additions":[{"herb":"%s","amount":4,"unit":"g"}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}}""".formatted(herb));
        assertThat(made.code()).as(made.body().toString()).isEqualTo(201);
    }

    @Test
    void aMixingThatJustHappenedIsUndoneWhole() {
        String tin = put("{\"herb\":\"damiana\",\"grams\":100}");
        String slug = blend();
        JsonNode mixed = post("/api/shelf/mixes", "{\"blend\":\"%s\",\"grams\":40}".formatted(slug))
                .body();
        assertThat(delete("/api/shelf/mixes/" + mixed.get("id").asString()).code())
                .isEqualTo(204);
        assertThat(find("shelf", mixed.get("tin").get("id").asString())).isEmpty();
        assertThat(left(tin)).isEqualTo(100);
        delete("/api/shelf/" + tin);
    }

    @ParameterizedTest
    @CsvSource({"linden, 40", "no-such-blend, 40", "SLUG, 0", "SLUG, 20000"})
    void onlyABlendIsMixedAndOnlyAnAmountOfIt(String slug, double grams) {
        String of = slug.equals("SLUG") ? blend() : slug;
        assertThat(post("/api/shelf/mixes", "{\"blend\":\"%s\",\"grams\":%s}".formatted(of, grams))
                        .code())
                .isEqualTo(422);
    }

    // ---- a cup out of a jar

    private static String pot(String more) {
        Answer answer = post("/api/brews", """
                {"confirmed":["dandelion"],"recipe":{"name":"Kept for later","tradition":"folk","cups":4,"cupMl":240,
                 "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":14,"unit":"g","stage":0},
                              {"herb":"honey","form":"fresh","cut":"whole","amount":1,"unit":"tsp","stage":3}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"},{"kind":"finish"}]}%s}""".formatted(more));
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(201);
        String id = answer.body().get("id").asString();
        event(id, "started", ",\"ageS\":7200");
        event(id, "finished", ",\"ageS\":3600");
        return id;
    }

    @Test
    void aCupHasAClockOfItsOwnWhereverOneLooks() {
        String id = pot("");
        assertThat(event(id, "cup-begun", ",\"value\":240").code())
                .as("nothing is in a jar")
                .isEqualTo(409);
        event(id, "kept");
        event(id, "jar-noted", ",\"text\":\"second shelf, blue lid\"");
        assertThat(in("jars", id).get("jar").get("note").asString()).isEqualTo("second shelf, blue lid");
        assertThat(event(id, "cup-acted", ",\"act\":0").code())
                .as("no cup is begun")
                .isEqualTo(409);
        JsonNode begun = event(id, "cup-begun", ",\"value\":240,\"warm\":true").body();
        JsonNode acts = begun.get("making").get("acts");
        assertThat(acts.get(0).get("text").asString()).startsWith("Shake the jar");
        assertThat(event(id, "cup-acted", ",\"act\":3").code())
                .as("out of its turn")
                .isEqualTo(409);
        event(id, "cup-acted", ",\"act\":0");
        JsonNode warming = event(id, "cup-acted", ",\"act\":1")
                .body()
                .get("making")
                .get("acts")
                .get(2);
        assertThat(warming.get("text").asString()).contains("must not boil");
        JsonNode line = get("/api/brews")
                .body()
                .valueStream()
                .filter(b -> b.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
        assertThat(line.get("phase").asString()).isEqualTo("cup");
        assertThat(line.get("dueAt"))
                .as("its clock stands beside those of the brews")
                .isEqualTo(warming.get("dueAt"));
        assertThat(in("jars", id).get("making").get("ml").asDouble()).isEqualTo(240);
        event(id, "poured", ",\"value\":240");
        assertThat(in("jars", id).has("making")).isFalse();
        assertThat(in("jars", id).get("leftMl").asDouble()).isCloseTo(720, within(1.0));
        assertThat(get("/api/brews").body().toString()).doesNotContain(id);
    }

    private static String person(String name, String more) {
        return post("/api/people", "{\"name\":\"%s\"%s}".formatted(name, more))
                .body()
                .get("id")
                .asString();
    }

    private static final String SAGE =
            PlansOverHttpTest.LINDEN.replace("linden", "sage").replace("\"amount\":3", "\"amount\":2");

    /** Thujone of a day on which somebody plans two cups of sage, 2 mg each. */
    private static double thujone(String drinker) {
        return post("/api/plans", "{\"recipe\":%s,\"drinkerId\":\"%s\"}".formatted(SAGE, drinker))
                .body()
                .get("dailyLoads")
                .get(0)
                .get("mg")
                .asDouble();
    }

    private static JsonNode cup(String jar, String more) {
        return get("/api/keeping/jars/" + jar + "/cup?warm=false" + more).body();
    }

    /** Whoever drinks a cup out of a jar has it in her day, and nobody else has. */
    @Test
    void aCupThatSomebodyElseDrinksIsInHerDayAlone() {
        String bo = person("Bo of the jar", ",\"ageYears\":50,\"weightKg\":80");
        String edda = person("Edda of the jar", ",\"ageYears\":40,\"weightKg\":70");
        String jar = post("/api/brews", "{\"start\":true,\"recipe\":%s,\"drinkerId\":\"%s\"}".formatted(SAGE, bo))
                .body()
                .get("id")
                .asString();
        event(jar, "finished");
        event(jar, "kept");
        assertThat(in("jars", jar).get("drinkerId").asString()).isEqualTo(bo);
        assertThat(thujone(bo)).as("two cups now, two in the jar").isCloseTo(8, within(1e-6));
        assertThat(thujone(edda)).isCloseTo(4, within(1e-6));
        event(jar, "cup-begun", ",\"value\":200,\"drinkerId\":\"%s\"".formatted(edda));
        assertThat(in("jars", jar).get("making").get("drinkerId").asString()).isEqualTo(edda);
        JsonNode poured = event(jar, "poured", ",\"value\":200,\"drinkerId\":\"%s\"".formatted(edda))
                .body();
        assertThat(poured.get("events").toString()).contains("200 mL for somebody else");
        assertThat(thujone(edda)).as("two cups now, one out of the jar").isCloseTo(6, within(1e-6));
        assertThat(thujone(bo)).as("one cup is left for him").isCloseTo(6, within(1e-6));
        JsonNode kept = get("/api/household/people/" + edda).body();
        assertThat(kept.get("brews").asInt()).as("what is kept of her").isEqualTo(1);
        assertThat(delete("/api/people/" + edda + "?forget=true").code()).isEqualTo(204);
        assertThat(get("/api/brews/" + jar).body().toString()).doesNotContain(edda);
        event(jar, "emptied");
        assertThat(thujone(bo)).as("it is not his, though she is forgotten").isCloseTo(6, within(1e-6));
        delete("/api/people/" + bo);
    }

    /** Care says to her what it would have said of a pot for her; a child gets its share (Clark: 16 ÷ 68 kg, to whole hundredths below). */
    @Test
    void careIsTakenOfWhoeverDrinksOutOfAJar() {
        String expecting = person("Ida of the jar", ",\"ageYears\":30,\"weightKg\":65,\"conditions\":[\"pregnant\"]");
        String child = person("Pip of the jar", ",\"ageYears\":4,\"weightKg\":16");
        String jar = post("/api/brews", "{\"start\":true,\"recipe\":%s}".formatted(SAGE))
                .body()
                .get("id")
                .asString();
        event(jar, "finished");
        event(jar, "kept");
        assertThat(cup(jar, "").get("cautions")).isEmpty();
        JsonNode hers = cup(jar, "&drinkerId=" + expecting);
        assertThat(hers.get("stopped").asBoolean()).isTrue();
        assertThat(hers.get("cautions").toString()).contains("Ida of the jar", "pregnan");
        assertThat(event(jar, "cup-begun", ",\"value\":200,\"drinkerId\":\"%s\"".formatted(expecting))
                        .code())
                .isEqualTo(409);
        assertThat(event(jar, "cup-begun", ",\"value\":200,\"drinkerId\":\"%s\"".formatted(UUID.randomUUID()))
                        .code())
                .isEqualTo(404);
        JsonNode small = cup(jar, "&drinkerId=" + child);
        assertThat(small.get("ml").asDouble()).isEqualTo(200 * 0.23);
        assertThat(cup(jar, "&ml=200&drinkerId=" + child).get("cautions").toString())
                .contains("23 %");
        assertThat(event(jar, "poured", ",\"value\":50,\"drinkerId\":\"%s\"".formatted(expecting))
                        .code())
                .as("what was drunk is told all the same")
                .isEqualTo(200);
        delete("/api/people/" + expecting);
        delete("/api/people/" + child);
    }

    // ---- spent herbs

    @Test
    void spentHerbsStandInTheFridgeForADayAndAreBrewedOnceMore() {
        String id = pot("");
        assertThat(get("/api/brews/" + id).body().get("mayKeepMarc").asBoolean())
                .isTrue();
        event(id, "marc-kept");
        JsonNode marc = in("marcs", id);
        assertThat(marc.get("over").asBoolean()).isFalse();
        assertThat(Duration.between(
                        Instant.parse(marc.get("keptAt").asString()),
                        Instant.parse(marc.get("until").asString())))
                .isEqualTo(Duration.ofHours(24));
        event(id, "marc-gone");
        assertThat(find("marcs", id)).isEmpty();
        assertThat(event(id, "marc-gone", "").code()).isEqualTo(409);
        String kept = pot("");
        event(kept, "marc-kept");
        String second = pot(",\"spentHerbs\":true,\"ancestorId\":\"" + kept + "\"");
        assertThat(find("marcs", kept)).as("they are in the pot once more").isEmpty();
        Answer twice = event(second, "marc-kept", "");
        assertThat(twice.code()).isEqualTo(409);
        assertThat(twice.body().get("detail").asString()).contains("twice");
    }

    // ---- a tincture

    @Test
    void aTinctureIsShakenPressedBottledAndCountedInDrops() {
        Answer answer = post("/api/brews", """
                {"start":true,"confirmed":["yarrow"],"recipe":{"name":"Drops of the slip","tradition":"folk","cups":5,"cupMl":100,
                 "menstruum":"spirit","alcoholPercent":40,
                 "additions":[{"herb":"yarrow","form":"dried","cut":"chopped","amount":100,"unit":"g","stage":0}],
                 "stages":[{"kind":"macerate","minutes":43200},{"kind":"strain","pressed":true}]}}""");
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(201);
        String id = answer.body().get("id").asString();
        assertThat(event(id, "shaken", "").code()).as("it does not stand yet").isEqualTo(409);
        for (JsonNode step : answer.body().get("plan").get("steps")) {
            if (step.get("kind").asString().equals("macerate")) {
                break;
            }
            event(id, "step-done", ",\"step\":\"" + step.get("key").asString() + "\"");
        }
        JsonNode jar = in("standing", id);
        assertThat(jar.get("menstruum").asString()).isEqualTo("spirit of 40 %");
        assertThat(LocalDate.parse(jar.get("shaking").get("press").asString())).isEqualTo(TODAY.plusDays(30));
        assertThat(jar.get("shaking").get("days")).hasSize(31);
        event(id, "shaken");
        event(id, "finished");
        assertThat(find("standing", id)).isEmpty();
        event(id, "kept");
        JsonNode drops = in("jars", id).get("drops");
        assertThat(drops.get("drops").asDouble()).isCloseTo(40, within(1e-6));
        assertThat(drops.get("alcoholPercent").asDouble()).isEqualTo(40);
        assertThat(drops.get("alcoholG").asDouble())
                .as("2 mL of 40 %, ethanol 0.789 g/mL (from memory)")
                .isCloseTo(2 * 0.4 * 0.789, within(1e-6));
        event(id, "poured", ",\"value\":492");
        assertThat(find("jars", id)).as("the last 8 mL are four doses").isPresent();
        event(id, "poured", ",\"value\":8");
        assertThat(find("jars", id)).isEmpty();
    }

    // ---- words of one's own on recipes

    @Test
    void wordsOfOnesOwnAreNoVersionOfTheRecipe() {
        JsonNode recipe = get("/api/recipes").body().get(0);
        String path = "/api/recipes/" + recipe.get("id").asString();
        Answer said =
                RunningServer.put(path + "/mine", "{\"favourite\":true,\"words\":[\"for Sundays\",\"for Sundays\"]}");
        assertThat(said.code()).isEqualTo(200);
        assertThat(said.body().get("favourite").asBoolean()).isTrue();
        assertThat(said.body().get("words")).hasSize(1);
        assertThat(said.body().get("version")).isEqualTo(recipe.get("version"));
        assertThat(RunningServer.put(path + "/mine", "{\"favourite\":false}")
                        .body()
                        .get("words"))
                .as("what is not said stays")
                .hasSize(1);
        assertThat(RunningServer.put(path + "/mine", "{\"words\":[\"\"]}").code())
                .isEqualTo(422);
        RunningServer.put(path + "/mine", "{\"favourite\":false,\"words\":[]}");
        assertThat(get(path).body().get("words")).isEmpty();
    }
}
