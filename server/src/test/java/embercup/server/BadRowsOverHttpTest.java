package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.sql;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.server.RunningServer.Answer;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** One recipe that no plan can be made of, however it came into the house, fails no list of the others. */
@ExtendWith(RunningServer.class)
class BadRowsOverHttpTest {

    private static final List<String> LISTS = List.of(
            "/api/recipes",
            "/api/plans/marks",
            "/api/day?from=2026-11-20T00:00:00Z&to=2026-11-21T00:00:00Z",
            "/api/week",
            "/api/keeping",
            "/api/shelf",
            "/api/courses",
            "/api/notebook",
            "/api/calendar.ics",
            "/api/shelf/file?as=csv");

    static Stream<String> numbers() {
        return Stream.of("5e-324", "1e-310", "1e300", "-3", "0", "1e15", "\"two\"", "null", "[1]");
    }

    /** As an older version, another program or a hand wrote it. */
    @ParameterizedTest
    @MethodSource("numbers")
    void noListFailsForOneRow(String amount) {
        for (String path : List.of("{additions,0,amount}", "{cups}", "{stages,0,minutes}", "{additions,0,stage}")) {
            String bad = post("/api/recipes", """
                    {"about":"","purposes":[],"recipe":{"name":"Bad row","tradition":"folk","cups":2,"cupMl":240,
                     "additions":[{"herb":"linden","form":"dried","cut":"chopped","amount":3,"unit":"g","stage":0}],
                     "stages":[{"kind":"simmer","minutes":5},{"kind":"strain"}]}}""").body().get("id").asString();
            sql("update recipe set document = jsonb_set(document, '%s', '%s') where id = '%s'"
                    .formatted(path, amount, bad));
            try {
                for (String list : LISTS) {
                    assertThat(RunningServer.status(list))
                            .as("%s with %s at %s", list, amount, path)
                            .isEqualTo(200);
                }
                assertThat(get("/api/recipes").body().size())
                        .as("the others are there")
                        .isPositive();
            } finally {
                sql("delete from recipe where id = '" + bad + "'");
            }
        }
    }

    /** The same from outside is refused with a sentence. */
    @ParameterizedTest
    @ValueSource(strings = {"5e-324", "1e-310", "1e300", "-3", "0", "1e15", "NaN"})
    void aNumberOutOfRangeIsRefusedInWords(String amount) {
        Answer refused = post("/api/recipes", """
                {"about":"","purposes":[],"recipe":{"name":"Bad row","tradition":"folk","cups":2,"cupMl":240,
                 "additions":[{"herb":"linden","form":"dried","cut":"chopped","amount":%s,"unit":"g","stage":0}],
                 "stages":[{"kind":"simmer","minutes":5},{"kind":"strain"}]}}""".formatted(amount));
        assertThat(refused.code()).isIn(400, 422);
        assertThat(refused.body().get("detail").asString()).isNotBlank();
    }
}
