package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import embercup.server.RunningServer;
import embercup.server.TestPostgres;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.context.ConfigurableApplicationContext;

/** Nobody, no vessel, no stove, no recipe: the first cup is three clicks away, and for a guest it needs no entry. */
class EmptyHouseTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private static ConfigurableApplicationContext server;
    private static String address;

    /** A house of its own in the same database: another schema. */
    @BeforeAll
    static void anEmptyHouse() {
        server = RunningServer.start(Map.of(
                "spring.datasource.url",
                TestPostgres.get().url() + "?currentSchema=bare",
                "spring.flyway.default-schema",
                "bare"));
        address = "http://127.0.0.1:" + server.getEnvironment().getProperty("local.server.port");
    }

    @AfterAll
    static void closed() {
        server.close();
    }

    @Test
    void itIsGreetedWithThreePotsAndTheFirstIsBrewedForAGuest() {
        Page phone = browser.page(390, 844, ColorScheme.DARK, address);
        phone.navigate("/choose");
        assertThat(phone.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Pots to begin with"))
                        .getByRole(AriaRole.LISTITEM))
                .hasCount(3);
        phone.navigate("/");
        assertThat(phone.getByText("Begin with a pot")).isVisible();
        assertThat(phone.getByText("A guest needs no entry.")).isAttached();
        assertThat((Boolean) phone.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();

        Page page = browser.page(Browser.WIDE, Browser.HIGH, ColorScheme.LIGHT, address);
        page.navigate("/");
        link(page, "Vessels and stove, later").waitFor();
        button(page, "^Chamomile and lemon balm cup").click();
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
        assertThat(button(page, "^Drinker: an adult")).isVisible();
        assertThat(button(page, "^Vessel: mug")).isVisible();
        assertThat(button(page, "^Start now")).isEnabled();

        button(page, "^Drinker: an adult").click();
        button(page, "^A guest").click();
        page.getByLabel("Called").fill("Nils");
        page.getByLabel("Years").fill("9");
        button(page, "It is for this guest").click();
        assertThat(button(page, "^Drinker: Nils")).isVisible();
        page.reload();
        assertThat(button(page, "^Drinker: Nils")).isVisible();
        assertThat(page.getByText("Lemon balm leaf: not for anybody under 12 years without a clinician."))
                .isVisible();
        button(page, "^Leave the lemon balm leaf out").click();

        button(page, "^Start now").click();
        assertThat(page).hasURL(Pattern.compile("/brew/"));
        assertThat(page.getByText(Pattern.compile("for Nils")).first()).isVisible();
        assertThat(RunningServer.get(address, "/api/people").body()).isEmpty();
    }
}
