package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A course from its recipe to its stop. */
@ExtendWith(RunningServer.class)
class CourseJourneyTest {

    @RegisterExtension
    final Browser browser = new Browser();

    @AfterEach
    void nothingIsLeft() {
        RunningServer.get("/api/people").body().forEach(p -> {
            if (p.get("name").asString().equals("Vera")) {
                RunningServer.delete("/api/people/" + p.get("id").asString());
            }
        });
        RunningServer.get("/api/courses")
                .body()
                .forEach(c -> RunningServer.delete("/api/courses/" + c.get("id").asString()));
    }

    private static Locator days(Page page) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("The days of the course"))
                .getByRole(AriaRole.LISTITEM);
    }

    /** Seven days on, one of them missed, a week of rest, seven more, and the stop. */
    @Test
    void sevenDaysOneMissedARestWeekAndTheStop() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Two-boil astragalus and codonopsis");
        link(page, "Day by day").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Two-boil astragalus and codonopsis, day by day");
        assertThat(days(page)).hasCount(7);
        // Begun the day before yesterday, in the morning alone.
        button(page, "^First day").click();
        page.locator("input[type=date]").fill(LocalDate.now().minusDays(2).toString());
        page.keyboard().press("Escape");
        button(page, "^Times of day").click();
        page.getByLabel("Time 1").fill("00:00");
        button(page, "leave out 21:00").click();
        button(page, "leave out 14:30").click();
        page.keyboard().press("Escape");
        button(page, "^For how long").click();
        Locator more = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("More days of drinking"));
        for (int i = 0; i < 7; i++) {
            more.click();
        }
        page.keyboard().press("Escape");
        assertThat(page.getByText("7 days on and 7 off")).isVisible();
        assertThat(days(page)).hasCount(21);
        assertThat(days(page).nth(7)).hasAttribute("aria-label", Pattern.compile("rest"));
        button(page, "Begin the course").click();
        assertThat(days(page).nth(0)).hasAttribute("aria-label", Pattern.compile("missed"));
        assertThat(page.getByText(Pattern.compile("^(Now|Late): 00:00"))).isVisible();
        // Today's cup, undone and drunk again; it is not counted twice.
        button(page, "Drunk, from elsewhere").click();
        assertThat(days(page).nth(2)).hasAttribute("aria-label", Pattern.compile("00:00 drunk"));
        button(page, "Undo").click();
        assertThat(days(page).nth(2)).not().hasAttribute("aria-label", Pattern.compile("drunk"));
        button(page, "Drunk, from elsewhere").click();
        assertThat(days(page).nth(2)).hasAttribute("aria-label", Pattern.compile("00:00 drunk"));
        assertThat(button(page, "Drunk, from elsewhere")).hasCount(0);
        ScreensTest.accessible(page, "a course");
        // It stands on Today, and by its next dose on the strip of every page.
        page.navigate("/");
        link(page, "^Two-boil astragalus and codonopsis.*until").click();
        button(page, "It is better: end it").click();
        assertThat(page.getByText("Today is its last day.")).isVisible();
        assertThat(days(page).nth(3)).hasAttribute("aria-label", Pattern.compile("ended before it"));
        button(page, "Undo").click();
        assertThat(days(page).nth(3)).hasAttribute("aria-label", Pattern.compile("to come"));
        button(page, "Stop it").click();
        assertThat(page.getByText("Stopped.")).isVisible();
    }

    @Test
    void onThePhoneAConditionEnteredLaterIsSaid() {
        String person = RunningServer.post("/api/people", "{\"name\":\"Vera\",\"ageYears\":50,\"weightKg\":60}")
                .body()
                .get("id")
                .asString();
        Page page = browser.phone();
        page.navigate("/");
        toSheet(page, "Orange-peel and liquorice pot");
        link(page, "Day by day").click();
        button(page, "^Who drinks it").click();
        page.getByLabel("Vera").check();
        page.getByLabel("Maren").uncheck();
        page.keyboard().press("Escape");
        assertThat(button(page, "^Who drinks it: Vera")).isVisible();
        button(page, "Begin the course").click();
        assertThat(button(page, "It is better: end it")).isVisible();
        assertThat(page.getByText(Pattern.compile("blood pressure"))).hasCount(0);
        RunningServer.put(
                "/api/people/" + person,
                "{\"version\":0,\"name\":\"Vera\",\"ageYears\":50,\"weightKg\":60,\"conditions\":[\"high-blood-pressure\"]}");
        page.reload();
        assertThat(page.getByText(Pattern.compile("blood pressure")).first()).isVisible();
        ScreensTest.accessible(page, "a course by night");
    }
}
