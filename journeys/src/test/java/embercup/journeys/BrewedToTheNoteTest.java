package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.allIn;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.heading;
import static embercup.journeys.Browser.now;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import embercup.server.RunningServer;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pots of every kind from what is written to the note, by the keyboard alone, and nothing on the way that nobody would say. */
class BrewedToTheNoteTest {

    @RegisterExtension
    final Browser browser = new Browser();

    /** What no screen at the stove may say. */
    private static final Pattern NOBODY_SAYS =
            Pattern.compile("NaN|undefined|null|Infinity|\\b1 cups\\b|\\[object|\\d{3,}:\\d\\d:\\d\\d|\\d{4,} min\\b");

    private static void sound(Page page) {
        Assertions.assertThat(page.locator("main").innerText())
                .as("what the screen says")
                .doesNotContainPattern(NOBODY_SAYS);
    }

    private static void kept(Page page, String text) {
        page.navigate("/recipe/new");
        page.getByLabel("A list, a method").fill(text.replace("\\n", "\n"));
        button(page, "Read it").click();
        button(page, "^Stage 1:").waitFor();
        button(page, "Keep it").click();
        button(page, "Start now|I have checked").waitFor();
        sound(page);
        // So much of a herb that the house has none of is asked first.
        if (button(page, "I have checked").isVisible()) {
            button(page, "I have checked").click();
            button(page, "Start now").waitFor();
        }
    }

    private static void started(Page page, String text) {
        kept(page, text);
        page.keyboard().press("s");
        now(page).waitFor();
    }

    /** Presses the one key until the brew asks how it was; every screen on the way is read. @return what was said to do */
    private static List<String> throughByKeys(Page page) {
        List<String> told = new ArrayList<>();
        Locator step = now(page).filter(new Locator.FilterOptions().setHasNotText("The cup is ready"));
        Locator either = step.or(heading(page, "How was it?")).first();
        for (int i = 0; i < 24; i++) {
            String words = either.textContent();
            if (words.equals("How was it?")) {
                return told;
            }
            sound(page);
            told.add(words);
            page.keyboard().press("Space");
            allIn(page);
            assertThat(either).not().hasText(words);
        }
        throw new AssertionError("the brew did not end: " + told);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\0',
            value = {
                "Garlic mug\\n2 cloves of garlic, crushed\\n1 cup boiling water\\nPour the water over the garlic, steep 10 minutes, strain. | Let the garlic rest 10 min",
                "Roots twice\\n12 g astragalus root\\n800 ml water\\nBring to a boil and simmer 40 minutes. Strain. Add 500 ml of fresh water to the same herbs and simmer again 30 minutes. Strain and combine the two liquids.\\nDrink one cup three times a day. | into the jug",
                "Warm mallow\\n2 tsp dried marshmallow root\\n2 cups water\\nHeat the water to 60 C, pour it over the root and let it stand for 30 minutes, strain. | at 60 °C",
                "Nettle jar\\n14 g dried nettle\\n1 litre boiling water\\nPour the water over it, cover, let it steep 5 hours, strain and press. | 5 h, covered",
                "Valerian spirit\\n40 g dried valerian root\\n250 ml vodka\\nCover with the vodka, leave for 5 weeks, shake every day, strain and press. | stand 35 days",
                "Reduced ginger\\n10 g dried ginger\\n1 litre water\\nBoil down to 500 ml. Add 2 tsp of fennel for the last 5 minutes. Strain. | Boil it down"
            })
    void aPotOfEveryKindIsBrewedToTheNoteByKeysAlone(String text, String said) {
        Page page = text.length() % 2 == 0
                ? browser.page(390, 844, ColorScheme.DARK, RunningServer.address())
                : browser.laptop();
        started(page, text);
        List<String> told = throughByKeys(page);
        Assertions.assertThat(told).as("what was said to do").isNotEmpty();
        sound(page);
        Assertions.assertThat(String.join(" / ", told) + page.locator("main").innerText())
                .containsIgnoringCase(said.strip());
        button(page, "Keep the note").click();
        assertThat(button(page, "Change the note")).isVisible();
        sound(page);
    }

    /**
     * What stands for hours and for weeks, by the brew's own clock: it was begun so long ago, and what was done then was confirmed
     * then. It is strained now, and the note has the time that it really stood.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Nettle jar\\n14 g dried nettle\\n1 litre boiling water\\nPour the water over it, cover, let it steep 5 hours, strain and press. | 18000 | 5 h",
                "Valerian spirit\\n40 g dried valerian root\\n250 ml vodka\\nCover with the vodka, leave for 5 weeks, shake every day, strain and press. | 3024000 | 35 days"
            })
    void whatStoodItsTimeIsStrainedAndNoted(String text, long stoodS, String said) {
        var recipe = RunningServer.post(
                        "/api/recipes/read", "{\"text\":\"" + text.strip().replace("\n", "\\n") + "\"}")
                .body()
                .get("recipe");
        var brew =
                RunningServer.post("/api/brews", "{\"recipe\":" + recipe + "}").body();
        String path = "/api/brews/" + brew.get("id").asString() + "/events";
        double ageS = stoodS + 1800.0;
        var told = event(path, "\"kind\":\"started\"", ageS);
        String kind = "";
        while (!kind.equals("steep") && !kind.equals("macerate")) {
            String key = told.get("nowKey").asString();
            for (var step : told.get("plan").get("steps")) {
                if (step.get("key").asString().equals(key)) {
                    kind = step.get("kind").asString();
                }
            }
            if (!kind.equals("steep") && !kind.equals("macerate")) {
                ageS = Math.max(stoodS, ageS - 60);
                told = event(path, "\"kind\":\"step-done\",\"step\":\"" + key + "\"", ageS);
            }
        }
        Page page = browser.page(390, 844, ColorScheme.DARK, RunningServer.address());
        page.navigate("/brew/" + brew.get("id").asString());
        assertThat(page.getByText(Pattern.compile("Its time ran out"))).isVisible();
        sound(page);
        throughByKeys(page);
        sound(page);
        Assertions.assertThat(page.locator("main").innerText()).contains(said);
        button(page, "Keep the note").click();
        assertThat(button(page, "Change the note")).isVisible();
    }

    private static tools.jackson.databind.JsonNode event(String path, String what, double ageS) {
        var told = RunningServer.post(
                path, "{\"id\":\"%s\",%s,\"ageS\":%s}".formatted(java.util.UUID.randomUUID(), what, ageS));
        Assertions.assertThat(told.code()).as(told.body().toString()).isEqualTo(200);
        return told.body();
    }

    /** One pot, a cup for an adult and a child's share of one: both stand on the sheet, at the stove and in the note. */
    @ParameterizedTest
    @CsvSource({"1280, 800, LIGHT", "390, 844, DARK"})
    void aCupForAChildAndOneForAnAdultComeFromOnePot(int width, int height, ColorScheme scheme) {
        Page page = browser.page(width, height, scheme, RunningServer.address());
        kept(
                page,
                "Hip pot\n2 tsp dried rosehips, crushed\n500 ml boiling water\nPour the water over the hips, steep 10 minutes, strain. Makes 2 cups.");
        button(page, "Somebody else").click();
        page.getByRole(AriaRole.DIALOG).getByText(Pattern.compile("^Ola")).click();
        Locator childs = button(page, "Drinks too, 1: Ola, \\d+ mL once a day");
        assertThat(childs).isVisible();
        String share = childs.innerText().replaceAll("(?s).*?(\\d+ mL).*", "$1");
        button(page, "Start now").waitFor();
        sound(page);
        page.keyboard().press("s");
        now(page).waitFor();
        String poured = "for Maren and " + share + " for Ola";
        while (!now(page).textContent().startsWith("Strain")) {
            String words = now(page).textContent();
            page.keyboard().press("Space");
            allIn(page);
            assertThat(now(page)).not().hasText(words);
        }
        assertThat(page.getByText(Pattern.compile("A cup of \\d+ mL " + poured)))
                .isVisible();
        throughByKeys(page);
        sound(page);
        assertThat(page.getByText(poured)).isVisible();
        button(page, "Keep the note").click();
        assertThat(button(page, "Change the note")).isVisible();
        sound(page);
    }

    /** What goes in unready is asked about once; what rests says until when. */
    @Test
    void aHerbThatIsNotReadyIsAskedAboutOnce() {
        Page page = browser.laptop();
        started(
                page,
                "Garlic and thyme\n2 cloves of garlic, crushed\n1 tsp dried thyme\n1 cup boiling water\nPour the water over them, steep 10 minutes, strain.");
        page.keyboard().press("Space");
        assertThat(now(page)).containsText("Let the garlic rest 10 min");
        page.keyboard().press("Space");
        assertThat(now(page)).containsText("Heat the kettle");
        assertThat(page.getByText(Pattern.compile("Garlic rests 10 min")).first())
                .isVisible();
        page.keyboard().press("Space");
        Locator asked = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Not ready yet"));
        assertThat(asked).containsText("thyme");
        assertThat(asked).containsText(Pattern.compile("garlic rests until \\d\\d:\\d\\d"));
        button(page, "Not yet").click();
        assertThat(asked).hasCount(0);
        assertThat(now(page)).containsText("Heat the kettle");
        page.keyboard().press("Space");
        button(page, "It goes in now").click();
        assertThat(now(page)).containsText("Pour");
    }

    /** A brew that waits is moved to another hour: the new one takes its place. */
    @Test
    void aBrewThatWaitsIsMoved() {
        Page page = browser.laptop();
        page.navigate("/choose");
        Browser.toSheet(page, "Caraway and anise");
        button(page, "^Ready at:").click();
        page.getByLabel("Ready at").last().fill("23:40");
        button(page, "Drink at").click();
        button(page, "Start at").click();
        assertThat(page.getByText("until it starts")).isVisible();
        String first = page.url();
        Browser.link(page, "Move or change it").click();
        button(page, "^Cups:").waitFor();
        button(page, "^Ready at:").click();
        page.getByLabel("Ready at").last().fill("23:10");
        button(page, "Drink at").click();
        button(page, "Start at").click();
        assertThat(page.getByText("until it starts")).isVisible();
        Assertions.assertThat(page.url()).isNotEqualTo(first);
        page.navigate(first);
        assertThat(page.getByText("until it starts")).hasCount(0);
    }
}
