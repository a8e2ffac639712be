package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.now;
import static embercup.journeys.Browser.pot;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import com.sun.net.httpserver.HttpServer;
import embercup.server.RunningServer;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The phone in the kitchen: let in by a code, kept through a lost network, and called wherever one is. */
@ExtendWith(RunningServer.class)
class KitchenTest {

    @TempDir
    static Path home;

    private static RunningServer.Kitchen kitchen;
    private static String here;
    private static String house;

    @RegisterExtension
    final Browser browser = new Browser();

    @BeforeAll
    static void open() {
        RunningServer.address();
        kitchen = RunningServer.kitchen(home);
        here = kitchen.here();
        house = kitchen.house();
    }

    @AfterAll
    static void close() {
        kitchen.close();
    }

    private Page phone(String server, ServiceWorkerPolicy worker) {
        return browser.page(Browser.phoneOf(server).setServiceWorkers(worker).setPermissions(List.of("notifications")));
    }

    /** Each question of a device that was not let in is a knock at the door. */
    @Test
    void aPhoneThatWaitsToBeLetInDoesNotAskForTheDayAgainAndAgain() {
        Page phone = phone(house, ServiceWorkerPolicy.BLOCK);
        phone.clock().install();
        phone.navigate("/");
        assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Let this device in")))
                .isVisible();
        List<String> asked = new ArrayList<>();
        phone.onRequest(r -> asked.add(r.url()));
        phone.clock().runFor("02:00");
        Assertions.assertThat(asked).noneMatch(url -> url.contains("/api/day"));
    }

    @Test
    void aPhoneIsLetInByACodeHearsTheOtherDeviceAndIsSentAwayWhileItBrews() {
        Page laptop = browser.laptop(here);
        String code = Browser.code(laptop);
        assertThat(laptop.getByText("/ember-cup.crt")).isVisible();

        Page phone = phone(house, ServiceWorkerPolicy.BLOCK);
        phone.navigate("/");
        assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Let this device in")))
                .isVisible();
        ScreensTest.accessible(phone, "the pairing");
        phone.getByLabel("What this device is called").fill("phone by the stove");
        phone.getByLabel("Code").fill("000 000");
        button(phone, "Let me in").click();
        assertThat(phone.getByText("This code lets nobody in")).isVisible();
        phone.getByLabel("Code").fill(code);
        button(phone, "Let me in").click();
        assertThat(pot(phone, "Caraway and anise")).isVisible();

        laptop.navigate("/choose");
        toSheet(laptop, "Caraway and anise");
        button(laptop, "Start now").click();
        now(laptop).waitFor();
        phone.navigate(URI.create(laptop.url()).getPath());
        assertThat(now(phone)).hasText(now(laptop).textContent());
        String before = now(laptop).textContent();
        laptop.keyboard().press("Space");
        assertThat(now(laptop)).not().hasText(before);
        assertThat(now(phone)).hasText(now(laptop).textContent());
        // And the other way round: the phone changes something, with the token of its page.
        phone.getByText("Give it up").first().click();
        button(phone, "Yes, give it up").click();
        assertThat(laptop.getByText("Given up")).isVisible();

        laptop.navigate("/choose");
        toSheet(laptop, "Caraway and anise");
        button(laptop, "Start now").click();
        now(laptop).waitFor();
        phone.navigate(URI.create(laptop.url()).getPath());
        now(phone).waitFor();
        Page household = browser.laptop(here);
        household.navigate("/household");
        button(household, "send away: phone by the stove").click();
        button(household, "Yes, send phone by the stove away").click();
        assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Let this device in")))
                .isVisible();
        household.getByText("What happened at the door").click();
        assertThat(household
                        .getByText(Pattern.compile("phone by the stove, sent away"))
                        .first())
                .isVisible();
    }

    @Test
    void withoutAServerThePageTheDayAndTheBrewAreThereAfterAReload() {
        Page page = phone(here, ServiceWorkerPolicy.ALLOW);
        page.navigate("/choose");
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        page.reload();
        page.waitForFunction("() => navigator.serviceWorker.controller !== null");
        toSheet(page, "Caraway and anise");
        button(page, "Start now").click();
        now(page).waitFor();
        // Read once through the worker, so that it is kept as it is now.
        page.reload();
        String step = now(page).textContent();
        page.context().setOffline(true);
        page.reload();
        assertThat(now(page)).hasText(step);
        assertThat(page.getByText(Pattern.compile("does not answer\\. This is what was kept before")))
                .isVisible();
        page.keyboard().press("Space");
        Browser.allIn(page);
        assertThat(page.getByText(Pattern.compile("kept here until the kitchen")))
                .isVisible();
        page.context().setOffline(false);
        assertThat(now(page)).not().hasText(step);
        assertThat(page.getByText(Pattern.compile("kept here until the kitchen")))
                .hasCount(0);
        button(page, "^Give it up$").click();
        button(page, "Yes, give it up").click();
        assertThat(page.getByText("Given up")).isVisible();
    }

    @Test
    void anAlarmIsHeardOnEveryScreenAndByTheSystemWhenNobodyLooks() {
        Page page = phone(here, ServiceWorkerPolicy.ALLOW);
        // A browser without a window says nothing aloud: what it is asked to say is written down instead.
        page.addInitScript("window.spoken = []; Object.defineProperty(window, 'speechSynthesis',"
                + " { value: { cancel() {}, speak(u) { spoken.push(u.text) } } })");
        page.navigate("/choose");
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        toSheet(page, "Caraway and anise");
        button(page, "Start now").click();
        now(page).waitFor();
        button(page, "Use the simulated kitchen").click();
        button(page, "^60×$").click();
        while (!page.getByRole(AriaRole.TIMER).isVisible()) {
            String byHand = now(page).textContent();
            Browser.confirm(page);
            assertThat(now(page)).not().hasText(byHand);
        }
        page.evaluate("Object.defineProperty(document, 'hidden', { get: () => true })");
        // A browser without a window shows no notification: what the page asks the worker to show is written down
        // instead.
        page.evaluate("void (ServiceWorkerRegistration.prototype.showNotification = (title, how) => {"
                + " (window.shown ??= []).push(title + ': ' + how.body); return Promise.resolve(); })");
        page.evaluate("void Object.defineProperty(Notification, 'permission', { get: () => 'granted' })");
        page.evaluate("history.pushState({}, '', '/herbs'); dispatchEvent(new PopStateEvent('popstate'))");
        Locator alarms = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Alarms"));
        assertThat(alarms)
                .containsText(
                        Pattern.compile("Caraway and anise.*over for"),
                        new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        Object told = page.waitForFunction("() => window.shown && window.shown.join()")
                .jsonValue();
        Assertions.assertThat(String.valueOf(told)).contains("Caraway and anise");
        Assertions.assertThat(String.valueOf(page.evaluate("spoken.join()")))
                .as("nothing is said aloud unless that is wanted")
                .isEmpty();
        button(page, "Quiet for 3 min").click();
        assertThat(button(page, "Quiet for 3 min")).hasCount(0);
        page.getByText("Go there").click();
        assertThat(now(page)).isVisible();
        page.getByLabel("say each step aloud").check();
        String before = now(page).textContent();
        Browser.confirm(page);
        assertThat(now(page)).not().hasText(before);
        page.waitForFunction(
                "now => spoken.some((s) => s && now.includes(s))", now(page).textContent());
        page.getByLabel("say each step aloud").uncheck();
        int said = ((Number) page.evaluate("spoken.length")).intValue();
        button(page, "^Undo").click();
        assertThat(now(page)).hasText(before);
        Assertions.assertThat(page.evaluate("spoken.length")).isEqualTo(said);
    }

    /** Passes every question for a page on to the server; of its worker it makes a newer one when it is told to. */
    private static HttpServer newerPages(AtomicBoolean newer) throws IOException {
        HttpServer pages = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        HttpClient http = HttpClient.newHttpClient();
        pages.setExecutor(Executors.newCachedThreadPool());
        pages.createContext("/", exchange -> {
            try (exchange) {
                var answer = http.send(
                        HttpRequest.newBuilder(URI.create(here + exchange.getRequestURI()))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
                byte[] body = answer.body();
                if (newer.get() && exchange.getRequestURI().getPath().equals("/sw.js")) {
                    body = (new String(body, StandardCharsets.UTF_8) + "\n// newer").getBytes(StandardCharsets.UTF_8);
                }
                answer.headers().firstValue("Content-Type").ifPresent(type -> exchange.getResponseHeaders()
                        .set("Content-Type", type));
                exchange.sendResponseHeaders(answer.statusCode(), body.length == 0 ? -1 : body.length);
                exchange.getResponseBody().write(body);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        pages.start();
        return pages;
    }

    @Test
    void aNewerVersionIsOfferedAndNeverPutIntoARunningBrew() throws IOException {
        AtomicBoolean newer = new AtomicBoolean();
        HttpServer pages = newerPages(newer);
        try {
            Page page = phone("http://127.0.0.1:" + pages.getAddress().getPort(), ServiceWorkerPolicy.ALLOW);
            page.navigate("/choose");
            page.evaluate("navigator.serviceWorker.ready.then(() => true)");
            page.reload();
            page.waitForFunction("() => navigator.serviceWorker.controller !== null");
            JsonNode brew = RunningServer.post(
                            here,
                            "/api/brews",
                            "{\"recipeId\":\"%s\"}"
                                    .formatted(RunningServer.get(here, "/api/recipes")
                                            .body()
                                            .get(0)
                                            .get("id")
                                            .asString()))
                    .body();
            page.navigate("/brew/" + brew.get("id").asString());
            Locator offer = page.getByText("A newer version of Ember Cup is here.");
            page.evaluate("window.opened = 'with the old one'");
            newer.set(true);
            page.evaluate("navigator.serviceWorker.getRegistration().then((r) => r.update()).then(() => true)");
            page.waitForFunction("navigator.serviceWorker.getRegistration().then((r) => r.waiting !== null)");
            assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
            assertThat(offer).hasCount(0);

            page.evaluate("history.pushState({}, '', '/herbs'); dispatchEvent(new PopStateEvent('popstate'))");
            assertThat(offer).isVisible();
            Assertions.assertThat(page.evaluate("window.opened"))
                    .as("still the page that was opened")
                    .isEqualTo("with the old one");
            button(page, "Take it now").click();
            page.waitForFunction("window.opened === undefined");
            assertThat(offer).hasCount(0);
            page.waitForFunction("navigator.serviceWorker.getRegistration().then((r) => r.waiting === null)");
        } finally {
            pages.stop(0);
        }
    }

    @Test
    void anInstrumentThatIsNotHeardIsSaidToBeSoAndReadAgain() {
        Page page = phone(here, ServiceWorkerPolicy.BLOCK);
        started(page, "Caraway and anise");
        page.route(
                "**/api/devices/kitchen/*/stream", route -> route.fulfill(new Route.FulfillOptions().setStatus(503)));
        button(page, "Use the simulated kitchen").click();
        assertThat(page.getByText(Pattern.compile("No reading for \\d+ s; asking again")))
                .isVisible();
        page.unroute("**/api/devices/kitchen/*/stream");
        assertThat(page.getByText("No reading for")).hasCount(0);
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Simulated kitchen"))
                        .getByText("on the scale"))
                .containsText(Pattern.compile("\\d"));
    }

    private static String started(Page page, String name) {
        page.navigate("/choose");
        toSheet(page, name);
        button(page, "Start now").click();
        now(page).waitFor();
        return now(page).textContent();
    }

    @Test
    void whatTwoTabsConfirmWithoutANetworkAllReachesTheServer() {
        Page one = phone(here, ServiceWorkerPolicy.BLOCK);
        String first = started(one, "Caraway and anise");
        Page two = one.context().newPage();
        String second = started(two, "Rosehip and hawthorn");
        one.context().setOffline(true);
        one.bringToFront();
        Browser.confirm(one);
        two.bringToFront();
        Browser.confirm(two);
        assertThat(two.getByText("2 confirmations are kept here")).isVisible();
        one.bringToFront();
        assertThat(one.getByText("2 confirmations are kept here")).isVisible();
        one.context().setOffline(false);
        assertThat(one.getByText("kept here until")).hasCount(0);
        assertThat(now(one)).not().hasText(first);
        assertThat(now(two)).not().hasText(second);
        for (Page page : List.of(one, two)) {
            String id = page.url().substring(page.url().lastIndexOf('/') + 1);
            Assertions.assertThat(RunningServer.get(here, "/api/brews/" + id)
                            .body()
                            .get("events")
                            .toString())
                    .contains("step-done");
        }
    }

    @Test
    void aStreamThatIsRefusedIsSaidSoAndOpenedAgain() {
        Page page = phone(here, ServiceWorkerPolicy.BLOCK);
        String step = started(page, "Caraway and anise");
        page.route("**/stream", route -> route.fulfill(new Route.FulfillOptions().setStatus(503)));
        page.reload();
        assertThat(page.getByText(Pattern.compile("Not live since \\d\\d:\\d\\d")))
                .isVisible();
        page.unroute("**/stream");
        assertThat(page.getByText("Not live since")).hasCount(0);
        String id = page.url().substring(page.url().lastIndexOf('/') + 1);
        RunningServer.post(
                here,
                "/api/brews/" + id + "/events",
                "{\"id\":\"%s\",\"kind\":\"abandoned\"}".formatted(UUID.randomUUID()));
        assertThat(page.getByText("Given up")).isVisible();
        Assertions.assertThat(step).isNotEmpty();
    }

    @Test
    void aLargePhotoOfAPhoneIsSentSmall() throws Exception {
        BufferedImage taken = new BufferedImage(5200, 3900, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(12);
        for (int y = 0; y < 3900; y++) {
            for (int x = 0; x < 5200; x++) {
                taken.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        Path photo = home.resolve("cup.jpg");
        ImageIO.write(taken, "jpg", photo.toFile());
        Page page = phone(here, ServiceWorkerPolicy.BLOCK);
        started(page, "Caraway and anise");
        button(page, "^Give it up$").click();
        button(page, "Yes, give it up").click();
        Assertions.assertThat(Files.size(photo)).as("as a phone takes it").isGreaterThan(8_000_000);
        page.locator("input[type=file]").setInputFiles(photo);
        assertThat(page.getByAltText(Pattern.compile("The cup of"))).isVisible();
        String id = page.url().substring(page.url().lastIndexOf('/') + 1);
        try (var in = URI.create(here + "/api/brews/" + id + "/photo").toURL().openStream()) {
            byte[] kept = in.readAllBytes();
            BufferedImage small = ImageIO.read(new java.io.ByteArrayInputStream(kept));
            Assertions.assertThat(small.getWidth()).isEqualTo(1600);
            Assertions.assertThat(kept.length).isLessThan(3_000_000);
        }
        button(page, "Delete this brew").click();
        button(page, "Yes, delete it with its note").click();
        page.waitForURL(Pattern.compile(".*/notebook$"));
        Assertions.assertThat(RunningServer.get(here, "/api/brews/" + id).code())
                .isEqualTo(404);
    }
}
