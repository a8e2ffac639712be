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

    /** A new recipe with its name and its first herb. */
    private static Page begun(Page page, String name, String herb) {
        page.navigate("/recipe/new");
        field(page, "Name").fill(name);
        herb(page, 1, herb);
        return page;
    }

    private static void stage(Page page, int before, String kind) {
        button(page, before == 1 ? "^The first stage" : "^A stage before the " + before)
                .click();
        pick(page, kind);
    }

    /** Kept under the boil: nothing on sheet or stove boils, the flame has its place, each caution stands where the hands are. */
    @Test
    void aPotIsKeptHotWithTheCooksOwnCautions() {
        Page page = begun(browser.laptop(), "Harbour root, kept hot", "burdock");
        stage(page, 1, "keep at a temperature");
        button(page, "^Stage 1: keep at").click();
        field(page, "Degrees").fill("80");
        field(page, "Minutes").fill("15");
        page.keyboard().press("Escape");
        assertThat(button(page, "^Stage 1: keep at 80 °C for 15 min")).isVisible();
        stage(page, 2, "strain");

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

    /** A root liquor that goes on without its roots: into a pot, boiled down, into a bottle, and kept. */
    @Test
    void aBatchIsBoiledDownAndBottled() {
        Page page = begun(browser.laptop(), "Harbour root, boiled down", "burdock");
        stage(page, 1, "simmer");
        stage(page, 2, "strain");
        stage(page, 3, "boil down to");
        button(page, "^Stage 3: boil down").click();
        field(page, "Down to").fill("250");
        page.keyboard().press("Escape");
        stage(page, 4, "strain");
        button(page, "^Stage 4: strain").click();
        field(page, "It runs into").selectOption("bottle");
        page.keyboard().press("Escape");
        assertThat(button(page, "^Stage 4: strain into a bottle")).isVisible();
        button(page, "^Keep it$").click();

        button(page, "^Start now").click();
        button(page, "^Measured").click();
        assertThat(now(page)).containsText("Bring to the boil");
        button(page, "It has boiled").click();
        button(page, "Strain now").click();
        assertThat(now(page)).containsText("into a clean pot");
        button(page, "Heat is on").click();
        button(page, "It has boiled").click();
        assertThat(now(page)).containsText("Boil it down");
        button(page, "Pour it over").click();
        assertThat(now(page)).containsText("Pour it into a clean bottle");
    }

    /** Nothing is heated and nothing stands: measured, blended, drunk, with the blender's own water. */
    @Test
    void aBlenderCupIsDrunkWhole() {
        Page page = begun(browser.phone(), "Harbour ginger, blended", "ginger");
        stage(page, 1, "blend");
        button(page, "^Stage 1: blend").click();
        field(page, "Water of its own").fill("300");
        page.keyboard().press("Escape");
        assertThat(button(page, "^Stage 1: blend with 300 mL of water")).isVisible();
        button(page, "^Keep it$").click();
        assertThat(button(page, "^Start now")).isVisible();
        assertThat(page.locator("main")).containsText("Pour 300 mL");
        assertThat(page.locator("main")).not().containsText("boil");
        button(page, "^Start now").click();
        button(page, "^Measured").click();
        assertThat(now(page)).containsText("Blend it with 300 mL of water");
        button(page, "^Done").click();
    }
}
