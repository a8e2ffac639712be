package embercup.server.brews;

import embercup.core.care.History;
import embercup.core.materia.Constituent;
import embercup.core.materia.Materia;
import embercup.core.plan.Interleaving;
import embercup.server.plans.Plans;
import embercup.server.platform.Fields;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What the brews say of the days around a plan: the drinker's cups, and what is on the fire. */
@Component
class DrinkersDays implements Plans.Day {

    private static final TypeReference<Map<String, Double>> LOADS = new TypeReference<>() {};
    private static final TypeReference<List<String>> SLUGS = new TypeReference<>() {};
    /** A day of loads: twelve hours before and after, so that an evening pot counts with the morning's. */
    private static final Duration HALF_A_DAY = Duration.ofHours(12);

    private final BrewRepository brews;
    private final KeptPlans kept;
    private final Materia materia;
    private final JsonMapper json;

    DrinkersDays(BrewRepository brews, KeptPlans kept, Materia materia, JsonMapper json) {
        this.brews = brews;
        this.kept = kept;
        this.materia = materia;
        this.json = json;
    }

    @Override
    @Transactional(readOnly = true)
    public History history(@Nullable UUID drinkerId, Instant at) {
        if (drinkerId == null) {
            return History.NONE;
        }
        Map<Constituent, Double> mg = new EnumMap<>(Constituent.class);
        Map<String, Set<LocalDate>> days = new HashMap<>();
        ZoneId zone = ZoneId.systemDefault();
        LocalDate today = LocalDate.ofInstant(at, zone);
        Instant from =
                today.minusDays(materia.longestRunDays()).atStartOfDay(zone).toInstant();
        for (BrewRepository.Drunk d : brews.drunkBetween(drinkerId, from, at.plus(HALF_A_DAY))) {
            if (d.startedAt().isAfter(at.minus(HALF_A_DAY))) {
                double share = d.drunk() == null ? 1 : d.drunk();
                json.readValue(d.loads(), LOADS)
                        .forEach((c, v) ->
                                mg.merge(Fields.oneOf(Constituent.class, c, "constituent"), v * share, Double::sum));
            }
            LocalDate day = LocalDate.ofInstant(d.startedAt(), zone);
            json.readValue(d.herbs(), SLUGS)
                    .forEach(h -> days.computeIfAbsent(h, x -> new HashSet<>()).add(day));
        }
        Map<String, Integer> runs = new HashMap<>();
        days.forEach((herb, drunk) -> runs.put(herb, run(drunk, today)));
        return new History(mg, runs);
    }

    /** Days in a row up to the day before. */
    private static int run(Set<LocalDate> drunk, LocalDate today) {
        int run = 0;
        while (drunk.contains(today.minusDays(run + 1L))) {
            run++;
        }
        return run;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Interleaving.Pot> onTheFire(Instant zero) {
        return brews.findAllByPhaseInOrderByCreatedAt(List.of("planned", "running")).stream()
                .filter(e -> e.startedAt != null)
                .flatMap(e -> kept
                        .read(e.kept, e.id)
                        .map(plan -> {
                            double start = Duration.between(zero, e.startedAt).toMillis() / 1000.0;
                            return new Interleaving.Pot(e.name, plan, start, start, start);
                        })
                        .stream())
                .toList();
    }
}
