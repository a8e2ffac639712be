package embercup.server.recipes;

import embercup.server.recipes.RecipeResponse.RecipeRequest;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/recipes")
class RecipesController {

    private final Recipes recipes;
    private final Proposals proposals;
    private final Readings readings;
    private final Starters starters;

    RecipesController(Recipes recipes, Proposals proposals, Readings readings, Starters starters) {
        this.recipes = recipes;
        this.proposals = proposals;
        this.readings = readings;
        this.starters = starters;
    }

    /** Stages for a recipe, from the plant parts of its herbs and its tradition. Keeps nothing. */
    @PostMapping("/propose")
    Proposals.ProposalResponse propose(@Valid @RequestBody Proposals.ProposeRequest ask) {
        return proposals.propose(ask);
    }

    /** A blend for an occasion from the herbs in the house. Keeps nothing. */
    @PostMapping("/blend")
    Proposals.BlendResponse blend(@Valid @RequestBody Proposals.BlendRequest ask) {
        return proposals.blend(ask);
    }

    /** Reads what somebody wrote; what is left open is asked, what nothing was made of is kept as a note. Keeps nothing. */
    @PostMapping("/read")
    WrittenResponse read(@Valid @RequestBody WrittenResponse.ReadRequest ask) {
        return readings.read(ask);
    }

    /** Reads the recipes of a saved page. Keeps nothing. */
    @PostMapping(path = "/import", consumes = MediaType.TEXT_HTML_VALUE)
    Readings.ImportResponse importPage(@RequestBody byte[] page) {
        return readings.imported(page, RecipePages.Kind.HTML);
    }

    /** Reads the recipes of structured data. Keeps nothing. */
    @PostMapping(path = "/import", consumes = "application/ld+json")
    Readings.ImportResponse importData(@RequestBody byte[] data) {
        return readings.imported(data, RecipePages.Kind.JSON_LD);
    }

    /** Reads a text as it was saved. Keeps nothing. */
    @PostMapping(path = "/import", consumes = MediaType.TEXT_PLAIN_VALUE)
    Readings.ImportResponse importText(@RequestBody byte[] text) {
        return readings.imported(text, RecipePages.Kind.TEXT);
    }

    /** What a recipe was before each change, the newest first. */
    @GetMapping("/{id}/versions")
    List<RecipeResponse.RecipeVersion> versions(@PathVariable UUID id) {
        return recipes.versions(id);
    }

    /** Pots for a household that has none yet. */
    @GetMapping("/starters")
    List<Starters.StarterResponse> starters() {
        return starters.pots();
    }

    /** What people reach for a cup for. */
    @GetMapping("/occasions")
    List<String> occasions() {
        return proposals.occasions();
    }

    @GetMapping
    List<RecipeResponse> recipes() {
        return recipes.all();
    }

    @GetMapping("/{id}")
    RecipeResponse recipe(@PathVariable UUID id) {
        return recipes.get(id);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    RecipeResponse addRecipe(@Valid @RequestBody RecipeRequest draft) {
        return recipes.add(draft);
    }

    @PutMapping("/{id}")
    RecipeResponse changeRecipe(@PathVariable UUID id, @Valid @RequestBody RecipeRequest draft) {
        return recipes.change(id, draft);
    }

    /** A favourite, and words of one's own: said of a recipe, not in it. */
    @PutMapping("/{id}/mine")
    RecipeResponse sayOfRecipe(@PathVariable UUID id, @Valid @RequestBody RecipeResponse.MineRequest draft) {
        return recipes.say(id, draft);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeRecipe(@PathVariable UUID id) {
        recipes.remove(id);
    }
}
