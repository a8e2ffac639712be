package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.server.RunningServer.Answer;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** A recipe drunk day by day: who, which days, at which times; what is late, missed, in the way. */
@ExtendWith(RunningServer.class)
class CoursesOverHttpTest {

    private static final LocalDate TODAY = LocalDate.ofInstant(Instant.now(), zone());

    private static ZoneId zone() {
        JsonNode said = get("/api/kitchen").body().get("zone");
        return said == null || said.isNull() ? ZoneId.systemDefault() : ZoneId.of(said.asString());
    }

    @AfterEach
    void noCourseIsLeft() {
        get("/api/courses")
                .body()
                .forEach(c -> delete("/api/courses/" + c.get("id").asString()));
    }

    private static String recipe(String name, String herb, String cut, double grams, String posology) {
        Answer kept = post("/api/recipes", """
                {"about":"","purposes":[],"recipe":{"name":"%s","tradition":"folk","cups":3,"cupMl":240,
                 "additions":[{"herb":"%s","form":"dried","cut":"%s","amount":%s,"unit":"g","stage":0}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10},{"kind":"strain"}]%s}}
                """.formatted(
                        name, herb, cut, grams, posology.isEmpty() ? "" : ",\"posology\":" + posology));
        assertThat(kept.code()).as(kept.body().toString()).isEqualTo(201);
        return kept.body().get("id").asString();
    }

    private static String person(String name, double age, String conditions) {
        return post(
                        "/api/people",
                        "{\"name\":\"%s\",\"ageYears\":%s,\"weightKg\":%s,\"conditions\":[%s]}"
                                .formatted(name, age, age < 14 ? 26 : 66, conditions))
                .body()
                .get("id")
                .asString();
    }

    private static Answer course(String recipe, String more, String... drinkers) {
        String who = java.util.Arrays.stream(drinkers)
                .map("{\"drinkerId\":\"%s\"}"::formatted)
                .collect(Collectors.joining(","));
        return post("/api/courses", "{\"recipeId\":\"%s\",\"drinkers\":[%s]%s}".formatted(recipe, who, more));
    }

    private static JsonNode begun(String recipe, String more, String... drinkers) {
        Answer answer = course(recipe, more, drinkers);
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(201);
        return answer.body();
    }

    private static String kinds(JsonNode course) {
        return course.get("days")
                .valueStream()
                .map(d -> d.get("kind").asString().substring(0, 1))
                .collect(Collectors.joining());
    }

    private static String states(JsonNode course, int day) {
        return course.get("days")
                .get(day)
                .get("doses")
                .valueStream()
                .map(d -> d.get("state").asString())
                .collect(Collectors.joining(" "));
    }

    @Test
    void aWeekOnAWeekOffAndAWeekOn() {
        String rosehip =
                recipe("Two weeks of hips", "rosehip", "crushed", 6, "{\"cupsADay\":1,\"daysOn\":7,\"daysOff\":7}");
        JsonNode course = begun(rosehip, ",\"days\":14", person("Course Ann", 40, ""));
        assertThat(kinds(course)).isEqualTo("dddddddrrrrrrrddddddd");
        assertThat(course.get("lastDay").asString())
                .isEqualTo(TODAY.plusDays(20).toString());
        assertThat(course.get("limit").asString()).contains("recipe", "7 days");
        assertThat(course.get("phase").asString()).isEqualTo("running");
        assertThat(begun(rosehip, "").get("drinkingDays").asInt())
                .as("as the recipe says")
                .isEqualTo(7);
    }

    @Test
    void aCourseIsNeverLongerThanItsHerbs() {
        String ann = person("Course Bea", 40, "");
        String pot = recipe("Echinacea course", "echinacea", "chopped", 3, "");
        JsonNode better = begun(pot, ",\"untilBetter\":true", ann);
        // HMPC: Echinacea purpurea herb, not longer than 10 days.
        assertThat(better.get("rowDays").asInt()).isEqualTo(10);
        assertThat(better.get("lastDay").asString()).isEqualTo(TODAY.plusDays(9).toString());
        assertThat(better.get("limit").asString()).contains("Echinacea");
        delete("/api/courses/" + better.get("id").asString());
        JsonNode twenty = begun(pot, ",\"days\":20", ann);
        assertThat(kinds(twenty))
                .as("the break is as long as the run")
                .isEqualTo("d".repeat(10) + "r".repeat(10) + "d".repeat(10));
    }

    @Test
    void whatWasDrunkBeforeMakesItShorterAndIsSaid() {
        String cat = person("Course Cat", 40, "");
        String pot = recipe("Echinacea before", "echinacea", "chopped", 3, "");
        for (int day = 1; day <= 4; day++) {
            JsonNode brew = post(
                            "/api/brews",
                            "{\"recipeId\":\"%s\",\"drinkerId\":\"%s\",\"start\":false,\"startAt\":\"%s\",\"cups\":1}"
                                    .formatted(
                                            pot,
                                            cat,
                                            TODAY.minusDays(day)
                                                    .atTime(9, 0)
                                                    .atZone(zone())
                                                    .toInstant()))
                    .body();
            long age = java.time.Duration.between(
                            Instant.parse(brew.get("plan").get("startAt").asString()), Instant.now())
                    .toSeconds();
            event(brew, "\"started\",\"ageS\":" + age);
            event(brew, "\"finished\",\"ageS\":" + (age - 3600));
        }
        Answer refused = course(pot, ",\"days\":10", cat);
        assertThat(refused.code()).isEqualTo(409);
        assertThat(refused.body().get("detail").asString()).contains("Echinacea", "6 days");
        assertThat(course(pot, ",\"days\":6", cat).code()).isEqualTo(201);
        JsonNode looked = post(
                        "/api/courses/preview",
                        "{\"recipeId\":\"%s\",\"days\":10,\"drinkers\":[{\"drinkerId\":\"%s\"}]}".formatted(pot, cat))
                .body();
        assertThat(looked.get("tooLong").get("most").asInt()).isEqualTo(6);
        assertThat(looked.has("id")).isFalse();
    }

    private static JsonNode event(JsonNode brew, String kind) {
        Answer answer = post(
                "/api/brews/" + brew.get("id").asString() + "/events",
                "{\"id\":\"%s\",\"kind\":%s}".formatted(UUID.randomUUID(), kind));
        assertThat(answer.code()).as(kind + answer.body()).isEqualTo(200);
        return answer.body();
    }

    private static final String ONE_BOIL =
            "{\"kind\":\"heat\"},{\"kind\":\"simmer\",\"minutes\":10},{\"kind\":\"strain\"}";
    /** Boiled and simmered, strained; new water, the same again; combined and divided into three cups (common practice, no source). */
    private static final String TWO_BOILS =
            "{\"kind\":\"simmer\",\"minutes\":40,\"lid\":false},{\"kind\":\"strain\"},{\"kind\":\"refill\",\"toMl\":720},"
                    + "{\"kind\":\"simmer\",\"minutes\":40,\"lid\":false},{\"kind\":\"strain\"},{\"kind\":\"combine\"}";

    /** Three doses a day come out of one pot, of one boil or of two: what is poured of it is what was drunk. */
    @ParameterizedTest
    @ValueSource(strings = {ONE_BOIL, TWO_BOILS})
    void threeDosesADayFromOnePot(String stages) {
        String dee = person("Course Dee", 40, "");
        Answer kept = post("/api/recipes", """
                {"about":"","purposes":[],"recipe":{"name":"Three a day","tradition":"chinese","cups":3,"cupMl":240,
                 "additions":[{"herb":"astragalus","form":"dried","cut":"sliced","amount":15,"unit":"g","stage":0}],
                 "stages":[%s],"posology":{"cupsADay":3}}}""".formatted(stages));
        assertThat(kept.code()).as(kept.body().toString()).isEqualTo(201);
        String pot = kept.body().get("id").asString();
        LocalTime now = LocalTime.now(zone());
        String times = ",\"times\":[\"00:00\",\"23:58\",\"23:59\"]";
        JsonNode course = begun(pot, ",\"days\":3" + times, dee);
        assertThat(states(course, 1)).isEqualTo("ahead ahead ahead");
        assertThat(course.get("drinkers").get(0).get("doseMl").asDouble()).isCloseTo(240, within(0.01));
        JsonNode brew = post(
                        "/api/brews", "{\"recipeId\":\"%s\",\"drinkerId\":\"%s\",\"start\":true}".formatted(pot, dee))
                .body();
        String doses = "/api/courses/" + course.get("id").asString() + "/cups";
        Answer warming = post(
                doses,
                "{\"id\":\"%s\",\"brewId\":\"%s\"}"
                        .formatted(UUID.randomUUID(), brew.get("id").asString()));
        assertThat(warming.code()).as("a kettle that warms up holds no tea").isEqualTo(409);
        assertThat(get("/api/courses/" + course.get("id").asString()).body().get("sources"))
                .isEmpty();
        event(brew, "\"finished\"");
        JsonNode with = get("/api/courses/" + course.get("id").asString()).body();
        assertThat(with.get("days").get(0).get("brewed").asBoolean()).isTrue();
        assertThat(with.get("sources").get(0).get("brewId").asString())
                .isEqualTo(brew.get("id").asString());
        double left = with.get("sources").get(0).get("leftMl").asDouble();
        String cup = "{\"id\":\"%s\",\"brewId\":\"%s\"}"
                .formatted(UUID.randomUUID(), brew.get("id").asString());
        JsonNode drunk = post("/api/courses/" + course.get("id").asString() + "/cups", cup)
                .body();
        assertThat(drunk.get("sources").get(0).get("leftMl").asDouble())
                .as("the pot is lower")
                .isCloseTo(left - 240, within(1e-6));
        assertThat(states(drunk, 0)).contains("taken");
        assertThat(drunk.get("sources").get(0).get("leftMl").asDouble())
                .as("of three cups two are left")
                .isCloseTo(480, within(2.0));
        assertThat(post("/api/courses/" + course.get("id").asString() + "/cups", cup)
                        .code())
                .as("the same again")
                .isEqualTo(200);
        Answer twice = post(
                "/api/courses/" + course.get("id").asString() + "/cups",
                "{\"id\":\"%s\"}".formatted(UUID.randomUUID()));
        assertThat(twice.code()).isEqualTo(409);
        assertThat(twice.body().get("detail").asString()).contains("never two at once");
        assertThat(now).isNotNull();
    }

    /** A cup of another recipe is no dose of this one: nothing is poured. */
    @Test
    void aDoseComesOutOfAPotOfItsOwnRecipe() {
        String pot = recipe("The right pot", "rosehip", "crushed", 6, "");
        String other = recipe("Another pot", "rosehip", "crushed", 6, "");
        JsonNode course = begun(pot, ",\"days\":2,\"times\":[\"00:00\"]");
        JsonNode brew = post("/api/brews", "{\"recipeId\":\"%s\",\"start\":true}".formatted(other))
                .body();
        event(brew, "\"finished\"");
        Answer refused = post(
                "/api/courses/" + course.get("id").asString() + "/cups",
                "{\"id\":\"%s\",\"brewId\":\"%s\"}"
                        .formatted(UUID.randomUUID(), brew.get("id").asString()));
        assertThat(refused.code()).isEqualTo(409);
        assertThat(get("/api/brews/" + brew.get("id").asString())
                        .body()
                        .get("pouredMl")
                        .asDouble())
                .isZero();
    }

    @Test
    void aCupFromElsewhereIsTickedAndTakenBack() {
        String pot = recipe("Elsewhere", "rosehip", "crushed", 6, "");
        JsonNode course = begun(pot, ",\"days\":2,\"times\":[\"00:00\"]");
        String id = course.get("id").asString();
        UUID cup = UUID.randomUUID();
        assertThat(states(
                        post("/api/courses/" + id + "/cups", "{\"id\":\"%s\"}".formatted(cup))
                                .body(),
                        0))
                .isEqualTo("taken");
        assertThat(states(
                        RunningServer.delete("/api/courses/" + id + "/cups/" + cup)
                                .body(),
                        0))
                .isNotEqualTo("taken");
    }

    @Test
    void twoPeopleOnOnePotAndTheChildHasItsShare() {
        String pot = recipe("For two", "rosehip", "crushed", 6, "{\"cupsADay\":2,\"childShare\":0.25}");
        JsonNode course = begun(pot, ",\"days\":3", person("Course Eve", 40, ""), person("Course Fin", 9, ""));
        assertThat(course.get("drinkers").get(0).get("serving").asDouble()).isEqualTo(1);
        assertThat(course.get("drinkers").get(1).get("serving").asDouble())
                .as("the recipe says a quarter, age and weight would allow more")
                .isEqualTo(0.25);
        assertThat(course.get("drinkers").get(1).get("doseMl").asDouble()).isCloseTo(60, within(0.01));
        assertThat(course.get("times").size()).isEqualTo(2);
    }

    /** The child has a row of its own: a spoon every two hours is no cup, and all its spoons of a day are judged. */
    @ParameterizedTest
    @CsvSource({"1, tbsp, 2, true", "1, tsp, 1, true", "200, mL, 2, false", "1, cup, 1, false"})
    void aChildIsJudgedByItsOwnRowBesideOthers(double dose, String unit, double hours, boolean begun) {
        String row = "{\"fromYears\":2,\"toYears\":12,\"doseAmount\":%s,\"doseUnit\":\"%s\",\"everyHours\":%s}"
                .formatted(dose, unit, hours);
        String pot = recipe(
                "Spoons for two",
                "thyme",
                "chopped",
                4,
                "{\"doseAmount\":2,\"doseUnit\":\"tbsp\",\"everyHours\":2,\"untilBetter\":true,\"rows\":[" + row
                        + "]}");
        Answer answer = course(
                pot,
                ",\"days\":3",
                person("Spoon Eve", 40, ""),
                person("Spoon Ida", 51, ""),
                person("Spoon Fin", 9, ""));
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(begun ? 201 : 409);
        if (begun) {
            assertThat(answer.body().get("says").asString())
                    .as("who takes it alike is told once")
                    .startsWith("Spoon Eve and Spoon Ida: 2 tbsp at a time")
                    .contains("; Spoon Fin: 1 " + unit);
        } else {
            assertThat(answer.body().get("detail").asString()).contains("% of a cup at a time");
        }
    }

    @Test
    void aConditionThatIsEnteredLaterIsSaid() {
        String gil = person("Course Gil", 40, "");
        String pot = recipe("Liquorice course", "liquorice", "sliced", 1.5, "{\"cupsADay\":1}");
        JsonNode course = begun(pot, ",\"days\":5", gil);
        String before = course.get("cautions").toString();
        JsonNode person = get("/api/people")
                .body()
                .valueStream()
                .filter(p -> p.get("id").asString().equals(gil))
                .findFirst()
                .orElseThrow();
        assertThat(put(
                                "/api/people/" + gil,
                                "{\"version\":%d,\"name\":\"Course Gil\",\"ageYears\":40,\"weightKg\":66,\"conditions\":[\"high-blood-pressure\"]}"
                                        .formatted(person.get("version").asLong()))
                        .code())
                .isEqualTo(200);
        String after = get("/api/courses/" + course.get("id").asString())
                .body()
                .get("cautions")
                .toString();
        assertThat(before).doesNotContain("blood pressure");
        assertThat(after).contains("blood pressure");
        assertThat(course(pot, ",\"days\":3", gil).code())
                .as("and another is not begun")
                .isEqualTo(409);
    }

    @Test
    void twoCoursesWithTheSameHerbSaySo() {
        String hal = person("Course Hal", 40, "");
        String one = recipe("Nettle mornings", "nettle", "chopped", 15, "{\"cupsADay\":3}");
        String two = recipe("Nettle evenings", "nettle", "chopped", 15, "{\"cupsADay\":3}");
        assertThat(begun(one, ",\"days\":5", hal).get("clashes").size()).isZero();
        JsonNode second = begun(two, ",\"days\":5", hal);
        assertThat(second.get("clashes").toString()).contains("Nettle mornings");
        String other = person("Course Ida", 40, "");
        assertThat(begun(two, ",\"days\":5", other).get("clashes").size())
                .as("another drinker")
                .isZero();
    }

    @Test
    void betterIsTheEndAndMayBeTakenBack() {
        String pot = recipe("Until better", "rosehip", "crushed", 6, "");
        String id = begun(pot, ",\"untilBetter\":true").get("id").asString();
        JsonNode ended =
                post("/api/courses/" + id + "/end", "{\"why\":\"better\"}").body();
        assertThat(ended.get("lastDay").asString()).isEqualTo(TODAY.toString());
        assertThat(kinds(ended)).isEqualTo("d" + "e".repeat(13));
        assertThat(kinds(delete("/api/courses/" + id + "/end").body())).isEqualTo("d".repeat(14));
        assertThat(post("/api/courses/" + id + "/end", "{\"why\":\"bored\"}").code())
                .isEqualTo(422);
    }

    @Test
    void aCourseKeepsItsRecipe() {
        String pot = recipe("Kept by its course", "rosehip", "crushed", 6, "{\"cupsADay\":1,\"daysOn\":5}");
        String id = begun(pot, "").get("id").asString();
        assertThat(delete("/api/recipes/" + pot).code()).isEqualTo(204);
        JsonNode course = get("/api/courses/" + id).body();
        assertThat(course.get("name").asString()).isEqualTo("Kept by its course");
        assertThat(kinds(course)).isEqualTo("ddddd");
        assertThat(put("/api/courses/" + id, "{\"version\":0,\"days\":3}")
                        .body()
                        .get("days")
                        .size())
                .isEqualTo(3);
        assertThat(put("/api/courses/" + id, "{\"version\":0,\"days\":4}").code())
                .as("somebody was first")
                .isEqualTo(409);
    }

    @Test
    void whoIsOffTheListLeavesHerCourseAndWhoIsForgottenTakesItAlong() {
        String pot = recipe("Left behind", "rosehip", "crushed", 6, "");
        String joy = person("Course Joy", 40, "");
        String kim = person("Course Kim", 40, "");
        String lee = person("Course Lee", 40, "");
        String id = begun(pot, ",\"days\":3", joy).get("id").asString();
        assertThat(delete("/api/people/" + joy).code()).isEqualTo(204);
        JsonNode left = get("/api/courses/" + id).body();
        assertThat(kinds(left)).isEqualTo("ddd");
        assertThat(left.get("drinkers").get(0).get("name").asString()).isEmpty();
        String both = begun(pot, ",\"days\":3", kim, lee).get("id").asString();
        String alone = begun(pot, ",\"days\":3", lee).get("id").asString();
        assertThat(delete("/api/people/" + lee + "?forget=true").code()).isEqualTo(204);
        assertThat(get("/api/courses/" + both).body().get("drinkers").size()).isEqualTo(1);
        assertThat(get("/api/courses/" + alone).code()).isEqualTo(404);
        assertThat(get("/api/courses").code()).isEqualTo(200);
    }

    @Test
    void whatIsNoCourseIsRefusedWithWords() {
        String pot = recipe("No course", "rosehip", "crushed", 6, "");
        assertThat(course(pot, ",\"days\":0").code()).isEqualTo(422);
        assertThat(course(pot, ",\"days\":400").code()).isEqualTo(422);
        assertThat(course(pot, ",\"times\":[\"25:00\"]").code()).isEqualTo(422);
        assertThat(course(pot, ",\"times\":[]").code()).isEqualTo(422);
        assertThat(course(UUID.randomUUID().toString(), "").code()).isEqualTo(404);
        assertThat(course(pot, "", UUID.randomUUID().toString()).code()).isEqualTo(404);
        assertThat(post("/api/courses", "{}").code()).isEqualTo(422);
    }
}
