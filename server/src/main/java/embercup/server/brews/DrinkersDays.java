package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.core.care.History;
import embercup.core.keeping.OnTheShelf;
import embercup.core.materia.Constituent;
import embercup.core.plan.SeveralPots;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.Plans;
import embercup.server.platform.Fields;
import embercup.server.shelf.Shelf;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What the brews say of the days around a plan: the drinker's cups, and what is on the fire. */
@Component
public class DrinkersDays implements Plans.Day {

    /** Which brews {@code b} somebody drinks of: made for her, shared with her, or a cup of it was hers; asked with {@code :person}. */
    public static final String HERS = """
            (b.drinker_id = :person or b.sharers @> jsonb_build_array(jsonb_build_object('id', cast(:person as text)))
            or b.pours @> jsonb_build_array(jsonb_build_object('by', cast(:person as text))))
            """;

    private static final TypeReference<Map<String, Double>> LOADS = new TypeReference<>() {};
    private static final TypeReference<List<String>> SLUGS = new TypeReference<>() {};
    /** A day of loads: twelve hours before and after, so that an evening pot counts with the morning's. */
    private static final Duration HALF_A_DAY = Duration.ofHours(12);

    private static final Duration A_DAY = Duration.ofDays(1);
    /** The longest run and its break are shorter; older cups change nothing. */
    private static final Duration LONGEST_LOOK = Duration.ofDays(2 * 365);
    /** What is left in a jar and is no cup, days. */
    private static final double SIP = 0.05;

    private static final TypeReference<List<Pour>> POURS = new TypeReference<>() {};
    private static final TypeReference<List<Sharer>> SHARERS = new TypeReference<>() {};

    private final BrewRepository brews;
    private final BrewDocuments kept;
    private final Kitchens kitchens;
    private final Shelf shelf;
    private final JsonMapper json;

    DrinkersDays(BrewRepository brews, BrewDocuments kept, Kitchens kitchens, Shelf shelf, JsonMapper json) {
        this.shelf = shelf;
        this.kitchens = kitchens;
        this.brews = brews;
        this.kept = kept;
        this.json = json;
    }

    @Override
    public Map<OnTheShelf.Thing, Double> left(Set<String> herbs) {
        return shelf.left(herbs);
    }

    @Override
    @Transactional(readOnly = true)
    public boolean brewedBefore() {
        return brews.existsByPhase("finished");
    }

    /**
     * Something poured of a pot.
     *
     * @param share of a day's cups
     * @param by who drank it, when that was said: then it is nobody else's
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Pour(Instant at, double share, @Nullable UUID by) {}

    /** Somebody who drinks of a pot beside its drinker. @param loads of her day's cups, mg */
    record Sharer(UUID id, Map<String, Double> loads) {}

    @Override
    @Transactional(readOnly = true)
    public History history(@Nullable UUID drinkerId, Instant at) {
        if (drinkerId == null) {
            return History.NONE;
        }
        List<History.Earlier> earlier = new ArrayList<>();
        Map<String, Set<LocalDate>> days = new HashMap<>();
        ZoneId zone = kitchens.zone();
        LocalDate today = LocalDate.ofInstant(at, zone);
        for (BrewRepository.Drunk d : brews.drunkBetween(drinkerId, at.minus(LONGEST_LOOK), at.plus(HALF_A_DAY))) {
            List<Pour> cups = cups(d, drinkerId);
            List<Pour> near = cups.stream().filter(c -> near(c.at(), at)).toList();
            if (shares(near) > 0) {
                earlier.add(new History.Earlier(
                        d.name(), Optional.of(LocalTime.ofInstant(d.startedAt(), zone)), loads(d, drinkerId, near)));
            }
            Set<LocalDate> drunk =
                    cups.stream().map(c -> LocalDate.ofInstant(c.at(), zone)).collect(Collectors.toSet());
            json.readValue(d.herbs(), SLUGS)
                    .forEach(h -> days.computeIfAbsent(h, x -> new HashSet<>()).addAll(drunk));
        }
        return new History(earlier, days, today);
    }

    private static boolean near(Instant cup, Instant at) {
        return cup.isAfter(at.minus(HALF_A_DAY)) && cup.isBefore(at.plus(HALF_A_DAY));
    }

    /**
     * When somebody's cups of a pot are drunk, a day's share each: what was poured, and for whom it was made, after the last pour
     * what is still to come of the days that it is for. A cup that somebody else had is none of theirs.
     */
    private List<Pour> cups(BrewRepository.Drunk d, UUID drinkerId) {
        List<Pour> all = json.readValue(d.pours(), POURS);
        boolean hers = drinkerId.equals(d.drinkerId()) || sharer(d, drinkerId).isPresent();
        List<Pour> pours = all.stream()
                .filter(p -> p.by() == null ? hers : p.by().equals(drinkerId))
                .toList();
        double left = hers ? d.days() - shares(all) : 0;
        Instant next = pours.isEmpty()
                ? d.startedAt()
                : pours.get(pours.size() - 1).at().plus(A_DAY);
        List<Pour> cups = new ArrayList<>(pours);
        for (; left > SIP; left--) {
            cups.add(new Pour(next, Math.min(1, left), null));
            next = next.plus(A_DAY);
        }
        return cups;
    }

    private Optional<Sharer> sharer(BrewRepository.Drunk d, UUID drinkerId) {
        return json.readValue(d.sharers(), SHARERS).stream()
                .filter(s -> s.id().equals(drinkerId))
                .findFirst();
    }

    private static double shares(List<Pour> cups) {
        return cups.stream().mapToDouble(Pour::share).sum();
    }

    /** In a cup of her own is what is in the liquor; of the pot's cups a sharer has as much as is hers. */
    private Map<Constituent, Double> loads(BrewRepository.Drunk d, UUID drinkerId, List<Pour> cups) {
        Map<String, Double> liquor = json.readValue(d.loads(), LOADS);
        Map<String, Double> hers = sharer(d, drinkerId).map(Sharer::loads).orElse(liquor);
        double own = shares(cups.stream().filter(c -> c.by() != null).toList());
        double common = shares(cups) - own;
        Map<Constituent, Double> mg = new EnumMap<>(Constituent.class);
        liquor.forEach((c, v) -> mg.merge(constituent(c), v * own, Double::sum));
        hers.forEach((c, v) -> mg.merge(constituent(c), v * common, Double::sum));
        return mg;
    }

    private static Constituent constituent(String code) {
        return Fields.oneOf(Constituent.class, code, "constituent");
    }

    @Override
    @Transactional(readOnly = true)
    public List<SeveralPots.Pot> onTheFire(Instant zero) {
        return brews.findAllByPhaseInOrderByCreatedAtAscIdAsc(List.of("planned", "running")).stream()
                .filter(e -> e.startedAt != null)
                .flatMap(e -> kept
                        .read(e.kept, e.id)
                        .map(plan -> {
                            double start = Duration.between(zero, e.startedAt).toMillis() / 1000.0;
                            return new SeveralPots.Pot(e.name, plan, start, start, start);
                        })
                        .stream())
                .toList();
    }
}
