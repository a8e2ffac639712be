package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.confirm;
import static embercup.journeys.Browser.link;
import static embercup.journeys.Browser.now;
import static embercup.journeys.Browser.pot;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A wet phone, a laptop on the table, a network that comes and goes. */
@ExtendWith(RunningServer.class)
class NothingIsLostTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private Page brewing(Page page, String name) {
        page.navigate("/");
        toSheet(page, name);
        button(page, "Start now").click();
        now(page).waitFor();
        return page;
    }

    @Test
    void whatIsConfirmedOfflineArrivesWhenTheNetworkIsBack() {
        Page page = brewing(browser.laptop(), "Linden and elderflower");
        String first = now(page).textContent();
        page.context().setOffline(true);
        confirm(page);
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("kept here")))
                .isVisible();
        page.context().setOffline(false);
        assertThat(now(page)).not().hasText(first);
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("kept here")))
                .hasCount(0);
    }

    @Test
    void thePhoneShowsWhatTheLaptopConfirms() {
        Page laptop = brewing(browser.laptop(), "Linden and elderflower");
        Page phone = browser.phone();
        phone.navigate(laptop.url());
        String first = now(laptop).textContent();
        assertThat(now(phone)).hasText(first);
        confirm(laptop);
        assertThat(now(phone)).not().hasText(first);
        button(phone, "^Undo").click();
        assertThat(now(laptop)).hasText(first);
    }

    @Test
    void aBrewInThePotIsOneClickAwayFromEveryScreen() {
        Page page = brewing(browser.laptop(), "Rosehip and hawthorn");
        String brew = page.url();
        for (String place : new String[] {"/choose", "/notebook", "/herbs", "/household"}) {
            page.navigate(place);
            Locator strip = page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Today"));
            assertThat(strip.locator("a[href='" + brew.substring(brew.indexOf("/brew/")) + "']"))
                    .isVisible();
        }
    }

    private static Locator linden(Page page) {
        return page.getByRole(
                AriaRole.CHECKBOX,
                new Page.GetByRoleOptions().setName("Linden flower").setExact(true));
    }

    @Test
    void herbsAreTickedOffWhileMeasuringAndCanBeUnticked() {
        Page page = brewing(browser.laptop(), "Linden and elderflower");
        Locator linden = linden(page);
        linden.click();
        assertThat(linden).isChecked();
        page.reload();
        assertThat(linden(page)).isChecked();
        linden(page).click();
        assertThat(linden(page)).not().isChecked();
    }

    @Test
    void aMeasuredVolumeIsKeptAndCanBeTakenBack() {
        Page page = brewing(browser.laptop(), "Linden and elderflower");
        button(page, "I read").click();
        page.getByLabel("in the pot or jug").last().fill("310");
        button(page, "Note it").click();
        button(page, "Undo the reading").click();
        assertThat(button(page, "Undo the reading")).hasCount(0);
    }

    @Test
    void aPotThatIsGivenUpLeavesTheFire() {
        Page page = brewing(browser.laptop(), "Thyme and sage");
        button(page, "^Give it up$").click();
        button(page, "Yes, give it up").click();
        assertThat(page.getByText("Given up")).isVisible();
        button(page, "Note something").click();
        page.getByLabel("What it was like").fill("never poured");
        button(page, "Keep the note").click();
        link(page, "To the notebook").click();
        assertThat(page.getByText("never poured")).isVisible();
    }

    @Test
    void theOrderIsInTheAddressSoThatASheetCanBeSentOn() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Dandelion and burdock");
        button(page, "^Cups:").click();
        button(page, "More cups").click();
        page.keyboard().press("Escape");
        button(page, "^Strength:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("gentle")))
                .click();
        assertThat(page).hasURL(Pattern.compile("cups=3.*strength=gentle"));
        Page other = browser.phone();
        other.navigate(page.url());
        assertThat(button(other, "^Cups: 3 cups")).isVisible();
        assertThat(button(other, "^Strength: gentle")).isVisible();
    }

    /** Its own clock is two and a quarter hours fast; the minutes it shows are the kitchen's. */
    @Test
    void aPhoneWithAWrongClockShowsTheRightMinutes() {
        Page laptop = brewing(browser.laptop(), "Linden and elderflower");
        Page phone = browser.phoneThatIsFast(135);
        phone.navigate("/");
        Locator strip = link(phone, "^Linden and elderflower.*left");
        assertThat(strip).isVisible();
        laptop.navigate("/");
        toSheet(laptop, "Caraway and anise");
        toSheet(phone, "Caraway and anise");
        Assertions.assertThat(readyAt(phone)).isCloseTo(readyAt(laptop), Offset.offset(1L));
    }

    /** What the button of a sheet says, as minutes from now. */
    private static long readyAt(Page page) {
        button(page, "Start now").waitFor();
        Matcher clock = Pattern.compile("ready (\\d\\d):(\\d\\d)")
                .matcher(button(page, "Start now").textContent());
        Assertions.assertThat(clock.find()).isTrue();
        LocalTime ready = LocalTime.of(Integer.parseInt(clock.group(1)), Integer.parseInt(clock.group(2)));
        long minutes = ChronoUnit.MINUTES.between(LocalTime.now(), ready);
        return Math.floorMod(minutes, 24 * 60L);
    }

    @Test
    void aChangeRedrawsTheSheetWithoutALayoutJump() {
        Page page = browser.laptop();
        page.navigate("/");
        toSheet(page, "Dandelion and burdock");
        button(page, "Start now").waitFor();
        double before = page.getByLabel("Fire line").first().boundingBox().y;
        for (int cups = 3; cups <= 6; cups++) {
            button(page, "^Cups:").click();
            button(page, "More cups").click();
            page.keyboard().press("Escape");
            assertThat(button(page, "^Cups: " + cups)).isVisible();
        }
        assertThat(page.getByText(Pattern.compile("Strained: 1440 mL"))).isVisible();
        Assertions.assertThat(page.getByLabel("Fire line").first().boundingBox().y)
                .isCloseTo(before, Assertions.within(25.0));
    }

    @Test
    void aServerThatRefusesIsQuotedAndNothingElseIsLost() {
        Page page = browser.laptop();
        page.navigate("/sheet/00000000-0000-7000-8000-000000000000");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("no such recipe");
        page.navigate("/brew/00000000-0000-7000-8000-000000000000");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("no such brew");
        link(page, "Ember Cup, to Today").click();
        assertThat(pot(page, "Linden")).isVisible();
    }
}
