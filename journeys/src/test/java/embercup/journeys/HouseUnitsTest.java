package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A house that reads °F, ounces, inches and a day of twelve hours reads them on every screen and on paper. */
class HouseUnitsTest {

    @RegisterExtension
    final Browser browser = new Browser();

    /** A quantity in a unit of the core, or a clock of twenty-four hours. */
    private static final Pattern OF_THE_CORE = Pattern.compile("\\d ?(?:°C|mL|cm)\\b");

    @AfterEach
    void theHouseReadsTheCoresUnitsAgain() {
        long version = RunningServer.get("/api/kitchen").body().get("version").asLong();
        RunningServer.put("/api/kitchen", """
                {"version":%d,"units":{"temperatures":"celsius","weights":"grams","volumes":"millilitres",
                 "lengths":"centimetres","hours":"twenty-four","dates":"day-month"}}""".formatted(version));
    }

    private static void asInTheUs(Page page) {
        page.navigate("/household");
        button(page, "all as in the US").click();
        assertThat(page.getByText("water boils at 212.0 °F")).isVisible();
    }

    private static void says(Page page, String... units) {
        String text = page.locator("main").innerText();
        assertThat(text).doesNotContainPattern(OF_THE_CORE);
        for (String unit : units) {
            assertThat(text).contains(unit);
        }
    }

    @Test
    void fromTheRecipeToThePouredCup() {
        Page page = browser.laptop();
        asInTheUs(page);
        page.navigate("/choose");
        link(page, "Write a new recipe").click();
        page.getByLabel("A list, a method").fill("""
                Oat straw for one
                ½ oz dried oat straw
                10 fl oz water
                Pour the water at 185 F over it, 8 minutes, strain.
                """);
        button(page, "Read it").click();
        page.getByText(Pattern.compile("fl oz strained")).waitFor();
        assertThat(button(page, "^Stage 1: pour on at 185 °F")).isVisible();
        button(page, "Keep it").click();
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
        page.getByText("Measure out").waitFor();
        says(page, "0.50 oz", "fl oz", "185 °F");

        button(page, "^Start now").click();
        assertThat(page).hasURL(Pattern.compile("/brew/"));
        button(page, "I read").click();
        page.getByLabel("in the pot or jug").fill("9");
        button(page, "Note it").click();
        assertThat(button(page, "^Undo the reading, 9\\.0 fl oz$")).isVisible();
        says(page, "fl oz");
    }

    @Test
    void noScreenSaysAnythingElseOnThePhoneEither() {
        Page page = browser.phone();
        asInTheUs(page);
        for (String place : new String[] {"/", "/choose", "/keeping", "/notebook", "/herbs/ginger", "/household"}) {
            page.navigate(place);
            page.getByRole(AriaRole.HEADING).first().waitFor();
            says(page);
        }
        assertThat(page.getByText("59 °F")).isVisible();
    }

    @Test
    void oneWordOfTheSentenceIsChangedByTheKeyboardAlone() {
        Page page = browser.laptop();
        page.navigate("/household");
        button(page, "^Temperatures: °C").focus();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("°C")))
                .isFocused();
        // A finger stays on a key for a while; a key that is up at once chooses nothing.
        page.keyboard().press("ArrowDown", new com.microsoft.playwright.Keyboard.PressOptions().setDelay(80));
        assertThat(page.getByText("water boils at 212.0 °F")).isVisible();
        page.keyboard().press("Escape");
        assertThat(button(page, "^Temperatures: °F")).isFocused();
        assertThat(page.getByText("water boils at 212.0 °F")).isVisible();
        assertThat(button(page, "^Weights: grams")).isVisible();
    }

    /** What is typed is in the unit that stands beside it. */
    @Test
    void aVesselMeasuredInInchesIsAsLargeAsItIs() {
        Page page = browser.laptop();
        asInTheUs(page);
        button(page, "Another vessel").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("inch pot");
        page.getByLabel("Wide inside").fill("8");
        page.getByLabel("High inside").fill("4");
        button(page, "Keep it").click();
        assertThat(page.getByText("8 × 4 in, 111.5 fl oz")).isVisible();
        var vessels = RunningServer.get("/api/kitchen").body().get("vessels");
        for (var vessel : vessels) {
            if (vessel.get("name").asString().equals("inch pot")) {
                assertThat(vessel.get("innerDiameterCm").asDouble()).isEqualTo(20.32);
                RunningServer.delete("/api/kitchen/vessels/" + vessel.get("id").asString());
                return;
            }
        }
        throw new AssertionError("it is not kept");
    }
}
