package embercup.server;

import static embercup.server.RunningServer.delete;
import static embercup.server.RunningServer.event;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What the house has before it, read back from its calendar (RFC 5545). */
@ExtendWith(RunningServer.class)
class CalendarOverHttpTest {

    private static HttpResponse<String> asked(String more) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(RunningServer.address() + "/api/calendar.ics" + more))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    private static List<VEvent> events(String more) throws Exception {
        String text = asked(more).body();
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        calendar.validate(true);
        return calendar.getComponents("VEVENT");
    }

    private static VEvent named(List<VEvent> events, String uid) {
        return events.stream()
                .filter(e -> e.getRequiredProperty("UID").getValue().equals(uid + "@ember-cup"))
                .findFirst()
                .orElseThrow(() -> new AssertionError(uid + " is not in " + events));
    }

    private static String value(VEvent event, String property) {
        return event.getRequiredProperty(property).getValue();
    }

    private static JsonNode planned(Instant readyAt) {
        return post(
                        "/api/brews",
                        "{\"readyAt\":\"%s\",\"confirmed\":[\"dandelion\"],\"recipe\":{\"name\":\"Böiled, slowly; twice\",\"tradition\":\"folk\",\"cups\":2,\"cupMl\":240,\"additions\":[{\"herb\":\"dandelion\",\"form\":\"dried\",\"cut\":\"sliced\",\"amount\":7,\"unit\":\"g\",\"stage\":0}],\"stages\":[{\"kind\":\"heat\"},{\"kind\":\"simmer\",\"minutes\":25},{\"kind\":\"strain\"}]}}"
                                .formatted(readyAt))
                .body();
    }

    /** A tincture of thirty days is shaken on the 29 days between the one on which it is set up and the one before its press. */
    @Test
    void aLongJarIsShakenDailyUntilItIsPressed() throws Exception {
        JsonNode brew = post("/api/brews", """
                {"start":true,"confirmed":["yarrow"],"recipe":{"name":"Drops","tradition":"folk","cups":5,"cupMl":100,
                 "menstruum":"spirit","alcoholPercent":40,
                 "additions":[{"herb":"yarrow","form":"dried","cut":"chopped","amount":100,"unit":"g","stage":0}],
                 "stages":[{"kind":"macerate","minutes":43200},{"kind":"strain","pressed":true}]}}""").body();
        String id = brew.get("id").asString();
        for (JsonNode step : brew.get("plan").get("steps")) {
            if (step.get("kind").asString().equals("macerate")) {
                break;
            }
            assertThat(RunningServer.event(
                                    id,
                                    "step-done",
                                    ",\"step\":\"" + step.get("key").asString() + "\"")
                            .code())
                    .isEqualTo(200);
        }
        VEvent shake = named(events(""), id + ".shake");
        LocalDate first = LocalDate.parse(value(shake, "DTSTART"), DateTimeFormatter.BASIC_ISO_DATE);
        assertThat(first).isEqualTo(LocalDate.now().plusDays(1));
        assertThat(shake.getOccurrences(new Period<>(first, first.plusDays(60))))
                .hasSize(29);
        assertThat(value(shake, "RRULE"))
                .contains("UNTIL=" + first.plusDays(28).format(DateTimeFormatter.BASIC_ISO_DATE));
        event(id, "finished");
        assertThat(events("")).noneMatch(e -> value(e, "UID").equals(id + ".shake@ember-cup"));
    }

    @Test
    void aPlannedBrewStandsInTheCalendarWithTheStepsThatNeedHands() throws Exception {
        Instant ready = Instant.now().plus(Duration.ofHours(5)).truncatedTo(ChronoUnit.SECONDS);
        JsonNode brew = planned(ready);
        String id = brew.get("id").asString();
        List<VEvent> events = events("");
        VEvent whole = named(events, id + ".brew");
        assertThat(value(whole, "SUMMARY")).startsWith("Böiled, slowly; twice");
        assertThat(Instant.from(whole.getEndDate(false).orElseThrow().getDate()))
                .isEqualTo(ready);
        int hands = 0;
        for (JsonNode step : brew.get("plan").get("steps")) {
            if (step.get("handsOn").asBoolean()) {
                hands++;
                VEvent of = named(events, id + "." + step.get("key").asString());
                assertThat(value(of, "SUMMARY")).isEqualTo(step.get("label").asString());
                assertThat(Instant.from(of.getDateTimeStart().getDate()))
                        .isBetween(ready.minus(Duration.ofHours(2)), ready.plusSeconds(60));
            }
        }
        assertThat(hands).isGreaterThan(1);
        assertThat(events("?brew=" + id)).hasSize(hands + 1);
    }

    @Test
    void whatIsGivenUpIsCancelledUnderTheSameName() throws Exception {
        String id = planned(Instant.now().plus(Duration.ofHours(6))).get("id").asString();
        VEvent before = named(events(""), id + ".brew");
        event(id, "abandoned");
        VEvent after = named(events(""), id + ".brew");
        assertThat(value(after, "STATUS")).isEqualTo("CANCELLED");
        assertThat(Integer.parseInt(value(after, "SEQUENCE")))
                .isGreaterThan(Integer.parseInt(value(before, "SEQUENCE")));
    }

    @Test
    void aJarSaysWhenItIsToBeDrunk() throws Exception {
        String id = planned(Instant.now().plus(Duration.ofHours(1))).get("id").asString();
        event(id, "started");
        event(id, "finished");
        event(id, "kept");
        JsonNode jar = get("/api/brews/" + id).body().get("jar");
        VEvent due = named(events(""), id + ".jar");
        assertThat(value(due, "SUMMARY")).startsWith("Drink what is left of Böiled, slowly; twice");
        assertThat(Instant.from(due.getDateTimeStart().getDate()))
                .isEqualTo(Instant.parse(jar.get("goodUntil").asString()).truncatedTo(ChronoUnit.SECONDS));
        event(id, "emptied");
        assertThat(events("")).noneMatch(e -> value(e, "UID").equals(id + ".jar@ember-cup"));
    }

    /** RFC 5545, 3.1: lines end with CRLF and are no longer than 75 octets; every moment is UTC. */
    @Test
    void everyLineIsAsTheStandardHasIt() throws Exception {
        planned(Instant.now().plus(Duration.ofHours(7)));
        HttpResponse<String> answer = asked("");
        assertThat(answer.headers().firstValue("content-type").orElseThrow()).startsWith("text/calendar");
        assertThat(answer.body()).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n");
        assertThat(answer.body().replace("\r\n", "")).doesNotContain("\n", "\r");
        assertThat(answer.body().split("\r\n"))
                .allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length)
                        .as(line)
                        .isLessThanOrEqualTo(75));
        assertThat(answer.body().lines().filter(l -> l.startsWith("DTSTART") || l.startsWith("DTEND")))
                .isNotEmpty()
                .allMatch(l -> l.matches("DT(START|END)(:\\d{8}T\\d{6}Z|;VALUE=DATE:\\d{8})"));
        List<String> uids = events("").stream().map(e -> value(e, "UID")).toList();
        assertThat(uids).doesNotHaveDuplicates();
    }

    /** Letters of two, three and four octets stand whole on either side of a fold (RFC 3629; RFC 5545, 3.1). */
    @ParameterizedTest
    @ValueSource(strings = {"x", "ö", "茶", "🌿", "ö茶x🌿"})
    void aNameIsFoldedBetweenItsLetters(String letter) throws Exception {
        for (int before = 0; before < 4; before++) {
            String name = "a".repeat(before) + letter.repeat(76 / letter.length());
            String id = post("/api/brews", """
                    {"readyAt":"%s","confirmed":["dandelion"],"recipe":{"name":"%s","tradition":"folk","cups":2,"cupMl":240,
                     "additions":[{"herb":"dandelion","amount":7,"unit":"g"}],
                     "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"}]}}""".formatted(Instant.now().plus(Duration.ofHours(9)), name))
                    .body()
                    .get("id")
                    .asString();
            String unfolded = asked("?brew=" + id).body().replace("\r\n ", "");
            assertThat(unfolded).contains("SUMMARY:" + name);
            delete("/api/brews/" + id);
        }
    }

    // ---- courses

    private static JsonNode course(String more) {
        String recipe = post("/api/recipes", """
                {"about":"","purposes":[],"recipe":{"name":"Hips by days","tradition":"folk","cups":2,"cupMl":240,
                 "additions":[{"herb":"rosehip","form":"dried","cut":"crushed","amount":6,"unit":"g","stage":0}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10},{"kind":"strain"}],
                 "posology":{"cupsADay":2,"daysOn":3,"daysOff":2}}}""").body().get("id").asString();
        return post("/api/courses", "{\"recipeId\":\"%s\"%s}".formatted(recipe, more))
                .body();
    }

    /** The clocks of Oslo go forward on 28 March 2027: eight o'clock stays eight o'clock. */
    @Test
    void dosesStandAtTheHousesHourAcrossAChangeOfTheClocks() throws Exception {
        JsonNode kitchen = get("/api/kitchen").body();
        zone(kitchen, "\"Europe/Oslo\"");
        try {
            JsonNode course = course(",\"days\":6,\"firstDay\":\"2027-03-26\",\"times\":[\"08:00\",\"19:30\"]");
            String id = course.get("id").asString();
            List<VEvent> events = events("");
            assertThat(value(named(events, id + ".2027-03-26.0"), "DTSTART")).isEqualTo("20270326T070000Z");
            assertThat(value(named(events, id + ".2027-03-28.0"), "DTSTART")).isEqualTo("20270328T060000Z");
            assertThat(value(named(events, id + ".2027-03-28.1"), "DTSTART")).isEqualTo("20270328T173000Z");
            VEvent rest = named(events, id + ".rest.2027-03-29");
            assertThat(value(rest, "DTSTART")).isEqualTo("20270329");
            assertThat(value(rest, "DTEND"))
                    .as("two days of rest, the end is not in it")
                    .isEqualTo("20270331");
            assertThat(value(named(events, id + ".last"), "DTSTART")).isEqualTo("20270402");
            assertThat(events.stream()
                            .filter(e -> e.getRequiredProperty("UID").getValue().contains(id)))
                    .hasSize(6 * 2 + 1 + 1);
            RunningServer.delete("/api/courses/" + id);
        } finally {
            // What was said of it is never unsaid: it goes by this machine again.
            zone(get("/api/kitchen").body(), "\"" + ZoneId.systemDefault().getId() + "\"");
        }
    }

    private static void zone(JsonNode kitchen, String zone) {
        assertThat(RunningServer.put(
                                "/api/kitchen",
                                "{\"version\":%d,\"zone\":%s}"
                                        .formatted(kitchen.get("version").asLong(), zone))
                        .code())
                .isEqualTo(200);
    }

    @Test
    void whatAnEndedCourseWouldHaveHadIsCancelled() throws Exception {
        JsonNode course = course(",\"days\":3,\"times\":[\"23:59\"]");
        String id = course.get("id").asString();
        String tomorrow = course.get("days").get(1).get("date").asString();
        assertThat(named(events(""), id + "." + tomorrow + ".0").getProperty("STATUS"))
                .isEmpty();
        int before = Integer.parseInt(value(named(events(""), id + "." + tomorrow + ".0"), "SEQUENCE"));
        post("/api/courses/" + id + "/end", "{\"why\":\"better\"}");
        VEvent cancelled = named(events(""), id + "." + tomorrow + ".0");
        assertThat(value(cancelled, "STATUS")).isEqualTo("CANCELLED");
        assertThat(Integer.parseInt(value(cancelled, "SEQUENCE"))).isGreaterThan(before);
        RunningServer.delete("/api/courses/" + id);
    }

    // ---- the address

    @Test
    void anAddressWithASecretIsRenewedAndTheOldOneIsOver() throws Exception {
        RunningServer.delete("/api/household/calendar-address");
        assertThat(get("/api/household/calendar-address").body().has("madeAt")).isFalse();
        JsonNode made = post("/api/household/calendar-address", "{}").body();
        String path = made.get("path").asString();
        assertThat(Duration.between(
                        Instant.parse(made.get("madeAt").asString()),
                        Instant.parse(made.get("until").asString())))
                .isEqualTo(Duration.ofDays(365));
        HttpResponse<String> read = at(path);
        assertThat(read.statusCode()).isEqualTo(200);
        assertThat(read.headers().firstValue("Content-Type"))
                .hasValueSatisfying(t -> assertThat(t).startsWith("text/calendar"));
        new CalendarBuilder().build(new StringReader(read.body())).validate(true);
        assertThat(get("/api/household/calendar-address").body().has("askedAt")).isTrue();
        assertThat(get("/api/household/calendar-address").body().has("path"))
                .as("it is said once")
                .isFalse();
        String next =
                post("/api/household/calendar-address", "{}").body().get("path").asString();
        assertThat(next).isNotEqualTo(path);
        assertThat(at(path).statusCode()).isEqualTo(404);
        assertThat(at(path).body()).contains("another address");
        assertThat(at(next).statusCode()).isEqualTo(200);
        RunningServer.sql("update calendar_address set until = now()");
        assertThat(at(next).statusCode()).as("a year later").isEqualTo(404);
        RunningServer.delete("/api/household/calendar-address");
        assertThat(at("/calendar/.ics").statusCode()).isBetween(400, 404);
        assertThat(at("/calendar/%00.ics").statusCode()).isBetween(400, 404);
    }

    private static HttpResponse<String> at(String path) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(RunningServer.address() + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }
}
