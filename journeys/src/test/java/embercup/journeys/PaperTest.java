package embercup.journeys;

import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.toSheet;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sheet for the phone's own way of sharing. Outside check: Apache PDFBox reads the file back. */
class PaperTest {

    @RegisterExtension
    final Browser browser = new Browser();

    @ParameterizedTest
    @CsvSource({
        "Dandelion and burdock, Dandelion root, 480 mL",
        "Two-boil astragalus, Codonopsis root, into the jug",
        "Rosehip and hawthorn, Hawthorn berry, 720 mL",
        "Cold jar of marshmallow, Marshmallow root, stand"
    })
    void aSheetIsOnePageOfPaperWithEverythingThatIsNeededAtTheStove(String pot, String herb, String said)
            throws IOException {
        Page page = browser.phone();
        page.navigate("/choose");
        toSheet(page, pot);
        button(page, "Start now").waitFor();
        Download file = page.waitForDownload(() -> button(page, "Share as PDF").click());
        assertThat(file.suggestedFilename()).startsWith(pot).endsWith(".pdf");
        try (PDDocument paper = Loader.loadPDF(Files.readAllBytes(file.path()))) {
            assertThat(paper.getNumberOfPages()).isEqualTo(1);
            String text = new PDFTextStripper().getText(paper).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains(
                            pot,
                            herb,
                            said,
                            "Measure out",
                            "What is done",
                            "as it was",
                            "When to stop and ask a clinician",
                            "How it was")
                    .containsPattern("\\d\\d:\\d\\d Strain|\\d\\d:\\d\\d Let it")
                    .doesNotContain("NaN", "undefined", "null");
        }
    }
}
