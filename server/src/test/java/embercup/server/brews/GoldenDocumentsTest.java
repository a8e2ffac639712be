package embercup.server.brews;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.server.kept.KeptJson;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every document of a brew that a version ever kept is read, without a database beside it. */
class GoldenDocumentsTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final BrewDocuments KEPT = new BrewDocuments(new KeptJson(JSON));

    static Stream<Path> archives() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/test/resources/golden"))) {
            return files.filter(f -> f.toString().endsWith(".zip")).sorted().toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("archives")
    void everyDocumentIsRead(Path archive) throws IOException {
        List<String> unread = new ArrayList<>();
        List<JsonNode> brews = rows(archive, "brew");
        for (JsonNode brew : brews) {
            String name = brew.get("name").asString();
            read(unread, "order of " + name, brew.get("request"), KEPT::order);
            read(unread, "sheet of " + name, brew.get("plan"), KEPT::told);
            if (brew.path("kept").isString()) {
                read(unread, "plan of " + name, brew.get("kept"), d -> assertThat(KEPT.read(d, name))
                        .isPresent());
            }
        }
        List<JsonNode> events = rows(archive, "brew_event");
        for (JsonNode event : events) {
            read(unread, event.get("kind").asString(), event.get("data"), KEPT::event);
        }
        for (JsonNode figures : rows(archive, "brew_figures")) {
            read(unread, "figures", figures.get("document"), KEPT::readFigures);
        }
        assertThat(brews).hasSizeGreaterThan(10);
        assertThat(events).hasSizeGreaterThan(80);
        assertThat(unread).isEmpty();
    }

    private static void read(List<String> unread, String what, JsonNode document, Consumer<String> read) {
        try {
            read.accept(document.isString() ? document.asString() : document.toString());
        } catch (RuntimeException | AssertionError e) {
            unread.add(what + ": " + e.getMessage());
        }
    }

    private static List<JsonNode> rows(Path archive, String table) throws IOException {
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            ZipEntry entry = zip.getEntry(table + ".jsonl");
            return entry == null
                    ? List.of()
                    : new String(zip.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8)
                            .lines()
                            .map(JSON::readTree)
                            .toList();
        }
    }
}
