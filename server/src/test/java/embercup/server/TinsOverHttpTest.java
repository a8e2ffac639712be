package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.event;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A brew takes its herbs out of the tins, and gives them back when it is given up. */
@ExtendWith(RunningServer.class)
class TinsOverHttpTest {

    private static JsonNode tin(String id) {
        return get("/api/shelf")
                .body()
                .valueStream()
                .filter(t -> t.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static String brew(String herb, String unit, double amount) {
        var made = post("/api/brews", """
                {"start":true,"recipe":{"name":"Out of the tin","tradition":"folk","cups":2,"cupMl":240,
                 "additions":[{"herb":"%s","form":"dried","cut":"chopped","amount":%s,"unit":"%s","stage":0}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}}""".formatted(herb, amount, unit));
        assertThat(made.code()).as(made.body().toString()).isEqualTo(201);
        return made.body().get("id").asString();
    }

    @Test
    void aStartedBrewLowersTheTinAndAGivenUpOneFillsItAgain() {
        String tin = post("/api/shelf", "{\"herb\":\"lemon-verbena\",\"form\":\"dried\",\"grams\":50}")
                .body()
                .get("id")
                .asString();
        assertThat(tin(tin).get("left").get("grams").asDouble()).isEqualTo(50);
        String weighed = brew("lemon-verbena", "g", 6);
        assertThat(tin(tin).get("left").get("grams").asDouble()).isCloseTo(44, within(1e-9));
        String spooned = brew("lemon-verbena", "tsp", 4);
        JsonNode left = tin(tin).get("left");
        assertThat(left.get("brews").asInt()).isEqualTo(2);
        double low = left.get("lowG").asDouble();
        double high = left.get("highG").asDouble();
        assertThat(high - low).as("spoons are no scales").isGreaterThan(0.3);
        assertThat(left.get("grams").asDouble()).isBetween(low, high).isLessThan(44);
        event(spooned, "abandoned");
        assertThat(tin(tin).get("left").get("grams").asDouble()).isCloseTo(44, within(1e-9));
        JsonNode kept = tin(tin);
        put(
                "/api/shelf/" + tin,
                "{\"version\":%d,\"herb\":\"lemon-verbena\",\"form\":\"dried\",\"grams\":40}"
                        .formatted(kept.get("version").asLong()));
        assertThat(tin(tin).get("left").get("grams").asDouble())
                .as("weighed again, it is what was said")
                .isEqualTo(40);
        event(weighed, "abandoned");
        delete("/api/shelf/" + tin);
    }

    /** What the sheet asks and what has to be meant before the start, whatever was taken since the tin was weighed. */
    @Test
    void moreThanTheTinHoldsIsAskedOnTheSheet() {
        String tin = post("/api/shelf", "{\"herb\":\"lemon-verbena\",\"form\":\"dried\",\"grams\":9}")
                .body()
                .get("id")
                .asString();
        assertThat(asked(6)).isEmpty();
        String brew = brew("lemon-verbena", "g", 6);
        assertThat(asked(6)).singleElement().asString().contains("6.0 g needed", " g on your shelf");
        event(brew, "abandoned");
        assertThat(asked(6)).isEmpty();
        delete("/api/shelf/" + tin);
    }

    /** A blend that stands mixed is spooned out of its own tin, which is short though those of its herbs are full. */
    @Test
    void aMixedBlendIsShortByItsOwnTin() {
        String blend = "balcony-dusk";
        put("/api/herbs/" + blend + "/own", """
                {"common":"Balcony dusk","parts":[{"herb":"hyssop","amount":2,"unit":"part"},
                 {"herb":"lemon-verbena","amount":1,"unit":"part"}]}""");
        List<String> full = Stream.of("hyssop", "lemon-verbena")
                .map(herb -> post("/api/shelf", "{\"herb\":\"%s\",\"form\":\"dried\",\"grams\":90}".formatted(herb)))
                .map(answer -> answer.body().get("id").asString())
                .toList();
        assertThat(asked(blend, 6)).isEmpty();
        String own = post("/api/shelf", "{\"herb\":\"%s\",\"form\":\"dried\",\"grams\":5}".formatted(blend))
                .body()
                .get("id")
                .asString();
        assertThat(asked(blend, 4)).isEmpty();
        assertThat(asked(blend, 6))
                .singleElement()
                .asString()
                .contains("Balcony dusk: 6.0 g needed", " g on your shelf");
        delete("/api/shelf/" + own);
        full.forEach(tin -> delete("/api/shelf/" + tin));
        delete("/api/herbs/" + blend + "/own");
    }

    private static List<String> asked(double grams) {
        return asked("lemon-verbena", grams);
    }

    private static List<String> asked(String herb, double grams) {
        return post("/api/plans", """
                        {"recipe":{"name":"Out of the tin","tradition":"folk","cups":2,"cupMl":240,
                         "additions":[{"herb":"%s","form":"dried","cut":"chopped","amount":%s,"unit":"g","stage":0}],
                         "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}}""".formatted(herb, grams))
                .body()
                .get("cautions")
                .valueStream()
                .filter(c -> c.has("asks"))
                .map(c -> c.get("text").asString())
                .toList();
    }

    @Test
    void whatIsNotInThatTinOrNotOnTheFireTakesNothing() {
        String dried = post("/api/shelf", "{\"herb\":\"lemon-verbena\",\"form\":\"dried\",\"grams\":3}")
                .body()
                .get("id")
                .asString();
        String fresh = post("/api/shelf", "{\"herb\":\"lemon-verbena\",\"form\":\"fresh\",\"grams\":10}")
                .body()
                .get("id")
                .asString();
        String unsaid = post("/api/shelf", "{\"herb\":\"hyssop\",\"form\":\"dried\"}")
                .body()
                .get("id")
                .asString();
        String brew = brew("lemon-verbena", "g", 25);
        assertThat(tin(dried).get("left").get("grams").asDouble())
                .as("more was taken than was said")
                .isZero();
        assertThat(tin(fresh).get("left").get("grams").asDouble()).isEqualTo(10);
        assertThat(tin(unsaid).has("left")).isFalse();
        event(brew, "abandoned");
        for (String id : new String[] {dried, fresh, unsaid}) {
            delete("/api/shelf/" + id);
        }
    }
}
