package embercup.server.recipes;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Planner;
import embercup.core.plan.Step;
import embercup.core.recipe.Recipe;
import embercup.core.words.Words;
import embercup.server.herbs.HouseMateria;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.QrCode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jsoup.nodes.DataNode;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A kept recipe for a friend: a page, structured data (schema.org Recipe) or a text that any reader understands, each with the recipe
 * whole in it, so that it comes back as it was.
 */
@Service
class RecipeFiles {

    /** Our own document beside schema.org's words: a name that other readers pass over. */
    static final String OWN = "emberCup";

    private static final String STYLE =
            "body{font:16px/1.5 serif;max-width:38em;margin:2em auto;padding:0 1em;color:#161d1a}"
                    + "h1{font-size:1.8em}h2{font-size:1.2em}li{margin:.2em 0}.minded{border-left:4px solid #7a5200;padding-left:.8em}";

    private final Recipes recipes;
    private final HouseMateria houseMateria;
    private final WholeRecipe whole;
    private final JsonMapper json;

    RecipeFiles(Recipes recipes, HouseMateria houseMateria, WholeRecipe whole, JsonMapper json) {
        this.recipes = recipes;
        this.houseMateria = houseMateria;
        this.whole = whole;
        this.json = json;
    }

    /**
     * A recipe in a link.
     *
     * @param path to be put behind the address of any kitchen
     * @param square the whole link as a square for a camera, rows of 1 and 0; missing when it is too long for one
     */
    record ShareResponse(String path, @Nullable List<String> square) {}

    /** @param origin address of this kitchen, as its page knows it */
    @Transactional(readOnly = true)
    public ShareResponse share(UUID id, String origin) {
        String path = "/recipe/new#" + whole.word(WholeRecipe.carried(recipes.get(id)));
        return new ShareResponse(
                path,
                path.length() > WholeRecipe.SMALL
                        ? null
                        : QrCode.of(origin + path).orElse(null));
    }

    /** What stands in all three, in order. */
    private record Said(
            RecipeResponse kept,
            String makes,
            String yields,
            List<String> herbs,
            List<String> steps,
            String taken,
            List<String> notes,
            List<String> minded,
            Duration length) {}

    private Said said(UUID id) {
        RecipeResponse kept = recipes.get(id);
        Materia materia = houseMateria.materia();
        Recipe recipe = RecipeFromDocument.read(kept.recipe(), "recipe");
        BrewPlan plan = new Planner(materia).plan(PlanRequest.asWritten(recipe));
        Words words = HouseWords.words();
        // A friend may be anybody: all that the recipe says itself, and what is said to anybody.
        List<String> minded = Stream.concat(
                        recipe.told().cautions().stream().map(Caution.RecipeSays::new),
                        new Care(materia)
                                .judge(plan, History.NONE).cautions().stream()
                                        .filter(c -> c.severity() != Severity.NOTE))
                .map(words::say)
                .distinct()
                .toList();
        return new Said(
                kept,
                words.sentence(
                        "recipe-file.makes", Map.of("cups", recipe.cups(), "size", words.shown(recipe.cupMl(), "mL"))),
                words.sentence("recipe-file.yield", Map.of("cups", recipe.cups())),
                plan.additions().stream()
                        .filter(PlannedAddition::measuredOut)
                        .map(a -> herb(words, a))
                        .toList(),
                // What is measured stands in the list already.
                plan.steps().stream()
                        .filter(s -> !(s instanceof Step.Prepare))
                        .map(s -> words.label(plan, s))
                        .toList(),
                recipe.posology().map(words::say).orElse(""),
                kept.recipe().beside().notes() == null
                        ? List.of()
                        : kept.recipe().beside().notes(),
                minded,
                Duration.ofSeconds(Math.round(plan.totalS())));
    }

    /** "2 tsp dandelion root, dried, sliced (7.0 g)". */
    private static String herb(Words words, PlannedAddition a) {
        return words.sentence(
                "recipe-file.herb",
                Map.of(
                        "measure",
                        words.measure(a),
                        "herb",
                        a.inHand().common(),
                        "formCode",
                        Fields.code(a.of().form()),
                        "grams",
                        words.shown(a.outG().best(), "g")));
    }

    // ---- text

    /** A text that a friend reads, and that our own reading takes back whole by its last word. */
    @Transactional(readOnly = true)
    public String text(UUID id) {
        Said s = said(id);
        List<String> lines = new ArrayList<>();
        lines.add(s.kept.recipe().name());
        lines.add("");
        lines.add(s.makes);
        lines.addAll(s.herbs);
        lines.add("");
        for (int i = 0; i < s.steps.size(); i++) {
            lines.add(i + 1 + ". " + s.steps.get(i));
        }
        paragraph(lines, "recipe-file.taken", s.taken.isEmpty() ? List.of() : List.of(s.taken));
        paragraph(lines, "recipe-file.notes", s.notes);
        paragraph(lines, "recipe-file.minded", s.minded);
        lines.add("");
        lines.add(whole.word(WholeRecipe.carried(s.kept)));
        return String.join("\n", lines) + "\n";
    }

    private static void paragraph(List<String> lines, String heading, List<String> of) {
        if (!of.isEmpty()) {
            lines.add("");
            lines.add(sentence(heading));
            lines.addAll(of);
        }
    }

    private static String sentence(String key) {
        return HouseWords.words().sentence(key, Map.of());
    }

    // ---- structured data

    @Transactional(readOnly = true)
    public String jsonLd(UUID id) {
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(data(said(id)));
    }

    private ObjectNode data(Said s) {
        ObjectNode node = json.createObjectNode();
        // Most readers expect the vocabulary as a plain string.
        node.put("@context", "https://schema.org");
        node.put("@type", "Recipe");
        node.put("name", s.kept.recipe().name());
        if (!s.kept.about().isEmpty()) {
            node.put("description", s.kept.about());
        }
        node.put("inLanguage", "en");
        node.put("recipeCategory", sentence("recipe-file.category"));
        node.put("recipeYield", s.yields);
        node.put("totalTime", s.length.toString());
        node.put("keywords", String.join(", ", s.kept.purposes()));
        ArrayNode herbs = node.putArray("recipeIngredient");
        s.herbs.forEach(herbs::add);
        ArrayNode steps = node.putArray("recipeInstructions");
        s.steps.forEach(text -> steps.addObject().put("@type", "HowToStep").put("text", text));
        // By its text: numbers as the wire writes them are none that a tree takes.
        node.set(OWN, json.readTree(json.writeValueAsString(WholeRecipe.carried(s.kept))));
        return node;
    }

    // ---- page

    @Transactional(readOnly = true)
    public String html(UUID id) {
        Said s = said(id);
        Document page = Document.createShell("");
        page.outputSettings().charset("UTF-8");
        page.child(0).attr("lang", "en");
        page.head().appendElement("meta").attr("charset", "utf-8");
        page.head()
                .appendElement("meta")
                .attr("name", "viewport")
                .attr("content", "width=device-width, initial-scale=1");
        page.title(String.valueOf(s.kept.recipe().name()));
        page.head().appendElement("style").appendChild(new DataNode(STYLE));
        // No end of a script can stand in it.
        String data = json.writeValueAsString(data(s)).replace("<", "\\u003c");
        page.head().appendElement("script").attr("type", "application/ld+json").appendChild(new DataNode(data));
        Element main = page.body().appendElement("main");
        main.appendElement("h1").text(String.valueOf(s.kept.recipe().name()));
        if (!s.kept.about().isEmpty()) {
            main.appendElement("p").text(s.kept.about());
        }
        main.appendElement("p").text(s.makes);
        list(main, "ul", s.herbs);
        list(main, "ol", s.steps);
        part(main, "recipe-file.taken", s.taken.isEmpty() ? List.of() : List.of(s.taken), "");
        part(main, "recipe-file.notes", s.notes, "");
        part(main, "recipe-file.minded", s.minded, "minded");
        return "<!doctype html>\n" + page.child(0).outerHtml() + "\n";
    }

    private static void part(Element main, String heading, List<String> lines, String name) {
        if (!lines.isEmpty()) {
            main.appendElement("h2").text(sentence(heading));
            lines.forEach(l -> main.appendElement("p").addClass(name).text(l));
        }
    }

    private static void list(Element main, String kind, List<String> lines) {
        Element list = main.appendElement(kind);
        lines.forEach(l -> list.appendElement("li").text(l));
    }

    /** Named after the recipe, in letters that every disk takes. */
    String name(UUID id, String suffix) {
        String name =
                Optional.ofNullable(recipes.doc(id).name()).orElse("recipe").toLowerCase(java.util.Locale.ROOT);
        String plain = java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return (plain.isEmpty() ? "recipe" : plain) + suffix;
    }
}
