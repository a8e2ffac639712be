package embercup.journeys;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import embercup.server.RunningServer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * A cook's browser: Debian's Chromium, started once; a fresh context for each test. Errors on a page fail the test that
 * caused them, and a pot that a test left on the fire is given up after it, so that the next finds the kitchen as it was.
 */
final class Browser implements BeforeEachCallback, AfterEachCallback {

    static final int WIDE = 1280;
    static final int HIGH = 800;

    /** How long a page may take on a machine that is busy with other things, ms. */
    private static final int PATIENCE_MS = 20_000;

    /** The shell draws pages only; the whole browser draws its own window beside each of them, for half of the time. */
    private static final List<String> EXECUTABLES = List.of("/usr/bin/chromium-headless-shell", "/usr/bin/chromium");

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
    private final List<String> unanswered = new ArrayList<>();

    /** Starts Debian's Chromium. */
    static com.microsoft.playwright.Browser launch(Playwright playwright) {
        Path executable = EXECUTABLES.stream()
                .map(Path::of)
                .filter(Files::isExecutable)
                .findFirst()
                .orElseThrow();
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(executable)
                        .setArgs(FLAGS));
    }

    private static synchronized com.microsoft.playwright.Browser chromium() {
        if (chromium == null) {
            Playwright playwright = Playwright.create();
            chromium = launch(playwright);
            PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        }
        return chromium;
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        errors.clear();
        unanswered.clear();
    }

    @Override
    public void afterEach(ExtensionContext context) {
        if (context.getExecutionException().isPresent()) {
            open.forEach(c -> c.pages().forEach(this::say));
        }
        open.forEach(BrowserContext::close);
        open.clear();
        RunningServer.offTheFire();
        if (!errors.isEmpty() && context.getExecutionException().isEmpty()) {
            throw new AssertionError("the page complained: " + errors);
        }
    }

    /** What stood on a page when its test failed, what was typed into it, and what it asked without an answer yet. */
    private void say(Page page) {
        System.err.println(page.url() + "\n" + page.locator("body").innerText());
        System.err.println("typed: "
                + page.locator("textarea, input:not([type=checkbox])").all().stream()
                        .map(Locator::inputValue)
                        .toList());
        System.err.println("unanswered: " + unanswered);
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

    /** A phone whose clock is wrong by some minutes; it runs on from there. */
    Page phoneThatIsFast(int minutes) {
        Page page = phone();
        page.clock()
                .install(new Clock.InstallOptions()
                        .setTime(Instant.now().plus(minutes, ChronoUnit.MINUTES).toString()));
        return page;
    }

    Page page(int width, int height, ColorScheme scheme, String server) {
        return page(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setColorScheme(scheme)
                .setBaseURL(server));
    }

    /** A laptop that lives somewhere, at some moment by its own clock and by the server's. */
    Page laptop(String zone, String moment) {
        Instant at = OffsetDateTime.parse(moment).toInstant();
        Page page = laptop(zone, () -> at);
        page.clock().setFixedTime(moment);
        return page;
    }

    /** A laptop that lives somewhere, with the present of its server. */
    Page laptop(String zone, Supplier<Instant> server) {
        Page page = page(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(WIDE, HIGH)
                .setTimezoneId(zone)
                .setBaseURL(RunningServer.address()));
        page.route("**/api/**", route -> {
            APIResponse answer = route.fetch();
            Map<String, String> headers = new HashMap<>(answer.headers());
            headers.put(
                    "date",
                    DateTimeFormatter.RFC_1123_DATE_TIME.format(server.get().atOffset(ZoneOffset.UTC)));
            route.fulfill(new Route.FulfillOptions().setResponse(answer).setHeaders(headers));
        });
        return page;
    }

    Page page(com.microsoft.playwright.Browser.NewContextOptions options) {
        // What a worker keeps would answer for the server, also where a test stands in for it; journeys of the worker
        // allow it.
        if (options.serviceWorkers == null) {
            options.setServiceWorkers(ServiceWorkerPolicy.BLOCK);
        }
        BrowserContext context = chromium().newContext(options);
        open.add(context);
        context.setDefaultTimeout(PATIENCE_MS);
        Page page = context.newPage();
        page.onPageError(errors::add);
        page.onRequest(r -> unanswered.add(r.method() + " " + r.url()));
        page.onRequestFinished(r -> unanswered.remove(r.method() + " " + r.url()));
        page.onRequestFailed(r -> unanswered.remove(r.method() + " " + r.url()));
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

    /** A phone of the house, which does not know its authority yet. */
    static com.microsoft.playwright.Browser.NewContextOptions phoneOf(String house) {
        return new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setColorScheme(ColorScheme.DARK)
                .setIgnoreHTTPSErrors(true)
                .setBaseURL(house);
    }

    /** Asks for a code on the laptop. */
    static String code(Page laptop) {
        laptop.navigate("/household");
        button(laptop, "A code for a cook").click();
        return laptop.getByText(Pattern.compile("^\\d{3} \\d{3}$")).textContent();
    }

    /** Lets a phone in by a code that the laptop asks for. */
    static void pair(Page laptop, Page phone) {
        String code = code(laptop);
        phone.navigate("/");
        phone.getByLabel("What this device is called").fill("phone by the stove");
        phone.getByLabel("Code").fill(code);
        button(phone, "Let me in").click();
        phone.locator("a[href^='/sheet/']").first().waitFor();
    }

    /** Opens the sheet of a pot, and waits for it: the page before it has an order of its own to choose a drinker for. */
    static void toSheet(Page page, String name) {
        pot(page, name).click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1).setName(name))
                .waitFor();
    }

    /** Confirms the step by the one key, and says that everything is in when it is asked because something was not ticked. */
    static void confirm(Page page) {
        page.evaluate("document.activeElement && document.activeElement.blur()");
        page.keyboard().press("Space");
        allIn(page);
    }

    /** Answers the question whether what was not ticked is in, when it is asked. */
    static void allIn(Page page) {
        Locator asked = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Not ready yet"));
        if (asked.isVisible()) {
            asked.getByRole(AriaRole.BUTTON).first().click();
        }
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
