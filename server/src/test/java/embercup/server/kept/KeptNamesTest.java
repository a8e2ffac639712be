package embercup.server.kept;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.server.RunningServer;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.lang.reflect.WildcardType;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is kept has names of its own: whatever is kept stands in the table, and the table has nothing else. */
@ExtendWith(RunningServer.class)
class KeptNamesTest {

    private static Map<String, Class<?>> reached() {
        Map<String, Class<?>> all = new TreeMap<>();
        for (KeptKind<?> kind : RunningServer.bean(KeptJson.class).kinds()) {
            reach(kind.type(), all);
        }
        return all;
    }

    private static void reach(JavaType type, Map<String, Class<?>> all) {
        reach(type.getRawClass(), all);
        type.getBindings().getTypeParameters().forEach(t -> reach(t, all));
    }

    private static void reach(Type type, Map<String, Class<?>> all) {
        if (type instanceof ParameterizedType of) {
            reach(of.getRawType(), all);
            Arrays.stream(of.getActualTypeArguments()).forEach(t -> reach(t, all));
        } else if (type instanceof WildcardType of) {
            Arrays.stream(of.getUpperBounds()).forEach(t -> reach(t, all));
        } else if (type instanceof Class<?> c && c.isArray()) {
            reach(c.getComponentType(), all);
        } else if (type instanceof Class<?> c && KeptNames.ours(c) && all.put(KeptNames.key(c), c) == null) {
            if (c.isRecord()) {
                Arrays.stream(c.getRecordComponents())
                        .map(RecordComponent::getGenericType)
                        .forEach(t -> reach(t, all));
            }
            if (c.isSealed()) {
                Arrays.stream(c.getPermittedSubclasses()).forEach(t -> reach(t, all));
            }
        }
    }

    private static List<String> called(Class<?> type) {
        return type.isRecord()
                ? Arrays.stream(type.getRecordComponents())
                        .map(RecordComponent::getName)
                        .toList()
                : Arrays.stream(type.getEnumConstants())
                        .map(e -> ((Enum<?>) e).name())
                        .toList();
    }

    @Test
    void everythingThatIsKeptHasItsNamesAndNothingElseHas() {
        Map<String, List<String>> inTheCode = new TreeMap<>();
        reached().forEach((key, type) -> {
            if (type.isRecord() || type.isEnum()) {
                inTheCode.put(key, called(type));
            }
        });
        Map<String, List<String>> inTheTable = new TreeMap<>();
        KeptNames.shipped()
                .lines()
                .forEach((key, line) ->
                        inTheTable.put(key, new ArrayList<>(line.names().keySet())));
        assertThat(inTheTable).isEqualTo(inTheCode);
    }

    /** Two components, or two members of a family, that are kept under one name could not be told apart. */
    @TestFactory
    List<DynamicTest> noNameIsKeptForTwo() {
        List<DynamicTest> all = new ArrayList<>();
        KeptNames names = KeptNames.shipped();
        names.lines()
                .forEach((key, line) -> all.add(DynamicTest.dynamicTest(
                        key, () -> assertThat(line.names().values()).doesNotHaveDuplicates())));
        reached().forEach((key, type) -> {
            if (type.isSealed() && key.startsWith("core.")) {
                all.add(DynamicTest.dynamicTest("family " + key, () -> assertThat(members(type).stream()
                                .map(m -> names.lines()
                                        .get(KeptNames.key(m))
                                        .member()
                                        .orElseThrow())
                                .toList())
                        .doesNotHaveDuplicates()));
            }
        });
        return all;
    }

    private static List<Class<?>> members(Class<?> family) {
        List<Class<?>> all = new ArrayList<>();
        for (Class<?> one : family.getPermittedSubclasses()) {
            all.addAll(one.isSealed() ? members(one) : List.of(one));
        }
        return all.stream().distinct().toList();
    }

    /** The form stands beside what a document says. */
    @Test
    void nothingThatIsKeptHasAComponentCalledForm() {
        for (KeptKind<?> kind : RunningServer.bean(KeptJson.class).kinds()) {
            Class<?> type = kind.type().getRawClass();
            if (type.isRecord()) {
                assertThat(KeptNames.shipped()
                                .lines()
                                .get(KeptNames.key(type))
                                .names()
                                .values())
                        .as(kind.name())
                        .doesNotContain(KeptKind.FORM);
            }
        }
    }

    private static KeptKind<Map<String, Object>> cup(Upcaster... upcasters) {
        JsonMapper json = JsonMapper.builder().build();
        return new KeptKind<>(
                "cup",
                json.getTypeFactory().constructMapType(Map.class, String.class, Object.class),
                json,
                List.of(upcasters));
    }

    private static void inGrams(ObjectNode cup) {
        cup.put("grams", cup.remove("g").asDouble());
    }

    private static void saysItsHerb(ObjectNode cup) {
        if (!cup.has("herb")) {
            cup.put("herb", "linden");
        }
    }

    @Test
    void anEarlierFormIsBroughtForwardFormByForm() {
        KeptKind<Map<String, Object>> kind = cup(KeptNamesTest::inGrams, KeptNamesTest::saysItsHerb);
        Map<String, Object> today = Map.of("grams", 3.0, "herb", "linden");
        assertThat(kind.newest()).isEqualTo(3);
        assertThat(kind.read("{\"g\":3.0}"))
                .as("of the first form, which said none")
                .isEqualTo(today);
        assertThat(kind.read("{\"form\":1,\"g\":3.0}")).isEqualTo(today);
        assertThat(kind.read("{\"grams\":3.0,\"form\":2}")).isEqualTo(today);
        assertThat(kind.read(kind.write(today))).isEqualTo(today);
        assertThat(cup().read(cup().write(Map.of())))
                .as("one that says nothing")
                .isEmpty();
    }

    @Test
    void aLaterFormIsRefusedByNameAndForm() {
        for (String form : List.of("4", "99", "0", "-1", "\"x\"")) {
            assertThatThrownBy(() -> cup(KeptNamesTest::inGrams, KeptNamesTest::saysItsHerb)
                            .read("{\"form\":" + form + ",\"grams\":3}"))
                    .isInstanceOf(UnknownFormException.class)
                    .hasMessageContaining("cup")
                    .hasMessageContaining("forms 1 to 3");
        }
    }
}
