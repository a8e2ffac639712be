package embercup.journeys;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import embercup.server.RunningServer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * A cook's browser: Debian's Chromium, started once; a fresh context for each test. Errors on a page fail the test that
 * caused them.
 */
final class Browser implements BeforeEachCallback, AfterEachCallback {

    static final int WIDE = 1280;
    static final int HIGH = 800;

    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    private static com.microsoft.playwright.Browser chromium;

    private final List<BrowserContext> open = new ArrayList<>();
    private final List<String> errors = new ArrayList<>();

    private static synchronized com.microsoft.playwright.Browser chromium() {
        if (chromium == null) {
            Playwright playwright = Playwright.create();
            chromium = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of(System.getProperty("chromium", "/usr/bin/chromium")))
                            .setArgs(FLAGS));
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        }
        return chromium;
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        errors.clear();
    }

    @Override
    public void afterEach(ExtensionContext context) {
        if (context.getExecutionException().isPresent()) {
            open.forEach(c -> c.pages().forEach(Browser::say));
        }
        open.forEach(BrowserContext::close);
        open.clear();
        if (!errors.isEmpty() && context.getExecutionException().isEmpty()) {
            throw new AssertionError("the page complained: " + errors);
        }
    }

    /** What stood on a page when its test failed. */
    private static void say(Page page) {
        System.err.println(page.url() + "\n" + page.locator("body").innerText());
    }

    Page laptop() {
        return page(WIDE, HIGH, ColorScheme.LIGHT, RunningServer.address());
    }

    Page laptop(String server) {
        return page(WIDE, HIGH, ColorScheme.LIGHT, server);
    }

    Page phone() {
        return page(390, 844, ColorScheme.DARK, RunningServer.address());
    }

    Page page(int width, int height, ColorScheme scheme, String server) {
        BrowserContext context = chromium()
                .newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                        .setViewportSize(width, height)
                        .setColorScheme(scheme)
                        .setBaseURL(server));
        open.add(context);
        context.setDefaultTimeout(15_000);
        Page page = context.newPage();
        page.onPageError(errors::add);
        return page;
    }

    /** A laptop that lives somewhere and believes it is some moment. */
    Page laptop(String zone, String moment) {
        BrowserContext context = chromium()
                .newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                        .setViewportSize(WIDE, HIGH)
                        .setTimezoneId(zone)
                        .setBaseURL(RunningServer.address()));
        open.add(context);
        context.setDefaultTimeout(15_000);
        Page page = context.newPage();
        page.onPageError(errors::add);
        page.clock().setFixedTime(moment);
        return page;
    }

    static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                .first();
    }

    static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                .first();
    }

    /** A pot of the household, as the lists of Today and Choose show it. */
    static Locator pot(Page page, String name) {
        return page.locator("a[href^='/sheet/']", new Page.LocatorOptions().setHasText(name))
                .first();
    }

    /** What a running brew says to do now. */
    static Locator now(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Now"))
                .getByRole(AriaRole.HEADING);
    }

    static Locator heading(Page page, String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
    }
}
