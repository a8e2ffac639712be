package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;
import static embercup.journeys.Browser.link;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Somebody who never saw it gets three usual pots right, from what is written and by hand, on the laptop and on the phone. */
class NewcomersTest {

    @RegisterExtension
    final Browser browser = new Browser();

    /** Every click, and every field typed into, counts one; the count outlives a page. */
    private static final String COUNTER = """
            let typed = null;
            const one = () => sessionStorage.setItem('did', 1 + Number(sessionStorage.getItem('did') ?? 0));
            const field = (e) => e.target.closest('input:not([type=checkbox]),textarea,select');
            addEventListener('click', (e) => { if (!field(e)) { typed = null; one(); } }, true);
            addEventListener('pointerdown', (e) => { if (e.target.closest('[role=option]')) { typed = null; one(); } }, true);
            addEventListener('input', (e) => { if (field(e) && typed !== e.target) { typed = e.target; one(); } }, true);
            """;

    /** A click on what is found comes as its pointer, which is counted, and as its click. */
    private static void atMostTen(Page page) {
        Object did = page.evaluate("Number(sessionStorage.getItem('did'))");
        Assertions.assertThat(((Number) did).intValue())
                .as("clicks and fields from the empty page to the sheet")
                .isBetween(2, 10);
    }

    private Page counted(String device) {
        Page page = device.equals("phone") ? browser.phone() : browser.laptop();
        page.addInitScript(COUNTER);
        return page;
    }

    private static void paste(Page page, String text) {
        page.navigate("/choose");
        link(page, "Write a new recipe").click();
        page.getByLabel("A list, a method").fill(text);
        button(page, "Read it").click();
        page.getByText(Pattern.compile("mL strained")).waitFor();
    }

    private static Locator herbField(Page page, int n) {
        return page.getByRole(
                AriaRole.COMBOBOX,
                new Page.GetByRoleOptions().setName("Herb " + n).setExact(true));
    }

    private static void herb(Page page, int n, String typed, String named) {
        herbField(page, n).fill(typed);
        page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Herbs found"))
                .getByText(named, new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
    }

    private static void keep(Page page) {
        button(page, "Keep it").click();
        assertThat(page).hasURL(Pattern.compile("/sheet/"));
        // The address is ahead of the page: until the sheet is fetched the recipe stands there, with words of its own
        // like the
        // sheet's.
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setLevel(1).setName("A new recipe")))
                .hasCount(0);
    }

    private static void field(Page page, String word, String label, String value) {
        button(page, "^" + word + ":").click();
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
        page.keyboard().press("Escape");
    }

    // ---- (a) fresh ginger and turmeric for two, with honey

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void gingerAndTurmericForTwoFromAText(String device) {
        Page page = counted(device);
        paste(page, """
                Ginger and turmeric for two
                a thumb of fresh ginger
                1 inch of fresh turmeric, sliced
                2 cups of water
                Simmer both for 10 minutes with the lid on, strain, and stir in 1 tsp honey per cup.
                """);
        keep(page);
        assertThat(page.getByText("1 thumb").first()).isVisible();
        assertThat(page.getByText("1 inch").first()).isVisible();
        assertThat(page.getByText("1 tsp to each cup").first()).isVisible();
        assertThat(button(page, "^Cups: 2 cups")).isVisible();
        assertThat(button(page, "Start now")).isVisible();
        atMostTen(page);
    }

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void gingerAndTurmericForTwoByHand(String device) {
        Page page = counted(device);
        page.navigate("/recipe/new");
        herb(page, 1, "1 inch fresh ginger", "Ginger");
        assertThat(button(page, "^Amount of herb 1: 1 inch")).isVisible();
        assertThat(button(page, "^Form of herb 1: fresh")).isVisible();
        herb(page, 2, "1 inch fresh turmeric", "Turmeric");
        assertThat(button(page, "^Form of herb 2: fresh")).isVisible();
        herb(page, 3, "honey", "Honey");
        assertThat(button(page, "^Herb 3: honey")).isVisible();
        button(page, "Propose the stages").click();
        assertThat(button(page, "^Stage 1: bring to the boil")).isVisible();
        keep(page);
        assertThat(page.getByText("Ginger, turmeric and honey").first()).isVisible();
        assertThat(page.getByText(Pattern.compile("into the cup below 40")).first())
                .isAttached();
        atMostTen(page);
    }

    // ---- (b) one cup of dried chamomile in a tea ball

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void aCupOfChamomileFromAText(String device) {
        Page page = counted(device);
        paste(page, """
                1 heaped teaspoon of dried chamomile in a tea ball
                1 mug of boiling water
                Pour the water over it, cover, 6 minutes, take out the tea ball.
                """);
        keep(page);
        assertThat(page.getByText("1½ tsp").first()).isVisible();
        assertThat(button(page, "^Cups: 1 cup")).isVisible();
        atMostTen(page);
    }

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void aCupOfChamomileFromItsPage(String device) {
        Page page = counted(device);
        page.navigate("/herbs?words=kamille");
        link(page, "Chamomile flower").click();
        link(page, "Brew this").click();
        page.getByText(Pattern.compile("mL strained")).waitFor();
        keep(page);
        assertThat(page.getByText("A cup of chamomile flower").first()).isVisible();
        atMostTen(page);
    }

    // ---- (c) an overnight jar of marshmallow root

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void anOvernightJarFromAText(String device) {
        Page page = counted(device);
        paste(
                page,
                "I put four spoons of dried marshmallow root into a jar with a litre of cold water overnight and strain it in the morning.");
        assertThat(page.getByText("How long?")).isVisible();
        button(page, "^10 h$").click();
        assertThat(button(page, "^Stage 1: stand cold 10 h")).isVisible();
        assertThat(button(page, "^Amount of herb 1: 4 tbsp")).isVisible();
        keep(page);
        assertThat(page.getByText(Pattern.compile(
                        "cut to 3.0 g a cup instead of 6.0 g, which would be 18.0 g a day: at most 9.0 g a day")))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("stand 10 h")).first()).isAttached();
        atMostTen(page);
    }

    @ParameterizedTest
    @ValueSource(strings = {"laptop", "phone"})
    void anOvernightJarByHand(String device) {
        Page page = counted(device);
        page.navigate("/recipe/new");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Night jar");
        herb(page, 1, "malvavisco", "Marshmallow root");
        button(page, "^The first stage").click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("stand in cold water"))
                .click();
        field(page, "Stage 1", "Minutes", "480");
        assertThat(button(page, "^Stage 1: stand cold 8 h")).isVisible();
        keep(page);
        assertThat(page.getByText("Night jar").first()).isVisible();
        atMostTen(page);
    }

    // ---- what is asked

    @Test
    void aQuestionIsAnsweredAtItsLineAndWhatWasChangedByHandStays() {
        Page page = browser.laptop();
        paste(page, """
                Grey harbour pot
                1 cinnamon stick
                2 tbsp dried burdock root
                2 tsp moonwort
                3 cups water
                Bring to a boil, simmer for 20 minutes, strain. Sung to twice.
                """);
        Locator read = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What was read"));
        assertThat(read).containsText("“moonwort” is not known here. What is it?");
        assertThat(read).containsText("Kept as a note: “Sung");
        field(page, "Amount of herb 2", "Amount", "3");
        button(page, "^true cinnamon$").click();
        assertThat(button(page, "^Herb 1: true cinnamon")).isVisible();
        assertThat(button(page, "^Amount of herb 2: 3 tbsp")).isVisible();
        button(page, "^Undo$").click();
        assertThat(button(page, "^Herb 1: cassia cinnamon")).isVisible();
        keep(page);
        assertThat(page.getByText(Pattern.compile("Notes: .*Sung to twice")).first())
                .isVisible();
    }

    @Test
    void whichOfTwoWatersIsMeantIsDecidedOnTheSheetByOneTap() {
        Page page = browser.phone();
        paste(page, """
                Two waters
                2 tbsp dried burdock root
                6 cups of water
                Simmer for 10 minutes, strain. Makes 2 cups.
                """);
        keep(page);
        Locator contradiction = page.getByText(Pattern.compile("Decide which one is meant"));
        assertThat(contradiction).isVisible();
        button(page, "^The cups are meant").click();
        assertThat(contradiction).isHidden();
        assertThat(page.getByText("decided which is meant")).isVisible();
        button(page, "^take back$").click();
        assertThat(contradiction).isVisible();
        button(page, "^The water is meant: [56] cups of 2\\d\\d mL").click();
        assertThat(contradiction).isHidden();
        assertThat(button(page, "^Cups: [56] cups")).isVisible();
    }

    @Test
    void theWordsOfARecipeAreOpenedAndChangedWithKeysAlone() {
        Page page = browser.laptop();
        paste(
                page,
                "Quiet cup\n1 tsp dried linden\n1 cup boiling water\nPour the water over it, steep 8 minutes, strain.");
        button(page, "^Stage 2: steep 8 min").focus();
        page.keyboard().press("Enter");
        page.getByLabel("Minutes", new Page.GetByLabelOptions().setExact(true)).focus();
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type("11");
        page.keyboard().press("Escape");
        assertThat(button(page, "^Stage 2: steep 11 min")).isFocused();
        ScreensTest.accessible(page, "the recipe as it is read");
    }

    @Test
    void aPageThatSaysNoRecipeIsRefusedWithWords() {
        Page page = browser.laptop();
        page.navigate("/recipe/new");
        page.getByLabel("A saved page or text")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "boats.html", "text/html", "<p>Boats.</p><script>document.title='x'</script>".getBytes()));
        assertThat(page.getByText("No recipe was found in it")).isVisible();
        page.getByLabel("A saved page or text")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "pot.html",
                        "text/html",
                        ("<script type='application/ld+json'>{\"@type\":\"Recipe\",\"name\":\"Quay pot\",\"recipeIngredient\":[\"2 tbsp dried burdock root\",\"3 cups water\"],"
                                        + "\"recipeInstructions\":\"Simmer 20 minutes. Strain.\"}</script>")
                                .getBytes()));
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Quay pot");
    }
}
