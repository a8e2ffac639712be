package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import embercup.core.materia.LowerHyphenNames;
import embercup.core.plan.BrewPlan;
import embercup.core.workings.Code;
import embercup.core.workings.Workings;
import embercup.server.platform.ReadOnce;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/**
 * Writes the core's plan as it is kept with its brew, and reads it again: the types of the core as they are, a member of a
 * closed family with its name under {@code is}. What was kept says for itself which form it has.
 */
@Component
class KeptPlans {

    private static final Logger LOG = LoggerFactory.getLogger(KeptPlans.class);

    /** Form of the documents that are written; a reader of a later one still knows this. */
    private static final int FORM = 1;

    private static final TypeReference<Map<String, Workings>> FIGURES = new TypeReference<>() {};

    private static final JsonMapper CORE = JsonMapper.builder()
            .annotationIntrospector(new Families())
            .changeDefaultVisibility(v -> v.withFieldVisibility(Visibility.ANY)
                    .withGetterVisibility(Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE))
            .build();

    /** Pots that somebody looks at, of a household and its days. */
    static final int LOOKED_AT = 24;

    private final ReadOnce<BrewPlan> plans =
            new ReadOnce<>(LOOKED_AT, d -> CORE.readValue(d, Kept.class).plan());

    /** A plan with the form it is written in. */
    record Kept(int form, BrewPlan plan) {}

    /** The members of a sealed family are told apart by their names. */
    private static final class Families extends LowerHyphenNames {

        private static final long serialVersionUID = 1L;

        @Override
        public JsonTypeInfo.@Nullable Value findPolymorphicTypeInfo(MapperConfig<?> config, Annotated annotated) {
            Class<?> type = annotated.getRawType();
            boolean member = type.isRecord() && family(type);
            return type.isSealed() || member
                    ? JsonTypeInfo.Value.construct(
                            JsonTypeInfo.Id.NAME, JsonTypeInfo.As.PROPERTY, "is", null, false, true)
                    : super.findPolymorphicTypeInfo(config, annotated);
        }

        private static boolean family(Class<?> type) {
            for (Class<?> one : type.getInterfaces()) {
                if (one.isSealed()) {
                    return true;
                }
            }
            return false;
        }

        @Override
        public @Nullable List<NamedType> findSubtypes(MapperConfig<?> config, Annotated annotated) {
            Class<?> type = annotated.getRawType();
            if (!type.isSealed()) {
                return super.findSubtypes(config, annotated);
            }
            List<NamedType> all = new ArrayList<>();
            members(type, all);
            return all;
        }

        private static void members(Class<?> type, List<NamedType> all) {
            for (Class<?> member : type.getPermittedSubclasses()) {
                if (member.isSealed()) {
                    members(member, all);
                } else {
                    all.add(new NamedType(member, Code.of(member)));
                }
            }
        }

        @Override
        public @Nullable String findTypeName(MapperConfig<?> config, AnnotatedClass annotated) {
            Class<?> type = annotated.getRawType();
            return type.isRecord() && family(type) ? Code.of(type) : super.findTypeName(config, annotated);
        }
    }

    String write(BrewPlan plan) {
        return CORE.writeValueAsString(new Kept(FORM, plan));
    }

    /** Empty, and said in the log, when it cannot be read: it was damaged, or a later version of the program wrote it. */
    Optional<BrewPlan> read(@Nullable String document, Object brew) {
        if (document == null) {
            return Optional.empty();
        }
        try {
            return Optional.ofNullable(plans.of(document));
        } catch (JacksonException | IllegalArgumentException e) {
            LOG.warn("The plan that is kept with brew {} cannot be read: {}", brew, e.getMessage());
            return Optional.empty();
        }
    }

    String writeFigures(Map<String, Workings> figures) {
        return CORE.writeValueAsString(figures);
    }

    Map<String, Workings> readFigures(String document) {
        return CORE.readValue(document, FIGURES);
    }
}
