package embercup.server.recipes;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The recipes of a saved page: those that it says of itself (schema.org Recipe, as JSON-LD or as microdata), else the lists and
 * paragraphs that it shows. Nothing of a page is run or fetched. Stateless.
 */
final class RecipePages {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String RECIPE = "Recipe";
    /** What of a page is not its text. */
    private static final String ASIDE =
            "script, style, noscript, nav, header, footer, aside, form, iframe, svg, button, [hidden]";
    /** A page that shows no list of at least so many lines says no recipe. */
    private static final int SHORTEST_LIST = 2;

    private RecipePages() {}

    /** In what form a recipe comes. */
    enum Kind {
        HTML,
        JSON_LD,
        TEXT
    }

    /**
     * A recipe as lines of text, its name first.
     *
     * @param own our own document of it, as it came
     */
    record Found(String text, Optional<JsonNode> own) {
        Found(String text) {
            this(text, Optional.empty());
        }
    }

    /** @param body in UTF-8; a page in what it says of itself */
    static List<Found> recipes(byte[] body, Kind kind) {
        String text = new String(body, StandardCharsets.UTF_8);
        return switch (kind) {
            case TEXT -> text.isBlank() ? List.of() : List.of(new Found(text));
            case JSON_LD -> jsonLd(text);
            case HTML -> html(page(body));
        };
    }

    private static Document page(byte[] body) {
        try {
            return Jsoup.parse(new ByteArrayInputStream(body), null, "");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<Found> html(Document page) {
        List<Found> found = new ArrayList<>();
        for (Element script : page.select("script[type*=ld+json]")) {
            found.addAll(jsonLd(script.data()));
        }
        if (found.isEmpty()) {
            for (Element item : page.select("[itemtype*=schema.org/Recipe]")) {
                add(found, microdata(item));
            }
        }
        if (found.isEmpty()) {
            add(found, shown(page));
        }
        return found;
    }

    private static void add(List<Found> found, String text) {
        if (!text.isBlank()) {
            found.add(new Found(text));
        }
    }

    // ---- JSON-LD

    private static List<Found> jsonLd(String json) {
        List<Found> found = new ArrayList<>();
        try {
            recipesIn(JSON.readTree(json), found);
        } catch (JacksonException e) {
            return List.of();
        }
        return found;
    }

    private static void recipesIn(JsonNode node, List<Found> found) {
        if (node.isArray()) {
            node.forEach(n -> recipesIn(n, found));
        } else if (node.isObject()) {
            if (isRecipe(node.path("@type"))) {
                String text = recipe(node);
                if (!text.isBlank()) {
                    found.add(new Found(
                            text, Optional.of(node.path(RecipeFiles.OWN)).filter(JsonNode::isObject)));
                }
            } else {
                recipesIn(node.path("@graph"), found);
                recipesIn(node.path("mainEntity"), found);
                recipesIn(node.path("itemListElement"), found);
                recipesIn(node.path("item"), found);
            }
        }
    }

    private static boolean isRecipe(JsonNode type) {
        if (type.isArray()) {
            for (JsonNode t : type) {
                if (isRecipe(t)) {
                    return true;
                }
            }
        }
        return type.isString() && type.asString().endsWith(RECIPE);
    }

    private static String recipe(JsonNode r) {
        List<String> lines = new ArrayList<>();
        texts(r.path("name"), lines);
        JsonNode ingredients = r.has("recipeIngredient") ? r.path("recipeIngredient") : r.path("ingredients");
        texts(ingredients, lines);
        List<String> yields = new ArrayList<>();
        texts(r.path("recipeYield"), yields);
        yields.stream()
                .filter(y -> y.chars().anyMatch(Character::isDigit))
                .limit(1)
                .forEach(y -> lines.add(makes(y)));
        steps(r.path("recipeInstructions"), lines);
        return ingredients.isMissingNode() && r.path("recipeInstructions").isMissingNode()
                ? ""
                : String.join("\n", lines);
    }

    /** "4" and "4 cups" say what it makes; "Serves 4" says so already. */
    private static String makes(String yield) {
        return Character.isDigit(yield.strip().charAt(0)) ? "Makes " + yield.strip() : yield.strip();
    }

    private static void steps(JsonNode node, List<String> lines) {
        if (node.isArray()) {
            node.forEach(n -> steps(n, lines));
        } else if (node.isObject()) {
            if (node.has("itemListElement")) {
                steps(node.path("itemListElement"), lines);
            } else {
                texts(node.has("text") ? node.path("text") : node.path("name"), lines);
            }
        } else {
            texts(node, lines);
        }
    }

    private static void texts(JsonNode node, List<String> lines) {
        if (node.isArray()) {
            node.forEach(n -> texts(n, lines));
        } else if (node.isString() || node.isNumber()) {
            plain(node.asString())
                    .lines()
                    .map(String::strip)
                    .filter(l -> !l.isEmpty())
                    .forEach(lines::add);
        }
    }

    /** A value may hold markup of its own, or entities. */
    private static String plain(String value) {
        return value.indexOf('<') < 0 && value.indexOf('&') < 0
                ? value
                : text(Jsoup.parseBodyFragment(value).body());
    }

    // ---- microdata, and what is shown

    private static String microdata(Element item) {
        Set<String> lines = new LinkedHashSet<>();
        item.select("[itemprop=name]").stream().limit(1).forEach(e -> lines.add(e.text()));
        item.select("[itemprop=recipeIngredient], [itemprop=ingredients]").forEach(e -> lines.add(e.text()));
        item.select("[itemprop=recipeYield]").stream()
                .map(e -> e.hasAttr("content") ? e.attr("content") : e.text())
                .filter(y -> y.chars().anyMatch(Character::isDigit))
                .limit(1)
                .forEach(y -> lines.add(makes(y)));
        item.select("[itemprop=recipeInstructions]")
                .forEach(e -> text(e).lines().forEach(lines::add));
        return String.join("\n", lines);
    }

    /** The heading, the lists and the paragraphs of what a page shows; empty when it shows no list. */
    private static String shown(Document page) {
        page.select(ASIDE).remove();
        Elements main = page.select("main, article, [role=main]");
        Element body = main.isEmpty() ? page.body() : main.first();
        if (body == null || body.select("li").size() < SHORTEST_LIST) {
            return "";
        }
        return text(body);
    }

    /** Block by block a line, as it would be pasted. */
    private static String text(Element element) {
        Element copy = element.clone();
        copy.select("br").after("\\n");
        copy.select("p, li, div, h1, h2, h3, h4, h5, h6, tr, dt, dd, section, ul, ol")
                .before("\\n")
                .after("\\n");
        return copy.text()
                .replace("\\n", "\n")
                .lines()
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .reduce((a, b) -> a + "\n" + b)
                .orElse("");
    }
}
