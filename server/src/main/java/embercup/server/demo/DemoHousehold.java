package embercup.server.demo;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.server.brews.BrewRequest;
import embercup.server.brews.BrewResponse;
import embercup.server.brews.Brews;
import embercup.server.brews.EventRequest;
import embercup.server.kitchen.KitchenResponse.BurnerRequest;
import embercup.server.kitchen.KitchenResponse.VesselRequest;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.plans.StepLine;
import embercup.server.platform.Ids;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeResponse;
import embercup.server.recipes.RecipeResponse.RecipeRequest;
import embercup.server.recipes.Recipes;
import embercup.server.shelf.Shelf;
import embercup.server.shelf.Tin.TinRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Fills an empty database with a made-up household, through the same services a cook uses: every old brew of its notebook
 * was really planned and folded.
 */
@Component
@ConditionalOnProperty(name = "ember.demo", havingValue = "true")
class DemoHousehold implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(DemoHousehold.class);

    private final People people;
    private final Kitchens kitchens;
    private final Recipes recipes;
    private final Brews brews;
    private final Shelf shelf;
    private final JsonMapper json;
    private final Clock clock;
    private final TransactionTemplate transaction;

    DemoHousehold(
            People people,
            Kitchens kitchens,
            Recipes recipes,
            Brews brews,
            Shelf shelf,
            JsonMapper json,
            Clock clock,
            TransactionTemplate transaction) {
        this.people = people;
        this.kitchens = kitchens;
        this.recipes = recipes;
        this.brews = brews;
        this.shelf = shelf;
        this.json = json;
        this.clock = clock;
        this.transaction = transaction;
    }

    record Household(
            List<Person.PersonRequest> people,
            List<BurnerRequest> burners,
            List<VesselRequest> vessels,
            List<Stocked> shelf,
            List<Kept> recipes,
            List<Past> history,
            Running running) {}

    record Kept(String key, String about, List<String> purposes, RecipeDocument recipe) {}

    /**
     * @param pace how much longer each waiting step took than planned
     * @param kept whether a cup was poured and the rest put into a jar
     */
    record Past(
            String recipe,
            String drinker,
            int daysAgo,
            double hour,
            double pace,
            String strength,
            @Nullable Boolean kept,
            @JsonUnwrapped Told note) {}

    /** What she said of it. */
    record Told(
            int felt,
            int liking,
            String taste,
            String change,
            @Nullable String colour,
            @Nullable String clarity) {}

    /** A tin filled so many days ago. */
    record Stocked(
            String herb,
            String form,
            int daysAgo,
            @Nullable Double grams,
            String note,
            @Nullable String place) {}

    record Running(String recipe, String drinker, double startedHoursAgo) {}

    @Override
    public void run(ApplicationArguments args) throws Exception {
        if (!people.all().isEmpty() || !recipes.all().isEmpty()) {
            return;
        }
        Household household;
        try (var in = new ClassPathResource("demo/household.json").getInputStream()) {
            household = json.readValue(in, Household.class);
        }
        transaction.executeWithoutResult(status -> fill(household));
        LOG.debug(
                "Loaded the demo household: {} recipes, {} brews", household.recipes.size(), household.history.size());
    }

    private void fill(Household household) {
        Map<String, UUID> who = new HashMap<>();
        household.people.forEach(p -> who.put(p.name(), people.add(p).id()));
        household.burners.forEach(kitchens::addBurner);
        household.vessels.forEach(kitchens::addVessel);
        household.shelf.forEach(t -> shelf.put(new TinRequest(
                null,
                t.herb,
                t.form,
                LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()).minusDays(t.daysAgo),
                t.grams,
                t.note,
                t.place,
                null)));
        Map<String, RecipeResponse> pots = new HashMap<>();
        household.recipes.forEach(
                r -> pots.put(r.key, recipes.add(new RecipeRequest(null, r.about, r.purposes, r.recipe))));
        household.history.forEach(p -> past(p, Objects.requireNonNull(pots.get(p.recipe)), who.get(p.drinker)));
        Running r = household.running;
        Instant began = clock.instant().minus(Duration.ofMinutes(Math.round(r.startedHoursAgo * 60)));
        BrewResponse running = brew(Objects.requireNonNull(pots.get(r.recipe)), who.get(r.drinker), "standard", began);
        happen(running, 1, "steep");
    }

    private void past(Past p, RecipeResponse recipe, @Nullable UUID drinker) {
        Instant began = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault())
                .minusDays(p.daysAgo)
                .atStartOfDay(ZoneId.systemDefault())
                .toInstant()
                .plusSeconds(Math.round(p.hour * 3600));
        BrewResponse brew = brew(recipe, drinker, p.strength, began);
        Instant ended = happen(brew, p.pace, "");
        tell(brew.head().id(), new EventRequest.FinishedRequest(id(), age(ended)));
        if (Boolean.TRUE.equals(p.kept)) {
            tell(
                    brew.head().id(),
                    new EventRequest.PouredRequest(id(), age(ended), brew.cup().servingMl(), null));
            tell(brew.head().id(), new EventRequest.KeptRequest(id(), age(ended)));
        }
        Instant noted = ended.plus(Duration.ofMinutes(20));
        tell(
                brew.head().id(),
                new EventRequest.NotedRequest(
                        id(),
                        age(noted),
                        p.note.felt,
                        p.note.liking,
                        new EventRequest.Noticed(
                                p.note.taste, p.note.change, p.note.colour, p.note.clarity, null, null, null)));
    }

    private BrewResponse brew(RecipeResponse recipe, @Nullable UUID drinker, String strength, Instant began) {
        BrewResponse brew = brews.add(BrewRequest.ofRecipe(id(), recipe, strength, drinker, began));
        return tell(brew.head().id(), new EventRequest.StartedRequest(id(), age(began)));
    }

    /** Confirms the steps one after the other until one of a kind is running; answers when the last was done. */
    private Instant happen(BrewResponse brew, double pace, String untilKind) {
        Instant began = Objects.requireNonNull(brew.clock().startedAt());
        Instant clockOfBrew = began;
        for (StepLine step : brew.plan().brewing().steps()) {
            if (step.kind().equals(untilKind)) {
                break;
            }
            StepLine.Span span = step.span();
            double took = span.durationS() * (span.handsOn() ? 1 : pace);
            if (!span.aside()) {
                clockOfBrew = clockOfBrew.plusMillis(Math.round(took * 1000));
            }
            Instant done = span.aside() ? began.plusMillis(Math.round((span.startS() + took) * 1000)) : clockOfBrew;
            tell(brew.head().id(), new EventRequest.StepDoneRequest(id(), age(done), step.key(), null));
        }
        return clockOfBrew;
    }

    private BrewResponse tell(UUID brew, EventRequest event) {
        return brews.record(brew, event).orElseThrow();
    }

    private UUID id() {
        return Ids.next(clock.millis());
    }

    private double age(Instant at) {
        return Math.max(0, Duration.between(at, clock.instant()).toMillis() / 1000.0);
    }
}
