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

    /** A page saved here is opened there, and by a link it needs no file at all. */
    @Test
    void aRecipeGoesFromOneHouseIntoAnotherAsAPageAndAsALink() {
        Page here = browser.laptop();
        here.navigate("/");
        Browser.toSheet(here, "Two-boil astragalus and codonopsis");
        link(here, "Change the recipe").click();
        Download page = here.waitForDownload(() -> link(here, "As a page").click());
        Assertions.assertThat(page.suggestedFilename()).isEqualTo("two-boil-astragalus-and-codonopsis.html");
        Path file = folder.resolve("recipe.html");
        page.saveAs(file);
        button(here, "As a link").click();
        assertThat(here.getByLabel(java.util.regex.Pattern.compile("as a square for a camera")))
                .isVisible();
        String address = here.getByLabel("The link").inputValue();
        ScreensTest.accessible(here, "a recipe given away");
        try (RunningServer.Elsewhere house = RunningServer.elsewhere("a_friends_house")) {
            Page there = browser.laptop(house.address());
            there.navigate("/recipe/new");
            there.getByLabel("A saved page or text").setInputFiles(file);
            assertThat(there.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                    .hasValue("Two-boil astragalus and codonopsis");
            button(there, "^Keep it").click();
            assertThat(there.getByRole(com.microsoft.playwright.options.AriaRole.HEADING)
                            .first())
                    .containsText("Two-boil astragalus and codonopsis");
            there.navigate(address.replaceFirst("^https?://[^/]+", ""));
            assertThat(there.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                    .hasValue("Two-boil astragalus and codonopsis");
            var kept = RunningServer.get(house.address(), "/api/recipes").body();
            Assertions.assertThat(kept.size()).isEqualTo(1);
            var ours = RunningServer.get("/api/recipes")
                    .body()
                    .valueStream()
                    .filter(r -> r.get("recipe")
                            .get("name")
                            .equals(kept.get(0).get("recipe").get("name")))
                    .findFirst()
                    .orElseThrow();
            Assertions.assertThat(kept.get(0).get("recipe")).isEqualTo(ours.get("recipe"));
            there.close();
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
