package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;
import static embercup.journeys.Browser.pot;
import static embercup.journeys.Browser.toSheet;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import embercup.server.RunningServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** A cook's own pots: read, written, changed by hand, measured. */
@ExtendWith(RunningServer.class)
class OwnPotsTest {

    @RegisterExtension
    final Browser browser = new Browser();

    private static Locator slider(Page page, String name) {
        return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                .first();
    }

    @Test
    void stagesAreMovedAndJoinedOnTheLineByPointerAndByKeys() {
        Page page = browser.laptop();
        page.navigate("/recipe/new");
        page.getByLabel("A list, a method").fill("""
                Moved pot
                2 tbsp dried burdock root
                1 tsp dried orange peel
                3 cups water
                Bring the burdock to a boil, simmer 10 minutes. Take off the heat, add the orange peel and let it stand 15 minutes. Strain.
                """);
        button(page, "Read it").click();
        assertThat(button(page, "^Stage 3: steep 15 min")).isVisible();

        Locator steep = slider(page, "^Place of stage 3, steep");
        steep.focus();
        page.keyboard().press("ArrowLeft");
        assertThat(button(page, "^Stage 2: steep 15 min")).isVisible();
        assertThat(button(page, "^Where herb 2 goes in: 2\\. steep 15 min")).isVisible();

        Locator moved = slider(page, "^Place of stage 2, steep");
        moved.scrollIntoViewIfNeeded();
        // The line is drawn anew when the moved pot was planned: the longer wait stands before the shorter one.
        page.waitForCondition(() -> moved.boundingBox().width
                > slider(page, "^Place of stage 3, simmer").boundingBox().width);
        BoundingBox box = moved.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 1.55, box.y + box.height / 2, new Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
        assertThat(button(page, "^Stage 3: steep 15 min")).isVisible();

        button(page, "^A stage before the 4").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("steep off the heat"))
                .click();
        button(page, "^Join stages 3 and 4").click();
        assertThat(button(page, "^Stage 3: steep 25 min")).isVisible();
        assertThat(button(page, "^Stage 4: strain")).isVisible();
    }

    @Test
    void aWrittenRecipeBecomesAPotThatCanBeStarted() {
        Page page = browser.laptop();
        page.navigate("/choose");
        link(page, "Write a new recipe").click();
        page.getByLabel("A list, a method").fill("""
                Quay roots
                2 tbsp dried burdock root, sliced
                1 inch fresh ginger
                2 tsp moonwort
                3 cups water
                Bring to a boil, simmer for 20 minutes, strain.
                """);
        button(page, "Read it").click();
        Locator read = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What was read"));
        assertThat(read).containsText("“moonwort” is not known here");
        assertThat(button(page, "^Amount of herb 2: 1 inch")).isVisible();
        assertThat(button(page, "^Herb 2: ginger")).isVisible();
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Quay roots");
        assertThat(page.getByText(Pattern.compile("mL strained"))).isVisible();
        button(page, "Keep it").click();
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
        assertThat(button(page, "Start now").or(page.getByText("First make sure")))
                .isVisible();
    }

    @Test
    void stagesAreProposedAndExplained() {
        Page page = browser.laptop();
        page.navigate("/recipe/new");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Pier cup");
        Locator herb = page.getByRole(
                AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Herb 1").setExact(true));
        herb.fill("camomile");
        page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Herbs found"))
                .getByRole(AriaRole.OPTION)
                .first()
                .click();
        assertThat(button(page, "^Herb 1: chamomile flower")).isVisible();
        button(page, "Propose the stages").click();
        assertThat(page.getByText(Pattern.compile("Boiling water on tender parts")))
                .isVisible();
        assertThat(button(page, "^Stage 1: pour boiling water on")).isVisible();
        button(page, "^Cut of herb 1:").click();
        page.getByLabel("Preparation of herb 1").fill("rubbed between the hands");
        page.keyboard().press("Escape");
        button(page, "^How it is taken:").click();
        page.getByLabel("Cups a day").fill("2");
        page.getByLabel("When", new Page.GetByLabelOptions().setExact(true)).selectOption("before-bed");
        page.getByLabel("Days in a row").fill("7");
        page.getByLabel("Then days off").fill("7");
        page.keyboard().press("Escape");
        button(page, "Keep it").click();
        assertThat(page.getByText("2 cups a day, before bed; 7 days, then 7 days off"))
                .isVisible();
        assertThat(page.getByText("rubbed between the hands").first()).isVisible();
    }

    @Test
    void theWayOfTheHouseIsSetOnceAndHoldsForEveryPot() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Linden and elderflower");
        button(page, "^Ways of making$").click();
        Locator honey = page.getByLabel("When honey goes in");
        assertThat(honey).hasValue("below-40");
        honey.selectOption("any-time");
        assertThat(page).hasURL(Pattern.compile("school=honey.any-time"));
        button(page, "Always so in this house").click();
        assertThat(page).not().hasURL(Pattern.compile("school="));
        page.navigate("/choose");
        toSheet(page, "Caraway and anise");
        button(page, "^Ways of making$").click();
        assertThat(honey).hasValue("any-time");
        button(page, "leave it to the tradition again").click();
        assertThat(honey).hasValue("below-40");
    }

    @Test
    void theCurvesAreReadOffByArrowKeys() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Dandelion and burdock");
        Locator curves = slider(page, "Read the curves off");
        curves.focus();
        page.keyboard().press("Home");
        assertThat(curves).hasAttribute("aria-valuetext", Pattern.compile("1\\d °C · 5\\d\\d mL · strength 0.%"));
        page.keyboard().press("PageUp");
        page.keyboard().press("PageUp");
        page.keyboard().press("ArrowRight");
        assertThat(curves).hasAttribute("aria-valuetext", Pattern.compile("100 °C · .* · strength [3-9]\\d.%"));
        page.keyboard().press("End");
        assertThat(curves).hasAttribute("aria-valuetext", Pattern.compile("strength 100.%"));
        page.keyboard().press("Escape");
        assertThat(curves).hasAttribute("aria-valuetext", "nothing read yet");
    }

    @Test
    void twoTabsOnOneRecipeEndInAChoiceAndNotInALoss() {
        Page first = browser.laptop();
        first.navigate("/choose");
        toSheet(first, "Caraway and anise");
        link(first, "Change the recipe").click();
        first.waitForURL(Pattern.compile(".*/recipe/.*"));
        Page second = browser.laptop();
        second.navigate(first.url());
        second.getByLabel("About it").waitFor();
        first.getByLabel("About it").fill("changed here");
        button(first, "Keep the change").click();
        first.waitForURL(Pattern.compile(".*/sheet/.*"));
        second.getByLabel("About it").fill("changed there");
        button(second, "Keep the change").click();
        assertThat(second.getByRole(AriaRole.ALERT)).containsText("changed elsewhere");
        assertThat(second.getByLabel("About it")).hasValue("changed there");
        button(second, "Keep mine").click();
        second.waitForURL(Pattern.compile(".*/sheet/.*"));
        link(second, "Change the recipe").click();
        assertThat(second.getByLabel("About it")).hasValue("changed there");
        assertThat(second.getByText(Pattern.compile("until .*: Caraway")).first())
                .isVisible();
    }

    @Test
    void aWaitIsStretchedByKeyAndByDraggingAndTakenBack() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Dandelion and burdock");
        Locator simmer = slider(page, "quiet simmer");
        assertThat(simmer).hasAttribute("aria-valuenow", "25");
        simmer.focus();
        page.keyboard().press("ArrowRight");
        assertThat(slider(page, "quiet simmer")).hasAttribute("aria-valuenow", "26");
        assertThat(page).hasURL(Pattern.compile("t=s1.minutes.26"));
        page.keyboard().press("z");
        assertThat(slider(page, "quiet simmer")).hasAttribute("aria-valuenow", "25");

        var box = slider(page, "quiet simmer").boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x - 90, box.y + box.height / 2);
        page.mouse().up();
        assertThat(slider(page, "quiet simmer")).not().hasAttribute("aria-valuenow", "25");
        Assertions.assertThat(Integer.parseInt(slider(page, "quiet simmer").getAttribute("aria-valuenow")))
                .isLessThan(24);
        button(page, "^Undo$").click();
        assertThat(slider(page, "quiet simmer")).hasAttribute("aria-valuenow", "25");
    }

    @Test
    void aHerbMovesToAnotherStageAndTheLidComesOff() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Dandelion and burdock");
        Locator peel = slider(page, "Orange peel goes in");
        assertThat(peel).hasAttribute("aria-valuenow", "3");
        peel.focus();
        page.keyboard().press("ArrowLeft");
        assertThat(slider(page, "Orange peel goes in")).hasAttribute("aria-valuenow", "2");
        button(page, "lid at “simmer”").click();
        assertThat(page).hasURL(Pattern.compile("t=s1.lid.0"));
        button(page, "take back").click();
        assertThat(slider(page, "Orange peel goes in")).hasAttribute("aria-valuenow", "3");
    }

    @Test
    void theStrengthIsDraggedAndComesDownByKey() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Dandelion and burdock");
        Locator strength = slider(page, "Strength of the cup");
        var box = strength.boundingBox();
        page.mouse().move(box.x + 12, box.y + 12);
        page.mouse().down();
        page.mouse().move(box.x + 12, box.y - 12);
        page.mouse().up();
        assertThat(button(page, "^Strength: strong")).isVisible();
        slider(page, "Strength of the cup").focus();
        page.keyboard().press("ArrowDown");
        assertThat(button(page, "^Strength: standard")).isVisible();
    }

    @Test
    void twoSettingsAreLaidOverEachOther() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Dandelion and burdock");
        button(page, "What if").click();
        slider(page, "quiet simmer").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(page.getByLabel("What if")).containsText(Pattern.compile("time \\d+ min → \\d+ min"));
        button(page, "let it go").click();
        assertThat(button(page, "What if")).isVisible();
    }

    @Test
    void theScaleTellsWhenTheAmountIsReached() {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, "Dandelion and burdock");
        button(page, "Measure one by one").click();
        assertThat(page.getByText("1 of 3")).isVisible();
        button(page, "Use the scale").click();
        button(page, "^Tare$").click();
        assertThat(page.getByText(Pattern.compile("6.9|7.0 g to go")).first()).isVisible();
        button(page, "Put the rest on").click();
        assertThat(page.getByText("that is it")).isVisible();
        button(page, "^Measured$").click();
        assertThat(page.getByText("2 of 3")).isVisible();
    }

    @Test
    void aGatheredHerbIsLookedAtBeforeItIsBrewed() {
        Page page = browser.laptop();
        page.navigate("/recipe/new");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Needle cup");
        Locator herb = page.getByRole(
                AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Herb 1").setExact(true));
        herb.fill("pine");
        page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Herbs found"))
                .getByRole(AriaRole.OPTION)
                .first()
                .click();
        assertThat(button(page, "^Form of herb 1: fresh")).isVisible();
        button(page, "Propose the stages").click();
        button(page, "^Stage 1:").waitFor();
        button(page, "Keep it").click();
        assertThat(page.getByText("First make sure")).isVisible();
        assertThat(page.getByText(Pattern.compile("Not Yew"))).isVisible();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("it is pine needle")))
                .check();
        button(page, "Start now").click();
        assertThat(page).hasURL(Pattern.compile("/brew/"));
    }

    @Test
    void whatADrinkerMustNotHaveIsMarkedWhereItIsChosen() {
        Page page = browser.laptop();
        page.navigate("/choose");
        button(page, "^Drinker:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Aunt Siv")))
                .click();
        assertThat(pot(page, "Orange-peel and liquorice")).containsText("Stop");
        page.getByPlaceholder("ginger, evening").fill("marshmalow");
        assertThat(pot(page, "Cold jar of marshmallow")).isVisible();
        assertThat(pot(page, "Orange-peel and liquorice")).isHidden();
    }

    @Test
    void aBlendIsMadeFromTheTinsOnTheShelf() {
        Page page = browser.laptop();
        page.navigate("/choose?for=after%20a%20meal");
        button(page, "Blend it for me").click();
        assertThat(page.getByText(Pattern.compile("Traditionally used")).first())
                .isVisible();
        button(page, "Open it as a recipe").click();
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("A cup for: after a meal");
        button(page, "Keep it").click();
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
    }

    @Test
    void somebodyNewAndAVesselAreKept() {
        Page page = browser.laptop();
        page.navigate("/household");
        button(page, "Somebody else").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Grandmother");
        page.getByLabel("Age", new Page.GetByLabelOptions().setExact(true)).fill("200");
        button(page, "Keep it").click();
        assertThat(page.getByText(Pattern.compile("between 0 and 120")).first()).isVisible();
        page.getByLabel("Age", new Page.GetByLabelOptions().setExact(true)).fill("81");
        button(page, "Keep it").click();
        // What is to be minded is ticked one after the other, faster than the server answers.
        button(page, "^To be minded of Grandmother").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("blood thinner"))
                .check();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("heart disease"))
                .check();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("heart disease"))
                .uncheck();
        page.keyboard().press("Escape");
        assertThat(button(page, "^To be minded of Grandmother: blood thinner\\. "))
                .isVisible();
        button(page, "^Strength for Grandmother").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("gentle")))
                .click();
        assertThat(button(page, "^Strength for Grandmother: gentle")).isVisible();
        // It is shown before it is kept; a page that is left too soon takes it along.
        page.waitForCondition(() -> RunningServer.get("/api/people")
                .body()
                .valueStream()
                .anyMatch(p -> p.get("name").asString().equals("Grandmother")
                        && p.get("usualStrength").asString().equals("gentle")));
        page.reload();
        assertThat(button(page, "^Strength for Grandmother: gentle")).isVisible();
        assertThat(button(page, "^To be minded of Grandmother: blood thinner\\. "))
                .isVisible();
        page.navigate("/choose");
        toSheet(page, "Caraway and anise");
        button(page, "^Drinker:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Grandmother")))
                .click();
        assertThat(button(page, "^Strength: gentle")).isVisible();
        button(page, "^Strength:").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("standard")))
                .click();
        assertThat(button(page, "^Strength: standard")).isVisible();
        page.navigate("/household");
        button(page, "off the list: Grandmother").click();
        button(page, "Yes, Grandmother off the list").click();
        assertThat(page.getByText("Grandmother")).hasCount(0);
    }

    /** By hand, by key and by number; what was changed elsewhere meanwhile is not lost either. */
    @Test
    void aVesselIsChangedOnItsDrawing() {
        String id =
                RunningServer.post("/api/kitchen/vessels", """
                        {"name":"drawn pot","kind":"pot","innerDiameterCm":18,"heightCm":10}""").body().get("id").asString();
        Page page = browser.laptop();
        page.navigate("/household");
        button(page, "Change drawn pot").click();
        assertThat(button(page, "^Full to the brim: 2545 mL")).isVisible();
        Locator rim = page.getByLabel("Pull the rim");
        rim.press("ArrowUp");
        assertThat(button(page, "^High inside: 10.1 cm")).isVisible();
        // π/4 · 18² · 10.1 = 2570 cm³
        assertThat(button(page, "^Full to the brim: 2570 mL")).isVisible();
        BoundingBox wall = page.getByLabel("Pull the wall").boundingBox();
        page.mouse().move(wall.x + wall.width / 2, wall.y + wall.height / 2);
        page.mouse().down();
        page.mouse().move(wall.x + wall.width / 2 + 40, wall.y + wall.height / 2);
        page.mouse().up();
        assertThat(button(page, "^Wide inside: 2[01]\\.\\d cm")).isVisible();
        // What was drawn is kept: it stands there anew, and nothing of it is on its way any more.
        page.waitForCondition(() -> vessel(id).get("innerDiameterCm").asDouble() > 19.9);
        page.reload();
        button(page, "Change drawn pot").click();
        assertThat(button(page, "^Wide inside: 2[01]\\.\\d cm")).isVisible();
        // Elsewhere it gets another name; here its kind is changed on what is still shown.
        page.route("**/api/kitchen", route -> route.abort());
        var now = vessel(id);
        Assertions.assertThat(RunningServer.put("/api/kitchen/vessels/" + id, """
                {"version":%d,"name":"renamed pot","kind":"pot","innerDiameterCm":20,"heightCm":10}""".formatted(
                                        now.get("version").asLong()))
                        .code())
                .isEqualTo(200);
        button(page, "^What it is: pot").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^○? ?jar")))
                .click();
        assertThat(page.getByText("This was changed elsewhere meanwhile.")).isVisible();
        page.unroute("**/api/kitchen");
        button(page, "Change it all the same").click();
        assertThat(button(page, "^What it is: jar")).isVisible();
        assertThat(button(page, "^Name of renamed pot")).isVisible();
        button(page, "take it away: renamed pot").click();
        button(page, "Yes, take renamed pot away").click();
        assertThat(page.getByText("renamed pot")).hasCount(0);
    }

    private static JsonNode vessel(String id) {
        for (JsonNode vessel : RunningServer.get("/api/kitchen").body().get("vessels")) {
            if (vessel.get("id").asString().equals(id)) {
                return vessel;
            }
        }
        throw new AssertionError("no vessel " + id);
    }

    @Test
    void herOwnSpoonStandsAboveTheBooks() {
        Page page = browser.laptop();
        page.navigate("/herbs/agrimony");
        button(page, "I weighed my own spoon").click();
        page.getByLabel("Grams of a teaspoon, weight 1").fill("0.85");
        button(page, "Keep my weights").click();
        assertThat(page.getByText("0.85 g")).isVisible();
        button(page, "Change my own weights").click();
        button(page, "Back to the books").click();
        button(page, "Yes, forget").click();
        assertThat(page.getByText("0.85 g")).hasCount(0);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Dandelion and burdock",
                "Linden and elderflower",
                "Orange-peel and liquorice",
                "Two-boil",
                "Thyme and sage",
                "Cold jar"
            })
    void theSheetPrintsOnOnePage(String pot) {
        Page page = browser.laptop();
        page.navigate("/choose");
        toSheet(page, pot);
        button(page, "Start now").waitFor();
        byte[] pdf = page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true));
        String text = new String(pdf, java.nio.charset.StandardCharsets.ISO_8859_1);
        int pages = text.split("/Type\\s*/Page[^s]").length - 1;
        Assertions.assertThat(pages).as("pages of paper").isEqualTo(1);
    }
}
