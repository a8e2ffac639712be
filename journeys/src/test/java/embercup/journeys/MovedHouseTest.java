package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import embercup.server.RunningServer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** Out of one house into another: everything in one file. */
@ExtendWith(RunningServer.class)
class MovedHouseTest {

    @RegisterExtension
    final Browser browser = new Browser();

    @TempDir
    Path folder;

    @Test
    void aHouseholdIsSavedInAFileAndComesBackIntoAnEmptyHouse() throws Exception {
        Page old = browser.laptop();
        old.navigate("/household");
        Download saved = old.waitForDownload(
                () -> link(old, "Save the household in a file").click());
        Assertions.assertThat(saved.suggestedFilename()).matches("ember-cup-\\d{4}-\\d\\d-\\d\\d\\.zip");
        Path file = folder.resolve("house.zip");
        saved.saveAs(file);
        try (RunningServer.Elsewhere house = RunningServer.elsewhere("moved_house")) {
            Page page = browser.laptop(house.address());
            page.navigate("/");
            Path letter = Files.writeString(folder.resolve("letter.zip"), "Dear Siv, the kettle is on.");
            page.getByLabel("A saved household").setInputFiles(letter);
            assertThat(page.getByText("This file is cut off or damaged")).isVisible();
            page.getByLabel("A saved household").setInputFiles(file);
            assertThat(page.getByText("Begin with a pot")).hasCount(0);
            for (String place : List.of("/choose", "/keeping", "/notebook", "/household")) {
                old.navigate(place);
                page.navigate(place);
                assertThat(page.locator("main h1").first()).isAttached();
                alike(page, old, place);
            }
            assertThat(button(page, "Bring a saved household back")).hasCount(0);
            page.close();
        }
    }

    /** Both have come to rest and say the same. */
    private static void alike(Page page, Page old, String place) {
        try {
            page.waitForCondition(() -> shown(page).equals(shown(old)));
        } catch (TimeoutError e) {
            Assertions.assertThat(shown(page)).as(place).isEqualTo(shown(old));
        }
    }

    /** What a page says, but for what counts the minutes. */
    private static String shown(Page page) {
        return page.locator("main").innerText().replaceAll("\\d+ (min|s) ago|just now|\\d+ h( \\d+)?( min)?", "…");
    }
}
