package embercup.server.plans;

import embercup.core.care.Care;
import embercup.core.care.History;
import embercup.core.care.WayOut;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Materia;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.plan.Taking;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.workings.InvalidInputException;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.plans.PlanResponse.WayLine;
import embercup.server.platform.HouseWords;
import embercup.server.recipes.RecipeDocument;
import embercup.server.recipes.RecipeFromDocument;
import embercup.server.recipes.RecipeResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What can be done about the stops of one plan in this household: by the herbs, by the pot, by the drinker. Every way by pot
 * or drinker was planned and judged before it is offered.
 */
final class WaysOut {

    private final Materia materia;
    private final Planner planner;
    private final Care care;
    private final PlanRequest request;
    private final History history;
    private final List<History> othersHistories;

    /**
     * @param history of the drinker
     * @param othersHistories of those who drink of the pot beside her, in their order
     */
    WaysOut(Materia materia, PlanRequest request, History history, List<History> othersHistories) {
        this.materia = materia;
        this.planner = new Planner(materia);
        this.care = new Care(materia);
        this.request = request;
        this.history = history;
        this.othersHistories = othersHistories;
    }

    List<WayLine> of(
            BrewPlan plan,
            Care.Verdict verdict,
            @Nullable UUID drinkerId,
            Kitchens kitchens,
            People people,
            Plans.Day day,
            Instant start,
            List<RecipeResponse> alike) {
        List<WayLine> ways = new ArrayList<>();
        List<WayOut> byHerbs = WayOut.of(materia, plan, verdict, history);
        byHerbs.stream().filter(w -> !(w instanceof WayOut.Prescribed)).forEach(w -> ways.add(PlanToResponse.way(w)));
        if (stops(verdict, "vessel-too-small")) {
            otherVessels(ways, plan, kitchens.vesselsById());
            fewerCups().ifPresent(ways::add);
        }
        if (stops(verdict, "not-on-a-flame")) {
            pots(ways, kitchens.vesselsById());
        }
        if (stops(verdict, "boils-dry")) {
            lid().ifPresent(ways::add);
        }
        if (verdict.stopsOnlyThisDrinker()) {
            others(ways, drinkerId, people, day, start);
        }
        alike.stream()
                .filter(r -> suits(r.recipe()))
                .limit(MOST_OTHERS)
                .forEach(r -> ways.add(WayLine.otherRecipe(
                        r.id(),
                        said("way-out.other-recipe", Map.of("name", r.recipe().name())))));
        if (ways.isEmpty()) {
            ways.add(WayLine.anotherPot(said("way-out.another-pot", Map.of())));
        }
        // What only another can answer for stands last.
        byHerbs.stream().filter(WayOut.Prescribed.class::isInstance).forEach(w -> ways.add(PlanToResponse.way(w)));
        return ways;
    }

    /** Whether everybody who would drink of this pot may drink of another recipe, and nobody is asked to take care. */
    private boolean suits(RecipeDocument other) {
        try {
            PlanRequest asWritten = PlanRequest.asWritten(RecipeFromDocument.read(other, "recipe"))
                    .withDrinker(request.drinker())
                    .withKitchen(request.kitchen())
                    .withTaking(new Taking(
                            OptionalDouble.empty(),
                            OptionalInt.empty(),
                            request.taking().others()));
            BrewPlan plan = planner.plan(asWritten);
            return care.judge(plan, history).suitsDrinker() && othersMay(plan);
        } catch (InvalidInputException e) {
            return false;
        }
    }

    /** Whether nobody beside the drinker is stopped, each with her own days. */
    private boolean othersMay(BrewPlan then) {
        List<Taking.Sharer> sharers = then.request().taking().others();
        return IntStream.range(0, sharers.size())
                .noneMatch(i ->
                        care.judge(then, sharers.get(i), othersHistories.get(i)).stops());
    }

    /** What can be done when the pot is stopped for somebody who drinks of it beside the drinker: for everybody at once, or not for her. */
    List<WayLine> ofOthers(BrewPlan plan, List<Plans.Other> others) {
        List<WayLine> ways = new ArrayList<>();
        for (int i = 0; i < others.size(); i++) {
            if (others.get(i).verdict().stops()) {
                ofSharer(plan, i, ways);
                ways.add(WayLine.notFor(
                        i, said("way-out.not-for", Map.of("name", others.get(i).name()))));
            }
        }
        return ways.stream().distinct().toList();
    }

    /** Other herbs, or without one, that suit her and everybody else. */
    private void ofSharer(BrewPlan plan, int sharer, List<WayLine> ways) {
        PlanRequest hers =
                request.withDrinker(request.taking().others().get(sharer).drinker());
        BrewPlan forHer = plan.forRequest(hers);
        History her = othersHistories.get(sharer);
        for (WayOut way : WayOut.of(materia, forHer, care.judge(forHer, her), her)) {
            if ((way instanceof WayOut.Replace || way instanceof WayOut.LeaveOut) && suitsAll(way)) {
                ways.add(PlanToResponse.way(way));
            }
        }
    }

    private boolean suitsAll(WayOut way) {
        BrewPlan then = planner.plan(WayOut.taken(materia, request, way));
        return !care.judge(then, history).stops() && othersMay(then);
    }

    /** At most so many others are named. */
    private static final int MOST_OTHERS = 2;

    /** Others of the household for whom it is free of any caution that a drinker brings. */
    private void others(List<WayLine> ways, @Nullable UUID drinkerId, People people, Plans.Day day, Instant start) {
        people.all().stream()
                .filter(other -> !other.id().equals(drinkerId))
                .filter(other -> care.judge(
                                planner.plan(request.withDrinker(people.drinker(other))),
                                day.history(other.id(), start))
                        .suitsDrinker())
                .limit(MOST_OTHERS)
                .forEach(other -> ways.add(
                        WayLine.forDrinker(other.id(), said("way-out.for-drinker", Map.of("name", other.name())))));
    }

    private static String said(String key, Map<String, ?> arguments) {
        return HouseWords.words().sentence(key, arguments);
    }

    private static boolean stops(Care.Verdict verdict, String code) {
        return verdict.stopping().stream().anyMatch(c -> c.code().equals(code));
    }

    private boolean starts(PlanRequest other, History of) {
        return !care.judge(planner.plan(other), of).stops();
    }

    /** Vessels of the same kind that hold it. */
    private void otherVessels(List<WayLine> ways, BrewPlan plan, Map<UUID, Vessel> vessels) {
        vessels.forEach((id, vessel) -> {
            PlanRequest in = request.withKitchen(request.kitchen().withVessel(vessel));
            if (vessel.kind() == plan.vessel().kind() && starts(in, history)) {
                ways.add(WayLine.inVessel(id, said("way-out.in-vessel", Map.of("name", vessel.name()))));
            }
        });
    }

    /** Pots that go on a flame and hold it. */
    private void pots(List<WayLine> ways, Map<UUID, Vessel> vessels) {
        vessels.forEach((id, vessel) -> {
            PlanRequest in = request.withKitchen(request.kitchen().withVessel(vessel));
            if (vessel.kind() == Vessel.Kind.POT && starts(in, history)) {
                ways.add(WayLine.inVessel(id, said("way-out.in-vessel", Map.of("name", vessel.name()))));
            }
        });
    }

    /** As many whole cups as the vessel takes. */
    private Optional<WayLine> fewerCups() {
        for (int cups = (int) Math.ceil(request.cups()) - 1; cups >= 1; cups--) {
            if (starts(request.withCups(cups), history)) {
                return Optional.of(WayLine.ofCups(cups, HouseWords.words().say((WayOut) new WayOut.FewerCups(cups))));
            }
        }
        return Optional.empty();
    }

    /** The first open boil or simmer that does not run dry under a lid. */
    private Optional<WayLine> lid() {
        Recipe recipe = request.recipe();
        for (int i = 0; i < recipe.stages().size(); i++) {
            Stage stage = recipe.stages().get(i);
            List<Stage> stages = new ArrayList<>(recipe.stages());
            stages.set(i, stage.covered());
            if (!stage.lid()
                    && stage.covered().lid()
                    && starts(request.withRecipe(recipe.withStages(stages)), history)) {
                return Optional.of(WayLine.covered(i, said("way-out.covered", Map.of())));
            }
        }
        return Optional.empty();
    }
}
