package embercup.server;

import static embercup.server.RunningServer.post;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Saved pages, structured data and texts become recipes; what is none is refused with words, and nothing of a page is run. */
@ExtendWith(RunningServer.class)
class ImportOverHttpTest {

    private static final String LD = """
            {"@context":"https://schema.org","@graph":[{"@type":"WebPage","name":"Harbour notes"},
            {"@type":["Recipe","NewsArticle"],"name":"Grey day roots","recipeYield":["3","3 cups"],
            "recipeIngredient":["2 tbsp dried burdock root, sliced","3 cups water","1 tsp honey &amp; a smile"],
            "recipeInstructions":[{"@type":"HowToSection","itemListElement":[
            {"@type":"HowToStep","text":"Bring to a boil with the burdock."},
            {"@type":"HowToStep","text":"Simmer 20 minutes. <b>Strain.</b>"}]}]}]}""";

    private static RunningServer.Answer imported(String type, String body) {
        return RunningServer.postAs("/api/recipes/import", type, body);
    }

    private static void roots(JsonNode recipe) {
        assertThat(recipe.get("name").asString()).isEqualTo("Grey day roots");
        assertThat(recipe.get("cups").asDouble()).isEqualTo(3);
        assertThat(recipe.get("additions").get(0).get("herb").asString()).isEqualTo("burdock");
        assertThat(recipe.get("stages").toString()).contains("\"heat\"", "\"simmer\"", "\"strain\"");
    }

    @Test
    void structuredDataIsReadThroughTheSameReader() {
        JsonNode all = imported("application/ld+json", LD).body().get("recipes");
        assertThat(all.size()).isEqualTo(1);
        roots(all.get(0).get("recipe"));
    }

    @Test
    void aPageSaysItsRecipeItself() {
        String page = "<html><head><script>document.title = 'run'</script><script type='application/ld+json'>" + LD
                + "</script></head><body><li>2 cups of something else</li></body></html>";
        JsonNode all = imported("text/html", page).body().get("recipes");
        assertThat(all.size()).isEqualTo(1);
        roots(all.get(0).get("recipe"));
        assertThat(all.toString()).doesNotContain("document.title");
    }

    @Test
    void microdataIsReadToo() {
        String page = """
                <div itemscope itemtype="https://schema.org/Recipe"><h1 itemprop="name">Grey day roots</h1>
                <meta itemprop="recipeYield" content="3 cups">
                <ul><li itemprop="recipeIngredient">2 tbsp dried burdock root</li><li itemprop="recipeIngredient">3 cups water</li></ul>
                <div itemprop="recipeInstructions"><p>Bring to a boil with the burdock.</p><p>Simmer 20 minutes. Strain.</p></div></div>""";
        roots(imported("text/html", page).body().get("recipes").get(0).get("recipe"));
    }

    @Test
    void aPageWithoutDataIsReadAsItShows() {
        String page = """
                <body><nav><li>Home</li><li>Shop</li></nav><main><h1>Grey day roots</h1><p>Makes 3 cups</p>
                <ul><li>2 tbsp dried burdock root</li><li>3 cups water</li></ul>
                <p>Bring to a boil with the burdock. Simmer 20 minutes.<br>Strain.</p></main>
                <script>alert('x')</script><footer>Imprint</footer></body>""";
        JsonNode read = imported("text/html", page).body().get("recipes").get(0);
        roots(read.get("recipe"));
        assertThat(read.toString()).doesNotContain("alert", "Imprint", "Shop");
    }

    @Test
    void threeRecipesOfOnePageAreThree() {
        String one = LD.replace("Grey day roots", "Another pot");
        String page = "<script type='application/ld+json'>[" + LD + "," + one + "," + LD + "]</script>";
        assertThat(imported("text/html", page).body().get("recipes").size()).isEqualTo(3);
    }

    @Test
    void aSavedTextIsRead() {
        String text =
                "Grey day roots\nMakes 3 cups\n2 tbsp dried burdock root\n3 cups water\nBring to a boil with the burdock. Simmer 20 minutes. Strain.";
        roots(imported("text/plain", text).body().get("recipes").get(0).get("recipe"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "text/html | <p>A page about boats.</p>",
                "text/html | <script type='application/ld+json'>{broken</script>",
                "application/ld+json | {\"@type\":\"Person\",\"name\":\"Nobody\"}",
                "application/ld+json | not json at all",
            })
    void whatIsNoRecipeIsRefusedWithWords(String type, String body) {
        RunningServer.Answer answer = imported(type, body);
        assertThat(answer.code()).isEqualTo(422);
        assertThat(answer.body().get("title").asString()).isEqualTo("No recipe was found in it");
        assertThat(answer.body().get("detail").asString()).contains("Nothing was saved");
    }

    @Test
    void aTextThatIsNoRecipeAnyMoreIsRefused() {
        String long_ = "1 tsp dried linden\n".repeat(6000);
        assertThat(imported("text/plain", long_).code()).isEqualTo(422);
        assertThat(post("/api/recipes/read", "{\"text\":\"" + "linden ".repeat(5_000) + "\"}")
                        .code())
                .isEqualTo(422);
        assertThat(post("/api/recipes/read", "{\"text\":\"" + "linden ".repeat(15_000) + "\"}")
                        .code())
                .as("more than any text that is read")
                .isEqualTo(413);
    }

    @Test
    void binaryIsReadAskedOrKeptAndRunsNothing() {
        StringBuilder binary = new StringBuilder();
        for (int i = 1; i < 4000; i++) {
            binary.append((char) (i % 0x300 + 1));
        }
        RunningServer.Answer answer = imported("text/plain", binary.toString());
        assertThat(answer.code()).isIn(200, 422);
    }
}
