package embercup.core.words;

import embercup.core.materia.HerbName;
import embercup.core.measure.Mass;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.recipe.OwnCaution;
import embercup.core.workings.Code;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.time.LocalTime;
import java.util.Collection;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * A fact as the arguments of its sentence; a component {@code x} is offered as
 *
 * <ul>
 *   <li>{@code {x}}, said by its type: a mass in grams, a herb by its name in lower case, a list as a list;
 *   <li>{@code {X}}, the same with a capital;
 *   <li>{@code {xMg}} for a mass in milligrams, {@code {xCode}} for a constant's code, {@code {xTrue}} for whether a
 *       truth value is true, an optional one is there or a list has anything in it.
 * </ul>
 *
 * Immutable and thread-safe.
 */
final class Facts {

    private static final Map<Class<?>, String> KEYS = new ConcurrentHashMap<>();
    private static final Map<Class<?>, Map<String, Part>> PARTS = new ConcurrentHashMap<>();

    private final Words words;

    Facts(Words words) {
        this.words = words;
    }

    /** What the sentence of a type is called: the family, and the member. */
    static String key(Class<?> type) {
        return KEYS.computeIfAbsent(type, t -> Code.of(t.getEnclosingClass()) + "." + Code.of(t));
    }

    /** One component of a record in one of the ways it can be said. */
    private record Part(Method accessor, Way way) {

        /** All of a type by the names that a pattern has for them; a component's own name comes before another's derived one. */
        static Map<String, Part> of(Class<?> type) {
            Map<String, Part> all = new HashMap<>();
            for (RecordComponent component : type.getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                for (Way way : Way.values()) {
                    Part part = new Part(component.getAccessor(), way);
                    all.merge(way.name(component.getName()), part, (a, b) -> a.way == Way.PLAIN ? a : b);
                }
            }
            return Map.copyOf(all);
        }

        Object of(Record fact) {
            try {
                return accessor.invoke(fact);
            } catch (IllegalAccessException | InvocationTargetException e) {
                throw new IllegalStateException(fact.getClass() + " hides " + accessor.getName(), e);
            }
        }
    }

    private enum Way {
        PLAIN(""),
        CAPITAL(""),
        MILLIGRAMS("Mg"),
        CODE("Code"),
        TRUE("True");

        private final String suffix;

        Way(String suffix) {
            this.suffix = suffix;
        }

        String name(String component) {
            return this == CAPITAL ? Words.capital(component) : component + suffix;
        }
    }

    /** Every component of a record in all the ways it can be said, each when a sentence asks for it. */
    Catalogue.Arguments arguments(Record fact) {
        Map<String, Part> parts = PARTS.computeIfAbsent(fact.getClass(), Part::of);
        return name -> {
            Part part = parts.get(name);
            return part == null ? null : said(part.way, part.of(fact));
        };
    }

    private @Nullable Object said(Way way, Object value) {
        return switch (way) {
            case PLAIN -> said(value);
            case CAPITAL -> said(value) instanceof String text ? Words.capital(text) : null;
            case MILLIGRAMS -> value instanceof Mass mass ? words.numbers().milligrams(mass.milligrams()) : null;
            case CODE -> value instanceof Enum<?> constant ? code(constant) : null;
            case TRUE -> truth(value);
        };
    }

    /** Whether a truth value is true, an optional one is there, a list has anything in it. */
    private static @Nullable String truth(Object value) {
        if (value instanceof Boolean truth) {
            return truth.toString();
        } else if (value instanceof Optional<?> some) {
            return Boolean.toString(some.isPresent());
        }
        return value instanceof Collection<?> several ? Boolean.toString(!several.isEmpty()) : null;
    }

    /** A constant as a choice in a pattern names it: only letters and underscores are allowed there. */
    static String code(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT);
    }

    private Object said(Object value) {
        if (value instanceof Mass mass) {
            return words.numbers().grams(mass.grams());
        } else if (value instanceof Volume volume) {
            return words.numbers().millilitres(volume.millilitres());
        } else if (value instanceof Temperature temperature) {
            return words.numbers().celsius(temperature.celsius());
        } else if (value instanceof LocalTime time) {
            return words.numbers().clock(time);
        } else if (value instanceof HerbName herb) {
            return words.lower(herb.common());
        } else if (value instanceof Enum<?> constant) {
            return words.name(constant);
        } else if (value instanceof Double number) {
            return words.numbers().plain(number);
        } else if (value instanceof Number) {
            return value;
        } else if (value instanceof Optional<?> optional) {
            return optional.map(this::said).orElse("");
        } else if (value instanceof Collection<?> several) {
            return words.join(several.stream().map(this::said).toList());
        } else if (value instanceof OwnCaution caution) {
            return Words.sentence(caution.text());
        } else if (value instanceof Record record) {
            return words.say(record);
        }
        return String.valueOf(value);
    }
}
