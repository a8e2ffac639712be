package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;
import static embercup.server.RunningServer.event;
import static embercup.server.RunningServer.get;
import static embercup.server.RunningServer.post;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import embercup.server.RunningServer;
import embercup.server.RunningServer.Answer;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What else a house keeps: a cup that is made out of a jar, spent herbs, tinctures, blends in their jars, fresh things, words. */
@ExtendWith(RunningServer.class)
class KeptThingsTest {

    @RegisterExtension
    final Browser browser = new Browser();

    @AfterEach
    void offTheFire() {
        RunningServer.offTheFire();
    }

    private static String named(String what) {
        return what + " " + UUID.randomUUID().toString().substring(0, 6);
    }

    private static JsonNode brew(String order) {
        Answer answer = post("/api/brews", order);
        Assertions.assertThat(answer.code()).as(answer.body().toString()).isEqualTo(201);
        return answer.body();
    }

    /** A decoction that is done, with honey for each cup. */
    private static String pot(String name) {
        String id = brew("""
                {"confirmed":["dandelion"],"recipe":{"name":"%s","tradition":"folk","cups":3,"cupMl":240,
                 "additions":[{"herb":"dandelion","form":"dried","cut":"sliced","amount":10,"unit":"g","stage":0},
                              {"herb":"honey","form":"fresh","cut":"whole","amount":1,"unit":"tsp","stage":3}],
                 "stages":[{"kind":"heat"},{"kind":"simmer","minutes":25},{"kind":"strain"},{"kind":"finish"}]}}
                """.formatted(name)).get("id").asString();
        event(id, "started", ",\"ageS\":5400");
        event(id, "finished", ",\"ageS\":3600");
        return id;
    }

    private static double leftMl(String brew) {
        return get("/api/brews/" + brew).body().get("leftMl").asDouble();
    }

    // ---- a cup with a clock

    /** It is begun on the phone; the laptop sees its clock on every screen; a reload loses nothing; poured, it is over. */
    @Test
    void aCupOutOfAJarHasItsClockOnEveryScreen() {
        String name = named("Later pot");
        String id = pot(name);
        event(id, "kept");
        Page phone = browser.phone();
        phone.navigate("/keeping?jar=" + id);
        button(phone, "^Make it, step by step$").click();
        Locator now = phone.locator("li[aria-current=step]");
        assertThat(now).containsText("Shake the jar");
        button(phone, "^Done$").click();
        assertThat(now).containsText("Pour 240 mL out of the jar.");
        button(phone, "^Done$").click();
        assertThat(now).containsText("It must not boil");
        assertThat(now.getByRole(AriaRole.TIMER)).hasText(Pattern.compile("\\d+:\\d\\d"));
        ScreensTest.accessible(phone, "a cup that is made");
        phone.reload();
        assertThat(now).containsText("It must not boil");
        Page laptop = browser.laptop();
        laptop.navigate("/herbs");
        Locator strip = laptop.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Today"))
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^A cup of the " + name)));
        assertThat(strip).hasAccessibleName(Pattern.compile("min left"));
        strip.click();
        assertThat(laptop.locator("li[aria-current=step]")).containsText("It must not boil");
        button(laptop, "^Done$").click();
        assertThat(laptop.locator("li[aria-current=step]")).containsText("Wait until it is below 40");
        button(laptop, "^Undo$").click();
        assertThat(laptop.locator("li[aria-current=step]")).containsText("It must not boil");
        button(laptop, "^Done$").click();
        assertThat(laptop.locator("li[aria-current=step]")).containsText("Wait until it is below 40");
        button(laptop, "^Done$").click();
        assertThat(laptop.locator("li[aria-current=step]")).containsText("honey");
        button(laptop, "^Done$").click();
        button(laptop, "^It is drunk$").click();
        assertThat(laptop.getByText("240 mL poured out of the jar of " + name)).isVisible();
        assertThat(strip).hasCount(0);
        Assertions.assertThat(get("/api/brews/" + id).body().get("pouredMl").asDouble())
                .isEqualTo(240);
        event(id, "emptied");
    }

    @Test
    void aCupThatIsGivenUpLeavesTheJarAsItWas() {
        String name = named("Given up");
        String id = pot(name);
        event(id, "kept");
        Page page = browser.laptop();
        page.navigate("/keeping?jar=" + id);
        button(page, "^Make it, step by step$").click();
        button(page, "^Done$").click();
        button(page, "^Not after all$").click();
        assertThat(button(page, "^Make it, step by step$")).isVisible();
        Assertions.assertThat(get("/api/brews/" + id).body().has("making")).isFalse();
        event(id, "emptied");
    }

    private static void chosen(Page page, String person) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^" + person)))
                .click();
    }

    /** The cup is chosen for a child: it is her share of it, made in her name. For a smaller one care stops it. */
    @Test
    void aCupOutOfAJarIsForSomebodyElse() {
        String child = named("Pip");
        post("/api/people", "{\"name\":\"%s\",\"ageYears\":14,\"weightKg\":51}".formatted(child));
        String small = named("Mo");
        post("/api/people", "{\"name\":\"%s\",\"ageYears\":1,\"weightKg\":10}".formatted(small));
        String name = named("For all");
        String id = pot(name);
        event(id, "kept");
        Page page = browser.laptop();
        page.navigate("/keeping?jar=" + id);
        assertThat(page.getByText("A cup of 240 mL out of it, warmed, for an adult:"))
                .isVisible();
        button(page, "^Drinker: an adult").click();
        chosen(page, small);
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Stop " + small)))
                .hasCount(2);
        assertThat(button(page, "^Make it, step by step$")).hasCount(0);
        button(page, "^Drinker: " + small).click();
        chosen(page, child);
        // 51 kg of 68 are 0.75 of 240 mL (Clark's rule).
        assertThat(page.getByText("A cup of 180 mL out of it, warmed, for " + child))
                .isVisible();
        ScreensTest.accessible(page, "a cup for somebody else");
        button(page, "^Make it, step by step$").click();
        assertThat(page.getByText("A cup of 180 mL, warmed, for " + child)).isVisible();
        button(page, "^Poured$").click();
        assertThat(page.getByText("180 mL poured out of the jar of " + name)).isVisible();
        page.navigate("/brew/" + id);
        assertThat(page.getByText("180 mL for somebody else").first()).isVisible();
        event(id, "emptied");
    }

    // ---- spent herbs

    @Test
    void spentHerbsWaitInTheFridgeForTheirSecondBrew() {
        String name = named("Twice brewed");
        String id = pot(name);
        Page page = browser.laptop();
        page.navigate("/brew/" + id);
        button(page, "^Keep the spent herbs$").click();
        assertThat(page.getByText("The spent herbs stand in the fridge")).isVisible();
        page.navigate("/keeping");
        Locator marc = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Spent herbs"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(name));
        assertThat(marc).containsText("brewed once more by");
        marc.getByRole(AriaRole.BUTTON).click();
        assertThat(marc).hasCount(0);
        button(page, "^Undo$").click();
        assertThat(marc).isVisible();
        event(id, "marc-gone");
    }

    // ---- a tincture

    /** Set up ten days ago and shaken on most of them; shaken today, pressed, bottled, and taken by the drop. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aTinctureIsShakenPressedBottledAndTakenByTheDrop(boolean onPhone) {
        String name = named("Drops");
        JsonNode made = brew("""
                {"confirmed":["yarrow"],"recipe":{"name":"%s","tradition":"folk","cups":5,"cupMl":100,
                 "menstruum":"spirit","alcoholPercent":40,
                 "additions":[{"herb":"yarrow","form":"dried","cut":"chopped","amount":100,"unit":"g","stage":0}],
                 "stages":[{"kind":"macerate","minutes":20160},{"kind":"strain","pressed":true}]}}""".formatted(name));
        String id = made.get("id").asString();
        int day = 24 * 3600;
        event(id, "started", ",\"ageS\":" + 10 * day);
        for (JsonNode step : made.get("plan").get("steps")) {
            if (step.get("kind").asString().equals("macerate")) {
                break;
            }
            event(
                    id,
                    "step-done",
                    ",\"ageS\":%d,\"step\":\"%s\""
                            .formatted(10 * day, step.get("key").asString()));
        }
        for (int ago : new int[] {9, 8, 7, 5, 4, 3, 2}) {
            event(id, "shaken", ",\"ageS\":" + ago * day);
        }
        Page page = onPhone ? browser.phone() : browser.laptop();
        page.navigate("/keeping");
        Locator jar = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(name));
        Locator days = jar.getByRole(AriaRole.IMG);
        assertThat(days).hasAccessibleName(Pattern.compile("Shaken on 8 days, missed on 2, pressed on"));
        jar.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Shaken today"))
                .click();
        assertThat(days).hasAccessibleName(Pattern.compile("Shaken on 9 days"));
        assertThat(button(page, "^Shaken today$")).hasCount(0);
        ScreensTest.accessible(page, "a long jar");
        link(page, name).click();
        assertThat(Browser.now(page)).containsText("days");
        event(id, "finished");
        button(page, "^Into its bottle$").click();
        link(page, "^A dose of it$").click();
        assertThat(page.getByText("40 drops").first()).isVisible();
        assertThat(page.getByText("40 % of alcohol")).isVisible();
        double full = leftMl(id);
        button(page, "^Taken: 40 drops$").click();
        assertThat(page.getByText(Pattern.compile("^40 drops of " + name + " taken")))
                .isVisible();
        page.waitForCondition(() -> leftMl(id) < full - 1.99);
        Assertions.assertThat(leftMl(id)).isCloseTo(full - 2, Assertions.within(1e-6));
        event(id, "emptied");
    }

    // ---- a blend, and what is fresh

    @Test
    void aBlendIsMixedOutOfTheTinsIntoItsJarAndTheMixingIsUndone() {
        String slug = "mixed-" + UUID.randomUUID().toString().substring(0, 6);
        RunningServer.put(
                "/api/herbs/" + slug + "/own",
                "{\"common\":\"Mixed of the slip\",\"parts\":[{\"herb\":\"linden\",\"amount\":3,\"unit\":\"g\"},{\"herb\":\"fennel\",\"amount\":1,\"unit\":\"g\"}]}");
        double linden = left("linden");
        Page page = browser.laptop();
        page.navigate("/herbs/" + slug);
        Locator parts = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What is taken for it"));
        assertThat(parts.getByText("45 g")).isVisible();
        assertThat(parts.getByRole(AriaRole.LISTITEM).nth(1)).containsText("no tin of it");
        button(page, "^How much is mixed").click();
        page.getByRole(AriaRole.SPINBUTTON)
                .or(page.getByLabel("How much is mixed").last())
                .last()
                .fill("20");
        button(page, "^Keep$").click();
        assertThat(parts.getByText("15.0 g")).isVisible();
        button(page, "^Mixed: into its jar$").click();
        assertThat(page.getByText("20 g of Mixed of the slip are in its jar")).isVisible();
        ScreensTest.accessible(page, "a blend that is mixed");
        Assertions.assertThat(left("linden")).isCloseTo(linden - 15, Assertions.within(1e-6));
        Assertions.assertThat(left(slug)).isEqualTo(20);
        button(page, "^Undo$").click();
        assertThat(page.getByText("20 g of Mixed of the slip are in its jar")).hasCount(0);
        Assertions.assertThat(left("linden")).isCloseTo(linden, Assertions.within(1e-6));
    }

    private static double left(String herb) {
        return get("/api/shelf")
                .body()
                .valueStream()
                .filter(t -> t.get("herb").asString().equals(herb))
                .findFirst()
                .orElseThrow()
                .get("left")
                .get("grams")
                .asDouble();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aRhizomeIsMovedFromTheCounterIntoTheFridgeAndKeepsAMonth(boolean onPhone) {
        String id = post("/api/shelf", "{\"herb\":\"galangal\",\"form\":\"fresh\",\"grams\":90}")
                .body()
                .get("id")
                .asString();
        Page page = onPhone ? browser.phone() : browser.laptop();
        page.navigate("/keeping");
        button(page, "^Where Galangal.* stands: on the counter").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^in the fridge")))
                .click();
        assertThat(button(page, "^Where Galangal.* stands: in the fridge")).isVisible();
        button(page, "^Why Galangal.* keeps so long").click();
        assertThat(page.getByText("about a month in the fridge, bagged without air"))
                .isVisible();
        page.keyboard().press("Escape");
        button(page, "^A word on Galangal").click();
        page.getByLabel("A word on Galangal").last().fill("from the market");
        button(page, "^Keep$").click();
        assertThat(button(page, "^A word on Galangal.*from the market")).isVisible();
        JsonNode tin = get("/api/shelf")
                .body()
                .valueStream()
                .filter(t -> t.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
        Assertions.assertThat(tin.get("place").asString()).isEqualTo("fridge");
        Assertions.assertThat(tin.get("note").asString()).isEqualTo("from the market");
        RunningServer.delete("/api/shelf/" + id);
    }

    // ---- words of one's own

    @Test
    void aFavouriteWithWordsOfOnesOwnIsFoundByThem() {
        Page page = browser.laptop();
        page.navigate("/");
        Browser.toSheet(page, "Cold jar of marshmallow root");
        button(page, "^What we say of it ourselves: Ours").click();
        button(page, "^Make it a favourite$").click();
        assertThat(button(page, "^It is a favourite$")).hasAttribute("aria-pressed", "true");
        page.getByLabel("Our own words for it").fill("after singing, Erik");
        button(page, "^Keep$").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("a favourite");
        assertThat(button(page, "^Keep$")).hasCount(0);
        page.navigate("/choose");
        button(page, "^after singing$").click();
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
        Locator pots = page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM);
        assertThat(pots).hasCount(1);
        assertThat(pots).containsText("Cold jar of marshmallow root");
        page.navigate("/choose");
        button(page, "^a favourite$").click();
        assertThat(pots).hasCount(1);
        String id = get("/api/recipes")
                .body()
                .valueStream()
                .filter(r -> r.get("favourite").asBoolean())
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        RunningServer.put("/api/recipes/" + id + "/mine", "{\"favourite\":false,\"words\":[]}");
    }

    // ---- the week

    /** A pot of two days from now lacks its herb; what was got is ticked into its tin, and nothing is to be got any more. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void whatTheWeekLacksIsGotAndTickedIntoItsTin(boolean onPhone) {
        String name = named("Of hyssop");
        String id =
                brew("{\"startAt\":\"%s\",\"recipe\":{\"name\":\"%s\",\"cups\":2,\"cupMl\":240,\"additions\":[{\"herb\":\"hyssop\",\"amount\":4,\"unit\":\"g\"}],\"stages\":[{\"kind\":\"pour\"},{\"kind\":\"steep\",\"minutes\":10},{\"kind\":\"strain\"}]}}"
                                .formatted(Instant.now().plus(48, ChronoUnit.HOURS), name))
                        .get("id")
                        .asString();
        Page page = onPhone ? browser.phone() : browser.laptop();
        page.navigate("/week");
        assertThat(link(page, name)).isVisible();
        Locator toGet = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To get"));
        Locator hyssop = toGet.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Hyssop"));
        assertThat(hyssop).containsText("no tin");
        assertThat(hyssop).containsText(name);
        hyssop.getByRole(AriaRole.CHECKBOX).check();
        hyssop.getByRole(AriaRole.SPINBUTTON).fill("30");
        button(page, "^Into the tin$").click();
        assertThat(hyssop).hasCount(0);
        assertThat(toGet.getByText(Pattern.compile("Enough of .*hyssop"))).isVisible();
        Assertions.assertThat(left("hyssop")).isEqualTo(30);
        event(id, "abandoned");
        for (JsonNode tin : get("/api/shelf").body()) {
            if (tin.get("herb").asString().equals("hyssop")) {
                RunningServer.delete("/api/shelf/" + tin.get("id").asString());
            }
        }
    }
}
