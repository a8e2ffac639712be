package embercup.core.materia;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One file that is being read: what is wrong in it names it. Immutable.
 *
 * @param name as it is listed, from {@code materia/} on
 * @param sources every source by its key
 */
record MateriaFile(String name, Map<String, Source> sources) {

    /** The source key of a value; it must stand in {@code sources.yaml}. */
    String known(String key) {
        require(sources.containsKey(key), "source '" + key + "' is not in sources.yaml");
        return key;
    }

    void require(boolean ok, String what) {
        if (!ok) {
            throw new IllegalStateException(name + ": " + what);
        }
    }

    /** A caution of a file, once for each condition it is for. */
    List<Herb.HerbCaution> cautions(HerbFile.Caution c) {
        String source = known(c.source());
        Set<Integer> trimesters = Set.copyOf(each(c.trimesters(), t -> t));
        require(
                trimesters.isEmpty() || List.of(Condition.PREGNANT).equals(c.when()),
                "trimesters are those of 'pregnant' alone");
        if (c.when() == null) {
            return List.of(new Herb.HerbCaution(Optional.empty(), trimesters, c.severity(), c.text(), source));
        }
        return c.when().stream()
                .map(when -> new Herb.HerbCaution(Optional.of(when), trimesters, c.severity(), c.text(), source))
                .toList();
    }

    List<Herb.HerbCaution> cautions(@Nullable List<HerbFile.Caution> all) {
        List<Herb.HerbCaution> cautions = new ArrayList<>();
        each(all, this::cautions).forEach(cautions::addAll);
        return cautions;
    }

    // ---- the words of the format

    static <F, T> Optional<T> optional(@Nullable F value, Function<F, T> reader) {
        return Optional.ofNullable(value).map(reader);
    }

    static <F, T> List<T> each(@Nullable List<F> values, Function<F, T> reader) {
        return values == null ? List.of() : values.stream().map(reader).toList();
    }

    static OptionalDouble number(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
