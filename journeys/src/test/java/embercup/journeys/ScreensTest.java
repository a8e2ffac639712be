package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;
import static embercup.journeys.Browser.now;
import static embercup.journeys.Browser.toSheet;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import embercup.server.RunningServer;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What holds for every screen: accessible by day and by night, whole on a laptop, whole on a phone. */
@ExtendWith(RunningServer.class)
class ScreensTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private static final List<String> PLACES = List.of(
            "/",
            "/choose",
            "/recipe/new",
            "/keeping",
            "/notebook",
            "/herbs/liquorice",
            "/household",
            "/together",
            "/week",
            "/compare",
            "/nowhere");

    /**
     * Outside check: axe-core's rules after WCAG 2. No page has frames of others, so that the check stays in it; what is in order is
     * not described: together a third of the time.
     */
    static void accessible(Page page, String what) {
        AxeRunOptions violations = new AxeRunOptions();
        violations.setResultTypes(List.of("violations"));
        List<String> serious = new AxeBuilder(page)
                .setLegacyMode(true).options(violations).analyze().getViolations().stream()
                        .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                        .map(v -> v.getId() + " at " + v.getNodes().get(0).getTarget() + ": "
                                + v.getNodes().get(0).getFailureSummary())
                        .toList();
        Assertions.assertThat(serious).as(what).isEmpty();
        Assertions.assertThat(page.locator("h1:visible").count())
                .as("headings of the first rank on " + what)
                .isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"LIGHT, 1280, 800", "DARK, 390, 844"})
    void everyScreenIsAccessibleAndNeverScrollsSideways(ColorScheme scheme, int width, int height) {
        Page page = browser.page(width, height, scheme, RunningServer.address());
        for (String place : PLACES) {
            page.navigate(place);
            page.waitForLoadState(LoadState.NETWORKIDLE);
            accessible(page, place);
            whole(page, place);
        }
        page.navigate("/");
        toSheet(page, "Dandelion and burdock");
        button(page, "Start now").waitFor();
        accessible(page, "the sheet");
        whole(page, "the sheet");
        button(page, "^Strength:").click();
        accessible(page, "the sheet with an open word");
        page.keyboard().press("Escape");
        button(page, "Start now").click();
        page.waitForURL(Pattern.compile(".*/brew/.*"));
        now(page).waitFor();
        accessible(page, "the live brew");
        whole(page, "the live brew");
        button(page, "^Give it up$").click();
        button(page, "Yes, give it up").click();
        page.locator("main").getByText("Given up").first().waitFor();
        accessible(page, "a brew that was given up");
    }

    /**
     * How far what stood on a page moved by itself, as the browser adds it up, and how far down the screen began while it was there.
     * The day comes late, as from a busy kitchen.
     */
    private static final String MOVED = """
            window.moved = 0;
            new PerformanceObserver((seen) => {
              for (const shift of seen.getEntries()) if (!shift.hadRecentInput) window.moved += shift.value;
            }).observe({ type: "layout-shift", buffered: true });
            window.tops = [];
            const look = () => {
              const top = document.querySelector("main:has(h1)")?.offsetTop ?? window.tops.at(-1);
              if (top !== window.tops.at(-1)) window.tops.push(top);
              requestAnimationFrame(look);
            };
            look();
            const asked = window.fetch;
            window.fetch = async (...all) => {
              const answer = await asked(...all);
              const url = String(all[0].url ?? all[0]);
              if (url.includes("/api/day")) await new Promise((later) => setTimeout(later, 300));
              return answer;
            };
            """;

    /** Lanes for the day strip. */
    private static void twoJarsOvernight() {
        for (int i = 0; i < 2; i++) {
            RunningServer.Answer jar = RunningServer.post("/api/brews", """
                    {"recipe":{"name":"A jar that stands overnight","cups":1,"cupMl":240,
                     "additions":[{"herb":"nettle","form":"dried","cut":"chopped","amount":4,"unit":"g","stage":0}],
                     "stages":[{"kind":"macerate","minutes":600},{"kind":"strain"}]}}
                    """);
            Assertions.assertThat(jar.code()).as(jar.body().toString()).isEqualTo(201);
        }
    }

    /**
     * Outside check: a cumulative layout shift of at most 0.1 counts as good (web.dev, Web Vitals; from memory). A button that moves
     * between the finger's going down and its coming up is not pressed.
     */
    @ParameterizedTest
    @CsvSource({"1280, 800", "390, 844"})
    void nothingMovesFromUnderTheFingerWhileAScreenFills(int width, int height) {
        twoJarsOvernight();
        Page page = browser.page(width, height, ColorScheme.LIGHT, RunningServer.address());
        page.addInitScript(MOVED);
        for (String place : PLACES) {
            page.navigate(place);
            page.locator("main h1").first().waitFor();
            page.waitForLoadState(LoadState.NETWORKIDLE);
            Assertions.assertThat(((Number) page.evaluate("window.moved")).doubleValue())
                    .as("moved by itself on " + place)
                    .isLessThanOrEqualTo(0.1);
            Assertions.assertThat((List<?>) page.evaluate("window.tops"))
                    .as("where the screen began, px, on " + place)
                    .hasSize(1);
            Assertions.assertThat((List<?>) page.evaluate("[...window.early.keys()]"))
                    .as("asked before the script ran, and asked again, on " + place)
                    .isEmpty();
        }
    }

    @Test
    void nothingMovesAndWhatIsTypedStaysWhenTheHourTurnsAndOtherHoursAreAskedFor() {
        twoJarsOvernight();
        Instant turn = Instant.now().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS);
        AtomicReference<Instant> servers = new AtomicReference<>(turn.minusSeconds(60));
        Page page = browser.laptop("UTC", servers::get);
        page.addInitScript(MOVED);
        page.clock().install(new Clock.InstallOptions().setTime(servers.get().toString()));
        page.navigate("/recipe/new");
        Locator written = page.getByLabel("A list, a method");
        written.fill("2 tsp linden");
        // A colon of an address is written out.
        String next = turn.minus(2, ChronoUnit.HOURS).toString().substring(0, "2026-11-27T20".length());
        servers.set(turn.plusSeconds(60));
        page.waitForResponse(r -> r.url().contains("/api/day?from=" + next), () -> page.clock()
                .fastForward("02:00"));
        assertThat(written).hasValue("2 tsp linden");
        Assertions.assertThat((List<?>) page.evaluate("window.tops"))
                .as("where the screen began, px")
                .hasSize(1);
    }

    private static void whole(Page page, String what) {
        Object wider = page.evaluate("document.documentElement.scrollWidth - innerWidth");
        Assertions.assertThat(((Number) wider).intValue())
                .as("sideways on " + what)
                .isLessThanOrEqualTo(0);
    }

    @Test
    void aLaptopShowsTheWholeSheetWithoutScrollingBesideAsManyPotsAsTheStripDraws() {
        // An alarm that rings meanwhile takes its line above every page.
        RunningServer.offTheFire();
        twoJarsOvernight();
        Page page = browser.laptop();
        for (String name : List.of("Dandelion and burdock", "Two-boil astragalus", "Linden and elderflower")) {
            page.navigate("/");
            toSheet(page, name);
            button(page, "Start now").waitFor();
            // With the long jar of the demo.
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Today"))
                    .getByRole(AriaRole.LINK)
                    .nth(2)
                    .waitFor();
            Object height = page.evaluate("document.documentElement.scrollHeight");
            Assertions.assertThat(((Number) height).intValue()).as(name).isLessThanOrEqualTo(Browser.HIGH);
        }
    }

    @Test
    void aPhoneShowsTheVesselTheStepAndTheTimerWithoutScrolling() {
        Page page = browser.phone();
        page.navigate("/");
        toSheet(page, "Caraway and anise");
        button(page, "Start now").click();
        now(page).waitFor();
        while (!page.getByRole(AriaRole.TIMER).isVisible()) {
            String byHand = now(page).textContent();
            page.keyboard().press("Space");
            assertThat(now(page)).not().hasText(byHand);
        }
        assertThat(page.getByRole(AriaRole.TIMER)).isInViewport();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("below the rim"))))
                .isInViewport();
        assertThat(now(page)).isInViewport();
        Object size = page.getByRole(AriaRole.TIMER).evaluate("e => parseFloat(getComputedStyle(e).fontSize)");
        Assertions.assertThat(((Number) size).doubleValue()).isGreaterThanOrEqualTo(64);
        assertThat(button(page, "Pour")).isInViewport();
    }

    @Test
    void theNightKitchenIsChosenBySystemAndBySwitch() {
        Page page = browser.phone();
        page.navigate("/");
        assertThat(page.locator("html")).hasAttribute("data-theme", "night");
        button(page, "^Day$").click();
        assertThat(page.locator("html")).hasAttribute("data-theme", "day");
        page.reload();
        assertThat(page.locator("html")).hasAttribute("data-theme", "day");
    }

    @Test
    void deepLinksAndTheBackButtonWork() {
        Page page = browser.laptop();
        page.navigate("/choose?for=tonic");
        assertThat(page.locator("a[href^='/sheet/']")).hasCount(2);
        toSheet(page, "Long jar of nettle");
        button(page, "Start now").waitFor();
        page.goBack();
        assertThat(page).hasURL(Pattern.compile("for=tonic"));
        page.navigate("/nowhere");
        assertThat(page.getByText("There is no such page")).isVisible();
    }

    @Test
    void theMateriaIsFoundByCommonAndLatinName() {
        Page page = browser.laptop();
        page.navigate("/herbs");
        page.getByPlaceholder("ginger, sleep, hinojo").fill("huang qi");
        link(page, "Astragalus root").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Usual dose")))
                .isVisible();
        page.getByPlaceholder("ginger, sleep, hinojo").fill("taxus");
        link(page, "Yew").click();
        assertThat(page.getByText("Not for tea.").first()).isVisible();
    }
}
