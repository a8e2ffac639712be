package embercup.server.learned;

import embercup.core.dose.Taste;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.live.LiveBrew;
import embercup.core.live.StoveFit;
import embercup.core.plan.BrewPlan;
import embercup.core.workings.Length;
import embercup.server.kitchen.Kitchens;
import embercup.server.notebook.Notebook;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Ids;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fits the stove and the tastes from what was measured and noted since they were last forgotten. */
@Service
public class Learned {

    private final ObservationRepository observations;
    private final SwitchRepository switches;
    private final Notebook notebook;
    private final Kitchens kitchens;
    private final Clock clock;

    Learned(
            ObservationRepository observations,
            SwitchRepository switches,
            Notebook notebook,
            Kitchens kitchens,
            Clock clock) {
        this.observations = observations;
        this.switches = switches;
        this.notebook = notebook;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /** A stove: one burner under one vessel of the household. */
    public record StoveKey(UUID burnerId, UUID vesselId) {
        String what() {
            return "stove:" + burnerId + "|" + vesselId;
        }
    }

    /** Writes down what a brew that ended says of its stove; a brew that is ended again says it anew. */
    @Transactional
    public void observe(UUID brewId, StoveKey key, BrewPlan plan, LiveBrew live) {
        observations.deleteAllByBrewId(brewId);
        Burner used = plan.request().kitchen().burner();
        Burner own = kitchens.burnersById().getOrDefault(key.burnerId, used);
        for (StoveFit.Observation o : StoveFit.observed(plan, live)) {
            ObservationEntity e = new ObservationEntity();
            e.id = Ids.next(clock.millis());
            e.brewId = brewId;
            e.burnerId = key.burnerId;
            e.vesselId = key.vesselId;
            e.kind = Fields.code(o.kind());
            e.ratio = o.ratio() * fitted(o.kind(), used, own);
            e.at = live.readyAt().orElse(clock.instant());
            observations.save(e);
        }
    }

    /** The plan may have counted with a fitted burner already; what is kept is always against the burner's own figures. */
    private static double fitted(StoveFit.Kind kind, Burner used, Burner own) {
        return kind == StoveFit.Kind.HEATING ? used.highW() / own.highW() : used.mediumW() / own.mediumW();
    }

    /** Takes back what a brew said: its end was undone. */
    @Transactional
    public void forgetBrew(UUID brewId) {
        observations.deleteAllByBrewId(brewId);
    }

    /** What is known of a burner under a vessel. */
    public record Stove(StoveFit fit, LearnedResponse sheet) {}

    /** Empty when nothing was measured since it was forgotten. */
    @Transactional(readOnly = true)
    public Optional<Stove> stove(StoveKey key, Burner burner, String vessel, double boilingC) {
        Optional<SwitchEntity> s = switches.findById(key.what());
        List<StoveFit.Observation> all = observations
                .findAllByBurnerIdAndVesselIdAndAtAfterOrderByAtAscIdAsc(
                        key.burnerId, key.vesselId, s.map(x -> x.since).orElse(Instant.EPOCH))
                .stream()
                .map(o -> new StoveFit.Observation(Fields.oneOf(StoveFit.Kind.class, o.kind, "kind"), o.ratio))
                .toList();
        StoveFit fit = StoveFit.of(all);
        if (fit.measurements() == 0) {
            return Optional.empty();
        }
        Burner as = fit.applied(burner);
        double mlPerMin = as.mediumW() / Water.latentHeatJPerG(boilingC) * 60;
        String words = HouseWords.words()
                .sentence(
                        "learned.stove",
                        Map.of(
                                "burner",
                                burner.name(),
                                "vessel",
                                vessel,
                                "ml",
                                Math.round(mlPerMin),
                                "percent",
                                Math.round(as.highW() / burner.highW() * 100),
                                "n",
                                fit.measurements()));
        boolean used = s.map(x -> x.used).orElse(true);
        return Optional.of(new Stove(fit, new LearnedResponse(key.what(), words, fit.measurements(), used)));
    }

    /** Fewer notes than this say more of the day than of the taste (design value). */
    private static final int LEAST_NOTES = 3;

    /** A drinker's taste in a recipe. */
    public record Tasted(Taste taste, LearnedResponse sheet) {}

    /** Empty until enough was noted since it was forgotten. */
    @Transactional(readOnly = true)
    public Optional<Tasted> taste(UUID recipeId, UUID drinkerId, String drinkerName) {
        String what = "taste:" + recipeId + "|" + drinkerId;
        Optional<SwitchEntity> s = switches.findById(what);
        List<Taste.Note> notes =
                notebook.tasteNotes(recipeId, drinkerId, s.map(x -> x.since).orElse(Instant.EPOCH));
        Taste taste = Taste.of(notes);
        if (taste.notes() < LEAST_NOTES) {
            return Optional.empty();
        }
        String words = HouseWords.words()
                .sentence(
                        "learned.taste",
                        Map.of("name", drinkerName, "percent", Math.round(taste.factor() * 100), "n", taste.notes()));
        return Optional.of(new Tasted(
                taste,
                new LearnedResponse(
                        what, words, taste.notes(), s.map(x -> x.used).orElse(true))));
    }

    /** Uses something learned again, or no longer. */
    @Transactional
    public void use(String what, boolean used) {
        SwitchEntity e = switches.findById(what).orElseGet(() -> fresh(what, Instant.EPOCH));
        e.used = used;
        switches.save(e);
    }

    /** Begins anew: what was measured until now no longer counts. */
    @Transactional
    public void forget(String what) {
        SwitchEntity e = switches.findById(what).orElseGet(() -> fresh(what, clock.instant()));
        e.since = clock.instant();
        e.used = true;
        switches.save(e);
    }

    /** Every burner and vessel of which something is known. */
    @Transactional(readOnly = true)
    public List<LearnedResponse> stoves() {
        Map<UUID, Burner> burners = kitchens.burnersById();
        Map<UUID, Vessel> vessels = kitchens.vesselsById();
        double boilingC = kitchens.sheet().boilingC();
        List<LearnedResponse> all = new ArrayList<>();
        for (ObservationRepository.Pair pair : observations.pairs()) {
            Burner burner = burners.get(pair.burnerId());
            Vessel vessel = vessels.get(pair.vesselId());
            if (burner != null && vessel != null) {
                StoveKey key = new StoveKey(pair.burnerId(), pair.vesselId());
                stove(key, burner, vessel.name(), boilingC).ifPresent(s -> all.add(s.sheet()));
            }
        }
        return all;
    }

    private static SwitchEntity fresh(String what, Instant since) {
        SwitchEntity e = new SwitchEntity();
        e.what = Fields.text(what, "what", Length.LINE);
        e.since = since;
        e.used = true;
        return e;
    }
}
