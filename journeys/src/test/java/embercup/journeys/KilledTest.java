package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.allIn;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.now;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Server and database are killed with signal 9 in the middle of a brew, for real, beside a laptop and a paired phone. */
class KilledTest {

    private static final LocatorAssertions.ContainsTextOptions BACK =
            new LocatorAssertions.ContainsTextOptions().setTimeout(300_000);

    @RegisterExtension
    final Browser browser = new Browser();

    private Path home;

    @BeforeEach
    void aDirectoryOfItsOwn() throws Exception {
        home = Files.createTempDirectory(
                "ember-killed-", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx--x--x")));
    }

    @AfterEach
    void cleanUp() throws Exception {
        new ProcessBuilder("rm", "-rf", home.toString()).start().waitFor();
    }

    private static Locator kept(Page page) {
        return page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("kept here"));
    }

    private static List<Double> heights(List<Locator> buttons) {
        return buttons.stream().map(b -> b.boundingBox().y).toList();
    }

    @Test
    void neitherAKilledServerNorAKilledDatabaseLosesWhatWasConfirmed() throws Exception {
        int port = StartCommand.freePort();
        Map<String, String> kitchen = Map.of("EMBER_KITCHEN_PORT", String.valueOf(StartCommand.freePort()));
        StartCommand first = StartCommand.type(home, port, kitchen, "--kitchen").ready();
        Page laptop = browser.laptop("http://127.0.0.1:" + port);
        Page page = browser.page(Browser.phoneOf("https://127.0.0.1:" + kitchen.get("EMBER_KITCHEN_PORT")));
        Browser.pair(laptop, page);
        toSheet(page, "Linden and elderflower");
        button(page, "Start now").click();
        button(page, "Pour 5").click();
        allIn(page);
        assertThat(now(page)).containsText("Pour");
        laptop.navigate(URI.create(page.url()).getPath());
        assertThat(now(laptop)).containsText("Pour");

        List<Locator> both = List.of(button(page, "Covered"), button(laptop, "Covered"));
        for (Page each : List.of(page, laptop)) {
            each.evaluate("scrollTo(0, 0)");
        }
        List<Double> stood = heights(both);
        first.killServer();
        for (Page each : List.of(page, laptop)) {
            assertThat(each.getByText("Not live since")).isInViewport();
        }
        Assertions.assertThat(heights(both))
                .as("where the button stands on the glass, px")
                .isEqualTo(stood);
        button(page, "Covered").click();
        assertThat(kept(page)).isVisible();
        assertThat(now(page)).containsText("Let it steep", BACK);
        assertThat(kept(page)).hasCount(0);
        assertThat(now(laptop)).containsText("Let it steep", BACK);

        button(page, "Lid off").click();
        assertThat(button(page, "Lid on")).isVisible();
        StartCommand.killDatabase(home);
        button(page, "Strain now").click();
        assertThat(kept(page)).isVisible();
        assertThat(now(page)).containsText("Strain", BACK);
        assertThat(kept(page)).hasCount(0);
        assertThat(now(laptop)).containsText("Strain", BACK);

        page.reload();
        assertThat(now(page)).containsText("Strain");
        button(page, "Undo “Strain now”").click();
        assertThat(button(page, "Undo “lid off”")).isVisible();
        Assertions.assertThat(first.said()).contains("The server ended by itself", "The database ended by itself");

        // What a killed start leaves is taken over by the next.
        long left =
                Long.parseLong(Files.readString(home.resolve("demo/server.pid")).strip());
        first.process().destroyForcibly();
        first.process().waitFor();
        Assertions.assertThat(ProcessHandle.of(left))
                .as("goes on without its start")
                .isPresent();
        StartCommand next = StartCommand.type(home, port, kitchen, "--kitchen").ready();
        Assertions.assertThat(next.said())
                .contains("A server of an earlier start was left running (process " + left + ")");
        page.reload();
        assertThat(now(page)).containsText("Let it steep", BACK);
        page.close();
        next.interrupt();
        Assertions.assertThat(Files.exists(home.resolve("demo/server.pid"))).isFalse();
    }
}
