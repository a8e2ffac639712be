package embercup.server;

import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;
import static embercup.server.RunningServer.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.qrcode.QRCodeMultiReader;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;

/** Labels as they are printed, read back from the paper: its words by PDFBox, its squares by ZXing. */
@ExtendWith(RunningServer.class)
class LabelsOverHttpTest {

    private static final float DPI = 200;

    private static byte[] pdf(String query) {
        return RestClient.create(RunningServer.address())
                .get()
                .uri("/api/labels.pdf?" + query)
                .exchange((q, r) -> {
                    byte[] bytes = r.getBody().readAllBytes();
                    assertThat(r.getStatusCode().value()).as(new String(bytes)).isEqualTo(200);
                    return bytes;
                });
    }

    private static String words(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    private static List<String> squares(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DPI);
            int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
            var bitmap = new BinaryBitmap(
                    new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels)));
            return Arrays.stream(
                            new QRCodeMultiReader().decodeMultiple(bitmap, Map.of(DecodeHintType.TRY_HARDER, true)))
                    .map(Result::getText)
                    .toList();
        }
    }

    private static String tin(String herb) {
        return get("/api/shelf")
                .body()
                .valueStream()
                .filter(t -> t.get("herb").asString().equals(herb))
                .map(t -> t.get("id").asString())
                .findFirst()
                .orElseThrow();
    }

    /** The rosehip and hawthorn of the demo household, whatever else other tests have kept. */
    private static JsonNode jar() {
        return get("/api/keeping")
                .body()
                .get("jars")
                .valueStream()
                .filter(j -> j.get("name").asString().startsWith("Rosehip and hawthorn"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aJarsLabelSaysWhatIsInItAndTillWhenAndItsSquareOpensIt() throws Exception {
        JsonNode jar = jar();
        String id = jar.get("id").asString();
        byte[] pdf = pdf("paper=roll&jar=" + id);
        String words = words(pdf);
        assertThat(words)
                .contains(jar.get("name").asString().split(" ")[0])
                .contains("made ")
                .contains("use by ");
        var brew = get("/api/brews/" + id).body();
        String herb = brew.get("plan").get("additions").get(0).get("common").asString();
        assertThat(words).contains(herb).contains("%");
        assertThat(words).as("the Latin name").containsPattern("\\([A-Z][a-z]+ [a-z]+");
        assertThat(squares(pdf)).containsExactly(RunningServer.address() + "/keeping?jar=" + id);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDRectangle page = document.getPage(0).getMediaBox();
            assertThat(page.getWidth() / 72 * 25.4).isCloseTo(62, within(0.1));
            assertThat(page.getHeight() / 72 * 25.4).isCloseTo(35, within(0.1));
        }
    }

    @Test
    void aTinsLabelHasItsLatinNameAndWhatIsToBeMinded() throws Exception {
        String words = words(pdf("paper=roll&tin=" + tin("liquorice")));
        assertThat(words).contains("Liquorice", "Glycyrrhiza", "filled", "use by", "!");
    }

    @Test
    void aBlendsLabelHasItsPartsByWeight() throws Exception {
        put("/api/herbs/label-blend/own", """
                {"common":"Ťree Ночь blend","parts":[
                 {"herb":"sage","form":"dried","cut":"chopped","amount":1,"unit":"part"},
                 {"herb":"thyme","form":"dried","cut":"chopped","amount":1,"unit":"part"}]}""");
        String words = words(pdf("paper=roll&blend=label-blend"));
        assertThat(words).contains("Ťree Ночь blend", "Salvia officinalis", "Thymus vulgaris", "mixed");
        var parts = get("/api/herbs/label-blend").body().get("parts");
        long sage = Math.round(parts.get(0).get("share").asDouble() * 100);
        assertThat(words).contains(sage + " %");
    }

    @Test
    void aSheetHasTwentyFourOnA4AndTwentyOneOnLetter() throws Exception {
        String tin = tin("sage");
        byte[] a4 = pdf("copies=24&tin=" + tin);
        assertThat(pages(a4)).isEqualTo(1);
        assertThat(squares(a4)).hasSize(24).allMatch((RunningServer.address() + "/keeping?tin=" + tin)::equals);
        assertThat(pages(pdf("copies=24&skip=1&tin=" + tin)))
                .as("a place is used already")
                .isEqualTo(2);
        assertThat(pages(pdf("copies=21&paper=letter&tin=" + tin))).isEqualTo(1);
        assertThat(pages(pdf("copies=22&paper=letter&tin=" + tin))).isEqualTo(2);
        assertThat(pages(pdf("copies=3&paper=roll&tin=" + tin))).isEqualTo(3);
    }

    private static int pages(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages();
        }
    }

    /** Nothing of a label stands outside it, whatever its name is. */
    @Test
    void nothingIsDrawnOverTheEdge() throws Exception {
        var recipe = post("/api/brews", """
                {"recipe":{"name":"%s","tradition":"folk","cups":4,"cupMl":240,
                 "additions":[{"herb":"rosehip","form":"dried","cut":"crushed","amount":6,"unit":"tsp","stage":0}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10},{"kind":"strain"}]},"start":true}""".formatted(
                        "An extraordinarilylongnamethathasnoplacetobreak of rosehip " + "and more ".repeat(5)));
        String id = recipe.body().get("id").asString();
        for (String kind : List.of("finished", "kept")) {
            post(
                    "/api/brews/" + id + "/events",
                    "{\"id\":\"%s\",\"kind\":\"%s\"}".formatted(java.util.UUID.randomUUID(), kind));
        }
        byte[] pdf = pdf("paper=roll&jar=" + id);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DPI);
            int edge = 8;
            for (int x = 0; x < image.getWidth(); x++) {
                for (int y : new int[] {0, edge, image.getHeight() - 1}) {
                    assertThat(image.getRGB(x, y) & 0xff).as("at %s, %s", x, y).isGreaterThan(200);
                }
            }
            for (int y = 0; y < image.getHeight(); y++) {
                for (int x : new int[] {0, edge, image.getWidth() - edge}) {
                    assertThat(image.getRGB(x, y) & 0xff).as("at %s, %s", x, y).isGreaterThan(200);
                }
            }
        }
        assertThat(squares(pdf)).hasSize(1);
    }

    /** Half a caution could say the opposite. */
    @Test
    void aCautionStandsThereWholeOrIsSaidToBeMissing() throws Exception {
        for (var tin : get("/api/shelf").body()) {
            String words = words(pdf("paper=roll&tin=" + tin.get("id").asString()));
            if (words.contains("! ")) {
                assertThat(words.strip()).as(words).matches(".*(\\.|scan it)");
            }
        }
    }

    /** However much is in a jar: that something is to be minded is said on its label. */
    @Test
    void aFullLabelStillSaysThatSomethingIsToBeMinded() throws Exception {
        String herbs = java.util.stream.Stream.of(
                        "hawthorn-berry",
                        "elderflower",
                        "linden",
                        "cinnamon-cassia",
                        "orange-peel",
                        "peppermint",
                        "rosehip",
                        "sage")
                .map(
                        "{\"herb\":\"%s\",\"form\":\"dried\",\"cut\":\"chopped\",\"amount\":1,\"unit\":\"g\",\"stage\":0}"
                                ::formatted)
                .collect(java.util.stream.Collectors.joining(","));
        var brewed = post("/api/brews", """
                {"recipe":{"name":"Everything there is in the house","tradition":"folk","cups":4,"cupMl":240,"additions":[%s],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":10},{"kind":"strain"}],
                 "posology":{"cupsADay":2,"when":"with-food","daysOn":7,"daysOff":7,"moments":["morning","evening"]}},
                 "drinker":{"ageYears":41,"conditions":["gallbladder"]},"start":true}""".formatted(herbs));
        assertThat(brewed.code()).as(brewed.body().toString()).isEqualTo(201);
        String id = brewed.body().get("id").asString();
        for (String kind : List.of("finished", "kept")) {
            post(
                    "/api/brews/" + id + "/events",
                    "{\"id\":\"%s\",\"kind\":\"%s\"}".formatted(java.util.UUID.randomUUID(), kind));
        }
        assertThat(brewed.body().get("plan").get("cautions").toString()).contains("\"care\"");
        assertThat(words(pdf("paper=roll&jar=" + id)).strip()).endsWith("! More is to be minded: scan it");
    }

    @Test
    void whatHasNoLabelIsRefused() {
        assertThat(get("/api/labels.pdf").code()).isEqualTo(422);
        assertThat(get("/api/labels.pdf?copies=99&tin=" + tin("sage")).code()).isEqualTo(422);
        assertThat(get("/api/labels.pdf?paper=vellum&tin=" + tin("sage")).code())
                .isEqualTo(422);
        assertThat(get("/api/labels.pdf?tin=" + java.util.UUID.randomUUID()).code())
                .isEqualTo(404);
        assertThat(get("/api/labels.pdf?blend=sage").code()).isEqualTo(404);
    }

    /** Whatever is kept, without naming each of it: a long shelf's names would not fit into an address. */
    @Test
    void everythingThatIsKeptGetsItsLabel() throws Exception {
        String text = words(pdf("everything=true&paper=roll"));
        for (JsonNode tin : get("/api/shelf").body()) {
            assertThat(text).contains(tin.get("common").asString());
        }
        for (JsonNode jar : get("/api/keeping").body().get("jars")) {
            assertThat(text).contains(jar.get("name").asString().split(" ")[0]);
        }
    }

    /** A blend in its jar says its herbs with their shares and names, as the page of the blend does. */
    @Test
    void theJarOfABlendSaysWhatIsMixedInIt() throws Exception {
        put("/api/herbs/label-mix/own", """
                {"common":"Label mix","use":"Traditionally used in the evening.",
                 "parts":[{"herb":"linden","amount":3,"unit":"g"},{"herb":"lemon-balm","amount":1,"unit":"g"}]}""");
        JsonNode mixed = post("/api/shelf/mixes", "{\"blend\":\"label-mix\",\"grams\":40}")
                .body();
        String text = words(pdf("paper=roll&tin=" + mixed.get("tin").get("id").asString()));
        assertThat(text).contains("Label mix", "Melissa officinalis", "75 %", "25 %", "mixed");
        RunningServer.delete("/api/shelf/mixes/" + mixed.get("id").asString());
    }

    /** A bottle says how many drops of it are a dose, and how much alcohol is in it. */
    @Test
    void aBottleSaysItsDrops() throws Exception {
        String id = post("/api/brews", """
                {"start":true,"confirmed":["yarrow"],"recipe":{"name":"Bottle of the slip","tradition":"folk","cups":5,"cupMl":100,
                 "menstruum":"spirit","alcoholPercent":40,
                 "additions":[{"herb":"yarrow","form":"dried","cut":"chopped","amount":100,"unit":"g","stage":0}],
                 "stages":[{"kind":"macerate","minutes":43200},{"kind":"strain","pressed":true}]}}""").body().get("id").asString();
        for (JsonNode step : get("/api/brews/" + id).body().get("plan").get("steps")) {
            if (step.get("kind").asString().equals("macerate")) {
                break;
            }
            RunningServer.event(
                    id, "step-done", ",\"step\":\"" + step.get("key").asString() + "\"");
        }
        assertThat(words(pdf("paper=roll&jar=" + id)))
                .as("while it stands")
                .contains("Bottle of the slip", "Achillea", "in spirit of 40 %", "set up", "press on", "once a day");
        RunningServer.event(id, "finished");
        RunningServer.event(id, "kept");
        assertThat(words(pdf("paper=roll&jar=" + id)))
                .contains("Bottle of the slip", "40 drops", "at most 3 times a day", "40 % alcohol", "Achillea");
        RunningServer.event(id, "emptied");
    }
}
