package embercup.server.recipes;

import embercup.core.brew.StageRun;
import embercup.core.kitchen.Burner;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.plan.Step;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.server.herbs.Herbary;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.Refusal;
import embercup.server.recipes.RecipeSheet.RecipeDraft;
import embercup.server.recipes.RecipeSheet.RecipeVersion;
import embercup.server.recipes.RecipeSheet.Segment;
import embercup.server.recipes.RecipeSheet.Thumb;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The household's recipes. */
@Service
public class Recipes {

    private static final int LONGEST_ABOUT = 600;

    private final RecipeRepository repository;
    private final JsonMapper json;
    private final VersionRepository versions;
    private final Herbary herbary;
    private final Clock clock;

    Recipes(RecipeRepository repository, VersionRepository versions, JsonMapper json, Herbary herbary, Clock clock) {
        this.repository = repository;
        this.json = json;
        this.versions = versions;
        this.herbary = herbary;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<RecipeSheet> all() {
        Planner planner = new Planner(herbary.materia());
        return repository.findAllByOrderByCreatedAt().stream()
                .map(e -> sheet(e, planner))
                .toList();
    }

    /** @throws Refusal 404 when there is none */
    @Transactional(readOnly = true)
    public RecipeSheet get(UUID id) {
        return sheet(entity(id));
    }

    /** The recipe alone, without its thumb, which costs a plan. @throws Refusal 404 when there is none */
    @Transactional(readOnly = true)
    public RecipeDoc doc(UUID id) {
        return json.readValue(entity(id).document, RecipeDoc.class);
    }

    /** @throws embercup.core.workings.InvalidInput when it cannot be brewed */
    @Transactional
    public RecipeSheet add(RecipeDraft draft) {
        RecipeEntity e = new RecipeEntity();
        e.id = Ids.next(clock.millis());
        e.createdAt = clock.instant();
        write(e, draft);
        return sheet(repository.saveAndFlush(e));
    }

    /** @throws Refusal 409 with the kept recipe when the version is not the newest */
    @Transactional
    public RecipeSheet change(UUID id, RecipeDraft draft) {
        RecipeEntity e = entity(id);
        Refusal.unlessNewest(draft.version(), e.version, "recipe", () -> sheet(e));
        keepVersion(e);
        write(e, draft);
        return sheet(repository.saveAndFlush(e));
    }

    @Transactional
    public void remove(UUID id) {
        repository.delete(entity(id));
    }

    /** What the recipe was before each change, the newest first. */
    @Transactional(readOnly = true)
    public List<RecipeVersion> versions(UUID id) {
        entity(id);
        return versions.findAllByRecipeIdOrderByVersionDesc(id).stream()
                .map(v -> new RecipeVersion(
                        v.version,
                        v.until,
                        v.about,
                        json.readValue(v.purposes, new TypeReference<List<String>>() {}),
                        json.readValue(v.document, RecipeDoc.class)))
                .toList();
    }

    private void keepVersion(RecipeEntity e) {
        VersionEntity v = new VersionEntity();
        v.id = Ids.next(clock.millis());
        v.recipeId = e.id;
        v.version = Objects.requireNonNullElse(e.version, 0L);
        v.name = e.name;
        v.about = e.about;
        v.purposes = e.purposes;
        v.document = e.document;
        v.until = clock.instant();
        versions.save(v);
    }

    private RecipeEntity entity(UUID id) {
        return repository.findById(id).orElseThrow(() -> Refusal.notFound("recipe", id));
    }

    private void write(RecipeEntity e, RecipeDraft draft) {
        RecipeDoc doc = Fields.need(draft.recipe(), "recipe", "a recipe");
        Recipe recipe = RecipeReading.read(doc, "recipe");
        new Planner(herbary.materia()).plan(PlanRequest.asWritten(recipe));
        List<String> purposes = draft.purposes() == null ? List.of() : draft.purposes();
        purposes.forEach(p -> Fields.text(p, "purposes", 40));
        e.name = recipe.name();
        e.tradition = Fields.code(recipe.tradition());
        e.about = Fields.textOrEmpty(draft.about(), "about", LONGEST_ABOUT);
        e.purposes = json.writeValueAsString(purposes);
        e.document = json.writeValueAsString(doc);
        e.updatedAt = clock.instant();
    }

    private RecipeSheet sheet(RecipeEntity e) {
        return sheet(e, new Planner(herbary.materia()));
    }

    private RecipeSheet sheet(RecipeEntity e, Planner planner) {
        RecipeDoc doc = json.readValue(e.document, RecipeDoc.class);
        List<String> purposes = json.readValue(e.purposes, new TypeReference<List<String>>() {});
        BrewPlan plan = planner.plan(PlanRequest.asWritten(RecipeReading.read(doc, "recipe")));
        return new RecipeSheet(
                e.id, Objects.requireNonNullElse(e.version, 0L), e.about, purposes, e.updatedAt, doc, thumb(plan));
    }

    /** The fire line as shares of the whole, for lists. */
    static Thumb thumb(BrewPlan plan) {
        double handsOn = plan.steps().stream()
                .filter(Step::handsOn)
                .mapToDouble(Step::durationS)
                .sum();
        double total = Math.max(1, plan.totalS());
        List<Segment> segments = plan.steps().stream()
                .filter(s -> s.stage() >= 0)
                .map(s -> segment(plan, s, total))
                .toList();
        return new Thumb(plan.totalS() / 60, handsOn / 60, segments);
    }

    private static Segment segment(BrewPlan plan, Step step, double totalS) {
        StageRun run = plan.stages().get(step.stage());
        boolean heating = step.kind().equals("heat");
        double watts = heating ? Burner.SMALL.highW() : watts(run.stage());
        long additions = step.key().endsWith(".heat") || run.heatS() == 0
                ? plan.additions().stream()
                        .filter(a -> a.stage() == step.stage())
                        .count()
                : 0;
        return new Segment(
                step.kind(),
                step.durationS() / totalS,
                watts / Burner.SMALL.highW(),
                heating || run.stage().lid(),
                (int) additions);
    }

    private static double watts(Stage stage) {
        return stage.onFlame().map(Burner.SMALL::watts).orElse(0.0);
    }
}
