package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.postAs;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import embercup.server.RunningServer.Answer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** A recipe for a friend: as a page, as structured data, as a text, as a link, and back as it was. */
@ExtendWith(RunningServer.class)
class RecipeFilesOverHttpTest {

    private static final List<String> FORMS = List.of("html", "jsonld", "text");

    private static String type(String form) {
        return switch (form) {
            case "html" -> "text/html";
            case "jsonld" -> "application/ld+json";
            default -> "text/plain";
        };
    }

    private static String file(String id, String form) {
        return RestClient.create(RunningServer.address())
                .get()
                .uri("/api/recipes/" + id + "/file?as=" + form)
                .exchange((q, r) -> {
                    assertThat(r.getStatusCode().value()).isEqualTo(200);
                    assertThat(String.valueOf(r.getHeaders().getContentType())).startsWith(type(form));
                    return new String(r.getBody().readAllBytes(), StandardCharsets.UTF_8);
                });
    }

    /** Every recipe of the demo household, and one with whatever a recipe may have and a name that breaks out of pages. */
    static Stream<Arguments> all() {
        Answer odd = post("/api/recipes", """
                {"about":"</script><b>bold</b> & “quoted”","purposes":["a cold day"],"recipe":{
                 "name":"</script> Ťwo & <more>","tradition":"folk","cups":2,"cupMl":240,"dilutionParts":1,
                 "additions":[
                  {"herb":"ginger","form":"fresh","cut":"sliced","amount":4,"amountTo":6,"unit":"slice","stage":0,"optional":true},
                  {"herb":"cinnamon-cassia","form":"dried","cut":"whole","amount":1,"unit":"stick","stage":1,
                   "or":[{"herb":"cardamom","form":"dried","cut":"crushed","amount":5,"unit":"pod","stage":1}]},
                  {"herb":"honey","form":"fresh","cut":"whole","amount":1,"unit":"tsp","stage":4}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10,"minutesTo":15,"lid":true},{"kind":"rest","minutes":5},{"kind":"strain"},{"kind":"finish"}],
                 "posology":{"cupsADay":1,"cupsADayTo":2,"when":"with-food","daysOn":7,"daysOff":7,"moments":["morning"]},
                 "notes":["From the market, “not the shop”"],"keepsDays":3}}""");
        assertThat(odd.code()).as(odd.body().toString()).isEqualTo(201);
        return get("/api/recipes")
                .body()
                .valueStream()
                .map(r -> r.get("id").asString())
                .flatMap(id -> FORMS.stream().map(f -> Arguments.of(id, f)));
    }

    /** A recipe in every unit, its amounts in fractions, one herb optional and one in each cup. */
    static Stream<Arguments> inEveryUnit() {
        return Stream.of(embercup.core.measure.Unit.values())
                .filter(u -> u != embercup.core.measure.Unit.PART)
                .flatMap(u -> Stream.of(0.5, 1.0 / 3, 2.25).map(n -> Arguments.of(u.code(), n)));
    }

    private static String inUnit(String herb, String unit, double amount) {
        return """
                {"about":"","purposes":[],"recipe":{"name":"By the %1$s","tradition":"folk","cups":2.5,"cupMl":237.5,
                 "additions":[
                  {"herb":"%4$s","form":"fresh","cut":"whole","amount":%2$s,"amountTo":%3$s,"unit":"%1$s","stage":0},
                  {"herb":"linden","form":"dried","cut":"chopped","amount":0.75,"unit":"tbsp","stage":0,"optional":true},
                  {"herb":"lemon-juice","form":"fresh","cut":"whole","amount":0.5,"unit":"tsp","stage":3}],
                 "stages":[{"kind":"pour"},{"kind":"steep","minutes":7.5,"lid":true},{"kind":"strain"},{"kind":"finish"}]}}""".formatted(unit, amount, amount * 1.5, herb);
    }

    @ParameterizedTest(name = "{1} {0}")
    @MethodSource("inEveryUnit")
    void aFractionInAnyUnitIsGivenAwayAndComesBack(String unit, double amount) {
        Answer made = Stream.of("chamomile", "ginger", "garlic", "peppermint", "cardamom", "lemon")
                .map(herb -> post("/api/recipes", inUnit(herb, unit, amount)))
                .filter(a -> a.code() == 201)
                .findFirst()
                .orElseThrow();
        String id = made.body().get("id").asString();
        try {
            for (String form : FORMS) {
                Answer back = postAs("/api/recipes/import", type(form), file(id, form));
                assertThat(back.code()).as(back.body().toString()).isEqualTo(200);
                assertThat(back.body().get("recipes").get(0).get("recipe"))
                        .as(form)
                        .isEqualTo(made.body().get("recipe"));
            }
        } finally {
            RunningServer.delete("/api/recipes/" + id);
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void whatIsGivenAwayComesBackWhole(String id, String form) {
        JsonNode kept = get("/api/recipes/" + id).body();
        Answer back = postAs("/api/recipes/import", type(form), file(id, form));
        assertThat(back.code()).as(back.body().toString()).isEqualTo(200);
        assertThat(back.body().get("recipes").size()).isEqualTo(1);
        JsonNode one = back.body().get("recipes").get(0);
        assertThat(one.get("recipe")).isEqualTo(kept.get("recipe"));
        assertThat(one.get("whole").get("about")).isEqualTo(kept.get("about"));
        assertThat(one.get("whole").get("purposes")).isEqualTo(kept.get("purposes"));
    }

    /** A link that a messenger broke, or that a later version wrote, says so and is not read as a recipe of one strange word. */
    @Test
    void aBrokenLinkSaysWhatIsWrongWithIt() throws java.io.IOException {
        String id = get("/api/recipes").body().get(0).get("id").asString();
        String word = file(id, "text")
                .lines()
                .filter(l -> l.startsWith("ember-cup:"))
                .findFirst()
                .orElseThrow();
        for (int cut : new int[] {1, 5, 40, word.length() - 12}) {
            Answer answer = postAs("/api/recipes/import", "text/plain", word.substring(0, word.length() - cut));
            assertThat(answer.code()).as("cut by %s", cut).isEqualTo(422);
            assertThat(answer.body().get("type").asString()).endsWith("link-cut-off");
        }
        java.io.ByteArrayOutputStream bytes = new java.io.ByteArrayOutputStream();
        try (var out = new java.util.zip.DeflaterOutputStream(
                bytes, new java.util.zip.Deflater(java.util.zip.Deflater.BEST_COMPRESSION, true))) {
            out.write("{\"version\":7,\"recipe\":{\"brew\":\"later\"}}".getBytes(StandardCharsets.UTF_8));
        }
        Answer newer = postAs(
                "/api/recipes/import",
                "text/plain",
                "ember-cup:" + java.util.Base64.getUrlEncoder().withoutPadding().encodeToString(bytes.toByteArray()));
        assertThat(newer.code()).isEqualTo(422);
        assertThat(newer.body().get("type").asString()).endsWith("link-newer");
    }

    /** Outside check: what schema.org's Recipe has, read by jsoup and Jackson and by nothing of ours. */
    @Test
    void aPageIsARecipeToAnyReader() {
        String id =
                all().map(a -> String.valueOf(a.get()[0])).reduce((a, b) -> b).orElseThrow();
        Document page = Jsoup.parse(file(id, "html"));
        assertThat(page.title()).isEqualTo("</script> Ťwo & <more>");
        assertThat(page.select("h1").text()).isEqualTo("</script> Ťwo & <more>");
        assertThat(page.select("b, script:not([type])").size())
                .as("nothing of a recipe becomes markup")
                .isZero();
        assertThat(page.select("ul li").size()).isEqualTo(3);
        JsonNode data = RunningServer.JSON.readTree(
                page.select("script[type=application/ld+json]").first().data());
        assertThat(data.get("@type").asString()).isEqualTo("Recipe");
        assertThat(data.get("recipeIngredient").get(1).asString()).contains("1 stick", "innamon");
        assertThat(data.get("recipeInstructions").get(0).get("@type").asString())
                .isEqualTo("HowToStep");
        assertThat(data.get("totalTime").asString()).matches("PT(\\d+H)?(\\d+M)?(\\d+S)?");
        assertThat(data.get("recipeYield").asString()).isEqualTo("2 cups");
    }

    /** Another kitchen that does not know our document reads the words: the herbs and the steps are in them. */
    @Test
    void aFriendWithoutOurDocumentReadsTheWords() {
        String id = get("/api/recipes").body().get(1).get("id").asString();
        JsonNode data = RunningServer.JSON.readTree(file(id, "jsonld"));
        ((tools.jackson.databind.node.ObjectNode) data).remove("emberCup");
        JsonNode read = postAs("/api/recipes/import", "application/ld+json", data.toString())
                .body()
                .get("recipes")
                .get(0);
        assertThat(read.has("whole")).isFalse();
        List<String> herbs = read.get("recipe")
                .get("additions")
                .valueStream()
                .map(a -> a.get("herb").asString())
                .toList();
        assertThat(herbs)
                .containsExactlyElementsOf(get("/api/recipes/" + id)
                        .body()
                        .get("recipe")
                        .get("additions")
                        .valueStream()
                        .map(a -> a.get("herb").asString())
                        .toList());
    }

    @Test
    void aSmallRecipeFitsALinkAndASquare() throws Exception {
        String id = get("/api/recipes").body().get(0).get("id").asString();
        JsonNode share = get("/api/recipes/" + id + "/share").body();
        String path = share.get("path").asString();
        assertThat(path).startsWith("/recipe/new#ember-cup:");
        List<String> rows =
                share.get("square").valueStream().map(JsonNode::asString).toList();
        assertThat(new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(pixels(rows))))
                        .getText())
                .isEqualTo(RunningServer.address() + path);
        JsonNode back = postAs("/api/recipes/import", "text/plain", path.substring(path.indexOf('#') + 1))
                .body();
        assertThat(back.get("recipes").get(0).get("recipe"))
                .isEqualTo(get("/api/recipes/" + id).body().get("recipe"));
    }

    private static LuminanceSource pixels(List<String> rows) {
        int scale = 4;
        int side = rows.size() * scale;
        int[] all = new int[side * side];
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                all[y * side + x] = rows.get(y / scale).charAt(x / scale) == '1' ? 0 : 0xffffff;
            }
        }
        return new RGBLuminanceSource(side, side, all);
    }

    @Test
    void whatIsNoRecipeOfOursIsReadLikeAnyText() {
        String bomb = "ember-cup:" + "A".repeat(400);
        JsonNode read = postAs(
                        "/api/recipes/import", "text/plain", "Nettle cup\n2 tsp nettle\nsteep 10 minutes\n" + bomb)
                .body();
        assertThat(read.get("recipes").get(0).has("whole")).isFalse();
        assertThat(read.get("recipes")
                        .get(0)
                        .get("recipe")
                        .get("additions")
                        .get(0)
                        .get("herb")
                        .asString())
                .isEqualTo("nettle");
        String foreign =
                "{\"@type\":\"Recipe\",\"name\":\"x\",\"recipeIngredient\":[\"2 tsp nettle\"],\"emberCup\":{\"version\":1,\"recipe\":{\"name\":\"x\",\"cups\":-4}}}";
        JsonNode other = postAs("/api/recipes/import", "application/ld+json", foreign)
                .body()
                .get("recipes")
                .get(0);
        assertThat(other.has("whole")).as("a document that cannot be brewed").isFalse();
        String unknown =
                "{\"@type\":\"Recipe\",\"name\":\"x\",\"recipeIngredient\":[\"2 tsp moonwort\"],\"emberCup\":{\"version\":1,\"recipe\":{\"name\":\"x\",\"additions\":[{\"herb\":\"my-own-moonwort\",\"amount\":1,\"unit\":\"tsp\"}]}}}";
        assertThat(postAs("/api/recipes/import", "application/ld+json", unknown)
                        .body()
                        .get("recipes")
                        .get(0)
                        .has("whole"))
                .as("a herb that this house does not know is asked about")
                .isFalse();
        assertThat(RunningServer.get("/api/recipes/"
                                + get("/api/recipes").body().get(0).get("id").asString() + "/file?as=docx")
                        .code())
                .isEqualTo(422);
    }
}
