package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.confirm;
import static embercup.journeys.Browser.heading;
import static embercup.journeys.Browser.link;
import static embercup.journeys.Browser.now;
import static embercup.journeys.Browser.pot;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The whole path of one cook, in the real interface: recipe, sheet, fire, note, notebook. */
@ExtendWith(RunningServer.class)
class FromRecipeToNoteTest {

    @RegisterExtension
    final Browser browser = new Browser();

    /** An infusion of tender parts, a decoction of roots, a cold maceration. */
    @ParameterizedTest
    @CsvSource({
        "Linden and elderflower evening cup, 3.0, 4.5, honey-sweet",
        "Dandelion and burdock root pot, 7.0, 10.5, quite rooty",
        "Cold jar of marshmallow root, 9.0, 12.0, silken"
    })
    void aCookTakesAPotFromTheRecipeToTheNotebook(String name, String grams, String gramsForOneMore, String taste) {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, name);
        button(page, "Start now").waitFor();
        if (button(page, "do not use it").isVisible()) {
            button(page, "do not use it").click();
        }
        Locator firstHerb = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Measure out"))
                .getByRole(AriaRole.LISTITEM)
                .first();
        assertThat(firstHerb).containsText(grams);
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("Fire line from"))))
                .isVisible();
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("cm below the rim"))))
                .isVisible();

        button(page, "^Cups:").click();
        button(page, "More cups").click();
        page.keyboard().press("Escape");
        assertThat(firstHerb).containsText(gramsForOneMore);

        button(page, "Start now").click();
        assertThat(page).hasURL(Pattern.compile("/brew/"));
        String now = now(page).textContent();
        page.reload();
        assertThat(now(page)).hasText(now);

        confirmToTheEnd(page);
        page.getByLabel("a little strong").check();
        page.getByLabel("the best").check();
        page.getByLabel("What it was like").fill(taste);
        page.getByLabel("What to change next time").fill("a little less");
        button(page, "Keep the note").click();
        assertThat(page.getByText(taste)).isVisible();

        link(page, "To the notebook").click();
        Locator line = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(taste));
        assertThat(line).containsText(name);
        assertThat(line).containsText("felt a little strong");
        assertThat(line).containsText("planned");
        assertThat(line).containsText("Next time: a little less");
    }

    /** Presses the one big button until the brew asks how it was. */
    private static void confirmToTheEnd(Page page) {
        for (int i = 0; i < 20; i++) {
            Locator step = now(page).filter(new Locator.FilterOptions().setHasNotText("The cup is ready"));
            step.or(heading(page, "How was it?")).waitFor();
            if (heading(page, "How was it?").isVisible()) {
                return;
            }
            String words = step.textContent();
            confirm(page);
            assertThat(now(page).filter(new Locator.FilterOptions().setHasText(words)))
                    .hasCount(0);
        }
        Assertions.fail("the brew did not end");
    }

    /** Somebody who never saw it: what do I want, for whom, and a sheet that can be trusted; every step is one click. */
    @Test
    void aNewcomerIsAtACorrectSheetForAChildInSixClicks() {
        Page page = browser.phone();
        page.navigate("/");
        link(page, "^Choose$").click();
        button(page, "first sign of a cold").click();
        button(page, "^Drinker:|^For:|Maren").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Ola")))
                .first()
                .click();
        assertThat(pot(page, "Thyme and sage")).containsText(Pattern.compile("Stop|Care"));
        toSheet(page, "Linden and elderflower");
        assertThat(page.getByText(Pattern.compile("^Make")).first()).isVisible();
        assertThat(button(page, "^Drinker: Ola")).isVisible();
        assertThat(page.getByText("Linden flower").first()).isVisible();
        button(page, "Leave the elderflower out").click();
        assertThat(button(page, "Start now")).isVisible();
        Object grams = page.evaluate(
                "fetch('/api/plans',{method:'POST',headers:{'Content-Type':'application/json'},body:JSON.stringify("
                        + "{recipeId:location.pathname.split('/').pop(),drinkerId:new URLSearchParams(location.search).get('who')})})"
                        + ".then(r=>r.json()).then(p=>p.additions[0].grams)");
        Assertions.assertThat(((Number) grams).doubleValue())
                .as("a child of eight gets less than the adult's 3 g")
                .isLessThan(3);
    }

    @Test
    void everyNumberAnswersWhy() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Dandelion and burdock");
        button(page, "Dandelion root, grams: why").click();
        assertThat(page.getByText("grams per cup × cups", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.keyboard().press("Escape");
        button(page, "water to pour: why").click();
        assertThat(page.getByText("strained liquor + kept by the herbs + steam"))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("Source: Dispensary practice"))
                        .first())
                .isVisible();
    }

    @Test
    void thePotWithLiquoriceDoesNotStartForTheOlderRelative() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Orange-peel and liquorice");
        assertThat(button(page, "Start now")).isVisible();
        button(page, "^Drinker:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Aunt Siv")))
                .click();
        assertThat(page.getByText("This must not be brewed as ordered")).isVisible();
        assertThat(page.getByText("Raises blood pressure and loses potassium")).isVisible();
        assertThat(button(page, "Start now")).not().isVisible();
        page.keyboard().press("s");
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
        button(page, "^Drinker:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Maren")))
                .click();
        assertThat(button(page, "Start now")).isVisible();
    }

    @Test
    void aStopOffersItsWaysOutAndOneOfThemStartsThePot() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Orange-peel and liquorice");
        button(page, "^Drinker:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Aunt Siv")))
                .click();
        button(page, "Take fennel seed instead of liquorice").click();
        assertThat(page.getByText("fennel instead of liquorice")).isVisible();
        assertThat(button(page, "Start now")).isVisible();
        button(page, "take back").click();
        assertThat(button(page, "Start now")).not().isVisible();
        button(page, "Leave the liquorice root out").click();
        button(page, "Start now").click();
        assertThat(page).hasURL(Pattern.compile("/brew/"));
        assertThat(page.getByText("Orange peel").first()).isVisible();
        assertThat(page.getByText("Liquorice root")).hasCount(0);
    }

    @Test
    void aCookWithoutAMouseStartsConfirmsAndTakesBack() {
        Page page = browser.laptop();
        page.navigate("/");
        pot(page, "Caraway and anise").focus();
        page.keyboard().press("Enter");
        assertThat(button(page, "Start now")).isVisible();
        page.keyboard().press("s");
        assertThat(page).hasURL(Pattern.compile("/brew/"));
        assertThat(now(page)).containsText(Pattern.compile("Heat the kettle|Measure"));
        String first = now(page).textContent();
        confirm(page);
        assertThat(now(page)).not().hasText(first);
        page.keyboard().press("u");
        assertThat(now(page)).hasText(first);
        page.keyboard().press("n");
        assertThat(page).hasURL(Pattern.compile("/notebook"));
    }

    /** Clocks go back on 25 October 2026 and forward on 28 March 2027 in Oslo (EU summer-time rules, tz database). */
    @ParameterizedTest
    @CsvSource({
        "2026-11-25T22:40:00+01:00, 00:30, 2026-11-25T23:30:00.000Z",
        "2026-10-24T23:30:00+02:00, 03:10, 2026-10-25T02:10:00.000Z",
        "2027-03-27T23:30:00+01:00, 03:10, 2027-03-28T01:10:00.000Z",
    })
    void readyAtHoldsAcrossMidnightAndWhenTheClocksChange(String now, String at, String readyAt) {
        Page page = browser.laptop("Europe/Oslo", now);
        page.navigate("/choose");
        toSheet(page, "Caraway and anise");
        button(page, "^Ready at:").click();
        page.getByLabel("Ready at").last().fill(at);
        var asked = page.waitForRequest(
                r -> r.url().endsWith("/api/plans") && r.postData().contains("readyAt"),
                () -> button(page, "Drink at").click());
        Assertions.assertThat(asked.postData()).contains("\"readyAt\":\"" + readyAt + "\"");
        assertThat(button(page, "Start at")).containsText(Pattern.compile("ready (\\w+ \\d+ \\w+, )?" + at));
    }

    @Test
    void aCookWhoComesInInTheEveningPlansBackFromTheHourOfDrinking() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Thyme and sage");
        button(page, "^Ready at:").click();
        page.getByLabel("Ready at").last().fill("03:10");
        button(page, "Drink at").click();
        Locator start = button(page, "Start at .*02:5");
        assertThat(start).containsText(Pattern.compile("ready .*03:10"));
        start.click();
        assertThat(page.getByText(Pattern.compile("Starts at .*02:5"))).isVisible();
        assertThat(page.getByText("Thyme herb").first()).isVisible();
        assertThat(button(page, "Start now")).isVisible();
    }
}
