package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A blend of the house from the jar's composing to the pot, on the laptop and on the phone. */
class HouseBlendTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private static void typed(Page page, Locator in, String words, String found) {
        in.getByRole(AriaRole.COMBOBOX).last().fill(words);
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(found))
                .first()
                .click();
    }

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void aBlendIsComposedAndBrewedByTheSpoon(String device) {
        Page page = device.equals("phone") ? browser.phone() : browser.laptop();
        // A name of its own each time: a run that is repeated finds the jar of the one before.
        String name = "Hearth jar %s %s".formatted(device, Long.toString(System.nanoTime(), 36));
        page.navigate("/herbs");
        button(page, "A blend of the house").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByRole(AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Name"))
                .fill(name);
        typed(page, dialog, "2 parts linden", "Linden flower");
        assertThat(button(page, "^Amount of herb 1: 2 parts")).isVisible();
        typed(page, dialog, "1 part lemon balm", "Lemon balm leaf");
        assertThat(button(page, "^Herb 2: lemon balm leaf")).isVisible();
        typed(page, dialog, "1 tbsp crushed fennel", "Fennel seed");
        assertThat(button(page, "^Cut of herb 3: crushed")).isVisible();
        ScreensTest.accessible(page, "the jar as it is composed");
        button(page, "Keep it").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name)))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("level teaspoon of it weighs about")))
                .isVisible();
        ScreensTest.accessible(page, "the page of a blend");

        page.navigate("/recipe/new");
        page.getByLabel("A list, a method")
                .fill("Hearth cup\n2 tsp of the " + name.toLowerCase()
                        + "\n2 cups boiling water\nPour the water over it, cover and steep 10 minutes, strain.");
        button(page, "Read it").click();
        assertThat(button(page, "^Herb 1: " + name.toLowerCase())).isVisible();
        Assertions.assertThat(button(page, "^Form of herb 1").count())
                .as("a blend is neither fresh nor dried")
                .isZero();
        button(page, "Keep it").click();
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
        Locator measures = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Measure out"));
        assertThat(measures.getByText(name, new Locator.GetByTextOptions().setExact(true)))
                .hasCount(1);
        assertThat(measures.getByText("2 tsp", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(measures.getByText(Pattern.compile("fennel seed"))).isVisible();
        button(page, name + ", grams").click();
        assertThat(page.getByText(Pattern.compile("weight of the blend")).first())
                .isVisible();
        page.keyboard().press("Escape");
        button(page, "Start now").click();
        assertThat(page.getByText("Measure 2 tsp of " + name.toLowerCase()).first())
                .isVisible();
    }
}
