package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.later.ChangedMateria;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A brew answers from the plan that is kept with it, whatever becomes of everything that the plan was made from. */
@ExtendWith(RunningServer.class)
class KeptPlansOverHttpTest {

    private static final String POT = """
            {"name":"Kept pot","tradition":"folk","cups":2,"cupMl":240,
             "additions":[{"herb":"%s","form":"dried","cut":"chopped","amount":2,"unit":"tbsp","stage":0},
                          {"herb":"dandelion","form":"dried","cut":"sliced","amount":4,"unit":"g","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":20},{"kind":"strain"}]}""";

    @AfterAll
    static void offTheFire() {
        RunningServer.offTheFire();
    }

    private static String added(String path, String json) {
        return post(path, json).body().get("id").asString();
    }

    /** A brew as it is answered, without the moment at which it was asked. */
    private static String brew(String server, String id) {
        ObjectNode brew = (ObjectNode) get(server, "/api/brews/" + id).body();
        brew.remove("serverNow");
        return brew.toString() + get(server, "/api/brews/" + id + "/workings").body();
    }

    private static void change(String path, String json) {
        long version = get(path).body().get("version").asLong();
        assertThat(put(path, json.replace("VERSION", Long.toString(version))).code())
                .isEqualTo(200);
    }

    private static void event(String id, String json) {
        post("/api/brews/" + id + "/events", "{\"id\":\"%s\",%s}".formatted(UUID.randomUUID(), json));
    }

    @Test
    void whateverIsEditedAndWhateverServerIsAskedTheAnswersAreTheSame() throws Exception {
        String herb = "kept-herb-" + UUID.randomUUID().toString().substring(0, 6);
        String own = "/api/herbs/" + herb + "/own";
        put(own, """
                {"common":"Wobbleweed","part":"leaf","weights":[{"form":"dried","cut":"chopped","gPerTsp":0.8}]}""");
        String vessel = added("/api/kitchen/vessels", """
                {"name":"Kept pot","kind":"pot","innerDiameterCm":17,"heightCm":11}""");
        String burner = added("/api/kitchen/burners", """
                {"name":"Kept burner","lowW":300,"mediumW":800,"highW":1500}""");
        String person = added("/api/people", """
                {"name":"Kept drinker","ageYears":41,"weightKg":70,"conditions":[],"allergies":[]}""");
        String recipe = added("/api/recipes", "{\"recipe\":" + POT.formatted(herb) + "}");
        String ask = """
                {"id":"%s","start":true,"recipeId":"%s","drinkerId":"%s","kitchen":{"vesselId":"%s","burnerId":"%s"}}""".formatted(UUID.randomUUID(), recipe, person, vessel, burner);
        String id = added("/api/brews", ask);
        event(id, "\"kind\":\"step-done\",\"step\":\"prep.0\"");
        event(id, "\"kind\":\"turned\",\"turn\":\"lid-off\"");
        String before = brew(RunningServer.address(), id);

        put(own, """
                {"version":0,"common":"Wobbleweed","part":"root","weights":[{"form":"dried","cut":"chopped","gPerTsp":3}]}""");
        String changed = POT.formatted(herb).replace("\"minutes\":20", "\"minutes\":55");
        put("/api/recipes/" + recipe, "{\"version\":0,\"recipe\":" + changed + "}");
        put("/api/kitchen/burners/" + burner, """
                {"version":0,"name":"Another name","lowW":100,"mediumW":200,"highW":400}""");
        delete("/api/kitchen/vessels/" + vessel);
        put("/api/people/" + person, """
                {"version":0,"name":"Another name","ageYears":8,"weightKg":26,"conditions":["kidney"],"allergies":[]}""");
        JsonNode place = get("/api/kitchen").body();
        change("/api/kitchen", "{\"version\":VERSION,\"altitudeM\":2400,\"tapC\":4}");
        assertThat(brew(RunningServer.address(), id)).isEqualTo(before);

        try (var later = RunningServer.start(
                Map.of("ember.demo", "false"), "--spring.main.sources=" + ChangedMateria.class.getName())) {
            String server = "http://127.0.0.1:" + later.getEnvironment().getProperty("local.server.port");
            assertThat(get(server, "/api/herbs/linden").body().get("bulk").toString())
                    .as("the later server weighs otherwise")
                    .contains("3.7");
            assertThat(brew(server, id)).isEqualTo(before);
        }
        delete("/api/people/" + person);
        change(
                "/api/kitchen",
                "{\"version\":VERSION,\"altitudeM\":%s,\"tapC\":%s}"
                        .formatted(place.get("altitudeM"), place.get("tapC")));
    }

    private static void sql(String statement, Object... values) throws SQLException {
        TestPostgres postgres = TestPostgres.get();
        try (Connection c = DriverManager.getConnection(postgres.url(), "ember", postgres.password());
                PreparedStatement s = c.prepareStatement(statement)) {
            for (int i = 0; i < values.length; i++) {
                s.setObject(i + 1, values[i]);
            }
            s.executeUpdate();
        }
    }

    private static String started() {
        return added(
                "/api/brews",
                "{\"id\":\"%s\",\"start\":true,\"recipe\":%s}".formatted(UUID.randomUUID(), PlansOverHttpTest.LINDEN));
    }

    @Test
    void aBrewWhosePlanCannotBeReadStaysInTheListsAndCanBeGivenUp() throws Exception {
        String id = started();
        String readable = RunningServer.rows("select kept from brew where id = '" + id + "'")
                .get(0);
        try {
            sql("update brew set kept = 'something else' where id = ?", UUID.fromString(id));
            assertThat(RunningServer.onTheFire())
                    .filteredOn(b -> b.get("id").asString().equals(id))
                    .singleElement()
                    .satisfies(b -> assertThat(b.get("unreadable").asBoolean()).isTrue());
            assertThat(get("/api/brews/" + id).code()).isEqualTo(409);
            assertThat(get("/api/brews/" + id).body().get("type").asString()).endsWith("unreadable");
            assertThat(RunningServer.status("/api/calendar.ics")).isEqualTo(200);
            event(id, "\"kind\":\"abandoned\"");
            assertThat(RunningServer.status("/api/calendar.ics")).isEqualTo(200);
            assertThat(RunningServer.onTheFire())
                    .noneMatch(b -> b.get("id").asString().equals(id));
        } finally {
            // Other tests save and bring back the same household.
            sql("update brew set kept = ? where id = ?", readable, UUID.fromString(id));
        }
    }

    /** Each kind of document of a brew, as a later version would keep it: named with its form, and everything beside it works. */
    @ParameterizedTest
    @ValueSource(strings = {"plan", "event", "sheet", "order"})
    void whatALaterVersionKeptIsRefusedByItsNameAndForm(String kind) throws Exception {
        String id = started();
        String other = started();
        String plan = RunningServer.rows("select kept from brew where id = '" + id + "'")
                .get(0);
        try {
            if (kind.equals("plan")) {
                String later = plan.replaceFirst("\"form\":\\d+", "\"form\":97");
                sql("update brew set kept = ? where id = ?", later, UUID.fromString(id));
            } else if (kind.equals("sheet")) {
                sql("update brew set plan = plan || '{\"form\":97}' where id = ?", UUID.fromString(id));
            } else if (kind.equals("order")) {
                sql("update brew set request = request || '{\"form\":97}' where id = ?", UUID.fromString(id));
            } else {
                sql("update brew_event set data = data || '{\"form\":97}' where brew_id = ?", UUID.fromString(id));
            }
            JsonNode refused = get("/api/brews/" + id).body();
            assertThat(refused.get("type").asString()).endsWith("later-form");
            assertThat(refused.get("detail").asString())
                    .contains("This " + kind + " is kept in form 97", "Nothing is lost");
            assertThat(RunningServer.onTheFire())
                    .filteredOn(b -> b.get("id").asString().equals(id))
                    .singleElement()
                    .satisfies(b -> assertThat(b.get("unreadable").asBoolean())
                            .isEqualTo(kind.equals("plan") || kind.equals("event")));
            assertThat(get("/api/brews/" + other).code()).isEqualTo(200);
            for (String place : List.of("/api/calendar.ics", "/api/keeping", "/api/week", "/api/notebook?page=0")) {
                assertThat(RunningServer.status(place)).as(place).isEqualTo(200);
            }
        } finally {
            sql("update brew set kept = ? where id = ?", plan, UUID.fromString(id));
            sql("update brew_event set data = data - 'form' where brew_id = ?", UUID.fromString(id));
            sql(
                    "update brew set plan = plan || '{\"form\":2}', request = request || '{\"form\":1}' where id = ?",
                    UUID.fromString(id));
            assertThat(get("/api/brews/" + id).code()).as("nothing was lost").isEqualTo(200);
            event(id, "\"kind\":\"abandoned\"");
            event(other, "\"kind\":\"abandoned\"");
        }
    }

    @Test
    void aBrewOfAnEarlierVersionGetsThePlanThatItsRequestMakes() throws Exception {
        String id = started();
        String before = brew(RunningServer.address(), id);
        sql("update brew set kept = null where id = ?", UUID.fromString(id));
        sql("delete from brew_figures where brew_id = ?", UUID.fromString(id));
        try (var next = RunningServer.start(Map.of("ember.demo", "false"))) {
            String server = "http://127.0.0.1:" + next.getEnvironment().getProperty("local.server.port");
            JsonNode brew = get(server, "/api/brews/" + id).body();
            assertThat(brew.get("strength"))
                    .isEqualTo(
                            RunningServer.JSON.readTree(firstDocument(before)).get("strength"));
            assertThat(get(server, "/api/brews/" + id + "/workings").body().has("strength"))
                    .isTrue();
        }
    }

    /** The brew without the workings that were written after it. */
    private static String firstDocument(String both) {
        return both.substring(0, both.indexOf("}{") + 1);
    }
}
