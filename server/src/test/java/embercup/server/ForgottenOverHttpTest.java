package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.event;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What is deleted is gone, and what is forgotten leaves no name behind; what was brewed stays. */
@ExtendWith(RunningServer.class)
class ForgottenOverHttpTest {

    private static final String POT = """
            {"name":"Hip cup","tradition":"folk","cups":1,"cupMl":240,
             "additions":[{"herb":"rosehip","form":"dried","cut":"crushed","amount":2,"unit":"tsp","stage":0}],
             "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}""";

    private static String person(String name) {
        return post("/api/people", """
                        {"name":"%s","ageYears":50,"conditions":["kidney-stones"],"allergies":["arnica"]}""".formatted(name)).body().get("id").asString();
    }

    private static String brew(String more) {
        var told = post("/api/brews", "{\"start\":true,\"recipe\":" + POT + "," + more + "}");
        assertThat(told.code()).as(told.body().toString()).isEqualTo(201);
        return told.body().get("id").asString();
    }

    @Test
    void whoIsForgottenLeavesNoNameAndNoConditionInOldBrewsAndNotes() {
        String id = person("Zebulona");
        String hers = brew("\"drinkerId\":\"" + id + "\"");
        String shared = brew("\"others\":[{\"drinkerId\":\"" + id + "\",\"cupsADay\":1}]");
        assertThat(get("/api/brews/" + hers).body().toString()).contains("Zebulona");
        assertThat(get("/api/brews/" + shared).body().toString()).contains("Zebulona");
        assertThat(delete("/api/people/" + id + "?forget=true").code())
                .as("while a brew of hers is on the fire")
                .isEqualTo(409);
        event(hers, "finished");
        event(shared, "finished");
        assertThat(delete("/api/people/" + id + "?forget=true").code()).isEqualTo(204);
        for (String brew : new String[] {hers, shared}) {
            var told = get("/api/brews/" + brew);
            assertThat(told.code()).isEqualTo(200);
            assertThat(told.body().toString()).doesNotContain("Zebulona", "kidney-stones", id);
            assertThat(told.body()
                            .get("plan")
                            .get("additions")
                            .get(0)
                            .get("grams")
                            .asDouble())
                    .as("what was brewed stays")
                    .isPositive();
        }
        assertThat(get("/api/notebook?page=0").body().toString()).doesNotContain("Zebulona");
        assertThat(get("/api/notebook?words=Zebulona").body().get("entries").isEmpty())
                .isTrue();
    }

    @Test
    void whoIsOnlyOffTheListStaysInWhatWasBrewed() {
        String id = person("Quirina");
        String hers = brew("\"drinkerId\":\"" + id + "\"");
        event(hers, "finished");
        assertThat(delete("/api/people/" + id).code()).isEqualTo(204);
        assertThat(get("/api/brews/" + hers).body().toString()).contains("Quirina");
    }

    @Test
    void aBrewThatIsOverIsDeletedWithItsNote() {
        String brew = brew("\"cups\":1");
        assertThat(delete("/api/brews/" + brew).code()).as("on the fire").isEqualTo(409);
        event(brew, "finished");
        assertThat(get("/api/notebook?page=0").body().toString()).contains(brew);
        assertThat(delete("/api/brews/" + brew).code()).isEqualTo(204);
        assertThat(get("/api/brews/" + brew).code()).isEqualTo(404);
        assertThat(get("/api/notebook?page=0").body().toString()).doesNotContain(brew);
        assertThat(delete("/api/brews/" + brew).code()).isEqualTo(404);
    }

    @Test
    void whatIsKeptAboutSomebodyIsCountedAndGivenToHer() {
        String id = person("Zenobia");
        String hers = brew("\"drinkerId\":\"" + id + "\"");
        String shared = brew("\"others\":[{\"drinkerId\":\"" + id + "\",\"cupsADay\":1}]");
        event(hers, "finished");
        event(shared, "finished");
        var counted = get("/api/household/people/" + id).body();
        assertThat(counted.get("brews").asInt()).isEqualTo(2);
        assertThat(counted.get("notes").asInt()).isEqualTo(1);
        var all = get("/api/household/people/" + id + "/file").body();
        assertThat(all.get("person").get(0).get("name").asString()).isEqualTo("Zenobia");
        assertThat(all.get("person").get(0).get("conditions").toString()).contains("kidney-stones");
        assertThat(all.get("brews").size()).isEqualTo(2);
        assertThat(get("/api/household/people/" + UUID.randomUUID()).code()).isEqualTo(404);
        assertThat(delete("/api/people/" + id + "?forget=true").code()).isEqualTo(204);
        assertThat(get("/api/household/people/" + id).code()).isEqualTo(404);
    }
}
