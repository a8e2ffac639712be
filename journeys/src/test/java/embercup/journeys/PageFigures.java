package embercup.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.util.stream.IntStream;

/**
 * Figures of the page on a running server: first load, layout shift, JavaScript, and how long a changed control takes to
 * redraw the sheet. Run by {@code bench/page}; not a test.
 */
public final class PageFigures {

    private static final int LOADS = 7;
    private static final int CHANGES = 12;

    private PageFigures() {}

    /** @param args the address */
    public static void main(String[] args) {
        try (Playwright playwright = Playwright.create();
                Browser browser = embercup.journeys.Browser.launch(playwright)) {
            load(browser, args[0]);
            redraw(browser, args[0]);
        }
    }

    private static void load(Browser browser, String server) {
        double[] paints = new double[LOADS];
        double shift = 0;
        double script = 0;
        for (int i = 0; i < LOADS; i++) {
            try (var context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800))) {
                Page page = context.newPage();
                page.addInitScript(
                        "window.shift=0;window.lcp=0;"
                                + "new PerformanceObserver(l=>{for(const e of l.getEntries())if(!e.hadRecentInput)window.shift+=e.value}).observe({type:'layout-shift',buffered:true});"
                                + "new PerformanceObserver(l=>{for(const e of l.getEntries())window.lcp=e.startTime}).observe({type:'largest-contentful-paint',buffered:true});");
                page.navigate(server + "/");
                page.locator("a[href^='/sheet/']").first().waitFor();
                page.waitForTimeout(600);
                paints[i] = ((Number) page.evaluate("window.lcp")).doubleValue();
                shift = Math.max(shift, ((Number) page.evaluate("window.shift")).doubleValue());
                script = ((Number)
                                page.evaluate(
                                        "performance.getEntriesByType('resource').filter(r=>r.name.endsWith('.js')).reduce((s,r)=>s+r.encodedBodySize,0)"))
                        .doubleValue();
            }
        }
        java.util.Arrays.sort(paints);
        System.out.printf(
                "first load: largest paint median %.0f ms, worst %.0f (budget 1000); layout shift %.3f; JavaScript %.0f kB as sent (budget 250)%n",
                paints[LOADS / 2], paints[LOADS - 1], shift, script / 1000);
    }

    private static void redraw(Browser browser, String server) {
        try (var context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800))) {
            Page page = context.newPage();
            page.navigate(server + "/");
            page.locator("a[href^='/sheet/']").nth(1).click();
            page.getByText("Strained:").waitFor();
            page.getByRole(
                            com.microsoft.playwright.options.AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^Cups:")))
                    .click();
            double[] times = IntStream.range(0, CHANGES)
                    .mapToDouble(i -> ((Number) page.evaluate(
                                    "(down) => new Promise(done => {"
                                            + "const water = () => document.querySelector('section[aria-label=\"Vessel\"]').innerText;"
                                            + "const before = water(); const t0 = performance.now();"
                                            + "new MutationObserver((_, o) => { if (water() !== before) { o.disconnect(); requestAnimationFrame(() => done(performance.now() - t0)); } })"
                                            + ".observe(document.querySelector('section[aria-label=\"Vessel\"]'), {subtree:true, childList:true, characterData:true});"
                                            + "document.querySelector(down ? 'button[aria-label=\"Less cups\"]' : 'button[aria-label=\"More cups\"]').click(); })",
                                    i >= CHANGES / 2))
                            .doubleValue())
                    .sorted()
                    .toArray();
            System.out.printf(
                    "redraw of the sheet after a change: median %.0f ms, worst of %d %.0f (budget 100)%n",
                    times[CHANGES / 2], CHANGES, times[CHANGES - 1]);
        }
    }
}
