package embercup.server.brews;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.server.RunningServer;
import embercup.server.RunningServer.Elsewhere;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeResponse;
import embercup.server.recipes.Recipes;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/**
 * Households as every version that shipped wrote them, each made by that version's own server from its demo household and pots brewed
 * through. They mean today what they meant: the same steps, figures, cautions and predictions. What stands beside each archive is
 * what it meant when it was put here; it is never written anew for a change of the code (docs/developing.md).
 */
class GoldenHouseholdsTest {

    private static final String ARCHIVE = ".zip";
    private static final Path GOLDEN = Path.of("src/test/resources/golden");
    /** The first version that kept a plan with its brew: a brew of an earlier one has the plan that its order makes today. */
    private static final int KEEPS_PLANS = 8;

    /** Writes what an archive means that has nothing beside it yet: {@code -Dember.golden.write=true}. */
    private static final String WRITE = "ember.golden.write";

    private static Elsewhere house;

    @BeforeAll
    static void open() {
        house = RunningServer.elsewhere("golden");
    }

    @AfterAll
    static void close() {
        house.close();
    }

    @BeforeEach
    void empty() {
        RunningServer.sql("truncate "
                + String.join(
                        ", ",
                        RunningServer.rows("select 'golden.' || table_name from information_schema.tables"
                                + " where table_schema = 'golden'"
                                + " and table_name not in ('flyway_schema_history', 'kitchen')")));
    }

    static Stream<String> names() throws IOException {
        try (Stream<Path> files = Files.list(GOLDEN)) {
            return files
                    .map(f -> f.getFileName().toString())
                    .filter(f -> f.endsWith(ARCHIVE))
                    .map(f -> f.substring(0, f.length() - ARCHIVE.length()))
                    .sorted(Comparator.comparing(GoldenHouseholdsTest::version).thenComparing(f -> f))
                    .toList()
                    .stream();
        }
    }

    /** {@code household-v25-2}: the second form of documents in the database's version 25. */
    private static int version(String name) {
        return Integer.parseInt(name.substring("household-v".length()).split("-")[0]);
    }

    @ParameterizedTest
    @MethodSource("names")
    void whatWasKeptMeansWhatItMeant(String name) throws IOException {
        restore(GOLDEN.resolve(name + ARCHIVE));
        List<String> means = new ArrayList<>();
        BrewRows rows = house.context().getBean(BrewRows.class);
        List<BrewEntity> brews = house.context().getBean(BrewRepository.class).findAll().stream()
                .sorted((a, b) -> a.createdAt.equals(b.createdAt)
                        ? a.id.toString().compareTo(b.id.toString())
                        : a.createdAt.compareTo(b.createdAt))
                .toList();
        for (BrewEntity brew : brews) {
            means.addAll(
                    Meaning.of(brew, rows.told(brew), Optional.of(brew).map(rows::fold), version(name) >= KEEPS_PLANS));
        }
        house.context().getBean(Recipes.class).all().forEach(r -> means.addAll(recipe(r)));
        for (String place : List.of("people", "kitchen", "shelf", "courses", "notebook?page=0", "keeping", "week")) {
            assertThat(RunningServer.get(house.address(), "/api/" + place).code())
                    .as(place)
                    .isEqualTo(200);
        }
        assertThat(house.context().getBean(Brews.class).unreadable()).isZero();
        Path meant = GOLDEN.resolve(name + ".txt");
        if (Boolean.getBoolean(WRITE) && Files.notExists(meant)) {
            Files.write(meant, means);
        }
        assertThat(means).containsExactlyElementsOf(Files.readAllLines(meant));
    }

    private static List<String> recipe(RecipeResponse kept) {
        RecipeDocument recipe = kept.recipe();
        List<String> lines = new ArrayList<>();
        lines.add("recipe " + recipe.name() + ", " + recipe.tradition());
        JsonNode said = RunningServer.JSON.valueToTree(recipe);
        said.get("additions")
                .forEach(a -> lines.add("  %s %s %s, %s, at %s"
                        .formatted(
                                a.path("amount").asDouble(),
                                a.path("unit").asString(""),
                                a.path("herb").asString(),
                                a.path("form").asString(""),
                                a.path("stage").asInt())));
        said.get("stages")
                .forEach(s -> lines.add("  %s %s min, to %s mL, to %s °C, lid %s, %s"
                        .formatted(
                                s.path("kind").asString(),
                                s.path("minutes").asDouble(0),
                                s.path("toMl").asDouble(0),
                                s.path("toC").asDouble(0),
                                s.path("lid").asBoolean(false),
                                s.path("flame").asString("no flame"))));
        return lines;
    }

    private static void restore(Path archive) throws IOException {
        byte[] bytes = Files.readAllBytes(archive);
        RestClient.create(house.address())
                .post()
                .uri("/api/household/restore")
                .contentType(MediaType.parseMediaType("application/zip"))
                .body(bytes)
                .exchange((q, r) -> assertThat(r.getStatusCode().value())
                        .as(new String(r.getBody().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8))
                        .isEqualTo(200));
    }
}
