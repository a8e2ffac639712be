package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** A recipe with cautions of its own and rows for others, through plan, course, file and refusals. */
@ExtendWith(RunningServer.class)
class TakenByOthersOverHttpTest {

    private static final String POT = """
            {"recipe":{"name":"Thyme by the spoon","cups":2,"cupMl":200,
             "additions":[{"herb":"thyme","form":"dried","cut":"whole","amount":2,"unit":"tsp","stage":0}],
             "stages":[{"kind":"hold","toC":85,"minutes":10,"lid":true},{"kind":"strain"}],
             "posology":{"doseAmount":2,"doseUnit":"tbsp","everyHours":2,"untilBetter":true,"mostDays":7,
              "rows":[{"fromYears":6,"toYears":12,"doseAmount":1,"doseUnit":"tbsp","timesADay":3,"mostDays":5},
                      {"when":"reflux","cupsADay":0.5},{"when":"the frail","cupsADay":1}]},
             "told":[{"text":"Wear gloves","about":"herb","herb":"thyme"},
                     {"text":"It must not rise","about":"step","stage":0},
                     {"text":"Not for people with epilepsy","about":"who","conditions":["epilepsy"],"underYears":6},
                     {"text":"Keep it cold","about":"keeping"}]}}
            """;

    private String recipe;

    @BeforeEach
    void write() {
        Answer kept = post("/api/recipes", POT);
        assertThat(kept.code()).as(kept.body().toString()).isEqualTo(201);
        recipe = kept.body().get("id").asString();
    }

    private JsonNode plan(String drinker) {
        return post("/api/plans", "{\"recipeId\":\"%s\",\"drinker\":%s}".formatted(recipe, drinker))
                .body();
    }

    private static List<String> texts(JsonNode plan, String severity) {
        return plan.get("cautions")
                .valueStream()
                .filter(c -> c.get("severity").asString().equals(severity))
                .map(c -> c.get("text").asString())
                .toList();
    }

    @Test
    void whatIsKeptComesBackAsItWasWritten() {
        JsonNode kept = get("/api/recipes/" + recipe).body().get("recipe");
        JsonNode written = RunningServer.JSON.readTree(POT).get("recipe");
        assertThat(kept.get("told")).isEqualTo(written.get("told"));
        assertThat(kept.get("posology").get("rows"))
                .isEqualTo(written.get("posology").get("rows"));
        assertThat(kept.get("stages").get(0).get("kind").asString()).isEqualTo("hold");
    }

    @Test
    void theSheetSpeaksTheRowOfWhoeverDrinks() {
        assertThat(plan("{\"ageYears\":40}").get("posology").asString())
                .startsWith("2 tbsp at a time, every 2 hours while awake")
                .contains("6 to under 12 years: 1 tbsp 3 times a day", "the frail: 1 cup a day");
        assertThat(plan("{\"ageYears\":8,\"weightKg\":26}").get("posology").asString())
                .contains("1 tbsp at a time")
                .doesNotContain("frail");
        assertThat(plan("{\"ageYears\":40,\"conditions\":[\"reflux\"]}")
                        .get("posology")
                        .asString())
                .startsWith("half a cup a day");
    }

    @Test
    void itsOwnCautionsStandWhereTheHandsAre() {
        JsonNode plan = plan("{\"ageYears\":40}");
        assertThat(texts(plan, "note")).contains("The recipe says: Wear gloves.", "The recipe says: It must not rise.");
        assertThat(texts(plan, "care")).contains("The recipe says: Keep it cold.");
        assertThat(plan.get("steps")
                        .valueStream()
                        .filter(s -> s.has("minds"))
                        .map(s -> s.get("kind").asString() + " " + s.get("minds"))
                        .toList())
                .containsExactly(
                        "prep [\"Wear gloves.\"]", "heat [\"It must not rise.\"]", "hold [\"It must not rise.\"]");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"{\"ageYears\":40,\"conditions\":[\"epilepsy\"]}", "{\"ageYears\":4,\"weightKg\":16}"})
    void whomItIsNotForIsStopped(String drinker) {
        assertThat(texts(plan(drinker), "stop"))
                .contains("The recipe says: Not for people with epilepsy. It is not for this drinker.");
    }

    @Test
    void aCourseOfOneChildFollowsTheChildsRow() {
        String child = person("Row Per", 9);
        String ask = "{\"recipeId\":\"%s\",\"drinkers\":[%s]}";
        JsonNode hers = post("/api/courses/preview", ask.formatted(recipe, "{\"drinkerId\":\"" + child + "\"}"))
                .body();
        JsonNode all = post("/api/courses/preview", ask.formatted(recipe, "")).body();
        assertThat(times(hers)).isEqualTo("08:00 14:30 21:00");
        assertThat(times(all)).isEqualTo("08:00 10:00 12:00 14:00 16:00 18:00 20:00 22:00");
        assertThat(hers.get("says").asString()).contains("1 tbsp at a time");
        assertThat(texts(all, "care")).contains("The recipe says: Keep it cold.");
    }

    /** The adult's two spoons and the child's one, each under her name: the course says what each of them takes. */
    @Test
    void aCourseOfSeveralSpeaksTheRowOfEach() {
        String adult = person("Maud", 41);
        String child = person("Nils", 8);
        String both = "{\"drinkerId\":\"" + adult + "\"},{\"drinkerId\":\"" + child + "\"}";
        JsonNode course = post(
                        "/api/courses/preview", "{\"recipeId\":\"%s\",\"drinkers\":[%s]}".formatted(recipe, both))
                .body();
        assertThat(course.get("drinkers").get(0).get("doseMl").asDouble()).isCloseTo(29.6, within(0.1));
        assertThat(course.get("drinkers").get(1).get("doseMl").asDouble()).isCloseTo(14.8, within(0.1));
        assertThat(course.get("says").asString())
                .contains("Maud: 2 tbsp at a time, every 2 hours")
                .contains("Nils: 1 tbsp at a time, 3 times a day")
                .doesNotContain("years")
                .doesNotContain("frail");
    }

    private static String person(String name, double age) {
        return post(
                        "/api/people",
                        "{\"name\":\"%s\",\"ageYears\":%s,\"weightKg\":%s,\"conditions\":[]}"
                                .formatted(name, age, age < 14 ? 28 : 66))
                .body()
                .get("id")
                .asString();
    }

    private static String times(JsonNode course) {
        return course.get("times")
                .valueStream()
                .map(t -> t.asString().substring(0, 5))
                .collect(Collectors.joining(" "));
    }

    @Test
    void aFriendGetsThemInTheText() {
        String text = RestClient.create(RunningServer.address())
                .get()
                .uri("/api/recipes/" + recipe + "/file?as=text")
                .retrieve()
                .body(String.class);
        assertThat(text)
                .contains("Wear gloves.", "It must not rise.", "Not for people with epilepsy.", "Keep it cold.")
                .contains("6 to under 12 years: 1 tbsp 3 times a day");
    }

    /** Each names its field in one sentence, and nothing is kept. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"about\":\"herb\",\"herb\":\"thyme\" | \"about\":\"herb\",\"herb\":\"linden\" | recipe.told[0].herb",
                "\"about\":\"step\",\"stage\":0 | \"about\":\"step\",\"stage\":7 | recipe.told[1].stage",
                "\"about\":\"keeping\" | \"about\":\"cellar\" | recipe.told[3].about",
                "\"fromYears\":6 | \"fromYears\":20 | recipe.posology.rows[0].toYears",
                "\"when\":\"reflux\",\"cupsADay\":0.5 | \"when\":\"reflux\" | recipe.posology.rows[1].cupsADay",
                "\"toC\":85 | \"toC\":120 | recipe.stages[0].toC",
                "\"toC\":85, | '' | recipe.stages[0].toC",
                "\"everyHours\":2 | \"everyHours\":0.2 | recipe.posology.everyHours"
            })
    void whatContradictsItselfIsRefusedByItsField(String was, String is, String field) {
        int before = get("/api/recipes").body().size();
        Answer refused = post("/api/recipes", POT.replaceFirst(java.util.regex.Pattern.quote(was), is));
        assertThat(refused.code()).as(refused.body().toString()).isEqualTo(422);
        assertThat(refused.body().get("violations").get(0).get("field").asString())
                .isEqualTo(field);
        assertThat(refused.body().get("violations").get(0).get("wanted").asString())
                .isNotBlank();
        assertThat(get("/api/recipes").body()).hasSize(before);
    }
}
