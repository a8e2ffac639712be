package embercup.server.brews;

import embercup.core.keeping.Jar;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Cups that were poured of a recipe's brews, and what is left of them. A simulated brew is drunk by nobody. */
@Service
public class Cups {

    private static final TypeReference<List<DrinkersDays.Pour>> POURS = new TypeReference<>() {};

    private final BrewRepository brews;
    private final EventRepository events;
    private final JsonMapper json;
    private final Clock clock;

    Cups(BrewRepository brews, EventRepository events, JsonMapper json, Clock clock) {
        this.clock = clock;
        this.brews = brews;
        this.events = events;
        this.json = json;
    }

    /**
     * A brew of a recipe.
     *
     * @param poured when its cups were poured
     * @param leftMl what can still be poured of it, mL; 0 while it is not done, or past its time
     * @param cupMl a cup of it, mL
     */
    public record Of(UUID brew, String name, Instant startedAt, List<Instant> poured, double leftMl, double cupMl) {}

    /**
     * The brews of a recipe that somebody of these drinks of, begun in a span; the oldest first. A cup that somebody else had of
     * them is not among theirs, and what is left of a pot that was made for others is not theirs to pour.
     *
     * @param drinkers whoever, when there is none
     */
    @Transactional(readOnly = true)
    public List<Of> of(UUID recipe, Collection<UUID> drinkers, Instant from, Instant to) {
        List<Of> all = new ArrayList<>();
        for (BrewRepository.OfRecipe b : brews.ofRecipe(recipe, from, to)) {
            boolean theirs = drinkers.isEmpty() || drunkBy(b, drinkers);
            List<Instant> poured = json.readValue(b.pours(), POURS).stream()
                    .filter(p -> p.by() == null ? theirs : drinkers.isEmpty() || drinkers.contains(p.by()))
                    .map(DrinkersDays.Pour::at)
                    .sorted()
                    .toList();
            if (theirs || !poured.isEmpty()) {
                double left = theirs
                                && offTheHerbs(b.phase(), b.pours())
                                && b.leftMl() != null
                                && b.leftMl() >= Jar.NOTHING_ML
                                && good(b)
                        ? b.leftMl()
                        : 0;
                all.add(new Of(b.id(), b.name(), b.startedAt(), poured, left, b.cupMl()));
            }
        }
        return all;
    }

    /** Whether there is liquor to pour: it is done, or somebody poured of it already. A kettle that warms up holds no tea. */
    static boolean offTheHerbs(String phase, String pours) {
        return phase.equals("finished") || !pours.equals("[]");
    }

    /** Whether a cup was poured already under this id. */
    @Transactional(readOnly = true)
    public boolean poured(UUID id) {
        return events.existsById(id);
    }

    private boolean drunkBy(BrewRepository.OfRecipe b, Collection<UUID> drinkers) {
        Set<UUID> all = new HashSet<>();
        if (b.drinkerId() != null) {
            all.add(b.drinkerId());
        }
        Arrays.stream(json.readValue(b.sharers(), DrinkersDays.Sharer[].class)).forEach(s -> all.add(s.id()));
        return drinkers.stream().anyMatch(all::contains);
    }

    /** In a jar until its time, in its pot for its own day. */
    private boolean good(BrewRepository.OfRecipe b) {
        Instant now = clock.instant();
        return b.keptAt() == null
                ? now.isBefore(b.startedAt().plus(Jar.IN_ITS_POT))
                : b.drinkBy() == null || now.isBefore(b.drinkBy());
    }
}
