package embercup.core.care;

import embercup.core.materia.Constituent;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is known of a drinker's cups before this one. Immutable.
 *
 * @param earlier what she has already planned or drunk that day
 * @param drunkOn days on which she drank a herb; by slug
 * @param day the day of the plan, on her calendar
 */
public record History(List<Earlier> earlier, Map<String, Set<LocalDate>> drunkOn, LocalDate day) {

    public static final History NONE = new History(List.of(), Map.of(), LocalDate.EPOCH);

    /**
     * An earlier brew of the day.
     *
     * @param at when it was started; empty when that is not known
     * @param mg what it brought that day, mg by constituent
     */
    public record Earlier(String name, Optional<LocalTime> at, Map<Constituent, Double> mg) {
        public Earlier {
            mg = Map.copyOf(mg);
        }
    }

    public History {
        earlier = List.copyOf(earlier);
        drunkOn = drunkOn.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, e -> Set.copyOf(e.getValue())));
    }

    /** Something drunk earlier that day of which no more is known. */
    public static History ofDay(Map<Constituent, Double> earlierMg) {
        return new History(List.of(new Earlier("", Optional.empty(), earlierMg)), Map.of(), LocalDate.EPOCH);
    }

    /** How a herb's days stand against its longest run on the day of the plan. */
    Run run(String herb, int most) {
        return Run.of(drunkOn.getOrDefault(herb, Set.of()), day, most);
    }
}
