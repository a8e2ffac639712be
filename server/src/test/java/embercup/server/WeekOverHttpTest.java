package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** The days to come, and what the tins lack for them. */
@ExtendWith(RunningServer.class)
class WeekOverHttpTest {

    private static final String HYSSOP = """
            {"name":"Week of hyssop","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"hyssop","form":"dried","cut":"chopped","amount":4,"unit":"g","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}],
             "posology":{"cupsADay":2,"daysOn":3}}""";

    private static JsonNode hyssop() {
        return get("/api/week")
                .body()
                .get("shopping")
                .valueStream()
                .filter(l -> l.get("herb").asString().equals("hyssop"))
                .findFirst()
                .orElse(null);
    }

    @Test
    void whatPlannedPotsAndCoursesNeedIsCountedAgainstTheTins() {
        assertThat(hyssop()).isNull();
        String recipe = post("/api/recipes", "{\"about\":\"\",\"purposes\":[],\"recipe\":" + HYSSOP + "}")
                .body()
                .get("id")
                .asString();
        String brew = post(
                        "/api/brews",
                        "{\"recipeId\":\"%s\",\"startAt\":\"%s\"}"
                                .formatted(recipe, Instant.now().plus(Duration.ofHours(30))))
                .body()
                .get("id")
                .asString();
        assertThat(hyssop().get("needG").asDouble()).isCloseTo(4, within(1e-6));
        assertThat(hyssop().get("status").asString()).isEqualTo("none");
        // Two cups a day for three days, two grams in each.
        String course = post("/api/courses", "{\"recipeId\":\"%s\"}".formatted(recipe))
                .body()
                .get("id")
                .asString();
        assertThat(hyssop().get("needG").asDouble()).isCloseTo(4 + 12, within(1e-6));
        assertThat(hyssop().get("why").toString()).contains("Week of hyssop, 3 days");
        String tin = post("/api/shelf", "{\"herb\":\"hyssop\",\"form\":\"dried\",\"grams\":10}")
                .body()
                .get("id")
                .asString();
        assertThat(hyssop().get("missingG").asDouble()).isCloseTo(6, within(1e-6));
        assertThat(hyssop().get("status").asString()).isEqualTo("short");
        String text = RestClient.create(RunningServer.address())
                .get()
                .uri("/api/week/file?as=text")
                .retrieve()
                .body(String.class);
        assertThat(text).contains("Hyssop", "6.0 g", "Week of hyssop");
        post("/api/shelf", "{\"herb\":\"hyssop\",\"form\":\"dried\",\"grams\":40}");
        assertThat(hyssop().get("status").asString()).isEqualTo("enough");
        post("/api/shelf", "{\"herb\":\"hyssop\",\"form\":\"dried\",\"grams\":40,\"filledOn\":\"2019-01-01\"}");
        assertThat(hyssop().get("status").asString()).as("too old").isEqualTo("stale");
        post("/api/shelf", "{\"herb\":\"hyssop\",\"form\":\"dried\"}");
        assertThat(hyssop().get("status").asString())
                .as("nobody said how much is in it")
                .isEqualTo("unknown");
        JsonNode days = get("/api/week").body().get("days");
        assertThat(days.size()).isEqualTo(7);
        assertThat(days.toString()).contains(brew, course);
        assertThat(days.get(2)
                        .get("courses")
                        .valueStream()
                        .filter(c -> c.get("courseId").asString().equals(course))
                        .findFirst()
                        .orElseThrow()
                        .get("last")
                        .asBoolean())
                .isTrue();
        delete("/api/courses/" + course);
        post("/api/brews/" + brew + "/events", "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()));
        delete("/api/shelf/" + tin);
        assertThat(hyssop()).isNull();
        assertThat(get("/api/week?days=99").code()).isEqualTo(422);
    }
}
