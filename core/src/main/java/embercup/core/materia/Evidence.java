package embercup.core.materia;

import embercup.core.materia.Herb.Sourced;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** How well the values of a herb are known: a default is not a fact, and a quotation from memory is not the source. */
public final class Evidence {

    private Evidence() {}

    /** What a value rests on, the surest first. */
    public enum Basis {
        /** Weighed by the cook. */
        MEASURED,
        /** From a source that the cook named. */
        NAMED,
        /** Published, and somebody compared it with the source. */
        CHECKED,
        /** Published, quoted from memory; nobody compared it yet. */
        MEMORY,
        PRACTICE,
        ESTIMATE,
        /** The figure of its part, as the herb has none of its own. */
        PART
    }

    /** Kinds of values of a herb, in the order they are said in. */
    public enum Value {
        DOSE,
        HARMFUL,
        LONGEST_RUN,
        AGE,
        CAUTIONS,
        CONSTITUENTS,
        STOP,
        METHOD,
        NEVER_RAW,
        SPOON,
        SPOON_SPREAD,
        PIECE,
        PIECE_SPREAD,
        MOISTURE,
        WATER_KEPT,
        SWELLING,
        GIVES,
        REST,
        WARMTH,
        COLOUR,
        STAND_INS,
        KEEPS
    }

    /** One value and the key of its source. */
    public record Rests(Value value, String source) {}

    /**
     * Somebody compared values that were quoted from memory with the source itself.
     *
     * @param edition of the source that was looked at
     * @param on the day
     */
    public record Check(String herb, Value value, String source, String edition, LocalDate on) {}

    /** The other herbs of a part, whose figures are taken. */
    public record Others(PlantPart part) {}

    /**
     * The values of a herb that rest on the same.
     *
     * @param values at least one
     */
    public record Line(Basis basis, Others others, Set<Value> values) {
        public Line {
            values = java.util.Collections.unmodifiableSet(EnumSet.copyOf(values));
        }
    }

    /** All of a herb, the surest first; a blend of the house has none of its own. */
    public static List<Line> of(Materia materia, Herb herb) {
        Map<Basis, Set<Value>> lines = new EnumMap<>(Basis.class);
        for (Rests one : values(materia, herb)) {
            lines.computeIfAbsent(basis(materia, herb, one), b -> EnumSet.noneOf(Value.class))
                    .add(one.value);
        }
        return lines.entrySet().stream()
                .map(e -> new Line(e.getKey(), new Others(herb.part()), e.getValue()))
                .toList();
    }

    /** What a value of a herb rests on. */
    public static Basis basis(Materia materia, Herb herb, Rests one) {
        Source source = Objects.requireNonNull(materia.sources().get(one.source), one.source);
        return switch (source.kind()) {
            case OWN -> source.key().equals("own") ? Basis.MEASURED : Basis.NAMED;
            case PUBLISHED, HANDBOOK ->
                !source.fromMemory() || materia.checked(herb, one).isPresent() ? Basis.CHECKED : Basis.MEMORY;
            case PRACTICE -> Basis.PRACTICE;
            case ESTIMATE -> Basis.ESTIMATE;
            case PART -> Basis.PART;
        };
    }

    /** Every value that is used of a herb with the key of its source; what it takes from its part has {@link Source#PART}. */
    public static List<Rests> values(Materia materia, Herb herb) {
        List<Rests> all = new ArrayList<>();
        if (herb.mixed()) {
            return all;
        } else if (herb.stop().isPresent()) {
            all.add(new Rests(Value.STOP, herb.stop().get().source()));
            return all;
        }
        all.addAll(dosing(herb));
        all.addAll(weights(herb));
        all.addAll(brewing(herb));
        herb.cautions().forEach(c -> all.add(new Rests(Value.CAUTIONS, c.source())));
        herb.constituents().forEach(c -> all.add(new Rests(Value.CONSTITUENTS, c.source())));
        herb.withAcid().ifPresent(c -> all.add(new Rests(Value.COLOUR, c.source())));
        herb.inCup().ifPresent(c -> all.add(new Rests(Value.WARMTH, c.source())));
        herb.substitutes().forEach(s -> all.add(new Rests(Value.STAND_INS, s.source())));
        return all;
    }

    private static List<Rests> dosing(Herb herb) {
        return Stream.of(
                        herb.doses().stream().map(d -> new Rests(Value.DOSE, d.source())),
                        herb.harmful().stream().map(h -> new Rests(Value.HARMFUL, h.source())),
                        own(Value.LONGEST_RUN, herb.longestRunDays()),
                        own(Value.AGE, herb.ageFloorYears()))
                .flatMap(s -> s)
                .toList();
    }

    private static List<Rests> weights(Herb herb) {
        List<Rests> all = new ArrayList<>();
        herb.bulk().forEach(b -> {
            all.add(new Rests(Value.SPOON, b.source()));
            all.add(new Rests(Value.SPOON_SPREAD, b.spreadSource()));
        });
        herb.pieces().forEach(p -> {
            all.add(new Rests(Value.PIECE, p.source()));
            all.add(new Rests(Value.PIECE_SPREAD, p.spreadSource()));
        });
        if (herb.bulk().isEmpty()) {
            all.add(new Rests(Value.SPOON, Source.PART));
        }
        herb.keepsMonths().ifPresent(k -> all.add(new Rests(Value.KEEPS, k.source())));
        return all;
    }

    /** How it takes up water and gives: nothing of that is asked of what only is stirred in. */
    private static List<Rests> brewing(Herb herb) {
        Herb.Brewing brewing = herb.brewing();
        List<Rests> all = Stream.of(
                        brewing.method().stream().map(m -> new Rests(Value.METHOD, m.source())),
                        own(Value.REST, brewing.restMinutes()),
                        own(Value.NEVER_RAW, brewing.neverRawMinutes()),
                        own(Value.SWELLING, brewing.swelling()))
                .flatMap(s -> s)
                .collect(java.util.stream.Collectors.toCollection(ArrayList::new));
        if (herb.part() != PlantPart.PANTRY) {
            all.add(new Rests(
                    Value.MOISTURE, herb.freshMoisture().map(Sourced::source).orElse(Source.PART)));
            all.add(new Rests(Value.WATER_KEPT, Source.PART));
            String gives = brewing.gives().source();
            all.add(new Rests(Value.GIVES, gives.isEmpty() ? Source.PART : gives));
        }
        return all;
    }

    private static Stream<Rests> own(Value value, Optional<Sourced> one) {
        return one.stream().map(s -> new Rests(value, s.source()));
    }
}
