package embercup.journeys;

import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.now;
import static embercup.journeys.Browser.pair;
import static embercup.journeys.Browser.phoneOf;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.net.URI;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Figures of a paired phone over HTTPS beside the laptop of the house: its first load with nothing kept, and how long a step that
 * one of them confirms takes to stand on the other. Run by {@code bench/faults}; not a test.
 */
public final class PhoneFigures {

    private static final int LOADS = 7;
    private static final int STEPS = 6;
    private static final double LOAD_MS = 2000;
    private static final double HEARD_MS = 1000;

    private PhoneFigures() {}

    /** @param args the address for this machine, and the house's over HTTPS */
    public static void main(String[] args) {
        double load;
        double heard;
        try (Playwright playwright = Playwright.create();
                Browser browser = embercup.journeys.Browser.launch(playwright)) {
            Page laptop = browser.newContext(new Browser.NewContextOptions()
                            .setViewportSize(1280, 800)
                            .setBaseURL(args[0]))
                    .newPage();
            BrowserContext paired = browser.newContext(phoneOf(args[1]));
            pair(laptop, paired.newPage());
            load = firstLoad(browser, args[1], paired.storageState());
            heard = heard(laptop, paired.newPage());
        }
        System.exit(load < LOAD_MS && heard < HEARD_MS ? 0 : 1);
    }

    private static Locator pots(Page page) {
        return page.locator("a[href^='/sheet/']");
    }

    /** Until the pots stand there. @return the worst, ms */
    private static double firstLoad(Browser browser, String house, String state) {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < LOADS; i++) {
            try (BrowserContext fresh = browser.newContext(phoneOf(house).setStorageState(state))) {
                Page page = fresh.newPage();
                long begin = System.nanoTime();
                page.navigate("/");
                pots(page).first().waitFor();
                times.add((System.nanoTime() - begin) / 1e6);
            }
        }
        return told("first load of a paired phone over HTTPS, until the pots stand there", times, LOAD_MS);
    }

    /** From the key on the one until the step stands on the other, both ways. @return the worst, ms */
    private static double heard(Page laptop, Page phone) {
        laptop.navigate("/choose");
        toSheet(laptop, "Caraway and anise");
        button(laptop, "Start now").click();
        now(laptop).waitFor();
        phone.navigate(URI.create(laptop.url()).getPath());
        now(phone).waitFor();
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < STEPS; i++) {
            String before = now(phone).textContent();
            long begin = System.nanoTime();
            laptop.keyboard().press("Space");
            other(phone, before);
            times.add((System.nanoTime() - begin) / 1e6);
            String then = now(laptop).textContent();
            begin = System.nanoTime();
            phone.getByRole(
                            com.microsoft.playwright.options.AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(Pattern.compile("^Undo")))
                    .first()
                    .click();
            other(laptop, then);
            times.add((System.nanoTime() - begin) / 1e6);
        }
        phone.getByText("Give it up").first().click();
        button(phone, "Yes, give it up").click();
        return told("a step confirmed on one device, standing on the other", times, HEARD_MS);
    }

    private static void other(Page page, String before) {
        com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat(now(page))
                .not()
                .hasText(before);
    }

    private static double told(String what, List<Double> times, double budget) {
        Collections.sort(times);
        double worst = times.get(times.size() - 1);
        System.out.printf(
                "%s: median %.0f ms, worst of %d %.0f (budget %.0f)%n",
                what, times.get(times.size() / 2), times.size(), worst, budget);
        return worst;
    }
}
