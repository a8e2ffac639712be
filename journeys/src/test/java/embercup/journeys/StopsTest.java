package embercup.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static embercup.journeys.Browser.button;

import com.microsoft.playwright.Page;
import embercup.server.RunningServer;
import embercup.server.RunningServer.Answer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Each kind of stop, as the cook meets it: why, no way to start, a way out, and then the pot starts. */
@ExtendWith(RunningServer.class)
class StopsTest {

    private static final String INFUSED =
            "{\"kind\":\"pour\"},{\"kind\":\"steep\",\"minutes\":8},{\"kind\":\"strain\"}";
    private static final String ROOT = "{\"herb\":\"burdock\",\"amount\":6,\"unit\":\"g\",\"stage\":0}";

    @RegisterExtension
    final Browser browser = new Browser();

    private static String herb(String slug, double grams) {
        return "{\"herb\":\"%s\",\"amount\":%s,\"unit\":\"g\",\"stage\":0}".formatted(slug, grams);
    }

    /** A kept recipe of two cups. @return its id */
    private static String recipe(String herbs, String stages, String more) {
        Answer kept = RunningServer.post(
                "/api/recipes",
                "{\"recipe\":{\"name\":\"A pot with a stop\",\"cups\":2,\"cupMl\":240,\"additions\":[%s],\"stages\":[%s]%s}}"
                        .formatted(herbs, stages, more));
        Assertions.assertThat(kept.code()).as(kept.body().toString()).isEqualTo(201);
        return kept.body().get("id").asString();
    }

    private static String person(String name, String more) {
        Answer kept = RunningServer.post("/api/people", "{\"name\":\"%s\"%s}".formatted(name, more));
        Assertions.assertThat(kept.code()).as(kept.body().toString()).isEqualTo(201);
        return "who=" + kept.body().get("id").asString();
    }

    private static String vessel(String name) {
        for (JsonNode v : RunningServer.get("/api/kitchen").body().get("vessels")) {
            if (v.get("name").asString().equals(name)) {
                return "in=" + v.get("id").asString();
            }
        }
        throw new AssertionError("no vessel " + name);
    }

    /** Opens the sheet, reads the stop, cannot start it, takes the way out, can start it. */
    private static void stopped(Page page, String recipe, String order, String why, String way) {
        page.navigate("/sheet/" + recipe + "?" + order);
        assertThat(page.getByText("This must not be brewed as ordered")).isVisible();
        assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.LISTITEM)
                        .filter(new com.microsoft.playwright.Locator.FilterOptions()
                                .setHasText(Pattern.compile("^Stop")))
                        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText(Pattern.compile(why)))
                        .first())
                .isVisible();
        assertThat(button(page, "^Start")).hasCount(0);
        button(page, way).click();
        // What other tests took of the tins may be asked about before it.
        assertThat(button(page, "^Start now|^I have checked")).isVisible();
    }

    @Test
    void anAllergyAConditionAndAnAgeAreSolvedByTheHerbOrTheDrinker() {
        Page page = browser.laptop();
        String gull =
                person("Gull", ",\"ageYears\":30,\"conditions\":[\"daisy-allergy\"],\"allergies\":[\"lavender\"]");
        String calm = recipe(herb("chamomile", 3) + "," + herb("linden", 3), INFUSED, "");
        stopped(page, calm, gull, "Chamomile", "^Take lemon balm");
        String purple = recipe(herb("lavender", 1) + "," + herb("linden", 3), INFUSED, "");
        stopped(page, purple, gull, "allergic to lavender", "^Leave the lavender");
        String liv = person("Liv", ",\"ageYears\":33,\"conditions\":[\"pregnant\"]");
        String red = recipe(herb("hibiscus", 3) + "," + herb("linden", 3), INFUSED, "");
        stopped(page, red, liv, "pregnancy", "^Leave the hibiscus");
        String tim = person("Tim", ",\"ageYears\":1,\"weightKg\":10");
        stopped(page, red, tim, "under two years", "^Make it for Maren");
        String una = person("Una", ",\"ageYears\":9,\"weightKg\":30");
        stopped(page, red, una, "not for anybody under 12", "^Leave the hibiscus");
    }

    @Test
    void aLimitOfTheDayAPoisonAndSpiritAreSolvedByTheRecipe() {
        Page page = browser.laptop();
        String sage = recipe(herb("sage", 9), INFUSED, "");
        stopped(page, sage, "cups=4", "thujone", "^Make \\d cups? only|^Take only");
        String comfrey = recipe(herb("comfrey", 3) + "," + herb("linden", 3), INFUSED, "");
        stopped(page, comfrey, "", "Comfrey|pyrrolizidine|liver", "^Leave the comfrey");
        String drops = recipe(
                herb("linden", 60),
                "{\"kind\":\"macerate\",\"minutes\":40320},{\"kind\":\"strain\"}",
                ",\"menstruum\":\"spirit\",\"alcoholPercent\":40");
        String ada = person("Ada", ",\"ageYears\":29,\"conditions\":[\"breastfeeding\"]");
        stopped(page, drops, ada, "alcohol|spirit", "^Draw it with glycerin");
    }

    @Test
    void aPotThatIsTooSmallOrBoilsDryIsSolvedByThePotAndTheLid() {
        Page page = browser.laptop();
        String simmered = recipe(
                ROOT,
                "{\"kind\":\"heat\"},{\"kind\":\"simmer\",\"minutes\":20,\"lid\":true},{\"kind\":\"strain\"}",
                "");
        stopped(page, simmered, "cups=8&" + vessel("small steel pot"), "Take a larger one", "^Make it in the");
        stopped(page, simmered, "cups=8&" + vessel("small steel pot"), "Take a larger one", "^Make \\d cups? only");
        String dry = recipe(
                ROOT,
                "{\"kind\":\"heat\"},{\"kind\":\"simmer\",\"minutes\":70,\"lid\":false},{\"kind\":\"strain\"}",
                ",\"pourMl\":420");
        stopped(page, dry, "", "boil dry", "^Keep the lid on");
    }
}
