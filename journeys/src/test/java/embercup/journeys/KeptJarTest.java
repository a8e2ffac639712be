package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import embercup.server.RunningServer;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The rest of a pot, put into a jar, and the cups out of it on the third day. */
@ExtendWith(RunningServer.class)
class KeptJarTest {

    private static final int TWO_DAYS_S = 48 * 3600;

    @RegisterExtension
    final Browser browser = new Browser();

    private static JsonNode event(String brew, String kind, String more) {
        return RunningServer.post(
                        "/api/brews/" + brew + "/events",
                        "{\"id\":\"%s\",\"kind\":\"%s\",\"ageS\":%d%s}"
                                .formatted(UUID.randomUUID(), kind, TWO_DAYS_S, more))
                .body();
    }

    /** A decoction that was done two days ago; honey and ghee go into each cup. */
    private static String pot(String name) {
        JsonNode brew = RunningServer.post("/api/brews", """
                {"recipe":{"name":"%s","tradition":"folk","cups":3,"cupMl":240,
                 "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":10,"unit":"g","stage":0},
                              {"herb":"honey","form":"fresh","cut":"whole","amount":1,"unit":"tsp","stage":3},
                              {"herb":"ghee","form":"fresh","cut":"whole","amount":0.5,"unit":"tsp","stage":3}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"},{"kind":"finish"}]},
                 "confirmed":["dandelion"]}
                """.formatted(name)).body();
        String id = brew.get("id").asString();
        event(id, "started", "");
        for (JsonNode step : brew.get("plan").get("steps")) {
            event(id, "step-done", ",\"step\":\"" + step.get("key").asString() + "\"");
        }
        event(id, "finished", "");
        return id;
    }

    private static Locator jar(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^The jar of " + name)));
    }

    private static double leftMl(String brew) {
        return RunningServer.get("/api/brews/" + brew).body().get("leftMl").asDouble();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theRestIsKeptAndDrunkCupByCupUntilTheJarIsEmpty(boolean onPhone) {
        String name = "Kept pot " + UUID.randomUUID().toString().substring(0, 8);
        String id = pot(name);
        Page page = onPhone ? browser.phone() : browser.laptop();
        page.navigate("/brew/" + id);
        button(page, "Pour 240 mL").click();
        assertThat(page.getByText("240 mL poured, ")).isVisible();
        button(page, "Keep the rest in a jar").click();
        page.getByText("A cup out of the jar").click();

        double full = leftMl(id);
        assertThat(jar(page, name)).hasAccessibleName(Pattern.compile("drink by"));
        assertThat(jar(page, name)).hasAttribute("aria-expanded", "true");
        Locator steps = page.getByRole(AriaRole.LISTITEM);
        assertThat(steps.filter(new Locator.FilterOptions().setHasText("Shake the jar")))
                .isVisible();
        assertThat(steps.filter(new Locator.FilterOptions().setHasText("It must not boil")))
                .isVisible();
        assertThat(steps.filter(new Locator.FilterOptions().setHasText("of ghee")))
                .isVisible();
        assertThat(steps.filter(new Locator.FilterOptions().setHasText("Wait until it is below 40")))
                .isVisible();
        ScreensTest.accessible(page, "a jar that is open");
        button(page, "^How it is drunk").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^cold")))
                .click();
        assertThat(steps.filter(new Locator.FilterOptions().setHasText("Leave the ghee out")))
                .isVisible();

        String filled = jar(page, name).getAttribute("aria-label");
        button(page, "^Poured$").click();
        assertThat(page.getByText("240 mL poured out of the jar of " + name)).isVisible();
        assertThat(jar(page, name)).not().hasAccessibleName(filled);
        String lower = jar(page, name).getAttribute("aria-label");
        Assertions.assertThat(leftMl(id)).isCloseTo(full - 240, Assertions.within(1.0));
        button(page, "^Undo$").click();
        assertThat(jar(page, name)).hasAccessibleName(filled);

        button(page, "^Poured$").click();
        assertThat(jar(page, name)).hasAccessibleName(lower);
        button(page, "^It is gone$").click();
        assertThat(jar(page, name)).hasCount(0);
        Assertions.assertThat(leftMl(id)).isZero();
        button(page, "^Undo$").click();
        assertThat(jar(page, name)).hasAccessibleName(lower);

        button(page, "^Poured$").click();
        assertThat(jar(page, name)).not().hasAccessibleName(lower);
        assertThat(page.getByText("the cup will be smaller")).isVisible();
        button(page, "^Poured$").click();
        assertThat(jar(page, name)).hasCount(0);
        Assertions.assertThat(leftMl(id)).isCloseTo(0, Assertions.within(0.01));
    }

    /** What a phone's camera reads from the printed label opens the jar; later it says that the jar is gone. */
    @Test
    void theSquareOnALabelOpensItsJar() throws Exception {
        String name = "Labelled pot " + UUID.randomUUID().toString().substring(0, 8);
        String id = pot(name);
        event(id, "kept", "");
        Page page = browser.laptop();
        page.navigate("/keeping");
        jar(page, name).click();
        String label = Browser.link(page, "A label for it").getAttribute("href");
        byte[] pdf = page.request().get(label).body();
        String address;
        try (PDDocument document = Loader.loadPDF(pdf)) {
            Assertions.assertThat(new PDFTextStripper().getText(document)).contains("Labelled pot", "use by");
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, 200);
            int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
            address = new QRCodeReader()
                    .decode(
                            new BinaryBitmap(new HybridBinarizer(
                                    new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels))),
                            Map.of(DecodeHintType.TRY_HARDER, true))
                    .getText();
        }
        Page phone = browser.phone();
        phone.navigate(address);
        assertThat(button(phone, "^Poured$")).isVisible();
        assertThat(jar(phone, name)).hasAttribute("aria-expanded", "true");
        event(id, "emptied", "");
        phone.navigate(address);
        assertThat(phone.getByText("The jar of this label is empty, or gone.")).isVisible();
    }

    /** Tins come from a table after a look at what was made of it. */
    @Test
    void tinsComeOutOfATableAfterALookAtIt() {
        Page page = browser.phone();
        page.navigate("/keeping");
        page.getByLabel("A table of tins")
                .setInputFiles(new FilePayload(
                        "tins.csv",
                        "text/csv",
                        "herb,form,grams\nlemon-balm,dried,44\nmoonwort,dried,3\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("One tin was read, one row was not understood"))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("^3\\. moonwort"))).isVisible();
        button(page, "Put 1 on the shelf").click();
        assertThat(page.getByText("One tin was put on the shelf; one row was left out."))
                .isVisible();
        assertThat(page.getByText("44 g").first()).isVisible();
        ScreensTest.accessible(page, "Keeping by night");
        for (JsonNode tin : RunningServer.get("/api/shelf").body()) {
            if (tin.get("herb").asString().equals("lemon-balm")) {
                RunningServer.delete("/api/shelf/" + tin.get("id").asString());
            }
        }
    }
}
