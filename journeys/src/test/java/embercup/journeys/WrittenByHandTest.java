package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.now;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Pots that a cook writes down by hand, with what she warns of and how others take them, and brews. */
@ExtendWith(RunningServer.class)
class WrittenByHandTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private static void herb(Page page, int n, String typed) {
        Locator field = page.getByRole(
                AriaRole.COMBOBOX,
                new Page.GetByRoleOptions().setName("Herb " + n).setExact(true));
        field.fill(typed);
        page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Herbs found"))
                .getByRole(AriaRole.OPTION)
                .first()
                .click();
    }

    private static void pick(Page page, String word) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(word).setExact(true))
                .click();
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    /** Kept under the boil: nothing on sheet or stove boils, the flame has its place, each caution stands where the hands are. */
    @Test
    void aPotIsKeptHotWithTheCooksOwnCautions() {
        Page page = browser.laptop();
        page.navigate("/recipe/new");
        field(page, "Name").fill("Harbour root, kept hot");
        herb(page, 1, "burdock");
        button(page, "^The first stage").click();
        pick(page, "keep at a temperature");
        button(page, "^Stage 1: keep at").click();
        field(page, "Degrees").fill("80");
        field(page, "Minutes").fill("15");
        page.keyboard().press("Escape");
        assertThat(button(page, "^Stage 1: keep at 80 °C for 15 min")).isVisible();
        button(page, "^A stage before the 2").click();
        pick(page, "strain");

        button(page, "^Add a caution$").click();
        field(page, "caution 1").fill("stay with it, it rises");
        button(page, "^place of caution 1").click();
        field(page, "It is about").selectOption("step");
        page.keyboard().press("Escape");
        button(page, "^Add who takes it otherwise$").click();
        assertThat(page.getByText(Pattern.compile("1 tsp 3 times a day"))).isVisible();
        button(page, "^Keep it$").click();

        assertThat(button(page, "^Start now")).isVisible();
        assertThat(page.getByText("The recipe says: Stay with it, it rises.")).isVisible();
        assertThat(page.getByText(Pattern.compile("under 12 years: 1 tsp 3 times a day")))
                .isVisible();
        assertThat(page.locator("main")).not().containsText("boils");
        button(page, "^Start now").click();
        button(page, "^Measured").click();
        Locator stove = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Now"));
        assertThat(now(page)).containsText("Warm it to 80 °C");
        assertThat(stove).containsText("Stay with it, it rises.");
        assertThat(stove).not().containsText(Pattern.compile("[Bb]oil"));
        button(page, "It has 80 °C").click();
        assertThat(now(page)).containsText("Keep it at 80 °C for 15 min");
        assertThat(stove).containsText("steam, and no bubbles that rise");
        assertThat(stove).not().containsText(Pattern.compile("[Bb]oil"));
        button(page, "Strain now").click();
        assertThat(now(page)).containsText("Strain");
    }
}
