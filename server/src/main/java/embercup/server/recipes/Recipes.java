package embercup.server.recipes;

import embercup.core.brew.StageRun;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.plan.Step;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.HerbUses;
import embercup.server.herbs.HouseMateria;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.RecipeResponse.RecipeRequest;
import embercup.server.recipes.RecipeResponse.RecipeVersion;
import embercup.server.recipes.RecipeResponse.Segment;
import embercup.server.recipes.RecipeResponse.Thumb;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The household's recipes. */
@Service
public class Recipes implements HerbUses {

    private static final Logger LOG = LoggerFactory.getLogger(Recipes.class);

    private final RecipeRepository repository;
    private final JsonMapper json;
    private final KeptRecipes kept;
    private final VersionRepository versions;
    private final HouseMateria houseMateria;
    private final Clock clock;

    Recipes(
            RecipeRepository repository,
            VersionRepository versions,
            JsonMapper json,
            KeptRecipes kept,
            HouseMateria houseMateria,
            Clock clock) {
        this.repository = repository;
        this.json = json;
        this.kept = kept;
        this.versions = versions;
        this.houseMateria = houseMateria;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<RecipeResponse> all() {
        return repository.findAllByOrderByCreatedAtAscIdAsc().stream()
                .flatMap(e -> readable(e).stream())
                .toList();
    }

    /** Reads every recipe and every earlier version of one. @throws RuntimeException for the first that cannot be read */
    @Transactional(readOnly = true)
    public void readAll() {
        repository.findAllByOrderByCreatedAtAscIdAsc().forEach(this::sheet);
        versions.findAll().forEach(v -> {
            json.readValue(v.purposes, new TypeReference<List<String>>() {});
            kept.read(v.document);
        });
    }

    /** Empty, and said in the log, for a row that cannot be read: it stays where it is and fails no list. */
    private Optional<RecipeResponse> readable(RecipeEntity e) {
        try {
            return Optional.of(sheet(e));
        } catch (JacksonException | IllegalArgumentException unreadable) {
            LOG.warn("The recipe {} cannot be read: {}", e.id, unreadable.getMessage());
            return Optional.empty();
        }
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> usesOf(String slug) {
        String herb = json.writeValueAsString(List.of(Map.of("herb", slug)));
        return repository.namesWith(herb).stream()
                .map(n -> HouseWords.words().sentence("use.recipe", Map.of("name", n)))
                .toList();
    }

    /** @throws RefusedException 404 when there is none */
    @Transactional(readOnly = true)
    public RecipeResponse get(UUID id) {
        return sheet(entity(id));
    }

    /** The recipe alone, without its thumb, which costs a plan. @throws RefusedException 404 when there is none */
    @Transactional(readOnly = true)
    public RecipeDocument doc(UUID id) {
        return kept.read(entity(id).document);
    }

    /** @throws embercup.core.workings.InvalidInputException when it cannot be brewed */
    @Transactional
    public RecipeResponse add(RecipeRequest draft) {
        RecipeEntity e = new RecipeEntity();
        e.id = Ids.next(clock.millis());
        e.createdAt = clock.instant();
        write(e, draft);
        return sheet(repository.saveAndFlush(e));
    }

    /** @throws RefusedException 409 with the kept recipe when the version is not the newest */
    @Transactional
    public RecipeResponse change(UUID id, RecipeRequest draft) {
        RecipeEntity e = entity(id);
        RefusedException.unlessNewest(draft.version(), e.version, "recipe", () -> sheet(e));
        keepVersion(e);
        write(e, draft);
        return sheet(repository.saveAndFlush(e));
    }

    /** What the household says of it for itself; the recipe and its version stay as they are. */
    @Transactional
    public RecipeResponse say(UUID id, RecipeResponse.MineRequest draft) {
        RecipeEntity e = entity(id);
        if (draft.favourite() != null) {
            e.favourite = draft.favourite();
        }
        if (draft.words() != null) {
            e.words = json.writeValueAsString(draft.words().stream()
                    .map(w -> Fields.text(w, "words", Length.PURPOSE))
                    .distinct()
                    .toList());
        }
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
                        kept.read(v.document)))
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
        return repository.findById(id).orElseThrow(() -> RefusedException.notFound("recipe", id));
    }

    private void write(RecipeEntity e, RecipeRequest draft) {
        RecipeDocument doc = Fields.need(draft.recipe(), "recipe", Need.RECIPE);
        Recipe recipe = RecipeFromDocument.read(doc, "recipe");
        BrewPlan plan = new Planner(houseMateria.materia()).plan(PlanRequest.asWritten(recipe));
        List<String> purposes = draft.purposes() == null ? List.of() : draft.purposes();
        purposes.forEach(p -> Fields.text(p, "purposes", Length.PURPOSE));
        e.name = recipe.name();
        e.tradition = Fields.code(recipe.tradition());
        e.about = Fields.textOrEmpty(draft.about(), "about", Length.ABOUT);
        e.purposes = json.writeValueAsString(purposes);
        e.document = kept.write(doc);
        e.thumb = json.writeValueAsString(thumb(plan));
        e.updatedAt = clock.instant();
    }

    private RecipeResponse sheet(RecipeEntity e) {
        RecipeDocument doc = kept.read(e.document);
        List<String> purposes = json.readValue(e.purposes, new TypeReference<List<String>>() {});
        Thumb thumb = e.thumb == null ? planned(doc) : json.readValue(e.thumb, Thumb.class);
        return new RecipeResponse(
                e.id,
                Objects.requireNonNullElse(e.version, 0L),
                e.about,
                purposes,
                e.updatedAt,
                doc,
                thumb,
                new RecipeResponse.Mine(e.favourite, json.readValue(e.words, new TypeReference<List<String>>() {})));
    }

    /** The thumb of a recipe that was kept by an earlier version; an empty one when it cannot be planned any more. */
    private Thumb planned(RecipeDocument doc) {
        try {
            Recipe recipe = RecipeFromDocument.read(doc, "recipe");
            return thumb(new Planner(houseMateria.materia()).plan(PlanRequest.asWritten(recipe)));
        } catch (InvalidInputException | IllegalArgumentException e) {
            LOG.warn("A kept recipe cannot be planned: {}", e.getMessage());
            return new Thumb(0, 0, List.of());
        }
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
        return new Thumb(plan.readyS() / 60, handsOn / 60, segments);
    }

    private static Segment segment(BrewPlan plan, Step step, double totalS) {
        StageRun run = plan.stages().get(step.stage());
        double most = plan.request().kitchen().burner().highW();
        boolean goIn = step instanceof Step.HeatUp || run.heatS() == 0;
        long additions = goIn
                ? plan.additions().stream()
                        .filter(a -> a.stage() == step.stage())
                        .count()
                : 0;
        return new Segment(
                step.code(),
                step.durationS() / totalS,
                step.heats() ? 1 : step.fire().watts() / most,
                step.heats() || run.stage().lid(),
                (int) additions);
    }
}
