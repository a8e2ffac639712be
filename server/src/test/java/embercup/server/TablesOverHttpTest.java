package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.server.RunningServer.Answer;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** Notebook and shelf as tables (RFC 4180), and tins out of a table. */
@ExtendWith(RunningServer.class)
class TablesOverHttpTest {

    private static List<CSVRecord> table(String path) throws Exception {
        String text = RestClient.create(RunningServer.address()).get().uri(path).exchange((q, r) -> {
            assertThat(r.getStatusCode().value()).isEqualTo(200);
            assertThat(String.valueOf(r.getHeaders().getContentType())).startsWith("text/csv");
            return new String(r.getBody().readAllBytes(), StandardCharsets.UTF_8);
        });
        assertThat(text).startsWith("\ufeff").contains("\r\n");
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(text.substring(1)))
                .getRecords();
    }

    private static Answer read(byte[] bytes, boolean keep) {
        return RestClient.create(RunningServer.address())
                .post()
                .uri("/api/shelf/file?keep=" + keep)
                .contentType(MediaType.parseMediaType("text/csv"))
                .body(bytes)
                .exchange((q, r) -> new Answer(
                        r.getStatusCode(),
                        RunningServer.JSON.readTree(r.getBody().readAllBytes())));
    }

    private static JsonNode read(String text) {
        Answer answer = read(text.getBytes(StandardCharsets.UTF_8), false);
        assertThat(answer.code()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    /** OWASP's list of what a spreadsheet runs, from memory. */
    @ParameterizedTest
    @ValueSource(strings = {"=HYPERLINK(1)", "+1+1", "-2+3", "@SUM(A1)", "\tx"})
    void noCellThatASpreadsheetWouldRun(String taste) throws Exception {
        JsonNode brew = post("/api/brews", """
                {"start":true,"recipe":{"name":"Tabled, “twice”","tradition":"folk","cups":1,"cupMl":240,
                 "additions":[{"herb":"rosehip","form":"dried","cut":"crushed","amount":2,"unit":"tsp","stage":0}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":10},{"kind":"strain"}]}}""").body();
        String id = brew.get("id").asString();
        for (String event : List.of(
                "\"finished\"",
                "\"noted\",\"liking\":3,\"taste\":%s".formatted(RunningServer.JSON.writeValueAsString(taste)))) {
            assertThat(post(
                                    "/api/brews/" + id + "/events",
                                    "{\"id\":\"%s\",\"kind\":%s}".formatted(UUID.randomUUID(), event))
                            .code())
                    .isEqualTo(200);
        }
        CSVRecord row = table("/api/notebook/file?as=csv").stream()
                .filter(r -> r.get("brew_id").equals(id))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("recipe")).isEqualTo("Tabled, “twice”");
        assertThat(row.get("taste").charAt(0)).isNotIn('=', '+', '-', '@', '\t');
        assertThat(row.get("taste")).contains(taste.strip());
        assertThat(row.get("liking")).isEqualTo("3");
    }

    @Test
    void theNotebookIsWholeInItsTable() throws Exception {
        assertThat(table("/api/notebook/file?as=csv"))
                .hasSize(Integer.parseInt(RunningServer.rows("select count(*) from notebook_entry")
                        .get(0)));
        assertThat(get("/api/notebook/file?as=xls").code()).isEqualTo(422);
    }

    @Test
    void theShelfComesBackAsItWentOut() throws Exception {
        List<CSVRecord> out = table("/api/shelf/file?as=csv");
        assertThat(out).isNotEmpty();
        String text = RestClient.create(RunningServer.address())
                .get()
                .uri("/api/shelf/file?as=csv")
                .retrieve()
                .body(String.class);
        JsonNode before = get("/api/shelf").body();
        Answer kept = read(text.getBytes(StandardCharsets.UTF_8), true);
        assertThat(kept.body().get("kept").asInt()).isEqualTo(out.size());
        JsonNode after = get("/api/shelf").body();
        assertThat(after.size()).isEqualTo(before.size());
        for (int i = 0; i < after.size(); i++) {
            for (String field : List.of("herb", "form", "filledOn", "note")) {
                assertThat(after.get(i).get(field))
                        .as(field)
                        .isEqualTo(before.get(i).get(field));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"UTF-8,','", "UTF-8,;", "windows-1252,;", "UTF-16LE,'\t'"})
    void aTableAsSpreadsheetsSaveIt(String encoding, String separator) {
        String text = "Herb,Form,Grams,Filled on,Note\r\nsage,dried,12.5,2026-01-31,\"Küche, oben\"\r\n"
                .replace(",", separator)
                .replace("Küche" + separator, "Küche,");
        String marked = encoding.startsWith("UTF-16") ? "\ufeff" + text : text;
        Answer answer = read(marked.getBytes(Charset.forName(encoding)), false);
        JsonNode line = answer.body().get("lines").get(0);
        assertThat(line.has("problem")).as(line.toString()).isFalse();
        assertThat(line.get("herb").asString()).isEqualTo("sage");
        assertThat(line.get("grams").asDouble()).isEqualTo(12.5);
        assertThat(line.get("filledOn").asString()).isEqualTo("2026-01-31");
        assertThat(line.get("note").asString()).isEqualTo("Küche, oben");
        assertThat(answer.body().get("encoding").asString()).isEqualTo(encoding);
    }

    @Test
    void aRowIsUnderstoodOrSaysWhatIsWrong() {
        JsonNode lines = read("""
                name,form,grams,filled_on
                Sage,dried,10,
                Salvia officinalis,fresh,"3,5",
                moonwort,dried,5,
                thyme,dried,many,
                thyme,smoked,5,
                thyme,dried,5,2031-01-01
                thyme,dried,-5,
                sage,dried,7,
                """).get("lines");
        assertThat(lines.get(0).get("herb").asString()).isEqualTo("sage");
        assertThat(lines.get(1).get("herb").asString()).as("by its Latin name").isEqualTo("sage");
        assertThat(lines.get(1).get("grams").asDouble()).isEqualTo(3.5);
        assertThat(lines.get(2).get("text").asString()).isEqualTo("moonwort");
        for (int i = 2; i < 8; i++) {
            assertThat(lines.get(i).has("problem")).as(lines.get(i).toString()).isTrue();
        }
        assertThat(lines.get(7).get("problem").asString()).contains("row 2");
    }

    /** "1,000" is a thousand grams to one and one gram to another: it is asked. */
    @ParameterizedTest
    @CsvSource({"'1,000', true", "'1.000', true", "'12,500', true", "'0,250', false", "'3,5', false", "1000, false"})
    void aNumberThatCanBeReadInTwoWaysIsAsked(String grams, boolean asked) {
        JsonNode line = read("name,form,grams\nSage,dried,\"" + grams + "\"\n")
                .get("lines")
                .get(0);
        assertThat(line.has("problem")).as(line.toString()).isEqualTo(asked);
        if (asked) {
            assertThat(line.get("problem").asString()).contains("one way only");
        }
    }

    /** What no herb is called, however long, is refused at once and nothing near is looked for. */
    @Test
    void anEndlessNameIsRefusedAtOnce() {
        String text = "name,form,grams\n" + ("x".repeat(100_000) + ",dried,1\n").repeat(20);
        long begun = System.nanoTime();
        JsonNode lines = read(text).get("lines");
        double seconds = (System.nanoTime() - begun) / 1e9;
        assertThat(lines).allMatch(l -> l.has("problem"));
        assertThat(seconds).as("twenty such names took seven minutes").isLessThan(90);
    }

    @Test
    void whatIsNoTableOfTinsIsRefused() {
        assertThat(read("poem\nin the pot".getBytes(StandardCharsets.UTF_8), false)
                        .code())
                .isEqualTo(422);
        assertThat(read(new byte[0], false).code()).isBetween(400, 422);
        String many = "herb\n" + "sage\n".repeat(10_000);
        Answer refused = read(many.getBytes(StandardCharsets.UTF_8), true);
        assertThat(refused.code()).isEqualTo(422);
        assertThat(refused.body().get("detail").asString()).contains("2,000");
    }
}
