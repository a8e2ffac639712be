package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The memory of the household. */
@ExtendWith(RunningServer.class)
class NotebookOverHttpTest {

    /** A brew that really took its times, told afterwards; answers its id. */
    private static String brewed(String taste, double steepMinutes, double hoursAgo) {
        double agoS = hoursAgo * 3600;
        JsonNode brew = post(
                        "/api/brews",
                        "{\"recipe\":%s,\"startAt\":\"%s\"}"
                                .formatted(
                                        PlansOverHttpTest.LINDEN, Instant.now().minusSeconds((long) agoS)))
                .body();
        String id = brew.get("id").asString();
        tell(id, "\"kind\":\"started\",\"ageS\":" + agoS);
        tell(id, "\"kind\":\"step-done\",\"step\":\"s0.heat\",\"ageS\":" + (agoS - 90));
        tell(id, "\"kind\":\"step-done\",\"step\":\"s0\",\"ageS\":" + (agoS - 120));
        tell(id, "\"kind\":\"step-done\",\"step\":\"s1\",\"ageS\":" + (agoS - 120 - steepMinutes * 60));
        tell(id, "\"kind\":\"step-done\",\"step\":\"s2\",\"ageS\":" + (agoS - 220 - steepMinutes * 60));
        tell(id, "\"kind\":\"finished\",\"ageS\":" + (agoS - 230 - steepMinutes * 60));
        tell(id, "\"kind\":\"noted\",\"strength\":0,\"liking\":4,\"taste\":\"%s\"".formatted(taste));
        return id;
    }

    private static JsonNode tell(String brew, String fields) {
        var answer = post("/api/brews/" + brew + "/events", "{\"id\":\"" + UUID.randomUUID() + "\"," + fields + "}");
        assertThat(answer.code()).isEqualTo(200);
        return answer.body();
    }

    private static JsonNode entry(String brewId, String words) {
        for (JsonNode e : get("/api/notebook?words=" + words).body().get("entries")) {
            if (e.get("brewId").asString().equals(brewId)) {
                return e;
            }
        }
        throw new AssertionError("no entry of " + brewId + " under " + words);
    }

    @Test
    void aCupSteepedAsPlannedIsAsStrongAsPlannedAndALongerOneIsStronger() {
        JsonNode onTime = entry(brewed("marzipan", 10, 5), "marzipan");
        JsonNode forgotten = entry(brewed("treacle", 25, 8), "treacle");
        assertThat(onTime.get("predictedStrength").asDouble())
                .isCloseTo(onTime.get("plannedStrength").asDouble(), within(0.03));
        assertThat(forgotten.get("predictedStrength").asDouble())
                .isGreaterThan(onTime.get("predictedStrength").asDouble());
    }

    @Test
    void wordsAreFoundByTheirStem() {
        String id = brewed("tasted of bruised apples", 10, 3);
        assertThat(entry(id, "apple").get("taste").asString()).contains("apples");
        assertThat(get("/api/notebook?words=xylophone").body().get("entries").size())
                .isZero();
        // What people type into a search field is never a query that breaks.
        assertThat(get("/api/notebook?words={words}".replace("{words}", "%22apple%20(%20%26%20%7C"))
                        .code())
                .isEqualTo(200);
    }

    @Test
    void theNewestStandsFirstAndAPageHasItsEnd() {
        brewed("newest of all", 10, 0.5);
        JsonNode page = get("/api/notebook").body();
        List<Instant> times = new ArrayList<>();
        page.get("entries")
                .forEach(e -> times.add(Instant.parse(e.get("brewedAt").asString())));
        assertThat(times).isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(get("/api/notebook?page=99").body().get("entries").size()).isZero();
        assertThat(get("/api/notebook?page=99").body().get("more").asBoolean()).isFalse();
    }

    @Test
    void aRecipesOwnHistoryIsAskedByItsId() {
        String linden = get("/api/recipes").body().get(0).get("id").asString();
        JsonNode history = get("/api/notebook?recipeId=" + linden).body().get("entries");
        assertThat(history.size()).isGreaterThanOrEqualTo(2);
        assertThat(history).allMatch(e -> e.get("recipeId").asString().equals(linden));
    }

    @Test
    void aNoteCanBeChangedAndTheLastOneStands() {
        String id = brewed("first thought", 10, 2);
        tell(id, "\"kind\":\"noted\",\"strength\":-1,\"liking\":2,\"taste\":\"second thought\"");
        JsonNode entry = entry(id, "second");
        assertThat(entry.get("felt").asInt()).isEqualTo(-1);
        assertThat(get("/api/notebook?words=\"first thought\"").body().get("entries"))
                .noneMatch(e -> e.get("brewId").asString().equals(id));
    }

    @Test
    void aPotThatWasGivenUpStandsThereAsGivenUp() {
        JsonNode brew = post("/api/brews", "{\"start\":true,\"recipe\":%s}".formatted(PlansOverHttpTest.LINDEN))
                .body();
        String id = brew.get("id").asString();
        tell(id, "\"kind\":\"abandoned\",\"why\":\"the milk boiled over\"");
        assertThat(entry(id, "linden").get("phase").asString()).isEqualTo("abandoned");
        assertThat(get("/api/brews").body())
                .noneMatch(b -> b.get("id").asString().equals(id));
    }

    @Test
    void theDayShowsWhatWasBrewedInItsHours() {
        String id = brewed("in the day", 10, 1);
        Instant now = Instant.now();
        JsonNode day = get("/api/day?from=" + now.minusSeconds(7200) + "&to=" + now.plusSeconds(60))
                .body();
        assertThat(day.get("brewed")).anyMatch(b -> b.get("id").asString().equals(id));
        JsonNode before = get("/api/day?from=" + now.minusSeconds(14_400) + "&to=" + now.minusSeconds(7200))
                .body();
        assertThat(before.get("brewed")).noneMatch(b -> b.get("id").asString().equals(id));
        assertThat(get("/api/day?from=" + now + "&to=" + now.minusSeconds(60)).code())
                .isEqualTo(422);
        assertThat(get("/api/day?from=yesterday&to=today").code()).isEqualTo(422);
    }

    @Test
    void theDemoHouseholdHasBrewedForWeeksAndHasAJarStanding() {
        JsonNode entries =
                get("/api/notebook?words=marshmallow OR roots OR linden").body().get("entries");
        assertThat(entries.size()).isGreaterThan(3);
        assertThat(get("/api/brews").body())
                .anyMatch(b -> b.get("name").asString().contains("nettle"));
        assertThat(get("/api/people").body().size()).isGreaterThanOrEqualTo(3);
    }
}
