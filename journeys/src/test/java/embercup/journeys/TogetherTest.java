package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.SelectOption;
import embercup.server.RunningServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Several pots for one hour are planned in one place: who is ready when, and on which burner. */
class TogetherTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private static void another(Page page, String name) {
        button(page, "^Another pot").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                .click();
    }

    @ParameterizedTest
    @CsvSource({"1280, 800, LIGHT", "390, 844, DARK"})
    void twoPotsForOneHourAreLaidOnTwoBurnersAndPlannedTogether(int width, int height, ColorScheme scheme) {
        Page page = browser.page(width, height, scheme, RunningServer.address());
        page.navigate("/");
        link(page, "Several for one hour").click();
        assertThat(page.getByText("Nothing for that hour yet")).isVisible();
        button(page, "^Ready at").click();
        page.getByLabel("Day", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("tomorrow"));
        button(page, "^Drink at .* tomorrow").click();
        another(page, "Dandelion and burdock");
        another(page, "Rosehip and hawthorn");
        Locator pots = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Pots"))
                .getByRole(AriaRole.LISTITEM);
        assertThat(pots).hasCount(2);
        assertThat(pots.first()).containsText(Pattern.compile("ready \\d\\d:\\d\\d, on the (small|large) burner"));
        assertThat(pots.last()).containsText(Pattern.compile("ready \\d\\d:\\d\\d, on the (small|large) burner"));
        String first = pots.first().innerText().replaceAll("(?s).*on the (\\w+) burner.*", "$1");
        assertThat(pots.last()).not().containsText("on the " + first + " burner");
        button(page, "^Drinker of pot 2").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Aunt Siv")))
                .click();
        assertThat(button(page, "^Drinker of pot 2: Aunt Siv")).isVisible();
        page.reload();
        assertThat(button(page, "^Drinker of pot 2: Aunt Siv")).isVisible();
        Locator lanes = page.getByRole(
                AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("Dandelion.*; Rosehip")));
        assertThat(lanes).isVisible();
        ScreensTest.accessible(page, "several for one hour");
        Object wider = page.evaluate("document.documentElement.scrollWidth - innerWidth");
        Assertions.assertThat(((Number) wider).intValue()).isLessThanOrEqualTo(0);
        button(page, "^Plan all 2").click();
        page.waitForURL(Pattern.compile(".*/$"));
        Locator fire = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("On the fire"));
        assertThat(fire).containsText("Dandelion and burdock");
        assertThat(fire).containsText("Rosehip and hawthorn");
        assertThat(fire).containsText("Starts at");
    }
}
