package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The sentence grows with who drinks: cups a day, a child's serving, a guest with a word about her, a prescription. */
@ExtendWith(RunningServer.class)
class DrinkersTest {

    @RegisterExtension
    static final Browser browser = new Browser();

    private static Locator inPopover(Page page, String text) {
        return page.getByRole(AriaRole.DIALOG).getByText(Pattern.compile(text)).first();
    }

    @Test
    void aGuestIsNamedMindedAndLeftOutAgain() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Thyme and sage");
        button(page, "Start now").waitFor();
        button(page, "Cups a day").click();
        button(page, "More cups a day").click();
        page.keyboard().press("Escape");
        button(page, "Somebody else").click();
        inPopover(page, "A guest").click();
        page.getByLabel("Called").fill("a neighbour");
        page.getByLabel("Years").fill("31");
        page.getByLabel("pregnant", new Page.GetByLabelOptions().setExact(true)).check();
        button(page, "Drinks of it too").click();
        assertThat(button(page, "Drinks too, 1: a neighbour, 1 cup a day")).isVisible();
        Locator cautions = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Cautions"));
        assertThat(cautions).containsText("a neighbour: Sage");
        page.reload();
        assertThat(cautions).containsText("a neighbour: Sage");
        button(page, "Not for a neighbour").click();
        assertThat(button(page, "Start now")).isVisible();
        assertThat(cautions).not().containsText("a neighbour");
    }

    @Test
    void aChildsServingIsItsShare() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Caraway and anise");
        button(page, "Somebody else").click();
        inPopover(page, "Ola").click();
        assertThat(button(page, "Drinks too, 1: Ola, \\d+ mL once a day")).isVisible();
        button(page, "Drinks too, 1").click();
        inPopover(page, "Does not drink of it").click();
        assertThat(button(page, "Somebody else: alone")).isVisible();
    }

    @Test
    void whatAPractitionerPrescribedIsSaidInTheSentence() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Two-boil astragalus");
        button(page, "Cups a day").click();
        inPopover(page, "A practitioner prescribed it").click();
        assertThat(button(page, "Prescribed: 3 days")).isVisible();
        assertThat(page.getByText("Recorded as prescribed by a practitioner whose name is not entered"))
                .isVisible();
        button(page, "Prescribed by").click();
        page.getByLabel("Who prescribed it").fill("Dr Holm");
        page.keyboard().press("Escape");
        assertThat(page.getByText("Recorded as prescribed by Dr Holm for 3 days"))
                .isVisible();
        page.locator("summary").click();
        assertThat(page.getByText("Breathing trouble, swelling or a rash").last())
                .isVisible();
    }
}
