package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.heading;
import static embercup.journeys.Browser.link;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.util.UUID;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;

/** An address is kept, sent, printed and typed; what it names may be gone. It says so in a cook's words and shows a way on. */
@ExtendWith(RunningServer.class)
class AddressesTest {

    private static final String GONE = UUID.randomUUID().toString();

    @RegisterExtension
    final Browser browser = new Browser();

    private static String recipe() {
        return RunningServer.get("/api/recipes").body().get(0).get("id").asString();
    }

    /** Each with the link that leads on, and where it leads. */
    @Test
    void whatIsNotThereIsSaidAndAWayLeadsOn() {
        Page page = browser.laptop();
        String[][] all = {
            {"/sheet/" + GONE, "Choose a pot", "What is it for?"},
            {"/sheet/cut-short", "Choose a pot", "What is it for?"},
            {"/recipe/" + GONE, "Choose a pot", "What is it for?"},
            {"/recipe/new?copy=" + GONE, "Choose a pot", "What is it for?"},
            {"/brew/" + GONE, "Look in the notebook", "Notebook"},
            {"/brew/cut-short", "Look in the notebook", "Notebook"},
            {"/compare?of=" + GONE + "," + GONE, "Look in the notebook", "Notebook"},
            {"/course/" + GONE, "Go to Today", "Today"},
            {"/course/new?recipe=" + GONE, "A course of another pot", "A course of which pot?"},
            {"/course/new?recipe=" + recipe() + "&who=" + GONE, "A course of another pot", "A course of which pot?"},
            {"/herbs/no-such-herb", "All herbs", "Herbs"},
        };
        for (String[] one : all) {
            page.navigate(one[0]);
            Locator said = page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("There is"));
            assertThat(said).isVisible();
            Assertions.assertThat(said.textContent())
                    .as(one[0])
                    .contains("There is no", "It may have been taken away since, or this address was cut short")
                    .doesNotContain(GONE, "id", "saved");
            page.getByRole(AriaRole.MAIN)
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(one[1]))
                    .last()
                    .click();
            assertThat(page.getByRole(
                            AriaRole.HEADING,
                            new Page.GetByRoleOptions().setName(one[2]).setLevel(1)))
                    .isVisible();
        }
        page.navigate("/recipe/new?doc=cut");
        assertThat(heading(page, "There is no recipe in this address")).isVisible();
        link(page, "Write a new recipe").click();
        assertThat(page.getByLabel("Name")).isVisible();
    }

    /** A pot is brewed again for somebody who was forgotten, in a vessel that went to pieces. */
    @Test
    void anOrderThatNamesWhatIsGoneSaysSoAndIsMadeAsItIsKept() {
        Page page = browser.laptop();
        String[][] all = {
            {"who=" + GONE, "somebody who is not kept any more"},
            {"with=" + GONE + "~2", "somebody who is not kept any more"},
            {"in=" + GONE, "vessel that is not kept any more"},
            {"on=" + GONE, "burner that is not kept any more"},
            {"cups=900", "900 cups"},
        };
        for (String[] one : all) {
            page.navigate("/sheet/" + recipe() + "?" + one[0]);
            assertThat(page.getByRole(AriaRole.MAIN)).containsText(one[1]);
            button(page, "Make it as it is kept").click();
            assertThat(button(page, "Start now")).isVisible();
            assertThat(page.getByRole(AriaRole.MAIN)).not().containsText(one[1]);
        }
        page.navigate("/sheet/" + recipe() + "?cups=many&t=s40.minutes.3");
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("“cups=many” of this address is not understood");
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("is of a step or a herb that this pot does not have");
        assertThat(button(page, "Start now")).isVisible();
    }

    @Test
    void aCourseAsksWhichPot() {
        Page page = browser.laptop();
        page.navigate("/course/new");
        assertThat(heading(page, "A course of which pot?")).isVisible();
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LINK).first().click();
        assertThat(button(page, "Begin the course")).isVisible();
        page.navigate("/together?pot=" + GONE + "~&pot=" + recipe() + "~");
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("A pot of this address is not kept any more");
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Pots"))
                        .getByRole(AriaRole.LISTITEM))
                .hasCount(1);
    }
}
