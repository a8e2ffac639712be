package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static embercup.server.RunningServer.rows;
import static embercup.server.RunningServer.sql;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.server.RunningServer.Answer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** One household into a file, and out of it into an empty one: the same to the last field, or nothing at all. */
@ExtendWith(RunningServer.class)
class ArchiveOverHttpTest {

    private static final String OTHER = "other_household";
    /** The first version since which no column was taken away again: older rows are today's with fewer fields. */
    private static final int FIRST_PLAIN = 12;

    private static final String POT = """
            {"name":"Archived pot","tradition":"folk","cups":3,"cupMl":240,
             "additions":[{"herb":"rosehip","form":"dried","cut":"crushed","amount":6,"unit":"tsp","stage":0}],
             "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10},{"kind":"strain"}]}""";

    private static RunningServer.Elsewhere other;
    private static String there;
    private static byte[] archive;

    @BeforeAll
    static void twoHouseholds() {
        everyKind();
        archive = archiveOf(RunningServer.address());
        other = RunningServer.elsewhere(OTHER);
        there = other.address();
    }

    @AfterAll
    static void end() {
        other.close();
    }

    /** A household of which everything but where the kitchen stands is gone. */
    @BeforeEach
    void wiped() {
        sql("truncate " + tables().stream().map(t -> OTHER + "." + t).collect(Collectors.joining(", ")));
        sql("insert into " + OTHER + ".kitchen (id, altitude_m, room_c, tap_c, kettle_w, measures, liang_g)"
                + " values (1, 0, 20, 15, 2000, 'us', 3)");
    }

    /** Whatever a household may hold, one of each at least. */
    private static void everyKind() {
        String person = post("/api/people", """
                        {"name":"Archived Ann","ageYears":37.5,"weightKg":61,"conditions":["kidney-stones"],"allergies":["arnica"]}""").body().get("id").asString();
        String own = "archive-root";
        put("/api/herbs/" + own + "/own", """
                {"common":"Archive root","part":"root"}""");
        JsonNode recipe = post(
                        "/api/recipes", "{\"about\":\"as first written\",\"purposes\":[],\"recipe\":" + POT + "}")
                .body();
        put(
                "/api/recipes/" + recipe.get("id").asString(),
                "{\"version\":%d,\"about\":\"written again “quoted” \\\\ back\\tslash ☕\",\"purposes\":[],\"recipe\":%s}"
                        .formatted(recipe.get("version").asLong(), POT));
        Answer brewed = post(
                "/api/brews",
                "{\"start\":true,\"recipeId\":\"%s\",\"drinkerId\":\"%s\"}"
                        .formatted(recipe.get("id").asString(), person));
        assertThat(brewed.code()).as(brewed.body().toString()).isEqualTo(201);
        String brew = brewed.body().get("id").asString();
        for (String kind : List.of(
                "\"finished\"",
                "\"poured\",\"value\":100",
                "\"kept\"",
                "\"jar-noted\",\"text\":\"blue lid\"",
                "\"marc-kept\"",
                "\"cup-begun\",\"value\":100",
                "\"noted\",\"liking\":4,\"taste\":\"rust\"")) {
            assertThat(post(
                                    "/api/brews/" + brew + "/events",
                                    "{\"id\":\"%s\",\"kind\":%s}".formatted(UUID.randomUUID(), kind))
                            .code())
                    .as(kind)
                    .isEqualTo(200);
        }
        RestClient.create(RunningServer.address())
                .put()
                .uri("/api/brews/" + brew + "/photo")
                .contentType(MediaType.IMAGE_PNG)
                .body(picture())
                .retrieve()
                .toBodilessEntity();
        String course = post(
                        "/api/courses",
                        "{\"recipeId\":\"%s\",\"drinkers\":[{\"drinkerId\":\"%s\"}],\"days\":5,\"times\":[\"00:00\"]}"
                                .formatted(recipe.get("id").asString(), person))
                .body()
                .get("id")
                .asString();
        sql("insert into course_cup values ('%s', '%s', now())".formatted(UUID.randomUUID(), course));
        put(
                "/api/recipes/" + recipe.get("id").asString() + "/mine",
                "{\"favourite\":true,\"words\":[\"for Sundays\"]}");
        put("/api/herbs/archive-blend/own", """
                {"common":"Archive blend","parts":[{"herb":"linden","amount":2},{"herb":"lemon-balm","amount":1}]}""");
        assertThat(post("/api/shelf/mixes", "{\"blend\":\"archive-blend\",\"grams\":30}")
                        .code())
                .isEqualTo(201);
        sql("insert into stove_observation (id, brew_id, kind, ratio, at, burner_id, vessel_id) select '"
                + UUID.randomUUID() + "', '" + brew
                + "', 'heat', 1.1, now(), b.id, v.id from burner b, vessel v limit 1");
        sql("insert into learned_switch values ('taste:%s|%s', false, now())"
                .formatted(recipe.get("id").asString(), person));
    }

    private static byte[] picture() {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(20, 10, BufferedImage.TYPE_INT_RGB), "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    // ---- there and back

    @Test
    void everyTableIsInItOrLeftOutOnPurpose() {
        Set<String> named = new TreeSet<>(tables());
        named.addAll(Set.of(
                "calendar_address",
                "device",
                "pairing_code",
                "door_audit",
                "spring_session",
                "spring_session_attributes",
                "simulated_scale",
                "disk_trial",
                "flyway_schema_history"));
        assertThat(named)
                .as("a new table is put into ArchivedTable, or left out there with its reason")
                .containsExactlyInAnyOrderElementsOf(
                        rows("select table_name from information_schema.tables where table_schema = 'public'"));
        JsonNode counts = manifest(archive).get("rows");
        assertThat(tables()).allSatisfy(t -> assertThat(counts.get(t).asLong())
                .as("nothing of this kind is tried: %s", t)
                .isPositive());
        assertThat(RunningServer.JSON.writeValueAsString(manifest(archive))).doesNotContain("session", "device");
    }

    @Test
    void whatIsBroughtBackIsWhatWasSavedFieldByField() {
        assertThat(get(there, "/api/household").body().get("empty").asBoolean()).isTrue();
        Answer back = restore(archive);
        assertThat(back.code()).as(back.body().toString()).isEqualTo(200);
        Map<String, byte[]> saved = unzipped(archive);
        Map<String, byte[]> again = unzipped(archiveOf(there));
        assertThat(again.keySet()).isEqualTo(saved.keySet());
        saved.forEach((name, bytes) -> {
            if (!name.equals("manifest.json")) {
                assertThat(new String(again.get(name), StandardCharsets.UTF_8))
                        .as(name)
                        .isEqualTo(new String(bytes, StandardCharsets.UTF_8));
            }
        });
        assertThat(manifest(archiveOf(there)).get("rows"))
                .isEqualTo(manifest(archive).get("rows"));
        List<String> shown = new ArrayList<>(List.of(
                "/api/people",
                "/api/kitchen",
                "/api/recipes",
                "/api/shelf",
                "/api/herbs/archive-root",
                "/api/schools"));
        for (String brew : rows("select id::text from public.brew order by created_at, id limit 40")) {
            shown.add("/api/brews/" + brew);
        }
        assertThat(shown)
                .allSatisfy(path -> assertThat(timeless(get(there, path).body()))
                        .as(path)
                        .isEqualTo(timeless(get(path).body())));
        assertThat(rows("select nspname from pg_namespace where nspname like 'restoring%'"))
                .isEmpty();
    }

    /** An answer without the moment it was given at. */
    private static JsonNode timeless(JsonNode answer) {
        if (answer instanceof ObjectNode o) {
            o.remove("serverNow");
        }
        return answer;
    }

    @Test
    void aBroughtBackBrewGoesOn() {
        String kept =
                rows("select id::text from public.brew where kept_at is not null and name = 'Archived pot' limit 1")
                        .get(0);
        assertThat(restore(archive).code()).isEqualTo(200);
        Answer poured = post(
                there,
                "/api/brews/" + kept + "/events",
                "{\"id\":\"%s\",\"kind\":\"poured\",\"value\":100}".formatted(UUID.randomUUID()));
        assertThat(poured.code()).as(poured.body().toString()).isEqualTo(200);
        assertThat(rows("select count(*) from " + OTHER + ".brew_event e where position > (select max(position) from "
                        + OTHER + ".brew_event where id <> e.id)"))
                .as("a new event stands after all that were brought back")
                .containsExactly("1");
    }

    @Test
    void nothingIsBroughtBackIntoAHouseholdThatHasSomething() {
        assertThat(restore(archive).code()).isEqualTo(200);
        Answer twice = restore(archive);
        assertThat(twice.code()).isEqualTo(409);
        assertThat(twice.body().get("detail").asString()).contains("people", "recipes", "brews");
        assertThat(unzipped(archiveOf(there)).get("brew.jsonl"))
                .isEqualTo(unzipped(archive).get("brew.jsonl"));
    }

    // ---- of earlier versions

    static Stream<Integer> earlier() {
        return Stream.of(FIRST_PLAIN, (FIRST_PLAIN + newest()) / 2, newest() - 1);
    }

    /** As that version saved it: the columns that its tables had. */
    @ParameterizedTest
    @MethodSource("earlier")
    void anArchiveOfAnEarlierVersionIsBroughtForward(int version) {
        Map<String, Set<String>> columns = columnsOf(version);
        Map<String, byte[]> old = changed(archive, files -> {
            Map<String, byte[]> of = new LinkedHashMap<>();
            files.forEach((name, bytes) -> {
                String table = name.replace(".jsonl", "");
                if (name.equals("manifest.json")) {
                    ObjectNode manifest = (ObjectNode) RunningServer.JSON.readTree(bytes);
                    manifest.put("formatVersion", version);
                    ((ObjectNode) manifest.get("rows")).retain(columns.keySet());
                    of.put(name, RunningServer.JSON.writeValueAsBytes(manifest));
                } else if (!name.endsWith(".jsonl")) {
                    of.put(name, bytes);
                } else if (columns.containsKey(table)) {
                    of.put(name, eachRow(bytes, row -> row.retain(columns.get(table))));
                }
            });
            return of;
        });
        Answer back = restore(zipped(old));
        assertThat(back.code()).as(back.body().toString()).isEqualTo(200);
        Map<String, byte[]> again = unzipped(archiveOf(there));
        old.forEach((name, bytes) -> {
            if (name.endsWith(".jsonl")) {
                Set<String> known = columns.get(name.replace(".jsonl", ""));
                assertThat(new String(eachRow(again.get(name), row -> row.retain(known)), StandardCharsets.UTF_8))
                        .as(name)
                        .isEqualTo(new String(bytes, StandardCharsets.UTF_8));
            }
        });
        assertThat(get(there, "/api/recipes").code()).isEqualTo(200);
        assertThat(get(there, "/api/keeping").code()).isEqualTo(200);
    }

    private static Map<String, Set<String>> columnsOf(int version) {
        String schema = "as_of_" + version;
        Flyway.configure()
                .dataSource(
                        TestPostgres.get().url(), "ember", TestPostgres.get().password())
                .schemas(schema)
                .locations("classpath:db/migration")
                .target(String.valueOf(version))
                .load()
                .migrate();
        Map<String, Set<String>> columns = new TreeMap<>();
        for (String table : tables()) {
            List<String> has = rows("select column_name from information_schema.columns where table_schema = '" + schema
                    + "' and table_name = '" + table + "' and is_generated = 'NEVER'");
            if (!has.isEmpty()) {
                columns.put(table, new TreeSet<>(has));
            }
        }
        sql("drop schema " + schema + " cascade");
        return columns;
    }

    // ---- what is no archive, or not a whole one

    private record Bad(String what, byte[] bytes, int status, String says) {}

    static Stream<Arguments> bad() {
        byte[] foreign = zipped(Map.of("index.html", "<p>".getBytes(StandardCharsets.UTF_8)));
        String row = "{\"id\":\"%s\",\"name\":\"%s\",\"age_years\":200}".formatted(UUID.randomUUID(), "x");
        return Stream.of(
                        new Bad("nothing", new byte[0], 422, "archive-broken"),
                        new Bad("no zip", "a letter".getBytes(StandardCharsets.UTF_8), 422, "archive-broken"),
                        new Bad("cut off", Arrays.copyOf(archive, archive.length / 2), 422, "archive-broken"),
                        new Bad(
                                "cut off at its end",
                                Arrays.copyOf(archive, archive.length - 30),
                                422,
                                "archive-broken"),
                        new Bad("of another program", foreign, 422, "archive-foreign"),
                        new Bad(
                                "of another program, with a manifest",
                                with("manifest.json", "{\"what\":\"x\"}"),
                                422,
                                "archive-foreign"),
                        new Bad("a manifest that is no JSON", with("manifest.json", "{"), 422, "archive-foreign"),
                        new Bad("a version below the first", manifested("formatVersion", 0), 422, "archive-foreign"),
                        new Bad("newer", manifested("formatVersion", 9999), 422, "archive-newer"),
                        new Bad("climbing", with("../../etc/cron.d/x", "x"), 422, "archive-entry"),
                        new Bad("climbing as a photo", with("photos/../../x.jpg", "x"), 422, "archive-entry"),
                        new Bad("with an absolute path", with("/tmp/x.jsonl", "x"), 422, "archive-entry"),
                        new Bad("with a table of the door", with("device.jsonl", "{}"), 422, "archive-entry"),
                        new Bad("a file is missing", without("recipe.jsonl"), 422, "archive-short"),
                        new Bad("a row is missing", with("person.jsonl", ""), 422, "archive-short"),
                        new Bad("a photo is missing", withoutPhotos(), 422, "archive-short"),
                        new Bad("a row of another table", with("person.jsonl", "{\"grams\":1}\n"), 422, "archive-row"),
                        new Bad("a row that is no object", with("person.jsonl", "[1]\n"), 422, "archive-row"),
                        new Bad("a row that is no JSON", with("person.jsonl", "{\"id\":\n"), 422, "archive-row"),
                        new Bad("a value out of its bounds", with("person.jsonl", row + "\n"), 422, "archive-row"),
                        new Bad("a photo that is none", photosOf("<svg>"), 415, "no-photo"),
                        new Bad("a document of another kind", documents(), 422, "archive-unreadable"),
                        new Bad("an event of another kind", events(), 422, "archive-unreadable"),
                        new Bad("a plan of another kind", plans(), 422, "archive-unreadable"),
                        new Bad("an event of no brew", orphan(), 422, "archive-row"),
                        new Bad("a bomb", with("recipe.jsonl", " ".repeat(300_000_000)), 422, "archive-flood"),
                        new Bad(
                                "a row nested two hundred thousand deep",
                                with("recipe.jsonl", deep()),
                                422,
                                "archive-row"),
                        new Bad("said to have millions of entries", crowded(), 422, "archive-flood"),
                        new Bad("changed within", tampered(), 422, "archive-broken"),
                        new Bad("one endless row", with("recipe.jsonl", "\"" + noise(9_000_000)), 422, "archive-flood"))
                .map(b -> Arguments.of(b.what, b.bytes, b.status, b.says));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bad")
    void whatIsNoWholeArchiveIsRefusedAndNothingIsThere(String what, byte[] bytes, int status, String says) {
        Answer refused = restore(bytes);
        assertThat(refused.code()).as(what + refused.body()).isEqualTo(status);
        assertThat(refused.body().get("type").asString()).as(what).endsWith(says);
        assertThat(refused.body().get("detail").asString()).isNotBlank();
        assertThat(get(there, "/api/household").body().get("empty").asBoolean()).isTrue();
        assertThat(rows("select nspname from pg_namespace where nspname like 'restoring%'"))
                .isEmpty();
    }

    private static String deep() {
        int levels = 200_000;
        return "{\"id\":" + "[".repeat(levels) + "]".repeat(levels) + "}\n";
    }

    /** The end of a zip that says of more entries than any archive has (ZIP application note 4.3.16). */
    private static byte[] crowded() {
        byte[] bytes = zipped(unzipped(archive));
        int end = bytes.length - 22;
        bytes[end + 10] = (byte) 0xff;
        bytes[end + 11] = (byte) 0xff;
        return bytes;
    }

    /** An entry is another one, and the manifest still has the checksum of the first. */
    private static byte[] tampered() {
        Map<String, byte[]> files = unzipped(archive);
        files.put("person.jsonl", new byte[0]);
        return zippedAsIs(files);
    }

    /** A bit that flipped on a disk or on the way, anywhere in the file: none of two hundred is brought back. */
    @Test
    void aFlippedBitAnywhereIsFound() {
        java.util.Random random = new java.util.Random(28);
        int accepted = 0;
        for (int i = 0; i < 200; i++) {
            byte[] flipped = archive.clone();
            int at = i < 100 ? random.nextInt(flipped.length) : flipped.length - 1 - random.nextInt(400);
            flipped[at] ^= (byte) (1 << random.nextInt(8));
            Answer refused = restore(flipped);
            accepted += refused.code() == 422 ? 0 : 1;
            assertThat(refused.body().get("detail").asString()).isNotBlank();
        }
        assertThat(accepted).isZero();
        assertThat(get(there, "/api/household").body().get("empty").asBoolean()).isTrue();
    }

    @Test
    void anotherKindOfBodyIsRefused() {
        assertThat(post(there, "/api/household/restore", "{}").code()).isEqualTo(415);
    }

    // ---- archives made wrong

    private static byte[] with(String name, String text) {
        return zipped(changed(archive, files -> {
            files.put(name, text.getBytes(StandardCharsets.UTF_8));
            return files;
        }));
    }

    private static byte[] without(String name) {
        return zipped(changed(archive, files -> {
            files.remove(name);
            return files;
        }));
    }

    private static byte[] withoutPhotos() {
        return zipped(changed(archive, files -> {
            files.keySet().removeIf(n -> n.startsWith("photos/"));
            return files;
        }));
    }

    private static byte[] photosOf(String text) {
        return zipped(changed(archive, files -> {
            files.replaceAll((n, b) -> n.startsWith("photos/") ? text.getBytes(StandardCharsets.UTF_8) : b);
            return files;
        }));
    }

    private static byte[] manifested(String field, int value) {
        return zipped(changed(archive, files -> {
            ObjectNode manifest = (ObjectNode) RunningServer.JSON.readTree(files.get("manifest.json"));
            files.put("manifest.json", RunningServer.JSON.writeValueAsBytes(manifest.put(field, value)));
            return files;
        }));
    }

    private static byte[] documents() {
        return zipped(changed(archive, files -> {
            files.put("recipe.jsonl", eachRow(files.get("recipe.jsonl"), row -> row.putObject("document")
                    .put("poem", "in the pot")));
            return files;
        }));
    }

    private static byte[] events() {
        return zipped(changed(archive, files -> {
            files.put("brew_event.jsonl", eachRow(files.get("brew_event.jsonl"), row -> row.putObject("data")
                    .put("kind", "danced")));
            return files;
        }));
    }

    private static byte[] plans() {
        return zipped(changed(archive, files -> {
            files.put(
                    "brew.jsonl",
                    eachRow(
                            files.get("brew.jsonl"),
                            row -> row.put("kept", "{\"form\":1,\"plan\":{\"pot\":\"no plan\"}}")));
            return files;
        }));
    }

    private static byte[] orphan() {
        return zipped(changed(archive, files -> {
            files.put(
                    "brew_event.jsonl",
                    eachRow(
                            files.get("brew_event.jsonl"),
                            row -> row.put("brew_id", UUID.randomUUID().toString())));
            return files;
        }));
    }

    /** Letters that cannot be pressed far. */
    private static String noise(int length) {
        StringBuilder noise = new StringBuilder(length);
        new java.util.Random(7).ints(length, 'a', 'z').forEach(c -> noise.append((char) c));
        return noise.toString();
    }

    private static byte[] eachRow(byte[] lines, java.util.function.Consumer<ObjectNode> change) {
        return new String(lines, StandardCharsets.UTF_8)
                .lines()
                .map(line -> {
                    ObjectNode row = (ObjectNode) RunningServer.JSON.readTree(line);
                    change.accept(row);
                    return RunningServer.JSON.writeValueAsString(row) + "\n";
                })
                .collect(Collectors.joining())
                .getBytes(StandardCharsets.UTF_8);
    }

    // ---- the file

    private static int newest() {
        return manifest(archive).get("formatVersion").asInt();
    }

    private static JsonNode manifest(byte[] zip) {
        return RunningServer.JSON.readTree(unzipped(zip).get("manifest.json"));
    }

    private static List<String> tables() {
        return manifest(archive).get("rows").propertyNames().stream().toList();
    }

    private static byte[] archiveOf(String server) {
        return RestClient.create(server).get().uri("/api/household/archive").exchange((q, r) -> {
            assertThat(r.getStatusCode().value()).isEqualTo(200);
            assertThat(r.getHeaders().getContentDisposition().getFilename())
                    .matches("ember-cup-\\d{4}-\\d\\d-\\d\\d\\.zip");
            return r.getBody().readAllBytes();
        });
    }

    private static Answer restore(byte[] bytes) {
        return RestClient.create(there)
                .post()
                .uri("/api/household/restore")
                .contentType(MediaType.parseMediaType("application/zip"))
                .body(bytes)
                .exchange((q, r) -> new Answer(
                        r.getStatusCode(),
                        RunningServer.JSON.readTree(r.getBody().readAllBytes())));
    }

    private static Map<String, byte[]> changed(byte[] zip, UnaryOperator<Map<String, byte[]>> change) {
        return change.apply(unzipped(zip));
    }

    private static Map<String, byte[]> unzipped(byte[] zip) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return files;
    }

    /** As an earlier version wrote it, without checksums and a seal: what is wrong in it is found by what it says. */
    private static byte[] zipped(Map<String, byte[]> files) {
        Map<String, byte[]> plain = new LinkedHashMap<>(files);
        plain.computeIfPresent("manifest.json", (name, bytes) -> withoutChecksums(bytes));
        return zippedAsIs(plain);
    }

    private static byte[] withoutChecksums(byte[] manifest) {
        try {
            ObjectNode node = (ObjectNode) RunningServer.JSON.readTree(manifest);
            node.remove("checksums");
            return RunningServer.JSON.writeValueAsBytes(node);
        } catch (tools.jackson.core.JacksonException e) {
            return manifest;
        }
    }

    private static byte[] zippedAsIs(Map<String, byte[]> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                out.putNextEntry(new ZipEntry(file.getKey()));
                out.write(file.getValue());
                out.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
